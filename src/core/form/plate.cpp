// Flat plates by constrained Delaunay refinement (Ruppert's algorithm, in CGAL), and faces filled between lines: alone
// in their file, the headers are costly.
#include <CGAL/Constrained_Delaunay_triangulation_2.h>
#include <CGAL/Delaunay_mesh_face_base_2.h>
#include <CGAL/Delaunay_mesh_size_criteria_2.h>
#include <CGAL/Delaunay_mesher_2.h>
#include <CGAL/Exact_predicates_inexact_constructions_kernel.h>

#include <algorithm>
#include <unordered_map>

#include "core/form/outline.h"

namespace uovo::form {
namespace {

using Kernel = CGAL::Exact_predicates_inexact_constructions_kernel;
using Cdt = CGAL::Constrained_Delaunay_triangulation_2<
    Kernel, CGAL::Triangulation_data_structure_2<CGAL::Triangulation_vertex_base_2<Kernel>,
                                                 CGAL::Delaunay_mesh_face_base_2<Kernel>>>;
using Criteria = CGAL::Delaunay_mesh_size_criteria_2<Cdt>;

/// The loop with its long edges cut; short runs of nearly straight edges are joined so that no sliver has to fit them.
Loop recut(const Loop& loop, double edge, double least) {
    Loop kept;
    bool sharp = false;  // whether the last one kept is a corner
    for (size_t i = 0; i < loop.size(); ++i) {
        const auto &a = loop[(i + loop.size() - 1) % loop.size()], &b = loop[i], &c = loop[(i + 1) % loop.size()];
        const double turn = std::abs(std::atan2((b[0] - a[0]) * (c[1] - b[1]) - (b[1] - a[1]) * (c[0] - b[0]),
                                                (b[0] - a[0]) * (c[0] - b[0]) + (b[1] - a[1]) * (c[1] - b[1])));
        const bool corner = turn > 0.35;
        const double gap = kept.empty() ? 1e9 : std::hypot(b[0] - kept.back()[0], b[1] - kept.back()[1]);
        if (gap < least && !(corner && (!sharp || gap > 0.3 * least))) continue;
        if (corner && !sharp && gap < least) kept.pop_back();
        kept.push_back(b);
        sharp = corner;
    }
    Loop out;
    for (size_t i = 0; i < kept.size(); ++i) {
        const auto &a = kept[i], &b = kept[(i + 1) % kept.size()];
        const int n = std::max(1, static_cast<int>(std::ceil(std::hypot(b[0] - a[0], b[1] - a[1]) / edge - 1e-9)));
        for (int k = 0; k < n; ++k) out.push_back({a[0] + (b[0] - a[0]) * k / n, a[1] + (b[1] - a[1]) * k / n});
    }
    return out;
}

/// A point well inside a loop, for telling holes: the middle of its widest stretch at half its height.
Cdt::Point inside(const Loop& loop) {
    double low = 1e9, high = -1e9;
    for (const auto& p : loop) {
        low = std::min(low, p[1]);
        high = std::max(high, p[1]);
    }
    const double y = low + 0.4871 * (high - low);  // not at a corner's height
    std::vector<double> crossings;
    for (size_t i = 0; i < loop.size(); ++i) {
        const auto &a = loop[i], &b = loop[(i + 1) % loop.size()];
        if ((a[1] > y) != (b[1] > y)) crossings.push_back(a[0] + (b[0] - a[0]) * (y - a[1]) / (b[1] - a[1]));
    }
    std::sort(crossings.begin(), crossings.end());
    double x = loop[0][0], widest = 0;
    for (size_t i = 0; i + 1 < crossings.size(); i += 2)
        if (crossings[i + 1] - crossings[i] > widest) {
            widest = crossings[i + 1] - crossings[i];
            x = 0.5 * (crossings[i] + crossings[i + 1]);
        }
    return {x, y};
}

}  // namespace

std::optional<std::vector<Triangle>> filled(const std::vector<Loop>& loops) {
    Cdt cdt;
    std::unordered_map<const void*, int> number;
    int n = 0;
    try {
        for (const auto& loop : loops) {
            std::vector<Cdt::Vertex_handle> handles;
            for (const auto& p : loop) {
                handles.push_back(cdt.insert(Cdt::Point(p[0], p[1])));
                if (!number.try_emplace(&*handles.back(), n++).second) return std::nullopt;  // two corners in one place
            }
            for (size_t i = 0; i < handles.size(); ++i)
                cdt.insert_constraint(handles[i], handles[(i + 1) % handles.size()]);
        }
    } catch (const Cdt::Intersection_of_constraints_exception&) {
        return std::nullopt;
    }
    // from outside inwards, every line that is crossed changes between ground and face
    std::unordered_map<const void*, char> in{{&*cdt.infinite_face(), 0}};
    std::vector<Cdt::Face_handle> open{cdt.infinite_face()};
    std::vector<Triangle> out;
    while (!open.empty()) {
        const auto face = open.back();
        open.pop_back();
        const char mine = in[&*face];
        if (mine && !cdt.is_infinite(face))
            out.push_back({number[&*face->vertex(0)], number[&*face->vertex(1)], number[&*face->vertex(2)]});
        for (int k = 0; k < 3; ++k) {
            const auto next = face->neighbor(k);
            const bool line = cdt.is_constrained({face, k});
            if (in.try_emplace(&*next, static_cast<char>(mine != line)).second) open.push_back(next);
        }
    }
    return out;
}

Mesh plate(const std::vector<Loop>& loops, double thickness, double edge, const Loop& line, double leastAlong) {
    Cdt cdt;
    std::vector<Cdt::Point> seeds;
    const auto constrain = [&cdt](const Loop& loop) {
        std::vector<Cdt::Vertex_handle> handles;
        for (const auto& p : loop) handles.push_back(cdt.insert(Cdt::Point(p[0], p[1])));
        for (size_t i = 0; i < handles.size(); ++i)
            if (handles[i] != handles[(i + 1) % handles.size()])
                cdt.insert_constraint(handles[i], handles[(i + 1) % handles.size()]);
    };
    for (size_t l = 0; l < loops.size(); ++l) {
        const double along = std::min(edge, std::max(3.5 * thickness, leastAlong));
        const Loop loop = recut(loops[l], along, std::min(0.5 * along, std::max(0.22 * thickness, 0.12 * edge)));
        constrain(loop);
        if (l > 0) seeds.push_back(inside(loop));
    }
    constrain(line);
    CGAL::refine_Delaunay_mesh_2(cdt, seeds.begin(), seeds.end(), Criteria(0.125, edge));
    Mesh m;
    std::unordered_map<const void*, int> number;  // a corner of the plan has its bottom and top points at 2i and 2i + 1
    for (auto v = cdt.finite_vertices_begin(); v != cdt.finite_vertices_end(); ++v) {
        number[&*v] = static_cast<int>(m.points.size() / 2);
        m.points.push_back({v->point().x(), v->point().y(), 0});
        m.points.push_back({v->point().x(), v->point().y(), thickness});
    }
    std::vector<std::pair<int, int>> sides;
    double around = 0;
    for (auto f = cdt.finite_faces_begin(); f != cdt.finite_faces_end(); ++f) {
        if (!f->is_in_domain()) continue;
        const int a = number[&*f->vertex(0)], b = number[&*f->vertex(1)], c = number[&*f->vertex(2)];
        m.triangles.push_back({2 * a + 1, 2 * b + 1, 2 * c + 1});
        m.triangles.push_back({2 * a, 2 * c, 2 * b});
        for (int k = 0; k < 3; ++k) {
            const auto other = f->neighbor(k);
            if (!cdt.is_infinite(other) && other->is_in_domain()) continue;
            sides.emplace_back(number[&*f->vertex(Cdt::ccw(k))], number[&*f->vertex(Cdt::cw(k))]);
            around += length(m.points[static_cast<size_t>(2 * sides.back().first)] -
                             m.points[static_cast<size_t>(2 * sides.back().second)]);
        }
    }
    // High sides are cut into layers, so that their triangles are not needles.
    const int layers =
        std::max(1, static_cast<int>(std::lround(thickness / (1.4 * around / static_cast<double>(sides.size())))));
    std::unordered_map<int, std::vector<int>> columns;
    const auto columnOf = [&](int corner) {
        auto& c = columns[corner];
        if (c.empty()) {
            c.push_back(2 * corner);
            for (int l = 1; l < layers; ++l) {
                c.push_back(static_cast<int>(m.points.size()));
                const Vec3 foot = m.points[static_cast<size_t>(2 * corner)];
                m.points.push_back({foot.x, foot.y, thickness * l / layers});
            }
            c.push_back(2 * corner + 1);
        }
        return c;
    };
    for (const auto& [p, q] : sides) {
        const auto a = columnOf(p), b = columnOf(q);
        for (size_t l = 0; l + 1 < a.size(); ++l) {
            m.triangles.push_back({a[l], b[l], b[l + 1]});
            m.triangles.push_back({a[l], b[l + 1], a[l + 1]});
        }
    }
    return m;
}

}  // namespace uovo::form
