// Molds of one's own as work: boxes that close, what is mixed, days before the day, figures that are cut apart.
#include <catch2/catch.hpp>
#include <cmath>

#include "core/cutting/box_net.h"
#include "core/day/day.h"
#include "core/form/decimate.h"
#include "core/form/iso_surface.h"
#include "core/form/rock.h"
#include "core/log/taught.h"
#include "core/stages/cut_apart.h"
#include "core/stages/sheets.h"
#include "core/words/words.h"
#include "io/data.h"
#include "support.h"

namespace uovo::own_mold_test {
namespace {

const material::Library& lib() { return io::library(); }

/// Three figures from a model, in a silicone mold of one's own.
Plan figures(const form::Mesh& mesh, const std::function<void(Piece&)>& change = {}) {
    Plan plan;
    plan.deadline = "2026-08-04T21:30";
    plan.meshes["figure"] = std::make_shared<const form::Mesh>(mesh);
    plan.pieces = {newPiece(plan, "mesh")};
    Piece& p = plan.pieces[0];
    p.name = "Figure";
    p.count = 3;
    p.shape.mesh = "figure";
    p.shape.values["scale"] = Measure(1);
    p.shape.choices["mold"] = "silicone mold";
    p.molds = 1;
    p.complete();
    if (change) change(p);
    return plan;
}

std::string moldSentence(const Answers& a) {
    for (const auto& x : a.pieces[0]->answers)
        if (x.id == "mold") return x.sentence;
    return {};
}

}  // namespace

TEST_CASE("a box folds up: walls meet at its corners, tongues lie on the walls beside them") {
    for (const form::Vec3 inside : {form::Vec3{0.06, 0.04, 0.05}, {0.1, 0.1, 0.02}, {0.03, 0.08, 0.12}}) {
        const auto net = cutting::boxNet(inside);
        CHECK(!form::crossesItself({net.outline}));
        const double area = form::signedArea(net.outline), l = inside.x, w = inside.y, h = inside.z;
        CHECK(area > l * w + 2 * h * (l + w));
        CHECK(area < l * w + 2 * h * (l + w) + 4 * net.flap * h + 1e-9);
        const auto up = cutting::foldedUp(net);
        REQUIRE(up.size() == net.outline.size());
        int corners = 0;
        for (const auto& p : up) {
            CHECK(p.z >= -1e-12);
            CHECK(p.z <= h + 1e-12);
            // all of it lies on the box, tongues too
            const bool onWall =
                std::abs(p.x) < 1e-9 || std::abs(p.x - l) < 1e-9 || std::abs(p.y) < 1e-9 || std::abs(p.y - w) < 1e-9;
            CHECK((onWall || std::abs(p.z) < 1e-9));
            const bool at = (std::abs(p.x) < 1e-9 || std::abs(p.x - l) < 1e-9) &&
                            (std::abs(p.y) < 1e-9 || std::abs(p.y - w) < 1e-9);
            corners += at && std::abs(p.z - h) < 1e-9;
        }
        CHECK(corners == 8);  // at each upper corner two walls meet
        CHECK(net.folds.size() == 8);
    }
}

TEST_CASE("what is mixed fills box less original, by mass and by volume") {
    const auto mesh = form::rock(0.04, 3, 3);
    const auto a = test::answersOf(figures(mesh));
    REQUIRE(a.pieces[0]->molds.size() == 1);
    const auto& w = a.pieces[0]->molds[0];
    const auto& b = w.box;
    CHECK(b.silicone == Approx((b.inside.x * b.inside.y * b.inside.z - form::volume(mesh)) * 1.1).epsilon(1e-9));
    CHECK(b.volumeA + b.volumeB == Approx(b.silicone));
    CHECK(b.massA == Approx(b.massB));
    CHECK(b.volumeA != Approx(b.volumeB));
    // two parts of A to one of B, by volume; a price
    const auto other = test::answersOf(figures(mesh, [](Piece& p) {
        p.mold.byMass = false;
        p.mold.partsA = 2;
        p.mold.price = 30;
    }));
    const auto& o = other.pieces[0]->molds[0];
    CHECK(o.box.volumeA == Approx(2 * o.box.volumeB));
    CHECK(o.cost == Approx(30 * (o.box.massA + o.box.massB)));
    CHECK(moldSentence(other).find("By volume, 2 to 1") != std::string::npos);
    // in a round vessel only where that takes less
    if (w.pan) CHECK(w.pan->silicone < b.silicone);
}

TEST_CASE("a mold is begun so long before the day that it has cured, by somebody who is awake") {
    const auto mesh = form::rock(0.04, 3, 3);
    const Plan plan = figures(mesh);
    const auto a = test::answersOf(plan);
    REQUIRE(a.day->before.size() == 1);
    const auto& b = a.day->before[0];
    CHECK(b.piece == plan.pieces[0].id);
    const MoldTime time = moldTime(plan.pieces[0], a.pieces[0]->molds, lib());
    const int pourings = a.pieces[0]->molds[0].pourings;
    CHECK(time.ready >= pourings * 6 * 3600);
    CHECK(double(b.latest) * 60 + time.ready <= double(a.day->layout.begins) * 60 + 24 * 3600);
    long first = 0;
    for (size_t t = 0; t < a.day->network.tasks.size(); ++t)
        if (a.day->network.tasks[t].piece == b.piece) first = std::min<long>(first, a.day->layout.start[t]);
    CHECK(double(b.latest) * 60 + time.ready <= double(first) * 60 + 60);
    const std::string clock = a.day->clock(b.latest).substr(11);
    CHECK(clock >= "08:00");
    CHECK(clock <= "22:00");
    const std::string text = dayText(plan, lib(), *a.day, nullptr, {});
    CHECK(text.find("Take the mold of the figures") != std::string::npos);
    CHECK(text.find("that cast is thrown away") != std::string::npos);
    // told with the day; too late once that moment has passed
    const long latest = a.day->end + b.latest;
    CHECK(dayAnswer(plan, *a.day, latest - 60).sentence.find("Take the mold") != std::string::npos);
    const auto late = dayAnswer(plan, *a.day, latest + 60);
    CHECK(late.tone == Tone::Weak);
    CHECK(late.sentence.find("had to be begun on") != std::string::npos);
    // one that is there, or a mold that was bought, asks for nothing
    CHECK(test::answersOf(figures(mesh, [](Piece& p) { p.mold.there = true; })).day->before.empty());
    // a longer cure begins sooner
    const auto slow = test::answersOf(figures(mesh, [](Piece& p) { p.mold.cure = Measure(2 * 86400); }));
    CHECK(slow.day->before.at(0).latest < b.latest - 1440);
}

TEST_CASE("a pour longer than the pot life is mixed in batches, a mold that wears out is told") {
    const auto mesh = form::rock(0.12, 5, 3);
    const auto quick = test::answersOf(figures(mesh, [](Piece& p) { p.mold.potLife = Measure(300); }));
    CHECK(moldSentence(quick).find("batches") != std::string::npos);
    CHECK(moldSentence(test::answersOf(figures(mesh))).find("batches") == std::string::npos);
    const auto many = test::answersOf(figures(form::rock(0.03, 2, 3), [](Piece& p) { p.count = 120; }));
    CHECK(moldSentence(many).find("from each is more than that") != std::string::npos);
    const auto nut = test::answersOf(figures(form::rock(0.03, 2, 3), [](Piece& p) { p.mold.allergens = "almond"; }));
    CHECK(moldSentence(nut).find("almond") != std::string::npos);
}

TEST_CASE("boxes stand among the templates, unless the mold is there") {
    const Plan plan = figures(form::rock(0.04, 3, 3));
    const auto a = test::answersOf(plan);
    const auto sheets = sheetPlan(plan, lib(), a);
    REQUIRE(sheets.nets.size() == 1);
    CHECK(sheets.nets[0].count == 1);
    CHECK(!sheets.empty());
    const Plan there = figures(form::rock(0.04, 3, 3), [](Piece& p) { p.mold.there = true; });
    CHECK(sheetPlan(there, lib(), test::answersOf(there)).nets.empty());
}

TEST_CASE("figures of a mold that cannot be are told beside their field") {
    const auto where = [](const std::function<void(MoldWish&)>& change) {
        const auto found = problems(figures(form::rock(0.04, 3, 2), [&](Piece& p) { change(p.mold); }), lib());
        REQUIRE(found.size() == 1);
        return found[0].where.substr(found[0].where.find("mold/"));
    };
    CHECK(where([](MoldWish& m) { m.hardness = 90; }) == "mold/hardness");
    CHECK(where([](MoldWish& m) { m.wall = Measure(0); }) == "mold/wall");
    CHECK(where([](MoldWish& m) { m.parts = 3; }) == "mold/parts");
    CHECK(where([](MoldWish& m) { m.cure = Measure(1); }) == "mold/cure");
    CHECK(where([](MoldWish& m) { m.potLife = Measure(0); }) == "mold/potLife");
    CHECK(where([](MoldWish& m) { m.partsA = 0; }) == "mold/partsA");
    CHECK(where([](MoldWish& m) { m.price = -1; }) == "mold/price");
}

TEST_CASE("a mold comes back from its file, with what this version does not know") {
    Plan plan = figures(form::rock(0.04, 3, 2), [](Piece& p) {
        p.mold.there = true;
        p.mold.parts = 2;
        p.mold.hardness = 30;
        p.mold.wall = Measure(0.012);
        p.mold.price = 24.5;
        p.mold.allergens = "walnut";
        p.mold.raw = true;
        p.mold.byMass = false;
        p.mold.partsA = 10;
        p.mold.extra = "{\"label\":\"blue tin\"}";
    });
    const std::string text = writePlan(plan);
    CHECK(text.find("blue tin") != std::string::npos);
    const auto back = readPlan(text);
    REQUIRE(back);
    CHECK(back->pieces[0] == plan.pieces[0]);
    CHECK(writePlan(*back) == text);
}

TEST_CASE("a seed head is cut apart in its plan: each part has its mold, the whole is glued and weighs the same") {
    const auto mesh = *form::decimated(form::seedHead(0.11, 70), 6000);
    Plan plan = figures(mesh, [](Piece& p) {
        p.count = 2;
        p.name = "Seed head";
    });
    const auto before = test::answersOf(plan);
    CHECK(before.pieces[0]->molds.at(0).own->leaves == mold::Leaves::InPieces);
    const auto apart = mold::branchesOf(mesh, moldOptions(plan.pieces[0].mold, lib()), lib(), 1);
    REQUIRE(apart);
    REQUIRE(apart->branches.size() >= 2);
    cutApart(plan, plan.pieces[0].id, *apart);
    REQUIRE(problems(plan, lib()).empty());
    const auto after = test::answersOf(plan);
    CHECK(after.pieces[0]->molds.size() == apart->branches.size());
    for (const auto& w : after.pieces[0]->molds) CHECK(w.own->leaves != mold::Leaves::InPieces);
    CHECK(after.pieces[0]->made->mass == Approx(before.pieces[0]->made->mass).epsilon(0.01));
    CHECK(firstOf<JoinStep>(plan.pieces[0].making));
    CHECK(plan.pieces[0].shape.joints.size() == apart->cuts.size());
    CHECK(after.day->before.size() == 1);
    bool joins = false;
    for (const auto& t : after.day->network.tasks) joins = joins || t.step.starts_with("join");
    CHECK(joins);
    const auto back = readPlan(writePlan(plan));
    REQUIRE(back);
    CHECK(back->pieces[0].shape == plan.pieces[0].shape);
}

namespace {

log::Evening evening(const Plan& plan, const std::string& date, int begun = 0) {
    log::Evening e;
    e.id = date;
    e.date = date;
    e.plan = plan;
    if (begun > 0) {
        log::Entry made;
        made.is = log::Entry::Is::Made;
        made.id = 1;
        made.piece = plan.pieces[0].id;
        made.count = made.of = begun;
        e.entries.push_back(made);
    }
    return e;
}

}  // namespace

TEST_CASE("a log counts the casts of a mold: by its original, not by its name") {
    const auto mesh = form::rock(0.04, 3, 3);
    const Plan plan = figures(mesh);
    Plan renamed = plan;
    renamed.pieces[0].name = "Another name";
    renamed.meshes["figure"] = std::make_shared<const form::Mesh>(mesh);  // the same stone, read again
    const auto casts = log::castsOf({evening(plan, "2026-05-01"), evening(renamed, "2026-06-01", 20),
                                     evening(figures(form::rock(0.04, 4, 3)), "2026-07-01", 30)},  // another stone
                                    plan);
    REQUIRE(casts.size() == 1);
    const auto& c = casts.at(plan.pieces[0].id);
    CHECK(c.each == 3 + 20);
    CHECK(c.evenings == 2);
    CHECK(c.last == "2026-06-01");
    // two molds share the work
    const Plan two = figures(mesh, [](Piece& p) { p.molds = 2; });
    CHECK(log::castsOf({evening(two, "2026-05-01", 21)}, two).begin()->second.each == 11);
    CHECK(log::castsOf({}, plan).empty());
}

TEST_CASE("a plan that counts on its log knows how worn its mold is") {
    const Plan plan = figures(form::rock(0.04, 3, 3));
    std::vector<log::Evening> evenings;
    for (int k = 0; k < 6; ++k) evenings.push_back(evening(plan, "2026-0" + std::to_string(k + 1) + "-01", 8));
    const auto taught = log::teach(evenings, plan, lib());
    REQUIRE(taught);
    const auto lesson = std::ranges::find_if(taught->lessons, [](const auto& l) { return l.id.starts_with("casts:"); });
    REQUIRE(lesson != taught->lessons.end());
    CHECK(lesson->sentence.find("has made 48 casts; one stands about 50") != std::string::npos);
    Plan counted = plan;
    log::countOn(*taught, {}, counted, lib());
    CHECK(counted.pieces[0].mold.casts == 48);
    CHECK(counted.pieces[0].mold.there);
    const auto said = moldSentence(test::answersOf(counted, test::withoutDay()));
    INFO(said);
    CHECK(said.find("It has made 48 casts; one stands about 50") != std::string::npos);
    CHECK(said.find("pour a new one in time") != std::string::npos);
    Plan not_ = plan;
    log::countOn(*taught, {{lesson->id, 0.0}}, not_, lib());
    CHECK(not_.pieces[0].mold == plan.pieces[0].mold);
    Plan wrong = counted;
    wrong.pieces[0].mold.casts = -2;
    CHECK(problems(wrong, lib()).size() == 1);
}

}  // namespace uovo::own_mold_test
