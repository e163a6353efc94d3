#include "core/document/difference.h"

#include <fmt/format.h>

#include <algorithm>
#include <map>
#include <nlohmann/json.hpp>
#include <optional>

#include "core/quantity/catalogue.h"
#include "core/quantity/decimal.h"

namespace uovo {
namespace {

using json = nlohmann::ordered_json;

constexpr const char* kMissing = "—";

/// What the figures of a plan's file measure, where a family does not say it.
const std::map<std::string, Dimension> kDimensions{{"room", Dimension::Temperature},
                                                   {"fridge", Dimension::Temperature},
                                                   {"freezer", Dimension::Temperature},
                                                   {"temperature", Dimension::Temperature},
                                                   {"humidity", Dimension::Percent},
                                                   {"share", Dimension::Percent},
                                                   {"fill", Dimension::Percent},
                                                   {"survives", Dimension::Percent},
                                                   {"thinnerShare", Dimension::Percent},
                                                   {"secondShare", Dimension::Percent},
                                                   {"letDown", Dimension::Percent},
                                                   {"strength", Dimension::Percent},
                                                   {"pear", Dimension::Percent},
                                                   {"shelfWidth", Dimension::Length},
                                                   {"shelfDepth", Dimension::Length},
                                                   {"shelfHeight", Dimension::Length},
                                                   {"freezerWidth", Dimension::Length},
                                                   {"freezerDepth", Dimension::Length},
                                                   {"freezerHeight", Dimension::Length},
                                                   {"boxLength", Dimension::Length},
                                                   {"boxWidth", Dimension::Length},
                                                   {"boxHeight", Dimension::Length},
                                                   {"plate", Dimension::Length},
                                                   {"mug", Dimension::Length},
                                                   {"mugDepth", Dimension::Length},
                                                   {"girth", Dimension::Length},
                                                   {"length", Dimension::Length},
                                                   {"dip", Dimension::Length},
                                                   {"baseDiameter", Dimension::Length},
                                                   {"topDiameter", Dimension::Length},
                                                   {"height", Dimension::Length},
                                                   {"corner", Dimension::Length},
                                                   {"fillLine", Dimension::Length},
                                                   {"wantedWall", Dimension::Length},
                                                   {"cap", Dimension::Length},
                                                   {"span", Dimension::Length},
                                                   {"width", Dimension::Length},
                                                   {"thickness", Dimension::Length},
                                                   {"sag", Dimension::Length},
                                                   {"drain", Dimension::Duration},
                                                   {"delay", Dimension::Duration},
                                                   {"stay", Dimension::Duration},
                                                   {"moveFor", Dimension::Duration},
                                                   {"moveEvery", Dimension::Duration},
                                                   {"chill", Dimension::Duration},
                                                   {"dry", Dimension::Duration},
                                                   {"depth", Dimension::Length},
                                                   {"grain", Dimension::Length},
                                                   {"amount", Dimension::Volume},
                                                   {"make", Dimension::Duration},
                                                   {"usableFrom", Dimension::Duration},
                                                   {"usableTo", Dimension::Duration},
                                                   {"table", Dimension::Duration},
                                                   {"brushMass", Dimension::Mass},
                                                   {"mass", Dimension::Mass},
                                                   {"hung", Dimension::Mass},
                                                   {"each", Dimension::Volume},
                                                   {"makes", Dimension::Volume}};

/// What a step's figures measure, where its kind says it.
const std::map<std::pair<std::string, std::string>, Dimension> kStepDimensions{
    {{"top", "each"}, Dimension::Mass}, {{"insert", "each"}, Dimension::Count}, {{"cast", "share"}, Dimension::Count}};

/// "wantedWall" as "wanted wall".
std::string inWords(const std::string& key) {
    std::string out;
    for (const char c : key) {
        if (c >= 'A' && c <= 'Z') out += ' ';
        out += c >= 'A' && c <= 'Z' ? static_cast<char>(c - 'A' + 'a') : c;
    }
    return out;
}

/// @param step kind of the step it is of; empty of all else
std::string shown(const json& v, const std::string& key, const form::Family* family, const std::string& step,
                  UnitSystem units) {
    if (v.is_object() && v.contains("text")) return v["text"].get<std::string>();
    const json& figure = v.is_object() && v.contains("si") ? v["si"] : v;
    if (figure.is_boolean()) return figure.get<bool>() ? tr("yes") : tr("no");
    if (figure.is_string()) return figure.get<std::string>();
    if (figure.is_number()) {
        std::optional<Dimension> dimension;
        if (const auto it = kDimensions.find(key); it != kDimensions.end()) dimension = it->second;
        if (const auto it = kStepDimensions.find({step, key}); it != kStepDimensions.end()) dimension = it->second;
        if (const auto* field = family ? family->field(key) : nullptr) dimension = field->dimension;
        return dimension && *dimension != Dimension::Count ? format(figure.get<double>(), *dimension, units)
                                                           : significant(figure.get<double>(), 6);
    }
    if (figure.is_array()) return say("{} of them", figure.size());
    return figure.is_null() ? kMissing : tr("another");
}

class Compare {
public:
    explicit Compare(UnitSystem units) : units_(units) {}
    std::vector<Difference> found;

    /// @param at what it is of, in words @param key its own name
    void values(const json* a, const json* b, const std::string& at, const std::string& key,
                const form::Family* family) {
        if (a && b && *a == *b) return;
        const auto measure = [](const json& v) { return v.contains("si"); };
        const json none = json::object();
        const bool deep = (!a || (a->is_object() && !measure(*a))) && (!b || (b->is_object() && !measure(*b)));
        if (deep && a && b) return members(*a, *b, key.empty() ? at : joined(at, inWords(key)), family);
        if (a && b && key == "making") return makings(*a, *b, at, family);
        if (a && b && a->is_array() && b->is_array() && a->size() == b->size() && !a->empty() &&
            a->front().is_object()) {
            for (size_t i = 0; i < a->size(); ++i)
                members((*a)[i], (*b)[i], joined(at, fmt::format("{} {}", one(key), i + 1)), family);
            return;
        }
        const auto side = [&](const json* v) {
            return !v ? std::string(kMissing) : deep ? std::string("there") : shown(*v, key, family, step_, units_);
        };
        found.push_back({at.empty() ? inWords(key) : at + ": " + inWords(key), side(a), side(b)});
    }

    void members(const json& a, const json& b, const std::string& at, const form::Family* family) {
        const auto get = [](const json& o, const std::string& key) {
            const auto it = o.find(key);
            return it == o.end() ? nullptr : &*it;
        };
        for (const auto& [key, value] : a.items()) values(&value, get(b, key), at, key, family);
        for (const auto& [key, value] : b.items())
            if (!a.contains(key)) values(nullptr, &value, at, key, family);
    }

private:
    /// Step by step where the steps are the same; else which they are.
    void makings(const json& a, const json& b, const std::string& at, const form::Family* family) {
        const auto steps = [](const json& making) {
            std::vector<std::string> out;
            for (const auto& s : making) out.push_back(s["do"].get<std::string>());
            return out;
        };
        const auto list = [](const std::vector<std::string>& all) {
            std::string out;
            for (const auto& s : all) out += (out.empty() ? "" : ", ") + s;
            return out.empty() ? std::string(kMissing) : out;
        };
        const auto mine = steps(a), theirs = steps(b);
        if (mine != theirs) return found.push_back({at + tr(": steps"), list(mine), list(theirs)});
        for (size_t i = 0; i < mine.size(); ++i) {
            step_ = mine[i];
            const auto same = [&](const std::string& s) { return s == mine[i]; };
            const auto n = std::count_if(mine.begin(), mine.begin() + static_cast<std::ptrdiff_t>(i) + 1, same),
                       all = std::count_if(mine.begin(), mine.end(), same);
            members(a[i], b[i], joined(at, all > 1 ? fmt::format("{} {}", mine[i], n) : mine[i]), family);
        }
        step_.clear();
    }
    static std::string joined(const std::string& at, const std::string& more) {
        return at.empty() ? more : at + ", " + more;
    }
    static std::string one(const std::string& key) {
        return key.ends_with("s") ? inWords(key.substr(0, key.size() - 1)) : inWords(key);
    }
    UnitSystem units_;
    std::string step_;
};

}  // namespace

std::vector<Difference> differences(const Plan& mine, const Plan& theirs) {
    Compare compare(mine.units);
    const auto bare = [](Plan plan) {
        plan.meshes.clear();
        plan.day.laid = {};  // follows from the rest
        return json::parse(writePlan(plan));
    };
    json a = bare(mine), b = bare(theirs);
    const json pa = a["pieces"], pb = b["pieces"];
    a.erase("pieces");
    b.erase("pieces");
    compare.members(a, b, "", nullptr);
    const auto named = [](const json& list, const std::string& id) {
        return std::find_if(list.begin(), list.end(), [&](const json& p) { return p["id"] == id; });
    };
    for (const json& piece : pa) {
        const auto other = named(pb, piece["id"]);
        if (other == pb.end()) {
            compare.found.push_back({piece["name"].get<std::string>(), "there", kMissing});
            continue;
        }
        compare.members(piece, *other, piece["name"].get<std::string>(),
                        form::family(piece["former"]["kind"].get<std::string>()));
    }
    for (const json& piece : pb)
        if (named(pa, piece["id"]) == pa.end())
            compare.found.push_back({piece["name"].get<std::string>(), kMissing, "there"});
    for (const auto& [name, mesh] : mine.meshes) {
        const auto other = theirs.meshes.find(name);
        if (other != theirs.meshes.end() && (other->second == mesh || *other->second == *mesh)) continue;
        const auto words = [](const form::Mesh& m) { return say("{} triangles", m.triangles.size()); };
        compare.found.push_back(
            {tr("model ") + name, words(*mesh), other == theirs.meshes.end() ? kMissing : words(*other->second)});
    }
    for (const auto& [name, mesh] : theirs.meshes)
        if (!mine.meshes.contains(name))
            compare.found.push_back({tr("model ") + name, kMissing, say("{} triangles", mesh->triangles.size())});
    return compare.found;
}

}  // namespace uovo
