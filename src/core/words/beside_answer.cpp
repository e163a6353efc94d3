// What the kitchen's box, plate and mug leave free beside and over a piece.
#include "core/quantity/catalogue.h"
#include "core/stages/scoop.h"
#include "core/words/speaker.h"

namespace uovo {
namespace {

class BesideTeller : Speaker {
public:
    BesideTeller(const Piece& piece, const Plan& plan, const material::Library& lib, const Made& made)

        : Speaker(piece, plan, lib),
          made_(made),
          outside_(made.outside),
          radius_(form::circleRound(made.outside.hull).radius) {}

    std::optional<Answer> tell() {
        if (outside_.hull.size() < 3) return std::nullopt;
        Answer a;
        a.id = "beside";
        plan_.kitchen.hasBox() ? box(a) : boxWanted(a);
        plate(a);
        mug(a);
        scoop(a);
        a.working = {
            tr("Box, plate and mug"),
            tr("box: the turn about the upright that leaves most, by half degrees;  plate and mug: the smallest "
               "circle round what stands on it, and round all of it;  scoop: a ball let down until it touches"),
            {{tr("tall"), length(outside_.height), "", tr("geometry")},
             {tr("across"), length(2 * radius_), "", tr("geometry")},
             {tr("scoop"), length(lib_.usual("scoop")), "40–60 mm", tr("common practice, no source")},
             {tr("air round it in a box"), length(lib_.usual("packAir")), "5–20 mm", tr("judgement")}},
            a.headline,
            tr("As exact as your ruler; boxes are measured inside. Another in the settings of the kitchen."),
            tr("Box, plate and mug")};
        return a;
    }

private:
    /// No box is said: the one that it needs.
    void boxWanted(Answer& a) const {
        constexpr double kLarge = 3;  // m: any piece goes in
        const auto in = form::inBox(outside_, kLarge, kLarge, kLarge);
        const double longer = std::max(in.length, in.width);
        a.figure = {longer, longer, longer, Dimension::Length};
        a.headline = boxFor(in);
        a.after = tr("of box hold one");
        a.sentence = say("Inside, with {} of air round it.", length(lib_.usual("packAir")));
    }

    void box(Answer& a) const {
        const auto& k = plan_.kitchen;
        const auto in = form::inBox(outside_, k.boxLength.value, k.boxWidth.value, k.boxHeight.value);
        const double air = lib_.usual("packAir"), least = std::min(in.beside, in.above);
        const std::string box =
            fmt::format("{} × {} × {}", length(k.boxLength.value), length(k.boxWidth.value), length(k.boxHeight.value));
        a.figure = {least, least, least, Dimension::Length};
        if (least < 0) {
            a.tone = Tone::Weak;
            a.headline = tr("Too large");
            a.after = tr("for the box");
            a.sentence =
                say("It needs one of {} inside, {} of air counted; yours has {}.", boxFor(in), length(air), box);
            return;
        }
        a.tone = least < air ? Tone::Weak : Tone::Plain;
        a.headline = length(least);
        a.after = tr("free in the box");
        a.sentence = say("In a box of {} it has {} beside it and {} above.", box, length(in.beside), length(in.above));
        if (least < air) a.sentence += say(" Hands and a folded cloth want {} all round.", length(air));
        else if (const int many = together(in); many > 1 && piece_.count > 1)
            a.sentence += say(" {} go into one, {} between them.", many, length(air));
    }

    /// The box that holds it, with air beside and above.
    std::string boxFor(const form::InBox& in) const {
        const double air = lib_.usual("packAir");
        return fmt::format("{} × {} × {}", length(up(in.length + 2 * air)), length(up(in.width + 2 * air)),
                           length(up(outside_.height + air)));
    }

    static double up(double m) { return std::ceil(m * 200 - 1e-6) / 200; }  // whole half centimetres

    int together(const form::InBox& in) const {
        const bool round = std::abs(in.length - in.width) < 1e-3;
        const auto& k = plan_.kitchen;
        return batch::fitOnShelves(k.boxLength.value, k.boxWidth.value, k.boxHeight.value, 1,
                                   {{in.length, in.width, outside_.height, round}}, lib_.usual("packAir"));
    }

    void plate(Answer& a) const {
        if (outside_.foot.size() < 3 || piece_.sits != Sits::Flat) return;
        const double d = plan_.kitchen.plate.value, all = d / 2 - radius_;
        if (form::circleRound(outside_.foot).radius > d / 2)
            a.sentence += say(" Its foot does not stand on a plate of {}.", length(d));
        else if (all < 0) a.sentence += say(" On a plate of {} it reaches {} over the edge.", length(d), length(-all));
        else a.sentence += say(" A plate of {} keeps {} free all round.", length(d), length(all));
    }

    /// Of what is made to go into one: small, and round or closed.
    void mug(Answer& a) const {
        const auto& k = plan_.kitchen;
        const double free = k.mug.value / 2 - radius_;
        if (free < 0) return;
        const double over = outside_.height - k.mugDepth.value;
        a.sentence += say(" It goes into a mug of {}, {} free all round{}.", length(k.mug.value), length(free),
                          over > 0 ? say(" and {} over its rim", length(over)) : std::string());
    }

    /// In what is open at the top and rests on something.
    void scoop(Answer& a) const {
        const double across = lib_.usual("scoop");
        const auto in = scoopIn(made_, across);
        if (!in) return;
        if (in->free < 0)
            a.sentence +=
                say(" A scoop of {} lies on its rim: it is {} too narrow.", length(across), length(-2 * in->free));
        else
            a.sentence += say(" A scoop of {} goes in, {} free all round, and stands {} {} the rim.", length(across),
                              length(in->free), length(std::abs(in->over)), in->over > 0 ? tr("over") : tr("under"));
    }

    const Made& made_;
    const form::Outside& outside_;
    const double radius_;  // m, of the smallest circle round all of it
};

}  // namespace

std::optional<Answer> besideAnswer(const Piece& piece, const Plan& plan, const material::Library& lib,
                                   const PieceAnswers& known) {
    return BesideTeller(piece, plan, lib, *known.made).tell();
}

}  // namespace uovo
