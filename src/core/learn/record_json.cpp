#include <fmt/format.h>

#include <cmath>
#include <nlohmann/json.hpp>

#include "core/learn/record_json.h"
#include "core/quantity/catalogue.h"

namespace uovo::learn {
namespace {

using nlohmann::json;

constexpr std::pair<Record::Is, const char*> kWordsOfRecords[] = {{Record::Is::Weighed, "weighed"},
                                                                  {Record::Is::Rim, "rim"},
                                                                  {Record::Is::Touched, "touched"},
                                                                  {Record::Is::Spoon, "spoon"},
                                                                  {Record::Is::Took, "took"}};

double number(const json& j, const char* key, double low, double high, const std::string& where) {
    const double v = j.at(key).get<double>();
    if (!(v >= low && v <= high))
        refuse(say("“{}” is {:g}; it must be between {:g} and {:g}.", key, v, low, high), where + "/" + key);
    return v;
}

}  // namespace

Record recordFrom(const json& j, const std::string& where) {
    Record r;
    const auto is = j.at("is").get<std::string>();
    const auto* word = worded(kWordsOfRecords, is);
    if (!word) refuse(say("“{}” is no kind of record.", is), where + "/is");
    r.is = word->first;
    switch (r.is) {
        case Record::Is::Weighed:
            r.value = number(j, "mass", 1e-4, 100, where);
            if (j.contains("of")) r.of = static_cast<int>(number(j, "of", 1, 1000, where));
            break;
        case Record::Is::Rim:
            r.value = number(j, "thickness", 1e-4, 0.05, where);
            break;
        case Record::Is::Touched:
            if (j.contains("notAt")) r.notAt = number(j, "notAt", 0, 86400, where);
            if (j.contains("at")) r.at = number(j, "at", 1, 86400, where);
            if (j.contains("rim")) r.foot = !j.at("rim").get<bool>();
            if (!(r.at > r.notAt)) refuse(tr("It was firm before it was not firm yet."), where + "/at");
            if (r.notAt <= 0 && std::isinf(r.at)) refuse(tr("Say when it was not firm, or when it was."), where);
            break;
        case Record::Is::Spoon:
            r.value = number(j, "width", 0.01, 0.3, where);
            r.chocolate = j.at("chocolate").get<std::string>();
            if (j.contains("volume")) r.volume = number(j, "volume", 1e-6, 1e-4, where);
            if (j.contains("celsius")) r.celsius = number(j, "celsius", 20, 55, where);
            break;
        case Record::Is::Took:
            r.task = j.at("task").get<std::string>();
            r.value = number(j, "minutes", 0, 1440, where);
            r.book = number(j, "book", 0, 1440, where);
            break;
    }
    if (r.is == Record::Is::Weighed || r.is == Record::Is::Rim || r.is == Record::Is::Touched) {
        r.piece = j.at("piece").get<std::string>();
        if (j.contains("coats")) r.coats = static_cast<int>(number(j, "coats", 1, 20, where));
    }
    return r;
}

json jsonOf(const Record& r) {
    json j;
    for (const auto& [is, word] : kWordsOfRecords)
        if (is == r.is) j["is"] = word;
    if (!r.piece.empty()) j["piece"] = r.piece;
    if (r.coats > 0) j["coats"] = r.coats;
    switch (r.is) {
        case Record::Is::Weighed:
            j["mass"] = r.value;
            j["of"] = r.of;
            break;
        case Record::Is::Rim:
            j["thickness"] = r.value;
            break;
        case Record::Is::Touched:
            if (r.notAt > 0) j["notAt"] = r.notAt;
            if (std::isfinite(r.at)) j["at"] = r.at;
            if (!r.foot) j["rim"] = true;
            break;
        case Record::Is::Spoon:
            j.update({{"width", r.value}, {"chocolate", r.chocolate}, {"volume", r.volume}, {"celsius", r.celsius}});
            break;
        case Record::Is::Took:
            j.update({{"task", r.task}, {"minutes", r.value}, {"book", r.book}});
            break;
    }
    return j;
}

namespace {

std::vector<Evening> evenings(const json& all) {
    if (all.at("format") != "uovo-records") refuse(tr("This is no file of records."), "format");
    if (const int version = all.at("version").get<int>(); version != 1)
        refuse(say("These records are of version {}; this program reads 1.", version), "version");
    std::vector<Evening> out;
    size_t records = 0;
    for (const auto& j : all.at("evenings")) {
        const std::string where = fmt::format("evenings/{}", out.size());
        Evening e;
        e.id = j.value("id", fmt::format("{}", out.size() + 1));
        e.date = j.value("date", "");
        auto plan = readPlan(j.at("plan").dump());
        if (!plan) refuse(plan.error().sentence, where + "/plan" + plan.error().where);
        e.plan = std::move(*plan);
        if (j.contains("bags")) e.bags = j.at("bags").get<std::map<std::string, std::string>>();
        for (const auto& r : j.at("records")) {
            if (++records > kMostRecords) refuse(tr("More than 20 000 records."), where);
            const std::string at = fmt::format("{}/records/{}", where, e.records.size());
            e.records.push_back(recordFrom(r, at));
            const auto& read = e.records.back();
            if (!read.piece.empty() && !e.plan.piece(read.piece))
                refuse(say("The plan of that evening has no piece “{}”.", read.piece), at + "/piece");
        }
        out.push_back(std::move(e));
    }
    return out;
}

}  // namespace

tl::expected<std::vector<Evening>, Problem> readEvenings(const std::string& text) {
    return readJson([&] { return evenings(json::parse(text)); });
}

std::string writeEvenings(const std::vector<Evening>& all) {
    json out{{"format", "uovo-records"}, {"version", 1}, {"evenings", json::array()}};
    for (const auto& e : all) {
        json j{{"id", e.id}, {"date", e.date}, {"plan", json::parse(writePlan(e.plan))}, {"records", json::array()}};
        if (!e.bags.empty()) j["bags"] = e.bags;
        for (const auto& r : e.records) j["records"].push_back(jsonOf(r));
        out["evenings"].push_back(std::move(j));
    }
    return out.dump(1) + "\n";
}

}  // namespace uovo::learn
