#include "desktop/shape/step_card.h"

#include <QHBoxLayout>
#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QVBoxLayout>

#include "core/words/words.h"
#include "desktop/shell/sheet.h"
#include "desktop/theme/theme.h"
#include "report/text.h"

namespace uovo::desktop {

QString partName(const Session& session, const std::string& key) {
    if (key.empty() || !session.piece()) return {};
    if (const auto* item = form::itemOf(session.piece()->shape, key)) return qstring(item->name);
    const auto answers = session.pieceAnswers(session.piece()->id);
    if (answers && answers->made)
        for (const auto& item : answers->made->assembly.items)
            if (item.key == key) return qstring(item.name);
    return qstring(key);
}

StepCard::StepCard(Session& session, size_t at, const QString& name, int width, QWidget* parent)
    : QFrame(parent), session_(session), at_(at), box_(new QVBoxLayout(this)) {
    setAccessibleName(name);
    setAccessibleDescription(tr("Alt with left or right moves it, Insert copies it, Delete removes it."));
    setFocusPolicy(Qt::StrongFocus);
    setFixedWidth(width);
    setCursor(Qt::OpenHandCursor);
    box_->setContentsMargins(12, 10, 12, 9);
    box_->setSpacing(4);
}

void StepCard::row(const QString& word, QWidget* left, QWidget* right) {
    auto* line = new QHBoxLayout;
    line->setSpacing(6);
    if (left) {
        line->addWidget(left);
    } else {
        auto* l = new QLabel(word);
        l->setProperty("quiet", true);
        line->addWidget(l);
    }
    line->addStretch(1);
    if (right) line->addWidget(right);
    box_->addLayout(line);
}

QLabel* StepCard::resultLine() {
    auto* line = new QFrame;
    line->setFixedHeight(1);
    line->setStyleSheet(QStringLiteral("background: %1;").arg(theme().hairline.name()));
    box_->addWidget(line);
    auto* result = new QLabel;
    result->setStyleSheet(QStringLiteral("font-weight: 600;"));
    result->setMinimumWidth(1);
    box_->addWidget(result);
    return result;
}

FigureField* StepCard::newFigure(const QString& name, const QString& place, Dimension dimension, const char* unit) {
    auto* f = new FigureField(name, place, session_.typing(dimension, unit, session_.piece()));
    f->complaint()->setMinimumWidth(150);
    return f;
}

const Step* StepCard::step() const {
    const Piece* p = session_.piece();
    return p && at_ < p->making.size() ? &p->making[at_] : nullptr;
}

void StepCard::refresh() {
    const Piece* p = session_.piece();
    if (!p) return;
    const std::string at = "pieces/" + p->id + "/";
    for (const auto& f : figures_) {
        if (const Measure* m = f.of()) f.field->setMeasure(*m, session_.units());
        f.field->setProblem(session_.problemAt(at + f.field->place().toStdString()));
    }
    if (!caution_) box_->addWidget(caution_ = new CautionLine);
    QStringList cautions;
    for (const auto& words : cautionsAt(*p, at_, session_.plan(), session_.library())) cautions << qstring(words);
    caution_->setCautions(cautions);
    const auto breaks = orderBreaks(*p, session_.plan(), session_.library());
    const auto mine = std::find_if(breaks.begin(), breaks.end(), [&](const OrderBreak& b) { return b.step == at_; });
    if (mine == breaks.end()) {
        if (wrong_) wrong_->hide();
        if (repair_) repair_->hide();
        return;
    }
    if (!wrong_) {
        wrong_ = wrapped({}, "harm");
        wrong_->setObjectName(QStringLiteral("orderBreak"));
        repair_ = new QPushButton(tr("put it right"));
        repair_->setObjectName(QStringLiteral("putRight"));
        connect(repair_, &QPushButton::clicked, this, [this] {
            session_.editPiece(tr("Put the steps in order"), [&](Piece& piece) {
                for (const auto& b : orderBreaks(piece, session_.plan(), session_.library()))
                    if (b.step == at_ && !b.repaired.empty()) {
                        piece.making = b.repaired;
                        return;
                    }
            });
        });
        box_->insertWidget(1, wrong_);
        box_->insertWidget(2, repair_, 0, Qt::AlignLeft);
    }
    wrong_->setText(qstring(mine->sentence));
    wrong_->show();
    repair_->setVisible(!mine->repaired.empty());
}

void StepCard::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const QRectF card = QRectF(rect()).adjusted(1, 1, -1, -2);
    p.setPen(Qt::NoPen);
    p.setBrush(QColor(0x2A, 0x1A, 0x12, 16));
    p.drawRoundedRect(card.translated(0, 1.2), 12, 12);
    p.setPen(QPen(hasFocus() ? theme().ring : theme().hairline, hasFocus() ? 2 : 1));
    p.setBrush(theme().card);
    p.drawRoundedRect(card, 12, 12);
}

void StepCard::keyPressEvent(QKeyEvent* e) {
    if (e->modifiers() & Qt::AltModifier && (e->key() == Qt::Key_Left || e->key() == Qt::Key_Right))
        emit moved(at_, e->key() == Qt::Key_Left ? -1 : 1);
    else if (e->key() == Qt::Key_Delete) emit removed(at_);
    else if (e->key() == Qt::Key_Insert) emit copied(at_);
    else QFrame::keyPressEvent(e);
}

void StepCard::mousePressEvent(QMouseEvent* e) {
    pressed_ = e->globalPosition().toPoint();
    from_ = x();
    setFocus();
    raise();
    setCursor(Qt::ClosedHandCursor);
}

void StepCard::mouseMoveEvent(QMouseEvent* e) {
    if (!(e->buttons() & Qt::LeftButton)) return;
    const int dx = e->globalPosition().toPoint().x() - pressed_.x();
    if (!dragging_ && std::abs(dx) < 8) return;
    dragging_ = true;
    move(from_ + dx, y());
}

void StepCard::mouseReleaseEvent(QMouseEvent* e) {
    setCursor(Qt::OpenHandCursor);
    if (!dragging_) return;
    dragging_ = false;
    // from where the hand is, not where the card is: answers that arrive meanwhile lay the row out anew
    const int dx = e->globalPosition().toPoint().x() - pressed_.x();
    parentWidget()->layout()->invalidate();
    parentWidget()->layout()->activate();
    emit dropped(at_, dx);
}

}  // namespace uovo::desktop
