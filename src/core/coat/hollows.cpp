#include "core/coat/hollows.h"

#include <algorithm>
#include <cmath>
#include <limits>
#include <numeric>

namespace uovo::coat {
namespace {

constexpr double kRipple = 5e-5;  // m: shallower dents of a mesh are part of the floor round them
constexpr double kInfinite = std::numeric_limits<double>::infinity();

}  // namespace

void Hollows::build(const Ground& ground, const std::vector<int>& order) {
    g_ = ground;
    const auto& height = *g_.height;
    const size_t n = height.size();
    nodes_.clear();
    nodeOf_.assign(n, -1);
    any_ = false;
    // A component: cells that liquid rising from one lowest place has reached. Root by union-find; `node` is the hollow
    // that grows in it now, −1 once liquid runs out of it.
    std::vector<int> root(n, -1), node(n, -1);
    const auto find = [&](int i) {
        while (root[static_cast<size_t>(i)] != i)
            i = root[static_cast<size_t>(i)] = root[static_cast<size_t>(root[static_cast<size_t>(i)])];
        return i;
    };
    const auto close = [&](int k, double z) {  // hollow k runs out at z
        if (k >= 0) nodes_[static_cast<size_t>(k)].spill = z, nodes_[static_cast<size_t>(k)].out = true;
    };
    std::vector<int> meets;
    for (size_t k = order.size(); k-- > 0;) {
        const int cell = order[k];
        const auto i = static_cast<size_t>(cell);
        meets.clear();
        for (size_t l = (*g_.link)[i]; l < (*g_.link)[i + 1]; ++l) {
            const int j = (*g_.to)[l];
            if (root[static_cast<size_t>(j)] < 0) continue;
            const int r = find(j);
            if (std::find(meets.begin(), meets.end(), r) == meets.end()) meets.push_back(r);
        }
        root[i] = cell;
        const bool runsOut = (*g_.open)[i] != 0 || (meets.empty() && (*g_.lean)[i] <= 0);
        if (meets.empty() && !runsOut) {
            node[i] = static_cast<int>(nodes_.size());
            nodes_.push_back({height[i], kInfinite, -1, -1, -1, 0, 0, 0, false});
        }
        bool open = runsOut;
        for (const int r : meets) open = open || node[static_cast<size_t>(r)] < 0;
        for (const int r : meets) {
            const int other = node[static_cast<size_t>(r)];
            root[static_cast<size_t>(r)] = cell;
            if (open) {
                close(other, height[i]);
                continue;
            }
            if (node[i] < 0) {
                node[i] = other;
                continue;
            }
            auto &a = nodes_[static_cast<size_t>(node[i])], &b = nodes_[static_cast<size_t>(other)];
            // a dent is swallowed by its neighbour, so that the tree stays small on a flat floor
            const bool dentA = a.left < 0 && height[i] - a.bottom < kRipple,
                       dentB = b.left < 0 && height[i] - b.bottom < kRipple;
            if (dentA || dentB) {
                const int kept = dentA ? other : node[i], gone = dentA ? node[i] : other;
                nodes_[static_cast<size_t>(kept)].bottom = std::min(a.bottom, b.bottom);
                nodes_[static_cast<size_t>(gone)].parent = kept;
                nodes_[static_cast<size_t>(gone)].spill = -kInfinite;  // swallowed
                node[i] = kept;
                continue;
            }
            a.spill = b.spill = height[i];
            const int parent = static_cast<int>(nodes_.size());
            a.parent = b.parent = parent;
            const Node joined{std::min(a.bottom, b.bottom), kInfinite, -1, node[i], other, 0, 0, 0, false};
            node[i] = parent;
            nodes_.push_back(joined);
        }
        nodeOf_[i] = open ? -1 : node[i];
        if (open) node[i] = -1;
    }
    arrange(order);
}

/// Swallowed dents hand their cells on; each hollow's cells lie together, its children's before its own.
void Hollows::arrange(const std::vector<int>& order) {
    const auto keeper = [&](int k) {
        while (k >= 0 && nodes_[static_cast<size_t>(k)].spill == -kInfinite) k = nodes_[static_cast<size_t>(k)].parent;
        return k;
    };
    std::vector<std::vector<size_t>> own(nodes_.size());
    for (size_t k = order.size(); k-- > 0;)
        if (const auto i = static_cast<size_t>(order[k]); nodeOf_[i] >= 0) {
            nodeOf_[i] = keeper(nodeOf_[i]);
            own[static_cast<size_t>(nodeOf_[i])].push_back(i);
        }
    cells_.clear();
    std::vector<int> stack;
    std::vector<char> opened(nodes_.size(), 0);
    for (size_t k = 0; k < nodes_.size(); ++k) {
        if (nodes_[k].parent >= 0) continue;
        any_ = true;
        stack.push_back(static_cast<int>(k));
        while (!stack.empty()) {
            Node& at = nodes_[static_cast<size_t>(stack.back())];
            if (!opened[static_cast<size_t>(stack.back())]) {
                opened[static_cast<size_t>(stack.back())] = 1;
                at.first = cells_.size();
                if (at.left >= 0) {
                    stack.push_back(at.right);
                    stack.push_back(at.left);
                    continue;
                }
            }
            at.own = cells_.size();
            const auto& mine = own[static_cast<size_t>(stack.back())];
            cells_.insert(cells_.end(), mine.begin(), mine.end());
            at.last = cells_.size();
            stack.pop_back();
        }
    }
}

double Hollows::held(const Node& node, double z, const std::vector<double>& taken, double& surface) const {
    double sum = 0;
    surface = 0;
    for (size_t k = node.first; k < node.last; ++k) {
        const size_t i = cells_[k];
        const double depth = z - (*g_.height)[i];
        if (depth <= 0) {
            if (k >= node.own) break;
            continue;
        }
        const double lean = (*g_.lean)[i], room = lean * depth - (lean > 0 ? taken[i] : 0);
        if (lean > 0 && room <= 0) continue;  // a ceiling takes from the room under it
        sum += (*g_.area)[i] * room;
        surface += (*g_.area)[i] * lean;
    }
    return sum;
}

double Hollows::levelOf(const Node& node, double volume, const std::vector<double>& taken) const {
    double low = node.bottom, high = node.spill, surface = 0;
    if (high == kInfinite) {
        for (size_t k = node.first; k < node.last; ++k)
            high = std::max(high == kInfinite ? low : high, (*g_.height)[cells_[k]]);
        high += 1e-9;
    }
    double z = low + 0.3 * (high - low);
    for (int k = 0; k < 60; ++k) {
        const double rest = held(node, z, taken, surface) - volume;
        (rest > 0 ? high : low) = z;
        if (std::abs(rest) < 1e-9 * volume || high - low < 1e-10) break;
        double next = surface > 0 ? z - rest / surface : 0.5 * (low + high);
        if (!(next > low && next < high)) next = 0.5 * (low + high);
        z = next;
    }
    return z;
}

double Hollows::fill(std::vector<double> volume, const std::vector<double>& taken, std::vector<double>& level) const {
    level.assign(nodeOf_.size(), std::nan(""));
    std::vector<double> room(nodes_.size(), std::nan(""));
    std::vector<char> one(nodes_.size(), 0);  // liquid stands above the saddle inside it
    const auto cap = [&](int k) {
        auto& r = room[static_cast<size_t>(k)];
        double surface = 0;
        const Node& node = nodes_[static_cast<size_t>(k)];
        if (std::isnan(r))
            r = node.spill == kInfinite ? kInfinite : std::max(0.0, held(node, node.spill, taken, surface));
        return r;
    };
    double out = 0;
    // What is poured into hollow k: to its children as long as they are not both full, then over the whole of it.
    const auto pour = [&](const auto& self, int k, double v) -> void {
        auto& node = nodes_[static_cast<size_t>(k)];
        if (node.left < 0 || one[static_cast<size_t>(k)]) {
            volume[static_cast<size_t>(k)] += v;
            return;
        }
        const auto in = [&](int child) {
            return volume[static_cast<size_t>(child)];
        };  // children keep the sum of what is in them
        const double all = in(node.left) + in(node.right) + v, both = cap(node.left) + cap(node.right);
        volume[static_cast<size_t>(k)] = all;
        if (all >= both) {
            one[static_cast<size_t>(k)] = 1;
            return;
        }
        const double left = std::min(v, std::max(0.0, cap(node.left) - in(node.left)));
        if (left > 0) self(self, node.left, left);
        if (v - left > 0) self(self, node.right, v - left);
    };
    for (size_t k = 0; k < nodes_.size(); ++k) {
        Node node = nodes_[k];
        if (node.spill == -kInfinite) continue;
        if (node.left >= 0) {
            const double own = volume[k];
            auto &a = volume[static_cast<size_t>(node.left)], &b = volume[static_cast<size_t>(node.right)];
            volume[k] = own + a + b;
            if (volume[k] > 0) {
                const double capA = cap(node.left), capB = cap(node.right);
                if (volume[k] >= capA + capB) {
                    one[k] = 1;
                } else {
                    const double overA = std::max(0.0, a - capA), overB = std::max(0.0, b - capB);
                    a -= overA;
                    b -= overB;
                    double spare = own + overA + overB;
                    const double left = std::min(spare, std::max(0.0, capA - a));
                    if (left > 0) pour(pour, node.left, left);
                    if (spare - left > 0) pour(pour, node.right, spare - left);
                }
            }
        }
        if (node.out && volume[k] > cap(static_cast<int>(k))) {
            out += volume[k] - cap(static_cast<int>(k));
            volume[k] = cap(static_cast<int>(k));
        }
    }
    setLevels(volume, taken, one, level);
    return out;
}

/// From the top: the highest hollows that are one have one level.
void Hollows::setLevels(const std::vector<double>& volume, const std::vector<double>& taken,
                        const std::vector<char>& one, std::vector<double>& level) const {
    std::vector<int> stack;
    for (size_t k = 0; k < nodes_.size(); ++k)
        if (nodes_[k].parent < 0) stack.push_back(static_cast<int>(k));
    while (!stack.empty()) {
        const auto k = static_cast<size_t>(stack.back());
        stack.pop_back();
        const Node& node = nodes_[k];
        if (!(volume[k] > 0)) continue;
        if (node.left >= 0 && !one[k]) {
            stack.push_back(node.left);
            stack.push_back(node.right);
            continue;
        }
        const double z = levelOf(node, volume[k], taken);
        for (size_t c = node.first; c < node.last; ++c) {
            const size_t i = cells_[c];
            const double lean = (*g_.lean)[i];
            if (lean > 0 && lean * (z - (*g_.height)[i]) > taken[i]) level[i] = z;
        }
    }
}

}  // namespace uovo::coat
