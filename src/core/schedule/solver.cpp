#include "core/schedule/solver.h"

#include <algorithm>
#include <chrono>
#include <gecode/int.hh>
#include <gecode/minimodel.hh>
#include <gecode/search.hh>
#include <memory>
#include <random>

namespace uovo::schedule {
namespace {

using namespace Gecode;

/// Starts in mirrored time: m = -(start + minutes), so that 0 is the end of the day and time grows backwards.
class Day : public Space {
public:
    IntVarArray mirrored;

    enum class Search { ByChain, Shuffled };

    Day(const Network& net, unsigned seed, Search search)
        : mirrored(*this, static_cast<int>(net.tasks.size()), 0, net.horizon) {
        const auto duration = [&](int i) { return net.tasks[static_cast<size_t>(i)].minutes; };
        const int n = mirrored.size();
        for (int i = 0; i < n; ++i) rel(*this, mirrored[i] <= net.horizon - duration(i));
        for (const auto& lag : net.lags) {
            // start(to) - start(from) = (m_from + d_from) - (m_to + d_to)
            const int shift = duration(lag.from) - duration(lag.to);
            rel(*this, mirrored[lag.from] - mirrored[lag.to] >= lag.min - shift);
            if (lag.max >= 0) rel(*this, mirrored[lag.from] - mirrored[lag.to] <= lag.max - shift);
        }
        IntVarArgs starts;
        IntArgs lengths, use;
        for (int i = 0; i < n; ++i)
            if (net.tasks[static_cast<size_t>(i)].hands > 0) {
                starts << mirrored[i];
                lengths << duration(i);
                use << net.tasks[static_cast<size_t>(i)].hands;
            }
        if (net.hands > 1 && net.helpers >= 0 &&
            net.helpers < net.horizon) {  // until they come, the helpers' hands are busy elsewhere
            starts << IntVar(*this, net.helpers, net.helpers);
            lengths << net.horizon - net.helpers;
            use << net.hands - 1;
        }
        if (starts.size() > 0) {
            if (net.hands == 1) unary(*this, starts, lengths);
            else cumulative(*this, net.hands, starts, lengths, use);
        }
        for (size_t r = 0; r < net.resources.size(); ++r) {
            IntVarArgs s, p, e;
            IntArgs u;
            for (const auto& hold : net.holds) {
                if (hold.resource != static_cast<int>(r)) continue;
                // mirrored, the hold runs from m(to) to m(from) + d(from)
                IntVar end(*this, 0, net.horizon), length(*this, 0, net.horizon);
                rel(*this, end == mirrored[hold.from] + duration(hold.from));
                rel(*this, length == end - mirrored[hold.to]);
                s << mirrored[hold.to];
                p << length;
                e << end;
                u << hold.amount;
            }
            if (s.size() > 0) cumulative(*this, net.resources[r].capacity, s, p, e, u);
        }
        if (!net.order.empty() && search != Search::Shuffled) {
            IntVarArgs chains;
            for (const int i : net.order) chains << mirrored[i];
            branch(*this, chains, INT_VAR_NONE(), INT_VAL_MIN());
        } else {
            // Ties are broken by the order in the array: shuffled by hand, since Gecode's own INT_VAR_RND leaks its
            // generator.
            std::mt19937 random(seed);
            IntVarArgs shuffled(mirrored);
            for (int i = shuffled.size() - 1; i > 0; --i)
                std::swap(shuffled[i], shuffled[static_cast<int>(random() % static_cast<unsigned>(i + 1))]);
            branch(*this, shuffled, INT_VAR_MIN_MIN(), INT_VAL_MIN());
        }
    }
    Day(Day& other) : Space(other) { mirrored.update(*this, other.mirrored); }
    Space* copy() override { return new Day(*this); }
};

/// Ends a try after a number of failures, at the deadline, or when asked to.
class Limit : public Gecode::Search::Stop {
public:
    Limit(unsigned long fails, std::chrono::steady_clock::time_point until, std::stop_token stop)
        : fails_(fails), until_(until), stop_(std::move(stop)) {}
    bool stop(const Gecode::Search::Statistics& s, const Gecode::Search::Options&) override {
        return s.fail > fails_ || stop_.stop_requested() || std::chrono::steady_clock::now() > until_;
    }

private:
    unsigned long fails_;
    std::chrono::steady_clock::time_point until_;
    std::stop_token stop_;
};

}  // namespace

tl::expected<Layout, Problem> layOut(const Network& net, const SolveOptions& options, std::stop_token stop) {
    if (net.tasks.empty()) return Layout{};
    if (const auto why = reasons(net); !why.empty()) return tl::unexpected(Problem{why.front(), "day"});
    const auto began = std::chrono::steady_clock::now();
    const auto until = began + std::chrono::milliseconds(static_cast<long>(options.mostSeconds * 1e3));
    Layout out;
    unsigned long fails = 400;
    for (int attempt = 0;; ++attempt) {
        Day day(net, options.seed + static_cast<unsigned>(attempt),
                attempt % 2 == 0 && attempt < 6 ? Day::Search::ByChain : Day::Search::Shuffled);
        Limit limit(fails, until, stop);
        Gecode::Search::Options o;
        o.stop = &limit;
        DFS<Day> search(&day, o);
        const std::unique_ptr<Day> found(search.next());
        out.failures += static_cast<long>(search.statistics().fail);
        if (found) {
            for (int i = 0; i < found->mirrored.size(); ++i)
                out.start.push_back(-(found->mirrored[i].val() + net.tasks[static_cast<size_t>(i)].minutes));
            break;
        }
        if (!search.stopped())
            return tl::unexpected(
                Problem{"No order of the steps fits the hands, the fridge and the times the chocolate allows.", "day"});
        if (stop.stop_requested()) return tl::unexpected(Problem{"Stopped.", "stopped"});
        if (std::chrono::steady_clock::now() > until)
            return tl::unexpected(
                Problem{"No day plan was found in the time allowed; there may be one all the same.", "day"});
        ++out.restarts;
        fails = std::min<unsigned long>(fails * 3 / 2, 5000);
    }
    out.seconds = std::chrono::duration<double>(std::chrono::steady_clock::now() - began).count();
    out.begins = *std::min_element(out.start.begin(), out.start.end());
    out.ends = -net.horizon;
    for (size_t i = 0; i < out.start.size(); ++i) out.ends = std::max(out.ends, out.start[i] + net.tasks[i].minutes);
    return out;
}

}  // namespace uovo::schedule
