// Figures from model files: whole ones, and halves with a flat side.
#include <fmt/format.h>

#include <algorithm>
#include <cmath>

#include "core/form/part_builders.h"
#include "core/quantity/catalogue.h"

namespace uovo::form {
namespace {

constexpr double kSmallest = 0.002, kLargest = 0.6;  // m: what one casts, and what a kitchen holds
constexpr double kFlat = 0.004;                      // of the height: so near to its end a corner lies in the flat side
constexpr double kLeastOpening = 0.2;                // of its outline seen from above

/// Area of the triangles that lie in a level plane, m².
double levelArea(const Mesh& m, double z, double within, std::vector<bool>* which = nullptr) {
    double sum = 0;
    if (which) which->assign(m.triangles.size(), false);
    for (size_t i = 0; i < m.triangles.size(); ++i) {
        const auto& t = m.triangles[i];
        const Vec3 &a = m.points[static_cast<size_t>(t[0])], &b = m.points[static_cast<size_t>(t[1])],
                   &c = m.points[static_cast<size_t>(t[2])];
        if (std::max({std::abs(a.z - z), std::abs(b.z - z), std::abs(c.z - z)}) > within) continue;
        sum += length(cross(b - a, c - a)) / 2;
        if (which) (*which)[i] = true;
    }
    return sum;
}

}  // namespace

Built buildModel(const Values& v, const Meshes& meshes) {
    const auto it = meshes.find(v.part.mesh);
    if (it == meshes.end() || !it->second) return refuse(tr("Choose a model file for this figure."), "mesh");
    Shape s;
    s.surface = *it->second;
    const double k = v("scale");
    for (auto& p : s.surface.points) p = p * k;
    const Vec3 size = bounds(s.surface).size();
    const double largest = std::max({size.x, size.y, size.z});
    const auto text = [](double m) { return format(m, Dimension::Length, UnitSystem::Metric); };
    if (!(largest <= kLargest))
        return refuse(say("The figure would be {} large; at most {}.", text(largest), text(kLargest)), "scale");
    if (!(largest >= kSmallest))
        return refuse(say("The figure would be {} large; at least {}.", text(largest), text(kSmallest)), "scale");
    s.volume = volume(s.surface);
    if (!(s.volume > 1e-6 * largest * largest * largest))
        return refuse(tr("The figure has no inside, or is inside out."), "mesh");
    s.area = s.areaLow = s.areaHigh = area(s.surface);
    s.exact = false;
    return s;
}

Built halfOf(Shape s) {
    Box box = bounds(s.surface);
    const double within = kFlat * box.size().z;
    if (levelArea(s.surface, box.low.z, within) > levelArea(s.surface, box.high.z, within)) {  // it lies on its back
        for (auto& p : s.surface.points) p = {p.x, -p.y, -p.z};
        box = bounds(s.surface);
    }
    for (auto& p : s.surface.points) p.z -= box.low.z;
    const double top = box.size().z;
    std::vector<bool> flat;
    const double opening = levelArea(s.surface, top, within, &flat);
    const double seen = std::abs(signedArea(footprint(s.surface, top + 1)));
    if (opening < kLeastOpening * seen)
        return refuse(tr("A half has one flat side, above or below; this model has none."), "mesh");
    s.surface.marks.assign(s.surface.triangles.size(), Mark::Wall);
    for (size_t i = 0; i < flat.size(); ++i)
        if (flat[i]) s.surface.marks[i] = Mark::Lid;
    s.area = s.areaLow = s.areaHigh = area(s.surface);
    s.rim = s.seam = rimLength(s.surface);
    s.seamAt = {0, 0, top};
    s.seamNormal = {0, 0, 1};
    return s;
}

}  // namespace uovo::form
