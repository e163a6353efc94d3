#include "core/assembly/order.h"

#include <algorithm>
#include <cmath>
#include <functional>
#include <numbers>
#include <numeric>
#include <set>

#include "core/assembly/way_in.h"
#include "core/quantity/quantity.h"

namespace uovo::assembly {
namespace {

using form::Vec3;

constexpr int kLeans = 8;          // directions a table may be out of true
constexpr double kPropAt = 0.66;   // of a part's height: where something leans against it
constexpr double kPropRubs = 0.3;  // friction of a prop
constexpr size_t kMostProps = 3;
constexpr double kTouches = 1.5;  // times the reach of a contact: nearer than that a place is taken by another part

double costOf(const OrderStep& s, const std::vector<Glue>& glues) {
    double hold = 0;
    for (const size_t g : s.glues) hold = std::max(hold, glues[g].hold);
    return s.way == OrderStep::Way::Free   ? 0
           : s.way == OrderStep::Way::Hold ? 1 + hold / 600
                                           : 4 + double(s.props.size());
}

/// The work of both: which parts are there, what holds them.
class Builder {
public:
    Builder(const std::vector<Body>& bodies, const std::vector<Contact>& contacts, const std::vector<Glue>& glues,
            const OrderOptions& options, std::stop_token stop)
        : bodies_(bodies),
          contacts_(contacts),
          glues_(glues),
          options_(options),
          stop_(std::move(stop)),
          ways_(bodies) {
        there_.assign(bodies.size(), 0);
        age_.assign(glues.size(), -1);
        for (const auto& b : bodies) boxes_.push_back(form::bounds(b.solid));
        table_ =
            boxes_.empty() ? 0 : std::ranges::min_element(boxes_, {}, [](const auto& b) { return b.low.z; })->low.z;
    }

    const form::Box& box(size_t part) const { return boxes_[part]; }
    bool isThere(size_t part) const { return there_[part]; }

    /// Parts that touch what is there or the table.
    bool reaches(const std::vector<size_t>& parts) const {
        const auto mine = [&](size_t p) { return std::find(parts.begin(), parts.end(), p) != parts.end(); };
        return std::ranges::any_of(contacts_, [&](const Contact& c) {
            if (c.b == kTable) return mine(c.a);
            return (mine(c.a) && there_[c.b]) || (mine(c.b) && there_[c.a]);
        });
    }

    /// A part that is there and closes over the place of one of these; `kTable` where none does.
    size_t shutBy(const std::vector<size_t>& parts) const {
        for (const size_t inner : parts)
            for (size_t outer = 0; outer < bodies_.size(); ++outer)
                if (there_[outer] && ways_.closesOver(outer, inner)) return outer;
        return kTable;
    }
    /// It would close over the place of a part that is not there yet.
    bool waitsForInside(const std::vector<size_t>& parts) const {
        for (const size_t outer : parts)
            for (size_t inner = 0; inner < bodies_.size(); ++inner)
                if (!there_[inner] && !isNew(inner, parts) && ways_.closesOver(outer, inner)) return true;
        return false;
    }

    /// Something that would carry it from below is not there yet.
    bool waitsForBelow(const std::vector<size_t>& parts) const {
        return std::ranges::any_of(contacts_, [&](const Contact& c) {
            if (c.b == kTable) return false;
            const bool a = isNew(c.a, parts), b = isNew(c.b, parts);
            if (a == b || there_[a ? c.b : c.a]) return false;
            return c.lifts(a ? c.a : c.b) > 0.5;
        });
    }

    /// How a step would stand. @returns none where not even props help
    std::optional<OrderStep> tried(const std::vector<size_t>& parts, bool withProps) {
        OrderStep s;
        s.parts = parts;
        for (const size_t p : parts) there_[p] = 1;
        for (size_t g = 0; g < glues_.size(); ++g) {
            const bool a = isNew(glues_[g].a, parts), b = isNew(glues_[g].b, parts);
            if (a == b || !there_[glues_[g].a] || !there_[glues_[g].b]) continue;
            s.glues.push_back(g);
        }
        std::optional<OrderStep> out;
        if (stands(share(s, 0, 1), props_)) s.way = OrderStep::Way::Free, out = s;
        else if (!s.glues.empty() && mayHold(parts) && stands(share(s, 1, 1), props_))
            s.way = OrderStep::Way::Hold, out = s;
        else if (withProps)
            if (auto props = propsFor(parts, share(s, 1, 1))) {
                s.way = OrderStep::Way::Prop;
                s.props = std::move(*props);
                out = s;
            }
        for (const size_t p : parts) there_[p] = 0;
        return out;
    }

    /// What is missing while these parts are there too, their glue gripped.
    void with(const std::vector<size_t>& parts, const std::function<void(const Balance&)>& tell) {
        OrderStep s;
        for (const size_t p : parts) there_[p] = 1;
        for (size_t g = 0; g < glues_.size(); ++g)
            if (isNew(glues_[g].a, parts) != isNew(glues_[g].b, parts)) s.glues.push_back(g);
        Balance b;
        if (!stands(share(s, 1, 1), props_, &b)) tell(b);
        for (const size_t p : parts) there_[p] = 0;
    }

    void place(OrderStep s, std::vector<OrderStep>& steps) {
        for (const size_t p : s.parts) there_[p] = 1;
        if (step_ > 0) {  // whether what was glued last may still be young
            std::vector<Prop> all = props_;
            all.insert(all.end(), s.props.begin(), s.props.end());
            const double fresh = s.way == OrderStep::Way::Free ? 0 : 1;
            s.waits = !stands(share(s, fresh, options_.young), all);
        }
        for (const size_t g : s.glues) age_[g] = step_;
        for (size_t g = 0; g < glues_.size(); ++g)  // within a group it has set
            if (age_[g] < 0 && isNew(glues_[g].a, s.parts) && isNew(glues_[g].b, s.parts)) age_[g] = step_;
        steps.push_back(s);
        props_.insert(props_.end(), s.props.begin(), s.props.end());
        ++step_;
        // props that are not needed any more once this glue has set
        const std::vector<double> set(glues_.size(), 1);
        if (!props_.empty() && stands(set, {})) props_.clear();
        for (size_t i = 0; i < props_.size() && props_.size() > 1;) {
            auto less = props_;
            less.erase(less.begin() + static_cast<std::ptrdiff_t>(i));
            if (stands(set, less)) props_ = less;
            else ++i;
        }
        for (size_t k = 0; k < steps.size(); ++k)
            for (auto& p : steps[k].props)
                if (p.until == 0 || p.until == kKept) {
                    const bool still = std::ranges::any_of(props_, [&](const Prop& q) {
                        return q.part == p.part && form::length(q.at - p.at) < 1e-12 && form::dot(q.push, p.push) > 0;
                    });
                    p.until = still ? kKept : steps.size() - 1;
                }
    }
    static void finish(std::vector<OrderStep>& steps) {
        for (auto& s : steps)
            for (auto& p : s.props)
                if (p.until == kKept) p.until = steps.size();
    }

    /// Whether what is there stands, upright and leaning a little to every side.
    bool stands(const std::vector<double>& share, const std::vector<Prop>& props, Balance* how = nullptr) const {
        constexpr double g = kGravity;
        std::vector<Rigid> parts;
        for (const size_t i : list()) parts.push_back({bodies_[i].mass, bodies_[i].centre});
        Statics statics(std::move(parts), supportsOf(share, props));
        Balance b = statics.under({0, 0, -g});
        if (b.stands && options_.lean > 0) {
            const double s = std::sin(options_.lean * std::numbers::pi / 180),
                         c = std::cos(options_.lean * std::numbers::pi / 180);
            for (int k = 0; k < kLeans && b.stands; ++k) {
                const double angle = 2 * std::numbers::pi * k / kLeans;
                b = statics.under(Vec3{std::cos(angle) * s, std::sin(angle) * s, -c} * g);
            }
        }
        if (how) *how = b;
        return b.stands;
    }
    std::vector<size_t> list() const {
        std::vector<size_t> out;
        for (size_t i = 0; i < there_.size(); ++i)
            if (there_[i]) out.push_back(i);
        return out;
    }
    void setThere(bool all) { std::fill(there_.begin(), there_.end(), all ? 1 : 0); }
    const std::vector<Prop>& props() const { return props_; }
    int madeSteps() const { return step_; }
    static constexpr size_t kKept = static_cast<size_t>(-2);

private:
    /// Of each glue: what of its strength it has. @param fresh of those that come with a step @param last of those of
    /// the step before
    std::vector<double> share(const OrderStep& s, double fresh, double last) const {
        std::vector<double> out(glues_.size(), 1);
        for (size_t g = 0; g < glues_.size(); ++g)
            if (age_[g] == step_ - 1) out[g] = last;
        for (const size_t g : s.glues) out[g] = fresh;
        return out;
    }
    bool mayHold(const std::vector<size_t>& parts) const {
        return std::ranges::none_of(options_.untouched, [&](size_t p) { return isNew(p, parts); });
    }
    static bool isNew(size_t part, const std::vector<size_t>& parts) {
        return std::find(parts.begin(), parts.end(), part) != parts.end();
    }

    std::vector<Support> supportsOf(const std::vector<double>& share, const std::vector<Prop>& props) const {
        const auto parts = list();
        std::vector<size_t> number(bodies_.size(), parts.size());
        for (size_t i = 0; i < parts.size(); ++i) number[parts[i]] = i;
        std::vector<Support> out;
        for (const auto& c : contacts_) {
            if (!there_[c.a] || (c.b != kTable && !there_[c.b])) continue;
            double glue = 0;
            if (c.b != kTable)
                for (size_t g = 0; g < glues_.size(); ++g)
                    if (glues_[g].between(c.a, c.b)) glue += glues_[g].strength * share[g];
            const double rubs = c.friction >= 0 ? c.friction : options_.friction;
            for (const auto& t : c.touches) {
                Vec3 at = t.at;
                for (const auto& axis : {c.along, c.across}) {
                    const double d = form::dot(t.place - at, axis),
                                 most = std::min(options_.shortBy, 0.9 * std::abs(d));
                    at += axis * std::clamp(d, -most, most);
                }
                // what is glued does not need to rub; where surfaces only cross nothing presses
                out.push_back({number[c.a], c.b == kTable ? parts.size() : number[c.b], at, t.normal,
                               !t.pushes  ? -1
                               : glue > 0 ? 0
                                          : rubs,
                               glue * t.share});
            }
        }
        for (const auto& p : props)
            if (there_[p.part])
                out.push_back({number[p.part], parts.size(), p.at, p.push, p.below() ? kPropRubs : 0, 0});
        return out;
    }

    /// The fewest things put under or against these parts that let them stand with their glue set.
    std::optional<std::vector<Prop>> propsFor(const std::vector<size_t>& parts,
                                              const std::vector<double>& share) const {
        std::vector<Prop> candidates;
        for (const size_t p : parts) addCandidates(p, candidates);
        auto with = [&](const std::vector<Prop>& some) {
            std::vector<Prop> all = props_;
            all.insert(all.end(), some.begin(), some.end());
            return stands(share, all);
        };
        for (const auto& c : candidates)  // one from below is least trouble
            if (c.below() && with({c})) return std::vector<Prop>{c};
        std::vector<Prop> kept = candidates;
        if (kept.empty() || !with(kept)) return std::nullopt;
        for (size_t i = kept.size(); i-- > 0 && !stop_.stop_requested();) {  // those against it go before those below
            auto less = kept;
            less.erase(less.begin() + static_cast<std::ptrdiff_t>(i));
            if (with(less)) kept = std::move(less);
        }
        if (kept.size() > kMostProps + 1) return std::nullopt;
        return kept;
    }

    /// Places of a part that something could stand under or lean against: free of other parts.
    void addCandidates(size_t part, std::vector<Prop>& out) const {
        const auto& m = bodies_[part].solid;
        const auto& b = boxes_[part];
        std::vector<Prop> found;
        const auto offer = [&](const Vec3& at, const Vec3& push) {
            if (at.z < table_ + 2e-3 && push.z > 0.7) return;  // it stands there already
            for (size_t other = 0; other < bodies_.size(); ++other) {
                if (other == part || !there_[other]) continue;
                const auto& o = boxes_[other];
                const bool over =
                    at.x > o.low.x - 1e-3 && at.x < o.high.x + 1e-3 && at.y > o.low.y - 1e-3 && at.y < o.high.y + 1e-3;
                if (push.z > 0.7 ? over && o.low.z < at.z : over && at.z > o.low.z && at.z < o.high.z) return;
            }
            found.push_back({part, at, push, at.z - table_, 0});
        };
        // from below: of its downward faces the outermost places and the middle one
        std::vector<Vec3> down;
        for (const auto& t : m.triangles) {
            const Vec3 p[3]{m.points[size_t(t[0])], m.points[size_t(t[1])], m.points[size_t(t[2])]};
            const Vec3 n = form::unit(form::cross(p[1] - p[0], p[2] - p[0]));
            if (n.z < -0.5)
                for (const auto& q : p) down.push_back(q);
        }
        if (!down.empty()) {
            Vec3 middle;
            for (const auto& q : down) middle += q * (1.0 / double(down.size()));
            for (int k = 0; k < 8; ++k) {
                const double angle = 0.25 * std::numbers::pi * k;
                const auto best = std::max_element(down.begin(), down.end(), [&](const Vec3& x, const Vec3& y) {
                    return x.x * std::cos(angle) + x.y * std::sin(angle) <
                           y.x * std::cos(angle) + y.y * std::sin(angle);
                });
                const Vec3 at = *best + (middle - *best) * 0.15;
                offer({at.x, at.y, best->z}, {0, 0, 1});
            }
            const auto near = std::min_element(down.begin(), down.end(), [&](const Vec3& x, const Vec3& y) {
                return form::length(x - middle) < form::length(y - middle);
            });
            offer(*near, {0, 0, 1});
        }
        // against its broad sides, at two thirds of its height
        const double z = b.low.z + kPropAt * (b.high.z - b.low.z);
        for (int k = 0; k < 8; ++k) {
            const double angle = 0.25 * std::numbers::pi * k;
            const Vec3 way{std::cos(angle), std::sin(angle), 0};
            const Vec3* best = nullptr;
            double most = -1e300;
            std::vector<Vec3> level;
            for (const auto& t : m.triangles) {
                const Vec3 p[3]{m.points[size_t(t[0])], m.points[size_t(t[1])], m.points[size_t(t[2])]};
                if (form::dot(form::unit(form::cross(p[1] - p[0], p[2] - p[0])), way) < 0.92) continue;
                for (size_t i = 0; i < 3; ++i) {  // where its edges pass that height
                    const Vec3 &q = p[i], &r = p[(i + 1) % 3];
                    if ((q.z - z) * (r.z - z) >= 0) continue;
                    level.push_back(q + (r - q) * ((z - q.z) / (r.z - q.z)));
                }
            }
            Vec3 middle;
            for (const auto& q : level) middle += q * (1.0 / double(std::max<size_t>(1, level.size())));
            for (const auto& q : level)
                if (const double d = -form::length(q - middle); d > most) most = d, best = &q;
            if (best) offer(*best, way * -1);
        }
        out.insert(out.end(), found.begin(), found.end());
    }

    const std::vector<Body>& bodies_;
    const std::vector<Contact>& contacts_;
    const std::vector<Glue>& glues_;
    const OrderOptions& options_;
    std::stop_token stop_;
    WaysIn ways_;
    std::vector<form::Box> boxes_;
    double table_ = 0;
    std::vector<char> there_;
    std::vector<int> age_;  // of each glue: the step it came with
    std::vector<Prop> props_;
    int step_ = 0;
};

/// Says what moves where something does not stand.
void tellTip(Order& out, const Builder& builder, const Balance& b, const std::vector<Body>& bodies,
             const std::vector<Contact>& contacts) {
    const auto parts = builder.list();
    if (parts.empty()) return;
    size_t worst = 0;
    for (size_t i = 1; i < parts.size(); ++i)
        if (b.missingOf[i] > b.missingOf[worst] + 1e-12) worst = i;
    out.tips = parts[worst];
    // the whole weight over the foot: how far outside, and over which edge
    double mass = 0;
    Vec3 centre;
    for (const size_t i : parts) {
        mass += bodies[i].mass;
        centre += bodies[i].centre * bodies[i].mass;
    }
    centre = centre * (1 / std::max(mass, 1e-12));
    std::vector<std::array<double, 2>> foot;
    double z = 0;
    for (const auto& c : contacts)
        if (c.b == kTable && builder.isThere(c.a))
            for (const auto& t : c.touches) {
                foot.push_back({t.at.x, t.at.y});
                z = t.at.z;
            }
    if (foot.size() < 2) {
        Vec3 axis = b.turning[worst];
        axis.z = 0;
        out.tipsTo = form::unit(form::cross(axis, {0, 0, 1}) * -1);
        return;
    }
    double middle[2]{};
    for (const auto& p : foot) middle[0] += p[0] / double(foot.size()), middle[1] += p[1] / double(foot.size());
    double most = -1e300;
    for (size_t i = 0; i < foot.size(); ++i)
        for (size_t j = 0; j < foot.size(); ++j) {
            if (i == j) continue;
            const double ex = foot[j][0] - foot[i][0], ey = foot[j][1] - foot[i][1], e = std::hypot(ex, ey);
            if (e < 1e-9) continue;
            double nx = ey / e, ny = -ex / e;
            if (nx * (middle[0] - foot[i][0]) + ny * (middle[1] - foot[i][1]) > 1e-12) continue;  // outward only
            bool edge = true;
            for (const auto& p : foot) edge = edge && nx * (p[0] - foot[i][0]) + ny * (p[1] - foot[i][1]) < 1e-9;
            const double d = nx * (centre.x - foot[i][0]) + ny * (centre.y - foot[i][1]);
            if (edge && d > most) {
                most = d;
                out.tipsOver = {0.5 * (foot[i][0] + foot[j][0]), 0.5 * (foot[i][1] + foot[j][1]), z};
                out.tipsTo = {nx, ny, 0};
            }
        }
    out.beyond = std::max(0.0, most);
}

/// The finished shape first: what never stands is said, whatever its order.
void testWhole(Order& out, Builder& builder, const std::vector<Body>& bodies, const std::vector<Contact>& contacts,
               const std::vector<Glue>& glues) {
    builder.setThere(true);
    Balance b;
    out.stands = builder.stands(std::vector<double>(glues.size(), 1), {}, &b);
    if (!out.stands) tellTip(out, builder, b, bodies, contacts);
    builder.setThere(false);
}

/// Parts in the order that goes first where all else is equal: low, heavy, decorations last.
std::vector<size_t> usualOrder(const std::vector<Body>& bodies, const Builder& builder) {
    std::vector<size_t> order(bodies.size());
    std::iota(order.begin(), order.end(), 0);
    std::stable_sort(order.begin(), order.end(), [&](size_t x, size_t y) {
        if (bodies[x].decoration != bodies[y].decoration) return bodies[y].decoration;
        const double low = builder.box(x).low.z - builder.box(y).low.z;
        if (std::abs(low) > 1e-3) return low < 0;
        return bodies[x].mass > bodies[y].mass * (1 + 1e-9);
    });
    return order;
}

Order greedy(const std::vector<Body>& bodies, const std::vector<Contact>& contacts, const std::vector<Glue>& glues,
             const std::vector<std::vector<size_t>>& units, const OrderOptions& options, std::stop_token stop) {
    Order out;
    Builder builder(bodies, contacts, glues, options, stop);
    testWhole(out, builder, bodies, contacts, glues);
    std::vector<size_t> rank(bodies.size());
    const auto usual = usualOrder(bodies, builder);
    for (size_t i = 0; i < usual.size(); ++i) rank[usual[i]] = i;
    std::vector<std::vector<size_t>> left = units;
    std::stable_sort(left.begin(), left.end(), [&](const auto& x, const auto& y) {
        const auto first = [&](const std::vector<size_t>& u) {
            size_t r = bodies.size();
            for (const size_t p : u) r = std::min(r, rank[p]);
            return r;
        };
        return first(x) < first(y);
    });
    while (!left.empty() && !stop.stop_requested()) {
        std::optional<OrderStep> best;
        size_t which = 0;
        for (const auto& [inTurn, withProps] : {std::pair{true, false}, {false, false}, {true, true}, {false, true}}) {
            for (size_t i = 0; i < left.size(); ++i) {
                if (!builder.reaches(left[i]) || builder.waitsForInside(left[i]) ||
                    (inTurn && builder.waitsForBelow(left[i])))
                    continue;
                auto s = builder.tried(left[i], withProps);
                if (!s || (best && costOf(*s, glues) >= costOf(*best, glues) - 1e-9)) continue;
                best = std::move(s);
                which = i;
                if (costOf(*best, glues) == 0) break;
            }
            if (best) break;
        }
        if (!best) {  // what is left touches nothing or falls
            out.stuck = out.steps.size();
            OrderStep s;
            s.parts = left.front();
            s.possible = false;
            if (out.tips == kTable) out.tips = left.front().front();
            out.steps.push_back(s);
            break;
        }
        builder.place(*best, out.steps);
        left.erase(left.begin() + static_cast<std::ptrdiff_t>(which));
    }
    Builder::finish(out.steps);
    return out;
}

double costOf(const Order& o, const std::vector<Glue>& glues) {
    double cost = o.stuck == kTable ? 0 : 1000;
    for (const auto& s : o.steps) cost += costOf(s, glues);
    return cost;
}

/// Bodies turned so that a side is down, on the table at 0, with their contacts turned too.
struct Turned {
    std::vector<Body> bodies;
    std::vector<Contact> contacts;
};
Turned turnedTo(const std::vector<Body>& bodies, const std::vector<Contact>& contacts, Side side) {
    Turned out;
    form::Pose pose = assembly::turnedTo(side);
    double low = 1e300;
    for (const auto& b : bodies)
        for (const auto& p : b.solid.points) low = std::min(low, pose(p).z);
    pose.at = {0, 0, -low};
    for (const auto& b : bodies) {
        Body t = b;
        t.solid = form::placed(b.solid, pose);
        t.centre = pose(b.centre);
        out.bodies.push_back(std::move(t));
    }
    const auto way = [&](const Vec3& v) { return pose.x * v.x + pose.y * v.y + pose.z * v.z; };
    for (const auto& c : contacts) {
        if (c.b == kTable) continue;
        Contact t = c;
        t.middle = pose(c.middle);
        t.along = way(c.along);
        t.across = way(c.across);
        for (auto& touch : t.touches)
            touch = {pose(touch.at), way(touch.normal), touch.share, pose(touch.place), touch.pushes};
        out.contacts.push_back(std::move(t));
    }
    for (const auto& c : contactsOnTable(out.bodies)) out.contacts.push_back(c);
    return out;
}

std::vector<std::vector<size_t>> single(size_t n) {
    std::vector<std::vector<size_t>> out(n);
    for (size_t i = 0; i < n; ++i) out[i] = {i};
    return out;
}

/// The order with the least trouble over the sides it can be built on.
Order best(const std::vector<Body>& bodies, const std::vector<Contact>& contacts, const std::vector<Glue>& glues,
           const std::vector<std::vector<size_t>>& units, const OrderOptions& options, std::stop_token stop) {
    Order out = greedy(bodies, contacts, glues, units, options, stop);
    // something that leans against a wall until the next is there is no reason to lay it on its side
    const auto troubled = [&](const Order& o) {
        if (o.stuck != kTable) return true;
        for (size_t k = 0; k < o.steps.size(); ++k)
            for (const auto& p : o.steps[k].props)
                if (p.below() || p.until > k + 2) return true;
        return false;
    };
    if (!options.turned || bodies.size() < 2 || !troubled(out)) return out;
    for (const Side side : {Side::UpsideDown, Side::OnLeft, Side::OnRight, Side::OnFront, Side::OnBack}) {
        if (stop.stop_requested()) break;
        const Turned t = turnedTo(bodies, contacts, side);
        Order other = greedy(t.bodies, t.contacts, glues, units, options, stop);
        const double turning = side == Side::UpsideDown ? 2 : 5;  // what it costs to turn it over when it has set
        if (!other.stands || costOf(other, glues) + turning >= costOf(out, glues)) continue;
        other.side = side;
        const bool stood = out.stands;
        const Order upright = std::move(out);
        out = std::move(other);
        out.stands = stood;
        out.tips = upright.stands ? kTable : upright.tips;
        out.tipsOver = upright.tipsOver;
        out.tipsTo = upright.tipsTo;
        out.beyond = upright.beyond;
    }
    return out;
}

/// Parts behind a joint that is the only way to them, off the table: they can be put together beside the rest.
std::vector<std::vector<size_t>> behindOneJoint(size_t n, const std::vector<Contact>& contacts) {
    std::vector<std::vector<size_t>> out;
    for (const auto& bridge : contacts) {
        if (bridge.b == kTable) continue;
        for (const size_t from : {bridge.a, bridge.b}) {
            std::vector<size_t> side{from};
            std::set<size_t> in{from};
            bool table = false;
            for (size_t i = 0; i < side.size(); ++i)
                for (const auto& c : contacts) {
                    if (c.a != side[i] && c.b != side[i]) continue;
                    if (c.b == kTable) {
                        table = true;
                        continue;
                    }
                    if ((c.a == bridge.a && c.b == bridge.b)) continue;
                    const size_t other = c.a == side[i] ? c.b : c.a;
                    if (in.insert(other).second) side.push_back(other);
                }
            const size_t across = from == bridge.a ? bridge.b : bridge.a;
            if (table || in.contains(across) || side.size() < 2 || side.size() + 1 >= n) continue;
            std::sort(side.begin(), side.end());
            out.push_back(std::move(side));
        }
    }
    std::sort(out.begin(), out.end(),
              [](const auto& x, const auto& y) { return x.size() != y.size() ? x.size() > y.size() : x < y; });
    out.erase(std::unique(out.begin(), out.end()), out.end());
    return out;
}

}  // namespace

form::Pose turnedTo(Side side) {
    switch (side) {
        case Side::Upright:
            return {};
        case Side::UpsideDown:
            return {{1, 0, 0}, {0, -1, 0}, {0, 0, -1}, {}};
        case Side::OnLeft:  // its left side (−x) goes down
            return {{0, 0, 1}, {0, 1, 0}, {-1, 0, 0}, {}};
        case Side::OnRight:
            return {{0, 0, -1}, {0, 1, 0}, {1, 0, 0}, {}};
        case Side::OnFront:  // its front (−y) goes down
            return {{1, 0, 0}, {0, 0, 1}, {0, -1, 0}, {}};
        case Side::OnBack:
            return {{1, 0, 0}, {0, 0, -1}, {0, 1, 0}, {}};
    }
    return {};
}

Order orderOf(const std::vector<Body>& bodies, const std::vector<Contact>& contacts, const std::vector<Glue>& glues,
              const OrderOptions& options, std::stop_token stop) {
    auto units = single(bodies.size());
    std::vector<Order> groups;
    if (options.groups)
        for (const auto& side : behindOneJoint(bodies.size(), contacts)) {
            if (stop.stop_requested()) break;
            const bool taken = std::ranges::any_of(side, [&](size_t p) {
                return std::ranges::none_of(units, [&](const auto& u) { return u == std::vector<size_t>{p}; });
            });
            if (taken) continue;
            std::vector<Body> own;
            std::vector<size_t> number(bodies.size(), kTable);
            for (const size_t p : side) {
                number[p] = own.size();
                own.push_back(bodies[p]);
            }
            std::vector<Contact> inside;
            for (auto c : contacts)
                if (c.b != kTable && number[c.a] != kTable && number[c.b] != kTable) {
                    c.a = number[c.a];
                    c.b = number[c.b];
                    inside.push_back(std::move(c));
                }
            std::vector<Glue> glued;
            for (auto g : glues)
                if (number[g.a] != kTable && number[g.b] != kTable) {
                    g.a = number[g.a];
                    g.b = number[g.b];
                    glued.push_back(g);
                }
            const Turned t = turnedTo(own, inside, Side::Upright);
            OrderOptions within = options;
            within.untouched.clear();
            for (const size_t p : options.untouched)
                if (number[p] != kTable) within.untouched.push_back(number[p]);
            Order alone = best(t.bodies, t.contacts, glued, single(own.size()), within, stop);
            const bool easy =
                alone.stands && alone.stuck == kTable &&
                std::ranges::none_of(alone.steps, [](const auto& s) { return s.way == OrderStep::Way::Prop; });
            if (!easy) continue;
            for (auto& s : alone.steps) {
                for (auto& p : s.parts) p = side[p];
                for (auto& g : s.glues)  // back to the numbers of all
                    for (size_t k = 0; k < glues.size(); ++k)
                        if (glues[k].a == side[glued[g].a] && glues[k].b == side[glued[g].b]) {
                            g = k;
                            break;
                        }
            }
            std::erase_if(units, [&](const auto& u) { return std::ranges::find(side, u.front()) != side.end(); });
            units.push_back(side);
            groups.push_back(std::move(alone));
        }
    Order out = best(bodies, contacts, glues, units, options, stop);
    out.groups = std::move(groups);
    return out;
}

Order judge(const std::vector<size_t>& wanted, const std::vector<Body>& bodies, const std::vector<Contact>& contacts,
            const std::vector<Glue>& glues, const OrderOptions& options, std::stop_token stop) {
    Order out;
    Builder builder(bodies, contacts, glues, options, stop);
    testWhole(out, builder, bodies, contacts, glues);
    for (const size_t part : wanted) {
        if (stop.stop_requested()) break;
        const bool reaches = builder.reaches({part});
        const size_t shut = builder.shutBy({part});
        auto s = reaches && shut == kTable ? builder.tried({part}, true) : std::nullopt;
        if (!s) {
            out.stuck = out.steps.size();
            out.tips = part;
            if (reaches && shut == kTable)
                builder.with({part}, [&](const Balance& b) { tellTip(out, builder, b, bodies, contacts); });
            OrderStep no;
            no.parts = {part};
            no.possible = false;
            no.touches = reaches;
            no.shutBy = shut;
            out.steps.push_back(no);
            break;
        }
        builder.place(*s, out.steps);
    }
    Builder::finish(out.steps);
    return out;
}

}  // namespace uovo::assembly
