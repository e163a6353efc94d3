#include "core/coat/surface.h"

#include <algorithm>
#include <map>
#include <numbers>

namespace uovo::coat {

using form::Vec3;

namespace {

/// One side of a triangle, from one corner to another, with its share of the width that faces it.
struct Half {
    int from, to;
    double width;
};

Surface cellsOf(const form::Mesh& mesh) {
    Surface s;
    std::vector<int> cell(mesh.points.size(), -1);
    for (size_t t = 0; t < mesh.triangles.size(); ++t) {
        if (mesh.mark(t) != form::Mark::Wall) continue;
        form::Triangle c = mesh.triangles[t];
        for (int& i : c) {
            int& k = cell[static_cast<size_t>(i)];
            if (k < 0) {
                k = static_cast<int>(s.at.size());
                s.at.push_back(mesh.points[static_cast<size_t>(i)]);
                s.corner.push_back(i);
            }
            i = k;
        }
        s.triangles.push_back(c);
    }
    return s;
}

/// Normals, areas and angle defects of the corners. @returns the sides of all triangles, both ways
std::vector<Half> measureCorners(Surface& s, bool outside) {
    const size_t n = s.size();
    const double side = outside ? 1 : -1;
    s.normal.assign(n, {});
    s.edge.assign(n, {});
    s.area.assign(n, 0.0);
    s.mean.assign(n, 0.0);
    s.gauss.assign(n, 2 * std::numbers::pi);
    std::vector<Half> halves;
    halves.reserve(6 * s.triangles.size());
    const auto p = [&](int i) -> const Vec3& { return s.at[static_cast<size_t>(i)]; };
    for (const auto& t : s.triangles) {
        const Vec3 n2 = form::cross(p(t[1]) - p(t[0]), p(t[2]) - p(t[0]));
        const double doubled = form::length(n2);
        if (!(doubled > 1e-18)) continue;
        double cot[3], angle[3];
        for (size_t k = 0; k < 3; ++k) {
            const Vec3 u = p(t[(k + 1) % 3]) - p(t[k]), v = p(t[(k + 2) % 3]) - p(t[k]);
            cot[k] = form::dot(u, v) / doubled;
            angle[k] = std::atan2(doubled, form::dot(u, v));
        }
        const bool obtuse = cot[0] < 0 || cot[1] < 0 || cot[2] < 0;
        for (size_t k = 0; k < 3; ++k) {
            const auto i = static_cast<size_t>(t[k]);
            const Vec3 u = p(t[(k + 1) % 3]) - p(t[k]), v = p(t[(k + 2) % 3]) - p(t[k]);
            s.normal[i] += form::unit(n2) * (angle[k] * side);
            s.gauss[i] -= angle[k];
            if (!obtuse) s.area[i] += (form::dot(u, u) * cot[(k + 2) % 3] + form::dot(v, v) * cot[(k + 1) % 3]) / 8;
            else s.area[i] += doubled / 2 * (cot[k] < 0 ? 0.5 : 0.25);
            // the link opposite corner k
            const int a = t[(k + 1) % 3], b = t[(k + 2) % 3];
            halves.push_back({a, b, cot[k] / 2});
            halves.push_back({b, a, cot[k] / 2});
        }
    }
    for (auto& v : s.normal) v = form::unit(v);
    for (double& a : s.area) a = std::max(a, 1e-12);  // a corner of needles alone still has a place to be
    return halves;
}

/// Which corners are neighbours, and how wide the face between them is. A side that one triangle has alone is a rim.
void link(Surface& s, std::vector<Half> halves) {
    const size_t n = s.size();
    const auto p = [&](int i) -> const Vec3& { return s.at[static_cast<size_t>(i)]; };
    std::sort(halves.begin(), halves.end(),
              [](const Half& a, const Half& b) { return a.from != b.from ? a.from < b.from : a.to < b.to; });
    s.link.assign(n + 1, 0);
    for (size_t h = 0; h < halves.size();) {
        size_t next = h;
        double width = 0;
        for (; next < halves.size() && halves[next].from == halves[h].from && halves[next].to == halves[h].to; ++next)
            width += halves[next].width;
        const auto from = static_cast<size_t>(halves[h].from);
        s.to.push_back(halves[h].to);
        s.width.push_back(width);
        ++s.link[from + 1];
        if (next - h == 1) {  // one triangle only: a rim
            const Vec3 along = p(halves[h].to) - p(halves[h].from);
            s.edge[from] += along * 1e-30;  // marks the corner; its direction is found below
            s.gauss[from] = -1e9;
        }
        h = next;
    }
    for (size_t i = 0; i < n; ++i) s.link[i + 1] += s.link[i];
}

void measureCurvature(Surface& s) {
    const size_t n = s.size();
    const auto p = [&](int i) -> const Vec3& { return s.at[static_cast<size_t>(i)]; };
    // At a rim the wall's triangles lie on one side: away from them, along the surface.
    for (const auto& t : s.triangles)
        for (size_t k = 0; k < 3; ++k) {
            const auto i = static_cast<size_t>(t[k]);
            if (s.gauss[i] > -1e8) continue;
            const Vec3 middle = (p(t[0]) + p(t[1]) + p(t[2])) * (1.0 / 3);
            s.edge[i] += p(t[k]) - middle;
        }
    for (size_t i = 0; i < n; ++i) {
        if (s.gauss[i] < -1e8) {
            s.edge[i] = form::unit(s.edge[i] - s.normal[i] * form::dot(s.edge[i], s.normal[i]));
            s.gauss[i] = 0;
            continue;
        }
        s.gauss[i] = s.area[i] > 0 ? s.gauss[i] / s.area[i] : 0;
        Vec3 sum;  // the cotangent Laplacian of the position is −2 H n
        for (size_t l = s.link[i]; l < s.link[i + 1]; ++l) sum += (p(s.to[l]) - s.at[i]) * s.width[l];
        s.mean[i] = s.area[i] > 0 ? -form::dot(sum, s.normal[i]) / (2 * s.area[i]) : 0;
    }
}

/// Curvature is known to about an edge's length: a mean over neighbours takes the noise out, and a rim has theirs.
void smoothCurvature(Surface& s) {
    const size_t n = s.size();
    for (auto* c : {&s.mean, &s.gauss}) {
        const std::vector<double> raw = *c;
        for (size_t i = 0; i < n; ++i) {
            const bool rim = form::length(s.edge[i]) > 0;
            double sum = rim ? 0 : raw[i] * s.area[i], weight = rim ? 0 : s.area[i];
            for (size_t l = s.link[i]; l < s.link[i + 1]; ++l) {
                const auto j = static_cast<size_t>(s.to[l]);
                if (form::length(s.edge[j]) > 0) continue;
                sum += raw[j] * s.area[j];
                weight += s.area[j];
            }
            (*c)[i] = weight > 0 ? sum / weight : 0;
        }
    }
}

}  // namespace

Surface surfaceOf(const form::Mesh& mesh, bool outside) {
    Surface s = cellsOf(mesh);
    link(s, measureCorners(s, outside));
    measureCurvature(s);
    for (double& w : s.width) w = std::max(0.0, w);
    smoothCurvature(s);
    return s;
}

}  // namespace uovo::coat
