// The day as a calendar: read back line by line as RFC 5545 has it, and by libical's own parser.
#include <libical/ical.h>

#include <set>

#include "core/words/words.h"
#include "io/calendar.h"
#include "support.h"
#include "support_command.h"
#include "support_files.h"

namespace uovo::calendar_test {
namespace {

constexpr long kNow = 20669L * 1440 + 8 * 60;

std::string nameOf(icalcomponent* event) { return icalcomponent_get_summary(event); }

}  // namespace

TEST_CASE("a calendar is what RFC 5545 asks for: CRLF, no line above 75 bytes, what must be there is there") {
    const Plan plan = test::demo();
    const auto a = test::answersOf(plan);
    const std::string text = io::calendarOf(plan, *a.day, std::nullopt, kNow);
    CHECK(text.starts_with("BEGIN:VCALENDAR\r\n"));
    CHECK(text.ends_with("END:VCALENDAR\r\n"));
    size_t at = 0, events = 0, stamps = 0, uids = 0;
    while (at < text.size()) {
        const size_t end = text.find("\r\n", at);
        REQUIRE(end != std::string::npos);
        CHECK(end - at <= 75);
        const std::string line = text.substr(at, end - at);
        CHECK(line.find('\n') == std::string::npos);
        events += line == "BEGIN:VEVENT";
        stamps += line.starts_with("DTSTAMP:");
        uids += line.starts_with("UID:");
        at = end + 2;
    }
    CHECK(events > 8);
    CHECK(stamps == events);
    CHECK(uids == events);
}

TEST_CASE("read back, every step stands in an entry of its person, at its time, with an alarm before") {
    const Plan plan = test::demo();
    const auto a = test::answersOf(plan);
    const auto& day = *a.day;
    std::string notes;
    std::set<std::string> ids;
    for (size_t p = 0; p < day.network.people.size(); ++p) {
        icalcomponent* read = icalparser_parse_string(io::calendarOf(plan, day, p, kNow).c_str());
        REQUIRE(read);
        CHECK(icalcomponent_count_errors(read) == 0);
        int before = -1;
        for (auto* e = icalcomponent_get_first_component(read, ICAL_VEVENT_COMPONENT); e;
             e = icalcomponent_get_next_component(read, ICAL_VEVENT_COMPONENT)) {
            const auto begin = icalcomponent_get_dtstart(e), end = icalcomponent_get_dtend(e);
            const int minute = (begin.day * 24 + begin.hour) * 60 + begin.minute;  // within one month
            CHECK(minute >= before);
            CHECK((end.day * 24 + end.hour) * 60 + end.minute > minute);
            before = minute;
            ids.insert(icalcomponent_get_uid(e));
            notes += icalcomponent_get_description(e);
            const bool rest = nameOf(e) == "Rest";
            CHECK((icalcomponent_get_first_component(e, ICAL_VALARM_COMPONENT) != nullptr) == !rest);
        }
        icalcomponent_free(read);
    }
    for (const auto& t : day.network.tasks)
        if (t.step != "burst") {
            INFO(t.title);
            CHECK(notes.find(t.title) != std::string::npos);
        }
    CHECK(ids.size() > 8);
}

TEST_CASE("the day as text has every step once, the day before under its date, and one person's alone") {
    Plan plan = test::demo();
    plan.pieces.resize(2);
    plan.day.ahead = {{plan.pieces[0].id, 1}};
    const auto a = test::answersOf(plan);
    const std::string all = dayText(plan, io::library(), *a.day, nullptr, std::nullopt),
                      mine = dayText(plan, io::library(), *a.day, nullptr, 0);
    CHECK(all.find(a.day->clock(a.day->layout.begins).substr(0, 10)) != std::string::npos);
    CHECK(all.find(plan.deadline.substr(0, 10)) != std::string::npos);
    for (const auto& t : a.day->network.tasks)
        if (t.step != "burst") CHECK(all.find(t.title) != std::string::npos);
    CHECK(mine.size() < all.size());
    for (const auto& t : a.day->network.tasks)  // its cautions too, each once
        for (const auto& caution : cautionsOf(t, io::library())) {
            const size_t at = all.find(caution);
            REQUIRE(at != std::string::npos);
            CHECK(all.find(caution, at + 1) == std::string::npos);
        }
    plan.units = UnitSystem::US;
    CHECK(dayText(plan, io::library(), *test::answersOf(plan).day, nullptr, std::nullopt).find(" pm") !=
          std::string::npos);
}

TEST_CASE("the command prints the day, writes a calendar, and says what is wrong") {
    const test::Folder folder("day");
    Plan one = test::demo();
    one.pieces.resize(1);
    const std::string plan = folder.write("plan.uovo", writePlan(one)), ics = folder("day.ics");
    const auto run = [](const std::string& args, int& code) {
        return test::printedBy(std::string(UOVO_CLI) + " day " + args, &code);
    };
    int code = -1;
    const std::string listed = run(plan, code);
    CHECK(code == 0);
    CHECK(listed.find("begin by") != std::string::npos);
    CHECK(listed.find("such days are ready") != std::string::npos);
    run(plan + " --calendar " + ics, code);
    CHECK(code == 0);
    std::ifstream file(ics);
    std::string first;
    std::getline(file, first);
    CHECK(first == "BEGIN:VCALENDAR\r");
    run(plan + " --person 9", code);
    CHECK(code == 2);
    run(plan + " --person x", code);
    CHECK(code == 2);
    run(folder("none.uovo"), code);
    CHECK(code == 1);
}

}  // namespace uovo::calendar_test
