// The window: its places, built when they are asked for.
#include "desktop/shell/main_window.h"

#include <QTimer>

#include "desktop/build/mend_page.h"
#include "desktop/shell/help.h"
#include "desktop/shell/rail_button.h"

namespace uovo::desktop {

BuildPlace* MainWindow::newBuild() {
    auto* build = new BuildPlace(session_);
    connect(build, &BuildPlace::outlineWanted, this, &MainWindow::showOutline);
    connect(build, &BuildPlace::mendWanted, this,
            [this](const QString& item) { sheet_->open(tr("Something broke"), mendPage(session_, item)); });
    connect(build, &BuildPlace::workingWanted, this, &MainWindow::showWorking);
    connect(build, &BuildPlace::said, this, &MainWindow::say);
    fill(Place::Build, build);
    return build;
}

MeltPlace* MainWindow::newMelt() {
    auto* melt = new MeltPlace(session_, *probe_);
    connect(melt, &MeltPlace::colourWanted, this, &MainWindow::showColour);
    fill(Place::Melt, melt);
    return melt;
}

DayPlace* MainWindow::newDay() {
    auto* day = new DayPlace(session_);
    connect(day, &DayPlace::workingWanted, this, &MainWindow::showWorking);
    connect(day, &DayPlace::said, this, &MainWindow::say);
    connect(day, &DayPlace::benchWanted, this, [this] { goTo(Place::Bench); });
    connect(day, &DayPlace::compareWanted, this,
            [this, day] { sheet_->open(tr("Under each wish"), comparePage(session_, *day->looker())); });
    fill(Place::Day, day);
    return day;
}

BenchPlace* MainWindow::newBench() {
    auto* bench = new BenchPlace(session_, *probe_);
    connect(bench, &BenchPlace::said, this, &MainWindow::say);
    connect(bench, &BenchPlace::ended, this, [this](const log::Evening& evening) {
        const QString why = log_->keeper()->keep(evening);
        if (!why.isEmpty()) say(why, true);
    });
    fill(Place::Bench, bench);
    return bench;
}

LogPlace* MainWindow::newLog() {
    auto* log = new LogPlace(session_, *probe_);
    connect(log, &LogPlace::said, this, &MainWindow::say);
    connect(log, &LogPlace::sheetWanted, this,
            [this](const QString& title, QWidget* page) { sheet_->open(title, page); });
    connect(log, &LogPlace::sheetDone, sheet_, &QWidget::hide);
    connect(log, &LogPlace::practiceWanted, this, [this](const QString& lesson) {
        goTo(Place::Bench);
        bench_->practise(lesson.toStdString());
    });
    connect(log, &LogPlace::planWanted, this, [this](const Plan& plan) {
        if (!mayLeave()) return;
        session_.document().setPlan(plan, {});
        sheet_->hide();
        goTo(Place::Shape);
    });
    fill(Place::Log, log);
    return log;
}

void MainWindow::fill(Place place, QWidget* with) {
    QWidget* empty = places_->widget(static_cast<int>(place));
    places_->insertWidget(static_cast<int>(place), with);
    places_->removeWidget(empty);
    delete empty;
}

QWidget* MainWindow::at(Place place) {
    switch (place) {
        case Place::Build:
            return build_.get();
        case Place::Melt:
            return melt_.get();
        case Place::Day:
            return day_.get();
        case Place::Bench:
            return bench_.get();
        case Place::Log:
            return log_.get();
        case Place::Shape:
            break;
    }
    return shape_;
}

void MainWindow::buildFrom(Place place) {
    at(place);
    if (place != Place::Log)
        QTimer::singleShot(0, this, [this, place] { buildFrom(static_cast<Place>(static_cast<int>(place) + 1)); });
}

void MainWindow::goTo(Place place) {
    if (door_) door_->hide();
    places_->setCurrentWidget(at(place));
    RailButton* const buttons[]{shapeButton_, buildButton_, meltButton_, dayButton_, benchButton_, logButton_};
    buttons[static_cast<size_t>(place)]->setChecked(true);
    for (const HelpPlace p : kHelpPlaces)
        if (static_cast<int>(p) != static_cast<int>(place)) notices_->withdraw(QStringLiteral("met/") + helpOf(p).key);
    greet();
}

}  // namespace uovo::desktop
