// The window: rail of places, header, the places themselves, files.
#pragma once
#include <QLabel>
#include <QLockFile>
#include <QMainWindow>
#include <QPushButton>
#include <QStackedWidget>

#include "desktop/bench/bench_place.h"
#include "desktop/build/build_place.h"
#include "desktop/day/day_place.h"
#include "desktop/log/log_place.h"
#include "desktop/melt/melt_place.h"
#include "desktop/shape/shape_files.h"
#include "desktop/shape/shape_place.h"
#include "desktop/shell/front_door.h"
#include "desktop/shell/later.h"
#include "desktop/shell/notice_bar.h"
#include "desktop/shell/problems_button.h"
#include "desktop/shell/session.h"
#include "desktop/shell/sheet.h"
#include "desktop/theme/desktop_scheme.h"

namespace uovo::desktop {

class RailButton;

class MainWindow : public QMainWindow {
    Q_OBJECT

public:
    explicit MainWindow(Session& session);

    ShapePlace* shape() const { return shape_; }
    BuildPlace* build() { return build_.get(); }
    DayPlace* day() { return day_.get(); }
    MeltPlace* melt() { return melt_.get(); }
    BenchPlace* bench() { return bench_.get(); }
    LogPlace* log() { return log_.get(); }
    /// Whether all places are built. The first one is from the beginning; the others follow when the window has been
    /// painted, or when they are asked for.
    bool isWhole() const {
        return build_.isBuilt() && melt_.isBuilt() && day_.isBuilt() && bench_.isBuilt() && log_.isBuilt();
    }
    /// What a dropped file becomes: a plan that is opened, a model, an outline or a picture that is traced.
    void bringFile(const QString& path);
    /// The page about a thing in the hand. @param picture of it beside a coin; empty: none yet
    void showThing(const QString& picture = {});
    Sheet* sheet() const { return sheet_; }
    FrontDoor* door() const { return door_; }
    /// Opens where one arrives: a wish, plans of before, plans to look at.
    void arrive();
    /// Whether a place tells three things when it is visited for the first time.
    void setGreets(bool greets);
    ShapeFiles* files() const { return files_; }
    enum class Place { Shape, Build, Melt, Day, Bench, Log };
    void goTo(Place place);
    const QList<QAction*>& commands() const { return commands_; }
    /// Leads to the field of a plan's path, "pieces/bowl/former/dip" or "kitchen/room": its place or sheet, its focus.
    void lead(const QString& where);

    /// Opens a file; says in a message why it cannot. @returns whether it is open now
    bool openFile(const QString& path);
    bool saveTo(const QString& path, io::Fault fault = io::Fault::None);
    /// Writes the bench card. @returns whether it was written
    bool writeCard(const QString& path);
    /// Says something over the top of the window until it is dismissed.
    void say(const QString& sentence, bool harm);
    QString saying() const { return notices_->saying(); }
    /// Opens what was open last, unless the program ended badly with it: then it asks first.
    bool reopen(const QString& path);
    /// Offers a plan left behind by a crash. @returns whether there is one
    bool offerRecovered();

signals:
    /// The window has been seen for the first time.
    void painted();

protected:
    bool event(QEvent*) override;
    void closeEvent(QCloseEvent*) override;
    bool eventFilter(QObject*, QEvent*) override;
    void showEvent(QShowEvent*) override;
    void resizeEvent(QResizeEvent*) override;
    void dragEnterEvent(QDragEnterEvent*) override;
    void dropEvent(QDropEvent*) override;

private:
    BuildPlace* newBuild();
    MeltPlace* newMelt();
    DayPlace* newDay();
    BenchPlace* newBench();
    LogPlace* newLog();
    /// Puts a place where an empty page stood for it.
    void fill(Place place, QWidget* with);
    /// A place, built if it is not there yet.
    QWidget* at(Place place);
    /// Builds this place and those after it, each in a moment of its own.
    void buildFrom(Place place);
    void showOutline(const QString& item);
    /// A page about the piece that is selected; it closes when another is.
    void showOfPiece(const QString& title, std::function<QWidget*()> page);
    /// @param step of the piece's making; none: its first filling
    void showFilling(std::optional<size_t> step);
    void showColour(const QString& id);
    QString lockOf(const QString& path) const;
    /// What can be done when others wrote the plan's file.
    std::vector<NoticeBar::Answer> aboutFile();
    void askAboutFile(const QString& sentence);
    void showDifferences();
    /// Beside the places where there is room for it, over their right side where there is not.
    void placeSheet();
    void buildActions();
    /// A command that can be found by its name. @param where the place it is about; none: everywhere
    QAction* command(const QString& words, const QKeySequence& keys, std::function<void()> does,
                     std::optional<Place> where = {});
    /// A command that stands in the menu too.
    QAction* add(const QString& words, const QKeySequence& keys, std::function<void()> does);
    void addLanguages();
    void addExports();
    void addCommands();
    /// Looks at another piece. @param by places down the shelf
    void step(int by);
    void buildHeader(QWidget* parent, class QVBoxLayout* column);
    void refreshHeader();
    void refreshProblems();
    /// Undo or redo, and says what came back and where.
    void goBack(bool back);
    /// Brings a field into sight and puts the cursor into it.
    void lead(Field* field);
    bool mayLeave();
    /// Takes a plan that was wished for in place of the one that is open.
    void begin(const Plan& plan, bool invented = false);
    void openDialog();
    bool saveDialog();
    void printCard();
    void showKitchen();
    void showDeadline();
    void showProfile();
    void showCommands();
    /// Help about the place that is shown.
    void showHelp();
    /// Tells three things of a place that was never visited.
    void greet();
    void showMold();
    void showWorking(const Answer& answer);
    /// Says something beside the problems for a few seconds.
    void tellShortly(const QString& words);
    /// What the last edit changed in the piece; what another model computes otherwise in a plan that was opened.
    void tellChange();
    void remember(const QString& path);
    void fillRecent();
    QString lastFolder() const;

    Session& session_;
    QSettings settings_;
    class QHBoxLayout* row_;
    ProbeLink* probe_;
    DesktopScheme* scheme_;
    QStackedWidget* places_;
    ShapePlace* shape_;
    Later<BuildPlace> build_;
    Later<MeltPlace> melt_;
    Later<DayPlace> day_;
    Later<BenchPlace> bench_;
    Later<LogPlace> log_;
    ShapeFiles* files_;
    Sheet* sheet_;
    FrontDoor* door_ = nullptr;
    RailButton *shapeButton_, *buildButton_, *meltButton_, *dayButton_, *benchButton_, *logButton_;
    QPushButton *title_, *ready_, *kitchen_, *units_;
    ProblemsButton* problems_;
    QLabel* told_;
    std::shared_ptr<const PieceAnswers> beforeEdit_;  // null: no edit since the answers were complete
    bool justOpened_ = false, greets_ = false, painted_ = false;
    bool invented_ = true;  // what is open is to look at: its kitchen is nobody's
    NoticeBar* notices_;
    QAction *undo_, *redo_, *save_;
    QMenu *menu_, *recent_;
    QList<QAction*> commands_;
    std::unique_ptr<QLockFile> lock_;
};

}  // namespace uovo::desktop
