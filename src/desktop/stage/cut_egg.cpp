#include "desktop/stage/cut_egg.h"

#include <cmath>

#include "desktop/stage/raster.h"

namespace uovo::desktop {
namespace {

/// Sectors over three quarters of a turn, and rows along the meridian.
struct Fineness {
    int sectors;
    size_t rows;
};
constexpr Fineness kFine{84, 64}, kDraft{36, 26};

struct Shell {
    std::vector<QPointF> points;   // (r, z)
    std::vector<QPointF> normals;  // unit, pointing away from the wall's middle
};

/// Thins a curve to about `rows` points and gives it normals; `sign` turns them to the visible side.
Shell shellOf(const std::vector<QPointF>& curve, double sign, size_t rows) {
    Shell s;
    const size_t step = std::max<size_t>(1, curve.size() / rows);
    for (size_t i = 0; i < curve.size(); i += step) s.points.push_back(curve[i]);
    if (s.points.back() != curve.back()) s.points.push_back(curve.back());
    for (size_t i = 0; i < s.points.size(); ++i) {
        const QPointF a = s.points[i ? i - 1 : 0], b = s.points[std::min(i + 1, s.points.size() - 1)];
        const double dr = b.x() - a.x(), dz = b.y() - a.y(), n = std::max(1e-12, std::hypot(dr, dz));
        s.normals.emplace_back(sign * dz / n, -sign * dr / n);
    }
    s.normals.front() = QPointF(0, sign * (s.normals[1].y() * sign > 0 ? 1 : -1));
    return s;
}

}  // namespace

QImage paintCutEgg(const report::SectionCurves& curves, bool chocolateOutside, const CutEggView& view) {
    const double k = view.fine ? 2 : 1;
    const auto [sectors, rows] = view.fine ? kFine : kDraft;
    Raster raster(static_cast<int>(view.size.width() * k), static_cast<int>(view.size.height() * k));
    raster.setRim(view.rim, static_cast<int>(k));
    const QTransform map = view.map * QTransform::fromScale(k, k);
    const auto corner = [&](double r, double z, double nr, double nz, double angle) {
        const double c = std::cos(angle), s = std::sin(angle);  // s > 0 is away from the eye
        const QPointF flat = map.map(QPointF(r * c, z + r * s * kDepthRises));
        return Corner{QVector3D(float(flat.x()), float(flat.y()), float(r * s - 0.3 * z)),
                      QVector3D(float(nr * c), float(nz), float(-nr * s))};
    };
    const auto revolve = [&](const Shell& shell, Surface surface) {
        surface.veil = view.paper;
        bool veiled = false;
        for (int i = 0; i < sectors; ++i) {
            const double a = 1.5 * M_PI * i / sectors, b = 1.5 * M_PI * (i + 1) / sectors;
            const bool behindCut = std::cos((a + b) / 2) > 0;
            if (i == 0 || behindCut != veiled) {
                veiled = behindCut;
                surface.veiled = veiled ? 0.74f : 0.0f;
                raster.setSurface(surface);
            }
            for (size_t j = 0; j + 1 < shell.points.size(); ++j) {
                const auto at = [&](size_t n, double angle) {
                    return corner(shell.points[n].x(), shell.points[n].y(), shell.normals[n].x(), shell.normals[n].y(),
                                  angle);
                };
                const Corner p = at(j, a), q = at(j + 1, a), r = at(j + 1, b), s = at(j, b);
                raster.triangle(p, q, r);
                raster.triangle(p, r, s);
            }
        }
    };
    const auto& outer = chocolateOutside ? curves.surface : curves.former;
    const auto& inner = chocolateOutside ? curves.former : curves.surface;
    const auto surface = [](const QColor& base, float gloss, float shade) {
        Surface s;
        s.base = base;
        s.gloss = gloss;
        s.shade = shade;
        return s;
    };
    const Surface outside = surface(view.chocolate, 0.62f, 0.0f), inside = surface(view.chocolate, 0.30f, 0.35f),
                  rim = surface(view.chocolate.lighter(112), 0.45f, 0.0f);
    revolve(shellOf(outer, 1, rows), outside);
    revolve(shellOf(inner, -1, rows), inside);
    Shell edge;
    edge.points = {inner.back(), outer.back()};
    edge.normals = {QPointF(0, 1), QPointF(0, 1)};
    revolve(edge, rim);
    if (!view.fine) return raster.shaded();
    return raster.shaded().scaled(view.size, Qt::IgnoreAspectRatio, Qt::SmoothTransformation);
}

}  // namespace uovo::desktop
