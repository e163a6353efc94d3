#include "desktop/melt/pot_card.h"

#include <QPainter>
#include <QPainterPath>
#include <algorithm>
#include <cmath>

#include "desktop/stage/solid_scene.h"
#include "desktop/theme/theme.h"
#include "report/fonts.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

constexpr double kTop = 92, kBase = 44, kDeep = 62;  // pixels of the bowl drawn
constexpr double kFull = 0.92;                       // of its height, for the fullest pot

/// Height share at which a frustum holds `share` of what it holds at kFull.
double levelOf(double share) {
    const auto volume = [](double h) {
        const double r0 = kBase / 2, r1 = r0 + (kTop - kBase) / 2 * h;
        return h * (r0 * r0 + r0 * r1 + r1 * r1);
    };
    double low = 0, high = kFull;
    for (int i = 0; i < 40; ++i) {
        const double mid = 0.5 * (low + high);
        (volume(mid) < share * volume(kFull) ? low : high) = mid;
    }
    return high;
}

}  // namespace

PotCard::PotCard(QWidget* parent) : QAbstractButton(parent) {
    setCheckable(true);
    setAutoExclusive(true);
    setCursor(Qt::PointingHandCursor);
    setFocusPolicy(Qt::StrongFocus);
    setFixedHeight(sizeHint().height());
}

void PotCard::set(const Session& session, size_t index, double most) {
    const auto& answers = *session.answers();
    const auto& pot = answers.pots[index];
    const auto g = [&](double kg) { return qstring(format(kg, Dimension::Mass, session.units())); };
    name_ = qstring(pot.name);
    grams_ = g(pot.melt);
    const auto& melt = answers.melts[index];
    batches_ = melt.batches > 1 ? tr("in %1 batches").arg(melt.batches) : tr("in one batch");
    uses_.clear();
    std::vector<batch::Pot::Use> uses = pot.uses;
    std::stable_sort(uses.begin(), uses.end(), [](const auto& a, const auto& b) { return a.mass > b.mass; });
    for (const auto& u : uses)
        for (const auto& p : session.plan().pieces)
            if (p.id == u.piece) uses_ << qstring(p.name) + QLatin1Char(' ') + g(u.mass);
    if (pot.bath > 0) uses_ << tr("%1 come back").arg(g(pot.returned));
    if (pot.late > 0.0005) uses_ << tr("%1 wanted late").arg(g(pot.late));
    colour_ = chocolateColour(pot.key.chocolate);
    level_ = levelOf(most > 0 ? pot.melt / most : 0);
    bath_ = levelOf(most > 0 ? pot.bath / most : 0);
    setObjectName(QStringLiteral("pot%1").arg(index + 1));
    setAccessibleName(name_ + QStringLiteral(", ") + grams_ + QLatin1Char(' ') + tr("to melt") + QStringLiteral(", ") +
                      batches_);
    setToolTip(uses_.join(QStringLiteral("\n")));
    update();
}

void PotCard::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const QRectF card = QRectF(rect()).adjusted(1.5, 1.5, -1.5, -2.5);
    p.setPen(QPen(hasFocus() ? theme().ring : isChecked() ? theme().balloon : theme().hairline, hasFocus() ? 2 : 1));
    p.setBrush(isChecked() ? theme().card : Qt::transparent);
    p.drawRoundedRect(card, 12, 12);
    // the bowl, chocolate in it to its level; what must stay for the last dip is a dotted line
    const QPointF foot(64, 104);
    const auto at = [&](double h, double side) {
        return foot + QPointF(side * (kBase + (kTop - kBase) * h) / 2, -kDeep * h);
    };
    QPainterPath melt(at(0, -1));
    melt.lineTo(at(level_, -1));
    melt.lineTo(at(level_, 1));
    melt.lineTo(at(0, 1));
    melt.closeSubpath();
    p.setPen(Qt::NoPen);
    p.setBrush(colour_);
    p.drawPath(melt);
    const double wide = (kBase + (kTop - kBase) * level_) / 2;
    p.setBrush(colour_.lighter(135));
    p.drawEllipse(at(level_, 0), wide, 5);
    if (bath_ > 0.02) {
        p.setPen(QPen(QColor(255, 244, 226), 1.2, Qt::DotLine));
        p.drawLine(at(bath_, -1), at(bath_, 1));
    }
    QPainterPath bowl(at(1.06, -1));
    bowl.lineTo(at(0, -1));
    bowl.lineTo(at(0, 1));
    bowl.lineTo(at(1.06, 1));
    p.setBrush(Qt::NoBrush);
    p.setPen(QPen(theme().quiet, 2, Qt::SolidLine, Qt::RoundCap, Qt::RoundJoin));
    p.drawPath(bowl);
    const double x = 128, w = width() - x - 14;
    const auto line = [&](double y, const QString& words, double size, QFont::Weight weight, const QColor& ink) {
        p.setFont(report::font(size, weight));
        p.setPen(ink);
        p.drawText(QPointF(x, y), QFontMetricsF(p.font()).elidedText(words, Qt::ElideRight, w));
    };
    line(26, name_, 15, QFont::DemiBold, theme().ink);
    line(51, grams_, 22, QFont::Bold, theme().ink);
    p.setFont(report::font(22, QFont::Bold));
    const double after = QFontMetricsF(p.font()).horizontalAdvance(grams_) + 8;
    p.setFont(report::font(13.5));
    p.setPen(theme().quiet);
    p.drawText(QPointF(x + after, 50), QFontMetricsF(p.font()).elidedText(batches_, Qt::ElideRight, w - after));
    for (int i = 0; i < 3 && i < uses_.size(); ++i)
        line(72 + 17 * i,
             i == 2 && uses_.size() > 3 ? tr("%1, and %2 more").arg(uses_[i]).arg(uses_.size() - 3) : uses_[i], 13.5,
             QFont::Normal, theme().quiet);
}

}  // namespace uovo::desktop
