#include "io/data.h"

#include <cstdio>
#include <cstdlib>

#include "core/form/rock.h"
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
        return *read;
    }();
    return lib;
}

Plan demoPlan(long today) {
    for (const auto& f : embeddedFiles())
        if (f.name == "demo/perseid-night.uovo") {
            auto plan = readPlan(f.text);
            if (!plan) {
                std::fprintf(stderr, "%s\n", plan.error().sentence.c_str());
                std::abort();
            }
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

}  // namespace uovo::io
