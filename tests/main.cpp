// Catch's own main, in the language of UOVO_LOCALE: what is read and written must not depend on it. scripts/storm.sh
// locales
#define CATCH_CONFIG_RUNNER
#include <catch2/catch.hpp>
#include <clocale>
#include <cstdio>
#include <cstdlib>

/// assimp 5.2 leaks the scene of a file it gives up on; asked for by LeakSanitizer alone.
extern "C" const char* __lsan_default_suppressions();
extern "C" const char* __lsan_default_suppressions() { return "leak:libassimp\n"; }

int main(int argc, char** argv) {
    if (const char* name = std::getenv("UOVO_LOCALE"); name && !std::setlocale(LC_ALL, name)) {
        std::fprintf(stderr, "The locale %s is not here.\n", name);
        return 3;
    }
    return Catch::Session().run(argc, argv);
}
