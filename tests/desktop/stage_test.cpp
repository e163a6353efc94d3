// How the stage draws: depth, sections, culling, wall map, true scale, SVG.
#include <QColor>
#include <QPainter>
#include <QRegularExpression>
#include <catch2/catch.hpp>
#include <cmath>

#include "core/form/part.h"
#include "desktop/stage/raster.h"
#include "desktop/stage/solid_scene.h"
#include "desktop/stage/thumbnail.h"
#include "desktop/theme/theme.h"
#include "io/data.h"
#include "report/section.h"

namespace stage_test {

using namespace uovo;
using namespace uovo::desktop;

namespace {

Corner corner(float x, float y, float z, float keep = 1, float wall = 0) {
    Corner c;
    c.at = QVector3D(x, y, z);
    c.normal = QVector3D(0, 0, 1);
    c.keep = keep;
    c.wall = wall;
    return c;
}

Surface plain(const QColor& colour) {
    Surface s;
    s.base = colour;
    s.gloss = 0;
    return s;
}

/// A square that faces the eye, from corner to corner.
void square(Raster& r, float x0, float y0, float x1, float y1, float z, float keepLeft = 1, float keepRight = 1) {
    r.triangle(corner(x0, y0, z, keepLeft), corner(x0, y1, z, keepLeft), corner(x1, y1, z, keepRight));
    r.triangle(corner(x0, y0, z, keepLeft), corner(x1, y1, z, keepRight), corner(x1, y0, z, keepRight));
}

SolidScene scene(const char* family) { return sceneOf(*form::build(form::usual(family)), QColor(0x4E, 0x2A, 0x1A)); }

int covered(const QImage& image) {
    int n = 0;
    for (int y = 0; y < image.height(); ++y)
        for (int x = 0; x < image.width(); ++x) n += qAlpha(image.pixel(x, y)) > 128;
    return n;
}

}  // namespace

TEST_CASE("what is nearer hides what is farther, in either order") {
    for (const bool nearFirst : {true, false}) {
        Raster r(40, 40);
        const auto draw = [&](const QColor& c, float z) {
            r.setSurface(plain(c));
            square(r, 5, 5, 35, 35, z);
        };
        nearFirst ? (draw(Qt::red, 1), draw(Qt::blue, 2)) : (draw(Qt::blue, 2), draw(Qt::red, 1));
        const QImage image = r.shaded();
        CHECK(qRed(image.pixel(20, 20)) > 100);
        CHECK(qBlue(image.pixel(20, 20)) == 0);
        CHECK(qAlpha(image.pixel(1, 1)) == 0);
    }
}

TEST_CASE("a square covers its pixels once and no more") {
    Raster r(100, 60);
    r.setSurface(plain(Qt::red));
    square(r, 10, 10, 90, 50, 0);
    CHECK(covered(r.shaded()) == 80 * 40);
}

TEST_CASE("culling leaves out far sides, a section cuts, and the far side shows as the cut face") {
    Raster culled(40, 40);
    culled.setCulling(true);
    culled.setSurface(plain(Qt::red));
    culled.triangle(corner(5, 5, 0), corner(35, 35, 0), corner(5, 35, 0));  // turned away
    CHECK(covered(culled.shaded()) == 0);
    Raster cut(40, 40);
    cut.setSurface(plain(Qt::red));
    square(cut, 0, 0, 40, 40, 0, -1, 1);  // the left half is cut away
    CHECK(covered(cut.shaded()) == Approx(40 * 20).margin(40));
    Raster face(40, 40);
    face.setCutFace(QVector3D(0, 0, 1), Qt::green);
    face.setSurface(plain(Qt::red));
    face.triangle(corner(0, 0, 0), corner(40, 40, 0), corner(0, 40, 0));
    const QRgb seen = face.shaded().pixel(5, 30);
    CHECK(qGreen(seen) > 60);
    CHECK(qRed(seen) < 12);  // but for a little sheen
}

TEST_CASE("a wall map is pale where thin and dark where thick") {
    std::vector<QRgb> map;
    for (int i = 0; i < 16; ++i) map.push_back(report::wallColour(i, 0, 15).rgb());
    Raster r(60, 20);
    Surface s = plain(Qt::red);
    s.map = &map;
    r.setSurface(s);
    r.triangle(corner(0, 0, 0, 1, 0), corner(0, 20, 0, 1, 0), corner(60, 20, 0, 1, 1));
    r.triangle(corner(0, 0, 0, 1, 0), corner(60, 20, 0, 1, 1), corner(60, 0, 0, 1, 1));
    const QImage image = r.shaded();
    int last = 256;
    for (const int x : {4, 20, 36, 52}) {
        CHECK(qGray(image.pixel(x, 10)) < last);
        last = qGray(image.pixel(x, 10));
    }
}

TEST_CASE("light falls from the upper left and goes over smoothly") {
    const auto lit = [](QVector3D n) {
        Raster r(4, 4);
        Surface s = plain(QColor(120, 80, 60));
        s.gloss = 0.5f;
        r.setSurface(s);
        Corner a = corner(0, 0, 0), b = corner(0, 4, 0), c = corner(8, 8, 0), d = corner(4, 0, 0);
        for (Corner* k : {&a, &b, &c, &d}) k->normal = n.normalized();
        r.triangle(a, b, c);
        r.triangle(a, c, d);
        return qGray(r.shaded().pixel(1, 1));
    };
    CHECK(lit({-0.5f, 0.6f, 0.6f}) > lit({0.5f, -0.6f, 0.6f}));
    CHECK(lit({0, 0, 1}) == lit({0, 0, -1}));  // the side that faces the eye is meant
    int before = lit({-0.9f, 0, 0.4f});
    for (float x = -0.88f; x < 0.9f; x += 0.02f) {
        const int now = lit({x, 0, std::sqrt(1 - x * x)});
        CHECK(std::abs(now - before) < 40);
        before = now;
    }
}

TEST_CASE("the projection is true to scale from the front, the side and above") {
    const SolidScene s = scene("bar");
    const form::Vec3 d = s.box.size();
    const auto span = [&](SolidView v, const form::Vec3& a, const form::Vec3& b) {
        const Projection p(s, v, QSizeF(600, 400));
        const QPointF q = p(b) - p(a);
        return std::hypot(q.x(), q.y()) / p.scale();
    };
    SolidView front, side, top;
    front.yaw = front.pitch = 0;
    side.yaw = M_PI / 2;
    side.pitch = 0;
    top.yaw = 0;
    top.pitch = M_PI / 2;
    const auto& lo = s.box.low;
    const auto& hi = s.box.high;
    CHECK(span(front, lo, {hi.x, lo.y, lo.z}) == Approx(d.x));
    CHECK(span(front, lo, {lo.x, lo.y, hi.z}) == Approx(d.z));
    CHECK(span(front, lo, {lo.x, hi.y, lo.z}) == Approx(0).margin(1e-9));
    CHECK(span(side, lo, {lo.x, hi.y, lo.z}) == Approx(d.y));
    CHECK(span(top, lo, {hi.x, lo.y, lo.z}) == Approx(d.x));
    CHECK(span(top, lo, {lo.x, hi.y, lo.z}) == Approx(d.y));
    // one scale for every side
    CHECK(Projection(s, front, QSizeF(600, 400)).scale() == Projection(s, top, QSizeF(600, 400)).scale());
}

TEST_CASE("every family fits into its picture from every standard side") {
    for (const auto& f : form::families()) {
        if (form::fromFile(form::usual(f.id))) continue;
        const SolidScene s = scene(f.id.c_str());
        for (const auto& [yaw, pitch] : {std::pair{-0.6, 0.42}, {0.0, 0.0}, {M_PI / 2, 0.0}, {0.0, M_PI / 2}}) {
            SolidView v;
            v.yaw = yaw;
            v.pitch = pitch;
            const QImage image = paintSolid(s, v, QSize(180, 130), false);
            INFO(f.id << " " << yaw << " " << pitch);
            CHECK(covered(image) > 8);  // a ribbon from its end is small
            bool edge = false;
            for (int x = 0; x < 180; ++x) edge |= qAlpha(image.pixel(x, 0)) > 0 || qAlpha(image.pixel(x, 129)) > 0;
            for (int y = 0; y < 130; ++y) edge |= qAlpha(image.pixel(0, y)) > 0 || qAlpha(image.pixel(179, y)) > 0;
            CHECK_FALSE(edge);
        }
    }
}

TEST_CASE("cutting takes away, pulling apart spreads, and both leave the scene as it was") {
    const SolidScene s = scene("house");
    SolidView v;
    const int whole = covered(paintSolid(s, v, QSize(240, 180), false));
    int last = whole + 1;
    for (const double cut : {0.3, 0.6, 0.95}) {
        v.cut = cut;
        const int now = covered(paintSolid(s, v, QSize(240, 180), false));
        CHECK(now < last);
        last = now;
    }
    v.cut = 0;
    v.apart = 1;
    (void)paintSolid(s, v, QSize(240, 180), false);
    v.apart = 0;
    CHECK(covered(paintSolid(s, v, QSize(240, 180), false)) == whole);
}

TEST_CASE("an SVG picture holds the facets that face the eye, and nothing that is not a number") {
    const SolidScene s = scene("cone-solid");
    const QString svg = svgSolid(s, SolidView{}, QSize(400, 300), Qt::white);
    const int facets = static_cast<int>(svg.count("<path"));
    CHECK(facets > static_cast<int>(s.triangles()) / 4);
    CHECK(facets < static_cast<int>(s.triangles()));
    CHECK_FALSE(svg.contains("nan"));
    CHECK_FALSE(svg.contains("inf"));
    CHECK(svg.startsWith("<svg"));
    CHECK(svg.trimmed().endsWith("</svg>"));
}

TEST_CASE("an SVG picture is cut where the section cuts, and coloured as the wall map is") {
    const SolidScene s = scene("half-ball");
    SolidView v;
    v.yaw = 0;
    v.pitch = M_PI / 2;  // from above: the picture's up is y
    v.cutAxis = 1;
    v.cut = 0.5;
    const QSize size(400, 300);
    const Projection project(s, v, QSizeF(size));
    const double middle = project({0, 0.5 * (s.box.low.y + s.box.high.y), 0}).y();
    const QString svg = svgSolid(s, v, size, Qt::white);
    const QRegularExpression corner(QStringLiteral("[ML](-?[0-9.]+) (-?[0-9.]+)"));
    double lowest = -1e9, highest = 1e9;
    for (auto it = corner.globalMatch(svg); it.hasNext();) {
        const double y = it.next().captured(2).toDouble();
        lowest = std::max(lowest, y);
        highest = std::min(highest, y);
    }
    CHECK(lowest == Approx(middle).margin(0.6));  // the near half is gone, up to the plane itself
    CHECK(highest < middle - 50);
    v.cut = 0;
    const QString plain = svgSolid(s, v, size, Qt::white);
    v.map = true;
    SolidScene walled = s;
    for (auto& b : walled.bodies) b.wall.assign(b.mesh.points.size(), 0.003f);
    CHECK(svgSolid(walled, v, size, Qt::white) != plain);
}

TEST_CASE("creases stay sharp and round walls smooth") {
    const SolidScene disc = scene("disc");
    const auto& b = disc.bodies[0];
    int up = 0, out = 0, between = 0;
    for (const auto& n : b.normals) {
        if (std::abs(n.z()) > 0.98f) ++up;
        else if (std::abs(n.z()) < 0.1f) ++out;
        else ++between;
    }
    CHECK(up > 1000);
    CHECK(out > 100);
    CHECK(between == 0);  // no normal leans over the edge
}

TEST_CASE("a thumbnail is kept until its piece changes") {
    Piece p;
    p.id = "x";
    p.shape = form::usual("ball");
    auto answers = std::make_shared<PieceAnswers>();
    CHECK(thumbnail(p, answers, QSize(40, 40)).isNull());
    auto stage = std::make_shared<Made>();
    stage->assembly = *form::build(form::usual("ball"));
    answers->made = stage;
    const QImage first = thumbnail(p, answers, QSize(40, 40));
    CHECK(covered(first) > 200);
    CHECK(thumbnail(p, answers, QSize(40, 40)).cacheKey() == first.cacheKey());
    p.chocolate = "white";
    CHECK(thumbnail(p, answers, QSize(40, 40)).cacheKey() != first.cacheKey());
}

TEST_CASE("every family has its picture in the gallery, those of a model too") {
    for (const auto& f : form::families()) {
        if (f.meridian) continue;  // painted as it is coated
        INFO(f.id);
        const QImage picture = familyThumbnail(f.id, QSize(90, 70));
        REQUIRE_FALSE(picture.isNull());
        int drawn = 0;
        for (int y = 0; y < picture.height(); ++y)
            for (int x = 0; x < picture.width(); ++x) drawn += qAlpha(picture.pixel(x, y)) > 128;
        CHECK(drawn > 60);  // a rope is thin
    }
}

TEST_CASE("every decoration is seen on its piece, and none without one") {
    Plan plan;
    plan.deadline = "2026-08-04T21:30";
    plan.pieces = {newPiece(plan, "half-ball")};
    plan.pieces[0].chocolate = "milk";
    plan.pieces[0].complete();
    const auto& lib = io::library();
    std::map<std::string, std::string> looks;
    for (const auto& c : lib.chocolates) looks[c.id] = c.look;
    setChocolateLooks(looks);
    const auto drawn = [&](const Piece& piece) {
        Plan one = plan;
        one.pieces = {piece};
        Cache cache;
        const auto a = answer(one, lib, cache);
        REQUIRE(a);
        REQUIRE(a->pieces[0]->made);
        SolidView view;
        return paintSolid(sceneOf(piece, *a->pieces[0], false), view, QSize(220, 190), true);
    };
    const QImage bare = drawn(plan.pieces[0]);
    constexpr int kWays = 18, kAcross = 6;
    QImage sheet(220 * kAcross, 190 * (kWays / kAcross), QImage::Format_RGB32);
    sheet.fill(QColor(0xFB, 0xF6, 0xEC));
    QPainter p(&sheet);
    for (int w = 0; w < kWays; ++w) {
        Piece piece = plan.pieces[0];
        DecorateStep d = usualDecoration(static_cast<DecorateStep::Way>(w), lib);
        d.chocolate = "white";
        if (d.way == DecorateStep::Way::Scrape) {  // white under milk: the first coat lies outside
            PlannedCoat outer = usualCoats(piece, plan, lib).front(), inner = outer;
            inner.chocolate = "white";
            piece.coatWith({outer, inner});
            d.thick = Measure(0.003);
        }
        piece.insert(d);
        const QImage seen = drawn(piece);
        INFO(w);
        int changed = 0;
        for (int y = 0; y < seen.height(); ++y)
            for (int x = 0; x < seen.width(); ++x) changed += seen.pixel(x, y) != bare.pixel(x, y);
        CHECK(changed > 40);
        p.drawImage(220 * (w % kAcross), 190 * (w / kAcross), seen);
    }
    if (qEnvironmentVariableIsSet("UOVO_PICTURES"))
        sheet.save(qEnvironmentVariable("UOVO_PICTURES") + QStringLiteral("/decorations.png"));
}

}  // namespace stage_test
