// Who works in the kitchen and when, what is wished of the day, and what a person has fixed in it.
#pragma once
#include <map>
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
    std::string extra;
    bool operator==(const DayWish&) const = default;
};

}  // namespace uovo
