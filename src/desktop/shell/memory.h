// How the program takes and gives back memory.
#pragma once

namespace uovo::desktop {

/// Called once, before there are threads: large blocks go back to the system as soon as they are let go of, and threads
/// share two heaps. Left alone, the C library keeps ever larger blocks and a heap a thread, full of holes.
void steadyMemory();

}  // namespace uovo::desktop
