// A day that has fallen behind, in its old order: by hand, and on random days with a checker of its own.
#include "core/schedule/keep_order.h"

#include <catch2/catch.hpp>
#include <map>

#include "core/schedule/solver.h"
#include "support_schedule.h"

namespace uovo::schedule::keep_order_test {
namespace {

/// Three steps of one person, one after the other: 10, 10 and 5 min; the last wants the second to have set.
Network three() {
    Network net;
    net.tasks = {test::task("a", 10), test::task("b", 10), test::task("c", 5)};
    net.people = {{"you", {}, kEverySkill, false}};
    net.lags = {{0, 1, 10, -1, "b follows"}, {1, 2, 30, -1, "it sets"}};
    net.horizon = 300;
    return net;
}

Layout startsOf(std::vector<int> starts) {
    Layout l;
    l.who.assign(starts.size(), 1);
    l.start = std::move(starts);
    return l;
}

/// The rest of a random day, as somebody finds it who is late: what began before a minute is done and stands.
struct Late {
    Network net;
    Layout was;
};
Late lateAt(const Network& net, const Layout& day, int minute) {
    Late out{net, day};
    out.was.rests.clear();
    out.was.broken.clear();
    for (size_t i = 0; i < net.tasks.size(); ++i) {
        auto& t = out.net.tasks[i];
        if (day.start[i] == kLeftOut || day.start[i] >= minute) continue;
        t.done = true;
        t.pin = day.start[i];
        t.hands = 0;
        t.skills = kAnything;
        t.pot = t.choice = -1;
        t.small = false;
        t.draw = t.bath = 0;
        t.earliest = INT_MIN;
        out.was.start[i] = kLeftOut;
    }
    std::erase_if(out.net.lags, [&](const Lag& l) { return out.net.tasks[static_cast<size_t>(l.to)].done; });
    std::vector<int> index(day.sittings.size(), -1);
    out.was.sittings.clear();
    out.was.potWork.clear();
    std::vector<PotSitting> left = day.sittings;
    for (auto& s : left) std::erase_if(s.uses, [&](int t) { return out.net.tasks[static_cast<size_t>(t)].done; });
    for (size_t s = 0; s < left.size(); ++s) {
        std::erase_if(left[s].mixes, [&](int m) { return left[static_cast<size_t>(m)].uses.empty(); });
        if (left[s].uses.empty() && left[s].mixes.empty()) continue;
        index[s] = static_cast<int>(out.was.sittings.size());
        out.was.sittings.push_back(left[s]);
    }
    for (auto& s : out.was.sittings)
        for (int& m : s.mixes) m = index[static_cast<size_t>(m)];
    for (auto w : day.potWork)
        if (index[static_cast<size_t>(w.sitting)] >= 0 && w.kind != PotWork::Kind::Burst) {
            w.sitting = index[static_cast<size_t>(w.sitting)];
            out.was.potWork.push_back(w);
        }
    return out;
}

/// The same day, so many minutes earlier by its own clock: it ends at 0 again.
void moved(Network& net, Layout& l, int by) {
    for (auto& t : net.tasks)
        if (t.pin) *t.pin -= by;
    for (auto& s : l.start)
        if (s != kLeftOut) s -= by;
    for (auto& w : l.potWork) w.start -= by;
    for (auto& r : l.rests) r.start -= by;
    for (auto& s : l.sittings) s.from -= by, s.to -= by;
    net.horizon += by;
}

}  // namespace

TEST_CASE("what is late moves what waits for it, and nothing that has time") {
    const Network net = three();
    const Layout was = startsOf({-60, -50, -5});
    const auto kept = keepOrder(net, was, -55);  // nobody has begun yet
    REQUIRE(kept);
    CHECK(kept->start == std::vector<int>{-55, -45, -5});  // the third had ten minutes in hand
    CHECK(kept->ends == 0);
    CHECK(check(net, *kept).empty());
    const auto later = keepOrder(net, was, -40);
    REQUIRE(later);
    CHECK(later->start == std::vector<int>{-40, -30, 0});
    CHECK(later->ends == 5);
    const auto asPlanned = keepOrder(net, was, -200);
    REQUIRE(asPlanned);
    CHECK(asPlanned->start == was.start);  // early is no reason to begin sooner
}

TEST_CASE("a window is kept by opening it later; where that cannot be, it is said to be lost") {
    Network net = three();
    net.lags[1].max = 35;  // the third not long after the second
    net.tasks.push_back(test::task("d", 20));
    net.lags.push_back({3, 2, 20, -1, "it wants the fourth"});
    const Layout was = startsOf({-80, -70, -40, -60});
    const auto kept = keepOrder(net, was, -80);
    REQUIRE(kept);
    CHECK(kept->start == was.start);
    Network slow = net;
    slow.tasks[3].minutes = 45;  // takes longer than it was to
    slow.lags[2].min = 45;
    const auto put = keepOrder(slow, was, -80);
    REQUIRE(put);
    CHECK(put->start[2] - put->start[1] <= 35);
    CHECK(put->broken.empty());
    Network done = slow;  // the second stands already: its window is lost, and said to be
    done.tasks[1].done = true;
    done.tasks[1].pin = -70;
    done.tasks[1].hands = 0;
    done.tasks[0] = done.tasks[1];
    done.tasks[0].pin = -80;
    done.lags[0].to = 2;
    Layout left = was;
    left.start[0] = left.start[1] = kLeftOut;
    const auto lost = keepOrder(done, left, -60);
    REQUIRE(lost);
    REQUIRE(lost->broken.size() == 1);
    CHECK(lost->broken[0].kind == Broken::Kind::Lag);
    CHECK(lost->broken[0].minutes == lost->start[2] + 70 - 35);
    CHECK(check(done, *lost).empty());
}

TEST_CASE("where the cold is full, what comes waits until there is room") {
    Network net;
    net.people = {{"you", {}, kEverySkill, false}, {"two", {}, kEverySkill, false}};
    net.tasks = {test::task("in", 2), test::task("out", 2), test::task("in too", 2), test::task("out too", 2)};
    net.lags = {{0, 1, 30, -1, "cold"}, {2, 3, 30, -1, "cold"}};
    net.resources = {{"shelf", 5, "cm²", Resource::Kind::Shelf}};
    net.holds = {{0, 0, 1, 4}, {0, 2, 3, 4}};
    net.horizon = 300;
    Layout was = startsOf({-70, -40, -36, -4});
    was.who = {1, 1, 2, 2};
    const auto kept = keepOrder(net, was, -60);
    REQUIRE(kept);
    CHECK(kept->start[2] >= kept->start[1] + 2);
    CHECK(kept->broken.empty());
}

TEST_CASE("a pot that has gone cold is melted and tempered again; one that stands ready is used") {
    Network net = three();
    Pot dark;
    dark.id = dark.name = "dark";
    net.pots = {dark};
    net.tasks[1].pot = 0;
    net.tasks[1].draw = 0.2;
    Layout was = startsOf({-60, -50, -5});
    was.sittings = {{0, -50, -40, 0.2, 0, {1}, {}, false}};
    const auto cold = keepOrder(net, was, -100);
    REQUIRE(cold);
    int melts = 0, tempers = 0;
    for (const auto& w : cold->potWork) {
        melts += w.kind == PotWork::Kind::Melt;
        tempers += w.kind == PotWork::Kind::Temper;
        CHECK(w.start + w.minutes <= cold->start[1]);
    }
    CHECK(melts == 1);
    CHECK(tempers == 1);
    Task stands = test::task("standing/dark", 1);
    stands.step = "standing";
    stands.pot = 0;
    stands.hands = 0;
    stands.done = true;
    stands.pin = -62;
    net.tasks.push_back(stands);
    net.pots[0].standing = 0.3;
    was.start.push_back(kLeftOut);
    was.who.push_back(0);
    const auto warm = keepOrder(net, was, -61);
    REQUIRE(warm);
    CHECK(std::ranges::all_of(warm->potWork, [](const PotWork& w) { return w.kind == PotWork::Kind::Burst; }));
    CHECK(warm->sittings[0].standing);
    CHECK(check(net, *warm).empty());
    net.pots[0].standing = 0.1;  // not enough of it
    const auto more = keepOrder(net, was, -61);
    REQUIRE(more);
    CHECK(std::ranges::any_of(more->potWork, [](const PotWork& w) { return w.kind == PotWork::Kind::Temper; }));
}

TEST_CASE("random days that are late keep their order, and a checker of its own finds nothing wrong") {
    test::RandomDay kind;
    kind.pins = kind.people = false;
    int kept = 0, tried = 0, later = 0;
    for (unsigned seed = 0; seed < 600; ++seed) {
        INFO(seed);
        Network net = test::randomNetwork(seed, kind);
        net.closed.clear();
        net.resources[0].taken.clear();
        Effort effort;
        effort.starts = 20;
        effort.decodes = 60;
        const auto found = layOut(net, effort);
        REQUIRE(found);
        if (!found->layout.broken.empty() || found->layout.begins > -30) continue;
        const int minute = found->layout.begins * static_cast<int>(seed % 5) / 5,
                  behind = static_cast<int>(seed % 4) * 10;
        Late late = lateAt(net, found->layout, minute);
        ++tried;
        auto now = keepOrder(late.net, late.was, minute + behind);
        if (!now) continue;
        ++kept;
        later += now->ends > 0;
        for (size_t i = 0; i < late.net.tasks.size(); ++i) {
            if (now->start[i] == kLeftOut || late.net.tasks[i].done) continue;
            CHECK(now->start[i] >= std::max(minute + behind, late.was.start[i]));
        }
        moved(late.net, *now, std::max(0, now->ends));
        const auto wrong = check(late.net, *now);
        INFO((wrong.empty() ? "" : wrong.front().sentence));
        CHECK(wrong.empty());
    }
    CHECK(tried > 200);
    CHECK(kept > tried * 95 / 100);
    CHECK(later > 20);
}

}  // namespace uovo::schedule::keep_order_test
