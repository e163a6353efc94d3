// From an edit to its answers painted in the window, in milliseconds.
#include <QApplication>
#include <QElapsedTimer>
#include <QTemporaryDir>
#include <algorithm>
#include <cstdio>
#include <vector>

#include "desktop/shell/main_window.h"
#include "desktop/theme/theme.h"
#include "io/data.h"
#include "report/fonts.h"

using namespace uovo;

int main(int argc, char** argv) {
    QApplication app(argc, argv);
    report::loadFonts();
    app.setStyle(QStringLiteral("fusion"));
    desktop::setDarkTheme(false);
    QTemporaryDir folder;
    desktop::Session session(io::library(), folder.path(), [] { return 20669L * 1440; });
    desktop::MainWindow window(session);
    session.document().setPlan(io::demoPlan(20669L * 1440), {});
    window.resize(1280, 800);
    window.show();
    const auto answered = [&] {
        while (session.isStale()) app.processEvents(QEventLoop::WaitForMoreEvents);
        window.repaint();
        app.processEvents();
    };
    answered();
    std::vector<double> ms, blocked;
    double depth = 0.055;
    for (int i = 0; i < 21; ++i) {
        QElapsedTimer t;
        t.start();
        session.editPiece(QStringLiteral("edit"), [&](Piece& p) { std::get<form::Balloon>(p.former).dip = depth += 0.0005; });
        blocked.push_back(double(t.nsecsElapsed()) / 1e6);
        while (session.isStale()) app.processEvents(QEventLoop::WaitForMoreEvents);
        window.repaint();
        ms.push_back(double(t.nsecsElapsed()) / 1e6);
        QElapsedTimer rest;  // a person's hand rests between edits
        rest.start();
        while (rest.elapsed() < 400) app.processEvents(QEventLoop::AllEvents, 20);
    }
    std::sort(ms.begin(), ms.end());
    std::sort(blocked.begin(), blocked.end());
    std::printf("edit of a bowl to new answers painted: median %.0f ms, worst %.0f ms (asked: 100)\n", ms[10], ms.back());
    std::printf("the interface is held by the edit itself: median %.1f ms, worst %.1f ms (asked: 16)\n", blocked[10], blocked.back());
    session.document().setPlan(Plan{}, {});
}
