#include "io/examples.h"

#include <cstdio>
#include <cstdlib>

#include "core/quantity/catalogue.h"
#include "core/quantity/clock.h"
#include "io/data.h"
#include "io/embedded_data.h"

namespace uovo::io {

const std::vector<Example>& examples() {
    static const std::vector<Example> all{{"garden-table", tr("Garden table"), tr("bowls, scraped and strewn")},
                                          {"lamps", tr("Lamps of chocolate"), tr("lace, strips and drips")},
                                          {"supper", tr("Supper by the fire"), tr("filled bowls and cups, sprayed")},
                                          {"seed-heads", tr("Seed heads"), tr("a figure in molds of its own")}};
    return all;
}

Plan examplePlan(const std::string& file, long now, long lead) {
    for (const auto& f : embeddedFiles()) {
        if (f.name != "examples/" + file + ".uovo") continue;
        auto plan = readPlan(f.text);
        if (!plan) {
            std::fprintf(stderr, "%s\n", plan.error().sentence.c_str());
            std::abort();
        }
        inLanguage(*plan);
        constexpr long kWeek = 7 * 1440;
        long at = *localMinutes(plan->deadline);
        if (const long earliest = now + lead; at < earliest) at += (earliest - at + kWeek - 1) / kWeek * kWeek;
        else at -= (at - earliest) / kWeek * kWeek;
        plan->deadline = localTime(at);
        return std::move(*plan);
    }
    std::abort();
}

}  // namespace uovo::io
