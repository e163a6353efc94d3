#!/usr/bin/env bash
# A thousand random shapes of every family: sound meshes and right volumes. scripts/shapes.sh [SHAPES A FAMILY]
set -euo pipefail
cd "$(dirname "$0")/.."
UOVO_SHAPES=${1:-1000} build/core-tests "random shapes*"
