#include "desktop/kit/calendar_leaf.h"

#include <QAbstractItemView>
#include <QHBoxLayout>
#include <QTextCharFormat>

#include "desktop/kit/widgets.h"
#include "desktop/theme/glyph_button.h"

namespace uovo::desktop {

CalendarLeaf::CalendarLeaf(const QLocale& locale, const QString& object, const QString& name, const QDate& first)
    : days_(new QCalendarWidget), month_(wrapped({})) {
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(0, 0, 0, 0);
    box->setSpacing(4);
    auto* head = new QHBoxLayout;
    month_->setStyleSheet(QStringLiteral("font-weight: 600;"));
    month_->setAlignment(Qt::AlignCenter);
    const auto arrow = [&](Glyph glyph, const QString& said, void (QCalendarWidget::*turn)()) {
        auto* b = GlyphButton::bare(glyph, said);
        connect(b, &QPushButton::clicked, days_, turn);
        return b;
    };
    days_->setObjectName(object);
    days_->setAccessibleName(name);
    if (auto* leaf = days_->findChild<QAbstractItemView*>()) leaf->setAccessibleName(tr("Days of the month"));
    days_->setLocale(locale);
    days_->setFirstDayOfWeek(locale.firstDayOfWeek());
    days_->setNavigationBarVisible(false);
    days_->setVerticalHeaderFormat(QCalendarWidget::NoVerticalHeader);
    days_->setHorizontalHeaderFormat(QCalendarWidget::ShortDayNames);
    days_->setMinimumHeight(230);
    days_->setMinimumDate(first);
    QTextCharFormat plain;
    plain.setForeground(theme().ink);
    for (int d = 1; d <= 7; ++d) days_->setWeekdayTextFormat(static_cast<Qt::DayOfWeek>(d), plain);
    QPalette even = days_->palette();
    even.setColor(QPalette::AlternateBase, theme().card);
    days_->setPalette(even);
    QTextCharFormat names;
    names.setForeground(theme().quiet);
    days_->setHeaderTextFormat(names);
    head->addWidget(arrow(Glyph::Left, tr("Month before"), &QCalendarWidget::showPreviousMonth));
    head->addWidget(month_, 1);
    head->addWidget(arrow(Glyph::Right, tr("Month after"), &QCalendarWidget::showNextMonth));
    box->addLayout(head);
    box->addWidget(days_);
    const auto leaf = [this, locale](int year, int month) {
        month_->setText(locale.standaloneMonthName(month) + QStringLiteral(" %1").arg(year));
    };
    connect(days_, &QCalendarWidget::currentPageChanged, this, leaf);
    for (const auto by : {&QCalendarWidget::clicked, &QCalendarWidget::activated})
        connect(days_, by, this, &CalendarLeaf::chosen);
    leaf(days_->yearShown(), days_->monthShown());
}

void CalendarLeaf::setDay(const QDate& day) {
    if (days_->selectedDate() != day) days_->setSelectedDate(day);
}

}  // namespace uovo::desktop
