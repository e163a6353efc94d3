// Templates: laid out in the window, written to PDF and SVG at true scale and read back.
#include <QProcess>
#include <QRegularExpression>
#include <QTemporaryDir>
#include <QTransform>
#include <QXmlStreamReader>

#include "desktop/build/build_place.h"
#include "io/sheet_svg.h"
#include "program.h"
#include "report/template_pages.h"

namespace templates_test {

namespace {

SheetPlan sheetsOf(const Plan& plan) {
    Cache cache;
    AnswerOptions options;
    options.day = false;
    options.ways = false;
    const auto all = answer(plan, io::library(), cache, options);
    REQUIRE(all);
    return sheetPlan(plan, io::library(), *all);
}

Plan one(const char* family, form::Figures values, UnitSystem units = UnitSystem::Metric) {
    Plan plan;
    plan.units = units;
    plan.pieces = {newPiece(plan, family)};
    plan.pieces[0].name = "Thing";
    plan.pieces[0].count = 1;
    for (const auto& [key, v] : values) plan.pieces[0].shape.values[key] = v;
    return plan;
}

/// Boxes in mm of everything that is stroked on a page, as poppler reads the file.
std::vector<QRectF> strokes(const QString& pdf, int page) {
    QProcess read;
    read.start("pdftocairo", {"-svg", "-f", QString::number(page), "-l", QString::number(page), pdf, "-"});
    REQUIRE(read.waitForFinished());
    QXmlStreamReader xml(read.readAllStandardOutput());
    std::vector<QRectF> out;
    static const QRegularExpression number("-?[0-9.]+(e-?[0-9]+)?");
    while (!xml.atEnd()) {
        if (xml.readNext() != QXmlStreamReader::StartElement || xml.name() != QLatin1String("path")) continue;
        const auto a = xml.attributes();
        const QString style = a.value("style").toString() + a.value("stroke").toString();
        if (!a.hasAttribute("d") || (!style.contains("stroke:rgb") && !style.contains("rgb"))) continue;
        QTransform m;
        if (const auto t = a.value("transform").toString(); t.startsWith("matrix")) {
            QList<double> v;
            for (auto it = number.globalMatch(t); it.hasNext();) v << it.next().captured().toDouble();
            REQUIRE(v.size() == 6);
            m = QTransform(v[0], v[1], v[2], v[3], v[4], v[5]);
        }
        QPolygonF points;
        QList<double> v;
        for (auto it = number.globalMatch(a.value("d").toString()); it.hasNext();) v << it.next().captured().toDouble();
        for (int i = 0; i + 1 < v.size(); i += 2) points << m.map(QPointF(v[i], v[i + 1]));
        const QRectF box = points.boundingRect();
        out.emplace_back(box.left() * 25.4 / 72, box.top() * 25.4 / 72, box.width() * 25.4 / 72,
                         box.height() * 25.4 / 72);
    }
    return out;
}

bool has(const std::vector<QRectF>& all, double w, double h) {
    return std::ranges::any_of(all, [&](const QRectF& r) {
        return (std::abs(r.width() - w) < 0.1 && std::abs(r.height() - h) < 0.1) ||
               (std::abs(r.width() - h) < 0.1 && std::abs(r.height() - w) < 0.1);
    });
}

}  // namespace

TEST_CASE("outlines on paper are true within 0.1 mm, and so is the ruler: poppler reads them back") {
    Program p;  // for its fonts
    QTemporaryDir folder;
    const QString path = folder.filePath("t.pdf");
    for (const auto units : {UnitSystem::Metric, UnitSystem::US}) {
        const auto sheets =
            sheetsOf(one("sheet", {{"length", 0.1234}, {"width", 0.0567}, {"thickness", 0.004}}, units));
        for (const bool mirrored : {false, true}) {
            const auto pages = report::writeTemplates(path, sheets, io::library(), {units, mirrored, true});
            REQUIRE(pages);
            CHECK(*pages == 2);
            const auto all = strokes(path, 2);
            CHECK(has(all, 123.4, 56.7));
            CHECK(has(all, units == UnitSystem::US ? 101.6 : 100, 0));
        }
    }
    // a cone's pattern, as wide as its arcs say
    const auto cone = sheetsOf(one("wrap-cone", {}));
    REQUIRE(cone.acetate.size() == 1);
    REQUIRE(report::writeTemplates(path, cone, io::library()));
    const auto& f = cone.acetate[0].pattern;
    if (f.angle < M_PI)
        CHECK(has(strokes(path, 1), 2e3 * f.outer * std::sin(f.angle / 2),
                  1e3 * (f.outer - f.inner * std::cos(f.angle / 2))));
}

TEST_CASE("a rim ring on paper is as wide as the rim and its band, with a number at each mark") {
    Program p;
    QTemporaryDir folder;
    const QString path = folder.filePath("t.pdf");
    Plan plan = one("cup", {{"topDiameter", 0.1}, {"height", 0.06}, {"fillLine", 0.06}});
    DecorateStep drips;
    drips.every = Measure(0.026);
    plan.pieces[0].making.push_back(drips);
    const auto sheets = sheetsOf(plan);
    REQUIRE(sheets.rings.size() == 1);
    CHECK(sheets.rings[0].times() == 12);  // π · 100 mm over 26 mm
    REQUIRE(report::writeTemplates(path, sheets, io::library()));
    CHECK(has(strokes(path, 1), 100 + 28, 100 + 28));
    QProcess read;
    read.start("pdftotext", {"-layout", path, "-"});
    REQUIRE(read.waitForFinished());
    const QString text = QString::fromUtf8(read.readAllStandardOutput());
    CHECK(text.contains("12 marks, 26 mm from one to the next"));
    CHECK(text.contains(QRegularExpression("\\b11\\b")));
}

TEST_CASE("what is larger than a page goes over several that lap over each other") {
    Program p;
    QTemporaryDir folder;
    const QString path = folder.filePath("t.pdf");
    Plan plan = one("sheet", {{"length", 0.42}, {"width", 0.3}, {"thickness", 0.005}});
    plan.kitchen.sheetWidth = Measure(0.6);
    plan.kitchen.sheetDepth = Measure(0.5);
    const auto sheets = sheetsOf(plan);
    const auto pages = report::writeTemplates(path, sheets, io::library(), {UnitSystem::Metric, false, false});
    REQUIRE(pages);
    CHECK(*pages >= 4);
    QProcess words;
    words.start("pdftotext", {"-layout", path, "-"});
    REQUIRE(words.waitForFinished());
    const QString text = QString::fromUtf8(words.readAllStandardOutput());
    CHECK(text.contains(QStringLiteral("page 1 of %1").arg(*pages)));
    CHECK(text.contains("row 2, column 1"));
    // the outline is whole on every page and cut by the paper: it lies further up and left from page to page
    const auto first = strokes(path, 1), second = strokes(path, 2);
    CHECK(has(first, 420, 300));
    CHECK(has(second, 420, 300));
}

TEST_CASE("sheets as SVG are read back true within 0.1 mm") {
    Program p;
    Plan plan = one("house", {{"length", 0.11}, {"width", 0.08}, {"wallHeight", 0.06}, {"roofHeight", 0.03}});
    const auto sheets = sheetsOf(plan);
    auto* place = p.window.build();
    QTest::keyClick(&p.window, Qt::Key_F3);
    QTemporaryDir folder;
    Q_UNUSED(place);
    const std::string text = io::sheetSvg(sheets, 0, 0, false);
    QXmlStreamReader xml(QString::fromStdString(text));
    int found = 0;
    static const QRegularExpression number("-?[0-9.]+");
    while (!xml.atEnd()) {
        if (xml.readNext() != QXmlStreamReader::StartElement || xml.name() != QLatin1String("path")) continue;
        const auto id = xml.attributes().value("id").toString();
        if (!id.startsWith("part-")) continue;
        ++found;
        const int n = id.section('-', 1, 1).toInt();
        const auto& t = sheets.templates[size_t(n) - 1];
        // side lengths in their order, whichever way it is turned
        QList<double> v;
        for (auto it = number.globalMatch(xml.attributes().value("d").toString()); it.hasNext();)
            v << it.next().captured().toDouble();
        const auto& loop = t.cut.loops.front();
        REQUIRE(v.size() == qsizetype(2 * loop.size()));
        for (size_t i = 0; i < loop.size(); ++i) {
            const size_t j = (i + 1) % loop.size();
            const double mm = std::hypot(v[qsizetype(2 * j)] - v[qsizetype(2 * i)],
                                         v[qsizetype(2 * j + 1)] - v[qsizetype(2 * i + 1)]);
            CHECK(mm == Approx(1e3 * std::hypot(loop[j][0] - loop[i][0], loop[j][1] - loop[i][1])).margin(0.1));
        }
    }
    CHECK(found == int(sheets.groups[0].layout.sheets[0].placements.size()));
    // mirrored: the same outlines the other way round
    CHECK(io::sheetSvg(sheets, 0, 0, true) != text);
}

TEST_CASE("the window lays the sheets out, by other sizes anew, and writes them") {
    Program p;
    QTest::keyClick(&p.window, Qt::Key_F3);
    p.answered();
    auto* place = p.window.build();
    place->findChild<QPushButton*>("buildTemplates")->click();
    auto* view = place->templates();
    const auto ready = [&] { return QTest::qWaitFor([&] { return view->sheets() && !view->isLaying(); }, kPatience); };
    REQUIRE(ready());
    const auto parts = [&] {
        size_t n = 0;
        for (const auto& g : view->sheets()->groups)
            for (const auto& s : g.layout.sheets) n += s.placements.size();
        return n;
    };
    CHECK(parts() == 9);  // eight walls and the ceiling
    const size_t before = view->sheets()->groups[0].layout.sheets.size();
    auto* width = view->findChild<FigureField*>("kitchen/sheetWidth");
    width->edit()->setFocus();
    width->edit()->selectAll();
    QTest::keyClicks(width->edit(), "16 cm");
    QTest::keyClick(width->edit(), Qt::Key_Return);
    p.answered();
    REQUIRE(ready());
    CHECK(parts() == 9);
    const auto& g = view->sheets()->groups[0];
    CHECK(g.layout.sheets.size() >= before);
    for (const auto& sheet : g.layout.sheets)
        for (const auto& laid : sheet.placements) {
            const auto loops = cutting::placedLoops(view->sheets()->templates[g.templates[laid.piece]].cut, laid);
            for (const auto& q : loops.front()) CHECK((q[0] > 0 && q[0] < 0.16));
        }
    // too narrow for the ceiling: said, the rest is laid out
    width->edit()->selectAll();
    QTest::keyClicks(width->edit(), "12 cm");
    QTest::keyClick(width->edit(), Qt::Key_Return);
    p.answered();
    REQUIRE(ready());
    CHECK(parts() == 8);
    QTest::qWait(20);
    bool told = false;
    for (const auto* l : view->findChildren<QLabel*>()) told = told || l->text().contains("fits on no sheet");
    CHECK(told);
    QTemporaryDir folder;
    CHECK(view->savePdf(folder.filePath("t.pdf")).isEmpty());
    CHECK(view->saveSvg(folder.filePath("s.svg")).isEmpty());
    CHECK(QFile::exists(folder.filePath("s.svg")));
    CHECK(QFile::exists(folder.filePath("s-2.svg")));
    CHECK_FALSE(view->savePdf("/nowhere/at/all.pdf").isEmpty());
    view->findChild<QCheckBox*>("templatesSpare")->setChecked(true);
    REQUIRE(ready());
    CHECK(parts() == 9);  // nine walls
}

}  // namespace templates_test
