// Whether rigid parts that touch, rub and are glued can stand still under given forces: a linear program.
#pragma once
#include <memory>
#include <vector>

#include "core/form/mesh.h"

namespace uovo::assembly {

/// A part as far as statics goes.
struct Rigid {
    double mass = 0;    ///< kg
    form::Vec3 centre;  ///< of mass, m
};

/// One place where a part is pushed, rubbed or held by another or by what does not move.
struct Support {
    size_t a = 0, b = 0;  ///< numbers of parts; b beyond the last: what does not move
    form::Vec3 at;
    form::Vec3 normal;    ///< the way `a` is pushed
    double friction = 0;  ///< coefficient; below 0: it cannot push, only hold by its glue
    double glue = 0;      ///< N that glue bears there, pulled or sheared
};

struct Balance {
    bool stands = false;
    double missing = 0;               ///< forces and moments that nothing gives, as a share of all the weight
    std::vector<double> missingOf;    ///< the same of each part
    std::vector<form::Vec3> forces;   ///< N on part `a` at each support, where it stands
    std::vector<form::Vec3> turning;  ///< of each part, the moment that nothing gives, N m: it tips about that axis
};

/// A load besides weight.
struct Push {
    size_t part = 0;
    form::Vec3 at, force;  ///< m, N
};

/// Parts and what supports them, asked under one gravity after another.
///
/// Least wrench that is missing for equilibrium (docs/models.md, "Putting together"). A support pushes along its normal
/// and rubs within an eight-sided cone inscribed in the friction cone; glue bears a force within a box inscribed in the
/// sphere of its strength.
class Statics {
public:
    /// @param down about where gravity points: friction cones have a side that way, where sliding begins
    Statics(std::vector<Rigid> parts, std::vector<Support> supports, const form::Vec3& down = {0, 0, -1});
    ~Statics();
    Statics(const Statics&) = delete;
    Statics& operator=(const Statics&) = delete;

    /// @param gravity m/s², usually {0, 0, -g}
    Balance under(const form::Vec3& gravity, const std::vector<Push>& pushes = {});

private:
    struct Program;
    std::unique_ptr<Program> program_;
};

/// The same once.
Balance balance(const std::vector<Rigid>& parts, const std::vector<Support>& supports, const form::Vec3& gravity,
                const std::vector<Push>& pushes = {});

}  // namespace uovo::assembly
