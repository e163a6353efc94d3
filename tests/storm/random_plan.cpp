#include <fmt/format.h>

#include <cmath>

#include "core/document/limits.h"
#include "core/form/family.h"
#include "core/form/rock.h"
#include "io/data.h"
#include "storm/storm.h"

namespace uovo::storm {
namespace {

bool tame = false;     // this plan stays within all limits
bool corners = false;  // all of its figures lie on their limits

/// A figure of a field: mostly within its limits, now and then on them, beyond, far beyond, or no figure of this world.
double figure(Random& r, double low, double high) {
    if (corners) return chance(r, 0.5) ? low : high;
    const double p = tame ? 0.2 * share(r) + (chance(r, 0.8) ? 0.3 : 0) : share(r);
    if (p < 0.10) return low;
    if (p < 0.20) return high;
    if (p < 0.24) return high * 1.0001 + 1e-9;
    if (p < 0.27) return low - std::abs(low) * 0.5 - 1e-4;
    if (p < 0.28) return any<double>(r, {0, -1, 1e9, -1e300, 1e-300, 1e308});
    if (low > 0 && chance(r, 0.5)) return low * std::pow(high / low, share(r));
    return low + (high - low) * share(r);
}

void strange(Random& r, Measure& m, double low, double high, double often) {
    if (chance(r, often)) m = Measure(figure(r, low, high));
}

form::Loop loop(Random& r, double size) {
    form::Loop out;
    const int n = 3 + below(r, 40);
    for (int i = 0; i < n; ++i) {
        const double a = 2 * M_PI * i / n, d = size * (0.4 + 0.6 * share(r));
        out.push_back({d * std::cos(a), d * std::sin(a)});
    }
    if (chance(r, 0.2)) std::swap(out[0], out[static_cast<size_t>(below(r, n))]);  // it may cross itself now
    return out;
}

form::Loop profile(Random& r) {
    form::Loop out{{0, 0}};
    double z = 0, x = 0.01 + 0.03 * share(r);
    const int n = 2 + below(r, 12);
    for (int i = 0; i < n; ++i) {
        out.push_back({x, z});
        z += 0.02 * share(r);
        x = std::max(0.002, x + 0.02 * (share(r) - 0.5));
    }
    if (chance(r, 0.5)) out.push_back({0, z});
    return out;
}

form::Part part(Random& r, const form::Family& f, Plan& plan) {
    form::Part p = form::usual(f.id);
    const double often = any<double>(r, {0.2, 0.5, 1});
    for (const auto& field : f.fields)
        if (chance(r, often))
            p.values[field.key] = Measure(field.whole && field.dimension == Dimension::Count
                                              ? std::round(figure(r, field.low, field.high))
                                              : figure(r, field.low, field.high));
    for (const auto& c : f.choices)
        if (chance(r, 0.5)) p.choices[c.key] = any(r, c.options);
    if (f.points == "profile" && chance(r, 0.8)) p.points = {profile(r)};
    if (f.points == "outline" && chance(r, 0.6)) {
        p.points = {loop(r, 0.02 + 0.1 * share(r))};
        if (chance(r, 0.3)) p.points.push_back(loop(r, 0.01));
        if (f.choice("cut")) p.choices["cut"] = "points";
    }
    if (form::fromFile(p)) {
        p.mesh = fmt::format("stone {}", below(r, 3));
        form::Mesh stone = form::rock(0.02 + 0.2 * share(r), static_cast<unsigned>(r()), 2 + below(r, 4));
        if (chance(r, 0.2)) stone.triangles.resize(stone.triangles.size() * 9 / 10);  // with holes
        if (chance(r, 0.1))
            for (auto& q : stone.points) q.z *= 0.01;
        if (chance(r, 0.9)) plan.meshes[p.mesh] = std::make_shared<const form::Mesh>(std::move(stone));
    }
    if (f.body == form::Body::Compound && chance(r, 0.3))
        p.own[any<std::string>(r, {"handle", "base", "lid", "case", "cone", "wall"})][any<std::string>(
            r, {"width", "height", "wall", "thickness", "diameter"})] = Measure(figure(r, 0.001, 0.2));
    return p;
}

PlannedCoat coat(Random& r) {
    PlannedCoat c;
    c.way = static_cast<coat::Way>(below(r, 5));
    c.temperature = Measure(30 + 4 * share(r));
    c.rest = static_cast<coat::Rest>(below(r, 3));
    c.place = static_cast<coat::Place>(below(r, 3));
    c.moveIn = static_cast<coat::Place>(below(r, 3));
    c.where = static_cast<coat::Where>(below(r, 4));
    c.motion = static_cast<coat::Motion>(below(r, 4));
    strange(r, c.temperature, 27, 40, 0.8);
    strange(r, c.drain, 0, 300, 0.5);
    strange(r, c.brushMass, 0.001, 0.2, 0.5);
    strange(r, c.fill, 0.02, 0.95, 0.5);
    strange(r, c.moveFor, 0, 1800, 0.3);
    strange(r, c.moveEvery, 5, 300, 0.3);
    strange(r, c.tap, 0, 60, 0.2);
    strange(r, c.delay, 0, 1800, 0.5);
    strange(r, c.stay, 0, 7200, 0.5);
    c.scrape = chance(r, 0.2);
    if (c.where == coat::Where::Spots)
        for (int i = below(r, 40); i >= 0; --i)
            c.spots.push_back({{0.1 * share(r) - 0.05, 0.1 * share(r) - 0.05, 0.1 * share(r)}, 0.1 + 3 * share(r)});
    if (chance(r, 0.2)) c.chocolate = any(r, io::library().chocolates).id;
    return c;
}

Step anyStep(Random& r, Plan& plan, const Piece& p) {
    switch (below(r, 9)) {
        case 0: {
            InsertStep s;
            s.what = static_cast<InsertStep::What>(below(r, 4));
            s.name = any<std::string>(r, {"Stick", "Wafer", "Flag", ""});
            if (s.what == InsertStep::What::Piece && !plan.pieces.empty())
                s.piece = chance(r, 0.9) ? any(r, plan.pieces).id : p.id;
            s.each = 1 + below(r, 4);
            strange(r, s.mass, 0, 0.05, 0.5);
            return s;
        }
        case 1: {
            if (plan.toppings.empty() || chance(r, 0.3))
                plan.toppings.push_back({.id = fmt::format("topping-{}", plan.toppings.size()),
                                         .name = any<std::string>(r, {"Crumbs", "Nuts", "Pearls"}),
                                         .grain = Measure(figure(r, 0.0002, 0.02)),
                                         .density = figure(r, 60, 3000),
                                         .allergens = chance(r, 0.5) ? "nuts" : "",
                                         .extra = {}});
            TopStep s;
            s.topping = any(r, plan.toppings).id;
            s.when = static_cast<TopStep::When>(below(r, 3));
            strange(r, s.each, 0, 0.05, 0.5);
            return s;
        }
        case 2: {
            SetStep s;
            s.place = static_cast<coat::Place>(below(r, 3));
            strange(r, s.stay, 0, 7200, 0.5);
            return s;
        }
        case 3: {
            DecorateStep s;
            s.way = static_cast<DecorateStep::Way>(below(r, 6));
            if (chance(r, 0.5)) s.chocolate = any(r, io::library().chocolates).id;
            strange(r, s.mass, 0, 0.05, 0.5);
            strange(r, s.dry, 0, 7200, 0.5);
            return s;
        }
        case 4: {
            StoreStep s;
            s.where = static_cast<StoreStep::Where>(below(r, 2));
            return s;
        }
        case 5: {
            ServeStep s;
            s.how = static_cast<ServeStep::How>(below(r, 4));
            strange(r, s.amount, 0, 0.001, 0.5);
            return s;
        }
        case 6: {
            CastStep s;
            if (chance(r, 0.5)) s.chocolate = any(r, io::library().chocolates).id;
            strange(r, s.share, 0.1, 3, 0.5);
            strange(r, s.table, 0, 1800, 0.3);
            return s;
        }
        case 7:
            return TrimStep{};
        default:
            return any<Step>(r, {ReleaseStep{}, JoinStep{}, LidStep{}});
    }
}

Piece piece(Random& r, Plan& plan) {
    Piece p;
    const auto& all = form::families();
    const int kind = below(r, static_cast<int>(all.size()) + 4);  // bowls and cups are what is made most
    const auto& f = kind < 2   ? *form::family("balloon")
                    : kind < 4 ? *form::family("cup")
                               : all[static_cast<size_t>(kind - 4)];
    p = newPiece(plan, f.id);
    p.shape = part(r, f, plan);
    p.chocolate = any(r, io::library().chocolates).id;
    if (chance(r, 0.15)) p.temper = material::Temper::Untempered;
    if (chance(r, 0.15))
        p.thinner = chance(r, 0.5) ? material::Thinner::CocoaButter : material::Thinner::VegetableOil,
        p.thinnerShare = figure(r, 0, 0.1);
    if (chance(r, 0.5))
        p.count = chance(r, 0.9) ? 1 + below(r, 60) : tame ? 500 : any<int>(r, {0, 499, 500, 501, 100000});
    if (p.alongMeridian() || (p.couldBeCoated() && chance(r, 0.6))) {
        p.coats() = usualCoats(p, plan, io::library());
        if (chance(r, 0.5)) p.coats().clear();
        for (int i = below(r, 3); i > 0 || (p.coats().empty() && i == 0 && chance(r, 0.8)); --i)
            p.coats().push_back(coat(r));
        if (chance(r, 0.02)) p.coats().resize(9);
    }
    strange(r, p.wantedWall, 0, 0.01, 0.3);
    if (chance(r, 0.3)) {
        Filling inside;
        inside.name = chance(r, 0.5) ? "Cream" : "Jelly";
        strange(r, inside.make, 0, 7200, 0.3);
        strange(r, inside.usableTo, 0, 80000, 0.3);
        inside.perishable = chance(r, 0.7);
        FillStep& step = plan.fillWith(p, plan.keep(inside));
        strange(r, step.each, 0, 5e-4, 0.7);
        strange(r, step.share, 0, 1, 0.3);
        if (chance(r, 0.3)) strange(r, p.having<LidStep>().depth, 0, 0.01, 1);
    }
    while (chance(r, 0.35)) {  // steps of every sort, where they belong and where they do not
        Step step = anyStep(r, plan, p);
        const size_t at =
            chance(r, 0.7) ? p.usualPlace(step) : static_cast<size_t>(below(r, static_cast<int>(p.making.size()) + 1));
        p.making.insert(p.making.begin() + static_cast<std::ptrdiff_t>(at), std::move(step));
    }
    if (chance(r, 0.1) && !p.making.empty())
        p.making.erase(p.making.begin() + below(r, static_cast<int>(p.making.size())));
    if (chance(r, 0.05)) std::shuffle(p.making.begin(), p.making.end(), r);
    if (chance(r, 0.2)) p.survives = figure(r, 0.2, 1);
    if (chance(r, 0.2)) p.sits = static_cast<Sits>(below(r, 3));
    if (chance(r, 0.2))
        p.handling = {static_cast<Handling::Release>(below(r, 2)),
                      chance(r, 0.5),
                      static_cast<Handling::Lift>(below(r, 4)),
                      static_cast<Handling::Carry>(below(r, 3)),
                      {}};
    if (chance(r, 0.2))
        p.cast() = {"",
                    Measure(1),
                    Measure(figure(r, 26, 45)),
                    Measure(figure(r, 0, 7200)),
                    static_cast<coat::Place>(below(r, 3)),
                    {},
                    {}};
    if (chance(r, 0.2))
        p.loads[any<std::string>(r, {"fingers", "filling", "stack", "drop", "warm", "handle"})] =
            Measure(figure(r, 0, 50));
    return p;
}

}  // namespace

Plan randomPlan(Random& r) {
    Plan plan;
    plan.name = "Storm";
    tame = chance(r, 0.6);
    corners = tame && chance(r, 0.3);
    plan.deadline = chance(r, 0.95) ? fmt::format("20{:02}-{:02}-{:02}T{:02}:{:02}", 26 + below(r, 5), 1 + below(r, 12),
                                                  1 + below(r, 28), below(r, 24), below(r, 60))
                                    : any<std::string>(r, {"1970-01-01T00:10", "9999-12-31T23:59", "never", ""});
    if (chance(r, 0.3)) plan.units = UnitSystem::US;
    const int kinds = chance(r, 0.9) ? 1 + below(r, 4) : 5 + below(r, 20);
    for (int i = 0; i < kinds; ++i) {
        Piece p = piece(r, plan);
        p.id = fmt::format("piece-{}", i);
        plan.pieces.push_back(std::move(p));
    }
    Kitchen& k = plan.kitchen;
    strange(r, k.room, 14, 34, 0.3);
    strange(r, k.humidity, 0.1, 0.95, 0.3);
    strange(r, k.fridge, 0, 14, 0.3);
    strange(r, k.freezer, -30, -6, 0.2);
    strange(r, k.shelfWidth, 0.05, 2, 0.3);
    strange(r, k.shelfDepth, 0.05, 2, 0.2);
    strange(r, k.shelfHeight, 0.02, 2, 0.2);
    if (chance(r, 0.2)) k.helpers.resize(below(r, limits::kHelpers + 1));
    if (chance(r, 0.2)) k.shelves = below(r, 10);
    for (auto& h : k.helpers) {
        if (chance(r, 0.3)) h.from = any<std::string>(r, {"16:00", "25:00", "00:00"});
        if (chance(r, 0.3)) h.until = any<std::string>(r, {"20:00", "00:00", "soon"});
        h.hot = chance(r, 0.7), h.knife = chance(r, 0.7);
    }
    if (chance(r, 0.1)) k.cook.from = any<std::string>(r, {"08:00", "15:30"});
    auto& d = plan.day;
    if (chance(r, 0.3)) d.aim = static_cast<DayWish::Aim>(below(r, 6));
    if (chance(r, 0.1)) d.chance = any(r, std::vector<double>{0.5, 0.8, 0.99, 2});
    if (chance(r, 0.1)) d.free.push_back({below(r, 3000) - 1500, below(r, 3000) - 1500});
    if (chance(r, 0.1))
        d.laid = {{{"ready", below(r, 3000) - 900, chance(r, 0.5)}, {"x", 0, true}}, {{"x", 3}}, 20, -9};
    if (chance(r, 0.1))
        plan.pantry.push_back({any(r, io::library().chocolates).id, Measure(figure(r, 0, 5)), "2027-03-01", 12, {}});
    if (chance(r, 0.1))
        plan.melting[any(r, io::library().chocolates).id].method = static_cast<temper::Method>(below(r, 6));
    if (chance(r, 0.1)) {
        material::Colour c;
        c.id = "dusk";
        c.name = "Dusk";
        c.base = any(r, io::library().chocolates).id;
        strange(r, c.strength, 0.003, 0.01, 0.5);
        plan.colours.push_back(c);
        plan.pieces[0].chocolate = "dusk";
    }
    return plan;
}

}  // namespace uovo::storm
