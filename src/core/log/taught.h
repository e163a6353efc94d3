// What a log teaches about a plan, and a plan that counts on it.
#pragma once
#include <stop_token>

#include "core/learn/said.h"
#include "core/learn/survival.h"
#include "core/log/casts.h"

namespace uovo::log {

/// What the log teaches about the plan that is open.
struct Taught {
    std::vector<learn::Lesson> lessons;
    struct Asked {
        std::string evening;     ///< id
        std::int64_t entry = 0;  ///< number of the entry that is not believed
        std::string sentence;
    };
    std::vector<Asked> questions;
    std::string next;  ///< what to measure next
    struct Next {
        std::string piece;        ///< id
        learn::Band before, now;  ///< kg
    };
    std::vector<Next> pieces;                 ///< of the plan
    std::map<std::string, learn::Shift> own;  ///< by chocolate of the plan
    struct Bag {
        std::string chocolate, bag;
        learn::Band yield;  ///< multiple of the book's
    };
    std::vector<Bag> bags;
    struct Temper {
        std::string date, chocolate;
        learn::Band crystals;  ///< multiple of what is usual
    };
    std::vector<Temper> tempers;
    learn::Pace pace;
    std::map<std::string, learn::Whole> whole;                ///< by the family of a shape
    std::map<std::string, Casts> casts;                       ///< of the plan's own molds, by its pieces
    std::map<std::string, std::vector<shell::SnapBar>> bars;  ///< that were broken, by chocolate as it is bought
    struct Price {
        double aKilogram = 0;  ///< in the person's own money
        std::string date;      ///< of the evening
    };
    std::map<std::string, Price> prices;           ///< last paid, by chocolate as it is bought
    size_t measured = 0, evenings = 0, older = 0;  ///< older: evenings that are not looked at any more
};

/// All that evenings teach about a plan. Of pieces that are not coated along a meridian no forecast is made: a mesh
/// takes seconds.
/// @param evenings the oldest first @param library with the plan's colours @returns nothing when stopped
std::optional<Taught> teach(const std::vector<Evening>& evenings, const Plan& plan, const material::Library& library,
                            std::stop_token stop = {});

/// How far what was learned is taken: 1 wholly (what is not named), 0 not at all.
using Trust = std::map<std::string, double>;  ///< by the id of a lesson
double trustIn(const Trust& trust, const std::string& lesson);

/// A plan that counts on it: its chocolates' figures with their source, its fridge's air, its hands, what comes out
/// whole, bars that were broken on other evenings (of those taken by half, half), prices it does not know. Counted on
/// twice it is as counted on once.
void countOn(const Taught& taught, const Trust& trust, Plan& plan, const material::Library& library);

}  // namespace uovo::log
