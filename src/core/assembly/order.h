// An order in which parts are put together so that every state stands, with hands and props where it would not.
#pragma once
#include <optional>
#include <stop_token>
#include <string>
#include <vector>

#include "core/assembly/balance.h"
#include "core/assembly/contacts.h"

namespace uovo::assembly {

/// Glue between two parts that touch; contacts without one are dry and only push and rub.
struct Glue {
    size_t a = 0, b = 0;   ///< parts
    double strength = 10;  ///< N it bears when it has set
    double hold = 40;      ///< s it is held until it grips
    double set = 900;      ///< s until it bears all it can
    bool between(size_t x, size_t y) const { return (a == x && b == y) || (a == y && b == x); }
};

struct OrderOptions {
    double friction = 0.4;          ///< of chocolate on chocolate and on the table
    double lean = 2;                ///< degrees, the table or a part out of true
    double shortBy = 1e-3;          ///< m, so much may a foot or an edge be short: contacts are taken narrower by it
    double young = 0.2;             ///< share of its strength that glue has when it is let go
    bool turned = true;             ///< whether to try it upside down and on its sides where upright it needs props
    bool groups = true;             ///< whether parts may be put together beside the rest first
    std::vector<size_t> untouched;  ///< parts that nobody may hold while glue sets
};

/// What keeps a part from moving besides glue and hands: put there, and taken away when it stands without.
struct Prop {
    size_t part = 0;
    form::Vec3 at;      ///< where it touches the part
    form::Vec3 push;    ///< unit, the way it pushes
    double height = 0;  ///< m over the table
    size_t until = 0;   ///< number of the step after which it may go; as many as there are steps: until all has set
    bool below() const { return push.z > 0.7; }
};

struct OrderStep {
    enum class Way { Free, Hold, Prop };  ///< stands by itself · until its glue grips · only with something beside it
    std::vector<size_t> parts;            ///< one, or a group put together before
    std::vector<size_t> glues;            ///< that come with it
    Way way = Way::Free;
    std::vector<Prop> props;
    bool waits = false;      ///< the glue of the step before must bear first
    bool possible = true;    ///< it touches what is there, and stands
    bool touches = true;     ///< something that is there, or the table
    size_t shutBy = kTable;  ///< part that is there and closes over its place
};

/// Which way up it is built.
enum class Side { Upright, UpsideDown, OnLeft, OnRight, OnFront, OnBack };

struct Order {
    std::vector<OrderStep> steps;
    Side side = Side::Upright;
    bool stands = false;        ///< the finished piece, its glue set
    size_t tips = kTable;       ///< part that moves first where something does not stand
    form::Vec3 tipsOver;        ///< a place on the edge it tips over
    form::Vec3 tipsTo;          ///< the way it falls, unit, level
    size_t stuck = kTable;      ///< step that cannot be made as it was asked for
    double beyond = 0;          ///< m its weight lies outside its foot; 0: inside
    std::vector<Order> groups;  ///< how the groups are put together, each by itself on the table
};

/// Finds an order: every part on what is there already, heavy and low ones first, decorations last; what stands free
/// before what must be held, and that before what must be propped (docs/models.md, "Putting together").
Order orderOf(const std::vector<Body>& bodies, const std::vector<Contact>& contacts, const std::vector<Glue>& glues,
              const OrderOptions& options = {}, std::stop_token stop = {});

/// Judges an order that a person wants: how each step stands; `stuck` is the first that touches nothing that is there
/// or cannot stand even with props, and `tips` says which part moves then, and over which edge.
/// @param wanted parts in their order, each once
Order judge(const std::vector<size_t>& wanted, const std::vector<Body>& bodies, const std::vector<Contact>& contacts,
            const std::vector<Glue>& glues, const OrderOptions& options = {}, std::stop_token stop = {});

/// The rotation that puts a side of it down.
form::Pose turnedTo(Side side);

}  // namespace uovo::assembly
