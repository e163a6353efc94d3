// Pieces laid beside each other, kept for other plans, and figures that moved; the bytes of a picture as text.
#include <catch2/catch.hpp>

#include "core/begin/first_plan.h"
#include "core/begin/keep.h"
#include "core/document/limits.h"
#include "core/quantity/base64.h"
#include "core/words/compared.h"
#include "support.h"

namespace uovo::compared_test {

namespace {

const std::string kToday = "2026-08-04";

const ComparedRow* row(const std::vector<ComparedRow>& rows, const std::string& what) {
    for (const auto& r : rows)
        if (r.what == what) return &r;
    return nullptr;
}

/// A bowl, and a copy of it that a change was made to.
Plan two(const std::function<void(Piece&)>& change) {
    Plan plan;
    plan.deadline = "2026-08-08T18:00";
    Piece bowl = newPiece(plan, "balloon");
    plan.pieces.push_back(bowl);
    const std::string copy = copyPiece(plan, bowl.id, plan);
    for (auto& p : plan.pieces)
        if (p.id == copy) change(p);
    return plan;
}

}  // namespace

TEST_CASE("a copy that nothing was changed in differs in nothing; one coat more in wall, grams and hands") {
    const Plan same = two([](Piece&) {});
    REQUIRE(same.pieces.size() == 2);
    CHECK(same.pieces[1].id != same.pieces[0].id);
    CHECK(same.pieces[1].name != same.pieces[0].name);
    const Answers a = test::answersOf(same);
    for (const auto& r : compared(same, io::library(), a, same.pieces[0].id, same.pieces[1].id, kToday)) {
        INFO(r.what << ": " << r.first << " | " << r.second);
        CHECK((!r.differs || r.what == "Hands for one"));  // the first of a round is begun with
    }
    const Plan more = two([](Piece& p) { p.making.insert(p.making.begin(), p.coats().front()); });
    const Answers b = test::answersOf(more);
    const auto rows = compared(more, io::library(), b, more.pieces[0].id, more.pieces[1].id, kToday);
    for (const char* what : {"Thinnest wall", "Chocolate in one", "Hands for one"}) {
        INFO(what);
        REQUIRE(row(rows, what));
        CHECK(row(rows, what)->differs);
        CHECK(row(rows, what)->first != row(rows, what)->second);
    }
    CHECK(compared(more, io::library(), b, more.pieces[0].id, "nobody", kToday).empty());
    // the same told as a change
    const auto words = changed(*b.pieces[0], *b.pieces[1]);
    REQUIRE_FALSE(words.empty());
    CHECK(words[0].starts_with("Thinnest wall "));
    CHECK(words[0].find(" → ") != std::string::npos);
    CHECK(changed(*b.pieces[0], *b.pieces[0]).empty());
    CHECK(changed(*b.pieces[0], *b.pieces[1], 1).size() == 1);
}

TEST_CASE("a price of the cupboard makes both pieces cost something") {
    Plan plan = two([](Piece& p) { p.making.insert(p.making.begin(), p.coats().front()); });
    Stock stock;
    stock.chocolate = "dark";
    stock.price = 20;
    plan.pantry = {stock};
    const auto rows =
        compared(plan, io::library(), test::answersOf(plan), plan.pieces[0].id, plan.pieces[1].id, kToday);
    REQUIRE(row(rows, "Chocolate costs"));
    CHECK(std::stod(row(rows, "Chocolate costs")->second) > std::stod(row(rows, "Chocolate costs")->first));
}

TEST_CASE("a piece is taken into another plan with all it needs, and is in order there") {
    const Plan demo = test::demo();
    Plan into;
    into.deadline = demo.deadline;
    for (const auto& p : demo.pieces) {
        const std::string id = copyPiece(demo, p.id, into);
        INFO(p.id);
        REQUIRE(into.piece(id));
        CHECK(into.piece(id)->making.size() == p.making.size());
    }
    CHECK(problems(into, io::library()).empty());
    const Answers a = test::answersOf(demo, test::withoutDay()), b = test::answersOf(into, test::withoutDay());
    for (const auto& p : demo.pieces) {
        INFO(p.id);
        REQUIRE(b.piece(p.id));
        CHECK(b.piece(p.id)->made->mass == Approx(a.piece(p.id)->made->mass));
    }
    CHECK(readPlan(writePlan(into)).value() == into);
    // once more: names of their own, nothing else twice
    const size_t fillings = into.fillings.size(), colours = into.colours.size(), models = into.meshes.size();
    for (const auto& p : demo.pieces) CHECK(copyPiece(demo, p.id, into) != p.id);
    CHECK(into.fillings.size() == fillings);
    CHECK(into.colours.size() == colours);
    CHECK(into.meshes.size() == models);
    CHECK(copyPiece(demo, "nobody", into).empty());
}

TEST_CASE("what is there under the same name and is another stays: the copy's goes beside it") {
    Plan from, into;
    from.deadline = into.deadline = "2026-08-08T18:00";
    material::Colour blue;
    blue.id = "sea", blue.name = "Sea", blue.look = "#3060A0";
    from.colours = {blue};
    blue.look = "#10C0A0";
    into.colours = {blue};
    Piece p = newPiece(from, "balloon");
    p.chocolate = "sea";
    from.pieces = {p};
    const std::string id = copyPiece(from, p.id, into);
    REQUIRE(into.colours.size() == 2);
    CHECK(into.colours[0].look == "#10C0A0");
    CHECK(into.piece(id)->chocolate == into.colours[1].id);
    CHECK(into.colours[1].look == "#3060A0");
}

TEST_CASE("figures that another model computes otherwise are told when an old plan is opened") {
    Plan plan = two([](Piece&) {});
    const Answers a = test::answersOf(plan, test::withoutDay());
    plan.computed = computedOf(plan, a);
    CHECK(plan.computed.model == kModelVersion);
    const Plan back = readPlan(writePlan(plan)).value();
    CHECK(back.computed.mass == plan.computed.mass);
    CHECK(back.computed.wall == plan.computed.wall);
    CHECK(movedSince(back.computed, plan, a).empty());
    Computed old = back.computed;
    old.model = kModelVersion + 1;
    CHECK(movedSince(old, plan, a).empty());  // the same figures
    old.mass[plan.pieces[0].id] *= 0.8;
    const auto words = movedSince(old, plan, a);
    REQUIRE(words.size() == 1);
    CHECK(words[0].starts_with(plan.pieces[0].name + ": chocolate "));
    CHECK(words[0].find("was ") != std::string::npos);
    old.model = 0;  // nothing was kept
    CHECK(movedSince(old, plan, a).empty());
    // a plan is the same whatever its file kept
    Plan other = plan;
    other.computed = {};
    CHECK(other == plan);
    for (const char* bad :
         {R"("computed": 3)", R"("computed": {"model": "one"})", R"("computed": {"mass": {"bowl": "x"}})"}) {
        std::string text = writePlan(other);
        text.insert(text.find('{') + 1, std::string(bad) + ",");
        CHECK_FALSE(readPlan(text));
    }
}

TEST_CASE("notes and a picture stay with a piece; what is none is refused with its place") {
    Plan plan = two([](Piece& p) {
        p.notes = "Lent the mold to nobody.\nTwo coats next time: “crisp”.";
        std::string bytes = "\xFF\xD8 not quite a picture";
        bytes += '\0';
        p.photo.bytes = std::make_shared<const std::string>(bytes);
    });
    const std::string text = writePlan(plan);
    const auto back = readPlan(text);
    REQUIRE(back);
    CHECK(*back == plan);
    CHECK(*back->pieces[1].photo.bytes == *plan.pieces[1].photo.bytes);
    Plan without = plan;
    without.pieces[1].photo = {};
    CHECK_FALSE(without == plan);
    const size_t at = text.find("\"photo\": \"") + 10;
    REQUIRE(at > 10);
    for (const char* bad : {"&&&&", "AAA", "AA=A"}) {
        std::string damaged = text;
        damaged.replace(at, damaged.find('"', at) - at, bad);
        const auto read = readPlan(damaged);
        REQUIRE_FALSE(read);
        CHECK(read.error().sentence.find("picture") != std::string::npos);
    }
    // what could not be read back is not made
    CHECK_FALSE(tooLarge(plan));
    Plan long_ = plan;
    long_.pieces[0].notes = std::string(limits::kText + 1, 'x');
    REQUIRE(tooLarge(long_));
    CHECK(tooLarge(long_)->where.ends_with("/notes"));
    CHECK_FALSE(readPlan(writePlan(long_)));
    long_.pieces[0].notes.clear();
    long_.pieces[0].photo.bytes = std::make_shared<const std::string>(limits::kPhoto + 4, 'x');
    REQUIRE(tooLarge(long_));
    CHECK_FALSE(readPlan(writePlan(long_)));
    // grams do not hang on notes
    const Answers a = test::answersOf(plan, test::withoutDay()), b = test::answersOf(without, test::withoutDay());
    CHECK(a.pieces[1]->made->mass == b.pieces[1]->made->mass);
}

// RFC 4648, section 10.
TEST_CASE("base 64 is that of its standard") {
    for (const auto& [plain, coded] : {std::pair{"", ""},
                                       {"f", "Zg=="},
                                       {"fo", "Zm8="},
                                       {"foo", "Zm9v"},
                                       {"foob", "Zm9vYg=="},
                                       {"fooba", "Zm9vYmE="},
                                       {"foobar", "Zm9vYmFy"}}) {
        CHECK(base64(plain) == coded);
        CHECK(fromBase64(coded, 100).value() == plain);
    }
    CHECK_FALSE(fromBase64("Zg", 100));
    CHECK_FALSE(fromBase64("Z===", 100));
    CHECK_FALSE(fromBase64("Zm9vYmFy", 2));
}

}  // namespace uovo::compared_test
