// How many find room in the cold at once, and where else those set that do not.
#include "core/words/speaker.h"

namespace uovo {
namespace {

class RoomTeller : Speaker {
public:
    RoomTeller(const Piece& piece, const Plan& plan, const material::Library& lib, const PieceAnswers& known)
        : Speaker(piece, plan, lib), known_(known), made_(*known.made) {}

    Answer room(coat::Place place) const {
        const bool freezer = place == coat::Place::Freezer;
        Answer a;
        a.id = "shelf";
        a.figure = {double(known_.perShelf), double(known_.perShelf), double(known_.perShelf), Dimension::Count};
        a.headline = std::to_string(known_.perShelf);
        a.after = freezer ? "fit in the freezer at once" : "fit on the shelf at once";
        const char* with = made_.meridian ? piece_.overBalloon() ? "With its balloon it" : "With its cup it" : "It";
        if (made_.shelfHeight > height(place)) {
            a.tone = Tone::Impossible;
            a.headline = "Too tall";
            a.after = "";
            a.sentence = fmt::format("{} stands {} tall; there is room for {}.", with, length(made_.shelfHeight),
                                     length(height(place)));
            elsewhere(a, place);
        } else if (known_.perShelf == 0) {
            a.tone = Tone::Impossible;
            a.sentence = fmt::format("{} is {} across: not one fits. Set it in parts, or measure the shelf.", with,
                                     length(made_.shelfDiameter));
            elsewhere(a, place);
        } else {
            const int rounds = (known_.make + known_.perShelf - 1) / known_.perShelf;
            a.sentence = rounds > 1         ? fmt::format("{} to make go in {} rounds.", known_.make, rounds)
                         : known_.make == 1 ? std::string("It goes in at once.")
                                            : fmt::format("All {} go in one round.", known_.make);
        }
        a.working = {"Room in the cold",
                     "discs in rows or staggered, rectangles in rows either way round, the better one;  the parts of a "
                     "compound together by area, a quarter of it lost between them",
                     {{made_.meridian ? "diameter with its former" : "diameter", length(made_.shelfDiameter), "",
                       "largest part, geometry"},
                      {"gap", length(lib_.usual("pieceGap")), "5–15 mm", "judgement"},
                      {made_.meridian ? "height with its former" : "height", length(made_.shelfHeight), "",
                       made_.meridian ? "geometry, 15 mm for stand or hook" : "largest part, geometry"}},
                     a.headline,
                     "Counts empty shelves; a compound sets in parts, each of which must fit by itself.",
                     "Batch"};
        return a;
    }

private:
    double height(coat::Place place) const {
        return place == coat::Place::Freezer ? plan_.kitchen.freezerHeight.value : plan_.kitchen.shelfHeight.value;
    }
    /// Another place that is high enough, and in which this chocolate sets.
    void elsewhere(Answer& a, coat::Place from) const {
        if (from == coat::Place::Freezer && made_.shelfHeight <= height(coat::Place::Fridge))
            a.ways.push_back(setsIn(coat::Place::Fridge));
        if (known_.coating.tempered) a.ways.push_back(setsIn(coat::Place::Table));
    }

    const PieceAnswers& known_;
    const Made& made_;
};

}  // namespace

std::optional<Answer> roomAnswer(const Piece& piece, const Plan& plan, const material::Library& lib,
                                 const PieceAnswers& known) {
    if (known.made->parts.empty()) return std::nullopt;  // what is shaped by hand takes no shelf
    const coat::Place place = setsLastIn(piece, *known.made);
    if (place == coat::Place::Table) return std::nullopt;
    return RoomTeller(piece, plan, lib, known).room(place);
}

}  // namespace uovo
