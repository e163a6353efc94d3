#include "desktop/shell/sheet.h"

#include <QApplication>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QPainter>
#include <QPushButton>
#include <QScrollArea>
#include <QScrollBar>
#include <QVBoxLayout>

#include "desktop/kit/finger.h"
#include "desktop/kit/page.h"
#include "desktop/theme/glyph_button.h"
#include "report/fonts.h"
#include "report/text.h"

namespace uovo::desktop {

constexpr int kRenewal = 100;  // ms: while something is dragged beside it, a page is not made at every step

Sheet::Sheet(QWidget* window) : QFrame(window), title_(new QLabel), scroll_(new QScrollArea) {
    setObjectName(QStringLiteral("sheet"));
    setFixedWidth(kWidth);
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(24, 18, 14, 18);
    auto* head = new QHBoxLayout;
    title_->setFont(report::font(21, QFont::DemiBold));
    title_->setWordWrap(true);
    title_->setStyleSheet(QStringLiteral("font-size: 21px; font-weight: 600;"));
    auto* close = GlyphButton::bare(Glyph::Close, tr("Close"), tr("Close (Esc)"));
    connect(close, &QPushButton::clicked, this, [this] {
        hide();
        if (before_) before_->setFocus();
    });
    head->addWidget(title_, 1);
    head->addWidget(close, 0, Qt::AlignTop);
    box->addLayout(head);
    scroll_->setWidgetResizable(true);
    scroll_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    scrollByFinger(scroll_);
    box->addWidget(scroll_, 1);
    renewal_.setSingleShot(true);
    renewal_.setInterval(kRenewal);
    connect(&renewal_, &QTimer::timeout, this, &Sheet::renew);
    hide();
}

void Sheet::open(const QString& title, QWidget* content) {
    page_ = nullptr;
    piece_.clear();
    before_ = QApplication::focusWidget();
    title_->setText(title);
    setAccessibleName(title);
    put(content);
    fit();
    show();
    raise();
    content->setFocus();
}

void Sheet::open(const QString& title, std::function<QWidget*()> page, const QString& piece) {
    open(title, page());
    page_ = std::move(page);
    piece_ = piece;
}

void Sheet::put(QWidget* content) {
    renewal_.stop();
    content->setAutoFillBackground(false);
    content->setFocusPolicy(Qt::ClickFocus);  // keys go to it; the tabulator passes by
    if (content->accessibleName().isEmpty()) content->setAccessibleName(title());
    scroll_->setWidget(content);
}

void Sheet::follow() {
    const QWidget* at = QApplication::focusWidget();
    const auto* page = qobject_cast<Page*>(scroll_->widget());
    if (isHidden() || (at && isAncestorOf(at)) || !page || page->isWriting()) return;
    renewal_.start();
}

void Sheet::renew() {
    if (isHidden() || !page_) return;
    const QWidget* at = QApplication::focusWidget();
    const bool inside = at && isAncestorOf(at);
    QString field;
    for (; inside && field.isEmpty() && at != this; at = at->parentWidget()) field = at->objectName();
    const int scrolled = scroll_->verticalScrollBar()->value();
    put(page_());
    QApplication::sendPostedEvents(scroll_->widget(), QEvent::LayoutRequest);
    scroll_->verticalScrollBar()->setValue(scrolled);
    if (!inside) return;
    auto* again = field.isEmpty() ? nullptr : scroll_->widget()->findChild<QWidget*>(field);
    if (auto* typed = qobject_cast<Field*>(again)) again = typed->edit();
    (again ? again : scroll_->widget())->setFocus();
}

void Sheet::fit() {
    const QSize s = parentWidget()->size();
    setGeometry(s.width() - kWidth, 56, kWidth, s.height() - 56);
}

void Sheet::showEvent(QShowEvent* e) {
    QFrame::showEvent(e);
    emit openChanged();
}

void Sheet::hideEvent(QHideEvent* e) {
    renewal_.stop();
    QFrame::hideEvent(e);
    emit openChanged();
}

bool Sheet::focusNextPrevChild(bool next) {
    QWidget* from = QApplication::focusWidget();
    if (!from || !isAncestorOf(from)) return QFrame::focusNextPrevChild(next);
    const auto takes = [this](const QWidget* w) {
        return w != scroll_->widget() && isAncestorOf(w) && (w->focusPolicy() & Qt::TabFocus) && w->isEnabled() &&
               w->isVisibleTo(this) && !w->focusProxy();
    };
    QWidget* w = from;
    do w = next ? w->nextInFocusChain() : w->previousInFocusChain();
    while (w != from && !takes(w));
    if (w == from) return true;
    w->setFocus(next ? Qt::TabFocusReason : Qt::BacktabFocusReason);
    scroll_->ensureWidgetVisible(w, 20, 40);
    return true;
}

void Sheet::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.fillRect(rect(), theme().card);
    p.fillRect(QRect(0, 0, 1, height()), theme().balloon);
    QLinearGradient edge(0, 0, 10, 0);
    edge.setColorAt(0, QColor(0x2A, 0x1A, 0x12, 28));
    edge.setColorAt(1, QColor(0x2A, 0x1A, 0x12, 0));
    p.fillRect(QRect(1, 0, 10, height()), edge);
}

void Sheet::keyPressEvent(QKeyEvent* e) {
    if (e->key() != Qt::Key_Escape) return QFrame::keyPressEvent(e);
    hide();
    if (before_) before_->setFocus();
}

QWidget* workingPage(const Working& w, const QString& said) {
    constexpr size_t kFirst = 3;  // figures that are told before the formula
    auto* page = new QWidget;
    auto* box = new QVBoxLayout(page);
    box->setContentsMargins(0, 4, 10, 4);
    box->setSpacing(8);
    const auto heading = [&](const QString& s) {
        auto* l = wrapped(s, "quiet");
        l->setContentsMargins(0, 8, 0, 0);
        box->addWidget(l);
    };
    const auto figure = [&](const auto& in) {
        auto* row = new QHBoxLayout;
        row->setSpacing(12);
        auto* name = wrapped(qstring(in.name));
        auto* value = wrapped(qstring(in.value));
        value->setAlignment(Qt::AlignRight | Qt::AlignTop);
        value->setStyleSheet(QStringLiteral("font-weight: 600;"));
        row->addWidget(name, 3);
        row->addWidget(value, 2);
        box->addLayout(row);
        QStringList note;
        if (!in.range.empty()) note << QObject::tr("range %1").arg(qstring(in.range));
        if (!in.source.empty()) note << qstring(in.source);
        if (!note.isEmpty()) {
            auto* l = wrapped(note.join(QStringLiteral(" · ")), "small");
            l->setContentsMargins(0, -6, 0, 2);
            box->addWidget(l);
        }
    };
    auto* result = wrapped(qstring(w.result));
    result->setStyleSheet(QStringLiteral("font-size: 19px; font-weight: 600;"));
    box->addWidget(result);
    if (!said.isEmpty()) box->addWidget(wrapped(said));
    const bool more = w.inputs.size() > kFirst + 1;
    const size_t first = more ? kFirst : w.inputs.size();
    if (!w.inputs.empty()) heading(more ? QObject::tr("It hangs most on") : QObject::tr("It hangs on"));
    for (size_t k = 0; k < first; ++k) figure(w.inputs[k]);
    heading(QObject::tr("How it is computed"));
    box->addWidget(wrapped(qstring(w.formula)
                               .replace(QStringLiteral(";  "), QStringLiteral("\n"))
                               .replace(QStringLiteral(",  "), QStringLiteral("\n"))
                               .replace(QStringLiteral(" = "), QStringLiteral("\u00A0=\u00A0"))));
    if (more) heading(QObject::tr("What else was put in"));
    for (size_t k = first; k < w.inputs.size(); ++k) figure(w.inputs[k]);
    heading(QObject::tr("How far to trust it"));
    box->addWidget(wrapped(qstring(w.trust)));
    box->addWidget(wrapped(QObject::tr("More in docs/models.md, “%1”.").arg(qstring(w.section)), "small"));
    box->addStretch(1);
    return page;
}

}  // namespace uovo::desktop
