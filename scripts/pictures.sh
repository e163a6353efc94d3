#!/usr/bin/env bash
# Takes docs/screenshots/*.png anew from the demo plan. Needs a finished ./check. scripts/pictures.sh [FOLDER]
set -euo pipefail
cd "$(dirname "$0")/.."
cmake --build build --target desktop-tests >/dev/null
UOVO_PICTURES=${1:-docs/screenshots} QT_QPA_PLATFORM=xcb xvfb-run -a -s "-screen 0 1280x800x24" build/desktop-tests "[pictures]"
