// Pieces that a person keeps across plans, in a file of the program's own that is a plan.
#pragma once
#include <QObject>

#include "core/document/plan.h"

namespace uovo::desktop {

class OwnShelf : public QObject {
    Q_OBJECT

public:
    /// @param folder where the program keeps what is its own
    explicit OwnShelf(const QString& folder, QObject* parent = nullptr);
    /// What is kept. Read when it is first asked for; what cannot be read is told once by `trouble`, and left as it is.
    const Plan& kept();
    /// Keeps a piece of a plan. @returns why not, empty when it is kept
    QString keep(const Plan& plan, const std::string& piece);
    /// Puts one into a plan. @returns its id there
    std::string take(const std::string& piece, Plan& into);
    QString forget(const std::string& piece);
    QString path() const { return path_; }

signals:
    void keptChanged();

private:
    QString write(Plan next);

    QString path_, trouble_;
    std::optional<Plan> kept_;
};

}  // namespace uovo::desktop
