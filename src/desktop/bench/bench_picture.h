// What a step is about, drawn: the piece as it stands when the step is done, what is not there yet faintly; a moment of
// putting it together, with what is propped; or the pot.
#pragma once
#include <QColor>
#include <QImage>
#include <QWidget>
#include <set>
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
    /// Of a piece that is not round: the parts that are there when the step is done, lying apart until they are joined,
    /// and those to come faintly. Null where nothing is known of it.
    QImage soFar(const QSize& size);
    /// Items of a piece that a coat or a cast makes.
    void addMade(const run::Step& step);

    Session& session_;
    std::string piece_;
    std::optional<size_t> go_;  // of gluing
    std::set<size_t> made_;     // items of a piece that is not round, coated or cast
    QImage image_;
    std::shared_ptr<const PieceAnswers> paintedOf_;
    std::tuple<std::optional<size_t>, std::set<size_t>, bool, QSize, bool> painted_;  // go, made, joined, px, dark
    int coats_ = 0;
    bool released_ = false, joined_ = false;
    QColor pot_;
};

}  // namespace uovo::desktop
