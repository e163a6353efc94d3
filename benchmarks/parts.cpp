// Speeds of shapes: default meshes, compounds, imports, thinning out.
#include <chrono>
#include <cstdio>
#include <filesystem>

#include "core/form/decimate.h"
#include "core/form/part.h"
#include "core/form/rock.h"
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

}  // namespace

int main() {
    std::puts("default mesh of each family, ms (asked: part 10, compound 50)");
    double worstPart = 0, worstCompound = 0;
    for (const auto& f : families()) {
        if (f.id == "mesh") continue;
        const Part p = usual(f.id);
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
