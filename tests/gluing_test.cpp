// How long hands glue, how often they wait for it, and that many pieces at once wait for nothing.
#include "core/stages/gluing.h"

#include <catch2/catch.hpp>

#include "core/form/joint.h"
#include "core/words/order_words.h"
#include "support_assembly.h"

namespace uovo::gluing_test {

namespace {

Plan tubs(int count, const char* family = nullptr) {
    Plan plan = test::demo();
    plan.pieces = {newPiece(plan, family ? family : form::kAssembly)};
    Piece& piece = plan.pieces[0];
    piece.name = "Tub";
    piece.count = count;
    piece.survives = 1;
    if (!family) piece.shape = test::lidded();
    piece.complete();
    return plan;
}

Answers answered(const Plan& plan) {
    AnswerOptions o;
    o.strength = o.ways = false;
    return test::answersOf(plan, o);
}

struct Joined {
    std::vector<const schedule::Task*> tasks;
    int minutes = 0, waits = 0;
};
Joined joinedIn(const Answers& a) {
    REQUIRE(a.day);
    Joined out;
    const auto& net = a.day->network;
    for (const auto& t : net.tasks)
        if (t.step.starts_with("join")) {
            out.tasks.push_back(&t);
            out.minutes += t.minutes;
        }
    for (const auto& l : net.lags)
        if (net.tasks[size_t(l.from)].step.starts_with("join") && net.tasks[size_t(l.to)].step.starts_with("join"))
            out.waits += l.min - net.tasks[size_t(l.from)].minutes;
    return out;
}

}  // namespace

TEST_CASE("what was glued first bears while the others are glued") {
    const Gluing before{0, 1, 70, 0}, after{2, 3, 60, 900};
    CHECK(waitBetween(before, after, 1) == Approx(900));
    CHECK(waitBetween(before, after, 10) == Approx(900 - 9 * 60));
    CHECK(waitBetween(before, after, 20) == 0);
    CHECK(waitBetween(after, before, 1) == 0);  // nothing before it has to bear
    // each piece by itself, second by second: none of them is taken up too early
    for (const int n : {1, 2, 7, 15, 16, 17, 30}) {
        const double gap = waitBetween(before, after, n);
        double least = 1e9;
        for (int i = 0; i < n; ++i) least = std::min(least, (n * 70 + gap + i * 60.0) - (i + 1) * 70.0);
        INFO(n);
        CHECK(least >= 900 - 1e-9);
        if (gap > 0) CHECK(least == Approx(900));
    }
}

TEST_CASE("hands are counted by joints: set in place, glue along the line, held") {
    const Plan plan = tubs(1, "tower");
    const auto a = answered(plan);
    const auto& piece = *a.pieces[0];
    REQUIRE(piece.together);
    const auto& lib = io::library();
    const auto goes = gluings(*piece.made, piece.together.get(), lib);
    double hands = 0, expected = 0;
    for (const auto& g : goes) hands += g.hands;
    const auto told = toldSteps(piece.together->order);
    CHECK(told.size() == orderLines(*piece.together, *piece.made, UnitSystem::Metric).size());
    CHECK(goes.front().first == 0);
    CHECK(goes.back().last + 1 == told.size());
    for (size_t k = 1; k < goes.size(); ++k) CHECK(goes[k].first == goes[k - 1].last + 1);
    for (const auto& t : told) {
        const auto& s = t.order->steps[t.step];
        expected += 30 + 45.0 * double(s.props.size());
        double hold = 0;
        for (const size_t g : s.glues) {
            expected += 300 * piece.made->assembly.joints[piece.together->joints[g]].length;
            hold =
                std::max(hold, form::jointTimes(lib, piece.made->assembly.joints[piece.together->joints[g]].glue).hold);
        }
        if (s.way == assembly::OrderStep::Way::Hold) expected += hold;
    }
    CHECK(hands == Approx(expected));
    const auto rough = gluings(*piece.made, nullptr, lib);  // its order not known
    REQUIRE(rough.size() == 1);
    CHECK(rough[0].hands == Approx(hands).epsilon(0.5));
    CHECK(joinedIn(a).minutes == Approx(hands / 60).margin(double(goes.size())));
}

TEST_CASE("parts that nothing glues are set in their places all the same") {
    Plan plan = tubs(3);
    plan.pieces[0].shape.joints.clear();
    const auto a = answered(plan);
    REQUIRE(a.pieces[0]->made);
    CHECK(a.pieces[0]->made->assembly.joints.empty());
    const auto joined = joinedIn(a);
    REQUIRE(joined.tasks.size() == 1);
    CHECK(joined.minutes == 5);  // nine parts, half a minute each
    for (const auto& l : a.day->network.lags) CHECK(std::min(l.from, l.to) >= 0);
}

TEST_CASE("twenty lidded tubs: every step on all of them before the next, and nobody waits for glue") {
    const auto one = answered(tubs(1)), twenty = answered(tubs(20));
    REQUIRE(twenty.pieces[0]->together);
    CHECK(twenty.pieces[0]->together->order.stands);
    const auto goes = gluings(*one.pieces[0]->made, one.pieces[0]->together.get(), io::library());
    const auto alone = joinedIn(one), many = joinedIn(twenty);
    CHECK(alone.tasks.size() == goes.size());
    CHECK(many.tasks.size() == goes.size());
    CHECK(many.waits == 0);
    double bears = 0;
    for (const auto& g : goes) bears += g.wait;
    CHECK(alone.waits >= bears / 60);
    CHECK(many.minutes < 20 * alone.minutes);
    CHECK(many.minutes > 10);  // forty parts are set in their places
    CHECK(many.minutes < 80);
    CHECK(many.tasks.front()->title.find("20 tubs") != std::string::npos);
    CHECK(eachBeforeTheNext(goes, 20).find("all 20") != std::string::npos);
    // waits that are spared are told, those that stay are not denied
    const std::vector<Gluing> long_{{0, 1, 120, 0}, {2, 2, 60, 900}};
    CHECK(eachBeforeTheNext(long_, 20).find("bears by then") != std::string::npos);
    CHECK(eachBeforeTheNext(long_, 2).find("bears by then") == std::string::npos);
}

}  // namespace uovo::gluing_test
