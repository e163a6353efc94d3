#include "desktop/shell/main_window.h"

#include <QAbstractButton>
#include <QApplication>
#include <QClipboard>
#include <QCloseEvent>
#include <QCryptographicHash>
#include <QDir>
#include <QDragEnterEvent>
#include <QFileDialog>
#include <QFileInfo>
#include <QMenu>
#include <QMessageBox>
#include <QMimeData>
#include <QPainter>
#include <QPrintDialog>
#include <QPrinter>
#include <QScreen>
#include <QScrollArea>
#include <QShortcut>
#include <QTimer>
#include <QVBoxLayout>
#include <algorithm>

#include "core/document/edits.h"
#include "desktop/melt/colour_page.h"
#include "desktop/shape/advisor_page.h"
#include "desktop/shape/coat_page.h"
#include "desktop/shape/filling_page.h"
#include "desktop/shape/profile_editor.h"
#include "desktop/shape/snap_page.h"
#include "desktop/shape/topping_page.h"
#include "desktop/shell/command_page.h"
#include "desktop/shell/deadline_page.h"
#include "desktop/shell/difference_page.h"
#include "desktop/shell/kitchen_page.h"
#include "desktop/theme/glyph_button.h"
#include "io/data.h"
#include "report/bench_card.h"
#include "report/fonts.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

constexpr int kRail = 76, kHeader = 56, kMostRecent = 8;
constexpr QSize kLeast(950, 640);   // in a smaller window all of it is scrolled; ten px for the bar of a lower one
constexpr int kSheetBeside = 1230;  // px of the window: in a narrower one a sheet lies over the place

}  // namespace

/// The places, each as large as the window lets it be: what a place needs more it scrolls itself.
class Places : public QStackedWidget {
public:
    bool hasHeightForWidth() const override { return false; }
    QSize minimumSizeHint() const override { return {0, 0}; }
};

/// A place on the rail: glyph over a word, a yolk mark when one is there.
class RailButton : public QAbstractButton {
public:
    RailButton(Glyph glyph, const QString& word) : glyph_(glyph) {
        setText(word);
        setCheckable(true);
        setAutoExclusive(true);
        setFixedSize(kRail, 74);
        setCursor(Qt::PointingHandCursor);
        setAccessibleName(word);
    }

protected:
    void paintEvent(QPaintEvent*) override {
        QPainter p(this);
        p.setRenderHint(QPainter::Antialiasing);
        if (isChecked()) {
            p.setPen(Qt::NoPen);
            p.setBrush(theme().ring);
            p.drawRoundedRect(QRectF(-5, 14, 10, height() - 28), 5, 5);
        }
        if (hasFocus()) {
            p.setPen(QPen(theme().ring, 2));
            p.setBrush(Qt::NoBrush);
            p.drawRoundedRect(QRectF(rect()).adjusted(8, 4, -6, -4), 9, 9);
        }
        paintGlyph(p, glyph_, QRectF(width() / 2.0 - 13, 11, 26, 26), isChecked() ? theme().ink : theme().quiet,
                   theme().yolk);
        p.setFont(report::font(14, isChecked() ? QFont::DemiBold : QFont::Normal));
        p.setPen(isChecked() ? theme().ink : theme().quiet);
        p.drawText(QRectF(0, 42, width(), 20), Qt::AlignCenter, text());
    }

private:
    Glyph glyph_;
};

MainWindow::MainWindow(Session& session)
    : session_(session),
      places_(new Places),
      shape_(new ShapePlace(session)),
      melt_(new MeltPlace(session)),
      day_(new DayPlace(session)) {
    setWindowTitle(QStringLiteral("Uovo"));
    files_ =
        new ShapeFiles(session_, *shape_, this, [this](const QString& sentence, bool harm) { say(sentence, harm); });
    setAcceptDrops(true);
    setMinimumSize(420, 320);
    auto* scroll = new QScrollArea;
    scroll->setWidgetResizable(true);
    scroll->setFocusPolicy(Qt::NoFocus);
    auto* centre = new QWidget;
    centre->setObjectName(QStringLiteral("all"));
    centre->setMinimumSize(kLeast);
    scroll->setWidget(centre);
    setCentralWidget(scroll);
    auto* column = new QVBoxLayout(centre);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(0);
    buildActions();
    buildHeader(centre, column);

    notices_ = new NoticeBar;
    column->addWidget(notices_);

    auto* row = row_ = new QHBoxLayout;
    row->setSpacing(0);
    auto* rail = new QWidget;
    rail->setFixedWidth(kRail);
    auto* railBox = new QVBoxLayout(rail);
    railBox->setContentsMargins(0, 10, 0, 10);
    railBox->setSpacing(2);
    shapeButton_ = new RailButton(Glyph::Shape, tr("Shape"));
    meltButton_ = new RailButton(Glyph::Melt, tr("Melt"));
    dayButton_ = new RailButton(Glyph::Day, tr("Day"));
    meltButton_->setToolTip(tr("The pots: tempering, shopping (F4)"));
    shapeButton_->setToolTip(tr("One piece: former, coats, wall (F2)"));
    dayButton_->setToolTip(tr("The day: when to do what (F5)"));
    railBox->addWidget(shapeButton_);
    railBox->addWidget(meltButton_);
    railBox->addWidget(dayButton_);
    railBox->addStretch(1);
    row->addWidget(rail);
    auto* rule = new QFrame;
    rule->setFixedWidth(1);
    rule->setObjectName(QStringLiteral("rule"));
    row->addWidget(rule);
    places_->addWidget(shape_);
    places_->addWidget(melt_);
    places_->addWidget(day_);
    row->addWidget(places_, 1);
    column->addLayout(row, 1);
    connect(shapeButton_, &QAbstractButton::clicked, this, [this] { goTo(Place::Shape); });
    connect(meltButton_, &QAbstractButton::clicked, this, [this] { goTo(Place::Melt); });
    connect(dayButton_, &QAbstractButton::clicked, this, [this] { goTo(Place::Day); });
    sheet_ = new Sheet(centre);
    connect(sheet_, &Sheet::openChanged, this, &MainWindow::placeSheet);
    connect(shape_, &ShapePlace::drawingWanted, this, &MainWindow::showProfile);
    connect(shape_, &ShapePlace::workingWanted, this, &MainWindow::showWorking);
    connect(shape_, &ShapePlace::coatWanted, this,
            [this](size_t index) { sheet_->open(tr("Coat %1, in detail").arg(index + 1), coatPage(session_, index)); });
    connect(shape_, &ShapePlace::snapWanted, this, [this] { sheet_->open(tr("Snap test"), snapPage(session_)); });
    connect(shape_, &ShapePlace::fillingWanted, this,
            [this] { sheet_->open(tr("The filling"), fillingPage(session_)); });
    connect(shape_, &ShapePlace::stepPageWanted, this, [this](size_t at) {
        const Piece* piece = session_.piece();
        if (!piece || at >= piece->making.size()) return;
        if (std::holds_alternative<TopStep>(piece->making[at]))
            sheet_->open(tr("The topping"), toppingPage(session_, at));
        if (std::holds_alternative<FillStep>(piece->making[at]))
            sheet_->open(tr("The filling"), fillingPage(session_, at));
    });
    connect(melt_, &MeltPlace::colourWanted, this,
            [this](const QString& id) { sheet_->open(tr("A colour"), colourPage(session_, id.toStdString())); });
    connect(shape_, &ShapePlace::adviceWanted, this,
            [this] { sheet_->open(tr("Ways to another wall"), new AdvisorPage(session_)); });
    connect(day_, &DayPlace::workingWanted, this, &MainWindow::showWorking);
    connect(&session_, &Session::planChanged, this, &MainWindow::refreshHeader);
    connect(&session_, &Session::answersChanged, this, &MainWindow::refreshHeader);
    connect(&session_.document(), &Document::fileChanged, this, &MainWindow::refreshHeader);
    connect(&session_.document(), &Document::recoveryFailed, this, [this](const QString& why) {
        say(tr("Your work cannot be kept against a crash just now: save it. %1").arg(why), true);
    });
    connect(&session_.document(), &Document::fileChanged, this,
            [this] { notices_->withdraw(QStringLiteral("others")); });
    connect(&session_.document(), &Document::refused, this, [this](const QString& why) { say(why, true); });
    connect(&session_.document(), &Document::changedByOthers, this, [this] {
        if (notices_->isOpen(QStringLiteral("others"))) return;  // asked already, about a saving
        askAboutFile(
            tr("Another program or window wrote %1 just now.").arg(QFileInfo(session_.document().path()).fileName()));
    });
    qApp->installEventFilter(this);
    goTo(Place::Shape);
    const QByteArray geometry = settings_.value(QStringLiteral("window")).toByteArray();
    if (geometry.isEmpty() || !restoreGeometry(geometry)) resize(QSize(1280, 800).boundedTo(screen()->availableSize()));
}

bool MainWindow::eventFilter(QObject* object, QEvent* event) {
    // Undo belongs to the plan unless words are being typed in a field right now.
    if (event->type() == QEvent::ShortcutOverride) {
        const auto* edit = qobject_cast<QLineEdit*>(object);
        auto* key = static_cast<QKeyEvent*>(event);
        if (edit && !edit->isModified() && (key->matches(QKeySequence::Undo) || key->matches(QKeySequence::Redo))) {
            event->ignore();
            return true;
        }
    }
    return QMainWindow::eventFilter(object, event);
}

void MainWindow::goTo(Place place) {
    places_->setCurrentIndex(place == Place::Shape ? 0 : place == Place::Melt ? 1 : 2);
    (place == Place::Shape ? shapeButton_ : place == Place::Melt ? meltButton_ : dayButton_)->setChecked(true);
}

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
    add(tr("New plan"), QKeySequence::New, [this] { newPlan(); });
    add(tr("Open …"), QKeySequence::Open, [this] { openDialog(); });
    recent_ = menu_->addMenu(tr("Opened lately"));
    connect(recent_, &QMenu::aboutToShow, this, &MainWindow::fillRecent);
    command(tr("Opened lately"), keys("Ctrl+Shift+O"),
            [this] { recent_->popup(title_->mapToGlobal(QPoint(0, title_->height()))); });
    add(tr("Open the demo evening"), keys("Ctrl+Shift+N"), [this] {
        if (mayLeave()) session_.document().setPlan(io::demoPlanFor(session_.now(), 9 * 60), {});
    });
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
        setDarkTheme(!theme().dark);
        settings_.setValue(QStringLiteral("dark"), theme().dark);
        refreshHeader();
        emit session_.answersChanged();
    });
    add(tr("Find a command, its key …"), QKeySequence(Qt::Key_F1), [this] { showCommands(); });
    menu_->addSeparator();
    add(tr("Quit"), QKeySequence::Quit, [this] { close(); });
    addCommands();
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
            QApplication::clipboard()->setText(report::benchCardText(session_.plan(), *a));
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

/// What has its own control in the window, and a key. F-keys stand in the order of the places; F3, F6 and F7 are for
/// those to come.
void MainWindow::addCommands() {
    command(tr("Go to Shape"), keys("F2"), [this] { goTo(Place::Shape); });
    command(tr("Go to Melt"), keys("F4"), [this] { goTo(Place::Melt); });
    command(tr("Go to Day"), keys("F5"), [this] { goTo(Place::Day); });
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
        if (shape_->gallery()->isVisible() && !sheet_->isVisible()) shape_->gallery()->hide();
        else if (sheet_->isVisible()) sheet_->hide();
        else shape_->setAnswersOpen(false);
    });
}

void MainWindow::step(int by) {
    const auto& pieces = session_.plan().pieces;
    const auto at = std::ranges::find(pieces, session_.selected().toStdString(), &Piece::id) - pieces.begin() + by;
    if (at >= 0 && at < std::ssize(pieces)) session_.select(qstring(pieces[static_cast<size_t>(at)].id));
}

void MainWindow::buildHeader(QWidget*, QVBoxLayout* column) {
    auto* header = new QFrame;
    header->setObjectName(QStringLiteral("header"));
    header->setFixedHeight(kHeader);
    auto* row = new QHBoxLayout(header);
    row->setContentsMargins(14, 0, 14, 0);
    row->setSpacing(4);
    const auto flat = [&](const QString& name, QPushButton* b = new QPushButton) {
        b->setProperty("flat", true);
        b->setAccessibleName(name);
        b->setToolTip(name);
        b->setCursor(Qt::PointingHandCursor);
        return b;
    };
    title_ = flat(tr("The plan: open, save, print"));
    connect(title_, &QPushButton::clicked, this,
            [this] { menu_->popup(title_->mapToGlobal(QPoint(0, title_->height()))); });
    title_->setObjectName(QStringLiteral("planMenu"));
    ready_ = flat(tr("When it must be ready"));
    connect(ready_, &QPushButton::clicked, this, &MainWindow::showDeadline);
    problems_ = new ProblemsButton(session_);
    connect(problems_, &ProblemsButton::placeWanted, this, qOverload<const QString&>(&MainWindow::lead));
    connect(problems_, &ProblemsButton::fieldWanted, this, qOverload<Field*>(&MainWindow::lead));
    kitchen_ = flat(tr("Kitchen: room, fridge, freezer, shelf"));
    connect(kitchen_, &QPushButton::clicked, this, &MainWindow::showKitchen);
    units_ = flat(tr("Switch grams and ounces"));
    units_->setObjectName(QStringLiteral("units"));
    connect(units_, &QPushButton::clicked, this, [this] {
        session_.document().edit(tr("Switch units"), [](Plan& p) {
            switchUnits(p, p.units == UnitSystem::Metric ? UnitSystem::US : UnitSystem::Metric);
        });
    });
    const auto tool = [&](QAction* action, Glyph glyph, const QString& name) {
        auto* b = flat(name, new GlyphButton(glyph));
        b->setEnabled(false);
        connect(b, &QPushButton::clicked, action, &QAction::trigger);
        connect(action, &QAction::changed, b, [b, action] {
            b->setEnabled(action->isEnabled());
            b->setToolTip(action->text());
        });
        return b;
    };
    row->addWidget(title_);
    row->addWidget(ready_);
    row->addWidget(problems_);
    told_ = new ShortLabel;
    told_->setObjectName(QStringLiteral("cameBack"));
    told_->setProperty("small", true);
    row->addWidget(told_, 1);
    row->addWidget(tool(undo_, Glyph::Undo, tr("Undo")));
    row->addWidget(tool(redo_, Glyph::Redo, tr("Redo")));
    row->addSpacing(10);
    row->addWidget(kitchen_);
    row->addWidget(units_);
    column->addWidget(header);
}

void MainWindow::refreshHeader() {
    const Plan& plan = session_.plan();
    Document& doc = session_.document();
    title_->setText(qstring(plan.name) + (doc.isModified() ? QStringLiteral(" •") : QString()) + QStringLiteral("  ▾"));
    setWindowTitle(qstring(plan.name) + (doc.isModified() ? QStringLiteral(" • Uovo") : QStringLiteral(" – Uovo")));
    QString ready = tr("ready %1").arg(qstring(plan.deadline));
    if (const auto at = localMinutes(plan.deadline)) {
        const QDateTime when =
            QDateTime::fromString(qstring(plan.deadline).left(16), QStringLiteral("yyyy-MM-ddTHH:mm"));
        ready = tr("ready %1").arg(QLocale(QLocale::English).toString(when, QStringLiteral("dddd d MMMM, HH:mm")));
        const auto a = session_.answers();
        if (session_.isComplete() && a && a->day && a->day->problem.empty()) {
            const bool late = a->day->minuteOf(session_.now()) > a->day->layout.begins;
            ready += tr(" · start by %1").arg(qstring(a->day->clock(a->day->layout.begins).substr(11))) +
                     (late ? tr(" (too late)") : QString());
        }
    }
    ready_->setText(ready);
    const auto t = [&](double c) { return qstring(format(c, Dimension::Temperature, plan.units)); };
    kitchen_->setText(tr("%1 · %2").arg(t(plan.kitchen.room.value),
                                        qstring(format(plan.kitchen.humidity.value, Dimension::Percent, plan.units))));
    units_->setText(plan.units == UnitSystem::Metric ? tr("g · mm · °C") : tr("oz · in · °F"));
    title_->setAccessibleName(tr("The plan %1%2: open, save, print")
                                  .arg(qstring(plan.name), doc.isModified() ? tr(", not saved") : QString()));
    ready_->setAccessibleName(tr("When it must be ready: %1").arg(ready));
    kitchen_->setAccessibleName(tr("Kitchen: %1").arg(kitchen_->text()));
    units_->setAccessibleName(tr("Units: %1; switches grams and ounces").arg(units_->text()));
    undo_->setEnabled(doc.canUndo());
    undo_->setText(doc.canUndo() ? tr("Undo: %1").arg(doc.undoLabel()) : tr("Undo"));
    redo_->setEnabled(doc.canRedo());
    redo_->setText(doc.canRedo() ? tr("Redo: %1").arg(doc.redoLabel()) : tr("Redo"));
    refreshProblems();
}

void MainWindow::goBack(bool back) {
    Document& doc = session_.document();
    const QString label = back ? doc.undoLabel() : doc.redoLabel();
    const Plan before = session_.plan();
    back ? doc.undo() : doc.redo();
    const auto changed = differences(session_.plan(), before);
    if (changed.empty()) return;
    for (const auto& p : session_.plan().pieces) {  // what came back is looked at
        const auto was = std::ranges::find(before.pieces, p.id, &Piece::id);
        if (was != before.pieces.end() && *was == p) continue;
        session_.select(qstring(p.id));
        break;
    }
    const auto& d = changed.front();
    QString words = tr("%1: %2").arg(back ? tr("Taken back") : tr("Done again"), label);
    words += QStringLiteral(" · ") + qstring(d.what);
    if (!d.mine.empty() && d.mine.size() < 40) words += tr(" is %1 again").arg(qstring(d.mine));
    told_->setText(words);
    told_->setAccessibleName(words);
    told_->setToolTip(words);
    QTimer::singleShot(8000, told_, [this, words] {
        if (told_->toolTip() == words) told_->clear();
    });
}

bool MainWindow::event(QEvent* e) {
    if (e->type() == Field::refusedEvent()) refreshProblems();
    return QMainWindow::event(e);
}

void MainWindow::refreshProblems() {
    QList<Field*> refused;
    for (auto* f : findChildren<Field*>())
        if (f->isRefused() && f->isEnabled() && (!sheet_->isAncestorOf(f) || !sheet_->isHidden())) refused << f;
    problems_->refresh(refused);
}

void MainWindow::lead(Field* field) {
    if (!sheet_->isAncestorOf(field)) {
        if (shape_->isAncestorOf(field)) goTo(Place::Shape);
        if (melt_->isAncestorOf(field)) goTo(Place::Melt);
        if (day_->isAncestorOf(field)) goTo(Place::Day);
    }
    for (QWidget* p = field->parentWidget(); p; p = p->parentWidget())
        if (auto* area = qobject_cast<QScrollArea*>(p)) area->ensureWidgetVisible(field);
    field->edit()->setFocus();
    field->edit()->selectAll();
}

void MainWindow::lead(const QString& where) {
    const QStringList parts = where.split(QLatin1Char('/'));
    const QString of = parts.front(), rest = parts.mid(of == QStringLiteral("pieces") ? 2 : 0).join(QLatin1Char('/'));
    if (of == QStringLiteral("pieces") && parts.size() > 1) {
        goTo(Place::Shape);
        session_.select(parts[1]);
        if (rest.startsWith(QStringLiteral("filling/"))) sheet_->open(tr("The filling"), fillingPage(session_));
    } else if (of == QStringLiteral("kitchen")) {
        showKitchen();
    } else if (of == QStringLiteral("deadline") || of == QStringLiteral("name")) {
        showDeadline();
    } else if (of == QStringLiteral("fillings") && parts.size() > 1) {
        for (const auto& p : session_.plan().pieces)
            for (size_t k = 0; k < p.making.size(); ++k)
                if (const auto* fill = std::get_if<FillStep>(&p.making[k]);
                    fill && qstring(fill->filling) == parts[1]) {
                    session_.select(qstring(p.id));
                    sheet_->open(tr("The filling"), fillingPage(session_, k));
                }
    } else if (of == QStringLiteral("colours") && parts.size() > 1) {
        goTo(Place::Melt);
        sheet_->open(tr("A colour"), colourPage(session_, parts[1].toStdString()));
    } else {
        goTo(Place::Melt);
    }
    const QString tail = parts.mid(1).join(QLatin1Char('/'));
    for (const QString& name : {rest, where, tail})
        for (auto* f : findChildren<Field*>(name))
            if (f->isVisibleTo(this)) return lead(f);
}

void MainWindow::say(const QString& sentence, bool harm) { notices_->say(sentence, harm); }

void MainWindow::offerRecovered() {
    const auto recovered = session_.document().findRecovered();
    if (!recovered) return;
    notices_->offer(
        QStringLiteral("recovered"),
        tr("Uovo ended before “%1” was saved. The plan was kept as it was.").arg(qstring(recovered->plan.name)),
        {{tr("Take it back"), QStringLiteral("takeBack"),
          [this, r = *recovered] {
              if (mayLeave()) session_.document().takeRecovered(r);
              else offerRecovered();
          }},
         {tr("Throw it away"), QStringLiteral("throwAway"),
          [this, r = *recovered] { session_.document().discardRecovered(r); }}});
}

std::vector<NoticeBar::Answer> MainWindow::aboutFile() {
    return {{tr("Take the file's"), QStringLiteral("takeTheirs"),
             [this] {
                 sheet_->hide();
                 if (auto ok = session_.document().takeFromDisk(); !ok)
                     say(tr("The file cannot be taken: %1").arg(qstring(ok.error().sentence)), true);
             }},
            {tr("Write mine over it"), QStringLiteral("writeMine"),
             [this] {
                 sheet_->hide();
                 session_.document().keepMine();
                 saveTo(session_.document().path());
             }},
            {tr("Save mine elsewhere …"), QStringLiteral("saveElsewhere"), [this] { saveDialog(); }, true}};
}

void MainWindow::askAboutFile(const QString& sentence) {
    std::vector<NoticeBar::Answer> answers = aboutFile();
    answers.insert(answers.begin(), {tr("Show both"), QStringLiteral("showBoth"), [this] { showDifferences(); }, true});
    notices_->offer(QStringLiteral("others"), sentence, answers);
}

void MainWindow::showDifferences() {
    const auto theirs = session_.document().onDisk();
    if (!theirs) return say(tr("The file cannot be read: %1").arg(qstring(theirs.error().sentence)), true);
    QWidget* page =
        differencePage(differences(session_.plan(), *theirs), QFileInfo(session_.document().path()).fileName());
    auto* grid = new QGridLayout;  // the page lies over the bar that asks
    int n = 0;
    for (const auto& answer : aboutFile()) {
        auto* b = new QPushButton(answer.words);
        b->setObjectName(QStringLiteral("page/") + answer.objectName);
        connect(b, &QPushButton::clicked, this, answer.act);
        grid->addWidget(b, n / 2, n % 2);
        ++n;
    }
    static_cast<QVBoxLayout*>(page->layout())->insertLayout(1, grid);
    sheet_->open(tr("Two versions"), page);
}

bool MainWindow::mayLeave() {
    if (!session_.document().isModified()) return true;
    QMessageBox box(this);
    box.setWindowTitle(tr("Unsaved changes"));
    box.setText(tr("“%1” has changes that are not saved.").arg(qstring(session_.plan().name)));
    auto* save = box.addButton(tr("Save"), QMessageBox::AcceptRole);
    auto* leave = box.addButton(tr("Leave them"), QMessageBox::DestructiveRole);
    box.addButton(tr("Stay"), QMessageBox::RejectRole);
    box.exec();
    if (box.clickedButton() == save)
        return session_.document().path().isEmpty() ? saveDialog() : saveTo(session_.document().path());
    return box.clickedButton() == leave;
}

void MainWindow::newPlan() {
    if (!mayLeave()) return;
    Plan plan;
    plan.units = session_.units();
    plan.deadline = localTime(session_.now() / 1440 * 1440 + 1440 + 18 * 60);
    session_.document().setPlan(plan, {});
    goTo(Place::Shape);
}

QString MainWindow::lastFolder() const {
    return settings_.value(QStringLiteral("folder"), QDir::homePath()).toString();
}

void MainWindow::openDialog() {
    if (!mayLeave()) return;
    const QString path = QFileDialog::getOpenFileName(this, tr("Open a plan"), lastFolder(),
                                                      tr("Plans of Uovo (*.uovo);;All files (*)"));
    if (!path.isEmpty()) openFile(path);
}

QString MainWindow::lockOf(const QString& path) const {
    const QString folder = session_.dataFolder() + QStringLiteral("/open/");
    QDir().mkpath(folder);
    const QString key = QString::fromLatin1(
        QCryptographicHash::hash(QFileInfo(path).canonicalFilePath().toUtf8(), QCryptographicHash::Sha1).toHex());
    return folder + key;
}

bool MainWindow::reopen(const QString& path) {
    QLockFile lock(lockOf(path));
    lock.setStaleLockTime(0);
    const bool died = settings_.value(QStringLiteral("openNow")).toString() == path && lock.tryLock(0);
    if (!died) return openFile(path);
    lock.unlock();
    notices_->offer(
        QStringLiteral("reopen"),
        tr("Uovo ended while %1 was open, so it was not opened again by itself.").arg(QFileInfo(path).fileName()),
        {{tr("Open it"), QStringLiteral("openAgain"),
          [this, path] {
              if (mayLeave()) openFile(path);
          }},
         {tr("Leave it"), {}, [] {}}});
    return false;
}

bool MainWindow::openFile(const QString& path) {
    settings_.setValue(QStringLiteral("openNow"), path);
    settings_.sync();  // before it is reckoned: what ends the program must be known at its next start
    if (auto ok = session_.document().open(path); !ok) {
        say(tr("%1 was not opened. %2").arg(QFileInfo(path).fileName(), qstring(ok.error().sentence)), true);
        return false;
    }
    notices_->hush();
    lock_ = std::make_unique<QLockFile>(lockOf(path));
    lock_->setStaleLockTime(0);
    if (!lock_->tryLock(0))
        say(tr("%1 is open in another window too: whichever saves second will be asked.")
                .arg(QFileInfo(path).fileName()),
            false);
    remember(path);
    return true;
}

bool MainWindow::saveDialog() {
    QString path = QFileDialog::getSaveFileName(this, tr("Save the plan"),
                                                lastFolder() + "/" + qstring(session_.plan().name) + ".uovo",
                                                tr("Plans of Uovo (*.uovo)"));
    if (path.isEmpty()) return false;
    if (QFileInfo(path).suffix().isEmpty()) path += QStringLiteral(".uovo");
    return saveTo(path);
}

bool MainWindow::saveTo(const QString& path, io::Fault fault) {
    if (QFileInfo(path) == QFileInfo(session_.document().path()) && session_.document().changedOnDisk()) {
        askAboutFile(tr("%1 was not saved: another program or window wrote it since you opened it.")
                         .arg(QFileInfo(path).fileName()));
        return false;
    }
    if (auto ok = session_.document().save(path, fault); !ok) {
        say(qstring(ok.error().sentence), true);
        return false;
    }
    notices_->hush();
    remember(path);
    return true;
}

bool MainWindow::writeCard(const QString& path) {
    const auto a = session_.answers();
    if (!a || session_.isStale()) {
        say(tr("The answers are still being computed; try again in a moment."), false);
        return false;
    }
    const auto pages = report::writeBenchCard(path, session_.plan(), session_.library(), *a);
    if (!pages) {
        say(qstring(pages.error().sentence), true);
        return false;
    }
    say(tr("The bench card is in %1 (%2 pages).").arg(path).arg(*pages), false);
    return true;
}

void MainWindow::printCard() {
    const auto a = session_.answers();
    if (!a || session_.isStale()) return say(tr("The answers are still being computed; try again in a moment."), false);
    QPrinter printer(QPrinter::HighResolution);
    QPrintDialog dialog(&printer, this);
    if (dialog.exec() != QDialog::Accepted) return;
    if (report::paintBenchCard(printer, session_.plan(), session_.library(), *a) == 0)
        say(tr("The printer did not take the card."), true);
}

void MainWindow::remember(const QString& path) {
    QStringList list = settings_.value(QStringLiteral("recent")).toStringList();
    const QString full = QFileInfo(path).absoluteFilePath();
    list.removeAll(full);
    list.prepend(full);
    while (list.size() > kMostRecent) list.removeLast();
    settings_.setValue(QStringLiteral("recent"), list);
    settings_.setValue(QStringLiteral("folder"), QFileInfo(path).absolutePath());
}

void MainWindow::fillRecent() {
    recent_->clear();
    const QStringList list = settings_.value(QStringLiteral("recent")).toStringList();
    for (const QString& path : list)
        recent_->addAction(QFileInfo(path).fileName() + QStringLiteral("   ") + QFileInfo(path).absolutePath(), this,
                           [this, path] {
                               if (mayLeave()) openFile(path);
                           });
    if (list.isEmpty()) recent_->addAction(tr("None yet"))->setEnabled(false);
}

void MainWindow::showWorking(const Answer& answer) {
    sheet_->open(qstring(answer.working.title), workingPage(answer.working));
}

void MainWindow::showKitchen() { sheet_->open(tr("Kitchen"), kitchenPage(session_)); }

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

void MainWindow::closeEvent(QCloseEvent* e) {
    if (!mayLeave()) return e->ignore();
    settings_.setValue(QStringLiteral("window"), saveGeometry());
    settings_.remove(QStringLiteral("openNow"));
    e->accept();
}

void MainWindow::showEvent(QShowEvent* e) {
    QMainWindow::showEvent(e);
    if (!focusWidget()) shape_->stage()->setFocus();
}

void MainWindow::resizeEvent(QResizeEvent* e) {
    QMainWindow::resizeEvent(e);
    placeSheet();
}

void MainWindow::placeSheet() {
    const bool open = !sheet_->isHidden(), beside = width() >= kSheetBeside;
    if (beside && row_->indexOf(sheet_) < 0) row_->addWidget(sheet_);
    if (!beside) row_->removeWidget(sheet_);
    if (!beside) QTimer::singleShot(0, sheet_, &Sheet::fit);  // when what it lies over has its size
    shape_->setSheet(open && beside, open && !beside ? Sheet::kWidth : 0);
    refreshProblems();
}

void MainWindow::dragEnterEvent(QDragEnterEvent* e) {
    if (e->mimeData()->hasUrls() && e->mimeData()->urls().size() == 1 && e->mimeData()->urls().front().isLocalFile())
        e->acceptProposedAction();
}

void MainWindow::dropEvent(QDropEvent* e) {
    const QString path = e->mimeData()->urls().front().toLocalFile();
    if (ShapeFiles::isModel(path) || ShapeFiles::isOutline(path)) return files_->bring(path);
    if (mayLeave()) openFile(path);
}

}  // namespace uovo::desktop
