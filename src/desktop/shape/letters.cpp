#include "desktop/shape/letters.h"

#include <QFontMetricsF>
#include <QPainterPath>
#include <algorithm>

#include "core/cutting/narrow.h"
#include "core/form/outline_box.h"
#include "core/quantity/catalogue.h"
#include "report/fonts.h"

namespace uovo::desktop {
namespace {

constexpr double kSet = 400;                     // px that letters are set at before they are scaled
constexpr double kBarLow = 0.16, kBarUp = 0.05;  // of a capital: the bar reaches under and over the foot of the letters
constexpr int kMost = 40;                        // letters

}  // namespace

tl::expected<std::vector<form::Loop>, Problem> letters(const QString& text, double capital, bool bar) {
    const auto refuse = [](std::string words) { return tl::unexpected(Problem{std::move(words), "letters"}); };
    if (text.trimmed().isEmpty()) return refuse(say("Write a letter or a word."));
    if (text.size() > kMost) return refuse(say("A word of at most 40 letters."));
    if (!(capital >= 5e-3 && capital <= 0.4)) return refuse(say("Letters are 5 to 400 mm high."));
    const QFont font = report::font(kSet, QFont::Bold);
    QPainterPath path;
    path.addText(0, 0, font, text.trimmed());
    const double scale = capital / QFontMetricsF(font).capHeight();
    std::vector<form::Loop> loops;
    double left = 1e9, right = -1e9;
    for (const auto& polygon : path.toSubpathPolygons()) {
        form::Loop loop;
        for (const auto& p : polygon) {
            const form::Point2 q{p.x() * scale, -p.y() * scale};
            if (loop.empty() || std::hypot(q[0] - loop.back()[0], q[1] - loop.back()[1]) > 1e-6) loop.push_back(q);
            left = std::min(left, q[0]);
            right = std::max(right, q[0]);
        }
        if (loop.size() > 1 && std::hypot(loop.front()[0] - loop.back()[0], loop.front()[1] - loop.back()[1]) < 1e-6)
            loop.pop_back();
        if (loop.size() >= 3) loops.push_back(std::move(loop));
    }
    if (loops.empty()) return refuse(say("There is nothing to see of these letters."));
    // letters of a font run clockwise outside; all are turned so that outlines are counter-clockwise
    double area = 0;
    for (const auto& l : loops) area += form::signedArea(l);
    if (area < 0)
        for (auto& l : loops) std::reverse(l.begin(), l.end());
    if (bar)
        loops.push_back({{left, -kBarLow * capital},
                         {right, -kBarLow * capital},
                         {right, kBarUp * capital},
                         {left, kBarUp * capital}});
    auto joined = cutting::united(loops);
    const auto outlines = std::ranges::count_if(joined, [](const form::Loop& l) { return form::signedArea(l) > 0; });
    if (outlines != 1)
        return refuse(bar ? say("A part of these letters, a dot or an accent, does not reach the bar: leave it out.")
                          : say("These letters do not hold together: join them by a bar, or cut them one by one."));
    const auto middle = form::boxOf(joined.front()).middle();
    for (auto& l : joined)
        for (auto& p : l) p = {p[0] - middle[0], p[1] - middle[1]};
    return joined;
}

}  // namespace uovo::desktop
