// What was learned, in a cook's sentences.
#pragma once
#include "core/learn/ask_back.h"
#include "core/learn/forecast.h"

namespace uovo::learn {

/// Something the log teaches.
struct Lesson {
    std::string id;        ///< "wall:dark", "fridge", "ladle", "wait", "hands"
    std::string sentence;  ///< "Your dark couverture stands better than the book: walls come out 18 % thicker."
    std::string source;    ///< "your logbook, 4 measurements of 12 May 2026"
    double factor = 1;     ///< multiple of what the book says; of the ladle K
};

/// What is beyond what chance does, and what is as the book says where it was measured; the chocolates first.
std::vector<Lesson> lessons(const Learned& known, const std::vector<Evening>& evenings,
                            const material::Library& library, std::stop_token stop = {});

/// A record that was not believed, with what was probably meant.
struct Question {
    size_t evening = 0, record = 0;
    std::string sentence;
};
std::vector<Question> questions(const Learned& known, const std::vector<Evening>& evenings, UnitSystem units);

/// The one measurement that would narrow the plan most, and by how much; empty where none does.
std::string nextMeasurement(const Learned& known, const Plan& plan, const material::Library& library,
                            std::stop_token stop = {});

}  // namespace uovo::learn
