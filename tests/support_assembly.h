// Assemblies for tests, put together by words as a person does.
#pragma once
#include <catch2/catch.hpp>

#include "core/assembly/arrange.h"
#include "support.h"

namespace uovo::test {

/// Puts parts together as a person does: a part, its figures, and where it goes.
class Assembled {
public:
    Assembled() { whole_.family = form::kAssembly; }
    Assembled& add(const std::string& name, const std::string& family, form::Figures figures, const std::string& words,
                   std::map<std::string, std::string> choices = {}) {
        form::PartItem item;
        item.key = item.name = name;
        item.part.family = family;
        for (const auto& [k, v] : figures) item.part.values[k] = v;
        item.part.choices = std::move(choices);
        if (!whole_.items.empty()) item.at[0] = Measure(0.5);  // beside all else, then to its place
        whole_.items.push_back(item);
        if (!words.empty()) {
            auto said = assembly::saidOf(whole_, name, words, UnitSystem::Metric, {});
            INFO(name << ": " << words << ": " << (said ? std::string() : said.error().sentence));
            REQUIRE(said);
            whole_ = std::move(said->assembly);
        }
        return *this;
    }
    const form::Part& part() {
        std::vector<std::string> keys;
        for (const auto& i : whole_.items) keys.push_back(i.key);
        REQUIRE(assembly::glueWhatTouches(whole_, keys, {}));
        return whole_;
    }

private:
    form::Part whole_;
};

/// A tub with a lid on it and a knob on the lid.
inline form::Part lidded() {
    Assembled tub;
    tub.add("Tub", "case",
            {{"baseDiameter", 0.05}, {"topDiameter", 0.06}, {"height", 0.05}, {"flutes", 0}, {"fluteDepth", 0}}, "");
    tub.add("Lid", "disc", {{"diameter", 0.066}, {"thickness", 0.004}}, "on the tub");
    tub.add("Knob", "ball-solid", {{"diameter", 0.016}}, "on the lid");
    return tub.part();
}

}  // namespace uovo::test
