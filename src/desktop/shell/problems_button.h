// How many things are wrong, in the header; a press leads to them.
#pragma once
#include <QPointer>
#include <QPushButton>

#include "desktop/kit/field.h"
#include "desktop/shell/session.h"

namespace uovo::desktop {

class ProblemsButton : public QPushButton {
    Q_OBJECT

public:
    explicit ProblemsButton(Session& session);
    /// @param refused fields in sight that hold what cannot be
    void refresh(const QList<Field*>& refused);
    int count() const { return static_cast<int>(refused_.size() + problems_.size()); }

signals:
    void fieldWanted(uovo::desktop::Field* field);
    /// @param where the plan's path of what is wrong: "pieces/bowl/former/dip"
    void placeWanted(const QString& where);

private:
    void lead();

    Session& session_;
    QList<QPointer<Field>> refused_;
    std::vector<Problem> problems_;
};

}  // namespace uovo::desktop
