// Looks beside the window for what would make the day easier, and how it would be under each wish.
#pragma once
#include <QObject>
#include <thread>

#include "core/day/ways.h"
#include "desktop/shell/answerer.h"

namespace uovo::desktop {

/// A day in figures, to be set beside others.
struct DayFigures {
    DayWish::Aim aim = DayWish::Aim::Late;
    bool known = false;
    QString begins, ends;
    int temperings = 0, hands = 0, rests = 0, broken = 0;  ///< hands: min
    double onTime = 0;
};

class Looker : public QObject {
    Q_OBJECT

public:
    Looker(const material::Library& library, Answerer& answerer, QObject* parent = nullptr);
    ~Looker() override;

    /// Looks for ways out of a day; what was looked for before is dropped.
    void lookForWays(const Plan& plan, std::shared_ptr<const Answers> answers);
    /// Looks longer for the same day, some five seconds; what it finds is only offered.
    void lookForBetter(std::shared_ptr<const DayPlan> day);
    /// Lays the day out under each wish.
    void compare(const Plan& plan, std::shared_ptr<const Answers> answers);
    void stop();
    bool busy() const { return busy_; }

signals:
    void betterFound(std::shared_ptr<const uovo::schedule::Found> found);
    void waysFound(const std::vector<uovo::DayWay>& ways);
    void compared(const uovo::desktop::DayFigures& figures);
    /// @param share 0 to 1; 1: it is done
    void progressed(double share);

private:
    template <class Work>
    void start(Work work);

    const material::Library& library_;
    Answerer& answerer_;
    quint64 number_ = 0;
    bool busy_ = false;
    std::jthread thread_;
};

}  // namespace uovo::desktop
