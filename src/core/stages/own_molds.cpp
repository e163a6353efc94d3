#include "core/stages/own_molds.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace uovo {
namespace {

/// Room in a round vessel up to a height, m³.
double room(const material::Pot& pot, double height) {
    const double a = 0.5 * pot.baseDiameter, b = a + (0.5 * pot.topDiameter - a) * std::min(1.0, height / pot.height);
    return std::numbers::pi * height / 3 * (a * a + a * b + b * b);
}

/// The vessel that takes an original with its silicone round it and asks for least. @param size of the original as it
/// stands, m
std::optional<MoldPan> panFor(const form::Vec3& size, double volume, double wall, double spare,
                              const material::Library& lib) {
    std::optional<MoldPan> out;
    const double across = std::hypot(size.x, size.y) + 2 * wall, height = size.z + wall;
    for (const auto& pot : lib.pots) {
        if (pot.baseDiameter < across || pot.height < height) continue;
        const double silicone = (room(pot, height) - volume) * (1 + spare);
        if (!out || silicone < out->silicone) out = MoldPan{pot.name, silicone, height};
    }
    return out;
}

}  // namespace

mold::MoldOptions moldOptions(const MoldWish& wish, const material::Library& lib) {
    mold::MoldOptions o = mold::usualMold(lib);
    o.parts = wish.parts;
    o.hardness = wish.hardness;
    o.wall = wish.wall.value;
    o.pulls = kPullsAtOnce;
    o.silicone.partsA = wish.partsA;
    o.silicone.partsB = wish.partsB;
    o.silicone.byMass = wish.byMass;
    o.silicone.cure = wish.cure.value;
    return o;
}

bool takesOwnMolds(const Piece& piece) {
    return piece.family().copied || std::ranges::any_of(piece.shape.items, [](const form::PartItem& i) {
               const auto* f = form::family(i.part.family);
               return f && f->copied;
           });
}

std::vector<MoldWork> moldWorks(const Piece& piece, const material::Library& lib, const Made& made,
                                std::stop_token stop) {
    std::vector<MoldWork> out;
    const auto options = moldOptions(piece.mold, lib);
    const int wanted = piece.molds > 0 ? piece.molds : piece.count;
    for (size_t k = 0; k < made.assembly.items.size(); ++k) {
        const auto& item = made.assembly.items[k];
        const auto* family = form::family(item.part.family);
        if (!family || !family->copied || !item.edible) continue;
        MoldWork w;
        w.item = k;
        if (made.assembly.items.size() > 1) w.name = item.name;
        w.molds = wanted;
        form::Vec3 size = form::bounds(item.shape.surface).size();
        w.box = mold::boxPour(size, item.shape.volume, options.wall, options.silicone);
        if (!family->byWater) {
            w.own = mold::ownMold(item.shape.surface, options, lib, stop);
            if (!w.own) return {};
            w.box = w.own->box;
            size = {w.box.inside.x - 2 * options.wall, w.box.inside.y - 2 * options.wall,
                    w.box.inside.z - options.wall};
            w.pourings = w.own->map.parts;
        }
        w.pan = panFor(size, item.shape.volume, options.wall, options.silicone.spare, lib);
        if (w.pan && w.pan->silicone >= w.box.silicone) w.pan.reset();
        const double kg = w.box.massA + w.box.massB;
        w.mixes = w.pourings * lib.former("siliconeStir") + kg * lib.former("siliconeStirEach");
        w.pours = w.box.silicone / lib.former("siliconePour");
        w.cost = piece.mold.price * kg * w.molds;
        w.life = lib.former("siliconeLife");
        w.firstCast = made.items.size() > k ? made.items[k] * w.molds : 0;
        out.push_back(std::move(w));
    }
    return out;
}

MoldTime moldTime(const Piece& piece, const std::vector<MoldWork>& works, const material::Library& lib) {
    MoldTime out;
    if (works.empty()) return out;
    int pourings = 1;
    for (const auto& w : works) {
        pourings = std::max(pourings, w.pourings);
        out.hands += w.molds * (lib.former("moldBuild") + w.mixes + w.pours);
    }
    const double last = lib.former("moldWash") + lib.former("moldFirstCast");
    out.ready = out.hands + pourings * piece.mold.cure.value + last;
    out.hands += lib.former("moldWash");
    return out;
}

}  // namespace uovo
