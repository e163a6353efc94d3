// Coats that are turned, spun, tapped, scraped, painted in places or made of another chocolate.
#include <cmath>
#include <numeric>

#include "core/coat/blemish.h"
#include "core/stages/film_history.h"
#include "support_coats.h"

namespace uovo::moved_coats_test {

using test::bowlPlan;
using test::find;
using test::only;
using test::planOf;

using std::numbers::pi;

namespace {

coat::Surface ball(double R, double triangles) {
    form::Part p = form::usual("ball");
    p.values["diameter"] = Measure(2 * R);
    p.values["seam"] = Measure(0.0);
    const auto built = form::build(p, {}, {triangles, 24, true});
    return coat::surfaceOf(built->items[0].shape.surface, false);
}

double seconds(const std::vector<coat::Turn>& turns) {
    return std::accumulate(turns.begin(), turns.end(), 0.0,
                           [](double s, const coat::Turn& t) { return s + t.seconds; });
}

/// A ball with one coat that is filled in and moved so.
Plan ballPlan(double fill, coat::Motion motion, double moveFor) {
    Plan plan = planOf("ball");
    plan.pieces[0].coats().resize(1);
    auto& c = plan.pieces[0].coats()[0];
    c.fill = fill;
    c.motion = motion;
    c.moveFor = moveFor;
    return plan;
}

double thinnestOf(const coat::MeshCoats& c) {
    return *std::min_element(c.coats.back().wall.begin(), c.coats.back().wall.end());
}

}  // namespace

TEST_CASE("a planned motion becomes turns that last as long as planned, in unit directions") {
    const auto s = ball(0.05, 1200);
    for (const auto motion : {coat::Motion::Spin, coat::Motion::Over, coat::Motion::Side}) {
        for (const double lasts : {60.0, 480.0, 900.0}) {
            PlannedCoat c;
            c.way = coat::Way::Turn;
            c.motion = motion;
            c.moveFor = lasts;
            c.moveEvery = 60;
            const auto step = coat::meshStep(c, s, false);
            CHECK(seconds(step.turns) ==
                  Approx(lasts + (motion == coat::Motion::Spin
                                      ? 0
                                      : coat::kSwirl)));  // swirled until no patch is bare, then turned
            for (const auto& t : step.turns) {
                CHECK(form::length(t.up) == Approx(1));
                CHECK(t.seconds > 0);
            }
        }
    }
    PlannedCoat dip;
    dip.motion = coat::Motion::Side;
    dip.moveFor = 120;
    dip.drain = 40;
    const auto step = coat::meshStep(dip, s, true);
    REQUIRE(step.turns.size() == 2);  // over the bath first, then on its side
    CHECK(step.turns[0].seconds == 40);
    CHECK(step.turns[1].up.x == 1);
    CHECK(step.onPaper);
    CHECK(coat::beforeCold(dip) == Approx(40 + 120 + 120));  // the usual wait of 2 min with it
    CHECK_FALSE(dip.round());
    CHECK(PlannedCoat{}.round());
}

TEST_CASE("a ball a quarter full keeps every gram, and spinning it leaves no bare patch") {
    const auto s = ball(0.05, 1500);
    const double room = coat::roomIn(s);
    CHECK(room == Approx(4.0 / 3 * pi * std::pow(0.05, 3)).epsilon(0.02));
    const Plan plan = ballPlan(0.25, coat::Motion::Spin, 600);
    const auto job = meshJob(plan.pieces[0], plan, io::library(), s, false);
    REQUIRE(job);
    const auto done = coat::coat(*job);
    REQUIRE(done);
    CHECK(done->mass == Approx(0.25 * room * job->coating.densityMelt).epsilon(1e-9));
    CHECK(done->error < 1e-10);
    CHECK(done->coats[0].bare == 0);
    CHECK(thinnestOf(*done) > 0.0008);
    // left lying it stays a pool and most of the mold is bare
    auto still = *job;
    still.steps[0].turns = {{{0, 0, 1}, 600}};
    const auto lying = coat::coat(still);
    REQUIRE(lying);
    CHECK(lying->coats[0].bare > 0.5);
    CHECK(lying->mass == Approx(done->mass).epsilon(1e-9));
}

TEST_CASE("more turns leave fewer bare places, what once was wet is never bare again") {
    const auto s = ball(0.05, 1200);
    Plan plan = ballPlan(0.2, coat::Motion::Over, 60);
    auto& c = plan.pieces[0].coats()[0];
    c.moveEvery = 60;
    double before = 1;
    for (const double minutes : {1.0, 3.0, 6.0, 12.0}) {
        c.moveFor = Measure(60 * minutes);
        auto job = *meshJob(plan.pieces[0], plan, io::library(), s, false);
        job.frameEvery = 20;
        const auto done = coat::coat(job);
        REQUIRE(done);
        CHECK(done->coats[0].bare <= before + 1e-9);
        before = done->coats[0].bare;
        size_t bare = s.size();
        for (const auto& f : done->frames) {
            const auto now = static_cast<size_t>(
                std::count_if(f.thickness.begin(), f.thickness.end(), [](float t) { return t < 1e-5f; }));
            CHECK(now <= bare);
            bare = now;
        }
    }
    CHECK(before < 0.01);
}

TEST_CASE("a second pool over a locked one finds its level and adds its grams") {
    const auto s = ball(0.04, 1000);
    Plan plan = planOf("ball");
    plan.pieces[0].coats().push_back(plan.pieces[0].coats()[0]);
    for (auto& c : plan.pieces[0].coats()) c.fill = 0.1, c.motion = coat::Motion::Side, c.moveFor = 5, c.stay = 3600;
    const auto job = meshJob(plan.pieces[0], plan, io::library(), s, false);
    const auto done = coat::coat(*job);
    REQUIRE(done);
    const double each = 0.1 * coat::roomIn(s) * job->coating.densityMelt;
    CHECK(done->coats[0].added == Approx(each).epsilon(1e-9));
    CHECK(done->coats[1].added == Approx(each).epsilon(1e-9));
    CHECK(done->coats[1].poolDeepest > done->coats[0].poolDeepest);
}

TEST_CASE("a bowl on its own triangles agrees with its meridian: grams, mid-wall, rim and foot") {
    for (const auto rest : {coat::Rest::Upright, coat::Rest::Inverted, coat::Rest::Hung}) {
        Plan plan = bowlPlan();
        for (auto& c : plan.pieces[0].coats()) c.rest = rest;
        const auto profile = only(plan)->made->meridian;
        plan.pieces[0].coats()[0].tap = Measure(1e-6);  // no coat of its own, but one that a meridian cannot tell
        const auto mesh = only(plan)->made->meridian;
        REQUIRE(profile->round);
        REQUIRE_FALSE(mesh->round);
        INFO(static_cast<int>(rest));
        CHECK(mesh->coats.mass == Approx(profile->coats.mass).epsilon(0.03));
        CHECK(mesh->wall.mean == Approx(profile->wall.mean).epsilon(0.03));
        const size_t middle = profile->profile.size() / 2;
        CHECK(mesh->coats.wall[middle] == Approx(profile->coats.wall[middle]).epsilon(0.05));
        for (size_t k = 0; k < 2; ++k) {
            CHECK(mesh->coats.coats[k].lockTypical == Approx(profile->coats.coats[k].lockTypical).epsilon(0.06));
            CHECK(mesh->coats.coats[k].footRadius ==
                  Approx(profile->coats.coats[k].footRadius).epsilon(0.1).margin(1e-9));
        }
        CHECK(mesh->coats.error < 1e-10);
    }
}

TEST_CASE("laid on its side a bowl is lopsided, and its grams stay near") {
    Plan plan = bowlPlan();
    const double round = only(plan)->made->mass;
    for (auto& c : plan.pieces[0].coats()) c.motion = coat::Motion::Side, c.moveFor = 600, c.delay = 0;
    const auto made = only(plan)->made;
    REQUIRE_FALSE(made->meridian->round);
    CHECK(made->mass == Approx(round).epsilon(0.25));
    double up = 0, down = 0;  // the side that looked down is the thick one: up was +x
    int n = 0, m = 0;
    const auto& s = made->assembly.items[0].shape;
    for (size_t i = 0; i < s.surface.points.size(); ++i) {
        if (s.thickness[i] <= 0) continue;
        const auto& p = s.surface.points[i];
        if (p.x > 0.04) up += s.thickness[i], ++n;
        if (p.x < -0.04) down += s.thickness[i], ++m;
    }
    REQUIRE(n > 10);
    REQUIRE(m > 10);
    CHECK(down / m > 1.15 * up / n);
}

TEST_CASE("strokes of a brush thicken the wall where they are painted and nowhere else, gram for gram") {
    Plan plan = planOf("half-ball");
    const auto before = only(plan);
    PlannedCoat c = plan.pieces[0].coats().back();
    c.way = coat::Way::Brush;
    c.where = coat::Where::Spots;
    c.brushMass = Measure(0.006);
    c.rest = coat::Rest::Upright;
    c.temperature = Measure(30);
    c.delay = Measure(0);
    c.place = coat::Place::Freezer;
    const auto& shape = before->made->assembly.items[0].shape;
    size_t target = 0;
    for (size_t i = 0; i < shape.surface.points.size(); ++i)
        if (form::length(shape.surface.points[i] - form::Vec3{0.02, 0, 0.01}) <
            form::length(shape.surface.points[target] - form::Vec3{0.02, 0, 0.01}))
            target = i;
    const form::Vec3 spot = shape.surface.points[target];
    c.spots = {{spot, 1}};
    plan.pieces[0].coats().push_back(c);
    const auto after = only(plan);
    CHECK(after->made->mass - before->made->mass == Approx(0.006).epsilon(0.05));
    const auto& wall = after->made->assembly.items[0].shape.thickness;
    CHECK(wall[target] > shape.thickness[target] + 0.0015);  // it runs a little before it locks
    for (size_t i = 0; i < wall.size(); ++i)
        if (form::length(shape.surface.points[i] - spot) > 0.05)
            CHECK(wall[i] == Approx(shape.thickness[i]).margin(2e-5));
    // a stroke in the air between corners goes to the nearest one
    plan.pieces[0].coats().back().spots = {{spot * 3.0, 1}};
    CHECK(only(plan)->made->mass - before->made->mass == Approx(0.006).epsilon(0.3));
}

TEST_CASE("a brush round the rim of a part reaches fifteen millimetres, not its bottom") {
    const auto built = form::build(form::usual("half-ball"), {}, {2000, 24, true});
    const auto s = coat::surfaceOf(built->items[0].shape.surface, false);
    PlannedCoat c;
    c.way = coat::Way::Brush;
    c.where = coat::Where::Rim;
    const auto rim = coat::meshStep(c, s, false);
    c.where = coat::Where::Foot;
    const auto foot = coat::meshStep(c, s, false);
    REQUIRE(rim.brush.size() == s.size());
    double top = 0;
    for (const auto& p : s.at) top = std::max(top, p.z);
    for (size_t i = 0; i < s.size(); ++i) {
        if (s.at[i].z < top - 0.0155) CHECK(rim.brush[i] == 0);
        if (s.at[i].z > top - 0.008) CHECK(rim.brush[i] == 1);
        if (std::hypot(s.at[i].x, s.at[i].y) > 0.031) CHECK(foot.brush[i] == 0);
    }
    CHECK(foot.brush[static_cast<size_t>(
              std::min_element(s.at.begin(), s.at.end(), [](const auto& a, const auto& b) { return a.z < b.z; }) -
              s.at.begin())] == 1);
}

TEST_CASE("scraping levels the rim and tapping runs a stiff film off") {
    Plan plan = planOf("half-ball", "milk");
    for (auto& c : plan.pieces[0].coats()) c.rest = coat::Rest::Inverted;
    const auto plain = only(plan)->made;
    Plan scraped = plan;
    for (auto& c : scraped.pieces[0].coats()) c.scrape = true;
    CHECK(only(scraped)->made->wall->rim <= plain->wall->rim + 1e-6);
    Plan tapped = plan;
    for (auto& c : tapped.pieces[0].coats()) c.tap = Measure(30);
    const auto after = only(tapped)->made;
    CHECK(after->mass < plain->mass);
    CHECK(after->wall->error < 1e-10);
}

TEST_CASE("a coat of another chocolate lies apart, comes from its own pot, and is weighed by its own density") {
    Plan plan = bowlPlan();
    const auto dark = test::answersOf(plan, test::withoutDay());
    plan.pieces[0].coats()[1].chocolate = "white";
    plan.pieces[0].coats()[1].temperature = Measure(29.0);
    const auto both = test::answersOf(plan, test::withoutDay());
    REQUIRE(both.problems.empty());
    REQUIRE(both.pots.size() == 2);
    REQUIRE(dark.pots.size() == 1);
    const auto& s = *both.pieces[0]->made->meridian;
    CHECK(s.coats.coats[0].added == Approx(dark.pieces[0]->made->wall->coats[0].added).epsilon(1e-9));
    for (const auto& pot : both.pots) {
        const bool white = pot.key.chocolate == "white";
        CHECK(pot.pieces == Approx(both.pieces[0]->make * s.coats.coats[white ? 1 : 0].added).epsilon(1e-9));
        CHECK(pot.bath > 0.2);  // each is dipped in a bath of its own
    }
    CHECK(s.coats.mass == Approx(s.coats.coats[0].added + s.coats.coats[1].added).epsilon(1e-12));
    double layer = 0;
    for (size_t i = 0; i < s.profile.size(); ++i) {
        CHECK(s.coats.coats[1].wall[i] >= s.coats.coats[0].wall[i] - 1e-12);
        layer += (s.coats.coats[1].wall[i] - s.coats.coats[0].wall[i]) * s.profile.area[i];
    }
    const auto white = test::coating("white");
    CHECK(layer == Approx(s.coats.coats[1].added / white.densitySolid)
                       .epsilon(0.1));  // a curved layer is a little less than area times thickness
    // its own figures reach that coat: a white that flows twice as stiffly leaves more
    plan.own["white"].values["yield40"] = 9;
    const auto stiff = test::answersOf(plan, test::withoutDay());
    REQUIRE(stiff.problems.empty());
    CHECK(stiff.pieces[0]->made->wall->coats[1].added > 1.1 * s.coats.coats[1].added);
    CHECK(stiff.pieces[0]->made->wall->coats[0].added == Approx(s.coats.coats[0].added).epsilon(1e-9));
    // the same on a mesh
    plan.own.clear();
    plan.pieces[0].coats()[0].tap = Measure(1e-6);
    const auto mesh = only(plan)->made->meridian;
    CHECK(mesh->coats.coats[1].added == Approx(s.coats.coats[1].added).epsilon(0.05));
    plan.pieces[0].coats()[1].chocolate = "ruby";
    CHECK(problems(plan, io::library()).size() == 1);
}

TEST_CASE("planned coats with everything in them are written and read again") {
    Plan plan = planOf("ball");
    plan.pieces[0].coats().push_back(plan.pieces[0].coats()[0]);
    auto& c = plan.pieces[0].coats()[1];
    c.chocolate = "milk";
    c.fill = Measure(0.31);
    c.motion = coat::Motion::Over;
    c.moveFor = Measure(333);
    c.moveEvery = Measure(44);
    c.tap = Measure(12);
    c.scrape = true;
    PlannedCoat brush = c;
    brush.way = coat::Way::Brush;
    brush.where = coat::Where::Spots;
    brush.spots = {{{0.01, 0.02, 0.03}, 2}, {{-0.01, 0, 0.003}, 1}};
    plan.pieces[0].coats().push_back(brush);
    const auto again = readPlan(writePlan(plan));
    REQUIRE(again);
    CHECK(*again == plan);
    CHECK(again->pieces[0].coats()[2].spots[0].weight == 2);
    // what is usual is left out of the file
    CHECK(writePlan(bowlPlan()).find("moveFor") == std::string::npos);
    const auto broken = [&](const std::string& from, const std::string& to) {
        std::string text = writePlan(plan);
        const size_t at = text.find(from);
        REQUIRE(at != std::string::npos);
        text.replace(at, from.size(), to);
        return readPlan(text);
    };
    CHECK_FALSE(broken("\"motion\": \"over\"", "\"motion\": \"juggle\""));
    CHECK_FALSE(broken("\"scrape\": true", "\"scrape\": 1"));
    const auto spots = broken("\"spots\": [", "\"spots\": [7, ");
    REQUIRE_FALSE(spots);
    CHECK(spots.error().sentence.find("spot") != std::string::npos);
    CHECK(spots.error().line > 10);
}

TEST_CASE("what cannot be is said beside its field") {
    struct Case {
        const char* field;
        std::function<void(PlannedCoat&)> change;
        const char* words;
    };
    const std::vector<Case> cases{
        {"moveFor", [](PlannedCoat& c) { c.motion = coat::Motion::Side, c.moveFor = Measure(-3); }, "not a time"},
        {"moveFor", [](PlannedCoat& c) { c.motion = coat::Motion::Spin, c.moveFor = Measure(25 * 3600); },
         "longer than"},
        {"moveFor", [](PlannedCoat& c) { c.motion = coat::Motion::Spin, c.moveFor = Measure(std::nan("")); },
         "not a time"},
        {"moveEvery", [](PlannedCoat& c) { c.motion = coat::Motion::Over, c.moveEvery = Measure(0); }, "quickest"},
        {"moveEvery",
         [](PlannedCoat& c) { c.motion = coat::Motion::Over, c.moveEvery = Measure(2), c.moveFor = Measure(7200); },
         "500 turns"},
        {"tap", [](PlannedCoat& c) { c.tap = Measure(-1); }, "not a time"},
        {"tap", [](PlannedCoat& c) { c.tap = Measure(1e6); }, "longer than"},
        {"where", [](PlannedCoat& c) { c.way = coat::Way::Brush, c.where = coat::Where::Spots; }, "Paint on the piece"},
        {"way", [](PlannedCoat& c) { c.way = coat::Way::Turn; }, "closed mold"},
        {"temperature", [](PlannedCoat& c) { c.temperature = Measure(44); }, "balloon"},
        {"temperature", [](PlannedCoat& c) { c.temperature = Measure(18); }, "does not flow"},
    };
    for (const auto& one : cases) {
        Plan plan = bowlPlan();
        one.change(plan.pieces[0].coats()[1]);
        const auto wrong = problems(plan, io::library());
        INFO(one.field << " " << one.words);
        REQUIRE(wrong.size() >= 1);
        CHECK(wrong[0].where == std::string("pieces/p/coats/1/") + one.field);
        CHECK(wrong[0].sentence.find(one.words) != std::string::npos);
    }
    Plan ball = planOf("ball");
    ball.pieces[0].coats()[0].fill = Measure(1.4);
    REQUIRE(problems(ball, io::library()).size() == 1);
    CHECK(problems(ball, io::library())[0].where == "pieces/p/coats/0/fill");
    ball = planOf("ball");
    ball.pieces[0].coats()[0].way = coat::Way::Dip;
    REQUIRE(problems(ball, io::library()).size() == 1);
    CHECK(problems(ball, io::library())[0].sentence.find("closed mold") != std::string::npos);
}

TEST_CASE("bare patches are found with their area, one each, the largest first") {
    const double R = 0.05;
    const auto s = ball(R, 6000);
    std::vector<double> wall(s.size(), 0.002);
    CHECK(coat::blemishes(s, wall, false).empty());
    double large = 0, small = 0;
    for (size_t i = 0; i < s.size(); ++i) {
        if (s.at[i].z > 2 * R - 0.010) wall[i] = 0, large += s.area[i];
        if (s.at[i].z < 0.004) wall[i] = 5e-5, small += s.area[i];
    }
    const auto found = coat::blemishes(s, wall, false);
    REQUIRE(found.size() == 2);
    CHECK(found[0].kind == coat::Blemish::Kind::Bare);
    CHECK(found[0].area == Approx(large));
    CHECK(found[1].area == Approx(small));
    CHECK(found[0].area == Approx(2 * pi * R * 0.010).epsilon(0.1));  // a cap, 2π R h
    CHECK(found[0].at.z > 2 * R - 0.010);
    CHECK(std::hypot(found[0].at.x, found[0].at.y) < 0.002);
    CHECK_FALSE(found[0].corners.empty());
}

TEST_CASE("deep narrow flutes shut air in when they are poured first, wide ones and brushed ones do not") {
    const auto grooves = [](double depth, double flutes, bool brushed) {
        Plan plan = planOf("fluted-dome");
        auto& part = plan.pieces[0].shape;
        part.values["fluteDepth"] = Measure(depth);
        part.values["flutes"] = Measure(flutes);
        if (brushed) plan.pieces[0].coats()[0].way = coat::Way::Brush;
        const auto w = only(plan)->made->wall;
        return std::count_if(w->blemishes.begin(), w->blemishes.end(),
                             [](const auto& b) { return b.kind == coat::Blemish::Kind::Groove; });
    };
    CHECK(grooves(0.002, 8, false) == 0);
    CHECK(grooves(0.010, 24, false) > 0);
    CHECK(grooves(0.010, 24, true) == 0);
}

TEST_CASE("the film's history begins wet, ends as the finished wall, and never loses a gram") {
    for (const char* family : {"half-ball", "ball"}) {
        Plan plan = planOf(family);
        plan.pieces[0].coats().assign(2, PlannedCoat(plan.pieces[0].coats()[0]));
        for (auto& c : plan.pieces[0].coats()) c.fill = Measure(0.15);
        const auto h = filmHistory(plan.pieces[0], plan, io::library());
        REQUIRE(h);
        REQUIRE(h->frames.size() > 40);
        REQUIRE(h->starts.size() == 2);
        CHECK(h->frames.front().flows > 0.95);
        CHECK(h->frames.back().flows < 0.05);
        double laid = h->frames.front().mass + h->frames.front().dripped;
        for (size_t k = 1; k < h->frames.size(); ++k) {
            const auto &a = h->frames[k - 1], &b = h->frames[k];
            CHECK(b.time > a.time);
            CHECK(b.coat >= a.coat);
            CHECK(b.fell <= b.dripped + 1e-12);
            if (b.coat == a.coat) CHECK(b.mass + b.dripped == Approx(laid).epsilon(1e-9));
            laid = b.mass + b.dripped;
        }
        const form::Shape last = h->at(h->frames.size() - 1);
        const auto solid = last.solid();
        CHECK(form::inspect(solid).sound());
        const auto part = only(plan)->made;
        CHECK(h->frames.back().mass == Approx(part->mass).epsilon(0.05));
        CHECK(h->at(1u << 30).thickness == last.thickness);  // past the end is the end
    }
    Plan plan = planOf("half-ball");
    std::stop_source source;
    source.request_stop();
    CHECK_FALSE(filmHistory(plan.pieces[0], plan, io::library(), 0, source.get_token()));
    CHECK_FALSE(filmHistory(plan.pieces[0], plan, io::library(), 5));
    CHECK(filmHistory(bowlPlan().pieces[0], bowlPlan(), io::library()));
}

TEST_CASE("a rim pressed into a plate of chocolate thickens there, on a meridian and on a mesh") {
    Plan bowl = bowlPlan();
    const auto before = only(bowl)->made->meridian;
    PlannedCoat press = bowl.pieces[0].coats().back();
    press.way = coat::Way::Press;
    press.rest = coat::Rest::Inverted;
    press.delay = Measure(30);
    CHECK(coat::beforeCold(press) == Approx(30));  // nothing drains
    bowl.pieces[0].coats().push_back(press);
    const auto after = only(bowl)->made->meridian;
    CHECK(after->wall.rim > before->wall.rim + 0.0005);
    CHECK(after->coats.wall.front() == Approx(before->coats.wall.front()).margin(1e-6));
    CHECK(after->coats.coats[2].added < 0.25 * after->coats.coats[0].added);
    Plan part = planOf("tart");
    const double rim = only(part)->made->wall->rim;
    press.temperature = part.pieces[0].coats()[0].temperature;
    part.pieces[0].coats().push_back(press);
    CHECK(only(part)->made->wall->rim > rim + 0.0005);
    part.pieces[0].coats() = {press};
    CHECK(problems(part, io::library()).size() == 1);
    CHECK(problems(part, io::library())[0].sentence.find("first coat") != std::string::npos);
}

TEST_CASE("a tap that is none at all does not move a cup's wall: its meridian and its triangles agree") {
    for (const auto rest : {coat::Rest::Upright, coat::Rest::Inverted}) {
        Plan plan;
        plan.pieces = {newPiece(plan, "cup")};
        for (auto& c : plan.pieces[0].coats()) c.rest = rest;
        const auto profile = only(plan)->made;
        plan.pieces[0].coats()[0].tap = Measure(0.01);
        const auto mesh = only(plan)->made;
        REQUIRE_FALSE(mesh->meridian->round);
        INFO(static_cast<int>(rest));
        CHECK(mesh->mass == Approx(profile->mass).epsilon(0.06));
        CHECK(mesh->wall->mean == Approx(profile->wall->mean).epsilon(0.1));
        CHECK(mesh->wall->thinnest == Approx(profile->wall->thinnest).epsilon(0.15));
        CHECK(mesh->wall->setting.back().release == Approx(profile->wall->setting.back().release).epsilon(0.15));
    }
}

TEST_CASE("rim and minutes do not follow the grid: forty to two hundred cells") {
    // a finer grid resolves the corner better, it does not tell another story
    for (const auto rest : {coat::Rest::Upright, coat::Rest::Inverted}) {
        Plan plan;
        plan.pieces = {newPiece(plan, "cup")};
        for (auto& c : plan.pieces[0].coats()) c.rest = rest;
        AnswerOptions o;
        o.bands = false;
        o.cells = 100;
        const auto usual = madeOf(plan.pieces[0], plan, io::library(), o);
        REQUIRE(usual);
        for (const int cells : {40, 60, 200}) {
            o.cells = cells;
            const auto s = madeOf(plan.pieces[0], plan, io::library(), o);
            REQUIRE(s);
            INFO(cells);
            CHECK(s->wall->rim == Approx(usual->wall->rim).epsilon(0.06));
            CHECK(s->wall->setting.back().release == Approx(usual->wall->setting.back().release).epsilon(0.06));
            CHECK(s->mass == Approx(usual->mass).epsilon(0.03));
        }
    }
}

}  // namespace uovo::moved_coats_test
