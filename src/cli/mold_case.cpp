#include "cli/mold_case.h"

#include <cmath>

#include "cli/case_words.h"
#include "core/mold/branches.h"
#include "core/words/mold_words.h"
#include "io/data.h"
#include "io/model_reader.h"

namespace uovo::cli {
namespace {

using nlohmann::json;

double rounded(double v) { return std::round(v * 1e9) / 1e9 + 0.0; }
json triple(const form::Vec3& v) { return {rounded(v.x), rounded(v.y), rounded(v.z)}; }

form::Mesh meshOf(const json& given) {
    if (given.contains("mesh")) {
        auto read = io::readMeshFile(given["mesh"].get<std::string>());
        if (!read) refuse(read.error().sentence, "mesh");
        const double scale = given.value("scale", 1e-3);  // models are in millimetres
        if (!(scale > 0 && std::isfinite(scale))) refuse("A scale is above 0.", "scale");
        for (auto& p : read->mesh.points) p = p * scale;
        return std::move(read->mesh);
    }
    if (!given.contains("piece")) refuse("A case names a “mesh” file or a “piece”.", "case");
    const auto plan = casePlan(given);
    if (!plan) throw Problem(plan.error());
    const auto built = form::build(plan->pieces.front().shape, plan->meshes);
    if (!built) refuse(built.error().sentence, "piece");
    form::Mesh out;
    for (const auto& item : built->items)
        if (item.edible) form::append(out, form::placed(item.shape.surface, item.pose));
    return form::weld(out, 1e-9);
}

json trapsOf(const std::vector<mold::AirTrap>& traps) {
    json out = json::array();
    for (const auto& t : traps) out.push_back({{"at", triple(t.at)}, {"depth", rounded(t.depth)}, {"area", t.area}});
    return out;
}

json moldAnswered(const json& given) {
    const form::Mesh mesh = meshOf(given);
    if (mesh.triangles.size() > 2'000'000) refuse("That are more than two million triangles.", "mesh");
    if (const auto wrong = form::inWords(form::inspect(mesh)); !wrong.empty()) refuse(wrong, "mesh");
    if (form::volume(mesh) <= 0) refuse("It is inside out.", "mesh");
    const auto& lib = io::library();
    mold::MoldOptions o = mold::usualMold(lib);
    o.wall = given.value("wall", o.wall);
    o.hardness = given.value("hardness", o.hardness);
    o.parts = given.value("parts", o.parts);
    o.pulls = std::clamp(given.value("pulls", o.pulls), 6, 5000);
    if (!(o.wall >= 0.001 && o.wall <= 0.1)) refuse("A wall is between 1 and 100 mm.", "wall");
    if (!(o.hardness >= 0 && o.hardness <= 60)) refuse("Shore A hardness is between 0 and 60.", "hardness");
    if (o.parts < 0 || o.parts > 2) refuse("A mold has one part or two; 0: as few as do.", "parts");
    if (const json& pull = given.value("pull", json("best")); pull != "best") {
        o.pull = form::Vec3{pull.at(0), pull.at(1), pull.at(2)};
        const double size = form::length(*o.pull);
        if (!(size > 0 && std::isfinite(size))) refuse("A pull is a direction: three numbers, not all 0.", "pull");
    }
    const auto m = *mold::ownMold(mesh, o, lib);
    constexpr const char* kLeaves[]{"freely", "stretched", "slit", "in pieces"};
    json out{{"format", "uovo-mold-answers"},
             {"leaves", kLeaves[static_cast<size_t>(m.leaves)]},
             {"parts", m.map.parts},
             {"pull", triple(m.map.pull)},
             {"area", m.map.area},
             {"undercut", m.map.caught},
             {"lowDraft", m.lowDraft},
             {"trapped", json::array()}};
    for (const auto& t : m.map.trapped) out["trapped"].push_back({{"at", triple(t.at)}, {"area", t.area}});
    out["stretch"] = {{"asked", rounded(m.map.stretch)},
                      {"borne", {{"likely", m.stretches}, {"low", m.stretchLow}, {"high", m.stretchHigh}}}};
    if (m.map.parts == 2) out["parting"] = {{"level", rounded(m.map.parting)}, {"astray", m.map.astray}};
    out["airInSilicone"] = trapsOf(m.underIt);
    out["fill"] = {{"up", triple(m.fillUp)}, {"vents", trapsOf(m.inIt)}};
    out["box"] = triple(m.box.inside);
    out["silicone"] = {{"volume", m.box.silicone}, {"massA", m.box.massA},     {"massB", m.box.massB},
                       {"volumeA", m.box.volumeA}, {"volumeB", m.box.volumeB}, {"cure", o.silicone.cure}};
    out["chocolate"] = m.box.original;
    if (const int most = given.value("cut", 0); most > 0) {
        const auto apart = *mold::branchesOf(mesh, o, lib, 1, size_t(std::clamp(most, 2, 12)));
        out["branches"] = json::array();
        for (const auto& b : apart.branches)
            out["branches"].push_back({{"volume", form::volume(b.mesh)},
                                       {"leaves", kLeaves[static_cast<size_t>(b.leaves)]},
                                       {"parts", b.parts},
                                       {"undercut", b.caught}});
        out["cuts"] = json::array();
        for (const auto& c : apart.cuts)
            out["cuts"].push_back({{"below", c.below},
                                   {"above", c.above},
                                   {"at", triple(c.plane.at)},
                                   {"normal", triple(c.plane.normal)},
                                   {"area", c.area},
                                   {"pegs", c.keys.size()}});
    }
    out["says"] = moldWords(m, given.value("units", "metric") == "US" ? UnitSystem::US : UnitSystem::Metric);
    return out;
}

}  // namespace

tl::expected<json, Problem> moldCase(const json& given) {
    return guarded([&] { return moldAnswered(given); });
}

int moldOf(const std::vector<std::string>& args) { return runCase(args, moldCase); }

}  // namespace uovo::cli
