// Shapes read from JSON: families with their figures, assemblies, models.
#include "core/document/json_object.h"
#include "core/quantity/catalogue.h"

namespace uovo {
namespace {

std::vector<form::Loop> readLoops(const json& list, const std::string& pointer) {
    std::vector<form::Loop> loops;
    if (!list.is_array()) Object::refuse(tr("“points” must be a list of lists of points."), pointer);
    size_t all = 0;
    for (const auto& loop : list) {
        loops.emplace_back();
        if (!loop.is_array()) Object::refuse(tr("“points” must be a list of lists of points."), pointer);
        for (const auto& p : loop) {
            if (!p.is_array() || p.size() != 2 || !p[0].is_number() || !p[1].is_number())
                Object::refuse(tr("A point is a pair of numbers."), pointer);
            loops.back().push_back({p[0].get<double>(), p[1].get<double>()});
            if (++all > limits::kOutlinePoints) Object::refuse(tr("More than 20 000 points."), pointer);
        }
    }
    return loops;
}

/// Items of an assembly and where they are glued.
void readItems(Object& o, form::Part& p) {
    const auto three = [](Object& row, const char* key, std::array<Measure, 3>& out) {
        const json* list = row.find(key);
        if (!list) return;
        if (!list->is_array() || list->size() != 3)
            Object::refuse(say("“{}” must be a list of three.", key), row.at(key));
        for (size_t i = 0; i < 3; ++i) Object::readMeasure((*list)[i], fmt::format("{}/{}", row.at(key), i), out[i]);
    };
    o.rows("items", limits::kItems, [&](Object& row) {
        form::PartItem item;
        row.text("key", item.key);
        row.text("name", item.name);
        const json* former = row.find("former");
        if (!former) Object::refuse(tr("A part of an assembly needs a “former”."), row.at("former"));
        Object f(*former, row.at("former"));
        const std::string kind = readKind(f);
        if (form::family(kind)->body == form::Body::Compound)
            Object::refuse(tr("A part of an assembly is not itself put together."), f.at("kind"));
        item.part = readPart(f, kind);
        item.partExtra = f.extra();
        three(row, "at", item.at);
        three(row, "turn", item.turn);
        std::array<Measure, 3> apart{Measure(0), Measure(0), Measure(0)};
        three(row, "apart", apart);
        for (size_t i = 0; i < 3; ++i) item.apart[i] = apart[i].value;
        row.yesNo("edible", item.edible);
        item.extra = row.extra();
        p.items.push_back(std::move(item));
    });
    o.rows("joints", limits::kJoints, [&](Object& row) {
        form::PartJoint joint;
        row.text("a", joint.a);
        row.text("b", joint.b);
        row.measure("length", joint.length);
        row.text("words", joint.words);
        row.text("glue", joint.glue);
        joint.extra = row.extra();
        p.joints.push_back(std::move(joint));
    });
}

}  // namespace

std::string readKind(Object& former) {
    std::string kind;
    former.text("kind", kind);
    if (!form::family(kind))
        Object::refuse(tr("The former's “kind” must be a family this program knows; “") + kind + tr("” is none."),
                       former.at("kind"));
    return kind;
}

form::Part readPart(Object& o, const std::string& kind) {
    form::Part p;
    p.family = kind;
    const form::Family& f = *form::family(kind);
    for (const auto& field : f.fields) {
        Measure m(std::nan(""));
        o.measure(field.key.c_str(), m);
        if (!std::isnan(m.value)) p.values[field.key] = m;
    }
    for (const auto& c : f.choices) {
        std::string word;
        o.text(c.key.c_str(), word);
        if (!word.empty()) p.choices[c.key] = word;
    }
    if (const json* points = o.find("points")) p.points = readLoops(*points, o.at("points"));
    o.text("mesh", p.mesh);
    if (const json* own = o.find("own")) {
        Object parts(*own, o.at("own"));
        for (const auto& [key, figures] : own->items()) {
            Object g(figures, o.at("own") + "/" + key);
            for (const auto& [name, value] : figures.items()) {
                Measure m;
                g.measure(name.c_str(), m);
                p.own[key][name] = m;
            }
        }
    }
    if (kind == form::kAssembly) readItems(o, p);
    return p;
}

std::shared_ptr<const form::Mesh> readMesh(const json& j, const std::string& pointer, std::string& extra) {
    Object o(j, pointer);
    auto mesh = std::make_shared<form::Mesh>();
    const json *points = o.find("points"), *triangles = o.find("triangles");
    extra = o.extra();
    const auto numbers = [&](const json* list, const char* what, size_t most) {
        if (!list || !list->is_array() || list->size() % 3 ||
            !std::all_of(list->begin(), list->end(), [](const json& v) { return v.is_number(); }))
            Object::refuse(say("“{}” of a model must be a list of numbers, three at a time.", what), pointer);
        if (list->size() > 3 * most)
            Object::refuse(say("A model has {} {}; {} at most are kept in a plan.", list->size() / 3, what, most),
                           pointer);
    };
    numbers(points, "points", 3 * limits::kModelTriangles);  // each triangle with corners of its own
    numbers(triangles, "triangles", limits::kModelTriangles);
    mesh->points.reserve(points->size() / 3);
    mesh->triangles.reserve(triangles->size() / 3);
    for (size_t i = 0; i < points->size(); i += 3) {
        mesh->points.push_back(
            {(*points)[i].get<double>(), (*points)[i + 1].get<double>(), (*points)[i + 2].get<double>()});
        const form::Vec3& p = mesh->points.back();
        if (!(std::abs(p.x) < limits::kFarthest && std::abs(p.y) < limits::kFarthest &&
              std::abs(p.z) < limits::kFarthest))
            Object::refuse(tr("A corner of a model lies farther off than a hundred metres."), pointer);
    }
    for (size_t i = 0; i < triangles->size(); i += 3) {
        form::Triangle t{};
        for (size_t k = 0; k < 3; ++k) {
            const double v = (*triangles)[i + k].get<double>();
            if (!(v >= 0 && v < static_cast<double>(mesh->points.size())) || v != std::floor(v))
                Object::refuse(tr("A triangle of a model names a corner that does not exist."), pointer);
            t[k] = static_cast<int>(v);
        }
        mesh->triangles.push_back(t);
    }
    return mesh;
}

}  // namespace uovo
