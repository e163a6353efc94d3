#!/usr/bin/env bash
# The tree as .clang-format has it: scripts/format.sh writes it, scripts/format.sh --check says what is not.
set -euo pipefail
cd "$(dirname "$0")/.."
mode=-i
[ "${1:-}" = --check ] && mode="--dry-run -Werror"
git ls-files -z 'src/*.cpp' 'src/*.h' 'tests/*.cpp' 'tests/*.h' 'benchmarks/*.cpp' 'benchmarks/*.h' | xargs -0 -P "$(nproc)" -n 20 clang-format $mode
