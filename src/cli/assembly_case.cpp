#include "cli/assembly_case.h"

#include <chrono>
#include <cmath>
#include <map>
#include <nlohmann/json.hpp>

#include "cli/case_words.h"
#include "cli/commands.h"
#include "core/assembly/order.h"
#include "core/form/block.h"
#include "core/form/part.h"
#include "io/data.h"
#include "io/model_reader.h"

namespace uovo::cli {
namespace {

using assembly::kTable;
using form::Vec3;
using nlohmann::json;

constexpr size_t kMostParts = 200;

Vec3 vectorOf(const json& j, const std::string& where) {
    if (!j.is_array() || j.size() != 3) refuse("A direction or place has three numbers.", where);
    const Vec3 v{j[0].get<double>(), j[1].get<double>(), j[2].get<double>()};
    if (!std::isfinite(v.x + v.y + v.z)) refuse("A place is three finite numbers.", where);
    return v;
}

/// A part: a box by its size, a model file, or a piece with the keys of a plan, at its place.
assembly::Body bodyOf(const json& p, const std::string& where) {
    assembly::Body b;
    b.name = p.at("name");
    double mass = p.value("mass", -1.0);
    form::Mesh mesh;
    if (p.contains("box")) {
        const Vec3 size = vectorOf(p["box"], where + "/box");
        if (!(size.x > 0 && size.y > 0 && size.z > 0))
            refuse("A box has a size above nothing each way.", where + "/box");
        mesh = form::block({}, size);
    } else if (p.contains("mesh")) {
        auto read = io::readMeshFile(p["mesh"].get<std::string>());
        if (!read) throw Problem(read.error());
        mesh = std::move(read->mesh);
        if (const auto wrong = form::inWords(form::inspect(mesh)); !wrong.empty()) refuse(wrong, where + "/mesh");
    } else {
        auto plan = casePlan({{"piece", p.at("piece")}});
        if (!plan) throw Problem(plan.error());
        const auto built = form::build(plan->pieces.front().shape, {}, assembly::kRigid);
        if (!built) throw Problem(built.error());
        mesh = built->solid();
    }
    form::PartItem at;
    for (size_t i = 0; i < 3; ++i) {
        if (p.contains("at")) vectorOf(p["at"], where + "/at"), at.at[i] = Measure(p["at"][i].get<double>());
        if (p.contains("turn")) vectorOf(p["turn"], where + "/turn"), at.turn[i] = Measure(p["turn"][i].get<double>());
    }
    b.solid = form::placed(std::move(mesh), form::poseOf(at));
    const double volume = form::volume(b.solid);
    if (!(volume > 0)) refuse("A part is a closed body with its inside inside.", where);
    b.centre = p.contains("centre") ? vectorOf(p["centre"], where + "/centre") : form::centroid(b.solid);
    b.mass = mass >= 0 ? mass : volume * p.value("density", io::library().find("dark")->at("densitySolid").value);
    b.decoration = p.value("decoration", false);
    return b;
}

json pointOf(const Vec3& v) {
    const auto round = [](double x) { return std::round(x * 1e7) / 1e7 + 0.0; };
    return {round(v.x), round(v.y), round(v.z)};
}

const char* const kWays[]{"free", "hold", "prop"};
const char* const kSides[]{"upright", "upside-down", "on-left", "on-right", "on-front", "on-back"};

struct Case {
    std::vector<assembly::Body> bodies;
    assembly::Contacts contacts;
    std::vector<assembly::Glue> glues;
    assembly::OrderOptions options;
    std::optional<std::vector<size_t>> wanted;

    explicit Case(const json& given) {
        if (given.contains("piece")) readPiece(given);
        const json& parts = given.value("parts", json::array());
        if (!parts.is_array() || (parts.empty() && bodies.empty())) refuse("A case has parts.", "parts");
        if (parts.size() > kMostParts) refuse("A case has 200 parts at the most.", "parts");
        for (size_t i = 0; i < parts.size(); ++i) {
            const std::string where = "parts/" + std::to_string(i);
            bodies.push_back(bodyOf(parts[i], where));
            if (!number_.emplace(bodies.back().name, bodies.size() - 1).second)
                refuse("Two parts have one name.", where + "/name");
        }
        options.friction = given.value("friction", options.friction);
        options.lean = given.value("lean", options.lean);
        options.shortBy = given.value("short", options.shortBy);
        options.young = given.value("young", options.young);
        options.turned = given.value("turned", options.turned);
        options.groups = given.value("groups", options.groups);
        if (!(options.friction >= 0 && options.friction <= 100)) refuse("Friction is between 0 and 100.", "friction");
        if (!(options.lean >= 0 && options.lean < 45)) refuse("A lean is between 0 and 45 degrees.", "lean");
        for (const auto& name : given.value("untouched", json::array()))
            options.untouched.push_back(of(name, "untouched"));
        if (given.contains("contacts")) readContacts(given["contacts"]);
        else contacts = assembly::contactsOf(bodies, {.table = given.value("table", 0.0)});
        const json joints = given.value("joints", json("found"));
        if (joints == "found") {
            for (const auto& c : contacts.contacts)
                if (c.b != kTable) glues.push_back(usualGlue(c));
        } else {
            for (size_t i = 0; i < joints.size(); ++i) readJoint(joints[i], "joints/" + std::to_string(i));
        }
        if (given.contains("order")) {
            wanted.emplace();
            for (const auto& name : given["order"]) {
                const size_t p = of(name, "order");
                if (std::ranges::find(*wanted, p) != wanted->end()) refuse("A part is put on once.", "order");
                wanted->push_back(p);
            }
        }
    }

private:
    size_t of(const json& name, const std::string& where) const {
        const auto it = number_.find(name.get<std::string>());
        if (it == number_.end()) refuse("There is no part “" + name.get<std::string>() + "”.", where);
        return it->second;
    }
    static assembly::Glue usualGlue(const assembly::Contact& c) {
        assembly::Glue g;
        g.a = c.a;
        g.b = c.b;
        g.strength = io::library().strong("jointAsIs") * 1e6 * std::max(c.area, 2e-3 * c.length);
        return g;
    }
    /// The parts of a piece of a plan that is put together, on the table.
    void readPiece(const json& given) {
        auto plan = casePlan(given);
        if (!plan) throw Problem(plan.error());
        const auto built = form::build(plan->pieces.front().shape, {}, assembly::kRigid);
        if (!built) throw Problem(built.error());
        double low = 1e300;
        for (const auto& item : built->items) {
            assembly::Body b;
            b.name = item.key;
            b.solid = form::placed(item.shape.solid(), item.pose);
            b.centre = form::centroid(b.solid);
            b.mass = form::volume(b.solid) * io::library().find("dark")->at("densitySolid").value;
            low = std::min(low, form::bounds(b.solid).low.z);
            number_.emplace(b.name, bodies.size());
            bodies.push_back(std::move(b));
        }
        form::Pose down;
        down.at = {0, 0, -low};
        for (auto& b : bodies) {
            b.solid = form::placed(std::move(b.solid), down);
            b.centre = down(b.centre);
        }
    }
    void readJoint(const json& j, const std::string& where) {
        assembly::Glue g;
        g.a = of(j.at("a"), where + "/a");
        g.b = of(j.at("b"), where + "/b");
        if (g.a == g.b) refuse("A joint is between two parts.", where);
        const auto touching =
            std::ranges::find_if(contacts.contacts, [&](const auto& c) { return c.between(g.a, g.b); });
        if (touching == contacts.contacts.end())
            refuse(bodies[g.a].name + " and " + bodies[g.b].name + " do not touch.", where);
        const auto usual = usualGlue(*touching);
        g.strength = j.value("strength", usual.strength);
        g.hold = j.value("hold", usual.hold);
        g.set = j.value("set", usual.set);
        if (!(g.strength >= 0 && g.hold >= 0 && g.set >= 0)) refuse("A joint's figures are nothing or more.", where);
        glues.push_back(g);
    }
    void readContacts(const json& list) {
        for (size_t i = 0; i < list.size(); ++i) {
            const std::string where = "contacts/" + std::to_string(i);
            assembly::Contact c;
            c.a = of(list[i].at("a"), where + "/a");
            c.b = list[i].at("b") == "table" ? kTable : of(list[i]["b"], where + "/b");
            c.friction = list[i].value("friction", -1.0);
            const Vec3 normal = form::unit(vectorOf(list[i].at("normal"), where + "/normal"));
            const json& points = list[i].at("points");
            if (!points.is_array() || points.empty()) refuse("A contact has points.", where + "/points");
            for (const auto& p : points) {
                c.touches.push_back({vectorOf(p, where + "/points"), normal, 1.0 / double(points.size()), {}});
                c.middle += c.touches.back().at * (1.0 / double(points.size()));
            }
            for (auto& t : c.touches) t.place = c.middle;
            contacts.contacts.push_back(std::move(c));
        }
    }
    std::map<std::string, size_t> number_;
};

json stepsOf(const assembly::Order& order, const Case& c) {
    json out = json::array();
    for (const auto& s : order.steps) {
        json step{{"way", s.possible ? kWays[static_cast<int>(s.way)] : "impossible"}};
        for (const size_t p : s.parts) step["parts"].push_back(c.bodies[p].name);
        for (const size_t g : s.glues)
            step["joints"].push_back({{"a", c.bodies[c.glues[g].a].name},
                                      {"b", c.bodies[c.glues[g].b].name},
                                      {"hold", c.glues[g].hold},
                                      {"set", c.glues[g].set}});
        if (s.waits) step["waits"] = true;
        for (const auto& p : s.props)
            step["props"].push_back({{"part", c.bodies[p.part].name},
                                     {"at", pointOf(p.at)},
                                     {"push", pointOf(p.push)},
                                     {"height", std::round(p.height * 1e6) / 1e6},
                                     {"until", p.until}});
        out.push_back(std::move(step));
    }
    return out;
}

json ordered(const json& given) {
    const auto began = std::chrono::steady_clock::now();
    const Case c(given);
    const auto order = c.wanted ? assembly::judge(*c.wanted, c.bodies, c.contacts.contacts, c.glues, c.options)
                                : assembly::orderOf(c.bodies, c.contacts.contacts, c.glues, c.options);
    const auto name = [&](size_t p) { return p == kTable ? std::string("table") : c.bodies[p].name; };
    json out{{"format", "uovo-assembly-answers"},
             {"stands", order.stands},
             {"side", kSides[static_cast<int>(order.side)]},
             {"steps", stepsOf(order, c)},
             {"contacts", json::array()}};
    for (const auto& t : c.contacts.contacts) {
        json contact{{"a", name(t.a)}, {"b", name(t.b)}, {"middle", pointOf(t.middle)}};
        if (t.length > 0)
            contact.update({{"length", t.length}, {"width", t.width}, {"area", t.area}, {"places", t.places}});
        for (const auto& touch : t.touches) contact["points"].push_back(pointOf(touch.at));
        out["contacts"].push_back(std::move(contact));
    }
    for (const auto& x : c.contacts.cuts)
        out["cuts"].push_back({{"a", name(x.a)}, {"b", name(x.b)}, {"depth", x.depth}, {"at", pointOf(x.at)}});
    for (const size_t p : c.contacts.afloat) out["afloat"].push_back(name(p));
    for (const auto& g : order.groups)
        out["groups"].push_back({{"side", kSides[static_cast<int>(g.side)]}, {"steps", stepsOf(g, c)}});
    if (!order.stands || order.stuck != kTable) {
        out["why"] = {{"part", name(order.tips)},
                      {"over", pointOf(order.tipsOver)},
                      {"to", pointOf(order.tipsTo)},
                      {"beyond", order.beyond}};
        if (order.stuck != kTable) out["why"]["step"] = order.stuck;
    }
    out["milliseconds"] =
        std::round(1e4 * std::chrono::duration<double>(std::chrono::steady_clock::now() - began).count()) / 10;
    return out;
}

}  // namespace

tl::expected<json, Problem> assemblyCase(const json& given) {
    return guarded([&] { return ordered(given); });
}

tl::expected<double, Problem> assemblyLimit(const json& given) {
    return guarded([&] {
        const auto stands = [&](double value) {
            json varied = given.at("case");
            for (const auto& v : given.at("vary"))
                varied[json::json_pointer(v.at("path").get<std::string>())] =
                    v.value("plus", 0.0) +
                    v.value("times", 1.0) * (v.value("tangent", false) ? std::tan(value) : value);
            const Case c(varied);
            std::vector<size_t> all(c.bodies.size());
            for (size_t i = 0; i < all.size(); ++i) all[i] = i;
            return assembly::judge(all, c.bodies, c.contacts.contacts, c.glues, c.options).stands;
        };
        double low = given.at("low"), high = given.at("high");
        const bool lowStands = stands(low);
        if (lowStands == stands(high)) refuse("Both ends of the range say the same.", "low");
        for (int i = 0; i < 60 && high - low > 1e-9 * std::abs(high); ++i) {
            const double middle = 0.5 * (low + high);
            (stands(middle) == lowStands ? low : high) = middle;
        }
        return 0.5 * (low + high);
    });
}

int assembly(const std::vector<std::string>& args) { return runCase(args, assemblyCase); }

}  // namespace uovo::cli
