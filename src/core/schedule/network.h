// The day as tasks, lags between their starts, things that are in use for a while, people, and pots of chocolate.
#pragma once
#include <climits>
#include <cstdint>
#include <optional>
#include <string>
#include <tl/expected.hpp>
#include <vector>

#include "core/quantity/quantity.h"

namespace uovo::schedule {

/// Minutes, the second left out; the day ends at 0 and time before it is below 0.
struct Span {
    int from = 0, to = 0;
};

/// What a person must be allowed to do, as bits.
enum Skill : unsigned { kAnything = 0, kHot = 1, kKnife = 2, kOwn = 256 };
/// Skill that only one person has: for what is their own, as a rest.
constexpr unsigned ownSkill(int person) { return kOwn << person; }
inline constexpr unsigned kEverySkill = ~0U;

/// Not done, or not known.
inline constexpr int kLeftOut = INT_MIN;

/// A short attended task. Whole minutes.
struct Task {
    std::string id;     ///< stable: "crater-bowl/2/dip/1"
    std::string title;  ///< for a person: "Dip bowls 1–6 again"
    std::string piece;  ///< id of the family, empty for the kitchen as a whole
    std::string lane;   ///< what it is about: "prepare", "melt", "coat", "cold", "look", "release", "finish"
    int minutes = 1;
    int hands = 1;
    int coat = 0, round = 0;            ///< 1 first; 0 where it has none
    std::vector<std::string> cautions;  ///< ids
    std::string which = {};             ///< the pieces of the round, "1–6"; empty when it is all of them
    std::string step = {};              ///< what is done, a key: "fill", "temper"
    std::string who = {};               ///< for a person: "crater bowls 1–6"

    int pot = -1;                        ///< index of the pot it draws from
    double draw = 0, bath = 0;           ///< kg that go, and that must be in the pot besides
    bool small = false;                  ///< a spoonful: from what is warm, or from the pot's small twin
    unsigned skills = kAnything;         ///< needed of whoever does it
    int choice = -1, mode = 0;           ///< done only when that choice takes that mode
    std::optional<int> pin = {};         ///< starts at this minute
    int earliest = INT_MIN, latest = 0;  ///< starts no earlier; ends no later
    std::vector<Span> forbidden = {};    ///< does not overlap these
    /// Of a day as it is done: the pot it takes from, or that it makes molten or ready with so many kg.
    std::string potId = {};
    double takes = 0, makes = 0;
    /// Has been done, at its pin: it stands there whatever it breaks, and takes nobody's hands.
    bool done = false;
};

/// `min <= start(to) - start(from) <= max`, minutes, min >= 0; max < 0: none.
struct Lag {
    int from = 0, to = 0;
    int min = 0, max = -1;
    std::string why;  ///< "the first coat is firm", completes "…, because …"
    int choice = -1, mode = 0;
    bool soft = false;  ///< its max contradicts nothing: where it cannot be kept the day is laid out and says so
};

/// `amount` of a resource is in use from the start of `from` to the end of `to`.
struct Hold {
    int resource = 0;
    int from = 0, to = 0;
    int amount = 0;
    int choice = -1, mode = 0;
};

struct Resource {
    enum class Kind { Shelf, Freezer, Bench, Plate, Pot };
    std::string name;  ///< for a person: "fridge shelf", "pot of dark couverture"
    int capacity = 0;
    std::string unit;  ///< "cm²", "pot"
    Kind kind = Kind::Bench;
    std::string id = {};  ///< of a pot
    /// Less of it at times: that much is taken. Overlapping ones add up.
    struct Taken {
        Span when;
        int amount = 0;
    };
    std::vector<Taken> taken = {};
};

struct Person {
    std::string name;         ///< for a person: "you", "the helper"
    std::vector<Span> there;  ///< empty: all day
    unsigned skills = kEverySkill;
    bool rests = false;  ///< is given the network's rests
};

/// A pot of chocolate: its sittings (melted, tempered, used, kept by short bursts of warmth) are the solver's.
struct Pot {
    std::string id, name;
    bool tempered = true;  ///< else a sitting is only melted
    int base = -1;         ///< a colour: divided off the open sitting of this pot and stirred in, never melted itself
    int small = -1;        ///< pot that stands for its small twin: a few spoonfuls, warmed in a cup
    double meltMinutes = 15, meltPerKilogram = 0;  ///< of a sitting: at rest, and by its mass
    double temperMinutes = 15, temperPerKilogram = 0;
    int mixMinutes = 4;                                                ///< of a colour
    double windowMinutes = 10, windowPerKilogram = 0;                  ///< usable without warmth
    double vessel = 1e9;                                               ///< kg
    int idle = 40, length = 240, firstUse = 40, temperAfterMelt = 60;  ///< min, most
    bool keepsWarm = false;                                            ///< a melter: no bursts
    /// kg of it that stand ready since the end of a task of it that is done: what follows may join that sitting.
    double standing = 0;
    std::vector<int> before = {};  ///< tasks that end before it is melted: chopping
};

/// Tasks, lags and holds that belong to one of several ways; the solver takes one.
struct Choice {
    std::string id;
    std::vector<double> cost;  ///< a mode each, in minutes of starting earlier
};

/// What the person wishes, as weights; minutes of starting earlier are worth 1.
struct Wish {
    double start = 1, sitting = 15, hands = 0.3, change = 1, burst = 0.5;
    double interruption = 2;  ///< a burst of warmth while those hands do something else
    double turned = 8;        ///< two steps that were near each other and are now in the other order
    double moved = 1;         ///< … or whose distance has changed by more than a quarter of an hour
};

struct Network {
    std::vector<Task> tasks;
    std::vector<Lag> lags;
    std::vector<Hold> holds;
    std::vector<Resource> resources;
    std::vector<Person> people;
    std::vector<Pot> pots;
    std::vector<Choice> choices;
    std::vector<Span> closed;  ///< nobody works
    Wish wish;
    /// Of each task where it began in the day before an edit, or kLeftOut; empty: there was none. What was near each
    /// other stays in its order where that costs little.
    std::vector<int> before;
    int restEvery = 0, restMinutes = 15;  ///< min of work wished between two rests, and of one; 0: none are looked for
    int horizon = 16 * 60;                ///< minutes wished for; what begins before them is a broken window
};

/// What the solver adds to the tasks for a pot.
struct PotWork {
    enum class Kind { Melt, Temper, Mix, Warm, Burst };  ///< Warm: a small pot; Mix: a colour, of its base
    Kind kind = Kind::Melt;
    int pot = 0, sitting = 0;  ///< sitting: index into Layout::sittings
    int start = 0, minutes = 1, who = 0;
    double mass = 0;          ///< kg in the pot
    bool interrupts = false;  ///< a burst by hands that are busy with something else
};

/// A pot in use from its first to its last use.
struct PotSitting {
    int pot = 0;
    int from = 0, to = 0;  ///< of the uses
    double draw = 0, bath = 0;
    std::vector<int> uses;   ///< tasks
    std::vector<int> mixes;  ///< sittings whose colour is divided off this one
    bool standing = false;   ///< was ready before the day's first minute
};

/// A window that could not be kept.
struct Broken {
    enum class Kind { Lag, Hold, Earliest, Pin, Horizon, FirstUse, Melted, Warmth, PotHorizon, Vessel, Crossed, Idle };
    // FirstUse and what follows are of a sitting
    Kind kind = Kind::Lag;
    int of = 0;       ///< index of the lag, the hold, the task or the sitting
    int minutes = 0;  ///< too late or too early; of a hold: how much too much, in its unit
};

/// Starts in minutes before the end of the day (0 or below).
struct Layout {
    std::vector<int> start;     ///< kLeftOut: not done in the mode taken
    std::vector<unsigned> who;  ///< people, as bits
    std::vector<int> modes;     ///< a choice each
    std::vector<PotWork> potWork;
    std::vector<PotSitting> sittings;
    struct Rest {  ///< hands are free for at least a rest, and had worked before
        int person = 0, start = 0, minutes = 0;
    };
    std::vector<Rest> rests;
    std::vector<Broken> broken;
    int begins = 0;  ///< earliest start
    int ends = 0;    ///< latest end, 0 or before
    double cost = 0;
    bool isDone(int task) const { return start[static_cast<size_t>(task)] != kLeftOut; }
};

/// Minutes that chocolate stays usable without warmth; by what is in the pot on the average.
int usableMinutes(const Pot& pot, double draw, double bath);
int meltMinutes(const Pot& pot, double mass);
int temperMinutes(const Pot& pot, double mass);

/// What a violated constraint says.
struct Violation {
    std::string sentence;
};

/// Checks every constraint of a layout without the solver's code, minute by minute. What the layout itself declares
/// broken is none. Empty: the layout is right.
std::vector<Violation> check(const Network& network, const Layout& layout);

/// Bound on the day: longest path of the minimum lags; or the cycle of lags that contradicts itself.
struct LongestPath {
    bool contradiction = false;
    int minutes = 0;         ///< from the start of the first task to the end of the last
    std::vector<int> chain;  ///< tasks along it
};
LongestPath longestPath(const Network& network);

/// "dip → chill → peel", the first six.
std::string chainInWords(const Network& network, const LongestPath& path);

/// Why no plan can be laid out at all, whatever window is broken: lags that contradict each other, one hold alone too
/// large, nobody who may do a task, lags that name what is not there.
/// @returns empty when none of these shows it
std::vector<std::string> reasons(const Network& network);

}  // namespace uovo::schedule
