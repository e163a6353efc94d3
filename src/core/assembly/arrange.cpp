#include "core/assembly/arrange.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

#include "core/assembly/contacts.h"
#include "core/quantity/catalogue.h"
#include "core/quantity/words.h"

namespace uovo::assembly {
namespace {

using form::Box;
using form::Part;
using form::PartItem;
using form::PartJoint;
using form::Pose;
using form::Vec3;

constexpr double kShortest = 1e-3;              // m of a glue line
constexpr double kPulled = 0.6, kRaised = 0.5;  // of its place, so far a part moves when all is pulled apart
constexpr double kLifted = 0.01;                // m more where it stands on something

bool isPair(const PartJoint& j, const std::string& a, const std::string& b) {
    return (j.a == a && j.b == b) || (j.a == b && j.b == a);
}

}  // namespace

tl::expected<Placer, Problem> placerOf(const Part& assembly, const form::Meshes& meshes, const form::Detail& detail) {
    const auto built = form::build(assembly, meshes, detail);
    if (!built) return tl::unexpected(built.error());
    return Placer(*built);
}

namespace {

/// Sets where an item lies, and how far it moves when all is pulled apart. @param item number of a part of its shape
void setPlace(PartItem& p, size_t item, const Placer& placer, const Pose& pose) {
    form::setPose(p, pose);
    for (auto& m : p.at) m = Measure(std::round(m.value * 1e6) / 1e6 + 0.0);  // a thousandth of a millimetre
    for (auto& m : p.turn) m = Measure(std::round(m.value * 1e6) / 1e6 + 0.0);
    const Box mine = placer.boxAt(item, pose);
    Box base = mine;  // the lowest and first
    for (size_t j = 0; j < placer.size(); ++j)
        if (j != item && placer.box(j).low.z < base.low.z + kLifted) {
            base = placer.box(j);
            break;
        }
    const Vec3 from = (base.low + base.high) * 0.5, to = (mine.low + mine.high) * 0.5;
    const double up = mine.low.z - placer.table();
    p.apart = {kPulled * (to.x - from.x), kPulled * (to.y - from.y), kRaised * up + (up > kShortest ? kLifted : 0)};
}

}  // namespace

void putAt(Part& assembly, size_t item, const Placer& placer, const Pose& pose) {
    setPlace(assembly.items[item], item, placer, pose);
}

tl::expected<size_t, Problem> copyTo(Part& assembly, size_t item, const Placer& placer, const Pose& pose) {
    if (assembly.items.size() >= kMostParts)
        return tl::unexpected(Problem{say("{} parts are as many as one piece takes.", kMostParts), "placeWords"});
    PartItem copy = assembly.items[item];
    // "wall-3" is the third of "wall"
    const auto withoutNumber = [](const std::string& s, char before) {
        const auto at = s.rfind(before);
        const bool number = at != std::string::npos && at + 1 < s.size() &&
                            s.find_first_not_of("0123456789", at + 1) == std::string::npos;
        return number ? s.substr(0, at) : s;
    };
    const std::string stem = withoutNumber(copy.key, '-'), name = withoutNumber(copy.name, ' ');
    int i = 2;
    do copy.key = fmt::format("{}-{}", stem, i), copy.name = fmt::format("{} {}", name, i), ++i;
    while (form::itemOf(assembly, copy.key) ||
           std::ranges::any_of(assembly.items, [&](const PartItem& o) { return o.name == copy.name; }));
    setPlace(copy, item, placer, pose);
    assembly.items.push_back(std::move(copy));
    return assembly.items.size() - 1;
}

std::string addPart(Part& assembly, const Part& part, const std::string& name, const form::Meshes& meshes) {
    if (assembly.items.size() >= kMostParts) return {};
    std::string key = form::addItem(assembly, part.family, meshes);
    PartItem* item = form::itemOf(assembly, key);
    if (!item) return {};
    item->part = part;
    if (!name.empty()) {
        item->name = name;
        for (int i = 2; std::ranges::count(assembly.items, item->name, &PartItem::name) > 1; ++i)
            item->name = fmt::format("{} {}", name, i);
    }
    return key;
}

tl::expected<void, Problem> glueWhatTouches(Part& assembly, const std::vector<std::string>& keys,
                                            const form::Meshes& meshes) {
    const auto built = form::build(assembly, meshes, kRigid);
    if (!built) return tl::unexpected(built.error());
    std::vector<Body> bodies;
    for (const auto& item : built->items) {
        Body b;
        b.name = item.name;
        b.solid = form::placed(item.shape.solid(), item.pose);
        bodies.push_back(std::move(b));
    }
    const auto mine = [&](const std::string& key) { return std::ranges::find(keys, key) != keys.end(); };
    const auto found = contactsOf(bodies);
    std::erase_if(assembly.joints, [&](const PartJoint& j) {
        if (!mine(j.a) && !mine(j.b)) return false;
        return std::ranges::none_of(found.contacts, [&](const Contact& c) {
            return c.b != kTable && isPair(j, assembly.items[c.a].key, assembly.items[c.b].key);
        });
    });
    for (const auto& c : found.contacts) {
        if (c.b == kTable) continue;
        const PartItem &a = assembly.items[c.a], &b = assembly.items[c.b];
        if (!a.edible || !b.edible || (!mine(a.key) && !mine(b.key))) continue;
        const double length = std::round(std::max(c.length, kShortest) * 1e3) / 1e3;
        const auto has =
            std::ranges::find_if(assembly.joints, [&](const PartJoint& j) { return isPair(j, a.key, b.key); });
        if (has != assembly.joints.end()) {
            if (has->length.typed.empty()) has->length = Measure(length);
            continue;
        }
        // the upper one is on the lower one
        const bool swap = form::bounds(bodies[c.a].solid).low.z < form::bounds(bodies[c.b].solid).low.z;
        const PartItem &upper = swap ? b : a, &lower = swap ? a : b;
        PartJoint joint;
        joint.a = lower.key;
        joint.b = upper.key;
        joint.length = Measure(length);
        joint.words = lowerFirst(upper.name) + (c.isPatch() ? tr(" on ") : tr(" to ")) + lowerFirst(lower.name);
        assembly.joints.push_back(std::move(joint));
    }
    return {};
}

}  // namespace uovo::assembly
