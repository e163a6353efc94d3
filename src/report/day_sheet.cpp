#include "report/day_sheet.h"

#include <QDate>
#include <QLocale>
#include <algorithm>

#include "core/day/lanes.h"
#include "core/words/words.h"
#include "report/language.h"
#include "report/page.h"
#include "report/text.h"

namespace uovo::report {
namespace {

constexpr int kLeast = 15, kWords = 25;  // min of a block

class DaySheet {
public:
    DaySheet(Page& page, QPainter& painter, const Plan& plan, const material::Library& library, const Answers& answers,
             std::optional<size_t> person)
        : page_(page),
          p_(painter),
          plan_(plan),
          lib_(library),
          answers_(answers),
          day_(*answers.day),
          person_(person) {}

    void sheet() {
        title();
        const auto order = stepsInOrder(day_);
        const auto bursts = burstsAfter(day_, order);
        std::string date;
        for (size_t i = 0; i < order.size(); ++i) {
            if (!mine(order[i])) continue;
            const std::string today = day_.clock(start(order[i])).substr(0, 10);
            if (!date.empty() && today != date) newDay(today);
            date = today;
            step(order[i], bursts[i]);
        }
    }

    void cards() {
        constexpr double kGap = 6, kInner = 4, kStep = 5.2, kSmall = 3.3;
        const double wide = (page_.width() - kGap) / 2;
        double column = 0, rowTop = page_.y, rowHigh = 0;
        for (size_t who = 0; who < day_.network.people.size(); ++who) {
            if (person_ && *person_ != who) continue;
            for (const auto& f : flowsOf(day_, who, kLeast, kWords)) {
                if (f.rest) continue;
                QStringList cautions;
                for (const int t : f.tasks)
                    for (const auto& words : cautionsOf(day_.network.tasks[static_cast<size_t>(t)], lib_))
                        if (!cautions.contains(qstring(words))) cautions << qstring(words);
                double high = 22 + kStep * double(f.tasks.size());
                for (const auto& c : cautions) high += page_.paragraphHigh(wide - 2 * kInner, c, kSmall) + 0.8;
                if (column == 0) {
                    page_.y = rowTop;
                    page_.need(std::min(high, 240.0));
                    rowTop = page_.y;
                    rowHigh = 0;
                } else if (rowTop + high > 297 - kMargin) {
                    page_.next();
                    rowTop = page_.y;
                    rowHigh = column = 0;
                }
                const double x = kMargin + column * (wide + kGap);
                QPen cut(kLine, 0.3, Qt::DashLine);
                p_.setPen(cut);
                p_.setBrush(Qt::NoBrush);
                p_.drawRoundedRect(QRectF(x, rowTop, wide, high), 2, 2);
                page_.y = rowTop + kInner;
                page_.line(x + kInner, said(f.from) + QStringLiteral("–") + said(f.to), 5.4, QFont::Bold);
                page_.right(x + wide - kInner, qstring(day_.network.people[who].name), 4.2);
                page_.y += 7.5;
                page_.line(x + kInner, fitted(qstring(f.verb + " " + f.who), 4.6, wide - 2 * kInner), 4.6,
                           QFont::DemiBold);
                page_.y += 6.5;
                for (const int t : f.tasks) {
                    const auto at = static_cast<size_t>(t);
                    page_.line(x + kInner, said(start(at)), 3.6);
                    page_.line(x + kInner + 13,
                               fitted(qstring(day_.network.tasks[at].title), 3.6, wide - 2 * kInner - 13), 3.6);
                    page_.y += kStep;
                }
                page_.y += 1;
                for (const auto& c : cautions) {
                    page_.paragraph(x + kInner, wide - 2 * kInner, c, kSmall, kHarm);
                    page_.y += 0.8;
                }
                rowHigh = std::max(rowHigh, high);
                column = column == 0 ? 1 : 0;
                if (column == 0) rowTop += rowHigh + kGap;
            }
        }
    }

private:
    int start(size_t t) const { return day_.layout.start[t]; }
    bool mine(size_t t) const { return !person_ || (day_.layout.who[t] >> *person_ & 1) != 0; }
    QString said(int minute) const { return qstring(day_.said(minute, plan_.units)); }
    QString fitted(const QString& words, double size, double room) const {
        const QFontMetricsF fm(font(size * 20));
        return fm.elidedText(words, Qt::ElideRight, room * 20);
    }

    void title() {
        page_.line(kMargin, qstring(plan_.name), 7, QFont::Bold);
        const auto due = localMinutes(plan_.deadline);
        page_.y += 9.5;
        const QDate date = QDate::fromString(qstring(plan_.deadline).left(10), Qt::ISODate);
        page_.line(kMargin,
                   qtr("%1 · begin by %2, ready at %3%4")
                       .arg(report::spokenLocale().toString(date, qtr("dddd d MMMM")), said(day_.layout.begins),
                            due ? qstring(clockInWords(static_cast<int>(*due % 1440), plan_.units)) : QString(),
                            person_ ? QStringLiteral(" · ") + qstring(day_.network.people[*person_].name) : QString()),
                   4.6, QFont::DemiBold);
        page_.y += 7;
        if (answers_.chance)
            page_.paragraph(kMargin, page_.width(), qstring(chanceWords(plan_, day_, *answers_.chance)), 3.8, kQuiet);
        for (const auto& b : brokenWindows(day_, plan_.units))
            page_.paragraph(kMargin, page_.width(), qstring(b), 3.8, kHarm);
        for (const auto& b : day_.before) {
            page_.y += 2;
            page_.line(kMargin, qstring(beforeWhen(day_, b, plan_.units) + ": " + b.title), 4.6, QFont::DemiBold);
            page_.y += 6;
            page_.paragraph(kMargin, page_.width(), qstring(b.words), 3.8);
        }
        page_.y += 3;
    }

    void newDay(const std::string& date) {
        page_.need(20);
        page_.y += 3;
        page_.line(kMargin,
                   report::spokenLocale().toString(QDate::fromString(qstring(date), Qt::ISODate), qtr("dddd d MMMM")),
                   5, QFont::Bold);
        page_.y += 8;
    }

    void step(size_t t, const std::vector<Bursts>& bursts) {
        const auto& task = day_.network.tasks[t];
        page_.need(11);
        p_.setPen(QPen(kInk, 0.35));
        p_.setBrush(Qt::NoBrush);
        p_.drawEllipse(QPointF(kMargin + 2.2, page_.y + 2.6), 2, 2);
        page_.clock(kMargin + 8, said(start(t)), 4.4);
        const double x = kMargin + (plan_.units == UnitSystem::US ? 30 : 23);
        const QString who = day_.network.people.size() > 1 && !person_ && task.step != "rest"
                                ? qstring(whoInWords(day_, t)) + QStringLiteral(", ")
                                : QString();
        const QString length = qtr("%1%2 min").arg(who).arg(task.minutes);
        page_.right(kMargin + page_.width(), length, 3.6);
        page_.line(x, fitted(qstring(task.title), 4.4, page_.width() - x + kMargin - 40), 4.4, QFont::DemiBold);
        page_.y += 5.9;
        for (const auto& b : bursts) {
            page_.paragraph(x, page_.width() - x + kMargin, qstring(burstWords(day_, b, plan_.units)), 3.5, kQuiet);
        }
        for (const auto& words : cautionsOf(task, lib_))
            page_.paragraph(x, page_.width() - x + kMargin, qstring(words), 3.5, kHarm);
        page_.y += 0.6;
    }

    Page& page_;
    QPainter& p_;
    const Plan& plan_;
    const material::Library& lib_;
    const Answers& answers_;
    const DayPlan& day_;
    std::optional<size_t> person_;
};

int paint(QPagedPaintDevice& device, const Plan& plan, const material::Library& library, const Answers& answers,
          std::optional<size_t> person, void (DaySheet::*what)()) {
    QPainter p;
    if (!answers.day || !answers.day->problem.empty() || !beginPages(device, p, plan.units)) return 0;
    Page page(device, p);
    DaySheet sheet(page, p, plan, library, answers, person);
    (sheet.*what)();
    p.end();
    return page.pages();
}

}  // namespace

int paintDaySheet(QPagedPaintDevice& device, const Plan& plan, const material::Library& library, const Answers& answers,
                  std::optional<size_t> person) {
    return paint(device, plan, library, answers, person, &DaySheet::sheet);
}

int paintTaskCards(QPagedPaintDevice& device, const Plan& plan, const material::Library& library,
                   const Answers& answers, std::optional<size_t> person) {
    return paint(device, plan, library, answers, person, &DaySheet::cards);
}

tl::expected<int, Problem> writeDaySheet(const QString& path, const Plan& plan, const material::Library& library,
                                         const Answers& answers, std::optional<size_t> person) {
    return writePdf(path, qstring(plan.name),
                    [&](QPdfWriter& pdf) { return paintDaySheet(pdf, plan, library, answers, person); });
}

tl::expected<int, Problem> writeTaskCards(const QString& path, const Plan& plan, const material::Library& library,
                                          const Answers& answers, std::optional<size_t> person) {
    return writePdf(path, qstring(plan.name),
                    [&](QPdfWriter& pdf) { return paintTaskCards(pdf, plan, library, answers, person); });
}

}  // namespace uovo::report
