// Outlines in the window: traced from a picture, of letters, for a piece and for a part.
#include <QSlider>
#include <QTemporaryDir>

#include "desktop/build/build_place.h"
#include "desktop/shape/letters.h"
#include "desktop/shape/outline_page.h"
#include "desktop/shell/sheet.h"
#include "program.h"

namespace outline_test {

namespace {

QString heart(const QTemporaryDir& folder, const char* name = "heart.png", QSize size = {600, 500}) {
    QImage image(size, QImage::Format_RGB32);
    image.fill(Qt::white);
    QPainter p(&image);
    p.setRenderHint(QPainter::Antialiasing);
    p.setBrush(QColor(60, 30, 20));
    p.setPen(Qt::NoPen);
    QPolygonF shape;
    for (const auto& q : form::silhouette("heart", 0.8, 0.7, 360))
        shape << QPointF(size.width() * (0.5 + 0.5 * q[0]), size.height() * (0.5 - 0.5 * q[1]));
    p.drawPolygon(shape);
    p.end();
    const QString path = folder.filePath(name);
    REQUIRE(image.save(path));
    return path;
}

bool traced(QWidget* page) {
    auto* use = page->findChild<QPushButton*>("outlineUse");
    return QTest::qWaitFor([&] { return use->isEnabled(); }, kPatience);
}

QString said(QWidget* page) { return page->findChild<QLabel*>("outlineSaid")->text(); }

void type(QWidget* page, const char* field, const QString& words) {
    auto* f = page->findChild<Field*>(field);
    REQUIRE(f);
    f->edit()->setFocus();
    f->edit()->selectAll();
    QTest::keyClicks(f->edit(), words);
    QTest::keyClick(f->edit(), Qt::Key_Return);
}

}  // namespace

TEST_CASE("a dropped picture is traced and becomes a piece as large as it is said to be") {
    Program p;
    QTemporaryDir folder;
    const size_t before = p.session.plan().pieces.size();
    p.window.bringFile(heart(folder));
    auto* page = p.window.sheet()->findChild<QWidget*>("outlinePage");
    REQUIRE(page);
    REQUIRE(traced(page));
    type(page, "outlineLongest", "9 cm");
    CHECK_FALSE(page->findChild<QPushButton*>("outlineUse")->isEnabled());  // what is shown is still as large as before
    REQUIRE(traced(page));
    CHECK(said(page).contains("corners"));
    page->findChild<QPushButton*>("outlineUse")->click();
    p.answered();
    REQUIRE(p.session.plan().pieces.size() == before + 1);
    const auto& piece = p.session.plan().pieces.back();
    CHECK(piece.shape.choices.at("cut") == "points");
    double low = 1, high = -1;
    for (const auto& q : piece.shape.points.at(0)) low = std::min(low, q[0]), high = std::max(high, q[0]);
    CHECK(high - low == Approx(0.09).margin(3e-4));
    CHECK(p.session.problemAt("pieces/" + piece.id).isEmpty());
    // undone like all else
    QTest::keyClick(&p.window, Qt::Key_Z, Qt::ControlModifier);
    CHECK(p.session.plan().pieces.size() == before);
}

TEST_CASE("a picture without a figure, no picture and letters that fall apart are said; nothing changes") {
    Program p;
    QTemporaryDir folder;
    const auto plan = p.session.plan();
    QImage empty(300, 200, QImage::Format_RGB32);
    empty.fill(Qt::gray);
    empty.save(folder.filePath("grey.png"));
    QFile no(folder.filePath("no.jpg"));
    REQUIRE(no.open(QIODevice::WriteOnly));
    no.write("this is no picture");
    no.close();
    p.window.bringFile(folder.filePath("grey.png"));
    auto* page = p.window.sheet()->findChild<QWidget*>("outlinePage");
    REQUIRE(page);
    REQUIRE(QTest::qWaitFor([&] { return said(page).contains("one shade"); }, kPatience));
    CHECK_FALSE(page->findChild<QPushButton*>("outlineUse")->isEnabled());
    p.window.bringFile(folder.filePath("no.jpg"));
    QTest::qWait(20);
    page = p.window.sheet()->findChild<QWidget*>("outlinePage");
    CHECK(said(page).contains("is no picture"));
    // a hundred megapixels are read smaller
    QImage large(10000, 10000, QImage::Format_Grayscale8);
    large.fill(255);
    {
        QPainter q(&large);
        q.setBrush(Qt::black);
        q.drawEllipse(QPoint(5000, 5000), 3000, 2000);
    }
    REQUIRE(large.save(folder.filePath("large.png")));
    p.window.bringFile(folder.filePath("large.png"));
    QTest::qWait(20);
    page = p.window.sheet()->findChild<QWidget*>("outlinePage");
    REQUIRE(QTest::qWaitFor([&] { return !said(page).isEmpty(); }, kPatience));
    CHECK((said(page).contains("corners") || said(page).contains("smaller copy")));
    page->findChild<QCheckBox*>("outlineBar")->setChecked(false);
    type(page, "outlineLetters", "AB");
    CHECK(page->findChild<Field*>("outlineLetters")->complaint()->text().contains("do not hold together"));
    CHECK(p.session.plan() == plan);
}

TEST_CASE("a word joined by its bar is one outline, as high as its capitals and the bar") {
    Program p;  // for its fonts
    const auto word = desktop::letters("Mia", 0.05, true);
    // the dot of the i does not reach the bar
    CHECK_FALSE(word);
    const auto made = desktop::letters("BOB", 0.05, true);
    REQUIRE(made);
    double low = 1, high = -1;
    int holes = 0;
    for (const auto& l : *made) {
        holes += form::signedArea(l) < 0;
        for (const auto& q : l) low = std::min(low, q[1]), high = std::max(high, q[1]);
    }
    CHECK(holes == 5);  // two in each B, one in the O
    CHECK(high - low == Approx(0.05 * 1.16).epsilon(0.04));
    CHECK_FALSE(form::crossesItself(*made));
    CHECK(desktop::letters("Q", 0.03, false));
    CHECK_FALSE(desktop::letters("  ", 0.03, false));
    CHECK_FALSE(desktop::letters("A", 3, false));
}

TEST_CASE("a part of an assembly is cut as a letter, from its own line") {
    Program p;
    QTest::keyClick(&p.window, Qt::Key_F3);
    p.answered();
    auto* place = p.window.build();
    place->findChild<QPushButton*>("startFromParts")->click();
    p.answered();
    auto* menu = place->bar()->findChild<QPushButton*>("handAdd")->menu();
    for (auto* g : menu->actions())
        if (g->text() == "Sheets and piping") g->menu()->actions().front()->trigger();
    p.answered();
    REQUIRE(place->hand()->chosen() == "sheet");
    QTest::qWait(20);
    auto* from = place->bar()->findChild<QPushButton*>("outlineFrom");
    REQUIRE(from);
    from->click();
    auto* page = p.window.sheet()->findChild<QWidget*>("outlinePage");
    REQUIRE(page);
    type(page, "outlineLetters", "H");
    page->findChild<QPushButton*>("outlineUse")->click();
    p.answered();
    const auto* item = form::itemOf(p.session.piece()->shape, "sheet");
    REQUIRE(item);
    CHECK(item->part.choices.at("cut") == "points");
    CHECK(item->part.points.size() >= 1);
    CHECK(p.session.pieceAnswers(p.session.piece()->id)->problems.empty());
}

TEST_CASE("a narrow place is judged while it is traced: what hangs on it, and how often it bears that") {
    Program p;
    QTemporaryDir folder;
    QImage image(800, 400, QImage::Format_RGB32);  // two balls on a thread
    image.fill(Qt::white);
    QPainter paint(&image);
    paint.setBrush(QColor(50, 30, 20));
    paint.setPen(Qt::NoPen);
    paint.drawEllipse(QPointF(200, 200), 150, 150);
    paint.drawEllipse(QPointF(600, 200), 150, 150);
    paint.drawRect(QRectF(200, 192, 400, 16));
    paint.end();
    const QString path = folder.filePath("dumbbell.png");
    REQUIRE(image.save(path));
    p.window.bringFile(path);
    auto* page = p.window.sheet()->findChild<QWidget*>("outlinePage");
    REQUIRE(page);
    REQUIRE(traced(page));
    type(page, "outlineLongest", "160 mm");
    REQUIRE(QTest::qWaitFor([&] { return said(page).contains("bears"); }, kPatience));
    INFO(said(page).toStdString());
    CHECK(said(page).contains("Make it wider"));  // 34 g on a thread of 3.7 × 4 mm
    const QString large = said(page);
    type(page, "outlineLongest", "50 mm");
    REQUIRE(QTest::qWaitFor([&] { return said(page) != large && said(page).contains("bears"); }, kPatience));
    CHECK_FALSE(said(page).contains("Make it wider"));
}

}  // namespace outline_test
