#!/usr/bin/env bash
# Languages: finds every text in the source and in data/, brings each catalogue of languages/ up to it, and says what is
# still missing in it. scripts/catalogue.sh [--check]: changes nothing, fails where a catalogue is not complete.
set -euo pipefail
cd "$(dirname "$0")/.."
work=$(mktemp -d)
trap 'rm -rf "$work"' EXIT

find src/core src/io src/report -name '*.cpp' -o -name '*.h' | LC_ALL=C sort |
    xgettext --from-code=UTF-8 --language=C++ --keyword --keyword=tr --keyword=trLater --keyword=qtr --keyword=say --keyword=made --keyword=found:2 \
        --keyword=trMany:1,2 --keyword=sayMany:1,2 --add-location=file --no-wrap --files-from=- -o "$work/source.pot"
build/uovo-cli words >"$work/data.pot"
find src/desktop -name '*.cpp' -o -name '*.h' | LC_ALL=C sort | # what the window says by core's catalogue
    xgettext --from-code=UTF-8 --language=C++ --keyword --keyword=qtr --keyword=say --add-location=file --no-wrap \
        --join-existing --files-from=- -o "$work/source.pot"
sed -i 's/charset=CHARSET/charset=UTF-8/; /^#, c-format$/d' "$work/source.pot"
msgcat --use-first --no-wrap --sort-by-file "$work/source.pot" "$work/data.pot" -o "$work/all.pot"

complete=true
for catalogue in languages/*.po; do
    name=$(basename "$catalogue" .po)
    msgmerge --quiet --no-fuzzy-matching --no-wrap --sort-by-file "$catalogue" "$work/all.pot" -o "$work/$name.po"
    msgattrib --no-obsolete --no-wrap "$work/$name.po" -o "$work/now.po"
    sed -i '/^"POT-Creation-Date/d' "$work/now.po" # what did not change says so
    cp "languages/$name.ts" "$work/$name.ts"
    said=$(/usr/lib/qt6/bin/lupdate -no-obsolete -locations none -I src src/desktop -ts "$work/$name.ts" 2>&1)
    if grep -E 'lacks Q_OBJECT|cannot be called|Unterminated' <<<"$said" >&2; then
        echo "These are asked for in one class and found in another: they could never be translated." >&2
        exit 1
    fi
    if [ "${1:-}" != --check ]; then
        cp "$work/now.po" "$catalogue"
        cp "$work/$name.ts" "languages/$name.ts"
    fi
    missing=$(msgattrib --untranslated --no-wrap "$work/now.po" | grep -c '^msgid ' || true)
    [ "$missing" -gt 0 ] && missing=$((missing - 1))
    window=$(grep -c 'type="unfinished"' "$work/$name.ts" || true)
    echo "$name: $(grep -c '^msgid ' "$work/now.po") texts of core, card and data, $missing of them not told yet;" \
        "$(grep -c '<source>' "$work/$name.ts") of the window, $window not told yet"
    [ "$missing" = 0 ] && [ "$window" = 0 ] || complete=false
done
cp languages/en.ts "$work/en.ts" # English stands in the source, but for plurals
/usr/lib/qt6/bin/lupdate -no-obsolete -pluralonly -locations none -I src src/desktop -ts "$work/en.ts" >/dev/null 2>&1
[ "${1:-}" = --check ] || cp "$work/en.ts" languages/en.ts
if grep -q 'type="unfinished"' "$work/en.ts"; then
    echo "en: a plural is not told yet"
    complete=false
fi
[ "${1:-}" != --check ] || $complete
