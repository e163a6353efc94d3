// Melt in the real window: pots, tempering, shopping, what a rest is good for.
#include <QCheckBox>
#include <QClipboard>
#include <QComboBox>
#include <QFile>

#include "program.h"

namespace melt_test {

namespace {

MeltPlace* melt(Program& p) {
    QTest::keyClick(&p.window, Qt::Key_F4);
    REQUIRE(p.window.melt()->isVisible());
    return p.window.melt();
}

QString summary(MeltPlace* m) { return m->findChild<QLabel*>("temperSummary")->text(); }

int steps(MeltPlace* m) {
    QTest::qWait(30);  // a layout shows what is new in it a moment later
    int n = 0;
    for (auto* s : m->findChildren<QFrame*>("temperStep")) n += !s->isHidden();
    return n;
}

void pick(QComboBox* box, int i) {
    box->setCurrentIndex(i);
    emit box->activated(i);
}

}  // namespace

TEST_CASE("every pot of the evening is drawn, with what becomes of it, and tempered in steps") {
    Program p;
    auto* m = melt(p);
    const auto answers = p.session.answers();
    REQUIRE(m->pots().size() == answers->pots.size());
    REQUIRE(m->pots().size() >= 2);
    for (size_t i = 0; i < m->pots().size(); ++i) {
        QTest::mouseClick(m->pots()[i], Qt::LeftButton);
        CHECK(m->chosen() == i);
        CHECK(m->pots()[i]->accessibleName().contains("to melt"));
        CHECK(steps(m) >= 2);
        CHECK_FALSE(summary(m).isEmpty());
        CHECK(m->curve()->isVisible());
        CHECK(m->curve()->accessibleName().contains(QStringLiteral("°C")));
    }
}

TEST_CASE("another way to temper changes the steps at once, is kept in the plan, and taken back") {
    Program p;
    auto* m = melt(p);
    const auto before = p.session.plan();
    auto* method = m->findChild<QComboBox*>("temperMethod");
    pick(method, 1);
    p.answered();
    const std::string id = p.session.answers()->pots[m->chosen()].key.chocolate;
    REQUIRE(p.session.plan().melting.count(id));
    CHECK(p.session.plan().melting.at(id).method == temper::Method::Butter);
    bool crystals = false;
    for (auto* l : m->findChildren<QLabel*>())
        crystals =
            crystals || (l->isVisible() && l->text().contains("cocoa-butter crystals") && l->text().startsWith("Mix"));
    CHECK(crystals);
    auto* vessel = m->findChild<QComboBox*>("temperVessel");
    pick(method, 0);
    p.answered();
    const QString light = summary(m);
    pick(vessel, 2);
    p.answered();
    CHECK(summary(m) != light);  // a heavy bowl keeps its heat
    pick(m->findChild<QComboBox*>("temperLook"), 1);
    p.answered();
    CHECK(p.session.plan().melting.at(id).byLook);
    for (int i = 0; i < 4; ++i) p.session.document().undo();
    p.answered();
    CHECK(p.session.plan() == before);
}

TEST_CASE("what stands in the cupboard is taken off the list, a price makes a cost, a bad entry is said") {
    Program p;
    auto* m = melt(p);
    const std::string id = p.session.answers()->pots[0].key.chocolate;
    auto* shopping = m->shopping();
    const QString all = shopping->text();
    const auto field = [&](const char* what) {
        return QStringLiteral("pantry/%1/%2").arg(QString::fromStdString(id), QLatin1String(what));
    };
    FigureField* have = nullptr;
    for (auto* f : shopping->findChildren<FigureField*>())
        if (f->place() == field("mass")) have = f;
    REQUIRE(have);
    have->edit()->setFocus();
    have->edit()->selectAll();
    QTest::keyClicks(have->edit(), "50 kg");
    QTest::keyClick(have->edit(), Qt::Key_Return);
    p.answered();
    REQUIRE(p.session.plan().pantry.size() == 1);
    CHECK(p.session.plan().pantry[0].mass.value == Approx(50));
    CHECK(shopping->text() != all);
    CHECK(shopping->text().contains("no "));
    const auto type = [&](const QString& place, const char* words) {
        auto* f = shopping->findChild<Field*>(place);
        REQUIRE(f);
        f->edit()->setFocus();
        f->edit()->selectAll();
        QTest::keyClicks(f->edit(), words);
        QTest::keyClick(f->edit(), Qt::Key_Return);
        p.answered();
        return f;
    };
    type(field("price"), "14,50");
    CHECK(p.session.plan().pantry[0].price == Approx(14.5));
    CHECK(shopping->csv().contains(";"));
    CHECK(shopping->csv().split('\n').size() >= static_cast<int>(p.session.answers()->pots.size()));
    CHECK_FALSE(type(field("price"), "dear")->complaint()->text().isEmpty());
    CHECK(p.session.plan().pantry[0].price == Approx(14.5));  // the last that was right goes on counting
    auto* date = type(field("date"), "next year");
    CHECK(date->complaint()->text().contains("not a date"));
    CHECK(date->edit()->text() == "next year");
    CHECK(p.session.plan().pantry[0].bestBefore.empty());
    CHECK(type(QStringLiteral("guests"), "-4")->complaint()->isVisibleTo(shopping));
    CHECK(p.session.plan().guests != -4);
    type(QStringLiteral("guests"), "14");
    CHECK(p.session.plan().guests == 14);
    QTest::mouseClick(shopping->findChild<QPushButton*>("copyShopping"), Qt::LeftButton);
    CHECK(QApplication::clipboard()->text() == shopping->text());
}

TEST_CASE("the question turned round: what so much chocolate still makes") {
    Program p;
    auto* m = melt(p);
    FigureField* rest = nullptr;
    for (auto* f : m->shopping()->findChildren<FigureField*>())
        if (f->place() == "melt/rest") rest = f;
    REQUIRE(rest);
    const auto lines = [&] {
        QTest::qWait(30);
        QStringList out;
        for (auto* l : m->shopping()->findChildren<QLabel*>("fits"))
            if (!l->isHidden()) out << l->text();
        return out;
    };
    const auto typed = [&](const char* words) {
        rest->edit()->setFocus();
        rest->edit()->selectAll();
        QTest::keyClicks(rest->edit(), words);
        QTest::keyClick(rest->edit(), Qt::Key_Return);
    };
    typed("3 kg");
    const QStringList much = lines();
    REQUIRE_FALSE(much.isEmpty());
    CHECK(much.join(' ').contains("discs"));
    typed("150 g");
    CHECK(lines() != much);
    typed("0 g");
    CHECK(rest->complaint()->text().contains("more than nothing"));
}

TEST_CASE("a colour is mixed from a pot: its page, the pieces that take it, its pot and the list") {
    Program p;
    auto* m = melt(p);
    const auto before = p.session.plan();
    size_t white = 0;
    for (size_t i = 0; i < p.session.answers()->pots.size(); ++i)
        if (p.session.answers()->pots[i].key.chocolate == "white") white = i;
    QTest::mouseClick(m->pots()[white], Qt::LeftButton);
    QTest::qWait(30);
    auto* add = m->findChild<QPushButton*>("addColour");
    REQUIRE(add);
    QTest::mouseClick(add, Qt::LeftButton);
    p.answered();
    REQUIRE(p.session.plan().colours.size() == before.colours.size() + 1);
    const std::string id = p.session.plan().colours.back().id;
    auto* page = p.window.findChild<QWidget*>("colourPage");
    REQUIRE(page);
    auto* name = page->findChild<Field*>("colourName")->edit();
    name->setText("Ember");
    emit name->editingFinished();
    auto* takes = page->findChild<QCheckBox*>("colourOf/moon");
    REQUIRE(takes);
    QTest::mouseClick(takes, Qt::LeftButton, {}, QPoint(8, takes->height() / 2));
    p.answered();
    CHECK(p.session.plan().pieces[5].chocolate == id);
    size_t pot = 99;
    for (size_t i = 0; i < p.session.answers()->pots.size(); ++i)
        if (p.session.answers()->pots[i].key.chocolate == id) pot = i;
    REQUIRE(pot < m->pots().size());
    m->choose(pot);
    QTest::qWait(30);
    int lines = 0;
    for (auto* l : m->findChildren<QLabel*>("mixing")) lines += l->isVisible();
    CHECK(lines >= 3);
    bool listed = false;
    for (auto* l : m->shopping()->findChildren<QLabel*>("supply"))
        listed = listed || l->text().contains("Ember", Qt::CaseInsensitive);
    CHECK(listed);
    CHECK(m->shopping()->csv().contains("Oil colour"));
    for (auto* f : page->findChildren<FigureField*>())
        if (f->place().endsWith("strength")) {
            p.type(f, "40 %");
            CHECK(f->complaint()->text().contains("0.3 to 1 %"));
        }
    while (p.session.document().canUndo()) p.session.document().undo();
    p.answered();
    CHECK(p.session.plan() == before);
}

TEST_CASE("what the packet says is typed beside its pot, and a contradiction is said there") {
    Program p;
    auto* m = melt(p);
    const std::string id = p.session.library().find(p.session.answers()->pots[0].key.chocolate)->boughtAs();
    m->choose(0);
    const auto field = [&](const char* key) {
        for (auto* f : m->findChildren<FigureField*>())
            if (f->place() == QLatin1String(key)) return f;
        return static_cast<FigureField*>(nullptr);
    };
    const QString before = summary(m);
    p.type(field("workHigh"), "32.5");
    p.answered();
    CHECK(p.session.plan().own.at(id).values.at("workHigh") == Approx(32.5));
    CHECK(p.session.answers()->melts[0].coating.workHigh == Approx(32.5));
    p.type(field("workLow"), "40");
    const QString said = field("workLow")->complaint()->text() + field("workHigh")->complaint()->text();
    CHECK_FALSE(said.isEmpty());
    CHECK_FALSE(p.session.answers()->melts.empty());  // the pot stays as it was
    QTest::keyClick(field("workLow")->edit(), Qt::Key_Escape);
    CHECK(field("workLow")->complaint()->text().isEmpty());
    p.session.document().undo();
    p.answered();
    // the day says when each pot is wanted
    auto* sittings = m->findChild<QLabel*>("sittings");
    REQUIRE(QTest::qWaitFor([&] { return !sittings->isHidden(); }, kPatience));
    CHECK(sittings->text().contains(':'));
    CHECK(sittings->toolTip().contains("emper"));
}

TEST_CASE("the list is written as a page and as a table") {
    Program p;
    auto* m = melt(p);
    const QString page = p.folder.filePath("list.pdf"), table = p.folder.filePath("list.csv");
    m->shopping()->save(page);
    m->shopping()->save(table);
    QFile pdf(page), csv(table);
    REQUIRE(pdf.open(QIODevice::ReadOnly));
    CHECK(pdf.read(5) == "%PDF-");
    REQUIRE(csv.open(QIODevice::ReadOnly));
    CHECK(QString::fromUtf8(csv.readAll()) == m->shopping()->csv());
    CHECK(m->shopping()->text().contains("Cream"));  // the recipe of the filling, scaled
}

TEST_CASE("pictures of the pots", "[.][pictures]") {
    Program p;
    const QString folder = qEnvironmentVariable("UOVO_PICTURES", QStringLiteral(UOVO_SOURCE "/docs/screenshots"));
    auto* m = melt(p);
    QTest::qWait(400);
    REQUIRE(p.window.grab().save(folder + "/melt.png"));
    if (!qEnvironmentVariableIsSet("UOVO_ALL_PICTURES")) return;
    for (size_t i = 0; i < p.session.answers()->pots.size(); ++i)
        if (p.session.answers()->pots[i].key.chocolate == "dusk") m->choose(i);
    QTest::qWait(100);
    REQUIRE(p.window.grab().save(folder + "/melt_colour.png"));
    emit m->colourWanted("dusk");
    QTest::qWait(200);
    REQUIRE(p.window.grab().save(folder + "/colour_page.png"));
}

TEST_CASE("in a kitchen warmer than the chocolate is worked, the pots are still shown: cold water cools them") {
    Program p;
    Plan plan = p.session.plan();
    plan.kitchen.room = Measure(33);
    for (auto& piece : plan.pieces) piece.temper = material::Temper::Untempered;
    p.session.document().setPlan(plan, {});
    auto* m = melt(p);
    p.answered();
    CHECK_FALSE(p.window.grab().isNull());
    bool said = false;
    for (const auto& melted : p.session.answers()->melts)
        for (const auto& s : melted.temper.steps) said = said || s.words.find("cold water") != std::string::npos;
    CHECK(said);
    CHECK(m->isVisible());
}

}  // namespace melt_test
