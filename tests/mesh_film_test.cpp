// The film on a mesh: its surface, its pools, its schedules, and coat cases from the command line.
#include <fmt/format.h>
#include <unistd.h>
#include <catch2/catch.hpp>
#include <numbers>

#include <cmath>
#include <filesystem>
#include <functional>
#include <nlohmann/json.hpp>
#include <numeric>

#include "cli/coat_case.h"
#include "core/coat/mesh_coats.h"
#include "core/form/former.h"
#include "core/form/part.h"
#include "io/model_reader.h"
#include "support.h"

namespace uovo::coat::mesh_film_test {

using form::Vec3;
using nlohmann::json;

using std::numbers::pi;

namespace {

form::Mesh sphere(double R, double edge) {
    form::LatheOptions o;
    o.edge = o.along = edge;
    o.onSurface = true;
    return form::lathe(
        {form::Stretch{[=](double u) {
                           const double t = pi * u;
                           return form::CurvePoint{
                               R * std::sin(t), R - R * std::cos(t), pi * R * std::cos(t), pi * R * std::sin(t), 0, 0};
                       },
                       form::Mark::Wall,
                       {}}},
        o);
}

MeshJob jobOn(const Surface& s) {
    MeshJob job;
    Piece piece;
    piece.chocolate = "dark";
    static_cast<CoatSetting&>(job) = *coatSetting(piece, Plan{}, io::library());
    job.surface = &s;
    MeshStep step;
    step.coat.temperature = 33;
    step.coat.delay = 60;
    step.coat.stay = 120;
    job.steps = {step};
    return job;
}

json balloonCase() {
    return json::parse(
        R"({"piece": {"former": {"kind": "balloon", "girth": 0.44, "length": 0.16, "dip": 0.09, "pear": 0.2}, "chocolate": "dark",
        "coats": [{"way": "dip", "temperature": 33, "drain": 40, "rest": "hung", "delay": 120, "place": "fridge", "stay": 900}]},
        "on": {"triangles": 1500}, "ask": [{"what": "mean"}]})");
}

double value(const json& c) {
    const auto done = cli::answerCase(c);
    INFO((done ? "" : done.error().where + ": " + done.error().sentence));
    REQUIRE(done);
    return done->answers.front().value;
}

std::string refusal(const json& c) {
    const auto done = cli::answerCase(c);
    return done ? "" : done.error().sentence;
}

}  // namespace

TEST_CASE("a sphere's surface: area, curvature and normals, outside and inside") {
    const double R = 0.05;
    for (const bool outside : {true, false}) {
        const Surface s = surfaceOf(sphere(R, 0.004), outside);
        double area = 0, mean = 0, gauss = 0;
        for (size_t i = 0; i < s.size(); ++i) {
            area += s.area[i];
            mean += s.mean[i] * s.area[i];
            gauss += s.gauss[i] * s.area[i];
            const Vec3 out = form::unit(s.at[i] - Vec3{0, 0, R});
            CHECK(form::dot(s.normal[i], out) * (outside ? 1 : -1) > 0.995);
            CHECK(form::length(s.edge[i]) == 0);
        }
        CHECK(area == Approx(4 * pi * R * R).epsilon(0.01));
        CHECK(mean / area == Approx((outside ? 1 : -1) / R).epsilon(0.01));
        CHECK(gauss == Approx(4 * pi).epsilon(0.02));  // Gauss–Bonnet
    }
}

TEST_CASE("a cylinder's surface is bent one way only, and its rims look out of the wall") {
    const double R = 0.03, h = 0.06;
    form::LatheOptions o;
    o.edge = o.along = 0.003;
    o.onSurface = true;
    const Surface s = surfaceOf(
        form::lathe({{[=](double u) { return form::CurvePoint{R * u, 0, R, 0, 0, 0}; }, form::Mark::Lid, {}},
                     {[=](double u) { return form::CurvePoint{R, h * u, 0, h, 0, 0}; }, form::Mark::Wall, {}},
                     {[=](double u) { return form::CurvePoint{R * (1 - u), h, -R, 0, 0, 0}; }, form::Mark::Lid, {}}},
                    o),
        true);
    int rims = 0;
    for (size_t i = 0; i < s.size(); ++i) {
        CHECK(s.mean[i] == Approx(1 / (2 * R)).epsilon(0.03));
        CHECK(std::abs(s.gauss[i]) < 20);
        if (form::length(s.edge[i]) == 0) continue;
        ++rims;
        CHECK(std::abs(s.edge[i].z) > 0.75);
        CHECK((s.edge[i].z > 0) == (s.at[i].z > h / 2));
    }
    CHECK(rims > 40);
}

TEST_CASE("links go both ways with the same width, never less than none") {
    const Surface s = surfaceOf(form::build(form::usual("tart"))->items[0].shape.surface, false);
    for (size_t i = 0; i < s.size(); ++i)
        for (size_t l = s.link[i]; l < s.link[i + 1]; ++l) {
            CHECK(s.width[l] >= 0);
            const auto j = static_cast<size_t>(s.to[l]);
            bool back = false;
            for (size_t m = s.link[j]; m < s.link[j + 1]; ++m)
                if (s.to[m] == static_cast<int>(i)) back = s.width[m] == Approx(s.width[l]);
            CHECK(back);
        }
}

TEST_CASE("a pool lies level, holds what was poured, and moves when the ball is turned") {
    const double R = 0.06;
    const Surface s = surfaceOf(sphere(R, 0.005), false);
    const MeshJob job = jobOn(s);
    MeshFilm film(s, job.coating, job.law, job.lockFraction, job.former, {}, 21);
    const double poured = 4.0 / 3 * pi * R * R * R / 4;
    film.pour(poured, 33, 0.05, {0, 0, 1});
    CHECK(film.volume() == Approx(poured).epsilon(1e-9));
    // depth of a spherical cap of a quarter of the ball: h²(3R − h) = R³
    double low = 0, high = R;
    for (int k = 0; k < 60; ++k) {
        const double mid = 0.5 * (low + high);
        (mid * mid * (3 * R - mid) < R * R * R ? low : high) = mid;
    }
    CHECK(film.poolLevel() == Approx(low).epsilon(0.02));
    const auto centre = [&] {
        Vec3 c;
        double all = 0;
        for (size_t i = 0; i < s.size(); ++i) {
            c += s.at[i] * (film.mobile()[i] * s.area[i]);
            all += film.mobile()[i] * s.area[i];
        }
        return c * (1 / all);
    };
    CHECK(centre().z < 0.5 * R);
    Surroundings over;
    over.up = {0, 0, -1};
    film.run(60, over);
    CHECK(film.volume() + film.dripped() == Approx(poured).epsilon(1e-10));
    CHECK(film.dripped() == 0);  // nothing leaves a closed ball
    CHECK(centre().z > 1.4 * R);
    Surroundings side;
    side.up = {-1, 0, 0};
    film.run(60, side);
    CHECK(centre().x > 0.3 * R);
    CHECK(film.leastMobile() >= 0);
}

TEST_CASE("a spun ball is covered without a bare place, and evener than a still one") {
    const Surface s = surfaceOf(sphere(0.05, 0.005), false);
    const auto run = [&](std::vector<Turn> turns) {
        MeshJob job = jobOn(s);
        job.steps[0].fill = 1.3e-4;
        job.steps[0].turns = std::move(turns);
        const auto done = coat::coat(job);
        REQUIRE(done);
        CHECK(done->error < 1e-10);
        const auto& wall = done->coats[0].wall;
        double mean = 0, square = 0, area = 0;
        for (size_t i = 0; i < wall.size(); ++i) {
            mean += wall[i] * s.area[i];
            area += s.area[i];
        }
        mean /= area;
        for (size_t i = 0; i < wall.size(); ++i) square += (wall[i] - mean) * (wall[i] - mean) * s.area[i];
        return std::pair{done->coats[0].bare, std::sqrt(square / area) / mean};
    };
    const auto still = run({{{0, 0, 1}, 900}});
    auto turns = spinByHand(40);
    for (const auto& t : turnedEvery(120, 7)) turns.push_back(t);
    const auto turned = run(turns);
    CHECK(still.first > 0.4);
    CHECK(turned.first < 1e-9);
    CHECK(turned.second < 0.7 * still.second);
    CHECK(turned.second > 0.1);  // even is not perfect
}

TEST_CASE("the same job gives the same wall, and frames tell how it came about") {
    const Surface s = surfaceOf(sphere(0.04, 0.006), true);
    MeshJob job = jobOn(s);
    job.frameEvery = 20;
    const auto a = coat::coat(job), b = coat::coat(job);
    REQUIRE(a);
    CHECK(a->coats[0].wall == b->coats[0].wall);
    REQUIRE(a->frames.size() >= 10);
    for (size_t k = 1; k < a->frames.size(); ++k) CHECK(a->frames[k].time > a->frames[k - 1].time);
    CHECK(a->frames.back().flows <= a->frames.front().flows);
    for (const auto& f : a->frames)
        CHECK(f.mass + f.dripped == Approx(a->frames.front().mass + a->frames.front().dripped).epsilon(1e-9));
    double last = 0;
    const auto watched = coat::coat(job, {}, [&](double share) {
        CHECK(share >= last - 1e-12);
        last = share;
    });
    CHECK(last == Approx(1).epsilon(1e-6));
    std::stop_source source;
    source.request_stop();
    CHECK_FALSE(coat::coat(job, source.get_token()));
}

TEST_CASE("tapping and scraping take chocolate off, a brush puts it where it points") {
    const Surface s =
        surfaceOf(form::build(form::usual("half-ball"), {}, {1500, 24, true})->items[0].shape.surface, false);
    MeshJob job = jobOn(s);
    job.steps[0].coat.way = Way::Pour;
    job.steps[0].coat.drain = 20;
    const double plain = coat::coat(job)->mass;
    job.steps[0].tap = 10;
    CHECK(coat::coat(job)->mass < plain);
    job.steps[0].tap = 0;
    job.steps[0].scrape = true;
    CHECK(coat::coat(job)->mass <= plain + 1e-9);
    job.steps[0].coat.way = Way::Brush;
    job.steps[0].coat.brushMass = 0.01;
    job.steps[0].coat.delay = 1;  // before it runs
    job.steps[0].coat.stay = 0;
    job.steps[0].brush.assign(s.size(), 0.0);
    for (size_t i = 0; i < s.size(); ++i) job.steps[0].brush[i] = s.at[i].x > 0.02;
    const auto brushed = coat::coat(job);
    REQUIRE(brushed);
    CHECK(brushed->mass == Approx(0.01).epsilon(0.02));
    double here = 0, there = 0;
    for (size_t i = 0; i < s.size(); ++i) (s.at[i].x > 0 ? here : there) += brushed->coats[0].wall[i] * s.area[i];
    CHECK(here > 5 * there);
}

TEST_CASE("impossible schedules are refused with their place") {
    const Surface s = surfaceOf(sphere(0.05, 0.008), false);
    const auto says = [&](const std::function<void(MeshJob&)>& change) {
        MeshJob job = jobOn(s);
        change(job);
        const auto done = coat::coat(job);
        return done ? std::string() : done.error().sentence + " @" + done.error().where;
    };
    CHECK(says([](MeshJob& j) { j.steps.clear(); }).find("at least one coat") != std::string::npos);
    CHECK(says([](MeshJob& j) { j.steps.assign(101, j.steps[0]); }).find("101 coats") != std::string::npos);
    CHECK(says([](MeshJob& j) { j.steps[0].fill = 1; }).find("It holds") != std::string::npos);
    CHECK(says([](MeshJob& j) {
              j.steps[0].turns = {{{0, 0, 1}, 90000}};
          }).find("longer than a day") != std::string::npos);
    CHECK(says([](MeshJob& j) { j.steps[0].turns = {{{0, 0, 1}, -5}}; }).find("@coats/0/turns") != std::string::npos);
    CHECK(says([](MeshJob& j) { j.steps[0].turns = {{{0, 0, 0}, 5}}; }).find("no direction") != std::string::npos);
    CHECK(says([](MeshJob& j) { j.steps[0].brush = {1, 2}; }).find("another mesh") != std::string::npos);
    CHECK(says([](MeshJob& j) { j.surface = nullptr; }).find("no wall") != std::string::npos);
    CHECK(says([](MeshJob&) {}).empty());
}

TEST_CASE("meshes with needles or several shells are coated without harm") {
    form::Mesh two = sphere(0.03, 0.006);
    form::append(two, form::placed(sphere(0.02, 0.006), {{1, 0, 0}, {0, 1, 0}, {0, 0, 1}, {0.2, 0, 0}}));
    two.points.push_back(two.points[5] + Vec3{1e-9, 0, 0});  // a needle
    two.triangles.push_back({5, static_cast<int>(two.points.size()) - 1, 6});
    if (!two.marks.empty()) two.marks.push_back(form::Mark::Wall);
    const Surface s = surfaceOf(two, true);
    const auto done = coat::coat(jobOn(s));
    REQUIRE(done);
    CHECK(done->error < 1e-10);
    for (const double h : done->coats[0].wall) CHECK((std::isfinite(h) && h >= 0));
}

TEST_CASE("coat cases answer what they are asked, on a profile and on meshes alike") {
    json c = balloonCase();
    const double mesh = value(c);
    c["on"] = {{"cells", 100}};
    CHECK(value(c) == Approx(mesh).epsilon(0.05));
    c = balloonCase();
    c["ask"] = json::array({{{"what", "mass"}},
                            {{"what", "thinnest"}},
                            {{"what", "mean"}},
                            {{"what", "thickest"}},
                            {{"what", "lock"}},
                            {{"what", "wall"}, {"at", {0.07, 0, 0.06}}, {"name", "side"}}});
    const auto done = cli::answerCase(c);
    REQUIRE(done);
    REQUIRE(done->answers.size() == 6);
    CHECK(done->answers[0].unit == "kg");
    CHECK(done->answers[1].value <= done->answers[2].value);
    CHECK(done->answers[2].value <= done->answers[3].value);
    CHECK(done->answers[5].name == "side");
    CHECK(done->triangles > 1000);
    // thicker chocolate leaves more: own constants win
    c = balloonCase();
    c["own"] = {{"dark", {{"yield40", 14}}}};
    CHECK(value(c) > 1.15 * mesh);
    // a cup of any family, from the inside, and a coat more
    c["piece"]["former"] = {{"kind", "half-ball"}, {"diameter", 0.07}, {"depth", 0.035}};
    c["piece"]["coats"][0]["way"] = "pour";
    c.erase("own");
    const double one = value(c);
    c["piece"]["coats"].push_back(c["piece"]["coats"][0]);
    CHECK(value(c) > 1.6 * one);
}

TEST_CASE("a model from a file is coated, in its unit") {
    const std::string path =
        (std::filesystem::temp_directory_path() / fmt::format("uovo-test-{}-ball.stl", ::getpid())).string();
    REQUIRE(io::writeMeshFile(path, sphere(0.05, 0.006)));  // in mm, as its unit is written
    json c = balloonCase();
    c["on"] = {{"file", path}, {"unit", "mm"}, {"outside", true}};
    c["ask"] = json::array({{{"what", "mass"}}});
    const double mm = value(c);
    CHECK(mm > 0.02);
    CHECK(mm < 0.2);
    c["on"]["unit"] = "furlong";
    CHECK(refusal(c).find("none of them") != std::string::npos);
    std::filesystem::remove(path);
}

TEST_CASE("coat cases that cannot be are refused with a sentence") {
    const auto with = [](const char* pointer, const json& v) {
        json c = balloonCase();
        c[json::json_pointer(pointer)] = v;
        return refusal(c);
    };
    CHECK_FALSE(with("/on", {{"triangles", 5}}).empty());
    CHECK_FALSE(with("/on", {{"cells", 1}}).empty());
    CHECK_FALSE(with("/on", json::object()).empty());
    CHECK(with("/piece/coats/0/temperature", 70).find("scorches") != std::string::npos);
    CHECK(with("/piece/coats/0/temperature", 20).find("does not flow") != std::string::npos);
    CHECK_FALSE(with("/piece/coats", json::array()).empty());
    CHECK_FALSE(with("/piece/former", {{"kind", "teapot"}}).empty());
    CHECK(with("/piece/former", {{"kind", "disc"}}).find("no wall") != std::string::npos);
    CHECK(with("/ask/0/what", "colour").find("nothing that is asked") != std::string::npos);
    CHECK(with("/ask/0/coat", 7).find("no such coat") != std::string::npos);
    CHECK_FALSE(with("/steps", json::array({{{"turns", {{{"up", {0, 0}}, {"seconds", 5}}}}}})).empty());
    CHECK_FALSE(refusal(json::object()).empty());
}

}  // namespace uovo::coat::mesh_film_test
