// Where liquid gathers on a surface held one way up: hollows, the saddles between them, and how high liquid stands in
// each.
#pragma once
#include <cstddef>
#include <vector>

namespace uovo::coat {

/// The hollows of one orientation as a tree: two that meet at a saddle become one above it, a rim lets liquid out.
/// Cells are taken from the lowest to the highest once (priority flood: Barnes, Lehman, Mulla 2014), O(n log n).
class Hollows {
public:
    /// Cells and their neighbours: those of cell i are to[link[i]] … to[link[i + 1] − 1]. All vectors one value a cell.
    struct Ground {
        const std::vector<double>* height = nullptr;  ///< m along the vertical
        const std::vector<double>* lean =
            nullptr;  ///< cosine between the chocolate's side and the vertical; below 0: a ceiling
        const std::vector<double>* area = nullptr;  ///< m²
        const std::vector<char>* open = nullptr;    ///< a rim: what reaches it is gone
        const std::vector<size_t>* link = nullptr;
        const std::vector<int>* to = nullptr;
    };

    /// @param order cells from the highest to the lowest. `ground` must outlive this.
    void build(const Ground& ground, const std::vector<int>& order);
    /// Whether some place holds liquid at all.
    bool any() const { return any_; }
    /// The hollow a cell belongs to; −1 where liquid runs out.
    int at(size_t cell) const { return nodeOf_[cell]; }
    size_t size() const { return nodes_.size(); }

    /// Lays liquid level: full hollows spill over their lowest saddle into the next, or out, and merge when both are
    /// full.
    /// @param volume m³ in each hollow
    /// @param taken what lies on each cell already and is not liquid, m³/m²
    /// @param level filled with the surface's height over each cell, NaN where there is none, m
    /// @returns m³ that ran out
    double fill(std::vector<double> volume, const std::vector<double>& taken, std::vector<double>& level) const;

private:
    struct Node {
        double bottom = 0,
               spill = 0;  // m; spill: where it meets the next one, or a rim; infinite: it is closed all round
        int parent = -1, left = -1, right = -1;
        size_t first = 0, own = 0, last = 0;  // in cells_: those of its children, then its own from the lowest up
        bool out = false;                     // what spills runs out
    };
    void arrange(const std::vector<int>& order);
    /// @param volume m³ in each hollow @param one whether liquid stands above the saddle inside it
    void setLevels(const std::vector<double>& volume, const std::vector<double>& taken, const std::vector<char>& one,
                   std::vector<double>& level) const;
    double held(const Node& node, double z, const std::vector<double>& taken, double& surface) const;
    double levelOf(const Node& node, double volume, const std::vector<double>& taken) const;

    Ground g_;
    std::vector<Node> nodes_;  // children before their parents
    std::vector<int> nodeOf_;
    std::vector<size_t> cells_;
    bool any_ = false;
};

}  // namespace uovo::coat
