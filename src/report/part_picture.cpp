#include "report/part_picture.h"

#include <QImage>
#include <QPainterPath>
#include <algorithm>
#include <cmath>

#include "core/stages/shown.h"
#include "report/pattern.h"
#include "report/text.h"

namespace uovo::report {
namespace {

constexpr double kDots = 12;  // a millimetre: 300 dpi

struct Facet {
    QPolygonF outline;
    double depth = 0;
    QColor colour;
};

/// Seen from above and the front right, x to the right and down, y to the right and up.
struct View {
    static constexpr double kTurn = 0.6, kTilt = 0.42;  // rad
    static QPointF at(const form::Vec3& q) {
        const double x = std::cos(kTurn) * q.x - std::sin(kTurn) * q.y,
                     y = std::sin(kTurn) * q.x + std::cos(kTurn) * q.y;
        return {x, -(std::cos(kTilt) * q.z + std::sin(kTilt) * y)};
    }
    /// Larger is nearer.
    static double depth(const form::Vec3& q) {
        return std::sin(kTilt) * q.z - std::cos(kTilt) * (std::sin(kTurn) * q.x + std::cos(kTurn) * q.y);
    }
};

/// Light for paper: a chocolate's look with some white in it, so that dark ones do not drown in ink.
QColor onPaper(const QColor& look) {
    constexpr int kWhite = 35;  // of a hundred
    const auto mixed = [](int v) { return (v * (100 - kWhite) + 255 * kWhite) / 100; };
    return {mixed(look.red()), mixed(look.green()), mixed(look.blue())};
}

/// One body of a piece as it is seen.
struct Drawn {
    form::Mesh mesh;
    QColor colour;
    std::vector<Pattern> patterns;
};

std::vector<Drawn> bodiesOf(const Piece& piece, const PieceAnswers& answers, const material::Library& lib) {
    const Made& made = *answers.made;
    const auto lookOf = [&](const std::string& id) {
        const auto* c = lib.find(id);
        const QColor look(c ? qstring(c->look) : QString());
        return look.isValid() ? look : QColor(0x4E, 0x2A, 0x1A);
    };
    const auto paperLook = [&](const std::string& id) { return onPaper(lookOf(id)); };
    std::vector<Drawn> out;
    if (made.meridian && made.meridian->round) {
        form::Mesh wall = form::wallOfRevolution(made.meridian->profile, made.meridian->coats.wall, 72, 34);
        const auto box = form::bounds(wall);
        out.push_back(
            {std::move(wall), paperLook(shownChocolate(piece)), patternsOf(piece, answers, {}, box, paperLook)});
        return out;
    }
    for (size_t k = 0; k < made.assembly.items.size(); ++k) {
        const auto& item = made.assembly.items[k];
        Drawn d{form::placed(item.shape.solid(), item.pose), QColor(0xD9, 0xD9, 0xD9), {}};
        if (item.edible) {
            d.colour = paperLook(made.meridian ? shownChocolate(piece)
                                               : shownChocolate(piece, item, made.wall && made.wall->covers(k)));
            d.patterns = patternsOf(piece, answers, item.key, form::bounds(d.mesh), paperLook);
        }
        out.push_back(std::move(d));
    }
    return out;
}

/// @param fine m, the longest edge of a facet that a pattern is drawn on
std::vector<Facet> facetsOf(const Drawn& body, double fine) {
    std::vector<Facet> out;
    const form::Vec3 sun{-0.35, -0.55, 0.76};
    const form::Box box = form::bounds(body.mesh);
    const form::Vec3 middle = (box.low + box.high) * 0.5;
    for (const auto& t : body.mesh.triangles) {
        const auto corner = [&](size_t k) { return body.mesh.points[static_cast<size_t>(t[k])]; };
        const form::Vec3 a = corner(0), b = corner(1), c = corner(2);
        form::Vec3 normal = form::cross(b - a, c - a);
        const double area = form::length(normal);
        if (!(area > 0)) continue;
        normal = normal * (1 / area);
        const double light = 0.42 + 0.58 * std::max(0.0, form::dot(normal, sun));
        // what looks into the piece stays bare
        const bool patterned = !body.patterns.empty() && form::dot(normal, a - middle) > -1e-4;
        const double longest = std::max({form::length(b - a), form::length(c - b), form::length(a - c)});
        const int parts = patterned ? std::clamp(static_cast<int>(std::ceil(longest / fine)), 1, 40) : 1;
        const auto at = [&](int i, int j) { return a + (b - a) * (double(i) / parts) + (c - a) * (double(j) / parts); };
        const auto add = [&](const form::Vec3& p, const form::Vec3& q, const form::Vec3& r) {
            Facet f;
            f.outline << View::at(p) << View::at(q) << View::at(r);
            f.depth = (View::depth(p) + View::depth(q) + View::depth(r)) / 3;
            const form::Vec3 m = (p + q + r) * (1.0 / 3);
            const QColor seen(patterned ? patternedOver(body.colour.rgb(), body.patterns,
                                                        QVector3D(float(m.x), float(m.y), float(m.z)))
                                        : body.colour.rgb());
            f.colour = QColor(static_cast<int>(seen.red() * light), static_cast<int>(seen.green() * light),
                              static_cast<int>(seen.blue() * light));
            out.push_back(std::move(f));
        };
        for (int i = 0; i < parts; ++i)
            for (int j = 0; i + j < parts; ++j) {
                add(at(i, j), at(i + 1, j), at(i, j + 1));
                if (i + j + 1 < parts) add(at(i + 1, j), at(i + 1, j + 1), at(i, j + 1));
            }
    }
    return out;
}

}  // namespace

void paintPicture(QPainter& p, const Piece& piece, const PieceAnswers& answers, const material::Library& lib,
                  const QRectF& where) {
    constexpr double kFine = 0.5;  // mm of paper, the longest edge of a facet under a pattern
    const auto bodies = bodiesOf(piece, answers, lib);
    QRectF bounds;
    for (const auto& body : bodies)
        for (const auto& q : body.mesh.points) {
            const QPointF at = View::at(q);
            bounds = bounds.isNull()
                         ? QRectF(at, QSizeF(1e-9, 1e-9))
                         : QRectF(QPointF(std::min(bounds.left(), at.x()), std::min(bounds.top(), at.y())),
                                  QPointF(std::max(bounds.right(), at.x()), std::max(bounds.bottom(), at.y())));
        }
    if (bounds.isNull()) return;
    const double scale = std::min(where.width() / bounds.width(), where.height() / bounds.height());
    std::vector<Facet> facets;
    for (const auto& body : bodies) std::ranges::move(facetsOf(body, kFine / scale), std::back_inserter(facets));
    std::ranges::stable_sort(facets, {}, &Facet::depth);
    QImage image(QSize(std::max(1, qRound(bounds.width() * scale * kDots)),
                       std::max(1, qRound(bounds.height() * scale * kDots))),
                 QImage::Format_ARGB32_Premultiplied);
    image.fill(Qt::transparent);
    QPainter paint(&image);
    paint.setRenderHint(QPainter::Antialiasing);
    paint.scale(scale * kDots, scale * kDots);
    paint.translate(-bounds.topLeft());
    for (const auto& f : facets) {
        paint.setPen(QPen(f.colour, 0));  // closes the hair between two facets
        paint.setBrush(f.colour);
        paint.drawPolygon(f.outline);
    }
    paint.end();
    const QSizeF size(bounds.width() * scale, bounds.height() * scale);
    p.drawImage(QRectF(where.left() + (where.width() - size.width()) / 2, where.top() + where.height() - size.height(),
                       size.width(), size.height()),
                image);
}

void paintOutlines(Page& page, QPainter& p, const form::Assembly& assembly, UnitSystem units) {
    constexpr double kHigh = 26, kGap = 6;  // mm
    struct Cut {
        QPainterPath path;
        QRectF box;
        QString words;
        int many = 1;
        form::Part part;
    };
    std::vector<Cut> cuts;
    for (const auto& item : assembly.items) {
        const auto* family = form::family(item.part.family);
        if (!item.edible || item.shape.body != form::Body::Sheet || !family || !family->cut) continue;
        if (const auto same = std::find_if(cuts.begin(), cuts.end(), [&](const Cut& c) { return c.part == item.part; });
            same != cuts.end()) {
            ++same->many;
            continue;
        }
        Cut c;
        c.part = item.part;
        for (const auto& loop : form::sheetOutline(item.part)) {
            QPolygonF polygon;
            for (const auto& q : loop) polygon << QPointF(q[0], -q[1]);
            polygon << polygon.front();
            c.path.addPolygon(polygon);
        }
        c.box = c.path.boundingRect();
        c.words = qstring(item.name.substr(0, item.name.find_last_not_of(" 0123456789") + 1)) +
                  QStringLiteral("\n%1 × %2")
                      .arg(qstring(format(c.box.width(), Dimension::Length, units)),
                           qstring(format(c.box.height(), Dimension::Length, units)));
        cuts.push_back(std::move(c));
    }
    if (cuts.empty()) return;
    double largest = 0;
    for (const auto& c : cuts) largest = std::max({largest, c.box.width(), c.box.height()});
    page.need(kHigh + 12);
    const double scale = kHigh / largest;
    double x = kMargin;
    for (const auto& c : cuts) {
        const double wide = std::max(24.0, c.box.width() * scale);
        if (x + wide > kMargin + page.width()) break;
        QTransform m;
        m.translate(x, page.y + kHigh);
        m.scale(scale, scale);
        m.translate(-c.box.left(), -c.box.bottom());
        p.setPen(QPen(kInk, 0.25));
        p.setBrush(QColor(0xF3, 0xEA, 0xDC));
        p.drawPath(m.map(c.path));
        const double y = page.y;
        page.y = y + kHigh + 1;
        const QStringList lines = c.words.split(QLatin1Char('\n'));
        page.line(x, (c.many > 1 ? QStringLiteral("%1 × ").arg(c.many) : QString()) + lines[0], 3.6, QFont::DemiBold);
        page.y += 4.2;
        page.line(x, lines[1], 3.6);
        page.y = y;
        x += wide + kGap;
    }
    page.y += kHigh + 11;
}

}  // namespace uovo::report
