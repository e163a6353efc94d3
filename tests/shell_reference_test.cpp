// Two small pieces beside CalculiX (Debian), an independent finite element package: six-node shells on the same
// triangles.
#include <unistd.h>

#include <catch2/catch.hpp>

#include "support_ccx.h"
#include "support_shell.h"

namespace uovo::shell::shell_reference_test {

namespace {

/// Work of the forces, ours and CalculiX's.
std::pair<double, double> work(const Model& m, const std::vector<Support>& held, const Freedoms& load,
                               const char* name) {
    const auto system = System::build(m, held);
    REQUIRE(system);
    const auto theirs = test::calculix(m, held, load, name);
    REQUIRE(theirs.size() == m.points.size());
    double sum = 0;
    for (size_t i = 0; i < theirs.size(); ++i)
        sum += theirs[i].x * load[6 * i] + theirs[i].y * load[6 * i + 1] + theirs[i].z * load[6 * i + 2];
    return {test::dotOf(system->solve({load})[0], load), sum};
}

}  // namespace

TEST_CASE("a bowl squeezed by two fingers gives way as CalculiX says", "[long]") {
    if (!test::haveCalculix()) {
        WARN("CalculiX is not installed: nothing compared");
        return;
    }
    const Model m = test::bowl(36, 14, 0.06, 0.003);
    Freedoms load = noLoad(m);
    addForce(pad(m, {0.06, 0, 0.056}, 0.012), {-1, 0, 0}, load);
    addForce(pad(m, {-0.06, 0, 0.056}, 0.012), {1, 0, 0}, load);
    const auto [ours, theirs] = work(m, sixFreedoms(m), load, "bowl");
    CHECK(ours == Approx(theirs).epsilon(0.04));
}

TEST_CASE("a cup of uneven wall that is bent sideways gives way as CalculiX says", "[long]") {
    if (!test::haveCalculix()) {
        WARN("CalculiX is not installed: nothing compared");
        return;
    }
    Model m = test::net(
        32, 12,
        [](double u, double v) {
            const double r = 0.025 + 0.01 * v, p = 2 * std::numbers::pi * u;
            return form::Vec3{r * std::cos(p), r * std::sin(p), 0.07 * v};
        },
        0.002);
    for (size_t i = 0; i < m.points.size(); ++i) m.thickness[i] = 0.0035 - 0.02 * m.points[i].z;
    std::vector<Support> held;
    for (size_t i = 0; i < m.points.size(); ++i)
        if (m.points[i].z < 1e-9) held.push_back({static_cast<int>(i), 7});
    Freedoms load = noLoad(m);
    addForce(pad(m, {0.035, 0, 0.07}, 0.012), {0.5, 0.2, -1}, load);
    const auto [ours, theirs] = work(m, held, load, "cup");
    CHECK(ours == Approx(theirs).epsilon(0.04));
}

}  // namespace uovo::shell::shell_reference_test
