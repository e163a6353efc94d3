// Something happened: what can be done about it, with minutes and grams for this pot, these pieces, now.
#pragma once
#include "core/run/agenda.h"

namespace uovo::run {

/// One way to go on after a mishap.
struct Way {
    std::string id;             ///< "spare", "glue", "again", "fewer", "patch", "wait", "temper", "melt", "on"
    std::string words;          ///< "Make one more from the beginning"
    int minutes = 0;            ///< of hands, about
    double kilograms = 0;       ///< of chocolate, about
    std::vector<Event> events;  ///< what is taken when it is chosen, after the mishap itself; their time is not set
};

/// The question that a mishap asks, if it asks one.
enum class Asks { Nothing, Piece, Pot, Minutes };
Asks asks(Mishap mishap);

/// Words for a mishap as a person tells it: "Something broke".
std::string told(Mishap mishap);
/// All of them, in the order they are offered.
std::vector<Mishap> mishaps();

/// Ways to go on, the one that costs least first; never empty.
/// @param happened Happened, with what it asks filled in; the run has taken it
std::vector<Way> ways(const Run& run, const Event& happened, const Plan& plan, const material::Library& library,
                      const PlanFigures& known, const DayPlan& day);

}  // namespace uovo::run
