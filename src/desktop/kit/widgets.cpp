#include "desktop/kit/widgets.h"

#include <QHBoxLayout>
#include <QMouseEvent>
#include <QPainter>
#include <QScrollArea>
#include <QVBoxLayout>
#include <QWhatsThis>
#include <QWheelEvent>

#include "desktop/kit/finger.h"
#include "desktop/theme/theme.h"
#include "report/fonts.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

constexpr int kReadWidth = 560;  // px: some 75 letters, as long as a line is read without losing it

/// Text that can be selected and copied, and not dragged away: answers come while a drag is under way, and take the
/// label that it began in out of the window.
class ReadLabel : public QLabel {
public:
    using QLabel::QLabel;
    int heightForWidth(int w) const override { return QLabel::heightForWidth(std::min(w, maximumWidth())); }

protected:
    void mousePressEvent(QMouseEvent* e) override {
        if (e->button() == Qt::LeftButton && hasSelectedText()) setSelection(0, 0);
        QLabel::mousePressEvent(e);
    }
};

class CalmBox : public QComboBox {
public:
    using QComboBox::QComboBox;

protected:
    void wheelEvent(QWheelEvent* e) override { e->ignore(); }
    void paintEvent(QPaintEvent* e) override {
        QComboBox::paintEvent(e);
        QPainter p(this);
        p.setRenderHint(QPainter::Antialiasing);
        p.setPen(QPen(theme().quiet, 1.6, Qt::SolidLine, Qt::RoundCap, Qt::RoundJoin));
        const QPointF c(width() - 13, height() / 2.0 + 1);
        p.drawPolyline(QPolygonF{c + QPointF(-4, -2), c + QPointF(0, 2), c + QPointF(4, -2)});
    }
};

}  // namespace

QScrollArea* scrolledDown() {
    auto* scroll = new QScrollArea;
    scroll->setWidgetResizable(true);
    scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    scroll->setFocusPolicy(Qt::NoFocus);
    scrollByFinger(scroll);
    return scroll;
}

QHBoxLayout* sidewaysRow(QWidget* in, int spacing, int below, int under) {
    auto* outer = new QVBoxLayout(in);
    outer->setContentsMargins(0, 0, 0, under);
    auto* scroll = new QScrollArea;
    scroll->setWidgetResizable(true);
    scroll->setVerticalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    scroll->setFocusPolicy(Qt::NoFocus);
    scrollByFinger(scroll);
    auto* inside = new QWidget;
    auto* row = new QHBoxLayout(inside);
    row->setContentsMargins(0, 0, 0, below);
    row->setSpacing(spacing);
    scroll->setWidget(inside);
    outer->addWidget(scroll);
    return row;
}

ShortLabel::ShortLabel() { setSizePolicy(QSizePolicy::Ignored, QSizePolicy::Preferred); }

void ShortLabel::paintEvent(QPaintEvent*) {
    if (width() < fontMetrics().averageCharWidth() * 10 && width() < sizeHint().width())
        return;  // a scrap says nothing
    QPainter p(this);
    p.setPen(palette().color(foregroundRole()));
    p.drawText(contentsRect(), Qt::AlignVCenter | Qt::AlignLeft,
               fontMetrics().elidedText(text(), Qt::ElideRight, width()));
}

CautionLine::CautionLine() {
    setObjectName(QStringLiteral("caution"));
    setFocusPolicy(Qt::TabFocus);
    setCursor(Qt::PointingHandCursor);
    setFixedHeight(22);
    setSizePolicy(QSizePolicy::Ignored, QSizePolicy::Fixed);
    QObject::connect(this, &QAbstractButton::clicked, this,
                     [this] { QWhatsThis::showText(mapToGlobal(QPoint(0, height())), toolTip(), this); });
}

void CautionLine::setCautions(const QStringList& sentences) {
    setVisible(!sentences.isEmpty());
    setText(sentences.join(QLatin1Char(' ')));
    setToolTip(sentences.join(QLatin1Char('\n')));
    setAccessibleName(QObject::tr("Caution: %1").arg(text()));
    update();
}

void CautionLine::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    if (hasFocus()) {
        p.setPen(QPen(theme().ring, 2));
        p.drawRoundedRect(QRectF(rect()).adjusted(1, 1, -1, -1), 6, 6);
    }
    paintGlyph(p, Glyph::Warning, QRectF(2, 3, 16, 16), theme().harm, theme().harm);
    p.setFont(report::font(13));
    p.setPen(theme().harm);
    const QRect words = rect().adjusted(22, 0, -2, 0);
    p.drawText(words, Qt::AlignVCenter | Qt::AlignLeft,
               QFontMetrics(p.font()).elidedText(text(), Qt::ElideRight, words.width()));
}

QLabel* wrapped(const QString& text, const char* role) {
    auto* l = new ReadLabel(text);
    l->setWordWrap(true);
    l->setTextFormat(Qt::PlainText);
    l->setTextInteractionFlags(Qt::TextSelectableByMouse);
    l->setMaximumWidth(kReadWidth);
    if (*role) l->setProperty(role, true);
    return l;
}

QLabel* heading(const QString& words, int above) {
    auto* l = wrapped(words);
    l->setStyleSheet(QStringLiteral("font-weight: 600;"));
    l->setContentsMargins(0, above, 0, 0);
    return l;
}

QLabel* lineWord(const QString& words) {
    auto* l = new QLabel(words);
    l->setMinimumHeight(28);
    return l;
}

QPushButton* toolButton(const QString& words, const QString& tip) {
    auto* b = new QPushButton(words);
    b->setProperty("flat", true);
    b->setProperty("tool", true);
    b->setToolTip(tip);
    b->setAccessibleName(tip);
    return b;
}

void retire(QWidget* widget) {
    widget->hide();
    widget->setEnabled(false);
    widget->setObjectName({});  // nor found by its name
    widget->deleteLater();
}

void emptyLayout(QLayout* layout, int keep) {
    while (layout->count() > keep) {
        QLayoutItem* item = layout->takeAt(0);
        if (item->widget()) retire(item->widget());
        delete item;
    }
}

QComboBox* choiceBox(const QString& name, const QStringList& words) {
    auto* box = new CalmBox;
    box->addItems(words);
    box->setAccessibleName(name);
    box->setToolTip(name);
    box->setSizeAdjustPolicy(QComboBox::AdjustToContents);
    box->setFocusPolicy(Qt::StrongFocus);
    return box;
}

QStringList everyPlace() {
    return {placeWords(coat::Place::Table), placeWords(coat::Place::Fridge), placeWords(coat::Place::Freezer)};
}

}  // namespace uovo::desktop
