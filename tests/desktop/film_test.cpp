// Coats in time, in detail and by brush, in the real window.
#include <QCheckBox>
#include <QComboBox>
#include <cmath>

#include "program.h"

namespace film_test {

namespace {

PlannedCoat turnedCoat(double fill) {
    PlannedCoat c;
    c.way = coat::Way::Turn;
    c.fill = fill;
    c.temperature = 31.5;
    c.motion = coat::Motion::Over;
    c.moveFor = 480;
    c.moveEvery = 120;
    return c;
}

void waitForFilm(Program& p) {
    auto* film = p.window.shape()->film();
    REQUIRE(film->isVisible());
    QTest::mouseClick(film->button(), Qt::LeftButton);
    REQUIRE(QTest::qWaitFor([&] { return film->isShowing(); }, kPatience));
}

int reddish(const QImage& image) {
    int n = 0;
    for (int y = 0; y < image.height(); ++y)
        for (int x = 0; x < image.width(); ++x) {
            const QColor c = image.pixelColor(x, y);
            n += c.red() > 150 && c.green() < 70 && c.blue() < 90;
        }
    return n;
}

}  // namespace

TEST_CASE("the coats of a bowl play in time, can be scrubbed, and give way to the finished piece") {
    Program p;
    auto* shape = p.window.shape();
    auto* film = shape->film();
    waitForFilm(p);
    CHECK(shape->solid()->isVisible());
    CHECK(shape->solid()->showsFilm());
    const int first = film->slider()->value();
    REQUIRE(QTest::qWaitFor([&] { return film->slider()->value() > first + 3; }, kPatience));  // it plays by itself
    QTest::mouseClick(film->button(), Qt::LeftButton);
    const int paused = film->slider()->value();
    QTest::qWait(250);
    CHECK(film->slider()->value() == paused);
    // it thins as it runs: the wall half way up at the first and the last moment of the first coat
    film->slider()->setValue(0);
    CHECK(film->words().contains("coat 1"));
    const auto mean = [&] {
        const auto& w = shape->solid()->scene().bodies.at(0).wall;
        double sum = 0;
        for (const float t : w) sum += double(t);
        return sum / double(w.size());
    };
    const double wet = mean();
    film->slider()->setValue(film->slider()->maximum() / 3);
    CHECK(mean() < wet);
    film->slider()->setValue(film->slider()->maximum());
    CHECK(film->words().contains("coat 2"));
    CHECK(film->words().contains("0 % flows"));
    // an edit of the coats ends the show
    p.session.editPiece("Cooler", [](Piece& piece) { piece.coats()[0].temperature = Measure(31.0); });
    p.answered();
    CHECK_FALSE(film->isShowing());
    CHECK_FALSE(shape->solid()->showsFilm());
    CHECK(shape->stage()->isVisible());
}

TEST_CASE("the bar of grams adds up to what the coats took") {
    Program p;
    const auto a = p.session.pieceAnswers("crater-bowl");
    double in = 0;
    for (const auto& c : a->made->wall->coats) in += c.added;
    CHECK(p.window.shape()->film()->grams()->accessibleName().contains(
        QString::fromStdString(format(in, Dimension::Mass, UnitSystem::Metric))));
    p.assumed("observatory");
    CHECK_FALSE(p.window.shape()->film()->isVisible());  // nothing of it is coated
}

TEST_CASE("computing the coats can be stopped") {
    Program p;
    p.session.select("moon");
    p.session.editPiece("A ball, turned", [](Piece& piece) {
        piece.shape = form::usual("ball");
        piece.coats() = {turnedCoat(0.25), turnedCoat(0.2), turnedCoat(0.15)};
    });
    p.answered();
    auto* film = p.window.shape()->film();
    QTest::mouseClick(film->button(), Qt::LeftButton);
    REQUIRE(film->isComputing());
    QTest::mouseClick(film->button(), Qt::LeftButton);
    CHECK_FALSE(film->isComputing());
    CHECK_FALSE(film->isShowing());
}

TEST_CASE("a coat's own chocolate, its turning, tapping and scraping are set on its page, each one step to undo") {
    Program p;
    auto* card = p.window.shape()->coats()->cards().at(1);
    QTest::mouseClick(card->findChild<QPushButton*>("coatDetails"), Qt::LeftButton);
    auto* page = p.window.sheet()->findChild<QWidget*>("coatPage");
    REQUIRE(page);
    const std::vector<PlannedCoat> before = p.session.piece()->coats();
    auto* chocolate = page->findChild<QComboBox*>("coatChocolate");
    const int white = chocolate->findText("White", Qt::MatchStartsWith);
    REQUIRE(white > 0);
    chocolate->setCurrentIndex(white);
    emit chocolate->activated(white);
    CHECK(p.session.piece()->coats()[1].chocolate == "white");
    CHECK(p.session.piece()->coats()[1].temperature.value < before[1].temperature.value);
    p.answered();
    // two pots, and the outside is white
    CHECK(p.session.answers()->pots.size() > 1);
    CHECK(shownChocolate(*p.session.piece()) == "white");
    auto* motion = page->findChild<QComboBox*>("coatMotion");
    motion->setCurrentIndex(3);
    emit motion->activated(3);
    page->findChild<QCheckBox*>("coatScrape")->click();
    CHECK(p.session.piece()->coats()[1].motion == coat::Motion::Side);
    CHECK(p.session.piece()->coats()[1].scrape);
    p.answered();
    REQUIRE(p.session.pieceAnswers("crater-bowl")->made);
    CHECK_FALSE(p.session.pieceAnswers("crater-bowl")->made->meridian->round);  // no longer round: on its own triangles
    card = p.window.shape()->coats()->cards().at(1);
    CHECK(card->findChild<QLabel*>("coatExtras")->toolTip().contains("on its side"));
    for (int i = 0; i < 3; ++i) p.session.document().undo();
    CHECK(std::vector<PlannedCoat>(p.session.piece()->coats()) == before);
}

TEST_CASE("strokes are painted where a person clicks, thicken the wall there, and are wiped off again") {
    Program p;
    p.session.editPiece("Brush where I paint", [](Piece& piece) {
        PlannedCoat c = piece.coats().back();
        c.way = coat::Way::Brush;
        c.where = coat::Where::Spots;
        c.brushMass = Measure(0.01);
        piece.coats().push_back(c);
    });
    auto* shape = p.window.shape();
    CHECK(p.session.problemAt("pieces/crater-bowl/coats/2/where").contains("Paint"));
    shape->paintCoat(2);
    auto* solid = shape->solid();
    REQUIRE(solid->isVisible());
    REQUIRE(solid->isPainting());
    REQUIRE_FALSE(solid->scene().bodies.empty());
    QTest::qWait(50);  // the layout settles
    QPoint middle = solid->rect().center();
    const double before = solid->wallAt(middle);
    REQUIRE(std::isfinite(before));
    QTest::mouseClick(solid, Qt::LeftButton, Qt::NoModifier, middle);
    REQUIRE(p.session.piece()->coats()[2].spots.size() == 1);
    p.answered();
    QTest::qWait(50);
    middle =
        solid->rect().center();  // the cards below may have grown meanwhile: the stage's middle looks at the same place
    CHECK(solid->wallAt(middle) > before + 0.0005);
    QTest::mouseClick(solid, Qt::LeftButton, Qt::NoModifier, middle);  // again at the same place: a second stroke of it
    REQUIRE(p.session.piece()->coats()[2].spots.size() == 1);
    CHECK(p.session.piece()->coats()[2].spots[0].weight == 2);
    // a drag turns the piece and paints nothing
    QTest::mousePress(solid, Qt::LeftButton, Qt::NoModifier, middle);
    QTest::mouseMove(solid, middle + QPoint(60, 0));
    QTest::mouseRelease(solid, Qt::LeftButton, Qt::NoModifier, middle + QPoint(60, 0));
    CHECK(p.session.piece()->coats()[2].spots.size() == 1);
    QTest::keyClick(solid, Qt::Key_Space);
    CHECK(p.session.piece()->coats()[2].spots.size() == 2);
    QTest::keyClick(solid, Qt::Key_Space, Qt::ShiftModifier);
    CHECK(p.session.piece()->coats()[2].spots.size() == 1);
    // saved and read again
    const auto again = readPlan(writePlan(p.session.plan()));
    REQUIRE(again);
    CHECK(again->pieces[0].coats()[2].spots == p.session.piece()->coats()[2].spots);
}

TEST_CASE("bare spots are hatched on the stage and listed, a longer turning closes them") {
    Program p;
    p.session.select("moon");
    p.session.editPiece("A ball with too little in it", [](Piece& piece) {
        piece.shape = form::usual("ball");
        PlannedCoat c = turnedCoat(0.04);
        c.moveFor = 120;
        c.moveEvery = 60;
        piece.coats() = {c};
    });
    p.answered();
    auto* shape = p.window.shape();
    const auto* holes = shape->answers()->view("holes");
    REQUIRE(holes);
    CHECK(QString::fromStdString(holes->answer().after).contains("bare"));
    SolidView v = shape->solid()->view();
    v.pitch = 0.9;
    shape->solid()->setView(v);
    const int hatched = reddish(shape->picture(1));
    CHECK(hatched > 60);
    p.session.editPiece("More of it, turned longer", [](Piece& piece) {
        piece.coats()[0].fill = Measure(0.3);
        piece.coats()[0].motion = coat::Motion::Spin;
        piece.coats()[0].moveFor = Measure(600);
    });
    p.answered();
    const auto* after = shape->answers()->view("holes");
    CHECK((!after || !QString::fromStdString(after->answer().after).contains("bare")));
    CHECK(reddish(shape->picture(1)) < hatched / 4);
}

TEST_CASE("the cursor reads the wall anywhere on the turning stage") {
    Program p;
    p.window.shape()->setTurning(true);
    auto* solid = p.window.shape()->solid();
    const double wall = solid->wallAt(solid->rect().center());
    const auto& s = *p.session.pieceAnswers("crater-bowl")->made->meridian;
    CHECK(wall > 0.8 * s.wall.thinnest);
    CHECK(wall < 1.05 * s.wall.thickest);
    CHECK(std::isnan(solid->wallAt(QPointF(3, 3))));
    const QImage before = solid->grab().toImage();
    QTest::mouseMove(solid, solid->rect().center());
    QTest::qWait(60);
    CHECK(solid->grab().toImage() != before);
}

TEST_CASE("pictures of the coats in time", "[.][pictures]") {
    Program p;
    const QString folder = qEnvironmentVariable("UOVO_PICTURES", QStringLiteral(UOVO_SOURCE "/docs/screenshots"));
    waitForFilm(p);
    QTest::qWait(200);
    auto* film = p.window.shape()->film();
    QTest::mouseClick(film->button(), Qt::LeftButton);
    film->slider()->setValue(film->slider()->maximum() / 4);
    QTest::qWait(700);
    REQUIRE(p.window.grab().save(folder + "/film.png"));
    if (!qEnvironmentVariableIsSet("UOVO_ALL_PICTURES")) return;  // the rest is to look at
    film->close();
    p.session.editPiece("Two-tone, brushed", [](Piece& piece) {
        piece.coats()[1].chocolate = "white";
        piece.coats()[1].temperature = Measure(29.0);
        PlannedCoat c = piece.coats().front();
        c.way = coat::Way::Brush;
        c.where = coat::Where::Spots;
        c.brushMass = Measure(0.01);
        piece.coats().push_back(c);
    });
    p.window.shape()->paintCoat(2);
    for (const QPoint d : {QPoint(0, 0), QPoint(60, 10), QPoint(-50, 30)})
        QTest::mouseClick(p.window.shape()->solid(), Qt::LeftButton, Qt::NoModifier,
                          p.window.shape()->solid()->rect().center() + d);
    p.answered();
    QTest::qWait(700);
    REQUIRE(p.window.grab().save(folder + "/x-painting.png"));
    p.window.shape()->paintCoat(-1);
    p.window.shape()->setTurning(false);
    QTest::qWait(700);
    REQUIRE(p.window.grab().save(folder + "/x-twotone.png"));
    QTest::mouseClick(p.window.shape()->coats()->cards().at(1)->findChild<QPushButton*>("coatDetails"), Qt::LeftButton);
    QTest::qWait(300);
    REQUIRE(p.window.grab().save(folder + "/x-detail.png"));
    QTest::keyClick(p.window.sheet(), Qt::Key_Escape);
    p.session.select("moon");
    p.session.editPiece("A ball with too little in it", [](Piece& piece) {
        piece.shape = form::usual("ball");
        PlannedCoat c = turnedCoat(0.10);
        c.moveFor = 240;
        piece.coats() = {c};
    });
    p.answered();
    SolidView v = p.window.shape()->solid()->view();
    v.map = true;
    v.pitch = 0.9;
    p.window.shape()->solid()->setView(v);
    QTest::mouseMove(p.window.shape()->solid(), p.window.shape()->solid()->rect().center());
    QTest::qWait(700);
    REQUIRE(p.window.grab().save(folder + "/x-bare.png"));
    p.session.document().undo();
    p.session.editPiece("The moon is coated", [](Piece& piece) {
        PlannedCoat c;
        c.way = coat::Way::Pour;
        c.rest = coat::Rest::Inverted;
        c.drain = 12;
        c.temperature = 31.5;
        piece.coats() = {c, c};
    });
    p.answered();
    QTest::qWait(700);
    REQUIRE(p.window.grab().save(folder + "/x-moon.png"));
}

}  // namespace film_test
