#!/usr/bin/env bash
# Runs the tests that use threads with ThreadSanitizer: pieces reckoned side by side, the store, stopping. Not part of ./check.
# scripts/threads.sh [TESTS]
set -euo pipefail
cd "$(dirname "$0")/.."
cmake --preset threads >/dev/null
cmake --build build/threads --target core-tests >build/threads/build.log 2>&1 || { tail -n 30 build/threads/build.log >&2; exit 1; }
# OpenBLAS, Gecode and the library of parallel loops are not built with it: their own locks are not seen
printf 'called_from_lib:%s.so\n' libopenblas libgecodesearch libgecodeminimodel libgecodeint libgecodekernel libgecodesupport >build/threads/known
printf 'race:libcholmod.so\nrace:libgomp.so\n' >>build/threads/known
TSAN_OPTIONS="halt_on_error=1 suppressions=$PWD/build/threads/known" build/threads/core-tests "${1:-[threads]}"
