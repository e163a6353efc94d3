#!/usr/bin/env bash
# Whether anything is cut or lies on anything else, in the sizes and scales of the window that the check leaves out.
# Needs a build. scripts/sizes.sh
set -euo pipefail
cd "$(dirname "$0")/.."
mkdir -p -m 700 build/runtime
XDG_RUNTIME_DIR=${XDG_RUNTIME_DIR:-$PWD/build/runtime} QT_QPA_PLATFORM=xcb exec xvfb-run -a -s "-screen 0 1280x800x24" build/desktop-tests "[every-size]"
