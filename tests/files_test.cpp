// Models and outlines on disk; Debian's admesh and OpenSCAD as independent witnesses.
#include <fcntl.h>
#include <unistd.h>
#include <catch2/catch.hpp>
#include <charconv>
#include <cstdio>
#include <filesystem>
#include <fstream>
#include <numbers>
#include <random>

#include "core/form/part.h"
#include "core/form/rock.h"
#include "io/model_reader.h"
#include "io/plan_file.h"
#include "io/svg_file.h"
#include "support_command.h"
#include "support_files.h"

namespace uovo::form::files_test {

using std::numbers::pi;

namespace {

/// The next so many numbers of a text from a place on, in whatever language the test runs.
std::vector<double> numbersFrom(const std::string& text, size_t at, size_t many) {
    std::vector<double> out;
    while (out.size() < many && at < text.size()) {
        double v = 0;
        const auto [end, wrong] = std::from_chars(text.data() + at, text.data() + text.size(), v);
        if (wrong != std::errc()) {
            ++at;
            continue;
        }
        out.push_back(v);
        at = static_cast<size_t>(end - text.data());
    }
    REQUIRE(out.size() == many);
    return out;
}

Part part(const std::string& family, std::initializer_list<std::pair<const char*, double>> values,
          std::initializer_list<std::pair<const char*, const char*>> choices = {}) {
    Part p = usual(family);
    for (const auto& [k, v] : values) p.values[k] = Measure(v);
    for (const auto& [k, v] : choices) p.choices[k] = v;
    return p;
}

std::string why(const tl::expected<io::ReadMesh, Problem>& r) { return r ? "" : r.error().sentence; }

}  // namespace

TEST_CASE("every format brings the same volume back, and admesh agrees", "[long]") {
    const test::Folder folder("files");
    for (const auto& [id, p] : {std::pair{"egg", usual("egg")},
                                {"tart", usual("tart")},
                                {"basket", usual("basket")},
                                {"house", usual("house")},
                                {"lace", usual("lace")}}) {
        const Mesh solid = build(p, {}, {12000, 64})->solid();
        const double mm3 = volume(solid) * 1e9;
        for (const char* format : {"stl", "obj", "ply", "3mf"}) {
            const std::string file = folder(std::string(id) + "." + format);
            INFO(file);
            REQUIRE(io::writeMeshFile(file, solid));
            const auto back = io::readMeshFile(file);
            INFO(why(back));
            REQUIRE(back);
            CHECK(volume(back->mesh) == Approx(mm3).epsilon(back->before > io::kMostTriangles ? 2e-3 : 1e-4));
            CHECK(back->likely == io::MeshUnit::Millimetre);
        }
        CHECK(test::admeshVolume(folder(std::string(id) + ".stl")) == Approx(mm3).epsilon(1e-3));
    }
}

TEST_CASE("solids built by OpenSCAD have the volume of ours", "[long]") {
    const test::Folder folder("files");
    const std::string fn = "$fn=180; ";
    struct Row {
        const char* name;
        Part ours;
        std::string theirs;
    };
    const Row rows[]{
        {"frustum",
         part("case", {{"baseDiameter", .06},
                       {"topDiameter", .09},
                       {"height", .08},
                       {"flutes", 0},
                       {"fluteDepth", 0},
                       {"wall", .003}}),
         "cylinder(h=80, d1=60, d2=90);"},
        {"disc", part("disc", {{"diameter", .127}, {"thickness", .0032}}), "cylinder(h=3.2, d=127);"},
        {"ball", part("ball", {{"diameter", .1}}), "sphere(d=100);"},
        {"lid", part("lid", {}), "cylinder(h=3, d=60); translate([0,0,3]) cylinder(h=4, d=70);"},
        {"pressed",
         part("pressed", {{"baseDiameter", .06},
                          {"topDiameter", .06},
                          {"height", .06},
                          {"fillLine", .05},
                          {"gap", .004},
                          {"floor", .005}}),
         "difference(){cylinder(h=50,d=60); translate([0,0,5]) cylinder(h=60,d=52);}"},
        {"frame", part("sheet", {{"length", .1}, {"width", .08}, {"thickness", .003}}, {{"cut", "frame"}}),
         "difference(){cube([100,80,3],center=true); cube([68,48,9],center=true);}"},
        {"torus", part("rope", {{"length", .2}, {"thickness", .008}}, {{"shape", "ring"}}),
         "rotate_extrude() translate([200/(2*PI),0]) circle(d=8);"},
        {"collar", part("collar", {}), "difference(){cylinder(h=6,d=56); translate([0,0,-1]) cylinder(h=9,d=40);}"},
    };
    for (const auto& row : rows) {
        INFO(row.name);
        const std::string scad = folder(std::string(row.name) + ".scad"),
                          theirs = folder(std::string(row.name) + "-theirs.stl"),
                          ours = folder(std::string(row.name) + "-ours.stl");
        std::ofstream(scad) << fn << row.theirs << "\n";
        const std::string log = test::printedBy("openscad -o '" + theirs + "' '" + scad + "'");
        INFO(log);
        const auto built = build(row.ours, {}, kExport);
        REQUIRE(built);
        REQUIRE(io::writeMeshFile(ours, built->items.front().shape.surface));
        const double a = test::admeshVolume(ours), b = test::admeshVolume(theirs);
        CHECK(a == Approx(b).epsilon(1.5e-3));  // their circles have 180 corners: 2e-4 small
    }
}

TEST_CASE("bad models are refused in a sentence") {
    const test::Folder folder("files");
    const auto write = [&](const char* name, const std::string& text) {
        std::ofstream(folder(name), std::ios::binary) << text;
        return folder(name);
    };
    CHECK(why(io::readMeshFile(folder("nothing.stl"))).find("not there") != std::string::npos);
    CHECK(why(io::readMeshFile(write("empty.stl", ""))).find("is empty") != std::string::npos);
    CHECK(why(io::readMeshFile(write("words.stl", "solid nonsense and nothing else"))).find("“words.stl”") !=
          std::string::npos);
    CHECK(why(io::readMeshFile(write("cake.doc", "x"))).find("none of them") != std::string::npos);
    // Found by fuzzing: assimp reads on for minutes when a PLY header is broken or promises more than there is.
    CHECK(why(io::readMeshFile(write("cut.ply", "ply\nformat ascii 1.0\nelement vertex 3\nproperty float x\n")))
              .find("damaged") != std::string::npos);
    CHECK(why(io::readMeshFile(
                  write("more.ply",
                        "ply\nformat ascii 1.0\nelement vertex 900000000\nproperty float x\nproperty float y\nproperty "
                        "float z\nelement face 1\nproperty list uchar int vertex_indices\nend_header\n0 0 0\n")))
              .find("breaks off") != std::string::npos);
    CHECK(why(io::readMeshFile(write("zip.3mf", "PK\x03\x04 but no more"))).find("damaged") != std::string::npos);
    CHECK(why(io::readMeshFile(write("flat.obj", "v 0 0 0\nv 10 0 0\nv 0 10 0\nf 1 2 3\n"))).find("flat") !=
          std::string::npos);
    CHECK(why(io::readMeshFile(write("points.obj", "v 0 0 0\nv 10 0 0\n"))).size() > 5);
    {  // a file of two gigabytes that takes no room
        const int fd = ::open(folder("huge.stl").c_str(), O_CREAT | O_WRONLY, 0600);
        REQUIRE(::ftruncate(fd, 2'000'000'000L) == 0);
        ::close(fd);
        CHECK(why(io::readMeshFile(folder("huge.stl"))).find("2000 MB") != std::string::npos);
    }
    // A model lying on itself: two faces, no inside.
    CHECK(why(io::readMeshFile(
                  write("double.obj", "v 0 0 0\nv 10 0 0\nv 0 10 0\nv 0 0 0.5\nf 1 2 3\nf 1 3 2\nf 1 2 4\nf 1 4 2\n")))
              .find("no inside") != std::string::npos);
}

TEST_CASE("open, inside-out and inch models are told and brought in") {
    const test::Folder folder("files");
    Mesh open = rock(0.05, 4, 3);
    open.triangles.resize(open.triangles.size() - 5);
    REQUIRE(io::writeMeshFile(folder("open.stl"), open));
    const auto holes = io::readMeshFile(folder("open.stl"));
    REQUIRE(holes);
    CHECK(holes->report.sound());
    CHECK(holes->remarks.find("closed now") != std::string::npos);
    CHECK(volume(holes->mesh) == Approx(1e9 * volume(rock(0.05, 4, 3))).epsilon(0.01));
    // what is a sheet stays open: there is no body to close
    REQUIRE(
        io::writeMeshFile(folder("sheet.obj"),
                          Mesh{{{0, 0, 0}, {0.05, 0, 0}, {0.05, 0.05, 0}, {0, 0.05, 0}}, {{0, 1, 2}, {0, 2, 3}}, {}}));
    const auto sheet = io::readMeshFile(folder("sheet.obj"));
    CHECK((!sheet || sheet->report.openEdges > 0));
    REQUIRE(io::writeMeshFile(folder("turned.stl"), reversed(rock(0.05, 4, 3))));
    const auto turned = io::readMeshFile(folder("turned.stl"));
    REQUIRE(turned);
    CHECK(volume(turned->mesh) > 0);
    CHECK(turned->remarks.find("inside out") != std::string::npos);
    Mesh inches = rock(0.05, 4, 3);
    for (auto& p : inches.points) p = p * (1 / 25.4);  // written as millimetres, meant as inches: 1.97
    REQUIRE(io::writeMeshFile(folder("inch.stl"), inches));
    const auto read = io::readMeshFile(folder("inch.stl"));
    REQUIRE(read);
    CHECK(read->likely == io::MeshUnit::Inch);
    CHECK(volume(read->mesh) * std::pow(io::metres(read->likely), 3) == Approx(volume(rock(0.05, 4, 3))).epsilon(1e-4));
}

TEST_CASE("a large model is thinned out with progress, and stops when asked", "[long]") {
    const test::Folder folder("files");
    REQUIRE(io::writeMeshFile(folder("large.stl"), rock(0.08, 2, 6)));
    int calls = 0;
    const auto read = io::readMeshFile(folder("large.stl"), {}, [&](double) { ++calls; });
    REQUIRE(read);
    CHECK(calls > 5);
    CHECK(read->before == 81920);
    CHECK(read->mesh.triangles.size() <= io::kMostTriangles);
    CHECK(read->report.sound());
    CHECK(read->remarks.find("Thinned out") != std::string::npos);
    std::stop_source stop;
    stop.request_stop();
    CHECK(why(io::readMeshFile(folder("large.stl"), stop.get_token())) == "Stopped.");
}

TEST_CASE("a wrapped pattern is as long as the circumference, measured in the SVG file") {
    const auto arcs = [](const std::string& svg) {
        // the outer edge: M x y A R R 0 large sweep x y
        const auto v = numbersFrom(svg, svg.find("d=\"M"), 9);
        const double R = v[2], chord = std::hypot(v[7] - v[0], v[8] - v[1]);
        double angle = 2 * std::asin(std::min(1.0, chord / (2 * R)));
        if (v[5] > 0) angle = 2 * pi - angle;
        return R * angle;
    };
    for (const double overlap : {0.0, 8.0}) {
        for (const auto& [d, h] : {std::pair{60.0, 110.0}, {80.0, 90.0}, {200.0, 60.0}, {30.0, 250.0}}) {
            const auto a =
                build(part("wrap-cone", {{"diameter", d * 1e-3}, {"height", h * 1e-3}, {"overlap", overlap * 1e-3}}));
            REQUIRE(a);
            CHECK(arcs(io::patternSvg(*a->items[0].shape.pattern, "cone")) == Approx(pi * d + overlap).margin(0.1));
        }
        const auto f =
            build(part("wrap-frustum",
                       {{"baseDiameter", .06}, {"topDiameter", .09}, {"height", .08}, {"overlap", overlap * 1e-3}}));
        CHECK(arcs(io::patternSvg(*f->items[0].shape.pattern, "frustum")) == Approx(pi * 90 + overlap).margin(0.1));
        const std::string tube = io::patternSvg(
            *build(part("wrap-tube", {{"diameter", .04}, {"overlap", overlap * 1e-3}}))->items[0].shape.pattern,
            "tube");
        const double w = numbersFrom(tube, tube.find("M10 10h") + 7, 1)[0];
        CHECK(w == Approx(pi * 40 + overlap).margin(0.1));
    }
    const std::string svg = io::patternSvg(*build(usual("wrap-cone"))->items[0].shape.pattern, "a <cone> & more");
    CHECK(svg.find("a &lt;cone&gt; &amp; more") != std::string::npos);
    CHECK(svg.find("h100M") != std::string::npos);  // the check ruler
}

TEST_CASE("a pattern read back has the area of the cone") {
    const auto a = build(part("wrap-cone", {{"diameter", .08}, {"height", .09}, {"overlap", 0}}));
    const auto loops = io::readSvgOutline(io::patternSvg(*a->items[0].shape.pattern, "cone"));
    REQUIRE(loops);
    CHECK(signedArea(loops->front()) == Approx(a->items[0].shape.area).epsilon(2e-3));
}

TEST_CASE("SVG outlines: shapes, curves, transforms and units") {
    const auto areaOf = [](const std::string& inside,
                           const std::string& head = "width=\"100mm\" height=\"100mm\" viewBox=\"0 0 100 100\"") {
        const auto r =
            io::readSvgOutline("<svg xmlns=\"http://www.w3.org/2000/svg\" " + head + ">" + inside + "</svg>");
        INFO((r ? "" : r.error().sentence));
        REQUIRE(r);
        double a = 0;
        for (size_t i = 0; i < r->size(); ++i) a += signedArea((*r)[i]);
        return a * 1e6;  // mm²
    };
    CHECK(areaOf("<rect x='10' y='10' width='40' height='30'/>") == Approx(1200));
    CHECK(areaOf("<circle cx='50' cy='50' r='20'/>") == Approx(pi * 400).epsilon(5e-3));
    CHECK(areaOf("<path d='M10 10h40v30h-40z'/>") == Approx(1200));
    CHECK(areaOf("<path d='M10,10 L50,10 50,40 10,40 Z M20,20 L20,30 30,30 30,20 Z'/>") ==
          Approx(1100));  // with a hole
    CHECK(areaOf("<path d='M30 50 A20 20 0 1 1 70 50 A20 20 0 1 1 30 50 Z'/>") == Approx(pi * 400).epsilon(5e-3));
    CHECK(areaOf("<path d='M0 0 C0 27.614 22.386 50 50 50 L0 50 Z'/>") ==
          Approx(2500 - pi * 625).epsilon(5e-3));  // a corner beside a quarter circle
    CHECK(areaOf("<path d='M0 0 Q50 0 50 50 L0 50z'/>") == Approx(2500 - 2500 / 6.0 * 1.0).epsilon(0.3));
    CHECK(areaOf("<g transform='scale(2)'><rect width='10' height='10'/></g>") == Approx(400));
    CHECK(areaOf("<g transform='translate(5,5) rotate(30)'><polygon points='0,0 20,0 20,10 0,10'/></g>") ==
          Approx(200));
    CHECK(areaOf("<rect width='96' height='96'/>", "") == Approx(25.4 * 25.4));  // CSS pixels
    CHECK(areaOf("<rect width='1' height='1'/>", "width=\"2in\" viewBox=\"0 0 2 2\"") == Approx(25.4 * 25.4));
    CHECK(areaOf("<path d='m10 10 30 0 0 30 -30 0z m5 5'/>") == Approx(900));
}

TEST_CASE("bad SVG files are refused in a sentence") {
    const auto says = [](const std::string& text) {
        const auto r = io::readSvgOutline(text);
        return r ? std::string() : r.error().sentence;
    };
    const std::string head = "<svg width='100mm' viewBox='0 0 100 100'>";
    CHECK(says("").find("empty") != std::string::npos);
    CHECK(says("hello").size() > 5);
    CHECK(says("<html></html>").find("not an SVG") != std::string::npos);
    CHECK(says(head + "\n<path d='M0 0\n").find("line") != std::string::npos);
    CHECK(says(head + "<path d='M0 0 L50 50 L50 0 L0 50 Z'/></svg>").find("crosses itself") != std::string::npos);
    CHECK(says(head + "<path d='M0 0 L50 50'/></svg>").find("no closed outline") != std::string::npos);
    CHECK(says(head + "<path d='M0 0 L50 zebra'/></svg>").find("number missing") != std::string::npos);
    CHECK(says(head + "<path d='M0 0 A5 5 0 7 1 9 9Z'/></svg>").find("arc") != std::string::npos);
    CHECK(says(head + "<path d='M0 0L9 0L9 9Z1 2 3 4'/></svg>").find("not well formed") !=
          std::string::npos);  // found by fuzzing: it never ended
    CHECK(says(head + "<rect width='1' height='1'/></svg>").find("four millimetres") != std::string::npos);
    CHECK(says("<svg width='100mm' viewBox='0 0 0 0'><rect width='9' height='9'/></svg>").find("viewBox") !=
          std::string::npos);
    CHECK(says(head + "<path d='M0 0 L1e300 0 L5 5Z'/></svg>").size() > 5);
    std::string deep = head;
    for (int i = 0; i < 100; ++i) deep += "<g>";
    deep += "<rect width='9' height='9'/>";
    for (int i = 0; i < 100; ++i) deep += "</g>";
    CHECK(says(deep + "</svg>").find("nested too deeply") != std::string::npos);
    std::string many = head + "<polygon points='";
    for (int i = 0; i < 21000; ++i) many += std::to_string(i % 90) + "," + std::to_string(i % 77) + " ";
    CHECK(says(many + "'/></svg>").find("20 000 points") != std::string::npos);
}

TEST_CASE("an SVG profile becomes a mold") {
    const auto p =
        io::readSvgProfile("<svg width='100mm' viewBox='0 0 100 100'><polyline points='10,90 35,90 35,50'/></svg>");
    REQUIRE(p);
    Part mold = usual("profile-mold");
    mold.points = {*p};
    const auto a = build(mold);
    REQUIRE(a);
    CHECK(a->items[0].shape.volume == Approx(pi * .025 * .025 * .04).epsilon(1e-6));
    CHECK_FALSE(io::readSvgProfile("<svg/>"));
}

TEST_CASE("sheet outlines go out and come back the same") {
    for (const char* cut : {"gable", "hexagon", "frame", "triangle"}) {
        const Part p = part("sheet", {{"length", .1}, {"width", .08}}, {{"cut", cut}});
        const auto loops = sheetOutline(p);
        const auto back = io::readSvgOutline(io::outlineSvg(loops, cut));
        INFO(cut);
        REQUIRE(back);
        REQUIRE(back->size() == loops.size());
        for (size_t i = 0; i < loops.size(); ++i)
            CHECK(std::abs(signedArea((*back)[i])) == Approx(std::abs(signedArea(loops[i]))).epsilon(1e-5));
    }
}

}  // namespace uovo::form::files_test
