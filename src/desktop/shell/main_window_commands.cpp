// The commands of the window: words, keys, what they do.
#include "desktop/shell/main_window.h"

#include <QActionGroup>
#include <QApplication>
#include <QClipboard>
#include <QFileDialog>
#include <QMenu>
#include <QPushButton>
#include <QSettings>
#include <QShortcut>

#include "desktop/shell/command_page.h"
#include "desktop/theme/theme.h"
#include "io/data.h"
#include "report/bench_card.h"
#include "report/language.h"
#include "report/text.h"

namespace uovo::desktop {

QAction* MainWindow::command(const QString& words, const QKeySequence& keys, std::function<void()> does,
                             std::optional<Place> where) {
    auto* a = new QAction(words, this);
    a->setShortcut(keys);
    if (where) a->setProperty(kCommandPlace, static_cast<int>(*where));
    connect(a, &QAction::triggered, this, std::move(does));
    addAction(a);
    commands_ << a;
    return a;
}

QAction* MainWindow::add(const QString& words, const QKeySequence& keys, std::function<void()> does) {
    auto* a = command(words, keys, std::move(does));
    menu_->addAction(a);
    return a;
}

namespace {
QKeySequence keys(const char* words) { return QKeySequence(QString::fromLatin1(words)); }
}  // namespace

void MainWindow::buildActions() {
    menu_ = new QMenu(this);
    add(tr("New plan …"), QKeySequence::New, [this] { arrive(); });
    add(tr("Open …"), QKeySequence::Open, [this] { openDialog(); });
    recent_ = menu_->addMenu(tr("Opened lately"));
    connect(recent_, &QMenu::aboutToShow, this, &MainWindow::fillRecent);
    command(tr("Opened lately"), keys("Ctrl+Shift+O"),
            [this] { recent_->popup(title_->mapToGlobal(QPoint(0, title_->height()))); });
    add(tr("Open the demo evening"), keys("Ctrl+Shift+N"), [this] { begin(io::demoPlanFor(session_.now()), true); });
    save_ = add(tr("Save"), QKeySequence::Save, [this] {
        session_.document().path().isEmpty() ? (void)saveDialog() : (void)saveTo(session_.document().path());
    });
    add(tr("Save in another place …"), keys("Ctrl+Shift+S"), [this] { saveDialog(); });
    menu_->addSeparator();
    addExports();
    undo_ = add(tr("Undo"), QKeySequence::Undo, [this] { goBack(true); });
    redo_ = add(tr("Redo"), QKeySequence::Redo, [this] { goBack(false); });
    menu_->addSeparator();
    add(tr("When it must be ready …"), keys("Ctrl+R"), [this] { showDeadline(); });
    add(tr("Kitchen …"), keys("Ctrl+,"), [this] { showKitchen(); });
    add(tr("Switch grams and ounces"), keys("Ctrl+M"), [this] { units_->click(); });
    add(tr("Light or dark"), keys("Ctrl+L"), [this] {
        scheme_->choose(!theme().dark);
        refreshHeader();
        emit session_.answersChanged();
    });
    addLanguages();
    add(tr("Help about this place …"), QKeySequence(Qt::Key_F1), [this] { showHelp(); });
    add(tr("Find a command, its key …"), keys("Ctrl+F1"), [this] { showCommands(); });
    menu_->addSeparator();
    add(tr("Quit"), QKeySequence::Quit, [this] { close(); });
    addCommands();
}

/// What the window, its answers and the card are told in; the names of languages are in themselves.
void MainWindow::addLanguages() {
    QMenu* menu = menu_->addMenu(tr("Language"));
    auto* one = new QActionGroup(menu);
    const QString chosen = QSettings().value(QLatin1String(report::kLanguageKey)).toString();
    const auto offer = [&](const QString& code, const QString& name) {
        QAction* a = menu->addAction(name, this, [this, code, name] {
            QSettings().setValue(QLatin1String(report::kLanguageKey), code);
            say(tr("Language: %1, from the next start of Uovo.").arg(name), false);
        });
        a->setCheckable(true);
        a->setChecked(code == chosen);
        one->addAction(a);
    };
    offer({}, tr("As the desktop"));
    for (const QString& code : report::languages()) offer(code, report::nameOf(code));
}

/// What leaves the program and comes in.
void MainWindow::addExports() {
    add(tr("Bench card as PDF …"), keys("Ctrl+B"), [this] {
        const QString path = QFileDialog::getSaveFileName(
            this, tr("Bench card"), lastFolder() + "/" + qstring(session_.plan().name) + ".pdf", tr("PDF (*.pdf)"));
        if (!path.isEmpty()) writeCard(path);
    });
    add(tr("Print the bench card …"), QKeySequence::Print, [this] { printCard(); });
    add(tr("Copy the plan as text"), keys("Ctrl+Shift+C"), [this] {
        if (const auto a = session_.answers())
            QApplication::clipboard()->setText(report::benchCardText(session_.answeredPlan(), *a));
    });
    menu_->addSeparator();
    const auto save = [this](const QString& title, const QString& ending, const QString& kinds, auto write) {
        const Piece* piece = session_.piece();
        const QString path = QFileDialog::getSaveFileName(
            this, title, lastFolder() + "/" + (piece ? qstring(piece->name) : QString()) + ending, kinds);
        if (!path.isEmpty()) write(path);
    };
    add(tr("Bring in a model or outline …"), keys("Ctrl+I"), [this] {
        const QString path = QFileDialog::getOpenFileName(this, tr("A model or outline"), lastFolder(),
                                                          tr("Models and outlines (*.stl *.obj *.ply *.3mf *.svg)"));
        if (!path.isEmpty()) files_->bring(path);
    });
    add(tr("Export the shape …"), keys("Ctrl+Shift+E"), [this, save] {
        save(tr("The shape"), QStringLiteral(".stl"), tr("STL (*.stl);;3MF (*.3mf);;OBJ (*.obj);;PLY (*.ply)"),
             [this](const QString& p) { files_->exportShape(p); });
    });
    add(tr("Export the former's surface …"), keys("Ctrl+Shift+F"), [this, save] {
        save(tr("The former's surface"), QStringLiteral("-former.stl"),
             tr("STL (*.stl);;3MF (*.3mf);;OBJ (*.obj);;PLY (*.ply)"),
             [this](const QString& p) { files_->exportShape(p, false); });
    });
    add(tr("Flat pattern as SVG …"), keys("Ctrl+Shift+L"), [this, save] {
        save(tr("Flat pattern"), QStringLiteral("-pattern.svg"), tr("SVG (*.svg)"),
             [this](const QString& p) { files_->exportPattern(p); });
    });
    add(tr("Save the picture …"), keys("Ctrl+Shift+P"), [this, save] {
        save(tr("The picture"), QStringLiteral(".png"), tr("PNG (*.png);;SVG (*.svg)"),
             [this](const QString& p) { files_->exportPicture(p); });
    });
    add(tr("Copy the picture"), keys("Ctrl+Shift+I"),
        [this] { QApplication::clipboard()->setImage(shape_->picture(2)); });
    menu_->addSeparator();
}

/// What has its own control in the window, and a key. F-keys stand in the order of the places.
void MainWindow::addCommands() {
    command(tr("Go to Shape"), keys("F2"), [this] { goTo(Place::Shape); });
    command(tr("Go to Build"), keys("F3"), [this] { goTo(Place::Build); });
    command(tr("Go to Melt"), keys("F4"), [this] { goTo(Place::Melt); });
    command(tr("Go to Day"), keys("F5"), [this] { goTo(Place::Day); });
    command(tr("Go to Bench"), keys("F6"), [this] { goTo(Place::Bench); });
    const auto atBench = [this](const char* button) {
        return [this, button] {
            goTo(Place::Bench);
            auto* b = findChild<QPushButton*>(QString::fromLatin1(button));
            if (b && b->isEnabled() && !b->isHidden()) b->click();
        };
    };
    command(tr("Begin the day at the bench"), keys("Ctrl+F6"), atBench("benchBegin"), Place::Bench);
    command(tr("Rehearse the day"), keys("Shift+F6"), atBench("benchRehearse"), Place::Bench);
    command(tr("Something happened"), keys("Alt+F6"), atBench("benchTrouble"), Place::Bench);
    command(tr("Go to Log"), keys("F7"), [this] { goTo(Place::Log); });
    command(
        tr("What the log teaches"), keys("Shift+F7"),
        [this] {
            goTo(Place::Log);
            log_->showLessons();
        },
        Place::Log);
    command(
        tr("Why did something fail"), keys("Alt+F7"),
        [this] {
            goTo(Place::Log);
            log_->askWhy({}, session_.selected(), {});
        },
        Place::Log);
    command(
        tr("Write the log out …"), keys("Ctrl+F7"),
        [this] {
            const QString path = QFileDialog::getSaveFileName(this, tr("The log"), lastFolder() + "/log.json",
                                                              tr("JSON (*.json);;Comma-separated values (*.csv)"));
            if (!path.isEmpty()) say(log_->writeTo(path), false);
        },
        Place::Log);
    command(
        tr("Take evenings into the log …"), keys("Ctrl+Shift+F7"),
        [this] {
            const QString path =
                QFileDialog::getOpenFileName(this, tr("A log"), lastFolder(), tr("Logs (*.json *.csv)"));
            if (!path.isEmpty()) say(log_->takeFrom(path), false);
        },
        Place::Log);
    const auto onShape = [this](const QString& words, const char* key, auto does) {
        return command(
            words, keys(key),
            [this, does] {
                goTo(Place::Shape);
                does();
            },
            Place::Shape);
    };
    onShape(tr("Cut it open, or turn it"), "F8", [this] { shape_->setTurning(!shape_->isTurning()); });
    onShape(tr("Will it hold"), "F9", [this] { shape_->setHolding(!shape_->isHolding()); });
    onShape(tr("The answers"), "F10", [this] { shape_->lookAtAnswers(); });
    onShape(tr("Start a piece from the gallery"), "Ctrl+G", [this] { shape_->gallery()->open(); });
    const auto presses = [this](const char* button) {
        return [this, button] {
            auto* b = findChild<QPushButton*>(QString::fromLatin1(button));
            if (b && b->isEnabled()) b->click();
        };
    };
    onShape(tr("Add a coat"), "Ctrl++", presses("addCoat"));
    onShape(tr("Notes and a picture of the piece"), "Ctrl+Shift+T", [this] { emit shape_->notesWanted(); });
    onShape(tr("Lay the piece beside another"), "Ctrl+Shift+B", [this] { emit shape_->besideWanted(); });
    onShape(tr("Keep the piece for other plans"), "Ctrl+Shift+K", [this] { shape_->keep(); });
    onShape(tr("Cast the piece in a mold of its own"), "Ctrl+Alt+K", [this] { shape_->cast(); });
    onShape(tr("A thing beside a coin, as an original …"), "Ctrl+Alt+O", [this] { showThing(); });
    onShape(tr("Copy the piece beside it"), "Ctrl+Shift+D", presses("copyPiece"));
    onShape(tr("Move the piece up the shelf"), "Alt+Shift+Up", presses("pieceUp"));
    onShape(tr("Move the piece down the shelf"), "Alt+Shift+Down", presses("pieceDown"));
    onShape(tr("Take the piece off the shelf"), "Ctrl+Shift+X", presses("removePiece"));
    onShape(tr("Next piece on the shelf"), "Ctrl+PgDown", [this] { step(1); });
    onShape(tr("Piece before it on the shelf"), "Ctrl+PgUp", [this] { step(-1); });
    command(tr("Go to what is wrong"), keys("F12"), [this] {
        if (problems_->count() > 0) problems_->click();
    });
    connect(new QShortcut(keys("Esc"), this), &QShortcut::activated, this, [this] {
        if (door_->isVisible()) door_->hide();
        else if (shape_->gallery()->isVisible() && !sheet_->isVisible()) shape_->gallery()->hide();
        else if (sheet_->isVisible()) sheet_->hide();
        else shape_->setAnswersOpen(false);
    });
}

}  // namespace uovo::desktop
