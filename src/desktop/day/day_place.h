// Day: the plan of the day, and the state of every piece at any moment of it.
#pragma once
#include <QLabel>
#include <QListWidget>
#include <QWidget>

#include "desktop/day/timeline.h"
#include "desktop/shell/session.h"

namespace uovo::desktop {

class StatesStrip;

class DayPlace : public QWidget {
    Q_OBJECT

public:
    explicit DayPlace(Session& session, QWidget* parent = nullptr);
    Timeline* timeline() const { return timeline_; }
    QLabel* headline() const { return headline_; }
    QListWidget* steps() const { return steps_; }

signals:
    void workingWanted(const uovo::Answer& answer);

protected:
    void resizeEvent(QResizeEvent*) override;
    void showEvent(QShowEvent*) override;

private:
    void fitTimeline();
    void refresh();
    void showMinute();

    Session& session_;
    QLabel *headline_, *sentence_, *moment_;
    Timeline* timeline_;
    StatesStrip* states_;
    class QScrollArea* timelineScroll_;
    QListWidget* steps_;
    std::vector<size_t> order_;
};

}  // namespace uovo::desktop
