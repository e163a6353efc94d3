// Spare parts of what is put together from many: enough of them, in the pots, on the sheets, in the day.
#include "core/stages/spares.h"

#include <catch2/catch.hpp>
#include <random>

#include "core/stages/sheets.h"
#include "support.h"

namespace uovo::spares_test {

namespace {

Plan houses(int count, double survives) {
    Plan plan = test::demo();
    plan.pieces = {newPiece(plan, "house")};
    plan.pieces[0].count = count;
    plan.pieces[0].survives = survives;
    return plan;
}

}  // namespace

TEST_CASE("spare parts are enough nineteen times of twenty, and one fewer is not") {
    const Plan plan = houses(3, 0.75);
    const auto a = test::answersOf(plan, test::withoutDay());
    const auto& piece = *a.pieces[0];
    CHECK(piece.make == 3);  // no whole house besides
    REQUIRE(piece.spareParts.size() == piece.made->assembly.items.size());
    // every kind of part by itself, broken by chance: the chances of all parts together are those of the house
    std::mt19937 random(5);
    double whole = 1;
    const auto& items = piece.made->assembly.items;
    std::vector<double> risk;
    double sum = 0;
    for (const auto& i : items) {
        const auto size = form::bounds(i.shape.solid()).size();
        risk.push_back(std::max({size.x, size.y, size.z}) / std::min({size.x, size.y, size.z}));
        sum += risk.back();
    }
    int kinds = 0;
    for (size_t k = 0; k < items.size(); ++k) {
        const double p = std::pow(0.75, risk[k] / sum);
        whole *= p;
        if (piece.spareParts[k] == 0) continue;
        ++kinds;
        int alike = 0;
        for (const auto& i : items) alike += i.part == items[k].part;
        const auto enough = [&](int spares) {
            int good = 0;
            constexpr int kTrials = 20000;
            std::binomial_distribution<int> comesOut(3 * alike + spares, p);
            for (int t = 0; t < kTrials; ++t) good += comesOut(random) >= 3 * alike;
            return double(good) / kTrials;
        };
        INFO(items[k].name << ", " << piece.spareParts[k] << " spares of " << 3 * alike);
        CHECK(enough(piece.spareParts[k]) > 0.945);
        CHECK(enough(piece.spareParts[k] - 1) < 0.955);
    }
    CHECK(kinds >= 2);
    CHECK(whole == Approx(0.75));
}

TEST_CASE("pots, sheets and the words know the spare parts") {
    const Plan safe = houses(2, 1), plan = houses(2, 0.8);
    const auto without = test::answersOf(safe, test::withoutDay()), with = test::answersOf(plan, test::withoutDay());
    const auto& piece = *with.pieces[0];
    CHECK(without.pieces[0]->spareParts.empty());
    REQUIRE_FALSE(piece.spareParts.empty());
    double grams = 0;
    int parts = 0;
    for (size_t k = 0; k < piece.spareParts.size(); ++k) {
        grams += piece.spareParts[k] * piece.made->items[k];
        parts += piece.spareParts[k];
    }
    CHECK(parts > 0);
    CHECK(with.pots[0].pieces - without.pots[0].pieces == Approx(grams).epsilon(1e-9));
    CHECK(with.pots[0].melt > without.pots[0].melt + grams);  // and the sheet it is cut from
    const auto sheets = sheetPlan(plan, io::library(), with), plain = sheetPlan(safe, io::library(), without);
    int cut = 0, cutPlain = 0;
    for (const auto& t : sheets.templates) cut += t.cut.count;
    for (const auto& t : plain.templates) cutPlain += t.cut.count;
    CHECK(cut - cutPlain == parts);
    const std::string words = sparePartWords(*piece.made, piece.spareParts);
    CHECK(words.find("spare") != std::string::npos);
    for (const auto& a : piece.answers)
        if (a.id == "grams") CHECK(a.sentence.find(words) != std::string::npos);
    CHECK(sparePartWords(*piece.made, {}).empty());
}

TEST_CASE("few parts are spared as a whole, and what never breaks not at all") {
    Plan plan = test::demo();
    plan.pieces = {newPiece(plan, "cup-saucer")};
    plan.pieces[0].survives = 0.7;
    plan.pieces[0].count = 4;
    const auto a = test::answersOf(plan, test::withoutDay());
    if (a.pieces[0]->spareParts.empty()) CHECK(a.pieces[0]->make > 4);
    else CHECK(a.pieces[0]->make == 4);
    CHECK(spareParts(plan.pieces[0], *a.pieces[0]->made, 1, io::library()).empty());
}

}  // namespace uovo::spares_test
