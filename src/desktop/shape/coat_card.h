// A coat as a card.
#pragma once
#include "desktop/shape/step_card.h"

namespace uovo::desktop {

class CoatCard : public StepCard {
    Q_OBJECT

public:
    /// @param index of the coat among the coats @param at of its step in the making
    CoatCard(Session& session, size_t index, size_t at, const PlannedCoat& coat, bool overBalloon,
             QWidget* parent = nullptr);
    void refresh() override;
    FigureField* field(const QString& name) const;

signals:
    void detailsWanted(size_t index);
    void paintingWanted(size_t index);

private:
    size_t index_;
    QComboBox *way_, *rest_, *place_, *where_ = nullptr;
    QLabel *result_, *extras_ = nullptr;
};

}  // namespace uovo::desktop
