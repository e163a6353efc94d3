#include "core/mold/own_mold.h"

#include <cmath>
#include <numbers>

#include "core/form/split.h"

namespace uovo::mold {
namespace {

using form::Mesh;
using form::Vec3;

constexpr double kFree = 0.01;   // share of the surface that may be caught where it is roughness
constexpr double kBends = 0.03;  // … and that a part of two bends over, where a ring of it bears half its length more
constexpr double kOpening = 2e-3;  // of the height, m below the highest that an open side is

/// The pull upwards, and about it turned so that the box round it is small.
form::Pose uprightAlong(const Mesh& mesh, const Vec3& pull) {
    const auto [first, second, along] = form::axesOf({{}, pull});
    constexpr int kTurns = 36;  // of a half turn
    Vec3 side = first, other = second;
    double least = 1e300;
    for (int k = 0; k < kTurns; ++k) {
        const double a = std::numbers::pi * k / kTurns;
        const Vec3 x = first * std::cos(a) + second * std::sin(a), y = form::cross(along, x);
        const double area = reachAlong(mesh, x).length() * reachAlong(mesh, y).length();
        if (area < least * (1 - 1e-9)) least = area, side = x, other = y;
    }
    form::Pose out{{side.x, other.x, pull.x}, {side.y, other.y, pull.y}, {side.z, other.z, pull.z}, {}};
    out.at.z = -reachAlong(mesh, pull).low;
    return out;
}

double sumOf(const std::vector<AirTrap>& traps) {
    double out = 0;
    for (const auto& t : traps) out += t.depth;
    return out;
}

/// Where chocolate keeps air that is poured in at the highest place.
std::vector<AirTrap> trapsOfCast(const Mesh& mesh, const Vec3& up) {
    return airTraps(mesh, up, kOpening * reachAlong(mesh, up).length());
}

/// Where a mold of two parts is filled from: the way up under whose tops least air stays.
void choosePose(const Mesh& mesh, OwnMold& out) {
    double least = 1e300;
    for (int x = -1; x <= 1; ++x)
        for (int y = -1; y <= 1; ++y)
            for (int z = -1; z <= 1; ++z) {
                if (x == 0 && y == 0 && z == 0) continue;
                const Vec3 up = form::unit({double(x), double(y), double(z)});
                auto traps = trapsOfCast(mesh, up);
                const double sum = sumOf(traps) + 1e-3 * static_cast<double>(traps.size());
                if (sum >= least) continue;
                least = sum;
                out.fillUp = up;
                out.inIt = std::move(traps);
            }
}

}  // namespace

MoldOptions usualMold(const material::Library& lib) {
    MoldOptions out;
    out.wall = lib.former("moldWall");
    out.silicone.densityA = lib.former("siliconeDensityA");
    out.silicone.densityB = lib.former("siliconeDensityB");
    out.silicone.spare = lib.former("siliconeSpare");
    out.silicone.cure = lib.former("siliconeCure");
    return out;
}

double bearsStretch(double hardness, const material::Library& lib) {
    return lib.former("siliconeStretch") * std::exp2((20 - hardness) / 15);
}

std::optional<OwnMold> ownMold(const Mesh& mesh, const MoldOptions& options, const material::Library& lib,
                               std::stop_token stop, const std::function<void(int, int)>& told) {
    OwnMold out;
    out.stretches = bearsStretch(options.hardness, lib);
    constexpr double kBand = 1.6;
    out.stretchLow = out.stretches / kBand;
    out.stretchHigh = out.stretches * kBand;
    const form::Rays rays(mesh);
    const auto found = [&](int parts) {
        return options.pull ? std::optional(undercuts(mesh, rays, *options.pull, parts))
                            : bestPull(mesh, rays, parts, options.pulls, stop, told);
    };
    const auto isFree = [](const Undercuts& map) { return map.caught <= kFree * map.area; };
    auto one = options.parts == 2 ? std::nullopt : found(1);
    if (options.parts != 2 && !one) return std::nullopt;
    const bool bears = one && (isFree(*one) || one->stretch <= out.stretches);
    if (one && (options.parts == 1 || bears)) {
        out.leaves = isFree(*one)                        ? Leaves::Freely
                     : one->stretch <= out.stretches     ? Leaves::Stretched
                     : one->stretch <= 2 * out.stretches ? Leaves::Slit
                                                         : Leaves::InPieces;
        out.map = std::move(*one);
    } else {
        auto two = found(2);
        if (!two) return std::nullopt;
        if (isFree(*two) || !one || one->stretch > 2 * out.stretches) {
            const double bends = kBends * std::min(1.0, out.stretches / bearsStretch(20, lib));
            out.leaves = isFree(*two)                       ? Leaves::Freely
                         : two->caught <= bends * two->area ? Leaves::Stretched
                                                            : Leaves::InPieces;
            out.map = std::move(*two);
        } else {
            out.leaves = Leaves::Slit;
            out.map = std::move(*one);
        }
    }
    out.stands = uprightAlong(mesh, out.map.pull);
    const Mesh standing = form::placed(mesh, out.stands);
    out.box = boxPour(form::bounds(standing).size(), form::volume(mesh), options.wall, options.silicone);
    out.underIt = airTraps(form::reversed(mesh), out.map.pull, 0);
    if (out.map.parts == 1) {
        out.fillUp = out.map.pull * -1;
        out.inIt = trapsOfCast(mesh, out.fillUp);
    } else {
        choosePose(mesh, out);
    }
    const double degree = std::numbers::pi / 180;
    for (size_t k = 0; k < mesh.triangles.size(); ++k) {
        if (std::abs(out.map.draft[k]) >= degree || out.map.comes[k] == Comes::Open) continue;
        const auto& t = mesh.triangles[k];
        const Vec3 a = mesh.points[size_t(t[0])];
        out.lowDraft += form::length(form::cross(mesh.points[size_t(t[1])] - a, mesh.points[size_t(t[2])] - a)) / 2;
    }
    return out;
}

}  // namespace uovo::mold
