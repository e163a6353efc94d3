// The plan reader on anything: never a crash, and what it accepts survives being written and read again.
#include <cstdlib>

#include "core/document/plan.h"
#include "round_trip.h"

extern "C" int LLVMFuzzerTestOneInput(const uint8_t* data, size_t size) {
    const auto plan = uovo::readPlan(std::string(reinterpret_cast<const char*>(data), size));
    if (!plan) {
        if (plan.error().sentence.empty()) std::abort();
        return 0;
    }
    mustReadBack(*plan);
    return 0;
}
