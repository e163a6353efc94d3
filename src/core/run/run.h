// A day while it is worked through: a log of events and the state they make. No clock, no files: whoever writes an
// event says when it was.
#pragma once
#include <map>
#include <optional>
#include <string>
#include <tl/expected.hpp>
#include <vector>

#include "core/quantity/quantity.h"

namespace uovo::run {

inline constexpr double kMinute = 60;  ///< s

/// What a step waits for: another step, and minutes after its end.
struct Wait {
    std::string after;      ///< id of the step before
    int min = 0, max = -1;  ///< min after its end; max < 0: as long as it likes
    std::string why;        ///< completes "…, because …"
    bool operator==(const Wait&) const = default;
};

/// A step of the day as it is done by somebody.
struct Step {
    std::string id, title, piece, which;  ///< as schedule::Task
    std::string lane, kind;               ///< "coat", "look" …; "temper", "fill" …
    int at = 0, minutes = 1;              ///< planned start, minutes of the run; how long it takes
    unsigned who = 1;                     ///< people, as bits
    std::string pot;                      ///< id of the pot it takes from, or makes ready
    double takes = 0, makes = 0;          ///< kg taken from it; kg that are molten or ready in it afterwards
    bool ready = false;                   ///< of what makes: it is ready, else only molten
    int usable = 0;                       ///< of what makes: min it stays usable without warmth; 0: as long as it likes
    std::vector<std::string> cautions;
    std::vector<Wait> waits;
    bool operator==(const Step&) const = default;
    /// Id of the plan's piece that it is about, also where that is made again.
    std::string madeOf() const { return piece.substr(0, piece.find('~')); }
    /// Number behind the last dash of its kind: "coat-2" → 2; 1 where there is none.
    size_t number() const;
};

struct PotState {
    double kilograms = 0;
    bool ready = false;  ///< else only molten
    double since = 0;    ///< s of the run: made ready, warmed or used last
    int usable = 0;      ///< min it stays so without warmth; 0: as long as it likes
    std::optional<double> celsius;
};
using Pots = std::map<std::string, PotState>;  ///< by their id

/// What a step that is done at a second of the run makes of its pot.
void useOf(const Step& step, double second, Pots& pots);

/// How many of a piece are wanted and made.
struct Count {
    std::string piece, name;
    int wanted = 0, made = 0;  ///< made: begun in the end, spares and all
    bool operator==(const Count&) const = default;
};

/// What happened, as it is told. Each asks at most one question: which step, how many, how long.
enum class Mishap {
    Broke,        ///< `count` of a piece
    BareSpots,    ///< of a piece
    TooThick,     ///< of a piece
    NotSet,       ///< a step that was to be looked at
    TooHot,       ///< a pot
    PotSet,       ///< a pot has set in its bowl
    Seized,       ///< a pot
    Interrupted,  ///< `minutes`
    MoldDropped,  ///< of a piece
    OneMore,      ///< a guest: one more of a piece
    RanOut,       ///< a pot
};

enum class Kind {
    Begun,     ///< the run begins; says what it is a run of
    Laid,      ///< what is left, as it is planned from here on
    Done,      ///< a step
    NotYet,    ///< a step is looked at again in `minutes`
    LeftOut,   ///< a step is not done
    Happened,  ///< `mishap`
    Again,     ///< `count` more of a piece are made from the beginning
    Fewer,     ///< `count` fewer of a piece are wanted; below 0: more
    Mended,    ///< `count` broken ones of a piece are whole again
    Extra,     ///< a step that no plan knew, `step` itself in `laid`
    Weighed,   ///< a piece at a step, `figure` kg
    Read,      ///< a pot, `figure` °C
    Warmed,    ///< a pot, for some seconds
    MoldGone,  ///< one of a piece's molds is broken
    Undone,    ///< the last thing a person did is taken back
    Ended,
};

struct Event {
    Kind kind = Kind::Done;
    double at = 0;  ///< s of the run
    std::string step, piece, pot, note;
    int minutes = 0, count = 0;
    double figure = 0;
    Mishap mishap = Mishap::Broke;
    std::vector<Step> laid;
    std::vector<Count> counts;   ///< of Begun
    std::string plan, deadline;  ///< of Begun: name, local time
    std::string begun;           ///< of Begun: local time at second 0
    unsigned who = 1;            ///< who did it
    bool operator==(const Event&) const = default;
};

struct StepState {
    enum class Is { Waits, Done, LeftOut } is = Is::Waits;
    double from = 0, to = 0;  ///< s of the run, of what is done
    double again = 0;         ///< s of the run before which it is not looked at again
};

struct PieceState {
    Count count;
    int broken = 0, again = 0, fewer = 0;  ///< made anew; no longer wanted
    int moldsGone = 0;
    int whole() const { return count.made + again - broken; }
    int wanted() const { return count.wanted - fewer; }
    int missing() const { return wanted() > whole() ? wanted() - whole() : 0; }
};

/// What can be waited for: a step that will be looked at or done when its time has come, or a pot that wants warmth.
struct Timer {
    std::string step, pot;  ///< id; one of them
    double due = 0;         ///< s of the run; may be past
    double latest = -1;     ///< s of the run; below 0: none
    bool operator==(const Timer&) const = default;
};

/// State of a run, made by its events alone: the same events give the same state.
class Run {
public:
    /// Takes an event, or says why it cannot be and stays as it was.
    tl::expected<void, Problem> take(const Event& event);
    /// All that were taken, those that were undone too.
    const std::vector<Event>& events() const { return events_; }
    /// Those that hold: that were not undone.
    std::vector<const Event*> held() const;

    bool hasBegun() const { return begun_; }
    bool hasEnded() const { return ended_; }
    double now() const { return now_; }  ///< s: of the last event
    const std::string& plan() const { return plan_; }
    const std::string& deadline() const { return deadline_; }
    const std::string& begun() const { return begunAt_; }  ///< local time at second 0

    /// Steps as they are planned, those that are done at their real places, in the order of the day.
    const std::vector<Step>& steps() const { return steps_; }
    const Step* step(const std::string& id) const;
    const StepState& state(const std::string& id) const;
    bool isOpen(const std::string& id) const { return state(id).is == StepState::Is::Waits; }
    /// What must be done before a step may be; empty: it may be begun.
    std::vector<std::string> missing(const Step& step) const;
    /// The second of the run from which a step may be done; as late as its planned one where nothing says so.
    double due(const Step& step) const;
    double latest(const Step& step) const;  ///< below 0: whenever
    /// The step that a person has before them: the first of theirs that is open and waits for nothing that is open.
    /// @param person below 0: anybody's
    const Step* next(int person) const;
    /// Steps of theirs that come after it.
    std::vector<const Step*> after(int person, size_t many) const;
    /// All that time has to do for: waits of a minute and more that have begun. The most urgent first: of what is due
    /// what is nearest to being too late, then what can wait on, then what falls due next.
    /// @param second of the run that is looked at
    std::vector<Timer> timers(double second) const;

    /// The second from which a person's hands are free; 0: they have done nothing yet.
    double free(int person) const;

    const Pots& pots() const { return pots_; }
    const std::vector<PieceState>& pieces() const { return pieces_; }
    const PieceState* piece(const std::string& id) const;
    /// Minutes that the run is behind what is planned, at a second; below 0: ahead.
    double late(double second) const;
    /// Whether something can be undone.
    bool canUndo() const;

private:
    tl::expected<void, Problem> change(const Event& event);
    tl::expected<void, Problem> done(const Event& event);
    tl::expected<void, Problem> lay(const Event& event);
    tl::expected<void, Problem> count(const Event& event);  ///< broke, mended, again, fewer
    void leaveOut(const std::string& step, double at);
    tl::expected<void, Problem> end(const Event& event);
    PieceState* find(const std::string& piece);
    void sort();
    void again();  ///< from the events that still hold

    std::vector<Event> events_;
    std::vector<size_t> holds_;  // events that are not undone
    bool begun_ = false, ended_ = false;
    double now_ = 0;
    std::string plan_, deadline_, begunAt_;
    std::vector<Step> steps_;
    std::map<std::string, StepState> states_;
    Pots pots_;
    std::vector<PieceState> pieces_;
    std::map<int, double> free_;  // of a person: when what they did last was done
};

/// Whether this is something a person did, which can be taken back.
bool isOwn(Kind kind);

}  // namespace uovo::run
