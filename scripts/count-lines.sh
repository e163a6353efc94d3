#!/usr/bin/env bash
# Prints how many lines of C++ are program and how many are tests.
cd "$(dirname "$0")/.."
count() { find "$@" \( -name '*.cpp' -o -name '*.h' \) -print0 | xargs -0 cat | wc -l; }
program=$(count src benchmarks)
tests=$(count tests)
echo "program $program lines, tests $tests lines: tests are $((100 * tests / (program + tests))) % of the code"
