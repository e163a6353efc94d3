// A log as JSON and as comma-separated values.
#include <fmt/format.h>

#include <nlohmann/json.hpp>
#include <set>

#include "core/learn/record_json.h"
#include "core/log/evening.h"
#include "core/quantity/base64.h"
#include "core/quantity/catalogue.h"

namespace uovo::log {
namespace {

using learn::refuse;
using nlohmann::json;
using Is = Entry::Is;

constexpr int kLogVersion = 1;
constexpr std::pair<Is, const char*> kWordsOfEntries[] = {
    {Is::Measured, "measured"}, {Is::Made, "made"}, {Is::Failed, "failed"}, {Is::Left, "left"},
    {Is::Stars, "stars"},       {Is::Said, "said"}, {Is::Photo, "photo"},   {Is::TakenBack, "takenBack"}};

const char* wordOf(Is is) {
    for (const auto& [k, word] : kWordsOfEntries)
        if (k == is) return word;
    return "";
}

json entryJson(const Entry& e, bool photos) {
    json j{{"is", wordOf(e.is)}};
    if (e.id != 0) j["id"] = e.id;
    if (e.replaces != 0) j["replaces"] = e.replaces;
    if (!e.at.empty()) j["at"] = e.at;
    if (!e.piece.empty()) j["piece"] = e.piece;
    if (e.is == Is::Measured) j["record"] = learn::jsonOf(e.record);
    if (e.count != 0) j["count"] = e.count;
    if (e.of != 0) j["of"] = e.of;
    if (!e.fault.empty()) j["fault"] = e.fault;
    if (!e.cause.empty()) j["cause"] = e.cause;
    if (!e.chocolate.empty()) j["chocolate"] = e.chocolate;
    if (e.is == Is::Left) j["mass"] = e.value;
    if (!e.words.empty()) j["words"] = e.words;
    if (photos && !e.photo.empty()) j["photo"] = base64(e.photo);
    return j;
}

Entry entryOf(const json& j, const std::string& where) {
    Entry e;
    const auto is = j.at("is").get<std::string>();
    const auto* word = learn::worded(kWordsOfEntries, is);
    if (!word) refuse(say("“{}” is no kind of entry.", is), where + "/is");
    e.is = word->first;
    e.id = j.value("id", std::int64_t{0});
    e.replaces = j.value("replaces", std::int64_t{0});
    e.at = j.value("at", "");
    e.piece = j.value("piece", "");
    if (e.is == Is::Measured) e.record = learn::recordFrom(j.at("record"), where + "/record");
    e.count = j.value("count", 0);
    e.of = j.value("of", 0);
    e.fault = j.value("fault", "");
    e.cause = j.value("cause", "");
    e.chocolate = j.value("chocolate", "");
    if (e.is == Is::Left) e.value = j.at("mass").get<double>();
    e.words = j.value("words", "");
    if (j.contains("photo")) {
        const auto photo = fromBase64(j.at("photo").get<std::string>(), kMostPhoto);
        if (!photo) refuse(tr("This is no picture in base 64."), where + "/photo");
        e.photo = *photo;
    }
    return e;
}

/// An evening without its entries.
json headJson(const Evening& e) {
    json j{{"id", e.id}, {"date", e.date}, {"plan", json::parse(writePlan(e.plan))}};
    if (!e.bags.empty()) j["bags"] = e.bags;
    if (!e.run.empty()) j["run"] = e.run;
    return j;
}

Evening headOf(const json& j, const std::string& where) {
    Evening e;
    e.id = j.at("id").get<std::string>();
    e.date = j.at("date").get<std::string>();
    if (e.id.empty() || e.id.size() > 200) refuse(tr("An evening has no id."), where + "/id");
    auto plan = readPlan(j.at("plan").dump());
    if (!plan) refuse(plan.error().sentence, where + "/plan/" + plan.error().where);
    e.plan = std::move(*plan);
    if (j.contains("bags")) e.bags = j.at("bags").get<std::map<std::string, std::string>>();
    e.run = j.value("run", "");
    return e;
}

/// Puts an entry at the end of an evening; throws what is wrong with it.
void put(Evening& evening, Entry entry, const std::string& where, size_t& entries, std::set<std::int64_t>& ids) {
    if (++entries > kMostEntries) refuse(tr("More than 50 000 entries."), where);
    if (entry.id != 0 && !ids.insert(entry.id).second) refuse(tr("Two entries have one number."), where + "/id");
    if (auto wrong = wrongWith(entry, evening); !wrong.empty()) refuse(std::move(wrong), where);
    evening.entries.push_back(std::move(entry));
}

void checkIds(const std::vector<Evening>& all) {
    std::set<std::string> ids;
    for (const auto& e : all)
        if (!ids.insert(e.id).second) refuse(say("Two evenings have the id “{}”.", e.id), "evenings");
}

std::string cell(const std::string& text) {
    if (text.find_first_of(",\"\r\n") == std::string::npos) return text;
    std::string out = "\"";
    for (const char c : text) {
        if (c == '"') out += '"';
        out += c;
    }
    return out + '"';
}

/// Rows of cells (RFC 4180).
std::vector<std::vector<std::string>> rowsOf(const std::string& text) {
    std::vector<std::vector<std::string>> rows;
    std::vector<std::string> row;
    std::string now;
    bool quoted = false, any = false;
    const auto end = [&] {
        row.push_back(std::move(now));
        now.clear();
        rows.push_back(std::move(row));
        row.clear();
        any = false;
    };
    for (size_t i = 0; i < text.size(); ++i) {
        const char c = text[i];
        if (quoted) {
            if (c != '"') now += c;
            else if (i + 1 < text.size() && text[i + 1] == '"') now += c, ++i;
            else quoted = false;
            continue;
        }
        if (c == '"') quoted = any = true;
        else if (c == ',') row.push_back(std::move(now)), now.clear(), any = true;
        else if (c == '\n') end();
        else if (c != '\r') now += c, any = true;
    }
    if (quoted) refuse(tr("A quotation mark is not closed."), say("row {}", rows.size() + 1));
    if (any) end();
    return rows;
}

/// The number that a person looks for in a row.
std::string valueOf(const Entry& e) {
    switch (e.is) {
        case Is::Measured:
            return fmt::format("{:g}", e.record.value);
        case Is::Left:
            return fmt::format("{:g}", e.value);
        case Is::Made:
        case Is::Failed:
        case Is::Stars:
            return fmt::format("{}", e.count);
        default:
            return {};
    }
}

constexpr const char* kColumns = "evening,date,plan,is,at,piece,value,of,words,all";
constexpr size_t kCells = 10;

}  // namespace

std::string entryText(const Entry& entry, bool photos) { return entryJson(entry, photos).dump(); }

tl::expected<Entry, Problem> readEntry(const std::string& text) {
    try {
        return entryOf(json::parse(text), "entry");
    } catch (const Problem& p) {
        return tl::unexpected(p);
    } catch (const json::exception&) {
        return tl::unexpected(Problem{tr("Something in an entry is not as docs/format.md asks."), "entry"});
    }
}

std::string writeLog(const std::vector<Evening>& evenings) {
    json out{{"format", "uovo-log"}, {"version", kLogVersion}, {"evenings", json::array()}};
    for (const auto& e : evenings) {
        json j = headJson(e);
        j["entries"] = json::array();
        for (const auto& x : e.entries) j["entries"].push_back(entryJson(x, true));
        out["evenings"].push_back(std::move(j));
    }
    return out.dump(1) + "\n";
}

tl::expected<std::vector<Evening>, Problem> readLog(const std::string& text) {
    return learn::readJson([&] {
        const json all = json::parse(text);
        if (all.at("format") != "uovo-log") refuse(tr("This is no log."), "format");
        if (const int version = all.at("version").get<int>(); version != kLogVersion)
            refuse(say("This log is of version {}; this program reads {}.", version, kLogVersion), "version");
        std::vector<Evening> out;
        size_t entries = 0;
        std::set<std::int64_t> ids;
        for (const auto& j : all.at("evenings")) {
            const std::string where = fmt::format("evenings/{}", out.size());
            if (out.size() >= kMostEvenings) refuse(tr("More than 5 000 evenings."), where);
            Evening e = headOf(j, where);
            for (const auto& x : j.at("entries")) {
                const std::string at = fmt::format("{}/entries/{}", where, e.entries.size());
                put(e, entryOf(x, at), at, entries, ids);
            }
            out.push_back(std::move(e));
        }
        checkIds(out);
        return out;
    });
}

std::string writeLogCsv(const std::vector<Evening>& evenings) {
    std::string out = std::string(kColumns) + "\n";
    const auto row = [&](const std::array<std::string, kCells>& cells) {
        for (size_t k = 0; k < kCells; ++k) out += (k > 0 ? "," : "") + cell(cells[k]);
        out += '\n';
    };
    for (const auto& e : evenings) {
        row({e.id, e.date, e.plan.name, "evening", "", "", "", "", "", headJson(e).dump()});
        for (const auto& x : e.entries) {
            const std::string piece = x.piece.empty() ? x.record.piece : x.piece;
            row({e.id, e.date, e.plan.name, wordOf(x.is), x.at, piece, valueOf(x),
                 x.of != 0 ? fmt::format("{}", x.of) : "", x.words, entryJson(x, true).dump()});
        }
    }
    return out;
}

tl::expected<std::vector<Evening>, Problem> readLogCsv(const std::string& text) {
    return learn::readJson([&] {
        const auto rows = rowsOf(text);
        if (rows.empty() || rows[0].size() != kCells || rows[0][0] != "evening")
            refuse(tr("These are no values of a log."), tr("row 1"));
        std::vector<Evening> out;
        size_t entries = 0;
        std::set<std::int64_t> ids;
        for (size_t k = 1; k < rows.size(); ++k) {
            const std::string where = say("row {}", k + 1);
            if (rows[k].size() != kCells) refuse(say("{} cells where {} are expected.", rows[k].size(), kCells), where);
            const json all = json::parse(rows[k].back());
            if (rows[k][3] == "evening") {
                if (out.size() >= kMostEvenings) refuse(tr("More than 5 000 evenings."), where);
                out.push_back(headOf(all, where));
            } else if (out.empty() || out.back().id != rows[k][0])
                refuse(tr("An entry stands before its evening."), where);
            else put(out.back(), entryOf(all, where), where, entries, ids);
        }
        checkIds(out);
        return out;
    });
}

tl::expected<std::vector<Evening>, Problem> readAnyLog(const std::string& text) {
    return text.starts_with("evening,") ? readLogCsv(text) : readLog(text);
}

}  // namespace uovo::log
