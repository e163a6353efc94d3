// Fingers on the screen: what a mouse does they do too, with more room round what is small.
#include <QScrollArea>
#include <QScrollBar>

#include "program.h"

namespace touch_test {

namespace {

QPointingDevice* screen() {
    static QPointingDevice* device = QTest::createTouchDevice();
    return device;
}

/// A finger put down, drawn along in steps and lifted.
void draw(QWidget* on, QPoint from, const QPoint& by) {
    constexpr int kSteps = 12;
    QTest::touchEvent(on, screen()).press(0, from, on);
    for (int k = 1; k <= kSteps; ++k) {
        QTest::qWait(16);
        QTest::touchEvent(on, screen()).move(0, from + by * k / kSteps, on);
    }
    QTest::qWait(16);
    QTest::touchEvent(on, screen()).release(0, from + by, on);
    QTest::qWait(30);
}

}  // namespace

TEST_CASE("a finger presses a button, takes a handle it does not quite hit, and turns the piece") {
    Program p;
    p.session.select("crater-bowl");
    p.answered();
    auto* stage = p.window.shape()->stage();
    const double dip = p.session.piece()->shape.values.at("dip").value;
    const QPoint handle = stage->handleAt(stage->handles().front()).toPoint();
    draw(stage, handle + QPoint(0, 20), QPoint(0, -30));
    CHECK(p.session.piece()->shape.values.at("dip").value != dip);
    p.session.document().undo();
    p.answered();
    PieceTile* moon = nullptr;
    for (auto* tile : p.window.findChildren<PieceTile*>())
        if (tile->accessibleName().contains("Moon")) moon = tile;
    REQUIRE(moon);
    draw(moon, moon->rect().center(), {});
    CHECK(p.session.selected() == "moon");
    p.answered();
    auto* solid = p.window.shape()->solid();
    REQUIRE(solid->isVisible());
    const QImage before = solid->grab().toImage();
    draw(solid, solid->rect().center(), QPoint(80, 10));
    CHECK(solid->grab().toImage() != before);
}

TEST_CASE("a finger scrolls the answers, a list in a sheet and the gallery, and presses nothing by that") {
    Program p;
    p.window.resize(1280, 660);
    p.session.select("crater-bowl");
    p.answered();
    const auto scrolled = [](QAbstractScrollArea* area) {
        REQUIRE(area);
        auto* bar = area->verticalScrollBar();
        REQUIRE(bar->maximum() > 60);
        draw(area->viewport(), area->viewport()->rect().center(), QPoint(0, -120));
        return bar->value();
    };
    CHECK(scrolled(p.window.shape()->answers()->findChild<QScrollArea*>()) > 40);
    CHECK_FALSE(p.window.sheet()->isVisible());  // the answer under it would have shown its working
    QTest::keyClick(&p.window, Qt::Key_F1, Qt::ControlModifier);
    QTest::qWait(50);
    CHECK(scrolled(p.window.sheet()->findChild<QAbstractScrollArea*>("commands")) > 40);
    CHECK(p.window.sheet()->isVisible());
    QTest::keyClick(&p.window, Qt::Key_Escape);
    QTest::keyClick(&p.window, Qt::Key_G, Qt::ControlModifier);
    QTest::qWait(50);
    CHECK(scrolled(p.window.shape()->gallery()->findChild<QScrollArea*>()) > 40);
    CHECK(p.window.shape()->gallery()->isVisible());
    // a mouse that is drawn along leaves it where it is
    auto* area = p.window.shape()->gallery()->findChild<QScrollArea*>();
    const int before = area->verticalScrollBar()->value();
    QTest::mousePress(area->viewport(), Qt::LeftButton, {}, QPoint(4, 200));
    QTest::mouseMove(area->viewport(), QPoint(4, 100));
    QTest::mouseRelease(area->viewport(), Qt::LeftButton, {}, QPoint(4, 100));
    CHECK(area->verticalScrollBar()->value() == before);
}

}  // namespace touch_test
