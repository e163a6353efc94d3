#include "core/plan/advisor.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

namespace uovo {
namespace {

constexpr int kCoarse = 40;               // cells of the search
constexpr size_t kMostCoats = 4;
constexpr double kNear = 0.07;            // a wished mean or mass is met within this share
constexpr double kCoarseError = 0.02;     // left for what the coarse profile misses
constexpr double kOff = 0.15;             // and missed by a piece that is further off

double normalBelow(double x) { return 0.5 * std::erfc(-x / std::sqrt(2)); }

/// One point of the search: the same figures for every coat.
struct Making {
    double temperature = 0, delay = 0;
    coat::Rest rest = coat::Rest::Upright;
    size_t coats = 0;
    double thinnest = 0, mean = 0, mass = 0, seconds = 0;
    double brush = 0;  // kg brushed on after the coats
};

class Advisor {
public:
    Advisor(const Piece& piece, Wish wish, double value, const Plan& plan, const material::Library& lib, const material::Coating& coating)
        : piece_(piece), wish_(wish), value_(value), plan_(plan), lib_(lib), coating_(coating), bears_(lib.former(coating.compound ? "balloonBearsCompound" : "balloonBears")) {}

    tl::expected<Advised, Problem> run(std::stop_token stop, const std::function<void(double)>& progress) {
        Advised out;
        out.most.assign(kMostCoats, 0.0);
        std::vector<Making> makings;
        std::vector<Piece> pieces;
        for (const double T : temperatures())
            for (const double delay : {20.0, 60.0, 150.0, 300.0})
                for (const auto rest : {coat::Rest::Upright, coat::Rest::Inverted})
                    if (Piece p = made(T, delay, rest, kMostCoats); possible(p)) pieces.push_back(std::move(p));
        if (pieces.empty()) return tl::unexpected(Problem{coating_.name + " cannot be worked at any temperature this former bears.", "chocolate"});
        if (auto ok = tryAll(pieces, out, makings, stop, progress, 0, 0.55); !ok) return tl::unexpected(ok.error());
        if (makings.empty()) return tl::unexpected(Problem{"The film could not be computed for this piece.", "coats"});
        // A wished mean or mass lies between the points of the grid: look round the three that come nearest.
        for (int round = 0; round < 2 && wish_ != Wish::Thinnest; ++round) {
            std::sort(makings.begin(), makings.end(), [&](const auto& a, const auto& b) { return off(a) < off(b); });
            pieces.clear();
            const double degrees = round ? 0.5 : 1, factor = round ? 1.3 : 1.6;
            for (size_t i = 0; i < std::min<size_t>(3, makings.size()); ++i) {
                const Making m = makings[i];
                for (const double d : {-degrees, degrees})
                    if (Piece p = made(std::clamp(m.temperature + d, coating_.workLow - 1, coating_.workHigh + 1), m.delay, m.rest, m.coats); possible(p)) pieces.push_back(std::move(p));
                for (const double f : {1 / factor, factor})
                    if (Piece p = made(m.temperature, 5 * std::round(m.delay * f / 5), m.rest, m.coats); possible(p)) pieces.push_back(std::move(p));
            }
            if (auto ok = tryAll(pieces, out, makings, stop, progress, 0.55 + 0.1 * round, 0.65 + 0.1 * round); !ok) return tl::unexpected(ok.error());
        }
        std::vector<std::pair<std::string, Making>> chosen;
        std::vector<Making> good;
        for (const auto& m : makings)
            if (meets(m.thinnest, m.mean, m.mass, kCoarseError)) good.push_back(m);
        if (good.empty()) {
            // Between what n and n + 1 coats leave a brush helps: the missing grams, all over.
            const Making* below = nullptr;
            for (const auto& m : makings)
                if (wish_ != Wish::Thinnest && got(m.thinnest, m.mean, m.mass) < value_ && (!below || off(m) < off(*below))) below = &m;
            if (below) {
                chosen.emplace_back("With a brush", *below);
                chosen.back().second.brush = std::round(1e3 * below->mass * (value_ / got(below->thinnest, below->mean, below->mass) - 1)) / 1e3;
                if (chosen.back().second.brush < 0.001) chosen.clear();
            }
            chosen.emplace_back("Comes nearest", *std::min_element(makings.begin(), makings.end(), [&](const auto& a, const auto& b) { return off(a) < off(b); }));
            out.impossible = cannot(out, makings);
        } else {
            const auto best = [&](const char* title, const std::function<double(const Making&)>& cost) {
                const Making m = *std::min_element(good.begin(), good.end(), [&](const auto& a, const auto& b) { return cost(a) < cost(b); });
                for (const auto& [t, c] : chosen)
                    if (same(c, m)) return;
                chosen.emplace_back(title, m);
            };
            best("Quickest", [](const Making& m) { return m.seconds + 1e3 * m.mass; });
            best("Least chocolate", [](const Making& m) { return m.mass + 1e-6 * m.seconds; });
            best("Safest", [&](const Making& m) { return wish_ == Wish::Thinnest ? -m.thinnest / value_ : off(m); });
            for (int more = 0; more < 3 && chosen.size() < 3; ++more)  // another number of coats, if there is one
                best("Another way", [&](const Making& m) {
                    for (const auto& [t, c] : chosen)
                        if (c.coats == m.coats && c.rest == m.rest) return 1e9;
                    return m.seconds + 2e4 * m.mass;
                });
        }
        for (size_t i = 0; i < chosen.size(); ++i) {
            if (stop.stop_requested()) return tl::unexpected(Problem{"Stopped.", "stopped"});
            if (auto a = refined(chosen[i].first, chosen[i].second, stop)) out.ways.push_back(std::move(*a));
            if (progress) progress(0.75 + 0.25 * double(i + 1) / double(chosen.size()));
        }
        if (stop.stop_requested()) return tl::unexpected(Problem{"Stopped.", "stopped"});
        std::stable_sort(out.ways.begin(), out.ways.end(), [](const Advice& a, const Advice& b) { return a.meets > b.meets; });
        if (!out.ways.empty() && out.ways.front().meets) out.impossible.clear();
        return out;
    }

private:
    /// Computes pieces on the coarse profile, two at a time so that it can be stopped, and notes what each number of coats leaves.
    tl::expected<void, Problem> tryAll(const std::vector<Piece>& pieces, Advised& out, std::vector<Making>& makings, std::stop_token stop,
                                       const std::function<void(double)>& progress, double from, double to) const {
        for (size_t i = 0; i < pieces.size(); i += 2) {
            if (stop.stop_requested()) return tl::unexpected(Problem{"Stopped.", "stopped"});
            std::vector<coat::CoatJob> pair;
            for (size_t k = i; k < std::min(i + 2, pieces.size()); ++k) {
                auto job = coatJob(pieces[k], plan_, lib_, kCoarse);
                if (!job) return tl::unexpected(job.error());
                pair.push_back(std::move(*job));
            }
            const auto results = coat::coatAll(pair, stop);
            for (size_t k = 0; k < results.size(); ++k) {
                if (!results[k]) continue;
                ++out.tried;
                const auto& c = pieces[i + k].coats.front();
                double mass = 0;
                for (size_t n = 1; n <= results[k]->coats.size(); ++n) {  // fewer coats are the beginning of more
                    const auto f = coat::figures(results[k]->coats[n - 1].wall, pair[k].profile);
                    mass += results[k]->coats[n - 1].added;
                    makings.push_back({c.temperature.value, c.delay.value, c.rest, n, f.thinnest, f.mean, mass, lasts(pieces[i + k], n), 0});
                    out.most[n - 1] = std::max(out.most[n - 1], f.thinnest);
                }
            }
            if (progress) progress(from + (to - from) * double(std::min(i + 2, pieces.size())) / double(pieces.size()));
        }
        return {};
    }

    std::vector<double> temperatures() const {
        std::vector<double> out;
        for (const double share : {0.0, 1.0 / 3, 2.0 / 3, 1.0}) out.push_back(std::round(2 * (coating_.workLow + share * (coating_.workHigh - coating_.workLow))) / 2);
        if (coating_.workHigh - coating_.workLow < 2) out = {coating_.workLow - 1, coating_.workLow, coating_.workHigh, coating_.workHigh + 1};
        std::erase_if(out, [&](double t) { return t > coating_.loses; });
        return out;
    }

    Piece made(double T, double delay, coat::Rest rest, size_t coats) const {
        Piece p = piece_;
        PlannedCoat c;
        for (const auto& own : piece_.coats)
            if (own.way != coat::Way::Brush) {
                c = own;
                break;
            }
        if (c.way == coat::Way::Brush || piece_.coats.empty()) c.way = piece_.overBalloon() ? coat::Way::Dip : coat::Way::Pour;
        c.extra.clear();
        c.chocolate.clear();
        c.motion = coat::Motion::Still;
        c.tap = Measure(0);
        c.scrape = false;
        c.temperature = Measure(T);
        c.delay = Measure(delay);
        c.rest = rest;
        p.coats.assign(coats, c);
        return p;
    }

    bool possible(const Piece& p) const {
        for (const auto& c : p.coats)
            if (!coat::checkStep(c, coating_, bears_) || (p.overBalloon() && c.temperature.value > bears_)) return false;
        return true;
    }

    static double lasts(const Piece& p, size_t coats) {
        double s = 0;
        for (size_t i = 0; i < coats; ++i) s += p.coats[i].drain.value + p.coats[i].delay.value + p.coats[i].stay.value;
        return s;
    }

    double got(double thinnest, double mean, double mass) const { return wish_ == Wish::Thinnest ? thinnest : wish_ == Wish::Mean ? mean : mass; }
    double off(const Making& m) const { return std::abs(std::log(std::max(1e-9, got(m.thinnest, m.mean, m.mass)) / value_)); }
    bool meets(double thinnest, double mean, double mass, double spare = 0) const {
        const double x = got(thinnest, mean, mass);
        return wish_ == Wish::Thinnest ? x >= value_ * (1 + spare) : std::abs(x / value_ - 1) <= kNear - spare;
    }
    static bool same(const Making& a, const Making& b) { return a.coats == b.coats && a.rest == b.rest && a.temperature == b.temperature && a.delay == b.delay; }

    std::string wished() const {
        return format(value_, wish_ == Wish::Grams ? Dimension::Mass : Dimension::Length, plan_.units) + (wish_ == Wish::Thinnest ? " at its thinnest place" : wish_ == Wish::Mean ? " on the whole" : " in each");
    }

    std::string cannot(const Advised& a, const std::vector<Making>& all) const {
        double low = 1e9, high = 0;
        for (const auto& m : all) {
            low = std::min(low, got(m.thinnest, m.mean, m.mass));
            high = std::max(high, got(m.thinnest, m.mean, m.mass));
        }
        const auto dimension = wish_ == Wish::Grams ? Dimension::Mass : Dimension::Length;
        if (wish_ != Wish::Thinnest)
            return fmt::format("{} does not come to {} on this former in one to four coats: they leave {} to {}, in steps.", coating_.name, wished(), format(low, dimension, plan_.units), format(high, dimension, plan_.units));
        return fmt::format("{} cannot leave {} on this former: one coat leaves {} at most, two {}, three {}, four {}. Brush more onto the thin places, or take a thicker chocolate.", coating_.name, wished(),
                           format(a.most[0], dimension, plan_.units), format(a.most[1], dimension, plan_.units), format(a.most[2], dimension, plan_.units), format(a.most[3], dimension, plan_.units));
    }

    std::optional<Advice> refined(const std::string& title, const Making& m, std::stop_token stop) const {
        Advice a;
        a.title = title;
        a.changed = made(m.temperature, m.delay, m.rest, m.coats);
        if (m.brush > 0) {
            PlannedCoat brush = a.changed.coats.back();
            brush.way = coat::Way::Brush;
            brush.where = coat::Where::All;
            brush.brushMass = Measure(m.brush);
            a.changed.coats.push_back(brush);
        }
        const auto job = coatJob(a.changed, plan_, lib_, AnswerOptions{}.cells), coarse = coatJob(a.changed, plan_, lib_, kCoarse);
        if (!job || !coarse) return std::nullopt;
        const auto result = coat::coat(*job, stop);
        const auto band = coat::band(*coarse, coatUncertainty(piece_, lib_), stop);
        if (!result || !band) return std::nullopt;
        const auto f = coat::figures(result->wall, job->profile);
        a.thinnest = f.thinnest;
        a.mean = f.mean;
        a.mass = result->mass;
        a.seconds = lasts(a.changed, a.changed.coats.size());
        a.meets = meets(a.thinnest, a.mean, a.mass);
        const auto& ratio = wish_ == Wish::Thinnest ? band->thinnest : wish_ == Wish::Mean ? band->mean : band->mass;
        const double sigma = std::max(0.01, std::log(ratio.high / ratio.low) / 3.2897), x = got(a.thinnest, a.mean, a.mass);  // 5–95 % is 3.29 standard deviations
        a.miss = wish_ == Wish::Thinnest ? normalBelow(std::log(value_ / x) / sigma)
                                         : 1 - (normalBelow(std::log((1 + kOff) * value_ / x) / sigma) - normalBelow(std::log((1 - kOff) * value_ / x) / sigma));
        static constexpr const char* kCount[]{"", "One coat", "Two coats", "Three coats", "Four coats"};
        const auto& c = a.changed.coats.front();
        a.recipe = fmt::format("{} at {}, {} on the table, {}", kCount[m.coats], format(m.temperature, Dimension::Temperature, plan_.units), format(m.delay, Dimension::Duration, plan_.units),
                               c.rest == coat::Rest::Inverted ? "set upside down" : piece_.overBalloon() ? "set on its foot" : "set upright");
        if (m.brush > 0) a.recipe += fmt::format(", then {} brushed on all over", format(m.brush, Dimension::Mass, plan_.units));
        std::vector<std::string> reasons;
        if (m.brush > 0) reasons.emplace_back("the brush adds what is missing between two numbers of coats");
        if (m.coats > piece_.coats.size()) reasons.emplace_back("each coat adds to the wall");
        if (m.temperature < coating_.working() - 0.4) reasons.emplace_back("cooler chocolate stops sooner");
        if (m.temperature > coating_.working() + 0.4) reasons.emplace_back("warmer chocolate runs thinner");
        if (m.delay <= 30) reasons.emplace_back("the cold stops it before it runs off");
        if (m.delay >= 120) reasons.emplace_back("the wait lets it run off");
        if (c.rest == coat::Rest::Inverted) reasons.emplace_back("upside down the rim thickens");
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
};

}  // namespace

tl::expected<Advised, Problem> advise(const Piece& piece, Wish wish, double value, const Plan& plan, const material::Library& lib, std::stop_token stop,
                                      const std::function<void(double)>& progress) {
    if (!piece.isCoated()) return tl::unexpected(Problem{"Ways are found for bowls over balloons and for coated cups.", "former"});
    if (!(value > 0) || !std::isfinite(value)) return tl::unexpected(Problem{"Wish for more than nothing.", "wish"});
    if (wish != Wish::Grams && value > 0.03) return tl::unexpected(Problem{"No wall is thicker than 30 mm.", "wish"});
    if (wish == Wish::Grams && value > 20) return tl::unexpected(Problem{"No piece weighs more than 20 kg.", "wish"});
    const auto coating = coatingOf(piece, plan, lib);
    if (!coating) return tl::unexpected(coating.error());
    return Advisor(piece, wish, value, plan, lib, *coating).run(stop, progress);
}

}  // namespace uovo
