// A piece of several parts: its order from the plan, in words, remembered, on the card's terms.
#include <catch2/catch.hpp>

#include "core/document/edits.h"
#include "core/form/joint.h"
#include "core/stages/strength.h"
#include "core/words/order_words.h"
#include "support.h"

namespace uovo::put_together_test {

namespace {

Plan planOf(const char* family) {
    Plan plan;
    Piece p;
    p.id = p.name = family;
    p.shape = form::usual(family);
    p.count = 1;
    p.complete();
    plan.pieces = {p};
    return plan;
}

AnswerOptions together() {
    AnswerOptions o = test::withoutDay();
    o.together = true;
    return o;
}

const PieceAnswers& only(const Answers& a) {
    REQUIRE(a.pieces.size() == 1);
    for (const auto& p : a.pieces.front()->problems) FAIL(p.where << ": " << p.sentence);
    return *a.pieces.front();
}

const Answer* said(const PieceAnswers& a) {
    for (const auto& x : a.answers)
        if (x.id == "together") return &x;
    return nullptr;
}

}  // namespace

TEST_CASE("every compound is put together in an order that is told step by step, each part once") {
    for (const char* family : {"basket", "house", "tower", "pedestal", "cup-saucer", "upright", "halves"}) {
        INFO(family);
        const Plan plan = planOf(family);
        const Answers all = test::answersOf(plan, together());
        const auto& a = only(all);
        REQUIRE(a.together);
        REQUIRE(a.together->problem.empty());
        CHECK(a.together->apart.empty());
        CHECK(a.together->found.afloat.empty());
        const auto lines = orderLines(*a.together, *a.made, plan.units);
        std::vector<int> seen(a.made->assembly.items.size(), 0);
        for (const auto& line : lines) {
            INFO(line.what << " / " << line.how);
            CHECK_FALSE(line.harm);
            CHECK_FALSE(line.what.empty());
            CHECK(line.how.ends_with('.'));
            CHECK((line.hold > 0) == (line.how.find("Hold it for") != std::string::npos));
            if (!line.beside)
                for (const size_t i : line.items) ++seen[i];
        }
        for (size_t i = 0; i < seen.size(); ++i)
            if (a.made->assembly.items[i].edible) CHECK(seen[i] == 1);
        REQUIRE(said(a));
        CHECK(said(a)->headline == std::to_string(lines.size()));
    }
}

TEST_CASE("numbered parts are named together") {
    const Plan plan = planOf("tower");
    const Answers all = test::answersOf(plan, together());
    const auto& a = only(all);
    std::string words;
    for (const auto& line : orderLines(*a.together, *a.made, plan.units)) words += line.what + "\n";
    INFO(words);
    CHECK(words.find("Glue the ceiling on walls 1 to 8\n") != std::string::npos);
    CHECK(words.find("Glue wall 8 to wall 1 and wall 7\n") != std::string::npos);
    CHECK(words.find("Glue the dome with the tube on the ceiling\n") != std::string::npos);
}

TEST_CASE("the joints' own glue is kept in the file, held its own time, and bears its own strength") {
    Plan plan = planOf("house");
    REQUIRE(open(plan.pieces[0], {}));
    plan.pieces[0].shape.joints[0].glue = "icing or syrup";
    const auto back = readPlan(writePlan(plan));
    REQUIRE(back);
    CHECK(back->pieces[0].shape == plan.pieces[0].shape);
    const Answers all = test::answersOf(plan, together());
    const auto& a = only(all);
    CHECK(a.made->assembly.joints[0].glue == "icing or syrup");
    CHECK(a.made->assembly.joints[1].glue == form::glues().front());
    const auto& t = *a.together;
    REQUIRE(t.joints.front() == 0);
    CHECK(t.glues[0].hold == io::library().usual("holdIcing"));
    CHECK(t.glues[1].hold == io::library().usual("holdAsIs"));
    plan.pieces[0].shape.joints[0].glue = "spit";
    const auto found = problems(plan, io::library());
    REQUIRE(found.size() == 1);
    CHECK(found[0].where == "pieces/house/former/joints/0/glue");
    CHECK(found[0].sentence.find("spit") != std::string::npos);
}

TEST_CASE("a weaker glue in one joint weakens the piece there, a stronger one elsewhere does not mend it") {
    const auto& lib = io::library();
    Plan plan = planOf("house");
    REQUIRE(open(plan.pieces[0], {}));
    const auto margin = [&](const std::string& glue, size_t joints) {
        Plan p = plan;
        for (size_t j = 0; j < joints; ++j) p.pieces[0].shape.joints[j].glue = glue;
        const Answers all = test::answersOf(p, test::withoutDay());
        const StrengthStage s = strength(p.pieces[0], p, lib, *all.pieces[0], kQuickStrength);
        REQUIRE(s.problem.empty());
        return s.cases[s.weakest].margin;
    };
    const size_t all = plan.pieces[0].shape.joints.size();
    const double plain = margin("", 0);
    CHECK(margin("melted chocolate", all) == Approx(plain));
    CHECK(margin("icing or syrup", all) < plain);
    CHECK(margin(form::kScored, all) > plain);
    const double one = margin("icing or syrup", 1);
    CHECK(one <= plain * 1.0001);
    CHECK(one >= margin("icing or syrup", all) * 0.9999);
}

TEST_CASE("parts that float, do not reach or cut are told, what touches unglued is offered as joints") {
    Plan plan = planOf("house");
    REQUIRE(open(plan.pieces[0], {}));
    auto& shape = plan.pieces[0].shape;
    const auto words = [&] {
        const Answers all = test::answersOf(plan, together());
        const auto& a = only(all);
        REQUIRE(a.together);
        std::string out;
        for (const auto& t : orderTroubles(*a.together, *a.made, plan.units)) out += t + "\n";
        return out;
    };
    CHECK(words().empty());
    auto* roof = form::itemOf(shape, "roof-left");
    REQUIRE(roof);
    const auto home = *roof;
    roof->at[2] = Measure(roof->at[2].value + 0.05);
    CHECK(words().find("touches nothing") != std::string::npos);
    *roof = home;
    auto* front = form::itemOf(shape, "front");
    front->at[0] = Measure(front->at[0].value + 0.004);
    CHECK(words().find("does not reach") != std::string::npos);
    front->at[0] = Measure(front->at[0].value - 0.004);
    shape.joints.clear();
    shape.joints.push_back({"front", "left", Measure(0.06), "corner", "", ""});
    const Answers all = test::answersOf(plan, together());
    const auto& a = only(all);
    const auto more = unglued(*a.together, a.made->assembly);
    CHECK(more.size() >= 9);
    for (const auto& j : more) CHECK(j.length.value > 0.02);
    shape.joints.insert(shape.joints.end(), more.begin(), more.end());
    CHECK(problems(plan, io::library()).empty());
    CHECK(words().empty());
}

TEST_CASE("a part that is set too deep cuts into another") {
    Plan plan = planOf("pedestal");
    REQUIRE(open(plan.pieces[0], {}));
    for (const char* key : {"disc", "dome"}) {
        auto* part = form::itemOf(plan.pieces[0].shape, key);
        part->at[2] = Measure(part->at[2].value - 0.009);
    }
    const Answers all = test::answersOf(plan, together());
    REQUIRE(said(only(all)));
    INFO(said(only(all))->sentence);
    CHECK(said(only(all))->sentence.find("into each other") != std::string::npos);
    CHECK(said(only(all))->tone >= Tone::Weak);
}

TEST_CASE("what never stands is said first, and on a ring it is the ring that carries it") {
    Plan plan = planOf("dip-bowl");
    Answers all = test::answersOf(plan, together());
    REQUIRE(said(only(all)));
    CHECK(said(only(all))->tone == Tone::Impossible);
    CHECK(said(only(all))->sentence.find("outside its foot") != std::string::npos);
    plan.pieces[0].sits = Sits::Ring;
    all = test::answersOf(plan, together());
    CHECK(said(only(all))->tone != Tone::Impossible);
}

TEST_CASE("the order is remembered, and found anew when a joint or a part changes") {
    Plan plan = planOf("tower");
    Cache cache;
    const auto& lib = io::library();
    const auto first = answer(plan, lib, cache, together());
    plan.pieces[0].name = "Another name";
    plan.pieces[0].count = 3;
    const auto same = answer(plan, lib, cache, together());
    CHECK(first->pieces[0]->together == same->pieces[0]->together);
    plan.pieces[0].shape.choices["glue"] = "icing or syrup";
    const auto other = answer(plan, lib, cache, together());
    CHECK(first->pieces[0]->together != other->pieces[0]->together);
}

TEST_CASE("toppings, inserts and decorations may be for one part of a compound") {
    Plan plan = planOf("tower");
    Piece& p = plan.pieces[0];
    Topping sugar;
    sugar.id = "sugar";
    sugar.name = "Sugar";
    plan.toppings.push_back(sugar);
    TopStep top;
    top.topping = "sugar";
    top.item = "dome";
    p.insert(top);
    DecorateStep gold;
    gold.way = DecorateStep::Way::Dust;
    gold.name = "Gold";
    gold.item = "tube";
    p.insert(gold);
    const auto back = readPlan(writePlan(plan));
    REQUIRE(back);
    CHECK(back->pieces[0].making == p.making);
    CHECK(problems(plan, io::library()).empty());
    AnswerOptions day = test::withoutStrength();
    const Answers all = test::answersOf(plan, day);
    REQUIRE(all.day);
    std::string titles;
    for (const auto& t : all.day->network.tasks) titles += t.title + "\n";
    INFO(titles);
    CHECK(titles.find("on the dome of ") != std::string::npos);
    CHECK(titles.find("the tube of ") != std::string::npos);
    Plan gone = plan;
    removePart(gone.pieces[0], "dome");
    CHECK(gone.pieces[0].making.size() == p.making.size() - 1);
    REQUIRE(open(p, {}));
    for (auto& s : plan.pieces[0].making)
        if (auto* t = std::get_if<TopStep>(&s)) t->item = "chimney";
    CHECK_FALSE(problems(plan, io::library()).empty());
}

}  // namespace uovo::put_together_test
