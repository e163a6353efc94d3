// A day as it may really go: each step takes its own time, and all else gives way in the order of the plan.
#pragma once
#include <span>
#include <stop_token>

#include "core/schedule/network.h"

namespace uovo::schedule {

/// Plays a layout again. Steps begin in the order planned and nothing overtakes: a step is done by whoever of those who
/// may do the same is free first, a shelf is given up before it is taken, a rest is what gives way. So what takes
/// longer never makes anything else earlier.
class Replay {
public:
    /// @param layout of a network without choices left open (a realised day)
    Replay(const Network& network, const Layout& layout);

    /// How long steps and waits really take, as a factor of what was planned. A task each, waits too (of the wait
    /// before it).
    struct Factors {
        std::vector<double> work, wait;
    };
    struct Day {
        double end = 0;  ///< minute of the last end
        int missed = 0;  ///< windows that were kept in the plan and are not now
        int last = -1;   ///< task that ends last
    };
    /// @param earlier minutes that everything is begun sooner, as far as people are there
    Day play(const Factors& factors, double earlier = 0);
    /// Of the day played last: start and end of a task, and the task that it waited for (-1: none).
    double start(int task) const { return start_[static_cast<size_t>(task)]; }
    double end(int task) const { return end_[static_cast<size_t>(task)]; }
    int waitedFor(int task) const { return held_[static_cast<size_t>(task)]; }
    /// Tasks in the order of the day; bursts of warmth between other work are none.
    std::span<const int> order() const { return order_; }
    size_t tasks() const { return net_.tasks.size(); }
    const Network& network() const { return net_; }

private:
    struct Before {
        int task = 0, min = 0;  // min: minutes between the starts, or of rest after its end
        bool after = true;
    };
    void sort();
    void people();
    void places();
    /// Pairs of hands of a class that are free first; the minute, and what they did before.
    std::pair<double, int> takeHands(int task, double at);

    const Network& net_;
    const Layout& day_;
    std::vector<int> order_;
    std::vector<std::vector<Before>> before_;
    std::vector<std::vector<int>> alike_;  // of each person: all who may do the same
    std::vector<std::vector<int>> there_;  // of each task and person: no sooner
    std::vector<int> floor_;               // of each task: the end of closed hours before it
    std::vector<char> counted_;            // of each lag: has a window that the plan keeps
    std::vector<double> free_;             // of each person
    std::vector<int> did_;
    std::vector<int> hands_;  // who does a task, while it is begun
    std::vector<double> start_, end_;
    std::vector<int> held_;
};

/// How much real days scatter about the plan: deviations of logarithms.
struct Scatter {
    double cook = 0.2, kind = 0.2, task = 0.25;  ///< of work: shared by all, by steps of a kind, by none
    double settingDay = 0.2, settingPiece = 0.15;
};

/// What such days bring.
struct Chances {
    std::vector<double> ends;  ///< of each run, minutes; sorted
    double missed = 0;         ///< windows missed in a run, on the average
    int risk = -1;             ///< task that makes late days late more than any other
    double riskMinutes = 0;    ///< that it adds to a late day, on the average
    /// Share of days that end by a minute.
    double by(double minute) const;
    /// Minute by which a share of the days has ended.
    double minuteOf(double share) const;
};
/// Plays a day again and again. The same draws for every `earlier`, so that an earlier begin is never worse.
/// @param due minute after which a day is late
Chances chances(Replay& replay, double due, double earlier = 0, const Scatter& scatter = {}, int runs = 500,
                unsigned seed = 7, std::stop_token stop = {});

}  // namespace uovo::schedule
