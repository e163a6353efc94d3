#include "core/form/part.h"

#include <algorithm>
#include <cmath>

#include "core/form/part_builders.h"
#include "core/quantity/catalogue.h"

namespace uovo::form {

tl::unexpected<Problem> refuse(std::string sentence, std::string field) {
    return tl::unexpected(Problem{std::move(sentence), std::move(field)});
}

double figure(const Part& part, const std::string& key) {
    if (const auto it = part.values.find(key); it != part.values.end()) return it->second.value;
    const Family* f = family(part.family);
    const Field* field = f ? f->field(key) : nullptr;
    return field ? field->value : 0;
}

std::string choice(const Part& part, const std::string& key) {
    if (const auto it = part.choices.find(key); it != part.choices.end()) return it->second;
    const Family* f = family(part.family);
    const Choice* c = f ? f->choice(key) : nullptr;
    return c ? c->options.front() : std::string();
}

bool asked(const Part& part, const Only& only) {
    return only.choice.empty() || std::ranges::count(only.words, choice(part, only.choice)) > 0;
}

namespace {

bool is(const Part& part, std::optional<Only> Family::*what) {
    const Family* f = family(part.family);
    return f && f->*what && asked(part, *(f->*what));
}

}  // namespace

bool fromFile(const Part& part) { return is(part, &Family::fromFile); }

bool isShut(const Part& part) { return is(part, &Family::shut); }

bool isHung(const Part& part) { return is(part, &Family::hung); }

bool hasHandle(const Part& part) { return is(part, &Family::handle); }

std::vector<std::string> modelsOf(const Part& part) {
    std::vector<std::string> out;
    if (!part.mesh.empty()) out.push_back(part.mesh);
    for (const auto& item : part.items)
        for (auto& name : modelsOf(item.part)) out.push_back(std::move(name));
    return out;
}

Part unopened(Part part) {
    part.values[kOpening] = Measure(0);
    return part;
}

namespace {

Measure measure(const Part& part, const std::string& key) {
    const auto it = part.values.find(key);
    return it != part.values.end() ? it->second : Measure(figure(part, key));
}

}  // namespace

Balloon balloonOf(const Part& p) {
    return {measure(p, "girth"), measure(p, "length"), measure(p, "dip"), measure(p, "pear")};
}

Cup cupOf(const Part& p) {
    return {measure(p, "baseDiameter"), measure(p, "topDiameter"), measure(p, "height"), measure(p, "corner"),
            measure(p, "fillLine")};
}

tl::expected<Meridian, Problem> meridian(const Part& part) {
    const Family* f = family(part.family);
    if (!f || !f->meridian) return refuse(tr("This shape has no meridian."), "family");
    return f->former == Former::Balloon ? meridian(balloonOf(part)) : meridian(cupOf(part));
}

Part usual(const std::string& id) {
    Part p;
    p.family = id;
    if (const Family* f = family(id)) {
        for (const auto& field : f->fields) p.values[field.key] = Measure(field.value);
        for (const auto& c : f->choices) p.choices[c.key] = c.options.front();
        if (id == "profile-mold") p.points = {{{0, 0}, {0.022, 0}, {0.030, 0.012}, {0.024, 0.030}, {0.034, 0.060}}};
        if (id == "figure-lathe")
            p.points = {{{0, 0},
                         {0.028, 0.004},
                         {0.040, 0.026},
                         {0.030, 0.048},
                         {0.018, 0.058},
                         {0.026, 0.076},
                         {0.018, 0.096},
                         {0, 0.102}}};
        if (id == "sheet") p.values["width"] = Measure(0.08);
        if (id == kAssembly)
            for (const char* of : {"disc", "half-ball"}) addItem(p, of, {});
    }
    return p;
}

tl::expected<void, Problem> checkFigure(const Field& field, double v) {
    const auto text = [&](double x) { return format(x, field.dimension, UnitSystem::Metric); };
    if (!std::isfinite(v)) return refuse(field.name + tr(" is not a number."), field.key);
    if (v < field.low - 1e-9 * std::abs(field.low) || v > field.high + 1e-9 * std::abs(field.high))
        return refuse(field.name + tr(" is ") + text(v) + tr("; it must be between ") + text(field.low) + tr(" and ") +
                          text(field.high) + ".",
                      field.key);
    if (field.dimension == Dimension::Count && field.whole && v != std::floor(v))
        return refuse(field.name + tr(" is a whole number."), field.key);
    return {};
}

tl::expected<void, Problem> checkFigures(const Part& part) {
    const Family* f = family(part.family);
    if (!f) return refuse(tr("This program does not know the family “") + part.family + "”.", "family");
    for (const auto& field : f->fields)
        if (auto ok = checkFigure(field, figure(part, field.key)); !ok && asked(part, field.only)) return ok;
    for (const auto& c : f->choices) {
        const std::string word = choice(part, c.key);
        if (std::find(c.options.begin(), c.options.end(), word) == c.options.end())
            return refuse(c.name + tr(" cannot be “") + word + "”.", c.key);
    }
    return part.family == kAssembly ? checkItems(part) : tl::expected<void, Problem>{};
}

std::vector<Loop> sheetOutline(const Part& part) {
    auto loops = sheetLoops(Values{part});
    return loops ? *loops : std::vector<Loop>{};
}

tl::expected<Assembly, Problem> build(const Part& part, const Meshes& meshes, const Detail& detail) {
    if (auto ok = checkFigures(part); !ok) return tl::unexpected(ok.error());
    if (part.family == kAssembly) return buildAssembly(part, meshes, detail);
    if (family(part.family)->body == Body::Compound) return buildCompound(part, meshes, detail);
    return buildOne(part, meshes, detail);
}

tl::expected<Assembly, Problem> buildOne(const Part& part, const Meshes& meshes, const Detail& detail) {
    const Family& f = *family(part.family);
    const Values v{part};
    const std::string& id = part.family;
    Built built = refuse(tr("There is no such family."), "family");
    bool hollow = f.body == Body::Wall;
    if (id == "mesh" || id == "mesh-half") {
        built = buildModel(v, meshes);
        if (built && id == "mesh-half") built = halfOf(std::move(*built));
        hollow = hollow || v.choice("filled") == "hollow";
    } else if (id == "dipped") {
        built = buildDipped(v, detail);
    } else if (id == "cluster") {
        built = buildHeap(v, detail);
    } else if (f.meridian) {
        const auto m = meridian(part);
        if (!m) return tl::unexpected(m.error());
        built = roundFormer(*m, detail.triangles);
    } else if (f.former == Former::Balloon || id == "bought" || id == "original" || id == "plaque" || id == "flame" ||
               id == "egg-half" || id == "pressed-figure") {
        built = buildFree(v, id, detail);
    } else if (id == "rope" || id == "clip-handle") {
        built = buildSwept(v, id, detail);
    } else if (f.body == Body::Sheet || id == "bar" || id == "collar" || id == "arch" || id == "spoon" ||
               id == "ribbon") {
        built = buildSheet(v, id, detail);
    } else {
        built = buildRound(v, id, detail);
    }
    if (!built) return tl::unexpected(built.error());
    if (f.body == Body::Cast && f.field("core")) {
        built->displaced = v("core");
        if (built->displaced > 0.8 * built->volume)
            return refuse(tr("The core takes nearly all of the room in the mold."), "core");
    }
    built->body = hollow ? Body::Wall : f.body == Body::Wall ? Body::Cast : f.body;
    built->outside = f.outside;
    if (hollow && f.field("wall")) built->wall = v("wall");
    if ((f.body == Body::Cast && !hollow && !f.gap) || f.body == Body::Modeled)
        built->wall = built->wallLow = built->wallHigh = 0;  // solid through and through
    if (built->wallLow == 0 && built->wallHigh == 0) built->wallLow = built->wallHigh = built->wall;
    Assembly out;
    Item item;
    item.key = id;
    item.name = f.name;
    item.part = part;
    item.shape = std::move(*built);
    out.items.push_back(std::move(item));
    if (f.former == Former::Itself && hollow) {  // what is in it stands out of it
        auto inside = insideOf(v, detail);
        if (!inside) return tl::unexpected(inside.error());
        Item thing;
        thing.key = "inside";
        thing.name = tr("What is in it");
        thing.part = part;
        thing.shape = std::move(*inside);
        thing.shape.body = Body::Cast;
        thing.edible = false;
        out.items.push_back(std::move(thing));
    }
    return out;
}

namespace {

/// Set chocolate of an inner wall that thick, m³; negative or falling where it is thicker than the room it stands in.
double lining(Shape shape, double wall) {
    shape.wall = wall;
    shape.land = 0;
    return shape.chocolateIn(shape.solid());
}

bool fits(const Shape& shape, double wall) {
    const double volume = lining(shape, wall);
    return volume > lining(shape, 0.95 * wall) && volume < shape.volume;
}

}  // namespace

tl::expected<void, Problem> checkBuild(const Part& part, const Meshes& meshes, bool assumedWalls) {
    constexpr Detail kCoarse{400, 16};
    const auto built = [&]() -> tl::expected<Assembly, Problem> {
        try {
            return build(part, meshes, kCoarse);
        } catch (const std::exception&) {  // of a library, where a shape is beyond it
            return refuse(tr("This shape cannot be built; change one of its figures a little."), "family");
        }
    }();
    if (!built) return tl::unexpected(built.error());
    for (const auto& item : built->items) {
        const Shape& s = item.shape;
        if (!assumedWalls || !item.edible || s.body != Body::Wall || s.outside || s.coverage < 1 || !(s.wall > 0) ||
            fits(s, s.wall))
            continue;
        double low = 0, high = s.wall;
        for (int k = 0; k < 12; ++k) (fits(s, 0.5 * (low + high)) ? low : high) = 0.5 * (low + high);
        const auto text = [](double x) { return format(x, Dimension::Length, UnitSystem::Metric); };
        const auto own = part.own.find(item.key);
        const bool whole = built->items.size() == 1;
        return refuse((whole ? std::string() : item.name + ": ") + tr("A wall of ") + text(s.wall) +
                          tr(" does not go into it; at most ") + text(0.95 * low) + ".",
                      part.family == kAssembly                                ? "items/" + item.key + "/wall"
                      : own != part.own.end() && own->second.contains("wall") ? "own/" + item.key + "/wall"
                                                                              : "wall");
    }
    return {};
}

double Shape::chocolateIn(const Mesh& solid) const {
    if (body != Body::Wall) return volume - displaced;
    if (coverage < 1) return area * coverage * wall;
    // The mesh's shell, corrected by how much the mesh's area misses the true one.
    const double meshArea = uovo::form::area(surface);
    return uovo::form::volume(solid) * (meshArea > 0 ? area / meshArea : 1);
}

Mesh Shape::solid(std::vector<double>* at) const {
    if (body != Body::Wall) {
        if (at) at->assign(surface.points.size(), wall);
        return surface;
    }
    if (!thickness.empty()) return shell(surface, thickness, outside, at);
    std::vector<double> told(surface.points.size(), wall);
    for (size_t i = 0; land > wall && i < told.size(); ++i)  // a gusset at 45° to the seam
        told[i] = std::max(wall, land - std::abs(dot(surface.points[i] - seamAt, seamNormal)));
    return shell(surface, told, outside, at);
}

Mesh Assembly::solid() const {
    Mesh m;
    for (const auto& i : items) append(m, placed(i.shape.solid(), i.pose));
    return m;
}

double Assembly::chocolate() const {
    double sum = 0;
    for (const auto& i : items)
        if (i.edible) sum += i.shape.chocolate();
    return sum;
}

Vec3 Assembly::centre() const {
    Vec3 sum;
    double all = 0;
    for (const auto& i : items) {
        if (!i.edible) continue;
        const Mesh m = placed(i.shape.solid(), i.pose);
        const double v = volume(m);
        sum += centroid(m) * v;
        all += v;
    }
    return all > 0 ? sum * (1 / all) : sum;
}

}  // namespace uovo::form
