// Who works in the kitchen and when, what is wished of the day, and what a person has fixed in it.
#pragma once
#include <map>
#include <optional>
#include <string>
#include <vector>

namespace uovo {

/// Somebody who works. Clock times as "16:00"; empty: from the first step, to the last.
struct Worker {
    std::string name;  ///< empty: "you" of the cook, "the helper" of another
    std::string from, until;
    bool hot = true, knife = true;  ///< may work with what is hot, with blades
    std::string extra;
    bool operator==(const Worker&) const = default;
};

/// A day that was laid out, kept so that the file opens with it: the steps, those that end last first, and how far each
/// gave way.
struct LaidDay {
    struct Step {
        std::string step;    ///< id of the task
        int sooner = 0;      ///< min by which it is earlier than it had to be
        bool small = false;  ///< its spoonful comes from a cup of its own
        bool operator==(const Step&) const = default;
    };
    std::vector<Step> steps;
    std::map<std::string, int> ways;  ///< of a choice, by its id, which way was taken
    int reserve = 0;                  ///< min kept free before the deadline
    std::optional<int> doneBy;        ///< minute of the day by which it was to be done
    bool operator==(const LaidDay&) const = default;
};

struct DayWish {
    enum class Aim { Late, Early, FewTemperings, Calm, ShortSpells, FreeEvening };
    Aim aim = Aim::Late;
    double chance = 0;  ///< share of such days that are to be ready in time; 0: the usual minutes are kept free

    /// A step that begins at a time of its own. Minutes from the midnight before the deadline, so that a plan for
    /// another day keeps them.
    struct Pin {
        std::string step;  ///< id of the task
        int at = 0;
        bool operator==(const Pin&) const = default;
    };
    std::vector<Pin> pins;
    /// Nobody works; minutes as those of a pin.
    struct Free {
        int from = 0, to = 0;
        bool operator==(const Free&) const = default;
    };
    std::vector<Free> free;
    std::vector<std::string> done;      ///< ids of steps that are ticked off
    std::map<std::string, int> ahead;   ///< of a piece: its walls and parts are made so many days before
    std::map<std::string, int> rounds;  ///< of a piece: at most so many go through the day together
    LaidDay laid;                       ///< the day that all this gave; no steps: it is not known
    std::string extra;
    bool operator==(const DayWish&) const = default;
};

}  // namespace uovo
