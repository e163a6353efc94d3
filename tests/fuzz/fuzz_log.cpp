// Fuzzes the readers of a log, JSON and comma-separated values: what one takes both write and read again, equal.
#include <cstdint>
#include <cstdlib>

#include "core/log/evening.h"

extern "C" int LLVMFuzzerTestOneInput(const uint8_t* data, size_t size) {
    using namespace uovo::log;
    if (size == 0) return 0;
    const std::string text(reinterpret_cast<const char*>(data) + 1, size - 1);
    const auto read = data[0] & 1 ? readLogCsv(text) : readLog(text);
    if (!read) return 0;
    const auto json = readLog(writeLog(*read));
    const auto csv = readLogCsv(writeLogCsv(*read));
    if (!json || !csv || *json != *read || *csv != *read) std::abort();
    for (const auto& e : *read) {
        (void)e.taught();
        if (e.held().size() > e.entries.size()) std::abort();
    }
    return 0;
}
