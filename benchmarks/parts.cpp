// Speeds of shapes: default meshes, compounds, imports, thinning out.
#include <chrono>
#include <cstdio>
#include <filesystem>

#include "core/assembly/contacts.h"
#include "core/assembly/order.h"
#include "core/assembly/placing.h"
#include "core/cutting/nest.h"
#include "core/form/decimate.h"
#include "core/form/part.h"
#include "core/form/rock.h"
#include "core/mold/own_mold.h"
#include "io/model_reader.h"

namespace {

using namespace uovo;
using namespace uovo::form;

template <class F>
double best(int runs, const F& f) {
    double least = 1e9;
    for (int i = 0; i < runs; ++i) {
        const auto t = std::chrono::steady_clock::now();
        f();
        least =
            std::min(least, std::chrono::duration<double, std::milli>(std::chrono::steady_clock::now() - t).count());
    }
    return least;
}

/// An original of twenty thousand triangles in silicone.
void inSilicone() {
    const Mesh m = *decimated(rock(0.04, 1, 6), 20000);
    std::printf("a mold of %zu triangles, ms\n", m.triangles.size());
    std::printf("  undercut map        %7.1f (asked 150)\n", best(3, [&] {
                    (void)mold::undercuts(m, Rays(m), {0, 0, 1}, 2);
                }));
    std::printf("  best of 200, one part  %7.0f (asked 2000)\n", best(1, [&] { (void)mold::bestPull(m, Rays(m), 1); }));
    std::printf("  best of 200, two parts %7.0f (asked 2000)\n", best(1, [&] { (void)mold::bestPull(m, Rays(m), 2); }));
    std::printf("  air                 %7.1f (asked 50)\n\n", best(3, [&] {
                    (void)mold::airTraps(m, {0, 0, 1}, 1e-3);
                }));
}

/// A part in hand: its place and what it touches, each time it is moved by a hair (asked: a frame, 16 ms).
void inHand() {
    std::puts("a part in hand, ms: its place, and all contacts again (asked 16 together)");
    for (const char* id : {"house", "tower", "basket"}) {
        const auto whole = build(usual(id), {}, assembly::kInHand);
        assembly::Placer placer(*whole);
        const size_t last = whole->items.size() - 1;
        std::vector<assembly::Body> bodies(placer.size());
        for (size_t k = 0; k < bodies.size(); ++k) bodies[k].solid = placer.solid(k, placer.pose(k));
        assembly::ContactFinder finder(bodies, assembly::ContactOptions::inHand());
        (void)finder.find();
        double by = 0;
        const double place = best(20, [&] { (void)placer.moved(last, {by += 1e-4, 0, 0}, 2e-3); });
        const double touch = best(20, [&] {
            assembly::Body b = bodies[last];
            Pose p = placer.pose(last);
            p.at.x += by += 1e-4;
            b.solid = placer.solid(last, p);
            finder.move(last, std::move(b));
            (void)finder.find();
        });
        std::printf("  %-8s %2zu parts  %6.2f  %6.2f\n", id, placer.size(), place, touch);
    }
}

/// Stacks of slabs, glued: the order of so many parts (asked: 12 in 100 ms, 25 in 600).
void orders() {
    std::puts("an order of putting together, ms, contacts known");
    for (const size_t n : {6u, 12u, 25u}) {
        std::vector<assembly::Body> bodies;
        std::vector<assembly::Glue> glues;
        const double thick = figure(usual("sheet"), "thickness");
        for (size_t k = 0; k < n; ++k) {
            assembly::Body b;
            const double z = 0.01 * double(k), x = 1e-3 * double(k % 3);
            b.solid = build(usual("sheet"), {}, assembly::kRigid)->items.front().shape.surface;
            for (auto& p : b.solid.points) p = {p.x * 0.5 + x, p.y * 0.5, z + p.z / thick * 0.01};
            b.mass = 0.03;
            b.centre = centroid(b.solid);
            bodies.push_back(std::move(b));
            if (k > 0) glues.push_back({k - 1, k});
        }
        const auto found = assembly::contactsOf(bodies);
        std::printf("  %2zu parts %7.1f\n", n,
                    best(3, [&] { (void)assembly::orderOf(bodies, found.contacts, glues); }));
    }
}

cutting::CutPart cut(const char* name, std::vector<Loop> loops, int count) {
    cutting::CutPart p;
    p.name = name;
    p.loops = std::move(loops);
    p.count = count;
    return p;
}
Loop rectangle(double w, double h) { return {{0, 0}, {w, 0}, {w, h}, {0, h}}; }

/// Panels of two houses, and sixty parts that are not convex and have holes, on sheets (asked: 300 ms, 1500 ms).
void sheets() {
    std::vector<cutting::CutPart> panels,
        mixed{cut("panel", {rectangle(0.08, 0.05)}, 15), cut("slat", {rectangle(0.09, 0.012)}, 10)};
    const auto house = build(usual("house"));
    for (const auto& item : house->items) panels.push_back(cut(item.key.c_str(), sheetOutline(item.part), 2));
    for (const auto& [name, count] : {std::pair{"heart", 8}, {"star", 4}, {"leaf", 6}, {"round", 14}})
        mixed.push_back(cut(name, {silhouette(name, 0.05, 0.045, 60)}, count));
    mixed.push_back(
        cut("frame", {rectangle(0.09, 0.09), {{0.015, 0.015}, {0.015, 0.075}, {0.075, 0.075}, {0.075, 0.015}}}, 3));
    std::puts("laid out on sheets, ms until the first layout, until the best one; strip used");
    for (const auto* parts : {&panels, &mixed}) {
        cutting::SheetOptions o;
        o.width = parts == &panels ? 0.3 : 0.7;
        o.height = parts == &panels ? 0.4 : 0.5;
        o.window = 1e6;
        int many = 0;
        for (const auto& p : *parts) many += p.count;
        const auto begun = std::chrono::steady_clock::now();
        const auto since = [&] {
            return std::chrono::duration<double, std::milli>(std::chrono::steady_clock::now() - begun).count();
        };
        double first = 0;
        const auto laid = cutting::nest(*parts, o, {}, [&](const cutting::Layout&, double) {
            if (first == 0) first = since();
        });
        std::printf("  %2d parts %7.0f %7.0f   %.2f\n", many, first, since(), laid->sheets.front().strip);
    }
}

}  // namespace

int main() {
    inSilicone();
    inHand();
    orders();
    sheets();
    std::puts("default mesh of each family, ms (asked: part 10, compound 50)");
    double worstPart = 0, worstCompound = 0;
    for (const auto& f : families()) {
        const Part p = usual(f.id);
        if (!build(p)) continue;  // it wants a model of the plan
        size_t triangles = 0;
        const double ms = best(5, [&] {
            const auto a = build(p);
            triangles = 0;
            for (const auto& i : a->items) triangles += i.shape.surface.triangles.size();
        });
        (f.body == Body::Compound ? worstCompound : worstPart) =
            std::max(f.body == Body::Compound ? worstCompound : worstPart, ms);
        std::printf("  %-14s %7.2f   %6zu triangles\n", f.id.c_str(), ms, triangles);
    }
    std::printf("worst part %.2f ms, worst compound %.2f ms\n\n", worstPart, worstCompound);
    std::puts("thinning out to 20 000 triangles, ms");
    for (const int s : {5, 6, 7, 8}) {
        const Mesh m = rock(0.08, 1, s);
        const double ms = best(1, [&] { (void)decimated(m, 20000); });
        std::printf("  %8zu triangles %9.0f\n", m.triangles.size(), ms);
    }
    const std::string path = (std::filesystem::temp_directory_path() / "uovo-bench.stl").string();
    (void)io::writeMeshFile(path, rock(0.08, 1, 8));
    std::printf("reading a binary STL of 1.3 million triangles, thinned out: %.0f ms\n",
                best(1, [&] { (void)io::readMeshFile(path); }));
    std::filesystem::remove(path);
}
