// Parts put together: each compound is a list of ordinary parts at their places, driven by a few figures.
#include <fmt/format.h>

#include <algorithm>
#include <cmath>

#include "core/form/bevel.h"
#include "core/form/part_builders.h"
#include "core/quantity/catalogue.h"

namespace uovo::form {
namespace {

/// Corners of an item's opening, at its place.
std::vector<Vec3> rimOf(const Item& item) {
    const Mesh& m = item.shape.surface;
    std::vector<char> wall(m.points.size()), lid(m.points.size());
    for (size_t i = 0; i < m.triangles.size(); ++i)
        for (const int k : m.triangles[i]) (m.mark(i) == Mark::Wall ? wall : lid)[static_cast<size_t>(k)] = 1;
    std::vector<Vec3> out;
    for (size_t i = 0; i < wall.size(); ++i)
        if (wall[i] && lid[i]) out.push_back(item.pose(m.points[i]));
    return out;
}

constexpr double kRimsApart = 0.003;  // m, on the mean, the corners of their nets not being the same
constexpr double kRimsMeet = 0.04;    // so much may two rims differ in length and still be glued on each other

/// Collects items; a person's own figures of one part win over what the compound says.
class Assembler {
public:
    Assembler(const Part& whole, const Meshes& meshes, const Detail& detail)
        : whole_(whole), meshes_(meshes), detail_(detail) {}

    /// @param from which figure of the compound a figure of the part comes from, where they are not called the same
    void add(const std::string& key, const std::string& name, Part part, const Pose& pose, const Vec3& apart,
             const std::map<std::string, std::string>& from = {}) {
        if (problem_) return;
        const Family& f = *family(part.family);
        const auto own = whole_.own.find(key);
        const bool hasOwn = own != whole_.own.end();
        const auto refuseAt = [&](const Problem& p) {
            const auto source = from.find(p.where);
            const bool set = hasOwn && own->second.contains(p.where);
            problem_ = Problem{name + ": " + p.sentence, set                    ? "own/" + key + "/" + p.where
                                                         : source != from.end() ? source->second
                                                                                : p.where};
        };
        if (hasOwn)
            for (const auto& [figure, value] : own->second) {
                part.values[figure] = value;
                const Field* field = f.field(figure);
                if (auto ok = field ? checkFigure(*field, value.value) : tl::expected<void, Problem>{}; !ok) {
                    problem_ = Problem{fmt::format("{}: {}", name, ok.error().sentence),
                                       fmt::format("own/{}/{}", key, figure)};
                    return;
                }
            }
        auto built = buildOne(part, meshes_, detailOfItem(detail_, f.body, 1));
        if (!built) return refuseAt(built.error());
        Item item = std::move(built->items.front());
        item.key = key;
        item.name = name;
        item.part = std::move(part);
        item.pose = pose;
        item.apart = apart;
        out_.items.push_back(std::move(item));
    }
    void joint(size_t a, size_t b, double length, std::string words) {
        out_.joints.push_back({a, b, length, std::move(words), choice(whole_, "glue")});
    }
    void refuse(std::string sentence, std::string field) { problem_ = Problem{std::move(sentence), std::move(field)}; }
    Assembly& result() { return out_; }
    tl::expected<Assembly, Problem> take() {
        if (problem_) return tl::unexpected(*problem_);
        return std::move(out_);
    }

private:
    const Part& whole_;
    const Meshes& meshes_;
    const Detail& detail_;
    Assembly out_;
    std::optional<Problem> problem_;
};

Part part(const char* family, std::initializer_list<std::pair<const char*, double>> values,
          std::initializer_list<std::pair<const char*, const char*>> choices = {}) {
    Part p;
    p.family = family;
    for (const auto& [key, value] : values) p.values[key] = Measure(value);
    for (const auto& [key, word] : choices) p.choices[key] = word;
    return p;
}

Part polygon(Loop loop, double thickness) {
    Part p = part("sheet", {{"thickness", thickness}}, {{"cut", "points"}});
    p.points = {std::move(loop)};
    return p;
}

Pose at(double x, double y, double z) {
    Pose p;
    p.at = {x, y, z};
    return p;
}
/// Upside down, what was at z = 0 now at `z`.
Pose turned(double z) { return {{1, 0, 0}, {0, -1, 0}, {0, 0, -1}, {0, 0, z}}; }
/// A plate that stands upright: its x along `along`, its y up, its thickness towards the right of `along`.
Pose standing(const Vec3& along, const Vec3& where) { return {along, {0, 0, 1}, cross(along, {0, 0, 1}), where}; }

void basket(Assembler& a, const Values& v) {
    const double top = v("topDiameter"), h = v("height"), w = v("handleWidth"), d = v("handleDepth");
    a.add("basket", tr("Basket"),
          part("case", {{"baseDiameter", v("baseDiameter")},
                        {"topDiameter", top},
                        {"height", h},
                        {"flutes", 0},
                        {"fluteDepth", 0},
                        {"wall", v("wall")}}),
          at(0, 0, 0), {0, 0, 0});
    Pose upright = standing({1, 0, 0}, {0, d / 2, h});
    a.add("handle", tr("Handle"),
          part("arch", {{"span", top - std::max(v("wall"), 1e-3)}, {"rise", v("rise")}, {"width", w}, {"depth", d}}),
          upright, {0, 0, 0.6 * v("rise")},
          {{"span", "topDiameter"}, {"width", "handleWidth"}, {"depth", "handleDepth"}});
    a.joint(0, 1, 2 * 2 * (w + d), tr("both feet of the handle on the rim"));
}

/// A panel whose sides are cut at angles, degrees; its larger face at z = 0.
Part polygon(Loop loop, double thickness, const Bevel& bevel) {
    Part p = polygon(std::move(loop), thickness);
    if (!bevel.any()) return p;
    p.choices["sides"] = "bevelled sides";
    for (const auto& [key, degrees] : {std::pair{"bevelLeft", bevel.left},
                                       {"bevelRight", bevel.right},
                                       {"bevelTop", bevel.top},
                                       {"bevelBottom", bevel.bottom}})
        if (degrees != 0) p.values[key] = Measure(degrees);
    return p;
}

/// An upright panel that looks outwards, its outer face so far from the middle, at z = 0 of the part.
Pose facing(const Vec3& outwards, double distance) { return standing(cross(outwards, {0, 0, 1}), outwards * distance); }

constexpr double kSteepestCut = 60;  // degrees from square that a panel's side is cut at the most

/// How the panels of a house meet (docs/models.md, "Corners"). A butt ends against the other's face; a lap runs past
/// it; a mitre halves the angle.
void house(Assembler& a, const Values& v) {
    const double L = v("length"), W = v("width"), h = v("wallHeight"), roof = v("roofHeight"), over = v("overhang"),
                 t = v("thickness");
    const bool mitre = v.choice("corners") == "mitred corners", lap = v.choice("corners") == "lapped corners";
    const double slant = std::hypot(W / 2, roof), apart = 0.35 * W, slope = roof / (W / 2),
                 pitch = std::min(kSteepestCut, std::atan(slope) * 180 / pi);
    const double past = lap ? std::min(t, 0.5 * h / slope) : 0;  // the gables run past the walls
    const Loop gable{{-W / 2 - past, 0},
                     {W / 2 + past, 0},
                     {W / 2 + past, h - past * slope},
                     {0, h + roof},
                     {-W / 2 - past, h - past * slope}};
    const Bevel corner{mitre ? 45.0 : 0, mitre ? 45.0 : 0, 0, 0};
    if (mitre) {
        a.add("front", tr("Front gable"), polygon(gable, t, corner), facing({1, 0, 0}, L / 2), {apart, 0, 0});
        a.add("back", tr("Back gable"), polygon(gable, t, corner), facing({-1, 0, 0}, L / 2), {-apart, 0, 0});
        const Loop side{{-L / 2, 0}, {L / 2, 0}, {L / 2, h}, {-L / 2, h}};
        const Bevel wall{45, 45, -pitch, 0};  // its top under the roof
        a.add("left", tr("Left wall"), polygon(side, t, wall), facing({0, -1, 0}, W / 2), {0, -apart, 0});
        a.add("right", tr("Right wall"), polygon(side, t, wall), facing({0, 1, 0}, W / 2), {0, apart, 0});
    } else {
        a.add("front", tr("Front gable"), polygon(gable, t), standing({0, 1, 0}, {L / 2 - t, 0, 0}), {apart, 0, 0});
        a.add("back", tr("Back gable"), polygon(gable, t), standing({0, 1, 0}, {-L / 2, 0, 0}), {-apart, 0, 0});
        const Loop side{{-L / 2 + t, 0}, {L / 2 - t, 0}, {L / 2 - t, h}, {-L / 2 + t, h}};
        a.add("left", tr("Left wall"), polygon(side, t), standing({1, 0, 0}, {0, -W / 2 + t, 0}), {0, -apart, 0});
        a.add("right", tr("Right wall"), polygon(side, t), standing({1, 0, 0}, {0, W / 2, 0}), {0, apart, 0});
    }
    const double c = W / 2 / slant, s = roof / slant;
    // lapped, the right panel ends where its upper edge comes under the left one, which runs past it
    const double down = lap ? std::max(0.0, t * (c * c - s * s) / (2 * s * c)) : 0,
                 beyond = lap ? (t * s + down * c) / c + 0.5 * t : 0;
    const auto panel = [&](double top) {
        return Loop{{-L / 2 - over, -over}, {L / 2 + over, -over}, {L / 2 + over, top}, {-L / 2 - over, top}};
    };
    const Bevel ridge{0, 0, mitre ? -pitch : 0, 0};
    a.add("roof-left", tr("Left roof"), polygon(panel(slant + beyond), t, ridge),
          {{1, 0, 0}, {0, c, s}, {0, -s, c}, {0, -W / 2, h}}, {0, -apart, 0.8 * roof});
    a.add("roof-right", tr("Right roof"), polygon(panel(slant - down), t, ridge),
          {{-1, 0, 0}, {0, -c, s}, {0, s, c}, {0, W / 2, h}}, {0, apart, 0.8 * roof});
    for (const size_t gableAt : {0u, 1u}) {
        a.joint(gableAt, 2, h, tr("gable on the left wall"));
        a.joint(gableAt, 3, h, tr("gable on the right wall"));
        a.joint(gableAt, 4, slant, tr("left roof on a gable"));
        a.joint(gableAt, 5, slant, tr("right roof on a gable"));
    }
    a.joint(4, 5, L + 2 * over, "ridge");
    for (const size_t wall : {2u, 3u})
        a.joint(wall, wall + 2, L - 2 * t, wall == 2 ? tr("left roof on its wall") : tr("right roof on its wall"));
    // Room between the panels: under the slopes y(z) of the roof, whose underside runs from eave to ridge.
    const double inside = W - 2 * t;
    a.result().enclosed =
        std::max(0.0, L - 2 * t) * std::max(0.0, inside * h + roof * (inside - inside * inside / (2 * W)));
}

void tower(Assembler& a, const Values& v) {
    const int n = static_cast<int>(std::lround(v("sides")));
    const double side = v("side"), h = v("wallHeight"), t = v("thickness"), inradius = side / 2 / std::tan(pi / n),
                 dome = v("dome"), turn = 2 * pi / n;
    const std::string corners = v.choice("corners");
    const bool mitre = corners == "mitred corners", lap = corners == "lapped corners";
    // Mitred: each half of the angle. Butt: the inner edges meet, the groove outside is piped full. Lapped: each wall
    // begins where it touches the inner face of the one before, which runs past it.
    double from = -side / 2, to = side / 2;
    if (lap) {
        const double begins = t * (1 - std::min(0.0, std::cos(turn))) / std::sin(turn);
        to = side / 2 - begins;
        from = -side / 2 - std::max(0.0, begins * std::cos(turn)) - 0.5 * t;
    } else if (!mitre) {
        to -= t * std::tan(turn / 2);
        from = -to;
    }
    if (to - from < 2 * t)
        return a.refuse(tr("So narrow a wall has no face left inside: thinner panels, or wider."), "side");
    const double half = mitre ? std::min(kSteepestCut, 180.0 / n) : 0;
    if (mitre && side < 2 * t * std::tan(turn / 2) + t)
        return a.refuse(tr("So narrow a wall has no face left inside: thinner panels, or wider."), "side");
    for (int i = 0; i < n; ++i) {
        const double angle = turn * i;
        const Vec3 out{std::cos(angle), std::sin(angle), 0};
        const Loop panel{{from, 0}, {to, 0}, {to, h}, {from, h}};
        a.add("wall-" + std::to_string(i + 1), tr("Wall ") + std::to_string(i + 1),
              polygon(panel, t, {half, half, 0, 0}), facing(out, inradius), out * (0.5 * side));
        if (i > 0) a.joint(static_cast<size_t>(i - 1), static_cast<size_t>(i), h, tr("corner"));
    }
    a.joint(static_cast<size_t>(n - 1), 0, h, tr("corner"));
    Loop ceiling;
    const double R = side / 2 / std::sin(pi / n);
    for (int i = 0; i < n; ++i)
        ceiling.push_back({R * std::cos(2 * pi * (i - 0.5) / n), R * std::sin(2 * pi * (i - 0.5) / n)});
    a.add("ceiling", tr("Ceiling"), polygon(ceiling, t), at(0, 0, h), {0, 0, 0.4 * h});
    const size_t top = static_cast<size_t>(n);
    for (int i = 0; i < n; ++i) a.joint(static_cast<size_t>(i), top, side, tr("wall under the ceiling"));
    a.add("dome", tr("Dome"), part("half-ball", {{"diameter", dome}, {"depth", dome / 2}, {"wall", v("wall")}}),
          turned(h + t + dome / 2), {0, 0, 0.9 * h}, {{"diameter", "dome"}, {"depth", "dome"}});
    a.joint(top, top + 1, pi * dome, tr("dome on the ceiling"));
    if (v("tube") > 0.004) {  // leans out of the dome at 45°
        const double c = std::sqrt(0.5), r = dome / 2;
        const Vec3 axis{c, 0, c};
        a.add("tube", tr("Tube"),
              part("wrap-tube", {{"diameter", v("tube")}, {"height", v("tubeLength")}, {"wall", v("wall")}}),
              {{c, 0, -c}, {0, 1, 0}, axis, Vec3{0, 0, h + t} + axis * (r - 0.1 * v("tubeLength"))},
              axis * (0.8 * v("tubeLength")) + Vec3{0, 0, 0.9 * h}, {{"diameter", "tube"}, {"height", "tubeLength"}});
        a.joint(top + 1, top + 2, pi * v("tube"), tr("tube on the dome"));
    }
    const double inner = std::max(0.0, inradius - t);  // the panels stand inside their outline
    a.result().enclosed = n * std::tan(pi / n) * inner * inner * h;
}

void pedestal(Assembler& a, const Values& v) {
    const double stem = v("stem"), t = v("thickness"), collar = 0.55 * v("foot"), dome = v("dome");
    if (v.choice("footIs") == "hollow")  // open below: a cup turned over
        a.add("foot", tr("Foot"),
              part("case", {{"baseDiameter", 0.55 * v("foot")},
                            {"topDiameter", v("foot")},
                            {"height", stem},
                            {"flutes", 0},
                            {"fluteDepth", 0},
                            {"wall", v("wall")}}),
              turned(stem), {0, 0, 0}, {{"height", "stem"}, {"topDiameter", "foot"}, {"baseDiameter", "foot"}});
    else
        a.add("foot", tr("Foot"), part("leg", {{"length", stem}, {"bottom", v("foot")}, {"top", 0.55 * v("foot")}}),
              at(0, 0, 0), {0, 0, 0}, {{"length", "stem"}, {"bottom", "foot"}, {"top", "foot"}});
    a.add("collar", tr("Collar"),
          part("collar", {{"inside", collar}, {"width", 0.006}, {"height", std::min(0.006, 0.4 * stem)}}),
          at(0, 0, stem - std::min(0.006, 0.4 * stem)), {0, 0, 0.5 * stem},
          {{"inside", "foot"}, {"width", "foot"}, {"height", "stem"}});
    a.add("disc", tr("Disc"), part("disc", {{"diameter", v("disc")}, {"thickness", t}}), at(0, 0, stem),
          {0, 0, 1.2 * stem}, {{"diameter", "disc"}});
    a.add("dome", tr("Dome"), part("half-ball", {{"diameter", dome}, {"depth", dome / 2}, {"wall", v("wall")}}),
          turned(stem + t + dome / 2), {0, 0, 2.2 * stem}, {{"diameter", "dome"}, {"depth", "dome"}});
    a.joint(0, 2, pi * 0.55 * v("foot"), tr("foot under the disc"));
    a.joint(1, 2, pi * (collar + 0.012), tr("collar round the foot"));
    a.joint(2, 3, pi * dome, tr("dome on the disc"));
}

void dipBowl(Assembler& a, const Values& v) {
    const double R = v("diameter") / 2, r = v("small") / 2, D = v("depth"), d = v("smallDepth");
    a.add("bowl", tr("Bowl"), part("half-ball", {{"diameter", 2 * R}, {"depth", D}, {"wall", v("wall")}}), at(0, 0, 0),
          {0, 0, 0});
    a.add("dip", tr("Dip bowl"), part("half-ball", {{"diameter", 2 * r}, {"depth", d}, {"wall", v("wall")}}),
          at(R + r, 0, D - d), {0.6 * R, 0, 0}, {{"diameter", "small"}, {"depth", "smallDepth"}});
    // the rims part by s²/2 (1/R + 1/r); glue fills what is narrower than half its fillet
    constexpr double kFills = 0.002;
    a.joint(0, 1, 2 * std::min(std::sqrt(2 * kFills / (1 / R + 1 / r)), 0.5 * r), tr("rim to rim, at the side"));
}

void cupAndSaucer(Assembler& a, const Values& v) {
    const double top = v("topDiameter"), base = v("baseDiameter"), h = v("height"), s = v("saucer"), rise = 0.09 * s,
                 k = v("handle");
    a.add("saucer", tr("Saucer"), part("half-ball", {{"diameter", s}, {"depth", rise}, {"wall", v("wall")}}),
          at(0, 0, 0), {0, 0, 0}, {{"diameter", "saucer"}, {"depth", "saucer"}});
    a.add("cup", tr("Cup"),
          part("case", {{"baseDiameter", base},
                        {"topDiameter", top},
                        {"height", h},
                        {"flutes", 0},
                        {"fluteDepth", 0},
                        {"wall", v("wall")}}),
          at(0, 0, v("wall")), {0, 0, 0.8 * h});
    const double thick = v("handleThickness"), middle = base / 2 + (top - base) / 2 * 0.55;
    a.add(
        "handle", tr("Handle"),
        part("clip-handle", {{"span", k}, {"rise", 0.55 * k}, {"thickness", thick}, {"hole", std::min(0.006, thick)}}),
        {{0, 0, 1}, {0, -1, 0}, {1, 0, 0}, {middle, 0, v("wall") + 0.55 * h}}, {0.6 * k, 0, 0.8 * h},
        {{"span", "handle"}, {"rise", "handle"}, {"thickness", "handleThickness"}, {"hole", "handleThickness"}});
    a.joint(0, 1, pi * base, tr("cup on its saucer"));
    a.joint(1, 2, 2 * pi * thick, tr("both ends of the handle"));
}

void upright(Assembler& a, const Values& v) {
    const double t = v("thickness"), h = v("baseHeight");
    Part shape = part("sheet", {{"thickness", t}}, {{"cut", "points"}});
    Loop loop = silhouette(v.choice("silhouette"), v("length"), v("width"), 360);
    double low = 1e9;
    for (auto& p : loop) {  // its long axis goes up
        p = {-p[1], p[0]};
        low = std::min(low, p[1]);
    }
    for (auto& p : loop) p[1] -= low + 0.002;  // two millimetres sit in the base's glue
    shape.points = {loop};
    a.add("base", tr("Base"), part("disc", {{"diameter", v("base")}, {"thickness", h}}), at(0, 0, 0), {0, 0, 0},
          {{"diameter", "base"}, {"thickness", "baseHeight"}});
    a.add("shape", tr("Shape"), std::move(shape), standing({1, 0, 0}, {0, t / 2, h}), {0, 0, 0.5 * v("length")});
    a.joint(0, 1, 2 * (0.3 * v("width") + t), tr("shape on its base"));
}

void hungBall(Assembler& a, const Values& v) {
    const double d = v("diameter");
    a.add("lower", tr("Lower half"),
          part("half-ball", {{"diameter", d}, {"depth", d / 2}, {"seam", v("seam")}, {"wall", v("wall")}}), at(0, 0, 0),
          {0, 0, -0.4 * d}, {{"depth", "diameter"}});
    a.add("upper", tr("Upper half"),
          part("half-ball", {{"diameter", d}, {"depth", d / 2}, {"seam", v("seam")}, {"wall", v("wall")}}), turned(d),
          {0, 0, 0.4 * d}, {{"depth", "diameter"}});
    a.add("card", tr("Disc of card"), part("disc", {{"diameter", v("card")}, {"thickness", 0.001}}),
          at(0, 0, d - v("wall") - 0.001 - 0.02 * d), {0, 0, 0.15 * d}, {{"diameter", "card"}});
    if (a.result().items.size() == 3) a.result().items[2].edible = false;
    a.joint(0, 1, pi * d, tr("seam of the halves"));
    a.joint(1, 2, pi * v("card"), tr("card in the crown"));
}

/// Two halves, the upper turned over on the lower: of one mold, or of two whose openings meet.
void halves(Assembler& a, const Values& v) {
    struct Half {
        Part part;
        std::map<std::string, std::string> from;
    };
    double length = v("length"), width = v("width");
    const auto half = [&](const std::string& of, const char* depthKey, const char* waterKey) -> Half {
        const double depth = v(depthKey);
        if (of == "half egg")
            return {part("egg-half", {{"length", length}, {"width", width}, {"wall", v("wall")}}), {}};
        if (of == "dome")
            return {part("half-ball", {{"diameter", length}, {"depth", depth}, {"wall", v("wall")}}),
                    {{"diameter", "length"}, {"depth", depthKey}}};
        if (of == "model from a file") {
            Part p = part("mesh-half", {{"scale", v("scale")}, {"wall", v("wall")}});
            p.mesh = v.part.mesh;
            return {std::move(p), {}};
        }
        Part p =
            part("bought",
                 {{"length", length}, {"width", width}, {"depth", depth}, {"water", v(waterKey)}, {"wall", v("wall")}});
        p.choices["silhouette"] = v.choice("silhouette");
        return {std::move(p), {{"depth", depthKey}, {"water", waterKey}}};
    };
    const std::string other = v.choice("other");
    const Half lower = half(v.choice("half"), "depth", "water");
    a.add("lower", tr("Lower half"), lower.part, at(0, 0, 0), {}, lower.from);
    auto& items = a.result().items;
    if (items.empty()) return;
    if (fromFile(v.part)) {  // what closes it is as long and wide as its model
        const Vec3 size = bounds(items[0].shape.surface).size();
        length = size.x;
        width = size.y;
    }
    const Half upper = other == "the same" ? lower : half(other, "otherDepth", "otherWater");
    a.add("upper", tr("Upper half"), upper.part, turned(0), {}, upper.from);
    if (items.size() != 2) return;
    const double low = bounds(items[0].shape.surface).high.z, high = bounds(items[1].shape.surface).high.z;
    items[1].pose = turned(low + high);
    items[0].apart = {0, 0, -0.8 * low};
    items[1].apart = {0, 0, 0.8 * high};
    const double here = items[0].shape.rim, there = items[1].shape.rim;
    if (std::abs(here - there) > kRimsMeet * std::max(here, there) || rimsApart(items[0], items[1]) > kRimsApart)
        return a.refuse(say("The rims do not meet: {} round the lower half, {} round the upper one.",
                            format(here, Dimension::Length, UnitSystem::Metric),
                            format(there, Dimension::Length, UnitSystem::Metric)),
                        "other");
    a.joint(0, 1, std::min(here, there), tr("seam of the halves"));
}

}  // namespace

double rimsApart(const Item& one, const Item& other) {
    const auto a = rimOf(one), b = rimOf(other);
    double sum = 0;
    for (const auto& p : a) {
        double least = 1e9;
        for (const auto& q : b) least = std::min(least, length(p - q));
        sum += least / double(a.size());
    }
    return sum;
}

tl::expected<Assembly, Problem> buildCompound(const Part& whole, const Meshes& meshes, const Detail& detail) {
    const Values v{whole};
    Assembler a(whole, meshes, detail);
    if (whole.family == "basket") basket(a, v);
    else if (whole.family == "house") house(a, v);
    else if (whole.family == "tower") tower(a, v);
    else if (whole.family == "pedestal") pedestal(a, v);
    else if (whole.family == "dip-bowl") dipBowl(a, v);
    else if (whole.family == "cup-saucer") cupAndSaucer(a, v);
    else if (whole.family == "upright") upright(a, v);
    else if (whole.family == "hung-ball") hungBall(a, v);
    else if (whole.family == "halves") halves(a, v);
    else return refuse(tr("There is no such family."), "family");
    return a.take();
}

}  // namespace uovo::form
