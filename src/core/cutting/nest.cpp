// Bottom-left by no-fit polygons (Burke et al. 2007): where part B may not lie for a part A that lies is the Minkowski
// sum of A and −B; what is left of the sheet's inner rectangle is where B may. Minkowski sums and unions by Clipper.
#include "core/cutting/nest.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <map>
#include <numbers>
#include <numeric>
#include <polyclipping/clipper.hpp>
#include <random>
#include <set>
#include "core/quantity/catalogue.h"

namespace uovo::cutting {
namespace {

constexpr int kFewOrders = 6, kPartsInAll = 600;  // orders that are tried at least; parts that are laid in all

using ClipperLib::Path;
using ClipperLib::Paths;
using form::Loop;
using form::Point2;

constexpr double kUnit = 1e-6;        // m: one of Clipper's
constexpr double kAsk = 1.01;         // times the gap: rounding must not eat it
constexpr double kOverlap = 0.01e-6;  // m²: parts that share less do not overlap
constexpr double kSmooth = 1e-4;      // m: corners nearer to a line than that do not count for the layout
constexpr size_t kMostCorners = 20000;
constexpr int kMostCopies = 2000;

Path pathOf(const Loop& loop) {
    Path out;
    for (const auto& p : loop) out.emplace_back(std::llround(p[0] / kUnit), std::llround(p[1] / kUnit));
    return out;
}

Loop turned(const Loop& loop, double angle) {
    const double quarter = angle / (0.5 * std::numbers::pi), whole = std::round(quarter);
    double c = std::cos(angle), s = std::sin(angle);
    if (std::abs(quarter - whole) < 1e-12) {  // exact where it can be
        const int k = (static_cast<int>(whole) % 4 + 4) % 4;
        c = k == 0 ? 1 : k == 2 ? -1 : 0;
        s = k == 1 ? 1 : k == 3 ? -1 : 0;
    }
    Loop out;
    for (const auto& p : loop) out.push_back({c * p[0] - s * p[1], s * p[0] + c * p[1]});
    return out;
}

Paths grown(const Paths& paths, double by) {
    ClipperLib::ClipperOffset offset(4);
    offset.AddPaths(paths, ClipperLib::jtMiter, ClipperLib::etClosedPolygon);
    Paths out;
    offset.Execute(out, by / kUnit);
    return out;
}

Paths moved(Paths paths, const ClipperLib::IntPoint& by) {
    for (auto& path : paths)
        for (auto& p : path) p.X += by.X, p.Y += by.Y;
    return paths;
}

double areaOf(const Paths& paths) {
    double a = 0;
    for (const auto& p : paths) a += ClipperLib::Area(p);
    return a * kUnit * kUnit;
}

struct Extent {
    ClipperLib::cInt left = 0, right = 0, low = 0, high = 0;
};
Extent extentOf(const Paths& paths) {
    Extent e{INT64_MAX, INT64_MIN, INT64_MAX, INT64_MIN};
    for (const auto& path : paths)
        for (const auto& p : path) {
            e.left = std::min(e.left, p.X);
            e.right = std::max(e.right, p.X);
            e.low = std::min(e.low, p.Y);
            e.high = std::max(e.high, p.Y);
        }
    return e;
}

/// A piece at one of its angles: as it is, and with half the gap round it.
struct Shape {
    Paths outline, wide;
    Extent extent;   // of `wide`
    Paths mirrored;  // −wide, its outer outline only
};

class Nester {
public:
    Nester(const std::vector<CutPart>& pieces, const SheetOptions& options, std::stop_token stop)
        : pieces_(pieces), options_(options), stop_(std::move(stop)) {
        for (const auto& piece : pieces) {
            std::vector<Shape> shapes;
            const int turns = piece.mayTurn ? 4 : 2;
            for (int k = 0; k < turns && !(k > 0 && isAsBefore(shapes.front(), piece, k, turns)); ++k) {
                Shape s;
                const double angle = 2 * std::numbers::pi * k / turns;
                for (const auto& loop : piece.loops) s.outline.push_back(pathOf(turned(loop, angle)));
                for (size_t i = 0; i < s.outline.size(); ++i)  // outer loops one way round, holes the other
                    if (ClipperLib::Orientation(s.outline[i]) != (i == 0)) ClipperLib::ReversePath(s.outline[i]);
                Paths plain = s.outline;
                ClipperLib::CleanPolygons(plain, kSmooth / kUnit);
                s.wide = grown(plain, 0.5 * kAsk * options.gap + kSmooth);
                s.extent = extentOf(s.wide);
                Path minus;
                for (const auto& p : s.wide.empty() ? s.outline.front() : s.wide.front())
                    minus.emplace_back(-p.X, -p.Y);
                s.mirrored = {minus};
                shapes.push_back(std::move(s));
            }
            shapes_.push_back(std::move(shapes));
            areas_.push_back(std::abs(areaOf(shapes_.back().front().outline)));
        }
        const double inset = options.border - 0.5 * kAsk * options.gap;  // of `wide` from the sheet's edge
        low_ = std::llround(inset / kUnit);
        right_ = std::llround((options.width - inset) / kUnit);
        high_ = std::llround((options.height - inset) / kUnit);
    }

    enum class Rule { LowTop, LowBottom, Between };
    static constexpr Rule kRules[]{Rule::LowTop, Rule::LowBottom, Rule::Between};

    bool fits(size_t piece) const {
        return std::ranges::any_of(shapes_[piece], [&](const Shape& s) {
            return s.extent.right - s.extent.left <= right_ - low_ && s.extent.high - s.extent.low <= high_ - low_;
        });
    }
    double areaOfPiece(size_t piece) const { return areas_[piece]; }

    /// Lays copies out in an order. @param order pieces, each as often as it is cut
    /// @param rule which of the places that are free it takes
    Layout lay(const std::vector<size_t>& order, Rule rule) {
        rule_ = rule;
        Layout out;
        std::vector<State> states;
        std::vector<int> copies(pieces_.size(), 0);
        for (const size_t piece : order) {
            if (stop_.stop_requested()) break;
            const double seconds = secondsToCut(pieces_[piece], options_);
            bool done = false;
            for (size_t k = 0; k < states.size() && !done; ++k)
                done =
                    out.sheets[k].cutting + seconds <= options_.window + 1e-9 && put(piece, states[k], out.sheets[k]);
            if (!done) {
                states.emplace_back();
                out.sheets.emplace_back();
                done = put(piece, states.back(), out.sheets.back());
            }
            if (!done) continue;
            for (auto& s : out.sheets)
                for (auto& p : s.placements)
                    if (p.piece == piece && p.copy < 0) {
                        p.copy = copies[piece]++;
                        s.cutting += seconds;
                    }
        }
        for (size_t k = 0; k < out.sheets.size(); ++k) finish(out.sheets[k], states[k]);
        return out;
    }

private:
    /// Turned so it is the shape that it was, somewhere else.
    static bool isAsBefore(const Shape& first, const CutPart& piece, int k, int turns) {
        Paths now;
        for (const auto& loop : piece.loops) now.push_back(pathOf(turned(loop, 2 * std::numbers::pi * k / turns)));
        const Extent a = extentOf(first.outline), b = extentOf(now);
        if (std::abs((a.right - a.left) - (b.right - b.left)) > 20 ||
            std::abs((a.high - a.low) - (b.high - b.low)) > 20)
            return false;
        ClipperLib::Clipper c;
        c.AddPaths(first.outline, ClipperLib::ptSubject, true);
        c.AddPaths(moved(now, {a.left - b.left, a.low - b.low}), ClipperLib::ptClip, true);
        Paths differ;
        c.Execute(ClipperLib::ctXor, differ, ClipperLib::pftEvenOdd, ClipperLib::pftEvenOdd);
        double area = 0;
        for (const auto& path : differ) area += std::abs(ClipperLib::Area(path));
        return area < 1e-3 * std::abs(ClipperLib::Area(first.outline.front()));
    }

    struct Laid {
        size_t piece;
        size_t turn;
        ClipperLib::IntPoint at;
    };
    struct State {
        std::vector<Laid> laid;
        std::map<std::pair<size_t, size_t>, std::pair<Paths, size_t>>
            taken;              // piece, turn: where it may not lie for the first so many
        std::set<size_t> full;  // pieces that found no place: nothing leaves a sheet, so they never will
    };

    /// Where the origin of `b` may not lie when `a` lies with its origin at 0.
    const Paths& noFit(size_t a, size_t turnA, size_t b, size_t turnB) {
        const auto key = std::array<size_t, 4>{a, turnA, b, turnB};
        if (const auto it = noFits_.find(key); it != noFits_.end()) return it->second;
        const size_t turns = pieces_[a].mayTurn ? 4 : 2, whole = shapes_[b].size();
        if (turnA > 0 && turns == (pieces_[b].mayTurn ? 4u : 2u) && (turnB >= turnA || whole == turns)) {
            // both turned alike: the same region, turned
            Paths out = noFit(a, 0, b, (turnB + turns - turnA) % turns);
            const size_t quarters = turnA * 4 / turns;
            for (auto& path : out)
                for (auto& p : path)
                    p = quarters == 1   ? ClipperLib::IntPoint(-p.Y, p.X)
                        : quarters == 2 ? ClipperLib::IntPoint(-p.X, -p.Y)
                                        : ClipperLib::IntPoint(p.Y, -p.X);
            return noFits_.emplace(key, std::move(out)).first->second;
        }
        const Shape &A = shapes_[a][turnA], &B = shapes_[b][turnB];
        Paths all, band;
        for (const auto& pattern : B.mirrored) {
            for (const auto& path : A.wide) {
                ClipperLib::MinkowskiSum(pattern, path, band, true);
                all.insert(all.end(), band.begin(), band.end());
            }
            // the whole of A moved by a corner of −B: the band round its outline does not reach its middle
            Paths solid = A.wide;
            for (auto& path : solid)
                for (auto& p : path) p.X += pattern.front().X, p.Y += pattern.front().Y;
            all.insert(all.end(), solid.begin(), solid.end());
        }
        ClipperLib::Clipper c;
        c.AddPaths(all, ClipperLib::ptSubject, true);
        Paths out;
        c.Execute(ClipperLib::ctUnion, out, ClipperLib::pftNonZero, ClipperLib::pftNonZero);
        return noFits_.emplace(key, std::move(out)).first->second;
    }

    bool put(size_t piece, State& state, Sheet& sheet) {
        if (state.full.contains(piece)) return false;
        double best = 1e300;
        Laid chosen{};
        for (size_t turn = 0; turn < shapes_[piece].size(); ++turn) {
            const Shape& s = shapes_[piece][turn];
            const ClipperLib::cInt x0 = low_ - s.extent.left, x1 = right_ - s.extent.right, y0 = low_ - s.extent.low,
                                   y1 = high_ - s.extent.high;
            if (x0 > x1 || y0 > y1) continue;
            // a region without width has no area for Clipper: give it one unit
            const Path room{{x0, y0},
                            {std::max(x1, x0 + 1), y0},
                            {std::max(x1, x0 + 1), std::max(y1, y0 + 1)},
                            {x0, std::max(y1, y0 + 1)}};
            Paths free{room};
            if (!state.laid.empty()) {
                auto& [taken, known] = state.taken[{piece, turn}];
                if (known < state.laid.size()) {
                    ClipperLib::Clipper all;
                    all.AddPaths(taken, ClipperLib::ptSubject, true);
                    for (; known < state.laid.size(); ++known) {
                        const auto& l = state.laid[known];
                        all.AddPaths(moved(noFit(l.piece, l.turn, piece, turn), l.at), ClipperLib::ptSubject, true);
                    }
                    Paths together;
                    all.Execute(ClipperLib::ctUnion, together, ClipperLib::pftNonZero, ClipperLib::pftNonZero);
                    taken = std::move(together);
                }
                ClipperLib::Clipper c;
                c.AddPath(room, ClipperLib::ptSubject, true);
                c.AddPaths(taken, ClipperLib::ptClip, true);
                free.clear();
                c.Execute(ClipperLib::ctDifference, free, ClipperLib::pftNonZero, ClipperLib::pftNonZero);
            }
            std::vector<std::pair<double, ClipperLib::IntPoint>> places;
            for (const auto& path : free)
                for (const auto& p : path) {
                    const double top = double(p.Y + s.extent.high), low = double(p.Y + s.extent.low),
                                 left = double(p.X + s.extent.left);
                    const double value = rule_ == Rule::LowTop      ? top + 0.02 * left
                                         : rule_ == Rule::LowBottom ? low + 0.02 * left + 0.05 * top
                                                                    : top + low + 0.02 * left;
                    if (value < best) places.emplace_back(value, p);
                }
            std::sort(places.begin(), places.end(), [](const auto& a, const auto& b) {
                return a.first != b.first         ? a.first < b.first
                       : a.second.Y != b.second.Y ? a.second.Y < b.second.Y
                                                  : a.second.X < b.second.X;
            });
            for (const auto& [value, at] : places) {
                if (!clear(piece, turn, at, state)) continue;
                best = value;
                chosen = {piece, turn, at};
                break;
            }
        }
        if (best > 1e299) {
            state.full.insert(piece);
            return false;
        }
        state.laid.push_back(chosen);
        Placement p;
        p.piece = piece;
        p.copy = -1;
        p.angle = 2 * std::numbers::pi * double(chosen.turn) / (pieces_[piece].mayTurn ? 4 : 2);
        p.at = {double(chosen.at.X) * kUnit, double(chosen.at.Y) * kUnit};
        sheet.placements.push_back(p);
        return true;
    }

    /// Whether a part would overlap none that lies, by intersection.
    bool clear(size_t piece, size_t turn, const ClipperLib::IntPoint& at, const State& state) const {
        const Shape& s = shapes_[piece][turn];
        const Paths mine = moved(s.wide, at);
        for (const auto& l : state.laid) {
            const Extent& o = shapes_[l.piece][l.turn].extent;
            if (l.at.X + o.left >= at.X + s.extent.right || at.X + s.extent.left >= l.at.X + o.right ||
                l.at.Y + o.low >= at.Y + s.extent.high || at.Y + s.extent.low >= l.at.Y + o.high)
                continue;
            ClipperLib::Clipper c;
            c.AddPaths(mine, ClipperLib::ptSubject, true);
            c.AddPaths(moved(shapes_[l.piece][l.turn].wide, l.at), ClipperLib::ptClip, true);
            Paths both;
            c.Execute(ClipperLib::ctIntersection, both, ClipperLib::pftNonZero, ClipperLib::pftNonZero);
            if (std::abs(areaOf(both)) > kOverlap) return false;
        }
        return true;
    }

    /// Shares, and the order of the cuts: near the edge, where it sets first, before the middle, small before large.
    void finish(Sheet& sheet, const State& state) const {
        double area = 0, high = 0;
        std::vector<std::pair<double, size_t>> order;
        for (size_t i = 0; i < state.laid.size(); ++i) {
            const auto& l = state.laid[i];
            const Extent e = extentOf(shapes_[l.piece][l.turn].outline);
            area += areas_[l.piece];
            high = std::max(high, double(l.at.Y + e.high) * kUnit);
            const double x = (double(l.at.X) + 0.5 * double(e.left + e.right)) * kUnit,
                         y = (double(l.at.Y) + 0.5 * double(e.low + e.high)) * kUnit;
            const double edge = std::min({x, options_.width - x, y, options_.height - y});
            order.emplace_back(edge + 0.5 * std::sqrt(areas_[l.piece]), i);
        }
        std::stable_sort(order.begin(), order.end());
        for (size_t k = 0; k < order.size(); ++k) sheet.placements[order[k].second].order = static_cast<int>(k);
        sheet.used = area / (options_.width * options_.height);
        sheet.strip = high > 0 ? area / (options_.width * (high + options_.border)) : 0;
    }

    const std::vector<CutPart>& pieces_;
    const SheetOptions& options_;
    std::stop_token stop_;
    std::vector<std::vector<Shape>> shapes_;
    std::vector<double> areas_;
    std::map<std::array<size_t, 4>, Paths> noFits_;
    Rule rule_ = Rule::LowTop;
    ClipperLib::cInt low_ = 0, right_ = 0, high_ = 0;
};

/// Fewer sheets, then a lower last one.
std::pair<size_t, double> worth(const Layout& l, const SheetOptions& o) {
    double last = 0;
    if (!l.sheets.empty() && l.sheets.back().strip > 0) last = l.sheets.back().used / l.sheets.back().strip * o.height;
    return {l.sheets.size(), last};
}

tl::expected<void, Problem> sound(const std::vector<CutPart>& pieces, const SheetOptions& o) {
    const auto refuse = [](std::string sentence, std::string where) {
        return tl::unexpected(Problem{std::move(sentence), std::move(where)});
    };
    if (!(o.width > 0.01 && o.width < 5 && o.height > 0.01 && o.height < 5))
        return refuse(tr("A sheet is between 1 cm and 5 m each way."), "sheet");
    if (!(o.gap >= 0 && o.gap < 0.1)) return refuse(tr("The gap is between nothing and 10 cm."), "gap");
    if (!(o.border >= 0 && o.border < 0.5 * std::min(o.width, o.height)))
        return refuse(tr("The border leaves something of the sheet."), "border");
    if (!(o.speed > 0 && o.window > 0)) return refuse(tr("Knife and window are above nothing."), "window");
    size_t corners = 0;
    long copies = 0;
    for (const auto& p : pieces) {
        const std::string where = "parts/" + p.name;
        if (p.loops.empty()) return refuse(say("{} has no outline.", p.name), where);
        for (const auto& loop : p.loops) {
            if (loop.size() < 3) return refuse(say("{}: an outline has three corners at least.", p.name), where);
            for (const auto& q : loop)
                if (!(std::abs(q[0]) < 10 && std::abs(q[1]) < 10))
                    return refuse(say("{}: a corner lies beyond 10 m.", p.name), where);
            corners += loop.size();
        }
        if (std::abs(form::signedArea(p.loops.front())) < 1e-8) return refuse(say("{} has no area.", p.name), where);
        if (form::crossesItself(p.loops)) return refuse(say("The outlines of {} cross.", p.name), where);
        if (p.count < 0) return refuse(say("{} is cut no fewer than no times.", p.name), where);
        copies += p.count;
    }
    if (corners > kMostCorners) return refuse(tr("These outlines have more than 20 000 corners."), "parts");
    if (copies > kMostCopies) return refuse(tr("More than 2000 parts are too many for one layout."), "parts");
    return {};
}

}  // namespace

form::Point2 placedAt(const Placement& placement, const form::Point2& p) {
    const double c = std::cos(placement.angle), s = std::sin(placement.angle);
    return {c * p[0] - s * p[1] + placement.at[0], s * p[0] + c * p[1] + placement.at[1]};
}

std::vector<Loop> placedLoops(const CutPart& piece, const Placement& placement) {
    std::vector<Loop> out;
    for (const auto& loop : piece.loops) {
        out.push_back(turned(loop, placement.angle));
        for (auto& p : out.back()) p = {p[0] + placement.at[0], p[1] + placement.at[1]};
    }
    return out;
}

double secondsToCut(const CutPart& piece, const SheetOptions& options) {
    double cut = piece.cutLength;
    if (cut < 0) {
        cut = 0;
        for (const auto& loop : piece.loops) cut += form::perimeter(loop);
    }
    return cut / options.speed + piece.each;
}

tl::expected<Layout, Problem> nest(const std::vector<CutPart>& pieces, const SheetOptions& options,
                                   std::stop_token stop, const std::function<void(const Layout&, double)>& progress) {
    if (auto ok = sound(pieces, options); !ok) return tl::unexpected(ok.error());
    Nester nester(pieces, options, stop);
    Layout none;
    std::vector<size_t> order;
    for (size_t i = 0; i < pieces.size(); ++i) {
        if (pieces[i].count == 0) continue;
        if (!nester.fits(i)) none.tooLarge.push_back(i);
        else if (secondsToCut(pieces[i], options) > options.window) none.tooLong.push_back(i);
        if (nester.fits(i)) order.insert(order.end(), static_cast<size_t>(pieces[i].count), i);
    }
    std::stable_sort(order.begin(), order.end(),
                     [&](size_t a, size_t b) { return nester.areaOfPiece(a) > nester.areaOfPiece(b); });
    Layout best = nester.lay(order, Nester::Rule::LowTop);
    std::mt19937 dice(1);  // the same layout on every machine
    std::vector<size_t> now = order;
    const int orders = std::min(
        options.orders, std::max(kFewOrders, kPartsInAll / static_cast<int>(std::max<size_t>(1, order.size()))));
    for (int k = 1; k < orders && !stop.stop_requested() && order.size() > 2; ++k) {
        if (progress) progress(best, double(k) / orders);
        std::vector<size_t> other = now;
        const auto rule = Nester::kRules[static_cast<size_t>(k) % std::size(Nester::kRules)];
        if (static_cast<size_t>(k) >= std::size(Nester::kRules))  // first each rule with the order as it is
            for (size_t s = 1 + dice() % 3; s > 0; --s) {
                const size_t i = dice() % other.size(), j = dice() % other.size();
                std::swap(other[i], other[j]);
            }
        Layout layout = nester.lay(other, rule);
        if (stop.stop_requested()) break;
        if (worth(layout, options) < worth(best, options)) {
            best = std::move(layout);
            now = std::move(other);
        }
    }
    best.tooLarge = none.tooLarge;
    best.tooLong = none.tooLong;
    return best;
}

}  // namespace uovo::cutting
