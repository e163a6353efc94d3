#include "io/sheet_svg.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

#include "core/quantity/catalogue.h"
#include "io/svg_file.h"

namespace uovo::io {

std::string sheetSvg(const SheetPlan& sheets, size_t group, size_t number, bool mirrored) {
    const SheetGroup& g = sheets.groups[group];
    const auto& sheet = g.layout.sheets[number];
    const double w = g.options.width * 1e3, h = g.options.height * 1e3, left = 10, top = 10;
    const auto x = [&](double m) { return left + (mirrored ? w - m * 1e3 : m * 1e3); };
    const auto y = [&](double m) { return top + h - m * 1e3; };
    std::string s =
        svgHeader(std::max(w, 110.0) + 20, h + 36, say("Sheet {} of {}", number + 1, g.layout.sheets.size()));
    s += fmt::format(
        "<rect id=\"sheet\" fill=\"none\" stroke=\"#999\" stroke-width=\"0.2\" x=\"{}\" y=\"{}\" "
        "width=\"{:.4f}\" height=\"{:.4f}\"/>\n",
        left, top, w, h);
    for (const auto& p : sheet.placements) {
        const Template& t = sheets.templates[g.templates[p.piece]];
        s += fmt::format(
            "<path id=\"part-{}-{}\" fill=\"none\" stroke=\"#000\" stroke-width=\"0.3\" "
            "fill-rule=\"evenodd\" d=\"",
            t.number, p.copy + 1);
        const auto loops = cutting::placedLoops(t.cut, p);
        for (const auto& l : loops) {
            for (size_t i = 0; i < l.size(); ++i)
                s += fmt::format("{}{:.5f} {:.5f}", i ? "L" : "M", x(l[i][0]), y(l[i][1]));
            s += "Z";
        }
        s += "\"/>\n";
        const auto text = [&](const form::Point2& at, double size, const std::string& words) {
            s += fmt::format(
                "<text x=\"{:.3f}\" y=\"{:.3f}\" font-size=\"{}\" text-anchor=\"middle\" "
                "font-family=\"sans-serif\">{}</text>\n",
                x(at[0]), y(at[1]) + 0.35 * size, size, words);
        };
        form::Point2 middle{0, 0};
        for (const auto& q : loops.front())
            middle = {middle[0] + q[0] / double(loops.front().size()), middle[1] + q[1] / double(loops.front().size())};
        text(middle, 6, std::to_string(t.number));
        for (const auto& m : t.marksOf(p.copy)) text(cutting::placedAt(p, m.at), 3.5, m.letter);
    }
    return s + svgRuler(left, h + 20) + "</svg>\n";
}

}  // namespace uovo::io
