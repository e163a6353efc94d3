#include <algorithm>
#include <array>
#include <optional>

#include "core/quantity/catalogue.h"
#include "core/quantity/quantity.h"
#include "core/quantity/vocabulary.h"

namespace uovo {
namespace {

struct Unit {
    std::string_view name;
    Dimension dimension;
    double factor;
};

// Exact by definition (inch 25.4 mm, pound 453.59237 g, US gallon 231 in³); checked against Debian's `units`.
constexpr double kOunce = 0.028349523125, kPound = 0.45359237, kUsCup = 2.365882365e-4, kTablespoon = 1.478676478125e-5,
                 kTeaspoon = 4.92892159375e-6, kUsFluidOunce = 2.95735295625e-5;
constexpr std::array kUnits{
    Unit{"mm", Dimension::Length, 1e-3},
    Unit{"cm", Dimension::Length, 1e-2},
    Unit{"m", Dimension::Length, 1},
    Unit{"in", Dimension::Length, 0.0254},
    Unit{"inch", Dimension::Length, 0.0254},
    Unit{"inches", Dimension::Length, 0.0254},
    Unit{"\"", Dimension::Length, 0.0254},
    Unit{"″", Dimension::Length, 0.0254},
    Unit{"”", Dimension::Length, 0.0254},
    Unit{"ft", Dimension::Length, 0.3048},
    Unit{"'", Dimension::Length, 0.3048},
    Unit{"mg", Dimension::Mass, 1e-6},
    Unit{"g", Dimension::Mass, 1e-3},
    Unit{"gram", Dimension::Mass, 1e-3},
    Unit{"grams", Dimension::Mass, 1e-3},
    Unit{"kg", Dimension::Mass, 1},
    Unit{"oz", Dimension::Mass, kOunce},
    Unit{"ounce", Dimension::Mass, kOunce},
    Unit{"ounces", Dimension::Mass, kOunce},
    Unit{"lb", Dimension::Mass, kPound},
    Unit{"lbs", Dimension::Mass, kPound},
    Unit{"pound", Dimension::Mass, kPound},
    Unit{"pounds", Dimension::Mass, kPound},
    Unit{"ml", Dimension::Volume, 1e-6},
    Unit{"mL", Dimension::Volume, 1e-6},
    Unit{"cl", Dimension::Volume, 1e-5},
    Unit{"dl", Dimension::Volume, 1e-4},
    Unit{"l", Dimension::Volume, 1e-3},
    Unit{"L", Dimension::Volume, 1e-3},
    Unit{"tsp", Dimension::Volume, kTeaspoon},
    Unit{"tbsp", Dimension::Volume, kTablespoon},
    Unit{"fl oz", Dimension::Volume, kUsFluidOunce},
    Unit{"floz", Dimension::Volume, kUsFluidOunce},
    Unit{"cup", Dimension::Volume, kUsCup},
    Unit{"cups", Dimension::Volume, kUsCup},
    Unit{"s", Dimension::Duration, 1},
    Unit{"sec", Dimension::Duration, 1},
    Unit{"second", Dimension::Duration, 1},
    Unit{"seconds", Dimension::Duration, 1},
    Unit{"min", Dimension::Duration, 60},
    Unit{"mins", Dimension::Duration, 60},
    Unit{"minute", Dimension::Duration, 60},
    Unit{"minutes", Dimension::Duration, 60},
    Unit{"h", Dimension::Duration, 3600},
    Unit{"hr", Dimension::Duration, 3600},
    Unit{"hour", Dimension::Duration, 3600},
    Unit{"hours", Dimension::Duration, 3600},
    Unit{"d", Dimension::Duration, 86400},
    Unit{"%", Dimension::Percent, 0.01},
};
constexpr double kMetricCup = 2.5e-4;

struct Fraction {
    std::string_view glyph;
    double value;
};
constexpr std::array kFractions{Fraction{"½", 0.5},   Fraction{"⅓", 1.0 / 3}, Fraction{"⅔", 2.0 / 3},
                                Fraction{"¼", 0.25},  Fraction{"¾", 0.75},    Fraction{"⅛", 0.125},
                                Fraction{"⅜", 0.375}, Fraction{"⅝", 0.625},   Fraction{"⅞", 0.875},
                                Fraction{"⅕", 0.2},   Fraction{"⅙", 1.0 / 6}};
constexpr std::array kCounts{"zero",  "one",   "two",  "three", "four",   "five",  "six",
                             "seven", "eight", "nine", "ten",   "eleven", "twelve"};

bool isDigit(char c) { return c >= '0' && c <= '9'; }

/// Reads along a text; `at` is a byte offset.
struct Reader {
    std::string_view text;
    size_t at = 0;

    std::string wrong = {};  ///< why a number cannot be told, where one was begun
    bool comma = false;      ///< a comma begins the decimals, whatever follows

    bool done() const { return at >= text.size(); }
    void skipSpace() {
        while (!done()) {
            if (text[at] == ' ' || text[at] == '\t') ++at;
            else if (text.substr(at).starts_with("\u00a0")) at += 2;
            else if (text.substr(at).starts_with("\u202f")) at += 3;
            else break;
        }
    }
    bool take(std::string_view word) {
        if (!text.substr(at).starts_with(word)) return false;
        at += word.size();
        return true;
    }
    int character() const {
        int n = 0;
        for (size_t i = 0; i < std::min(at, text.size()); ++i)
            n += (static_cast<unsigned char>(text[i]) & 0xC0) != 0x80;
        return n;
    }
};

std::string lower(std::string_view s) {
    std::string out(s);
    std::transform(out.begin(), out.end(), out.begin(),
                   [](unsigned char c) { return c < 128 ? static_cast<char>(std::tolower(c)) : static_cast<char>(c); });
    return out;
}

std::string trimmed(std::string_view s) {
    const auto from = s.find_first_not_of(" \t\n\r");
    if (from == std::string_view::npos) return {};
    return std::string(s.substr(from, s.find_last_not_of(" \t\n\r") - from + 1));
}

/// What may stand between digits: a point, a comma, a space (also those that do not break), an apostrophe. Its length
/// in bytes, or 0.
size_t separator(std::string_view text, size_t at) {
    if (at >= text.size()) return 0;
    for (const std::string_view s : {".", ",", " ", "'", "\u00a0", "\u202f", "’"})
        if (text.substr(at).starts_with(s)) return s.size();
    return 0;
}

/// Digits, in groups of three where a person writes them so: "1 234,5", "1,234.5", "1.234,5" are one number. Where a
/// comma could be either ("1,234") or groups are uneven it says so in `wrong` and gives none: a guess would be a
/// thousand times off.
std::optional<double> digits(Reader& r, bool decimals) {
    const size_t start = r.at;
    const auto run = [&](size_t at) {
        size_t n = 0;
        while (at + n < r.text.size() && isDigit(r.text[at + n])) ++n;
        return n;
    };
    std::string whole(r.text.substr(r.at, run(r.at)));
    if (whole.empty()) return std::nullopt;
    r.at += whole.size();
    std::string part;
    if (decimals) {
        const size_t first = whole.size();
        std::string_view between;  // what parts its thousands
        size_t groups = 0;
        bool uneven = false;
        while (part.empty()) {
            const size_t gap = separator(r.text, r.at), n = gap ? run(r.at + gap) : 0;
            if (n == 0) break;
            const std::string_view mark = r.text.substr(r.at, gap);
            const bool pointed = mark == "." || mark == ",";
            const size_t after = r.at + gap + n, next = separator(r.text, after);
            const std::string_view follows =
                next && run(after + next) ? r.text.substr(after, next) : std::string_view{};
            // a point or comma parts thousands where it comes again, or where the other one or nothing of the kind
            // follows a group of three
            const bool again = follows == mark || mark == between;
            const bool other = pointed && (follows == "." || follows == ",") && follows != mark;
            const bool over = after < r.text.size() && (r.text[after] == '/' || r.text.substr(after).starts_with("⁄"));
            if (pointed && !again && !other) {
                part = std::string(r.text.substr(r.at + gap, n));
                if (mark == (r.comma ? "." : ",") && n == 3 && groups == 0 && first <= 3 && whole != "0")
                    r.wrong = say("“{}{}{}” could be {}{}{} or {}{}: write it one of these ways.", whole, mark, part,
                                  whole, r.comma ? "," : ".", part, whole, part);
                r.at = after;
                break;
            }
            if (!pointed && (n != 3 || first > 3 || over || (groups > 0 && mark != between)))
                break;  // "5 1/2", "1 h 15"
            uneven = uneven || n != 3 || first > 3 || (groups > 0 && mark != between);
            whole += r.text.substr(r.at + gap, n);
            between = mark;
            ++groups;
            r.at = after;
        }
        if (uneven)
            r.wrong = "“" + std::string(r.text.substr(start, r.at - start)) +
                      tr("” is not a number: thousands go in groups of three.");
    }
    double value = 0;
    for (const char c : whole) value = value * 10 + (c - '0');
    double place = 0.1;
    for (const char c : part) {
        value += place * (c - '0');
        place /= 10;
    }
    return value;
}

std::optional<double> glyphFraction(Reader& r) {
    for (const auto& f : kFractions)
        if (r.take(f.glyph)) return f.value;
    return std::nullopt;
}

/// A number: "5", "5.5", "5,5", "1/8", "5 1/2", "1½", "½", "1e3". Nothing is consumed when there is none.
tl::expected<std::optional<double>, TypingProblem> number(Reader& r) {
    r.skipSpace();
    if (auto f = glyphFraction(r)) return f;
    const int begins = r.character();
    auto whole = digits(r, true);
    if (!r.wrong.empty()) return tl::unexpected(TypingProblem{r.wrong, begins});
    if (!whole) return std::optional<double>{};
    if (auto f = glyphFraction(r)) return std::optional<double>(*whole + *f);
    if (Reader power = r; power.take("e") || power.take("E")) {  // "1e3", as calculators write it
        const bool small = power.take("-");
        if (!small) (void)power.take("+");
        if (const auto tens = digits(power, false); tens && *tens <= 30) {
            r = power;
            return std::optional<double>(*whole * std::pow(10.0, small ? -*tens : *tens));
        }
    }
    auto fraction = [&](Reader& at, double top) -> tl::expected<std::optional<double>, TypingProblem> {
        const int place = at.character();
        at.skipSpace();
        auto bottom = digits(at, false);
        if (!bottom) return tl::unexpected(TypingProblem{tr("A number is missing below the fraction bar."), place});
        if (*bottom == 0) return tl::unexpected(TypingProblem{tr("A fraction cannot have zero below the bar."), place});
        return std::optional<double>(top / *bottom);
    };
    if (r.take("/") || r.take("⁄")) return fraction(r, *whole);
    Reader ahead = r;  // "5 1/2" or "5-1/2"
    ahead.skipSpace();
    if (!ahead.done() && ahead.text[ahead.at] == '-' && ahead.at == r.at) ++ahead.at;
    if (ahead.at != r.at) {
        if (auto f = glyphFraction(ahead)) {
            r = ahead;
            return std::optional<double>(*whole + *f);
        }
        if (auto top = digits(ahead, false); top && (ahead.take("/") || ahead.take("⁄"))) {
            r = ahead;
            auto part = fraction(r, *top);
            if (!part) return part;
            return std::optional<double>(*whole + **part);
        }
    }
    return whole;
}

std::string dimensionName(Dimension d) {
    switch (d) {
        case Dimension::Length:
            return tr("a length, such as 14 cm or 5 1/2 in");
        case Dimension::Mass:
            return tr("a mass, such as 200 g or 1½ lb");
        case Dimension::Volume:
            return tr("a volume, such as 150 ml or 2 tbsp");
        case Dimension::Temperature:
            return tr("a temperature, such as 32 °C or 90 °F");
        case Dimension::Duration:
            return tr("a time, such as 40 s, 7 min or 1 h 15");
        case Dimension::Percent:
            return tr("a percentage, such as 55 %");
        case Dimension::Count:
            return tr("a whole number");
    }
    return {};
}

/// The unit word at the reader: letters, quotes, a percent sign, a degree sign and its letter.
std::string unitWord(Reader& r) {
    r.skipSpace();
    const size_t start = r.at;
    if (r.take("\"") || r.take("″") || r.take("”") || r.take("'") || r.take("%"))
        return std::string(r.text.substr(start, r.at - start));
    if (r.take("fl oz")) return "fl oz";
    if (r.take("°") || r.take("º")) {
        r.skipSpace();
        if (!r.done() && std::isalpha(static_cast<unsigned char>(r.text[r.at])))
            return std::string("°") + r.text[r.at++];
        return "°";
    }
    while (!r.done() && (std::isalpha(static_cast<unsigned char>(r.text[r.at])) || (r.text[r.at] & 0x80))) {
        if (r.text.substr(r.at).starts_with("½")) break;
        ++r.at;
    }
    std::string word(r.text.substr(start, r.at - start));
    if (!word.empty()) r.take(".");
    return word;
}

/// Next smaller unit for "1 h 15", "1 lb 4", "2 ft 3".
double smallerThan(std::string_view unit) {
    if (unit == "h" || unit == "hr" || unit == "hour" || unit == "hours") return 60;
    if (unit == "min" || unit == "mins" || unit == "minute" || unit == "minutes") return 1;
    if (unit == "lb" || unit == "lbs" || unit == "pound" || unit == "pounds") return kOunce;
    if (unit == "ft" || unit == "'") return 0.0254;
    return std::nan("");
}

std::optional<Measure> lookedUp(std::string_view text, const TypingContext& context) {
    if (!context.looks) return std::nullopt;
    std::string words = lower(trimmed(text));
    double count = 1;
    auto match = [&](const std::string& phrase) -> std::optional<Measure> {
        for (const auto& look : *context.looks) {
            if (look.dimension != context.dimension || lower(look.phrase) != phrase) continue;
            Measure m;
            const double unit = look.perBar ? context.barMass : look.perPacket ? context.packetMass : 1;
            m.value = look.value * unit * count;
            m.spread = look.spread * unit * count;
            if (look.dimension == Dimension::Temperature) m.value = context.workingTemperature + look.value;
            m.typed = trimmed(text);
            return m;
        }
        return std::nullopt;
    };
    if (auto m = match(words)) return m;
    const auto space = words.find(' ');  // a count and a thing: "two bars", "6 spoons", "half a packet"
    if (space == std::string::npos) return std::nullopt;
    const std::string first = words.substr(0, space);
    std::string rest = words.substr(space + 1);
    if (first == "half") {
        count = 0.5;
        if (rest.starts_with("a ")) rest = rest.substr(2);
    } else if (first == "a") {
        count = 1;
    } else if (auto it = std::find(kCounts.begin(), kCounts.end(), first); it != kCounts.end()) {
        count = static_cast<double>(it - kCounts.begin());
    } else {
        Reader r{first};
        auto n = number(r);
        if (!n || !*n || !r.done()) return std::nullopt;
        count = **n;
    }
    if (auto m = match(rest)) return m;
    if (rest.ends_with('s')) return match(rest.substr(0, rest.size() - 1));
    return match(rest + "s");
}

}  // namespace

double fahrenheit(double c) { return c * 1.8 + 32; }
double celsius(double f) { return (f - 32) / 1.8; }

double unitFactor(std::string_view unit, Dimension dimension, bool metricCup) {
    if (metricCup && (unit == "cup" || unit == "cups") && dimension == Dimension::Volume) return kMetricCup;
    for (const auto& u : kUnits)
        if (u.dimension == dimension && u.name == unit) return u.factor;
    const std::string small = lower(unit);
    for (const auto& u : kUnits)
        if (u.dimension == dimension && u.name == small) return u.factor;
    return std::nan("");
}

namespace {

/// °C of a number with its unit.
tl::expected<double, TypingProblem> degrees(double v, std::string unit, const TypingContext& context, int unitPlace) {
    if (unit.empty() || unit == "°") unit = context.bareUnit;
    const std::string u = lower(unit);
    if (u == "°c" || u == "c" || u == "celsius") return v;
    if (u == "°f" || u == "f" || u == "fahrenheit") return celsius(v);
    return tl::unexpected(TypingProblem{"“" + unit + tr("” is not a temperature unit; use °C or °F."), unitPlace});
}

tl::expected<double, TypingProblem> counted(double v, const std::string& unit, const TypingContext& context, int place,
                                            int unitPlace) {
    if (!unit.empty()) return tl::unexpected(TypingProblem{tr("Only a number goes here."), unitPlace});
    if (!context.fractions && v != std::floor(v))
        return tl::unexpected(TypingProblem{tr("Pieces are counted whole."), place});
    return v;
}

std::string unknownUnit(const std::string& unit, Dimension dimension) {
    bool elsewhere = lower(unit) == "c" || lower(unit) == "f" || unit.starts_with("°");
    for (const auto& u : kUnits) elsewhere |= u.name == lower(unit);
    return elsewhere ? say("“{}” does not belong here; type {}.", unit, dimensionName(dimension))
                     : say("“{}” is not a unit known here; type {}.", unit, dimensionName(dimension));
}

}  // namespace

tl::expected<Measure, TypingProblem> parseMeasure(std::string_view said, const TypingContext& context) {
    auto fail = [](std::string sentence, int position) {
        return tl::unexpected(TypingProblem{std::move(sentence), position});
    };
    if (said.size() > 200) return fail(tr("That is too long to be a quantity."), 0);
    const std::string english = inEnglish(std::string(said));
    const std::string_view text = english;
    if (trimmed(text).empty()) return fail(say("Type {}.", dimensionName(context.dimension)), 0);
    if (auto look = lookedUp(text, context)) {
        look->typed = trimmed(said);
        return *look;
    }

    Reader r{text};
    r.comma = context.comma;
    r.skipSpace();
    bool negative = false;
    if (r.take("-") || r.take("−")) negative = true;
    double total = 0;
    double bareFactor = std::nan("");  // what a trailing number without unit means after "1 h"
    bool any = false;
    while (true) {
        r.skipSpace();
        if (r.done()) break;
        const int place = r.character();
        auto n = number(r);
        if (!n) return tl::unexpected(n.error());
        if (!*n)
            return fail(any ? tr("This part is not understood.")
                            : say("Start with a number: {}.", dimensionName(context.dimension)),
                        place);
        if (context.dimension == Dimension::Duration && !any && r.take(":")) {  // 1:15 is hours and minutes
            auto minutes = digits(r, false);
            if (!minutes || *minutes >= 60)
                return fail(tr("After the colon come minutes from 00 to 59."), r.character());
            total = **n * 3600 + *minutes * 60;
            any = true;
            bareFactor = 1;
            continue;
        }
        const int unitPlace = [&] {
            Reader peek = r;
            peek.skipSpace();
            return peek.character();
        }();
        std::string unit = unitWord(r);
        if (context.dimension == Dimension::Temperature || context.dimension == Dimension::Count) {
            if (any)
                return fail(context.dimension == Dimension::Count ? tr("One number is enough.")
                                                                  : tr("One temperature is enough."),
                            place);
            const auto single = context.dimension == Dimension::Count
                                    ? counted(**n, unit, context, place, unitPlace)
                                    : degrees(negative ? -**n : **n, unit, context, unitPlace);
            if (!single) return tl::unexpected(single.error());
            total = *single;
            any = true;
            continue;
        }
        double factor;
        if (unit.empty()) {
            if (any && std::isnan(bareFactor)) return fail(tr("A unit is missing before this number."), place);
            factor = any ? bareFactor : unitFactor(context.bareUnit, context.dimension, context.metricCup);
        } else {
            factor = unitFactor(unit, context.dimension, context.metricCup);
            if (std::isnan(factor)) return fail(unknownUnit(unit, context.dimension), unitPlace);
        }
        total += **n * factor;
        any = true;
        bareFactor = smallerThan(unit);
    }
    if (!any) return fail(say("Start with a number: {}.", dimensionName(context.dimension)), 0);
    if (negative && context.dimension != Dimension::Temperature)
        return fail(tr("This cannot be less than nothing."), 0);
    Measure m(total);
    m.typed = trimmed(said);
    return m;
}

}  // namespace uovo
