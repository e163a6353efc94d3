#include "desktop/theme/desktop_scheme.h"

#include <QApplication>
#include <QDBusConnection>
#include <QDBusMessage>
#include <QDBusPendingCallWatcher>
#include <QDBusPendingReply>
#include <QDBusVariant>
#include <QPalette>
#include <QSettings>

#include "desktop/theme/theme.h"

namespace uovo::desktop {
namespace {

constexpr uint kDark = 1;  // of org.freedesktop.appearance color-scheme: 1 dark, 2 light, 0 no preference
const char* const kService = "org.freedesktop.portal.Desktop";
const char* const kPath = "/org/freedesktop/portal/desktop";
const char* const kSettings = "org.freedesktop.portal.Settings";
const char* const kSpace = "org.freedesktop.appearance";
const char* const kKey = "color-scheme";

QString key() { return QStringLiteral("dark"); }
QString word(const char* w) { return QString::fromLatin1(w); }

}  // namespace

bool DesktopScheme::beganDark() {
    static const bool dark = QApplication::palette().color(QPalette::Window).lightness() < 128;
    return dark;
}

bool DesktopScheme::wanted(bool desktop) { return QSettings().value(key(), desktop).toBool(); }

DesktopScheme::DesktopScheme(QObject* parent) : QObject(parent), desktop_(beganDark()) {
    QDBusConnection bus = QDBusConnection::sessionBus();
    if (!bus.isConnected()) return;
    bus.connect(word(kService), word(kPath), word(kSettings), QStringLiteral("SettingChanged"), this,
                SLOT(changed(QString, QString, QDBusVariant)));
    QDBusMessage ask =
        QDBusMessage::createMethodCall(word(kService), word(kPath), word(kSettings), QStringLiteral("Read"));
    ask << word(kSpace) << word(kKey);
    auto* answer = new QDBusPendingCallWatcher(bus.asyncCall(ask), this);
    connect(answer, &QDBusPendingCallWatcher::finished, this, [this](QDBusPendingCallWatcher* w) {
        const QDBusPendingReply<QVariant> reply = *w;
        w->deleteLater();
        if (!reply.isError()) take(reply.value());
    });
}

void DesktopScheme::changed(const QString& space, const QString& of, const QDBusVariant& value) {
    if (space == word(kSpace) && of == word(kKey)) take(value.variant());
}

void DesktopScheme::take(const QVariant& value) {
    QVariant inner = value;  // a portal wraps it once or twice
    while (inner.canConvert<QDBusVariant>()) inner = inner.value<QDBusVariant>().variant();
    desktop_ = inner.toUInt() == kDark;
    if (wanted(desktop_) != theme().dark) setDarkTheme(wanted(desktop_));
}

void DesktopScheme::choose(bool dark) {
    QSettings settings;
    if (dark == desktop_) settings.remove(key());
    else settings.setValue(key(), dark);
    setDarkTheme(dark);
}

}  // namespace uovo::desktop
