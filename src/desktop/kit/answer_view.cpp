#include "desktop/kit/answer_view.h"

#include <QPainter>
#include <QScrollArea>
#include <QTextLayout>

#include "desktop/kit/widgets.h"
#include "desktop/theme/theme.h"
#include "report/fonts.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

constexpr int kLeft = kColumnLeft, kWidth = kColumnWidth;
constexpr double kLine = 19;

/// Lays the sentence out; paints it when `p` is given. @returns its height
double sentence(const QString& words, double width, QPainter* p, const QPointF& at) {
    QTextLayout layout(words, report::font(14.5));
    layout.beginLayout();
    double y = 0;
    while (true) {
        QTextLine line = layout.createLine();
        if (!line.isValid()) break;
        line.setLineWidth(width);
        line.setPosition(QPointF(0, y));
        y += kLine;
    }
    layout.endLayout();
    if (p) layout.draw(p, at);
    return y;
}

}  // namespace

AnswerView::AnswerView(const Answer& answer, UnitSystem units, bool former, QWidget* parent)
    : QAbstractButton(parent), answer_(answer), units_(units), former_(former) {
    setObjectName(QStringLiteral("answer/") + qstring(answer.id));
    setAccessibleName(qstring(answer.headline + " " + answer.after + ". " + answer.sentence));
    setAccessibleDescription(former ? tr("As it was before; shows the working") : tr("Shows the working"));
    setToolTip(former ? tr("As it was before") : tr("Show the working"));
    setCursor(Qt::PointingHandCursor);
    setFocusPolicy(Qt::StrongFocus);
    QSizePolicy policy(QSizePolicy::Expanding, QSizePolicy::Fixed);
    policy.setHeightForWidth(true);
    setSizePolicy(policy);
}

int AnswerView::heightForWidth(int width) const {
    return static_cast<int>(34 + sentence(bound(answer_.sentence), width - kLeft - 10, nullptr, {}) + 10);
}
QSize AnswerView::sizeHint() const { return {kWidth - 20, heightForWidth(kWidth - 20)}; }

void AnswerView::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const bool harm = answer_.tone == Tone::Weak || answer_.tone == Tone::Impossible;
    if (harm) p.fillRect(QRectF(0, 4, 4, height() - 8), theme().harm);
    if (underMouse() || hasFocus()) {
        p.setPen(hasFocus() ? QPen(theme().ring, 2) : QPen(Qt::NoPen));
        p.setBrush(underMouse() ? theme().hairline.lighter(theme().dark ? 90 : 106) : QBrush(Qt::NoBrush));
        p.drawRoundedRect(QRectF(rect()).adjusted(6, 1, -1, -1), 8, 8);
    }
    if (former_) p.setOpacity(0.5);
    double x = kLeft;
    p.setFont(report::font(23, QFont::Bold));
    p.setPen(theme().ink);
    p.drawText(QPointF(x, 25), qstring(answer_.headline));
    x += QFontMetricsF(p.font()).horizontalAdvance(qstring(answer_.headline)) + 7;
    p.setFont(report::font(15.5, QFont::Medium));
    p.setPen(answer_.tone == Tone::Good ? theme().good : theme().ink);
    p.drawText(QPointF(x, 25),
               QFontMetricsF(p.font()).elidedText(qstring(answer_.after), Qt::ElideRight, width() - x - 6));
    p.setPen(theme().quiet);
    sentence(bound(answer_.sentence), width() - kLeft - 10, &p, QPointF(kLeft, 33));
}

QVBoxLayout* answerColumn(QWidget* in, QWidget*& page) {
    in->setMinimumWidth(kWidth - 12);
    in->setMaximumWidth(kWidth + 150);
    auto* box = new QVBoxLayout(in);
    box->setContentsMargins(8, 10, 4, 10);
    auto* scroll = scrolledDown();
    page = new QWidget;
    auto* list = new QVBoxLayout(page);
    list->setContentsMargins(0, 0, 6, 0);
    list->setSpacing(4);
    list->addStretch(1);
    scroll->setWidget(page);
    box->addWidget(scroll);
    return list;
}

}  // namespace uovo::desktop
