// What a step is about, drawn: the piece as it stands when the step is done; a moment of putting it together, with what
// is propped; or the pot.
#pragma once
#include <QColor>
#include <QImage>
#include <QWidget>
#include <tuple>

#include "core/run/run.h"
#include "desktop/shell/session.h"

namespace uovo::desktop {

class BenchPicture : public QWidget {
public:
    explicit BenchPicture(Session& session);
    void show(const run::Run& run, const run::Step& step);

protected:
    void paintEvent(QPaintEvent*) override;

private:
    /// The piece as the last step of a go of gluing leaves it; null where it is not put together in steps.
    QImage together(const QSize& size);

    Session& session_;
    std::string piece_;
    std::optional<size_t> go_;  // of gluing
    QImage image_;
    std::shared_ptr<const PieceAnswers> paintedOf_;
    std::tuple<size_t, QSize, bool> painted_;  // go, px, in the dark theme
    int coats_ = 0;
    bool released_ = false;
    QColor pot_;
};

}  // namespace uovo::desktop
