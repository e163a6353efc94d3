// What those hear who do not look: names, roles, values and states through Qt's accessibility interface.
#include <QAccessible>
#include <QComboBox>
#include <QLineEdit>
#include <QListWidget>
#include <QRegularExpression>

#include "desktop/kit/painted_parts.h"
#include "desktop/melt/temper_curve.h"
#include "scenes.h"

namespace ears_test {

namespace {

QAccessibleInterface* heard(QWidget* w) { return QAccessible::queryAccessibleInterface(w); }
QString name(QWidget* w) { return heard(w)->text(QAccessible::Name); }

/// What a listener would miss in a place: controls without a name, with a name that hides their words, without a value.
QStringList missing(QWidget* place) {
    QStringList out;
    for (auto* w : place->findChildren<QWidget*>()) {
        if (!w->isVisible() || !(w->focusPolicy() & Qt::TabFocus) || w->focusProxy() || qobject_cast<QScrollArea*>(w))
            continue;
        auto* i = heard(w);
        const QString what = QString(w->metaObject()->className()) + " " + w->objectName();
        if (!i || !i->isValid()) {
            out << what + " is not known";
            continue;
        }
        if (i->text(QAccessible::Name).trimmed().isEmpty()) out << what + " has no name";
        if (auto* e = qobject_cast<QLineEdit*>(w); e && i->text(QAccessible::Value) != e->text())
            out << what + " hides its value";
        if (auto* c = qobject_cast<QComboBox*>(w); c && i->text(QAccessible::Value) != c->currentText())
            out << what + " hides its choice";
        if (i->role() == QAccessible::NoRole || i->role() == QAccessible::Client) out << what + " has no role";
        if (i->state().disabled != !w->isEnabled()) out << what + " hides its state";
    }
    return out;
}

}  // namespace

TEST_CASE("every control of every place and sheet has a name, a role, its value and its state for those who listen") {
    Program p;
    for (const auto& scene : scenes()) {
        scene.open(p);
        QTest::qWait(20);
        INFO(scene.name.toStdString());
        CHECK(missing(scene.what(p)).join('\n').toStdString() == "");
        leave(p);
    }
}

TEST_CASE("the header says its values") {
    Program p;
    auto* header = p.window.findChild<QWidget*>("header");
    REQUIRE(header);
    QStringList said;
    for (auto* b : header->findChildren<QPushButton*>())
        if (b->isVisible()) said << name(b);
    const QString all = said.join('\n');
    INFO(all.toStdString());
    CHECK(all.contains("Perseid night"));
    CHECK(all.contains("21:30"));
    CHECK(all.contains(QString::fromStdString(
        format(p.session.plan().kitchen.room.value, Dimension::Temperature, UnitSystem::Metric))));
    CHECK(all.contains("mm"));
    QTest::keyClick(&p.window, Qt::Key_M, Qt::ControlModifier);
    CHECK(name(p.window.findChild<QPushButton*>("units")).contains("oz"));
}

TEST_CASE("the stage says the piece, its wall and its handles, and which one moves") {
    Program p;
    p.session.select("crater-bowl");
    auto* stage = p.window.shape()->stage();
    auto* i = heard(stage);
    REQUIRE(i);
    const QString words = i->text(QAccessible::Name);
    INFO(words.toStdString());
    CHECK(words.startsWith("Crater bowl"));
    const auto made = p.session.pieceAnswers("crater-bowl")->made;
    CHECK(words.contains(
        QString::fromStdString(format(made->meridian->wall.rim, Dimension::Length, UnitSystem::Metric))));
    CHECK(words.contains("dip depth 62 mm, adjustable"));
    REQUIRE(i->childCount() == static_cast<int>(stage->handles().size()));
    QStringList parts;
    for (int k = 0; k < i->childCount(); ++k) {
        auto* part = i->child(k);
        REQUIRE(part);
        CHECK(part->parent() == i);
        CHECK(i->indexOfChild(part) == k);
        CHECK(part->role() == QAccessible::Slider);
        CHECK(part->rect().isValid());
        CHECK(i->childAt(part->rect().center().x(), part->rect().center().y()) != nullptr);
        parts << part->text(QAccessible::Name) + "=" + part->text(QAccessible::Value);
    }
    CHECK(parts.contains("dip depth=62 mm"));
    stage->setFocus();
    CHECK(i->child(0)->state().selected);
    QTest::keyClick(stage, Qt::Key_Right);
    CHECK_FALSE(i->child(0)->state().selected);
    CHECK(i->child(1)->state().selected);
    QTest::keyClick(stage, Qt::Key_Left);
    QTest::keyClick(stage, Qt::Key_Up);
    p.answered();
    CHECK(heard(stage)->text(QAccessible::Name).contains("dip depth 63 mm"));
}

TEST_CASE("the turning piece says its wall") {
    Program p;
    p.session.select("moon");
    const QString words = name(p.window.shape()->solid());
    INFO(words.toStdString());
    CHECK(words.startsWith("Moon to break"));
    CHECK(words.contains("mm at the thinnest"));
}

TEST_CASE("every block of the day is told with its piece, time and place") {
    Program p;
    QTest::keyClick(&p.window, Qt::Key_F5);
    QTest::qWait(40);
    auto* line = p.window.day()->board();
    auto* i = heard(line);
    REQUIRE(i);
    const auto& day = *p.session.answers()->day;
    QString all;
    for (int k = 0; k < i->childCount(); ++k) all += i->child(k)->text(QAccessible::Name) + "; ";
    for (size_t t = 0; t < day.network.tasks.size(); ++t)
        if (day.network.tasks[t].step != "burst") {
            INFO(day.network.tasks[t].title);
            CHECK(all.contains(QString::fromStdString(day.network.tasks[t].title)));
        }
    QSet<QString> places;
    bool bowl = false;
    for (int k = 0; k < i->childCount(); ++k) {
        const QString words = i->child(k)->text(QAccessible::Name), place = i->child(k)->text(QAccessible::Value);
        CHECK(words.contains(QRegularExpression("^\\d\\d:\\d\\d")));
        CHECK_FALSE(place.isEmpty());
        places << place;
        bowl = bowl || words.contains("bowl", Qt::CaseInsensitive);
    }
    CHECK(bowl);
    CHECK(places.size() >= 3);
    line->setFocus();
    const int before = line->minute();
    QTest::keyClick(line, Qt::Key_Right);
    CHECK(line->minute() == before + 1);
    CHECK(i->text(QAccessible::Description).contains(QString::fromStdString(day.clock(line->minute()).substr(11))));
}

TEST_CASE("a tile of the shelf says count, name, grams and verdict, an answer its sentence, the list its lines") {
    Program p;
    auto* tile = p.window.findChild<PieceTile*>();
    REQUIRE(tile);
    CHECK(name(tile).contains("14"));
    CHECK(name(tile).contains("Crater bowl"));
    CHECK(heard(tile)->text(QAccessible::Description).contains("thinnest"));
    CHECK(heard(tile)->state().checked);
    auto* wall = p.window.shape()->answers()->view("wall");
    CHECK(name(wall).contains(QString::fromStdString(wall->answer().sentence)));
    QTest::keyClick(&p.window, Qt::Key_F1, Qt::ControlModifier);
    auto* list = p.window.sheet()->findChild<QListWidget*>("commands");
    REQUIRE(list);
    auto* i = heard(list);
    REQUIRE(i->childCount() == list->count());
    CHECK(i->child(0)->text(QAccessible::Name).contains(list->item(0)->text()));
    CHECK(i->child(0)->state().selected);
}

TEST_CASE(
    "each point of the tempering curve is told with its degrees and its minute, the thermometer with what it reads") {
    Program p;
    QTest::keyClick(&p.window, Qt::Key_F4);
    QTest::qWait(40);
    auto* curve = p.window.findChild<TemperCurve*>();
    REQUIRE(curve);
    auto* i = heard(curve);
    REQUIRE(i);
    const int points = i->childCount();
    REQUIRE(points >= 2);
    for (int k = 0; k < points; ++k) {
        const QString value = i->child(k)->text(QAccessible::Value);
        INFO(value.toStdString());
        CHECK(i->child(k)->text(QAccessible::Name) == QStringLiteral("Point %1").arg(k + 1));
        CHECK(value.contains(QRegularExpression("^-?[0-9.]+ °C at minute \\d+$")));
        CHECK(curve->rect().intersects(curve->part(k).box));
    }
    curve->setLive({{0, 45}, {120, 33.5}});
    REQUIRE(i->childCount() == points + 1);
    CHECK(i->child(points)->text(QAccessible::Name) == "Thermometer");
    CHECK(i->child(points)->text(QAccessible::Value) == "33.5 °C at minute 2");
    QTest::keyClick(&p.window, Qt::Key_M, Qt::ControlModifier);
    p.answered();
    CHECK(i->child(0)->text(QAccessible::Value).contains("°F"));
}

}  // namespace ears_test
