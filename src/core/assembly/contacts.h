// Where rigid parts touch: from their meshes, as points with normals and as what a person glues.
#pragma once
#include <stop_token>
#include <string>
#include <vector>

#include "core/form/near.h"
#include "core/form/part.h"

namespace uovo::assembly {

/// How fine parts are built to find what touches.
inline constexpr form::Detail kRigid{1500, 48};

/// A rigid part at its place.
struct Body {
    std::string name;
    form::Mesh solid;         ///< closed, m
    double mass = 0;          ///< kg
    form::Vec3 centre;        ///< of mass, m
    double filling = 0;       ///< kg more that it holds later; not yet while it is put together
    bool decoration = false;  ///< goes on last
};

inline constexpr size_t kTable = static_cast<size_t>(-1);  ///< in place of a body's number

/// A place where one part can push on another.
struct Touch {
    form::Vec3 at;
    form::Vec3 normal;   ///< the way that part `a` is pushed by part `b`
    double share = 0;    ///< of the contact's glue, all of them together 1
    form::Vec3 place;    ///< middle of the place it stands for
    bool pushes = true;  ///< false where surfaces only cross: glue may hold there, nothing presses
};

/// Two parts that touch, or a part on the table.
struct Contact {
    size_t a = 0, b = kTable;
    std::vector<Touch> touches;
    double area = 0;    ///< m², 0 where edges meet
    double length = 0;  ///< m along it, of all its places together: what the glue line is long
    double width = 0;   ///< m across it; 0 where edges meet
    int places = 1;     ///< the two feet of a handle are two
    double depth = 0;   ///< m that one sits in the other: a seat that is cut or melted to it
    form::Vec3 middle;
    form::Vec3 along, across;  ///< unit, in which it is longest, and across that; zero where it is a point
    double friction = -1;      ///< coefficient where it is known; below 0: the usual
    bool isPatch() const { return width > 0.5 * length / places; }  ///< rather a face than a line
    bool between(size_t x, size_t y) const { return (a == x && b == y) || (a == y && b == x); }
    /// How much of the push on one of its parts is upwards, −1 to 1: lies it on the other?
    double lifts(size_t part) const {
        double up = 0;
        for (const auto& t : touches) up += (part == a ? 1 : -1) * t.normal.z / double(touches.size());
        return up;
    }
};

/// Two parts that cannot both be there.
struct Cut {
    size_t a = 0, b = 0;
    double depth = 0;  ///< m
    form::Vec3 at;
};

struct ContactOptions {
    double near = 5e-4;    ///< m: nearer than that is a contact, glue fills the gap
    double seat = 3e-3;    ///< m: so deep a part may sit in another; deeper it cuts into it
    double table = 0;      ///< m, height of the table
    double finest = 7e-4;  ///< m between samples of a face, at the least
    int samples = 800;     ///< of the faces that may touch, about
    /// For parts that a hand moves: which touch, not how.
    static ContactOptions inHand() {
        ContactOptions o;
        o.finest = 2e-3;
        o.samples = 100;
        return o;
    }
};

struct Contacts {
    std::vector<Contact> contacts;  ///< by parts, those on the table last
    std::vector<Cut> cuts;
    std::vector<size_t> afloat;  ///< parts that nothing connects with the table
};

/// Finds contacts. Samples the faces and sharp edges of each part and asks what of the other is near (docs/models.md,
/// "Putting together"). Keeps the search trees of parts, so that moving one part finds its contacts within a frame.
class ContactFinder {
public:
    explicit ContactFinder(std::vector<Body> bodies, ContactOptions options = {});
    /// Puts a part elsewhere.
    void move(size_t body, Body moved);
    /// @returns all contacts; those between parts that did not move are kept from before
    const Contacts& find(std::stop_token stop = {});
    const std::vector<Body>& bodies() const { return bodies_; }

private:
    void between(size_t a, size_t b);
    std::vector<Body> bodies_;
    ContactOptions options_;
    std::vector<form::NearMesh> trees_;
    std::vector<char> moved_;
    Contacts found_;
};

/// Only what stands on the table.
std::vector<Contact> contactsOnTable(const std::vector<Body>& bodies, const ContactOptions& options = {});
Contacts contactsOf(const std::vector<Body>& bodies, const ContactOptions& options = {});

}  // namespace uovo::assembly
