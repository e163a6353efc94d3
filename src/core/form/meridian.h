// Pieces of revolution: a meridian from the pole to the rim, exact areas and volumes, and its cells for the solvers.
#pragma once
#include <functional>
#include <vector>

namespace uovo::form {

/// A point of a meridian with its derivatives by the curve's own parameter.
struct CurvePoint {
    double r = 0, z = 0;      // m
    double dr = 0, dz = 0;    // first derivatives
    double ddr = 0, ddz = 0;  // second derivatives
};

/// Which side of the former the chocolate is on.
enum class Side { Outside, Inside };

/// Cells of equal arc length along a meridian, pole first. N cells, N+1 faces.
struct Profile {
    std::vector<double> arc, r, z;           ///< cell centres, m
    std::vector<double> tangentR, tangentZ;  ///< unit tangent at the centre, towards the rim
    std::vector<double> normalR, normalZ;    ///< unit normal at the centre, pointing into the chocolate
    std::vector<double> area;                ///< of the former's surface, m² a cell
    std::vector<double> mean, gauss;         ///< curvature H and K, positive where the chocolate is on the convex side
    std::vector<double> faceWidth;           ///< circumference at each face, m (N+1)
    std::vector<double> faceR, faceZ;        ///< meridian at each face, m (N+1)
    double step = 0;                         ///< arc length of a cell, m

    size_t size() const { return arc.size(); }
};

/// A smooth-by-pieces curve of revolution, pole (or axis) first.
class Meridian {
public:
    using Piece = std::function<CurvePoint(double)>;  ///< parameter 0..1

    explicit Meridian(Side chocolateSide) : side_(chocolateSide) {}
    void add(Piece piece) { pieces_.push_back(std::move(piece)); }

    double length() const;
    double area() const;  ///< ∫ 2πr ds
    /// Volume between the curve and the axis up to height z, ∫ πr² dz (z measured from the lowest point).
    double volumeBelow(double z) const;
    double volume() const;
    double lowest() const;
    double highest() const;
    double widest() const;  ///< largest radius
    /// Level z at which volumeBelow is `volume`, or NaN when it does not fit.
    double levelOf(double volume) const;
    /// Radius at height z on the outermost branch.
    double radiusAt(double z) const;

    /// @param cells at least 2
    Profile profile(int cells) const;
    Side side() const { return side_; }
    const std::vector<Piece>& pieces() const { return pieces_; }

private:
    Side side_;
    std::vector<Piece> pieces_;
};

}  // namespace uovo::form
