#!/usr/bin/env bash
# Builds the Debian package of what is built, and tries it: lintian finds no error, its data are valid, it is installed
# into a scratch root, its window opens from there, and nothing of it is left when it is removed. scripts/package.sh [BUILD]
set -euo pipefail
cd "$(dirname "$0")/.."
build=${1:-build}
work=$(mktemp -d)
trap 'rm -rf "$work"' EXIT
(cd "$work" && cpack -G DEB --config "$OLDPWD/$build/CPackConfig.cmake" -B "$work/out") >"$work/cpack.log" 2>&1 ||
    { tail -n 20 "$work/cpack.log" >&2; exit 1; }
deb=$(ls "$work"/out/*.deb)
lintian --no-cfg --fail-on error --display-level '>=warning' --allow-root "$deb"
desktop-file-validate packaging/uovo.desktop
appstreamcli validate --no-net --pedantic packaging/uovo.metainfo.xml >"$work/appstream.log" 2>&1 ||
    { cat "$work/appstream.log" >&2; exit 1; }
for page in packaging/man/*.1; do
    said=$(man --warnings -E UTF-8 -l -Tutf8 "$page" 2>&1 >/dev/null)
    [ -z "$said" ] || { echo "$page: $said" >&2; exit 1; }
done

root=$work/root
mkdir -p "$root"/var/lib/dpkg/{info,updates,triggers} "$root/var/log"
touch "$root"/var/lib/dpkg/{status,available}
debian=(dpkg --root="$root" --force-depends --force-not-root --log=/dev/null)
(cd "$root" && find . -path ./var -prune -o -type f -print) >"$work/before"
"${debian[@]}" -i "$deb" >"$work/install.log" 2>&1 || { cat "$work/install.log" >&2; exit 1; }
home=$work/home
mkdir -p -m 700 "$home" "$home/run"
run=(env -i PATH=/usr/bin:/bin HOME="$home" XDG_RUNTIME_DIR="$home/run" LANG=C.UTF-8)
"${run[@]}" "$root/usr/bin/uovo-cli" check examples/supper.uovo >/dev/null
"${run[@]}" "$root/usr/bin/uovo" --thumbnail "$work/small.png" --size 128 examples/supper.uovo
[ "$(head -c 4 "$work/small.png" | tail -c 3)" = PNG ]
seconds=$("${run[@]}" xvfb-run -a -s "-screen 0 1280x800x24" "$root/usr/bin/uovo" --report-start)
[ -n "$seconds" ] || { echo "The window did not open from the package." >&2; exit 1; }
size=$(du -h "$deb" | cut -f1)
"${debian[@]}" -P uovo >>"$work/install.log" 2>&1 || { cat "$work/install.log" >&2; exit 1; }
left=$(cd "$root" && find . -path ./var -prune -o -type f -print | diff "$work/before" - || true)
[ -z "$left" ] || { echo "Left behind: $left" >&2; exit 1; }
echo "$(basename "$deb"), $size: installed, opened in $seconds s, removed without a trace"
