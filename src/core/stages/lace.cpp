#include "core/stages/lace.h"

#include <algorithm>

#include "core/stages/strength.h"

namespace uovo {
namespace {

constexpr double kSides = 4;  // lines round a hole of two sets of them

bool overBalloon(const form::Part& part) { return part.family == "balloon-lace"; }
/// Drips run down from the rim: no net.
bool isNet(const form::Part& part) {
    return overBalloon(part) ? form::choice(part, "pattern") != "drips" : part.family == "lace";
}

}  // namespace

std::vector<LaceHold> laceHolds(const Piece& piece, const Plan& plan, const material::Library& lib, const Made& made) {
    std::vector<LaceHold> out;
    for (size_t k = 0; k < made.assembly.items.size(); ++k) {
        const auto& item = made.assembly.items[k];
        if (!item.edible || !isNet(item.part)) continue;
        const bool balloon = overBalloon(item.part);
        LaceHold h;
        h.item = k;
        h.balloon = balloon;
        h.thickKey = balloon ? "lineHeight" : "thickness";
        h.width = form::figure(item.part, "lineWidth");
        h.thick = form::figure(item.part, h.thickKey);
        const auto net = balloon ? form::netOf(item.shape.surface) : form::flatNetOf(item.shape.surface, 0.5 * h.thick);
        h.parts = net.parts;
        h.holes = net.holes.size();
        const double low = form::bounds(item.shape.surface).low.z;
        for (const auto& hole : net.holes)
            if (hole.round / kSides > h.span) h.span = hole.round / kSides, h.height = hole.middle.z - low;
        h.mean = strengthOf(plan, lib, piece.chocolate).strength.mean;
        // a bar held at both ends, loaded in its middle: stress = 3/4 F s / (w t²)
        const double bears = h.mean * h.width * h.thick * h.thick / (0.75 * std::max(1e-6, h.span));  // N
        h.atOnce = balloon && piece.handling.release == Handling::Release::Burst;
        const double pull = h.atOnce
                                ? lib.strong("burstLine")
                                : lib.strong("peelLine") * (balloon && !piece.handling.oil ? lib.strong("peelDry") : 1);
        h.peeled = bears / (pull * h.width);
        const double finger = std::max(lib.strong("squeezeLeast"), made.mass * kGravity * lib.usual("jerk"));
        h.lifted = bears / finger;
        out.push_back(h);
    }
    return out;
}

}  // namespace uovo
