// A day lane by lane, as it is drawn: what hands do, gathered so that nothing is too narrow to be read; what pots hold
// and for how long; who takes how much of a place.
#pragma once
#include "core/day/day.h"

namespace uovo {

/// Steps of one pair of hands that are shown as one block.
struct Flow {
    int from = 0, to = 0;    ///< minutes
    std::vector<int> tasks;  ///< of the day's network, in order of time
    std::string piece;       ///< what most of it is about; empty: the kitchen
    std::string verb;        ///< "dip", "glue"
    std::string who;         ///< "crater bowls 1–6"; of the kitchen what it is done to: "dark couverture"
    std::string which;       ///< "1–6"
    int main = -1;           ///< the step it is named by
    bool rest = false;
    std::vector<std::string> kinds;  ///< pieces it is about, in order of time; empty: the kitchen
};
/// What a person does, gathered into blocks; bursts of warmth are left to the pots.
/// @param least minutes of a block that still shows a sign @param words of one that has room for words too
std::vector<Flow> flowsOf(const DayPlan& day, size_t person, int least, int words);

/// A pot from its melting to its last use.
struct PotBand {
    std::string id, name;
    bool cup = false, tempered = true;
    int melt = 0, ready = 0, to = 0;            ///< minutes: melting begins, usable, last use over
    std::vector<std::pair<int, double>> level;  ///< from a minute on, kg in it; ends at `to`
    std::vector<int> bursts;
    double most = 0;  ///< kg
};
std::vector<PotBand> potBandsOf(const DayPlan& day);

/// Pieces in a place for a while, with their share of its area and where that lies among the others'.
struct Stay {
    int hold = 0;
    int from = 0, to = 0;
    double share = 0, at = 0;
};
std::vector<Stay> staysIn(const DayPlan& day, size_t resource);

/// Bursts of warmth that fall between a step and the next one of the list, or into a step that draws longer than its
/// pot stays warm. @param order steps by their time
struct Bursts {
    std::string pot;
    std::vector<int> minutes;
    bool fed = false;  ///< more than bursts keep even: with warm melted chocolate
};
/// "warm the dark couverture for a few seconds at 15:31, 15:40"
std::string burstWords(const DayPlan& day, const Bursts& bursts, UnitSystem units);
std::vector<std::vector<Bursts>> burstsAfter(const DayPlan& day, const std::vector<size_t>& order);
/// All steps but bursts, in order of time.
std::vector<size_t> stepsInOrder(const DayPlan& day);
/// "15:31, 15:40"
std::string clocksInWords(const DayPlan& day, const std::vector<int>& minutes, UnitSystem units);
/// Whether a step is one of the makings' own: it may be pinned. Melting, tempering and rests follow from others.
bool isOwn(const DayPlan& day, int task);
/// Which people do a step, in words: "you", "you and the helper".
std::string whoInWords(const DayPlan& day, size_t task);

}  // namespace uovo
