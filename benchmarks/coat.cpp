// The film on meshes of growing size: time for ten minutes of process, and a filled ball that is turned eight times.
#include <algorithm>
#include <chrono>
#include <cstdio>
#include <string>

#include "core/coat/mesh_coats.h"
#include "core/form/former.h"
#include "core/form/part.h"
#include "core/plan/answers.h"
#include "io/data.h"

using namespace uovo;

namespace {

/// Median of five, ms.
double timed(const coat::MeshJob& job) {
    double ms[5];
    for (double& m : ms) {
        const auto began = std::chrono::steady_clock::now();
        (void)coat::coat(job);
        m = std::chrono::duration<double, std::milli>(std::chrono::steady_clock::now() - began).count();
    }
    std::sort(ms, ms + 5);
    return ms[2];
}

}  // namespace

int main() {
    Plan plan;
    Piece piece;
    piece.chocolate = "dark";
    coat::MeshJob job;
    static_cast<coat::CoatSetting&>(job) = *coatSetting(piece, plan, io::library());
    const auto balloon = *form::meridian(form::Balloon{});
    std::printf("balloon, one dip and 600 s (asked: 5 000 triangles 100 ms, 20 000 triangles 300 ms, near linear)\n");
    for (const double triangles : {1000.0, 2000.0, 5000.0, 10000.0, 20000.0, 50000.0, 100000.0}) {
        form::LatheOptions o;
        o.edge = o.along = std::sqrt(balloon.area() / (0.433 * 0.8 * triangles));
        o.onSurface = true;
        const coat::Surface s = coat::surfaceOf(form::lathe(balloon, o), true);
        job.surface = &s;
        coat::MeshStep step;
        step.coat.temperature = 33;
        step.coat.delay = 560;
        step.coat.stay = 0;
        step.coat.rest = coat::Rest::Hung;
        job.steps = {step};
        const double ms = timed(job);
        std::printf("  %7zu triangles %8.1f ms  %5.1f µs a triangle  %s\n", s.triangles.size(), ms, 1e3 * ms / double(s.triangles.size()), std::string(size_t(ms * 1e3 / double(s.triangles.size()) + 0.5), '=').c_str());
    }
    form::Part ball = form::usual("ball");
    ball.values["diameter"] = Measure(0.12);
    ball.values["seam"] = Measure(0.0);
    const auto built = form::build(ball, {}, {3300, 24, true});
    const coat::Surface s = coat::surfaceOf(built->items[0].shape.surface, false);
    job.surface = &s;
    coat::MeshStep step;
    step.coat.way = coat::Way::Pour;
    step.coat.temperature = 33;
    step.coat.delay = step.coat.stay = 0;
    step.fill = 2.26e-4;
    step.turns = coat::turnedEvery(120, 8);
    job.steps = {step};
    std::printf("ball with a pool, eight turns: %zu triangles %.0f ms (asked: 5 000 triangles 250 ms)\n", s.triangles.size(), timed(job));
}
