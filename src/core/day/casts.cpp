// Tasks of what is cast, spread or shaped by hand.
#include <fmt/format.h>

#include <algorithm>
#include <cmath>

#include "core/day/builder.h"
#include "core/quantity/catalogue.h"

namespace uovo::day {

int Builder::prepareCasts(const Round& r, int many) {
    return r.piece.overBalloon()
               ? task(r, "bars", tr("Blow up and oil the balloons for ") + r.who, "prepare",
                      minutes("inflate", r.pieces) + minutes("oil", r.pieces), 0, {"latex", "balloon-oil"})
           : r.piece.roundSomething()
               ? task(r, "core", tr("Dry and weigh ") + coreOf(r), "prepare", minutes("insert", r.pieces), 0)
               : task(r, "bars", tr("Prepare molds and bars for ") + r.who, "prepare", minutes("prepareMold", many), 0);
}

int Builder::releaseCasts(const Round& r, bool walled, int many) {
    return r.piece.overBalloon() ? task(r, "uncast", tr("Let the air out and peel ") + r.who, "release",
                                        minutes("releaseBalloon", r.pieces), 0, {"latex", "blade"})
                                 : task(r, "uncast",
                                        (walled ? tr("Unmold the other parts of ")
                                         : r.piece.family().former == form::Former::Wrap ? tr("Peel the acetate off ")
                                         : r.piece.family().flat                         ? tr("Lift off ")
                                                                                         : tr("Unmold ")) +
                                            r.who,
                                        "release", minutes("unmold", many), 0);
}

void Builder::casts(const Piece& piece, const PieceAnswers& a, Since& finished) {
    const auto& stage = *a.made;
    int edible = 0, spares = 0;
    for (size_t k = 0; k < stage.assembly.items.size(); ++k) {
        const auto& item = stage.assembly.items[k];
        if (stage.wall && stage.wall->covers(k)) continue;
        edible += item.edible;
        spares += a.sparesOf(k);
    }
    if (edible == 0) return;
    const bool modeled = std::all_of(stage.assembly.items.begin(), stage.assembly.items.end(),
                                     [](const auto& i) { return !i.edible || i.shape.body == form::Body::Modeled; });
    if (modeled && !stage.wall) return model(piece, a, edible, finished);
    const bool joins = has<JoinStep>(piece.making) && !joinsAtLast(piece, stage);
    std::vector<CastStep> steps(piece.casts().begin(), piece.casts().end());
    if (steps.empty()) steps.emplace_back();
    const size_t end = together(piece.making);
    int before = -1, emptied = -1;
    for (const Round& r : roundsOf(piece, a)) {
        const int many = r.pieces * std::max(1, edible) + (r.number == 1 ? spares : 0);
        const int prepare = prepareCasts(r, many);
        if (before >= 0) after(before, prepare, 0, -1, tr("the rounds go in their order"));
        before = prepare;
        if (emptied >= 0) after(emptied, prepare, 0, -1, tr("the molds are empty again"));
        Since since{{prepare, 0, tr("the molds are ready")}};
        std::map<std::string, Since> parts;  // those that have casts of their own; else one
        Since inMold;                        // decorations on the bare face of the mold
        size_t layer = 0;
        bool released = false;
        const auto castNext = [&](const std::vector<size_t>& strewn) {
            const size_t k = layer++;
            const CastWork work = castWork(stage, piece, k);
            if (work.items.empty()) return;
            Since& part =
                parts.try_emplace(steps[k].item, Since{{prepare, 0, tr("the molds are ready")}}).first->second;
            const int casting = static_cast<int>(net_.tasks.size());
            const int cold = cast(r, a, k, steps[k], work, strewn, part);
            follow(inMold, casting);
            inMold.clear();
            part.assign(1, Waits{cold, 0, tr("it has been looked at")});
            since.clear();
            for (const auto& [key, of] : parts) since.push_back(of.back());
        };
        for (size_t i = 0; i < end; ++i) {
            const Step& step = piece.making[i];
            if (std::holds_alternative<JoinStep>(step) || doneBefore(piece.making, i)) continue;
            if (!stage.wall && inTheMold(piece, i)) {
                inMold = since = other(r, a, i, since);
            } else if (std::holds_alternative<CastStep>(step)) {
                if (layer >= steps.size()) continue;  // poured before it was let go, whatever the order says
                castNext(strewnOn(piece.making, i, end));
            } else if (std::holds_alternative<ReleaseStep>(step)) {
                while (layer < steps.size()) castNext({});
                const int release = releaseCasts(r, stage.wall != nullptr, many);
                follow(since, release);
                since = {{release, 0, tr("it is off its former")}};
                released = true;
                if (moldsOf(piece) > 0) emptied = release;
            } else if (!stage.wall && released && std::holds_alternative<TrimStep>(step)) {
                const int trim =
                    task(r, "trim", tr("Trim ") + r.who, "finish", minutes("trim", r.pieces), 0, {"warm-plate"});
                follow(since, trim);
                since = {{trim, 0, tr("it is trimmed")}};
            } else if (!stage.wall && layer > 0 && !std::holds_alternative<TopStep>(step) &&
                       !std::holds_alternative<InsertStep>(step) && !std::holds_alternative<PlannedCoat>(step)) {
                since = other(r, a, i, since);
            }
        }
        while (layer < steps.size()) castNext({});
        if (joins) finished.push_back(joined(r, a, since));
        else finished.insert(finished.end(), since.begin(), since.end());
    }
}

void Builder::model(const Piece& piece, const PieceAnswers& a, int edible, Since& finished) {
    const Round r{piece, 1, a.make, whose(piece, 1, 1, a.make), ""};
    const int knead =
        task(r, "knead", tr("Knead the modeling chocolate for ") + r.who, "prepare", minutes("rewarm", 1), 0);
    draws(knead, potFor(piece, piece.chocolateOf(piece.cast()), true));
    const int shape =
        task(r, "cast", tr("Shape ") + r.who + tr(" by hand"), "coat", minutes("model", r.pieces * edible), 1);
    after(knead, shape, 0, 60, tr("it is warm from the hands"));
    finished.push_back({shape, static_cast<int>(std::ceil(lib_.usual("modeledRests") / 60)), tr("it keeps its shape")});
}

int Builder::cast(const Round& r, const PieceAnswers& a, size_t k, const CastStep& c, const CastWork& work,
                  const std::vector<size_t>& strewn, const Since& since) {
    const Piece& piece = r.piece;
    const auto& stage = *a.made;
    const int edible = static_cast<int>(work.items.size()), sheets = work.sheets;
    const size_t layer = work.tone;
    const std::string who = !work.name.empty() ? partOf(r, work.name, edible)
                            : stage.wall       ? tr("the other parts of ") + r.who
                                               : r.who;
    int spares = 0, spareSheets = 0;  // made with the first round
    if (r.number == 1)
        for (const size_t i : work.items) {
            spares += a.sparesOf(i);
            if (stage.assembly.items[i].shape.body == form::Body::Sheet) spareSheets += a.sparesOf(i);
        }
    const int n = r.pieces, many = n * std::max(1, edible) + spares, spread = n * sheets + spareSheets;
    const bool last = work.last;
    const int poured =
        task(r, k == 0 ? std::string("cast") : fmt::format("cast-{}", k + 1),
             (piece.overBalloon()      ? laceVerb(piece)
              : piece.roundSomething() ? tr("Stir and spoon ")
              : sheets == edible       ? tr("Spread and cut ")
                                       : tr("Cast ")) +
                 who + (layer == 0 ? "" : std::string(layer == 1 ? tr(", second tone") : tr(", next tone"))),
             "coat", minutes("cast", many - spread) * (edible > sheets) + minutes("spread", spread) * (sheets > 0), 1);
    draws(poured, potFor(piece, piece.chocolateOf(c)));
    const auto times = stage.casts[k];
    if (layer == 0) {
        follow(since, poured, 240);
    } else {  // the tone under it no longer mixes with it, and still grips it
        const auto& under = stage.casts[work.under];
        const int lock = std::isfinite(under.lock) ? static_cast<int>(std::ceil(under.lock / 60)) : 5,
                  firm = std::isfinite(under.firm) ? static_cast<int>(std::ceil(under.firm / 60)) : lock;
        for (const auto& s : since)
            after(s.task, poured, std::max(0, lock - length(s.task)), std::max(lock, firm) + 30,
                  tr("the tone under it no longer runs"));
    }
    const int stood = strew(r, a, strewn, poured, times.lock);
    if (!last) return stood;
    const coat::Place where = c.place;
    const auto castId = [&](const char* what) {
        return c.item.empty() ? std::string(what) : fmt::format("{}-{}", what, c.item);
    };
    const bool stays = where == coat::Place::Table;
    const int table = stays ? 0 : static_cast<int>(std::ceil(c.table.value / 60));
    int in = stood;
    if (!stays) {
        in =
            task(r, castId("cast-in"), tr("Into the ") + placeName(where) + ": " + who, "cold", minutes("carry", n), 1);
        after(clear_, in, 0, -1, tr("the shelf is clear"));
        after(poured, in, table, stood == poured ? table + 15 : -1, tr("the wait before the cold"));
        if (stood != poured) after(stood, in, 0, 15, tr("what stands in it stands"));
    }
    const int out = task(r, castId("cast-out"),
                         (stays ? tr("Look at ") : tr("Out of the ") + placeName(where) + tr(", look: ")) + who, "look",
                         minutes("look", n), 1);
    const double until = std::isnan(times.release) ? times.set : times.release, need = until - table * 60;
    const int stay = std::max(0, static_cast<int>(std::ceil((std::isfinite(need) ? need : 3600) / 60)));
    const double most = longestIn(where);
    after(in, out, stay, std::max(stay + 15, static_cast<int>(most / 60)), tr("it lets go"));
    takePlace(where, in, out, a, n);
    return out;
}

std::string Builder::partOf(const Round& r, const std::string& name, int each) {
    const std::string part = lowerFirst(name);
    return say("the {} of {}", each * r.pieces > 1 ? plural(part) : part, r.who);
}

std::string Builder::laceVerb(const Piece& piece) {
    const std::string pattern = form::choice(piece.shape, "pattern");
    return pattern == "strips" ? tr("Spread, cut and lay the strips over ")
           : pattern == "lace" ? tr("Pipe the lines over ")
                               : tr("Let drips run over ");
}

}  // namespace uovo::day
