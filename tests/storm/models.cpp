#include <fmt/format.h>

#include <cstring>

#include "core/form/rock.h"
#include "io/archive.h"
#include "io/model_3mf.h"
#include "storm/storm.h"

namespace uovo::storm {
namespace {

std::string stl(const form::Mesh& m, bool text) {
    std::string out = text ? "solid a\n" : std::string(80, ' ');
    const auto put = [&](const auto& v) { out.append(reinterpret_cast<const char*>(&v), sizeof v); };
    if (!text) put(static_cast<std::uint32_t>(m.triangles.size()));
    for (const auto& t : m.triangles) {
        if (text) out += "facet normal 0 0 0\nouter loop\n";
        if (!text) out.append(12, '\0');
        for (const int i : t) {
            const form::Vec3 p = m.points[static_cast<size_t>(i)] * 1000;
            if (text) out += fmt::format("vertex {:.5g} {:.5g} {:.5g}\n", p.x, p.y, p.z);
            else
                for (const double v : {p.x, p.y, p.z}) put(static_cast<float>(v));
        }
        if (text) out += "endloop\nendfacet\n";
        if (!text) out.append(2, '\0');
    }
    return text ? out + "endsolid a\n" : out;
}

std::string obj(const form::Mesh& m, Random& r) {
    std::string out = chance(r, 0.3) ? "mtllib ../../../etc/passwd\nusemtl a\n" : "";
    for (const auto& p : m.points) out += fmt::format("v {:.5g} {:.5g} {:.5g}\n", p.x * 1000, p.y * 1000, p.z * 1000);
    for (const auto& t : m.triangles) out += fmt::format("f {} {} {}\n", t[0] + 1, t[1] + 1, t[2] + 1);
    if (chance(r, 0.1)) {
        out += "f";
        for (int i = 0; i < 1 + below(r, 100000); ++i) out += " 1";
        out += '\n';
    }
    return out;
}

std::string ply(const form::Mesh& m, bool text, Random& r) {
    const size_t promised = chance(r, 0.1) ? static_cast<size_t>(r() % 2'000'000'000) : m.triangles.size();
    std::string out = fmt::format(
        "ply\nformat {} 1.0\nelement vertex {}\nproperty float x\nproperty float y\nproperty float z\nelement face "
        "{}\nproperty list uchar int vertex_indices\nend_header\n",
        text ? "ascii" : "binary_little_endian", m.points.size(), promised);
    const auto put = [&](const auto& v) { out.append(reinterpret_cast<const char*>(&v), sizeof v); };
    if (text) {
        for (const auto& p : m.points) out += fmt::format("{:.5g} {:.5g} {:.5g}\n", p.x * 1000, p.y * 1000, p.z * 1000);
        for (const auto& t : m.triangles) out += fmt::format("3 {} {} {}\n", t[0], t[1], t[2]);
        return out;
    }
    for (const auto& p : m.points)
        for (const double v : {p.x, p.y, p.z}) put(static_cast<float>(v * 1000));
    for (const auto& t : m.triangles) {
        put(static_cast<unsigned char>(3));
        for (const int i : t) put(static_cast<std::int32_t>(i));
    }
    return out;
}

std::string xml3mf(Random& r) {
    const std::string head =
        "<model unit=\"millimeter\" xmlns=\"http://schemas.microsoft.com/3dmanufacturing/core/2015/02\"><resources>";
    const std::string mesh =
        "<object id=\"1\" type=\"model\"><mesh><vertices><vertex x=\"0\" y=\"0\" z=\"0\"/><vertex x=\"9\" y=\"0\" "
        "z=\"0\"/><vertex x=\"0\" y=\"9\" z=\"0\"/><vertex x=\"0\" y=\"0\" z=\"9\"/></vertices><triangles><triangle "
        "v1=\"0\" v2=\"2\" v3=\"1\"/><triangle v1=\"0\" v2=\"1\" v3=\"3\"/><triangle v1=\"1\" v2=\"2\" "
        "v3=\"3\"/><triangle v1=\"0\" v2=\"3\" v3=\"2\"/></triangles></mesh></object>";
    std::string rest;
    int last = 1;
    for (int deep = below(r, 40); deep > 0; --deep, ++last) {
        rest += fmt::format("<object id=\"{}\" type=\"model\"><components>", last + 1);
        for (int k = 1 + below(r, 3); k > 0; --k)
            rest += fmt::format("<component objectid=\"{}\" transform=\"1 0 0 0 1 0 0 0 1 {} {} 0\"/>",
                                chance(r, 0.95) ? last : last + 1 + below(r, 3), below(r, 50), below(r, 50));
        rest += "</components></object>";
    }
    std::string items;
    for (int k = chance(r, 0.05) ? 20000 : 1 + below(r, 3); k > 0; --k)
        items += fmt::format("<item objectid=\"{}\"/>", last);
    return head + mesh + rest + "</resources><build>" + items + "</build></model>";
}

void damage(std::string& text, Random& r) {
    if (text.empty()) return;
    const auto place = [&] { return static_cast<size_t>(r() % text.size()); };
    switch (below(r, 5)) {
        case 0:
            text.resize(place());
            break;
        case 1:
            for (int i = 1 + below(r, 30); i > 0; --i) text[place()] = static_cast<char>(r());
            break;
        case 2:
            text.erase(place(), static_cast<size_t>(below(r, 500)));
            break;
        case 3:
            text.insert(place(), text.substr(place(), static_cast<size_t>(below(r, 5000))));
            break;
        case 4:
            text.insert(place(), std::string(static_cast<size_t>(below(r, 5000)), static_cast<char>(r())));
            break;
    }
}

}  // namespace

std::pair<std::string, std::string> randomModel(Random& r) {
    const form::Mesh m = form::rock(0.02 + 0.1 * share(r), static_cast<unsigned>(r()), 1 + below(r, 6));
    std::pair<std::string, std::string> out;
    switch (below(r, 7)) {
        case 0:
            out = {stl(m, false), "stl"};
            break;
        case 1:
            out = {stl(m, true), "stl"};
            break;
        case 2:
            out = {obj(m, r), "obj"};
            break;
        case 3:
            out = {ply(m, false, r), "ply"};
            break;
        case 4:
            out = {ply(m, true, r), "ply"};
            break;
        case 5:
            out = {*io::write3mf(m), "3mf"};
            break;
        default: {
            std::string model = xml3mf(r);
            if (chance(r, 0.3)) damage(model, r);
            if (chance(r, 0.05)) model += std::string(300'000'000, ' ');  // unfolds to more than it may
            out = {*io::archived({{"3D/3dmodel.model", model}}), "3mf"};
        }
    }
    if (chance(r, 0.7)) damage(out.first, r);
    if (chance(r, 0.05)) out.second = any<std::string>(r, {"stl", "obj", "ply", "3mf"});
    return out;
}

std::string randomOutline(Random& r) {
    std::string d = "M 0 0";
    for (int i = 2 + below(r, 30); i > 0; --i)
        d +=
            fmt::format(" {} {:.4g} {:.4g}", any<std::string>(r, {"L", "l", "T", "M"}), 200 * share(r), 200 * share(r));
    std::string out = fmt::format(
        "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"{:.3f}mm\" height=\"{:.3f}mm\" viewBox=\"0 0 {:.3f} "
        "{:.3f}\"><g transform=\"rotate({})\"><path d=\"{} Z\"/><circle cx=\"5\" cy=\"5\" r=\"{:.4g}\"/></g></svg>",
        1 + 200 * share(r), 1 + 200 * share(r), 1 + 200 * share(r), 1 + 200 * share(r), below(r, 360), d,
        20 * share(r));
    if (chance(r, 0.6)) damage(out, r);
    return out;
}

}  // namespace uovo::storm
