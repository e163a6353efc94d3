#include "core/schedule/solver.h"

#include <algorithm>
#include <cmath>
#include <numeric>

#include "core/schedule/random.h"
#include "core/schedule/rests.h"

namespace uovo::schedule {
namespace {

constexpr int kMostDelay = 240;       // min
constexpr int kSpell = 2000;          // layouts of one annealing, each from the best so far
constexpr double kHot = 6;            // min: hotter, or in longer spells, days come out worse and further apart
constexpr int kMostRepair = 1440;     // min
constexpr double kCoolAfterEdit = 4;  // what stands near to where it was is not stirred up first

class Search {
public:
    Search(const Network& net, const Effort& effort, std::stop_token stop, const Progress& progress)
        : net_(net), effort_(effort), stop_(std::move(stop)), progress_(progress), decoder_(net), random_(effort.seed) {
        const auto& blocks = decoder_.blocks();
        for (size_t b = 0; b < blocks.tasks.size(); ++b) {
            const auto& t = net.tasks[blocks.tasks[b].front()];
            piece_.push_back(t.piece);
            int pot = -1;
            for (const int i : blocks.tasks[b])
                if (net.tasks[i].pot >= 0 && !net.tasks[i].small) pot = net.tasks[i].pot;
            pot_.push_back(pot);
        }
        for (size_t t = 0; t < net.tasks.size(); ++t) {
            if (net.tasks[t].small && net.tasks[t].pot >= 0 && net.pots[net.tasks[t].pot].small >= 0)
                small_.push_back(static_cast<int>(t));
        }
    }

    Found run(const Genes* from) {
        if (from && fits(*from)) tryOut(*from);
        const bool edited = any_ && !net_.before.empty();
        const auto spell = [&] {
            anneal(best_.genes, std::min(kSpell, effort_.decodes - decodes_), edited ? kCoolAfterEdit : kHot, 0.3);
        };
        if (edited && decodes_ < effort_.decodes) spell();
        if (!edited || best_.price.broken > 0) starts();  // they lead away from a day that stood
        while (decodes_ < effort_.decodes && !stop_.stop_requested()) spell();
        decoder_.decode(best_.genes);
        best_.layout = decoder_.layout();
        addRests(net_, best_.layout);
        return std::move(best_);
    }

private:
    bool fits(const Genes& g) const {
        return g.order.size() == decoder_.blocks().tasks.size() && g.delay.size() == net_.tasks.size() &&
               g.modes.size() == net_.choices.size();
    }

    Decoder::Price tryOut(const Genes& genes) {
        ++decodes_;
        const auto price = decoder_.decode(genes);
        if (!any_ || price.betterThan(best_.price)) {
            any_ = true;
            best_.genes = genes;
            best_.price = price;
        }
        if (progress_ && decodes_ % 500 == 0)
            progress_(std::min(1.0, double(decodes_) / std::max(1, effort_.decodes)), best_);
        return price;
    }

    /// Blocks by rules: as they were built, by how long what follows takes, pot by pot, piece by piece.
    void starts() {
        const int n = static_cast<int>(decoder_.blocks().tasks.size());
        const auto tails = tailsOf();
        for (int k = 0; k < effort_.starts && decodes_ < effort_.decodes && !stop_.stop_requested(); ++k) {
            Genes g = decoder_.plainGenes();
            std::vector<double> key(static_cast<size_t>(n));
            std::vector<double> ofPot(net_.pots.size() + 1), noise(static_cast<size_t>(n));
            for (auto& p : ofPot) p = random_.share();
            for (auto& x : noise) x = k < 4 ? 0 : 0.25 * random_.share();
            std::vector<std::pair<std::string, double>> ofPiece;
            for (int b = 0; b < n; ++b) {
                const double asBuilt = 1 - double(b) / n;
                double x = 0;
                switch (k % 4) {
                    case 0:
                        x = -asBuilt;
                        break;
                    case 1:
                        x = tails[b];
                        break;
                    case 2:
                        x = 10 * ofPot[pot_[b] + 1] - asBuilt;
                        break;
                    default: {
                        auto it = std::find_if(ofPiece.begin(), ofPiece.end(),
                                               [&](const auto& p) { return p.first == piece_[b]; });
                        if (it == ofPiece.end())
                            ofPiece.emplace_back(piece_[b], random_.share()), it = ofPiece.end() - 1;
                        x = 10 * it->second + tails[b];
                    }
                }
                key[b] = x + noise[b];
            }
            std::stable_sort(g.order.begin(), g.order.end(), [&](int a, int b) { return key[a] < key[b]; });
            for (const int t : small_) g.small[t] = static_cast<char>(k % 8 >= 4);
            if (k >= 8)
                for (size_t c = 0; c < g.modes.size(); ++c)
                    g.modes[c] = random_.below(static_cast<int>(net_.choices[c].cost.size()));
            tryOut(g);
        }
    }

    /// Of each block the length of what must follow it, as a share of the longest.
    std::vector<double> tailsOf() const {
        const size_t n = net_.tasks.size();
        std::vector<int> tail(n, 0);
        for (size_t round = 0; round <= n; ++round) {
            bool changed = false;
            for (const auto& l : net_.lags) {
                const int t = std::min(1 << 20, tail[l.to] + l.min);
                if (t > tail[l.from]) tail[l.from] = t, changed = true;
            }
            if (!changed) break;
        }
        std::vector<double> out;
        double most = 1;
        for (const auto& tasks : decoder_.blocks().tasks) {
            int least = 1 << 20;
            for (const int t : tasks) least = std::min(least, tail[t]);
            out.push_back(least);
            most = std::max(most, double(least));
        }
        for (auto& x : out) x /= most;
        return out;
    }

    void anneal(Genes now, int decodes, double hot, double cool) {
        auto price = decoder_.decode(now);
        last_ = decoder_.broken();
        double share = 0;
        for (int k = 0; k < decodes && !stop_.stop_requested(); ++k) {
            share = double(k) / decodes;
            const double temperature = hot * std::pow(cool / hot, share);
            Genes next = now;
            if (!(price.broken > 0 && random_.below(8) == 0 ? repair(next) : move(next)) || next == now) {
                ++decodes_;  // an effort all the same, so that it ends
                continue;
            }
            const auto other = tryOut(next);
            const double gain = price.energy(share) - other.energy(share);
            if (gain >= 0 || random_.share() < std::exp(gain / temperature)) {
                now = std::move(next);
                price = other;
                last_ = decoder_.broken();
            }
        }
    }

    int position(const Genes& g, int block) const {
        return static_cast<int>(std::find(g.order.begin(), g.order.end(), block) - g.order.begin());
    }
    static void shift(std::vector<int>& order, int from, int to) {
        if (from < to) std::rotate(order.begin() + from, order.begin() + from + 1, order.begin() + to + 1);
        else std::rotate(order.begin() + to, order.begin() + from, order.begin() + from + 1);
    }

    bool move(Genes& g) {
        const int n = static_cast<int>(g.order.size());
        const auto near = [&](int at, int reach) {
            return std::clamp(at + random_.below(2 * reach + 1) - reach, 0, n - 1);
        };
        const int kind = random_.below(100);
        if (kind < 22) {
            const int a = random_.below(n), b = near(a, 6);
            std::swap(g.order[a], g.order[b]);
        } else if (kind < 46) {
            const int a = random_.below(n);
            shift(g.order, a, near(a, 10));
        } else if (kind < 52) {
            shift(g.order, random_.below(n), random_.below(n));
        } else if (kind < 56) {
            return join(g);
        } else if (kind < 62) {
            gather(g, [piece = piece_[random_.below(n)], this](int b) { return piece_[b] == piece; });
        } else if (kind < 67) {
            const int pot = pot_[random_.below(n)];
            if (pot < 0) return false;
            gather(g, [pot, this](int b) { return pot_[b] == pot; });
        } else if (kind < 72) {
            if (small_.empty()) return false;
            char& bit = g.small[small_[random_.below(static_cast<int>(small_.size()))]];
            bit = !bit;
        } else if (kind < 86) {
            int& d = g.delay[random_.below(static_cast<int>(g.delay.size()))];
            d = random_.below(3) == 0 ? 0 : std::clamp(d + random_.below(41) - (d > 0 ? 20 : 0), 0, kMostDelay);
        } else if (kind < 92) {
            if (g.modes.empty()) return false;
            const int c = random_.below(static_cast<int>(g.modes.size()));
            g.modes[c] = random_.below(static_cast<int>(net_.choices[c].cost.size()));
        } else {
            const int a = random_.below(n), length = std::min(n - a, 5);
            for (int k = length - 1; k > 0; --k) std::swap(g.order[a + k], g.order[a + random_.below(k + 1)]);
        }
        return true;
    }

    /// What is taken from one sitting of a pot goes beside what is taken from another: to temper once for both.
    bool join(Genes& g) {
        const auto all = decoder_.usesBySitting();
        std::vector<std::pair<size_t, size_t>> pairs;
        for (size_t a = 0; a < all.size(); ++a)
            for (size_t b = 0; b < all.size(); ++b)
                if (a != b && all[a].first == all[b].first) pairs.emplace_back(a, b);
        if (pairs.empty()) return false;
        const auto [from, to] = pairs[static_cast<size_t>(random_.below(static_cast<int>(pairs.size())))];
        std::vector<char> moves(g.order.size(), 0), stays(g.order.size(), 0);
        for (const int t : all[to].second) stays[decoder_.blocks().of[t]] = 1;
        for (const int t : all[from].second)
            if (const int b = decoder_.blocks().of[t]; !stays[b]) moves[b] = 1, g.delay[t] = 0;
        std::vector<int> these, others;
        for (const int b : g.order) (moves[b] ? these : others).push_back(b);
        if (these.empty()) return false;
        size_t at = 0, last = 0;
        for (size_t k = 0; k < others.size(); ++k)
            if (stays[others[k]]) at = at == 0 ? k : at, last = k + 1;
        if (random_.below(2) == 0) at = last;
        others.insert(others.begin() + static_cast<std::ptrdiff_t>(at), these.begin(), these.end());
        g.order = std::move(others);
        return true;
    }

    /// Brings blocks together at a place, in their order.
    template <class Wanted>
    void gather(Genes& g, const Wanted& wanted) {
        std::vector<int> these, others;
        for (const int b : g.order) (wanted(b) ? these : others).push_back(b);
        const auto at = others.begin() + random_.below(static_cast<int>(others.size()) + 1);
        others.insert(at, these.begin(), these.end());
        g.order = std::move(others);
    }

    /// What a broken window ties is brought nearer, or its later end laid earlier.
    bool repair(Genes& g) {
        if (last_.empty()) return false;
        const auto& b = last_[random_.below(static_cast<int>(last_.size()))];
        if (b.kind != Broken::Kind::Lag) return move(g);
        const auto& lag = net_.lags[b.of];
        const auto& blocks = decoder_.blocks();
        const int from = blocks.of[lag.from], to = blocks.of[lag.to];
        if (from == to || random_.below(2) == 0) {
            g.delay[lag.to] = std::min(kMostRepair, g.delay[lag.to] + b.minutes);
        } else {
            const int a = position(g, from), c = position(g, to);
            shift(g.order, a, std::min<int>(static_cast<int>(g.order.size()) - 1, a > c ? c + 1 : c));
        }
        return true;
    }

    const Network& net_;
    Effort effort_;
    std::stop_token stop_;
    const Progress& progress_;
    Decoder decoder_;
    Random random_;
    std::vector<std::string> piece_;
    std::vector<int> pot_, small_;
    std::vector<Broken> last_;
    bool any_ = false;
    int decodes_ = 0;
    Found best_;
};

}  // namespace

Effort Effort::quick(const Network& network) {
    const int n = static_cast<int>(network.tasks.size());
    Effort out;
    // half a second to a second up to a hundred steps, larger days less: each layout takes longer
    out.decodes = n <= 113 ? std::min(904'000 / std::max(1, n), 18'000) : std::max(60, 8000 * 113 / n * 113 / n);
    out.starts = std::clamp(out.decodes / 4, 8, 120);
    return out;
}

tl::expected<Found, Problem> layOut(const Network& net, const Effort& effort, std::stop_token stop, const Genes* from,
                                    const Progress& progress) {
    if (net.tasks.empty()) return Found{};
    if (const auto why = reasons(net); !why.empty()) return tl::unexpected(Problem{why.front(), "day"});
    return Search(net, effort, std::move(stop), progress).run(from);
}

}  // namespace uovo::schedule
