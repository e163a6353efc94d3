// Assemblies of one's own: parts at their places, glued where a person says.
#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <utility>

#include "core/form/joint.h"
#include "core/form/part_builders.h"
#include "core/quantity/catalogue.h"
#include "core/quantity/words.h"

namespace uovo::form {
namespace {

constexpr double kFarOff = 2;      // m: a part further from the middle is a slip of the pen
constexpr double kLongest = 10;    // m of one joint
constexpr double kBeyond = 4;      // times: a compound gives its parts lengths a little beyond their families' limits
constexpr size_t kItemsFine = 24;  // items; the triangles of more are shared out
constexpr double kUsualJoint = 0.03;  // m

/// Sine and cosine of degrees, exact at quarter turns.
std::pair<double, double> sineCosine(double degrees) {
    const double turns = std::remainder(degrees, 360);
    if (turns == 0) return {0, 1};
    if (std::abs(turns) == 180) return {0, -1};
    if (std::abs(turns) == 90) return {turns / 90, 0};
    return {std::sin(turns * pi / 180), std::cos(turns * pi / 180)};
}

std::string place(const PartItem& item, const std::string& field) { return "items/" + item.key + "/" + field; }

/// Figures of an item, lengths a little beyond its family's limits allowed.
tl::expected<void, Problem> checkItem(const PartItem& item) {
    const Family* f = family(item.part.family);
    if (!f || f->body == Body::Compound)
        return refuse(say("{} is of no family that a part can be of.", item.name), "family");
    Part within = item.part;
    for (const auto& field : f->fields) {
        if (field.dimension != Dimension::Length && field.dimension != Dimension::Volume) continue;
        const double v = figure(within, field.key);
        if (v >= field.low / kBeyond && v <= field.high * kBeyond) within.values[field.key] = Measure(field.value);
    }
    return checkFigures(within);
}

}  // namespace

const PartItem* itemOf(const Part& assembly, const std::string& key) {
    const auto it = std::ranges::find(assembly.items, key, &PartItem::key);
    return it == assembly.items.end() ? nullptr : &*it;
}

PartItem* itemOf(Part& assembly, const std::string& key) {
    return const_cast<PartItem*>(itemOf(std::as_const(assembly), key));
}

Pose poseOf(const PartItem& item) {
    const auto [sa, ca] = sineCosine(item.turn[0].value);
    const auto [sb, cb] = sineCosine(item.turn[1].value);
    const auto [sc, cc] = sineCosine(item.turn[2].value);
    Pose p;  // columns of Rz Ry Rx
    p.x = {cc * cb, sc * cb, -sb};
    p.y = {cc * sb * sa - sc * ca, sc * sb * sa + cc * ca, cb * sa};
    p.z = {cc * sb * ca + sc * sa, sc * sb * ca - cc * sa, cb * ca};
    p.at = {item.at[0].value, item.at[1].value, item.at[2].value};
    return p;
}

void setPose(PartItem& item, const Pose& p) {
    constexpr double kUpright = 1e-12;  // both other turns are about one axis then
    const double flat = std::hypot(p.x.x, p.x.y);
    const double b = std::atan2(-p.x.z, flat);
    const double a = flat > kUpright ? std::atan2(p.y.z, p.z.z) : std::atan2(-p.z.y, p.y.y);
    const double c = flat > kUpright ? std::atan2(p.x.y, p.x.x) : 0;
    size_t i = 0;
    for (const double angle : {a, b, c}) {
        const double degrees = angle * 180 / pi, whole = std::round(degrees);
        item.turn[i++] = Measure(std::abs(degrees - whole) < 1e-12 ? whole + 0.0 : degrees);
    }
    item.at = {Measure(p.at.x), Measure(p.at.y), Measure(p.at.z)};
}

Detail detailOfItem(const Detail& whole, Body body, size_t items) {
    Detail detail = whole;
    detail.triangles *= body == Body::Sheet ? 0.08 : 0.5;
    if (items > kItemsFine) detail.triangles *= double(kItemsFine) / double(items);
    return detail;
}

tl::expected<void, Problem> checkItems(const Part& part) {
    if (part.items.empty()) return refuse(tr("It has no parts yet: add one."), "items");
    for (const auto& item : part.items) {
        if (item.key.empty() || item.key.find('/') != std::string::npos || itemOf(part, item.key) != &item)
            return refuse(say("Two parts cannot both be “{}”.", item.key), "items");
        if (auto ok = checkItem(item); !ok)
            return refuse(item.name + ": " + ok.error().sentence, place(item, ok.error().where));
        for (size_t i = 0; i < 3; ++i) {
            if (!(std::abs(item.at[i].value) <= kFarOff))
                return refuse(say("{} lies more than 2 m from the middle.", item.name),
                              place(item, fmt::format("at/{}", i)));
            if (!(std::abs(item.turn[i].value) <= 360))
                return refuse(say("{} is turned by at most 360 degrees.", item.name),
                              place(item, fmt::format("turn/{}", i)));
        }
        for (const double v : item.apart)
            if (!(std::abs(v) <= kFarOff))
                return refuse(tr("A part is pulled apart by 2 m at most."), place(item, "apart"));
    }
    for (size_t i = 0; i < part.joints.size(); ++i) {
        const PartJoint& j = part.joints[i];
        if (!itemOf(part, j.a) || !itemOf(part, j.b) || j.a == j.b)
            return refuse(tr("A joint is between two parts of the assembly."), fmt::format("joints/{}/b", i));
        if (!(j.length.value > 0 && j.length.value <= kLongest))
            return refuse(tr("A joint is longer than nothing, and 10 m at the most."),
                          fmt::format("joints/{}/length", i));
        if (const auto known = glues(); !j.glue.empty() && std::ranges::find(known, j.glue) == known.end())
            return refuse(say("A joint is not made by “{}”.", j.glue), fmt::format("joints/{}/glue", i));
    }
    return {};
}

tl::expected<Assembly, Problem> buildAssembly(const Part& part, const Meshes& meshes, const Detail& detail) {
    Assembly out;
    for (const auto& from : part.items) {
        auto built =
            buildOne(from.part, meshes, detailOfItem(detail, family(from.part.family)->body, part.items.size()));
        if (!built) return refuse(from.name + ": " + built.error().sentence, place(from, built.error().where));
        Item item = std::move(built->items.front());
        item.key = from.key;
        item.name = from.name;
        item.pose = poseOf(from);
        item.apart = {from.apart[0], from.apart[1], from.apart[2]};
        item.edible = from.edible;
        out.items.push_back(std::move(item));
    }
    const auto index = [&](const std::string& key) {
        return static_cast<size_t>(itemOf(part, key) - part.items.data());
    };
    for (const auto& j : part.joints)
        out.joints.push_back(
            {index(j.a), index(j.b), j.length.value, j.words, j.glue.empty() ? choice(part, "glue") : j.glue});
    out.enclosed = figure(part, "enclosed");
    return out;
}

tl::expected<Part, Problem> opened(const Part& compound, const Meshes& meshes) {
    if (const Family* f = family(compound.family); !f || f->body != Body::Compound)
        return refuse(tr("Only what is put together can be opened."), "family");
    if (compound.family == kAssembly) return compound;
    const auto built = build(compound, meshes, {400, 16});
    if (!built) return tl::unexpected(built.error());
    Part out;
    out.family = kAssembly;
    const Family &of = *family(compound.family), &free = *family(kAssembly);
    for (const auto& c : free.choices) out.choices[c.key] = of.choice(c.key) ? choice(compound, c.key) : c.options[0];
    for (const auto& f : free.fields)
        if (of.field(f.key)) out.values[f.key] = Measure(figure(compound, f.key));
    const auto says = [&](bool so, const std::optional<Only>& words) {
        if (so) out.choices[words->choice] = words->words.front();
    };
    says(isShut(compound), free.shut);
    says(hasHandle(compound), free.handle);
    says(isHung(compound), free.hung);
    if (built->enclosed > 0) out.values["enclosed"] = Measure(built->enclosed);
    for (const auto& item : built->items) {
        PartItem one;
        one.key = item.key;
        one.name = item.name;
        one.part = item.part;
        setPose(one, item.pose);
        one.apart = {item.apart.x, item.apart.y, item.apart.z};
        one.edible = item.edible;
        out.items.push_back(std::move(one));
    }
    for (const auto& j : built->joints) {
        PartJoint joint;
        joint.a = built->items[j.a].key;
        joint.b = built->items[j.b].key;
        joint.length = Measure(j.length);
        joint.words = j.words;
        out.joints.push_back(std::move(joint));
    }
    return out;
}

std::string addItem(Part& assembly, const std::string& id, const Meshes& meshes) {
    const Family* f = family(id);
    if (!f || f->body == Body::Compound) return {};
    PartItem item;
    item.key = id;
    const std::string name = item.name = f->brief;
    for (int i = 2; itemOf(assembly, item.key); ++i) {
        item.key = fmt::format("{}-{}", id, i);
        item.name = fmt::format("{} {}", name, i);
    }
    item.part = usual(id);
    if (!assembly.items.empty()) {
        Box box;
        if (const auto now = build(assembly, meshes, {400, 16})) box = bounds(now->solid());
        item.at[2] = Measure(std::isfinite(box.high.z) ? std::max(0.0, box.high.z) : 0);
        item.apart = {0, 0, 0.4 * (item.at[2].value + 0.02)};
        PartJoint joint;
        joint.a = assembly.items.back().key;
        joint.b = item.key;
        joint.length = Measure(kUsualJoint);
        joint.words = fmt::format("{} on {}", lowerFirst(item.name), lowerFirst(assembly.items.back().name));
        assembly.joints.push_back(std::move(joint));
    }
    assembly.items.push_back(std::move(item));
    return assembly.items.back().key;
}

void removeItem(Part& assembly, const std::string& key) {
    std::erase_if(assembly.items, [&](const PartItem& i) { return i.key == key; });
    std::erase_if(assembly.joints, [&](const PartJoint& j) { return j.a == key || j.b == key; });
}

}  // namespace uovo::form
