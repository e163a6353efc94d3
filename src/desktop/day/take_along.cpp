#include "desktop/day/take_along.h"

#include <QApplication>
#include <QClipboard>
#include <QFileDialog>
#include <QPrintDialog>
#include <QPrinter>
#include <QVBoxLayout>

#include "core/words/words.h"
#include "desktop/kit/flow_layout.h"
#include "desktop/kit/widgets.h"
#include "io/calendar.h"
#include "io/plan_file.h"
#include "report/day_sheet.h"
#include "report/text.h"

namespace uovo::desktop {

TakeAlong::TakeAlong(Session& session) : session_(session), who_(choiceBox(tr("Whose work is taken along"), {})) {
    auto* flow = new FlowLayout(4, 4);
    const auto button = [&](const QString& words, const QString& tip, const char* name, auto pressed) {
        auto* b = toolButton(words, tip);
        b->setObjectName(QString::fromLatin1(name));
        connect(b, &QPushButton::clicked, this, pressed);
        flow->addWidget(b);
    };
    who_->setObjectName(QStringLiteral("whose"));
    who_->setFixedWidth(112);
    button(tr("print"), tr("Print the day as a sheet for the wall"), "printDay", [this] { print(false); });
    button(tr("cards"), tr("Print a card for each block of work"), "printCards", [this] { print(true); });
    button(tr("save"), tr("Save the day as a page (PDF), a calendar (ICS) or text"), "saveDay", [this] {
        save(QFileDialog::getSaveFileName(window(), tr("Save the day"), tr("day.pdf"),
                                          tr("Page (*.pdf);;Calendar (*.ics);;Text (*.txt)")));
    });
    button(tr("copy"), tr("Copy the day as text"), "copyDay", [this] { QApplication::clipboard()->setText(text()); });
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(0, 0, 0, 0);
    box->setSpacing(4);
    auto* head = new QHBoxLayout;
    head->addWidget(lineWord(tr("To take along, of")), 1);
    head->addWidget(who_);
    box->addLayout(head);
    box->addLayout(flow);
    refresh();
}

void TakeAlong::refresh() {
    const auto a = session_.answers();
    QStringList names{tr("everybody")};
    if (a && a->day)
        for (const auto& p : a->day->network.people) names << qstring(p.name);
    QStringList now;
    for (int i = 0; i < who_->count(); ++i) now << who_->itemText(i);
    if (names == now) return;
    who_->clear();
    who_->addItems(names);
    who_->setEnabled(names.size() > 2);
}

std::optional<size_t> TakeAlong::person() const {
    return who_->currentIndex() > 0 ? std::optional<size_t>(who_->currentIndex() - 1) : std::nullopt;
}

QString TakeAlong::text() const {
    const auto a = session_.answers();
    return a && a->day ? qstring(dayText(session_.answeredPlan(), session_.answeredLibrary(), *a->day, a->chance.get(),
                                         person()))
                       : QString();
}

bool TakeAlong::save(const QString& path, bool cards) {
    const auto a = session_.answers();
    if (path.isEmpty() || !a || !a->day || !a->day->problem.empty()) return false;
    const auto done = [&](const tl::expected<int, Problem>& pages) {
        emit said(pages ? tr("Saved %1.").arg(path) : qstring(pages.error().sentence), !pages);
        return pages.has_value();
    };
    if (path.endsWith(QLatin1String(".pdf"), Qt::CaseInsensitive))
        return done(
            cards ? report::writeTaskCards(path, session_.answeredPlan(), session_.answeredLibrary(), *a, person())
                  : report::writeDaySheet(path, session_.answeredPlan(), session_.answeredLibrary(), *a, person()));
    const bool calendar = path.endsWith(QLatin1String(".ics"), Qt::CaseInsensitive);
    const std::string words =
        calendar ? io::calendarOf(session_.answeredPlan(), *a->day, person(), session_.now()) : text().toStdString();
    return done(io::writeWhole(path.toStdString(), words).map([] { return 1; }));
}

void TakeAlong::print(bool cards) {
    const auto a = session_.answers();
    if (!a || !a->day || !a->day->problem.empty()) return;
    QPrinter printer(QPrinter::HighResolution);
    QPrintDialog dialog(&printer, window());
    dialog.setWindowTitle(cards ? tr("Print the cards") : tr("Print the day"));
    if (dialog.exec() != QDialog::Accepted) return;
    if ((cards ? report::paintTaskCards : report::paintDaySheet)(printer, session_.answeredPlan(),
                                                                 session_.answeredLibrary(), *a, person()) == 0)
        emit said(tr("The printer took nothing."), true);
}

}  // namespace uovo::desktop
