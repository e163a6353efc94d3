// How many find room in the cold at once, and where else those set that do not.
#include "core/quantity/catalogue.h"
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
        a.after = freezer ? tr("fit in the freezer at once") : tr("fit on the shelf at once");
        const char* with =
            made_.meridian ? piece_.overBalloon() ? tr("With its balloon it") : tr("With its cup it") : "It";
        if (made_.shelfHeight > height(place)) {
            a.tone = Tone::Impossible;
            a.headline = tr("Too tall");
            a.after = "";
            a.sentence =
                say("{} stands {} tall; there is room for {}.", with, length(made_.shelfHeight), length(height(place)));
            elsewhere(a, place);
        } else if (known_.perShelf == 0) {
            a.tone = Tone::Impossible;
            a.sentence = say("{} is {} across: not one fits. Set it in parts, or measure the shelf.", with,
                             length(made_.shelfDiameter));
            elsewhere(a, place);
        } else {
            const int rounds = (known_.make + known_.perShelf - 1) / known_.perShelf;
            a.sentence = rounds > 1         ? say("{} to make go in {} rounds.", known_.make, rounds)
                         : known_.make == 1 ? std::string(tr("It goes in at once."))
                                            : say("All {} go in one round.", known_.make);
        }
        a.working = {
            tr("Room in the cold"),
            tr("discs in rows or staggered, rectangles in rows either way round, the better one;  the parts of a "
               "compound together by area, a quarter of it lost between them"),
            {{made_.meridian ? tr("diameter with its former") : tr("diameter"), length(made_.shelfDiameter), "",
              tr("largest part, geometry")},
             {tr("gap"), length(lib_.usual("pieceGap")), "5–15 mm", tr("judgement")},
             {made_.meridian ? tr("height with its former") : tr("height"), length(made_.shelfHeight), "",
              made_.meridian ? tr("geometry, 15 mm for stand or hook") : tr("largest part, geometry")}},
            a.headline,
            tr("Counts empty shelves; a compound sets in parts, each of which must fit by itself."),
            tr("Batch")};
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
