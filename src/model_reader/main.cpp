// uovo-model-reader ENDING [carried] <MODEL: reads one model for the program that started it, and cannot take it along.
#include <cstdio>
#include <string>

#include "io/model_reader.h"

int main(int argc, char** argv) {
    const bool carries = argc == 3 && std::string(argv[2]) == uovo::io::kCarried;
    if (argc != 2 && !carries) {
        std::fputs("uovo-model-reader is a part of Uovo: it reads one model from standard input for it.\n", stderr);
        return 2;
    }
    return uovo::io::serveModel(argv[1], carries);
}
