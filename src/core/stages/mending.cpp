#include "core/stages/mending.h"

#include <algorithm>
#include <cmath>
#include <numbers>

#include "core/form/joint.h"
#include "core/stages/strength.h"

namespace uovo {
namespace {

constexpr double kBears = 3, kShows = 1;  // times the hardest load
constexpr double kSplintLong = 12;        // thicknesses: six on either side of the break
constexpr double kPegFrom = 6e-3;         // m of thickness: thinner breaks where a hole is bored
constexpr double kPegLong = 8;            // of its diameter
constexpr double kPegApart = 4;           // diameters from peg to peg
constexpr double kPatchWide = 6;          // thicknesses

}  // namespace

Break breakOf(const form::Item& item, double volume) {
    const auto size = form::bounds(item.shape.surface).size();
    const double longest = std::max({size.x, size.y, size.z}), least = std::min({size.x, size.y, size.z});
    const bool thin = item.shape.body == form::Body::Wall || item.shape.body == form::Body::Sheet;
    Break b;
    b.thickness = thin && item.shape.wall > 0 ? item.shape.wall : least;
    const double section = volume / std::max(longest, 1e-6);  // mean, across its longest way
    b.length = std::max(b.thickness, section / std::max(b.thickness, 1e-6));
    return b;
}

std::vector<Mend> mends(const material::Library& lib, const PieceAnswers& known, size_t item) {
    std::vector<Mend> out;
    if (!known.made || item >= known.made->assembly.items.size()) return out;
    const auto& part = known.made->assembly.items[item];
    if (!part.edible || known.made->volumes[item] <= 0) return out;
    const double volume = known.made->volumes[item], density = known.made->items[item] / volume;
    const Break broken = breakOf(part, volume);
    const double t = broken.thickness, w = broken.length, fillet = lib.strong("jointFillet");
    const auto times = form::jointTimes(lib, form::kScored);
    const auto joint = form::jointStrength(lib, form::kScored);
    double hardest = 0;
    if (known.strength && known.strength->problem.empty() && !known.strength->cases.empty())
        hardest = known.strength->cases[known.strength->weakest].margin;
    const auto add = [&](Mend m) {
        m.share = std::min(1.0, m.share);
        m.low = std::min(1.0, m.low);
        m.high = std::min(1.0, m.high);
        m.margin = hardest * m.share;
        const double judged = hardest > 0 ? hardest * m.low : kBears * m.share;
        m.verdict = judged >= kBears   ? Mend::Verdict::Bears
                    : judged >= kShows ? Mend::Verdict::Shows
                                       : Mend::Verdict::Fails;
        out.push_back(m);
    };
    Mend glue;
    glue.hands = lib.usual("mendHands") + times.hold;
    glue.waits = times.bears;
    glue.mass = density * w * fillet * fillet;  // a fillet on either side
    glue.share = joint.value;
    glue.low = joint.low;
    glue.high = joint.high;
    add(glue);
    const bool wall = part.shape.body == form::Body::Wall;
    // twice as high a section: the outer fibre of the strip is whole, the glued face bears four times as much
    const double stiffer = 4;
    Mend strip = glue;
    strip.how = wall ? Mend::How::Patch : Mend::How::Splint;
    strip.hands += lib.usual("mendHands");
    strip.waits *= 2;  // one after the other
    strip.mass += density * w * t * (wall ? kPatchWide : kSplintLong) * t;
    strip.share *= stiffer;
    strip.low *= stiffer;
    strip.high *= stiffer;
    add(strip);
    if (!wall && t >= kPegFrom) {
        const double d = t / 2;
        const double many = std::max(1.0, std::floor(w / (kPegApart * d)));
        const double more = many * std::numbers::pi * d * d * d / 32 / (w * t * t / 6);
        Mend peg = glue;
        peg.how = Mend::How::Peg;
        peg.hands += many * lib.usual("pegHands");
        peg.mass += density * many * std::numbers::pi / 4 * d * d * kPegLong * d;
        peg.share += more;
        peg.low += more;
        peg.high += more;
        add(peg);
    }
    Mend anew;
    anew.how = Mend::How::Anew;
    anew.hands = lib.usual("anewHands");
    anew.waits = known.made->setting.release;
    if (!std::isfinite(anew.waits) || anew.waits <= 0) anew.waits = times.bears;
    anew.waits += times.bears;  // and it is glued in
    anew.mass = known.made->items[item];
    add(anew);
    return out;
}

}  // namespace uovo
