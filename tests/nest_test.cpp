// Outlines on sheets: nothing overlaps, nothing is left out unsaid, the knife's window caps a sheet.
#include <catch2/catch.hpp>
#include <numbers>
#include <random>

#include "core/cutting/nest.h"
#include "core/form/part.h"
#include "support.h"

namespace uovo::cutting::nest_test {

using form::Loop;
using form::Point2;

namespace {

CutPart rectangle(const char* name, double w, double h, int count = 1) {
    return {name, {{{0, 0}, {w, 0}, {w, h}, {0, h}}}, count};
}

double distanceOf(const Point2& p, const Point2& a, const Point2& b) {
    const double dx = b[0] - a[0], dy = b[1] - a[1];
    const double t =
        std::clamp(((p[0] - a[0]) * dx + (p[1] - a[1]) * dy) / std::max(1e-300, dx * dx + dy * dy), 0.0, 1.0);
    return std::hypot(p[0] - a[0] - t * dx, p[1] - a[1] - t * dy);
}
bool cross(const Point2& a, const Point2& b, const Point2& c, const Point2& d) {
    const auto side = [](const Point2& p, const Point2& q, const Point2& r) {
        return (q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0]);
    };
    return side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0;
}

/// Least distance between outlines, m; below 0 where they cross or one lies in the other. By edges, not by polygons.
double apart(const std::vector<Loop>& x, const std::vector<Loop>& y) {
    double least = 1e9;
    for (const auto& a : x)
        for (const auto& b : y)
            for (size_t i = 0; i < a.size(); ++i)
                for (size_t j = 0; j < b.size(); ++j) {
                    const Point2 &p = a[i], &q = a[(i + 1) % a.size()], &r = b[j], &s = b[(j + 1) % b.size()];
                    if (cross(p, q, r, s)) return -1;
                    least = std::min({least, distanceOf(p, r, s), distanceOf(r, p, q)});
                }
    const auto in = [](const Point2& p, const std::vector<Loop>& loops) {
        bool inside = form::contains(loops.front(), p);
        for (size_t h = 1; h < loops.size(); ++h) inside = inside && !form::contains(loops[h], p);
        return inside;
    };
    if (in(x.front().front(), y) || in(y.front().front(), x)) return -1;
    return least;
}

/// All that must be true of a layout; another method than the one that laid it.
void checkLayout(const std::vector<CutPart>& pieces, const SheetOptions& o, const Layout& l) {
    std::vector<int> seen(pieces.size(), 0);
    for (const auto& sheet : l.sheets) {
        std::vector<std::vector<Loop>> placed;
        double seconds = 0, area = 0;
        std::vector<int> order;
        for (const auto& p : sheet.placements) {
            ++seen[p.piece];
            placed.push_back(placedLoops(pieces[p.piece], p));
            seconds += secondsToCut(pieces[p.piece], o);
            order.push_back(p.order);
            for (size_t k = 0; k < placed.back().size(); ++k)
                area += (k == 0 ? 1 : -1) * std::abs(form::signedArea(placed.back()[k]));
            for (const auto& q : placed.back().front()) {
                CHECK(q[0] >= o.border - 1e-5);
                CHECK(q[1] >= o.border - 1e-5);
                CHECK(q[0] <= o.width - o.border + 1e-5);
                CHECK(q[1] <= o.height - o.border + 1e-5);
            }
        }
        for (size_t i = 0; i < placed.size(); ++i)
            for (size_t j = i + 1; j < placed.size(); ++j) {
                const double d = apart(placed[i], placed[j]);
                if (d < o.gap - 1e-6) {
                    INFO(pieces[sheet.placements[i].piece].name << " and " << pieces[sheet.placements[j].piece].name);
                    CHECK(d >= o.gap - 1e-6);
                }
            }
        CHECK(sheet.cutting == Approx(seconds));
        CHECK(sheet.used == Approx(area / (o.width * o.height)));
        if (sheet.placements.size() > 1) CHECK(sheet.cutting <= o.window + 1e-9);
        std::sort(order.begin(), order.end());
        for (size_t k = 0; k < order.size(); ++k) CHECK(order[k] == static_cast<int>(k));
    }
    for (size_t i = 0; i < pieces.size(); ++i) {
        const bool out = std::ranges::find(l.tooLarge, i) != l.tooLarge.end();
        CHECK(seen[i] == (out ? 0 : pieces[i].count));
    }
}

std::vector<CutPart> housePanels() {
    std::vector<CutPart> out;
    form::Part house = form::usual("house");
    const auto built = form::build(house);
    for (const auto& item : built->items) {
        CutPart p;
        p.name = item.key;
        p.loops = form::sheetOutline(item.part);
        out.push_back(std::move(p));
    }
    return out;
}

}  // namespace

TEST_CASE("the panels of a house lie on one sheet, three quarters of the strip they take") {
    auto pieces = housePanels();
    for (auto& p : pieces) p.count = 2;
    SheetOptions o;
    o.width = 0.3;
    o.height = 0.4;
    o.window = 1e5;
    const auto l = nest(pieces, o);
    REQUIRE(l);
    checkLayout(pieces, o, *l);
    CHECK(l->sheets.size() == 1);
    CHECK(l->sheets.front().strip >= 0.75);
}

TEST_CASE("sixty mixed parts: shapes that are not convex, with holes, turned, two thirds of the strip at least") {
    std::vector<CutPart> pieces{rectangle("panel", 0.08, 0.05, 15), rectangle("slat", 0.09, 0.012, 10)};
    for (const auto& [name, count] : {std::pair{"heart", 8}, {"star", 4}, {"leaf", 6}, {"round", 14}})
        pieces.push_back({name, {form::silhouette(name, 0.05, 0.045, 60)}, count});
    CutPart frame = rectangle("frame", 0.09, 0.09, 3);
    frame.loops.push_back({{0.015, 0.015}, {0.015, 0.075}, {0.075, 0.075}, {0.075, 0.015}});
    pieces.push_back(frame);
    SheetOptions o;
    o.width = 0.7;
    o.height = 0.5;
    o.window = 1e6;
    o.orders = 3;
    const auto l = nest(pieces, o);
    REQUIRE(l);
    checkLayout(pieces, o, *l);
    CHECK(l->sheets.front().strip >= 0.65);
    // what is small lies in the frames' holes
    int inside = 0;
    for (const auto& s : l->sheets)
        for (const auto& f : s.placements) {
            if (pieces[f.piece].name != "frame") continue;
            const auto hole = placedLoops(pieces[f.piece], f)[1];
            for (const auto& p : s.placements)
                if (p.piece != f.piece && form::contains(hole, placedLoops(pieces[p.piece], p).front().front()))
                    ++inside;
        }
    CHECK(inside > 0);
}

TEST_CASE("random parts never overlap, however they are") {
    std::mt19937 dice(11);
    const auto random = [&](double low, double high) { return low + (high - low) * double(dice() % 10001) / 1e4; };
    for (int k = 0; k < 25; ++k) {
        std::vector<CutPart> pieces;
        const size_t kinds = 1 + dice() % 5;
        for (size_t i = 0; i < kinds; ++i) {
            Loop loop;
            const int corners = 3 + static_cast<int>(dice() % 9);
            for (int c = 0; c < corners; ++c) {
                const double angle = 2 * std::numbers::pi * c / corners, r = random(0.01, 0.05);
                loop.push_back({r * std::cos(angle), r * std::sin(angle)});
            }
            pieces.push_back({"part " + std::to_string(i), {loop}, 1 + static_cast<int>(dice() % 5)});
            pieces.back().mayTurn = dice() % 2;
        }
        SheetOptions o;
        o.width = random(0.15, 0.4);
        o.height = random(0.15, 0.4);
        o.gap = random(0, 0.006);
        o.border = random(0, 0.01);
        o.speed = random(0.005, 0.03);
        o.orders = 3;
        INFO(k);
        const auto l = nest(pieces, o);
        REQUIRE(l);
        checkLayout(pieces, o, *l);
    }
}

TEST_CASE(
    "the window in which it can be cut fills a sheet before its area does, and a cutter has no knife's way to go") {
    // twelve panels of 6 × 4 cm: 200 mm each, 20 s at 10 mm/s, 15 of them in five minutes
    std::vector<CutPart> pieces{rectangle("panel", 0.06, 0.04, 32)};
    SheetOptions o;
    o.width = o.height = 0.5;
    auto l = nest(pieces, o);
    REQUIRE(l);
    CHECK(l->sheets.size() == 3);
    CHECK(l->sheets.front().placements.size() == 15);
    pieces[0].cutLength = 0;
    pieces[0].each = 4;
    l = nest(pieces, o);
    REQUIRE(l);
    CHECK(l->sheets.size() == 1);
    CHECK(l->sheets.front().cutting == Approx(32 * 4));
    // a part that alone takes longer is told, and laid
    CutPart lace = rectangle("lace", 0.2, 0.2);
    lace.cutLength = 4;
    l = nest({lace}, o);
    REQUIRE(l);
    CHECK(l->tooLong.size() == 1);
    CHECK(l->sheets.size() == 1);
}

TEST_CASE("small parts near the edge are cut first") {
    const std::vector<CutPart> pieces{rectangle("large", 0.14, 0.14), rectangle("small", 0.03, 0.03, 6)};
    SheetOptions o;
    o.width = 0.3;
    o.height = 0.2;
    const auto l = nest(pieces, o);
    REQUIRE(l);
    for (const auto& p : l->sheets.front().placements)
        if (p.piece == 0) CHECK(p.order > 0);
}

TEST_CASE("what cannot be laid out is refused in words, what is too large is told") {
    const auto refused = [](std::vector<CutPart> pieces, const SheetOptions& o = {}) {
        const auto l = nest(pieces, o);
        return l ? std::string() : l.error().sentence;
    };
    CHECK(refused({{"none", {}}}).find("no outline") != std::string::npos);
    CHECK(refused({{"line", {{{0, 0}, {1, 0}}}}}).find("three corners") != std::string::npos);
    CHECK(refused({{"bow", {{{0, 0}, {0.1, 0.1}, {0.1, 0}, {0, 0.1}}}}}).find("no area") != std::string::npos);
    CHECK(refused({{"tie", {{{0, 0}, {0.1, 0.1}, {0.1, 0}, {0, 0.05}}}}}).find("cross") != std::string::npos);
    CHECK(refused({rectangle("far", 20, 20)}).find("10 m") != std::string::npos);
    CHECK(refused({rectangle("many", 0.01, 0.01, 5000)}).find("2000") != std::string::npos);
    SheetOptions none;
    none.width = 0;
    CHECK_FALSE(refused({rectangle("a", 0.1, 0.1)}, none).empty());
    const auto l = nest({rectangle("door", 0.5, 0.4), rectangle("knob", 0.02, 0.02)});
    REQUIRE(l);
    REQUIRE(l->tooLarge.size() == 1);
    CHECK(l->tooLarge[0] == 0);
    CHECK(l->sheets.size() == 1);
}

TEST_CASE("a layout is the same each time, is never worse with more orders, and stops when it is asked to") {
    const auto pieces = housePanels();
    SheetOptions o;
    o.width = 0.3;
    o.height = 0.26;
    const auto places = [](const Layout& l) {
        std::vector<double> out;
        for (const auto& s : l.sheets)
            for (const auto& p : s.placements) out.insert(out.end(), {double(p.piece), p.angle, p.at[0], p.at[1]});
        return out;
    };
    const auto a = nest(pieces, o), b = nest(pieces, o);
    REQUIRE((a && b));
    CHECK(places(*a) == places(*b));
    SheetOptions few = o;
    few.orders = 1;
    CHECK(nest(pieces, few)->sheets.size() >= a->sheets.size());
    std::stop_source stop;
    int told = 0;
    const auto stopped = nest(pieces, o, stop.get_token(), [&](const Layout& best, double share) {
        CHECK(share <= 1);
        CHECK_FALSE(best.sheets.empty());
        if (++told == 3) stop.request_stop();
    });
    REQUIRE(stopped);
    CHECK(told == 3);
    checkLayout(pieces, o, *stopped);
}

}  // namespace uovo::cutting::nest_test
