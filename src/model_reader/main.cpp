// uovo-model-reader ENDING <MODEL: reads one model for the program that started it, and cannot take it along.
#include <cstdio>

#include "io/model_reader.h"

int main(int argc, char** argv) {
    if (argc != 2) {
        std::fputs("uovo-model-reader is a part of Uovo: it reads one model from standard input for it.\n", stderr);
        return 2;
    }
    return uovo::io::serveModel(argv[1]);
}
