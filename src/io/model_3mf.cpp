#include "io/model_3mf.h"

#include <fmt/format.h>

#include <array>
#include <charconv>
#include <cmath>
#include <map>
#include <memory>
#include <pugixml.hpp>
#include <string_view>

#include "core/quantity/catalogue.h"
#include "io/archive.h"
#include "io/refusal.h"

namespace uovo::io {
namespace {

/// Stops the reading; never leaves this file.
struct Refusal {
    std::string sentence;
};

std::string_view localName(const char* name) {
    const std::string_view all(name);
    return all.substr(all.rfind(':') == std::string_view::npos ? 0 : all.rfind(':') + 1);
}

pugi::xml_node child(const pugi::xml_node& node, std::string_view name) {
    for (const auto& c : node.children())
        if (localName(c.name()) == name) return c;
    return {};
}

/// A number of any locale's machine; NaN when it is none.
double number(std::string_view text) {
    while (!text.empty() && (text.front() == ' ' || text.front() == '+')) text.remove_prefix(1);
    double v = std::nan("");
    const auto [end, error] = std::from_chars(text.data(), text.data() + text.size(), v);
    return error == std::errc() && std::isfinite(v) && std::abs(v) < 1e9 ? v : std::nan("");
}

/// Rows of the axes and of the shift, as the file has them.
using Transform = std::array<double, 12>;
constexpr Transform kStay{1, 0, 0, 0, 1, 0, 0, 0, 1, 0, 0, 0};

form::Vec3 moved(const form::Vec3& p, const Transform& m) {
    return {p.x * m[0] + p.y * m[3] + p.z * m[6] + m[9], p.x * m[1] + p.y * m[4] + p.z * m[7] + m[10],
            p.x * m[2] + p.y * m[5] + p.z * m[8] + m[11]};
}

/// First a, then b.
Transform then(const Transform& a, const Transform& b) {
    Transform out{};
    for (size_t r = 0; r < 4; ++r)
        for (size_t c = 0; c < 3; ++c) {
            out[3 * r + c] = r == 3 ? b[9 + c] : 0;
            for (size_t k = 0; k < 3; ++k) out[3 * r + c] += a[3 * r + k] * b[3 * k + c];
        }
    return out;
}

bool mirrors(const Transform& m) {
    return form::dot(form::cross({m[0], m[1], m[2]}, {m[3], m[4], m[5]}), {m[6], m[7], m[8]}) < 0;
}

Transform transformOf(const pugi::xml_node& node) {
    const pugi::xml_attribute a = node.attribute("transform");
    if (!a) return kStay;
    std::string_view text = a.value();
    Transform m{};
    for (double& v : m) {
        while (!text.empty() &&
               (text.front() == ' ' || text.front() == '\n' || text.front() == '\t' || text.front() == '\r'))
            text.remove_prefix(1);
        const size_t end = std::min(text.find_first_of(" \n\t\r"), text.size());
        v = number(text.substr(0, end));
        if (std::isnan(v))
            throw Refusal{tr("The file is damaged: a part of it is moved by something that is not twelve numbers.")};
        text.remove_prefix(end);
    }
    return m;
}

struct Object {
    form::Mesh mesh;
    struct Component {
        std::string path, id;
        Transform transform{};
    };
    std::vector<Component> components;
};

/// The model parts of a package, read when they are first named.
class Package {
public:
    Package(Archive archive, size_t most) : archive_(std::move(archive)), most_(most) {}

    Read3mf read() {
        const std::string root = rootPart();
        part(root);
        Read3mf out;
        out.unit = units_[root];
        for (const auto& item : items_[root]) setDown(item, kStay, 0, out.mesh);
        return out;
    }

private:
    static pugi::xml_document parsed(const std::string& text) {
        pugi::xml_document doc;
        if (!doc.load_buffer(text.data(), text.size(), pugi::parse_minimal | pugi::parse_escapes))
            throw Refusal{tr("The file is damaged: a part of it is not XML.")};
        return doc;
    }
    std::string bytes(const std::string& name) {
        auto read = archive_.read(name);
        if (!read) throw Refusal{read.error().sentence};
        return std::move(*read);
    }
    std::string rootPart() {
        if (archive_.has("_rels/.rels")) {
            const auto doc = parsed(bytes("_rels/.rels"));
            for (const auto& r : doc.document_element().children())
                if (std::string_view(r.attribute("Type").value()).ends_with("/3dmodel"))
                    return inside(r.attribute("Target").value());
        }
        return "3D/3dmodel.model";
    }
    /// A name of the package without its leading slash.
    static std::string inside(std::string path) {
        while (path.starts_with('/')) path.erase(0, 1);
        return path;
    }

    void part(const std::string& path) {
        if (units_.contains(path)) return;
        if (!archive_.has(path)) throw Refusal{tr("There is no model in the file: “") + path + tr("” is missing.")};
        const auto doc = parsed(bytes(path));
        const pugi::xml_node model = doc.document_element();
        if (localName(model.name()) != "model") throw Refusal{tr("The file is damaged: its model is none.")};
        const std::string unit = model.attribute("unit").value();
        units_[path] = unit.empty() ? "millimeter" : unit;
        for (const auto& object : child(model, "resources").children())
            if (localName(object.name()) == "object" && std::string_view(object.attribute("type").value()) != "support")
                readObject(path, object);
        for (const auto& item : child(model, "build").children())
            if (localName(item.name()) == "item") items_[path].push_back(component(path, item));
    }

    static Object::Component component(const std::string& path, const pugi::xml_node& node) {
        Object::Component c{path, node.attribute("objectid").value(), transformOf(node)};
        for (const auto& a : node.attributes())
            if (localName(a.name()) == "path") c.path = inside(a.value());
        return c;
    }

    void readObject(const std::string& path, const pugi::xml_node& node) {
        Object& o = objects_[{path, node.attribute("id").value()}];
        const pugi::xml_node mesh = child(node, "mesh");
        for (const auto& v : child(mesh, "vertices").children()) {
            const form::Vec3 p{number(v.attribute("x").value()), number(v.attribute("y").value()),
                               number(v.attribute("z").value())};
            if (std::isnan(p.x + p.y + p.z)) throw Refusal{tr("The file holds a corner that is not a number.")};
            o.mesh.points.push_back(p);
        }
        for (const auto& t : child(mesh, "triangles").children()) {
            form::Triangle corners{};
            size_t k = 0;
            for (const char* name : {"v1", "v2", "v3"}) {
                const double v = number(t.attribute(name).value());
                if (!(v >= 0 && v < static_cast<double>(o.mesh.points.size())) || v != std::floor(v))
                    throw Refusal{tr("The file is damaged: a triangle names a corner that does not exist.")};
                corners[k++] = static_cast<int>(v);
            }
            o.mesh.triangles.push_back(corners);
        }
        for (const auto& c : child(node, "components").children()) o.components.push_back(component(path, c));
    }

    void setDown(const Object::Component& what, const Transform& above, int depth, form::Mesh& out) {
        if (depth > kDeepest)
            throw Refusal{say("The model is put together more than {} deep, or from itself.", kDeepest)};
        if (++instances_ > kMostInstances)
            throw Refusal{say("The model is put together from more than {} pieces.", kMostInstances)};
        part(what.path);
        const auto found = objects_.find({what.path, what.id});
        if (found == objects_.end()) return;  // a support, or something this program has no use for
        const Transform here = then(what.transform, above);
        const form::Mesh& mesh = found->second.mesh;
        if (out.triangles.size() + mesh.triangles.size() > most_ || out.points.size() + mesh.points.size() > 3 * most_)
            throw Refusal{say("The model has more than {} triangles; thin it out before you bring it here.", most_)};
        const int shift = static_cast<int>(out.points.size());
        if (!mesh.triangles.empty())
            for (const auto& p : mesh.points) out.points.push_back(moved(p, here));
        const bool turned = mirrors(here);
        for (auto t : mesh.triangles) {
            if (turned) std::swap(t[1], t[2]);
            out.triangles.push_back({t[0] + shift, t[1] + shift, t[2] + shift});
        }
        for (const auto& c : found->second.components) setDown(c, here, depth + 1, out);
    }

    Archive archive_;
    size_t most_, instances_ = 0;
    std::map<std::pair<std::string, std::string>, Object> objects_;  // by part and id; they stay where they are
    std::map<std::string, std::vector<Object::Component>> items_;
    std::map<std::string, std::string> units_;
};

}  // namespace

tl::expected<Read3mf, Problem> read3mf(const std::string& bytes, size_t most) {
    auto archive = Archive::open(bytes);
    if (!archive) return tl::unexpected(archive.error());
    try {
        return Package(std::move(*archive), most).read();
    } catch (const Refusal& r) {
        return refuse(r.sentence);
    }
}

tl::expected<std::string, Problem> write3mf(const form::Mesh& mesh) {
    fmt::memory_buffer model;
    const auto out = std::back_inserter(model);
    fmt::format_to(out,
                   "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n<model unit=\"millimeter\" xml:lang=\"en\" "
                   "xmlns=\"http://schemas.microsoft.com/3dmanufacturing/core/2015/02\">\n<resources>\n<object "
                   "id=\"1\" type=\"model\" name=\"piece\"><mesh>\n<vertices>\n");
    for (const auto& p : mesh.points)
        fmt::format_to(out, "<vertex x=\"{:.7g}\" y=\"{:.7g}\" z=\"{:.7g}\"/>\n", p.x * 1e3, p.y * 1e3, p.z * 1e3);
    fmt::format_to(out, "</vertices>\n<triangles>\n");
    for (const auto& t : mesh.triangles)
        fmt::format_to(out, "<triangle v1=\"{}\" v2=\"{}\" v3=\"{}\"/>\n", t[0], t[1], t[2]);
    fmt::format_to(out,
                   "</triangles>\n</mesh></object>\n</resources>\n<build><item objectid=\"1\"/></build>\n</model>\n");
    return archived({
        {"[Content_Types].xml",
         "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n<Types "
         "xmlns=\"http://schemas.openxmlformats.org/package/2006/content-types\"><Default Extension=\"rels\" "
         "ContentType=\"application/vnd.openxmlformats-package.relationships+xml\"/><Default Extension=\"model\" "
         "ContentType=\"application/vnd.ms-package.3dmanufacturing-3dmodel+xml\"/></Types>\n"},
        {"_rels/.rels",
         "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n<Relationships "
         "xmlns=\"http://schemas.openxmlformats.org/package/2006/relationships\"><Relationship "
         "Target=\"/3D/3dmodel.model\" Id=\"model\" "
         "Type=\"http://schemas.microsoft.com/3dmanufacturing/2013/01/3dmodel\"/></Relationships>\n"},
        {"3D/3dmodel.model", fmt::to_string(model)},
    });
}

}  // namespace uovo::io
