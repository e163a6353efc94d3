#include "desktop/shell/memory.h"

#include <malloc.h>

namespace uovo::desktop {

void steadyMemory() {
#ifdef M_ARENA_MAX
    constexpr int kHeaps = 2, kLarge = 256 * 1024, kSpare = 1024 * 1024;  // bytes
    ::mallopt(M_ARENA_MAX, kHeaps);
    ::mallopt(M_MMAP_THRESHOLD, kLarge);
    ::mallopt(M_TRIM_THRESHOLD, kSpare);
#endif
}

}  // namespace uovo::desktop
