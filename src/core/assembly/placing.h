// Putting a part of an assembly in its place: it is moved over what is there, holds on to what is near, and rests on
// it.
#pragma once
#include <memory>
#include <optional>
#include <vector>

#include "core/assembly/slide.h"
#include "core/form/part.h"

namespace uovo::assembly {

/// How fine parts are built to be put in their places.
inline constexpr form::Detail kPlacing{6000, 96};
/// … and while a hand moves them, so that each place and what touches there come within a frame; where it lets go is
/// computed as finely as all else.
inline constexpr form::Detail kInHand{560, 32};

/// What a part holds on to while it is moved.
struct Snap {
    enum class Kind {
        Centred,  ///< its middle over the other's
        Flush,    ///< an end in line with the other's
        Beside,   ///< an end against the other's
        Rim,      ///< on the middle of a round rim
        Angle,    ///< a whole part of the way round it
        Rests     ///< stands on it
    };
    Kind kind = Kind::Rests;
    size_t other = 0;     ///< item; `kOnTable`
    form::Vec3 from, to;  ///< m, a line that shows it
    double angle = 0;     ///< degrees (Angle), from the right, counter-clockwise
};
inline constexpr size_t kOnTable = static_cast<size_t>(-1);

struct Placing {
    form::Pose pose;
    std::vector<Snap> snaps;
};

/// A round rim, or the round edge of a plate: a level circle.
struct Ring {
    form::Vec3 centre;  ///< m
    double radius = 0;  ///< m, of the middle of the rim
    double width = 0;   ///< m across the rim; of a plate all of it
};

/// Turned about an axis (unit) through a place, by the right hand.
form::Pose turnedAbout(const form::Pose& pose, const form::Vec3& through, const form::Vec3& axis, double degrees);
/// Unit: the first of its axes that is level, the way its sides run.
form::Vec3 sideOf(const form::Pose& pose);

/// Parts at their places, one of which is moved. Knows parts by their numbers in the assembly.
class Placer {
public:
    explicit Placer(const form::Assembly& assembly);
    ~Placer();
    Placer(Placer&&) noexcept;
    Placer& operator=(Placer&&) noexcept;

    size_t size() const;
    const form::Pose& pose(size_t item) const;
    void put(size_t item, const form::Pose& pose);
    form::Box box(size_t item) const;
    form::Box boxAt(size_t item, const form::Pose& pose) const;
    form::Mesh solid(size_t item, const form::Pose& pose) const;
    /// The round rim that its top makes; none where it is not round.
    std::optional<Ring> ring(size_t item) const;
    double table() const;  ///< m, the lowest of all

    /// The part moved from where it is, over the table and what stands there.
    /// @param by m; where it goes up or down by it, it stays at that height and does not rest
    /// @param reach m: so near it holds on to what is there; 0: it holds on to nothing
    Placing moved(size_t item, const form::Vec3& by, double reach) const;
    /// Let down until it rests; raised first where it is in the way of others.
    Placing rested(size_t item, const form::Pose& pose) const;
    /// What is right below it where it is, and how far, m; 0 where it stands on it.
    std::pair<double, size_t> below(size_t item) const;
    /// Pushed until it touches something; none where nothing is in the way.
    std::optional<form::Pose> pushed(size_t item, const form::Pose& pose, const Way& way) const;
    /// Whether it sits in another.
    bool isInTheWay(size_t item, const form::Pose& pose) const;
    /// The pose reflected in an upright plane through `at`, for a part that is its own mirror image.
    /// @param axis 0: left and right change, 1: front and back @returns none where it has no two like sides
    std::optional<form::Pose> mirrored(size_t item, const form::Vec3& at, int axis) const;
    /// Turned about an upright axis.
    static form::Pose turned(const form::Pose& pose, const form::Vec3& axis, double degrees);

private:
    struct Inside;
    std::unique_ptr<Inside> inside_;
};

}  // namespace uovo::assembly
