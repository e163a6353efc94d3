// Pieces that people put together from parts of their own, and the order that is found for them.
#include <catch2/catch.hpp>

#include "core/words/order_words.h"
#include "support_assembly.h"

namespace uovo::assembly::built_order_test {

using test::Assembled;

namespace {

struct Found {
    PutTogether together;
    std::vector<OrderLine> lines;
    std::string told;
};

Found orderOf(const form::Part& part, const std::map<std::string, std::string>& choices = {}) {
    Plan plan;
    plan.pieces = {newPiece(plan, form::kAssembly)};
    Piece& piece = plan.pieces[0];
    piece.shape = part;
    for (const auto& [k, w] : choices) piece.shape.choices[k] = w;
    piece.complete();
    const auto made = madeOf(piece, plan, io::library());
    REQUIRE(made);
    Found out{putTogether(piece, plan, io::library(), *made), {}, {}};
    out.lines = orderLines(out.together, *made, UnitSystem::Metric);
    for (const auto& l : out.lines) out.told += l.what + ". " + l.how + "\n";
    for (const auto& t : orderTroubles(out.together, *made, UnitSystem::Metric)) out.told += "! " + t + "\n";
    return out;
}

/// Every part comes once, none of them falls, nothing floats or cuts.
void sound(const Found& f, size_t parts, size_t joints) {
    INFO(f.told);
    CHECK(f.together.problem.empty());
    CHECK(f.together.found.afloat.empty());
    CHECK(f.together.found.cuts.empty());
    CHECK(f.together.order.stands);
    CHECK(f.together.order.stuck == kTable);
    CHECK(f.together.glues.size() == joints);
    size_t all = 0;
    for (const auto& s : f.together.order.steps) all += s.parts.size();
    CHECK(all == parts);
}

size_t lineOf(const Found& f, const std::string& name) {
    for (size_t k = 0; k < f.lines.size(); ++k)
        for (const size_t i : f.lines[k].items)
            if (f.together.bodies[f.together.bodyOf(i)].name == name) return k;
    FAIL("no " + name);
    return 0;
}

const form::Figures kPlate{{"diameter", 0.14}, {"thickness", 0.008}};
form::Figures sheet(double w, double h, double t) { return {{"length", w}, {"width", h}, {"thickness", t}}; }

}  // namespace

TEST_CASE("an upright of six parts: the base first, then what stands on it, the leaves last") {
    Assembled b;
    b.add("Base", "disc", kPlate, "");
    b.add("Stem", "leg", {{"length", 0.07}, {"bottom", 0.03}, {"top", 0.024}}, "on the base");
    b.add("Disc", "disc", {{"diameter", 0.07}, {"thickness", 0.006}}, "on the stem");
    b.add("Cup", "half-ball", {{"diameter", 0.06}, {"depth", 0.03}}, "on the disc");
    b.add("Leaf", "sheet", sheet(0.018, 0.012, 0.003), "on the rim of the cup at 0°, mirror left to right");
    const auto f = orderOf(b.part());
    sound(f, 6, 5);
    CHECK(lineOf(f, "Base") < lineOf(f, "Stem"));
    CHECK(lineOf(f, "Stem") < lineOf(f, "Disc"));
    CHECK(lineOf(f, "Disc") < lineOf(f, "Cup"));
    CHECK(lineOf(f, "Cup") < lineOf(f, "Leaf"));
    CHECK(lineOf(f, "Cup") < lineOf(f, "Leaf 2"));
}

TEST_CASE("a gate of sheets between posts on a base, with braces: eight to fifteen joints, every state stands") {
    Assembled b;
    b.add("Base", "sheet", sheet(0.2, 0.09, 0.008), "");
    b.add("Post", "bar", {{"length", 0.018}, {"width", 0.018}, {"height", 0.06}, {"draft", 0}},
          "on the base, 20 mm from the left edge, mirror left to right");
    b.add("Panel", "sheet", sheet(0.124, 0.06, 0.006), "on the base, standing");
    b.add("Lintel", "sheet", sheet(0.18, 0.022, 0.008), "on the base");  // it comes down on the posts
    b.add(
        "Brace", "sheet", sheet(0.02, 0.03, 0.006),
        "on the base, standing, turned 90°, 21 mm from the left edge, 5 mm from the front edge, mirror left to right");
    b.add("Pane", "sheet", sheet(0.03, 0.04, 0.005), "on the base, standing, 8 mm from the back edge");
    const form::Part part = b.part();
    CHECK(part.joints.size() >= 8);
    CHECK(part.joints.size() <= 15);
    const auto f = orderOf(part);
    sound(f, 8, part.joints.size());
    CHECK(lineOf(f, "Base") == 0);
    CHECK(lineOf(f, "Lintel") > lineOf(f, "Post"));
    CHECK(lineOf(f, "Lintel") > lineOf(f, "Post 2"));
}

TEST_CASE("a stand with its cover: the cover comes last and is let down on what stands") {
    Assembled b;
    b.add("Plate", "disc", {{"diameter", 0.16}, {"thickness", 0.008}}, "");
    b.add("Pillar", "leg", {{"length", 0.03}, {"bottom", 0.05}, {"top", 0.05}}, "on the plate");
    b.add("Cover", "half-ball", {{"diameter", 0.14}, {"depth", 0.07}}, "on the plate, upside down");
    const auto f = orderOf(b.part());
    sound(f, 3, 2);
    CHECK(lineOf(f, "Plate") == 0);
    CHECK(lineOf(f, "Cover") == 2);  // over the pillar: not before it
    // and whoever wants it otherwise is told why not
    const auto& t = f.together;
    const auto built = form::build(b.part(), {}, kRigid);
    const auto wrong = judged(t, *built, {"Plate", "Cover", "Pillar"}, io::library());
    CHECK(wrong.stuck == 2);
    CHECK(wrong.steps.back().shutBy != kTable);
}

TEST_CASE("a shelf of three bowls: posts, board, bowls on it") {
    Assembled b;
    b.add("Foot", "sheet", sheet(0.26, 0.09, 0.008), "");
    b.add("Side", "sheet", sheet(0.08, 0.05, 0.008),
          "on the foot, standing, turned 90°, 10 mm from the left edge, mirror left to right");
    b.add("Board", "sheet", sheet(0.26, 0.09, 0.008), "on the side");
    b.add("Bowl", "half-ball", {{"diameter", 0.07}, {"depth", 0.035}}, "on the board");
    form::Part part = b.part();
    form::itemOf(part, "Board")->at[0] = Measure(0);
    form::itemOf(part, "Bowl")->at[0] = Measure(-0.085);
    auto said = saidOf(part, "Bowl", "repeat 3 every 85 mm to the right", UnitSystem::Metric, {});
    REQUIRE(said);
    part = said->assembly;
    REQUIRE(glueWhatTouches(part, {"Board", "Bowl", "Bowl 2", "Bowl 3", "Bowl-2", "Bowl-3"}, {}));
    const auto f = orderOf(part);
    sound(f, 7, part.joints.size());
    for (const char* bowl : {"Bowl", "Bowl 2", "Bowl 3"}) CHECK(lineOf(f, bowl) > lineOf(f, "Board"));
}

TEST_CASE("a tub with its lid and knob, and one with a flag in two parts") {
    const form::Figures pot{
        {"baseDiameter", 0.05}, {"topDiameter", 0.06}, {"height", 0.05}, {"flutes", 0}, {"fluteDepth", 0}};
    const auto f = orderOf(test::lidded());
    sound(f, 3, 2);
    CHECK(lineOf(f, "Tub") < lineOf(f, "Lid"));
    Assembled flag;
    flag.add("Tub", "case", pot, "");
    flag.add("Lid", "disc", {{"diameter", 0.066}, {"thickness", 0.006}}, "on the tub");
    flag.add("Pole", "leg", {{"length", 0.06}, {"bottom", 0.008}, {"top", 0.008}}, "on the lid, 12 mm to the left");
    flag.add("Cloth", "sheet", sheet(0.03, 0.02, 0.003), "standing, right of the pole, 70 mm high");
    form::Part part = flag.part();
    CHECK(part.joints.size() == 3);
    const auto g = orderOf(part);
    sound(g, 4, 3);
    CHECK(lineOf(g, "Pole") < lineOf(g, "Cloth"));
}

TEST_CASE("a hung figure of two bought halves needs no table to stand on") {
    form::Part part = form::usual("hung-ball");
    auto open = form::opened(part, {});
    REQUIRE(open);
    const auto f = orderOf(*open, {{"carried", "hung from its cord"}});
    INFO(f.told);
    CHECK(f.together.order.stands);
    CHECK(f.together.order.stuck == kTable);
}

TEST_CASE("what floats, cuts or can never stand is said first, and does not stop the rest") {
    Assembled b;
    b.add("Base", "disc", kPlate, "");
    b.add("Stem", "leg", {{"length", 0.07}, {"bottom", 0.03}, {"top", 0.024}}, "on the base");
    form::Part part = b.part();
    form::itemOf(part, "Stem")->at[2] = Measure(0.02);
    const auto afloat = orderOf(part);
    CHECK(afloat.told.find("touches nothing") != std::string::npos);
    form::itemOf(part, "Stem")->at[2] = Measure(0.001);
    const auto cuts = orderOf(part);
    CHECK(cuts.told.find("into each other") != std::string::npos);
    Assembled c;
    c.add("Foot", "leg", {{"length", 0.02}, {"bottom", 0.02}, {"top", 0.02}}, "");
    c.add("Board", "sheet", sheet(0.2, 0.1, 0.008), "on the foot, 60 mm to the right");
    const auto tips = orderOf(c.part());
    CHECK(tips.told.find("tips over") != std::string::npos);
    CHECK_FALSE(tips.together.order.stands);
}

}  // namespace uovo::assembly::built_order_test
