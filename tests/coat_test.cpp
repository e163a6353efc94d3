#include <catch2/catch.hpp>
#include <numbers>

#include "core/coat/band.h"
#include "core/coat/flux.h"
#include "support.h"

namespace uovo::coat_test {

namespace {

Piece bowl(double temperature = 32) {
    Piece p = test::demo().pieces[0];
    for (auto& c : p.coats()) c.temperature = temperature;
    return p;
}

coat::CoatJob job(const Piece& p, int cells = 80) { return *coatJob(p, test::demo(), io::library(), cells); }

double mean(const coat::CoatsResult& r, const coat::CoatJob& j) { return coat::figures(r.wall, j.profile).mean; }

}  // namespace

TEST_CASE("Casson flux: its slope by thickness is h times the shear rate") {
    const double G = 12000, tau = 8, eta = 3;
    for (const double h : {0.0007, 0.001, 0.003}) {
        const double d = h * 1e-5;
        const double slope = (coat::cassonFlux(G, h + d, tau, eta) - coat::cassonFlux(G, h - d, tau, eta)) / (2 * d);
        CHECK(slope == Approx(h * coat::cassonRate(G * h, tau, eta)).epsilon(1e-5));
    }
    CHECK(coat::cassonFlux(G, tau / G * 0.999, tau, eta) == 0);
    CHECK(coat::cassonFlux(G, 0, tau, eta) == 0);
}

TEST_CASE("a dip leaves the thickness whose surface keeps up with the wall") {
    const double G = 1270 * kGravity, tau = 9, eta = 3.5;
    for (const double U : {0.005, 0.02, 0.04}) {
        const double h = coat::dipThickness(U, G, tau, eta, 0.02);
        CHECK(h * coat::cassonRate(G * h, tau, eta) == Approx(U).epsilon(1e-6));
    }
    CHECK(coat::dipThickness(5, G, tau, eta, 0.006) == 0.006);
}

TEST_CASE("mass in the piece is the volume of its wall") {
    const auto j = job(bowl());
    const auto r = *coat::coat(j);
    double mass = 0;
    for (size_t i = 0; i < r.wall.size(); ++i) {
        const double h = r.wall[i] * j.coating.densitySolid / j.coating.densityMelt;
        mass +=
            j.profile.area[i] * h * (1 + h * (j.profile.mean[i] + j.profile.gauss[i] * h / 3)) * j.coating.densityMelt;
    }
    CHECK(mass == Approx(r.mass).epsilon(1e-6));
    CHECK(r.error < 1e-10);
    CHECK(r.coats[0].added + r.coats[1].added == Approx(r.mass));
}

TEST_CASE("what runs down an upright wall lies at its foot: no cell of it takes it all") {
    for (const double corner : {0.001, 0.002, 0.004, 0.008}) {
        INFO(corner);
        Plan plan = test::demo();
        Piece p = newPiece(plan, "cup");
        p.shape = test::cup(0.065, 0.065, 0.05, corner, 0.05);
        const auto j = *coatJob(p, plan, io::library(), 80);
        const auto r = *coat::coat(j);
        CHECK(r.error < 1e-10);
        CHECK(*std::ranges::max_element(r.wall) < 0.012);
        for (size_t i = 1; i + 1 < r.wall.size(); ++i)  // no needle between its neighbours
            CHECK(r.wall[i] < 3 * std::max(r.wall[i - 1], r.wall[i + 1]) + 1e-4);
    }
}

TEST_CASE("more coats, cooler chocolate and a shorter wait make a thicker wall") {
    auto p = bowl();
    const auto base = job(p);
    const double wall = mean(*coat::coat(base), base);
    p.coats().push_back(p.coats().back());
    CHECK(mean(*coat::coat(job(p)), base) > 1.3 * wall);
    CHECK(mean(*coat::coat(job(bowl(33.5))), base) < wall);
    auto slow = bowl();
    for (auto& c : slow.coats()) c.delay = 600;
    const auto nearRim = [](const coat::CoatsResult& r) {
        return r.wall[r.wall.size() * 4 / 5];
    };  // the foot gains what the wall loses
    CHECK(nearRim(*coat::coat(job(slow))) < nearRim(*coat::coat(base)));
}

TEST_CASE("a bowl on paper gets a foot, on a ring a thicker rim and none") {
    auto p = bowl();
    const auto upright = *coat::coat(job(p));
    CHECK(upright.coats.back().footRadius > 0.01);
    for (auto& c : p.coats()) c.rest = coat::Rest::Inverted;
    const auto ring = *coat::coat(job(p));
    CHECK(ring.coats.back().footRadius == 0);
    CHECK(ring.wall[ring.wall.size() - 3] > upright.wall[upright.wall.size() - 3]);
    CHECK(ring.error < 1e-10);
}

TEST_CASE("the foot is flat: the lowest points of its face lie in one plane") {
    const auto j = job(bowl(), 120);
    const auto r = *coat::coat(j);
    double lowest = 1, highest = -1;
    for (size_t i = 0; j.profile.r[i] < 0.6 * r.coats[0].footRadius; ++i) {
        const double z =
            j.profile.z[i] + j.profile.normalZ[i] * r.coats[0].wall[i] * j.coating.densitySolid / j.coating.densityMelt;
        lowest = std::min(lowest, z);
        highest = std::max(highest, z);
    }
    CHECK(highest - lowest < 2e-4);
}

TEST_CASE("brushing adds just the grams brushed on") {
    auto p = bowl();
    PlannedCoat brush = p.coats().back();
    brush.way = coat::Way::Brush;
    brush.where = coat::Where::Foot;
    brush.brushMass = 0.01;
    brush.rest = coat::Rest::Hung;
    p.coats().push_back(brush);
    const auto r = *coat::coat(job(p));
    CHECK(r.coats.back().added + r.coats.back().dripped == Approx(0.01).epsilon(1e-6));
}

TEST_CASE("half the cells give the same wall within two percent") {
    const auto fine = job(bowl(), 240), coarse = job(bowl(), 60);
    CHECK(mean(*coat::coat(coarse), coarse) == Approx(mean(*coat::coat(fine), fine)).epsilon(0.02));
}

TEST_CASE("the same job gives the same wall, and a stop stops it", "[threads]") {
    const auto j = job(bowl());
    CHECK(coat::coat(j)->wall == coat::coat(j)->wall);
    std::stop_source stop;
    stop.request_stop();
    const auto r = coat::coat(j, stop.get_token());
    REQUIRE_FALSE(r);
    CHECK(r.error().sentence == "Stopped.");
}

TEST_CASE("the band holds the likely value, is the same each time, and widens with the spread") {
    const auto j = job(bowl(), 36);
    const coat::Uncertainty u{15.0 / 4, 4 / 1.5, 1, 20};
    const auto a = *coat::band(j, u), b = *coat::band(j, u);
    CHECK(a.mass.low == b.mass.low);
    CHECK(a.mass.low < 1);
    CHECK(a.mass.high > 1);
    CHECK(a.mass.high / a.mass.low < 4);
    const auto sure = *coat::band(j, {1.05, 1.05, 0.1, 1});
    CHECK(sure.mass.high - sure.mass.low < 0.3 * (a.mass.high - a.mass.low));
}

TEST_CASE("what a coat may not be is refused with its field") {
    const auto dark = test::coating("dark");
    const auto says = [&](auto change, double bears = 35) {
        coat::CoatStep s;
        change(s);
        const auto ok = coat::checkStep(s, dark, bears);
        return ok ? std::pair<std::string, std::string>{} : std::pair{ok.error().where, ok.error().sentence};
    };
    CHECK(says([](auto& s) { s.temperature = 70; }).first == "temperature");
    CHECK(says([](auto& s) { s.temperature = 45; }).second.find("bursts") != std::string::npos);
    CHECK(says([](auto& s) { s.temperature = 20; }).second.find("does not flow") != std::string::npos);
    CHECK(says([](auto& s) { s.temperature = std::nan(""); }).second.find("not a number") != std::string::npos);
    CHECK(says([](auto& s) { s.delay = 1e6; }).first == "delay");
    CHECK(says([](auto& s) { s.stay = -5; }).first == "stay");
    CHECK(says([](auto& s) { s.drain = std::nan(""); }).first == "drain");
    CHECK(says([](auto& s) {
              s.way = coat::Way::Brush;
              s.brushMass = 0;
          }).first == "brushMass");
    CHECK(says([](auto&) {}).first.empty());
}

}  // namespace uovo::coat_test
