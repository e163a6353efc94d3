#include "core/form/swell.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

#include "core/form/iso_surface.h"
#include "core/form/outline_box.h"
#include "core/quantity/catalogue.h"

namespace uovo::form {
namespace {

constexpr double kSpiked = 0.6, kSlab = 12;  // exponents: a thing with a spike, a slab
constexpr int kGrid = 220;                   // points along the longer side that distances are kept at

tl::unexpected<Problem> refuse(std::string sentence, const char* where) {
    return tl::unexpected(Problem{std::move(sentence), where});
}

/// Distance from an outline on a grid, above 0 inside.
class Distances {
public:
    explicit Distances(const Loop& loop) {
        const auto box = boxOf(loop);
        step_ = std::max(box.width(), box.height()) / kGrid;
        const double beside = 3;
        low_ = {box.low[0] - beside * step_, box.low[1] - beside * step_};
        nx_ = static_cast<int>(std::ceil(box.width() / step_ + 2 * beside)) + 1;
        ny_ = static_cast<int>(std::ceil(box.height() / step_ + 2 * beside)) + 1;
        d_.reserve(static_cast<size_t>(nx_) * static_cast<size_t>(ny_));
        for (int j = 0; j < ny_; ++j)
            for (int i = 0; i < nx_; ++i) d_.push_back(from(loop, {low_[0] + i * step_, low_[1] + j * step_}));
        deepest_ = *std::ranges::max_element(d_);
    }

    double deepest() const { return deepest_; }
    double at(double x, double y) const {
        const double u = std::clamp((x - low_[0]) / step_, 0.0, nx_ - 1.001),
                     v = std::clamp((y - low_[1]) / step_, 0.0, ny_ - 1.001);
        const int i = static_cast<int>(u), j = static_cast<int>(v);
        const double a = u - i, b = v - j;
        return (1 - b) * ((1 - a) * of(i, j) + a * of(i + 1, j)) + b * ((1 - a) * of(i, j + 1) + a * of(i + 1, j + 1));
    }
    /// Volume under a height that depends on the distance, m³.
    template <class Height>
    double under(Height height) const {
        double sum = 0;
        for (const double d : d_)
            if (d > -0.5 * step_)  // what the outline cuts counts by its share
                sum += height(std::max(0.0, d)) * std::clamp(0.5 + d / step_, 0.0, 1.0);
        return sum * step_ * step_;
    }

private:
    double of(int i, int j) const {
        return d_[static_cast<size_t>(j) * static_cast<size_t>(nx_) + static_cast<size_t>(i)];
    }
    static double from(const Loop& loop, const Point2& p) {
        double least = 1e300;
        bool inside = false;
        for (size_t k = 0; k < loop.size(); ++k) {
            const auto &a = loop[k], &b = loop[(k + 1) % loop.size()];
            const double dx = b[0] - a[0], dy = b[1] - a[1], px = p[0] - a[0], py = p[1] - a[1];
            const double t = std::clamp((px * dx + py * dy) / std::max(1e-30, dx * dx + dy * dy), 0.0, 1.0);
            least = std::min(least, std::pow(px - t * dx, 2) + std::pow(py - t * dy, 2));
            if ((a[1] > p[1]) != (b[1] > p[1]) && p[0] < a[0] + (p[1] - a[1]) * dx / dy) inside = !inside;
        }
        return inside ? std::sqrt(least) : -std::sqrt(least);
    }

    double step_ = 0, deepest_ = 0;
    Point2 low_{};
    int nx_ = 0, ny_ = 0;
    std::vector<double> d_;
};

/// Share of the height, at a share of the largest distance.
double risen(double u, double p) { return std::pow(1 - std::pow(1 - std::min(1.0, u), p), 1 / p); }

}  // namespace

tl::expected<Swelled, Problem> swelled(const Loop& outline, const SwellWish& wish, int cells) {
    const double h = wish.height;
    if (outline.size() < 3 || !(std::abs(signedArea(outline)) > 1e-6) || crossesItself({outline}))
        return refuse(tr("This is no outline of a thing."), "outline");
    if (!(h >= 2e-3 && h <= 0.5)) return refuse(tr("Its height is between 2 and 500 mm."), "height");
    const Distances distances(outline);
    const double R = distances.deepest();
    const auto volumeAt = [&](double p) { return distances.under([&](double d) { return h * risen(d / R, p); }); };
    Swelled out;
    out.least = volumeAt(kSpiked);
    out.most = volumeAt(kSlab);
    const auto ml = [](double v) { return format(v, Dimension::Volume, UnitSystem::Metric); };
    if (wish.volume) {
        if (!(*wish.volume > out.least && *wish.volume < out.most))
            return refuse(say("With this outline and {} of height it displaces between {} and {}: measure again.",
                              format(h, Dimension::Length, UnitSystem::Metric), ml(out.least), ml(out.most)),
                          "water");
        double low = kSpiked, high = kSlab;
        for (int i = 0; i < 50; ++i) {
            out.fullness = 0.5 * (low + high);
            (volumeAt(out.fullness) < *wish.volume ? low : high) = out.fullness;
        }
    }
    const double p = out.fullness, half = wish.flatBelow ? h : h / 2, size = std::min(R, half);
    const auto box = boxOf(outline);
    out.mesh = netSurface(
        [&](const Vec3& q) {
            const double u = std::min(1.0, distances.at(q.x, q.y) / R), z = wish.flatBelow ? std::max(0.0, q.z) : q.z;
            const double f = size * (std::pow(std::pow(1 - u, p) + std::pow(std::abs(z) / half, p), 1 / p) - 1);
            return wish.flatBelow ? std::max(f, -q.z) : f;
        },
        {{box.low[0], box.low[1], wish.flatBelow ? 0 : -half}, {box.high[0], box.high[1], half}}, cells);
    // chords of a grid cut a little off: the volume is what was measured
    const double wanted = wish.volume ? *wish.volume : volumeAt(p), up = wanted / volume(out.mesh);
    const double low = bounds(out.mesh).low.z;
    for (auto& q : out.mesh.points) q.z = (q.z - low) * up;
    return out;
}

}  // namespace uovo::form
