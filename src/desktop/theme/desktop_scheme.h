// Light or dark, as the desktop is, until a person chooses otherwise.
#pragma once
#include <QObject>
#include <QVariant>
#include <optional>

class QDBusVariant;

namespace uovo::desktop {

class DesktopScheme : public QObject {
    Q_OBJECT

public:
    explicit DesktopScheme(QObject* parent = nullptr);
    /// What the desktop's own colours were when the program began.
    static bool beganDark();
    /// The dark theme, as a person chose it or as the desktop is. @param desktop whether that is dark
    static bool wanted(bool desktop);
    /// A person's choice; one that is the desktop's follows it from then on.
    void choose(bool dark);

private slots:
    void changed(const QString& space, const QString& key, const QDBusVariant& value);

private:
    void take(const QVariant& value);
    bool desktop_ = false;  ///< is dark
};

}  // namespace uovo::desktop
