// Build: the order of a piece's parts, walked through by mouse and key.
#include <QSlider>

#include "desktop/build/build_place.h"
#include "program.h"

namespace {

BuildPlace* build(Program& p, const char* id) {
    p.session.select(id);
    QTest::keyClick(&p.window, Qt::Key_F3);
    p.answered();
    auto* place = p.window.build();
    REQUIRE(place->isVisible());
    return place;
}

QString words(BuildPlace* place, const char* name) { return place->findChild<QLabel*>(name)->text(); }

}  // namespace

TEST_CASE("the observatory is put together step by step: slider, pictures, joints and keys lead through it") {
    Program p;
    auto* place = build(p, "observatory");
    const auto& pictures = place->strip()->pictures();
    REQUIRE(pictures.size() >= 10);
    CHECK(words(place, "buildAbout").startsWith("11 parts, 18 joints"));
    auto* slider = place->findChild<QSlider*>("buildSlider");
    CHECK(slider->maximum() == static_cast<int>(pictures.size()));
    const QString second = words(place, "stepWhat");
    slider->setFocus();
    QTest::keyClick(slider, Qt::Key_End);
    CHECK(place->step() == pictures.size());
    CHECK(words(place, "stepWhat") != second);
    CHECK(place->stage()->scene().scene.bodies.size() == 11);
    for (const auto& l : place->stage()->scene().labels) CHECK(l.when == When::Now);
    pictures[0]->click();
    CHECK(place->step() == 1);
    CHECK(pictures[0]->isChecked());
    CHECK(place->stage()->scene().scene.bodies.size() > 11);  // something stands beside the first wall
    QTest::keyClick(place, Qt::Key_PageDown);
    CHECK(place->step() == 2);
    QTest::qWait(20);                                                    // what was there before is gone then
    auto* joint = place->joints()->findChild<QPushButton*>("joint/17");  // the tube on its dome
    REQUIRE(joint);
    CHECK(joint->accessibleDescription().contains("step"));
    joint->click();
    CHECK(place->step() > 8);
}

TEST_CASE("the pictures of the strip are painted by and by, and the stage turns under a hand and by keys") {
    Program p;
    auto* place = build(p, "specimen-basket");
    REQUIRE(place->strip()->pictures().size() == 2);
    REQUIRE(QTest::qWaitFor(
        [&] {
            const QImage now = place->strip()->pictures()[1]->grab().toImage();
            int dark = 0;
            for (int y = 0; y < now.height(); ++y)
                for (int x = 0; x < now.width(); ++x) dark += qGray(now.pixel(x, y)) < 90;
            return dark > 60;
        },
        5000));
    const QImage before = place->stage()->grab().toImage();
    QTest::mousePress(place->stage(), Qt::LeftButton, {}, QPoint(200, 150));
    QTest::mouseMove(place->stage(), QPoint(260, 160));
    QTest::mouseRelease(place->stage(), Qt::LeftButton, {}, QPoint(260, 160));
    const QImage turned = place->stage()->grab().toImage();
    CHECK(turned != before);
    place->stage()->setFocus();
    QTest::keyClick(place->stage(), Qt::Key_Left);
    CHECK(place->stage()->grab().toImage() != turned);
    QTest::keyClick(place->stage(), Qt::Key_0);
}

TEST_CASE("a compound that is opened lets each joint be glued its own way; it is undone like all else") {
    Program p;
    auto* place = build(p, "observatory");
    auto* open = place->findChild<QPushButton*>("openCompound");
    REQUIRE(open->isVisible());
    open->click();
    p.answered();
    CHECK(p.piece().shape.family == form::kAssembly);
    CHECK_FALSE(open->isVisible());
    auto* glue = place->joints()->findChild<QComboBox*>("jointGlue/0");
    REQUIRE(glue);
    glue->setFocus();
    QTest::keyClick(glue, Qt::Key_Down);
    QTest::keyClick(glue, Qt::Key_Down);
    p.answered();
    CHECK_FALSE(p.piece().shape.joints[0].glue.empty());
    const auto joints = p.piece().shape.joints.size();
    p.session.editPiece("Take joints out", [](Piece& x) { x.shape.joints.resize(2); });
    p.answered();
    auto* more = place->joints()->findChild<QPushButton*>("glueTouching");
    REQUIRE(more);
    more->click();
    p.answered();
    CHECK(p.piece().shape.joints.size() >= joints - 1);
    p.session.document().undo();
    p.answered();
    CHECK(p.piece().shape.joints.size() == 2);
}

TEST_CASE("Build says what is wrong: a part that floats, a piece made in one, an empty shelf") {
    Program p;
    auto* place = build(p, "observatory");
    place->findChild<QPushButton*>("openCompound")->click();
    p.answered();
    p.session.editPiece("Lift the dome", [](Piece& x) {
        if (auto* dome = form::itemOf(x.shape, "dome")) dome->at[2] = Measure(dome->at[2].value + 0.06);
    });
    p.answered();
    QString all;
    for (auto* v : place->joints()->findChildren<AnswerView*>()) all += v->accessibleName();
    CHECK(all.contains("touches nothing"));
    p.session.select("crater-bowl");
    CHECK_FALSE(place->stage()->isVisible());
    p.session.document().setPlan(Plan{}, {});
    QTest::qWait(30);
    CHECK_FALSE(place->stage()->isVisible());
}
