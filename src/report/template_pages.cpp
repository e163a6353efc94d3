#include "report/template_pages.h"

#include <QPageSize>
#include <QPainterPath>
#include <algorithm>
#include <cmath>

#include "core/cutting/pattern.h"
#include "core/form/beside.h"
#include "core/form/outline_box.h"
#include "report/text.h"

namespace uovo::report {
namespace {

constexpr double kEdge = 10;              // mm of paper that printers leave white
constexpr double kHead = 16, kFoot = 18;  // mm of words over and of the ruler under the outlines
constexpr double kGap = 6;                // mm between outlines
constexpr double kOverlap = 10;           // mm that pages lap over each other
const QColor kCut(0x1A, 0x10, 0x0A);

/// What is drawn at true scale: an outline with its words.
struct Drawing {
    std::vector<form::Loop> loops;          ///< m
    std::vector<form::Loop> dashed, ticks;  ///< m, lines
    std::vector<JointMark> marks;
    QString number, name, words;
    std::optional<form::Point2> wordsAt;  ///< m, their middle; none: of the outline
};

QPainterPath pathOf(const std::vector<form::Loop>& loops, const std::function<QPointF(const form::Point2&)>& at) {
    QPainterPath path;
    path.setFillRule(Qt::OddEvenFill);
    for (const auto& l : loops) {
        for (size_t i = 0; i < l.size(); ++i) i ? path.lineTo(at(l[i])) : path.moveTo(at(l[i]));
        path.closeSubpath();
    }
    return path;
}

QString bevelWords(const form::Bevel& b, double thickness, UnitSystem units) {
    QStringList sides;
    const auto add = [&](double degrees, const QString& side) {
        if (degrees != 0) sides << QStringLiteral("%1 %2°").arg(side).arg(std::abs(degrees), 0, 'f', 0);
    };
    add(b.left, qtr("left"));
    add(b.right, qtr("right"));
    add(b.top, qtr("top"));
    add(b.bottom, qtr("bottom"));
    return sides.isEmpty()
               ? QString()
               : qtr("bevel %1 over %2\nthis is the larger face")
                     .arg(sides.join(QStringLiteral(", ")), qstring(format(thickness, Dimension::Length, units)));
}

/// Pages of outlines at true scale.
class Outlines {
public:
    Outlines(QPagedPaintDevice& device, QPainter& painter, const TemplatePaper& paper, bool begun)
        : device_(device), p_(painter), paper_(paper), begun_(begun) {
        const QRectF full = device.pageLayout().fullRect(QPageLayout::Millimeter);
        area_ = QRectF(kEdge, kEdge + kHead, full.width() - 2 * kEdge, full.height() - 2 * kEdge - kHead - kFoot);
    }
    int pages = 0;

    void draw(const std::vector<Drawing>& all) {
        std::vector<cutting::CutPart> small;
        std::vector<size_t> which;
        for (size_t i = 0; i < all.size(); ++i) {
            const auto b = form::boxOf(all[i].loops.front());
            const double w = b.width() * 1e3, h = b.height() * 1e3;
            const bool fits =
                (w <= area_.width() && h <= area_.height()) || (h <= area_.width() && w <= area_.height());
            if (!fits) {
                tiled(all[i]);
                continue;
            }
            // its box, so that words beside an outline do not lie on another
            cutting::CutPart part;
            part.loops = {{b.low, {b.high[0], b.low[1]}, b.high, {b.low[0], b.high[1]}}};
            part.cutLength = 0;
            small.push_back(std::move(part));
            which.push_back(i);
        }
        cutting::SheetOptions options;
        options.width = area_.width() * 1e-3 + 2e-6;
        options.height = area_.height() * 1e-3 + 2e-6;
        options.gap = kGap * 1e-3;
        options.border = 0;
        options.window = 1e9;
        const auto laid = cutting::nest(small, options);
        if (!laid) return;
        for (const auto& sheet : laid->sheets) {
            page(QString());
            for (const auto& place : sheet.placements) one(all[which[place.piece]], place);
        }
    }

private:
    void page(const QString& words) {
        if (begun_) device_.newPage();
        begun_ = true;
        ++pages;
        write(QPointF(kEdge, kEdge), qtr("Templates, true scale"), 5, QFont::Bold);
        write(QPointF(kEdge, kEdge + 7),
              words.isEmpty() ? qtr("Print at 100 %, measure the line below, cut out, lay on the sheet%1.")
                                    .arg(paper_.mirrored ? qtr(" (mirrored)") : QString())
                              : words,
              3.6);
        const bool us = paper_.units == UnitSystem::US;
        const double ruler = us ? 4 * 25.4 : 100, y = area_.bottom() + 8;
        p_.setPen(QPen(kInk, 0.25));
        p_.drawLine(QPointF(kEdge, y), QPointF(kEdge + ruler, y));
        for (int k = 0; k <= (us ? 4 : 10); ++k) {
            const double x = kEdge + k * ruler / (us ? 4 : 10);
            p_.drawLine(QPointF(x, y - (k % (us ? 4 : 10) ? 1.2 : 2.5)),
                        QPointF(x, y + (k % (us ? 4 : 10) ? 1.2 : 2.5)));
        }
        write(QPointF(kEdge + ruler + 4, y - 2.2), us ? QStringLiteral("4 in") : QStringLiteral("100 mm"), 3.6);
    }

    void write(const QPointF& at, const QString& words, double size, int weight = QFont::Normal,
               Qt::Alignment align = Qt::AlignLeft) {
        constexpr double kFine = 20;
        p_.save();
        p_.setPen(kInk);
        p_.setFont(font(size * kFine, weight));
        p_.translate(at);
        p_.scale(1 / kFine, 1 / kFine);
        const QFontMetricsF m(p_.font());
        const double shift = align & Qt::AlignHCenter ? -0.5 * m.horizontalAdvance(words) : 0;
        p_.drawText(QPointF(shift, align & Qt::AlignVCenter ? 0.5 * (m.ascent() - m.descent()) : m.ascent()), words);
        p_.restore();
    }

    /// The outline and its words, where `at` puts points of it. @param box on the page, mm
    void lay(const Drawing& d, const std::function<QPointF(const form::Point2&)>& at) {
        p_.setBrush(Qt::NoBrush);
        p_.setPen(QPen(kCut, 0.3));
        const QPainterPath path = pathOf(d.loops, at);
        p_.drawPath(path);
        QPen dashes(kInk, 0.25);
        dashes.setDashPattern({8, 6});
        p_.setPen(dashes);
        for (const auto& t : d.dashed) p_.drawLine(at(t[0]), at(t[1]));
        p_.setPen(QPen(kInk, 0.25));
        for (const auto& t : d.ticks) p_.drawLine(at(t[0]), at(t[1]));
        const QRectF box = path.boundingRect();
        const QPointF middle = d.wordsAt ? at(*d.wordsAt) : box.center();
        for (const auto& m : d.marks) {  // a little inside the edge
            QPointF q = at(m.at);
            const QPointF in = middle - q;
            const double far = std::hypot(in.x(), in.y());
            if (far > 1) q += in * (std::min(4.0, far) / far);
            write(q, qstring(m.letter), 4, QFont::DemiBold, Qt::AlignHCenter | Qt::AlignVCenter);
        }
        const bool ring = !d.ticks.empty();  // its words stand in its hole
        const double room = ring ? pathOf({d.loops.back()}, at).boundingRect().width() : box.width();
        const double size = ring ? std::clamp(room / 20, 2.2, 4.2) : std::clamp(room / 12, 2.6, d.wordsAt ? 3.0 : 4.2);
        write(middle - QPointF(0, 1.5 * size), d.number, 1.8 * size, QFont::Bold, Qt::AlignHCenter | Qt::AlignVCenter);
        QStringList lines{d.name};
        if (!d.words.isEmpty()) lines << d.words.split(QLatin1Char('\n'));
        double y = middle.y() + 0.3 * size;
        for (const auto& l : lines) {
            const QString shown =
                QFontMetricsF(font(size * 20)).elidedText(l, Qt::ElideRight, std::max(12.0, room - 6) * 20);
            write(QPointF(middle.x(), y), shown, size, QFont::Normal, Qt::AlignHCenter | Qt::AlignVCenter);
            y += 1.3 * size;
        }
    }

    void one(const Drawing& d, const cutting::Placement& place) {
        lay(d, [&](const form::Point2& q) {
            const auto [x, y] = cutting::placedAt(place, q);
            const double left = paper_.mirrored ? area_.width() - x * 1e3 : x * 1e3;
            return QPointF(area_.left() + left, area_.bottom() - y * 1e3);
        });
    }

    void tiled(const Drawing& d) {
        const auto b = form::boxOf(d.loops.front());
        const double w = b.width() * 1e3, h = b.height() * 1e3;
        const double stepX = area_.width() - kOverlap, stepY = area_.height() - kOverlap;
        const int across = std::max(1, static_cast<int>(std::ceil((w - kOverlap) / stepX))),
                  down = std::max(1, static_cast<int>(std::ceil((h - kOverlap) / stepY)));
        for (int row = 0; row < down; ++row)
            for (int column = 0; column < across; ++column) {
                page(qtr("%1 %2: page %3 of %4, row %5, column %6. Lay the crosses on each other, tape, then cut.")
                         .arg(d.number, d.name)
                         .arg(row * across + column + 1)
                         .arg(across * down)
                         .arg(row + 1)
                         .arg(column + 1));
                const double dx = column * stepX, dy = row * stepY;
                p_.save();
                p_.setClipRect(area_);
                lay(d, [&](const form::Point2& q) {
                    double x = (q[0] - b.low[0]) * 1e3;
                    if (paper_.mirrored) x = w - x;
                    const double y = (b.high[1] - q[1]) * 1e3;  // the upper end first
                    return QPointF(area_.left() + x - dx, area_.top() + y - dy);
                });
                p_.restore();
                p_.setPen(QPen(kQuiet, 0.2));
                // crosses at the middle of the laps
                for (int i = 0; i <= 1; ++i)
                    for (int j = 0; j <= 1; ++j) {
                        if ((i == 0 && column == 0 && across > 1) || (i == 1 && column == across - 1 && across > 1)) {
                            if (down == 1) continue;
                        }
                        const QPointF at(i ? area_.right() - kOverlap / 2 : area_.left() + kOverlap / 2,
                                         j ? area_.bottom() - kOverlap / 2 : area_.top() + kOverlap / 2);
                        p_.drawLine(at - QPointF(4, 0), at + QPointF(4, 0));
                        p_.drawLine(at - QPointF(0, 4), at + QPointF(0, 4));
                    }
            }
    }

    QPagedPaintDevice& device_;
    QPainter& p_;
    const TemplatePaper& paper_;
    bool begun_;
    QRectF area_;  ///< mm, for outlines
};

std::vector<Drawing> drawingsOf(const SheetPlan& sheets, UnitSystem units) {
    std::vector<Drawing> out;
    for (const auto& t : sheets.templates) {
        Drawing d;
        d.loops = t.cut.loops;
        if (t.items.size() == 1) d.marks = t.marks.front();
        d.number = QString::number(t.number);
        d.name = qstring(t.pieceName.empty() || t.pieceName == t.name ? t.name : t.pieceName + ": " + t.name);
        const auto b = form::boxOf(t.cut.loops.front());
        d.words = qtr("cut %1 ×, %2 × %3, %4 thick")
                      .arg(t.cut.count)
                      .arg(qstring(format(b.width(), Dimension::Length, units)),
                           qstring(format(b.height(), Dimension::Length, units)),
                           qstring(format(t.thickness, Dimension::Length, units)));
        if (const QString bevel = bevelWords(t.bevel, t.thickness, units); !bevel.isEmpty())
            d.words += QLatin1Char('\n') + bevel;
        out.push_back(std::move(d));
    }
    for (size_t k = 0; k < sheets.acetate.size(); ++k) {
        const auto& a = sheets.acetate[k];
        Drawing d;
        d.loops = {cutting::patternLoop(a.pattern)};
        if (const auto lap = cutting::overlapLine(a.pattern); lap.size() == 2) d.dashed = {lap};
        d.number = qtr("film %1").arg(k + 1);
        d.name = qstring(a.name.empty() ? a.piece : a.piece + ": " + a.name);
        d.words = qtr("acetate, cut %1 ×").arg(a.count);
        if (a.pattern.overlap > 0) d.words += qtr("\nlap to the dashed line, the seam at the back");
        out.push_back(std::move(d));
    }
    for (size_t k = 0; k < sheets.rings.size(); ++k) {
        const RimRing& r = sheets.rings[k];
        Drawing d;
        d.loops = {r.outer, r.inner};
        const auto middle = form::circleRound(r.inner).at;
        for (size_t m = 0; m < r.marks.size(); ++m) {
            const auto& p = r.marks[m];
            const double far = std::hypot(p[0] - middle[0], p[1] - middle[1]);
            const auto outwards = [&](double by) {
                return form::Point2{p[0] + by * (p[0] - middle[0]) / far, p[1] + by * (p[1] - middle[1]) / far};
            };
            d.ticks.push_back({p, outwards(0.005)});
            d.marks.push_back({outwards(0.013), std::to_string(m + 1)});
        }
        d.number = qtr("ring %1").arg(k + 1);
        d.name = qstring(r.piece);
        d.words = qtr("card, laid round the rim\n%1 marks, %2 from one to the next")
                      .arg(r.times())
                      .arg(qstring(format(r.spacing, Dimension::Length, units)));
        out.push_back(std::move(d));
    }
    for (size_t k = 0; k < sheets.stencils.size(); ++k) {
        const auto& s = sheets.stencils[k];
        const auto length = [&](double m) { return qstring(format(m, Dimension::Length, units)); };
        Drawing d;
        d.loops = {s.outline};
        d.loops.insert(d.loops.end(), s.openings.begin(), s.openings.end());
        d.number = qtr("stencil %1").arg(k + 1);
        d.name = qstring(s.piece);
        d.words = qtr("strong paper, cut the openings out\n%1 across, %2 from one to the next")
                      .arg(length(s.size), length(s.spacing));
        if (s.laid > 1) d.words += qtr("\nlaid end to end %1 times round").arg(s.laid);
        d.wordsAt = s.words;
        out.push_back(std::move(d));
    }
    for (size_t k = 0; k < sheets.nets.size(); ++k) {
        const auto& n = sheets.nets[k];
        Drawing d;
        d.loops = {n.net.outline};
        for (const auto& fold : n.net.folds) d.dashed.push_back({fold[0], fold[1]});
        const auto length = [&](double m) { return qstring(format(m, Dimension::Length, units)); };
        d.number = qtr("box %1").arg(k + 1);
        d.name = qstring(n.piece);
        d.words = qtr("card, cut %1 ×\nfolded up, taped\n%2 × %3\n%4 high")
                      .arg(n.count)
                      .arg(length(n.net.inside.x), length(n.net.inside.y), length(n.net.inside.z));
        out.push_back(std::move(d));
    }
    return out;
}

}  // namespace

QStringList sheetWords(const SheetPlan& sheets, size_t group, size_t number, const material::Library& library,
                       UnitSystem units) {
    const SheetGroup& g = sheets.groups[group];
    const auto& sheet = g.layout.sheets[number];
    const auto* chocolate = library.find(g.chocolate);
    const auto length = [&](double m) { return qstring(format(m, Dimension::Length, units)); };
    const auto mass = [&](double m) { return qstring(format(m, Dimension::Mass, units)); };
    const auto time = [&](double s) { return qstring(format(s, Dimension::Duration, units)); };
    QStringList out;
    out << qtr("%1, bars of %2").arg(chocolate ? qstring(chocolate->name) : qstring(g.chocolate), length(g.thickness));
    out << qtr("pour %1, %2 go back into the pot").arg(mass(g.pour[number]), mass(g.pour[number] - g.parts[number]));
    if (std::isfinite(g.firm) && g.firm > 0)
        out << qtr("cut from %1 to %2 after it is spread: %3 of cutting")
                   .arg(time(g.lock), time(g.firm), time(sheet.cutting));
    else out << qtr("it does not set on the table: put it into the cold, cut with a warm knife");
    return out;
}

void paintSheet(QPainter& p, const SheetPlan& sheets, size_t group, size_t number, const QRectF& where, bool mirrored,
                const QColor& ink, const QColor& fill, const QColor& ground) {
    const SheetGroup& g = sheets.groups[group];
    const auto& sheet = g.layout.sheets[number];
    const double scale = std::min(where.width() / g.options.width, where.height() / g.options.height);
    const double w = g.options.width * scale, h = g.options.height * scale;
    const QPointF corner(where.left(), where.top());
    const auto at = [&](const form::Point2& q) {
        return QPointF(corner.x() + (mirrored ? w - q[0] * scale : q[0] * scale), corner.y() + h - q[1] * scale);
    };
    const double line = std::max(where.width(), where.height()) / 900;
    p.setPen(QPen(ink, line));
    p.setBrush(ground);
    p.drawRect(QRectF(corner, QSizeF(w, h)));
    const auto write = [&](const QPointF& q, double size, int weight, const QString& words) {
        constexpr double kFine = 20;
        p.save();
        p.setFont(font(size * kFine, weight));
        p.translate(q);
        p.scale(1 / kFine, 1 / kFine);
        const QFontMetricsF m(p.font());
        p.drawText(QPointF(-0.5 * m.horizontalAdvance(words), 0.5 * (m.ascent() - m.descent())), words);
        p.restore();
    };
    for (const auto& place : sheet.placements) {
        const Template& t = sheets.templates[g.templates[place.piece]];
        const QPainterPath path = pathOf(cutting::placedLoops(t.cut, place), at);
        p.setPen(QPen(ink, 1.4 * line));
        p.setBrush(fill);
        p.drawPath(path);
        const QRectF box = path.boundingRect();
        const double size = std::clamp(0.3 * std::min(box.width(), box.height()), 13 * line, 44 * line);
        p.setPen(ink);
        write(box.center(), size, QFont::Bold, QString::number(t.number));
        if (0.5 * box.height() > 2.4 * size && box.width() > 3 * size)
            write(box.center() + QPointF(0, 0.95 * size), 0.55 * size, QFont::Normal,
                  qtr("cut %1").arg(place.order + 1));
        if (std::min(box.width(), box.height()) < 60 * line) continue;
        for (const auto& m : t.marksOf(place.copy)) {
            QPointF q = at(cutting::placedAt(place, m.at));
            const QPointF in = box.center() - q;
            const double far = std::hypot(in.x(), in.y());
            if (far > 1e-9) q += in * (std::min(0.5 * size, far) / far);
            write(q, 0.5 * size, QFont::DemiBold, qstring(m.letter));
        }
    }
}

int paintTemplates(QPagedPaintDevice& device, const SheetPlan& sheets, const material::Library& library,
                   const TemplatePaper& paper) {
    if (sheets.empty()) return 0;
    QPainter p;
    if (!beginPages(device, p, paper.units)) return 0;
    int pages = 0;
    bool begun = false;
    if (paper.overview && !sheets.groups.empty()) {
        Page page(device, p);
        page.line(kMargin, qtr("Sheets to spread and cut"), 8, QFont::Bold);
        page.y += 12;
        constexpr double kHigh = 92;
        for (size_t g = 0; g < sheets.groups.size(); ++g)
            for (size_t k = 0; k < sheets.groups[g].layout.sheets.size(); ++k) {
                const auto& o = sheets.groups[g].options;
                const double wide = std::min(page.width() * 0.62, kHigh * o.width / o.height);
                const double high = wide * o.height / o.width;
                page.need(std::max(high, 40.0) + 8);
                paintSheet(p, sheets, g, k, QRectF(kMargin, page.y, wide, high), paper.mirrored, kInk,
                           QColor(0xF3, 0xEA, 0xDC), Qt::white);
                const double from = page.y, x = kMargin + wide + 6, room = page.width() - wide - 6;
                page.line(x, qtr("Sheet %1 of %2").arg(k + 1).arg(sheets.groups[g].layout.sheets.size()), 4.6,
                          QFont::Bold);
                page.y += 7;
                for (const auto& words : sheetWords(sheets, g, k, library, paper.units)) {
                    page.paragraph(x, room, words, 3.8);
                    page.y += 1.5;
                }
                page.y = std::max(page.y, from + high) + 8;
            }
        for (const auto& t : sheets.templates) {
            page.need(6);
            page.line(kMargin, QString::number(t.number), 4, QFont::Bold);
            QStringList names;
            for (const auto& n : t.items) names << qstring(n);
            page.paragraph(
                kMargin + 8, page.width() - 8,
                qtr("%1: %2, cut %3").arg(qstring(t.pieceName), names.join(QStringLiteral(", "))).arg(t.cut.count),
                3.8);
            page.y += 1;
        }
        for (const auto& words : sheetTroubles(sheets, paper.units))
            page.paragraph(kMargin, page.width(), qstring(words), 3.8, kHarm);
        page.paragraph(kMargin, page.width(),
                       qtr("Small parts first, near the edge, where it sets first. The same letter on two "
                           "parts is one joint. A knife is sharp: cut away from the hand that holds."),
                       3.8, kQuiet);
        pages = page.pages();
        begun = true;
    }
    Outlines outlines(device, p, paper, begun);
    outlines.draw(drawingsOf(sheets, paper.units));
    return pages + outlines.pages;
}

tl::expected<int, Problem> writeTemplates(const QString& path, const SheetPlan& sheets,
                                          const material::Library& library, const TemplatePaper& paper) {
    if (sheets.empty())
        return tl::unexpected(Problem{
            tr("Nothing here is cut from a sheet or wrapped in acetate, nothing comes back round a rim: there are "
               "no templates.")});
    return writePdf(path, qtr("Templates"),
                    [&](QPdfWriter& pdf) { return paintTemplates(pdf, sheets, library, paper); });
}

}  // namespace uovo::report
