#!/usr/bin/env bash
# Fuzzes the readers of plans, plans with models, quantities, models, 3MF packages, SVG files, probe lines, logs of days and logs of evenings, a minute each unless told otherwise:
# scripts/fuzz.sh [SECONDS] [plan|meshplan|quantity|mesh|3mf|svg|probe|run|log ...]
set -euo pipefail
cd "$(dirname "$0")/.."
. scripts/packages.sh
uovo_need_packages "$UOVO_BUILD libclang-rt-19-dev"
seconds=${1:-60}
shift || true
[ $# -gt 0 ] || set -- plan meshplan quantity mesh 3mf svg probe run log
cmake --preset fuzz >/dev/null
log=$(mktemp)
cmake --build build/fuzz --target "${@/#/fuzz-}" >"$log" 2>&1 || { tail -n 30 "$log" >&2; echo "The fuzzers did not build." >&2; exit 1; }
rm -f "$log"
mkdir -p build/fuzz/{plan,meshplan,quantity,mesh,3mf,svg,probe,run,log,found}
printf '{"points":[0,0,0,0.03,0,0,0,0.03,0,0,0,0.03],"triangles":[0,2,1,0,1,3,1,2,3,0,3,2]}' >build/fuzz/meshplan/a
cp data/demo/*.uovo build/fuzz/plan/
printf 'A5 1/2 in' >build/fuzz/quantity/a; printf 'D114 \302\260F' >build/fuzz/quantity/b; printf 'E1 h 15' >build/fuzz/quantity/c
printf '\0solid a\nfacet normal 0 0 1\nouter loop\nvertex 0 0 0\nvertex 9 0 0\nvertex 0 9 1\nendloop\nendfacet\nendsolid a\n' >build/fuzz/mesh/a
printf '\1v 0 0 0\nv 9 0 0\nv 0 9 0\nv 0 0 9\nf 1 3 2\nf 1 2 4\nf 2 3 4\nf 1 4 3\n' >build/fuzz/mesh/b
printf '\2ply\nformat ascii 1.0\nelement vertex 3\nproperty float x\nproperty float y\nproperty float z\nelement face 1\nproperty list uchar int vertex_indices\nend_header\n0 0 0\n9 0 0\n0 9 1\n3 0 1 2\n' >build/fuzz/mesh/c
printf '\1<?xml version="1.0"?><model unit="millimeter" xmlns="http://schemas.microsoft.com/3dmanufacturing/core/2015/02"><resources><object id="1" type="model"><mesh><vertices><vertex x="0" y="0" z="0"/><vertex x="9" y="0" z="0"/><vertex x="0" y="9" z="0"/><vertex x="0" y="0" z="9"/></vertices><triangles><triangle v1="0" v2="2" v3="1"/><triangle v1="0" v2="1" v3="3"/><triangle v1="1" v2="2" v3="3"/><triangle v1="0" v2="3" v3="2"/></triangles></mesh></object></resources><build><item objectid="1"/></build></model>' >build/fuzz/3mf/a
printf '\1<model><resources><object id="1"><mesh><vertices><vertex x="0" y="0" z="0"/><vertex x="9" y="0" z="0"/><vertex x="0" y="9" z="1"/></vertices><triangles><triangle v1="0" v2="1" v3="2"/></triangles></mesh></object><object id="2"><components><component objectid="1" transform="1 0 0 0 1 0 0 0 1 5 0 0"/><component objectid="1"/></components></object></resources><build><item objectid="2"/></build></model>' >build/fuzz/3mf/b
printf "<svg width='100mm' viewBox='0 0 100 100'><g transform='rotate(9)'><path d='M0 0C9 9 8 7 60 50Q1 2 3 4A5 5 0 1 0 9 9Z'/><rect width='9' height='9'/></g></svg>" >build/fuzz/svg/a
printf 'uovo-probe 1 a\nT 31.6 C @2\nM 412 g\n! low\n' >build/fuzz/probe/a
printf '{"uovoRun":1}\n{"at":0,"is":"begun","begun":"2026-11-24T10:00","pieces":[{"piece":"a","name":"A","wanted":2,"made":3}]}\n{"at":1,"is":"laid","steps":[{"id":"x","title":"X","at":3,"minutes":4,"pot":"d","makes":1,"ready":true,"waits":[{"after":"y","min":3,"max":9}]},{"id":"y","title":"Y","at":1,"minutes":2}]}\n{"at":2,"is":"done","step":"y"}\n{"at":3,"is":"happened","what":"broke","piece":"a","count":1}\n{"at":4,"is":"undone"}\n' >build/fuzz/run/a
printf '\0{"format":"uovo-log","version":1,"evenings":[{"id":"a","date":"2026-05-12","plan":{"format":"uovo-plan","version":2},"bags":{"dark":"x"},"entries":[{"is":"said","id":1,"words":"well"},{"is":"takenBack","id":2,"replaces":1},{"is":"stars","count":3},{"is":"photo","photo":"Zm9vYg=="},{"is":"measured","record":{"is":"spoon","width":0.07,"chocolate":"dark"}}]}]}' >build/fuzz/log/a
printf '\1evening,date,plan,is,at,piece,value,of,words,all\na,2026-05-12,P,evening,,,,,,"{""id"":""a"",""date"":""d"",""plan"":{""format"":""uovo-plan"",""version"":2}}"\na,2026-05-12,P,said,,,,,"a, b","{""is"":""said"",""words"":""a, b""}"\n' >build/fuzz/log/b
for f in "$@"; do
    echo "fuzzing $f for $seconds s"
    leaks=1
    [ "$f" = mesh ] && leaks=0 # assimp 5.2 itself leaks a scene it gives up on
    TMPDIR=/dev/shm ASAN_OPTIONS=detect_leaks=$leaks "build/fuzz/fuzz-$f" -detect_leaks=$leaks -max_total_time="$seconds" -max_len=4096 -rss_limit_mb=4096 -timeout=10 -artifact_prefix=build/fuzz/found/"$f"- -print_final_stats=1 "build/fuzz/$f" >build/fuzz/"$f".log 2>&1 || {
        grep -E "ERROR|SUMMARY|Test unit" build/fuzz/"$f".log >&2
        grep -E "^ *#[0-9]+ " build/fuzz/"$f".log | head -n 12 >&2
        echo "fuzzing $f found something; see build/fuzz/$f.log" >&2
        exit 1
    }
    grep -E "stat::number_of_executed_units" build/fuzz/"$f".log
done
