// The window: what its sheet shows.
#include "desktop/shell/main_window.h"

#include <QVBoxLayout>

#include "desktop/melt/colour_page.h"
#include "desktop/shape/coat_page.h"
#include "desktop/shape/filling_page.h"
#include "desktop/shape/mold_page.h"
#include "desktop/shape/outline_page.h"
#include "desktop/shape/profile_editor.h"
#include "desktop/shape/thing_page.h"
#include "desktop/shell/command_page.h"
#include "desktop/shell/deadline_page.h"
#include "desktop/shell/help_page.h"
#include "desktop/shell/kitchen_page.h"
#include "report/text.h"

namespace uovo::desktop {

void MainWindow::showMold() {
    sheet_->open(tr("Its own mold"), moldPage(
                                         session_,
                                         [shape = QPointer<ShapePlace>(shape_)](std::optional<SolidScene> scene) {
                                             if (shape) shape->showInstead(std::move(scene));
                                         },
                                         [window = QPointer<MainWindow>(this)] {
                                             if (window) window->showMold();
                                         },
                                         [window = QPointer<MainWindow>(this)] {
                                             if (window) window->showThing();
                                         }));
}

void MainWindow::showThing(const QString& picture) {
    sheet_->open(tr("A thing beside a coin"), thingPage(session_, picture, [window = QPointer<MainWindow>(this)] {
                     if (window) window->showMold();
                 }));
}

void MainWindow::showWorking(const Answer& answer) {
    sheet_->open(qstring(answer.working.title), workingPage(answer.working, qstring(answer.sentence)));
}

void MainWindow::showOutline(const QString& item) { sheet_->open(tr("An outline"), outlinePage(session_, item)); }

void MainWindow::showOfPiece(const QString& title, std::function<QWidget*()> page) {
    sheet_->open(title, std::move(page), session_.selected());
}

void MainWindow::showFilling(std::optional<size_t> step) {
    showOfPiece(tr("The filling"), [this, step] { return fillingPage(session_, step); });
}

void MainWindow::showColour(const QString& id) {
    sheet_->open(tr("A colour"), [this, id] { return colourPage(session_, id.toStdString()); });
}

void MainWindow::showKitchen() {
    sheet_->open(tr("Kitchen"), [this] { return kitchenPage(session_); });
}

void MainWindow::showProfile() {
    const Piece* piece = session_.piece();
    if (!piece || piece->shape.points.empty()) return;
    auto* page = new QWidget;
    auto* box = new QVBoxLayout(page);
    box->setContentsMargins(0, 6, 10, 6);
    box->addWidget(wrapped(tr("Half of the mold, its axis on the left. Drag a point; click on the line for a new one; "
                              "Delete takes the chosen one away."),
                           "quiet"));
    auto* editor = new ProfileEditor(piece->shape.points.front(), session_.units());
    auto* wrong = wrapped({}, "harm");
    connect(editor, &ProfileEditor::profileChanged, this, [this, wrong](const form::Loop& profile) {
        const Piece* now = session_.piece();
        if (!now) return;
        form::Part tried = now->shape;
        tried.points = {profile};
        const auto built = form::build(tried);
        wrong->setText(built ? QString() : qstring(built.error().sentence));
        if (built)
            session_.editPiece(
                tr("Draw the profile"), [&](Piece& p) { p.shape.points = {profile}; }, QStringLiteral("profile"));
    });
    box->addWidget(editor, 1);
    box->addWidget(wrong);
    sheet_->open(tr("Profile"), page);
    editor->setFocus();
}

void MainWindow::showDeadline() { sheet_->open(tr("When it must be ready"), deadlinePage(session_)); }

void MainWindow::showHelp() {
    const auto place = static_cast<HelpPlace>(places_->currentIndex());
    std::vector<QWidget*> points;
    switch (place) {
        case HelpPlace::Shape:
            points = {shape_->findChild<QWidget*>("shelf"), shape_->recipe(),
                      shape_->solid()->isVisible() ? static_cast<QWidget*>(shape_->solid()) : shape_->stage(),
                      shape_->coats(), shape_->answers()};
            break;
        case HelpPlace::Build:
            points = {build_->stage(), build_->strip(), build_->joints()};
            break;
        case HelpPlace::Melt:
            points = {melt_->pots().empty() ? nullptr : static_cast<QWidget*>(melt_->pots().front()), melt_->curve(),
                      melt_->shopping()};
            break;
        case HelpPlace::Day:
            points = {day_->wishes(), day_->board(), day_->steps()};
            break;
        case HelpPlace::Bench:
            points = {bench_->title(), bench_->doneTarget(), bench_->troubleTarget()};
            break;
        case HelpPlace::Log:
            points = {log_->findChild<QWidget*>("logSum"), log_->evening()};
            break;
    }
    auto* page = helpPage(
        place, places_->currentWidget(), points,
        [this](HelpPlace to) {
            goTo(static_cast<Place>(to));
            showHelp();
        },
        [this] { showCommands(); });
    sheet_->open(helpOf(place).title, page);
}

void MainWindow::showCommands() {
    const int here = places_->currentIndex();
    for (QAction* a : commands_) {
        const QVariant place = a->property(kCommandPlace);
        a->setProperty(kCommandHere, place.isValid() && place.toInt() == here);
    }
    auto* page = new CommandPage(commands_);
    connect(page, &CommandPage::chosen, this, [this](QAction* command) {
        sheet_->hide();
        command->trigger();
    });
    sheet_->open(tr("What can be done"), page);
    page->words()->setFocus();
}

}  // namespace uovo::desktop
