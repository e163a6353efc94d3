// What a piece's own figures say of a cause: how likely it was there, and the reason in those figures.
#pragma once
#include <map>
#include <optional>
#include <string>
#include <vector>

#include "core/answers/answers.h"

namespace uovo::why {

/// What was really done or measured, where it is known; SI and °C.
struct Given {
    const char *id, *words;  ///< "stay", "Time in the cold"
    Dimension dimension;
};
/// All that can be given, in the order in which it is asked.
const std::vector<Given>& allGiven();
using Figures = std::map<std::string, double>;  ///< by the ids of allGiven()

/// What the log knows that bears on a cause.
struct FromLog {
    std::optional<double> yield, yieldSd;  ///< ln of the bag's yield stress against the book's
    std::optional<double> hands, handsSd;  ///< ln of a cook's minutes against the book's
    std::optional<double> set, setSd;      ///< ln of setting times against the computed ones
};

/// A piece as it was made: its plan with what was really done, and all that follows from it.
struct Scene {
    Plan plan;
    size_t piece = 0;  ///< of the plan
    Answers answers;
    material::Library library;  ///< with the plan's own colours
    Figures given;
    Figures planned;  ///< "drain", "delay", "stay" as they were planned
    FromLog log;
    const Piece& it() const { return plan.pieces[piece]; }
    const PieceAnswers& known() const { return *answers.pieces[piece]; }
};

/// How likely a cause was there, computed, and why.
struct Found {
    double q = 0;
    std::string reason;  ///< a sentence in this piece's own figures
};

/// What computes a cause, by its id in data/faults.json. @returns nothing where the figures say nothing of it
std::optional<Found> evidence(const std::string& id, const Scene& scene);
/// Whether there is one of that id.
bool isEvidence(const std::string& id);
/// Ids of what it would like to be given.
std::vector<std::string> reads(const std::string& id);

/// Whether a piece can have a fault.
bool canHave(const material::Fault& fault, const Piece& piece);

/// The plan as it was really worked: what was given of coats, casts and room takes the place of what was planned.
void asDone(const Figures& given, Piece& piece, Plan& plan);

/// ln(t/expected) against a scatter: Φ.
double beyond(double value, double limit, double sd);

}  // namespace uovo::why
