#!/usr/bin/env bash
# Fuzzes the plan reader and the quantity parser, a minute each unless told otherwise: scripts/fuzz.sh [SECONDS]
set -euo pipefail
cd "$(dirname "$0")/.."
. scripts/packages.sh
uovo_need_packages "$UOVO_BUILD clang libclang-rt-14-dev"
cmake --preset fuzz >/dev/null
log=$(mktemp)
cmake --build build/fuzz --target fuzz-plan fuzz-quantity >"$log" 2>&1 || { tail -n 30 "$log" >&2; echo "The fuzzers did not build." >&2; exit 1; }
rm -f "$log"
mkdir -p build/fuzz/plan build/fuzz/quantity
cp data/demo/*.uovo build/fuzz/plan/
printf 'A5 1/2 in' >build/fuzz/quantity/a; printf 'D114 \302\260F' >build/fuzz/quantity/b; printf 'E1 h 15' >build/fuzz/quantity/c
for f in plan quantity; do
    echo "fuzzing $f for ${1:-60} s"
    "build/fuzz/fuzz-$f" -max_total_time="${1:-60}" -max_len=4096 -print_final_stats=1 "build/fuzz/$f" 2>&1 | grep -E "stat::number_of_executed_units|ERROR|SUMMARY|Test unit" || true
    test ! -e crash-* || { echo "a crash was found" >&2; exit 1; }
done
