// The rest of a day: what has been done stands, all else is laid out anew from this minute on.
#pragma once
#include <map>
#include <stop_token>

#include "core/day/day.h"

namespace uovo {

/// How far a day has come. Times are local minutes.
struct DayNow {
    long minute = 0;
    struct Done {
        long from = 0, to = 0;  ///< of what is still being done: until when it will be
    };
    std::map<std::string, Done> done;  ///< steps by their id, those that are being done as well
    /// A pot that is molten or ready; one that nobody has touched for longer than its idle minutes is taken for cold.
    struct Pot {
        std::string id;        ///< of schedule::Pot
        bool ready = true;     ///< else it is molten and wants to be tempered
        long since = 0;        ///< when it was made ready, warmed or used last; when it will be, of what is being done
        double kilograms = 0;  ///< in it
    };
    std::vector<Pot> pots;
    std::map<std::string, std::vector<int>> rounds;  ///< as of DayFrame, of pieces whose molds have become fewer
    /// A step that no making asks for, as a patch. @param after, before ids of steps; empty: whenever
    struct Extra {
        std::string id, title, piece;
        int minutes = 1;
        std::string pot;  ///< id of the pot it takes from; empty: none
        double kilograms = 0;
        std::string after, before;
    };
    std::vector<Extra> extra;
    std::map<int, long> busy;  ///< people who are at something, by their number, and until when
};

/// A day that has gone as planned up to a minute.
DayNow asPlanned(const DayPlan& day, long minute);

/// Lays out what is left of a day, near to the day before. Where it is too late, the day ends later: its reserve
/// shrinks, below nothing where the deadline is lost.
/// @param library with the plan's colours @param before the day as it was planned @param decodes layouts tried in all
DayPlan layRest(const Plan& plan, const material::Library& library, const PlanFigures& known, const DayNow& now,
                const DayPlan& before, int decodes = 1200, std::stop_token stop = {});

}  // namespace uovo
