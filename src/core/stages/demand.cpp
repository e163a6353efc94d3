// What a piece asks of each pot: its coats, casts, lid, glue and decorations, and what falls aside.
#include <algorithm>
#include <cmath>

#include "core/stages/figures.h"

namespace uovo {
namespace {

class Demands {
public:
    Demands(const Piece& piece, const Plan& plan, const material::Library& lib, const PieceAnswers& a)
        : piece_(piece), plan_(plan), lib_(lib), a_(a), made_(*a.made) {}

    std::vector<batch::Demand> all() {
        casts();
        coats();
        made_.meridian || a_.bath ? bath() : lastFilling();
        later();
        const double minutes = work();
        std::vector<batch::Demand> out;
        out.reserve(shares_.size());
        for (const auto& s : shares_)
            out.push_back({piece_.id, s.pot, a_.make, s.each, s.bath, potName(s.pot, lib_), s.late, s.aside,
                           minutes / double(shares_.size())});
        return out;
    }

private:
    struct Share {
        batch::PotKey pot;
        double each = 0, bath = 0, aside = 0, late = 0;
    };
    Share& share(const std::string& chocolate) {
        const batch::PotKey key = potOf(piece_, chocolate, lib_);
        for (auto& s : shares_)
            if (s.pot == key) return s;
        shares_.push_back({key});
        return shares_.back();
    }
    Share& coatShare(const PlannedCoat& c) { return share(piece_.chocolateOf(c)); }

    /// Everything that is poured, spread or modeled, tone by tone.
    void casts() {
        const CoatedWall* wall = made_.wall.get();
        const std::vector<CastStep> steps(piece_.casts().begin(), piece_.casts().end());
        for (size_t k = 0; k < made_.items.size(); ++k) {
            if (wall && wall->covers(k)) continue;
            const auto& item = made_.assembly.items[k];
            const double spares = double(a_.sparesOf(k)) / std::max(1, a_.make);
            const auto take = [&](const std::string& chocolate, double part) {
                part *= 1 + spares;
                if (item.shape.body == form::Body::Modeled) part = modelingPaste(part, chocolate, lib_).chocolate;
                share(chocolate).each += part * made_.items[k];
                if (item.shape.body == form::Body::Sheet &&
                    form::family(item.part.family)->cut)  // what is cut needs the sheet it is cut from
                    share(chocolate).aside += part * made_.items[k] * (1 / lib_.usual("sheetUsed") - 1);
            };
            const auto mine = piece_.castsOf(item);
            if (mine.empty()) take(piece_.chocolate, 1);
            for (const size_t i : mine) take(piece_.chocolateOf(steps[i]), castShare(piece_, steps[i]));
        }
    }

    void coats() {
        const CoatedWall* wall = made_.wall.get();
        size_t k = 0;
        if (wall)
            for (const auto& c : piece_.coats()) {
                coatShare(c).each += wall->coats[k].added;
                coatShare(c).aside += wall->coats[k++].fell;  // on the paper it stands on
            }
        if (made_.melted <= 0) return;  // a hole's chocolate is there while it is made, and comes back
        Share& s = wall ? coatShare(piece_.coats().front()) : share(piece_.chocolate);
        if (wall) s.each -= made_.melted;
        s.aside += made_.melted;
    }

    /// The last bowl still goes under in the bath, the last cup is still filled once.
    void bath() {
        const double volume = a_.bath ? a_.bath->chocolate : piece_.overBalloon() ? 0 : made_.meridian->formerVolume;
        for (const auto& c : piece_.coats())
            if (coat::drains(c.way))
                coatShare(c).bath =
                    std::max(coatShare(c).bath, volume * coatingOf(piece_, c.chocolate, plan_, lib_)->densityMelt);
    }

    /// The last mold is still filled once before it is poured out.
    void lastFilling() {
        for (size_t k = 0; k < made_.volumes.size(); ++k) {
            const auto& item = made_.assembly.items[k];
            if (!(item.edible && item.shape.body == form::Body::Wall && !item.shape.outside) ||
                form::family(item.part.family)->former == form::Former::Closed)
                continue;
            const double kg =
                lib_.usual("filledOnce") * (item.shape.volume - made_.volumes[k]) * a_.coating.densityMelt;
            const auto need = [&](Share& s) { s.bath = std::max(s.bath, kg); };
            if (made_.wall && made_.wall->covers(k)) {
                for (const size_t i : piece_.coatsOn(item))
                    if (piece_.coats()[i].way == coat::Way::Pour) need(coatShare(piece_.coats()[i]));
                continue;
            }
            const auto mine = piece_.castsOf(item);
            need(share(mine.empty() ? piece_.chocolate : piece_.chocolateOf(piece_.casts()[mine.front()])));
        }
    }

    /// Late in the day: lids, patches on what is coated, a fillet along what is glued, dots under what is stuck on,
    /// decorations.
    void later() {
        if (a_.capMass > 0) share(piece_.chocolate).each += a_.capMass;
        double late = a_.capMass * piece_.count;
        if (made_.wall && !piece_.roundSomething()) late += lib_.usual("patchEach") * a_.make;
        const double fillet = lib_.strong("jointFillet");
        for (const auto& joint : made_.assembly.joints)
            late += 0.5 * fillet * fillet * joint.length * a_.coating.densityMelt * a_.make;
        for (const auto& t : a_.toppings) late += t.glue * a_.make;
        for (auto& s : shares_)
            if (s.pot.chocolate == piece_.chocolate) s.late = late;
        for (const auto& t : a_.toppings)
            if (t.glue > 0) share(piece_.chocolate).each += t.glue;
        for (const auto& done : a_.decorated) {
            const auto& d = std::get<DecorateStep>(piece_.making[done.step]);
            if (!d.usesChocolate() || !(done.used > 0)) continue;
            const std::string& chocolate = piece_.chocolateOf(d);
            const bool paste = d.ofPaste();
            const double kg = paste ? modelingPaste(done.used, chocolate, lib_).chocolate : done.used;
            Share& s = share(chocolate);
            s.each += kg;
            if (!done.first && !paste) s.late += kg * a_.make;
        }
    }

    /// Minutes of coating and casting.
    double work() const {
        const auto task = [&](const char* name) {
            return plan_.kitchen.pace * lib_.tasks.at(name).seconds.value / 60 * a_.make;
        };
        double minutes = 0;
        for (const auto& c : piece_.coats())
            minutes += task(c.way == coat::Way::Dip                           ? "dip"
                            : coat::drains(c.way) || c.way == coat::Way::Turn ? "pour"
                                                                              : "brush");
        if (!made_.wall) minutes += task("cast") * double(std::max<size_t>(1, made_.items.size()));
        return minutes;
    }

    const Piece& piece_;
    const Plan& plan_;
    const material::Library& lib_;
    const PieceAnswers& a_;
    const Made& made_;
    std::vector<Share> shares_;
};

}  // namespace

std::vector<batch::Demand> demandsOf(const Piece& piece, const Plan& plan, const material::Library& lib,
                                     const PieceAnswers& a) {
    return Demands(piece, plan, lib, a).all();
}

}  // namespace uovo
