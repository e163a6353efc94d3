// Fuzzes the reader of the log of a day: what it takes it writes and reads again, to the same state.
#include <cstdint>
#include <cstdlib>

#include "core/run/run_json.h"

extern "C" int LLVMFuzzerTestOneInput(const uint8_t* data, size_t size) {
    using namespace uovo::run;
    const std::string_view text(reinterpret_cast<const char*>(data), size);
    const auto log = readLog(text);
    if (!log) return 0;
    if (log->whole > size) std::abort();
    std::string again = headLine();
    for (const auto& e : log->run.events()) again += lineOf(e, log->last);
    const auto twice = readLog(again);
    if (!twice || twice->run.events().size() != log->run.events().size() ||
        twice->run.steps().size() != log->run.steps().size())
        std::abort();
    for (const auto& p : log->run.pieces())
        if (p.whole() < 0 || p.missing() < 0) std::abort();
    for (const auto& t : log->run.timers(log->run.now()))
        if (t.due < 0) std::abort();
    return 0;
}
