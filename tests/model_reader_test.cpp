// Models that mean harm, or are only damaged: the reader says why in a sentence, soon, and nothing else happens.
#include <sys/stat.h>
#include <unistd.h>
#include <catch2/catch.hpp>
#include <cstring>
#include <filesystem>
#include <fstream>

#include "core/form/rock.h"
#include "io/archive.h"
#include "io/model_3mf.h"
#include "io/model_reader.h"
#include "io/plan_file.h"
#include "support_files.h"

namespace uovo::form::model_reader_test {

namespace {

std::string why(const tl::expected<io::ReadMesh, Problem>& r) { return r ? "" : r.error().sentence; }
bool has(const std::string& words, const std::string& part) { return words.find(part) != std::string::npos; }

const std::string kTetra =
    "<mesh><vertices><vertex x=\"0\" y=\"0\" z=\"0\"/><vertex x=\"30\" y=\"0\" z=\"0\"/><vertex x=\"0\" y=\"30\" "
    "z=\"0\"/><vertex x=\"0\" y=\"0\" z=\"30\"/></vertices>"
    "<triangles><triangle v1=\"0\" v2=\"2\" v3=\"1\"/><triangle v1=\"0\" v2=\"1\" v3=\"3\"/><triangle v1=\"1\" "
    "v2=\"2\" v3=\"3\"/><triangle v1=\"0\" v2=\"3\" v3=\"2\"/></triangles></mesh>";
constexpr double kTetraVolume = 4500;  // 30³/6

std::string object(int id, const std::string& inside) {
    return "<object id=\"" + std::to_string(id) + "\" type=\"model\">" + inside + "</object>";
}
std::string component(int id, const std::string& more = "") {
    return "<component objectid=\"" + std::to_string(id) + "\" " + more + "/>";
}
std::string components(const std::string& list) { return "<components>" + list + "</components>"; }

std::string model(const std::string& objects, const std::string& items, const char* unit = "millimeter") {
    return "<?xml version=\"1.0\"?><model unit=\"" + std::string(unit) +
           "\" xmlns=\"http://schemas.microsoft.com/3dmanufacturing/core/2015/02\" "
           "xmlns:p=\"http://schemas.microsoft.com/3dmanufacturing/production/2015/06\"><resources>" +
           objects + "</resources><build>" + items + "</build></model>";
}

std::string package(const std::string& text) { return *io::archived({{"3D/3dmodel.model", text}}); }
std::string item(int id, const std::string& more = "") {
    return "<item objectid=\"" + std::to_string(id) + "\" " + more + "/>";
}

tl::expected<io::ReadMesh, Problem> read(const std::string& bytes) { return io::readMeshBytes(bytes, "3mf"); }

std::string binaryPly(const Mesh& m) {
    std::string out = "ply\nformat binary_little_endian 1.0\nelement vertex " + std::to_string(m.points.size()) +
                      "\nproperty float x\nproperty float y\nproperty float z\nelement face " +
                      std::to_string(m.triangles.size()) + "\nproperty list uchar int vertex_indices\nend_header\n";
    const auto put = [&](const auto& v) { out.append(reinterpret_cast<const char*>(&v), sizeof v); };
    for (const auto& p : m.points)
        for (const double v : {p.x, p.y, p.z}) put(static_cast<float>(1000 * v));
    for (const auto& t : m.triangles) {
        put(static_cast<unsigned char>(3));
        for (const int i : t) put(i);
    }
    return out;
}

}  // namespace

TEST_CASE("a package is put together as its specification says") {
    // 3MF core specification 1.3: components with matrices of row vectors; items set objects down
    const auto one = read(package(model(object(1, kTetra), item(1))));
    REQUIRE(one);
    CHECK(volume(one->mesh) == Approx(kTetraVolume));
    const auto twice = read(
        package(model(object(1, kTetra) +
                          object(2, components(component(1) + component(1, "transform=\"2 0 0 0 2 0 0 0 2 100 0 0\""))),
                      item(2, "transform=\"1 0 0 0 1 0 0 0 1 0 50 0\""))));
    REQUIRE(twice);
    CHECK(volume(twice->mesh) == Approx(9 * kTetraVolume));  // one, and one twice as long each way
    CHECK(bounds(twice->mesh).low.y == Approx(50));
    CHECK(bounds(twice->mesh).high.x == Approx(160));
    const auto turned =
        read(package(model(object(1, kTetra), item(1, "transform=\"0 1 0 -1 0 0 0 0 1 0 0 0\""))));  // x becomes y
    REQUIRE(turned);
    CHECK(bounds(turned->mesh).low.x == Approx(-30));
    CHECK(bounds(turned->mesh).high.y == Approx(30));
    const auto mirrored = read(package(
        model(object(1, kTetra) +
                  object(2, components(component(1) + component(1, "transform=\"-1 0 0 0 1 0 0 0 1 -10 0 0\""))),
              item(2))));
    REQUIRE(mirrored);
    CHECK(volume(mirrored->mesh) == Approx(2 * kTetraVolume));  // neither is inside out
}

TEST_CASE("a package says its unit, and parts of it in other files of the package are found") {
    for (const auto& [unit, is] : {std::pair{"inch", io::MeshUnit::Inch},
                                   {"centimeter", io::MeshUnit::Centimetre},
                                   {"millimeter", io::MeshUnit::Millimetre}}) {
        const auto r = read(package(model(object(1, kTetra), item(1), unit)));
        REQUIRE(r);
        CHECK(r->likely == is);
    }
    const std::string root = model(object(2, components(component(1, "p:path=\"/3D/Objects/other.model\""))), item(2));
    const auto apart =
        read(*io::archived({{"3D/3dmodel.model", root}, {"3D/Objects/other.model", model(object(1, kTetra), "")}}));
    REQUIRE(apart);
    CHECK(volume(apart->mesh) == Approx(kTetraVolume));
    CHECK(has(why(read(package(root))), "is missing"));
    CHECK(has(why(read(package(model(object(2, components(component(1, "p:path=\"../../../etc/passwd\""))), item(2))))),
              "is missing"));
}

TEST_CASE("packages that would never end are refused before they begin") {
    CHECK(has(why(read(*io::archived({{"[Content_Types].xml", "<Types/>"}}))), "no model"));
    CHECK(has(why(read(package(model(object(1, components(component(1))), item(1))))), "from itself"));
    std::string chain = object(1, kTetra), doubling = chain;
    for (int k = 2; k < 5000; ++k) chain += object(k, components(component(k - 1)));
    for (int k = 2; k < 20; ++k) doubling += object(k, components(component(k - 1) + component(k - 1)));
    CHECK(has(why(read(package(model(chain, item(4999))))), "deep"));
    CHECK(has(why(read(package(model(doubling, item(19))))), "pieces"));
    std::string items;
    for (int k = 0; k < 60'000; ++k)
        items += item(1, "name=\"" + std::to_string(k * 7919L % 1000003) + "\"");  // not alike enough to fold well
    CHECK(has(why(read(package(model(object(1, kTetra), items)))), "pieces"));
    CHECK(
        has(why(read(package(model(object(1, kTetra) + std::string(20'000'000, ' '), item(1))))), "unfolds to 20 MB"));
    std::vector<std::pair<std::string, std::string>> many;
    for (int k = 0; k < 10'001; ++k) many.emplace_back(std::to_string(k), "");
    CHECK(has(why(read(*io::archived(many))), "archive of more than"));
    CHECK(has(why(read(package(model(object(1, kTetra), item(1, "transform=\"1 0 0\""))))), "twelve numbers"));
    CHECK(has(why(read(package("<model><resources>"))), "not XML"));
}

TEST_CASE("an archive is the same bytes for the same files, and a changed byte is found") {
    const std::string once = package(model(object(1, kTetra), item(1)));
    CHECK(once == package(model(object(1, kTetra), item(1))));
    size_t refused = 0;
    for (size_t at = 0; at < once.size(); ++at) {
        std::string damaged = once;
        damaged[at] = static_cast<char>(damaged[at] ^ 0x20);
        const auto r = read(damaged);
        if (r) CHECK(volume(r->mesh) == Approx(kTetraVolume));  // a byte that says nothing about the shape
        refused += !r;
    }
    CHECK(refused > once.size() / 2);
}

TEST_CASE("a file that was cut short is not taken for a smaller model") {
    const Mesh m = rock(0.05, 4, 3);
    const std::string ply = binaryPly(m);
    REQUIRE(io::readMeshBytes(ply, "ply"));
    const std::string said = why(io::readMeshBytes(ply.substr(0, ply.size() * 82 / 100), "ply"));
    CHECK(has(said, "breaks off"));
    CHECK(has(said, std::to_string(m.triangles.size()) + " faces"));
    for (size_t left = ply.size() - 1; left > ply.size() - 40; --left)
        CHECK_FALSE(io::readMeshBytes(ply.substr(0, left), "ply"));
    const std::string text =
        "ply\nformat ascii 1.0\nelement vertex 4\nproperty float x\nproperty float y\nproperty float z\nelement face "
        "4\nproperty list uchar int vertex_indices\nend_header\n0 0 0\n30 0 0\n0 30 0\n0 0 30\n3 0 2 1\n3 0 1 3\n3 1 2 "
        "3\n3 0 3 2\n";
    REQUIRE(io::readMeshBytes(text, "ply"));
    CHECK(has(why(io::readMeshBytes(text.substr(0, text.size() - 8), "ply")), "breaks off"));
    const std::string stl =
        "solid a\nfacet normal 0 0 1\nouter loop\nvertex 0 0 0\nvertex 9 0 0\nvertex 0 9 1\nendloop\nendfacet\nfacet "
        "normal 0 0 1\nouter loop\nvertex 0 0 0\nvertex 9 0 0\nvertex 0 9 5\nendloop\nendfacet\nendsolid a\n";
    CHECK(io::readMeshBytes(stl, "stl"));
    CHECK(has(why(io::readMeshBytes(stl.substr(0, stl.find("endsolid")), "stl")), "breaks off"));
    CHECK_FALSE(io::readMeshBytes(stl.substr(0, stl.rfind("vertex")), "stl"));
    CHECK(has(why(io::readMeshBytes("v 0 0 0\nv 9 0 0\nv 0 9 0\nv 0 0 9\nf 1 2 3\nf 1 2 40\n", "obj")), "not there"));
}

TEST_CASE("a face of hundreds of thousands of corners is refused, not unfolded") {
    const test::Folder folder("reader");
    std::string obj = "v 0 0 0\nv 30 0 0\nv 0 30 0\nv 0 0 30\nf";
    for (int k = 0; k < 800'000; ++k) obj += " 1 2 3";
    CHECK(has(why(io::readMeshFile(folder.write("wide.obj", obj + "\n"))), "corners"));
    std::string ply =
        "ply\nformat ascii 1.0\nelement vertex 3\nproperty float x\nproperty float y\nproperty float z\nelement face "
        "1\nproperty list int int vertex_indices\nend_header\n0 0 0\n9 0 0\n0 9 1\n";
    CHECK(has(why(io::readMeshBytes(ply + "90000000 0 1 2\n", "ply")), "corners"));
}

TEST_CASE("nothing that a model names is opened: a pipe among its materials holds nobody up") {
    const test::Folder folder("reader");
    REQUIRE(::mkfifo((folder.path / "paint.mtl").c_str(), 0600) == 0);
    const std::string obj =
        "mtllib paint.mtl\nusemtl red\nv 0 0 0\nv 30 0 0\nv 0 30 0\nv 0 0 30\nvt 0 0\nvn 0 0 1\nf 1/1/1 3/1/1 2//1\nf "
        "1/1 2/1 4/1\nf -3 -2 -1\nf 1 4 \\\n 3\n";
    const auto r = io::readMeshFile(folder.write("painted.obj", obj));
    INFO(why(r));
    REQUIRE(r);
    CHECK(volume(r->mesh) == Approx(kTetraVolume));
    REQUIRE(::mkfifo((folder.path / "pipe.stl").c_str(), 0600) == 0);
    CHECK(has(why(io::readMeshFile((folder.path / "pipe.stl").string())), "not a file"));
}

TEST_CASE("the reader's process gives what a reading here gives, says how far it is, and stops when it is told") {
    const test::Folder folder("reader");
    const Mesh m = rock(0.08, 2, 6);
    REQUIRE(m.triangles.size() > io::kMostTriangles);
    REQUIRE(io::writeMeshFile((folder.path / "stone.stl").string(), m));
    const auto bytes = io::readWhole((folder.path / "stone.stl").string());
    REQUIRE(bytes);
    const auto here = io::readMeshBytes(*bytes, "stl");
    double last = 0;
    int told = 0;
    const auto there = io::readMeshFile((folder.path / "stone.stl").string(), {}, [&](double p) {
        CHECK(p >= last);
        last = p;
        ++told;
    });
    REQUIRE((here && there));
    CHECK(there->mesh == here->mesh);
    CHECK(there->remarks == here->remarks);
    CHECK(there->before == here->before);
    CHECK(there->likely == here->likely);
    CHECK(there->report.sound());
    CHECK(told > 3);
    std::stop_source stop;
    const auto stopped = io::readMeshFile((folder.path / "stone.stl").string(), stop.get_token(), [&](double p) {
        if (p > 0.01) stop.request_stop();
    });
    CHECK(why(stopped) == "Stopped.");
}

TEST_CASE("a model of more than two million triangles is refused within the reader's bounds", "[long]") {
    const test::Folder folder("reader");
    std::string stl(80, ' ');
    const std::uint32_t n = 2'100'000;
    stl.append(reinterpret_cast<const char*>(&n), 4);
    const float corners[12]{0, 0, 1, 0, 0, 0, 1, 0, 0, 0, 1, 1};
    for (std::uint32_t k = 0; k < n; ++k) {
        stl.append(reinterpret_cast<const char*>(corners), sizeof corners);
        stl.append(2, '\0');
    }
    CHECK(has(why(io::readMeshFile(folder.write("many.stl", stl))), "two million"));
}

}  // namespace uovo::form::model_reader_test
