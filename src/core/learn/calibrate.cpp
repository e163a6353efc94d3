#include "core/learn/calibrate.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <numeric>

#include "core/learn/spoon.h"
#include "core/quantity/catalogue.h"
#include "core/stages/made.h"

namespace uovo::learn {
namespace {

constexpr size_t kAllCoats = 1000;

/// One thing that a block tells: which record it is, and how it is read off what was computed.
struct Reads {
    Record::Is is = Record::Is::Weighed;
    size_t record = 0;
    size_t piece = 0;         // of the block
    size_t from = 0, to = 0;  // coats of an increment
    bool foot = true;
    double volume = 0, celsius = 0;  // of a spoonful
    double given = 0;                // what the record says in the unit that is computed: kg, m, s
};

/// An evening's work with one chocolate.
struct Work {
    std::string chocolate;
    size_t evening = 0;
    std::vector<std::string> pieces;  // ids
    std::vector<Reads> reads;
    std::vector<Seen> seen;
};

size_t coatsOf(const Record& r, const Piece& p) {
    const size_t all = p.coats().size();
    return r.coats > 0 ? std::min(all, static_cast<size_t>(r.coats)) : all;
}

std::optional<double> spoonWidth(const Reads& r, const Piece& piece, const Plan& plan, const material::Library& lib) {
    const auto coating = coatingOf(piece, plan, lib);
    if (!coating) return std::nullopt;
    const double tau = material::yieldStress(*coating, r.celsius, material::crystalsAt(*coating, r.celsius));
    return tau > 0 ? std::optional(spoonAcross(tau, r.volume, coating->densityMelt)) : std::nullopt;
}

/// The grams of its first coats alone; nothing where they are not computed along a meridian.
std::optional<Told> tellGrams(const Piece& piece, size_t coats, const Plan& plan, const material::Library& lib,
                              const std::stop_token& stop) {
    const auto all = piece.coats();
    if (!piece.alongMeridian() || !std::all_of(all.begin(), all.end(), [](const auto& c) { return c.round(); }))
        return std::nullopt;
    auto job = coatJob(piece, plan, lib, kCells);
    if (!job) return std::nullopt;
    job->steps.resize(std::min(coats, job->steps.size()));
    const auto coated = coat::coat(*job, stop);
    if (!coated) return std::nullopt;
    Told out;
    for (const auto& c : coated->coats) out.coats.push_back(c.added);
    return out;
}

/// The model of an evening with one chocolate.
std::optional<Eigen::VectorXd> run(const Work& work, const Evening& evening, const material::Library& library,
                                   const Eigen::VectorXd& parameters, const std::stop_token& stop) {
    Plan plan = evening.plan;
    material::Library lib = library;
    apply(parameters, work.chocolate, plan, lib);
    std::vector<std::optional<Told>> told(work.pieces.size());
    std::vector<size_t> weighed(work.pieces.size(), 0);  // coats of each that are weighed; all, where more is asked
    for (const auto& r : work.reads)
        weighed[r.piece] = std::max(weighed[r.piece], r.is == Record::Is::Weighed ? r.to : kAllCoats);
    for (size_t k = 0; k < weighed.size(); ++k)
        if (weighed[k] < kAllCoats) told[k] = tellGrams(*plan.piece(work.pieces[k]), weighed[k], plan, lib, stop);
    for (const auto& r : work.reads)
        if (r.is != Record::Is::Spoon && !told[r.piece]) {
            told[r.piece] = tell(*plan.piece(work.pieces[r.piece]), plan, lib, stop);
            if (!told[r.piece]) return std::nullopt;
        }
    Eigen::VectorXd out(work.reads.size());
    for (size_t i = 0; i < work.reads.size(); ++i) {
        const Reads& r = work.reads[i];
        double v = 0;
        if (r.is == Record::Is::Spoon) {
            const auto wide = spoonWidth(r, *plan.piece(work.pieces[r.piece]), plan, lib);
            if (!wide) return std::nullopt;
            v = *wide;
        } else {
            const Told& t = *told[r.piece];
            if (r.is == Record::Is::Weighed)
                v = std::accumulate(t.coats.begin() + static_cast<std::ptrdiff_t>(r.from),
                                    t.coats.begin() + static_cast<std::ptrdiff_t>(r.to), 0.0);
            else if (r.is == Record::Is::Rim) v = t.rim;
            else v = r.foot ? t.foot : t.rimFirm;
        }
        if (!(v > 0)) return std::nullopt;
        out[static_cast<Eigen::Index>(i)] = std::log(v);
    }
    return out;
}

/// Gathers what was measured into blocks.
class Gather {
public:
    Gather(const std::vector<Evening>& evenings, const material::Library& library, Learned& out)
        : evenings_(evenings), lib_(library), out_(out) {}

    std::vector<Work> work() {
        std::vector<Work> all;
        for (size_t e = 0; e < evenings_.size(); ++e) {
            std::map<std::string, Work> works;
            std::vector<size_t> order(evenings_[e].records.size());
            std::iota(order.begin(), order.end(), size_t{0});
            const auto& records = evenings_[e].records;  // of a piece, first what was weighed after fewer coats
            std::ranges::stable_sort(order, {},
                                     [&](size_t i) { return records[i].coats > 0 ? records[i].coats : 1000; });
            before_.clear();
            for (const size_t i : order) take(e, i, works);
            for (auto& [id, w] : works) all.push_back(std::move(w));
        }
        return all;
    }
    /// What took how long; known once the work is gathered.
    const std::vector<Timed>& timed() const { return timed_; }

private:
    void leave(size_t e, size_t i, std::string why) {
        out_.leftOut.push_back({std::move(why), fmt::format("evenings/{}/records/{}", e, i)});
    }
    Work& of(std::map<std::string, Work>& works, size_t e, const std::string& chocolate) {
        Work& w = works[chocolate];
        w.chocolate = chocolate;
        w.evening = e;
        return w;
    }
    static size_t place(Work& w, const std::string& piece) {
        const auto it = std::ranges::find(w.pieces, piece);
        if (it != w.pieces.end()) return static_cast<size_t>(it - w.pieces.begin());
        w.pieces.push_back(piece);
        return w.pieces.size() - 1;
    }
    size_t departure(const std::string& name) { return out_.departures.of(name); }

    void take(size_t e, size_t i, std::map<std::string, Work>& works) {
        const Evening& evening = evenings_[e];
        const Record& r = evening.records[i];
        if (r.is == Record::Is::Took) {
            timed_.push_back({r.task, r.book, r.value});
            return;
        }
        if (r.is == Record::Is::Spoon) return spoon(e, i, works);
        const Piece& p = *evening.plan.piece(r.piece);
        if (!p.wallFromCoats())
            return leave(e, i, say("{} is not made by coats: its mold says what it weighs.", p.name));
        const auto* chocolate = lib_.find(p.chocolate);
        if (!chocolate) return leave(e, i, tr("Its chocolate is not known."));
        Work& w = of(works, e, p.chocolate);
        Reads reads{r.is, i, place(w, r.piece), 0, 0, r.foot, 0, 0, r.value};
        Seen seen;
        if (r.is == Record::Is::Weighed) {
            const size_t to = coatsOf(r, p);
            reads.to = to;
            double each = r.value / r.of;
            if (const auto& last = before_[r.piece]; last.coats > 0 && last.coats < to) {  // the increment since then
                reads.from = last.coats;
                each -= last.mass;
            }
            if (!(each > 0)) return leave(e, i, say("{} weighed less than with fewer coats.", p.name));
            reads.given = each;
            if (before_[r.piece].coats < to) before_[r.piece] = {to, r.value / r.of};
            seen.value = std::log(each);
            seen.scatter = std::hypot(lib_.learns("scatterGirth"), lib_.learns("scatterCoat")) /
                           std::sqrt(static_cast<double>(r.of));
            const double many = static_cast<double>(reads.to - reads.from);
            for (size_t k = reads.from; k < reads.to; ++k)
                for (const auto& [name, sd] : departuresOf(p, k, lib_)) add(seen, departure(name), sd / many);
        } else if (r.is == Record::Is::Rim) {
            seen.value = std::log(r.value);
            seen.scatter = lib_.learns("scatterRim");
            add(seen, departure("rim:" + p.shape.family), lib_.learns("offRim"));
        } else {
            seen.value = r.notAt > 0 ? std::log(r.notAt) : -std::numeric_limits<double>::infinity();
            seen.upper = std::log(r.at);
            seen.scatter = lib_.learns("scatterTouch");
            add(seen, departure("setting:" + p.shape.family), lib_.learns("offSetting"));
        }
        w.reads.push_back(reads);
        w.seen.push_back(std::move(seen));
        ++out_.perChocolate[chocolate->figuresAs()];
    }

    void spoon(size_t e, size_t i, std::map<std::string, Work>& works) {
        const Evening& evening = evenings_[e];
        const Record& r = evening.records[i];
        const auto piece = std::ranges::find(evening.plan.pieces, r.chocolate, &Piece::chocolate);
        const auto* chocolate = lib_.find(r.chocolate);
        if (piece == evening.plan.pieces.end() || !chocolate)
            return leave(e, i, tr("No piece of that evening is made of the chocolate of the spoon."));
        Work& w = of(works, e, r.chocolate);
        w.reads.push_back({r.is, i, place(w, piece->id), 0, 0, true, r.volume, r.celsius, r.value});
        Seen seen;
        seen.value = std::log(r.value);
        seen.scatter = lib_.learns("scatterSpoon") / 5;  // its fifth power tells the yield stress
        add(seen, departure("spoon"), lib_.learns("offSpoon") / 5);
        w.seen.push_back(std::move(seen));
        ++out_.perChocolate[chocolate->figuresAs()];
    }

    static void add(Seen& seen, size_t number, double sd) {
        for (auto& [n, s] : seen.departs)
            if (n == number) {
                s += sd;
                return;
            }
        seen.departs.emplace_back(number, sd);
    }

    struct Before {
        size_t coats = 0;
        double mass = 0;
    };
    const std::vector<Evening>& evenings_;
    const material::Library& lib_;
    Learned& out_;
    std::map<std::string, Before> before_;
    std::vector<Timed> timed_;
};

}  // namespace

std::string figuresOf(const std::string& chocolate, const material::Library& lib) {
    const auto* c = lib.find(chocolate);
    return c ? c->figuresAs() : chocolate;
}

size_t Names::of(const std::string& name) {
    const auto [it, fresh] = at_.try_emplace(name, list_.size());
    if (fresh) list_.push_back(name);
    return it->second;
}

const size_t* Names::find(const std::string& name) const {
    const auto it = at_.find(name);
    return it == at_.end() ? nullptr : &it->second;
}

std::string openBag(const std::vector<Evening>& evenings, const std::string& figures) {
    for (auto e = evenings.rbegin(); e != evenings.rend(); ++e)
        if (const auto bag = e->bags.find(figures); bag != e->bags.end()) return bag->second;
    return {};
}

size_t Learned::measuredOf(const std::string& chocolate) const {
    const auto it = perChocolate.find(chocolate);
    return it == perChocolate.end() ? 0 : it->second;
}

std::vector<Unknown> partsOf(Of of, const std::string& chocolate, const std::string& bag, const std::string& evening,
                             const material::Library& lib) {
    static constexpr const char* kNames[kShifts] = {"yield",      "viscosity", "growth", "seed",
                                                    "fridge-air", "fridge",    "ladle",  "wait"};
    const int n = static_cast<int>(of);
    const double sd = shiftSds(lib)[n];
    const std::string name = kNames[n];
    if (of == Of::Seed) return {{name + ":" + evening + ":" + chocolate, 0, sd}};
    if (n > static_cast<int>(Of::Growth)) return {{name, 0, sd}};
    const double all = lib.learns("ofAllBags"), one = lib.learns("ofOneBag"), whole = std::hypot(all, one);
    return {{name + ":" + chocolate, 0, sd * all / whole}, {name + ":" + chocolate + ":" + bag, 0, sd * one / whole}};
}

std::vector<std::pair<std::string, double>> departuresOf(const Piece& p, size_t coat, const material::Library& lib) {
    const auto figures = std::accumulate(
        p.shape.values.begin(), p.shape.values.end(), p.shape.family,
        [](std::string s, const auto& v) { return std::move(s) + fmt::format(":{:.4g}", v.second.value); });
    return {{"family:" + p.shape.family, lib.learns("offFamily")},
            {fmt::format("coat:{}:{}", p.shape.family, coat), lib.learns("offFamilyCoat")},
            {"shape:" + figures, lib.learns("offShape")}};
}

std::optional<Told> tell(const Piece& piece, const Plan& plan, const material::Library& lib, std::stop_token stop) {
    const MadeOptions options{false, kCells};
    std::optional<CoatedWall> wall;
    if (piece.alongMeridian()) {
        auto made = coatMeridian(piece, plan, lib, options, stop);
        if (made) wall = std::move(made->wall);
    } else if (auto made = madeOf(piece, plan, lib, options, stop); made && made->wall) {
        wall = *made->wall;
    }
    if (!wall || wall->coats.empty()) return std::nullopt;
    Told out;
    for (const auto& c : wall->coats) out.coats.push_back(c.added);
    out.rim = wall->rim;
    out.foot = wall->setting.empty() ? 0 : wall->setting.back().firm;
    out.rimFirm = wall->CoatTimes::rim.firm;
    return out;
}

Centre centreOf(const Plan& plan, const material::Library& lib) {
    Centre out;
    for (const auto& piece : plan.pieces) {
        const std::string figures = figuresOf(piece.chocolate, lib);
        const Shift own = ownOf(plan, piece.chocolate, lib);
        for (const Of of : {Of::Yield, Of::Viscosity, Of::Growth, Of::FridgeAir})
            out[partsOf(of, figures, "", "", lib).front().id] = own[static_cast<int>(of)];
    }
    return out;
}

tl::expected<Learned, Problem> learn(const std::vector<Evening>& evenings, const material::Library& library,
                                     std::stop_token stop, Centre centre) {
    Learned out;
    out.centre = std::move(centre);
    Gather gather(evenings, library, out);
    const std::vector<Work> works = gather.work();
    out.pace = paceOf(gather.timed(), {library.learns("cookSd"), library.learns("kindSd"),
                                       library.learns("timeScatter"), library.learns("timeRounded")});
    std::vector<Block> blocks;
    std::vector<std::vector<std::pair<size_t, size_t>>> sums;  // parameter, unknown
    for (const auto& w : works) {
        const Evening& evening = evenings[w.evening];
        const std::string figures = figuresOf(w.chocolate, library);
        const auto bag = evening.bags.find(figures);
        auto& sum = sums.emplace_back();
        for (int k = 0; k < kShifts; ++k)
            for (const auto& part :
                 partsOf(static_cast<Of>(k), figures, bag != evening.bags.end() ? bag->second : evening.id, evening.id,
                         library)) {
                const size_t at = out.unknowns.of(part.id);
                if (at == out.priors.size()) {
                    out.priors.push_back(part);
                    if (const auto mean = out.centre.find(part.id); mean != out.centre.end())
                        out.priors.back().mean = mean->second;
                }
                sum.emplace_back(static_cast<size_t>(k), at);
            }
    }
    for (size_t b = 0; b < works.size(); ++b) {
        const Work& w = works[b];
        Block block;
        block.of = Eigen::MatrixXd::Zero(kShifts, static_cast<Eigen::Index>(out.priors.size()));
        for (const auto& [parameter, unknown] : sums[b])
            block.of(static_cast<Eigen::Index>(parameter), static_cast<Eigen::Index>(unknown)) = 1;
        block.stride = kStride * shiftSds(library);
        block.seen = w.seen;
        block.model = [&w, &evenings, &library, stop](const Eigen::VectorXd& p) {
            return run(w, evenings[w.evening], library, p, stop);
        };
        blocks.push_back(std::move(block));
    }
    auto found = fit(out.priors, blocks, out.departures.size(), {}, stop);
    if (!found) return tl::unexpected(found.error());
    out.fit = std::move(*found);
    for (size_t b = 0; b < works.size(); ++b)
        for (size_t i = 0; i < works[b].reads.size(); ++i) {
            double shift = 0;
            for (const auto& [n, sd] : works[b].seen[i].departs)
                shift += sd * out.fit.departures[static_cast<Eigen::Index>(n)];
            const auto& read = works[b].reads[i];
            out.judged.push_back({works[b].evening, read.record, read.given,
                                  std::exp(out.fit.told[b][static_cast<Eigen::Index>(i)] + shift),
                                  works[b].seen[i].scatter, out.fit.z[b][i], out.fit.weights[b][i]});
        }
    return out;
}

}  // namespace uovo::learn
