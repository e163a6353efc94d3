#include "desktop/bench/bench_picture.h"

#include <QPainter>

#include "core/run/agenda.h"
#include "core/stages/gluing.h"
#include "desktop/build/build_scene.h"
#include "desktop/day/piece_mark.h"
#include "desktop/theme/theme.h"

namespace uovo::desktop {

BenchPicture::BenchPicture(Session& session) : session_(session) {
    setMinimumSize(220, 150);
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Expanding);
}

void BenchPicture::show(const run::Run& run, const run::Step& step) {
    piece_ = step.madeOf();
    coats_ = 0;
    released_ = joined_ = false;
    made_.clear();
    for (const auto& s : run.steps()) {  // of the same pieces, up to this one
        if (s.piece != step.piece || (!s.which.empty() && !step.which.empty() && s.which != step.which)) continue;
        const bool before = !run.isOpen(s.id) || s.id == step.id;
        if (!before) continue;
        if (s.lane == "coat") ++coats_;
        if (s.lane == "coat") addMade(s);
        if (s.lane == "release") released_ = true;
        if (s.kind.starts_with("join")) joined_ = true;
    }
    go_ = step.kind.starts_with("join") ? std::optional(step.number() - 1) : std::nullopt;
    pot_ = QColor();
    if (const auto answers = session_.answers(); piece_.empty() && answers)
        if (const auto at = run::potNumber(*answers, step.pot))
            pot_ = chocolateColour(answers->pots[*at].key.chocolate);
    update();
}

void BenchPicture::addMade(const run::Step& step) {
    const auto answers = session_.pieceAnswers(piece_);
    const Piece* piece = session_.plan().piece(piece_);
    if (!answers || !answers->made || !piece) return;
    const size_t index = step.number() - 1;
    std::vector<size_t> items;
    if (step.kind.starts_with("coat-") && index < piece->coats().size())
        items = coatedBy(*answers->made, *piece, index);
    if (step.kind == "cast" || step.kind.starts_with("cast-")) items = castWork(*answers->made, *piece, index).items;
    made_.insert(items.begin(), items.end());
}

QImage BenchPicture::soFar(const QSize& size) {
    const auto answers = session_.pieceAnswers(piece_);
    const Piece* piece = session_.plan().piece(piece_);
    if (!answers || !answers->made || !piece) return {};
    const std::tuple wanted(std::optional<size_t>(), made_, joined_, size, theme().dark);
    if (answers == paintedOf_ && painted_ == wanted) return image_;
    const SolidScene whole = sceneOf(*piece, *answers, false);
    SolidView view;
    view.apart = joined_ || whole.bodies.size() < 2 ? 0 : 1;
    view.rim = rimLight();
    image_ = QImage(size, QImage::Format_ARGB32_Premultiplied);
    image_.fill(Qt::transparent);
    SolidScene there = whole;
    for (size_t k = 0; k < there.bodies.size(); ++k) {
        SolidBody& body = there.bodies[k];
        if (made_.contains(k)) continue;
        const form::Box box = form::bounds(body.mesh);  // a triangle without area: the picture keeps its frame
        body = {};
        body.apart = whole.bodies[k].apart;
        body.mesh.points = {box.low, box.high, box.low};
        body.mesh.triangles = {{0, 1, 2}};
        body.normals.resize(3);
    }
    QPainter p(&image_);
    if (made_.size() < whole.bodies.size()) {
        constexpr double kFaint = 0.22;
        p.setOpacity(kFaint);
        p.drawImage(0, 0, paintSolid(whole, view, size, true));
        p.setOpacity(1);
    }
    if (!made_.empty()) p.drawImage(0, 0, paintSolid(there, view, size, true));
    paintedOf_ = answers;
    painted_ = wanted;
    return image_;
}

QImage BenchPicture::together(const QSize& size) {
    const auto answers = session_.pieceAnswers(piece_);
    const Piece* piece = session_.plan().piece(piece_);
    if (!answers || !answers->made || !answers->together || !piece) return {};
    const std::tuple wanted(go_, std::set<size_t>(), true, size, theme().dark);
    if (answers == paintedOf_ && painted_ == wanted) return image_;
    const auto goes = gluings(*answers->made, answers->together.get(), session_.library());
    const auto lines = orderLines(*answers->together, *answers->made, session_.units());
    if (*go_ >= goes.size() || goes[*go_].last >= lines.size()) return {};
    const auto at = sceneAt(sceneOf(*piece, *answers, false), *answers->together, *answers->made, lines,
                            goes[*go_].last + 1, false, session_.units());
    SolidView view;
    view.pitch = 0.34;
    view.zoom = 1.15;
    view.rim = rimLight();
    image_ = paintSolid(at.scene, view, size, true);
    paintedOf_ = answers;
    painted_ = wanted;
    return image_;
}

void BenchPicture::paintEvent(QPaintEvent*) {
    if (!session_.plan().piece(piece_) && !pot_.isValid()) return;  // a rest, a shelf to be cleared
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const QRectF box = QRectF(rect()).adjusted(14, 10, -14, -22);
    const double x = box.width() * 0.2, y = box.height() * 0.2;
    const Piece* piece = session_.plan().piece(piece_);
    const double ratio = devicePixelRatioF();
    const QSize pixels = (box.size() * ratio).toSize();
    const auto answers = session_.pieceAnswers(piece_);
    QImage solid = piece && go_ ? together(pixels) : QImage();
    if (solid.isNull() && piece && answers && answers->made && !answers->made->meridian) solid = soFar(pixels);
    if (!solid.isNull()) p.drawImage(box, solid);
    else if (piece) paintPieceState(p, box, *piece, answers, coats_, released_, this);
    else paintKitchenMark(p, box.adjusted(x, y, -x, -y), pot_);
    p.setPen(QPen(theme().hairline, 2));  // the bench
    p.drawLine(QPointF(30, height() - 12), QPointF(width() - 30, height() - 12));
}

}  // namespace uovo::desktop
