#!/usr/bin/env bash
# Speeds of the core, of the command line as a process, and of the window's start. Needs a finished ./check or ./start.
set -euo pipefail
cd "$(dirname "$0")/.."
cmake --build build --target uovo-bench uovo-bench-coat uovo-bench-log uovo-bench-parts uovo-bench-shell uovo-bench-window uovo-bench-kitchen uovo-cli uovo >/dev/null
build/uovo-bench
build/uovo-bench-coat
build/uovo-bench-log
build/uovo-bench-parts
build/uovo-bench-shell
demo=$(mktemp --suffix=.uovo)
build/uovo-cli demo | python3 -c "import json, sys; d = json.load(sys.stdin); d['pieces'] = d['pieces'][:2]; json.dump(d, sys.stdout)" >"$demo" # bowls and cups
best() { # best of seven runs, seconds
    local b=9 t s
    for _ in 1 2 3 4 5 6 7; do
        s=$(date +%s.%N)
        "$@" >/dev/null
        t=$(echo "$(date +%s.%N) - $s" | bc)
        b=$(echo "if ($t < $b) $t else $b" | bc)
    done
    echo "$b"
}
echo
echo "uovo-cli answers --no-day, as a process: $(best build/uovo-cli answers "$demo" --no-day) s (asked: 0.150)"
echo "uovo-cli answers with the day:           $(best build/uovo-cli answers "$demo") s"
xvfb-run -a -s "-screen 0 1280x800x24" build/uovo-bench-window
xvfb-run -a -s "-screen 0 1280x800x24" build/uovo-bench-kitchen
echo "window painted after start (s, five starts, asked: 1):"
for _ in 1 2 3 4 5; do xvfb-run -a -s "-screen 0 1280x800x24" build/uovo --demo --report-start; done | tr '\n' ' '
echo
rm -f "$demo"
