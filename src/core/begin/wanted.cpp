#include "core/begin/wanted.h"

#include <algorithm>
#include <chrono>

#include "core/quantity/clock.h"
#include "core/quantity/vocabulary.h"
#include "core/quantity/words.h"

namespace uovo {
namespace {

constexpr long kMinutes = 1440;
constexpr const char* kNumbers[]{"",         "one",     "two",     "three",     "four",     "five",     "six",
                                 "seven",    "eight",   "nine",    "ten",       "eleven",   "twelve",   "thirteen",
                                 "fourteen", "fifteen", "sixteen", "seventeen", "eighteen", "nineteen", "twenty"};
constexpr const char* kDays[]{"thursday", "friday", "saturday", "sunday", "monday", "tuesday", "wednesday"};  // day 0
constexpr const char* kMonths[]{"january", "february", "march",     "april",   "may",      "june",
                                "july",    "august",   "september", "october", "november", "december"};
constexpr int kMost = 2000;

struct Word {
    std::string said, low;
    bool used = false;
    bool paused = false;  ///< a comma stands behind it
};

constexpr const char* kTimes[]{"minute", "hour", "day", "week"};
constexpr std::initializer_list<const char*> kLeadsToDay{"on", "for", "by", "until"};

/// Reads from left to right; what is understood is marked as used.
class Reader {
public:
    Reader(const std::string& sentence, long now, const material::Library& lib) : now_(now), lib_(lib) {
        std::string word;
        for (const char c : sentence + " ") {
            if (c != ' ' && c != ',' && c != ';' && c != '\n' && c != '\t') word += c;
            else if (!word.empty()) {
                while (word.size() > 1 && (word.back() == '.' || word.back() == '!' || word.back() == '?') &&
                       !isNumber(word.substr(0, word.size() - 1)))
                    word.pop_back();
                words_.push_back({word, lowered(word)});
                word.clear();
            }
            if (c == ',' && !words_.empty()) words_.back().paused = true;
        }
    }

    Wanted all() {
        when();
        many();
        others();
        broken();
        filling();
        for (size_t k = words_.size(); k-- > 0;) {  // "bowls for": what led to a word that was understood
            const auto& w = words_[k];
            if (w.used) continue;
            if (w.low != "for" && w.low != "on" && w.low != "at" && w.low != "with" && w.low != "and" && w.low != "by")
                break;
            words_[k].used = true;
        }
        for (const auto& w : words_)
            if (!w.used) out_.things += (out_.things.empty() ? "" : " ") + w.said;
        out_.shapes = form::search(searched());
        return std::move(out_);
    }

private:
    static bool isNumber(const std::string& w) {
        return !w.empty() && std::ranges::all_of(w, [](unsigned char c) { return std::isdigit(c) != 0; });
    }
    static std::optional<int> numberOf(const std::string& w) {
        if (isNumber(w) && w.size() < 6) return std::stoi(w);
        for (int k = 1; k <= 20; ++k)
            if (w == kNumbers[k]) return k;
        if (w == "thirty") return 30;
        if (w == "forty") return 40;
        if (w == "fifty") return 50;
        if (w == "hundred") return 100;
        return std::nullopt;
    }
    const std::string& at(size_t i) const {
        static const std::string none;
        return i < words_.size() ? words_[i].low : none;
    }
    void use(size_t from, size_t many) {
        for (size_t k = from; k < from + many && k < words_.size(); ++k) words_[k].used = true;
    }
    /// "on Saturday": the word before belongs to it.
    void useBefore(size_t i, std::initializer_list<const char*> which) {
        if (i > 0 && std::ranges::any_of(which, [&](const char* w) { return words_[i - 1].low == w; })) use(i - 1, 1);
    }

    long today() const { return (now_ >= 0 ? now_ : now_ - kMinutes + 1) / kMinutes; }

    static std::optional<int> monthOf(std::string w) {
        if (w.ends_with('.')) w.pop_back();
        for (int m = 0; m < 12; ++m)
            if (w == kMonths[m] || (w.size() >= 3 && std::string(kMonths[m]).starts_with(w))) return m + 1;
        return std::nullopt;
    }
    static std::optional<int> dayOfMonth(std::string w) {
        for (const char* end : {"st", "nd", "rd", "th", "."})
            if (w.ends_with(end)) w.resize(w.size() - std::string(end).size());
        if (!isNumber(w) || w.size() > 2) return std::nullopt;
        const int d = std::stoi(w);
        return d >= 1 && d <= 31 ? std::optional(d) : std::nullopt;
    }
    /// The next such date that has not passed.
    void date(int day, int month, std::optional<int> year) {
        using namespace std::chrono;
        const sys_days now{days{today()}};
        const int thisYear = int(year_month_day{now}.year());
        for (int y = year.value_or(thisYear); y <= year.value_or(thisYear + 1); ++y) {
            const year_month_day d{std::chrono::year(y), std::chrono::month(unsigned(month)),
                                   std::chrono::day(unsigned(day))};
            if (!d.ok() || sys_days(d) < now) continue;
            out_.day = sys_days(d).time_since_epoch().count();
            return;
        }
    }
    /// A year behind a date, and takes it.
    std::optional<int> yearAt(size_t i) {
        if (!isNumber(at(i)) || at(i).size() != 4) return std::nullopt;
        use(i, 1);
        return std::stoi(at(i));
    }

    void when() {
        for (size_t i = 0; i < words_.size(); ++i) {
            const std::string& w = at(i);
            if (words_[i].used) continue;
            if (w == "today" || w == "tonight" || w == "tomorrow") {
                out_.day = today() + (w == "tomorrow" ? 1 : 0);
                if (w == "tonight" && !out_.clock) out_.clock = 20 * 60;
                use(i, 1);
                continue;
            }
            for (long ahead = 0; ahead < 7; ++ahead) {
                const std::string day = kDays[(today() + ahead) % 7];
                if (w != day && w != day + "s" && (w.size() < 3 || w.size() > 4 || !day.starts_with(w))) continue;
                out_.day = today() + ahead + (i > 0 && at(i - 1) == "next" && ahead == 0 ? 7 : 0);
                use(i, 1);
                useBefore(i, {"on", "for", "by", "next", "this", "until"});
                break;
            }
            if (words_[i].used) continue;
            if (const auto month = monthOf(w)) {
                if (const auto d = i > 0 ? dayOfMonth(at(i - 1)) : std::nullopt; d && !words_[i - 1].used) {
                    date(*d, *month, yearAt(i + 1));
                    use(i - 1, 2);
                    useBefore(i - 1, kLeadsToDay);
                } else if (const auto after = dayOfMonth(at(i + 1)); after && (w.size() > 3 || w != "may")) {
                    date(*after, *month, yearAt(i + 2));
                    use(i, 2);
                    useBefore(i, kLeadsToDay);
                }
                continue;
            }
            if (w.size() == 10 && w[4] == '-') {
                if (const auto minutes = localMinutes(w + "T00:00")) {
                    out_.day = *minutes / kMinutes;
                    use(i, 1);
                    useBefore(i, kLeadsToDay);
                }
                continue;
            }
            hour(i);
        }
    }

    /// "at six", "at 6 pm", "18:30", "noon".
    void hour(size_t i) {
        const bool said = i > 0 && (at(i - 1) == "at" || at(i - 1) == "by" || at(i - 1) == "until");
        const bool half = at(i + 1) == "am" || at(i + 1) == "pm" || at(i + 1) == "a.m" || at(i + 1) == "p.m";
        std::string text = at(i);
        if (const auto n = numberOf(text); n && *n <= 24) text = std::to_string(*n);
        const bool looks =
            text.find(':') != std::string::npos || text == "noon" || text == "midnight" ||
            ((text.ends_with("am") || text.ends_with("pm")) && std::isdigit(static_cast<unsigned char>(text[0])) != 0);
        if (!said && !half && !looks) return;
        const auto minutes = clockMinutes(half ? text + " " + at(i + 1) : text);
        if (!minutes) return;
        const bool bare = isNumber(text) && !half;
        out_.clock =
            bare && *minutes < 10 * 60 && *minutes >= 60 ? *minutes + 12 * 60 : *minutes;  // "at six" is dinner
        const bool clock = at(i + 1) == "h" || at(i + 1) == "o'clock";
        use(i, half || clock ? 2 : 1);
        if (said) use(i - 1, 1);
    }

    void many() {
        for (size_t i = 0; i < words_.size() && out_.count == 0; ++i) {
            if (words_[i].used) continue;
            if (at(i) == "dozen") {
                out_.count = 12;
                size_t from = i;
                if (i > 0)
                    if (const auto n = numberOf(at(i - 1))) out_.count = 12 * *n, from = i - 1;
                if (i > 0 && at(i - 1) == "half") out_.count = 6, from = i - 1;
                if (i > 1 && at(i - 1) == "a" && at(i - 2) == "half") out_.count = 6, from = i - 2;
                if (from == i && i > 0 && at(i - 1) == "a") from = i - 1;
                use(from, i - from + 1);
                if (at(i + 1) == "of") use(i + 1, 1);
                return;
            }
            if (const auto n = numberOf(at(i)); n && *n >= 1 && *n <= kMost && at(i + 1) != "dozen") {
                out_.count = *n;
                use(i, 1);
                if (at(i + 1) == "x" || at(i + 1) == "×") use(i + 1, 1);
            } else if (const size_t x = words_[i].low.find_first_not_of("0123456789");
                       x != std::string::npos && x > 0 && x < 5 &&
                       (words_[i].low.substr(x) == "x" || words_[i].low.substr(x) == "×")) {
                out_.count = std::stoi(words_[i].low.substr(0, x));
                use(i, 1);
            }
        }
        if (out_.count == 0)
            for (size_t i = 0; i < words_.size(); ++i)
                if (at(i) == "a" || at(i) == "an") {
                    out_.count = 1;
                    break;
                }
        for (size_t i = 0; i < words_.size(); ++i)
            for (const char* who : {"guests", "people", "persons", "friends", "children", "kids"})
                if (at(i) == who) {
                    use(i, 1);
                    if (i > 0 && words_[i - 1].used && out_.count > 0) {
                        out_.guests = out_.count;
                        if (i > 1) useBefore(i - 1, {"for"});
                        if (at(0) == "a" || at(0) == "an" || at(0) == "one") out_.count = 1;  // one for all of them
                    }
                }
    }

    void others() {
        constexpr size_t kWords = 4;  // of one of them
        const auto parts = [&](size_t i) { return at(i) == "and" || at(i) == "plus"; };
        for (size_t i = 1; i + 1 < words_.size(); ++i) {
            const auto n = at(i) == "a" || at(i) == "an" ? std::optional(1) : numberOf(at(i));
            if (words_[i].used || !n || *n < 1 || *n > kMost || (!parts(i - 1) && !words_[i - 1].paused)) continue;
            std::string things;
            size_t end = i + 1;
            for (; end < words_.size() && end < i + 1 + kWords && !words_[end].used && !parts(end); ++end) {
                if (at(end) == "with" || at(end) == "that" || at(end) == "for" || at(end) == "to") break;
                things += (things.empty() ? "" : " ") + words_[end].said;
                if (words_[end].paused) {
                    ++end;
                    break;
                }
            }
            if (things.empty() || lowered(things).starts_with("lid")) continue;  // of what was named before
            if (std::ranges::any_of(kTimes, [&](const char* t) { return at(i + 1).starts_with(t); })) continue;
            auto shapes = form::search(things);
            if (shapes.empty()) continue;
            out_.others.push_back({*n, things, std::move(shapes.front())});
            use(i, end - i);
            if (parts(i - 1)) use(i - 1, 1);
        }
    }

    void broken() {
        for (auto& w : words_)
            for (const char* word :
                 {"smash", "smashed", "break", "broken", "breakable", "crack", "shatter", "pinata", "piñata"})
                if (w.low == word) out_.breaks = true;
        const size_t many = form::contentWords(searched()).size();
        for (auto& w : words_)
            if (w.low == "lidded" || ((w.low == "lid" || w.low == "lids") && many > 1)) out_.lidded = true;
    }

    void filling() {
        for (const auto& w : words_) {
            if (w.used) continue;
            const auto one = form::contentWords(w.low);
            const auto kind = std::ranges::find_if(lib_.fillings, [&](const auto& k) {
                return std::ranges::any_of(
                    k.words, [&](const auto& word) { return word == w.low || (!one.empty() && word == one.front()); });
            });
            if (kind == lib_.fillings.end()) continue;
            out_.filling = kind->id;
            return;
        }
        if (out_.breaks) out_.filling = "sweets";  // what is there to be broken hides something
    }

    /// What the gallery is asked for.
    std::string searched() const {
        std::string words;
        for (const auto& w : words_)
            if (!w.used && !(out_.lidded && w.low.starts_with("lid"))) words += w.said + " ";
        return words;
    }

    long now_;
    const material::Library& lib_;
    std::vector<Word> words_;
    Wanted out_;
};

}  // namespace

Wanted wanted(const std::string& sentence, long now, const material::Library& library) {
    return Reader(inEnglish(sentence), now, library).all();
}

}  // namespace uovo
