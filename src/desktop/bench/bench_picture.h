// What a step is about, drawn: the piece as it stands when the step is done, or the pot.
#pragma once
#include <QColor>
#include <QWidget>

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
    Session& session_;
    std::string piece_;
    int coats_ = 0;
    bool released_ = false;
    QColor pot_;
};

}  // namespace uovo::desktop
