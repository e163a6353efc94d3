// Nets of piped lines: what hangs together, the longest free line, what it bears.
#include "core/form/net.h"

#include <catch2/catch.hpp>
#include <cmath>

#include "core/form/cut_field.h"
#include "core/stages/lace.h"
#include "core/stages/strength.h"
#include "io/data.h"
#include "support.h"

namespace uovo::net_test {
namespace {

const material::Library& lib() { return io::library(); }

form::Part lace(const char* family, const std::map<std::string, double>& values, const char* pattern = nullptr) {
    form::Part p = form::usual(family);
    for (const auto& [key, v] : values) p.values[key] = Measure(v);
    if (pattern) p.choices["pattern"] = pattern;
    return p;
}

form::Assembly built(const form::Part& part) {
    const auto a = form::build(part);
    INFO((a ? "" : a.error().sentence));
    REQUIRE(a);
    return *a;
}

Plan planOf(const form::Part& part, const std::function<void(Piece&)>& change = {}) {
    Plan plan;
    plan.deadline = "2026-08-04T21:30";
    plan.pieces = {newPiece(plan, part.family)};
    plan.pieces[0].shape = part;
    plan.pieces[0].complete();
    if (change) change(plan.pieces[0]);
    return plan;
}

LaceHold held(const Plan& plan) {
    const auto a = test::answersOf(plan, test::withoutDay());
    REQUIRE(a.pieces[0]->made);
    const auto all = laceHolds(plan.pieces[0], plan, lib(), *a.pieces[0]->made);
    REQUIRE(all.size() == 1);
    return all[0];
}

}  // namespace

TEST_CASE("a flat net has the openings it was drawn with: by hand for 90 by 60 mm") {
    const auto part = lace("lace", {{"length", 0.09},
                                    {"width", 0.06},
                                    {"lineWidth", 0.003},
                                    {"coverage", 0.45},
                                    {"thickness", 0.002},
                                    {"mound", 0}});
    const auto a = built(part);
    const auto net = form::flatNetOf(a.items[0].shape.surface, 0.001);
    CHECK(net.parts == 1);
    // lines 3 mm wide that cover 45 %: the pitch is 3 / (1 − √0.55) = 11.6 mm, a whole number of times
    const double pitch = 0.003 / (1 - std::sqrt(1 - 0.45));
    const long nx = std::lround((0.09 - 0.003) / pitch), ny = std::lround((0.06 - 0.003) / pitch);
    CHECK(net.holes.size() == size_t(nx * ny));
    const double px = 0.087 / double(nx), py = 0.057 / double(ny);
    for (const auto& hole : net.holes) CHECK(hole.round == Approx(2 * (px + py) - 4 * 0.003).epsilon(0.001));
}

TEST_CASE("lace over a balloon hangs together, and its longest lines lie where it is widest") {
    for (const char* pattern : {"lace", "strips"}) {
        INFO(pattern);
        const auto a = built(lace("balloon-lace", {}, pattern));
        const auto net = form::netOf(a.items[0].shape.surface);
        CHECK(net.parts == 1);
        CHECK(net.holes.size() > 8);
    }
    const auto h = held(planOf(lace("balloon-lace", {}, "lace")));
    const double high = form::bounds(built(lace("balloon-lace", {}, "lace")).items[0].shape.surface).size().z;
    CHECK(h.height > 0.15 * high);
    CHECK(h.height < high);
    CHECK(h.span > 0.002);
    CHECK(h.span < 0.06);
}

TEST_CASE("a net that is cut through falls into its parts") {
    auto surface = built(lace("balloon-lace", {}, "strips")).items[0].shape.surface;
    REQUIRE(form::netOf(surface).parts == 1);
    const auto box = form::bounds(surface);
    const double middle = 0.5 * (box.low.z + box.high.z);
    const auto cut = form::cutByField(surface, [&](const form::Vec3& p) { return std::abs(p.z - middle) - 0.002; });
    CHECK(form::netOf(cut).parts > 1);
}

TEST_CASE("a line bears as a bar held at both ends and loaded in its middle (Roark: M = F s / 8)") {
    const auto part = lace("balloon-lace", {}, "lace");
    const Plan plan = planOf(part);
    const auto h = held(plan);
    const double sigma = strengthOf(plan, lib(), plan.pieces[0].chocolate).strength.mean;
    const double bears = 8 / h.span * sigma * h.width * h.thick * h.thick / 6;  // N
    CHECK(h.lifted * std::max(lib().strong("squeezeLeast"), 0.0) <= bears * 1.0001);
    CHECK(h.peeled == Approx(bears / (lib().strong("peelLine") * h.width)).epsilon(0.001));
    // a balloon let go at once pulls as much more as its line load is larger
    const auto burst = held(planOf(part, [](Piece& p) { p.handling.release = Handling::Release::Burst; }));
    CHECK(burst.peeled == Approx(h.peeled * lib().strong("peelLine") / lib().strong("burstLine")).epsilon(0.001));
    CHECK(burst.atOnce);
    // twice as high bears four times as much off its former
    const double was = form::figure(part, "lineHeight");
    const auto thick = held(planOf(lace("balloon-lace", {{"lineHeight", 2 * was}}, "lace")));
    CHECK(thick.peeled == Approx(4 * h.peeled).epsilon(0.02));
}

TEST_CASE("the answer names the line, and its ways out make it hold") {
    const auto thin = lace("balloon-lace", {{"lineHeight", 0.0008}}, "lace");
    const Plan plan = planOf(thin, [](Piece& p) { p.handling.release = Handling::Release::Burst; });
    const auto a = test::answersOf(plan, test::withoutDay());
    const Answer* net = nullptr;
    for (const auto& x : a.pieces[0]->answers)
        if (x.id == "net") net = &x;
    REQUIRE(net);
    CHECK(net->tone == Tone::Weak);
    CHECK(net->sentence.find("would part first") != std::string::npos);
    CHECK(net->sentence.find("above its foot") != std::string::npos);
    REQUIRE(net->ways.size() == 2);
    Plan slowly = plan, higher = plan;
    slowly.pieces[0] = net->ways[0].changed;
    higher.pieces[0] = net->ways[1].changed;
    CHECK(held(slowly).peeled > 5 * held(plan).peeled);
    CHECK(held(higher).holds());
    CHECK(net->working.section == "Nets");
}

TEST_CASE("drips and what is no net have no such answer") {
    for (const auto& part : {lace("balloon-lace", {}, "drips"), form::usual("half-ball"), form::usual("sheet")}) {
        const auto a = test::answersOf(planOf(part), test::withoutDay());
        for (const auto& x : a.pieces[0]->answers) CHECK(x.id != "net");
    }
}

}  // namespace uovo::net_test
