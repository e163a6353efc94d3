#include "desktop/shell/main_window.h"

#include <QAbstractButton>
#include <QApplication>
#include <QCloseEvent>
#include <QDragEnterEvent>
#include <QFileInfo>
#include <QMenu>
#include <QMimeData>
#include <QPushButton>
#include <QScreen>
#include <QScrollArea>
#include <QTimer>
#include <QVBoxLayout>

#include "core/document/difference.h"
#include "core/document/edits.h"
#include "core/words/compared.h"
#include "desktop/shape/advisor_page.h"
#include "desktop/shape/beside_page.h"
#include "desktop/shape/coat_page.h"
#include "desktop/shape/decoration_page.h"
#include "desktop/shape/notes_page.h"
#include "desktop/shape/outline_page.h"
#include "desktop/shape/snap_page.h"
#include "desktop/shape/topping_page.h"
#include "desktop/shell/help.h"
#include "desktop/shell/rail_button.h"
#include "desktop/theme/glyph_button.h"
#include "report/language.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

constexpr int kHeader = 56;
constexpr QSize kLeast(950, 640);   // in a smaller window all of it is scrolled; ten px for the bar of a lower one
constexpr int kSheetBeside = 1230;  // px of the window: in a narrower one a sheet lies over the place

}  // namespace

/// The places, each as large as the window lets it be: what a place needs more it scrolls itself.
class Places : public QStackedWidget {
public:
    bool hasHeightForWidth() const override { return false; }
    QSize minimumSizeHint() const override { return {0, 0}; }
    QSize sizeHint() const override { return {0, 0}; }
};

MainWindow::MainWindow(Session& session)
    : session_(session),
      probe_(new ProbeLink(this)),
      scheme_(new DesktopScheme(this)),
      places_(new Places),
      shape_(new ShapePlace(session)),
      build_([this] { return newBuild(); }),
      melt_([this] { return newMelt(); }),
      day_([this] { return newDay(); }),
      bench_([this] { return newBench(); }),
      log_([this] { return newLog(); }) {
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
    buildButton_ = new RailButton(Glyph::Build, tr("Build"));
    buildButton_->setToolTip(tr("Parts put together, step by step (F3)"));
    meltButton_ = new RailButton(Glyph::Melt, tr("Melt"));
    dayButton_ = new RailButton(Glyph::Day, tr("Day"));
    meltButton_->setToolTip(tr("The pots: tempering, shopping (F4)"));
    shapeButton_->setToolTip(tr("One piece: former, coats, wall (F2)"));
    benchButton_ = new RailButton(Glyph::Bench, tr("Bench"));
    benchButton_->setToolTip(tr("Make it now, step by step; rehearse it first (F6)"));
    logButton_ = new RailButton(Glyph::Log, tr("Log"));
    logButton_->setToolTip(tr("What happened, what it taught, why it failed (F7)"));
    dayButton_->setToolTip(tr("The day: when to do what (F5)"));
    railBox->addWidget(shapeButton_);
    railBox->addWidget(buildButton_);
    railBox->addWidget(meltButton_);
    railBox->addWidget(dayButton_);
    railBox->addWidget(benchButton_);
    railBox->addWidget(logButton_);
    railBox->addStretch(1);
    row->addWidget(rail);
    auto* rule = new QFrame;
    rule->setFixedWidth(1);
    rule->setObjectName(QStringLiteral("rule"));
    row->addWidget(rule);
    places_->addWidget(shape_);
    while (places_->count() <= static_cast<int>(Place::Log)) places_->addWidget(new QWidget);
    row->addWidget(places_, 1);
    column->addLayout(row, 1);
    connect(shapeButton_, &QAbstractButton::clicked, this, [this] { goTo(Place::Shape); });
    connect(buildButton_, &QAbstractButton::clicked, this, [this] { goTo(Place::Build); });
    connect(meltButton_, &QAbstractButton::clicked, this, [this] { goTo(Place::Melt); });
    connect(dayButton_, &QAbstractButton::clicked, this, [this] { goTo(Place::Day); });
    connect(benchButton_, &QAbstractButton::clicked, this, [this] { goTo(Place::Bench); });
    connect(logButton_, &QAbstractButton::clicked, this, [this] { goTo(Place::Log); });
    sheet_ = new Sheet(centre);
    connect(sheet_, &Sheet::openChanged, this, &MainWindow::placeSheet);
    door_ = new FrontDoor(session_, centre);
    connect(door_, &FrontDoor::planWanted, this, [this](const Plan& plan) { begin(plan); });
    connect(door_, &FrontDoor::inventedWanted, this, [this](const Plan& plan) { begin(plan, true); });
    door_->setLike([this] {
        if (!invented_) return session_.plan();
        Plan plan;
        plan.units = session_.units();
        return plan;
    });
    connect(door_, &FrontDoor::openWanted, this, &MainWindow::openDialog);
    connect(door_, &FrontDoor::fileWanted, this, [this](const QString& path) {
        if (!mayLeave()) return;
        openFile(path);
        door_->hide();  // what cannot be opened is told over the plan that stays
    });
    connect(shape_, &ShapePlace::drawingWanted, this, &MainWindow::showProfile);
    connect(shape_, &ShapePlace::outlineWanted, this, &MainWindow::showOutline);
    connect(shape_, &ShapePlace::workingWanted, this, &MainWindow::showWorking);
    connect(shape_, &ShapePlace::coatWanted, this, [this](size_t index) {
        showOfPiece(tr("Coat %1, in detail").arg(index + 1), [this, index] { return coatPage(session_, index); });
    });
    connect(shape_, &ShapePlace::snapWanted, this,
            [this] { showOfPiece(tr("Snap test"), [this] { return snapPage(session_); }); });
    connect(shape_, &ShapePlace::moldWanted, this, &MainWindow::showMold);
    connect(shape_, &ShapePlace::said, this, &MainWindow::say);
    connect(shape_, &ShapePlace::notesWanted, this, [this] { sheet_->open(tr("Notes"), notesPage(session_)); });
    connect(shape_, &ShapePlace::besideWanted, this,
            [this] { sheet_->open(tr("Beside each other"), besidePage(session_)); });
    connect(&session_, &Session::planChanged, this, [this] {
        if (!beforeEdit_) beforeEdit_ = session_.pieceAnswers(session_.selected().toStdString());
    });
    connect(&session_, &Session::answersChanged, this, &MainWindow::tellChange);
    connect(shape_, &ShapePlace::fillingWanted, this, [this] { showFilling({}); });
    connect(shape_, &ShapePlace::stepPageWanted, this, [this](size_t at) {
        const Piece* piece = session_.piece();
        if (!piece || at >= piece->making.size()) return;
        if (std::holds_alternative<TopStep>(piece->making[at]))
            showOfPiece(tr("The topping"), [this, at] { return toppingPage(session_, at); });
        if (std::holds_alternative<FillStep>(piece->making[at])) showFilling(at);
        if (std::holds_alternative<DecorateStep>(piece->making[at]))
            showOfPiece(tr("The decoration"), [this, at] { return decorationPage(session_, at); });
    });
    connect(shape_, &ShapePlace::adviceWanted, this,
            [this] { sheet_->open(tr("Ways to another wall"), new AdvisorPage(session_)); });
    const auto follow = [this] {
        if (!sheet_->piece().isEmpty() && sheet_->piece() != session_.selected()) sheet_->hide();
        else sheet_->follow();
    };
    connect(&session_, &Session::planChanged, this, follow);
    connect(&session_, &Session::selectionChanged, this, follow);
    connect(&session_.document(), &Document::replaced, sheet_, &Sheet::renew, Qt::QueuedConnection);
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
    if (const auto* seen = qobject_cast<QWidget*>(object);
        !painted_ && event->type() == QEvent::Paint && seen && seen->window() == this) {
        painted_ = true;
        QTimer::singleShot(0, this, [this] {
            emit painted();
            buildFrom(Place::Build);
        });
    }
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

void MainWindow::begin(const Plan& plan, bool invented) {
    if (!mayLeave()) return;
    invented_ = invented;
    session_.document().setPlan(plan, {});
    if (!plan.pieces.empty()) session_.select(qstring(plan.pieces.front().id));
    sheet_->hide();
    goTo(Place::Shape);
    const Piece* first = session_.piece();
    const auto cut = first ? first->shape.choices.find("cut") : std::map<std::string, std::string>::const_iterator();
    if (first && cut != first->shape.choices.end() && cut->second == "points" && first->shape.points.empty())
        showOutline({});
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
        ready = tr("ready %1")
                    .arg(report::spokenLocale().toString(when, QStringLiteral("dddd d MMMM, ")) +
                         qstring(clockInWords(static_cast<int>(*at % 1440), plan.units)));
        const auto a = session_.answers();
        if (session_.isComplete() && a && a->day && a->day->problem.empty()) {
            const bool late = a->day->minuteOf(session_.now()) > a->day->layout.begins;
            ready += tr(" · begin by %1").arg(qstring(a->day->said(a->day->layout.begins, plan.units))) +
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
    sheet_->renew();
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
    beforeEdit_.reset();  // what came back says what it is
    tellShortly(words);
}

void MainWindow::tellShortly(const QString& words) {
    constexpr int kTold = 8000;  // ms
    told_->setText(words);
    told_->setAccessibleName(words);
    told_->setToolTip(words);
    QTimer::singleShot(kTold, told_, [this, words] {
        if (told_->toolTip() == words) told_->clear();
    });
}

void MainWindow::tellChange() {
    if (!session_.isComplete()) return;
    if (const auto before = std::exchange(beforeEdit_, nullptr)) {
        const auto now = session_.pieceAnswers(before->id);
        QStringList words;
        if (now && now != before && now->problems.empty())
            for (const auto& w : changed(*before, *now)) words << qstring(w);
        if (!words.isEmpty()) tellShortly(words.join(QStringLiteral(" · ")));
    }
    if (!std::exchange(justOpened_, false)) return;
    const auto moved = movedSince(session_.plan().computed, session_.plan(), *session_.answers());
    if (moved.empty()) return;
    QStringList words;
    for (const auto& m : moved) words << qstring(m);
    say(tr("Uovo computes some figures otherwise than when this plan was saved. %1.")
            .arg(words.join(QStringLiteral("; "))),
        false);
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

void MainWindow::lead(Field* wanted) {
    const QPointer<Field> field(wanted);
    for (int i = 0; i < places_->count() && field; ++i)
        if (places_->widget(i)->isAncestorOf(field)) goTo(static_cast<Place>(i));
    if (!field) return;  // its card was made anew when it was to be shown
    for (QWidget* p = field->parentWidget(); p; p = p->parentWidget())
        if (auto* area = qobject_cast<QScrollArea*>(p)) area->ensureWidgetVisible(field);
    field->edit()->setFocus();
    field->edit()->selectAll();
}

void MainWindow::lead(const QString& where) {
    const QStringList parts = where.split(QLatin1Char('/'));
    const QString& of = parts.front();
    const QString rest = parts.mid(of == QStringLiteral("pieces") ? 2 : 0).join(QLatin1Char('/'));
    if (of == QStringLiteral("pieces") && parts.size() > 1) {
        goTo(Place::Shape);
        session_.select(parts[1]);
        if (rest.startsWith(QStringLiteral("filling/"))) showFilling({});
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
                    showFilling(k);
                }
    } else if (of == QStringLiteral("colours") && parts.size() > 1) {
        goTo(Place::Melt);
        showColour(parts[1]);
    } else {
        goTo(Place::Melt);
    }
    const QString tail = parts.mid(1).join(QLatin1Char('/'));
    for (const QString& name : {rest, where, tail})
        for (auto* f : findChildren<Field*>(name))
            if (f->isVisibleTo(this)) return lead(f);
}

void MainWindow::say(const QString& sentence, bool harm) { notices_->say(sentence, harm); }

void MainWindow::setGreets(bool greets) {
    greets_ = greets;
    greet();
}

void MainWindow::greet() {
    const Help& help = helpOf(static_cast<HelpPlace>(places_->currentIndex()));
    const QString key = QStringLiteral("met/") + help.key;
    if (!greets_ || (door_ && door_->isVisible()) || settings_.value(key).toBool() || notices_->isOpen(key)) return;
    QString three = help.three.join(QStringLiteral("; "));
    three.front() = three.front().toUpper();
    notices_->offer(key, tr("New here? %1.").arg(three),
                    {{tr("I see"), QStringLiteral("metSeen"), [this, key] { settings_.setValue(key, true); }},
                     {tr("More help (F1)"), QStringLiteral("metMore"), [this, key] {
                          settings_.setValue(key, true);
                          showHelp();
                      }}});
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

void MainWindow::dropEvent(QDropEvent* e) { bringFile(e->mimeData()->urls().front().toLocalFile()); }

void MainWindow::bringFile(const QString& path) {
    if (ShapeFiles::isPicture(path)) return sheet_->open(tr("An outline"), outlinePage(session_, {}, path));
    if (ShapeFiles::isModel(path) || ShapeFiles::isOutline(path)) return files_->bring(path);
    if (mayLeave()) openFile(path);
}

}  // namespace uovo::desktop
