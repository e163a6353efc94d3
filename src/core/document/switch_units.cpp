// Grams and millimetres, or ounces and inches: what was said in the other system is shown converted from then on.
#include <algorithm>
#include <nlohmann/json.hpp>

#include "core/document/edits.h"

namespace uovo {
namespace {

using json = nlohmann::ordered_json;

constexpr const char* kUs[]{"in",  "inch", "inches", "ft",   "oz", "lb", "lbs", "pound", "pounds",
                            "cup", "cups", "tsp",    "tbsp", "f",  "\"", "″",   "'"};
constexpr const char* kMetric[]{"mm", "cm", "m", "kg", "g", "gram", "grams", "ml", "cl", "dl", "l", "c"};

/// Lower-case letters at the end of what was said: its last unit.
std::string lastUnit(std::string words) {
    while (!words.empty() && (words.back() == ' ' || words.back() == '.')) words.pop_back();
    for (const std::string mark : {"\"", "″", "'"})
        if (words.ends_with(mark)) return mark;
    std::string unit;
    while (!words.empty() && std::isalpha(static_cast<unsigned char>(words.back()))) {
        unit.insert(unit.begin(), static_cast<char>(std::tolower(static_cast<unsigned char>(words.back()))));
        words.pop_back();
    }
    return unit;
}

void forget(json& j, UnitSystem units) {
    if (j.is_object() && j.contains("si") && j.contains("text") && j["text"].is_string()) {
        if (isOfOther(j["text"].get<std::string>(), units)) j.erase("text");
        return;
    }
    if (j.is_structured())
        for (auto& inner : j) forget(inner, units);
}

}  // namespace

bool isOfOther(const std::string& words, UnitSystem units) {
    const std::string unit = lastUnit(words);
    const auto in = [&](const auto& list) { return std::ranges::find(list, unit) != std::end(list); };
    return units == UnitSystem::US ? in(kMetric) : in(kUs);
}

void switchUnits(Plan& plan, UnitSystem units) {
    if (plan.units == units) return;
    form::Meshes meshes;  // they hold no words, and are large
    std::map<std::string, std::string> extras;
    meshes.swap(plan.meshes);
    extras.swap(plan.meshExtras);
    json file = json::parse(writePlan(plan), nullptr, false);
    forget(file, units);
    if (auto next = readPlan(file.dump(-1, ' ', false, json::error_handler_t::replace))) plan = std::move(*next);
    plan.meshes = std::move(meshes);
    plan.meshExtras = std::move(extras);
    plan.units = units;
}

}  // namespace uovo
