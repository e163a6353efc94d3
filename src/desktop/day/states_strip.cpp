#include "desktop/day/states_strip.h"

#include <QPainter>
#include <algorithm>

#include "desktop/stage/thumbnail.h"
#include "desktop/theme/theme.h"
#include "report/fonts.h"
#include "report/section.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

constexpr double kCardCell = 148, kCardHigh = 152, kBetweenCards = 10;

}  // namespace

StatesStrip::StatesStrip(Session& session) : session_(session) {
    setMinimumHeight(static_cast<int>(kCardHigh));
    setObjectName(QStringLiteral("states"));
}

void StatesStrip::setStates(std::vector<PieceState> states, std::shared_ptr<const DayPlan> day) {
    states_ = std::move(states);
    day_ = std::move(day);
    QStringList words;
    for (const auto& s : states_) {
        const Piece* piece = session_.plan().piece(s.piece);
        words << QStringLiteral("%1 %2: %3. %4")
                     .arg(piece ? qstring(piece->name) : qstring(s.piece), qstring(s.which), qstring(s.words),
                          nextWords(s));
    }
    setAccessibleName(words.join(QStringLiteral("; ")));
    fit();
    update();
}

int StatesStrip::columns() const { return std::max(1, static_cast<int>((width() + kBetweenCards) / kCardCell)); }

/// As high as its rows need; it scrolls.
void StatesStrip::fit() {
    const int rows = (static_cast<int>(states_.size()) + columns() - 1) / columns();
    setMinimumHeight(static_cast<int>(std::max(1, rows) * kCardHigh));
}

void StatesStrip::resizeEvent(QResizeEvent* e) {
    QWidget::resizeEvent(e);
    fit();
}

QString StatesStrip::nextWords(const PieceState& s) const {
    if (s.next < 0 || !day_ || static_cast<size_t>(s.next) >= day_->network.tasks.size()) return {};
    const auto& t = day_->network.tasks[static_cast<size_t>(s.next)];
    QString verb = qstring(t.title).section(QLatin1Char(' '), 0, 0).toLower();
    if (t.lane == "cold") verb = tr("into the cold");
    if (t.lane == "look") verb = tr("look");
    return tr("%1 at %2")
        .arg(verb, qstring(day_->said(day_->layout.start[static_cast<size_t>(s.next)], session_.units())));
}

void StatesStrip::paintState(QPainter& p, const PieceState& state, const QRectF& box) {
    const Piece* piece = session_.plan().piece(state.piece);
    const auto answers = session_.pieceAnswers(state.piece);
    if (!piece || !answers || !answers->made) return;
    p.setPen(QPen(state.cold ? theme().cold : theme().hairline, 1));
    p.setBrush(state.cold ? theme().coldFill : theme().card);
    p.drawRoundedRect(box.adjusted(0.5, 0.5, -0.5, -0.5), 9, 9);
    const auto line = [&](const QFont& font, const QColor& ink, double y, const QString& words) {
        p.setFont(font);
        p.setPen(ink);
        p.drawText(QRectF(box.left() + 6, box.top() + y, box.width() - 12, 18), Qt::AlignCenter,
                   QFontMetricsF(font).elidedText(words, Qt::ElideRight, box.width() - 12));
    };
    line(report::font(13.5, QFont::DemiBold), theme().ink, 84,
         qstring(piece->name) + (state.which.empty() ? QString() : QLatin1Char(' ') + qstring(state.which)));
    line(report::font(12.5), state.cold ? theme().coldText : theme().quiet, 102, qstring(state.words));
    line(report::font(12.5), theme().quiet, 118, nextWords(state));
    if (!answers->made->meridian) {
        const QRectF icon(box.center().x() - 48, box.top() + 6, 96, 74);
        p.setOpacity(state.coats > 0 ? 1 : 0.22);  // not cast yet
        p.drawImage(icon, thumbnail(*piece, answers, (icon.size() * 2).toSize(), this));
        p.setOpacity(1);
        return;
    }
    const auto& s = *answers->made->meridian;
    const double wide = 2 * *std::max_element(s.profile.r.begin(), s.profile.r.end());
    const double scale = std::min(96 / wide, 60 / s.height);
    QTransform m;
    m.translate(box.center().x(), box.top() + 14 + 60);
    m.scale(scale, -scale);
    std::vector<double> wall(s.profile.size(), 0.0);
    if (state.coats > 0)
        wall = s.coats.coats[std::min<size_t>(static_cast<size_t>(state.coats), s.coats.coats.size()) - 1].wall;
    const double times = std::max(1.0, 3.4 / (s.wall.mean * scale));
    const auto curves = report::sectionCurves(s.profile, wall, times);
    if (!state.released) {  // the former is still there
        QPen dashed(theme().balloon, 1.3);
        dashed.setDashPattern({4, 3});
        p.setPen(dashed);
        p.setBrush(Qt::NoBrush);
        QPainterPath f;
        for (size_t k = 0; k < curves.former.size(); ++k)
            k ? f.lineTo(m.map(curves.former[k])) : f.moveTo(m.map(curves.former[k]));
        p.drawPath(f);
        p.drawPath((QTransform(-1, 0, 0, 1, 2 * m.dx(), 0)).map(f));
    }
    if (state.coats > 0) {
        p.setPen(edgeOf(chocolateColour(piece->chocolate)));
        p.setBrush(chocolateColour(piece->chocolate));
        p.drawPath(report::wholeSection(curves, m));
    }
}

void StatesStrip::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    for (size_t i = 0; i < states_.size(); ++i) {
        const int row = static_cast<int>(i) / columns(), column = static_cast<int>(i) % columns();
        paintState(p, states_[i],
                   QRectF(column * kCardCell, row * kCardHigh, kCardCell - kBetweenCards, kCardHigh - kBetweenCards));
    }
}

}  // namespace uovo::desktop
