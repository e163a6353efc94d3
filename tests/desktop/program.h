// The program in a window, as the window tests and the pictures drive it.
#pragma once
#include <QMouseEvent>
#include <QTemporaryDir>
#include <QTest>
#include <catch2/catch.hpp>

#include "desktop/shell/main_window.h"
#include "io/data.h"

using namespace uovo;
using namespace uovo::desktop;

inline constexpr long kNow = 20669L * 1440 + 8 * 60;  // a morning in August 2026
inline constexpr int kPatience = 300'000;             // ms until a test gives up waiting: machines differ

/// The demo plan's answers, computed once for all windows of a run; each window gets a copy that shares them.
inline const Cache& demoKnown() {
    static const Cache known = [] {
        Cache cache;
        REQUIRE(answer(io::demoPlan(kNow), io::library(), cache));
        return cache;
    }();
    return known;
}

/// The program with the demo plan open, as a person sees it.
struct Program {
    QTemporaryDir folder;
    Session session;
    MainWindow window{session};

    /// @param effort share of the usual layouts of a day: what a test is not about may be found less well
    explicit Program(Cache known = demoKnown(), double effort = 0.1)
        : session(
              io::library(), folder.path(), [] { return kNow; }, std::move(known)) {
        session.answerer().setEffort(effort);
        session.document().setPlan(io::demoPlan(kNow), {});
        window.resize(1280, 800);
        window.show();
        REQUIRE(QTest::qWaitForWindowExposed(&window));
        QApplication::setActiveWindow(&window);  // there is no window manager to do it
        REQUIRE(QTest::qWaitFor([this] { return window.isWhole(); }, kPatience));
        answered();
    }
    ~Program() { session.document().setPlan(Plan{}, {}); }

    /// Waits until the answers on screen belong to the plan.
    void answered() {
        REQUIRE(QTest::qWaitFor([this] { return session.isComplete(); }, kPatience));
        QTest::qWait(20);
    }
    double grams() const { return session.pieceAnswers(session.selected().toStdString())->made->mass; }
    const Piece& piece() const { return *session.piece(); }
    /// Selects a piece and assumes its wall: its coats are gone.
    void assumed(const QString& id) {
        session.select(id);
        session.editPiece("Assume a wall", [](Piece& p) { p.coatWith({}); });
        answered();
    }

    static void type(Field* field, const QString& words, Qt::Key then = Qt::Key_Return) {
        REQUIRE(field);
        field->edit()->setFocus();
        field->edit()->selectAll();
        if (words.isEmpty()) QTest::keyClick(field->edit(), Qt::Key_Delete);
        QTest::keyClicks(field->edit(), words);
        QTest::keyClick(field->edit(), then);
    }
    /// Presses a handle, moves it, lets go.
    void drag(PieceStage::Handle handle, QPoint by) {
        auto* stage = window.shape()->stage();
        const QPoint from = stage->handleAt(handle).toPoint();
        QTest::mousePress(stage, Qt::LeftButton, {}, from);
        for (int i = 1; i <= 5; ++i) {
            QMouseEvent move(QEvent::MouseMove, QPointF(from + by * i / 5),
                             stage->mapToGlobal(QPointF(from + by * i / 5)), Qt::NoButton, Qt::LeftButton, {});
            QApplication::sendEvent(stage, &move);
        }
        QTest::mouseRelease(stage, Qt::LeftButton, {}, from + by);
    }
};
