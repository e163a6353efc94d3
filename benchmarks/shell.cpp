// Speeds of strength: shells from two to a hundred thousand triangles, loads alone, and CalculiX beside them.
#include <unistd.h>

#include <chrono>
#include <cstdio>

#include "../tests/support_ccx.h"
#include "../tests/support_shell.h"

namespace {

using namespace uovo;
using namespace uovo::shell;

double since(std::chrono::steady_clock::time_point t) {
    return std::chrono::duration<double, std::milli>(std::chrono::steady_clock::now() - t).count();
}

std::vector<Freedoms> sixLoads(const Model& m) {
    std::vector<Freedoms> out;
    for (int i = 0; i < 6; ++i) {
        out.push_back(noLoad(m));
        const double a = 0.5 * i, x = 0.06 * std::cos(a), y = 0.06 * std::sin(a);
        addForce(pad(m, {x, y, 0.057}, 0.008), {-std::cos(a), -std::sin(a), 0}, out.back());
        addForce(pad(m, {-x, -y, 0.057}, 0.008), {std::cos(a), std::sin(a), 0}, out.back());
    }
    return out;
}

}  // namespace

int main() {
    std::puts(
        "bowl, six loads with stresses and verdicts, ms (asked: 10k 600 cold, 400 with its structure kept; 40k 3000)");
    std::puts("triangles    order  assemble  factor   solve 6  stress each  verdict each |  cold   kept");
    for (const int up : {16, 25, 35, 50, 71, 100, 158}) {
        const Model m = test::bowl(4 * up, up);
        const auto six = sixFreedoms(m);
        const auto loads = sixLoads(m);
        const auto began = std::chrono::steady_clock::now();
        const auto system = System::build(m, six);
        auto t = std::chrono::steady_clock::now();
        const auto u = system->solve(loads);
        const double solve = since(t);
        t = std::chrono::steady_clock::now();
        const auto f = faces(m);
        std::vector<Stress> s;
        for (const auto& x : u) s.push_back(stresses(m, f, x));
        const double stress = since(t) / 6;
        t = std::chrono::steady_clock::now();
        double margin = 0;
        for (const auto& x : s) margin += verdict(m, f, x, {}).margin;
        const double each = since(t) / 6, cold = since(began);
        t = std::chrono::steady_clock::now();
        const auto again = System::build(m, six, {}, {}, system->structure());
        const auto v = again->solve(loads);
        for (const auto& x : v) margin += greatest(m, f, stresses(m, f, x)).stress;
        std::printf("%9zu %8.0f %9.0f %7.0f %9.1f %12.1f %13.1f | %6.0f %6.0f\n", m.triangles.size(),
                    1e3 * system->times().order, 1e3 * system->times().assemble, 1e3 * system->times().factor, solve,
                    stress, each, cold, since(t));
        if (up == 35) {
            t = std::chrono::steady_clock::now();
            const auto one = system->solve({loads[0]});
            const double alone = since(t);
            t = std::chrono::steady_clock::now();
            margin += verdict(m, f, stresses(m, f, one[0]), {}).margin;
            std::printf(
                "          a change of load alone: solve %.1f ms (asked 10), stresses and verdict %.1f ms (asked 20)\n",
                alone, since(t));
        }
        if (margin < 0) std::puts("");
    }
    if (!test::haveCalculix()) return std::puts("CalculiX is not installed."), 0;
    for (const int up : {25, 50}) {
        const Model m = test::bowl(4 * up, up);
        const auto six = sixFreedoms(m);
        const auto load = sixLoads(m)[0];
        auto t = std::chrono::steady_clock::now();
        const auto system = System::build(m, six);
        const double ours = test::dotOf(system->solve({load})[0], load), mine = since(t);
        t = std::chrono::steady_clock::now();
        const auto theirs = test::calculix(m, six, load, "bench");
        const double its = since(t);
        double sum = 0;
        for (size_t i = 0; i < theirs.size(); ++i)
            sum += theirs[i].x * load[6 * i] + theirs[i].y * load[6 * i + 1] + theirs[i].z * load[6 * i + 2];
        std::printf(
            "CalculiX, six-node shells on the same %zu triangles: %.0f ms, ours %.0f ms: %.0f times; work %.6g and "
            "%.6g J\n",
            m.triangles.size(), its, mine, its / mine, sum, ours);
    }
}
