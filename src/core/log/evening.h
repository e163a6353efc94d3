// An evening as the log keeps it: the plan that was worked, what was measured, how it came out. Nothing is overwritten:
// what corrects an entry names it.
#pragma once
#include <cstdint>
#include <map>
#include <string>
#include <tl/expected.hpp>
#include <vector>

#include "core/learn/record.h"

namespace uovo::log {

inline constexpr size_t kMostEvenings = 5'000, kMostEntries = 50'000;
inline constexpr size_t kMostPhoto = 8'000'000;  ///< bytes

struct Entry {
    enum class Is {
        Measured,   ///< `record`
        Made,       ///< `count` of `of` pieces came out whole
        Failed,     ///< `count` of a piece had a `fault`, for a `cause` if it was found
        Left,       ///< `value` kg of a `chocolate` were left over
        Stars,      ///< `count` of five, of a piece or of the evening
        Said,       ///< `words`
        Photo,      ///< `photo`, with `words`
        TakenBack,  ///< the entry it replaces does not hold any more
    } is = Is::Said;
    std::int64_t id = 0;        ///< in its log; 0: not kept yet
    std::int64_t replaces = 0;  ///< id of the entry that it corrects; 0: none
    std::string at;             ///< local time it was entered, "2026-05-12T22:10"
    std::string piece;          ///< id in the evening's plan; empty: the evening
    learn::Record record;
    int count = 0, of = 0;
    std::string fault, cause;  ///< ids of data/faults.json
    std::string chocolate;
    double value = 0;
    std::string words;
    std::string photo;  ///< a picture file's bytes
    bool operator==(const Entry&) const = default;
};

struct Evening {
    std::string id, date;                     ///< id: its own in a log; date "2026-05-12"
    Plan plan;                                ///< as it was worked
    std::map<std::string, std::string> bags;  ///< of a chocolate the bag that was open
    std::string run;                          ///< the log of its day (core/run), text; empty: none
    std::vector<Entry> entries;               ///< all, in the order they were made

    /// Those that hold: neither corrected nor taken back.
    std::vector<const Entry*> held() const;
    /// What it teaches: its measurements that hold.
    learn::Evening taught() const;
    /// The log's entry numbers of what `taught()` has, in its order.
    std::vector<std::int64_t> taughtFrom() const;
    /// Of a piece: how many were begun, and how many of them came out whole; nothing where nothing was said.
    struct Count {
        int whole = 0, of = 0;
    };
    std::map<std::string, Count> counts() const;
    /// Stars of a piece, or of the evening; 0: none given.
    int stars(const std::string& piece = {}) const;
    bool operator==(const Evening&) const = default;
};

/// What is wrong with an entry of an evening; empty where nothing is.
std::string wrongWith(const Entry& entry, const Evening& evening);

/// A whole log in one text (docs/format.md, "Log"): as JSON, and as comma-separated values with a column a person reads
/// for each thing and one that holds all of it. Both are read again without loss.
std::string writeLog(const std::vector<Evening>& evenings);
tl::expected<std::vector<Evening>, Problem> readLog(const std::string& text);
std::string writeLogCsv(const std::vector<Evening>& evenings);
tl::expected<std::vector<Evening>, Problem> readLogCsv(const std::string& text);
/// Whichever of the two it is.
tl::expected<std::vector<Evening>, Problem> readAnyLog(const std::string& text);

/// One entry as JSON text, its photo left out where `photos` is false, and back.
std::string entryText(const Entry& entry, bool photos = true);
tl::expected<Entry, Problem> readEntry(const std::string& text);

}  // namespace uovo::log
