// Sentences about nets of piped lines: whether they hang together, and where they would part.
#include "core/quantity/catalogue.h"
#include "core/quantity/decimal.h"
#include "core/stages/lace.h"
#include "core/words/speaker.h"

namespace uovo {
namespace {

class LaceTeller : Speaker {
public:
    LaceTeller(const Piece& piece, const Plan& plan, const material::Library& lib, const PieceAnswers& known)
        : Speaker(piece, plan, lib), known_(known) {}

    std::vector<Answer> all() const {
        std::vector<Answer> out;
        for (const auto& h : laceHolds(piece_, plan_, lib_, *known_.made)) out.push_back(one(h));
        return out;
    }

private:
    Answer one(const LaceHold& h) const {
        const auto& item = known_.made->assembly.items[h.item];
        Answer a;
        a.id = known_.made->assembly.items.size() > 1 ? "net/" + item.key : "net";
        a.figure = {h.span, h.span, h.span, Dimension::Length};
        a.headline = length(h.span);
        a.after = tr("of line between two crossings, the longest");
        a.tone = h.parts > 1 ? Tone::Impossible : h.holds() ? Tone::Good : Tone::Weak;
        const double most = std::min(h.peeled, h.lifted);
        if (h.parts > 1) a.sentence = say("It falls into {} parts: let every line cross another.", h.parts);
        else if (h.holes == 0)
            a.sentence =
                tr("Its lines do not meet all round: it bends as far as they reach. Pipe a ring where they end.");
        else
            a.sentence = say(
                "Its lines hang together round {} holes. It would part first {}: there a line bears {} times {}.{}",
                h.holes, h.balloon ? say("{} above its foot", length(h.height)) : std::string(tr("between crossings")),
                times(most), h.lifted < h.peeled ? tr("what a finger under it lifts") : peeling(h),
                h.holds() ? "" : tr(" Less than three is luck."));
        if (h.holes > 0 && !h.holds()) addWays(h, a);
        a.working = {
            tr("Where a net would part"),
            tr("F = 4 σ w t² / (3 s);  a bar held at both ends, loaded in its middle"),
            {{tr("line between crossings"), length(h.span), "", tr("round the largest hole, a quarter of its edge")},
             {tr("its width"), length(h.width), "", tr("of its shape")},
             {tr("its height"), length(h.thick), "", tr("of its shape")},
             {tr("strength"), say("{} MPa", significant(h.mean * 1e-6, 2)), "", tr("of the chocolate")},
             constant(tr("pull of the former"), lib_.strength.at(h.atOnce ? "burstLine" : "peelLine")),
             constant(tr("least a finger presses"), lib_.strength.at("squeezeLeast"))},
            say("peeled {} times, lifted {} times", times(h.peeled), times(h.lifted)),
            tr("Lines are taken as even and straight. Where a line runs thin it bears by the square of its "
               "height: pipe crossings twice."),
            tr("Nets")};
        return a;
    }

    static std::string times(double v) { return decimal(v, v < 9.5 ? 1 : 0); }
    static std::string peeling(const LaceHold& h) {
        return !h.balloon ? tr("the pull of its sheet")
               : h.atOnce ? tr("the pull of a balloon let go at once")
                          : tr("the pull of a balloon that is let down slowly");
    }

    void addWays(const LaceHold& h, Answer& a) const {
        if (h.atOnce)
            a.ways.push_back(way(tr("Let the balloon down slowly"),
                                 [](Piece& p) { p.handling.release = Handling::Release::Slowly; }));
        const double need = h.thick * std::sqrt(3 / std::max(1e-6, std::min(h.peeled, h.lifted))),
                     wanted = std::ceil(need * 1e4) / 1e4;
        if (piece_.shape.items.empty() && wanted <= 0.01)
            a.ways.push_back(way(say("Pipe its lines {} high", length(wanted)),
                                 [&](Piece& p) { p.shape.values[h.thickKey] = Measure(wanted); }));
    }

    const PieceAnswers& known_;
};

}  // namespace

std::vector<Answer> laceAnswers(const Piece& piece, const Plan& plan, const material::Library& lib,
                                const PieceAnswers& known) {
    return LaceTeller(piece, plan, lib, known).all();
}

}  // namespace uovo
