#include "cli/nest_case.h"

#include <chrono>
#include <cmath>
#include <nlohmann/json.hpp>
#include <numbers>

#include "cli/case_words.h"
#include "core/cutting/nest.h"

namespace uovo::cli {
namespace {

using nlohmann::json;

form::Loop loopOf(const json& points) {
    form::Loop out;
    for (const auto& p : points) out.push_back({p.at(0).get<double>(), p.at(1).get<double>()});
    return out;
}

cutting::CutPart pieceOf(const json& p) {
    cutting::CutPart out;
    out.name = p.at("name");
    out.loops.push_back(loopOf(p.at("points")));
    for (const auto& hole : p.value("holes", json::array())) out.loops.push_back(loopOf(hole));
    out.count = p.value("count", 1);
    out.mayTurn = p.value("turns", true);
    if (p.value("cutter", false)) out.cutLength = 0;
    out.each = p.value("each", 0.0);
    return out;
}

json nested(const json& given) {
    const auto began = std::chrono::steady_clock::now();
    std::vector<cutting::CutPart> pieces;
    for (const auto& p : given.at("parts")) pieces.push_back(pieceOf(p));
    cutting::SheetOptions o;
    const json& sheet = given.at("sheet");
    o.width = sheet.at(0);
    o.height = sheet.at(1);
    o.gap = given.value("gap", o.gap);
    o.border = given.value("border", o.border);
    o.speed = given.value("speed", o.speed);
    o.window = given.value("window", o.window);
    o.orders = std::clamp(given.value("orders", o.orders), 1, 10000);
    const auto done = cutting::nest(pieces, o);
    if (!done) throw Problem(done.error());
    json out{{"format", "uovo-nest-answers"}, {"sheets", json::array()}};
    for (const auto& s : done->sheets) {
        json one{{"used", s.used}, {"strip", s.strip}, {"cutting", s.cutting}, {"placements", json::array()}};
        for (const auto& p : s.placements)
            one["placements"].push_back({{"part", pieces[p.piece].name},
                                         {"copy", p.copy},
                                         {"at", {p.at[0], p.at[1]}},
                                         {"turn", std::round(p.angle * 180 / std::numbers::pi)},
                                         {"order", p.order}});
        out["sheets"].push_back(std::move(one));
    }
    for (const size_t i : done->tooLarge) out["tooLarge"].push_back(pieces[i].name);
    for (const size_t i : done->tooLong) out["tooLong"].push_back(pieces[i].name);
    out["milliseconds"] =
        std::round(1e4 * std::chrono::duration<double>(std::chrono::steady_clock::now() - began).count()) / 10;
    return out;
}

}  // namespace

tl::expected<json, Problem> nestCase(const json& given) {
    return guarded([&] { return nested(given); });
}

int nest(const std::vector<std::string>& args) { return runCase(args, nestCase); }

}  // namespace uovo::cli
