// Outlines from pictures: drawn figures are found again, whatever is no figure is said.
#include "io/trace.h"

#include <catch2/catch.hpp>
#include <functional>
#include <random>

#include "core/cutting/narrow.h"

namespace uovo::io::trace_test {

using Catch::Matchers::Contains;

namespace {

/// A figure drawn with soft edges, four by four samples in a pixel whose corners differ; coordinates in pixels, y down.
GreyPicture drawn(int w, int h, const std::function<bool(double, double)>& in, int dark = 30, int light = 225) {
    GreyPicture p{w, h, {}};
    const auto wide = static_cast<size_t>(w) + 1;
    std::vector<int> corner;
    for (int y = 0; y <= h; ++y)
        for (int x = 0; x <= w; ++x) corner.push_back(in(x, y));
    for (int y = 0; y < h; ++y)
        for (int x = 0; x < w; ++x) {
            const size_t at = static_cast<size_t>(y) * wide + static_cast<size_t>(x);
            const int corners = corner[at] + corner[at + 1] + corner[at + wide] + corner[at + wide + 1];
            int n = 4 * corners;
            if (corners % 4 != 0) n = 0;
            for (int i = 0; corners % 4 != 0 && i < 4; ++i)
                for (int j = 0; j < 4; ++j) n += in(x + (i + 0.5) / 4, y + (j + 0.5) / 4);
            p.pixels.push_back(static_cast<std::uint8_t>(light + (dark - light) * n / 16));
        }
    return p;
}

/// An outline filled dark on light, its edges as soft as a pixel is covered; coordinates in pixels, y down.
GreyPicture filled(int w, int h, const form::Loop& loop) {
    GreyPicture p{w, h, {}};
    for (int y = 0; y < h; ++y) {
        std::vector<double> row(size_t(w), 0.0);
        for (int s = 0; s < 4; ++s) {
            const double at = y + (s + 0.5) / 4;
            std::vector<double> cross;
            for (size_t i = 0; i < loop.size(); ++i) {
                const auto &a = loop[i], &b = loop[(i + 1) % loop.size()];
                if ((a[1] > at) != (b[1] > at)) cross.push_back(a[0] + (b[0] - a[0]) * (at - a[1]) / (b[1] - a[1]));
            }
            std::sort(cross.begin(), cross.end());
            for (size_t k = 0; k + 1 < cross.size(); k += 2)
                for (int x = std::max(0, int(cross[k])); x < std::min(w, int(cross[k + 1]) + 1); ++x)
                    row[size_t(x)] += 0.25 * (std::min(x + 1.0, cross[k + 1]) - std::max(double(x), cross[k]));
        }
        for (const double v : row) p.pixels.push_back(static_cast<std::uint8_t>(225 - 195 * std::clamp(v, 0.0, 1.0)));
    }
    return p;
}

double fromLoop(const form::Loop& loop, const form::Point2& p) {
    double nearest = 1e300;
    for (size_t i = 0; i < loop.size(); ++i) {
        const auto &a = loop[i], &b = loop[(i + 1) % loop.size()];
        const double dx = b[0] - a[0], dy = b[1] - a[1];
        const double u = std::clamp(((p[0] - a[0]) * dx + (p[1] - a[1]) * dy) / (dx * dx + dy * dy), 0.0, 1.0);
        nearest = std::min(nearest, std::hypot(p[0] - a[0] - u * dx, p[1] - a[1] - u * dy));
    }
    return nearest;
}

std::string refused(const GreyPicture& p, const TraceWishes& w = {}) {
    const auto t = trace(p, w);
    REQUIRE_FALSE(t);
    return t.error().sentence;
}

}  // namespace

TEST_CASE("a drawn figure is found again within 0.3 mm") {
    for (const char* name : {"heart", "star", "leaf", "flower", "egg"}) {
        CAPTURE(name);
        const double px = 5;  // a millimetre, 127 to the inch: less than any scanner
        auto shape = form::silhouette(name, 0.12, 0.09, 180);
        double x0 = 1, x1 = -1, y0 = 1, y1 = -1;
        for (const auto& p : shape) {
            x0 = std::min(x0, p[0]);
            x1 = std::max(x1, p[0]);
            y0 = std::min(y0, p[1]);
            y1 = std::max(y1, p[1]);
        }
        for (auto& p : shape) p = {p[0] - 0.5 * (x0 + x1), p[1] - 0.5 * (y0 + y1)};  // about its own middle
        form::Loop inPixels;
        for (const auto& p : shape) inPixels.push_back({340 + p[0] * 1e3 * px, 260 - p[1] * 1e3 * px});
        const auto t = trace(filled(680, 520, inPixels), {0.12});
        REQUIRE(t);
        CHECK(t->darkOnLight);
        CHECK(t->loops.size() == 1);
        CHECK(t->loops[0].size() < 400);
        CHECK(form::signedArea(t->loops[0]) == Approx(form::signedArea(shape)).epsilon(0.01));
        double worst = 0;
        for (const auto& p : t->loops[0]) worst = std::max(worst, fromLoop(shape, p));
        for (const auto& p : shape) worst = std::max(worst, fromLoop(t->loops[0], p));
        CHECK(worst < 3e-4);
    }
}

TEST_CASE("a ring keeps its hole, a light figure on dark ground is a figure, spots are left out") {
    const auto ring = [](double x, double y) {
        const double r = std::hypot(x - 200, y - 150);
        return r < 120 && r > 70;
    };
    auto t = trace(drawn(400, 300, ring), {0.06});
    REQUIRE(t);
    REQUIRE(t->loops.size() == 2);
    CHECK(std::sqrt(form::signedArea(t->loops[0]) / M_PI) == Approx(0.03).margin(1e-4));
    CHECK(std::sqrt(-form::signedArea(t->loops[1]) / M_PI) == Approx(0.03 * 70 / 120).margin(1e-4));
    TraceWishes whole{0.06};
    whole.holes = false;
    CHECK(trace(drawn(400, 300, ring), whole)->loops.size() == 1);
    t = trace(drawn(400, 300, ring, 230, 40), {0.06});
    REQUIRE(t);
    CHECK_FALSE(t->darkOnLight);
    CHECK(t->loops.size() == 2);
    // a second figure is counted, dust is not
    t = trace(drawn(400, 300,
                    [&](double x, double y) {
                        return ring(x, y) || std::hypot(x - 360, y - 40) < 20 || std::hypot(x - 20, y - 20) < 1.5;
                    }),
              {0.06});
    REQUIRE(t);
    CHECK(t->others == 1);
}

// Source: Otsu's threshold of two equal peaks lies between them.
TEST_CASE("the shade between two peaks parts them") {
    GreyPicture p{100, 100, std::vector<std::uint8_t>(10000, 60)};
    for (size_t i = 5000; i < 10000; ++i) p.pixels[i] = 180;
    CHECK(otsu(p) > 60);
    CHECK(otsu(p) <= 180);
    std::mt19937 dice(3);
    std::normal_distribution<double> low(80, 12), high(170, 12);
    for (size_t i = 0; i < 10000; ++i)
        p.pixels[i] = static_cast<std::uint8_t>(std::clamp((i % 2 ? low : high)(dice), 0.0, 255.0));
    CHECK(otsu(p) == Approx(125).margin(6));
}

TEST_CASE("what is no figure is said") {
    const GreyPicture grey{64, 64, std::vector<std::uint8_t>(64 * 64, 128)};
    CHECK_THAT(refused(grey), Contains("one shade"));
    CHECK_THAT(refused({}), Contains("smaller than 8"));
    CHECK_THAT(refused({64, 64, {1, 2, 3}}), Contains("damaged"));
    CHECK_THAT(refused({100'000, 1'000, {}}), Contains("40 million"));
    const auto dot = drawn(200, 200, [](double x, double y) { return std::hypot(x - 100, y - 100) < 60; });
    CHECK_THAT(refused(dot, {5}), Contains("5 and 600 mm"));
    TraceWishes dark;
    dark.threshold = 5;
    CHECK_THAT(refused(dot, dark), Contains("another shade"));
    // noise: whatever comes of it, it is an answer
    std::mt19937 dice(9);
    for (int k = 0; k < 6; ++k) {
        GreyPicture noise{60 + k, 50, {}};
        for (int i = 0; i < noise.width * noise.height; ++i) noise.pixels.push_back(static_cast<std::uint8_t>(dice()));
        const auto t = trace(noise);
        if (t) CHECK_FALSE(form::crossesItself(t->loops));
        else CHECK_FALSE(t.error().sentence.empty());
    }
}

TEST_CASE("the narrowest place of an outline is found, with what hangs on it") {
    using cutting::narrowest;
    // two squares with a bridge of 5 × 8 mm between them
    const form::Loop dumbbell{{0, 0},          {0.04, 0},      {0.04, 0.0175}, {0.048, 0.0175},
                              {0.048, 0.01},   {0.078, 0.01},  {0.078, 0.03},  {0.048, 0.03},
                              {0.048, 0.0225}, {0.04, 0.0225}, {0.04, 0.04},   {0, 0.04}};
    const auto n = narrowest({dumbbell});
    REQUIRE(n);
    CHECK(n->width == Approx(0.005).epsilon(0.06));
    CHECK(n->at[0] == Approx(0.044).margin(1e-3));
    CHECK(n->at[1] == Approx(0.02).margin(5e-4));
    CHECK(n->beyond == Approx(0.03 * 0.02).epsilon(0.05));
    CHECK(n->lever == Approx(0.063 - 0.044).margin(1.5e-3));
    CHECK_FALSE(narrowest({dumbbell}, 0.004));
    CHECK_FALSE(narrowest({form::silhouette("round", 0.06, 0.06)}));
    CHECK_FALSE(narrowest({form::silhouette("square", 0.06, 0.05)}));
    // a frame: the border between hole and edge
    const form::Loop outer{{0, 0}, {0.06, 0}, {0.06, 0.06}, {0, 0.06}},
        hole{{0.008, 0.008}, {0.008, 0.052}, {0.052, 0.052}, {0.052, 0.008}};
    const auto frame = narrowest({outer, hole});
    REQUIRE(frame);
    CHECK(frame->width == Approx(0.008).epsilon(0.06));
}

TEST_CASE("outlines that overlap become one, holes stay holes") {
    const form::Loop a{{0, 0}, {0.03, 0}, {0.03, 0.03}, {0, 0.03}},
        b{{0.02, 0.01}, {0.06, 0.01}, {0.06, 0.02}, {0.02, 0.02}};
    const auto one = cutting::united({a, b});
    REQUIRE(one.size() == 1);
    CHECK(form::signedArea(one[0]) == Approx(9e-4 + 3e-4).epsilon(1e-6));
    const form::Loop hole{{0.01, 0.01}, {0.01, 0.02}, {0.015, 0.02}, {0.015, 0.01}};
    const auto with = cutting::united({a, hole, b});
    REQUIRE(with.size() == 2);
    CHECK(form::signedArea(with[1]) == Approx(-5e-5).epsilon(1e-6));
}

namespace {

/// A thing and a coin as a camera sees them that stands `tilt` aslant: what lies along its slope is shortened.
struct Seen {
    double pixels = 12'000;                         // a metre
    double tilt = 0;                                // rad
    double turn = 0.7;                              // rad, of the slope
    form::Point2 place(double x, double y) const {  // m of the table to pixels
        const double c = std::cos(turn), s = std::sin(turn), along = (c * x + s * y) * std::cos(tilt),
                     across = -s * x + c * y;
        return {480 + pixels * (c * along - s * across), 360 - pixels * (s * along + c * across)};
    }
    /// Back: pixels to the table.
    form::Point2 back(double px, double py) const {
        const double u = (px - 480) / pixels, v = (360 - py) / pixels, c = std::cos(turn), s = std::sin(turn);
        const double along = (c * u + s * v) / std::cos(tilt), across = -s * u + c * v;
        return {c * along - s * across, s * along + c * across};
    }
};

constexpr double kCoin = 0.024;

/// A thing 40 by 16 mm, an ellipse with a flat end, its middle at −12, 3 mm; a coin to its right.
GreyPicture besideCoin(const Seen& seen, bool coin = true) {
    return drawn(960, 720, [&](double px, double py) {
        const auto p = seen.back(px, py);
        const double x = p[0] + 0.012, y = p[1] - 0.003;
        const bool thing = std::pow(x / 0.02, 2) + std::pow(y / 0.008, 2) < 1 && x < 0.016;
        const bool round = coin && std::hypot(p[0] - 0.022, p[1] + 0.004) < kCoin / 2;
        return thing || round;
    });
}

}  // namespace

TEST_CASE("a coin says how large the thing beside it is, and draws it straight where the camera stood aslant") {
    for (const double tilt : {0.0, 0.15, 0.35, 0.6})
        for (const double turn : {0.0, 0.7, 1.6}) {
            Seen seen;
            seen.tilt = tilt;
            seen.turn = turn;
            TraceWishes wishes;
            wishes.coin = kCoin;
            const auto traced = trace(besideCoin(seen), wishes);
            INFO("tilt " << tilt << ", turn " << turn << (traced ? "" : traced.error().sentence));
            REQUIRE(traced);
            REQUIRE(traced->coin);
            CHECK(traced->coin->tilt == Approx(tilt).margin(tilt == 0 ? 0.09 : 0.03));
            // area and second moments tell the shape apart from how it is turned
            double area = 0;
            for (const auto& l : traced->loops) area += form::signedArea(l);
            double truth = 0;  // of the ellipse cut at 16 of its 20 mm
            constexpr int kSteps = 20000;
            for (int i = 0; i < kSteps; ++i) {
                const double x = -0.02 + 0.036 * (i + 0.5) / kSteps;
                truth += 2 * 0.008 * std::sqrt(std::max(0.0, 1 - x * x / 4e-4)) * 0.036 / kSteps;
            }
            CHECK(area == Approx(truth).epsilon(0.012));
            double far = 0;
            for (const auto& a : traced->loops[0])
                for (const auto& b : traced->loops[0]) far = std::max(far, std::hypot(a[0] - b[0], a[1] - b[1]));
            CHECK(far == Approx(0.0360).epsilon(0.02));
            // its corners lie in the picture where they were drawn
            for (const auto& q : traced->loops[0]) {
                const auto on = traced->inPicture(q);
                const auto p = seen.back(on[0], on[1]);
                const double x = p[0] + 0.012, y = p[1] - 0.003;
                const double off =
                    std::min(std::abs(std::sqrt(x * x / 4e-4 + y * y / 6.4e-5) - 1) * 0.008, std::abs(x - 0.016));
                CHECK(off < 4e-4);
            }
            CHECK(std::hypot(traced->coin->middle[0] - seen.place(0.022, -0.004)[0],
                             traced->coin->middle[1] - seen.place(0.022, -0.004)[1]) < 2);
        }
}

TEST_CASE("a ball beside a coin: the smaller of two round ones is the coin") {
    const auto picture = drawn(800, 600, [](double x, double y) {
        return std::hypot(x - 260, y - 300) < 180 || std::hypot(x - 620, y - 300) < 90;
    });
    TraceWishes wishes;
    wishes.coin = kCoin;
    const auto traced = trace(picture, wishes);
    REQUIRE(traced);
    CHECK(traced->coin->across == Approx(180).epsilon(0.01));
    CHECK(form::perimeter(traced->loops[0]) == Approx(3.14159 * 2 * kCoin).epsilon(0.01));
}

TEST_CASE("no coin, a square coin and a camera that lies on the table are said") {
    TraceWishes wishes;
    wishes.coin = kCoin;
    CHECK_THAT(trace(besideCoin({}, false), wishes).error().sentence, Contains("no coin"));
    const auto squares = drawn(600, 400, [](double x, double y) {
        return (std::abs(x - 150) < 100 && std::abs(y - 200) < 60) ||
               (std::abs(x - 450) < 60 && std::abs(y - 200) < 60);
    });
    CHECK_THAT(trace(squares, wishes).error().sentence, Contains("round like a coin"));
    Seen low;
    low.tilt = 0.95;
    low.turn = 0;
    CHECK_THAT(trace(besideCoin(low), wishes).error().sentence, Contains("aslant"));
    wishes.coin = 0.5;
    CHECK_THAT(trace(besideCoin({}), wishes).error().sentence, Contains("between 8 and 60 mm"));
}

}  // namespace uovo::io::trace_test
