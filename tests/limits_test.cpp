// What can be made can be saved and read back; what a plan may hold is said once, before it is made.
#include <catch2/catch.hpp>
#include <nlohmann/json.hpp>

#include "core/document/difference.h"
#include "core/document/limits.h"
#include "core/document/models.h"
#include "core/form/rock.h"
#include "support.h"

namespace uovo::limits_test {

using json = nlohmann::ordered_json;

namespace {

std::shared_ptr<const form::Mesh> stone(unsigned seed, int fine) {
    return std::make_shared<const form::Mesh>(keptModel(form::rock(0.05, seed, fine)));
}

/// A plan with so many models of 20 480 triangles, each in a piece.
Plan withModels(int n) {
    Plan plan;
    const auto mesh = stone(1, 5);
    for (int i = 0; i < n; ++i) {
        Piece p = newPiece(plan, "mesh");
        p.id = "stone-" + std::to_string(i);
        p.shape.mesh = p.id;
        plan.meshes[p.id] = mesh;
        plan.pieces.push_back(std::move(p));
    }
    return plan;
}

std::string reason(const Plan& plan) {
    const auto p = tooLarge(plan);
    return p ? p->sentence : "";
}

/// Puts a stranger's key into every object of a document. @param names levels of this object whose keys are names, and
/// hold no others
/// @returns how many
int strangers(json& j, int names = 0) {
    int n = 0;
    if (j.is_array()) {
        if (j.size() > 400) return 0;  // numbers of a model
        for (auto& v : j) n += strangers(v);
        return n;
    }
    if (!j.is_object()) return 0;
    for (auto& [key, v] : j.items())
        n += strangers(v, names > 0                                               ? names - 1
                          : key == "own"                                          ? 2
                          : key == "melting" || key == "loads" || key == "meshes" ? 1
                                                                                  : 0);
    if (names > 0) return n;
    j["x-stranger"] = {{"says", n}};
    return n + 1;
}

int count(const json& j) {
    int n = 0;
    if (j.is_object()) n += j.contains("x-stranger") && j["x-stranger"].is_object();
    if (j.is_structured())
        for (const auto& v : j) n += count(v);
    return n;
}

}  // namespace

TEST_CASE("fifteen models of twenty thousand triangles are saved and read back, each in under a megabyte", "[long]") {
    const Plan plan = withModels(15);
    CHECK_FALSE(tooLarge(plan));
    const std::string text = writePlan(plan);
    CHECK(text.size() < 15 * 1'000'000);
    const auto back = readPlan(text);
    REQUIRE(back);
    CHECK(*back == plan);
    CHECK(writePlan(*back) == text);
}

TEST_CASE("a plan as large as it may be is written and read back", "[long]") {
    Plan plan = withModels(static_cast<int>(limits::kModels));
    while (plan.pieces.size() < limits::kPieces) {
        Piece p = newPiece(plan, "balloon");
        p.id = "bowl-" + std::to_string(plan.pieces.size());
        p.coats().resize(limits::kSteps - p.making.size() + p.coats().size());
        plan.pieces.push_back(std::move(p));
    }
    CHECK_FALSE(tooLarge(plan));
    const std::string text = writePlan(plan);
    CHECK(text.size() < limits::kBytes / 2);
    const auto back = readPlan(text);
    INFO((back ? "" : back.error().sentence));
    REQUIRE(back);
    CHECK(*back == plan);
}

TEST_CASE("one more than a plan holds is refused in a sentence by the editor and by the reader") {
    Plan pieces;
    for (size_t i = 0; i <= limits::kPieces; ++i) {
        pieces.pieces.push_back(newPiece(pieces, "cup"));
        pieces.pieces.back().id = std::to_string(i);
    }
    CHECK(reason(pieces).find("300 kinds of pieces") != std::string::npos);
    CHECK_FALSE(readPlan(writePlan(pieces)));
    const Plan models = withModels(static_cast<int>(limits::kModels) + 1);
    CHECK(reason(models).find("100 models") != std::string::npos);
    Plan spots;
    spots.pieces = {newPiece(spots, "cup")};
    spots.pieces[0].coats().back().spots.resize(limits::kSpots + 1);
    CHECK(reason(spots).find("begin another coat") != std::string::npos);
    CHECK_FALSE(readPlan(writePlan(spots)));
    Plan large = withModels(1);
    auto mesh = std::make_shared<form::Mesh>(*large.meshes.begin()->second);
    while (mesh->triangles.size() <= limits::kModelTriangles)
        mesh->triangles.insert(mesh->triangles.end(), mesh->triangles.begin(), mesh->triangles.begin() + 1000);
    large.meshes.begin()->second = mesh;
    CHECK(reason(large).find("triangles") != std::string::npos);
    CHECK_FALSE(readPlan(writePlan(large)));
}

TEST_CASE("a small file that asks for gigabytes is refused while it is counted") {
    std::string text = "{\"format\":\"uovo-plan\",\"version\":1,\"x\":[";
    for (int i = 0; i < 4'000'000; ++i) text += "[],";
    const auto plan = readPlan(text + "[]]}");
    REQUIRE_FALSE(plan);
    CHECK(plan.error().sentence.find("more than a plan can") != std::string::npos);
    json far = json::parse(writePlan(withModels(1)));
    far["meshes"]["stone-0"]["points"][0] = 1e9;
    const auto corner = readPlan(far.dump());
    REQUIRE_FALSE(corner);
    CHECK(corner.error().sentence.find("hundred metres") != std::string::npos);
}

TEST_CASE("a stranger's keys are kept in every object of a plan's file") {
    Plan plan = test::demo();
    plan.melting["dark"].byLook = true;
    plan.pieces[0].loads["fingers"] = Measure(2.0);
    plan.pieces[0].loads["fingers"].typed = "2 N";
    plan.pieces[0].cast().table = Measure(30);
    plan.pieces[0].handling.oil = false;
    json j = json::parse(writePlan(plan));
    const int put = strangers(j);
    CHECK(put > 100);
    const auto back = readPlan(j.dump());
    INFO((back ? "" : back.error().sentence));
    REQUIRE(back);
    CHECK(count(json::parse(writePlan(*back))) == put);
    CHECK(*readPlan(writePlan(*back)) == *back);
}

TEST_CASE("models that nothing is made of go, and a name that is taken takes no other's model away") {
    Plan plan = withModels(2);
    plan.meshes["left over"] = stone(3, 2);
    plan.meshExtras["left over"] = "{\"a\":1}";
    CHECK(pruneModels(plan));
    CHECK(plan.meshes.size() == 2);
    CHECK(plan.meshExtras.empty());
    CHECK_FALSE(pruneModels(plan));
    CHECK(freeModelName(plan, "stone-0", "new") == "stone-0 2");
    CHECK(freeModelName(plan, "stone-0", "stone-0") == "stone-0");  // its own may be replaced
    CHECK(freeModelName(plan, "egg", "new") == "egg");
}

TEST_CASE("a kept model lies on its grid and is the same shape") {
    const form::Mesh m = form::rock(0.05, 7, 4), kept = keptModel(m);
    CHECK(keptModel(kept) == kept);
    double most = 0;
    for (size_t i = 0; i < m.points.size(); ++i) most = std::max(most, form::length(m.points[i] - kept.points[i]));
    CHECK(most <= 0.5e-8 * std::sqrt(3) * 1.001);
    CHECK(form::volume(kept) == Approx(form::volume(m)).epsilon(1e-6));
}

TEST_CASE("two versions of a plan are told apart in words") {
    const Plan mine = test::demo();
    CHECK(differences(mine, mine).empty());
    Plan theirs = mine;
    theirs.name = "Another evening";
    theirs.kitchen.room = Measure(24.0);
    theirs.pieces[0].coats()[1].drain = Measure(90.0);
    theirs.pieces[0].coats()[1].drain.typed = "count to ninety";
    theirs.pieces.erase(theirs.pieces.begin() + 1);
    Piece more = newPiece(theirs, "cup");
    more.name = "Tiny cups";
    theirs.pieces.push_back(more);
    const auto all = differences(mine, theirs);
    const auto find = [&](const std::string& what) {
        for (const auto& d : all)
            if (d.what == what) return d.mine + " | " + d.theirs;
        return std::string();
    };
    for (const auto& d : all) UNSCOPED_INFO(d.what << ": " << d.mine << " | " << d.theirs);
    CHECK(find("name") == mine.name + " | Another evening");
    CHECK(find("kitchen: room").ends_with("| 24 °C"));
    CHECK(find(mine.pieces[0].name + ", coat 2: drain").ends_with("| count to ninety"));
    CHECK(find(mine.pieces[1].name) == "there | —");  // a piece between others that is gone shifts nothing
    CHECK(find("Tiny cups") == "— | there");
    CHECK(all.size() == 5);
}

TEST_CASE("more kinds than a kitchen makes at once are reckoned more coarsely, and that is said", "[long]") {
    const auto said = [](size_t kinds) {
        Plan plan;
        for (size_t i = 0; i < kinds; ++i) {
            plan.pieces.push_back(newPiece(plan, i % 3 ? "disc" : "half-ball"));
            plan.pieces.back().id = std::to_string(i);
        }
        AnswerOptions o;
        o.day = false;
        const Answers a = test::answersOf(plan, o);
        CHECK(a.problems.empty());
        CHECK(a.pieces.size() == kinds);
        for (const auto& p : a.pieces) CHECK_FALSE(p->answers.empty());
        return std::count_if(a.cautions.begin(), a.cautions.end(),
                             [](const auto& c) { return c.find("So many kinds") != std::string::npos; });
    };
    CHECK(said(40) == 0);
    CHECK(said(41) == 1);
}

TEST_CASE("answers of a model are of this model, wherever in memory one was before") {
    Plan plan = withModels(1);
    Cache cache;
    const auto grams = [&](unsigned seed) {
        plan.meshes.begin()->second = nullptr;  // the next may lie where it lay
        plan.meshes.begin()->second = stone(seed, 3);
        return answer(plan, io::library(), cache, test::withoutDay())->pieces[0]->made->mass;
    };
    for (unsigned seed = 1; seed < 12; ++seed) {
        Cache fresh;
        const double kept = grams(seed);
        CHECK(kept == answer(plan, io::library(), fresh, test::withoutDay())->pieces[0]->made->mass);
    }
}

}  // namespace uovo::limits_test
