// Shape: one piece, its former, coats, wall and answers.
#pragma once
#include <QLabel>
#include <QPushButton>
#include <QSlider>
#include <QStackedWidget>
#include <QWidget>
#include <thread>

#include "desktop/kit/split.h"
#include "desktop/shape/answers_column.h"
#include "desktop/shape/film_bar.h"
#include "desktop/shape/gallery.h"
#include "desktop/shape/holds_bar.h"
#include "desktop/shape/item_bar.h"
#include "desktop/shape/recipe_line.h"
#include "desktop/shape/shelf_panel.h"
#include "desktop/shape/step_cards.h"
#include "desktop/stage/piece_stage.h"
#include "desktop/stage/solid_stage.h"

namespace uovo::desktop {

class ShapePlace : public QWidget {
    Q_OBJECT

public:
    explicit ShapePlace(Session& session, QWidget* parent = nullptr);
    PieceStage* stage() const { return stage_; }
    SolidStage* solid() const { return solid_; }
    RecipeLine* recipe() const { return recipe_; }
    StepCards* coats() const { return coats_; }
    ItemBar* items() const { return items_; }
    AnswersColumn* answers() const { return answers_; }
    Gallery* gallery() const { return gallery_; }
    OwnShelf& ownShelf() { return own_; }
    FilmBar* film() const { return film_; }
    HoldsBar* holds() const { return holds_; }
    /// Shows what happens to the piece instead of its coats.
    void setHolding(bool holding);
    bool isHolding() const { return holding_; }
    /// The coat whose brush strokes are painted on the stage; none: −1.
    int painting() const { return painting_; }
    void paintCoat(int coat);
    /// In a narrow window the answers lie over the stage while they are open; in a wide one they stand beside it.
    void setAnswersOpen(bool open);
    /// Puts the cursor on the first answer; opens or closes them where they are behind a button.
    void lookAtAnswers();
    bool areAnswersOpen() const { return answersOpen_; }
    /// A sheet stands beside the place, which is narrower for it, or lies over its right side: the answers stay in
    /// sight. @param covered px of the place under the sheet; 0: none
    void setSheet(bool beside, int covered);
    /// Shows the piece turning instead of cut open; parts are always shown so.
    void setTurning(bool turning);
    bool isTurning() const { return turning_; }
    /// Keeps the chosen piece for other plans.
    void keep() { keepChosen(); }
    /// Adds a piece that is cast in a mold taken of the chosen one.
    void cast() { castChosen(); }
    /// Shows this in place of the piece, as how its mold comes off; none: the piece again.
    void showInstead(std::optional<SolidScene> scene);
    /// The picture on the stage now.
    QImage picture(double ratio);
    QString svgPicture() const;

signals:
    void workingWanted(const uovo::Answer& answer);
    void adviceWanted();
    void coatWanted(size_t index);
    void fillingWanted();
    /// A page about what a step names: its filling, its topping.
    void stepPageWanted(size_t at);
    void snapWanted();
    void moldWanted();
    void notesWanted();
    void besideWanted();
    void said(const QString& sentence, bool harm);
    void fileWanted();
    void drawingWanted();
    void outlineWanted(const QString& item);

protected:
    void resizeEvent(QResizeEvent*) override;

private:
    QWidget* tools();
    /// Where the film stands: at rest among the tools, else on a line of its own.
    void placeFilm();
    void sliders(class QLayout* row);
    void refresh();
    void refreshTools();
    void handleMoved(PieceStage::Handle handle, double value);
    void painted(const form::Vec3& at, bool wipe);
    void keepChosen();
    void castChosen();
    void refreshPainting();
    void placeAnswers();

    Session& session_;
    OwnShelf own_;
    PieceStage* stage_;
    SolidStage* solid_;
    QStackedWidget* stages_;
    RecipeLine* recipe_;
    StepCards* coats_;
    ItemBar* items_;
    AnswersColumn* answers_;
    Gallery* gallery_;
    FilmBar* film_;
    HoldsBar* holds_;
    Split* split_;
    ShelfPanel* shelf_;
    QPushButton* more_;
    bool beside_ = true, answersOpen_ = false, sheetBeside_ = false;
    int covered_ = 0;
    QWidget *tools_, *making_;  // its coats
    int painting_ = -1;
    std::string shown_;  // the piece that is painted on
    QLabel *scaleLabel_, *cutLabel_, *apartLabel_;
    QSlider *scale_, *cut_, *apart_;
    QPushButton *open_, *turn_, *map_, *egg_, *paint_, *hold_;
    std::vector<QPushButton*> sides_;
    bool turning_ = false, holding_ = false;
    std::jthread caster_;  // last: it ends before what it speaks to
};

}  // namespace uovo::desktop
