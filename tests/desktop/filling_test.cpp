// The filling's page in the real window: how full, a lid, a recipe.
#include <QCheckBox>
#include <QComboBox>

#include "program.h"

namespace filling_test {

namespace {

QWidget* page(Program& p) {
    auto* open = p.window.shape()->recipe()->findChild<QPushButton*>("fillingDetails");
    REQUIRE(open);
    QTest::mouseClick(open, Qt::LeftButton);
    auto* found = p.window.findChild<QWidget*>("fillingPage");
    REQUIRE(found);
    QTest::qWait(30);
    return found;
}

const Filling& filling(Program& p) { return *p.session.plan().fillingOf(p.piece()); }

void write(QWidget* in, const char* name, const QString& words) { Program::type(in->findChild<Field*>(name), words); }

}  // namespace

TEST_CASE("a piece is filled to three quarters and closed with a lid") {
    Program p;
    const auto before = p.session.plan();
    auto* in = page(p);
    auto* how = in->findChild<QComboBox*>("fillingHow");
    how->setCurrentIndex(1);
    emit how->activated(1);
    p.answered();
    CHECK(p.piece().fill()->share.value == 0.75);
    const auto a = p.session.pieceAnswers(p.piece().id);
    CHECK(a->fillEach == Approx(0.75 * a->made->capacity));
    for (auto* f : in->findChildren<FigureField*>())
        if (f->place() == "filling/cap") p.type(f, "3 mm");
    p.answered();
    CHECK(p.session.pieceAnswers(p.piece().id)->capMass > 0.005);
    CHECK(in->findChild<QLabel*>("recipeSum")->text().contains("lid"));
    for (auto* f : in->findChildren<FigureField*>())
        if (f->place() == "filling/cap") {
            p.type(f, "50 mm");
            CHECK(f->complaint()->text().contains("20 mm"));
        }
    while (p.session.document().canUndo()) p.session.document().undo();
    CHECK(p.session.plan() == before);
}

TEST_CASE("a recipe is written, scaled, and its alcohol told, and a wrong line is said") {
    Program p;
    auto* in = page(p);
    const size_t lines = filling(p).recipe.size();
    QTest::mouseClick(in->findChild<QPushButton*>("recipeMore"), Qt::LeftButton);
    QTest::qWait(30);
    REQUIRE(filling(p).recipe.size() == lines + 1);
    const std::string at = "recipe/" + std::to_string(lines) + "/";
    write(in, (at + "name").c_str(), "Orange liqueur");
    write(in, (at + "amount").c_str(), "2 tbsp");
    write(in, (at + "alcohol").c_str(), "40");
    write(in, (at + "allergens").c_str(), "sulphites");
    p.answered();
    const auto& made = filling(p).recipe.back();
    CHECK(made.name == "Orange liqueur");
    CHECK(made.by == Ingredient::By::Volume);
    CHECK(made.amount.value == Approx(2 * 14.78676478e-6));
    CHECK(made.alcohol == Approx(0.4));
    CHECK(in->findChild<QLabel*>("recipeSum")->text().contains("for adults"));
    write(in, (at + "amount").c_str(), "some");
    auto* amount = in->findChild<Field*>((at + "amount").c_str());
    CHECK(amount->complaint()->text().contains("Write how much"));
    CHECK(amount->complaint()->isVisible());
    CHECK(amount->edit()->text() == "some");
    write(in, (at + "alcohol").c_str(), "140");
    CHECK(in->findChild<Field*>((at + "alcohol").c_str())->isRefused());
    CHECK(filling(p).recipe.back().alcohol == Approx(0.4));
    CHECK(filling(p).recipe.back().amount.value == Approx(2 * 14.78676478e-6));
    QTest::mouseClick(in->findChild<QPushButton*>((at.substr(0, at.size()) + "gone").c_str()), Qt::LeftButton);
    CHECK(filling(p).recipe.size() == lines);
    auto* egg = in->findChild<QCheckBox*>("fillingEgg");
    QTest::mouseClick(egg, Qt::LeftButton, {}, QPoint(8, egg->height() / 2));
    CHECK(filling(p).egg);
}

TEST_CASE("pictures of a filling", "[.][pictures]") {
    if (!qEnvironmentVariableIsSet("UOVO_ALL_PICTURES")) return;
    Program p;
    page(p);
    QTest::qWait(200);
    REQUIRE(p.window.grab().save(qEnvironmentVariable("UOVO_PICTURES") + "/filling.png"));
}

}  // namespace filling_test
