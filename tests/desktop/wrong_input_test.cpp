// Wrong input in every field there is, found from the widgets themselves: a sentence at the field, nothing lost, Escape
// brings back what was right.
#include <QPointer>
#include <iostream>

#include "scenes.h"

namespace wrong_input_test {

namespace {

/// Fields a person can write in now.
QList<QPointer<Field>> fieldsOf(QWidget* place) {
    QList<QPointer<Field>> out;
    for (auto* f : place->findChildren<Field*>())
        if (f->isVisible() && f->edit()->isEnabled()) out << QPointer<Field>(f);
    return out;
}

}  // namespace

TEST_CASE("wrong input in every field of every place and sheet: told there, nothing lost, Escape restores") {
    Program p;
    p.answered();
    int figures = 0, words = 0, refusedWords = 0;
    QSet<QString> places;
    for (const auto& scene : scenes()) {
        scene.open(p);
        QTest::qWait(30);
        const auto fields = fieldsOf(scene.what(p));
        for (const QPointer<Field>& f : fields) {
            if (!f || !f->isVisible()) continue;  // an answer that came meanwhile may take it away
            INFO(scene.name.toStdString()
                 << ", " << f->place().toStdString() << " (" << f->edit()->accessibleName().toStdString() << ")");
            places << scene.name;
            const QString before = f->edit()->text();
            const auto refused = [&](const QString& wrong) {
                const Plan was = p.session.plan();
                p.type(f, wrong);
                INFO("typed " << wrong.toStdString());
                REQUIRE(f);
                CHECK(p.session.plan() == was);
                CHECK_FALSE(f->complaint()->text().isEmpty());
                CHECK(f->complaint()->isVisible());
                CHECK(f->edit()->property("wrong").toBool());
                CHECK(f->edit()->text() == wrong);
                CHECK(f->edit()->hasFocus());
                CHECK(f->isRefused());
                CHECK(f->edit()->accessibleDescription() == f->complaint()->text());
                QTest::qWait(0);
                auto* count = p.window.findChild<ProblemsButton*>("problems");
                CHECK(count->isVisible());
                CHECK(count->text().contains("problem"));
                QTest::keyClick(f->edit(), Qt::Key_Escape);
                CHECK(f->edit()->text() == before);
                CHECK_FALSE(f->isRefused());
                CHECK(p.session.plan() == was);
            };
            if (qobject_cast<FigureField*>(f)) {
                ++figures;
                refused("blub 9q");
                refused("-999999999");
                refused("1e15");
            } else {
                ++words;
                // words that name something may be any, but some must not be nothing
                const Plan was = p.session.plan();
                p.type(f, {});
                REQUIRE(f);
                if (f->isRefused()) {
                    ++refusedWords;
                    CHECK(p.session.plan() == was);
                    QTest::keyClick(f->edit(), Qt::Key_Escape);
                    CHECK(f->edit()->text() == before);
                } else if (!(p.session.plan() == was)) {
                    p.session.document().undo();
                    CHECK(p.session.plan() == was);
                    scene.open(p);  // what was written may have taken the fields themselves away
                    QTest::qWait(20);
                }
            }
        }
        leave(p);
    }
    std::cout << "wrong input: " << figures << " figures, " << words << " words (" << refusedWords
              << " must not be empty) in " << places.size() << " places and sheets" << std::endl;
    CHECK(figures >= 60);
    CHECK(words >= 8);
    CHECK(refusedWords >= 3);
}

TEST_CASE("the header counts what is wrong and leads to it") {
    Program p;
    auto* button = p.window.findChild<ProblemsButton*>("problems");
    REQUIRE(button);
    CHECK_FALSE(button->isVisible());
    // a plan that came with a figure no one can build, and a kitchen that is none
    Plan plan = p.session.plan();
    plan.pieces[0].shape.values["dip"] = Measure(3);
    plan.kitchen.shelves = 0;
    p.session.document().setPlan(plan, {});
    p.answered();
    REQUIRE(button->isVisible());
    CHECK(button->count() >= 2);
    CHECK(button->text() == QString("%1 problems").arg(button->count()));
    QTest::keyClick(&p.window, Qt::Key_F5);
    p.window.lead("pieces/crater-bowl/former/dip");
    CHECK(p.window.shape()->isVisible());
    auto* dip = p.window.shape()->recipe()->field("former/dip");
    REQUIRE(dip);
    CHECK(dip->edit()->hasFocus());
    CHECK_FALSE(dip->complaint()->text().isEmpty());
    p.window.lead("kitchen/shelves");
    auto* shelves = p.window.sheet()->findChild<Field*>("kitchen/shelves");
    REQUIRE(shelves);
    CHECK(shelves->edit()->hasFocus());
    // the answers as they were before are not there: it never was right; but a tile says so
    auto* tile = p.window.findChild<PieceTile*>();
    CHECK(tile->accessibleDescription() == "not like this");
    p.type(p.window.shape()->recipe()->field("former/dip"), "60 mm");
    p.type(shelves, "2");
    p.answered();
    CHECK_FALSE(button->isVisible());
}

TEST_CASE("the last good answers stay, dimmed, when a piece cannot be as it is") {
    Program p;
    auto* answers = p.window.shape()->answers();
    p.session.select("crater-bowl");
    p.answered();
    const std::string grams = answers->view("grams")->answer().headline;
    p.session.editPiece("Break it", [](Piece& piece) { piece.shape.values["dip"] = Measure(3); });
    p.answered();
    REQUIRE(answers->view("grams"));
    CHECK(answers->view("grams")->answer().headline == grams);
    CHECK(answers->view("grams")->accessibleDescription().contains("before"));
    CHECK(answers->findChildren<QPushButton*>("way").isEmpty());
    p.session.document().undo();
    p.answered();
    CHECK_FALSE(answers->view("grams")->accessibleDescription().contains("before"));
}

TEST_CASE("undo says what came back and where, and looks at it") {
    Program p;
    p.type(p.window.shape()->recipe()->field("former/dip"), "55 mm");
    p.answered();
    p.session.select("moon");
    QTest::keyClick(&p.window, Qt::Key_Z, Qt::ControlModifier);
    auto* told = p.window.findChild<QLabel*>("cameBack");
    REQUIRE(told);
    INFO(told->text().toStdString());
    CHECK(told->text().startsWith("Taken back"));
    CHECK(told->text().contains("Crater bowl"));
    CHECK(told->text().contains("62 mm"));
    CHECK(p.session.selected() == "crater-bowl");
    QTest::keyClick(&p.window, Qt::Key_Z, Qt::ControlModifier | Qt::ShiftModifier);
    CHECK(told->text().startsWith("Done again"));
    CHECK(form::figure(p.piece().shape, "dip") == Approx(0.055));
}

TEST_CASE("what was good in another plan is not shown as what it was before") {
    Program p;
    p.session.select("crater-bowl");
    p.answered();
    REQUIRE(p.window.shape()->answers()->view("grams"));
    Plan other = p.session.plan();
    other.pieces[0].shape.values["dip"] = Measure(3);
    p.session.document().setPlan(other, {});
    p.answered();
    CHECK(p.window.shape()->answers()->view("grams") == nullptr);
}

}  // namespace wrong_input_test
