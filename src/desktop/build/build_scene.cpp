#include "desktop/build/build_scene.h"

#include <QCoreApplication>
#include <algorithm>

#include "core/form/block.h"
#include "desktop/theme/mixed.h"
#include "desktop/theme/theme.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

using form::Vec3;

void shift(SolidBody& b, const Vec3& by) {
    for (auto& p : b.mesh.points) p += by;
}

/// Flat shading of a body made here.
SolidBody plain(form::Mesh mesh, const QColor& colour) {
    SolidBody b;
    for (const auto& t : mesh.triangles) {
        const Vec3 n = form::unit(form::cross(mesh.points[size_t(t[1])] - mesh.points[size_t(t[0])],
                                              mesh.points[size_t(t[2])] - mesh.points[size_t(t[0])]));
        for (int k = 0; k < 3; ++k) b.normals.emplace_back(float(n.x), float(n.y), float(n.z));
    }
    b.mesh = std::move(mesh);
    b.colour = colour;
    return b;
}

/// Where a label points: the highest corner.
Vec3 topOf(const form::Mesh& m) {
    return *std::ranges::max_element(m.points, {}, [](const Vec3& p) { return p.z; });
}

}  // namespace

BuildScene sceneAt(const SolidScene& whole, const PutTogether& together, const Made& made,
                   const std::vector<OrderLine>& lines, size_t step, bool apart, UnitSystem units) {
    BuildScene out;
    const size_t items = std::min(whole.bodies.size(), made.assembly.items.size());
    std::vector<When> when(items, When::Later);
    std::vector<size_t> lineOf(items, lines.size());
    for (size_t k = 0; k < lines.size(); ++k)
        for (const size_t i : lines[k].items) {
            if (i >= items) continue;
            lineOf[i] = std::min(lineOf[i], k);
            if (k + 1 < step) when[i] = lines[k].beside ? When::Beside : When::There;
            if (k + 1 == step) when[i] = When::Now;
        }
    // the moves apart are upright ones; a piece that is built on another side is turned with them
    form::Pose side = assembly::turnedTo(together.order.side);
    const auto way = [&](const Vec3& v) { return side.x * v.x + side.y * v.y + side.z * v.z; };
    std::vector<SolidBody> bodies, spread;
    for (size_t i = 0; i < items; ++i) {
        SolidBody b = whole.bodies[i];
        b.apart = {};
        const Vec3 move = way(made.assembly.items[i].apart);
        b.mesh = form::placed(std::move(b.mesh), side);
        for (auto& n : b.normals) {
            const Vec3 turned = way({n.x(), n.y(), n.z()});
            n = {float(turned.x), float(turned.y), float(turned.z)};
        }
        spread.push_back(b);
        shift(spread.back(), move);
        const double far = !apart ? 0 : when[i] == When::There ? 0 : when[i] == When::Now ? 0.3 : 1;
        shift(b, move * far);
        if (when[i] == When::Later) {
            if (!apart) continue;  // small pictures show what is there
            b.colour = mixed(b.colour, theme().paper, 0.62);
            b.hatch.clear();
        }
        if (when[i] == When::Now) b.colour = mixed(b.colour, theme().yolk, 0.35);
        if (when[i] == When::Now || when[i] == When::Later)
            out.labels.push_back({topOf(b.mesh), qstring(made.assembly.items[i].name),
                                  lineOf[i] < lines.size()
                                      ? QCoreApplication::translate("Build", "step %1").arg(lineOf[i] + 1)
                                      : QString(),
                                  when[i]});
        bodies.push_back(std::move(b));
    }
    // what stands beside it now
    double table = 1e300;
    for (size_t i = 0; i < items; ++i)
        table = std::min(table, form::bounds(form::placed(whole.bodies[i].mesh, side)).low.z);
    const double size = std::max({whole.box.size().x, whole.box.size().y, whole.box.size().z});
    size_t mine = 0, done = 0;  // steps of the order itself, groups left out: looked at, and done by now
    for (size_t k = 0; k < step && k < lines.size(); ++k) done += !lines[k].beside;
    for (size_t k = 0; k < lines.size() && k < step; ++k) {
        if (lines[k].beside) continue;
        const auto& s = together.order.steps[mine++];
        for (const auto& p : s.props) {
            if (p.until + 1 < mine && k + 1 != step) continue;
            if (done > p.until + 1) continue;  // it was taken away
            const double half = 0.09 * size;
            const Vec3 at{p.at.x, p.at.y, p.at.z + table};
            const Vec3 foot = p.below() ? Vec3{at.x, at.y, table} : Vec3{at.x, at.y, table} - p.push * half;
            const double high = p.below() ? at.z : table + 1.15 * p.height;
            SolidBody b = plain(
                form::block({foot.x - half, foot.y - half, table}, {foot.x + half, foot.y + half, high}), theme().cold);
            if (!p.below()) shift(b, p.push * -1e-4);
            b.name = QCoreApplication::translate("Build", "prop");
            const bool told = std::ranges::any_of(
                s.props, [&](const auto& q) { return &q < &p && q.below() == p.below() && !p.below(); });
            if (apart && !told)  // on either side: once
                out.labels.push_back(
                    {topOf(b.mesh),
                     p.below() ? QCoreApplication::translate("Build", "%1 high")
                                     .arg(qstring(format(p.height, Dimension::Length, units)))
                               : QCoreApplication::translate("Build", "something heavy"),
                     p.until >= together.order.steps.size()
                         ? QCoreApplication::translate("Build", "until all has set")
                         : QCoreApplication::translate("Build", "until step %1 has set").arg(p.until + 1),
                     When::Beside});
            bodies.push_back(std::move(b));
        }
    }
    const auto& order = together.order;
    const bool falls =
        step >= 1 && step <= lines.size() && (lines[step - 1].harm || (step == lines.size() && !order.stands));
    if (falls && order.tipsTo != Vec3{})
        out.tip = Tip{{order.tipsOver.x, order.tipsOver.y, order.tipsOver.z + table}, order.tipsTo, 0.35 * size};
    const SolidScene frame = sceneOf(std::move(spread));
    out.scene = sceneOf(std::move(bodies));
    if (apart) {  // the picture does not jump from step to step
        out.scene.box = frame.box;
        out.scene.fit = out.scene.fitApart = frame.fit;
    } else {
        out.scene.fit = out.scene.fitApart = whole.fit;
        if (together.order.side == assembly::Side::Upright) out.scene.box = whole.box;
    }
    return out;
}

}  // namespace uovo::desktop
