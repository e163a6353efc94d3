#include "desktop/shape/item_bar.h"

#include <QPainter>
#include <QVBoxLayout>
#include <algorithm>

#include "desktop/shell/sheet.h"
#include "desktop/theme/theme.h"
#include "report/fonts.h"
#include "report/text.h"

namespace uovo::desktop {

ItemCard::ItemCard(QWidget* parent) : QAbstractButton(parent) {
    setCheckable(true);
    setCursor(Qt::PointingHandCursor);
    setFocusPolicy(Qt::StrongFocus);
    setFixedSize(sizeHint());
}

void ItemCard::set(const QString& key, const QString& name, const QString& figure, bool own, bool chosen) {
    key_ = key;
    figure_ = figure;
    own_ = own;
    setText(name);
    setChecked(chosen);
    setObjectName(QStringLiteral("item/") + key);
    setAccessibleName(tr("%1, %2").arg(name, figure));
    setAccessibleDescription(tr("Edit this part by itself"));
    update();
}

void ItemCard::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const QRectF card = QRectF(rect()).adjusted(1.5, 1.5, -1.5, -1.5);
    p.setPen(hasFocus() || isChecked() ? QPen(theme().ring, 2)
                                       : QPen(underMouse() ? theme().quiet : theme().hairline, 1));
    p.setBrush(theme().card);
    p.drawRoundedRect(card, 9, 9);
    p.setFont(report::font(13.5));
    p.setPen(theme().quiet);
    const QString figure = own_ ? tr("%1 · own").arg(figure_) : figure_;
    const double wide = QFontMetricsF(p.font()).horizontalAdvance(figure);
    p.drawText(QPointF(card.right() - 10 - wide, card.top() + 21), figure);
    p.setFont(report::font(14, QFont::DemiBold));
    p.setPen(theme().ink);
    p.drawText(QPointF(card.left() + 10, card.top() + 21),
               QFontMetricsF(p.font()).elidedText(text(), Qt::ElideRight, card.width() - 26 - wide));
}

ItemBar::ItemBar(Session& session, QWidget* parent) : QWidget(parent), session_(session) {
    setObjectName(QStringLiteral("items"));
    row_ = sidewaysRow(this, 8, 6, 4);
    row_->addStretch(1);
    setFixedHeight(54);
}

void ItemBar::choose(const QString& key) {
    if (key == chosen_) return;
    chosen_ = key;
    refresh();
    emit chosenChanged();
}

void ItemBar::refresh() {
    const Piece* piece = session_.piece();
    const auto answers = piece ? session_.pieceAnswers(piece->id) : nullptr;
    const bool compound = piece && piece->family().body == form::Body::Compound;
    setVisible(compound);
    const QString id = piece ? qstring(piece->id) : QString();
    if (id != piece_) {
        piece_ = id;
        if (!chosen_.isEmpty()) {
            chosen_.clear();
            emit chosenChanged();
        }
    }
    if (!compound || !answers || !answers->made) return;
    const auto& items = answers->made->assembly.items;
    if (!chosen_.isEmpty() && std::ranges::find(items, chosen_.toStdString(), &form::Item::key) == items.end())
        choose({});  // taken out
    const size_t n = items.size() + 1;
    while (cards_.size() > n) {
        retire(cards_.back());
        cards_.pop_back();
    }
    while (cards_.size() < n) {
        auto* card = new ItemCard;
        connect(card, &QAbstractButton::clicked, this, [this, card] { choose(card->key()); });
        row_->insertWidget(row_->count() - 1, card);
        cards_.push_back(card);
    }
    cards_[0]->set({}, tr("The whole"), qstring(format(answers->made->mass, Dimension::Mass, session_.units())), false,
                   chosen_.isEmpty());
    for (size_t i = 0; i < items.size(); ++i)
        cards_[i + 1]->set(qstring(items[i].key), qstring(items[i].name),
                           items[i].edible ? qstring(format(answers->made->items[i], Dimension::Mass, session_.units()))
                                           : tr("not eaten"),
                           piece->shape.own.contains(items[i].key) || piece->hasOwnSteps(items[i].key),
                           qstring(items[i].key) == chosen_);
}

}  // namespace uovo::desktop
