// The day of a plan: its tasks laid out before the deadline, and where each piece stands at a minute of it.
#pragma once
#include <optional>

#include "core/schedule/solver.h"
#include "core/stages/figures.h"

namespace uovo {

/// Work on a day before: what is needed on the day has to cure, dry or be fetched first.
struct Before {
    std::string piece;  ///< id
    std::string title;  ///< "Take the mold of the meteorites"
    std::string of;     ///< "the mold of the meteorites"
    std::string words;  ///< what is done then, and how long it waits
    int minutes = 0;    ///< of hands
    long latest = 0;    ///< min of the day's time: it is begun then at the latest, between morning and evening
};

/// The day, laid out before the deadline.
struct DayPlan {
    schedule::Network asked;     ///< what was laid out: the tasks of the makings, pots whose sittings are to be found
    schedule::Found found;       ///< its layout, and what a next one begins with
    schedule::Network network;   ///< all that is done: those tasks, and melting, tempering, warming, rests
    schedule::Layout layout;     ///< of `network`
    std::vector<Before> before;  ///< what is done on days before it, the first one first
    int reserve = 0;             ///< min kept free between its end and the deadline
    std::optional<int> doneBy;   ///< minute by which all was to be done but what must be fresh
    long end = 0;                ///< local minutes of the network's time 0 (deadline minus the reserve)
    std::string problem;         ///< why there is none; layout is empty then
    /// What a clock on the wall shows at a minute of the network, "2026-11-24T18:30".
    std::string clock(long minute) const { return localTimeAfter(end, minute); }
    /// The same as it is said, without the day: "18:30", "6:30 pm".
    std::string said(long minute, UnitSystem units) const {
        return clockInWords(*clockMinutes(clock(minute).substr(11)), units);
    }
    /// Minute of the network at a local time.
    long minuteOf(long local) const { return minutesBetween(end, local); }
};

/// What frames a day besides its plan.
struct DayFrame {
    int reserve = 0;            ///< min kept free before the deadline
    std::optional<int> doneBy;  ///< minute by which all is done but what must be fresh
    /// Of a piece: how many go together in each round that has begun; what is left goes by the molds that there are.
    std::map<std::string, std::vector<int>> rounds = {};
};

/// The minute, in a network that ends `reserve` minutes before the deadline, of what a plan keeps in minutes from the
/// midnight before its deadline: pins, hours kept free.
int minuteOfDay(const Plan& plan, int reserve, int fromMidnight);
/// Back from a minute of a day.
int fromMidnight(const Plan& plan, const DayPlan& day, int minute);

/// The task network of a plan from its answers (docs/models.md, "Day").
schedule::Network dayNetwork(const Plan& plan, const material::Library& library, const PlanFigures& known,
                             const DayFrame& frame);

/// What is done on days before a day that is laid out.
std::vector<Before> daysBefore(const Plan& plan, const material::Library& library, const PlanFigures& known,
                               const DayPlan& day);

/// Finds a layout of a network. @param from genes to begin with; may be null
using Solve = std::function<tl::expected<schedule::Found, Problem>(const schedule::Network&, const schedule::Genes*)>;

/// Lays out the day of a plan as its person wishes it, or as its file keeps it. @param before the day before an edit,
/// which it stays near to; may be null
DayPlan layDay(const Plan& plan, const material::Library& library, const PlanFigures& known, const Solve& solve,
               const DayPlan* before = nullptr);

/// What of a day goes into the file of its plan, which is then opened with it: a plan that holds one is laid out so, as
/// long as its steps are the same.
LaidDay laidOf(const DayPlan& day);

/// Gives a laid out day the tasks that its pots and people need, in words.
void realise(DayPlan& day, UnitSystem units);

/// When the day melts, tempers and warms a pot again, in order of time. Empty without a day.
struct Sitting {
    int minute = 0;     ///< of the day plan's time, when it is tempered (or warmed) to be used
    std::string title;  ///< of that task
};
std::vector<Sitting> sittings(const DayPlan& day, const batch::Pot& pot);

/// State of a family at a minute of the day, for the scrubber.
struct PieceState {
    std::string piece;
    int round = 1;      ///< of the pieces that go through the day together
    std::string which;  ///< "1–6", empty when all go in one round
    int coats = 0;      ///< coats on it
    std::string words;  ///< "in the fridge", "ready", "not begun"
    int next = -1;      ///< task of the day that is done with them next; -1: none
    bool cold = false, released = false, filled = false;
};
std::vector<PieceState> statesAt(const Plan& plan, const DayPlan& day, int minute);

}  // namespace uovo
