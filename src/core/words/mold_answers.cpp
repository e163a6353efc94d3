// Sentences about molds of one's own: what is mixed, how it comes off, how long it takes, what it costs.
#include "core/quantity/catalogue.h"
#include "core/quantity/decimal.h"
#include "core/quantity/plural.h"
#include "core/words/mold_words.h"
#include "core/words/speaker.h"

namespace uovo {
namespace {

class MoldTeller : Speaker {
public:
    MoldTeller(const Piece& piece, const Plan& plan, const material::Library& lib, const PieceAnswers& known)
        : Speaker(piece, plan, lib), known_(known) {}

    std::vector<Answer> all() const {
        std::vector<Answer> out;
        out.reserve(known_.molds.size());
        for (const auto& w : known_.molds) out.push_back(one(w));
        return out;
    }

private:
    Answer one(const MoldWork& w) const {
        const MoldWish& wish = piece_.mold;
        Answer a;
        a.id = w.name.empty() ? "mold" : "mold/" + known_.made->assembly.items[w.item].key;
        if (w.own && w.own->leaves == mold::Leaves::InPieces) a.tone = Tone::Weak;
        const mold::BoxPour& b = w.box;
        a.figure = {b.silicone, b.silicone, b.silicone, Dimension::Volume};
        a.headline = volume(b.silicone);
        a.after = tr("silicone for ") +
                  (w.name.empty() ? std::string(tr("its mold")) : tr("the mold of the ") + lowerFirst(w.name));
        std::string words;
        if (w.own)
            for (const auto& said : moldWords(*w.own, plan_.units)) words += said + " ";
        words += say("{}: {} of A and {} of B. ", ratio(wish), mixed(b.massA, b.volumeA), mixed(b.massB, b.volumeB));
        words += say("Box {} × {} × {} inside, {} round the original on a sealed flat base. ", length(b.inside.x),
                     length(b.inside.y), length(b.inside.z), length(wish.wall.value));
        if (w.pan)
            words += say("In place of a box, {}: {} of silicone, up to {}. ", lowerFirst(w.pan->name),
                         volume(w.pan->silicone), length(w.pan->height));
        const double pot = wish.potLife.value, busy = (w.mixes + w.pours) / w.pourings;
        words += say("Stir {}, pour {} in a thin stream beside it. Let it cure {}{}, undisturbed.",
                     roughly(w.mixes / w.pourings), roughly(w.pours / w.pourings), time(wish.cure.value),
                     w.pourings > 1 ? tr(" for each part") : "");
        if (busy > pot) {
            a.tone = Tone::Weak;
            words += say(" Stirring and pouring take {}, and it can be poured for only {}: mix it in {} batches.",
                         time(busy), time(pot), static_cast<int>(std::ceil(busy / pot)));
        }
        if (w.molds > 1) words += say(" {} molds take {}.", w.molds, mass((b.massA + b.massB) * w.molds));
        if (w.cost > 0) words += say(" {} for {}.", decimal(w.cost, 2), w.molds == 1 ? tr("it") : tr("all of them"));
        const int casts = (known_.make + w.molds - 1) / w.molds;
        if (wish.there && wish.casts > 0) {
            const double left = w.life - wish.casts;
            words +=
                say(" It has made {}; one stands about {:.0f}.", sayMany("{} cast", "{} casts", wish.casts), w.life);
            if (casts > left) {
                a.tone = Tone::Weak;
                words += left < 1
                             ? std::string(tr(" Look whether its face is dull or torn, and pour a new one in time."))
                             : say(" {} more may be one too many: pour a new one in time.", casts);
            }
        } else {
            words += say(" It stands about {:.0f} casts; the first one{} is thrown away.", w.life,
                         w.firstCast > 0 ? say(", {} of chocolate,", mass(w.firstCast)) : "");
            if (casts + 1 > w.life) {
                a.tone = Tone::Weak;
                words += say(" {} from each is more than that.", casts);
            }
        }
        if (!wish.allergens.empty()) words += say(" It carries what the original is of: {}.", wish.allergens);
        a.sentence = std::move(words);
        if (w.molds > 1 && piece_.molds == 0)
            a.ways.push_back(way(tr("One mold, used in rounds"), [](Piece& p) { p.molds = 1; }));
        a.working = {
            tr("Silicone, box and pour"),
            tr("V = (box − original) · (1 + spare);  parts by mass are not parts by volume"),
            {{tr("original"), volume(b.original), "", w.own ? tr("the mesh") : tr("your water")},
             {tr("wall round it"), length(wish.wall.value), "8–10 mm", tr("common practice, no source")},
             {tr("A by volume"), volume(b.volumeA), "", tr("from the densities")},
             {tr("B by volume"), volume(b.volumeB), "", tr("from the densities")},
             constant(tr("spare"), lib_.formers.at("siliconeSpare")),
             constant(tr("poured, m³/s"), lib_.formers.at("siliconePour")),
             constant(tr("casts it stands"), lib_.formers.at("siliconeLife"))},
            a.headline,
            tr("Only food-grade silicone; its label has the last word on parts, pot life and cure. Silicone hardly "
               "shrinks, a tenth of a percent: the piece comes out as large as the original, less what chocolate "
               "draws in. What is on top while casting becomes the base."),
            tr("Parts")};
        if (!w.own) return a;
        const auto& own = *w.own;
        a.working.inputs.push_back({tr("caught"), percent(own.map.caught / std::max(1e-12, own.map.area)), "",
                                    say("rays from its surface, the best of {} pulls", kPullsAtOnce)});
        if (own.map.parts == 1)
            a.working.inputs.push_back(
                {tr("stretch"), percent(own.map.stretch),
                 say("bears {} to {}", percent(own.stretchLow), percent(own.stretchHigh)),
                 say("rings round its sections; silicone of Shore A {:.0f}, judgement", wish.hardness)});
        return a;
    }

    /// Whole minutes: nobody stirs by the second.
    std::string roughly(double seconds) const { return time(60 * std::max(1.0, std::round(seconds / 60))); }
    std::string percent(double share) const { return format(share, Dimension::Percent, plan_.units); }
    std::string mixed(double kg, double m3) const { return piece_.mold.byMass ? mass(kg) : volume(m3); }
    static std::string ratio(const MoldWish& w) {
        const auto part = [](double v) { return significant(v, 6); };
        const std::string by = w.byMass ? tr("By mass") : tr("By volume");
        return w.partsA == w.partsB ? by + tr(", one to one")
                                    : fmt::format("{}, {} to {}", by, part(w.partsA), part(w.partsB));
    }

    const PieceAnswers& known_;
};

}  // namespace

std::vector<Answer> moldAnswers(const Piece& piece, const Plan& plan, const material::Library& lib,
                                const PieceAnswers& known) {
    return MoldTeller(piece, plan, lib, known).all();
}

}  // namespace uovo
