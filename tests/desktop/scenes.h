// Every place and every sheet of the window, each opened as a person opens it, in turn.
#pragma once
#include "desktop/bench/lesson_page.h"
#include "desktop/bench/mishap_panel.h"
#include "desktop/build/build_place.h"
#include "program.h"

struct Scene {
    QString name;
    std::function<void(Program&)> open;
    std::function<QWidget*(Program&)> what;  ///< what is looked at
    bool sheet = false;
};

inline std::vector<Scene> scenes() {
    const auto press = [](Program& p, Qt::Key key, Qt::KeyboardModifiers with = {}) {
        QTest::keyClick(&p.window, key, with);
    };
    const auto shape = [](Program& p) -> QWidget* { return p.window.shape(); };
    const auto sheet = [](Program& p) -> QWidget* { return p.window.sheet(); };
    const auto piece = [press](const char* id) {
        return [press, id](Program& p) {
            press(p, Qt::Key_F2);
            p.session.select(id);
        };
    };
    std::vector<Scene> all;
    for (const char* id :
         {"crater-bowl", "lens-cup", "comet-cone", "specimen-basket", "observatory", "moon", "meteorite"}) {
        all.push_back({id, piece(id), shape});
        all.push_back({QString(id) + "-holds",
                       [press, go = piece(id)](Program& p) {
                           go(p);
                           press(p, Qt::Key_F9);
                       },
                       shape});
    }
    const auto door = [](Program& p) -> QWidget* { return p.window.door(); };
    all.push_back({"door", [](Program& p) { p.window.arrive(); }, door});
    all.push_back({"door-wish",
                   [](Program& p) {
                       p.window.arrive();
                       p.window.door()->sentence()->setText(QStringLiteral("12 bowls that hold ice cream on Saturday"));
                   },
                   door});
    all.push_back({"gallery", [press](Program& p) { press(p, Qt::Key_G, Qt::ControlModifier); },
                   [](Program& p) -> QWidget* { return p.window.shape()->gallery(); }});
    for (const char* id : {"observatory", "specimen-basket"})
        all.push_back({"build-" + QString(id),
                       [press, id](Program& p) {
                           p.session.select(id);
                           press(p, Qt::Key_F3);
                       },
                       [](Program& p) -> QWidget* { return p.window.build(); }});
    all.push_back({"melt", [press](Program& p) { press(p, Qt::Key_F4); },
                   [](Program& p) -> QWidget* { return p.window.melt(); }});
    all.push_back(
        {"day", [press](Program& p) { press(p, Qt::Key_F5); }, [](Program& p) -> QWidget* { return p.window.day(); }});
    all.push_back({"day-ways",
                   [press](Program& p) {
                       press(p, Qt::Key_F5);
                       const auto ways = [&] { return p.window.day()->findChild<QWidget*>("dayWays"); };
                       (void)QTest::qWaitFor([&] { return !ways()->findChildren<QPushButton*>().empty(); }, kPatience);
                       p.window.day()->board()->setMinute(p.window.day()->board()->minute() / 2);
                   },
                   [](Program& p) -> QWidget* { return p.window.day(); }});
    all.push_back({"wishes",
                   [press](Program& p) {
                       press(p, Qt::Key_F5);
                       p.window.day()->findChild<QPushButton*>("compareWishes")->click();
                       (void)QTest::qWaitFor([&] { return !p.window.day()->looker()->busy(); }, kPatience);
                   },
                   sheet, true});
    const auto bench = [](Program& p) -> QWidget* { return p.window.bench(); };
    all.push_back({"bench", [press](Program& p) { press(p, Qt::Key_F6); }, bench});
    // so many steps, then on to one of a lane; a real day, not a rehearsal, where bowls are weighed
    const auto works = [press](Program& p, int steps, const std::string& lane = {}, bool weighs = false) {
        press(p, Qt::Key_F6);
        p.answered();
        auto* keeper = p.window.bench()->keeper();
        auto now = std::make_shared<run::Stamp>(run::Stamp{1'000'000, 100, "scene"});
        keeper->setClock([now] { return *now; });
        if (weighs) keeper->begin();
        else keeper->rehearse(1, 3);
        for (int k = 0; k < 400 && keeper->runs(); ++k) {
            (void)QTest::qWaitFor([&] { return !keeper->isLaying(); }, kPatience);
            const run::Step* s = keeper->run()->step(p.window.bench()->shown());
            if (!s || (k >= steps && (lane.empty() || s->lane == lane))) break;
            const double at = std::max(keeper->run()->due(*s), (s->at + s->minutes) * run::kMinute);
            now->up += std::max(0.0, at - keeper->second());
            if (weighs && s->kind == "in-1" && s->madeOf() == "crater-bowl") {
                run::Event e;
                e.kind = run::Kind::Weighed;
                e.step = s->id;
                e.piece = s->piece;
                e.figure = 0.047;
                keeper->take(e);
            }
            p.window.bench()->doneTarget()->click();
            keeper->answered();
            emit p.window.bench()->mishaps()->closed();
        }
        emit keeper->ticked();
    };
    all.push_back({"bench-step", [works](Program& p) { works(p, 21, "coat"); }, bench});
    all.push_back({"bench-trouble",
                   [works](Program& p) {
                       works(p, 21);
                       p.window.bench()->troubleTarget()->click();
                   },
                   bench});
    all.push_back({"bench-weigh",
                   [works](Program& p) {
                       works(p, 21, "coat");
                       p.window.bench()->findChild<QPushButton*>("benchWeigh")->click();
                   },
                   bench});
    all.push_back({"bench-hear",
                   [works](Program& p) {
                       works(p, 3);
                       p.window.bench()->findChild<QPushButton*>("benchHear")->click();
                   },
                   bench});
    all.push_back({"lessons",
                   [press](Program& p) {
                       press(p, Qt::Key_F6);
                       p.window.bench()->findChild<QPushButton*>("benchPractise")->click();
                   },
                   bench});
    all.push_back({"lesson",
                   [press](Program& p) {
                       press(p, Qt::Key_F6);
                       p.window.bench()->findChild<QPushButton*>("benchPractise")->click();
                       auto* lessons = p.window.bench()->lessons();
                       lessons->open("tempering");
                       lessons->stop();
                       for (int i = 0; i < 4; ++i) {
                           lessons->acts()[0]->click();
                           lessons->pass(30);
                       }
                       lessons->acts()[2]->click();
                       lessons->pass(90);
                   },
                   bench});
    all.push_back({"bench-over",
                   [works](Program& p) {
                       works(p, 400, {}, true);
                       (void)QTest::qWaitFor(
                           [&p] { return !p.window.bench()->findChild<QPushButton*>("benchCount")->isHidden(); },
                           kPatience);
                   },
                   bench});
    const auto log = [](Program& p) -> QWidget* { return p.window.log(); };
    const auto thought = [](Program& p) {
        (void)QTest::qWaitFor([&p] { return !p.window.log()->keeper()->isLearning(); }, kPatience);
    };
    const auto invented = [press, thought](Program& p) {
        press(p, Qt::Key_F7);
        auto* keeper = p.window.log()->keeper();
        keeper->showInvented(true);
        thought(p);
        p.window.log()->choose(keeper->shelf().back().id);
    };
    all.push_back({"log-empty",
                   [press](Program& p) {
                       press(p, Qt::Key_F7);
                       p.window.log()->keeper()->showInvented(false);
                   },
                   log});
    all.push_back({"log", invented, log});
    all.push_back({"log-lessons",
                   [invented](Program& p) {
                       invented(p);
                       p.window.log()->showLessons();
                   },
                   log});
    all.push_back({"log-why",
                   [invented](Program& p) {
                       invented(p);
                       p.window.log()->askWhy(p.window.log()->keeper()->shelf().front().id, "lens-cup", "dull");
                       (void)QTest::qWaitFor([&p] { return !p.window.log()->why()->isBusy(); }, kPatience);
                   },
                   log});
    all.push_back({"log-entry",
                   [invented](Program& p) {
                       invented(p);
                       p.window.log()->findChild<QPushButton*>("logWrite")->click();
                   },
                   sheet, true});
    const auto sheets = [&](const QString& name, std::function<void(Program&)> open) {
        all.push_back({name,
                       [press, open](Program& p) {
                           press(p, Qt::Key_F2);
                           p.session.select("crater-bowl");
                           open(p);
                       },
                       sheet, true});
    };
    sheets("kitchen", [press](Program& p) { press(p, Qt::Key_Comma, Qt::ControlModifier); });
    sheets("deadline", [press](Program& p) { press(p, Qt::Key_R, Qt::ControlModifier); });
    sheets("commands", [press](Program& p) { press(p, Qt::Key_F1, Qt::ControlModifier); });
    sheets("help", [press](Program& p) { press(p, Qt::Key_F1); });
    sheets("notes", [](Program& p) { emit p.window.shape()->notesWanted(); });
    sheets("beside", [](Program& p) { emit p.window.shape()->besideWanted(); });
    sheets("working", [](Program& p) { p.window.shape()->answers()->view("wall")->click(); });
    sheets("coat", [](Program& p) { emit p.window.shape()->coatWanted(0); });
    sheets("filling", [](Program& p) { emit p.window.shape()->fillingWanted(); });
    sheets("topping", [](Program& p) {
        p.session.select("lens-cup");
        const auto& making = p.session.piece()->making;
        for (size_t k = 0; k < making.size(); ++k)
            if (std::holds_alternative<TopStep>(making[k])) emit p.window.shape()->stepPageWanted(k);
    });
    sheets("decoration", [](Program& p) {
        p.session.select("moon");
        p.answered();
        p.session.editPiece("Decorate", [&](Piece& moon) {
            if (!firstOf<DecorateStep>(moon.making))
                moon.insert(usualDecoration(DecorateStep::Way::Stencil, p.session.library()));
        });
        p.answered();
        const auto& making = p.session.piece()->making;
        for (size_t k = 0; k < making.size(); ++k)
            if (std::holds_alternative<DecorateStep>(making[k])) return p.window.shape()->stepPageWanted(k);
    });
    sheets("own-mold", [](Program& p) {
        p.session.select("meteorite");
        p.answered();
        p.window.shape()->recipe()->findChild<QPushButton*>("ownMold")->click();
    });
    sheets("thing", [](Program& p) {
        QImage image(900, 640, QImage::Format_RGB32);
        image.fill(QColor(244, 240, 230));
        QPainter painter(&image);
        painter.setRenderHint(QPainter::Antialiasing);
        painter.setPen(Qt::NoPen);
        painter.setBrush(QColor(96, 70, 48));
        QPainterPath pear(QPointF(90, 320));
        pear.cubicTo(90, 120, 300, 110, 400, 220);
        pear.cubicTo(450, 275, 520, 270, 540, 320);
        pear.cubicTo(520, 370, 450, 365, 400, 420);
        pear.cubicTo(300, 530, 90, 520, 90, 320);
        painter.drawPath(pear);
        painter.setBrush(QColor(120, 112, 96));
        painter.drawEllipse(QPoint(720, 330), 118, 112);
        painter.end();
        const QString path = QDir::temp().filePath(QStringLiteral("uovo-thing.png"));
        image.save(path);
        p.window.showThing(path);
        auto* page = p.window.sheet()->findChild<QWidget*>(QStringLiteral("thingPage"));
        REQUIRE(QTest::qWaitFor([&] { return page->findChild<QPushButton*>(QStringLiteral("thingUse"))->isEnabled(); },
                                kPatience));
    });
    sheets("advice", [](Program& p) { emit p.window.shape()->adviceWanted(); });
    sheets("snap", [](Program& p) { emit p.window.shape()->snapWanted(); });
    sheets("colour", [](Program& p) {
        emit p.window.melt()->colourWanted(QString::fromStdString(p.session.plan().colours.at(0).id));
    });
    sheets("outline", [](Program& p) {
        QImage image(640, 480, QImage::Format_RGB32);
        image.fill(QColor(244, 240, 230));
        QPainter painter(&image);
        painter.setBrush(QColor(60, 34, 22));
        painter.drawEllipse(QPoint(300, 180), 120, 100);
        painter.drawRect(QRect(270, 260, 60, 140));
        painter.drawEllipse(QPoint(300, 420), 90, 34);
        painter.end();
        const QString path = QDir::temp().filePath(QStringLiteral("uovo-scene.png"));
        image.save(path);
        p.window.bringFile(path);
        auto* use = p.window.sheet()->findChild<QPushButton*>("outlineUse");
        (void)QTest::qWaitFor([&] { return use->isEnabled(); }, kPatience);
    });
    all.push_back({"build-templates",
                   [press](Program& p) {
                       press(p, Qt::Key_F3);
                       p.answered();
                       auto* place = p.window.build();
                       place->findChild<QPushButton*>("buildTemplates")->click();
                       (void)QTest::qWaitFor([&] { return !place->templates()->isLaying(); }, kPatience);
                   },
                   [](Program& p) -> QWidget* { return p.window.build(); }});
    all.push_back({"build-by-hand",  // the last: it changes the plan
                   [press](Program& p) {
                       p.session.select("observatory");
                       press(p, Qt::Key_F3);
                       p.answered();
                       auto* open = p.window.build()->findChild<QPushButton*>("openCompound");
                       if (open->isVisible()) open->click();
                       p.window.build()->findChild<QPushButton*>("buildByHand")->click();
                       p.answered();
                       p.window.build()->hand()->choose("dome");
                   },
                   [](Program& p) -> QWidget* { return p.window.build(); }});
    return all;
}

/// Back to where every scene begins.
inline void leave(Program& p) {
    for (int i = 0; i < 2; ++i) {
        p.window.sheet()->hide();
        p.window.shape()->gallery()->hide();
    }
    p.window.shape()->setHolding(false);
    p.window.shape()->setAnswersOpen(false);
}
