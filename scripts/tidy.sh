#!/usr/bin/env bash
# clang-tidy with the set of .clang-tidy on the sources that the last commit or the working tree changed, at most six;
# or on the files that are named. Needs a configured build. scripts/tidy.sh [FILE ...]
set -euo pipefail
cd "$(dirname "$0")/.."
files=("$@")
if [ ${#files[@]} -eq 0 ]; then
    git rev-parse -q --verify HEAD~1 >/dev/null || exit 0 # a clone without its history has no change
    mapfile -t files < <(git diff --name-only --diff-filter=d HEAD~1 -- 'src/*.cpp' | head -n 6)
fi
[ ${#files[@]} -gt 0 ] || exit 0
# File by file, and as for g++: then a source gets what is compiled beforehand as the headers that it is.
cmake --preset release -B build/tidy -DCMAKE_UNITY_BUILD=OFF -DCMAKE_CXX_COMPILER=g++ >/dev/null
printf '%s\n' "${files[@]}" | xargs -P "$(nproc)" -n 1 clang-tidy-19 -p build/tidy --quiet --extra-arg=-Wno-unknown-warning-option --extra-arg=-Wno-error 2>/dev/null
