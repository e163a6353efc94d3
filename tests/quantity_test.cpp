// What people type. Conversions are checked against Debian's `units`, run here.
#include <catch2/catch.hpp>
#include <charconv>
#include <cstdio>

#include "core/quantity/decimal.h"
#include "core/quantity/quantity.h"
#include "core/quantity/restate.h"
#include "support.h"

namespace uovo::quantity_test {

namespace {

TypingContext context(Dimension d, const char* bare) {
    TypingContext c;
    c.dimension = d;
    c.bareUnit = bare;
    c.looks = &io::library().looks;
    return c;
}

double read(const char* text, Dimension d, const char* bare) {
    const auto m = parseMeasure(text, context(d, bare));
    INFO(text << (m ? "" : ": " + m.error().sentence));
    REQUIRE(m);
    return m->value;
}

/// Debian's units program, or NaN when it is not there.
double units(const std::string& from, const std::string& to) {
    FILE* p = ::popen(("units --terse '" + from + "' '" + to + "' 2>/dev/null").c_str(), "r");
    double v = std::nan("");
    char said[64] = {};
    if (p && std::fgets(said, sizeof said, p)) std::from_chars(said, said + sizeof said, v);
    if (p) ::pclose(p);
    return v;
}

}  // namespace

TEST_CASE("units agree with Debian's units") {
    struct Row {
        const char *text, *from, *to;
        Dimension d;
    };
    const auto r = GENERATE(
        Row{"1 oz", "1 oz", "kg", Dimension::Mass}, Row{"3 lb", "3 lb", "kg", Dimension::Mass},
        Row{"2 cups", "2 uscup", "m^3", Dimension::Volume}, Row{"3 tbsp", "3 ustablespoon", "m^3", Dimension::Volume},
        Row{"5 tsp", "5 usteaspoon", "m^3", Dimension::Volume},
        Row{"7 fl oz", "7 usfluidounce", "m^3", Dimension::Volume}, Row{"9 in", "9 inch", "m", Dimension::Length},
        Row{"2 ft", "2 ft", "m", Dimension::Length}, Row{"88 °F", "tempF(88)", "tempC", Dimension::Temperature},
        Row{"2 h", "2 hour", "s", Dimension::Duration}, Row{"3 dl", "3 dl", "m^3", Dimension::Volume});
    const double reference = units(r.from, r.to);
    REQUIRE(std::isfinite(reference));
    CHECK(read(r.text, r.d, "") == Approx(reference).epsilon(2e-6));  // units prints eight digits
}

TEST_CASE("numbers are read as people write them") {
    CHECK(read("5 1/2 in", Dimension::Length, "mm") == Approx(0.1397));
    CHECK(read("5-1/2 in", Dimension::Length, "mm") == Approx(0.1397));
    CHECK(read("1/8\"", Dimension::Length, "mm") == Approx(0.003175));
    CHECK(read("1½ lb", Dimension::Mass, "g") == Approx(0.680388555));
    CHECK(read("½ tsp", Dimension::Volume, "ml") == Approx(2.464460796875e-6));
    CHECK(read("2,5", Dimension::Length, "mm") == Approx(0.0025));
    CHECK(read("  45 ", Dimension::Length, "mm") == Approx(0.045));
    CHECK(read("45", Dimension::Length, "in") == Approx(1.143));
    CHECK(read("1 h 15", Dimension::Duration, "min") == 4500);
    CHECK(read("1 h 15 min 30 s", Dimension::Duration, "min") == 4530);
    CHECK(read("1:15", Dimension::Duration, "min") == 4500);
    CHECK(read("-18", Dimension::Temperature, "°C") == -18);
    CHECK(read("−18 °C", Dimension::Temperature, "°C") == -18);
    CHECK(read("114°F", Dimension::Temperature, "°C") == Approx(45.5556).epsilon(1e-5));
    CHECK(read("55 %", Dimension::Percent, "%") == Approx(0.55));
    CHECK(read("1 cup", Dimension::Volume, "ml") == Approx(2.365882365e-4));
    CHECK(parseMeasure("1 cup",
                       [] {
                           auto c = context(Dimension::Volume, "ml");
                           c.metricCup = true;
                           return c;
                       }())
              ->value == Approx(2.5e-4));
}

TEST_CASE("words of the kitchen stand for quantities with a wide band") {
    auto c = context(Dimension::Temperature, "°C");
    c.workingTemperature = 29.5;
    const auto ribbon = parseMeasure("Falls in a ribbon", c);
    REQUIRE(ribbon);
    CHECK(ribbon->value == 29.5);
    CHECK(ribbon->spread == 1.5);
    CHECK(ribbon->typed == "Falls in a ribbon");
    CHECK(read("two bars", Dimension::Mass, "g") == Approx(0.2));
    CHECK(read("half a packet", Dimension::Mass, "g") == Approx(0.1));
    CHECK(read("six spoons", Dimension::Mass, "g") == Approx(0.09));
    CHECK(read("count to thirty", Dimension::Duration, "min") == 30);
    CHECK(read("finger wide", Dimension::Length, "mm") == Approx(0.018));
}

TEST_CASE("what is not understood is said with its place") {
    struct Row {
        const char* text;
        Dimension d;
        int position;
        const char* says;
    };
    const auto r = GENERATE(
        Row{"", Dimension::Length, 0, "Type a length"}, Row{"blue", Dimension::Length, 0, "Start with a number"},
        Row{"5 kg", Dimension::Length, 2, "does not belong here"},
        Row{"5 parsnips", Dimension::Length, 2, "is not a unit known here"},
        Row{"5 1/0 in", Dimension::Length, 4, "zero below the bar"}, Row{"1/", Dimension::Length, 2, "missing below"},
        Row{"-3 mm", Dimension::Length, 0, "less than nothing"}, Row{"14 cm ?", Dimension::Length, 6, "not understood"},
        Row{"30 K", Dimension::Temperature, 3, "not a temperature unit"},
        Row{"2.5", Dimension::Count, 0, "counted whole"}, Row{"3 cats", Dimension::Count, 2, "Only a number"},
        Row{"1:75", Dimension::Duration, 4, "00 to 59"});
    const auto m = parseMeasure(r.text, context(r.d, r.d == Dimension::Temperature ? "°C" : "mm"));
    INFO(r.text);
    REQUIRE_FALSE(m);
    CHECK(m.error().sentence.find(r.says) != std::string::npos);
    CHECK(m.error().position == r.position);
}

TEST_CASE("quantities are shown as people speak, with sensible digits") {
    const auto metric = [](double v, Dimension d) { return format(v, d, UnitSystem::Metric); };
    const auto us = [](double v, Dimension d) { return format(v, d, UnitSystem::US); };
    CHECK(metric(0.138, Dimension::Length) == "138 mm");
    CHECK(metric(0.00234, Dimension::Length) == "2.3 mm");
    CHECK(us(0.1397, Dimension::Length) == "5 1/2 in");
    CHECK(us(0.0023, Dimension::Length) == "0.091 in");
    CHECK(metric(1.834, Dimension::Mass) == "1.83 kg");
    CHECK(metric(0.0624, Dimension::Mass) == "62 g");
    CHECK(metric(0.0054, Dimension::Mass) == "5.4 g");
    CHECK(us(0.680388555, Dimension::Mass) == "1 lb 8 oz");
    CHECK(us(0.45, Dimension::Mass) == "15.9 oz");
    CHECK(metric(31.5, Dimension::Temperature) == "31.5 °C");
    CHECK(metric(-18, Dimension::Temperature) == "−18 °C");
    CHECK(us(32, Dimension::Temperature) == "90 °F");
    CHECK(metric(40, Dimension::Duration) == "40 s");
    CHECK(metric(150, Dimension::Duration) == "2 min 30 s");
    CHECK(metric(540, Dimension::Duration) == "9 min");
    CHECK(metric(4500, Dimension::Duration) == "1 h 15 min");
    CHECK(metric(std::nan(""), Dimension::Length) == "–");
    CHECK(formatBand(0.0022, 0.0016, 0.003, Dimension::Length, UnitSystem::Metric) == "2.2 mm (1.6–3.0 mm)");
    CHECK(formatBand(0.0022, 0.0022, 0.0022, Dimension::Length, UnitSystem::Metric) == "2.2 mm");
}

TEST_CASE("what is shown can be typed back") {
    for (const auto d : {Dimension::Length, Dimension::Mass, Dimension::Temperature, Dimension::Duration})
        for (const auto system : {UnitSystem::Metric, UnitSystem::US})
            for (const double v : {0.0007, 0.0031, 0.02, 0.11, 0.45, 1.7, 31.5, 95.0, 4500.0}) {
                const std::string shown = format(v, d, system);
                INFO(shown);
                const auto back = parseMeasure(shown, context(d, usualUnit(d, system).c_str()));
                REQUIRE(back);
                CHECK(format(back->value, d, system) == shown);
            }
}

TEST_CASE("thousands are understood where they cannot be mistaken, and refused where they can") {
    TypingContext c;
    c.dimension = Dimension::Length;
    c.bareUnit = "mm";
    const auto mm = [&](const char* text) {
        const auto m = parseMeasure(text, c);
        INFO(text << (m ? "" : ": " + m.error().sentence));
        REQUIRE(m);
        return m->value * 1e3;
    };
    for (const char* text : {"1.234,5 mm", "1,234.5 mm", "1 234,5 mm", "1 234.5 mm", "1\u00a0234,5 mm",
                             "1\u202f234,5 mm", "1'234.5 mm", "1’234,5 mm"})
        CHECK(mm(text) == Approx(1234.5));
    CHECK(mm("1,234,567.25") == Approx(1234567.25));
    CHECK(mm("1.234.567") == Approx(1234567));
    CHECK(mm("0,125") == Approx(0.125));
    CHECK(mm("12,5") == Approx(12.5));
    CHECK(mm("1.234") == Approx(1.234));
    CHECK(mm("1,2345") == Approx(1.2345));
    CHECK(mm("5 1/2 in") == Approx(139.7));
    CHECK(mm("2 ft 3") == Approx(685.8));
    for (const char* text : {"1,234 mm", "12,500", "123,456 mm"}) {
        const auto m = parseMeasure(text, c);
        INFO(text);
        REQUIRE_FALSE(m);
        CHECK(m.error().sentence.find("could be") != std::string::npos);
    }
    for (const char* text : {"1.2.3", "1,23,456.7", "1.2345.678", "1,234.567,8"}) {
        INFO(text);
        CHECK_FALSE(parseMeasure(text, c));
    }
    c.dimension = Dimension::Duration;
    c.bareUnit = "min";
    CHECK(parseMeasure("1 h 15", c)->value == Approx(4500));
}

TEST_CASE(
    "a sentence made in metric units is said again in cups, inches and degrees Fahrenheit, and nothing else in it "
    "changes") {
    const auto us = [](const char* s) { return restated(s, UnitSystem::US); };
    CHECK(us("A wall is between 0 and 20 mm.") == "A wall is between 0 in and 3/4 in.");
    CHECK(us("Chocolate is poured between 20 and 60 °C, not at 80 °C.") ==
          "Chocolate is poured between 68 °F and 140 °F, not at 176 °F.");
    CHECK(us("At most 95.0 mm.") == "At most 3 3/4 in.");
    CHECK(us("1300 kg/m³ and 4.2 W/m²K stay, 3 pieces too; 12 min") ==
          "1300 kg/m³ and 4.2 W/m²K stay, 3 pieces too; 12 min");
    CHECK(restated("At most 95 mm.", UnitSystem::Metric) == "At most 95 mm.");
    for (const char* number : {"0.8", "12", "250"}) {  // what is said is what format says
        INFO(number);
        CHECK(us((std::string("It is ") + number + " mm.").c_str()) ==
              "It is " + format(std::atof(number) * 1e-3, Dimension::Length, UnitSystem::US) + ".");
    }
}

TEST_CASE(
    "seconds are said alike whoever asks: whole below a minute and a half, fives below five minutes, then minutes") {
    const auto said = [](double s) { return format(s, Dimension::Duration, UnitSystem::Metric); };
    CHECK(said(89) == "89 s");
    CHECK(said(229) == "3 min 50 s");
    CHECK(said(231) == "3 min 50 s");
    CHECK(said(238) == "4 min");
    CHECK(said(301) == "5 min");
    CHECK(said(3 * 3600 + 301) == "3 h 05 min");
}

TEST_CASE("a packet is as large as the chocolate is bought, a bar as it is sold") {
    TypingContext c;
    c.dimension = Dimension::Mass;
    c.looks = &io::library().looks;
    c.barMass = 0.1;
    c.packetMass = 2.5;
    CHECK(parseMeasure("two packets", c)->value == Approx(5));
    CHECK(parseMeasure("half a packet", c)->value == Approx(1.25));
    CHECK(parseMeasure("3 bars", c)->value == Approx(0.3));
}

namespace {

/// A decimal comma while it lives.
struct Comma {
    Comma() { setDecimalPoint(','); }
    ~Comma() { setDecimalPoint('.'); }
};

}  // namespace

TEST_CASE("where people write a comma, figures have one, and what is shown is read again as it was") {
    CHECK(decimal(2.5, 2) == "2.50");
    CHECK(significant(0.0401, 2) == "0.04");
    {
        const Comma comma;
        CHECK(decimal(2.5, 2) == "2,50");
        CHECK(decimal(-0.25, 1) == "-0,2");
        CHECK(significant(2.5, 3) == "2,5");
        CHECK(significant(3, 3) == "3");
        CHECK(format(0.0012, Dimension::Length, UnitSystem::Metric) == "1,2 mm");
        CHECK(format(1.234, Dimension::Mass, UnitSystem::Metric) == "1,23 kg");
        CHECK(format(0.0005, Dimension::Mass, UnitSystem::Metric) == "0,5 g");
        CHECK(format(31.5, Dimension::Temperature, UnitSystem::Metric) == "31,5 °C");
        CHECK(pointedHere("13.5 cm") == "13,5 cm");
        CHECK(pointedHere("1,234.5 g") == "1,234.5 g");
        CHECK(pointedHere("6. maybe") == "6. maybe");
        CHECK(format(100, Dimension::Length, UnitSystem::Metric) == "100 m");
        // sentences that are said in other units have it too
        CHECK(restated("It holds 12,5 mm, from 0.5 to 2,5 mm.", UnitSystem::US) ==
              "It holds 0,492 in, from 0,02 in to 0,098 in.");
        CHECK(spoken(Measure(0.0625), Dimension::Length, UnitSystem::Metric) == "62 mm");
        // ids and what a thermometer says are nobody's country
        batch::PotKey pot{"dark", material::Temper::Tempered, material::Thinner::VegetableOil, 0.025};
        CHECK(pot.id() == "dark-oil-2.5");
        // every figure that is shown can be typed back
        for (const auto dimension : {Dimension::Length, Dimension::Mass, Dimension::Volume, Dimension::Temperature})
            for (const auto units : {UnitSystem::Metric, UnitSystem::US})
                for (const auto detail : {Detail::Normal, Detail::Fine})
                    for (const double v : {0.00123, 0.0456, 1.2345, 7.5}) {
                        TypingContext context;
                        context.dimension = dimension;
                        context.comma = true;
                        const std::string shown = format(v, dimension, units, detail);
                        INFO(shown);
                        const auto read = parseMeasure(shown, context);
                        REQUIRE(read);
                        CHECK(format(read->value, dimension, units, detail) == shown);
                    }
    }
    CHECK(format(0.0012, Dimension::Length, UnitSystem::Metric) == "1.2 mm");
}

TEST_CASE(
    "three digits behind the mark that parts thousands elsewhere are asked about, behind the other they are not") {
    TypingContext here, there;
    here.dimension = there.dimension = Dimension::Mass;
    here.bareUnit = there.bareUnit = "kg";
    there.comma = true;
    CHECK_FALSE(parseMeasure("1,234 kg", here));
    CHECK(parseMeasure("1.234 kg", here)->value == Approx(1.234));
    CHECK(parseMeasure("1,234 kg", there)->value == Approx(1.234));
    const auto asked = parseMeasure("1.234 kg", there);
    REQUIRE_FALSE(asked);
    CHECK(asked.error().sentence.find("could be 1,234 or 1234") != std::string::npos);
    CHECK(parseMeasure("2.5 kg", there)->value == Approx(2.5));
}

}  // namespace uovo::quantity_test
