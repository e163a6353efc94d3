#include "core/stages/film_history.h"

#include <algorithm>
#include "core/quantity/catalogue.h"

namespace uovo {
namespace {
constexpr double kTriangles = 2600;
constexpr double kFrameEvery = 45;  // s, once a film is old
}  // namespace

form::Shape FilmHistory::at(size_t frame) const {
    form::Shape s = shape;
    s.thickness.assign(shape.surface.points.size(), 0.0);
    const auto& f = frames[std::min(frame, frames.size() - 1)];
    for (size_t i = 0; i < corner.size(); ++i)
        s.thickness[static_cast<size_t>(corner[i])] = std::max(kSkin, double(f.thickness[i]) * toSolid);
    return s;
}

tl::expected<FilmHistory, Problem> filmHistory(const Piece& piece, const Plan& plan, const material::Library& lib,
                                               size_t item, std::stop_token stop,
                                               const std::function<void(double)>& progress) {
    FilmHistory out;
    if (piece.alongMeridian()) {
        const auto former = form::meridian(piece.shape);
        if (!former) return tl::unexpected(former.error());
        out.shape = form::roundFormer(*former, kTriangles);
    } else {
        auto built = form::build(form::unopened(piece.shape), plan.meshes, {kTriangles, 28, true});
        if (!built) return tl::unexpected(built.error());
        if (item >= built->items.size() || built->items[item].shape.body != form::Body::Wall)
            return tl::unexpected(Problem{tr("This part is not coated."), "item"});
        out.shape = std::move(built->items[item].shape);
        out.pose = built->items[item].pose;
    }
    const coat::Surface surface = coat::surfaceOf(out.shape.surface, out.shape.outside);
    auto job = meshJob(piece, plan, lib, surface, out.shape.outside);
    if (!job) return tl::unexpected(job.error());
    job->frameEvery = kFrameEvery;
    auto done = coat::coat(*job, stop, progress);
    if (!done) return tl::unexpected(done.error());
    out.corner = surface.corner;
    out.frames = std::move(done->frames);
    for (size_t i = 0; i < out.frames.size(); ++i)
        if (i == 0 || out.frames[i].coat != out.frames[i - 1].coat)
            out.starts.push_back(i ? out.frames[i - 1].time : 0);
    out.lasts = out.frames.empty() ? 0 : out.frames.back().time;
    out.toSolid = job->coating.densityMelt / job->coating.densitySolid;
    if (out.frames.empty()) return tl::unexpected(Problem{tr("These coats take no time."), "coats"});
    return out;
}

}  // namespace uovo
