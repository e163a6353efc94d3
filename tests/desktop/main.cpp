// Window tests: one application for all of them, a folder of their own for settings and recovery.
#define CATCH_CONFIG_RUNNER
#include <QApplication>
#include <QSettings>
#include <QStandardPaths>
#include <QTemporaryDir>
#include <catch2/catch.hpp>

#include "desktop/kit/painted_parts.h"
#include "desktop/shell/memory.h"
#include "desktop/theme/theme.h"
#include "report/fonts.h"

int main(int argc, char** argv) {
    uovo::desktop::steadyMemory();
    QTemporaryDir home;
    qputenv("HOME", home.path().toUtf8());
    qputenv("XDG_CONFIG_HOME", home.path().toUtf8());
    qputenv("XDG_DATA_HOME", home.path().toUtf8());
    QApplication app(argc, argv);
    QApplication::setApplicationName(QStringLiteral("uovo-tests"));
    QApplication::setOrganizationName(QStringLiteral("uovo-tests"));
    QSettings::setDefaultFormat(QSettings::IniFormat);
    uovo::desktop::tellPaintedParts();
    uovo::report::loadFonts();
    app.setFont(uovo::report::font(15));
    app.setStyle(QStringLiteral("fusion"));
    uovo::desktop::setDarkTheme(false);
    return Catch::Session().run(argc, argv);
}
