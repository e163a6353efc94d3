// What is done on days before the day: molds of one's own are poured, cure, are washed and cast once.
#include <fmt/format.h>

#include <algorithm>
#include <cmath>

#include "core/day/day.h"
#include "core/quantity/catalogue.h"
#include "core/quantity/plural.h"
#include "core/quantity/words.h"

namespace uovo {
namespace {

constexpr long kMorning = 8 * 60, kNight = 22 * 60;  // hands are there between them

/// The latest moment up to then from which so many minutes of hands end before the night. Local minutes.
long withHands(long latest, long minutes) {
    constexpr long kDay = 1440;
    const long midnight = latest - ((latest % kDay) + kDay) % kDay, length = std::min(minutes, kNight - kMorning);
    if (latest - midnight < kMorning) return midnight - kDay + kNight - length;
    return std::min(latest, midnight + kNight - length);
}

/// When the first step of these pieces (ids) begins, min of the day's time.
long firstUse(const DayPlan& day, const std::vector<std::string>& pieces) {
    long out = 0;
    for (size_t t = 0; t < day.network.tasks.size(); ++t)
        if (day.layout.start[t] != schedule::kLeftOut &&
            std::ranges::find(pieces, day.network.tasks[t].piece) != pieces.end())
            out = std::min<long>(out, day.layout.start[t]);
    return out;
}

}  // namespace

std::vector<Before> daysBefore(const Plan& plan, const material::Library& lib, const PlanFigures& known,
                               const DayPlan& day) {
    std::vector<Before> out;
    if (!day.problem.empty()) return out;
    for (const auto& piece : plan.pieces) {
        const auto* a = known.piece(piece.id);
        if (!a || a->molds.empty() || piece.mold.there) continue;
        const long first = firstUse(day, {piece.id});
        const MoldTime time = moldTime(piece, a->molds, lib);
        int molds = 0, pourings = 1;
        double kgA = 0, kgB = 0;
        for (const auto& w : a->molds) {
            molds += w.molds;
            pourings = std::max(pourings, w.pourings);
            kgA += w.box.massA * w.molds;
            kgB += w.box.massB * w.molds;
        }
        const auto said = [&](double v, Dimension d) { return format(v, d, plan.units); };
        Before b;
        b.piece = piece.id;
        const std::string whose = lowerFirst(piece.count == 1 ? piece.name : plural(piece.name));
        b.of = molds == 1 ? say("the mold of the {}", whose) : say("the {} molds of the {}", molds, whose);
        b.title = tr("Take ") + b.of;
        b.minutes = static_cast<int>(std::ceil(time.hands / 60));
        b.words =
            say("{} of A and {} of B in all. It cures {}{}, undisturbed; then wash it, and cast it once: "
                "that cast is thrown away.",
                said(kgA, Dimension::Mass), said(kgB, Dimension::Mass),
                said(piece.mold.cure.value, Dimension::Duration), pourings > 1 ? tr(", each part by itself") : "");
        // backwards from its first use: wash and first cast, then each part cures after it was poured
        const auto minutes = [](double s) { return static_cast<long>(std::ceil(s / 60)); };
        const long last = minutes(lib.former("moldWash") + lib.former("moldFirstCast")),
                   pour = minutes((time.hands - lib.former("moldWash")) / pourings);
        long local = withHands(day.end + first - last, last);
        for (int k = 0; k < pourings; ++k) local = withHands(local - minutes(piece.mold.cure.value) - pour, pour);
        b.latest = day.minuteOf(local);
        out.push_back(std::move(b));
    }
    for (const auto& m : modeledOf(plan, known)) {
        const long first = firstUse(day, m.pieces);
        const auto paste = modelingPaste(m.mass, m.chocolate, lib);
        const auto* chocolate = lib.find(m.chocolate);
        const auto said = [&](double kg) { return format(kg, Dimension::Mass, plan.units); };
        Before b;
        b.of = say("the modeling chocolate for {}", lowerFirst(namesOf(m.pieces, plan)));
        b.title = tr("Make ") + b.of;
        b.minutes = static_cast<int>(std::ceil(lib.decorating("pasteMake") / 60));
        b.words =
            say("{} of {} melted, {} of glucose syrup as warm as a hand folded in until it leaves the bowl; "
                "pressed flat between films, wrapped. It rests {}, better overnight. Without syrup: blend "
                "set, tempered chocolate until it is clay.",
                said(paste.chocolate), chocolate ? lowerFirst(chocolate->name) : tr("chocolate"), said(paste.syrup),
                format(lib.decorating("pasteRests"), Dimension::Duration, plan.units));
        b.latest = day.minuteOf(
            withHands(day.end + first - static_cast<long>(lib.decorating("pasteRests") / 60) - b.minutes, b.minutes));
        out.push_back(std::move(b));
    }
    std::stable_sort(out.begin(), out.end(), [](const Before& x, const Before& y) { return x.latest < y.latest; });
    return out;
}

}  // namespace uovo
