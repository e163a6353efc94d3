// Tasks of what is coated: bowls, cups and the molded walls of parts.
#include <fmt/format.h>

#include <algorithm>
#include <cmath>

#include "core/day/builder.h"
#include "core/day/former.h"
#include "core/quantity/catalogue.h"

namespace uovo::day {

void Builder::coats(const Piece& piece, const PieceAnswers& a, Since& finished) {
    const bool around = piece.roundSomething();
    const int walls = static_cast<int>(a.made->wall->items.size());
    const size_t end = together(piece.making);
    int firstPrepare = -1, emptied = -1;
    for (const Round& r : roundsOf(piece, a)) {
        const int n = r.pieces;
        const int prepare = readyFormer(r, walls);
        if (firstPrepare < 0) firstPrepare = prepare;
        if (emptied >= 0) after(emptied, prepare, 0, -1, tr("the molds are empty again"));
        std::map<std::string, SoFar> parts;  // those that have coats of their own; else one
        size_t coatNumber = 0;
        bool patched = around;  // what is in it needs no patch
        Since since, inMold;    // decorations on the bare face of the mold
        since.push_back({prepare, 0, tr("its former is ready")});
        for (size_t i = 0; i < end; ++i) {
            const Step& step = piece.making[i];
            if (const auto* c = std::get_if<PlannedCoat>(&step)) {
                SoFar& now = parts.try_emplace(c->item, SoFar{prepare, 0}).first->second;
                if (patched && !around) now.before = since.back().task;  // a rim pressed in once it is off its former
                const int coating = static_cast<int>(net_.tasks.size());
                coat(r, a, coatNumber++, strewnOn(piece.making, i, end), now);
                follow(inMold, coating);
                inMold.clear();
                since.clear();
                for (const auto& [key, part] : parts) since.push_back({part.before, 0, tr("it has been looked at")});
                continue;
            }
            if (std::holds_alternative<TopStep>(step) || std::holds_alternative<InsertStep>(step))
                continue;                                          // with its coat
            if (std::holds_alternative<CastStep>(step)) continue;  // of its other parts
            if (std::holds_alternative<JoinStep>(step) || doneBefore(piece.making, i))
                continue;  // joined when all is there
            if (inTheMold(piece, i)) {
                inMold = since = other(r, a, i, since);
                continue;
            }
            if (!patched) {
                patched = true;
                since = patch(r, since);
            }
            if (std::holds_alternative<ReleaseStep>(step)) {
                const int release = offItsFormer(r, walls);
                follow(since, release, static_cast<int>(lib_.usual("latestRelease") / 60));
                if (moldsOf(piece) > 0) emptied = release;
                since = {{release, 0, tr("it is off its former")}};
            } else if (std::holds_alternative<TrimStep>(step)) {
                const int trim =
                    task(r, "trim", tr("Trim the rims of ") + r.who, "finish", minutes("trim", n), 0, {"warm-plate"});
                follow(since, trim);
                since = {{trim, 0, tr("its rim is trimmed")}};
            } else {
                since = other(r, a, i, since);
            }
        }
        if (a.made->melted > 0) {
            const int open = task(r, "open", tr("Melt the holes into ") + r.who + tr(" on a warm plate"), "finish",
                                  minutes("open", n), 0, {"warm-plate"});
            follow(since, open);
            since = {{open, 0, tr("its hole is open")}};
        }
        if (r.number > 1) after(firstPrepare, prepare, 0, -1, tr("the rounds go in their order"));
        finished.insert(finished.end(), since.begin(), since.end());
    }
}

int Builder::readyFormer(const Round& r, int walls) {
    const int n = r.pieces;
    const auto care = [&](const char* step, const std::string& title, const char* minutesOf, int many,
                          std::vector<std::string> cautions = {}) {
        return task(r, step, title + r.who, "prepare", minutes(minutesOf, many), 0, std::move(cautions));
    };
    switch (formerOf(r.piece)) {
        case Former::Core:
            return task(r, "core", tr("Dry and lay out ") + coreOf(r), "prepare", minutes("insert", n), 0);
        case Former::Balloon:
            return task(r, "inflate", tr("Blow up and oil ") + r.who, "prepare",
                        std::max(1, minutes("inflate", n) + minutes("oil", n)), 0, {"latex", "balloon-oil"});
        case Former::Acetate:
            return care("mold", tr("Cut and roll the acetate for "), "prepareMold", n * walls);
        case Former::PaperCase:
            return care("mold", tr("Set out the paper cases for "), "prepareMold", n * walls);
        case Former::NestedPaperCases:
            return care("mold", tr("Nest the paper cases for "), "prepareMold", n * walls);
        case Former::Mold:
            return care("mold", tr("Polish the molds for "), "prepareMold", n * walls);
        case Former::SiliconeCup:
            return care("snip", tr("Wash and dry the cups for "), "prepareMold", n);
        case Former::Cup:
            break;
    }
    return task(r, "snip", tr("Snip ") + r.who + tr(" to tear open"), "prepare", minutes("snip", n), 0, {"paper"});
}

int Builder::offItsFormer(const Round& r, int walls) {
    const bool balloon = r.piece.overBalloon(), mold = !r.piece.alongMeridian(),
               silicone = form::choice(r.piece.shape, "made") == "silicone";
    const int n = r.pieces;
    return mold      ? task(r, "unmold",
                            (r.piece.family().former == form::Former::Wrap ? tr("Peel the acetate off ") : tr("Unmold ")) +
                                r.who,
                            "release", minutes("unmold", n * walls), 0)
           : balloon ? task(r, "release", tr("Let the air out and peel ") + r.who, "release",
                            minutes("releaseBalloon", n), 0, {"latex", "blade"})
                     : task(r, "release",
                            (silicone ? tr("Turn the cups back and push out ") : tr("Tear the paper off ")) + r.who,
                            "release", minutes("releaseCup", n), 0);
}

Builder::Since Builder::patch(const Round& r, const Since& since) {
    const int done =
        task(r, "patch", tr("Patch bare spots on ") + r.who, "coat", minutes("patch", std::max(1, r.pieces / 3)), 0);
    drawsLittle(done, potFor(r.piece, r.piece.chocolateOf(r.piece.coats().front())));
    follow(since, done);
    return {{done, 3, tr("the patch is firm")}};
}

void Builder::coat(const Round& r, const PieceAnswers& a, size_t index, const std::vector<size_t>& strewn, SoFar& now) {
    const Piece& piece = r.piece;
    const PlannedCoat c = piece.coats()[index];
    const CoatTimes& times = *a.made->wall;
    const auto walled = coatedBy(*a.made, piece, index);
    if (walled.empty()) return;
    const int k = now.coats++;
    const int number = static_cast<int>(index) + 1, n = r.pieces, walls = static_cast<int>(walled.size());
    const bool balloon = piece.overBalloon();
    const std::string who = c.item.empty() ? r.who : partOf(r, a.made->assembly.items[walled.front()].name, walls);
    const auto coatId = [&](const char* what) { return fmt::format("{}-{}", what, number); };
    const char* verb = c.way == coat::Way::Dip     ? tr("Dip ")
                       : c.way == coat::Way::Pour  ? tr("Fill and pour out ")
                       : c.way == coat::Way::Turn  ? tr("Fill and turn about ")
                       : c.way == coat::Way::Press ? tr("Press into a plate of chocolate the rims of ")
                                                   : tr("Brush ");
    const char* time = c.way == coat::Way::Dip                                  ? "dip"
                       : c.way == coat::Way::Brush || c.way == coat::Way::Press ? "brush"
                                                                                : "pour";
    const int moving = c.motion == coat::Motion::Still && c.way != coat::Way::Turn
                           ? 0
                           : static_cast<int>(std::ceil(c.moveFor.value / 60));  // hands stay on it
    const int dip = task(r, coatId("coat"),
                         verb + who +
                             (k == 1   ? tr(", second coat")
                              : k == 2 ? tr(", third coat")
                              : k > 2  ? tr(", one more coat")
                                       : ""),
                         "coat", minutes(time, n * walls) + moving, number,
                         balloon ? std::vector<std::string>{"balloon-hot"} : std::vector<std::string>{});
    draws(dip, potFor(piece, piece.chocolateOf(c)), c.way == coat::Way::Dip);
    after(now.before, dip, 0, k == 0 ? 120 : 30,
          k == 0 ? tr("a balloon slowly shrinks") : tr("the shell is still cold"));
    const int strewnLast = strew(r, a, strewn, dip, times.setting[index].lock);
    const int carry = c.place == coat::Place::Table
                          ? -1
                          : task(r, coatId("in"), tr("Into the ") + placeName(c.place) + ": " + who, "cold",
                                 minutes("carry", n), number);
    const int delay = static_cast<int>(std::ceil(c.delay.value / 60));
    int inside = strewnLast;
    if (carry >= 0) {
        after(clear_, carry, 0, -1, tr("the shelf is clear"));
        // each piece waits its own delay; the last one is coated when the task ends
        after(dip, carry, std::max(0, delay - length(dip)), strewnLast == dip ? delay + 6 : -1,
              tr("the wait before the cold"));
        if (strewnLast != dip) after(strewnLast, carry, 0, 6, tr("its topping is on"));
        inside = carry;
    }
    const int out = task(r, coatId("out"),
                         (carry >= 0 ? tr("Out of the ") + placeName(c.place) + tr(", look: ") : tr("Look at ")) + who,
                         "look", minutes("look", n), number);
    const bool last = isLastForItsPart(piece.coats(), index);
    double need = (last ? times.setting[index].release : times.setting[index].firm) - coat::beforeCold(c);
    need = std::max(std::isfinite(need) ? need : 0.0, c.stay.value);
    const int stay = static_cast<int>(std::ceil(need / 60));
    const double most = longestIn(c.place);
    after(inside, out, stay, std::max(stay + 5, static_cast<int>(most / 60)),
          last ? tr("it lets go") : tr("it is firm"));
    // A place holds perShelf pieces at once, so each counts as that share of its area.
    const int place = places_.at(c.place), capacity = net_.resources[static_cast<size_t>(place)].capacity;
    const int fit = fitIn(c.place, a.made->shelfDiameter + lib_.usual("pieceGap"));
    net_.holds.push_back({place, inside, out,
                          std::min(capacity, static_cast<int>(std::floor(double(capacity) / std::max(1, fit))) * n)});
    now.before = out;
}

}  // namespace uovo::day
