// What a person says of the place of a part, read phrase by phrase.
#include <fmt/format.h>

#include <algorithm>
#include <array>
#include <cctype>
#include <cmath>
#include <numbers>
#include <optional>

#include "core/assembly/arrange.h"
#include "core/quantity/catalogue.h"
#include "core/quantity/vocabulary.h"
#include "core/quantity/words.h"

namespace uovo::assembly {
namespace {

using form::Box;
using form::Part;
using form::Pose;
using form::Vec3;

constexpr double kFarthest = 1;   // m: a longer way is a slip of the pen
constexpr double kOnAxis = 1e-3;  // m from an axis: it has no place round it
constexpr int kMostCopies = 48;

tl::unexpected<Problem> refuse(std::string sentence) {
    return tl::unexpected(Problem{std::move(sentence), "placeWords"});
}

std::string trimmed(std::string s) {
    const auto space = [](char c) { return std::isspace(static_cast<unsigned char>(c)) || c == '.'; };
    while (!s.empty() && space(s.back())) s.pop_back();
    size_t from = 0;
    while (from < s.size() && std::isspace(static_cast<unsigned char>(s[from]))) ++from;
    return s.substr(from);
}

/// Takes words off the begin. @returns whether they were there
bool take(std::string& s, std::string_view words) {
    if (s.rfind(words, 0) != 0) return false;
    if (s.size() > words.size() && std::isalnum(static_cast<unsigned char>(s[words.size()]))) return false;
    s = trimmed(s.substr(words.size()));
    return true;
}

bool takeOne(std::string& s, std::initializer_list<std::string_view> words) {
    return std::ranges::any_of(words, [&](std::string_view w) { return take(s, w); });
}

/// Phrases between commas; "and" and "then" are commas too. A comma between figures is a decimal one.
std::vector<std::string> phrases(const std::string& words) {
    std::vector<std::string> out(1);
    const auto digit = [&](size_t i) { return i < words.size() && std::isdigit(static_cast<unsigned char>(words[i])); };
    for (size_t i = 0; i < words.size(); ++i) {
        if (words[i] == ';' || words[i] == '\n' || (words[i] == ',' && !(i > 0 && digit(i - 1) && digit(i + 1)))) {
            out.emplace_back();
            continue;
        }
        bool joined = false;
        for (const char* w : {" and ", " then "})
            if (words.compare(i, std::string_view(w).size(), w) == 0) {
                out.emplace_back();
                i += std::string_view(w).size() - 1;
                joined = true;
            }
        if (!joined) out.back() += words[i];
    }
    for (auto& p : out) p = trimmed(lowered(inEnglish(p)));
    std::erase(out, "");
    return out;
}

struct Direction {
    int axis = 0;
    double sign = 1;
};

/// A direction at the begin of the words: "left", "to the back".
std::optional<Direction> direction(std::string& s) {
    std::string rest = s;
    take(rest, "to the") || take(rest, "towards the") || take(rest, "to");
    static constexpr std::array<std::pair<const char*, Direction>, 11> kWords{{{"right", {0, 1}},
                                                                               {"left", {0, -1}},
                                                                               {"backwards", {1, 1}},
                                                                               {"back", {1, 1}},
                                                                               {"forwards", {1, -1}},
                                                                               {"forward", {1, -1}},
                                                                               {"front", {1, -1}},
                                                                               {"upwards", {2, 1}},
                                                                               {"up", {2, 1}},
                                                                               {"downwards", {2, -1}},
                                                                               {"down", {2, -1}}}};
    for (const auto& [word, d] : kWords)
        if (take(rest, word)) {
            s = rest;
            return d;
        }
    return {};
}

double& at(Vec3& v, int axis) { return axis == 0 ? v.x : axis == 1 ? v.y : v.z; }
double at(const Vec3& v, int axis) { return axis == 0 ? v.x : axis == 1 ? v.y : v.z; }

class Reader {
public:
    Reader(Said& said, Placer& placer, size_t item, UnitSystem units)
        : said_(said), placer_(placer), item_(item), units_(units), pose_(placer.pose(item)) {}

    tl::expected<void, Problem> read(const std::string& phrase) {
        std::string s = phrase;
        for (const auto& way : {&Reader::copies, &Reader::turns, &Reader::lengths, &Reader::places}) {
            auto did = (this->*way)(s);
            if (!did) return tl::unexpected(did.error());
            if (*did) return {};
        }
        return refuse(
            say("“{}” is not understood. Say for example “on the base”, “12 mm from the left edge”, "
                "“standing”, “at 30°” or “repeat 8 round the rim”.",
                phrase));
    }

    void finish() {
        settle();
        putAt(said_.assembly, item_, placer_, pose_);
        placer_.put(item_, pose_);
    }

private:
    using Did = tl::expected<bool, Problem>;  // whether the phrase was one of its sort

    const std::string& name(size_t k) const { return said_.assembly.items[k].name; }
    Box box() const { return placer_.boxAt(item_, pose_); }
    Vec3 middle() const {
        const Box b = box();
        return (b.low + b.high) * 0.5;
    }

    /// Lets it down where it was not said how high it is.
    void settle() {
        if (!lifted_) pose_ = placer_.rested(item_, pose_).pose;
    }

    tl::expected<double, Problem> length(const std::string& words) const {
        TypingContext context;
        context.bareUnit = usualUnit(Dimension::Length, units_);
        const auto m = parseMeasure(words, context);
        if (!m) return refuse(m.error().sentence);
        if (!(std::abs(m->value) <= kFarthest)) return refuse(tr("A part is moved by 1 m at most."));
        return m->value;
    }

    static std::optional<double> angle(std::string& s) {
        const char* begin = s.c_str();
        char* end = nullptr;
        const double v = std::strtod(begin, &end);
        if (end == begin || !std::isfinite(v) || std::abs(v) > 360) return {};
        std::string rest = trimmed(end);
        if (rest.rfind("°", 0) == 0) rest = trimmed(rest.substr(std::string_view("°").size()));
        else takeOne(rest, {"degrees", "degree", "deg"});
        s = rest;
        return v;
    }

    /// A part by its name, "the base"; the longest that fits.
    tl::expected<size_t, Problem> part(std::string words) const {
        take(words, "the");
        if (words == "table") return kOnTable;
        std::optional<size_t> found;
        size_t best = 0;
        for (size_t k = 0; k < said_.assembly.items.size(); ++k) {
            if (k == item_) continue;
            const auto& i = said_.assembly.items[k];
            const std::string full = lowered(inEnglish(i.name));
            if (full == words || lowered(i.key) == words) return k;
            if (!words.empty() && full.find(words) != std::string::npos && words.size() > best) {
                found = k;
                best = words.size();
            }
        }
        if (found) return *found;
        std::string all;
        for (size_t k = 0; k < said_.assembly.items.size() && k < 6; ++k)
            if (k != item_) all += (all.empty() ? "" : ", ") + lowerFirst(name(k));
        return refuse(say("There is no part “{}” here{}.", words, all.empty() ? "" : ": there is " + all));
    }

    /// The part that was named last, else what it stands on, else the first of the others.
    tl::expected<size_t, Problem> below() const {
        if (named_) return *named_;
        const auto rests = placer_.rested(item_, pose_);
        if (rests.snaps.front().other != kOnTable) return rests.snaps.front().other;
        for (size_t k = 0; k < placer_.size(); ++k)
            if (k != item_) return k;
        return refuse(tr("There is no other part yet."));
    }

    tl::expected<size_t, Problem> partOrBelow(const std::string& words) {
        if (words.empty()) return below();
        const auto k = part(words);
        if (k && *k != kOnTable) named_ = *k;
        return k;
    }

    /// Its upright axis: of its rim, or through its middle.
    Vec3 axisOf(size_t k) const {
        if (const auto r = placer_.ring(k)) return r->centre;
        const Box b = placer_.box(k);
        return (b.low + b.high) * 0.5;
    }

    tl::expected<size_t, Problem> ringed(const std::string& words) {
        if (words.empty()) {
            if (const auto b = below(); b && placer_.ring(*b)) return *b;
            std::optional<size_t> best;  // the widest
            for (size_t k = 0; k < placer_.size(); ++k)
                if (k != item_ && placer_.ring(k) && (!best || placer_.ring(k)->radius > placer_.ring(*best)->radius))
                    best = k;
            if (best) return *best;
            return refuse(tr("Nothing here has a round rim."));
        }
        auto k = partOrBelow(words);
        if (!k) return k;
        if (*k == kOnTable || !placer_.ring(*k))
            return refuse(say("{} has no round rim.", *k == kOnTable ? tr("The table") : name(*k)));
        return k;
    }

    Did copies(std::string& s);
    Did turns(std::string& s);
    Did lengths(std::string& s);
    Did places(std::string& s);
    Did add(const std::vector<Pose>& poses);
    Did beside(size_t k, int axis, double sign);
    tl::expected<size_t, Problem> onRim(const std::string& of, std::optional<double> degrees);

    Said& said_;
    Placer& placer_;
    size_t item_;
    UnitSystem units_;
    Pose pose_;
    bool lifted_ = false;
    std::optional<size_t> rim_;    // it was put on
    std::optional<size_t> named_;  // part that was named last
};

Reader::Did Reader::add(const std::vector<Pose>& poses) {
    finish();
    for (const Pose& pose : poses) {
        const auto made = copyTo(said_.assembly, item_, placer_, pose);
        if (!made) return tl::unexpected(made.error());
        said_.keys.push_back(said_.assembly.items[*made].key);
    }
    lifted_ = true;  // it stays where the others were made from
    return true;
}

Reader::Did Reader::copies(std::string& s) {
    if (takeOne(s, {"mirror", "mirrored"})) {
        const bool deep = takeOne(s, {"front to back", "back to front"});
        if (!deep) takeOne(s, {"left to right", "right to left"});
        take(s, "in") || take(s, "on") || take(s, "about");
        size_t about = 0;
        if (!s.empty()) {
            const auto k = part(s);
            if (!k) return tl::unexpected(k.error());
            about = *k;
        } else if (item_ == 0) {
            const auto k = below();
            if (!k) return tl::unexpected(k.error());
            about = *k;
        }
        if (about == kOnTable) return refuse(tr("Say about the middle of which part."));
        settle();
        placer_.put(item_, pose_);
        const auto pose = placer_.mirrored(item_, axisOf(about), deep ? 1 : 0);
        if (!pose) return refuse(say("{} has no two like sides: it has no mirror image.", name(item_)));
        return add({*pose});
    }
    if (!takeOne(s, {"repeat", "repeated"})) return false;
    TypingContext context{Dimension::Count, ""};
    const auto space = s.find(' ');
    const auto n = parseMeasure(s.substr(0, space), context);
    if (!n) return refuse(tr("Say how many there are: “repeat 8 round the rim”."));
    const int count = static_cast<int>(std::lround(n->value));
    if (count < 2 || count > kMostCopies) return refuse(say("A part is repeated 2 to {} times.", kMostCopies));
    s = space == std::string::npos ? std::string() : trimmed(s.substr(space));
    takeOne(s, {"times"});
    std::vector<Pose> poses;
    if (take(s, "every")) {
        size_t end = s.size();
        Direction way{0, 1};
        for (size_t i = s.find(' '); i != std::string::npos; i = s.find(' ', i + 1)) {
            std::string rest = trimmed(s.substr(i));
            if (const auto d = direction(rest); d && rest.empty()) {
                way = *d;
                end = i;
                break;
            }
        }
        const auto step = length(trimmed(s.substr(0, end)));
        if (!step) return tl::unexpected(step.error());
        if (std::abs(*step) < kOnAxis) return refuse(tr("Copies need more than 1 mm from one to the next."));
        settle();
        for (int i = 1; i < count; ++i) {
            Pose p = pose_;
            at(p.at, way.axis) += way.sign * *step * i;
            poses.push_back(p);
        }
        return add(poses);
    }
    takeOne(s, {"round", "around"});
    if (takeOne(s, {"the rim of", "its rim", "the rim", "rim of", "rim", "it"})) {
    }
    const auto about = rim_ && s.empty() ? tl::expected<size_t, Problem>(*rim_) : partOrBelow(s);
    if (!about) return tl::unexpected(about.error());
    if (*about == kOnTable) return refuse(tr("Say round which part."));
    const Vec3 axis = axisOf(*about), mid = middle();
    if (std::hypot(mid.x - axis.x, mid.y - axis.y) < kOnAxis)
        return refuse(
            say("{} stands in the middle of {}: there is no way round.", name(item_), lowerFirst(name(*about))));
    settle();
    for (int i = 1; i < count; ++i) poses.push_back(Placer::turned(pose_, axis, 360.0 * i / count));
    return add(poses);
}

Reader::Did Reader::turns(std::string& s) {
    if (take(s, "upside down")) {
        pose_ = turnedAbout(pose_, middle(), sideOf(pose_), 180);
        settle();
        return true;
    }
    if (takeOne(s, {"standing", "upright", "on edge", "on its edge"})) {
        if (std::abs(pose_.z.z) > 0.7) pose_ = turnedAbout(pose_, middle(), sideOf(pose_), 90);
        settle();
        return true;
    }
    if (takeOne(s, {"lying", "flat"})) {
        if (std::abs(pose_.z.z) < 0.7) pose_ = turnedAbout(pose_, middle(), sideOf(pose_), -90);
        settle();
        return true;
    }
    if (takeOne(s, {"turned", "turn"})) {
        const bool right = take(s, "right"), left = !right && take(s, "left");
        take(s, "by");
        const auto a = angle(s);
        if (!a) return refuse(tr("Say by how many degrees it is turned: “turned 45°”."));
        const bool clockwise = right || (!left && takeOne(s, {"right", "to the right", "clockwise"}));
        pose_ = Placer::turned(pose_, middle(), clockwise ? -*a : *a);
        settle();
        return true;
    }
    if (takeOne(s, {"leaning", "lean", "tilted", "tilt"})) {
        const auto a = angle(s);
        if (!a || std::abs(*a) > 85)
            return refuse(tr("Say by how many degrees it leans, up to 85: “leaning 10° back”."));
        const auto way = direction(s);
        if (way && way->axis == 2) return refuse(tr("It leans left, right, back or to the front."));
        const Direction d = way.value_or(Direction{1, 1});
        // its top goes the way it is said
        const Vec3 axis = d.axis == 0 ? Vec3{0, d.sign, 0} : Vec3{-d.sign, 0, 0};
        const Box b = box();
        pose_ = turnedAbout(pose_, {middle().x, middle().y, b.low.z}, axis, *a);
        settle();
        return true;
    }
    if (take(s, "at")) {
        std::string rest = s;
        if (take(rest, "height")) {
            const auto h = length(rest);
            if (!h) return tl::unexpected(h.error());
            pose_.at.z += placer_.table() + *h - box().low.z;
            lifted_ = true;
            return true;
        }
        const auto a = angle(s);
        if (!a) return refuse(tr("Say where round the rim, in degrees from the right: “at 30°”."));
        takeOne(s, {"round", "on"});
        takeOne(s, {"the rim of", "the rim"});
        const auto k = rim_ && s.empty() ? tl::expected<size_t, Problem>(*rim_) : partOrBelow(s);
        if (!k) return tl::unexpected(k.error());
        if (*k == kOnTable) return refuse(tr("Say round which part."));
        const Vec3 axis = axisOf(*k), mid = middle();
        if (std::hypot(mid.x - axis.x, mid.y - axis.y) < kOnAxis) {  // in the middle: it only turns
            const double now = std::atan2(pose_.x.y, pose_.x.x) * 180 / std::numbers::pi;
            pose_ = Placer::turned(pose_, mid, *a - now);
        } else {
            const double now = std::atan2(mid.y - axis.y, mid.x - axis.x) * 180 / std::numbers::pi;
            pose_ = Placer::turned(pose_, axis, *a - now);
        }
        settle();
        return true;
    }
    return false;
}

Reader::Did Reader::lengths(std::string& s) {
    // "12 mm from the left edge of the base"
    if (const auto from = s.find(" from "); from != std::string::npos) {
        const auto by = length(trimmed(s.substr(0, from)));
        if (!by) return tl::unexpected(by.error());
        std::string rest = trimmed(s.substr(from + 6));
        take(rest, "the") || take(rest, "its");
        const auto way = direction(rest);
        if (takeOne(rest, {"table"})) {
            pose_.at.z += placer_.table() + *by - box().low.z;
            lifted_ = true;
            return true;
        }
        if (!takeOne(rest, {"edge", "rim", "end", "side"}) && !way)
            return refuse(tr("Say from which edge: “12 mm from the left edge”."));
        take(rest, "of");
        const auto k = partOrBelow(rest);
        if (!k) return tl::unexpected(k.error());
        if (*k == kOnTable) return refuse(tr("The table has no edge here: say of which part."));
        const Box mine = box(), theirs = placer_.box(*k);
        if (!way) {
            if (const auto ring = placer_.ring(*k)) {  // inwards from the round edge
                const Vec3 mid = middle();
                Vec3 out{mid.x - ring->centre.x, mid.y - ring->centre.y, 0};
                if (form::length(out) < kOnAxis) out = {1, 0, 0};
                out = form::unit(out);
                const double half = 0.5 * std::min(mine.size().x, mine.size().y);
                const double edge = ring->width > ring->radius ? ring->radius : ring->radius + 0.5 * ring->width;
                const Vec3 to = ring->centre + out * (edge - *by - half);
                pose_.at += Vec3{to.x - mid.x, to.y - mid.y, 0};
                rim_ = *k;
                settle();
                return true;
            }
        }
        // without a side: the nearest of the four
        Direction d = way.value_or(Direction{0, 1});
        if (!way) {
            double best = 1e300;
            for (const int axis : {0, 1})
                for (const double sign : {1.0, -1.0}) {
                    const double gap = sign > 0 ? at(theirs.high, axis) - at(mine.high, axis)
                                                : at(mine.low, axis) - at(theirs.low, axis);
                    if (std::abs(gap) < best) best = std::abs(gap), d = {axis, sign};
                }
        }
        at(pose_.at, d.axis) += d.sign > 0 ? at(theirs.high, d.axis) - *by - at(mine.high, d.axis)
                                           : at(theirs.low, d.axis) + *by - at(mine.low, d.axis);
        if (d.axis == 2) lifted_ = true;
        settle();
        return true;
    }
    // "12 mm up"
    for (size_t i = s.find(' '); i != std::string::npos; i = s.find(' ', i + 1)) {
        std::string rest = trimmed(s.substr(i));
        if (take(rest, "high")) {
            const auto h = length(trimmed(s.substr(0, i)));
            if (!h) return tl::unexpected(h.error());
            pose_.at.z += placer_.table() + *h - box().low.z;
            lifted_ = true;
            return true;
        }
        take(rest, "further");
        const auto way = direction(rest);
        if (!way || !rest.empty()) continue;
        const auto by = length(trimmed(s.substr(0, i)));
        if (!by && !std::isdigit(static_cast<unsigned char>(s[0]))) return false;  // "flush with the base on the left"
        if (!by) return tl::unexpected(by.error());
        at(pose_.at, way->axis) += way->sign * *by;
        if (way->axis == 2) lifted_ = true;
        settle();
        return true;
    }
    return false;
}

Reader::Did Reader::beside(size_t k, int axis, double sign) {
    if (k == kOnTable) return refuse(tr("Say beside which part."));
    const Box mine = box(), theirs = placer_.box(k);
    at(pose_.at, axis) +=
        sign > 0 ? at(theirs.high, axis) - at(mine.low, axis) : at(theirs.low, axis) - at(mine.high, axis);
    const int other = 1 - axis;
    at(pose_.at, other) +=
        0.5 * (at(theirs.low, other) + at(theirs.high, other) - at(mine.low, other) - at(mine.high, other));
    settle();
    return true;
}

tl::expected<size_t, Problem> Reader::onRim(const std::string& of, std::optional<double> degrees) {
    const auto k = ringed(of);
    if (!k) return k;
    const auto ring = *placer_.ring(*k);
    const Vec3 mid = middle();
    Vec3 out{mid.x - ring.centre.x, mid.y - ring.centre.y, 0};
    if (degrees) out = {std::cos(*degrees * std::numbers::pi / 180), std::sin(*degrees * std::numbers::pi / 180), 0};
    if (form::length(out) < kOnAxis) out = {1, 0, 0};
    out = form::unit(out);
    // it lies along the rim: its longer side across the way out
    const Box b = box();
    const double is = std::atan2(out.y, out.x) * 180 / std::numbers::pi;
    pose_ = Placer::turned(pose_, mid, b.size().x > b.size().y ? is - 90 : is);
    double r = ring.radius;
    if (ring.width > ring.radius) r -= 0.5 * std::min(b.size().x, b.size().y);  // within a plate's edge
    const Vec3 to = ring.centre + out * r, now = middle();
    pose_.at += Vec3{to.x - now.x, to.y - now.y, 0};
    rim_ = *k;
    settle();
    return k;
}

Reader::Did Reader::places(std::string& s) {
    if (takeOne(s, {"on the rim of", "on its rim", "on the rim"})) {
        std::optional<double> degrees;
        if (const auto where = s.find("at "); where != std::string::npos) {
            std::string rest = s.substr(where + 3);
            degrees = angle(rest);
            s = trimmed(s.substr(0, where));
        }
        if (const auto k = onRim(s, degrees); !k) return tl::unexpected(k.error());
        return true;
    }
    if (take(s, "under")) {
        const auto k = part(s);
        if (!k) return tl::unexpected(k.error());
        if (*k == kOnTable) return refuse(tr("Nothing goes under the table."));
        const Vec3 to = axisOf(*k), now = middle();
        pose_.at += Vec3{to.x - now.x, to.y - now.y, placer_.box(*k).low.z - box().high.z};
        lifted_ = true;
        return true;
    }
    if (takeOne(s, {"beside", "next to", "right of", "to the right of"})) {
        const auto k = partOrBelow(s);
        return k ? beside(*k, 0, 1) : tl::unexpected(k.error());
    }
    if (takeOne(s, {"left of", "to the left of"})) {
        const auto k = partOrBelow(s);
        return k ? beside(*k, 0, -1) : tl::unexpected(k.error());
    }
    if (takeOne(s, {"in front of", "before"})) {
        const auto k = partOrBelow(s);
        return k ? beside(*k, 1, -1) : tl::unexpected(k.error());
    }
    if (take(s, "behind")) {
        const auto k = partOrBelow(s);
        return k ? beside(*k, 1, 1) : tl::unexpected(k.error());
    }
    if (takeOne(s, {"against", "touching"})) {
        const auto k = part(s);
        if (!k) return tl::unexpected(k.error());
        if (*k == kOnTable) {
            lifted_ = false;
            settle();
            return true;
        }
        const Box mine = box(), theirs = placer_.box(*k);
        Way way = kRight;
        double most = -1e300;
        for (const Way& w : {kRight, kLeft, kBack, kFront}) {
            const double gap = w.sign > 0 ? at(theirs.low, w.axis) - at(mine.high, w.axis)
                                          : at(mine.low, w.axis) - at(theirs.high, w.axis);
            if (gap > most) most = gap, way = w;
        }
        const auto pushed = placer_.pushed(item_, pose_, way);
        if (!pushed) return refuse(say("It would pass {} by: bring it in line first.", lowerFirst(name(*k))));
        pose_ = *pushed;
        return true;
    }
    if (takeOne(s, {"flush", "in line"})) {
        std::optional<size_t> with;
        auto way = direction(s);
        if (take(s, "with")) {
            std::string rest = s;
            const auto where = rest.find(" on the ");
            if (where != std::string::npos && !way) {
                std::string side = trimmed(rest.substr(where + 8));
                way = direction(side);
                rest = trimmed(rest.substr(0, where));
            }
            const auto k = partOrBelow(rest);
            if (!k) return tl::unexpected(k.error());
            with = *k;
        } else {
            const auto k = below();
            if (!k) return tl::unexpected(k.error());
            with = *k;
        }
        if (*with == kOnTable) return refuse(tr("Say with which part it is flush."));
        if (!way) return refuse(tr("Say on which side: “flush left”, “flush with the base on the right”."));
        const Box mine = box(), theirs = placer_.box(*with);
        at(pose_.at, way->axis) += way->sign > 0 ? at(theirs.high, way->axis) - at(mine.high, way->axis)
                                                 : at(theirs.low, way->axis) - at(mine.low, way->axis);
        if (way->axis == 2) lifted_ = true;
        settle();
        return true;
    }
    if (takeOne(s, {"centred on", "centered on", "centred", "centered", "in the middle of", "in the middle",
                    "on top of", "on", "in", "inside", "over"})) {
        const auto k = partOrBelow(s);
        if (!k) return tl::unexpected(k.error());
        lifted_ = false;
        if (*k != kOnTable) {
            const Vec3 to = axisOf(*k), now = middle();
            pose_.at += Vec3{to.x - now.x, to.y - now.y, 0};
            // from above: what is in the way is what it goes onto
            pose_.at.z += placer_.box(*k).high.z - box().low.z;
        }
        settle();
        return true;
    }
    return false;
}

}  // namespace

tl::expected<Said, Problem> saidOf(const Part& assembly, const std::string& key, const std::string& words,
                                   UnitSystem units, const form::Meshes& meshes) {
    Said said{assembly, {key}};
    const auto it = std::ranges::find(said.assembly.items, key, &form::PartItem::key);
    if (it == said.assembly.items.end()) return refuse(tr("Choose a part first."));
    const auto all = phrases(words);
    if (all.empty()) return refuse(tr("Say where it goes: “on the base”, “12 mm from the left edge”."));
    auto placer = placerOf(assembly, meshes);
    if (!placer) return tl::unexpected(placer.error());
    Reader reader(said, *placer, static_cast<size_t>(it - said.assembly.items.begin()), units);
    for (const auto& phrase : all)
        if (auto ok = reader.read(phrase); !ok) return tl::unexpected(ok.error());
    reader.finish();
    return said;
}

std::string whereabouts(const Placer& placer, const Part& assembly, size_t item, UnitSystem units) {
    const auto [gap, on] = placer.below(item);
    const Box mine = placer.box(item);
    const auto lengthOf = [&](double v) { return format(std::abs(v) < 5e-5 ? 0 : v, Dimension::Length, units); };
    const std::string what = on == kOnTable ? std::string(tr("the table")) : lowerFirst(assembly.items[on].name);
    std::string out = gap > 0 ? say("{} over {}", lengthOf(gap), what) : say("on {}", what);
    if (on == kOnTable || on >= placer.size()) return out;
    const Vec3 mid = (mine.low + mine.high) * 0.5;
    if (const auto ring = placer.ring(on)) {
        const double r = std::hypot(mid.x - ring->centre.x, mid.y - ring->centre.y);
        if (r < kOnAxis) return out + tr(", centred");
        const double a = std::atan2(mid.y - ring->centre.y, mid.x - ring->centre.x) * 180 / std::numbers::pi;
        return out + say(", {} from its middle at {:.0f}°", lengthOf(r), std::fmod(std::round(a) + 360, 360));
    }
    const Box theirs = placer.box(on);
    const bool wide = std::abs(mid.x - 0.5 * (theirs.low.x + theirs.high.x)) < kOnAxis,
               deep = std::abs(mid.y - 0.5 * (theirs.low.y + theirs.high.y)) < kOnAxis;
    if (wide && deep) return out + tr(", centred");
    if (!wide && mine.low.x >= theirs.low.x && mine.high.x <= theirs.high.x) {
        const double left = mine.low.x - theirs.low.x, right = theirs.high.x - mine.high.x;
        out += left < right ? say(", {} from its left edge", lengthOf(left))
                            : say(", {} from its right edge", lengthOf(right));
    }
    if (!deep && mine.low.y >= theirs.low.y && mine.high.y <= theirs.high.y) {
        const double front = mine.low.y - theirs.low.y, back = theirs.high.y - mine.high.y;
        out += front < back ? say(", {} from its front edge", lengthOf(front))
                            : say(", {} from its back edge", lengthOf(back));
    }
    return out;
}

}  // namespace uovo::assembly
