#include "report/bench_card.h"

#include <QBuffer>
#include <QDate>
#include <QLocale>
#include <QPageSize>
#include <QPagedPaintDevice>
#include <QPainter>
#include <QPdfWriter>
#include <QSaveFile>
#include <QTextLayout>
#include <algorithm>
#include <cmath>
#include <functional>
#include <numeric>

#include "core/stages/spares.h"
#include "report/card_pots.h"
#include "report/card_steps.h"
#include "report/fonts.h"
#include "report/language.h"
#include "report/page.h"
#include "report/part_picture.h"
#include "report/section.h"
#include "report/shopping_list.h"
#include "report/text.h"

namespace uovo::report {
namespace {

QString said(const Answer& a) {
    return qstring(a.headline + (a.after.empty() ? "" : " " + a.after) + ". " + a.sentence);
}

/// "12 to make, 10 wanted", "1 to make, with 1 spare wall".
QString countWords(const Piece& piece, const PieceAnswers& a) {
    const std::string spares = sparePartWords(*a.made, a.spareParts);
    return spares.empty() ? qtr("%1 to make, %2 wanted").arg(a.make).arg(piece.count)
                          : qtr("%1 to make, with %2").arg(a.make).arg(qstring(spares));
}

/// A person's own words, and their picture.
void paintNotes(Page& page, QPainter& p, const Piece& piece) {
    constexpr double kPhotoHigh = 38;  // mm
    if (!piece.notes.empty()) {
        page.paragraph(kMargin, page.width(), qtr("Notes: ") + qstring(piece.notes).simplified(), 4.2, kQuiet);
        page.y += 1;
    }
    QImage image;
    if (piece.photo.empty() || !image.loadFromData(QByteArray::fromStdString(*piece.photo.bytes))) return;
    page.need(kPhotoHigh + 2);
    const double wide = std::min(page.width(), kPhotoHigh * image.width() / image.height());
    p.drawImage(QRectF(kMargin, page.y, wide, wide * image.height() / image.width()), image);
    page.y += kPhotoHigh + 2;
}

void paintPiece(Page& page, QPainter& p, const Plan& plan, const material::Library& lib, const Piece& piece,
                const PieceAnswers& a, const Answers& answers) {
    const auto u = plan.units;
    const auto& s = *a.made->meridian;
    const CoatedWall& wall = *a.made->wall;
    page.y += 2;
    page.line(kMargin, qstring(piece.name), 9, QFont::Bold);
    page.right(kMargin + page.width(), countWords(piece, a), 4.4, QFont::Medium);
    page.y += 12;
    QString what = qstring(a.coating.name) + (a.coating.tempered   ? qtr(", tempered")
                                              : a.coating.compound ? QString()
                                                                   : qtr(", untempered"));
    const auto figure = [&](const char* key) { return spokenLength(piece.shape, key, u); };
    if (piece.overBalloon())
        what += qtr(". Balloon %1 round, %2 long; dip %3 deep.").arg(figure("girth"), figure("length"), figure("dip"));
    else
        what += qtr(". Cup %1 at the base, %2 at the top; coat it %3 high.")
                    .arg(figure("baseDiameter"), figure("topDiameter"), figure("fillLine"));
    page.paragraph(kMargin, page.width(), what, 4.2);
    page.y += 1;
    paintNotes(page, p, piece);
    page.y += 2;
    // the section, true to its wall times two
    const double wide = 2 * *std::max_element(s.profile.r.begin(), s.profile.r.end());
    const double scale = std::min(70.0 / wide, 46.0 / s.height);
    const auto curves = sectionCurves(s.profile, s.coats.wall, 2);
    QTransform m;
    m.translate(kMargin + 40, page.y + 4 + s.height * scale);
    m.scale(scale, -scale);
    const double thin = std::min(s.wall.thinnest, 0.6 * s.wall.mean), thick = 1.7 * s.wall.mean;
    paintWall(p, curves, s.coats.wall, thin, thick, m);
    QTransform mirrored = QTransform::fromScale(-1, 1) * m;
    paintWall(p, curves, s.coats.wall, thin, thick, mirrored);
    p.setBrush(Qt::NoBrush);
    p.setPen(QPen(kInk, 0.15));
    p.drawPath(wholeSection(curves, m));
    const double top = page.y;
    const double x = kMargin + 92;
    const auto fact = [&](const QString& number, const QString& words) {
        const double w = page.line(x, number, 6.4, QFont::Bold);
        page.y += 1.7;
        page.line(x + w + 2, words, 4, QFont::Normal, kQuiet);
        page.y += 7.6;
    };
    fact(qstring(format(a.made->mass, Dimension::Mass, u)), qtr("in each"));
    fact(qstring(format(s.wall.thinnest, Dimension::Length, u)), qtr("at the thinnest"));
    if (a.bath)
        fact(qstring(format(a.bath->chocolate * a.coating.densityMelt, Dimension::Mass, u)), qtr("left in the bath"));
    fact(qstring(format(wall.setting.back().release, Dimension::Duration, u)), qtr("from last coat until it lets go"));
    page.y = std::max(page.y, top + 8 + s.height * scale) + 2;
    p.setPen(QPen(kQuiet, 0.1));
    page.line(kMargin, qtr("Section with the wall drawn twice as thick."), 3.2, QFont::Normal, kQuiet);
    page.y += 7;
    if (!a.decorated.empty() || !a.toppings.empty()) {  // what it shall look like
        constexpr double kHigh = 34;
        page.need(kHigh + 4);
        paintPicture(p, piece, a, lib, QRectF(kMargin, page.y, 84, kHigh));
        page.y += kHigh + 4;
    }
    paintMaking(page, plan, lib, piece, a, answers);
    page.y += 2;
    page.rule();
    page.y += 3;
    for (const auto& answer : a.answers)
        if (answer.tone == Tone::Weak || answer.tone == Tone::Impossible)
            page.paragraph(kMargin, page.width(), said(answer), 4.2, kHarm);
}

/// A part or compound: its figures, its parts with their grams, its joints.
void paintPart(Page& page, QPainter& p, const Plan& plan, const material::Library& lib, const Piece& piece,
               const PieceAnswers& a, const Answers& answers) {
    const auto u = plan.units;
    const Made& s = *a.made;
    page.y += 2;
    page.line(kMargin, qstring(piece.name), 9, QFont::Bold);
    page.right(kMargin + page.width(), countWords(piece, a), 4.4, QFont::Medium);
    page.y += 12;
    page.paragraph(kMargin, page.width(),
                   qstring(a.coating.name) + (a.coating.tempered ? qtr(", tempered. ") : QStringLiteral(". ")) +
                       qstring(form::family(piece.shape.family)->name) + QStringLiteral("."),
                   4.2);
    page.y += 1;
    paintNotes(page, p, piece);
    page.y += 2;
    // as it rests, with how large it is
    constexpr double kHigh = 42;
    const double top = page.y, x = kMargin + 92;
    paintPicture(p, piece, a, lib, QRectF(kMargin, top, 84, kHigh));
    const auto fact = [&](const QString& number, const QString& words) {
        const double w = page.line(x, number, 6.4, QFont::Bold);
        page.y += 1.7;
        page.line(x + w + 2, words, 4, QFont::Normal, kQuiet);
        page.y += 7.6;
    };
    const form::Vec3 whole = s.box.size();
    fact(qstring(format(s.mass, Dimension::Mass, u)), qtr("in each"));
    if (s.wall) fact(qstring(format(s.wall->thinnest, Dimension::Length, u)), qtr("at the thinnest"));
    fact(qstring(format(whole.z, Dimension::Length, u)), qtr("high"));
    fact(QStringLiteral("%1 × %2").arg(qstring(format(whole.x, Dimension::Length, u)),
                                       qstring(format(whole.y, Dimension::Length, u))),
         qtr("across"));
    page.y = std::max(page.y, top + kHigh) + 4;
    paintOutlines(page, p, s.assembly, u);
    const auto& items = s.assembly.items;
    for (size_t k = 0, many = 1; k < items.size(); k += many) {  // equal ones in a row are one line
        const auto& item = items[k];
        many = 1;
        while (k + many < items.size() && items[k + many].part == item.part && !piece.roundSomething()) ++many;
        if (piece.roundSomething() && !item.edible) continue;  // its first step tells it
        page.need(9);
        page.rule();
        page.y += 2;
        page.line(kMargin,
                  many > 1 ? QStringLiteral("%1 × %2").arg(many).arg(
                                 qstring(item.name.substr(0, item.name.find_last_not_of(" 0123456789") + 1)).toLower())
                           : qstring(item.name),
                  5.4, QFont::DemiBold);
        page.right(kMargin + page.width(),
                   item.edible ? qstring(format(s.items[k], Dimension::Mass, u)) + (many > 1 ? qtr(" each") : QString())
                               : qtr("not eaten"),
                   5.4, QFont::Bold);
        page.y += 7;
        QStringList figures;
        const bool drawn =
            !item.part.points.empty();  // an outline of its own: its family's length and width say nothing
        if (drawn) {
            const form::Vec3 size = form::bounds(item.shape.surface).size();
            figures << qtr("%1 by %2 over all")
                           .arg(qstring(format(size.x, Dimension::Length, u)),
                                qstring(format(size.y, Dimension::Length, u)));
        }
        if (const auto* f = form::family(item.part.family))
            for (const auto& field : f->fields)
                if (const double v = form::figure(item.part, field.key);
                    v > 0 && form::asked(item.part, field.only) &&
                    !(field.dimension == Dimension::Count && v == 1) &&  // one of it is none to speak of
                    !(drawn && (field.key == "length" || field.key == "width")) &&
                    !(field.key == "wall" && (item.shape.wall <= 0 || (s.wall && s.wall->covers(k)))))
                    figures << qstring(field.name).toLower() + QStringLiteral(" ") +
                                   qstring(format(v, field.dimension, u));
        if (!figures.isEmpty())
            page.paragraph(kMargin, page.width(), figures.join(QStringLiteral(", ")) + QStringLiteral("."), 4, kQuiet);
        page.y += 1;
    }
    paintMaking(page, plan, lib, piece, a, answers);
    page.y += 2;
    page.rule();
    page.y += 3;
    for (const auto& answer : a.answers) {  // what is wrong, and what is done by figures that no step says
        const bool wrong = answer.tone == Tone::Weak || answer.tone == Tone::Impossible;
        if (wrong || answer.id == "pattern" || answer.id == "mold" || answer.id == "cutting" || answer.id == "opening")
            page.paragraph(kMargin, page.width(), said(answer), 4, wrong ? kHarm : kInk);
    }
}

std::vector<size_t> byStart(const DayPlan& day) {
    std::vector<size_t> order(day.layout.start.size());
    std::iota(order.begin(), order.end(), 0);
    std::stable_sort(order.begin(), order.end(),
                     [&](size_t a, size_t b) { return day.layout.start[a] < day.layout.start[b]; });
    return order;
}

}  // namespace

namespace {

void paintHead(Page& page, const Plan& plan) {
    QString ready = qstring(plan.deadline).replace('T', ' ');
    if (const auto at = localMinutes(plan.deadline))
        ready = report::spokenLocale().toString(QDate(1970, 1, 1).addDays(*at / 1440), qtr("dddd d MMMM yyyy, ")) +
                qstring(clockInWords(static_cast<int>(*at % 1440), plan.units));
    page.line(kMargin, qstring(plan.name), 5, QFont::DemiBold);
    page.right(kMargin + page.width(), qtr("ready ") + ready, 4.2);
    page.y += 8;
    page.rule();
    page.y += 3;
}

void paintOne(Page& page, QPainter& p, const Plan& plan, const material::Library& lib, const Answers& answers,
              size_t i) {
    paintHead(page, plan);
    answers.pieces[i]->made->meridian ? paintPiece(page, p, plan, lib, plan.pieces[i], *answers.pieces[i], answers)
                                      : paintPart(page, p, plan, lib, plan.pieces[i], *answers.pieces[i], answers);
}

/// How much smaller a piece's page is drawn so that it is one; as it is where that would be too small to read.
double tightFor(const Plan& plan, const material::Library& lib, const Answers& answers, size_t i) {
    for (const double share : {1.0, 0.94, 0.88}) {
        QBuffer nowhere;
        nowhere.open(QIODevice::WriteOnly);
        QPdfWriter device(&nowhere);
        QPainter p;
        if (!beginPages(device, p, plan.units)) return 1;
        Page page(device, p);
        page.setTight(share);
        paintOne(page, p, plan, lib, answers, i);
        if (page.pages() == 1) return share;
    }
    return 1;
}

}  // namespace

int paintBenchCard(QPagedPaintDevice& device, const Plan& plan, const material::Library& library,
                   const Answers& answers) {
    const material::Library lib = material::withColours(library, plan.colours);
    QPainter p;
    if (!beginPages(device, p, plan.units)) return 0;
    Page page(device, p);
    const auto head = [&] { paintHead(page, plan); };
    head();
    paintPots(page, plan, lib, answers);
    for (size_t i = 0; i < plan.pieces.size() && i < answers.pieces.size(); ++i) {
        if (!answers.pieces[i]->made) continue;
        page.next();
        page.setTight(tightFor(plan, lib, answers, i));
        paintOne(page, p, plan, lib, answers, i);
        page.setTight(1);
    }
    page.next();
    head();
    if (answers.day && answers.day->problem.empty()) {
        page.y += 4;
        page.line(kMargin, qtr("The day"), 7, QFont::Bold);
        page.y += 10;
        const double times = plan.units == UnitSystem::US ? 22 : 16;  // mm, the column of clock times
        for (const size_t i : byStart(*answers.day)) {
            const auto& t = answers.day->network.tasks[i];
            page.need(6.4);
            page.clock(kMargin, qstring(answers.day->said(answers.day->layout.start[i], plan.units)), 4.4);
            page.line(kMargin + times, qstring(t.title), 4.4);
            page.right(kMargin + page.width(), qtr("%1 min").arg(t.minutes), 4);
            page.y += 6.2;
        }
    } else if (answers.day) {
        page.y += 4;
        page.paragraph(kMargin, page.width(), qstring(answers.day->problem), 4.4, kHarm);
    }
    page.y += 3;
    for (const auto& c : answers.cautions) page.paragraph(kMargin, page.width(), qstring(c), 3.6, kQuiet);
    page.next();
    head();
    paintShopping(page, p, plan, shopping(plan, lib, answers, plan.deadline.substr(0, 10)));
    p.end();
    return page.pages();
}

tl::expected<int, Problem> writeBenchCard(const QString& path, const Plan& plan, const material::Library& lib,
                                          const Answers& answers) {
    return writePdf(path, qstring(plan.name), [&](QPdfWriter& pdf) { return paintBenchCard(pdf, plan, lib, answers); });
}

QString benchCardText(const Plan& plan, const Answers& answers) {
    QString out = qstring(plan.name) + qtr(", ready ") + qstring(plan.deadline).replace('T', ' ') + "\n";
    for (size_t i = 0; i < plan.pieces.size() && i < answers.pieces.size(); ++i) {
        const auto& piece = plan.pieces[i];
        out += QStringLiteral("\n%1 × %2\n").arg(piece.count).arg(qstring(piece.name));
        if (!piece.notes.empty()) out += qtr("  Notes: %1\n").arg(qstring(piece.notes).simplified());
        for (const auto& a : answers.pieces[i]->answers) out += "  " + said(a) + "\n";
    }
    for (const auto& a : answers.evening) out += "\n" + said(a) + "\n";
    if (answers.day && answers.day->problem.empty()) {
        out += "\n";
        for (const size_t i : byStart(*answers.day))
            out += qtr("%1  %2 (%3 min)\n")
                       .arg(qstring(answers.day->said(answers.day->layout.start[i], plan.units)),
                            qstring(answers.day->network.tasks[i].title))
                       .arg(answers.day->network.tasks[i].minutes);
    }
    return out;
}

}  // namespace uovo::report
