// Languages: a catalogue says what is asked for in its forms, and each text of it fits the figures that are put into
// it.
#include <catch2/catch.hpp>
#include <fstream>
#include <iterator>
#include <map>
#include <regex>
#include <set>
#include <sstream>

#include "core/quantity/carried.h"
#include "core/quantity/catalogue.h"
#include "core/quantity/plural.h"
#include "core/quantity/vocabulary.h"

namespace catalogue_test {
using namespace uovo;

namespace {

struct Entry {
    std::string english, more;  // more: its plural
    std::vector<std::string> told;
};

/// The entries of a gettext file, as docs of GNU gettext describe it ("The Format of PO Files").
std::vector<Entry> entries(const std::string& path) {
    std::ifstream in(path);
    REQUIRE(in);
    std::vector<Entry> out;
    std::string* into = nullptr;
    for (std::string line; std::getline(in, line);) {
        const size_t open = line.find('"');
        if (line.empty() || line[0] == '#') {
            into = nullptr;
            continue;
        }
        if (line.starts_with("msgid_plural")) into = &out.back().more;
        else if (line.starts_with("msgid")) into = &out.emplace_back().english;
        else if (line.starts_with("msgstr")) into = &out.back().told.emplace_back();
        REQUIRE(into);
        REQUIRE(open != std::string::npos);
        *into += line.substr(open + 1, line.rfind('"') - open - 1);
    }
    std::erase_if(out, [](const Entry& e) { return e.english.empty(); });
    return out;
}

/// "{}", "{:.0f}", "%1" of a text; figures that are numbered, "{1}", as they stand in their order.
std::multiset<std::string> figures(const std::string& text) {
    static const std::regex figure(R"(\{[^{}]*\}|%[0-9n])");
    std::multiset<std::string> out;
    for (std::sregex_iterator i(text.begin(), text.end(), figure), end; i != end; ++i)
        out.insert(std::regex_replace(i->str(), std::regex(R"(^\{[0-9]+)"), "{"));
    return out;
}

std::string edges(const std::string& text) {
    return std::string(text.starts_with(' ') ? "[" : "(") + (text.ends_with(' ') ? "]" : ")");
}

}  // namespace

TEST_CASE("every text of the Dutch catalogue is there, takes the figures of the English one, and keeps its edges") {
    const auto all = entries(UOVO_SOURCE "/languages/nl.po");
    CHECK(all.size() > 3000);
    for (const auto& e : all) {
        INFO(e.english);
        CHECK(e.told.size() == (e.more.empty() ? 1U : 2U));
        for (const auto& told : e.told) {
            INFO(told);
            CHECK_FALSE(told.empty());
            if (e.english.starts_with("vocabulary")) continue;
            CHECK(figures(told) == figures(e.more.empty() ? e.english : e.more));
            CHECK(edges(told) == edges(e.english));
        }
    }
}

TEST_CASE("every text of the window is told in Dutch, with the figures and the edges of the English one") {
    std::ifstream in(UOVO_SOURCE "/languages/nl.ts");
    REQUIRE(in);
    const std::string all{std::istreambuf_iterator<char>(in), {}};
    const auto between = [](const std::string& text, const std::string& open, const std::string& close, size_t& at) {
        const size_t from = text.find(open, at);
        if (from == std::string::npos) return at = from, std::string();
        const size_t to = text.find(close, from);
        at = to + close.size();
        return text.substr(from + open.size(), to - from - open.size());
    };
    const auto places = [](const std::string& text) {  // "%1" may stand twice, and in another order
        static const std::regex place("%[0-9n]");
        std::multiset<std::string> out;
        for (std::sregex_iterator i(text.begin(), text.end(), place), end; i != end; ++i) out.insert(i->str());
        return out;
    };
    size_t many = 0;
    for (size_t at = 0; at < all.size();) {
        const std::string message = between(all, "<message", "</message>", at);
        if (at == std::string::npos) break;
        ++many;
        size_t here = 0;
        const std::string english = between(message, "<source>", "</source>", here);
        INFO(english);
        std::vector<std::string> told;
        if (message.find("<numerusform>") == std::string::npos) {
            told.push_back(between(message, "<translation>", "</translation>", here));
        } else {
            for (size_t k = here; k < message.size();)
                if (std::string form = between(message, "<numerusform>", "</numerusform>", k); k != std::string::npos)
                    told.push_back(form);
            CHECK(told.size() == 2);
        }
        for (const auto& text : told) {
            INFO(text);
            CHECK_FALSE(text.empty());
            CHECK(places(text) == places(english));
            CHECK(edges(text) == edges(english));
        }
    }
    CHECK(many > 1800);
}

TEST_CASE("a sentence is told by the catalogue, in the form for its number; what it does not know is English") {
    CHECK(say("{} of {}", 2, "three") == "2 of three");
    CHECK(sayMany("{} coat", "{} coats", 1) == "1 coat");
    CHECK(sayMany("{} coat of {}", "{} coats of {}", 3, "milk") == "3 coats of milk");
    setCatalogue(
        [](const char* english, int many) -> std::string {
            const std::string text = english;
            if (text == "{} coat") return many == 1 ? "{} laag" : "{} lagen";
            if (text == "{} of {}") return "van {1} {0}";
            if (text == "broken {}") return "kapot {:.2f}";  // does not fit a word
            if (text.starts_with("vocabulary")) return "kom = bowl; twee lepels = two spoons; het = the";
            return "";
        },
        "nl");
    CHECK(isTranslated());
    CHECK(say("{} of {}", 2, "three") == "van three 2");
    CHECK(sayMany("{} coat", "{} coats", 1) == "1 laag");
    CHECK(sayMany("{} coat", "{} coats", 3) == "3 lagen");
    CHECK(say("broken {}", "word") == "broken word");
    CHECK(std::string(tr("Never told")) == "Never told");
    CHECK(std::string(tr("")) == "");
    CHECK(inEnglish("Twee lepels, het water") == "two spoons, the water");
    CHECK(inEnglish("een kom.") == "een bowl.");

    // common Dutch plurals, by the rules of its spelling (Woordenlijst Nederlandse Taal; from memory)
    const std::map<std::string, std::string> plurals{
        {"kom", "kommen"},     {"bol", "bollen"},
        {"huis", "huizen"},    {"beker", "bekers"},
        {"lepel", "lepels"},   {"mandje", "mandjes"},
        {"kegel", "kegels"},   {"ei", "eieren"},
        {"mal", "mallen"},     {"maan", "manen"},
        {"schaal", "schalen"}, {"kop", "koppen"},
        {"vorm", "vormen"},    {"deksel", "deksels"},
        {"toren", "torens"},   {"ster", "sterren"},
        {"reep", "repen"},     {"schijf", "schijven"},
        {"hart", "harten"},    {"dipkom", "dipkommen"},
        {"bloem", "bloemen"},  {"kom over een ballon", "kommen over een ballon"}};
    for (const auto& [one, more] : plurals) CHECK(plural(one) == more);
    setCatalogue(nullptr, "en");
    CHECK(say("{} of {}", 2, "three") == "2 of three");
    CHECK(plural("bowl") == "bowls");
    CHECK(inEnglish("kom") == "kom");
}

TEST_CASE("what a process without a language says is put into words by the one that asked") {
    carryTexts();
    const std::string one = say("{} of {:.1f} mm", "“cup”", 2.25), within = say("Line {}: {}", 3, one),
                      many = sayMany("{} hole", "{} holes", 4), plain = tr("It is damaged.");
    setCatalogue(
        [](const char* english, int n) -> std::string {
            const std::string text = english;
            if (text == "{} of {:.1f} mm") return "van {1:.1f} mm de {0}";
            if (text == "Line {}: {}") return "Regel {}: {}";
            if (text == "{} hole") return n == 1 ? "{} gat" : "{} gaten";
            return "";
        },
        "nl");
    CHECK(unpacked(one) == "van 2.2 mm de “cup”");
    CHECK(unpacked(within + " " + many) == "Regel 3: van 2.2 mm de “cup” 4 gaten");
    CHECK(unpacked(plain) == "It is damaged.");  // the catalogue does not know it
    CHECK(unpacked("as it stands {}") == "as it stands {}");
    for (const std::string& broken : {std::string("\x02"), std::string("\x02-1"),
                                      std::string("\x02-1\x1f{} {} {}\x1fone\x03"), std::string(100, '\x02') + "\x1f"})
        CHECK_NOTHROW(unpacked(broken));  // of a process that a file took along
    setCatalogue(nullptr, "en");
}

}  // namespace catalogue_test
