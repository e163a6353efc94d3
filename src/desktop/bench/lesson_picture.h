// The scene of a lesson, drawn: ribbon and lumps, a smear that dulls, a wall that grows, a mold that frosts, a joint.
#pragma once
#include <QWidget>

#include "core/lesson/lesson.h"

namespace uovo::desktop {

class LessonPicture : public QWidget {
    Q_OBJECT

public:
    explicit LessonPicture(QWidget* parent = nullptr);
    void setLook(const lesson::Look& look);

protected:
    void paintEvent(QPaintEvent*) override;

private:
    void bowl(QPainter& p) const;
    void knife(QPainter& p) const;
    void cavity(QPainter& p) const;
    void wall(QPainter& p) const;
    void joint(QPainter& p) const;

    lesson::Look look_;
};

}  // namespace uovo::desktop
