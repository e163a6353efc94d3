#define CATCH_CONFIG_MAIN
#include <catch2/catch.hpp>

/// assimp 5.2 leaks the scene of a 3MF file it gives up on; asked for by LeakSanitizer alone.
extern "C" const char* __lsan_default_suppressions();
extern "C" const char* __lsan_default_suppressions() { return "leak:libassimp\n"; }
