#include "desktop/build/order_strip.h"

#include <QEvent>
#include <QHBoxLayout>
#include <QMouseEvent>
#include <QPainter>
#include <QScrollArea>
#include <QScrollBar>

#include "desktop/kit/widgets.h"
#include "desktop/theme/theme.h"
#include "report/fonts.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {
constexpr QSize kPicture(104, 78);
constexpr int kDragged = 12;  // px: less is a press
}  // namespace

StepPicture::StepPicture(QWidget* parent) : QAbstractButton(parent) {
    setCheckable(true);
    setCursor(Qt::PointingHandCursor);
    setFocusPolicy(Qt::StrongFocus);
    setFixedSize(sizeHint());
}

void StepPicture::set(size_t number, const OrderLine& line, UnitSystem units) {
    number_ = number;
    harm_ = line.harm;
    beside_ = line.beside;
    time_ = line.hold > 0 ? qstring(format(line.hold, Dimension::Duration, units)) : QString();
    setObjectName(QStringLiteral("buildStep/%1").arg(number));
    setAccessibleName(tr("Step %1: %2").arg(number).arg(qstring(line.what)));
    setAccessibleDescription(qstring(line.how));
    setToolTip(qstring(line.what + ". " + line.how));
    update();
}

void StepPicture::setPicture(const QImage& image) {
    image_ = image;
    update();
}

void StepPicture::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const QRectF box = QRectF(rect()).adjusted(1.5, 1.5, -1.5, -1.5);
    p.setPen(hasFocus() || isChecked() ? QPen(theme().ring, 2)
                                       : QPen(harm_ ? theme().harm : theme().hairline, harm_ ? 2 : 1));
    p.setBrush(isChecked() ? theme().card : theme().ground);
    p.drawRoundedRect(box, 10, 10);
    p.setFont(report::font(16, QFont::Bold));
    p.setPen(harm_ ? theme().harm : theme().ink);
    p.drawText(QRectF(10, 7, 30, 20), Qt::AlignLeft | Qt::AlignVCenter, QString::number(number_));
    p.setFont(report::font(13));
    p.setPen(theme().quiet);
    p.drawText(QRectF(36, 7, width() - 46, 20), Qt::AlignRight | Qt::AlignVCenter,
               beside_           ? tr("beside")
               : time_.isEmpty() ? QString()
                                 : tr("hold %1").arg(time_));
    if (!image_.isNull())
        p.drawImage(QRectF(QPointF((width() - kPicture.width()) / 2.0, 32), QSizeF(kPicture)), image_);
}

void StepPicture::mousePressEvent(QMouseEvent* e) {
    pressed_ = e->pos();
    dragged_ = false;
    QAbstractButton::mousePressEvent(e);
}

void StepPicture::mouseMoveEvent(QMouseEvent* e) {
    if (pressed_ && !dragged_ && (e->pos() - *pressed_).manhattanLength() > kDragged) {
        dragged_ = true;
        setDown(false);
        raise();
    }
    if (dragged_) move(x() + e->pos().x() - pressed_->x(), y());
}

void StepPicture::mouseReleaseEvent(QMouseEvent* e) {
    pressed_.reset();
    if (!dragged_) return QAbstractButton::mouseReleaseEvent(e);
    dragged_ = false;
    emit dropped();
}

void StepPicture::keyPressEvent(QKeyEvent* e) {
    const bool with = e->modifiers() & Qt::ControlModifier;
    if (with && (e->key() == Qt::Key_Left || e->key() == Qt::Key_Right))
        emit moveWanted(e->key() == Qt::Key_Left ? -1 : 1);
    else QAbstractButton::keyPressEvent(e);
}

OrderStrip::OrderStrip(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("orderStrip"));
    row_ = sidewaysRow(this, 8, 0, 0);
    for (auto* area : findChildren<QScrollArea*>())  // the slider under it leads to every step
        area->horizontalScrollBar()->setStyleSheet(QStringLiteral("QScrollBar { height: 0px; }"));
    row_->addStretch(1);
    setFixedHeight(124);
    timer_.setInterval(0);
    connect(&timer_, &QTimer::timeout, this, &OrderStrip::paintNext);
}

void OrderStrip::setOrder(const SolidScene& whole, std::shared_ptr<const PutTogether> together,
                          std::shared_ptr<const Made> made, const std::vector<OrderLine>& lines, UnitSystem units) {
    whole_ = whole;
    together_ = std::move(together);
    made_ = std::move(made);
    lines_ = lines;
    units_ = units;
    while (pictures_.size() > lines.size()) {
        retire(pictures_.back());
        pictures_.pop_back();
    }
    while (pictures_.size() < lines.size()) {
        auto* b = new StepPicture;
        connect(b, &QAbstractButton::clicked, this, [this, k = pictures_.size() + 1] { emit stepChosen(k); });
        connect(b, &StepPicture::dropped, this, [this, k = pictures_.size() + 1] { drop(k); });
        connect(b, &StepPicture::moveWanted, this, [this, k = pictures_.size() + 1](int by) {
            const size_t to = by < 0 ? k - 1 : k + 1;
            if (to >= 1 && to <= pictures_.size()) emit moveWanted(k, to);
        });
        row_->insertWidget(static_cast<int>(pictures_.size()), b);
        pictures_.push_back(b);
    }
    for (size_t k = 0; k < lines.size(); ++k) pictures_[k]->set(k + 1, lines[k], units);
    next_ = 0;
    lines_.empty() ? timer_.stop() : timer_.start();
}

/// Where a picture was let go: before the first whose middle lies further on.
void OrderStrip::drop(size_t step) {
    const int middle = pictures_[step - 1]->geometry().center().x();
    size_t to = 1;
    for (size_t k = 0; k < pictures_.size(); ++k)
        if (k + 1 != step && pictures_[k]->geometry().center().x() < middle) ++to;
    row_->invalidate();
    row_->activate();
    if (to != step) emit moveWanted(step, to);
}

void OrderStrip::setStep(size_t step) {
    for (size_t k = 0; k < pictures_.size(); ++k) pictures_[k]->setChecked(k + 1 == step);
    if (step == 0 || step > pictures_.size()) return;
    for (QWidget* w = this; w; w = w->parentWidget())
        if (auto* area = w->findChild<QScrollArea*>()) {
            area->ensureWidgetVisible(pictures_[step - 1], 60, 0);
            break;
        }
}

void OrderStrip::paintNext() {
    if (next_ >= pictures_.size() || !together_ || !made_) return timer_.stop();
    const auto at = sceneAt(whole_, *together_, *made_, lines_, next_ + 1, false, units_);
    SolidView view;
    view.pitch = 0.34;
    view.zoom = 1.25;
    view.rim = rimLight();
    const double ratio = devicePixelRatioF();
    pictures_[next_]->setPicture(paintSolid(at.scene, view, (QSizeF(kPicture) * ratio).toSize(), true));
    ++next_;
}

void OrderStrip::changeEvent(QEvent* e) {
    if (e->type() == QEvent::PaletteChange && !lines_.empty()) {
        next_ = 0;
        timer_.start();
    }
    QWidget::changeEvent(e);
}

}  // namespace uovo::desktop
