#include "core/stages/advisor.h"

#include <fmt/format.h>

#include <algorithm>
#include <array>
#include <cmath>
#include <numbers>

#include "core/quantity/catalogue.h"
#include "core/quantity/normal.h"
#include "core/quantity/side_by_side.h"

namespace uovo {
namespace {

constexpr int kCoarse = 40;  // cells of the search
constexpr double kCoarseTriangles = 800, kTurnedTriangles = 400;
constexpr size_t kMostCoats = 4;
constexpr size_t kMostTurned = 2;      // coats of a closed mold
constexpr double kBrushFrom = 0.55;    // of the wish: what leaves less is not brushed up to it
constexpr double kNear = 0.07;         // a wished mean or mass is met within this share
constexpr double kCoarseError = 0.02;  // left for what the coarse profile misses
constexpr double kOff = 0.15;          // and missed by a piece that is further off

/// What a number of coats leaves.
struct Left {
    double thinnest = 0, rim = 0, mean = 0, mass = 0;
};

/// One point of the search: the same figures for every coat, and a brush after them or not.
struct Making {
    double temperature = 0, delay = 0, fill = 0;
    coat::Rest rest = coat::Rest::Upright;
    size_t coats = 0;
    double brush = 0;  // kg brushed on after the coats
    coat::Where where = coat::Where::All;
    Left left;
    double seconds = 0;
};

class Advisor {
public:
    Advisor(const Piece& piece, Wish wish, double value, const Plan& plan, const material::Library& lib,
            const material::Coating& coating)
        : piece_(piece),
          wish_(wish),
          value_(value),
          plan_(plan),
          lib_(lib),
          coating_(coating),
          bears_(lib.former(coating.compound ? "balloonBearsCompound" : "balloonBears")) {
        if (!piece.alongMeridian())
            if (auto built = form::build(piece.shape, plan.meshes,
                                         {piece.closes() ? kTurnedTriangles : kCoarseTriangles, 20, true}))
                assembly_ = std::move(*built);
        for (const auto& item : assembly_.items)
            if (item.shape.body == form::Body::Wall) rimLength_ += item.shape.rim;
        if (!piece.alongMeridian()) return;
        if (const auto m = form::meridian(piece.shape))
            rimLength_ = piece.overBalloon() ? 2 * std::numbers::pi * m->radiusAt(m->highest())
                                             : std::numbers::pi * form::figure(piece.shape, "topDiameter");
    }

    tl::expected<Advised, Problem> run(std::stop_token stop, const std::function<void(double)>& progress) {
        Advised out;
        out.most.assign(kMostCoats, 0.0);
        std::vector<Making> makings;
        std::vector<Piece> pieces = grid();
        if (pieces.empty())
            return tl::unexpected(
                Problem{coating_.name + tr(" cannot be worked at any temperature this former bears."), "chocolate"});
        if (auto ok = tryAll(pieces, out, makings, stop, progress, 0, 0.55); !ok) return tl::unexpected(ok.error());
        if (makings.empty())
            return tl::unexpected(Problem{tr("The film could not be computed for this piece."), "coats"});
        // A wished mean or mass lies between the points of the grid: look round the three that come nearest.
        for (int round = 0; round < 2 && exact(); ++round) {
            std::sort(makings.begin(), makings.end(), [&](const auto& a, const auto& b) { return off(a) < off(b); });
            pieces = beside(makings, round ? 0.5 : 1, round ? 1.3 : 1.6);
            if (auto ok = tryAll(pieces, out, makings, stop, progress, 0.55 + 0.1 * round, 0.65 + 0.1 * round); !ok)
                return tl::unexpected(ok.error());
        }
        if (auto ok = tryBrush(out, makings, stop); !ok) return tl::unexpected(ok.error());
        const auto chosen = choose(makings, out);
        for (size_t i = 0; i < chosen.size(); ++i) {
            if (stop.stop_requested()) return tl::unexpected(Problem{tr("Stopped."), "stopped"});
            if (auto a = refined(chosen[i].first, chosen[i].second, stop)) out.ways.push_back(std::move(*a));
            if (progress) progress(0.75 + 0.25 * double(i + 1) / double(chosen.size()));
        }
        if (stop.stop_requested()) return tl::unexpected(Problem{tr("Stopped."), "stopped"});
        std::stable_sort(out.ways.begin(), out.ways.end(),
                         [](const Advice& a, const Advice& b) { return a.meets > b.meets; });
        if (!out.ways.empty() && out.ways.front().meets) out.impossible.clear();
        return out;
    }

private:
    using Titled = std::vector<std::pair<std::string, Making>>;

    /// Pieces made in the ways that are tried first.
    std::vector<Piece> grid() const {
        std::vector<Piece> pieces;
        std::vector<Making> grid;
        for (const double T : temperatures()) {
            if (piece_.closes())
                for (const double fill : {0.08, 0.14, 0.2, 0.28})
                    grid.push_back({T, 60, fill, coat::Rest::Upright, kMostTurned, 0, {}, {}, 0});
            else
                for (const double delay : {20.0, 60.0, 150.0, 300.0})
                    for (const auto rest : {coat::Rest::Upright, coat::Rest::Inverted})
                        grid.push_back({T, delay, 0, rest, kMostCoats, 0, {}, {}, 0});
        }
        for (const auto& m : grid)
            if (Piece p = made(m); possible(p)) pieces.push_back(std::move(p));
        return pieces;
    }

    /// Pieces made in ways beside the three best of these. @param degrees warmer and colder @param factor sooner and
    /// later
    std::vector<Piece> beside(const std::vector<Making>& makings, double degrees, double factor) const {
        std::vector<Piece> pieces;
        for (size_t i = 0; i < std::min<size_t>(3, makings.size()); ++i) {
            const Making m = makings[i];
            if (piece_.closes()) {  // the fill sets mean and mass
                Making n = m;
                n.fill = std::min(0.9, m.fill * value_ / got(m.left));
                if (Piece p = made(n); i == 0 && possible(p)) pieces.push_back(std::move(p));
                continue;
            }
            for (const double d : {-degrees, degrees}) {
                Making n = m;
                n.temperature = std::clamp(m.temperature + d, coating_.workLow - 1, coating_.workHigh + 1);
                if (Piece p = made(n); possible(p)) pieces.push_back(std::move(p));
            }
            for (const double f : {1 / factor, factor}) {
                Making n = m;
                n.delay = 5 * std::round(m.delay * f / 5);
                n.fill = std::min(0.9, m.fill * (1 + 0.3 * (f - 1)));
                if (Piece p = made(n); possible(p)) pieces.push_back(std::move(p));
            }
        }
        return pieces;
    }

    /// The ways that are worth telling; where none meets the wish, the one that comes nearest, and why.
    Titled choose(const std::vector<Making>& makings, Advised& out) const {
        Titled chosen;
        std::vector<Making> good;
        for (const auto& m : makings)
            if (meets(m.left, kCoarseError)) good.push_back(m);
        if (good.empty()) {
            chosen.emplace_back(tr("Comes nearest"),
                                *std::min_element(makings.begin(), makings.end(),
                                                  [&](const auto& a, const auto& b) { return off(a) < off(b); }));
            out.impossible = cannot(out, makings);
        } else {
            const auto best = [&](const char* title, const std::function<double(const Making&)>& cost) {
                const Making m = *std::min_element(good.begin(), good.end(),
                                                   [&](const auto& a, const auto& b) { return cost(a) < cost(b); });
                for (const auto& [t, c] : chosen)
                    if (same(c, m)) return;
                chosen.emplace_back(title, m);
            };
            best(tr("Quickest"), [](const Making& m) { return m.seconds + 1e3 * m.left.mass; });
            best(tr("Least chocolate"), [](const Making& m) { return m.left.mass + 1e-6 * m.seconds; });
            best(tr("Safest"), [&](const Making& m) { return exact() ? off(m) : -got(m.left) / value_; });
            for (int more = 0; more < 3 && chosen.size() < 3; ++more)  // another number of coats, if there is one
                best(tr("Another way"), [&](const Making& m) {
                    for (const auto& [t, c] : chosen)
                        if (c.coats == m.coats && c.rest == m.rest && (c.brush > 0) == (m.brush > 0)) return 1e9;
                    return m.seconds + 2e4 * m.left.mass;
                });
        }
        return chosen;
    }

    /// A mean or a mass is wanted exactly, a least wall is not.
    bool exact() const { return wish_ == Wish::Mean || wish_ == Wish::Grams; }

    /// What each number of a piece's coats leaves, on the coarse profile or mesh; empty when it cannot be computed.
    std::vector<Left> coarse(const Piece& piece, std::stop_token stop) const {
        std::vector<Left> out;
        double mass = 0;
        if (!piece.alongMeridian()) {
            form::Assembly assembly = assembly_;
            std::vector<double> kg(assembly.items.size(), 0.0);
            const auto wall = coatParts(assembly, kg, piece, plan_, lib_, stop);
            if (!wall) return out;
            double mean = 0;
            for (const auto& c : wall->coats) out.push_back({c.thinnest, c.rim, mean += c.mean, mass += c.added});
            return out;
        }
        const auto job = coatJob(piece, plan_, lib_, kCoarse);
        const auto result = job ? coat::coat(*job, stop) : tl::unexpected(job.error());
        if (!result) return out;
        for (const auto& c : result->coats) {
            const auto f = coat::figures(c.wall, job->profile);
            out.push_back({f.thinnest, f.rim, f.mean, mass += c.added});
        }
        return out;
    }

    /// Computes pieces two at a time so that it can be stopped, and notes what each number of coats leaves.
    tl::expected<void, Problem> tryAll(const std::vector<Piece>& pieces, Advised& out, std::vector<Making>& makings,
                                       std::stop_token stop, const std::function<void(double)>& progress, double from,
                                       double to) const {
        for (size_t i = 0; i < pieces.size(); i += 2) {
            if (stop.stop_requested()) return tl::unexpected(Problem{tr("Stopped."), "stopped"});
            const size_t n = std::min<size_t>(2, pieces.size() - i);
            std::array<std::vector<Left>, 2> left;
            sideBySide([&] { left[0] = coarse(pieces[i], stop); },
                       [&] {
                           if (n > 1) left[1] = coarse(pieces[i + 1], stop);
                       });
            for (size_t k = 0; k < n; ++k) {
                if (left[k].empty()) continue;
                ++out.tried;
                const auto& c = pieces[i + k].coats().front();
                for (size_t m = 1; m <= left[k].size(); ++m) {  // fewer coats are the beginning of more
                    makings.push_back({c.temperature.value, c.delay.value, c.fill.value, c.rest, m, 0, coat::Where::All,
                                       left[k][m - 1], lasts(pieces[i + k], m)});
                    out.most[m - 1] = std::max(out.most[m - 1], got(left[k][m - 1]));
                }
            }
            if (progress) progress(from + (to - from) * double(i + n) / double(pieces.size()));
        }
        return {};
    }

    /// What falls a little short may reach the wish with a brush: round the rim or the foot where it is thin there,
    /// else all over; a mean or a mass gets its missing grams all over.
    tl::expected<void, Problem> tryBrush(Advised& out, std::vector<Making>& makings, std::stop_token stop) const {
        if (piece_.closes()) return {};
        std::vector<Making> short_;
        for (size_t coats = 1; coats <= kMostCoats;
             ++coats) {  // of each number of coats the two that come nearest from below
            std::vector<Making> own;
            for (const auto& m : makings)
                if (m.coats == coats && got(m.left) < value_ && got(m.left) > kBrushFrom * value_) own.push_back(m);
            std::sort(own.begin(), own.end(), [&](const auto& a, const auto& b) { return got(a.left) > got(b.left); });
            if (own.size() > 2) own.resize(2);
            short_.insert(short_.end(), own.begin(), own.end());
        }
        std::vector<Making> brushed;
        for (const auto& m : short_) {
            const double missing = value_ / std::max(1e-6, got(m.left)) - 1;
            if (exact()) {
                Making n = m;
                n.brush = std::round(1e3 * m.left.mass * missing) / 1e3;
                if (n.brush >= 0.001) brushed.push_back(n);
                continue;
            }
            const bool rim = wish_ == Wish::Rim || m.left.rim < 1.15 * m.left.thinnest;
            const double area = m.left.mass / std::max(1e-6, m.left.mean) / coating_.densitySolid,
                         band = rim ? std::min(area, rimLength_ * coat::kBrushBand) : area;
            for (const double more : {1.5, 4.0}) {  // what is brushed on runs down too
                Making n = m;
                n.where = rim ? coat::Where::Rim : coat::Where::All;
                n.brush = std::max(0.002,
                                   std::ceil(1e3 * more * band * (value_ - got(m.left)) * coating_.densitySolid) / 1e3);
                brushed.push_back(n);
            }
        }
        for (size_t i = 0; i < brushed.size(); ++i) {
            if (stop.stop_requested()) return tl::unexpected(Problem{tr("Stopped."), "stopped"});
            const Piece p = made(brushed[i]);
            if (!possible(p)) continue;
            const auto left = coarse(p, stop);
            if (left.empty()) continue;
            ++out.tried;
            brushed[i].left = left.back();
            brushed[i].seconds = lasts(p, p.coats().size());
            makings.push_back(brushed[i]);
        }
        return {};
    }

    std::vector<double> temperatures() const {
        std::vector<double> out;
        for (const double share : {0.0, 1.0 / 3, 2.0 / 3, 1.0})
            out.push_back(std::round(2 * (coating_.workLow + share * (coating_.workHigh - coating_.workLow))) / 2);
        if (piece_.closes())
            out = {std::round(2 * coating_.workLow) / 2,
                   std::round(2 * coating_.workHigh) / 2};  // all stays in: it hardly matters
        else if (coating_.workHigh - coating_.workLow < 2)
            out = {coating_.workLow - 1, coating_.workLow, coating_.workHigh, coating_.workHigh + 1};
        std::erase_if(out, [&](double t) { return t > coating_.loses; });
        return out;
    }

    Piece made(const Making& m) const {
        Piece p = piece_;
        PlannedCoat c;
        const auto usual = usualCoats(piece_, plan_, lib_);
        c = usual.front();
        for (const auto& own : piece_.coats())
            if (own.way != coat::Way::Brush) {
                c = own;
                break;
            }
        c.extra.clear();
        c.chocolate.clear();
        c.spots.clear();
        if (!piece_.closes()) c.motion = coat::Motion::Still;
        c.tap = Measure(0);
        c.scrape = false;
        c.temperature = Measure(m.temperature);
        c.delay = Measure(m.delay);
        c.rest = m.rest;
        if (piece_.closes()) c.fill = Measure(m.fill);
        p.coats().assign(m.coats, c);
        if (m.brush > 0) {
            c.way = coat::Way::Brush;
            c.where = m.where;
            c.brushMass = Measure(m.brush);
            c.stay = Measure(std::min(c.stay.value, coat::kBrushSets));
            p.coats().push_back(c);
        }
        return p;
    }

    bool possible(const Piece& p) const {
        for (const auto& c : p.coats())
            if (!coat::checkStep(c, coating_, bears_) || (p.overBalloon() && c.temperature.value > bears_))
                return false;
        return true;
    }

    static double lasts(const Piece& p, size_t coats) {
        double s = 0;
        for (size_t i = 0; i < coats; ++i) s += coat::beforeCold(p.coats()[i]) + p.coats()[i].stay.value;
        return s;
    }

    double got(const Left& l) const {
        return wish_ == Wish::Thinnest ? l.thinnest
               : wish_ == Wish::Rim    ? l.rim
               : wish_ == Wish::Mean   ? l.mean
                                       : l.mass;
    }
    double off(const Making& m) const { return std::abs(std::log(std::max(1e-9, got(m.left)) / value_)); }
    bool meets(const Left& l, double spare = 0) const {
        return exact() ? std::abs(got(l) / value_ - 1) <= kNear - spare : got(l) >= value_ * (1 + spare);
    }
    static bool same(const Making& a, const Making& b) {
        return a.coats == b.coats && a.rest == b.rest && a.temperature == b.temperature && a.delay == b.delay &&
               a.fill == b.fill && a.brush == b.brush;
    }

    std::string wished() const {
        return format(value_, wish_ == Wish::Grams ? Dimension::Mass : Dimension::Length, plan_.units) +
               (wish_ == Wish::Thinnest ? tr(" at its thinnest place")
                : wish_ == Wish::Rim    ? tr(" at its rim")
                : wish_ == Wish::Mean   ? tr(" on the whole")
                                        : tr(" in each"));
    }

    std::string cannot(const Advised& a, const std::vector<Making>& all) const {
        double low = 1e9, high = 0;
        for (const auto& m : all) {
            if (m.brush > 0) continue;
            low = std::min(low, got(m.left));
            high = std::max(high, got(m.left));
        }
        const auto dimension = wish_ == Wish::Grams ? Dimension::Mass : Dimension::Length;
        if (exact())
            return say("{} does not come to {} on this former in one to four coats: they leave {} to {}, in steps.",
                       coating_.name, wished(), format(low, dimension, plan_.units),
                       format(high, dimension, plan_.units));
        if (piece_.closes())
            return say("{} cannot leave {} in this mold, filled and turned: one coat leaves {} at most, two {}.",
                       coating_.name, wished(), format(a.most[0], dimension, plan_.units),
                       format(a.most[1], dimension, plan_.units));
        return say(
            "{} cannot leave {} on this former: one coat leaves {} at most, two {}, three {}, four {}. Brush more onto "
            "the thin places, or take a thicker chocolate.",
            coating_.name, wished(), format(a.most[0], dimension, plan_.units),
            format(a.most[1], dimension, plan_.units), format(a.most[2], dimension, plan_.units),
            format(a.most[3], dimension, plan_.units));
    }

    std::optional<Advice> refined(const std::string& title, const Making& m, std::stop_token stop) const {
        Advice a;
        a.title = title;
        a.changed = made(m);
        Left left;
        double low = 1 - CoatedWall::kLess, high = 1 + CoatedWall::kMore;  // judged, for what is computed on a mesh
        const auto stage = madeOf(a.changed, plan_, lib_, {}, stop);
        if (!stage || !stage->wall) return std::nullopt;
        double coated = 0;
        for (const auto& c : stage->wall->coats) coated += c.added;
        left = {stage->wall->thinnest, stage->wall->rim, stage->wall->mean, coated};
        if (stage->meridian) {
            const auto& band = stage->meridian->band;
            const auto& ratio = wish_ == Wish::Thinnest ? band.thinnest
                                : wish_ == Wish::Rim    ? band.rim
                                : wish_ == Wish::Mean   ? band.mean
                                                        : band.mass;
            low = ratio.low;
            high = ratio.high;
        }
        a.thinnest = left.thinnest;
        a.mean = left.mean;
        a.mass = left.mass;
        a.seconds = lasts(a.changed, a.changed.coats().size());
        a.meets = meets(left);
        const double sigma = std::max(0.01, std::log(high / low) / 3.2897),
                     x = got(left);  // 5–95 % is 3.29 standard deviations
        a.miss = exact() ? 1 - (normalBelow(std::log((1 + kOff) * value_ / x) / sigma) -
                                normalBelow(std::log((1 - kOff) * value_ / x) / sigma))
                         : normalBelow(std::log(value_ / x) / sigma);
        static const char* const kCount[]{"", tr("One coat"), tr("Two coats"), tr("Three coats"), tr("Four coats")};
        const auto& c = a.changed.coats().front();
        const auto time = [&](double s) { return format(s, Dimension::Duration, plan_.units); };
        a.recipe = say("{} at {}, ", kCount[m.coats], format(m.temperature, Dimension::Temperature, plan_.units));
        if (piece_.closes())
            a.recipe += say("the mold {} full, turned about for {}", format(m.fill, Dimension::Percent, plan_.units),
                            time(c.moveFor.value));
        else
            a.recipe += say("{} on the table, {}", time(m.delay),
                            c.rest == coat::Rest::Inverted ? tr("set upside down")
                            : piece_.overBalloon()         ? tr("set on its foot")
                                                           : tr("set upright"));
        if (m.brush > 0)
            a.recipe += say(", then {} brushed {}", format(m.brush, Dimension::Mass, plan_.units),
                            m.where == coat::Where::Rim ? tr("round the rim") : tr("on all over"));
        std::vector<std::string> reasons;
        if (m.brush > 0)
            reasons.emplace_back(m.where == coat::Where::Rim
                                     ? tr("the brush helps where it is thin, at the rim")
                                     : tr("the brush adds what is missing between two numbers of coats"));
        if (m.coats > piece_.coats().size()) reasons.emplace_back(tr("each coat adds to the wall"));
        if (m.temperature < coating_.working() - 0.4) reasons.emplace_back(tr("cooler chocolate stops sooner"));
        if (m.temperature > coating_.working() + 0.4) reasons.emplace_back(tr("warmer chocolate runs thinner"));
        if (!piece_.closes() && m.delay <= 30) reasons.emplace_back(tr("the cold stops it before it runs off"));
        if (!piece_.closes() && m.delay >= 120) reasons.emplace_back(tr("the wait lets it run off"));
        if (c.rest == coat::Rest::Inverted) reasons.emplace_back(tr("upside down the rim thickens"));
        if (piece_.closes())
            reasons.emplace_back(
                tr("all that is filled in stays in: the fill sets the mean wall, the turning how even it is"));
        for (size_t i = 0; i < reasons.size(); ++i) a.why += (i ? "; " : "") + reasons[i];
        if (!a.why.empty()) a.why[0] = static_cast<char>(std::toupper(a.why[0])), a.why += ".";
        return a;
    }

    const Piece& piece_;
    Wish wish_;
    double value_;
    const Plan& plan_;
    const material::Library& lib_;
    const material::Coating& coating_;
    double bears_;
    form::Assembly assembly_;  // of a part, coarse
    double rimLength_ = 0;     // m
};

}  // namespace

tl::expected<Advised, Problem> advise(const Piece& piece, Wish wish, double value, const Plan& plan,
                                      const material::Library& lib, std::stop_token stop,
                                      const std::function<void(double)>& progress) {
    if (!piece.couldBeCoated())
        return tl::unexpected(
            Problem{tr("Ways are found for what is coated; this part is cast, spread or shaped by hand."), "former"});
    if (!(value > 0) || !std::isfinite(value))
        return tl::unexpected(Problem{tr("Wish for more than nothing."), "wish"});
    if (wish != Wish::Grams && value > 0.03)
        return tl::unexpected(Problem{tr("No wall is thicker than 30 mm."), "wish"});
    if (wish == Wish::Grams && value > 20)
        return tl::unexpected(Problem{tr("No piece weighs more than 20 kg."), "wish"});
    const auto coating = coatingOf(piece, plan, lib);
    if (!coating) return tl::unexpected(coating.error());
    return Advisor(piece, wish, value, plan, lib, *coating).run(stop, progress);
}

}  // namespace uovo
