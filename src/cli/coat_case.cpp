#include "cli/coat_case.h"

#include <algorithm>
#include <chrono>
#include <cmath>
#include <fstream>
#include <iostream>
#include <nlohmann/json.hpp>
#include <numeric>

#include "cli/case_words.h"
#include "cli/commands.h"
#include "core/answers/answers.h"
#include "core/coat/band.h"
#include "core/coat/mesh_coats.h"
#include "io/data.h"
#include "io/model_reader.h"
#include "io/plan_file.h"

namespace uovo::cli {
namespace {

using nlohmann::json;

/// Wall, places and times of either path, told alike.
struct Told {
    std::vector<form::Vec3> at;  // of each cell; a profile's lie in the plane y = 0
    std::vector<double> area;
    std::vector<bool> rim;
    struct Coat {
        std::vector<double> wall;
        double added = 0, dripped = 0, lockTypical = 0, lockLast = 0, bare = 0;
        std::vector<double> perArea;  // m³/m², melt; as much as the mean wall counts
    };
    std::vector<Coat> coats;
    double mass = 0, error = 0, set = 1;  // set: melt to set volume
    size_t triangles = 0;
};

form::Vec3 vectorOf(const json& j) {
    if (!j.is_array() || j.size() != 3) throw Problem{"A direction or place has three numbers.", "at"};
    return {j[0].get<double>(), j[1].get<double>(), j[2].get<double>()};
}

/// The mesh of the case and whether chocolate is on its outside.
tl::expected<std::pair<form::Mesh, bool>, Problem> meshOf(const json& on, const Piece& piece) {
    if (on.contains("file")) {
        auto read = io::readMeshFile(on.at("file").get<std::string>());
        if (!read) return tl::unexpected(read.error());
        const std::string unit = on.value("unit", "mm");
        const double scale = unit == "mm" ? 1e-3 : unit == "cm" ? 1e-2 : unit == "in" ? 0.0254 : unit == "m" ? 1 : 0;
        if (scale == 0) refuse("Models are in mm, cm, in or m; “" + unit + "” is none of them.", "on/unit");
        for (auto& p : read->mesh.points) p = p * scale;
        if (const auto report = form::inspect(read->mesh); report.crowdedEdges || report.flipped || report.degenerate)
            refuse(form::inWords(report), "on/file");
        return std::pair{std::move(read->mesh), on.value("outside", true)};
    }
    const double triangles = on.at("triangles").get<double>();
    if (!(triangles >= 200 && triangles <= 400000)) refuse("Between 200 and 400 000 triangles.", "on/triangles");
    if (!piece.alongMeridian()) {
        form::Detail detail;
        detail.triangles = 0.75 * triangles;  // rows and rings are rounded up
        detail.round = 24;
        detail.onSurface = true;
        auto built = form::build(piece.shape, {}, detail);
        if (!built) return tl::unexpected(built.error());
        const auto& shape = built->items.front().shape;
        if (shape.body != form::Body::Wall) refuse("This part has no wall to coat.", "piece/former");
        return std::pair{shape.surface, on.value("outside", shape.outside)};
    }
    const auto meridian = form::meridian(piece.shape);
    if (!meridian) return tl::unexpected(meridian.error());
    form::Shape former = form::roundFormer(*meridian, triangles);
    return std::pair{std::move(former.surface), former.outside};
}

tl::expected<coat::MeshStep, Problem> stepOf(const coat::CoatStep& plain, const json& more, const std::string& where,
                                             const coat::Surface& surface, bool outside) {
    coat::MeshStep s = coat::meshStep(plain, surface, outside);
    s.fill = more.value("fill", s.fill);
    s.tap = more.value("tap", s.tap);
    s.scrape = more.value("scrape", s.scrape);
    const bool turned = more.contains("turns") || more.contains("spin") || more.contains("every");
    if (turned) s.turns.clear();
    s.stays = turned && plain.rest == coat::Rest::Upright;
    if (turned) s.onPaper = false;
    if (const auto it = more.find("turns"); it != more.end())
        for (const auto& t : *it) {
            const form::Vec3 up = form::unit(vectorOf(t.at("up")));
            if (form::length(up) == 0) refuse("A turn has no direction.", where + "/turns");
            s.turns.push_back({up, t.at("seconds").get<double>()});
        }
    if (const auto it = more.find("spin"); it != more.end())
        for (const auto& t : coat::spinByHand(it->get<double>())) s.turns.push_back(t);
    if (const auto it = more.find("every"); it != more.end())
        for (const auto& t : coat::turnedEvery(it->at("seconds").get<double>(), it->at("times").get<int>()))
            s.turns.push_back(t);
    return s;
}

tl::expected<Told, Problem> onMesh(const json& j, const Piece& piece, const coat::CoatSetting& setting) {
    auto mesh = meshOf(j.at("on"), piece);
    if (!mesh) return tl::unexpected(mesh.error());
    coat::Surface surface = coat::surfaceOf(mesh->first, mesh->second);
    coat::MeshJob job;
    static_cast<coat::CoatSetting&>(job) = setting;
    job.options.curvature = j.value("curvature", true);
    const json more = j.value("steps", json::array());
    for (size_t i = 0; i < piece.coats().size(); ++i) {
        auto step = stepOf(piece.coats()[i], i < more.size() ? more[i] : json::object(), "steps/" + std::to_string(i),
                           surface, mesh->second);
        if (!step) return tl::unexpected(step.error());
        job.steps.push_back(std::move(*step));
    }
    job.surface = &surface;
    const auto done = coat::coat(job);
    if (!done) return tl::unexpected(done.error());
    Told t;
    t.at = surface.at;
    t.triangles = surface.triangles.size();
    t.area = surface.area;
    for (const auto& e : surface.edge) t.rim.push_back(form::length(e) > 0);
    for (const auto& c : done->coats)
        t.coats.push_back({c.wall, c.added, c.dripped, c.lockTypical, c.lockLast, c.bare, c.perArea});
    t.set = job.coating.densityMelt / job.coating.densitySolid;
    t.mass = done->mass;
    t.error = done->error;
    return t;
}

tl::expected<Told, Problem> onProfile(const json& j, const Piece& piece, const Plan& plan) {
    const int cells = j.at("on").at("cells").get<int>();
    if (cells < 10 || cells > 2000) refuse("Between 10 and 2000 cells.", "on/cells");
    if (!piece.alongMeridian())
        refuse("Only bowls over balloons and cups have a profile; ask for triangles.", "on/cells");
    const auto job = coatJob(piece, plan, io::library(), cells);
    if (!job) return tl::unexpected(job.error());
    const auto done = coat::coat(*job);
    if (!done) return tl::unexpected(done.error());
    Told t;
    t.area = job->profile.area;
    for (size_t i = 0; i < job->profile.size(); ++i) {
        t.at.push_back({job->profile.r[i], 0, job->profile.z[i]});
        t.rim.push_back(i + 2 >= job->profile.size());
    }
    for (const auto& c : done->coats)
        t.coats.push_back({c.wall, c.added, c.dripped, c.lockTypical, c.lockLast, 0, c.perArea});
    t.set = job->coating.densityMelt / job->coating.densitySolid;
    t.mass = done->mass;
    t.error = done->error;
    return t;
}

CaseAnswer asked(const json& ask, const Told& t, const std::string& where) {
    const std::string what = ask.at("what");
    const size_t number = ask.value("coat", t.coats.size());
    if (number < 1 || number > t.coats.size()) refuse("There is no such coat.", where + "/coat");
    const auto& c = t.coats[number - 1];
    CaseAnswer a{ask.value("name", what), "m", 0};
    const auto sorted = [&] {
        std::vector<std::pair<double, double>> w;
        for (size_t i = 0; i < c.wall.size(); ++i) w.emplace_back(c.wall[i], t.area[i]);
        return w;
    };
    const double total = std::accumulate(t.area.begin(), t.area.end(), 0.0);
    if (what == "mass") a = {a.name, "kg", t.mass};
    else if (what == "added") a = {a.name, "kg", c.added};
    else if (what == "dripped") a = {a.name, "kg", c.dripped};
    else if (what == "lock") a = {a.name, "s", c.lockTypical};
    else if (what == "lockLast") a = {a.name, "s", c.lockLast};
    else if (what == "error") a = {a.name, "1", t.error};
    else if (what == "bare") a = {a.name, "1", c.bare};
    else if (what == "mean") {
        for (size_t i = 0; i < c.wall.size(); ++i) a.value += c.perArea[i] * t.set * t.area[i] / total;
    } else if (what == "median") a.value = coat::medianByArea(sorted(), total);
    else if (what == "scatter") {  // coefficient of variation by area
        double mean = 0, square = 0;
        for (size_t i = 0; i < c.wall.size(); ++i) mean += c.wall[i] * t.area[i] / total;
        for (size_t i = 0; i < c.wall.size(); ++i)
            square += (c.wall[i] - mean) * (c.wall[i] - mean) * t.area[i] / total;
        a = {a.name, "1", std::sqrt(square) / mean};
    } else if (what == "thinnest" || what == "thickest" || what == "rim") {
        double least = 1e9, most = 0, rim = 0, rimArea = 0;
        for (size_t i = 0; i < c.wall.size(); ++i) {
            if (t.rim[i]) {
                rim += c.wall[i] * t.area[i];
                rimArea += t.area[i];
                continue;
            }
            least = std::min(least, c.wall[i]);
            most = std::max(most, c.wall[i]);
        }
        a.value = what == "thinnest" ? least : what == "thickest" ? most : rimArea > 0 ? rim / rimArea : std::nan("");
    } else if (what == "wall") {  // mean of the cells nearest to a place; at a height, of all of them round the axis
        if (ask.contains("height")) {
            const double z = ask.at("height");
            double weight = 0, step = std::sqrt(total / double(t.at.size()));
            for (size_t i = 0; i < t.at.size(); ++i) {
                const double near = std::max(0.0, 1 - std::abs(t.at[i].z - z) / (1.5 * step));
                a.value += c.wall[i] * t.area[i] * near;
                weight += t.area[i] * near;
            }
            if (!(weight > 0)) refuse("Nothing of the wall lies at this height.", where + "/height");
            a.value /= weight;
        } else {
            const form::Vec3 p = vectorOf(ask.at("at"));
            size_t best = 0;
            for (size_t i = 0; i < t.at.size(); ++i)
                if (form::length(t.at[i] - p) < form::length(t.at[best] - p)) best = i;
            a.value = c.wall[best];
        }
    } else {
        refuse("“" + what + "” is nothing that is asked of a wall.", where + "/what");
    }
    return a;
}

CaseAnswers answered(const json& j) {
    const auto read = casePlan(j);
    if (!read) throw Problem(read.error());
    for (const auto& p : problems(*read, io::library()))
        if (!p.where.starts_with("pieces/case/coats") || read->pieces.front().alongMeridian()) throw Problem(p);
    const Piece& only = read->pieces.front();
    const auto setting = coatSetting(only, *read, io::library());
    if (!setting) throw Problem(setting.error());
    for (size_t i = 0; i < only.coats().size(); ++i)
        if (auto ok = coat::checkStep(only.coats()[i], setting->coating,
                                      only.overBalloon() ? io::library().former("balloonBears") : 1e3);
            !ok)
            refuse(ok.error().sentence, "piece/coats/" + std::to_string(i) + "/" + ok.error().where);
    const auto began = std::chrono::steady_clock::now();
    const auto told = j.at("on").contains("cells") ? onProfile(j, only, *read) : onMesh(j, only, *setting);
    if (!told) throw Problem(told.error());
    CaseAnswers out;
    out.seconds = std::chrono::duration<double>(std::chrono::steady_clock::now() - began).count();
    out.cells = told->at.size();
    out.triangles = told->triangles;
    size_t k = 0;
    for (const auto& ask : j.at("ask")) out.answers.push_back(asked(ask, *told, "ask/" + std::to_string(k++)));
    return out;
}

}  // namespace

tl::expected<CaseAnswers, Problem> answerCase(const json& j) {
    return guarded([&] { return answered(j); });
}

int coatCase(const std::vector<std::string>& args) {
    const auto fail = [](const std::string& sentence) {
        std::fprintf(stderr, "uovo-cli: %s\n", sentence.c_str());
        return 1;
    };
    if (args.size() != 1) {
        std::fprintf(stderr, "uovo-cli: name one coat case; see docs/format.md\n");
        return 2;
    }
    std::ifstream file;
    if (args[0] != "-") {
        file.open(args[0]);
        if (!file) return fail(args[0] + " cannot be opened.");
    }
    json j;
    try {
        j = args[0] == "-" ? json::parse(std::string(std::istreambuf_iterator<char>(std::cin), {})) : json::parse(file);
    } catch (const json::exception&) {
        return fail("This is not a coat case: it is not JSON.");
    }
    const auto done = answerCase(j);
    if (!done) return fail((done.error().where.empty() ? "" : done.error().where + ": ") + done.error().sentence);
    json out{{"format", "uovo-coat-answers"},
             {"version", 1},
             {"cells", done->cells},
             {"triangles", done->triangles},
             {"milliseconds", std::round(done->seconds * 1e4) / 10},
             {"answers", json::array()}};
    for (const auto& a : done->answers)
        out["answers"].push_back(
            {{"name", a.name}, {"value", std::isfinite(a.value) ? json(a.value) : json(nullptr)}, {"unit", a.unit}});
    std::printf("%s\n", out.dump(2).c_str());
    return 0;
}

}  // namespace uovo::cli
