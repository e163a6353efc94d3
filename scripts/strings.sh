#!/usr/bin/env bash
# Every word of the window can be translated: lupdate finds each, in the class that asks for it. scripts/strings.sh [OUT.ts]
set -euo pipefail
cd "$(dirname "$0")/.."
out=${1:-build/uovo.ts}
said=$(/usr/lib/qt6/bin/lupdate -no-obsolete -I src src/desktop src/report -ts "$out" 2>&1) || { echo "$said" >&2; exit 1; }
if grep -E 'lacks Q_OBJECT|cannot be called|Unterminated' <<<"$said" >&2; then
    echo "These are asked for in one class and found in another: they could never be translated." >&2
    exit 1
fi
echo "$(grep -c '<source>' "$out") strings of the window can be translated"
