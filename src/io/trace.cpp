#include "io/trace.h"

#include <fmt/format.h>
#include <potracelib.h>

#include <algorithm>
#include <array>
#include <climits>
#include <cmath>
#include <memory>
#include <numbers>

#include "core/form/outline_box.h"
#include "core/quantity/catalogue.h"

namespace uovo::io {
namespace {

using form::Loop;
using form::Point2;

constexpr double kFlatPixels = 0.1;   // pixels between a curve and its chords
constexpr double kCorners = 0.9;      // potrace's alphamax: tips stay tips
constexpr double kMostFilled = 0.97;  // of a picture: a figure that takes more is its ground
constexpr double kWorked = 4.2e6;     // pixels that a small picture is enlarged to, about
constexpr int kMostCorners = 2000;    // of an outline

tl::unexpected<Problem> refusePicture(std::string sentence) {
    return tl::unexpected(Problem{std::move(sentence), "picture"});
}

struct Freed {
    void operator()(potrace_param_t* p) const { potrace_param_free(p); }
    void operator()(potrace_state_t* s) const { potrace_state_free(s); }
};

/// A closed curve as points, in pixels.
Loop flattened(const potrace_curve_t& curve) {
    Loop out;
    if (curve.n == 0) return out;
    Point2 from{curve.c[curve.n - 1][2].x, curve.c[curve.n - 1][2].y};
    for (int i = 0; i < curve.n; ++i) {
        const auto* c = curve.c[i];
        if (curve.tag[i] == POTRACE_CORNER) {
            out.push_back({c[1].x, c[1].y});
            out.push_back({c[2].x, c[2].y});
        } else {
            // as many chords as the curve's second differences ask for
            const double bend = std::max(std::hypot(from[0] - 2 * c[0].x + c[1].x, from[1] - 2 * c[0].y + c[1].y),
                                         std::hypot(c[0].x - 2 * c[1].x + c[2].x, c[0].y - 2 * c[1].y + c[2].y));
            const int n = std::clamp(static_cast<int>(std::ceil(std::sqrt(0.75 * bend / kFlatPixels))), 1, 60);
            for (int k = 1; k <= n; ++k) {
                const double t = double(k) / n, s = 1 - t;
                out.push_back(
                    {s * s * s * from[0] + 3 * s * s * t * c[0].x + 3 * s * t * t * c[1].x + t * t * t * c[2].x,
                     s * s * s * from[1] + 3 * s * s * t * c[0].y + 3 * s * t * t * c[1].y + t * t * t * c[2].y});
            }
        }
        from = {c[2].x, c[2].y};
    }
    return out;
}

/// Corners without which an open line stays within `by` of what it was (Douglas, Peucker 1973).
void keep(const Loop& all, size_t a, size_t b, double by, std::vector<char>& kept) {
    std::vector<std::pair<size_t, size_t>> left{{a, b}};
    while (!left.empty()) {
        const auto [i, j] = left.back();
        left.pop_back();
        const double dx = all[j][0] - all[i][0], dy = all[j][1] - all[i][1], l = std::hypot(dx, dy);
        double most = by;
        size_t at = i;
        for (size_t k = i + 1; k < j; ++k) {
            const double x = all[k][0] - all[i][0], y = all[k][1] - all[i][1];
            const double far = l > 0 ? std::abs(x * dy - y * dx) / l : std::hypot(x, y);
            if (far > most) most = far, at = k;
        }
        if (at == i) continue;
        kept[at] = 1;
        left.emplace_back(i, at);
        left.emplace_back(at, j);
    }
}

Loop simplified(const Loop& loop, double by) {
    if (loop.size() < 8) return loop;
    size_t far = 0;  // two ends far from each other
    for (size_t k = 1; k < loop.size(); ++k)
        if (std::hypot(loop[k][0] - loop[0][0], loop[k][1] - loop[0][1]) >
            std::hypot(loop[far][0] - loop[0][0], loop[far][1] - loop[0][1]))
            far = k;
    Loop closed = loop;
    closed.push_back(loop[0]);
    std::vector<char> kept(closed.size(), 0);
    kept[0] = kept[far] = 1;
    keep(closed, 0, far, by, kept);
    keep(closed, far, closed.size() - 1, by, kept);
    Loop out;
    for (size_t k = 0; k < loop.size(); ++k)
        if (kept[k]) out.push_back(loop[k]);
    return out;
}

/// A figure as a coin would be: how far it is an ellipse, and which.
struct Round {
    double share = 0;               ///< of an ellipse with its second moments that it fills; 1 for one
    Point2 middle{};                ///< pixels
    double xx = 0, xy = 0, yy = 0;  ///< second moments of its area, pixels²
    double across() const { return 4 * std::pow(xx * yy - xy * xy, 0.25); }
    /// Of its short axis to its long one.
    double oval() const {
        const double mean = (xx + yy) / 2, off = std::hypot((xx - yy) / 2, xy);
        return std::sqrt((mean - off) / (mean + off));
    }
};

Round roundOf(const Loop& loop) {
    Round r;
    double area = 0, x = 0, y = 0, xx = 0, xy = 0, yy = 0;
    for (size_t k = 0; k < loop.size(); ++k) {
        const auto &a = loop[k], &b = loop[(k + 1) % loop.size()];
        const double c = a[0] * b[1] - b[0] * a[1];
        area += c / 2;
        x += c * (a[0] + b[0]) / 6;
        y += c * (a[1] + b[1]) / 6;
        xx += c * (a[0] * a[0] + a[0] * b[0] + b[0] * b[0]) / 12;
        yy += c * (a[1] * a[1] + a[1] * b[1] + b[1] * b[1]) / 12;
        xy += c * (a[0] * b[1] + 2 * a[0] * a[1] + 2 * b[0] * b[1] + b[0] * a[1]) / 24;
    }
    if (!(std::abs(area) > 1)) return r;
    r.middle = {x / area, y / area};
    r.xx = xx / area - r.middle[0] * r.middle[0];
    r.yy = yy / area - r.middle[1] * r.middle[1];
    r.xy = xy / area - r.middle[0] * r.middle[1];
    const double det = r.xx * r.yy - r.xy * r.xy;
    if (det > 0) r.share = std::abs(area) / (4 * std::numbers::pi * std::sqrt(det));
    return r;
}

/// Rows of the symmetric matrix that makes the ellipse a circle of the same area.
std::array<double, 4> straightened(const Round& r) {
    // the inverse root of a 2 × 2 matrix M: (M + √det I)⁻¹ · √(trace + 2 √det), then scaled to det 1
    const double s = std::sqrt(r.xx * r.yy - r.xy * r.xy), a = r.xx + s, d = r.yy + s, b = r.xy, det = a * d - b * b;
    const double k = std::sqrt(r.xx + r.yy + 2 * s) * std::sqrt(s) / det;
    return {d * k, -b * k, -b * k, a * k};
}

Point2 backInPicture(const std::array<double, 4>& m, const Point2& p) {
    const double det = m[0] * m[3] - m[1] * m[2];
    return {(m[3] * p[0] - m[1] * p[1]) / det, (m[0] * p[1] - m[2] * p[0]) / det};
}

/// The coin among the figures.
tl::expected<const potrace_path_t*, Problem> coinOf(const potrace_path_t* figures) {
    constexpr double kRound = 0.988;  // of an ellipse; a hexagon fills 0.992 of its own, a square 0.955
    constexpr double kSlant = 0.75;   // of its axes: from 41° aslant lengths are guesses
    constexpr double kLeast = 24;     // pixels across
    struct Seen {
        const potrace_path_t* path;
        Round round;
    };
    std::vector<Seen> rounds;
    size_t figuresSeen = 0;
    for (const auto* p = figures; p; p = p->next) {
        if (p->sign != '+' || p->area < 0.5 * kLeast * kLeast) continue;
        ++figuresSeen;
        if (const Round r = roundOf(flattened(p->curve)); r.share > kRound && r.across() > kLeast)
            rounds.push_back({p, r});
    }
    if (figuresSeen < 2) return refusePicture(tr("There is no coin beside the thing: lay one flat, not touching it."));
    if (rounds.empty())
        return refusePicture(
            tr("None of the figures is round like a coin: lay one flat on plain paper, not touching it."));
    // a ball beside a coin: the smaller one is the coin
    const auto& coin = *std::ranges::min_element(rounds, {}, [](const Seen& s) { return s.path->area; });
    if (coin.round.oval() < kSlant)
        return refusePicture(tr("The picture was taken too much aslant: from straight above, please."));
    return coin.path;
}

/// Drawn larger, shades between pixels mixed from the four around.
GreyPicture enlarged(const GreyPicture& p, int by) {
    GreyPicture out{p.width * by, p.height * by, {}};
    out.pixels.reserve(static_cast<size_t>(out.width) * static_cast<size_t>(out.height));
    const auto at = [&](int x, int y) {
        return double(p.pixels[static_cast<size_t>(std::clamp(y, 0, p.height - 1)) * static_cast<size_t>(p.width) +
                               static_cast<size_t>(std::clamp(x, 0, p.width - 1))]);
    };
    for (int y = 0; y < out.height; ++y)
        for (int x = 0; x < out.width; ++x) {
            const double u = (x + 0.5) / by - 0.5, v = (y + 0.5) / by - 0.5;
            const int i = static_cast<int>(std::floor(u)), j = static_cast<int>(std::floor(v));
            const double a = u - i, b = v - j;
            out.pixels.push_back(
                static_cast<std::uint8_t>(std::lround((1 - b) * ((1 - a) * at(i, j) + a * at(i + 1, j)) +
                                                      b * ((1 - a) * at(i, j + 1) + a * at(i + 1, j + 1)))));
        }
    return out;
}

}  // namespace

Point2 Traced::inPicture(const Point2& place) const {
    const auto off = backInPicture(straight, place);
    return {left + off[0] / pixel, top - off[1] / pixel};
}

int otsu(const GreyPicture& picture) {
    std::array<double, 256> many{};
    for (const auto v : picture.pixels) ++many[v];
    double sum = 0, all = double(picture.pixels.size());
    for (int i = 0; i < 256; ++i) sum += i * many[static_cast<size_t>(i)];
    double dark = 0, below = 0, best = -1;
    int first = 128, last = 128;
    for (int t = 0; t < 255; ++t) {
        dark += many[static_cast<size_t>(t)];
        below += t * many[static_cast<size_t>(t)];
        if (dark == 0 || dark == all) continue;
        const double between = below / dark - (sum - below) / (all - dark);
        const double worth = dark * (all - dark) * between * between;
        if (worth > best * (1 + 1e-12)) best = worth, first = t + 1;
        if (worth >= best * (1 - 1e-12)) last = t + 1;
    }
    return (first + last) / 2;  // between two shades all are as good: the middle
}

tl::expected<Traced, Problem> trace(const GreyPicture& picture, const TraceWishes& wishes) {
    const int w = picture.width, h = picture.height;
    if (w < 8 || h < 8) return refusePicture(tr("The picture is smaller than 8 pixels."));
    if (static_cast<long>(w) * h > kMostPixels)
        return refusePicture(tr("The picture has more than 40 million pixels: save it smaller."));
    if (picture.pixels.size() != static_cast<size_t>(w) * static_cast<size_t>(h))
        return refusePicture(tr("The picture is damaged."));
    if (wishes.coin > 0 && !(wishes.coin >= 8e-3 && wishes.coin <= 0.06))
        return refusePicture(tr("A coin is between 8 and 60 mm across."));
    if (wishes.coin <= 0 && !(wishes.longest >= 5e-3 && wishes.longest <= 0.6))
        return refusePicture(tr("The figure's longer side is between 5 and 600 mm."));
    // soft edges tell where a line runs within a pixel: a small picture is drawn larger first
    const int larger = std::clamp(static_cast<int>(std::sqrt(kWorked / (double(w) * h))), 1, 4);
    if (larger > 1) {
        auto traced = trace(enlarged(picture, larger), wishes);
        if (!traced) return traced;
        traced->pixel *= larger;
        traced->left /= larger;
        traced->top /= larger;
        if (traced->coin) {
            traced->coin->middle = {traced->coin->middle[0] / larger, traced->coin->middle[1] / larger};
            traced->coin->across /= larger;
            traced->coin->error = 1 / traced->coin->across;
        }
        return traced;
    }
    Traced out;
    const auto [least, most] = std::ranges::minmax(picture.pixels);
    if (most - least < 16) return refusePicture(tr("The picture is of one shade: there is no figure in it."));
    out.threshold = wishes.threshold > 0 ? std::min(wishes.threshold, 255) : otsu(picture);
    // what most of the border is, is ground
    long dark = 0, border = 0;
    const auto at = [&](int x, int y) {
        return picture.pixels[static_cast<size_t>(y) * static_cast<size_t>(w) + static_cast<size_t>(x)];
    };
    for (int x = 0; x < w; ++x)
        for (const int y : {0, h - 1}) dark += at(x, y) < out.threshold, ++border;
    for (int y = 0; y < h; ++y)
        for (const int x : {0, w - 1}) dark += at(x, y) < out.threshold, ++border;
    out.darkOnLight = 2 * dark < border;
    constexpr int kBits = sizeof(potrace_word) * CHAR_BIT;
    potrace_bitmap_t bitmap;
    bitmap.w = w;
    bitmap.h = h;
    bitmap.dy = (w + kBits - 1) / kBits;
    std::vector<potrace_word> words(static_cast<size_t>(bitmap.dy) * static_cast<size_t>(h), 0);
    bitmap.map = words.data();
    long figure = 0;
    for (int y = 0; y < h; ++y)
        for (int x = 0; x < w; ++x) {
            if ((at(x, y) < out.threshold) != out.darkOnLight) continue;
            ++figure;
            words[static_cast<size_t>(h - 1 - y) * static_cast<size_t>(bitmap.dy) + static_cast<size_t>(x / kBits)] |=
                potrace_word(1) << (kBits - 1 - x % kBits);
        }
    if (figure == 0) return refusePicture(tr("There is no figure in the picture: take another shade."));
    if (double(figure) > kMostFilled * w * h)
        return refusePicture(tr("Nearly all of the picture is figure: take another shade, or more of the ground."));
    std::unique_ptr<potrace_param_t, Freed> params(potrace_param_default());
    if (!params) return refusePicture(tr("There is not enough memory for this picture."));
    params->turdsize = 2;
    params->alphamax = kCorners;
    std::unique_ptr<potrace_state_t, Freed> state(potrace_trace(params.get(), &bitmap));
    if (!state || state->status != POTRACE_STATUS_OK) return refusePicture(tr("The picture cannot be traced."));
    const potrace_path_t *best = nullptr, *coin = nullptr;
    if (wishes.coin > 0) {
        const auto found = coinOf(state->plist);
        if (!found) return tl::unexpected(found.error());
        coin = *found;
        const Round r = roundOf(flattened(coin->curve));
        out.coin =
            TracedCoin{{r.middle[0], h - r.middle[1]}, r.across(), std::acos(std::min(1.0, r.oval())), 1 / r.across()};
        out.straight = straightened(r);
        out.pixel = wishes.coin / r.across();
    }
    for (const auto* p = state->plist; p; p = p->next)
        if (p->sign == '+' && p != coin && (!best || p->area > best->area)) best = p;
    if (!best) return refusePicture(tr("There is no figure in the picture: take another shade."));
    const auto drawn = [&](const potrace_path_t* p) {
        Loop loop = flattened(p->curve);
        const auto& m = out.straight;
        for (auto& q : loop) q = {m[0] * q[0] + m[1] * q[1], m[2] * q[0] + m[3] * q[1]};
        return loop;
    };
    Loop outer = drawn(best);
    const auto box = form::boxOf(outer);
    if (!coin) out.pixel = wishes.longest / std::max(box.width(), box.height());
    const Point2 middle = box.middle();
    const auto at0 = backInPicture(out.straight, middle);
    out.left = at0[0];
    out.top = h - at0[1];
    const double least2 = std::pow(wishes.speckle / out.pixel, 2);
    for (const auto* p = state->plist; p; p = p->next)
        if (p != best && p != coin && p->sign == '+' && p->area > least2) {
            // a figure within a hole of this one, or beside it: one sheet has one outline
            ++out.others;
        }
    const auto add = [&](Loop loop, bool hole) {
        loop = simplified(loop, wishes.follows / out.pixel);
        for (double by = 2 * wishes.follows / out.pixel; loop.size() > kMostCorners; by *= 2)
            loop = simplified(loop, by);
        if (loop.size() < 3) return;
        for (auto& p : loop) p = {(p[0] - middle[0]) * out.pixel, (p[1] - middle[1]) * out.pixel};
        if ((form::signedArea(loop) > 0) == hole) std::reverse(loop.begin(), loop.end());
        out.loops.push_back(std::move(loop));
    };
    add(outer, false);
    if (out.loops.empty()) return refusePicture(tr("The figure is too small to be cut."));
    if (wishes.holes)
        for (const auto* p = best->childlist; p; p = p->sibling)
            if (p->sign == '-' && p->area > least2) add(drawn(p), true);
    if (form::crossesItself(out.loops))  // smoothing brought two sides across each other
        return refusePicture(tr("The outline crosses itself where it is narrow: take another shade."));
    return out;
}

}  // namespace uovo::io
