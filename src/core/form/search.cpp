#include "core/form/search.h"

#include <algorithm>
#include <set>
#include <sstream>

#include "core/quantity/catalogue.h"
#include "core/quantity/vocabulary.h"
#include "core/quantity/words.h"

namespace uovo::form {
namespace {

/// Letters with accents as UTF-8, and the plain ones they are typed as.
constexpr std::pair<const char*, const char*> kPlain[]{
    {"á", "a"}, {"à", "a"}, {"â", "a"},  {"ã", "a"},  {"å", "a"},  {"ä", "a"}, {"ç", "c"}, {"é", "e"},
    {"è", "e"}, {"ê", "e"}, {"ë", "e"},  {"í", "i"},  {"ì", "i"},  {"î", "i"}, {"ï", "i"}, {"ñ", "n"},
    {"ó", "o"}, {"ò", "o"}, {"ô", "o"},  {"õ", "o"},  {"ö", "o"},  {"ø", "o"}, {"ú", "u"}, {"ù", "u"},
    {"û", "u"}, {"ü", "u"}, {"ß", "ss"}, {"œ", "oe"}, {"æ", "ae"}, {"Á", "a"}, {"À", "a"}, {"Ä", "a"},
    {"É", "e"}, {"È", "e"}, {"Ñ", "n"},  {"Ö", "o"},  {"Ü", "u"}};

const std::set<std::string>& saysNothing() {
    static const std::set<std::string> words{
        "a",       "an",    "the",      "to",        "for",     "of",        "in",       "on",        "at",
        "and",     "or",    "with",     "that",      "it",      "is",        "be",       "can",       "from",
        "my",      "our",   "me",       "we",        "you",     "i",         "some",     "something", "make",
        "made",    "want",  "like",     "need",      "which",   "who",       "what",     "shall",     "will",
        "would",   "this",  "these",    "out",       "into",    "by",        "as",       "one",       "each",
        "every",   "piece", "thing",    "chocolate", "edible",  "please",    "must",     "should",    "their",
        "its",     "your",  "any",      "own",       "new",     "little",    "big",      "large",     "nice",
        "so",      "put",   "hold",     "holding",   "held",    "holds",     "guest",    "people",    "person",
        "friend",  "child", "children", "kid",       "party",   "today",     "tomorrow", "tonight",   "evening",
        "morning", "noon",  "weekend",  "monday",    "tuesday", "wednesday", "thursday", "friday",    "saturday",
        "sunday",  "next",  "until",    "am",        "pm",      "dozen",     "couple",   "few",       "set",
        "serve",   "eat",   "look",     "fill",      "filled",  "ready",     "has",      "have",      "had",
        "go",      "get",   "us",       "them",      "they",    "up",        "not"};
    return words;
}

/// One of several, as English makes them.
std::string singular(std::string w) {
    const auto ends = [&](const char* with) { return w.ends_with(with); };
    if (w.size() > 4 && ends("ies")) return w.substr(0, w.size() - 3) + "y";
    if (w.size() > 4 && ends("ves")) return w.substr(0, w.size() - 3) + "f";  // leaves, halves
    if (w.size() > 4 && (ends("shes") || ends("ches") || ends("xes") || ends("sses"))) return w.substr(0, w.size() - 2);
    if (w.size() > 3 && ends("s") && !ends("ss") && !ends("us") && !ends("is")) w.pop_back();
    return w;
}

std::vector<std::string> wordsOf(const std::string& text) {
    std::string plain = text;
    for (const auto& [from, to] : kPlain) {
        const std::string letter = from;
        for (size_t at = plain.find(letter); at != std::string::npos; at = plain.find(letter, at))
            plain.replace(at, letter.size(), to);
    }
    std::vector<std::string> out;
    std::string word;
    for (const char c : lowered(plain) + " ") {
        if (std::isalnum(static_cast<unsigned char>(c)) != 0 || c == '\'') {
            if (c != '\'') word += c;
        } else if (!word.empty()) {
            if (std::isdigit(static_cast<unsigned char>(word[0])) == 0) out.push_back(singular(word));
            word.clear();
        }
    }
    return out;
}

/// Where a cook's word leads, best first: ids of families, or "id:key=choice". Common practice, no source.
const std::map<std::string, std::vector<const char*>>& leads() {
    static const std::map<std::string, std::vector<const char*>> table{
        {"egg", {"egg", "egg-half", "halves"}},
        {"ball", {"ball", "half-ball", "hung-ball", "ball-solid"}},
        {"heart", {"halves:silhouette=heart", "upright:silhouette=heart", "plaque:silhouette=heart"}},
        {"star", {"plaque:silhouette=star", "upright:silhouette=star", "sheet:cut=silhouette,silhouette=star"}},
        {"lamp", {"balloon-lace", "tower", "wrap-tube"}},
        {"lantern", {"balloon-lace", "tower", "house"}},
        {"light", {"balloon-lace", "lace"}},
        {"candle", {"wrap-tube", "flame"}},
        {"box", {"sheet", "tower", "stepped", "pressed"}},
        {"chest", {"sheet", "stepped"}},
        {"cube", {"stepped", "bar", "sheet"}},
        {"pyramid", {"tower", "stepped", "wrap-cone"}},
        {"letter", {"sheet:cut=points", "plaque", "lace"}},
        {"initial", {"sheet:cut=points", "plaque", "lace"}},
        {"number", {"sheet:cut=points", "plaque"}},
        {"name", {"plaque", "sheet:cut=points"}},
        {"card", {"plaque", "sheet"}},
        {"flower",
         {"sheet:cut=silhouette,silhouette=flower", "upright:silhouette=flower", "plaque:silhouette=flower",
          "feather"}},
        {"rose", {"upright:silhouette=flower", "sheet:cut=silhouette,silhouette=flower", "feather", "bought"}},
        {"petal", {"feather", "flame", "sheet:cut=silhouette,silhouette=leaf"}},
        {"snowflake", {"lace", "sheet:cut=points", "sheet:cut=silhouette,silhouette=star"}},
        {"snow", {"lace", "half-ball"}},
        {"castle", {"tower", "house"}},
        {"church", {"house", "tower"}},
        {"hut", {"house"}},
        {"barn", {"house"}},
        {"gingerbread", {"house"}},
        {"tent", {"wrap-cone", "sheet:cut=triangle"}},
        {"mushroom", {"figure-lathe", "profile-mold", "pedestal"}},
        {"toadstool", {"figure-lathe", "profile-mold", "pedestal"}},
        {"snowman", {"figure-lathe", "ball"}},
        {"bottle", {"figure-lathe", "profile-mold"}},
        {"bell", {"figure-lathe", "profile-mold"}},
        {"vase", {"profile-mold", "figure-lathe", "wrap-tube"}},
        {"goblet", {"profile-mold", "cup-saucer"}},
        {"glass", {"pressed", "profile-mold", "cup"}},
        {"shot", {"pressed", "cup", "case"}},
        {"mug", {"cup-saucer", "cup"}},
        {"teacup", {"cup-saucer", "cup"}},
        {"teapot", {"cup-saucer", "profile-mold", "halves"}},
        {"coffee", {"cup-saucer", "cup", "spoon"}},
        {"drink", {"cup-saucer", "cup", "pressed"}},
        {"tray", {"tart", "disc", "sheet"}},
        {"plate", {"tart", "disc", "sheet"}},
        {"saucer", {"cup-saucer", "disc"}},
        {"tartlet", {"tart", "case"}},
        {"pie", {"tart"}},
        {"bonbon", {"case", "pressed", "half-ball", "dipped"}},
        {"praline", {"pressed", "case", "dipped", "cluster"}},
        {"truffle", {"ball-solid", "ball", "dipped"}},
        {"pinata", {"hung-ball", "halves", "ball"}},
        {"smash", {"ball", "hung-ball", "halves", "egg", "figure-lathe"}},
        {"break", {"ball", "hung-ball", "halves", "egg", "figure-lathe"}},
        {"breakable", {"ball", "hung-ball", "halves", "egg", "figure-lathe"}},
        {"crack", {"ball", "egg", "halves", "hung-ball"}},
        {"mallet", {"hung-ball", "ball", "halves"}},
        {"surprise", {"egg", "halves", "ball", "hung-ball"}},
        {"icecream", {"balloon", "cup", "wrap-cone", "half-ball"}},
        {"ice", {"balloon", "cup", "wrap-cone", "half-ball"}},
        {"gelato", {"balloon", "cup", "wrap-cone"}},
        {"sundae", {"balloon", "cup", "pedestal"}},
        {"dessert", {"balloon", "cup", "half-ball", "tart"}},
        {"mousse", {"cup", "half-ball", "case", "balloon"}},
        {"pudding", {"cup", "balloon", "fluted-dome"}},
        {"soup", {"balloon", "half-ball"}},
        {"salad", {"balloon", "tart"}},
        {"sauce", {"dip-bowl", "cup"}},
        {"crisp", {"dip-bowl", "cluster"}},
        {"bowl", {"balloon", "half-ball", "dip-bowl"}},
        {"dish", {"balloon", "tart"}},
        {"cup", {"cup", "wrap-frustum", "case", "pressed", "cup-saucer"}},
        {"tub", {"cup", "wrap-frustum"}},
        {"pot", {"wrap-frustum", "cup", "profile-mold"}},
        {"bucket", {"wrap-frustum", "basket"}},
        {"cone", {"wrap-cone", "cone-solid"}},
        {"cornet", {"wrap-cone"}},
        {"hat", {"cone-solid", "wrap-cone", "profile-mold"}},
        {"crown", {"balloon-lace", "wrap-frustum", "wave"}},
        {"tree", {"wrap-cone", "cone-solid", "upright"}},
        {"christmas", {"ball", "wrap-cone", "house", "figure-lathe"}},
        {"bauble", {"ball", "hung-ball"}},
        {"easter", {"egg", "egg-half", "halves", "basket"}},
        {"birthday", {"basket", "ball", "hung-ball", "plaque"}},
        {"wedding", {"pedestal", "balloon-lace", "plaque:silhouette=heart"}},
        {"planet", {"ball", "hung-ball"}},
        {"globe", {"ball", "hung-ball"}},
        {"sphere", {"ball", "half-ball"}},
        {"dome", {"half-ball", "fluted-dome", "pedestal", "tower"}},
        {"cloche", {"pedestal", "half-ball"}},
        {"nest", {"balloon-lace", "cluster"}},
        {"cage", {"balloon-lace", "lace"}},
        {"pumpkin", {"figure-lathe", "balloon"}},
        {"gourd", {"figure-lathe"}},
        {"chess", {"figure-lathe", "stepped", "original"}},
        {"ring", {"rope", "collar"}},
        {"wheel", {"disc"}},
        {"coin", {"disc", "plaque"}},
        {"medal", {"plaque", "disc"}},
        {"tile", {"bar", "plaque"}},
        {"brick", {"bar"}},
        {"puzzle", {"sheet:cut=points", "bar"}},
        {"frame", {"sheet:cut=frame"}},
        {"picture", {"sheet:cut=frame", "plaque"}},
        {"window", {"sheet:cut=frame", "lace"}},
        {"fence", {"lace", "sheet"}},
        {"bridge", {"arch", "sheet"}},
        {"gate", {"arch", "lace", "sheet"}},
        {"swing", {"arch", "hung-ball"}},
        {"curl", {"spiral", "wave"}},
        {"sail", {"wave", "sheet:cut=triangle"}},
        {"cutlery", {"spoon"}},
        {"strawberry", {"dipped"}},
        {"biscuit", {"dipped", "bar"}},
        {"cookie", {"dipped", "bar"}},
        {"marshmallow", {"dipped"}},
        {"lollipop", {"plaque", "disc", "dipped"}},
        {"nut", {"cluster", "original", "dipped"}},
        {"rock", {"original", "cluster", "mesh"}},
        {"stone", {"original", "mesh"}},
        {"seashell", {"original", "bought", "fluted-dome"}},
        {"pinecone", {"original", "mesh"}},
        {"acorn", {"original", "figure-lathe"}},
        {"diamond", {"stepped", "mesh", "bought"}},
        {"gem", {"stepped", "mesh", "bought"}}};
    return table;
}

/// What many people look for and no family is: it goes to its ways at once, though a family may say the word.
const std::set<std::string>& noFamily() {
    static const std::set<std::string> words{
        "rabbit", "bunny", "horse", "unicorn", "boat",     "ship",     "skull",    "cat",    "dog",       "bear",
        "owl",    "bird",  "fish",  "lion",    "elephant", "frog",     "dinosaur", "dragon", "butterfly", "bee",
        "car",    "train", "plane", "rocket",  "robot",    "guitar",   "violin",   "key",    "clock",     "shoe",
        "face",   "hand",  "angel", "fairy",   "santa",    "reindeer", "chick",    "duck",   "chicken",   "turtle",
        "mouse",  "fox",   "pig",   "cow",     "sheep",    "animal"};
    return words;
}

constexpr const char* kWays[]{"sheet:cut=points", "bought", "original", "mesh"};

Hit leadTo(const std::string& where) {
    Hit hit;
    const size_t colon = where.find(':');
    hit.family = family(where.substr(0, colon));
    if (colon == std::string::npos) return hit;
    std::string rest = where.substr(colon + 1) + ",";
    for (size_t from = 0, comma = rest.find(','); comma != std::string::npos;
         from = comma + 1, comma = rest.find(',', from)) {
        const size_t is = rest.find('=', from);
        hit.choices[rest.substr(from, is - from)] = rest.substr(is + 1, comma - is - 1);
    }
    return hit;
}

bool oneLetterOff(const std::string& a, const std::string& b) {
    if (a.size() < 5 || (a.size() > b.size() ? a.size() - b.size() : b.size() - a.size()) > 1 || a[0] != b[0])
        return false;
    size_t i = 0;
    while (i < a.size() && i < b.size() && a[i] == b[i]) ++i;
    const auto rest = [&](size_t x, size_t y) {
        return a.substr(std::min(x, a.size())) == b.substr(std::min(y, b.size()));
    };
    if (rest(i + 1, i + 1) || rest(i + 1, i) || rest(i, i + 1)) return true;
    return i + 1 < a.size() && i + 1 < b.size() && a[i] == b[i + 1] && a[i + 1] == b[i] &&
           rest(i + 2, i + 2);  // swapped
}

/// A family's own words, and which of a choice of its shape they are.
struct Known {
    const Family* family;
    std::set<std::string> name, own, beside;
    std::set<std::string> shapes;  // words of its choice of a silhouette
};

const std::vector<Known>& known() {
    static const std::vector<Known> all = [] {
        std::vector<Known> out;
        for (size_t i = 0; i < families().size(); ++i) {
            const Family& f = familiesInEnglish()[i];
            const auto words = [](const std::string& text) {
                const auto all = contentWords(text);
                return std::set<std::string>(all.begin(), all.end());
            };
            Known k{&families()[i], words(f.name), words(f.search), words(f.when + " " + f.group), {}};
            if (const Choice* c = f.gap ? nullptr : f.choice("silhouette"))
                for (const auto& name : c->options)
                    if (name != "round" && name != "square") k.shapes.insert(name);
            out.push_back(std::move(k));
        }
        return out;
    }();
    return all;
}

bool begins(const std::set<std::string>& set, const std::string& word) {
    return std::ranges::any_of(set, [&](const auto& w) { return w.starts_with(word); });
}

/// Adds what one word asks for to the scores. @returns whether anything does
bool ask(const std::string& word, bool unfinished, std::vector<Hit>& hits) {
    const auto add = [&](Hit hit, double score) {
        const auto at = std::ranges::find_if(hits, [&](const Hit& h) { return h.family == hit.family; });
        if (at == hits.end()) {
            hit.score = score;
            hits.push_back(std::move(hit));
            return;
        }
        at->score += score;
        if (!hit.choices.empty()) at->choices = hit.choices;
    };
    bool any = false;
    const auto lead = [&](const std::vector<const char*>& to, double score) {
        any = true;
        for (const char* where : to) add(leadTo(where), score), score -= 1.5;
    };
    if (const auto led = leads().find(word); led != leads().end()) lead(led->second, 12);
    for (const auto& k : known()) {
        if (k.shapes.contains(word)) {
            any = true;
            Hit hit{k.family, {{"silhouette", word}}};
            if (k.family->choice("cut")) hit.choices["cut"] = "silhouette";
            add(std::move(hit), 4);
        }
        const double score = k.name.contains(word) ? 5 : k.own.contains(word) ? 3 : k.beside.contains(word) ? 1 : 0;
        if (score > 0) any = true, add({k.family}, score);
    }
    if (any || !unfinished || word.size() < 2) return any;
    for (const auto& k : known()) {  // it is still being typed
        const double score = begins(k.name, word) ? 5 : begins(k.own, word) ? 3 : 0;
        if (score > 0) any = true, add({k.family}, score);
    }
    if (const auto led = leads().lower_bound(word); led != leads().end() && led->first.starts_with(word))
        lead(led->second, 8);
    return any;
}

/// The nearest word that a family or a lead knows; empty where none is near.
std::string nearest(const std::string& word) {
    for (const auto& [key, where] : leads())
        if (oneLetterOff(word, key)) return key;
    for (const auto& k : known())
        for (const auto* set : {&k.name, &k.own})
            for (const auto& w : *set)
                if (oneLetterOff(word, w)) return w;
    for (const auto& w : noFamily())
        if (oneLetterOff(word, w)) return w;
    return {};
}

}  // namespace

namespace {

/// The word of a sentence that stands for an English one; that one where none does.
std::string asTyped(const std::string& english, const std::string& typed) {
    std::istringstream in(isTranslated() ? typed : "");
    for (std::string word; in >> word;) {
        const auto meant = contentWords(inEnglish(word));
        if (std::ranges::find(meant, english) != meant.end()) return lowered(word);
    }
    return english;
}

}  // namespace

std::vector<std::string> contentWords(const std::string& sentence) {
    std::vector<std::string> out;
    for (auto& w : wordsOf(sentence))
        if (!saysNothing().contains(w)) out.push_back(std::move(w));
    return out;
}

std::vector<Hit> search(const std::string& typed) {
    std::vector<Hit> hits;
    const std::string words = inEnglish(typed);
    const auto asked = contentWords(words);
    if (asked.empty()) {
        for (const auto& f : families()) hits.push_back({&f});
        return hits;
    }
    std::vector<std::string> things;
    for (size_t i = 0; i < asked.size(); ++i) {
        const bool last = i + 1 == asked.size() && !words.ends_with(' ');
        if (noFamily().contains(asked[i])) {
            things.push_back(asked[i]);
            ask(asked[i], false, hits);  // a family that says it comes after its ways
            continue;
        }
        if (ask(asked[i], last, hits)) continue;
        const std::string near = nearest(asked[i]);
        if (noFamily().contains(near)) things.push_back(near);
        else if (!near.empty()) ask(near, false, hits);
        else things.push_back(asked[i]);
    }
    std::stable_sort(hits.begin(), hits.end(), [](const auto& a, const auto& b) { return a.score > b.score; });
    if (things.empty()) return hits;
    // what is known beside it comes first only where it was asked for strongly: "a box with a horse"
    const auto strong = std::ranges::find_if(hits, [](const Hit& h) { return h.score < 3; });
    std::vector<Hit> ways;
    for (const char* where : kWays) {
        Hit hit = leadTo(where);
        hit.thing = asTyped(things.front(), typed);
        ways.push_back(std::move(hit));
    }
    const bool named = std::ranges::any_of(things, [](const auto& t) { return noFamily().contains(t); });
    hits.insert(named ? hits.begin() : strong, ways.begin(), ways.end());
    return hits;
}

}  // namespace uovo::form
