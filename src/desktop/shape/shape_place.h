// Shape: one piece, its former, coats, wall and answers.
#pragma once
#include <QLabel>
#include <QSlider>
#include <QWidget>

#include "desktop/shape/answers_column.h"
#include "desktop/shape/coat_cards.h"
#include "desktop/shape/recipe_line.h"
#include "desktop/shape/shelf_panel.h"
#include "desktop/stage/piece_stage.h"

namespace uovo::desktop {

class ShapePlace : public QWidget {
    Q_OBJECT

public:
    explicit ShapePlace(Session& session, QWidget* parent = nullptr);
    PieceStage* stage() const { return stage_; }
    RecipeLine* recipe() const { return recipe_; }
    CoatCards* coats() const { return coats_; }
    AnswersColumn* answers() const { return answers_; }

signals:
    void workingWanted(const uovo::Answer& answer);

private:
    void refresh();
    void handleMoved(PieceStage::Handle handle, double value);

    Session& session_;
    PieceStage* stage_;
    RecipeLine* recipe_;
    CoatCards* coats_;
    AnswersColumn* answers_;
    QLabel* scaleLabel_;
    QSlider* scale_;
};

}  // namespace uovo::desktop
