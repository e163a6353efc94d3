#include "report/card_pots.h"

#include <cmath>
#include "report/text.h"

namespace uovo::report {
namespace {

constexpr double kPotIndent = 8;  // mm

void paintSteps(Page& page, const MeltPlan& m, UnitSystem u) {
    int n = 0;
    for (const auto& s : m.temper.steps) {
        page.need(14);
        page.line(kMargin, QString::number(++n), 5, QFont::Bold);
        page.line(kMargin + kPotIndent, qstring(s.title), 5, QFont::DemiBold);
        if (!m.choice.byLook && std::isfinite(s.celsius))
            page.right(kMargin + page.width(), qstring(format(s.celsius, Dimension::Temperature, u)), 6, QFont::Bold);
        page.y += 6.8;
        QString words = qstring(s.words);
        if (!m.choice.byLook && std::isfinite(s.low) && std::isfinite(s.high) && s.high > s.low)
            words += qtr(" Between %1 and %2 is right.")
                         .arg(qstring(format(s.low, Dimension::Temperature, u)),
                              qstring(format(s.high, Dimension::Temperature, u)));
        if (!s.look.empty()) words += qtr(" Look: %1.").arg(qstring(s.look));
        page.paragraph(kMargin + kPotIndent, page.width() - kPotIndent, words.trimmed(), 4.2);
        page.y += 1.2;
    }
}

}  // namespace

void paintPots(Page& page, const Plan& plan, const material::Library& lib, const Answers& answers) {
    const auto u = plan.units;
    const auto g = [&](double kg) { return qstring(format(kg, Dimension::Mass, u)); };
    const auto time = [&](double s) { return qstring(format(s, Dimension::Duration, u)); };
    page.line(kMargin, qtr("The pots"), 9, QFont::Bold);
    page.y += 13;
    for (const auto& c : lib.cautions)
        if (c.id == "hot-bowl") page.paragraph(kMargin, page.width(), qstring(c.text), 3.8, kHarm);
    for (size_t i = 0; i < answers.pots.size() && i < answers.melts.size(); ++i) {
        const auto& pot = answers.pots[i];
        const auto& m = answers.melts[i];
        page.y += 3;
        page.need(40);
        page.rule();
        page.y += 3;
        page.line(kMargin, qstring(pot.name), 6.4, QFont::Bold);
        page.right(kMargin + page.width(), g(pot.melt), 7, QFont::Bold);
        page.y += 9;
        QStringList for_;
        for (const auto& use : pot.uses)
            for (const auto& p : plan.pieces)
                if (p.id == use.piece) for_ << QStringLiteral("%1 %2").arg(qstring(p.name).toLower(), g(use.mass));
        page.paragraph(kMargin, page.width(),
                       qtr("For %1. %2 is used up, %3 comes back.")
                           .arg(for_.join(QStringLiteral(", ")), g(pot.consumed), g(pot.returned)),
                       4.2, kQuiet);
        if (!m.problem.empty()) {
            page.paragraph(kMargin, page.width(), qstring(m.problem), 4.4, kHarm);
            continue;
        }
        if (m.batches > 1)
            page.paragraph(
                kMargin, page.width(),
                qtr("In %1 batches, %2 in the bowl each time%3; the steps are those of one.")
                    .arg(m.batches)
                    .arg(g(m.each),
                         m.batches * m.each > pot.melt * 1.001 ? qtr(", what is left of one in the next") : QString()),
                4.4);
        if (!m.dividing.empty()) page.paragraph(kMargin, page.width(), qstring(m.dividing), 4.4);
        for (const auto& w : m.mixing) page.paragraph(kMargin, page.width(), qstring(w), 4.4);
        page.y += 2;
        paintSteps(page, m, u);
        QString after = qtr("Ready after %1; usable for about %2").arg(time(m.temper.seconds), time(m.temper.window));
        if (m.temper.rewarmFor > 0)
            after +=
                qtr(", longer with a burst of %1 every %2").arg(time(m.temper.rewarmFor), time(m.temper.rewarmEvery));
        after += QLatin1Char('.');
        if (m.temper.seed <= 0) after = qtr("Ready after %1.").arg(time(m.temper.seconds));
        if (pot.late > 5e-4)
            after += qtr(" Late in the day %1 are melted again for patches, lids and glue.").arg(g(pot.late));
        page.paragraph(kMargin, page.width(), after, 4.2);
        for (const auto& w : m.temper.warnings) page.paragraph(kMargin, page.width(), qstring(w), 4.2, kHarm);
    }
}

}  // namespace uovo::report
