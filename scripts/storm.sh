#!/usr/bin/env bash
# Random trials by the thousand, bounded in time; a slice of it is part of the tests. Not part of ./check.
#
#   scripts/storm.sh [KIND ...] [--scale SHARE] [--seed N]
#
# plans      random plans within, on and beyond every limit: check and answers agree, within 1 s, 20 s and 1 GB
# mutations  plans whose structure is damaged: read whole, or refused in words
# files      models and outlines, often damaged: read or refused in words, by a process of their own
# kills      a program that saves without end, killed: the file is always whole
# disks      a disk that is full after any number of bytes: the old file stays, the reason is said
# locales    the tests of the core where a comma is a decimal point
# hands      random clicks, keys, words and drags in a window under Xvfb, a hostile thermometer beside it
# asan       the same hands, with AddressSanitizer (builds the window in build/storm, once)
# window     every test of the window once, with AddressSanitizer
#
# What goes wrong is kept in build/storm-found. --scale 0.1 runs a tenth of the trials.
set -euo pipefail
cd "$(dirname "$(realpath -- "$0")")/.."
. scripts/packages.sh
kinds=() scale=1 seed=1
while [ $# -gt 0 ]; do
    case "$1" in
        --scale) scale=$2; shift 2 ;;
        --seed) seed=$2; shift 2 ;;
        -h | --help) sed -n '2,/^set/p' "$0" | sed '$d; s/^# \{0,1\}//'; exit 0 ;;
        *) kinds+=("$1"); shift ;;
    esac
done
[ ${#kinds[@]} -gt 0 ] || kinds=(plans mutations files kills disks locales hands asan)
export UOVO_STORM_FOUND=$PWD/build/storm-found
many() { awk -v n="$1" -v s="$scale" 'BEGIN { v = int(n * s + 0.5); print v < 1 ? 1 : v }'; }
worst=0
# The trials of a kind on all cores: each worker takes its own stretch of them.
spread() {
    local kind=$1 n workers each pids=() i
    n=$(many "$2") workers=$(nproc)
    each=$(((n + workers - 1) / workers))
    for ((i = 0; i < workers; i++)); do
        build/uovo-storm "$kind" "$each" "$seed" $((i * each)) &
        pids+=($!)
    done
    for i in "${pids[@]}"; do wait "$i" || worst=1; done
}
tests() { # folder, which tests
    mkdir -p -m 700 build/runtime
    QT_QPA_PLATFORM=xcb XDG_RUNTIME_DIR=$PWD/build/runtime LIBGL_ALWAYS_SOFTWARE=1 \
        xvfb-run -a -s "-screen 0 1700x1100x24" "$1/desktop-tests" "${@:2}" || worst=1
}
hands() { # folder, actions
    UOVO_HANDS=$(many "$2") UOVO_HANDS_SEED=$seed tests "$1" "random hands"
}
sanitized() { # what to run
    cmake --preset storm >/dev/null
    cmake --build build/storm --target desktop-tests uovo uovo-cli uovo-model-reader uovo-probe-sim
    ASAN_OPTIONS=detect_leaks=0 UOVO_SLOW=1 "$@"
}
uovo_need_packages "$UOVO_BUILD $UOVO_TEST"
cmake --preset release >/dev/null
cmake --build build --target uovo-storm uovo-model-reader core-tests desktop-tests >/dev/null
for kind in "${kinds[@]}"; do
    echo "== $kind"
    case "$kind" in
        plans) spread plans 5000 ;;
        mutations) spread mutations 10000 ;;
        files) spread files 500 ;;
        kills) build/uovo-storm kills "$(many 200)" "$seed" || worst=1 ;;
        disks) build/uovo-storm disks "$(many 200)" "$seed" || worst=1 ;;
        locales)
            uovo_need_packages locales
            mkdir -p build/locales
            for l in de_DE tr_TR; do
                [ -d "build/locales/$l.UTF-8" ] || localedef -i "$l" -f UTF-8 "build/locales/$l.UTF-8" >/dev/null 2>&1 || true
                UOVO_LOCALE=$l.UTF-8 LOCPATH=$PWD/build/locales build/core-tests "~[long]" || worst=1
            done ;;
        hands) hands build 10000 ;;
        asan) sanitized hands build/storm 10000 ;;
        window) sanitized tests build/storm ;;
        *)
            echo "“$kind” is not a storm; see scripts/storm.sh --help" >&2
            exit 2 ;;
    esac
done
exit "$worst"
