// One record as JSON (docs/format.md, "Records"), and how records and logs are read.
#pragma once
#include <algorithm>
#include <iterator>
#include <nlohmann/json.hpp>

#include "core/learn/record.h"
#include "core/quantity/catalogue.h"

namespace uovo::learn {

/// Stops the reading with what is wrong and where; never leaves readJson().
[[noreturn]] inline void refuse(std::string sentence, std::string where) {
    throw Problem{std::move(sentence), std::move(where)};
}

/// Runs a reader: what it throws becomes what is wrong.
template <class Read>
auto readJson(Read read) -> tl::expected<decltype(read()), Problem> {
    try {
        return read();
    } catch (const Problem& p) {
        return tl::unexpected(p);
    } catch (const nlohmann::json::parse_error&) {
        return tl::unexpected(Problem{tr("This is not JSON."), ""});
    } catch (const nlohmann::json::exception&) {
        return tl::unexpected(Problem{tr("Something in it is not as docs/format.md asks."), ""});
    }
}

/// The pair of a table whose word it is; null where it is none of them.
template <class Pair, size_t n>
const Pair* worded(const Pair (&table)[n], const std::string& word) {
    const auto* it = std::find_if(std::begin(table), std::end(table), [&](const Pair& p) { return word == p.second; });
    return it == std::end(table) ? nullptr : it;
}

/// Throws what is wrong with its place below `where`, or an exception of the library.
Record recordFrom(const nlohmann::json& j, const std::string& where);
nlohmann::json jsonOf(const Record& record);

}  // namespace uovo::learn
