// The families of formers and parts: what a person measures to define one, and when to choose it.
#pragma once
#include <functional>
#include <optional>
#include <string>
#include <vector>

#include "core/quantity/quantity.h"

namespace uovo::form {

/// What is asked for only under some words of a choice of the same family; always where there is no choice.
struct Only {
    std::string choice = {};
    std::vector<std::string> words = {};
};

/// One figure a person measures.
struct Field {
    std::string key, name;  ///< "topDiameter", "Top diameter"
    std::string before;     ///< words before it in the sentence: "at the top"
    Dimension dimension = Dimension::Length;
    double value = 0, low = 0, high = 0;  ///< SI; usual value and what is accepted
    bool whole = true;                    ///< a count that is only counted whole
    std::string unit = {};                ///< of a bare number; empty: mm for lengths
    Only only = {};
};

/// One of a few words.
struct Choice {
    std::string key, name;
    std::vector<std::string> options;  ///< the first is the usual one; written to files as they stand
    Only only = {};
};

/// How chocolate makes the part.
enum class Body {
    Wall,      ///< a wall on the former's surface
    Cast,      ///< poured full: solid
    Sheet,     ///< poured flat between bars, or piped: solid, thin
    Modeled,   ///< shaped from modeling chocolate
    Compound,  ///< several parts put together
};

/// What gives a piece its shape while its chocolate sets.
enum class Former {
    Balloon,  ///< inflated, oiled, let down or burst
    Cup,      ///< torn or peeled off
    Mold,     ///< a cavity that is filled from above
    Closed,   ///< a mold that closes round itself: filled in part and turned about
    Wrap,     ///< acetate
    Table,    ///< spread or piped flat
    Hands,    ///< modeled
    Parts,    ///< several of these
    Itself,   ///< what is dipped or bound: it stays in it and is eaten with it
};

struct Family {
    std::string id, name, group;
    Body body = Body::Wall;
    bool outside = false;  ///< chocolate on the outside of the former (Wall only)
    std::string when;      ///< when to choose it
    std::string search;    ///< words a person may look for
    std::string measure;   ///< what to measure, and how
    std::vector<Field> fields;
    std::vector<Choice> choices = {};
    std::string points = {};  ///< "profile" or "outline" when it also needs points; else empty
    Former former = Former::Mold;
    bool cut = false;      ///< cut by a template from a sheet that is spread
    bool copied = false;   ///< a mold of one's own is taken from it
    bool byWater = false;  ///< its volume is told by the water it holds or pushes aside
    bool gap = false;      ///< an insert is pressed in: the gap is its wall
    bool flat = false;     ///< all of it sets lying flat: it is lifted off, not unmolded
    enum class Laid { Cut, Piped, Bent } laid = Laid::Cut;  ///< of a sheet: how it comes about
    // What it is only under some words of a choice, or always (an empty Only); part.h says it of a part.
    std::optional<Only> fromFile = {};  ///< its shape is a model of the plan
    std::optional<Only> shut = {};      ///< two halves are joined over what is in them
    std::optional<Only> hung = {};      ///< it hangs from a cord
    std::optional<Only> handle = {};    ///< it can be carried by a handle of its own
    /// What its middle is where it is reckoned as a part of several: a wall by itself, else as these say.
    enum class Middle {
        Usual,  ///< of a wall or sheet
        Plate,  ///< a flat part as thick as its figure `thick`
        Leg,    ///< a straight round bar
        Bow     ///< a round bar bent into half an ellipse
    };
    Middle middle = Middle::Usual;
    const char* drawn = "dark";  ///< chocolate its picture in the gallery is of
    const char* thick = "";      ///< key of the figure that is a plate's thickness
    bool meridian =
        false;  ///< round and plain: its wall is computed from its coats along its meridian (former.h), never assumed

    const Field* field(const std::string& key) const;
    const Choice* choice(const std::string& key) const;
    std::string brief = {};  ///< its name without what it is made in: "Half ball" of "Half ball in a mold"
};

/// Id of an assembly of one's own: its items and joints say what it is (part.h).
inline constexpr const char* kAssembly = "assembly";
inline constexpr const char* kOpening = "opening";  ///< key of the figure of a hole that is melted into a closed shell

/// All of them, told in the language of the cook.
const std::vector<Family>& families();
/// The same in English, as words are looked for in them.
const std::vector<Family>& familiesInEnglish();
/// Shows each displayed text of a family to `visit`, which may change it.
void eachText(Family& family, const std::function<void(std::string&)>& visit);
/// Null when there is no such family.
const Family* family(const std::string& id);

}  // namespace uovo::form
