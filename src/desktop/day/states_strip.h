// Where every piece stands at a moment of the day: a card each.
#pragma once
#include <QWidget>

#include "core/day/day.h"
#include "desktop/shell/session.h"

namespace uovo::desktop {

class StatesStrip : public QWidget {
    Q_OBJECT

public:
    explicit StatesStrip(Session& session);
    void setStates(std::vector<PieceState> states, std::shared_ptr<const DayPlan> day);

protected:
    void resizeEvent(QResizeEvent* e) override;
    void paintEvent(QPaintEvent*) override;

private:
    void fit();
    int columns() const;
    void paintState(class QPainter& p, const PieceState& state, const QRectF& box);
    QString nextWords(const PieceState& state) const;

    Session& session_;
    std::vector<PieceState> states_;
    std::shared_ptr<const DayPlan> day_;
};

}  // namespace uovo::desktop
