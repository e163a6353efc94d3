#include "core/stages/stencil.h"

#include <algorithm>
#include <cmath>

namespace uovo {
namespace {

constexpr double kPaper = 0.18;     // m of a strip that fits on a page
constexpr double kBeside = 0.01;    // m of paper round the openings
constexpr double kWords = 0.03;     // m of paper below them to write on and to hold it by
constexpr double kAlone = 0.012;    // m, an opening over a face
constexpr double kLargest = 0.02;   // m, one round a rim
constexpr double kOfSpacing = 0.6;  // of the way from one to the next

form::Loop figureAt(const std::string& name, double size, double x, double y) {
    form::Loop loop = form::silhouette(name, size, size, 120);
    for (auto& p : loop) p = {x - p[1], y + p[0]};  // its head up
    return loop;
}

}  // namespace

std::string stencilFigure(const DecorateStep& step) {
    const auto& all = form::silhouettes();
    return std::ranges::find(all, step.name) != all.end() ? step.name : "leaf";
}

double stencilSize(const std::optional<RimRing>& ring) {
    return ring ? std::min(kOfSpacing * ring->spacing, kLargest) : kAlone;
}

std::optional<StencilStrip> stencilStrip(const Piece& piece, const DecorateStep& step,
                                         const std::optional<RimRing>& ring) {
    if (step.way != DecorateStep::Way::Stencil) return std::nullopt;
    const std::string figure = stencilFigure(step);
    StencilStrip out;
    out.piece = piece.name;
    out.size = stencilSize(ring);
    out.round = ring.has_value();
    int rows = 1, columns = 1;
    if (ring) {
        out.spacing = ring->spacing;
        const int fit = std::max(1, static_cast<int>((kPaper - 2 * kBeside) / out.spacing));
        // of those that fit and are not few, the most that go round a whole number of times; else the last lap is short
        columns = std::min(fit, ring->times());
        for (int k = columns; 2 * k > fit; --k)
            if (ring->times() % k == 0) {
                columns = k;
                break;
            }
        out.laid = (ring->times() + columns - 1) / columns;
        out.lastOnly = ring->times() % columns;
    } else {
        const double area = std::abs(form::signedArea(form::silhouette(figure, out.size, out.size, 240)));
        out.spacing = std::max(1.15 * out.size, std::sqrt(area / std::clamp(step.cover, 0.02, 0.9)));
        columns = std::clamp(static_cast<int>((kPaper - 2 * kBeside) / out.spacing), 1, 6);
        rows = 3;
    }
    const double wide = columns * out.spacing, high = (rows - 1) * out.spacing + out.size;
    for (int j = 0; j < rows; ++j)
        for (int i = 0; i < columns; ++i)
            out.openings.push_back(figureAt(figure, out.size, (i + 0.5) * out.spacing - wide / 2,
                                            (rows > 1 ? j - 0.5 * (rows - 1) : 0) * out.spacing));
    // laid beside itself its ends meet; over a face there is paper round it
    const double x = wide / 2 + (out.round ? 0 : kBeside), y = high / 2 + kBeside;
    out.outline = {{-x, -y - kWords}, {x, -y - kWords}, {x, y}, {-x, y}};
    out.words = {0, -y - kWords / 2};
    return out;
}

}  // namespace uovo
