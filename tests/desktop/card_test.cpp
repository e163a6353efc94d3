// The bench card of eight kinds of pieces: every step in its order, with its figures, what to look for and its caution.
#include <QProcess>
#include <QRegularExpression>
#include <QTemporaryDir>

#include "core/document/edits.h"
#include "program.h"
#include "report/bench_card.h"
#include "report/part_picture.h"

namespace card_test {

namespace {

/// The words of a plan's card, page after page.
QString card(const Plan& plan) {
    Cache cache;
    AnswerOptions options;
    options.ways = false;
    const auto answers = answer(plan, io::library(), cache, options);
    REQUIRE(answers);
    REQUIRE(answers->problems.empty());
    QTemporaryDir folder;
    const QString path = folder.filePath("card.pdf");
    REQUIRE(report::writeBenchCard(path, plan, io::library(), *answers));
    QProcess words;
    words.start("pdftotext", {"-layout", path, "-"});
    REQUIRE(words.waitForFinished());
    return QString::fromUtf8(words.readAllStandardOutput()).simplified();
}

Plan one(const char* family, int count = 4) {
    Plan plan;
    plan.deadline = "2027-03-06T18:00";
    plan.pieces = {newPiece(plan, family)};
    plan.pieces[0].name = "Thing";
    plan.pieces[0].count = count;
    return plan;
}

/// Whether these words stand in a text one after the other.
bool inOrder(const QString& text, const QStringList& words) {
    qsizetype at = 0;
    for (const auto& w : words) {
        at = text.indexOf(w, at);
        if (at < 0) return false;
        at += w.size();
    }
    return true;
}

void fill(Plan& plan, const char* name) {
    Filling f;
    f.name = name;
    f.makes = Measure(500e-6);
    Ingredient cream;
    cream.name = "Cream";
    cream.by = Ingredient::By::Volume;
    cream.amount = Measure(400e-6);
    cream.allergens = "milk";
    f.recipe = {cream};
    f.egg = true;
    plan.fillWith(plan.pieces[0], plan.keep(f)).each = Measure(50e-6);
}

}  // namespace

TEST_CASE("a bowl's card: coats, air, trim, filling with its recipe for all, allergens and cautions at their step") {
    Plan plan = one("balloon", 5);
    fill(plan, "Custard");
    const QString text = card(plan);
    CHECK(inOrder(text, {"The pots",
                         "Thing",
                         "1 ",
                         "Blow up the balloons",
                         "round, by the tape",
                         "2 ",
                         "Dip",
                         "bursts a balloon",
                         "3 ",
                         "Dip",
                         "4 ",
                         "Let the air out",
                         "Latex",
                         "5 ",
                         "Trim the rim",
                         "6 ",
                         "Fill it: Custard",
                         "50 ml",
                         "Cream",
                         "200 ml",
                         "contains milk",
                         "Perishable",
                         "Raw egg",
                         "The day",
                         "To buy:",
                         "Allergens:"}));
}

TEST_CASE(
    "a cast in two tones with a stick: both pours with their grams, when the next goes on, when the stick stands") {
    Plan plan = one("bar");
    auto& p = plan.pieces[0];
    p.shape.values["height"] = p.shape.values["thickness"] = Measure(0.03);
    p.cast().share = Measure(2);
    CastStep white;
    white.chocolate = "white";
    p.making.insert(p.making.begin() + 1, white);
    p.insert(InsertStep{});
    const QString text = card(plan);
    CHECK(
        inOrder(text, {"Cast it", "of dark couverture in each", "no longer runs", "Cast it",
                       "of white couverture in each", "Stand in it: stick", "It stands by itself after", "Unmold it"}));
}

TEST_CASE("two halves are filled, then closed by their seam, and wait until it bears") {
    Plan plan = one("halves");
    fill(plan, "Sweets");
    const QString text = card(plan);
    CHECK(inOrder(text, {"Cast it", "Unmold it", "Fill it: Sweets", "Put it together", "of glue", "Seam of the halves",
                         "Box it"}));
}

TEST_CASE("strips, sheets, baskets, pressed shells and wraps have words of their own on the card") {
    CHECK(inOrder(card(one("balloon-lace")),
                  {"oiled balloon while they still bend", "bursts a balloon", "Let the air out", "Latex"}));
    CHECK(inOrder(card(one("sheet")), {"Spread or pipe it", "cut when it is tacky", "Lift it off"}));
    CHECK(
        inOrder(card(one("basket", 1)), {"Basket", "Handle", "Cast it", "Put it together", "Both feet of the handle"}));
    Plan pressed = one("pressed");
    fill(pressed, "Mousse");
    pressed.pieces[0].having<LidStep>();
    CHECK(inOrder(card(pressed), {"Cast it", "press the insert straight down", "Unmold it", "Lift the insert out",
                                  "Fill it: Mousse", "Pour a lid", "before you move it"}));
    const QString fruit = card(one("dipped"));
    CHECK(inOrder(fruit, {"Strawberry", "18 g", "Dry to the last drop", "Dip", "stand it on paper", "Box it"}));
    CHECK_FALSE(fruit.contains("Unmold"));
    CHECK_FALSE(fruit.contains("Trim the rim"));
    const QString heap = card(one("cluster"));
    CHECK(inOrder(heap, {"Almonds", "Contains almonds", "Stir and spoon it", "lifts off the paper cleanly", "Box it"}));
    CHECK_FALSE(heap.contains("clear mold"));
    Plan nested = one("case");
    nested.pieces[0].coatWith(usualCoats(nested.pieces[0], nested, io::library()));
    nested.pieces[0].shape.values["nested"] = Measure(2);
    CHECK(inOrder(card(nested), {"Set out the paper cases", "Nest 2 paper cases in each other"}));
    Plan cone = one("wrap-cone");
    cone.pieces[0].coatWith(usualCoats(cone.pieces[0], cone, io::library()));
    CHECK(
        inOrder(card(cone), {"Cut and roll the acetate", "Fill and pour out", "Peel the acetate off", "flat pattern"}));
}

TEST_CASE("what is strewn, glued, drizzled, dusted and served stands on the card with its grams") {
    Plan plan = one("cup");
    plan.toppings = {{"nuts", "Hazelnuts", Measure(0.008), 700, "nuts", 12, {}}};
    TopStep top;
    top.topping = "nuts";
    top.when = TopStep::When::Glued;
    plan.pieces[0].insert(top);
    DecorateStep drizzle;
    drizzle.chocolate = "white";
    plan.pieces[0].insert(drizzle);
    ServeStep flame;
    flame.how = ServeStep::How::Flame;
    plan.pieces[0].insert(flame);
    const QString text = card(plan);
    CHECK(inOrder(text,
                  {"Snip the cups", "Glue hazelnuts on", "each with a dot of chocolate", "Contains nuts", "Drizzle it",
                   "white couverture", "Box it", "Light it", "never leave it", "Hazelnuts", "Allergens:"}));
}

TEST_CASE("the card of an opened compound says when each of its parts lets go, and which step is for which") {
    Plan plan = one("basket");
    Piece& p = plan.pieces[0];
    p.coatWith(usualCoats(p, plan, io::library()));
    REQUIRE(open(p, {}));
    Cache cache;
    AnswerOptions quick;
    quick.day = quick.strength = quick.ways = false;
    const auto before = answer(plan, io::library(), cache, quick);
    setChocolateOf(p, "handle", "white", before->pieces[0]->made->assembly, plan, io::library());
    const QString text = card(plan);
    CHECK(inOrder(text, {"White couverture", "Fill and pour out", "Cast its handle", "what is coated lets go, after",
                         "Both feet of the handle on the rim"}));
    CHECK_FALSE(text.contains("cases in each other"));
}

TEST_CASE("the card tells how each kind comes about: shells are tipped out, solids filled, sheets lifted off") {
    CHECK(inOrder(card(one("tart")),
                  {"Cast it", "turn them until every side is covered", "tip the rest out", "Unmold it"}));
    CHECK(inOrder(card(one("wrap-cone")), {"Roll the acetate", "tip the rest out", "Peel the acetate off"}));
    const QString bar = card(one("bar"));
    CHECK(inOrder(bar, {"Fill the polished, dry molds", "Unmold it"}));
    CHECK_FALSE(bar.contains("tip the rest out"));
    const QString house = card(one("house", 1));
    CHECK(inOrder(house, {"Spread between the bars", "Lift it off"}));
    CHECK_FALSE(house.contains("in silicone"));
    CHECK(inOrder(card(one("lace")), {"Lay acetate over its drawing", "Lift it off"}));
    CHECK(inOrder(card(one("wave")), {"lay the strip into its form", "Peel the acetate off"}));
    CHECK(inOrder(card(one("balloon-lace")), {"its lines are dull", "Let the air out"}));
    CHECK_FALSE(card(one("rope")).contains("fit on the shelf"));  // it stands on the table until it keeps its shape
}

namespace {

/// A piece as its card draws it.
QImage drawn(const Plan& plan) {
    Cache cache;
    AnswerOptions options;
    options.ways = options.day = options.strength = false;
    const auto answers = answer(plan, io::library(), cache, options);
    REQUIRE(answers);
    REQUIRE(answers->problems.empty());
    QImage image(840, 420, QImage::Format_RGB32);
    image.fill(Qt::white);
    QPainter p(&image);
    p.scale(10, 10);
    report::paintPicture(p, plan.pieces[0], *answers->pieces[0], io::library(), QRectF(0, 0, 84, 42));
    p.end();
    return image;
}

/// Of two pictures of one size: pixels that the first draws on, and the share of them that the second shows lighter.
std::pair<long, double> lighter(const QImage& bare, const QImage& with) {
    long drawn = 0, light = 0;
    for (int y = 0; y < bare.height(); ++y)
        for (int x = 0; x < bare.width(); ++x) {
            const QColor a = bare.pixelColor(x, y), b = with.pixelColor(x, y);
            if (a == QColor(Qt::white)) continue;
            ++drawn;
            light += b.lightnessF() > a.lightnessF() + 0.1F && b != QColor(Qt::white);
        }
    return {drawn, drawn ? double(light) / double(drawn) : 0};
}

}  // namespace

TEST_CASE("the card draws a piece as it is decorated, in the colour of its chocolate") {
    for (const char* family : {"half-ball", "balloon", "sheet"}) {
        INFO(family);
        Plan plain = one(family);
        plain.pieces[0].chocolate = "dark";
        const QImage bare = drawn(plain);
        Plan white = plain;
        white.pieces[0].chocolate = "white";
        const auto [many, all] = lighter(bare, drawn(white));
        CHECK(many > bare.width() * bare.height() / 10);
        CHECK(all > 0.9);
        Plan lined = plain;
        DecorateStep d = usualDecoration(DecorateStep::Way::Drizzle, io::library());
        d.chocolate = "white";
        lined.pieces[0].insert(d);
        const double lines = lighter(bare, drawn(lined)).second;
        CHECK(lines > 0.01);  // light lines, and what lies between them as it was
        CHECK(lines < 0.6);
        CHECK(lighter(bare, bare).second == 0);
    }
}

}  // namespace card_test
