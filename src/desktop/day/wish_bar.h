// What is wished of the day, in words: one of six; how sure it is to be ready.
#pragma once
#include <QComboBox>
#include <QPushButton>

#include "desktop/shell/session.h"

namespace uovo::desktop {

/// "begin late", "few temperings"
QString aimWords(DayWish::Aim aim);
/// Takes a wish, as one edit.
void takeAim(Session& session, DayWish::Aim aim);

class WishBar : public QWidget {
    Q_OBJECT

public:
    explicit WishBar(Session& session);
    void refresh();

signals:
    void compareWanted();

private:
    Session& session_;
    std::vector<QPushButton*> aims_;
    QComboBox* sure_;
};

}  // namespace uovo::desktop
