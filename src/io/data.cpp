#include "io/data.h"

#include <cstdio>
#include <cstdlib>

#include <nlohmann/json.hpp>

#include "core/document/each_name.h"
#include "core/form/rock.h"
#include "core/quantity/catalogue.h"
#include "core/quantity/clock.h"
#include "io/embedded_data.h"

namespace uovo::io {

const material::Library& library() {
    static const material::Library lib = [] {
        std::map<std::string, std::string> files;
        for (const auto& f : embeddedFiles()) files[f.name] = f.text;
        auto read = material::readLibrary(files);
        if (!read) {
            std::fprintf(stderr, "%s\n", read.error().sentence.c_str());
            std::abort();
        }
        material::eachText(*read, [](std::string& text) { text = tr(text); });
        return *read;
    }();
    return lib;
}

void inLanguage(Plan& plan) {
    eachName(plan, [](std::string& text) { text = tr(text); });
}

Plan demoPlan(long today) {
    for (const auto& f : embeddedFiles())
        if (f.name == "demo/perseid-night.uovo") {
            auto plan = readPlan(f.text);
            if (!plan) {
                std::fprintf(stderr, "%s\n", plan.error().sentence.c_str());
                std::abort();
            }
            inLanguage(*plan);
            plan->meshes["meteorite"] = std::make_shared<const form::Mesh>(form::rock(0.046, 5, 3));
            plan->deadline = localTime(today / 1440 * 1440 + 21 * 60 + 30);
            return *plan;
        }
    std::abort();
}

Plan demoPlanFor(long now, long leadMinutes) {
    Plan plan = demoPlan(now);
    if (*localMinutes(plan.deadline) - leadMinutes < now) plan = demoPlan(now + 1440);
    return plan;
}

std::vector<log::Evening> demoLog(long today) {
    std::vector<log::Evening> out;
    for (const auto& f : embeddedFiles()) {
        if (f.name != "demo/log.json") continue;
        const auto all = nlohmann::json::parse(f.text);
        for (const auto& j : all.at("evenings")) {
            const long day = today / 1440 - j.at("daysBefore").get<long>();
            log::Evening e;
            e.plan = demoPlan(day * 1440);
            e.plan.name = tr(j.at("name").get<std::string>());
            e.plan.meshes.clear();
            const auto made = j.at("pieces").get<std::map<std::string, int>>();
            std::erase_if(e.plan.pieces, [&](const Piece& p) { return !made.contains(p.id); });
            for (auto& p : e.plan.pieces) p.count = made.at(p.id);
            e.id = localTime(day * 1440 + 13 * 60);
            e.date = e.id.substr(0, 10);
            e.bags = j.at("bags").get<std::map<std::string, std::string>>();
            for (auto& [chocolate, bag] : e.bags) bag = tr(bag);
            for (const auto& entry : j.at("entries")) {
                e.entries.push_back(*log::readEntry(entry.dump()));
                e.entries.back().words = tr(e.entries.back().words);
                e.entries.back().at = localTime(day * 1440 + 22 * 60 + static_cast<long>(e.entries.size()));
            }
            out.push_back(std::move(e));
        }
    }
    return out;
}

}  // namespace uovo::io
