#include "core/stages/put_together.h"

#include <algorithm>
#include <cmath>

#include "core/form/joint.h"
#include "core/quantity/catalogue.h"
#include "core/quantity/words.h"
#include "core/stages/strength.h"

namespace uovo {

size_t PutTogether::bodyOf(size_t item) const {
    return static_cast<size_t>(std::ranges::find(items, item) - items.begin());
}

std::vector<assembly::Body> bodiesOf(const form::Assembly& assembly, const Made* made, std::vector<size_t>* items) {
    std::vector<assembly::Body> out;
    double low = 1e300;
    for (size_t k = 0; k < assembly.items.size(); ++k) {
        const auto& item = assembly.items[k];
        if (!item.edible) continue;
        assembly::Body b;
        b.name = item.name;
        b.solid = form::placed(item.shape.solid(), item.pose);
        if (b.solid.triangles.empty()) continue;
        b.centre = form::centroid(b.solid);
        b.mass = made && k < made->items.size() && made->items[k] > 0 ? made->items[k] : form::volume(b.solid) * 1e3;
        low = std::min(low, form::bounds(b.solid).low.z);
        out.push_back(std::move(b));
        if (items) items->push_back(k);
    }
    form::Pose down;
    down.at = {0, 0, -low};
    for (auto& b : out) {
        b.solid = form::placed(std::move(b.solid), down);
        b.centre = down(b.centre);
    }
    return out;
}

std::vector<form::PartJoint> unglued(const PutTogether& t, const form::Assembly& assembly) {
    std::vector<form::PartJoint> out;
    for (const auto& c : t.found.contacts) {
        if (c.b == assembly::kTable) continue;
        const size_t a = t.items[c.a], b = t.items[c.b];
        if (std::ranges::any_of(assembly.joints,
                                [&](const form::Joint& j) { return (j.a == a && j.b == b) || (j.a == b && j.b == a); }))
            continue;
        form::PartJoint joint;
        joint.a = assembly.items[a].key;
        joint.b = assembly.items[b].key;
        joint.length = Measure(std::round(std::max(c.length, 1e-3) * 1e3) / 1e3);
        joint.words = lowerFirst(assembly.items[a].name) + (c.isPatch() ? tr(" on ") : tr(" to ")) +
                      lowerFirst(assembly.items[b].name);
        out.push_back(std::move(joint));
    }
    return out;
}

assembly::ContactOptions contactOptions(const material::Library& lib) {
    assembly::ContactOptions o;
    o.near = lib.usual("gluesOver");
    o.seat = lib.usual("seatDeep");
    return o;
}

namespace {

assembly::OrderOptions orderOptions(const material::Library& lib) {
    assembly::OrderOptions options;
    options.friction = lib.usual("chocolateRubs");
    options.lean = lib.usual("tableLean");
    options.shortBy = lib.usual("footShort");
    return options;
}

}  // namespace

assembly::Order judged(const PutTogether& t, const form::Assembly& assembly, const std::vector<std::string>& keys,
                       const material::Library& lib, std::stop_token stop) {
    std::vector<size_t> wanted;
    const auto add = [&](size_t body) {
        if (body < t.bodies.size() && std::ranges::find(wanted, body) == wanted.end()) wanted.push_back(body);
    };
    for (const auto& key : keys)
        add(t.bodyOf(
            static_cast<size_t>(std::ranges::find(assembly.items, key, &form::Item::key) - assembly.items.begin())));
    for (size_t body = 0; body < t.bodies.size(); ++body) add(body);  // what came since
    return assembly::judge(wanted, t.bodies, t.found.contacts, t.glues, orderOptions(lib), stop);
}

PutTogether putTogether(const Piece& piece, const Plan& plan, const material::Library& lib, const Made& made,
                        std::stop_token stop) {
    PutTogether out;
    const auto built = form::build(piece.shape, plan.meshes, assembly::kRigid);
    if (!built) {
        out.problem = built.error().sentence;
        return out;
    }
    out.bodies = bodiesOf(*built, &made, &out.items);
    if (out.bodies.size() < 2) {
        out.problem = tr("There is nothing to put together.");
        return out;
    }
    assembly::ContactFinder finder(out.bodies, contactOptions(lib));
    out.found = finder.find(stop);
    const double strength = strengthOf(plan, lib, piece.chocolate).strength.mean, fillet = lib.strong("jointFillet");
    for (size_t j = 0; j < built->joints.size(); ++j) {
        const auto& joint = built->joints[j];
        const size_t a = out.bodyOf(joint.a), b = out.bodyOf(joint.b);
        if (a == out.bodies.size() || b == out.bodies.size()) continue;
        const auto touch =
            std::ranges::find_if(out.found.contacts, [&](const assembly::Contact& c) { return c.between(a, b); });
        if (touch == out.found.contacts.end()) {
            out.apart.push_back(j);
            continue;
        }
        const auto times = form::jointTimes(lib, joint.glue);
        const double area = std::max(touch->area, fillet * joint.length);
        out.glues.push_back(
            {a, b, strength * form::jointStrength(lib, joint.glue).value * area, times.hold, times.bears});
        out.joints.push_back(j);
    }
    const assembly::WaysIn ways(out.bodies, lib.usual("seatDeep"));
    for (size_t o = 0; o < out.bodies.size(); ++o)
        for (size_t i = 0; i < out.bodies.size(); ++i)
            if (ways.closesOver(o, i)) out.covers.push_back({o, i, ways.room(o, i)});
    const auto* join = firstOf<JoinStep>(piece.making);
    out.asked = join && !join->order.empty();
    out.order = out.asked ? judged(out, *built, join->order, lib, stop)
                          : assembly::orderOf(out.bodies, out.found.contacts, out.glues, orderOptions(lib), stop);
    if (piece.sits != Sits::Flat || form::isHung(piece.shape))
        out.order.stands = true;  // what carries it is not the table
    return out;
}

}  // namespace uovo
