#include "desktop/stage/mold_scene.h"

#include "core/form/split.h"
#include "desktop/theme/theme.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

/// A thin frame round where two parts of the mold meet.
form::Mesh frame(const mold::OwnMold& mold, const form::Mesh& surface) {
    const form::Vec3 z = mold.map.pull;
    const form::PlaneAxes axes = form::axesOf({{}, z});
    const mold::Reach x = mold::reachAlong(surface, axes.x), y = mold::reachAlong(surface, axes.y);
    const double margin = 0.12 * std::max(x.length(), y.length()), thin = 0.012 * std::max(x.length(), y.length());
    const double at = mold.map.parting;
    const auto corner = [&](double u, double v, double w) { return axes.x * u + axes.y * v + z * w; };
    const double low[2]{x.low - margin, y.low - margin}, high[2]{x.high + margin, y.high + margin};
    form::Mesh out;
    const auto bar = [&](double x0, double x1, double y0, double y1) {
        const int first = static_cast<int>(out.points.size());
        for (int k = 0; k < 8; ++k)
            out.points.push_back(corner(k & 1 ? x1 : x0, k & 2 ? y1 : y0, at + (k & 4 ? thin : -thin) / 2));
        for (const form::Triangle& t : std::initializer_list<form::Triangle>{{0, 2, 1},
                                                                             {1, 2, 3},
                                                                             {4, 5, 6},
                                                                             {5, 7, 6},
                                                                             {0, 1, 4},
                                                                             {1, 5, 4},
                                                                             {2, 6, 3},
                                                                             {3, 6, 7},
                                                                             {0, 4, 2},
                                                                             {2, 4, 6},
                                                                             {1, 3, 5},
                                                                             {3, 7, 5}})
            out.triangles.push_back({first + t[0], first + t[1], first + t[2]});
    };
    bar(low[0], high[0], low[1], low[1] + thin);
    bar(low[0], high[0], high[1] - thin, high[1]);
    bar(low[0], low[0] + thin, low[1], high[1]);
    bar(high[0] - thin, high[0], low[1], high[1]);
    return out;
}

}  // namespace

SolidScene moldScene(const mold::OwnMold& mold, const form::Mesh& surface) {
    using mold::Comes;
    struct Sort {
        Comes which;
        QColor colour;
        QString name;
    };
    const bool two = mold.map.parts == 2;
    const Sort sorts[]{
        {Comes::Along, QColor(0xE2, 0xB8, 0x74), two ? qtr("comes with the first part") : qtr("comes off")},
        {Comes::Against, QColor(0x6F, 0xA9, 0xAD), qtr("comes with the other part")},
        {Comes::Open, QColor(0xB9, 0xAA, 0x98), qtr("stands on the base")},
        {Comes::Caught, QColor(0xF0, 0xCF, 0xC8), qtr("caught")}};
    std::vector<SolidBody> bodies;
    SolidScene out;
    for (const auto& s : sorts) {
        form::Mesh part = form::onlyThose(surface, [&](size_t k) { return mold.map.comes[k] == s.which; });
        if (part.triangles.empty()) continue;
        SolidBody b = plainBody(std::move(part), s.colour);
        if (s.which == Comes::Caught) b.hatch.assign(b.mesh.points.size(), 1);
        b.name = s.name;
        bodies.push_back(std::move(b));
    }
    if (two) bodies.push_back(plainBody(frame(mold, surface), theme().balloon));
    std::vector<SolidScene::Key> keys;
    for (const auto& s : sorts)
        for (const auto& b : bodies)
            if (b.name == s.name && !b.name.isEmpty()) keys.push_back({s.colour, s.name, s.which == Comes::Caught});
    out = sceneOf(std::move(bodies));
    out.keys = std::move(keys);
    const mold::Reach reach = mold::reachAlong(surface, mold.map.pull);
    const form::Vec3 middle = (out.box.low + out.box.high) * 0.5;
    const auto arrow = [&](double way, double level) {
        const form::Vec3 along = mold.map.pull * (way * 0.28 * reach.length());
        const form::Vec3 at = middle + mold.map.pull * (level - form::dot(middle, mold.map.pull)) + along * 1.35;
        out.arrows.push_back({at, along});
    };
    arrow(1, reach.high);
    if (two) arrow(-1, reach.low);
    return out;
}

}  // namespace uovo::desktop
