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
    released_ = false;
    for (const auto& s : run.steps()) {  // of the same pieces, up to this one
        if (s.piece != step.piece || (!s.which.empty() && !step.which.empty() && s.which != step.which)) continue;
        const bool before = !run.isOpen(s.id) || s.id == step.id;
        if (before && s.lane == "coat") ++coats_;
        if (before && s.lane == "release") released_ = true;
    }
    go_ = step.kind.starts_with("join") ? std::optional(step.number() - 1) : std::nullopt;
    pot_ = QColor();
    if (const auto answers = session_.answers(); piece_.empty() && answers)
        if (const auto at = run::potNumber(*answers, step.pot))
            pot_ = chocolateColour(answers->pots[*at].key.chocolate);
    update();
}

QImage BenchPicture::together(const QSize& size) {
    const auto answers = session_.pieceAnswers(piece_);
    const Piece* piece = session_.plan().piece(piece_);
    if (!answers || !answers->made || !answers->together || !piece) return {};
    if (answers == paintedOf_ && painted_ == std::tuple(*go_, size, theme().dark)) return image_;
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
    painted_ = {*go_, size, theme().dark};
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
    if (const QImage put = piece && go_ ? together((box.size() * ratio).toSize()) : QImage(); !put.isNull())
        p.drawImage(box, put);
    else if (piece) paintPieceState(p, box, *piece, session_.pieceAnswers(piece_), coats_, released_, this);
    else paintKitchenMark(p, box.adjusted(x, y, -x, -y), pot_);
    p.setPen(QPen(theme().hairline, 2));  // the bench
    p.drawLine(QPointF(30, height() - 12), QPointF(width() - 30, height() - 12));
}

}  // namespace uovo::desktop
