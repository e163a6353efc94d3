// Every sentence about figures.
#pragma once
#include "core/day/chance.h"
#include "core/quantity/catalogue.h"
#include "core/stages/figures.h"
#include "core/stages/strength.h"

namespace uovo {

/// "on the table", "in the fridge", "in the freezer".
inline std::string inPlace(coat::Place place) {
    return place == coat::Place::Table    ? tr("on the table")
           : place == coat::Place::Fridge ? tr("in the fridge")
                                          : tr("in the freezer");
}

/// Sentences for a part.
std::vector<Answer> partAnswers(const Piece& piece, const Plan& plan, const material::Library& library,
                                const PieceAnswers& known);

/// What a box, a plate and a mug leave free; none where nothing is eaten.
std::optional<Answer> besideAnswer(const Piece& piece, const Plan& plan, const material::Library& library,
                                   const PieceAnswers& known);

/// Sentences about the steps besides the wall: order, toppings, what stands in it, how it is served.
std::vector<Answer> stepAnswers(const Piece& piece, const Plan& plan, const material::Library& library,
                                const PieceAnswers& known);

/// Nets of piped lines: whether they hang together, a sentence each.
std::vector<Answer> laceAnswers(const Piece& piece, const Plan& plan, const material::Library& library,
                                const PieceAnswers& known);
/// Molds of one's own that are taken for a piece, a sentence each.
std::vector<Answer> moldAnswers(const Piece& piece, const Plan& plan, const material::Library& library,
                                const PieceAnswers& known);
/// Sentences about its decorations.
std::vector<Answer> decorAnswers(const Piece& piece, const Plan& plan, const material::Library& library,
                                 const PieceAnswers& known);

/// Sentences for one piece from its stage.
std::vector<Answer> pieceAnswers(const Piece& piece, const Plan& plan, const material::Library& library,
                                 const PieceAnswers& known);
/// The verdict on the weakest case as an answer of the piece's column; none when it could not be reckoned.
std::optional<Answer> strengthAnswer(const StrengthStage& stage, const Plan& plan, const material::Library& library);
/// What is to be melted, used up and bought.
std::vector<Answer> potAnswers(const Plan& plan, const material::Library& library, const std::vector<batch::Pot>& pots);
/// Texts of the cautions of a step of the day.
std::vector<std::string> cautionsOf(const schedule::Task& task, const material::Library& library);
/// Texts of the cautions that concern something in the plan.
std::vector<std::string> cautionsOf(const Plan& plan, const material::Library& library);
/// Texts of cautions by their ids, in that order.
std::vector<std::string> cautionTexts(const std::vector<const char*>& ids, const material::Library& library);
/// What to take care of at one step of a piece, as sentences; empty where there is nothing.
std::vector<std::string> cautionsAt(const Piece& piece, size_t step, const Plan& plan,
                                    const material::Library& library);
/// Windows that a day could not keep, a sentence each.
std::vector<std::string> brokenWindows(const DayPlan& day, UnitSystem units);

/// "Six in ten", of a share of days.
std::string inTen(double share);
/// How likely the day is ready, what an earlier begin buys, and which step is the risk.
std::string chanceWords(const Plan& plan, const DayPlan& day, const Chance& chance);
/// What an edit has moved; empty where it moved nothing.
std::string movedWords(const DayPlan& before, const DayPlan& now, UnitSystem units);

/// How far a day that should be under way has come by its ticks; empty where nothing of it is overdue or it is over.
/// @param now local minutes
std::string behindWords(const Plan& plan, const DayPlan& day, long now);

/// "Thursday 30 July, 21:00 at the latest": when work of a day before is begun.
std::string beforeWhen(const DayPlan& day, const Before& before, UnitSystem units);

/// The day as a list of lines, with its chance and what it breaks. @param chance may be null @param person whose; none:
/// everybody's
std::string dayText(const Plan& plan, const material::Library& library, const DayPlan& day, const Chance* chance,
                    std::optional<size_t> person);

/// Sentence and begin of the day as seen at `now` (local minutes): on time, or too late by how much.
Answer dayAnswer(const Plan& plan, const DayPlan& day, std::optional<long> now);

}  // namespace uovo
