#include "desktop/stage/solid_scene.h"

#include <QTextStream>
#include <algorithm>
#include <cmath>
#include <functional>
#include <map>
#include <numeric>
#include <unordered_set>

#include "core/form/loft.h"
#include "desktop/stage/raster.h"
#include "desktop/theme/theme.h"
#include "report/section.h"

namespace uovo::desktop {
namespace {

constexpr double kCrease = 0.77;  // cosine of the angle above which an edge is sharp, about 40°

QVector3D toQt(const form::Vec3& v) { return {float(v.x), float(v.y), float(v.z)}; }

/// Normals of each triangle's corners: the mean of the faces around that lie within the crease angle.
std::vector<QVector3D> creasedNormals(const form::Mesh& m) {
    const size_t n = m.triangles.size();
    std::vector<QVector3D> face(n);
    std::vector<std::vector<int>> around(m.points.size());
    for (size_t i = 0; i < n; ++i) {
        const auto& t = m.triangles[i];
        const auto &a = m.points[size_t(t[0])], &b = m.points[size_t(t[1])], &c = m.points[size_t(t[2])];
        face[i] = toQt(form::cross(b - a, c - a) * 1e6);  // length is twice the area, so that large faces count more
        for (const int k : t) around[size_t(k)].push_back(int(i));
    }
    std::vector<QVector3D> unitFace(n);
    for (size_t i = 0; i < n; ++i) unitFace[i] = face[i].normalized();
    std::vector<QVector3D> out(3 * n);
    for (size_t i = 0; i < n; ++i)
        for (size_t k = 0; k < 3; ++k) {
            QVector3D sum;
            for (const int j : around[size_t(m.triangles[i][k])])
                if (QVector3D::dotProduct(unitFace[i], unitFace[size_t(j)]) > kCrease) sum += face[size_t(j)];
            out[3 * i + k] = sum.normalized();
        }
    return out;
}

SolidBody meshBody(form::Mesh mesh, const QColor& colour) {
    SolidBody b;
    b.mesh = std::move(mesh);
    b.normals = creasedNormals(b.mesh);
    b.colour = colour;
    return b;
}

struct Place {
    size_t operator()(const form::Vec3& p) const {
        const auto bits = [](double v) { return std::hash<double>()(v + 0.0); };
        return bits(p.x) * 31 + bits(p.y) * 17 + bits(p.z);
    }
};

/// Widest and tallest appearance over the standard views, m.
QSizeF appearance(const SolidScene& s, double apart) {
    QSizeF fit(1e-4, 1e-4);
    for (const auto& [yaw, pitch] : {std::pair{-0.6, 0.42}, {0.0, 0.0}, {M_PI / 2, 0.0}, {0.0, M_PI / 2}}) {
        const double cy = std::cos(yaw), sy = std::sin(yaw), cp = std::cos(pitch), sp = std::sin(pitch);
        double x0 = 1e9, x1 = -1e9, y0 = 1e9, y1 = -1e9;
        for (const auto& b : s.bodies)
            for (const auto& p : b.mesh.points) {
                const double px = p.x + b.apart.x() * apart, py = p.y + b.apart.y() * apart,
                             pz = p.z + b.apart.z() * apart;
                const double x = cy * px - sy * py, y = (sy * px + cy * py) * sp + pz * cp;
                x0 = std::min(x0, x);
                x1 = std::max(x1, x);
                y0 = std::min(y0, y);
                y1 = std::max(y1, y);
            }
        fit = fit.expandedTo(QSizeF(x1 - x0, y1 - y0));
    }
    return fit;
}

void measure(SolidScene& s) {
    s.fit = appearance(s, 0);
    s.fitApart = appearance(s, 1);
    bool first = true;
    for (const auto& b : s.bodies) {
        const form::Box box = form::bounds(b.mesh);
        if (first) {
            s.box = box;
            first = false;
            continue;
        }
        s.box.low = {std::min(s.box.low.x, box.low.x), std::min(s.box.low.y, box.low.y),
                     std::min(s.box.low.z, box.low.z)};
        s.box.high = {std::max(s.box.high.x, box.high.x), std::max(s.box.high.y, box.high.y),
                      std::max(s.box.high.z, box.high.z)};
    }
}

/// A fresh cut is paler than the outside, and never grey.
QColor cutColour(const QColor& c) {
    const auto mix = [](int a, int b) { return (a * 11 + b * 9) / 20; };
    return QColor(mix(c.red(), 214), mix(c.green(), 158), mix(c.blue(), 98));
}

/// The section: what is nearer to the low end of its axis than the plane is taken away.
struct Section {
    Section(const SolidScene& scene, const SolidView& view) : axis(view.cutAxis), cutting(view.cut > 1e-6) {
        const form::Vec3 span = scene.box.size();
        plane = along(scene.box.low) + view.cut * along(span);
    }
    double along(const form::Vec3& p) const { return axis == 0 ? p.x : axis == 1 ? p.y : p.z; }
    /// Distance behind the plane, m; negative where it is cut away.
    double keep(const form::Vec3& p) const { return cutting ? along(p) - plane : 1; }

    int axis;
    bool cutting;
    double plane = 0;
};

/// A hen's egg, 57 by 44 mm, standing on its blunt end beside the piece.
form::Mesh henEgg(const form::Box& box) {
    const double a = 0.0285, R = 0.0208, e = 0.13;
    form::Stretch arc{[=](double u) {
                          const double t = M_PI * u, s = std::sin(t), c = std::cos(t);
                          return form::CurvePoint{R * s * (1 + e * c), a - a * c, M_PI * R * (c + e * (c * c - s * s)),
                                                  M_PI * a * s,        0,         0};
                      },
                      form::Mark::Wall,
                      {}};
    form::LatheOptions o;
    o.edge = o.along = 0.003;
    form::Pose pose;
    pose.at = {box.high.x + 0.045 + 0.12 * (box.high.x - box.low.x), 0.5 * (box.low.y + box.high.y), box.low.z};
    return form::placed(form::lathe({arc}, o), pose);
}

}  // namespace

SolidBody wallBody(const form::Mesh& middle, const std::vector<double>& thickness, const std::vector<form::Vec3>& moved,
                   const std::vector<float>& value, const QColor& colour) {
    const size_t n = middle.points.size();
    std::vector<form::Vec3> normal(n), at = middle.points;
    for (size_t i = 0; i < n && i < moved.size(); ++i) at[i] += moved[i];
    std::map<std::pair<int, int>, int> sides;  // edge as it runs in its triangle → how often
    for (const auto& t : middle.triangles) {
        const form::Vec3 area = form::cross(at[size_t(t[1])] - at[size_t(t[0])], at[size_t(t[2])] - at[size_t(t[0])]);
        for (size_t k = 0; k < 3; ++k) {
            normal[size_t(t[k])] += area;
            ++sides[{t[k], t[(k + 1) % 3]}];
        }
    }
    form::Mesh m;
    for (const double side : {0.5, -0.5})
        for (size_t i = 0; i < n; ++i) m.points.push_back(at[i] + form::unit(normal[i]) * (side * thickness[i]));
    const int inner = int(n);
    for (const auto& t : middle.triangles) {
        m.triangles.push_back(t);
        m.triangles.push_back({t[0] + inner, t[2] + inner, t[1] + inner});
    }
    for (const auto& [side, count] : sides) {
        const auto [a, b] = side;
        if (sides.count({b, a})) continue;  // not an edge of the wall
        m.triangles.push_back({a, a + inner, b});
        m.triangles.push_back({b, a + inner, b + inner});
    }
    SolidBody body = meshBody(std::move(m), colour);
    body.wall = value;
    body.wall.insert(body.wall.end(), value.begin(), value.end());
    return body;
}

std::vector<std::string> chocolatesOf(const Piece& piece) {
    std::vector<std::string> out{piece.chocolate};
    for (const auto& c : piece.coats()) out.insert(out.end(), {c.item, piece.chocolateOf(c)});
    for (const auto& c : piece.casts()) out.insert(out.end(), {c.item, piece.chocolateOf(c)});
    for (auto& key : report::patternKeys(piece)) out.push_back(std::move(key));
    return out;
}

size_t SolidScene::triangles() const {
    return std::accumulate(bodies.begin(), bodies.end(), size_t{0},
                           [](size_t n, const SolidBody& b) { return n + b.mesh.triangles.size(); });
}

SolidBody bodyOf(const form::Shape& shape, const form::Pose& pose, const QColor& colour,
                 const std::vector<int>& marked) {
    std::vector<double> wall;
    form::Mesh mesh = shape.solid(&wall);
    std::vector<char> hatch;
    if (!shape.thickness.empty()) {
        hatch.assign(mesh.points.size(), 0);
        for (size_t i = 0; i < hatch.size(); ++i) hatch[i] = wall[i] < coat::kBare;
        if (!marked.empty()) {  // a shell's corners come in pairs, the first of them the former's own
            std::unordered_set<form::Vec3, Place> places;
            for (const int k : marked) places.insert(shape.surface.points[size_t(k)]);
            for (size_t i = 0; i + 1 < hatch.size(); i += 2)
                if (places.contains(mesh.points[i])) hatch[i] = hatch[i + 1] = 1;
        }
        if (std::find(hatch.begin(), hatch.end(), 1) == hatch.end()) hatch.clear();
    }
    SolidBody b = meshBody(form::placed(std::move(mesh), pose), colour);
    if (shape.wall > 0 || !shape.thickness.empty()) b.wall.assign(wall.begin(), wall.end());
    b.hatch = std::move(hatch);
    return b;
}

SolidBody plainBody(form::Mesh mesh, const QColor& colour) { return meshBody(std::move(mesh), colour); }

SolidScene sceneOf(std::vector<SolidBody> bodies) {
    SolidScene s;
    s.bodies = std::move(bodies);
    measure(s);
    return s;
}

namespace {

std::vector<int> markedOf(const std::vector<coat::Blemish>& all, size_t part) {
    std::vector<int> out;
    for (const auto& b : all)
        if (b.part == part) out.insert(out.end(), b.corners.begin(), b.corners.end());
    return out;
}

/// What is not chocolate: card, or what is dipped.
QColor notChocolate(const form::Item& item) {
    if (form::family(item.part.family)->former != form::Former::Itself) return QColor(0xEF, 0xE6, 0xD2);
    const std::string what = form::choice(item.part, "what");
    return what == "fruit"   ? QColor(0xC2, 0x4A, 0x3F)
           : what == "stick" ? QColor(0xB5, 0x7B, 0x3A)
                             : QColor(0xD8, 0xA9, 0x66);
}

/// @param wall of what is coated; null: nothing is @param colour of an item that is coated, or not
SolidScene assembled(const form::Assembly& assembly, const CoatedWall* wall,
                     const std::function<QColor(const form::Item&, bool coated)>& colour) {
    SolidScene s;
    for (size_t k = 0; k < assembly.items.size(); ++k) {
        const auto& item = assembly.items[k];
        const bool covered = wall && wall->covers(k);
        SolidBody b = bodyOf(item.shape, item.pose, !item.edible ? notChocolate(item) : colour(item, covered),
                             covered ? markedOf(wall->blemishes, k) : std::vector<int>{});
        b.apart = toQt(item.apart);
        b.name = QString::fromStdString(item.name);
        s.bodies.push_back(std::move(b));
    }
    measure(s);
    return s;
}

}  // namespace

SolidScene sceneOf(const form::Assembly& assembly, const QColor& colour) {
    return assembled(assembly, nullptr, [&](const form::Item&, bool) { return colour; });
}

SolidScene sceneOf(const Piece& piece, const PieceAnswers& answers, bool egg) {
    SolidScene s;
    const QColor chocolate = chocolateColour(shownChocolate(piece));
    const Made* made = answers.made.get();
    if (made && !(made->meridian && made->meridian->round)) {
        s = assembled(made->assembly, made->wall.get(), [&](const form::Item& item, bool coated) {
            return made->meridian ? chocolate : chocolateColour(shownChocolate(piece, item, coated));
        });
        if (made->meridian && s.bodies.size() == 1) s.bodies.front().name = QString::fromStdString(piece.name);
        for (size_t k = 0; k < s.bodies.size() && k < made->assembly.items.size(); ++k)
            if (made->assembly.items[k].edible)
                s.bodies[k].patterns = report::patternsOf(piece, answers, made->assembly.items[k].key,
                                                          form::bounds(s.bodies[k].mesh), chocolateColour);
    } else if (made) {  // smoother than its triangles
        std::vector<double> wall;
        SolidBody b = meshBody(
            form::wallOfRevolution(made->meridian->profile, made->meridian->coats.wall, 72, 34, &wall), chocolate);
        b.wall.assign(wall.begin(), wall.end());
        b.name = QString::fromStdString(piece.name);
        b.patterns = report::patternsOf(piece, answers, {}, form::bounds(b.mesh), chocolateColour);
        s.bodies.push_back(std::move(b));
        measure(s);
    }
    if (egg && !s.bodies.empty()) {
        SolidBody b = meshBody(henEgg(s.box), QColor(0xE9, 0xD3, 0xB8));
        b.name = QStringLiteral("egg");
        s.bodies.push_back(std::move(b));
        measure(s);
    }
    return s;
}

Projection::Projection(const SolidScene& scene, const SolidView& v, const QSizeF& size)
    : cy_(std::cos(v.yaw)), sy_(std::sin(v.yaw)), cp_(std::cos(v.pitch)), sp_(std::sin(v.pitch)) {
    form::Box box = scene.box;
    if (v.apart > 0)
        for (const auto& b : scene.bodies) {
            const form::Box own = form::bounds(b.mesh);
            const form::Vec3 move{b.apart.x() * v.apart, b.apart.y() * v.apart, b.apart.z() * v.apart};
            for (const form::Vec3& p : {own.low + move, own.high + move}) {
                box.low = {std::min(box.low.x, p.x), std::min(box.low.y, p.y), std::min(box.low.z, p.z)};
                box.high = {std::max(box.high.x, p.x), std::max(box.high.y, p.y), std::max(box.high.z, p.z)};
            }
        }
    middle_ = (box.low + box.high) * 0.5;
    // One scale for every side, so that nothing breathes while it is turned.
    const QSizeF fit = scene.fit + (scene.fitApart - scene.fit) * v.apart;
    scale_ = v.zoom * std::min(0.58 * size.width() / std::max(1e-4, fit.width()),
                               0.69 * size.height() / std::max(1e-4, fit.height()));
    centre_ = QPointF(size.width() / 2 + v.panX * size.height(), size.height() / 2 + v.panY * size.height());
}

QPointF Projection::operator()(const form::Vec3& q) const {
    const form::Vec3 p = q - middle_;
    const double x = cy_ * p.x - sy_ * p.y, y = sy_ * p.x + cy_ * p.y;  // y away from the eye
    return {centre_.x() + scale_ * x, centre_.y() - scale_ * (y * sp_ + p.z * cp_)};
}

double Projection::depth(const form::Vec3& q) const {
    const form::Vec3 p = q - middle_;
    return (sy_ * p.x + cy_ * p.y) * cp_ - p.z * sp_;
}

QVector3D Projection::turned(const QVector3D& n) const {
    const double x = cy_ * n.x() - sy_ * n.y(), y = sy_ * n.x() + cy_ * n.y();
    return {float(x), float(y * sp_ + n.z() * cp_), float(-y * cp_ + n.z() * sp_)};
}

QImage paintSolid(const SolidScene& scene, const SolidView& view, const QSize& size, bool fine) {
    const int k = fine ? 2 : 1;
    Raster raster(size.width() * k, size.height() * k);
    const Projection project(scene, view, QSizeF(size * k));
    const Section section(scene, view);
    raster.setCulling(!section.cutting);
    raster.setHatch(7 * k);
    raster.setRim(view.rim, k);
    std::vector<QRgb> map;
    map.reserve(64);
    for (int i = 0; i < 64; ++i) map.push_back(report::wallColour(i, 0, 63).rgb());
    if (section.cutting) {
        const QVector3D axis(view.cutAxis == 0 ? -1 : 0, view.cutAxis == 1 ? -1 : 0, view.cutAxis == 2 ? -1 : 0);
        raster.setCutFace(project.turned(axis),
                          scene.bodies.empty() ? QColor(Qt::gray) : cutColour(scene.bodies.front().colour));
    }
    std::vector<Corner> corners;
    for (const auto& b : scene.bodies) {
        Surface s;
        s.base = b.colour;
        s.gloss = 0.55f;
        if (view.map && !b.wall.empty()) {
            s.map = &map;
            s.gloss = 0.15f;
        }
        if (!b.patterns.empty() && !s.map) s.patterns = &b.patterns;
        raster.setSurface(s);
        const form::Vec3 move{b.apart.x() * view.apart, b.apart.y() * view.apart, b.apart.z() * view.apart};
        corners.resize(b.mesh.points.size());
        for (size_t i = 0; i < corners.size(); ++i) {
            const form::Vec3 p = b.mesh.points[i] + move;
            const QPointF at = project(p);
            corners[i].at = QVector3D(float(at.x()), float(at.y()), float(project.depth(p)));
            corners[i].keep = float(section.keep(p));
            if (s.patterns) corners[i].place = toQt(b.mesh.points[i]);
            corners[i].hatch = b.hatch.empty() ? 0.f : float(b.hatch[i]);
            corners[i].wall = b.wall.empty() ? 0 : float((b.wall[i] - scene.mapLow) / (scene.mapHigh - scene.mapLow));
        }
        const form::Box box = s.patterns ? form::bounds(b.mesh) : form::Box{};
        const QVector3D inside = toQt((box.low + box.high) * 0.5);
        for (size_t i = 0; i < b.mesh.triangles.size(); ++i) {
            if (s.patterns)  // what looks into the piece stays bare
                raster.setPatterned(
                    QVector3D::dotProduct(b.normals[3 * i], corners[size_t(b.mesh.triangles[i][0])].place - inside) >
                    -1e-4f);
            Corner c[3];
            for (size_t j = 0; j < 3; ++j) {
                c[j] = corners[size_t(b.mesh.triangles[i][j])];
                c[j].normal = project.turned(b.normals[3 * i + j]);
            }
            raster.triangle(c[0], c[1], c[2]);
        }
    }
    const QImage image = raster.shaded();
    return fine ? image.scaled(size, Qt::IgnoreAspectRatio, Qt::SmoothTransformation) : image;
}

std::optional<SolidHit> under(const SolidScene& scene, const SolidView& view, const QSizeF& size,
                              const QPointF& point) {
    const Projection project(scene, view, size);
    const Section section(scene, view);
    std::optional<SolidHit> best;
    double nearest = 1e9;
    for (size_t k = 0; k < scene.bodies.size(); ++k) {
        const auto& b = scene.bodies[k];
        const form::Vec3 move{b.apart.x() * view.apart, b.apart.y() * view.apart, b.apart.z() * view.apart};
        std::vector<QPointF> flat(b.mesh.points.size());
        for (size_t i = 0; i < flat.size(); ++i) flat[i] = project(b.mesh.points[i] + move);
        for (const auto& t : b.mesh.triangles) {
            const QPointF &a = flat[size_t(t[0])], &q = flat[size_t(t[1])], &c = flat[size_t(t[2])];
            const double area = (q.x() - a.x()) * (c.y() - a.y()) - (q.y() - a.y()) * (c.x() - a.x());
            if (std::abs(area) < 1e-9) continue;
            const double wb = ((point.x() - a.x()) * (c.y() - a.y()) - (point.y() - a.y()) * (c.x() - a.x())) / area;
            const double wc = ((q.x() - a.x()) * (point.y() - a.y()) - (q.y() - a.y()) * (point.x() - a.x())) / area;
            if (wb < 0 || wc < 0 || wb + wc > 1) continue;
            const form::Vec3 &A = b.mesh.points[size_t(t[0])], &B = b.mesh.points[size_t(t[1])],
                             &C = b.mesh.points[size_t(t[2])];
            const form::Vec3 at = A + (B - A) * wb + (C - A) * wc;
            if (section.keep(at + move) < 0) continue;
            const double depth = project.depth(at + move);
            if (depth >= nearest) continue;
            nearest = depth;
            const double wall = b.wall.empty()
                                    ? std::nan("")
                                    : (1 - wb - wc) * double(b.wall[size_t(t[0])]) + wb * double(b.wall[size_t(t[1])]) +
                                          wc * double(b.wall[size_t(t[2])]);
            best = SolidHit{k, at, wall};
        }
    }
    return best;
}

QString svgSolid(const SolidScene& scene, const SolidView& view, const QSize& size, const QColor& paper) {
    const Projection project(scene, view, QSizeF(size));
    const Section section(scene, view);
    struct Facet {
        double depth;
        QPolygonF shape;
        QColor colour;
    };
    std::vector<Facet> facets;
    const QVector3D light = QVector3D(-0.5f, 0.62f, 0.6f).normalized();
    for (const auto& b : scene.bodies) {
        const form::Vec3 move{b.apart.x() * view.apart, b.apart.y() * view.apart, b.apart.z() * view.apart};
        for (size_t i = 0; i < b.mesh.triangles.size(); ++i) {
            const auto& t = b.mesh.triangles[i];
            std::vector<form::Vec3> kept;  // the triangle, less what the section takes
            for (size_t k = 0; k < 3; ++k) {
                const form::Vec3 p = b.mesh.points[size_t(t[k])] + move,
                                 q = b.mesh.points[size_t(t[(k + 1) % 3])] + move;
                const double from = section.keep(p), to = section.keep(q);
                if (from >= 0) kept.push_back(p);
                if ((from >= 0) != (to >= 0)) kept.push_back(p + (q - p) * (from / (from - to)));
            }
            if (kept.size() < 3) continue;
            const form::Vec3 &q0 = b.mesh.points[size_t(t[0])], &q1 = b.mesh.points[size_t(t[1])],
                             &q2 = b.mesh.points[size_t(t[2])];
            const QVector3D n = project.turned(QVector3D(toQt(form::cross(q1 - q0, q2 - q0) * 1e6)).normalized());
            if (n.z() <= 0 && !section.cutting) continue;
            Facet f;
            f.depth = 0;
            for (const auto& p : kept) {
                f.depth += project.depth(p) / double(kept.size());
                f.shape << project(p);
            }
            QColor colour = b.colour;
            if (view.map && !b.wall.empty())
                colour = report::wallColour((b.wall[size_t(t[0])] + b.wall[size_t(t[1])] + b.wall[size_t(t[2])]) / 3,
                                            scene.mapLow, scene.mapHigh);
            // through the cut the inside of the chocolate is seen
            f.colour = n.z() <= 0 ? cutColour(b.colour)
                                  : colour.lighter(int(75 + 75 * std::max(0.f, QVector3D::dotProduct(n, light))));
            facets.push_back(f);
        }
    }
    std::sort(facets.begin(), facets.end(), [](const Facet& a, const Facet& b) { return a.depth > b.depth; });
    QString out;
    QTextStream s(&out);
    s.setRealNumberNotation(QTextStream::FixedNotation);
    s.setRealNumberPrecision(2);
    s << "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 " << size.width() << ' ' << size.height()
      << "\">\n<rect width=\"100%\" height=\"100%\" fill=\"" << paper.name()
      << "\"/>\n<g stroke-width=\"0.6\" stroke-linejoin=\"round\">\n";
    for (const auto& f : facets) {
        s << "<path d=\"";
        for (int k = 0; k < f.shape.size(); ++k) s << (k ? 'L' : 'M') << f.shape[k].x() << ' ' << f.shape[k].y();
        s << "Z\" fill=\"" << f.colour.name() << "\" stroke=\"" << f.colour.name() << "\"/>\n";
    }
    s << "</g>\n</svg>\n";
    return out;
}

}  // namespace uovo::desktop
