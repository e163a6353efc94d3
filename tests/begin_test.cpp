// Where one begins: words that find shapes, sentences that become plans, more guests.
#include <catch2/catch.hpp>

#include "core/begin/first_plan.h"
#include "core/quantity/words.h"
#include "support.h"

namespace uovo::begin_test {

namespace {

constexpr long kNow = 20669L * 1440 + 8 * 60;  // Tuesday, 4 August 2026, eight in the morning

std::vector<std::string> found(const std::string& words, size_t most = 3) {
    std::vector<std::string> out;
    for (const auto& hit : form::search(words))
        if (out.size() < most) out.push_back(hit.family->id);
    return out;
}

Wanted understood(const std::string& sentence) { return wanted(sentence, kNow, io::library()); }

std::string dateOf(const Wanted& w) { return w.day ? localTime(*w.day * 1440).substr(0, 10) : ""; }

Plan planFor(const std::string& sentence) {
    const Wanted w = understood(sentence);
    REQUIRE_FALSE(w.shapes.empty());
    return firstPlan(w, w.shapes.front(), kNow, Plan(), io::library());
}

}  // namespace

// Which shape a cook means by a word: common practice, no source.
TEST_CASE("eighty words that cooks type find what they mean among the first three") {
    const std::vector<std::pair<const char*, const char*>> words{{"bowl", "balloon"},
                                                                 {"bowls", "balloon"},
                                                                 {"ice cream", "balloon"},
                                                                 {"dessert", "balloon"},
                                                                 {"cup", "cup"},
                                                                 {"cups", "cup"},
                                                                 {"mug", "cup-saucer"},
                                                                 {"drink", "cup-saucer"},
                                                                 {"coffee", "cup-saucer"},
                                                                 {"tea", "cup-saucer"},
                                                                 {"shot glass", "pressed"},
                                                                 {"goblet", "profile-mold"},
                                                                 {"vase", "profile-mold"},
                                                                 {"tub", "cup"},
                                                                 {"tart", "tart"},
                                                                 {"tartlet", "tart"},
                                                                 {"pie", "tart"},
                                                                 {"plate", "tart"},
                                                                 {"tray", "tart"},
                                                                 {"muffin", "case"},
                                                                 {"cupcake", "case"},
                                                                 {"bonbon", "case"},
                                                                 {"praline", "pressed"},
                                                                 {"truffle", "ball-solid"},
                                                                 {"egg", "egg"},
                                                                 {"eggs", "egg"},
                                                                 {"easter", "egg"},
                                                                 {"ball", "ball"},
                                                                 {"bauble", "ball"},
                                                                 {"planet", "ball"},
                                                                 {"moon", "ball"},
                                                                 {"smash", "ball"},
                                                                 {"something to smash", "ball"},
                                                                 {"piñata", "hung-ball"},
                                                                 {"pinata", "hung-ball"},
                                                                 {"break", "ball"},
                                                                 {"surprise", "egg"},
                                                                 {"heart", "halves"},
                                                                 {"star", "plaque"},
                                                                 {"flower", "sheet"},
                                                                 {"rose", "upright"},
                                                                 {"leaf", "feather"},
                                                                 {"feather", "feather"},
                                                                 {"snowflake", "lace"},
                                                                 {"lace", "lace"},
                                                                 {"lamp", "balloon-lace"},
                                                                 {"lantern", "balloon-lace"},
                                                                 {"nest", "balloon-lace"},
                                                                 {"cage", "balloon-lace"},
                                                                 {"basket", "basket"},
                                                                 {"baskets", "basket"},
                                                                 {"bucket", "wrap-frustum"},
                                                                 {"house", "house"},
                                                                 {"cottage", "house"},
                                                                 {"castle", "tower"},
                                                                 {"tower", "tower"},
                                                                 {"pyramid", "tower"},
                                                                 {"box", "sheet"},
                                                                 {"cube", "stepped"},
                                                                 {"letter", "sheet"},
                                                                 {"initials", "sheet"},
                                                                 {"name", "plaque"},
                                                                 {"medal", "plaque"},
                                                                 {"sign", "plaque"},
                                                                 {"frame", "sheet"},
                                                                 {"mushroom", "figure-lathe"},
                                                                 {"snowman", "figure-lathe"},
                                                                 {"bell", "figure-lathe"},
                                                                 {"pumpkin", "figure-lathe"},
                                                                 {"bottle", "figure-lathe"},
                                                                 {"teapot", "cup-saucer"},
                                                                 {"spoon", "spoon"},
                                                                 {"lid", "lid"},
                                                                 {"cone", "wrap-cone"},
                                                                 {"hat", "cone-solid"},
                                                                 {"tree", "wrap-cone"},
                                                                 {"wave", "wave"},
                                                                 {"spiral", "spiral"},
                                                                 {"strawberries", "dipped"},
                                                                 {"biscuit", "dipped"},
                                                                 {"cluster", "cluster"},
                                                                 {"seashell", "original"},
                                                                 {"rope", "rope"},
                                                                 {"wheel", "disc"},
                                                                 {"pedestal", "pedestal"},
                                                                 {"cloche", "pedestal"},
                                                                 {"telescope", "wrap-tube"},
                                                                 {"wedding", "pedestal"}};
    CHECK(words.size() >= 80);
    for (const auto& [word, family] : words) {
        const auto first = found(word);
        INFO(word << " finds " << (first.empty() ? "nothing" : first[0]) << (first.size() > 1 ? ", " + first[1] : ""));
        CHECK(std::ranges::find(first, family) != first.end());
        for (const auto& hit : form::search(word)) CHECK(hit.thing.empty());
    }
    CHECK(form::search("").size() == form::families().size());
    CHECK(form::search("something of my own to make").size() == form::families().size());
}

TEST_CASE("whole words count: ice is not in lattice, an accent, a plural and one wrong letter do no harm") {
    const auto ice = found("ice cream", 99);
    CHECK(std::ranges::find(ice, "lace") == ice.end());
    CHECK(found("PIÑATA") == found("pinata"));
    CHECK(found("Baskets!") == found("basket"));
    CHECK(found("leaves").front() == found("leaf").front());
    CHECK(found("baskt").front() == "basket");
    CHECK(found("mushrom").front() == "figure-lathe");
    CHECK(found("bas").front() == "basket");  // it is still being typed
    CHECK(form::contentWords("The houses, for my children's party!") == std::vector<std::string>{"house"});
}

TEST_CASE("a shape that a choice makes is chosen with it") {
    for (const char* word : {"heart", "star", "flower", "drop", "scallop"}) {
        INFO(word);
        bool any = false;
        for (const auto& hit : form::search(word)) {
            const auto shape = hit.choices.find("silhouette");
            if (shape == hit.choices.end()) continue;
            any = true;
            CHECK(shape->second == word);
            const Piece p = pieceOf(hit, Plan());
            CHECK(p.shape.choices.at("silhouette") == word);
            const auto built = form::build(p.shape);
            INFO(hit.family->id << ": " << (built ? "" : built.error().sentence));
            CHECK((built || hit.family->fromFile));
        }
        CHECK(any);
    }
}

TEST_CASE("what no family is leads to four ways, under its own name; all of them can be begun") {
    for (const char* word : {"rabbit", "rabbits", "horse", "boat", "skull", "dragon", "xylophone", "aardvark"}) {
        const auto hits = form::search(word);
        INFO(word);
        REQUIRE(hits.size() >= 4);
        CHECK(found(word, 4) == std::vector<std::string>{"sheet", "bought", "original", "mesh"});
        CHECK(hits[0].thing == (std::string(word) == "rabbits" ? "rabbit" : word));
        CHECK(hits[0].choices.at("cut") == "points");
        for (size_t k = 0; k < 4; ++k) CHECK(pieceOf(hits[k], Plan()).name == upperFirst(hits[0].thing));
    }
    // beside something that is known it comes after it, unless everybody knows that it is none
    CHECK(found("a box with a xylophone").front() == "sheet");
    CHECK(form::search("a tower with a xylophone").front().family->id == "tower");
    CHECK(form::search("horse basket").front().thing == "horse");
}

TEST_CASE("a wish is read: how many, what goes in, for when") {
    const Wanted w = understood("12 bowls that hold ice cream on Saturday at six");
    CHECK(w.count == 12);
    CHECK(w.filling == "ice-cream");
    CHECK(dateOf(w) == "2026-08-08");
    CHECK(w.clock == 18 * 60);
    CHECK(w.things == "bowls that hold ice cream");
    CHECK(w.shapes.front().family->id == "balloon");
    struct Said {
        const char* sentence;
        int count, guests;
        const char* filling;
        const char* family;
        const char* day;
        std::optional<int> clock;
    };
    for (const Said& s : std::vector<Said>{
             {"twelve bowls", 12, 0, "", "balloon", "", {}},
             {"a dozen cups for mousse, tomorrow", 12, 0, "mousse", "cup", "2026-08-05", {}},
             {"half a dozen tartlets with berries on Friday at 7:30 pm", 6, 0, "fruit", "tart", "2026-08-07",
              19 * 60 + 30},
             {"2 dozen truffles by 24 December", 24, 0, "ganache", "ball-solid", "2026-12-24", {}},
             {"a basket of almonds for a birthday on 3 March 2027", 1, 0, "nuts", "basket", "2027-03-03", {}},
             {"ice cream bowls for 14 guests tonight", 14, 14, "ice-cream", "balloon", "2026-08-04", 20 * 60},
             {"a house for 6 children, Sunday noon", 1, 6, "", "house", "2026-08-09", 12 * 60},
             {"a ball to smash", 1, 0, "sweets", "ball", "", {}},
             {"6 cups at 8", 6, 0, "", "cup", "", 20 * 60},
             {"6 cups at 11", 6, 0, "", "cup", "", 11 * 60},
             {"20 lidded tubs", 20, 0, "", "cup", "", {}},
             {"8x cups to drink coffee from 2026-08-20", 8, 0, "drink", "cup-saucer", "2026-08-20", {}},
             {"something nice", 0, 0, "", "balloon", "", {}}}) {
        const Wanted w2 = understood(s.sentence);
        INFO(s.sentence << " → " << w2.things << " " << (w2.shapes.empty() ? "" : w2.shapes.front().family->id));
        CHECK(w2.count == s.count);
        CHECK(w2.guests == s.guests);
        CHECK(w2.filling == s.filling);
        CHECK(dateOf(w2) == s.day);
        CHECK(w2.clock == s.clock);
        REQUIRE_FALSE(w2.shapes.empty());
        CHECK(w2.shapes.front().family->id == s.family);
    }
    CHECK(understood("20 lidded tubs").lidded);
    CHECK_FALSE(understood("6 lids").lidded);
    CHECK(understood("a ball to smash").breaks);
    // today's weekday is today; with “next” a week later
    CHECK(dateOf(understood("bowls Tuesday")) == "2026-08-04");
    CHECK(dateOf(understood("bowls next Tuesday")) == "2026-08-11");
    CHECK(dateOf(understood("bowls 3 August")) == "2027-08-03");  // this year's is over
}

TEST_CASE("no words break the reading of a wish") {
    const char letters[] = "abc 0123456789:.,-xéñ'am pm dozen for at of\n";
    unsigned seed = 7;
    for (int n = 0; n < 3000; ++n) {
        std::string s;
        for (int k = 0; k < n % 40; ++k) {
            seed = seed * 1664525u + 1013904223u;
            s += letters[(seed >> 16) % (sizeof letters - 1)];
        }
        const Wanted w = understood(s);
        CHECK(w.count >= 0);
        CHECK(w.count <= 24000);
        CHECK((!w.clock || (*w.clock >= 0 && *w.clock < 1440)));
        CHECK_FALSE(w.shapes.empty());
    }
}

TEST_CASE("from a wish to a plan that is in order and has a time to begin") {
    for (const char* sentence :
         {"12 bowls that hold ice cream on Saturday", "8 cups to drink coffee from", "a basket for almonds",
          "a house with a gable roof", "a ball to smash, sweets in it", "20 lidded tubs for mousse",
          "6 spoons to stir into milk", "24 dipped strawberries", "cups with whipped cream for 14 guests on Sunday"}) {
        const Plan plan = planFor(sentence);
        INFO(sentence << " is called " << plan.name);
        CHECK(problems(plan, io::library()).empty());
        CHECK(plan.name.size() > 3);
        CHECK(readPlan(writePlan(plan)).value() == plan);
        const Answers a = test::answersOf(plan);
        REQUIRE(a.day);
        CHECK(a.day->problem.empty());
        CHECK(a.day->layout.begins > a.day->minuteOf(kNow));
        for (const auto& p : plan.pieces) CHECK(orderBreaks(p, plan, io::library()).empty());
    }
    const Plan bowls = planFor("12 bowls that hold ice cream on Saturday");
    CHECK(bowls.name == "12 bowls that hold ice cream");
    CHECK(bowls.deadline == "2026-08-08T18:00");
    REQUIRE(bowls.pieces.size() == 1);
    CHECK(bowls.pieces[0].count == 12);
    REQUIRE(bowls.fillings.size() == 1);
    CHECK(bowls.fillings[0].name == "Ice cream");
    CHECK(bowls.fillings[0].density == 600);
    // it is filled at the table: put away empty, no task of the day, and its load is counted all the same
    REQUIRE(bowls.pieces[0].fill());
    CHECK(bowls.pieces[0].fill()->served);
    CHECK(std::holds_alternative<FillStep>(bowls.pieces[0].making.back()));
    const Answers told = test::answersOf(bowls);
    for (const auto& t : told.day->network.tasks) CHECK_FALSE((t.step.starts_with("fill") || t.step == "make-filling"));
    CHECK(told.pieces[0]->fillEach == Approx(150e-6));  // a portion, not the whole bowl
    // mousse is filled in the kitchen
    const Plan tubs2 = planFor("6 tubs for mousse");
    CHECK_FALSE(tubs2.pieces[0].fill()->served);
    CHECK(tubs2.pieces[0].fill()->share == Measure(0.8));  // a tub holds less than a portion
    const Answers kitchen = test::answersOf(tubs2);
    CHECK(std::ranges::any_of(kitchen.day->network.tasks, [](const auto& t) { return t.step == "fill"; }));
    const Plan tubs = planFor("20 lidded tubs for mousse");
    REQUIRE(tubs.pieces.size() == 2);
    CHECK(tubs.pieces[1].shape.family == "lid");
    CHECK(tubs.pieces[1].count == 20);
    CHECK(tubs.pieces[1].shape.values.at("diameter") == tubs.pieces[0].shape.values.at("topDiameter"));
    const auto tub = test::answersOf(tubs, test::withoutDay()).pieces[0]->made;
    CHECK(tub->meridian->wall.thickest < 0.006);  // turned over it drains: no floor of a centimetre
    // today at an hour that has passed is tomorrow
    CHECK(planFor("bowls today at 7 am").deadline == "2026-08-05T07:00");
}

TEST_CASE("a filling weighs what it is: ice cream loads a bowl less than custard") {
    const auto loaded = [](const char* kind) {
        Plan plan = planFor("4 bowls");
        fillWithUsual(plan, plan.pieces[0].id, kind, io::library());
        AnswerOptions o;
        o.day = o.together = false;
        const Answers a = test::answersOf(plan, o);
        REQUIRE(a.pieces[0]->strength);
        for (const auto& c : a.pieces[0]->strength->cases)
            if (c.id == "stands") return c.margin;
        return 0.0;
    };
    const double airy = loaded("ice-cream"), dense = loaded("custard");
    CHECK(airy > 0);
    CHECK(dense > 0);
    CHECK(airy > dense);
    for (const auto& k : io::library().fillings) {
        INFO(k.id);
        CHECK(k.density.low <= k.density.value);
        CHECK(k.density.value <= k.density.high);
        CHECK(k.usableFrom <= k.usableTo);
        CHECK_FALSE(k.density.source.empty());
        for (const auto& w : k.words) CHECK(w == lowered(w));
    }
}

TEST_CASE("twenty guests instead of fourteen: what is for each follows, what is one for the table stays") {
    Plan plan = planFor("ice cream bowls for 14 guests");
    Piece house = newPiece(plan, "house");
    house.count = 1;
    Piece tray = newPiece(plan, "tart");
    tray.count = 7;  // one for two
    plan.pieces.push_back(house);
    plan.pieces.push_back(tray);
    forGuests(plan, 20);
    CHECK(plan.guests == 20);
    CHECK(plan.pieces[0].count == 20);
    CHECK(plan.pieces[1].count == 1);
    CHECK(plan.pieces[2].count == 10);
    forGuests(plan, 14);
    CHECK(plan.pieces[0].count == 14);
    CHECK(plan.pieces[2].count == 7);
    Plan fresh = planFor("4 bowls");
    forGuests(fresh, 9);  // nothing was said before
    CHECK(fresh.pieces[0].count == 4);
}

TEST_CASE("several kinds in one sentence: each with its number, the filling goes into the first") {
    struct Said {
        const char* sentence;
        int count;
        const char* first;
        std::vector<std::pair<int, const char*>> others;
    };
    for (const auto& [sentence, count, first, others] :
         {Said{"12 bowls and 6 cones for Saturday", 12, "balloon", {{6, "wrap-cone"}}},
          Said{"twelve bowls that hold ice cream, six spoons and a basket on Sunday at six",
               12,
               "balloon",
               {{6, nullptr}, {1, "basket"}}},
          Said{"8 cups plus 8 hearts tomorrow", 8, "cup", {{8, nullptr}}},
          Said{"12 bowls for Saturday", 12, "balloon", {}}, Said{"20 tubs and 20 lids on Friday", 20, nullptr, {}},
          Said{"12 bowls and good company on Saturday", 12, "balloon", {}},
          Said{"bowls for 12 people and 2 hours of work", 0, "balloon", {}}}) {
        INFO(sentence);
        const Wanted w = wanted(sentence, kNow, io::library());
        if (count > 0) CHECK(w.count == count);
        REQUIRE(!w.shapes.empty());
        if (first) CHECK(w.shapes.front().family->id == first);
        REQUIRE(w.others.size() == others.size());
        for (size_t k = 0; k < others.size(); ++k) {
            CHECK(w.others[k].count == others[k].first);
            if (others[k].second) CHECK(w.others[k].shape.family->id == others[k].second);
        }
        const Plan plan = firstPlan(w, w.shapes.front(), kNow, Plan(), io::library());
        REQUIRE(plan.pieces.size() == 1 + others.size() + (w.lidded ? 1 : 0));
        for (size_t a = 0; a < plan.pieces.size(); ++a)
            for (size_t b = a + 1; b < plan.pieces.size(); ++b) CHECK(plan.pieces[a].id != plan.pieces[b].id);
        CHECK(problems(plan, io::library()).empty());
    }
    const Wanted w = wanted("12 bowls and 6 cones that hold ice cream for Saturday", kNow, io::library());
    CHECK(w.filling == "ice-cream");
    const Plan plan = firstPlan(w, w.shapes.front(), kNow, Plan(), io::library());
    CHECK(plan.name == "12 bowls that hold ice cream and 6 cones");
    CHECK(firstOf<FillStep>(plan.pieces[0].making));
}

}  // namespace uovo::begin_test
