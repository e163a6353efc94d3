// Plans whose pieces are models: what is read of them is checked and built, and never breaks anything.
#include <cstdlib>

#include "core/document/plan.h"
#include "core/form/part.h"
#include "io/data.h"
#include "round_trip.h"

extern "C" int LLVMFuzzerTestOneInput(const uint8_t* data, size_t size) {
    const std::string meshes(reinterpret_cast<const char*>(data), size);
    // the bytes stand where a plan has its models; the piece is sound
    const auto plan = uovo::readPlan(
        "{\"format\":\"uovo-plan\",\"version\":1,\"deadline\":\"2026-08-04T21:30\",\"pieces\":[{\"id\":\"a\",\"name\":"
        "\"A\",\"former\":{\"kind\":\"mesh\",\"mesh\":\"m\"},\"coats\":[]}],\"meshes\":{\"m\":" +
        meshes + "}}");
    if (!plan) {
        if (plan.error().sentence.empty()) std::abort();
        return 0;
    }
    mustReadBack(*plan);
    for (const auto& p : uovo::problems(*plan, uovo::io::library()))
        if (p.sentence.empty()) std::abort();
    return 0;
}
