// Other languages: nothing that people read or hear is left in English, and a kitchen's wish works in its own words.
// Each needs a process of its own, for a language is chosen once (tests/CMakeLists.txt: UOVO_SPEAK).
#include <QAction>
#include <QComboBox>
#include <QLineEdit>
#include <QListWidget>
#include <QProcess>
#include <QRegularExpression>
#include <QSettings>

#include "core/quantity/catalogue.h"
#include "core/quantity/vocabulary.h"
#include "desktop/kit/painted_parts.h"
#include "report/bench_card.h"
#include "report/day_sheet.h"
#include "report/language.h"
#include "report/shopping_list.h"
#include "report/template_pages.h"
#include "scenes.h"
#include "spoken.h"

namespace language_test {
namespace {

/// Words of the demo that its cook wrote, of units, keys and kinds of files: they are the same in every language.
const QSet<QString>& ownWords() {
    static const QSet<QString> words = [] {
        QSet<QString> out;
        const auto add = [&](const QString& text) {
            for (const auto& w : text.split(QRegularExpression("[^A-Za-z]+"), Qt::SkipEmptyParts)) out << w.toLower();
        };
        add("Uovo Ctrl Shift Alt Delete Return Escape Esc Backspace Insert Space Home End PgUp PgDown Enter Tab");
        add("min kg ml mm cm MPa lb oz tbsp tsp cup cups STL OBJ PLY SVG PNG PDF CSV ICS JSON Casson docs models data "
            "json");
        add("Monday Tuesday Wednesday Thursday Friday Saturday Sunday January February March April May June July "
            "August "
            "September October November December Mon Tue Wed Thu Fri Sat Sun Jan Feb Mar Apr Jun Jul Aug Sep Oct Nov "
            "Dec");
        add("Nederlands English mol");
        return out;
    }();
    return words;
}

/// English words in what is shown; marked words have other letters.
QStringList english(const QString& shown) {
    QString text = shown;
    text.remove(QRegularExpression("</?[a-z][^>]*>"));
    QStringList out;
    auto words = QRegularExpression("[A-Za-z]{3,}").globalMatch(text);
    while (words.hasNext()) {
        const QString w = words.next().captured();
        if (!ownWords().contains(w.toLower())) out << w;
    }
    return out;
}

/// All that a place shows and tells.
QStringList shown(QWidget* place) {
    QStringList out;
    auto widgets = place->findChildren<QWidget*>();
    widgets << place;
    for (auto* w : widgets) {
        if (!w->isVisible()) continue;
        out << w->toolTip() << w->accessibleName() << w->accessibleDescription();
        if (const auto* l = qobject_cast<QLabel*>(w)) out << l->text();
        if (const auto* b = qobject_cast<QAbstractButton*>(w)) out << b->text();
        if (const auto* e = qobject_cast<QLineEdit*>(w)) out << e->placeholderText() << e->text();
        if (const auto* c = qobject_cast<QComboBox*>(w))
            for (int i = 0; i < c->count(); ++i) out << c->itemText(i);
        if (const auto* l = qobject_cast<QListWidget*>(w))
            for (int i = 0; i < l->count(); ++i) out << l->item(i)->text();
        if (const auto* painted = dynamic_cast<PaintedParts*>(w))
            for (int i = 0; i < painted->partCount(); ++i) out << painted->part(i).name << painted->part(i).value;
    }
    return out;
}

QString q(const std::string& s) { return QString::fromStdString(s); }

/// What every answer says, with its working.
QStringList told(const Answers& all) {
    QStringList out;
    const auto add = [&](const Answer& a) {
        out << q(a.headline) << q(a.after) << q(a.sentence) << q(a.working.title) << q(a.working.formula)
            << q(a.working.trust) << q(a.working.result);
        for (const auto& in : a.working.inputs) out << q(in.name) << q(in.range) << q(in.source);
        for (const auto& w : a.ways) out << q(w.title);
    };
    for (const auto& p : all.pieces) {
        for (const auto& a : p->answers) add(a);
    }
    for (const auto& a : all.evening) add(a);
    return out;
}

/// The lines of a printed page, as poppler's pdftotext reads them.
QStringList printed(const QString& pdf) {
    QProcess reader;
    reader.start(QStringLiteral("pdftotext"), {QStringLiteral("-layout"), pdf, QStringLiteral("-")});
    REQUIRE(reader.waitForFinished(kPatience));
    REQUIRE(reader.exitCode() == 0);
    return QString::fromUtf8(reader.readAllStandardOutput()).split('\n', Qt::SkipEmptyParts);
}

}  // namespace

TEST_CASE("nothing that is shown or heard stays in English: every place, sheet, answer, and the card", "[.][marked]") {
    REQUIRE(isTranslated());
    Program p;
    QStringList left;
    const auto look = [&](const QString& where, const QStringList& texts) {
        for (const auto& text : texts)
            if (const auto words = english(text); !words.isEmpty())
                left << where + ": “" + text.left(160) + "”  (" + words.join(' ') + ")";
    };
    look("answers", told(*p.session.answers()));
    look("card", report::benchCardText(p.session.plan(), *p.session.answers()).split('\n'));
    const auto pdf = [&](const char* name) { return p.folder.filePath(QString::fromLatin1(name)); };
    const auto& lib = p.session.library();
    REQUIRE(report::writeBenchCard(pdf("card.pdf"), p.session.plan(), lib, *p.session.answers()));
    REQUIRE(report::writeShoppingList(pdf("list.pdf"), p.session.plan(),
                                      shopping(p.session.plan(), lib, *p.session.answers(), "2026-08-04")));
    REQUIRE(report::writeTemplates(pdf("templates.pdf"), sheetPlan(p.session.plan(), lib, *p.session.answers(), {0}),
                                   lib, {}));
    REQUIRE(report::writeDaySheet(pdf("day.pdf"), p.session.plan(), lib, *p.session.answers(), {}));
    for (const char* page : {"card.pdf", "list.pdf", "templates.pdf", "day.pdf"}) {
        const auto lines = printed(pdf(page));
        CHECK(lines.size() > 10);
        look(page, lines);
    }
    for (const auto* a : p.window.actions()) look("menu", {a->text()});
    for (const auto& scene : scenes()) {
        scene.open(p);
        QTest::qWait(20);
        if (scene.name == "door-wish") p.window.door()->sentence()->clear();  // typed in English
        if (auto* what = scene.what(p)) look(scene.name, shown(what));
        leave(p);
    }
    left.removeDuplicates();
    CHECK(left.join('\n').toStdString() == "");
}

TEST_CASE("a wish in Dutch is planned, made and kept; what it is stays the same in every language", "[.][dutch]") {
    REQUIRE(report::spokenLanguage() == "nl");
    const auto& lib = io::library();
    const auto wish = wanted("twaalf kommen waar ijs in kan, zaterdag om zes uur", kNow, lib);
    CHECK(wish.count == 12);
    CHECK(wish.filling == "ice-cream");
    CHECK(wish.clock == 18 * 60);
    REQUIRE(wish.day.has_value());
    CHECK((*wish.day + 4) % 7 == 6);  // day 0 was a Thursday
    REQUIRE_FALSE(wish.shapes.empty());
    CHECK(wish.shapes.front().family->id == "balloon");
    CHECK(wish.shapes.front().family->name == "Kom over een ballon");
    const auto lidded = wanted("20 bakjes met deksel voor mousse", kNow, lib);
    CHECK(lidded.count == 20);
    CHECK(lidded.lidded);
    CHECK(lidded.filling == "mousse");
    CHECK(wanted("een bal om stuk te slaan, met snoep erin", kNow, lib).breaks);
    // what a cook types in the gallery, and what it leads with
    for (const auto& [typed, leads] :
         std::initializer_list<std::pair<const char*, const char*>>{{"mandje", "basket"},
                                                                    {"huis", "house"},
                                                                    {"kegel", "wrap-cone"},
                                                                    {"lepels", "spoon"},
                                                                    {"paasei", "egg"},
                                                                    {"ijs", "balloon"},
                                                                    {"aardbeien", "dipped"},
                                                                    {"toren", "tower"}}) {
        const auto hits = form::search(typed);
        INFO(typed);
        REQUIRE_FALSE(hits.empty());
        CHECK(hits.front().family->id == leads);
    }
    const auto horse = form::search("een paard");
    REQUIRE_FALSE(horse.empty());
    CHECK(horse.front().thing == "paard");

    Program p;
    p.session.document().setPlan(firstPlan(wish, wish.shapes.front(), kNow, p.session.plan(), lib), {});
    p.answered();
    const auto card = report::benchCardText(p.session.plan(), *p.session.answers());
    INFO(card.toStdString());
    CHECK(card.contains("Dompelen"));
    CHECK(report::spokenLocale().dayName(6) == "zaterdag");
    CHECK(card.contains("pakken van"));  // more than one
    CHECK_FALSE(card.contains("Dip"));
    // read by a program that speaks English it is the same plan: languages are not in files, but for names
    const std::string file = writePlan(p.session.plan());
    const auto again = readPlan(file);
    REQUIRE(again);
    CHECK(*again == p.session.plan());
    CHECK_FALSE(q(file).contains("puur", Qt::CaseInsensitive));
}

TEST_CASE("figures and places are typed in Dutch words", "[.][dutch]") {
    Program p;
    const auto typed = [&](const char* words, Dimension d) {
        const auto m = parseMeasure(words, p.session.typing(d, "", nullptr));
        INFO(words << ": " << (m ? std::string() : m.error().sentence));
        REQUIRE(m);
        CHECK(m->typed == words);
        return m->value;
    };
    CHECK(typed("tot dertig tellen", Dimension::Duration) == Approx(30));
    CHECK(typed("2 eetlepels", Dimension::Volume) == Approx(2 * 15e-6).epsilon(0.02));
    CHECK(typed("twee lepels", Dimension::Mass) > 0);
    CHECK(typed("1 uur 30", Dimension::Duration) == Approx(5400));
    CHECK(typed("120 gram", Dimension::Mass) == Approx(0.12));
    CHECK(inEnglish("op de rand, herhaal 8 rondom") == "on the rim, repeat 8 round it");
    const auto wrong = parseMeasure("veel", p.session.typing(Dimension::Mass, "", nullptr));
    REQUIRE_FALSE(wrong);
    CHECK(q(wrong.error().sentence).startsWith("Begin met een getal"));
}

TEST_CASE("the window asks for nothing that the language does not know: every place and sheet", "[.][dutch]") {
    {
        Program p;
        for (const auto& scene : scenes()) {
            scene.open(p);
            QTest::qWait(20);
            leave(p);
        }
    }
    CHECK(QStringList(notTold().begin(), notTold().end()).join('\n').toStdString() == "");
}

TEST_CASE("the language is chosen in the menu, and told from the next start", "[.][dutch]") {
    Program p;
    QAction* english = nullptr;
    for (auto* a : p.window.findChildren<QAction*>())
        if (a->text() == "English") english = a;
    REQUIRE(english);
    english->trigger();
    CHECK(QSettings().value(QLatin1String(report::kLanguageKey)).toString() == "en");
    CHECK(p.window.saying().contains("English"));
    QSettings().remove(QLatin1String(report::kLanguageKey));
}

}  // namespace language_test
