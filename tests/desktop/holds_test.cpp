// Will it hold, in the real window: the strip of cases, the stress on the stage, loads typed and dragged, ways taken,
// the snap test.
#include "program.h"
#include "support.h"

namespace holds_test {

namespace {

HoldsBar* holds(Program& p) {
    QTest::keyClick(&p.window, Qt::Key_F9);
    auto* h = p.window.shape()->holds();
    REQUIRE(QTest::qWaitFor([&] { return !h->cards().empty() && h->isVisible(); }, kPatience));
    return h;
}

const LoadCase& shown(Program& p) {
    const auto a = p.session.pieceAnswers(p.piece().id);
    return a->strength->cases[p.window.shape()->holds()->chosen()];
}

void chooseCase(Program& p, HoldsBar* h, const char* id) {
    const auto& cases = p.session.pieceAnswers(p.piece().id)->strength->cases;
    for (size_t i = 0; i < cases.size(); ++i)
        if (cases[i].id == id) QTest::mouseClick(h->cards()[i], Qt::LeftButton);
    REQUIRE(shown(p).id == id);
}

}  // namespace

TEST_CASE("what happens to a bowl is a strip of pictures, the weakest is shown with its stress") {
    Program p;
    auto* h = holds(p);
    const auto stage = p.session.pieceAnswers(p.piece().id)->strength;
    REQUIRE(h->cards().size() == stage->cases.size());
    CHECK(h->chosen() == stage->weakest);
    CHECK(h->cards()[h->chosen()]->isChecked());
    auto* solid = p.window.shape()->solid();
    CHECK(solid->isVisible());
    REQUIRE(solid->showsFilm());
    CHECK(solid->scene().stress);
    CHECK(solid->scene().arrows.size() == stage->cases[h->chosen()].arrows.size());
    CHECK(solid->scene().weak.has_value());
    CHECK_FALSE(p.window.shape()->coats()->isVisible());
    for (size_t i = 0; i < h->cards().size(); ++i) {
        QTest::mouseClick(h->cards()[i], Qt::LeftButton);
        CHECK(h->chosen() == i);
        CHECK(h->sentence().contains(QString::fromStdString(stage->cases[i].title)));
        CHECK(h->cards()[i]->accessibleName().contains(QString::fromStdString(stage->cases[i].headline)));
    }
    QTest::keyClick(&p.window, Qt::Key_F9);
    CHECK_FALSE(h->isVisible());
    CHECK_FALSE(solid->showsFilm());
    CHECK(p.window.shape()->coats()->isVisible());
}

TEST_CASE("a load is typed, and twice the load halves its margin, undo takes it back") {
    Program p;
    auto* h = holds(p);
    chooseCase(p, h, "fingers");
    const double before = shown(p).margin, pressed = shown(p).load.value;
    p.type(h->load(), "3");
    p.answered();
    CHECK(p.piece().loads.at("fingers").value == 3);
    CHECK(shown(p).id == "fingers");
    CHECK(shown(p).margin == Approx(before * pressed / 3).epsilon(0.02));
    p.type(h->load(), "-1");
    CHECK_FALSE(h->load()->complaint()->text().isEmpty());
    p.session.document().undo();
    p.answered();
    CHECK(p.piece().loads.empty());
    CHECK(shown(p).margin == Approx(before));
}

TEST_CASE("in pounds and ounces a load has no newtons: typed in pounds it is as hard") {
    Program p;
    auto* h = holds(p);
    chooseCase(p, h, "fingers");
    p.session.document().edit("US", [](Plan& plan) { plan.units = UnitSystem::US; });
    p.answered();
    chooseCase(p, h, "fingers");
    const auto says = [&](const QString& words) {
        for (auto* l : h->findChildren<QLabel*>())
            if (l->isVisible() && l->text().contains(words)) return true;
        return false;
    };
    CHECK(says("lb pressed"));
    CHECK_FALSE(says("newton"));
    CHECK_FALSE(says("N ("));
    p.type(h->load(), "2");
    p.answered();
    CHECK(p.piece().loads.at("fingers").value == Approx(2 * 0.45359237 * kGravity));
    CHECK(h->load()->edit()->text() == "2");
    p.session.document().undo();
    p.answered();
    chooseCase(p, h, "peel");
    CHECK(says("oz on an inch of rim"));
}

TEST_CASE("an arrow on the stage is dragged longer, as one step of undo") {
    Program p;
    auto* h = holds(p);
    chooseCase(p, h, "fingers");
    auto* solid = p.window.shape()->solid();
    solid->look(SolidStage::Side::Front);
    QTest::qWait(30);
    REQUIRE(solid->scene().arrowsMove);
    const double before = shown(p).load.value;
    const QPointF tail = solid->arrowTail(0);
    QTest::mousePress(solid, Qt::LeftButton, {}, tail.toPoint());
    const QPointF away = tail + (tail - QPointF(solid->width() / 2.0, tail.y())) * 0.4;
    for (int i = 1; i <= 4; ++i) {
        const QPointF at = tail + (away - tail) * i / 4;
        QMouseEvent move(QEvent::MouseMove, at, solid->mapToGlobal(at), Qt::NoButton, Qt::LeftButton, {});
        QApplication::sendEvent(solid, &move);
    }
    QTest::mouseRelease(solid, Qt::LeftButton, {}, away.toPoint());
    p.answered();
    CHECK(shown(p).load.value > 1.2 * before);
    p.session.document().undo();
    p.answered();
    CHECK(shown(p).load.value == before);
    CHECK_FALSE(p.session.document().canUndo());
}

TEST_CASE("the weakest case is told in the answers, and a way out is taken and computed") {
    Program p;
    // a large thin bowl of one coat, lifted across its rim
    p.session.editPiece("One coat", [](Piece& q) {
        q.coats().resize(1);
        q.shape = test::balloon(0.6, 0.225, 0.11, 0.2);
        q.handling.lift = Handling::Lift::Fingers;
        q.chocolate = "milk";
        q.coats()[0].temperature = Measure(29.5);
    });
    p.answered();
    auto* answer = p.window.shape()->answers()->view("strength");
    REQUIRE(answer);
    CHECK(QString::fromStdString(answer->answer().sentence).contains("Advice, not a guarantee"));
    CHECK(answer->answer().working.inputs.size() >= 4);
    // it is weak, and says so beside its verdict, with what would help
    REQUIRE(answer->answer().tone == Tone::Weak);
    auto* way = p.window.shape()->answers()->findChild<QPushButton*>("holdWay");
    REQUIRE(way);
    CHECK(way->text().contains("→"));
    auto* tile = p.window.findChild<PieceTile*>();
    CHECK_FALSE(tile->accessibleDescription().isEmpty());
    QTest::mouseClick(p.window.shape()->answers()->findChild<QPushButton*>("showStrength"), Qt::LeftButton);
    auto* h = p.window.shape()->holds();
    REQUIRE(QTest::qWaitFor([&] { return h->isVisible() && !h->cards().empty(); }, kPatience));
    const double before = shown(p).margin;
    QPushButton* more = nullptr;  // the one that is shown: what it was before goes with the next events
    REQUIRE(QTest::qWaitFor(
        [&] {
            for (auto* b : h->findChildren<QPushButton*>("coatMore"))
                if (b->isVisible()) more = b;
            return more != nullptr;
        },
        8000));
    QTest::mouseClick(more, Qt::LeftButton);
    p.answered();
    CHECK(p.piece().coats().size() == 2);
    CHECK(shown(p).margin > 1.3 * before);
}

TEST_CASE("a bowl is set down on three lumps and on a ring, and its hours on the table are typed") {
    Program p;
    auto* h = holds(p);
    chooseCase(p, h, "stands");
    auto* sits = h->findChild<QComboBox*>("sits");
    REQUIRE(sits);
    REQUIRE(sits->isVisible());
    CHECK(sits->currentIndex() == 0);
    const double flat = shown(p).margin;
    sits->setFocus();
    QTest::keyClick(sits, Qt::Key_Down);
    QTest::keyClick(sits, Qt::Key_Down);
    p.answered();
    CHECK(p.piece().sits == Sits::Lumps);
    CHECK(shown(p).margin < flat);
    p.session.document().undo();
    p.session.document().undo();
    p.answered();
    CHECK(p.piece().sits == Sits::Flat);
    CHECK(sits->currentIndex() == 0);
    CHECK(shown(p).margin == Approx(flat));
    p.type(h->load(), "12");
    p.answered();
    CHECK(p.piece().loads.at("stands").value == 12);
    CHECK_FALSE(p.window.shape()->solid()->scene().arrowsMove);  // hours are not dragged
    chooseCase(p, h, "fingers");
    CHECK_FALSE(sits->isVisible());
}

TEST_CASE("a basket's joints are scored with one click, chosen otherwise in its recipe, and its handle holds more") {
    Program p;
    p.assumed("specimen-basket");
    auto* h = holds(p);
    chooseCase(p, h, "handle");
    CHECK_FALSE(shown(p).chosen);  // carried by its base, unless its cook says otherwise
    CHECK(h->findChild<QPushButton*>("scoreJoints") == nullptr);
    auto* mine = h->findChild<QPushButton*>("handledSo");
    REQUIRE(mine);
    REQUIRE(mine->isVisible());
    QTest::mouseClick(mine, Qt::LeftButton);
    p.answered();
    CHECK(p.piece().handling.carry == Handling::Carry::Handle);
    CHECK(shown(p).chosen);
    const double before = shown(p).margin;
    auto* score = h->findChild<QPushButton*>("scoreJoints");
    REQUIRE(score);
    QTest::mouseClick(score, Qt::LeftButton);
    p.answered();
    CHECK(p.piece().shape.choices.at("glue") == "glue on scored faces");
    CHECK(shown(p).margin > 1.2 * before);
    CHECK(h->findChild<QPushButton*>("scoreJoints") == nullptr);  // it is done
    p.session.document().undo();
    p.answered();
    CHECK(shown(p).margin == Approx(before));
    QComboBox* glue = nullptr;
    for (auto* box : p.window.shape()->recipe()->findChildren<QComboBox*>())
        if (box->findText("icing or syrup") >= 0) glue = box;
    REQUIRE(glue);
    glue->setCurrentIndex(glue->findText("icing or syrup"));
    emit glue->activated(glue->currentIndex());
    p.answered();
    CHECK(shown(p).margin < before);
}

TEST_CASE("how a bowl is handled is chosen on its case, the verdict follows, undo takes it back") {
    Program p;
    auto* h = holds(p);
    auto* mine = h->findChild<QPushButton*>("handledSo");
    auto* oil = h->findChild<QCheckBox*>("balloonOil");
    REQUIRE((mine && oil));
    chooseCase(p, h, "peel");
    CHECK_FALSE(mine->isVisible());  // it is how it is done
    REQUIRE(oil->isVisible());
    CHECK(oil->isChecked());
    const double oiled = shown(p).margin;
    QTest::mouseClick(oil, Qt::LeftButton, {}, QPoint(8, oil->height() / 2));
    p.answered();
    CHECK_FALSE(p.piece().handling.oil);
    CHECK(shown(p).margin < 0.5 * oiled);
    p.session.document().undo();
    p.answered();
    CHECK(shown(p).margin == Approx(oiled));
    chooseCase(p, h, "at-once");
    CHECK_FALSE(oil->isVisible());
    REQUIRE(mine->isVisible());
    CHECK_FALSE(mine->text().isEmpty());
    mine->setFocus();
    QTest::keyClick(mine, Qt::Key_Space);
    p.answered();
    CHECK(p.piece().handling.release == Handling::Release::Burst);
    CHECK(shown(p).chosen);
    CHECK_FALSE(mine->isVisible());
    chooseCase(p, h, "rim");
    QTest::mouseClick(mine, Qt::LeftButton);
    p.answered();
    CHECK(p.piece().handling.carry == Handling::Carry::Rim);
    CHECK(mine->isVisible());  // back to its foot
    QTest::mouseClick(mine, Qt::LeftButton);
    p.answered();
    CHECK(p.piece().handling.carry == Handling::Carry::Foot);
}

TEST_CASE("pieces that are not reckoned say so") {
    Program p;
    p.session.select("meteorite");
    QTest::keyClick(&p.window, Qt::Key_F9);
    auto* h = p.window.shape()->holds();
    REQUIRE(QTest::qWaitFor([&] { return h->isVisible() && !h->sentence().contains("Reckoning"); }, kPatience));
    CHECK(h->cards().empty());
    CHECK(h->sentence().contains("Only walls"));
}

TEST_CASE("a snap test of own bars replaces the book's figure, and the verdict follows") {
    Program p;
    auto* h = holds(p);
    chooseCase(p, h, "fingers");
    const double before = shown(p).margin;
    const double book = p.session.library().find("dark")->at("strength").value;
    QTest::mouseClick(h->findChild<QPushButton*>("snapTest"), Qt::LeftButton);
    auto* page = p.window.findChild<QWidget*>("snapPage");
    REQUIRE(page);
    auto* result = page->findChild<QLabel*>("snapResult");
    CHECK(result->text().contains("book"));
    const auto field = [&](int bar, const char* what) {
        for (auto* f : page->findChildren<FigureField*>())
            if (f->place() == QStringLiteral("snaps/%1/%2").arg(bar).arg(QLatin1String(what)) && !f->isHidden())
                return f;
        return static_cast<FigureField*>(nullptr);
    };
    for (int i = 0; i < 5; ++i) {
        QTest::mouseClick(page->findChild<QPushButton*>("snapMore"), Qt::LeftButton);
        QTest::qWait(30);
        p.type(field(i, "hung"), QString::number(800 + 20 * i) + QStringLiteral(" g"));  // about 0.77 MPa
        QTest::qWait(10);
    }
    p.answered();
    REQUIRE(p.session.plan().snaps.size() == 5);
    const auto own = strengthOf(p.session.plan(), p.session.library(), "dark");
    CHECK(own.bars == 5);
    CHECK(result->text().contains("5 bar"));
    CHECK(shown(p).margin == Approx(before * own.strength.mean / book).epsilon(0.01));
    p.type(field(0, "thickness"), "90 mm");
    CHECK(field(0, "thickness")->complaint()->text().contains("thick"));
    while (p.session.document().canUndo()) p.session.document().undo();
    p.answered();
    CHECK(shown(p).margin == Approx(before));
}

TEST_CASE("pictures of what happens to a piece", "[.][pictures]") {
    Program p;
    const QString folder = qEnvironmentVariable("UOVO_PICTURES", QStringLiteral(UOVO_SOURCE "/docs/screenshots"));
    auto* h = holds(p);
    QTest::qWait(400);
    REQUIRE(p.window.grab().save(folder + "/holds.png"));
    if (!qEnvironmentVariableIsSet("UOVO_ALL_PICTURES")) return;
    chooseCase(p, h, "stands");
    QTest::qWait(400);
    REQUIRE(p.window.grab().save(folder + "/holds_stands.png"));
    p.session.select("specimen-basket");
    QTest::qWait(800);
    REQUIRE(p.window.grab().save(folder + "/holds_basket.png"));
    p.session.select("observatory");
    QTest::qWait(800);
    REQUIRE(p.window.grab().save(folder + "/holds_tower.png"));
    p.session.select("moon");
    QTest::qWait(800);
    REQUIRE(p.window.grab().save(folder + "/holds_moon.png"));
    QTest::mouseClick(h->findChild<QPushButton*>("snapTest"), Qt::LeftButton);
    QTest::qWait(200);
    REQUIRE(p.window.grab().save(folder + "/snap.png"));
    p.session.select("comet-cone");
    QTest::qWait(800);
    REQUIRE(p.window.grab().save(folder + "/holds_cone.png"));
}

}  // namespace holds_test
