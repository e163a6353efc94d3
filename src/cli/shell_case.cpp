#include "cli/shell_case.h"

#include <algorithm>
#include <chrono>
#include <cmath>
#include <functional>
#include <nlohmann/json.hpp>
#include <numbers>
#include <numeric>

#include "cli/case_words.h"
#include "cli/commands.h"
#include "core/shell/buckling.h"
#include "core/shell/load.h"
#include "core/shell/verdict.h"
#include "io/model_reader.h"

namespace uovo::cli {
namespace {

using form::Vec3;
using nlohmann::json;

Vec3 vectorOf(const json& j, const char* where) {
    if (!j.is_array() || j.size() != 3) refuse("A direction or place has three numbers.", where);
    return {j[0].get<double>(), j[1].get<double>(), j[2].get<double>()};
}

/// A net of triangles over (u, v) in 0..1; corners that fall together become one.
form::Mesh net(int across, int along, const std::function<Vec3(double, double)>& at) {
    if (across < 1 || along < 1 || across > 2000 || along > 2000)
        refuse("A net has 1 to 2000 edges each way.", "shape/across");
    form::Mesh m;
    for (int j = 0; j <= along; ++j)
        for (int i = 0; i <= across; ++i) m.points.push_back(at(double(i) / across, double(j) / along));
    const auto id = [&](int i, int j) { return j * (across + 1) + i; };
    for (int j = 0; j < along; ++j)
        for (int i = 0; i < across; ++i) {
            m.triangles.push_back({id(i, j), id(i + 1, j), id(i + 1, j + 1)});
            m.triangles.push_back({id(i, j), id(i + 1, j + 1), id(i, j + 1)});
        }
    return form::weld(m, 1e-9);
}

form::Mesh shapeOf(const json& s) {
    const std::string kind = s.at("kind");
    const int across = s.value("across", 16), along = s.value("along", across);
    const auto number = [&](const char* key, double usual) { return s.value(key, usual); };
    const double turn = std::numbers::pi / 180;
    if (kind == "plate") {
        const double w = s.at("width"), d = s.at("depth"), skew = number("skew", 0);
        return net(across, along, [=](double u, double v) { return Vec3{w * u + skew * d * v, d * v, 0}; });
    }
    if (kind == "cylinder") {  // along y; angles from the top
        const double r = s.at("radius"), l = s.at("length"), from = number("from", 0) * turn,
                     to = number("to", 360) * turn;
        return net(across, along, [=](double u, double v) {
            return Vec3{r * std::sin(from + (to - from) * u), l * v, r * std::cos(from + (to - from) * u)};
        });
    }
    if (kind == "sphere") {  // latitudes from the equator, longitudes from x
        const double r = s.at("radius"), from = number("from", -90) * turn, to = number("to", 90) * turn,
                     wide = number("turn", 360) * turn;
        return net(across, along, [=](double u, double v) {
            const double t = from + (to - from) * v, p = wide * u;
            return Vec3{r * std::cos(t) * std::cos(p), r * std::cos(t) * std::sin(p), r * std::sin(t)};
        });
    }
    if (kind == "twisted strip") {  // along x
        const double l = s.at("length"), w = s.at("width"), twist = s.at("twist").get<double>() * turn;
        return net(across, along, [=](double u, double v) {
            return Vec3{l * u, w * (v - 0.5) * std::cos(twist * u), w * (v - 0.5) * std::sin(twist * u)};
        });
    }
    if (kind == "ring") {  // flat, in x and y; a disc when the inner radius is 0
        const double inner = number("inner", 0), outer = s.at("outer"), from = number("from", 0) * turn,
                     to = number("to", 360) * turn;
        return net(across, along, [=](double u, double v) {
            const double r = inner + (outer - inner) * v, p = from + (to - from) * u;
            return Vec3{r * std::cos(p), r * std::sin(p), 0};
        });
    }
    refuse("A shape is a plate, cylinder, sphere, twisted strip or ring; “" + kind + "” is none.", "shape/kind");
}

form::Mesh meshOf(const json& given) {
    if (given.contains("shape")) return shapeOf(given.at("shape"));
    if (given.contains("mesh")) {
        form::Mesh m;
        for (const auto& p : given.at("mesh").at("points")) m.points.push_back(vectorOf(p, "mesh/points"));
        for (const auto& t : given.at("mesh").at("triangles")) {
            if (!t.is_array() || t.size() != 3) refuse("A triangle names three corners.", "mesh/triangles");
            m.triangles.push_back({t[0].get<int>(), t[1].get<int>(), t[2].get<int>()});
            for (const int i : m.triangles.back())
                if (i < 0 || static_cast<size_t>(i) >= m.points.size())
                    refuse("A triangle names a corner that does not exist.", "mesh/triangles");
        }
        return m;
    }
    if (given.contains("file")) {
        auto read = io::readMeshFile(given.at("file").get<std::string>());
        if (!read) throw read.error();
        const double scale = given.value("scale", 1e-3);  // models are in millimetres
        for (auto& p : read->mesh.points) p = p * scale;
        return std::move(read->mesh);
    }
    refuse("A case needs a “shape”, a “mesh” or a “file”.", "");
}

/// Places that a region lets pass: bounds along the axes, or near a place.
std::function<bool(const Vec3&)> region(const json& r) {
    struct Bound {
        int axis;
        double low, high;
    };
    std::vector<Bound> bounds;
    constexpr double kSlack = 1e-7;
    for (int axis = 0; axis < 3; ++axis) {
        const char* key = axis == 0 ? "x" : axis == 1 ? "y" : "z";
        if (!r.contains(key)) continue;
        const auto& v = r.at(key);
        const double low = v.is_array() ? v.at(0).get<double>() : v.get<double>(),
                     high = v.is_array() ? v.at(1).get<double>() : low;
        bounds.push_back({axis, low - kSlack, high + kSlack});
    }
    std::optional<Vec3> middle;
    double within = 0;
    if (r.contains("near")) {
        middle = vectorOf(r.at("near"), "near");
        within = r.at("within");
    }
    return [=](const Vec3& p) {
        for (const auto& b : bounds) {
            const double c = b.axis == 0 ? p.x : b.axis == 1 ? p.y : p.z;
            if (c < b.low || c > b.high) return false;
        }
        return !middle || form::length(p - *middle) <= within;
    };
}

std::vector<bool> trianglesIn(const shell::Model& m, const json& ask) {
    if (!ask.contains("where")) return {};
    const auto in = region(ask.at("where"));
    std::vector<bool> out(m.triangles.size());
    for (size_t k = 0; k < out.size(); ++k) {
        Vec3 middle;
        for (const int i : m.triangles[k]) middle += m.points[static_cast<size_t>(i)] * (1.0 / 3);
        out[k] = in(middle);
    }
    if (std::none_of(out.begin(), out.end(), [](bool b) { return b; }))
        refuse("Nothing of the shell lies in this region.", "ask/where");
    return out;
}

int axisOf(char c) { return c == 'x' ? 0 : c == 'y' ? 1 : 2; }

size_t nearest(const shell::Model& m, const Vec3& at) {
    size_t best = 0;
    for (size_t i = 1; i < m.points.size(); ++i)
        if (form::length(m.points[i] - at) < form::length(m.points[best] - at)) best = i;
    return best;
}

shell::Freedoms loadOf(const shell::Model& m, const json& loads) {
    shell::Freedoms f = shell::noLoad(m);
    if (!loads.is_array() || loads.empty()) refuse("A case needs at least one load.", "loads");
    double longest = 0;
    for (const auto& p : m.points) longest = std::max(longest, form::length(p - m.points.front()));
    for (const auto& l : loads) {
        if (l.contains("weight")) {
            shell::addBody(m, vectorOf(l.at("weight"), "loads/weight"), f);
        } else if (l.contains("pressure")) {
            const double p = l.at("pressure");
            const auto where = trianglesIn(m, l);
            shell::addPressure(
                m, [&](size_t k, const Vec3&) { return where.empty() || where[k] ? p : 0.0; }, f);
        } else if (l.contains("liquid")) {
            shell::addLiquid(m, l.at("liquid"), l.at("level"), l.value("outward", true), f, trianglesIn(m, l));
        } else if (l.contains("pad")) {
            const Vec3 at = vectorOf(l.at("pad"), "loads/pad");
            double closest = 1e300;
            for (const auto& p : m.points) closest = std::min(closest, form::length(p - at));
            const double radius = l.value("radius", 0.0);
            if (closest > radius + 0.2 * longest) refuse("A load lies outside the piece.", "loads/pad");
            shell::addForce(shell::pad(m, at, radius), vectorOf(l.at("force"), "loads/force"), f);
        } else if (l.contains("line")) {
            shell::addLine(m, vectorOf(l.at("line"), "loads/line"), region(l.value("where", json::object())), f);
        } else {
            refuse("A load is a “weight”, “pressure”, “liquid”, “pad” or “line”.", "loads");
        }
    }
    return f;
}

double asked(const json& ask, const shell::System& system, const shell::Faces& faces, const shell::Stress& stress,
             const shell::Freedoms& u, const shell::Freedoms& load, const json& given) {
    const auto& m = system.model();
    const std::string what = ask.at("what");
    const auto at = [&] { return nearest(m, vectorOf(ask.at("at"), "ask/at")); };
    if (what.starts_with("shift.") || what.starts_with("turn."))
        return u[6 * at() + (what[0] == 't' ? 3 : 0) + static_cast<size_t>(axisOf(what.back()))];
    if (what.starts_with("reaction.")) {
        const auto r = system.reactions(u, load);
        double sum = 0;
        for (size_t i = 0; i < m.points.size(); ++i) sum += r[6 * i + static_cast<size_t>(axisOf(what.back()))];
        return sum;
    }
    if (what == "energy") {
        const auto f = system.internal(u);
        return 0.5 * std::inner_product(u.begin(), u.end(), f.begin(), 0.0);
    }
    if (what == "work") return 0.5 * std::inner_product(u.begin(), u.end(), load.begin(), 0.0);
    if (what == "mass") {
        shell::Freedoms one = shell::noLoad(m);
        shell::addBody(m, {0, 0, 1}, one);
        return shell::resultant(m, one).force.z;
    }
    if (what == "stress.max") return shell::greatest(m, faces, stress, trianglesIn(m, ask)).stress;
    if (what.starts_with("stress.")) {  // a component at a corner, mean of the faces that meet there
        constexpr const char* kNames[]{"xx", "yy", "zz", "xy", "yz", "zx"};
        const auto it = std::find(std::begin(kNames), std::end(kNames), what.substr(7));
        if (it == std::end(kNames)) refuse("There is no stress “" + what + "”.", "ask/what");
        const size_t point = at();
        const std::string face = ask.value("face", "outer");
        const double side = face == "outer" ? 1 : face == "inner" ? -1 : 0;
        double sum = 0;
        int count = 0;
        for (size_t k = 0; k < m.triangles.size(); ++k)
            for (size_t i = 0; i < 3; ++i)
                if (m.triangles[k][i] == static_cast<int>(point)) {
                    const auto place = static_cast<size_t>(faces.place[k][i]);
                    sum += (stress.cornerMembrane[place] + side * stress.cornerBending[place])(it - kNames);
                    ++count;
                }
        return count ? sum / count : std::nan("");
    }
    if (what == "buckling") return shell::buckles(system, u);
    if (what == "cracks" || what == "margin" || what == "equivalent") {
        shell::Strength s;
        const json from = given.value("strength", json::object());
        s.mean = from.value("mean", s.mean);
        s.modulus = from.value("modulus", s.modulus);
        s.barLength = from.value("length", s.barLength);
        s.barWidth = from.value("width", s.barWidth);
        s.barThickness = from.value("thickness", s.barThickness);
        if (!(s.mean > 0 && s.modulus > 1 && s.barLength > 0 && s.barWidth > 0 && s.barThickness > 0))
            refuse("Strength, modulus and bar are above nothing.", "strength");
        const auto v = shell::verdict(m, faces, stress, s, {}, trianglesIn(m, ask));
        return what == "cracks" ? v.cracks : what == "margin" ? v.margin : v.equivalent;
    }
    refuse("What is “" + what + "”?", "ask/what");
}

json shellAnswers(const json& given) {
    const auto began = std::chrono::steady_clock::now();
    const form::Mesh mesh = meshOf(given);
    shell::Model m;
    m.points = mesh.points;
    m.triangles = mesh.triangles;
    const auto& material = given.at("material");
    m.material = {material.at("young"), material.at("poisson"), material.value("density", 0.0)};
    const auto& t = given.at("thickness");
    if (t.is_array()) {
        m.thickness = t.get<std::vector<double>>();
        if (m.thickness.size() != m.points.size()) refuse("There must be one thickness for each corner.", "thickness");
    } else {
        m.thickness.assign(m.points.size(), t.get<double>());
    }
    std::vector<shell::Support> supports;
    for (const auto& s : given.value("supports", json::array())) {
        const auto in = region(s.value("where", json::object()));
        unsigned fixed = 0;
        for (const auto& f : s.at("fix")) {
            const auto name = f.get<std::string>();
            if (name.empty() || name.size() > 2 || std::string("xyz").find(name.back()) == std::string::npos)
                refuse("Fixed are x, y, z, rx, ry, rz.", "supports/fix");
            fixed |= 1u << (axisOf(name.back()) + (name.size() == 2 ? 3 : 0));
        }
        bool any = false;
        for (size_t i = 0; i < m.points.size(); ++i)
            if (in(m.points[i])) {
                supports.push_back({static_cast<int>(i), fixed});
                any = true;
            }
        if (!any) refuse("A support touches nothing of the shell.", "supports");
    }
    if (given.value("free", false)) {
        const auto six = shell::sixFreedoms(m);
        supports.insert(supports.end(), six.begin(), six.end());
    }
    auto load = loadOf(m, given.at("loads"));
    auto built = shell::System::build(std::move(m), std::move(supports));
    if (!built) throw built.error();
    if (given.contains("rest")) {  // on a table that only pushes
        const auto in = region(given.at("rest"));
        std::vector<shell::Pad> feet;
        for (size_t i = 0; i < built->model().points.size(); ++i)
            if (in(built->model().points[i])) feet.push_back({{static_cast<int>(i), 1.0}});
        if (feet.size() < 3) refuse("The piece stands on nothing.", "rest");
        if (feet.size() > 400) refuse("More than 400 corners touch the table: choose a smaller region.", "rest");
        const auto contact = shell::Foot(*built, feet).rest(load);
        if (!contact.stands) refuse("The piece tips over.", "rest");
        for (size_t i = 0; i < feet.size(); ++i) shell::addForce(feet[i], {0, 0, contact.force[i]}, load);
    }
    const auto u = built->solve({load})[0];
    const auto faces = shell::faces(built->model());
    const auto stress = shell::stresses(built->model(), faces, u);
    json out{
        {"format", "uovo-shell-answers"}, {"triangles", built->model().triangles.size()}, {"answers", json::array()}};
    for (const auto& a : given.at("ask")) {
        const double v = asked(a, *built, faces, stress, u, load, given);
        out["answers"].push_back({{"name", a.value("name", a.at("what").get<std::string>())},
                                  {"value", std::isfinite(v) ? json(v) : json(nullptr)}});
    }
    out["milliseconds"] =
        std::round(1e4 * std::chrono::duration<double>(std::chrono::steady_clock::now() - began).count()) / 10;
    return out;
}

}  // namespace

tl::expected<json, Problem> shellCase(const json& given) {
    return guarded([&] { return shellAnswers(given); });
}

int shell(const std::vector<std::string>& args) { return runCase(args, shellCase); }

}  // namespace uovo::cli
