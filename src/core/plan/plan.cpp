#include "core/plan/plan.h"

#include "core/batch/batch.h"

#include <fmt/format.h>

#include <algorithm>
#include <chrono>
#include <cmath>
#include <cstdio>
#include <ctime>
#include <tuple>

namespace uovo {

std::optional<long> localMinutes(const std::string& deadline) {
    int y = 0, mo = 0, d = 0, h = 0, mi = 0, used = 0;
    if (std::sscanf(deadline.c_str(), "%4d-%2d-%2dT%2d:%2d%n", &y, &mo, &d, &h, &mi, &used) != 5) return std::nullopt;
    const std::string rest = deadline.substr(static_cast<size_t>(used));
    if (!rest.empty() && rest != ":00") return std::nullopt;
    const std::chrono::year_month_day day{std::chrono::year(y), std::chrono::month(static_cast<unsigned>(mo)),
                                          std::chrono::day(static_cast<unsigned>(d))};
    if (!day.ok() || h < 0 || h > 23 || mi < 0 || mi > 59 || y < 1970) return std::nullopt;
    return std::chrono::sys_days(day).time_since_epoch().count() * 1440L + h * 60 + mi;
}

std::optional<int> clockMinutes(const std::string& clock) {
    int h = 0, m = 0, used = 0;
    if (std::sscanf(clock.c_str(), "%2d:%2d%n", &h, &m, &used) != 2 || static_cast<size_t>(used) != clock.size()) return std::nullopt;
    if (h < 0 || h > 23 || m < 0 || m > 59) return std::nullopt;
    return h * 60 + m;
}

std::string localTime(long minutes) {
    const std::chrono::sys_days day{std::chrono::floor<std::chrono::days>(std::chrono::minutes(minutes))};
    const std::chrono::year_month_day ymd{day};
    const long rest = minutes - day.time_since_epoch().count() * 1440L;
    return fmt::format("{:04}-{:02}-{:02}T{:02}:{:02}", static_cast<int>(ymd.year()), static_cast<unsigned>(ymd.month()),
                       static_cast<unsigned>(ymd.day()), rest / 60, rest % 60);
}

namespace {

/// The instant at which clocks here show a local time.
std::time_t instant(long local) {
    const std::time_t naive = local * 60;
    std::tm t{};
    ::gmtime_r(&naive, &t);
    t.tm_isdst = -1;
    return std::mktime(&t);
}

}  // namespace

std::string localTimeAfter(long local, long minutes) {
    const std::time_t then = instant(local) + minutes * 60;
    std::tm t{};
    if (!::localtime_r(&then, &t)) return localTime(local + minutes);
    return localTime((then + t.tm_gmtoff) / 60);
}

long minutesBetween(long from, long to) { return (instant(to) - instant(from)) / 60; }

const form::Family& Piece::family() const {
    static const form::Family none;
    const form::Family* f = form::family(shape.family);
    return f ? *f : none;
}

bool Piece::couldBeCoated() const {
    const form::Family& f = family();
    return f.meridian || ((f.body == form::Body::Wall || f.body == form::Body::Compound) && f.field("wall"));
}

bool Filling::isAlcoholic() const {
    return alcohol || std::any_of(recipe.begin(), recipe.end(), [](const Ingredient& i) { return i.alcohol > 0; });
}

bool Plan::operator==(const Plan& o) const {
    const auto rest = [](const Plan& p) { return std::tie(p.name, p.deadline, p.units, p.metricCup, p.kitchen, p.own, p.melting, p.pantry, p.colours, p.snaps, p.guests, p.pieces, p.meshExtras, p.extra); };
    if (rest(*this) != rest(o) || meshes.size() != o.meshes.size()) return false;
    for (auto a = meshes.begin(), b = o.meshes.begin(); a != meshes.end(); ++a, ++b)
        if (a->first != b->first || (a->second != b->second && !(*a->second == *b->second))) return false;
    return true;
}

tl::expected<material::Coating, Problem> coatingOf(const Piece& piece, const Plan& plan, const material::Library& lib) {
    const material::Chocolate* c = lib.find(piece.chocolate);
    if (!c) return tl::unexpected(Problem{"There is no chocolate “" + piece.chocolate + "” here.", "chocolate"});
    const auto own = plan.own.find(c->figuresAs());
    return material::coating(*c, piece.temper, piece.thinner, piece.thinnerShare, own == plan.own.end() ? material::OwnFigures{} : own->second,
                             lib.physics);
}

tl::expected<material::Coating, Problem> coatingOf(const Piece& piece, const PlannedCoat& coat, const Plan& plan, const material::Library& lib) {
    if (piece.chocolateOf(coat) == piece.chocolate) return coatingOf(piece, plan, lib);
    Piece other = piece;
    other.chocolate = coat.chocolate;
    if (const auto* c = lib.find(other.chocolate); c && c->kind == "compound") other.temper = material::Temper::Tempered;
    return coatingOf(other, plan, lib);
}

namespace {

constexpr int kMostPieces = 500;

void checkKitchen(const Kitchen& k, std::vector<Problem>& out) {
    const auto range = [&](const Measure& m, double low, double high, Dimension d, const char* what, const char* field) {
        if (std::isfinite(m.value) && m.value >= low && m.value <= high) return;
        const auto text = [&](double v) { return format(v, d, UnitSystem::Metric); };
        out.push_back({std::isfinite(m.value) ? fmt::format("{} is {}; it must be between {} and {}.", what, text(m.value), text(low), text(high))
                                              : fmt::format("{} is not a number.", what),
                       std::string("kitchen/") + field});
    };
    range(k.room, 5, 40, Dimension::Temperature, "The room", "room");
    range(k.humidity, 0.05, 0.99, Dimension::Percent, "The humidity", "humidity");
    range(k.fridge, 0, 14, Dimension::Temperature, "The fridge", "fridge");
    if (k.freezer.value > -5)
        out.push_back({fmt::format("A freezer at {} does not freeze; check the sign.", format(k.freezer.value, Dimension::Temperature, UnitSystem::Metric)),
                       "kitchen/freezer"});
    else
        range(k.freezer, -40, -5, Dimension::Temperature, "The freezer", "freezer");
    range(k.shelfWidth, 0.05, 2, Dimension::Length, "The shelf's width", "shelfWidth");
    range(k.shelfDepth, 0.05, 2, Dimension::Length, "The shelf's depth", "shelfDepth");
    range(k.shelfHeight, 0.02, 2, Dimension::Length, "The shelf's height", "shelfHeight");
    range(k.freezerWidth, 0.05, 2, Dimension::Length, "The freezer's width", "freezerWidth");
    range(k.freezerDepth, 0.05, 2, Dimension::Length, "The freezer's depth", "freezerDepth");
    range(k.freezerHeight, 0.02, 2, Dimension::Length, "The freezer's height", "freezerHeight");
    if (k.shelves < 1 || k.shelves > 8) out.push_back({"Between one and eight free shelves in the fridge.", "kitchen/shelves"});
    if (k.hands < 1 || k.hands > 8) out.push_back({"Between one and eight pairs of hands.", "kitchen/hands"});
    if (!k.helpersFrom.empty() && !clockMinutes(k.helpersFrom)) out.push_back({fmt::format("“{}” is not a time of day; write 16:00.", k.helpersFrom), "kitchen/helpersFrom"});
}

/// Whether its shape can be built; the last shapes asked for are remembered, for fields ask at each key.
tl::expected<void, Problem> buildable(const Piece& p, const form::Meshes& meshes) {
    struct Known {
        form::Part part;
        std::shared_ptr<const form::Mesh> mesh;
        bool assumed = true;
        tl::expected<void, Problem> answer;
    };
    constexpr size_t kKept = 64;
    thread_local std::vector<Known> known;
    const auto mesh = meshes.find(p.shape.mesh);
    const auto figure = mesh == meshes.end() ? nullptr : mesh->second;
    const bool assumed = !p.wallFromCoats();
    for (const auto& k : known)
        if (k.assumed == assumed && k.mesh == figure && k.part == p.shape) return k.answer;
    if (known.size() >= kKept) known.erase(known.begin());
    known.push_back({p.shape, figure, assumed, form::checkBuild(p.shape, meshes, assumed)});
    return known.back().answer;
}

void checkPiece(const Piece& p, const Plan& plan, const material::Library& lib, bool shapes, std::vector<Problem>& out) {
    const std::string at = "pieces/" + p.id + "/";
    const auto add = [&](Problem problem, const std::string& before = "") { out.push_back({problem.sentence, at + before + problem.where}); };
    if (p.count < 1) add({"Plan at least one piece, or take it off the shelf.", "count"});
    if (p.count > kMostPieces)
        add({fmt::format("{} pieces are more than a kitchen makes in a day; {} at most.", p.count, kMostPieces), "count"});
    if (p.survives < 0.2 || p.survives > 1 || !std::isfinite(p.survives))
        add({"The share that comes out whole lies between 20 % and 100 %.", "survives"});
    const auto coating = coatingOf(p, plan, lib);
    if (!coating) add(coating.error());
    const bool meridian = p.alongMeridian();
    const auto former = meridian ? form::meridian(p.shape) : tl::expected<form::Meridian, Problem>(tl::unexpected(Problem{}));
    if (meridian && !former)
        add(former.error(), "former/");
    else if (auto ok = shapes && !meridian ? buildable(p, plan.meshes) : form::checkFigures(p.shape); !ok)
        add(ok.error(), "former/");
    if (former && p.overBalloon() && (p.pot.empty() || lib.pot(p.pot)) && std::any_of(p.coats.begin(), p.coats.end(), [](const auto& c) { return c.way == coat::Way::Dip; })) {
        const double dip = form::figure(p.shape, "dip");
        const auto bath = p.pot.empty() ? batch::bestBath(*former, dip, lib.pots, lib.usual("bathClearance")) : batch::bathFor(*former, dip, *lib.pot(p.pot), lib.usual("bathClearance"));
        if (!bath) add(bath.error());
    }
    if (meridian && p.coats.empty()) add({"There is no coat yet: add one.", "coats"});
    if (!p.wallFromCoats() && !meridian) {
        const double T = p.cast.temperature.value, table = p.cast.table.value;
        if (!(T == 0 || (T >= 20 && T <= 60))) add({fmt::format("Chocolate is poured between 20 and 60 °C, not at {}.", format(T, Dimension::Temperature, plan.units)), "cast/temperature"});
        if (!(table >= 0 && table <= 6 * 3600)) add({"It stands on the table between no time and six hours.", "cast/table"});
    }
    if (p.coats.size() > 8) add({"More than eight coats make no shell; use fewer.", "coats"});
    for (size_t i = 0; coating && i < p.coats.size(); ++i) {
        const std::string here = fmt::format("coats/{}/", i);
        const auto own = coatingOf(p, p.coats[i], plan, lib);
        if (!own) {
            add(own.error(), here);
            continue;
        }
        const double bears = p.overBalloon() ? lib.former(own->compound ? "balloonBearsCompound" : "balloonBears") : 90;
        if (auto ok = coat::checkStep(p.coats[i], *own, bears); !ok) add(ok.error(), here);
        if (p.overBalloon() && p.coats[i].way == coat::Way::Pour) add({"A balloon cannot be filled and poured out; dip or brush it.", here + "way"});
        if (i == 0 && p.coats[i].way == coat::Way::Press) add({"The first coat makes the wall; press its rim in afterwards.", here + "way"});
        if (p.coats[i].way == coat::Way::Turn && !p.closes()) add({"Only a closed mold is filled and turned; pour this one out.", here + "way"});
        if (p.wallFromCoats() && p.closes() && p.coats[i].way != coat::Way::Turn) add({"A closed mold is filled in part and turned about; nothing else reaches its wall.", here + "way"});
        if (!meridian) continue;
        if (!p.overBalloon() && p.coats[i].way == coat::Way::Dip) add({"A cup is coated inside; fill and pour out, or brush it.", here + "way"});
        if (!p.overBalloon() && p.coats[i].rest == coat::Rest::Hung) add({"A cup stands or is turned over.", here + "rest"});
    }
    if (!(p.wantedWall.value >= 0 && p.wantedWall.value < 0.02)) add({"A wall is between 0 and 20 mm.", "wantedWall"});
    if (!p.pot.empty() && !lib.pot(p.pot)) add({"There is no pot “" + p.pot + "” here.", "pot"});
    for (const auto& [id, m] : p.loads)
        if (!(m.value >= 0 && m.value < 1e4)) add({"A load is nothing or more.", "loads/" + id});
    if (p.filling) {
        const auto& f = *p.filling;
        if (!(f.share.value >= 0 && f.share.value <= 1)) add({"A piece is filled to between nothing and its brim.", "filling/share"});
        if (!(f.cap.value >= 0 && f.cap.value <= 0.02)) add({"A lid of chocolate is at most 20 mm thick.", "filling/cap"});
        if (!(f.makes.value >= 0 && f.makes.value < 1)) add({"A recipe makes between nothing and a cubic metre.", "filling/makes"});
        if (f.recipe.size() > 60) add({"A recipe of more than sixty lines; leave the pinches out.", "filling/recipe"});
        for (size_t i = 0; i < f.recipe.size(); ++i) {
            const auto& r = f.recipe[i];
            const std::string here = fmt::format("filling/recipe/{}/", i);
            if (!(r.amount.value >= 0 && std::isfinite(r.amount.value))) add({fmt::format("How much {} goes in cannot be less than nothing.", r.name), here + "amount"});
            if (!(r.alcohol >= 0 && r.alcohol <= 1)) add({"Alcohol lies between 0 and 100 % of the volume.", here + "alcohol"});
            if (r.alcohol > 0 && r.by == Ingredient::By::Count) add({fmt::format("Say how much {} goes in by volume: its alcohol cannot be counted by the piece.", r.name), here + "amount"});
        }
        if (!(p.filling->each.value >= 0 && p.filling->each.value < 0.02)) add({"A filling is between nothing and 20 l.", "filling/each"});
        if (!(p.filling->make.value >= 0 && p.filling->make.value <= 6 * 3600)) add({"Making the filling takes at most six hours.", "filling/make"});
        if (!(p.filling->usableFrom.value >= 0 && p.filling->usableFrom.value <= p.filling->usableTo.value && p.filling->usableTo.value < 86400))
            add({"The filling's window ends before it begins.", "filling/usableTo"});
    }
}

}  // namespace

std::vector<Problem> problems(const Plan& plan, const material::Library& library, bool shapes) {
    std::vector<Problem> out;
    const material::Library lib = material::withColours(library, plan.colours);
    for (const auto& c : plan.colours) {
        for (auto& p : material::problems(c, library)) out.push_back(std::move(p));
        if (std::count_if(plan.colours.begin(), plan.colours.end(), [&](const auto& o) { return o.id == c.id; }) > 1) out.push_back({"Two colours are called “" + c.name + "”.", "colours/" + c.id + "/name"});
    }
    if (!localMinutes(plan.deadline)) out.push_back({"The time it must be ready is not a date and time.", "deadline"});
    checkKitchen(plan.kitchen, out);
    for (const auto& [id, figures] : plan.own) {
        const auto* chocolate = lib.find(id);
        if (!chocolate)
            out.push_back({"There is no chocolate “" + id + "” here.", "own/" + id});
        else if (auto ok = material::checkOwnFigures(*chocolate, figures); !ok)
            out.push_back({ok.error().sentence, "own/" + id + "/" + ok.error().where});
    }
    for (const auto& [id, choice] : plan.melting)
        if (!lib.find(id)) out.push_back({"There is no chocolate “" + id + "” here.", "melting/" + id});
    for (size_t i = 0; i < plan.pantry.size(); ++i) {
        const auto& s = plan.pantry[i];
        const std::string at = fmt::format("pantry/{}/", i);
        if (!lib.find(s.chocolate)) out.push_back({"There is no chocolate “" + s.chocolate + "” here.", at + "chocolate"});
        if (!(s.mass.value >= 0 && s.mass.value < 500)) out.push_back({"In the cupboard there is nothing or more, not less.", at + "mass"});
        if (!(s.price >= 0 && s.price < 1e6)) out.push_back({"A price is nothing or more.", at + "price"});
        if (!s.bestBefore.empty() && !localMinutes(s.bestBefore + "T00:00")) out.push_back({"“" + s.bestBefore + "” is not a date; write 2027-03-01.", at + "bestBefore"});
    }
    for (size_t i = 0; i < plan.snaps.size(); ++i) {
        const std::string at = fmt::format("snaps/{}/", i);
        if (!lib.find(plan.snaps[i].chocolate)) out.push_back({"There is no chocolate “" + plan.snaps[i].chocolate + "” here.", at + "chocolate"});
        if (auto ok = shell::check(plan.snaps[i]); !ok) out.push_back({ok.error().sentence, at + ok.error().where});
    }
    if (plan.guests < 0 || plan.guests > 10000) out.push_back({"Between no guests and ten thousand.", "guests"});
    for (const auto& p : plan.pieces) checkPiece(p, plan, lib, shapes, out);
    return out;
}

namespace {

/// An id and a name that the plan does not have yet.
Piece named(const Plan& plan, const std::string& id, const std::string& name) {
    Piece p;
    p.id = id;
    p.name = name;
    for (int i = 2; std::any_of(plan.pieces.begin(), plan.pieces.end(), [&](const Piece& q) { return q.id == p.id; }); ++i) {
        p.id = fmt::format("{}-{}", id, i);
        p.name = fmt::format("{} {}", name, i);
    }
    return p;
}

}  // namespace

Piece newPiece(const Plan& plan, const std::string& family) {
    const form::Family* f = form::family(family);
    if (f && f->meridian) {
        Piece p = f->former == form::Former::Balloon ? named(plan, "bowl", "Bowl") : named(plan, "cup", "Cup");
        p.shape = form::usual(family);
        p.count = 6;
        PlannedCoat c;
        if (f->former != form::Former::Balloon) {
            c.way = coat::Way::Pour;
            c.drain = 12;
            c.delay = 60;
        }
        p.coats = {c, c};
        return p;
    }
    const std::string name = f ? f->name.substr(0, f->name.find(" in a ")) : "Part";
    Piece p = named(plan, family, name.substr(0, name.find(',')));
    p.shape = form::usual(family);
    p.count = f && f->body == form::Body::Compound ? 1 : 4;
    return p;
}

std::vector<PlannedCoat> usualCoats(const Piece& piece, const Plan& plan, const material::Library& lib) {
    PlannedCoat c;
    if (const auto coating = coatingOf(piece, plan, lib)) c.temperature = Measure(0.5 * std::round(2 * coating->working()));
    if (!piece.family().outside) {
        c.way = coat::Way::Pour;
        c.drain = 12;
        c.delay = 60;
        c.rest = coat::Rest::Inverted;
    }
    if (piece.closes()) {
        c.way = coat::Way::Turn;
        c.rest = coat::Rest::Upright;
        c.motion = coat::Motion::Over;
        c.moveFor = 900;
        c.moveEvery = 120;
        c.moveIn = coat::Place::Fridge;
        c.delay = 0;
        c.stay = 2700;
        return {c};  // a quarter full leaves a wall of a tenth of the radius at once
    }
    return {c, c};
}

}  // namespace uovo
