#include "desktop/day/states_strip.h"

#include <QPainter>
#include <algorithm>

#include "desktop/day/piece_mark.h"
#include "desktop/theme/theme.h"
#include "report/fonts.h"
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
    paintPieceState(p, QRectF(box.left() + 6, box.top() + 6, box.width() - 12, 74), *piece, answers, state.coats,
                    state.released, this);
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
