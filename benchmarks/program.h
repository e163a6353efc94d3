// The program with the demo in its window, for what is measured in it.
#pragma once
#include <QApplication>
#include <QTemporaryDir>

#include "desktop/shell/main_window.h"
#include "desktop/shell/memory.h"
#include "desktop/theme/theme.h"
#include "io/data.h"
#include "report/fonts.h"

namespace uovo {

struct Program {
    static constexpr long kNow = 20669L * 1440;  ///< local minutes

    QApplication app;
    struct Look {
        Look() {
            report::loadFonts();
            QApplication::setStyle(QStringLiteral("fusion"));
            desktop::setDarkTheme(false);
        }
    } look;
    QTemporaryDir folder;
    desktop::Session session;
    desktop::MainWindow window;

    Program(int& argc, char** argv)
        : app(ready(argc), argv), session(io::library(), folder.path(), [] { return kNow; }), window(session) {
        session.document().setPlan(io::demoPlan(kNow), {});
        window.resize(1280, 800);
        window.show();
    }

private:
    /// What comes before the application.
    static int& ready(int& argc) {
        desktop::steadyMemory();
        return argc;
    }
};

}  // namespace uovo
