// Takes the pictures of docs/screenshots from the demo plan: scripts/pictures.sh. Hidden from the ordinary run.
#include <QDir>
#include <QPainter>

#include "desktop/theme/theme.h"
#include "report/fonts.h"
#include "scenes.h"

namespace pictures {

namespace {

void take(Program& p, const QString& name) {
    if (auto* f = QApplication::focusWidget(); f && f->objectName() == "planMenu") f->clearFocus();
    p.window.findChild<QLabel*>("cameBack")->clear();
    QTest::qWait(600);  // the fine picture is painted when the hand rests
    const QString folder = qEnvironmentVariable("UOVO_PICTURES", QStringLiteral(UOVO_SOURCE "/docs/screenshots"));
    REQUIRE(QDir().mkpath(folder));
    REQUIRE(p.window.grab().save(folder + "/" + name + ".png"));
}

}  // namespace

TEST_CASE("pictures of each main view", "[.][pictures]") {
    Program p(demoKnown(), 1);
    auto* shape = p.window.shape();
    p.window.arrive();
    p.window.door()->sentence()->setText(QStringLiteral("12 bowls that hold ice cream on Saturday"));
    QTest::qWait(2500);
    take(p, "door");
    p.window.door()->hide();
    take(p, "shape-bowl");
    QTest::mouseClick(shape->answers()->view("wall"), Qt::LeftButton);
    take(p, "working");
    QTest::keyClick(p.window.sheet(), Qt::Key_Escape);
    shape->setTurning(true);
    SolidView v = shape->solid()->view();
    v.map = true;
    v.cut = 0.45;
    shape->solid()->setView(v);
    take(p, "turning");
    v.map = false;
    shape->solid()->setView(v);
    shape->setTurning(false);
    p.session.select("specimen-basket");
    QTest::qWait(100);
    if (auto* egg = shape->findChild<QPushButton*>("eggBeside")) egg->click();
    shape->items()->choose("handle");
    take(p, "shape-basket");
    if (auto* egg = shape->findChild<QPushButton*>("eggBeside")) egg->click();
    p.session.select("observatory");
    QTest::qWait(100);
    QTest::keyClick(&p.window, Qt::Key_F3);
    p.window.build()->setStep(6);
    QTest::qWait(400);
    take(p, "build");
    auto* place = p.window.build();
    place->findChild<QPushButton*>("buildTemplates")->click();
    (void)QTest::qWaitFor([&] { return !place->templates()->isLaying(); }, kPatience);
    take(p, "templates");
    place->findChild<QPushButton*>("openCompound")->click();
    p.answered();
    place->hand()->choose("tube");
    take(p, "build-by-hand");
    QTest::keyClick(&p.window, Qt::Key_Z, Qt::ControlModifier);
    p.answered();
    place->findChild<QPushButton*>("buildInOrder")->click();
    QTest::keyClick(&p.window, Qt::Key_F2);
    p.session.select("meteorite");
    p.answered();
    shape->recipe()->findChild<QPushButton*>("ownMold")->click();
    QTest::qWait(300);
    take(p, "own-mold");
    p.window.sheet()->hide();
    QTest::keyClick(&p.window, Qt::Key_G, Qt::ControlModifier);
    QTest::qWait(2500);
    take(p, "gallery");
    shape->gallery()->hide();
    QTest::keyClick(&p.window, Qt::Key_F5);
    auto* line = p.window.day()->board();
    line->setMinute(line->minute() * 2 / 5);
    take(p, "day");
    for (const auto& s : scenes())
        if (s.name == "bench-step") s.open(p);
    take(p, "bench");
    p.window.bench()->keeper()->close();
    for (const auto& s : scenes())
        if (s.name == "log-lessons" || s.name == "log-why") {
            s.open(p);
            take(p, s.name);
        }
    QTest::keyClick(&p.window, Qt::Key_F2);
    p.session.select("crater-bowl");
    setDarkTheme(true);
    emit p.session.answersChanged();
    take(p, "shape-dark");
    setDarkTheme(false);
}

TEST_CASE("a stranger's walk with the wish UOVO_WISH, a picture a step, to look at", "[.][walk]") {
    Program p(demoKnown(), 1);
    const QString folder = qEnvironmentVariable("UOVO_PICTURES", QStringLiteral("/tmp/uovo-walk"));
    REQUIRE(QDir().mkpath(folder));
    int step = 0;
    const auto look = [&](const char* name) {
        QTest::qWait(800);
        REQUIRE(p.window.grab().save(QStringLiteral("%1/%2-%3.png").arg(folder).arg(++step).arg(QLatin1String(name))));
    };
    p.window.arrive();
    QTest::qWait(2000);
    look("door");
    QTest::keyClicks(p.window.door()->sentence(),
                     qEnvironmentVariable("UOVO_WISH", QStringLiteral("12 bowls that hold ice cream on Saturday")));
    QTest::qWait(1500);
    look("wish");
    QTest::keyClick(p.window.door()->sentence(), Qt::Key_Return);
    p.answered();
    look("shape");
    for (const auto& [key, name] : {std::pair{Qt::Key_F9, "holds"},
                                    {Qt::Key_F3, "build"},
                                    {Qt::Key_F4, "melt"},
                                    {Qt::Key_F5, "day"},
                                    {Qt::Key_F6, "bench"}}) {
        QTest::keyClick(&p.window, key);
        look(name);
    }
    REQUIRE(p.window.writeCard(folder + "/card.pdf"));
}

TEST_CASE("a sheet of the shape place with each family in turn, to look at", "[.][families]") {
    Program p(demoKnown(), 1);
    constexpr int kAcross = 2, kDown = 3, kWidth = 760, kHeight = 475;
    QImage sheet(kAcross * kWidth, kDown * kHeight, QImage::Format_RGB32);
    const QString folder = qEnvironmentVariable("UOVO_PICTURES", QStringLiteral("/tmp/uovo-families"));
    REQUIRE(QDir().mkpath(folder));
    int n = 0;
    const auto save = [&] {
        REQUIRE(sheet.save(folder + QStringLiteral("/families-%1.png").arg((n - 1) / (kAcross * kDown) + 1)));
    };
    for (const auto& f : form::families()) {
        if (form::fromFile(form::usual(f.id))) continue;
        p.session.select("moon");
        p.session.editPiece("Try a family", [&](Piece& piece) {
            piece.shape = form::usual(f.id);
            piece.name = f.name;
        });
        p.answered();
        QTest::qWait(450);
        QPainter painter(&sheet);
        const int at = n++ % (kAcross * kDown);
        painter.drawImage(
            QPoint(at % kAcross * kWidth, at / kAcross * kHeight),
            p.window.grab().toImage().scaled(kWidth, kHeight, Qt::IgnoreAspectRatio, Qt::SmoothTransformation));
        painter.end();
        if (at + 1 == kAcross * kDown) save();
    }
    save();
}

TEST_CASE("a picture of each piece of the plan UOVO_LOOK, to look at", "[.][look]") {
    Program p(demoKnown(), 1);
    QFile file(qEnvironmentVariable("UOVO_LOOK"));
    REQUIRE(file.open(QIODevice::ReadOnly));
    const auto plan = readPlan(file.readAll().toStdString());
    REQUIRE(plan);
    const QString folder = qEnvironmentVariable("UOVO_PICTURES", QStringLiteral("/tmp/uovo-look"));
    REQUIRE(QDir().mkpath(folder));
    p.session.document().setPlan(*plan, {});
    for (const auto& piece : plan->pieces) {
        p.session.select(QString::fromStdString(piece.id));
        REQUIRE(QTest::qWaitFor([&] { return p.session.isComplete(); }, kPatience));
        QTest::qWait(400);
        REQUIRE(p.window.grab().save(folder + "/" + QString::fromStdString(piece.id) + ".png"));
        if (piece.shape.items.empty()) continue;
        p.window.shape()->items()->choose(QString::fromStdString(piece.shape.items.back().key));
        QTest::qWait(400);
        REQUIRE(p.window.grab().save(folder + "/" + QString::fromStdString(piece.id) + "-part.png"));
    }
}

TEST_CASE("every place and every sheet at UOVO_SIZE, to look at", "[.][sizes]") {
    Program p(demoKnown(), 1);
    const QStringList size = qEnvironmentVariable("UOVO_SIZE", QStringLiteral("1280x800")).split('x');
    const QString folder = qEnvironmentVariable("UOVO_PICTURES", QStringLiteral("/tmp/uovo-sizes"));
    REQUIRE(QDir().mkpath(folder));
    p.window.resize(size.at(0).toInt(), size.at(1).toInt());
    if (qEnvironmentVariableIsSet("UOVO_DARK")) {
        setDarkTheme(true);
        emit p.session.answersChanged();
    }
    QTest::qWait(500);
    const auto take = [&](const QString& name) {
        QTest::qWait(300);
        REQUIRE(p.window.grab().save(folder + '/' + size.join('x') + '-' + name + ".png"));
    };
    for (const auto& scene : scenes()) {
        if (qEnvironmentVariableIsSet("UOVO_SCENES") &&
            !qEnvironmentVariable("UOVO_SCENES").split(',').contains(scene.name))
            continue;
        scene.open(p);
        QTest::qWait(scene.name == "advice" ? 3000 : 200);
        take(scene.name);
        leave(p);
    }
    setDarkTheme(false);
}

}  // namespace pictures
