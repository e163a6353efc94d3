#include "report/part_picture.h"

#include <QImage>
#include <QPainterPath>
#include <algorithm>
#include <cmath>

namespace uovo::report {
namespace {

constexpr double kDots = 12;  // a millimetre: 300 dpi

struct Facet {
    QPolygonF outline;
    double depth = 0, light = 0;
    bool eaten = true;
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

std::vector<Facet> facetsOf(const form::Assembly& assembly) {
    std::vector<Facet> out;
    const form::Vec3 sun{-0.35, -0.55, 0.76};
    for (const auto& item : assembly.items) {
        const form::Mesh solid = form::placed(item.shape.solid(), item.pose);
        for (const auto& t : solid.triangles) {
            const form::Vec3 &a = solid.points[static_cast<size_t>(t[0])], &b = solid.points[static_cast<size_t>(t[1])],
                             &c = solid.points[static_cast<size_t>(t[2])];
            form::Vec3 normal = form::cross(b - a, c - a);
            const double area = form::length(normal);
            if (!(area > 0)) continue;
            normal = normal * (1 / area);
            Facet f;
            f.outline << View::at(a) << View::at(b) << View::at(c);
            f.depth = (View::depth(a) + View::depth(b) + View::depth(c)) / 3;
            f.light = 0.35 + 0.65 * std::max(0.0, form::dot(normal, sun));
            f.eaten = item.edible;
            out.push_back(std::move(f));
        }
    }
    std::sort(out.begin(), out.end(), [](const Facet& a, const Facet& b) { return a.depth < b.depth; });
    return out;
}

}  // namespace

void paintPicture(QPainter& p, const form::Assembly& assembly, const QRectF& where) {
    const auto facets = facetsOf(assembly);
    if (facets.empty()) return;
    QRectF bounds = facets.front().outline.boundingRect();
    for (const auto& f : facets) bounds |= f.outline.boundingRect();
    const double scale = std::min(where.width() / bounds.width(), where.height() / bounds.height());
    QImage image(QSize(std::max(1, qRound(bounds.width() * scale * kDots)),
                       std::max(1, qRound(bounds.height() * scale * kDots))),
                 QImage::Format_ARGB32_Premultiplied);
    image.fill(Qt::transparent);
    QPainter paint(&image);
    paint.setRenderHint(QPainter::Antialiasing);
    paint.scale(scale * kDots, scale * kDots);
    paint.translate(-bounds.topLeft());
    for (const auto& f : facets) {
        const QColor colour =
            f.eaten ? QColor::fromRgbF(static_cast<float>(0.78 * f.light), static_cast<float>(0.58 * f.light),
                                       static_cast<float>(0.42 * f.light))
                    : QColor::fromRgbF(static_cast<float>(0.85 * f.light), static_cast<float>(0.85 * f.light),
                                       static_cast<float>(0.85 * f.light));
        paint.setPen(QPen(colour, 0));  // closes the hair between two facets
        paint.setBrush(colour);
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
