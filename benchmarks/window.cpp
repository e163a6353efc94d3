// From an edit to its answers painted in the window, in milliseconds.
#include <QElapsedTimer>
#include <algorithm>
#include <cstdio>
#include <vector>

#include "desktop/stage/solid_scene.h"
#include "program.h"

using namespace uovo;

int main(int argc, char** argv) {
    Program program(argc, argv);
    QApplication& app = program.app;
    desktop::Session& session = program.session;
    desktop::MainWindow& window = program.window;
    const auto answered = [&] {
        while (session.isStale()) app.processEvents(QEventLoop::WaitForMoreEvents);
        window.repaint();
        app.processEvents();
    };
    answered();
    // Each piece of the demo: one of its figures changed a little, again and again, until its answers are painted.
    for (const auto& piece : io::demoPlan(Program::kNow).pieces) {
        session.select(QString::fromStdString(piece.id));
        answered();
        const form::Family& family = *form::family(piece.shape.family);
        const std::string key =
            family.meridian && family.former == form::Former::Balloon ? "dip" : family.fields[0].key;
        const double usual = form::figure(piece.shape, key);
        std::vector<double> ms, blocked, known;
        for (int i = 0; i < 15; ++i) {
            QElapsedTimer t;
            t.start();
            session.editPiece(QStringLiteral("edit"),
                              [&](Piece& p) { p.shape.values[key] = usual * (1 - 0.002 * (i + 1)); });
            blocked.push_back(double(t.nsecsElapsed()) / 1e6);
            while (session.isStale()) app.processEvents(QEventLoop::WaitForMoreEvents);
            known.push_back(double(t.nsecsElapsed()) / 1e6);
            window.repaint();
            ms.push_back(double(t.nsecsElapsed()) / 1e6);
            QElapsedTimer rest;  // a person's hand rests between edits
            rest.start();
            while (rest.elapsed() < 600) app.processEvents(QEventLoop::AllEvents, 20);
        }
        std::sort(ms.begin(), ms.end());
        std::sort(blocked.begin(), blocked.end());
        std::sort(known.begin(), known.end());
        std::printf(
            "%-16s edit to first answers: median %.0f ms (asked: 100), painted %.0f ms, worst %.0f ms; held by the "
            "edit "
            "itself %.1f ms, worst %.1f ms (asked: 16)\n",
            piece.name.c_str(), known[7], ms[7], ms.back(), blocked[7], blocked.back());
        std::fflush(stdout);
    }
    std::vector<double> themes;
    for (int i = 0; i < 6; ++i) {
        QElapsedTimer t;
        t.start();
        desktop::setDarkTheme(i % 2 == 0);
        emit session.answersChanged();
        window.repaint();
        themes.push_back(double(t.nsecsElapsed()) / 1e6);
    }
    std::sort(themes.begin(), themes.end());
    std::printf("light or dark: median %.0f ms, worst %.0f ms, %d widgets\n", themes[3], themes.back(),
                int(QApplication::allWidgets().size()));
    // the turning stage with about ten thousand triangles, as it is drawn while a hand turns it
    const auto built = form::build(form::usual("ball"), {}, {2900, 48});
    const desktop::SolidScene scene = desktop::sceneOf(*built, desktop::chocolateColour("dark"));
    std::vector<double> draft, fine;
    for (int i = 0; i < 21; ++i) {
        desktop::SolidView view;
        view.yaw = 0.3 * i;
        QElapsedTimer t;
        t.start();
        (void)desktop::paintSolid(scene, view, QSize(690, 520), false);
        draft.push_back(double(t.nsecsElapsed()) * 1e-6);
        t.restart();
        (void)desktop::paintSolid(scene, view, QSize(690, 520), true);
        fine.push_back(double(t.nsecsElapsed()) * 1e-6);
    }
    std::sort(draft.begin(), draft.end());
    std::sort(fine.begin(), fine.end());
    std::printf(
        "stage redraw, %zu triangles, 690 x 520: median %.0f ms, worst %.0f ms (asked: 30); fine, on another thread: "
        "%.0f ms\n",
        scene.triangles(), draft[10], draft.back(), fine[10]);
    // frames as a hand turns a piece, or drags a handle, in a usual window and a large one
    auto* shape = window.shape();
    for (const QSize size : {QSize(1280, 800), QSize(2560, 1440)}) {
        window.resize(size);
        QApplication::processEvents();
        for (const char* id : {"crater-bowl", "observatory", "moon"}) {
            session.select(id);
            shape->setTurning(true);
            QApplication::processEvents();
            std::vector<double> turned, dragged;
            for (int i = 0; i < 21; ++i) {
                desktop::SolidView view = shape->solid()->view();
                view.yaw += 0.13;
                QElapsedTimer t;
                t.start();
                shape->solid()->setView(view);
                shape->solid()->repaint();
                turned.push_back(double(t.nsecsElapsed()) * 1e-6);
            }
            shape->setTurning(false);
            QApplication::processEvents();
            for (int i = 0; i < 21 && session.piece()->alongMeridian(); ++i) {
                QElapsedTimer t;
                t.start();
                shape->stage()->setExaggeration(1 + 0.05 * i);
                shape->stage()->repaint();
                dragged.push_back(double(t.nsecsElapsed()) * 1e-6);
            }
            std::sort(turned.begin(), turned.end());
            std::sort(dragged.begin(), dragged.end());
            std::printf("frame at %d x %d, %s: turned %.1f ms, worst %.1f", size.width(), size.height(), id, turned[10],
                        turned.back());
            if (!dragged.empty()) std::printf("; cut open %.1f ms, worst %.1f", dragged[10], dragged.back());
            std::printf(" (asked: %d)\n", size.width() > 2000 ? 33 : 16);
        }
    }
    session.document().setPlan(Plan{}, {});
}
