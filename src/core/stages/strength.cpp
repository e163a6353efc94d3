#include "core/quantity/decimal.h"
#include "core/stages/strength_wall.h"

#include <fmt/format.h>

#include <algorithm>
#include <chrono>
#include <cmath>

#include "core/form/joint.h"
#include "core/quantity/catalogue.h"
#include "core/quantity/side_by_side.h"
#include "core/shell/balance.h"
#include "core/shell/buckling.h"
#include "core/temper/heat_balance.h"

namespace uovo {
namespace {

using form::Vec3;
using shell::Freedoms;

constexpr double kNinety = 3.289707253902945;  // width of the 5–95 % range in standard deviations
constexpr double kSeen = 5e-5;                 // m: a smaller sag is not worth a word
constexpr double kWeakMargin = 1.5, kEasyMargin = 8;
constexpr double kFew = 0.02,
                 kSome = 0.1;  // share that cracks, averaged over what is not known: hardly any; now and then

/// Judged by its energy: whether it breaks is what is asked, not feared.
bool isBlow(const std::string& id) { return id == "tap" || id == "blow" || id == "drop"; }

std::string ratio(double v) { return v >= 10 ? fmt::format("{:.0f}", v) : decimal(v, 1); }

class Reckoner {
public:
    Reckoner(const Piece& piece, const Plan& plan, const material::Library& lib, const PieceAnswers& a,
             StrengthWall wall, const ChocolateStrength& chocolate)
        : piece_(piece), plan_(plan), lib_(lib), a_(a), w_(std::move(wall)), chocolate_(chocolate) {}

    tl::expected<void, Problem> factor(std::shared_ptr<const shell::Structure> structure, std::stop_token stop) {
        // what is on it is carried as if its chocolate were heavier by so much
        const double heavier = 1 + putOn(piece_, a_) / std::max(1e-9, a_.made->mass);
        w_.model.material = {chocolate_.young, lib_.strong("poisson"), a_.coating.densitySolid * heavier};
        auto built = shell::System::build(w_.model, shell::sixFreedoms(w_.model, w_.ties), w_.ties, {},
                                          std::move(structure), stop);
        if (!built) return tl::unexpected(built.error());
        system_.emplace(std::move(*built));
        faces_ = shell::faces(w_.model);
        return {};
    }
    std::shared_ptr<const shell::Structure> structure() const { return system_->structure(); }

    struct Job {
        LoadCase words;
        Freedoms load;
        double share = 1;   // of the strength at 20 °C
        double softer = 1;  // after its hours
        double energy = 1;  // J of a blow for each unit of its load
        double times = 1;   // of the strength, for how long it lasts and how early it comes
        double spread = 0;  // of the logarithm of its load: its range
        bool buckling = false;
    };

    std::vector<LoadCase> cases(bool buckling, std::stop_token stop) {
        std::vector<Job> jobs = all();
        std::vector<Freedoms> loads;
        for (const auto& j : jobs) loads.push_back(j.load);
        const auto shifts = system_->solve(loads);
        std::vector<LoadCase> out(jobs.size());
        const auto judge = [&](size_t first) {
            for (size_t i = first; i < jobs.size() && !stop.stop_requested(); i += 2)
                out[i] = judged(jobs[i], shifts[i]);
        };
        sideBySide([&] { judge(0); }, [&] { judge(1); });
        if (buckling)  // one after the other: they solve with the same factor
            for (size_t i = 0; i < jobs.size() && !stop.stop_requested(); ++i)
                if (jobs[i].buckling) giveWay(out[i], jobs[i], shifts[i], stop);
        for (size_t i = 0; i < out.size();) {  // a blow where it does most: one of a kind is told
            const auto same = [&](const LoadCase& c) { return c.id == out[i].id && c.margin < out[i].margin; };
            const bool weaker = isBlow(out[i].id) &&
                                (std::any_of(out.begin(), out.end(), same) || (i > 0 && out[i - 1].id == out[i].id));
            if (weaker) {
                out.erase(out.begin() + static_cast<std::ptrdiff_t>(i));
                jobs.erase(jobs.begin() + static_cast<std::ptrdiff_t>(i));
            } else {
                ++i;
            }
        }
        for (size_t i = 0; i < out.size(); ++i) speak(out[i], jobs[i].energy);
        return out;
    }

private:
    double own(const std::string& id) const {
        const auto it = piece_.loads.find(id);
        return it != piece_.loads.end() ? it->second.value : usualLoad(lib_, id);
    }
    Measure measure(const std::string& id) const {
        const auto it = piece_.loads.find(id);
        return it != piece_.loads.end() ? it->second : Measure(usualLoad(lib_, id));
    }
    bool loose() const { return piece_.fill() && !fillsPerishable(piece_, plan_); }
    double fillingMass() const {
        const Filling* f = plan_.fillingOf(piece_);
        if (f && f->density > 0) return w_.fill * f->density;
        return w_.fill * (loose() ? lib_.strong("sweetsDensity") : lib_.strong("fillingDensity"));
    }
    /// What the table, or the hand, gives back.
    void onFoot(Freedoms& load) {
        if (w_.stands && w_.feet.size() >= 3) {
            if (!foot_) {
                std::vector<shell::Pad> pads;
                for (const int i : w_.feet)
                    pads.push_back(
                        shell::pad(w_.model, w_.model.points[static_cast<size_t>(i)], lib_.strong("footPad")));
                foot_.emplace(*system_, std::move(pads));
            }
            const auto contact = foot_->rest(load);
            for (size_t i = 0; contact.stands && i < contact.force.size(); ++i)
                shell::addForce(foot_->candidates()[i], {0, 0, contact.force[i]}, load);
        }
        shell::balance(w_.model, w_.hold,
                       load);  // a hand; on a foot nothing is left to balance but rounding and what slides
    }
    /// Weight of the wall, and what it holds.
    Freedoms carried(double times) const {
        Freedoms f = shell::noLoad(w_.model);
        shell::addBody(w_.model, {0, 0, -kGravity * times}, f);
        if (!(w_.fill > 0)) return f;
        const double weight = fillingMass() * kGravity * times;
        if (std::isfinite(w_.level) && w_.level > w_.low) {
            Freedoms liquid = shell::noLoad(w_.model);
            if (loose())
                shell::addGrains(w_.model,
                                 {lib_.strong("sweetsDensity"), w_.level, across(), lib_.strong("sweetsFriction"),
                                  lib_.strong("sweetsAside")},
                                 liquid, w_.wet);
            else shell::addLiquid(w_.model, 1000, w_.level, true, liquid, w_.wet);
            const double lifts = -shell::resultant(w_.model, liquid).force.z;
            if (lifts > 0)  // facets and the wall's middle are not the former: its weight is what is poured in
                for (size_t i = 0; i < f.size(); ++i) f[i] += liquid[i] * weight / lifts;
        } else {  // closed: what lies in the lower third presses outwards
            const double to = w_.low + 0.35 * (w_.high - w_.low);
            Freedoms heap = shell::noLoad(w_.model);
            shell::addLiquid(w_.model, 1000, to, true, heap);
            const double lifts = -shell::resultant(w_.model, heap).force.z;
            if (lifts > 0)
                for (size_t i = 0; i < f.size(); ++i) f[i] += heap[i] * weight / lifts;
        }
        return f;
    }
    /// Width of what is filled in: four times its area over its edge, from volume and depth.
    double across() const {
        const double depth = std::max(1e-3, w_.level - w_.low);
        return 2 * std::sqrt(w_.fill / (M_PI * depth));
    }
    /// How much softer it is after some hours: E falls by up to `creepWarm` above 24 °C, not at 20 °C.
    double crept(double hours) const {
        const double warm = std::clamp((plan_.kitchen.room.value - 20) / 4, 0.0, 1.0);
        return 1 + (lib_.strong("creepWarm") - 1) * warm * -std::expm1(-hours / lib_.strong("creepHours"));
    }
    /// Place on the rim (or half-way up a closed piece) at an angle, and the way in.
    Vec3 grip(double angle, double share = 0.5) const {
        const Vec3 way{std::cos(angle), std::sin(angle), 0};
        const double height = w_.low + share * (w_.high - w_.low);
        Vec3 best{0, 0, height};
        double most = -1e300;
        const auto consider = [&](int i, double malus) {
            const auto& p = w_.model.points[static_cast<size_t>(i)];
            const double along = p.x * way.x + p.y * way.y - std::abs(p.x * way.y - p.y * way.x) - malus;
            if (along > most) {
                most = along;
                best = p;
            }
        };
        if (w_.open)
            for (const int i : w_.rim) consider(i, 0);
        else
            for (size_t i = 0; i < w_.model.points.size(); ++i)
                consider(static_cast<int>(i), 4 * std::abs(w_.model.points[i].z - height));
        return best;
    }
    /// Place on the wall at a share of its height, at an angle.
    Vec3 around(double angle, double share) const {
        const double height = w_.low + share * (w_.high - w_.low);
        Vec3 best{0, 0, height};
        double most = -1e300;
        for (const auto& p : w_.model.points) {
            const double along = p.x * std::cos(angle) + p.y * std::sin(angle) -
                                 std::abs(p.x * std::sin(angle) - p.y * std::cos(angle)) - 4 * std::abs(p.z - height);
            if (along > most) {
                most = along;
                best = p;
            }
        }
        return best;
    }
    void push(Job& j, const Vec3& at, double radius, const Vec3& force) const {
        shell::addForce(shell::pad(w_.model, at, radius), force, j.load);
        j.words.arrows.push_back({at, force});
    }
    /// Each corner of the rim with its share of the rim's length, m.
    struct RimCorner {
        int corner;
        double length;
    };
    std::vector<RimCorner> rimLine() const {
        const auto at = [&](int i) -> const Vec3& { return w_.model.points[static_cast<size_t>(i)]; };
        std::vector<int> ring = w_.rim;
        std::sort(ring.begin(), ring.end(),
                  [&](int a, int b) { return std::atan2(at(a).y, at(a).x) < std::atan2(at(b).y, at(b).x); });
        std::vector<RimCorner> out;
        for (size_t k = 0; k < ring.size(); ++k) {
            const Vec3 before = at(ring[(k + ring.size() - 1) % ring.size()]), after = at(ring[(k + 1) % ring.size()]);
            out.push_back({ring[k], 0.5 * (form::length(at(ring[k]) - before) + form::length(after - at(ring[k])))});
        }
        return out;
    }
    /// Pulls a quarter of the rim inwards, strongest in its middle: `most` cos² N a metre (outwards below 0). @returns
    /// the whole pull
    Vec3 quarter(Job& j, const std::vector<RimCorner>& line, double most) const {
        Vec3 sum;
        const Vec3 towards = grip(0.3);
        const double from = std::atan2(towards.y, towards.x);
        for (const auto& r : line) {
            const Vec3& at = w_.model.points[static_cast<size_t>(r.corner)];
            const double angle = std::remainder(std::atan2(at.y, at.x) - from, 2 * M_PI);
            if (std::abs(angle) > M_PI / 4) continue;
            const Vec3 pull =
                form::unit(Vec3{-towards.x, -towards.y, 0}) * (most * std::pow(std::cos(2 * angle), 2) * r.length);
            shell::addForce({{r.corner, 1.0}}, pull, j.load);
            sum += pull;
        }
        return sum;
    }
    /// @param seconds it lasts @param range name of the load's constant, whose range counts; null: its weight alone
    Job job(const char* id, const char* title, double celsius, Freedoms load, double seconds,
            const char* range = nullptr) const {
        Job j;
        j.words.id = id;
        j.words.title = title;
        j.load = std::move(load);
        j.share = firmness(lib_, celsius + softer());
        j.times = quickness(lib_, seconds);
        j.softer = 1 / std::max(1.0, j.times);  // stiffer only where it is quicker than a slow pull
        if (range)
            if (const auto& c = lib_.strength.at(range); c.low > 0) j.spread = std::log(c.high / c.low) / kNinety;
        return j;
    }
    /// K that untempered chocolate, or chocolate with oil, is as if warmer.
    double softer() const {
        const auto& c = a_.coating;
        const double oil = piece_.thinner == material::Thinner::VegetableOil ? piece_.thinnerShare : 0;
        return (!c.tempered && !c.compound ? lib_.strong("untemperedWarmer") : 0) + oil * lib_.strong("oilWarmer");
    }
    /// Of the strength when it is taken out before it is set.
    double early() const {
        const CoatTimes* t = a_.made->wall.get();
        return t ? std::pow(std::min(1.0, t->crystalsOut / lib_.strong("earlyFull")), 2) : 1;
    }
    /// A load that stays for hours.
    void lasts(Job& j) const {
        changeable(j, "h");
        j.times = quickness(lib_, 3600 * std::max(0.01, j.words.load.value));
        j.softer = crept(j.words.load.value);
    }
    double emptyWeight() const {
        Freedoms f = shell::noLoad(w_.model);
        shell::addBody(w_.model, {0, 0, -kGravity}, f);
        return -shell::resultant(w_.model, f).force.z;
    }
    std::vector<int> lowerHalf() const {
        std::vector<int> out;
        for (size_t i = 0; i < w_.model.points.size(); ++i)
            if (w_.model.points[i].z < 0.5 * (w_.low + w_.high)) out.push_back(static_cast<int>(i));
        return out;
    }
    void changeable(Job& j, const char* unit) const {
        j.words.load = measure(j.words.id);
        j.words.unit = unit;
    }

    /// Long because it is a table: one entry for each thing that can happen to a piece.
    std::vector<Job> all() {
        std::vector<Job> out;
        const auto& m = w_.model;
        const double room = plan_.kitchen.room.value, finger = lib_.strong("fingerPad"), palm = lib_.strong("palmPad");
        const auto place = piece_.coats().empty() ? coat::Place::Fridge : piece_.coats().back().place;
        const double cold = std::min(room, place == coat::Place::Table
                                               ? room
                                               : plan_.kitchen.fridge.value + 4);  // it warms a little in the hand
        const auto& how = piece_.handling;
        const double lifting = lib_.strong("secondsLift");
        if (w_.open && w_.rimUp) {
            const bool balloon = piece_.overBalloon();
            const auto line = rimLine();
            {
                Job j = job("peel", balloon ? tr("Balloon peeled off slowly") : tr("Taken out of its mold"), cold,
                            shell::noLoad(m), lib_.strong("secondsPeel"), "peelLine");
                changeable(j, "N/m");
                j.times *= early();
                const double most = own("peel") * (balloon && !how.oil ? lib_.strong("peelDry") : 1);
                j.words.arrows.push_back({grip(0.3), quarter(j, line, balloon ? most : -most)});
                shell::balance(m, lowerHalf(), j.load);
                j.words.chosen = !balloon || how.release == Handling::Release::Slowly;
                j.words.group = "release";
                out.push_back(std::move(j));
            }
            if (balloon) {
                Job j = job("at-once", tr("The balloon is let go at once"), cold, shell::noLoad(m),
                            lib_.strong("secondsBurst"), "burstLine");
                changeable(j, "N/m");
                j.times *= early();
                const Vec3 last = quarter(j, line, own("at-once"));  // it lets go on one side and tears at the other
                j.words.arrows.push_back({grip(0.3), last});
                shell::balance(m, lowerHalf(), j.load);
                j.words.chosen = how.release == Handling::Release::Burst;
                j.words.group = "release";
                out.push_back(std::move(j));
            }
        }
        if (!w_.compound) {
            double broadest = 0;
            for (const auto& p : m.points) broadest = std::max(broadest, std::hypot(p.x, p.y));
            const auto lift = liftOf(piece_, lib_, 2 * broadest, w_.open);
            const double press =
                std::max(lib_.strong("squeezeLeast"),
                         piece_.loads.contains("fingers") ? own("fingers") : lib_.strong("squeeze") * emptyWeight());
            const auto gripped = [&](const char* id, const char* title, bool chosen) {
                Job j = job(id, title, cold, shell::noLoad(m), lifting, "squeeze");
                j.words.chosen = chosen;
                j.words.group = "lift";
                return j;
            };
            {
                Job j = gripped("hand", tr("Lifted with a hand round it"), lift == Handling::Lift::Hand);
                for (const double angle :
                     {0.0, 0.85 * M_PI, M_PI, 1.15 * M_PI}) {  // a thumb, and fingers across from it
                    const Vec3 at = around(angle, 0.5);
                    push(j, at, palm, form::unit(Vec3{-at.x, -at.y, 0}) * (angle == 0 ? press : press / 3));
                }
                shell::balance(m, w_.hold, j.load);
                out.push_back(std::move(j));
            }
            {
                Job j =
                    gripped("fingers",
                            w_.open ? tr("Lifted with two fingers across its rim") : tr("Picked up with two fingers"),
                            lift == Handling::Lift::Fingers);
                for (const double angle : {0.0, M_PI}) {
                    const Vec3 at = grip(angle);
                    push(j, at, finger, form::unit(Vec3{-at.x, -at.y, 0}) * press);
                }
                shell::balance(m, w_.hold, j.load);
                j.words.load = Measure(press);
                j.words.unit = "N";
                out.push_back(std::move(j));
            }
            if (lift == Handling::Lift::Below) {
                Job j = gripped("below", tr("Lifted from below"), true);
                shell::addBody(m, {0, 0, -kGravity}, j.load);
                shell::balance(m, w_.hold, j.load);
                out.push_back(std::move(j));
            }
        }
        const bool filled = w_.fill > 0;
        if (!w_.hung) {
            Job j = job("stands",
                        !w_.stands ? tr("Held in a hand")
                        : filled   ? tr("Stands, filled")
                                   : tr("Stands by itself"),
                        room, carried(1), 1);
            const double weight = -shell::resultant(m, j.load).force.z;
            onFoot(j.load);
            j.words.arrows.push_back({{0, 0, w_.low}, {0, 0, weight}});
            j.buckling = true;
            lasts(j);
            out.push_back(std::move(j));
        }
        if (w_.open && w_.rimUp && filled) {
            Job j = job("rim", tr("Carried by its rim, filled"), room, carried(1), lifting);
            j.words.chosen = how.carry == Handling::Carry::Rim;
            j.words.group = "carry";
            const double weight = -shell::resultant(m, j.load).force.z;
            for (const double angle : {0.0, M_PI}) push(j, grip(angle), palm, {0, 0, 0.5 * weight});
            shell::balance(m, w_.feet, j.load);
            out.push_back(std::move(j));
        }
        if (!w_.hung) {
            Job j = job("bump", tr("A bump while it is carried"), room, carried(1 + own("bump")),
                        lib_.strong("secondsBump"), "bumpDown");
            const double weight = -shell::resultant(m, j.load).force.z / (1 + own("bump"));
            shell::addBody(m, {kGravity * lib_.strong("bumpAside"), 0, 0}, j.load);
            j.words.arrows.push_back(
                {{0, 0, 0.5 * (w_.low + w_.high)}, {weight * lib_.strong("bumpAside"), 0, -weight * own("bump")}});
            shell::balance(m, w_.hold, j.load);
            changeable(j, "g");
            out.push_back(std::move(j));
        }
        if (w_.open && w_.rimUp && own("on-top") > 0) {
            Job j = job("on-top", tr("Something stands on its rim"), room, carried(1), 30);
            const double each = own("on-top") * kGravity / double(w_.rim.size());
            for (const int i : w_.rim) j.load[6 * static_cast<size_t>(i) + 2] -= each;
            for (const double angle : {0.0, M_PI / 2, M_PI, 1.5 * M_PI})
                j.words.arrows.push_back({grip(angle), {0, 0, -0.25 * own("on-top") * kGravity}});
            onFoot(j.load);
            changeable(j, "kg");
            j.buckling = true;
            out.push_back(std::move(j));
        }
        if (w_.compound) {
            Job j = job("on-top", tr("Something stands on it"), room, carried(1), 30);
            double broadest = 0;
            for (const auto& p : m.points) broadest = std::max(broadest, std::hypot(p.x, p.y));
            Vec3 top{0, 0, -1e300};  // in its middle, not on something that sticks out
            for (const auto& p : m.points)
                if (std::hypot(p.x, p.y) > 0.3 * broadest) continue;
                else if (p.z > top.z + 1e-6 || (p.z > top.z - 1e-6 && std::hypot(p.x, p.y) < std::hypot(top.x, top.y)))
                    top = p;
            push(j, top, palm, {0, 0, -own("on-top") * kGravity});
            onFoot(j.load);
            changeable(j, "kg");
            j.buckling = true;
            if (own("on-top") > 0) out.push_back(std::move(j));
            if (form::hasHandle(piece_.shape)) {
                Job h = job("handle", tr("Carried by its handle"), room, carried(1), lifting);
                h.words.chosen = how.carry == Handling::Carry::Handle;
                h.words.group = "carry";
                push(h, top, palm, {0, 0, -shell::resultant(m, h.load).force.z});
                shell::balance(m, w_.hold, h.load);
                out.push_back(std::move(h));
            }
        } else if (!w_.open) {
            if (w_.hung) {
                Job j = job("hangs", tr("Hangs from its cord"), room, carried(1), 1);
                const double weight = -shell::resultant(m, j.load).force.z;
                const bool through = form::choice(piece_.shape, "cord") == "cord through from the base";
                push(j, {0, 0, through ? w_.low : w_.high}, form::figure(piece_.shape, "card") / 2, {0, 0, weight});
                shell::balance(m, everywhere(), j.load);
                lasts(j);
                out.push_back(std::move(j));
            }
            for (const std::string id : {"tap", "blow", "drop"}) {
                const bool drop = id == "drop";
                for (const bool pole :
                     {false, true}) {  // beside the seam, where one strikes, and on the pole: the weaker counts
                    Job j = job(id.c_str(),
                                id == "tap"    ? tr("A child's tap")
                                : id == "blow" ? tr("A good blow")
                                               : tr("Set down hard"),
                                room, shell::noLoad(m), lib_.strong("secondsBlow"),
                                id == "tap"    ? "tap"
                                : id == "blow" ? "blow"
                                               : "dropCm");
                    const Vec3 at = drop   ? (pole ? Vec3{0, 0, w_.low} : around(0, 0.1))
                                    : pole ? Vec3{0, 0, w_.high}
                                           : grip(0, 0.35);
                    push(j, at, finger,
                         form::unit(Vec3{-at.x, -at.y, 0.5 * (w_.low + w_.high) - at.z}));  // 1 N: its energy follows
                    shell::balance(m, everywhere(), j.load);  // a blow is over before anything but its own mass resists
                    changeable(j, drop ? "cm" : "J");
                    if (drop) j.energy = 0.01 * -shell::resultant(m, carried(1)).force.z;  // J a centimetre
                    j.words.chosen = false;  // whether it breaks is what is asked
                    out.push_back(std::move(j));
                }
            }
        }
        return out;
    }
    std::vector<int> everywhere() const {
        std::vector<int> out(w_.model.points.size());
        for (size_t i = 0; i < out.size(); ++i) out[i] = static_cast<int>(i);
        return out;
    }

    std::string placeOf(const Vec3& p) const {
        const double share = (p.z - w_.low) / std::max(1e-9, w_.high - w_.low), r = std::hypot(p.x, p.y);
        if (w_.open && w_.rimUp && share > 0.85) return tr("at the rim");
        if (share < 0.12)
            return r > 0.3 * (w_.high - w_.low) ? tr("at the edge of its foot") : tr("in the middle of its foot");
        if (w_.hung && share > 0.9) return tr("at the cord's disc");
        if (w_.hung && std::abs(share - 0.5) < 0.06) return tr("at the seam");
        return share < 0.4 ? tr("low on the wall") : share < 0.7 ? tr("half-way up the wall") : tr("high on the wall");
    }

    LoadCase judged(const Job& j, const Freedoms& u) const {
        LoadCase c = j.words;
        const auto& m = w_.model;
        const auto stress = shell::stresses(m, faces_, u);
        auto strong = chocolate_.strength;
        strong.mean *= j.share * j.times;
        const auto v = shell::verdict(m, faces_, stress, strong, w_.weak);
        c.at = v.weakest.at;
        c.outer = v.weakest.outer;
        c.place = placeOf(c.at);
        if (w_.compound) {
            const size_t k = v.weakest.triangle;
            const std::string part = say("the {}", m.names[static_cast<size_t>(m.part[k])]);
            c.place = w_.weak[k] < 1 ? tr("where ") + part + tr(" is glued") : tr("in ") + part;
        }
        c.shift = shell::deformed(m, u);
        for (auto& s : c.shift) {
            s = s * (j.softer / j.share);  // softer where it is warm, and after hours
            c.sag = std::max(c.sag, form::length(s));
        }
        c.stress.assign(m.points.size(), 0.f);
        for (size_t k = 0; k < m.triangles.size(); ++k) {
            const auto f = m.facet(k);
            for (size_t i = 0; i < 3; ++i) {
                const auto at = static_cast<size_t>(faces_.place[k][i]);
                for (const double side : {1.0, -1.0}) {
                    auto& s = c.stress[static_cast<size_t>(m.triangles[k][i])];
                    s = std::max(s, static_cast<float>(shell::principal(
                                        f, stress.cornerMembrane[at] + side * stress.cornerBending[at])[0]));
                }
            }
        }
        c.buckles = std::numeric_limits<double>::infinity();
        const double spread = std::hypot(std::log(chocolate_.high / chocolate_.low) / kNinety, j.spread);
        double margin = v.margin, low = std::exp(-0.5 * kNinety * spread), high = std::exp(0.5 * kNinety * spread);
        c.cracks = v.cracks;
        c.average = shell::cracksOnAverage(v.equivalent, strong, spread);
        if (isBlow(c.id)) {  // under 1 N: energy grows with the square of the force; a blow meets stiffer chocolate,
                             // and only a share of it bends the wall
            double work = 0;
            for (size_t i = 0; i < u.size(); ++i) work += 0.5 * u[i] * j.load[i];
            work /= j.times * j.share * lib_.strong("blowShare");
            const double half = shell::stressThatCracks(0.5, strong) / v.equivalent;  // N that break every other one
            const double energy = work * half * half, given = c.load.value * j.energy;
            margin = given > 0 ? energy / given : std::numeric_limits<double>::infinity();
            const double struck = v.equivalent * std::sqrt(given / std::max(1e-300, work));
            const double both = std::hypot(std::log(chocolate_.high / chocolate_.low) / kNinety, 0.5 * j.spread);
            low = std::exp(-kNinety * both);
            high = std::exp(kNinety * both);
            c.cracks = shell::cracksAt(struck, strong);
            c.average = shell::cracksOnAverage(struck, strong, both);
        }
        c.margin = margin;
        c.low = margin * low;
        c.high = margin * high;
        return c;
    }

    /// A wall may give way sideways before it cracks.
    void giveWay(LoadCase& c, const Job& j, const Freedoms& u, std::stop_token stop) const {
        c.buckles = shell::buckles(*system_, u, stop) * j.share / j.softer;
        if (!(c.buckles < c.margin)) return;
        const double stiff = 0.5;  // the modulus of chocolate is known to a half or five times
        c.margin = c.buckles;
        c.low = stiff * c.buckles;
        c.high = 5 * c.buckles;
    }

    void speak(LoadCase& c, double energy) const {
        const std::string opens = c.outer ? tr("on the outside") : tr("on the inside");
        if (isBlow(c.id)) {
            c.tone = Tone::Plain;
            c.headline = c.average > 0.8   ? tr("breaks it")
                         : c.average > 0.5 ? tr("may break it")
                         : c.average > 0.1 ? tr("may crack it")
                                           : tr("does not break it");
            const double given = c.load.value * energy;
            if (c.id == "drop")
                c.sentence =
                    say("A fall of about {} cm breaks every other one, likely {} to {}, with what is in it. On "
                        "a cloth it falls from higher.",
                        significant(c.margin * c.load.value, 2), significant(c.low * c.load.value, 1),
                        significant(c.high * c.load.value, 1));
            else
                c.sentence =
                    say("It takes about {} J, likely {} to {}, where it is struck; this blow has {} J. "
                        "Pieces fly: cover it with a cloth, and shield eyes.",
                        significant(c.margin * given, 2), significant(c.low * given, 1), significant(c.high * given, 1),
                        significant(given, 2));
            return;
        }
        if (!std::isfinite(c.margin) || c.margin > 100) {
            c.headline = tr("holds easily");
            c.tone = Tone::Good;
            c.sentence = tr("Next to nothing pulls at the wall.");
            return;
        }
        c.tone = c.average <= kFew ? Tone::Good : c.average <= kSome ? Tone::Plain : Tone::Weak;
        c.headline = c.margin >= kEasyMargin ? tr("holds easily")
                     : c.margin >= 1         ? say("holds {} times", ratio(c.margin))
                                             : tr("likely cracks");
        const bool sideways = std::isfinite(c.buckles) && c.buckles <= c.margin * 1.0001;
        c.sentence = sideways ? say("The wall gives way sideways at {} times this load", ratio(c.margin))
                              : say("One in twenty cracks at {} times this load", ratio(c.margin));
        c.sentence += say(", likely {} to {}. ", ratio(c.low), ratio(c.high));
        if (!sideways)
            c.sentence += w_.compound ? say("It would open {}.", c.place) : say("It would open {} {}.", c.place, opens);
        if (c.unit == "h" && c.sag > kSeen)
            c.sentence += say(" In {} it sags by {}.", format(3600 * c.load.value, Dimension::Duration, plan_.units),
                              format(c.sag, Dimension::Length, plan_.units, Detail::Fine));
        if (c.average > 0.9) c.sentence += tr(" As it is, hardly one survives.");
        else if (c.average > 0.02)
            c.sentence += c.average > 0.25 ? say(" As it is, {} in 10 crack.", std::lround(10 * c.average))
                                           : say(" As it is, about 1 in {} cracks.", std::lround(1 / c.average));
    }

    const Piece& piece_;
    const Plan& plan_;
    const material::Library& lib_;
    const PieceAnswers& a_;
    StrengthWall w_;
    const ChocolateStrength& chocolate_;
    std::optional<shell::System> system_;
    std::optional<shell::Foot> foot_;
    shell::Faces faces_;
};

/// Seconds until a hot sauce has softened a wall through: what it takes up against what the sauce gives, in two layers
/// of resistance.
double sauceSeconds(const material::Coating& c, const material::Library& lib, double wall, double from) {
    const double sauce = lib.strong("sauceCelsius"),
                 through = 1 / lib.strong("sauceFilm") + wall / (2 * c.conductivity);
    double t = 0;
    for (double T = from; T < lib.strong("givesWay"); T += 0.25) {
        const double joules = c.densitySolid * wall * (temper::enthalpy(c, T + 0.25) - temper::enthalpy(c, T));
        t += joules * through / (sauce - T);
    }
    return t;
}

/// Chocolate in a wall, m³.
double volumeOf(const shell::Model& m) {
    double out = 0;
    for (size_t k = 0; k < m.triangles.size(); ++k) {
        const auto f = m.facet(k);
        out += f.area * f.meanThickness();
    }
    return out;
}

size_t weakestOf(const std::vector<LoadCase>& cases) {
    size_t out = 0;
    double least = std::numeric_limits<double>::infinity();
    for (size_t i = 0; i < cases.size(); ++i)
        if (cases[i].chosen && cases[i].id != "sauce" && cases[i].margin < least) {
            least = cases[i].margin;
            out = i;
        }
    return out;
}

/// A chosen way that fails is impossible only where no other way of doing the same reaches one.
void judgeWays(std::vector<LoadCase>& cases) {
    for (auto& c : cases) {
        if (!c.chosen || c.average <= kSome || isBlow(c.id)) continue;
        double best = c.margin;
        for (const auto& other : cases)
            if (!c.group.empty() && other.group == c.group) best = std::max(best, other.margin);
        if (best < 1) c.tone = Tone::Impossible;
    }
}

}  // namespace

StrengthStage strength(const Piece& piece, const Plan& plan, const material::Library& lib, const PieceAnswers& a,
                       const StrengthOptions& options, std::stop_token stop) {
    const auto began = std::chrono::steady_clock::now();
    StrengthStage out;
    out.chocolate = strengthOf(plan, lib, piece.chocolate);
    auto wall = strengthWall(piece, plan, lib, a, options.triangles);
    if (!wall) {
        out.problem = wall.error().sentence;
        return out;
    }
    const StrengthWall before = *wall;
    Reckoner r(piece, plan, lib, a, std::move(*wall), out.chocolate);
    if (auto ok = r.factor({}, stop); !ok) {
        out.problem = ok.error().sentence;
        return out;
    }
    out.mesh = {before.model.points, before.model.triangles, {}};
    out.thickness = before.model.thickness;
    out.cases = r.cases(options.ways, stop);
    judgeWays(out.cases);
    out.weakest = weakestOf(out.cases);
    for (const auto& c : out.cases)
        if (c.chosen) out.survives *= 1 - c.average;
    out.left = before.left;
    if (!piece.alongMeridian() && (!before.open || piece.closes()) && !before.hung && !before.compound) {
        LoadCase c;
        double mean = 0;
        for (const double t : out.thickness) mean += t / double(out.thickness.size());
        c.id = "sauce";
        c.title = tr("Hot sauce poured over");
        c.seconds = sauceSeconds(a.coating, lib, mean, plan.kitchen.room.value);
        c.margin = c.low = c.high = std::numeric_limits<double>::infinity();
        c.chosen = false;
        c.headline = say("gives way in {}", format(c.seconds, Dimension::Duration, plan.units));
        c.sentence =
            say("A sauce of {} softens the wall through in about {}, likely {} to {}. Hot sauce burns: pour it at the "
                "table yourself.",
                format(lib.strong("sauceCelsius"), Dimension::Temperature, plan.units),
                format(c.seconds, Dimension::Duration, plan.units),
                format(0.6 * c.seconds, Dimension::Duration, plan.units),
                format(1.8 * c.seconds, Dimension::Duration, plan.units));
        c.stress.assign(out.mesh.points.size(), 0.f);
        c.shift.assign(out.mesh.points.size(), {});
        out.cases.push_back(std::move(c));
    }
    if (options.ways && !out.cases.empty() &&
        (out.cases[out.weakest].margin < kWeakMargin * 2 || out.cases[out.weakest].average > kSome) &&
        !stop.stop_requested()) {
        const std::string id = out.cases[out.weakest].id;
        const double density = a.coating.densitySolid, volume = volumeOf(before.model);
        const auto tried = [&](const std::string& title, StrengthWay::Does does, auto thicken) {
            StrengthWall w = before;
            thicken(w);
            const double mass = density * (volumeOf(w.model) - volume);
            Reckoner again(piece, plan, lib, a, std::move(w), out.chocolate);
            if (stop.stop_requested() || !again.factor(r.structure(), stop)) return;
            for (const auto& c : again.cases(false, stop))
                if (c.id == id) out.ways.push_back({title, c.margin, mass, does});
        };
        if (before.open && before.rimUp) {
            const auto each = shell::cornerAreas(before.model);
            double area = 0;
            std::vector<bool> near(each.size());
            for (size_t i = 0; i < near.size(); ++i) {
                near[i] = before.model.points[i].z > before.high - lib.strong("rimBand");
                if (near[i]) area += each[i];
            }
            if (area > 0)
                tried(say("Brush {} more round the rim", format(lib.strong("brushRound"), Dimension::Mass, plan.units)),
                      StrengthWay::Does::BrushRim, [&](StrengthWall& w) {
                          for (size_t i = 0; i < near.size(); ++i)
                              if (near[i]) w.model.thickness[i] += lib.strong("brushRound") / (density * area);
                      });
        }
        if (before.compound && !before.toJoint.empty()) {
            const double scored = form::jointStrength(lib, form::kScored).value;
            if (std::ranges::any_of(before.bears, [&](double share) { return share < scored; }))
                tried(tr("Score the joints, glue on both sides"), StrengthWay::Does::Score,
                      [&](StrengthWall& w) { weaken(w, lib.strong("weibull"), scored); });
            const double radius = lib.strong("glueRubbed"),
                         within = 0.5 * radius;  // half of a round fillet's leg thickens both faces on the average
            tried(say("A radius of {} at every joint", format(radius, Dimension::Length, plan.units)),
                  StrengthWay::Does::Advice, [&](StrengthWall& w) {
                      for (size_t i = 0; i < w.toJoint.size(); ++i)
                          if (w.toJoint[i] < radius) w.model.thickness[i] += within;
                  });
        }
        if (id == "handle") {
            const auto handle =
                std::find(before.model.names.begin(), before.model.names.end(), "handle") - before.model.names.begin();
            std::vector<bool> bar(before.model.points.size(), false);
            for (size_t k = 0; k < before.model.triangles.size(); ++k)
                if (before.model.part[k] == handle)
                    for (const int i : before.model.triangles[k]) bar[static_cast<size_t>(i)] = true;
            tried(tr("A handle half as deep again"), StrengthWay::Does::Advice, [&](StrengthWall& w) {
                for (size_t i = 0; i < bar.size(); ++i)
                    if (bar[i]) w.model.thickness[i] *= lib.strong("thickerHandle");
            });
        }
        double area = 0;
        for (const double c : shell::cornerAreas(before.model)) area += c;
        const double mean = volume / std::max(1e-12, area);
        const double more = piece.coats().size() > 1 ? mean / double(piece.coats().size()) : 0.5 * mean;
        tried(before.compound ? tr("Sheets and walls half as thick again") : tr("One more coat"),
              before.compound ? StrengthWay::Does::Advice : StrengthWay::Does::Coat, [&](StrengthWall& w) {
                  for (auto& t : w.model.thickness) t += more;
              });
        const auto& weak = out.cases[out.weakest];
        if (weak.id == "rim")
            for (const auto& c : out.cases)
                if (c.id == "bump") out.ways.push_back({tr("Carry it by its base, even with a bump"), c.margin, 0});
        const double now = weak.id == "fingers" || weak.id == "peel"
                               ? std::min(plan.kitchen.room.value, plan.kitchen.fridge.value + 4)
                               : plan.kitchen.room.value;
        if (now > plan.kitchen.fridge.value + 6)
            out.ways.push_back({tr("Chill it just before"),
                                weak.margin * firmness(lib, plan.kitchen.fridge.value + 4) / firmness(lib, now), 0});
        if (weak.id == "fingers")
            out.ways.push_back(
                {tr("Lift it from below, with the whole hand"), std::numeric_limits<double>::infinity(), 0});
        std::stable_sort(out.ways.begin(), out.ways.end(),
                         [](const StrengthWay& x, const StrengthWay& y) { return x.margin > y.margin; });
    }
    out.seconds = std::chrono::duration<double>(std::chrono::steady_clock::now() - began).count();
    return out;
}

}  // namespace uovo
