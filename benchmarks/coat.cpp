// The film on meshes of growing size, a filled ball that is turned, answers and advice on coated pieces. With a file
// name the growth is plotted there as SVG.
#include <algorithm>
#include <chrono>
#include <cmath>
#include <cstdio>
#include <functional>
#include <string>
#include <vector>

#include "core/answers/answers.h"
#include "core/coat/mesh_coats.h"
#include "core/form/former.h"
#include "core/form/part.h"
#include "core/stages/advisor.h"
#include "core/stages/film_history.h"
#include "io/data.h"

using namespace uovo;

namespace {

/// Median of five, ms.
double median(const std::function<void()>& what) {
    double ms[5];
    for (double& m : ms) {
        const auto began = std::chrono::steady_clock::now();
        what();
        m = std::chrono::duration<double, std::milli>(std::chrono::steady_clock::now() - began).count();
    }
    std::sort(ms, ms + 5);
    return ms[2];
}

double timed(const coat::MeshJob& job) {
    return median([&] { (void)coat::coat(job); });
}

/// A plan of one part, coated as usual.
Plan coated(const char* family) {
    Plan one;
    Piece p;
    p.id = "p";
    p.shape = form::usual(family);
    one.pieces = {p};
    one.pieces[0].coats() = usualCoats(one.pieces[0], one, io::library());
    return one;
}

/// Time against triangles as a picture, both on logarithmic scales, with a straight line of slope 1.
void plot(const char* path, const std::vector<std::pair<double, double>>& points) {
    std::FILE* f = std::fopen(path, "w");
    if (!f) return;
    const auto x = [](double n) { return 70 + 480 * (std::log10(n) - 3) / 2.2; };
    const auto y = [](double ms) { return 300 - 260 * (std::log10(ms) - 0.5) / 3; };
    std::fprintf(f,
                 "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 600 350\" font-family=\"sans-serif\" "
                 "font-size=\"13\">\n<rect width=\"100%%\" height=\"100%%\" fill=\"#FBF6EC\"/>\n");
    for (const double n : {1e3, 1e4, 1e5})
        std::fprintf(f,
                     "<path d=\"M%.1f 40V300\" stroke=\"#E6DBC9\"/><text x=\"%.1f\" y=\"318\" "
                     "text-anchor=\"middle\">%g</text>\n",
                     x(n), x(n), n);
    for (const double ms : {10.0, 100.0, 1000.0})
        std::fprintf(
            f, "<path d=\"M70 %.1fH560\" stroke=\"#E6DBC9\"/><text x=\"62\" y=\"%.1f\" text-anchor=\"end\">%g</text>\n",
            y(ms), y(ms) + 4, ms);
    const double slope = points.front().second / points.front().first;
    std::fprintf(f,
                 "<path d=\"M%.1f %.1fL%.1f %.1f\" stroke=\"#E59A1F\" stroke-dasharray=\"5 4\"/>\n<path fill=\"none\" "
                 "stroke=\"#2A1A12\" stroke-width=\"2\" d=\"",
                 x(1e3), y(1e3 * slope), x(1e5), y(1e5 * slope));
    for (size_t i = 0; i < points.size(); ++i)
        std::fprintf(f, "%c%.1f %.1f", i ? 'L' : 'M', x(points[i].first), y(points[i].second));
    std::fprintf(f, "\"/>\n");
    for (const auto& [n, ms] : points)
        std::fprintf(f, "<circle cx=\"%.1f\" cy=\"%.1f\" r=\"4\" fill=\"#2A1A12\"/>\n", x(n), y(ms));
    std::fprintf(f,
                 "<text x=\"300\" y=\"340\" text-anchor=\"middle\">triangles</text><text x=\"70\" y=\"28\">ms for one "
                 "dip and 600 s on a balloon; dashed: linear</text>\n</svg>\n");
    std::fclose(f);
}

}  // namespace

int main(int argc, char** argv) {
    Plan plan;
    Piece piece;
    piece.chocolate = "dark";
    coat::MeshJob job;
    static_cast<coat::CoatSetting&>(job) = *coatSetting(piece, plan, io::library());
    const auto balloon = *form::meridian(form::Balloon{});
    std::printf("balloon, one dip and 600 s (asked: 5 000 triangles 100 ms, 20 000 triangles 300 ms, near linear)\n");
    std::vector<std::pair<double, double>> growth;
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
        growth.emplace_back(double(s.triangles.size()), ms);
        std::printf("  %7zu triangles %8.1f ms  %5.1f µs a triangle  %s\n", s.triangles.size(), ms,
                    1e3 * ms / double(s.triangles.size()),
                    std::string(size_t(ms * 1e3 / double(s.triangles.size()) + 0.5), '=').c_str());
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
    std::printf("ball with a pool, eight turns: %zu triangles %.0f ms (asked: 5 000 triangles 250 ms)\n",
                s.triangles.size(), timed(job));
    if (argc > 1) plot(argv[1], growth);
    std::printf("from an edit to the answers of one piece, from nothing (asked: 100 ms)\n");
    AnswerOptions noDay;
    noDay.day = false;
    for (const char* family :
         {"half-ball", "tart", "fluted-dome", "wrap-cone", "ball", "hung-ball", "basket", "tower"}) {
        const Plan one = coated(family);
        std::printf("  %-12s %6.0f ms\n", family, median([&] {
                        Cache c;
                        (void)answer(one, io::library(), c, noDay);
                    }));
    }
    std::printf("ways to another wall (asked: 2 000 ms)\n");
    const Plan demo = io::demoPlan(20669L * 1440);
    for (size_t i = 0; i < 2; ++i)
        std::printf("  %-12s %6.0f ms\n", demo.pieces[i].id.c_str(),
                    median([&] { (void)advise(demo.pieces[i], Wish::Thinnest, 0.0025, demo, io::library()); }));
    for (const char* family : {"half-ball", "ball", "hung-ball", "tower"}) {
        const Plan one = coated(family);
        std::printf("  %-12s %6.0f ms\n", family,
                    median([&] { (void)advise(one.pieces[0], Wish::Mean, 0.003, one, io::library()); }));
    }
    std::printf("history of the coats for the stage\n");
    std::printf("  %-12s %6.0f ms\n", "bowl", median([&] { (void)filmHistory(demo.pieces[0], demo, io::library()); }));
}
