#include "io/calendar.h"

#include <fmt/format.h>
#include <libical/ical.h>

#include <memory>

#include "core/quantity/words.h"

namespace uovo::io {
namespace {

constexpr int kLeast = 10, kWords = 20, kAlarmBefore = 5;  // min

struct Free {
    void operator()(icalcomponent* c) const { icalcomponent_free(c); }
};

/// A clock time without a zone.
icaltimetype timeAt(const std::string& clock) {
    std::string plain;  // "2026-08-04T14:18" as "20260804T141800"
    for (const char c : clock)
        if (c != '-' && c != ':') plain += c;
    return icaltime_from_string((plain + "00").c_str());
}

icalcomponent* alarm(const std::string& words) {
    icaltriggertype trigger{};
    trigger.duration = icaldurationtype_from_int(-kAlarmBefore * 60);
    return icalcomponent_vanew(ICAL_VALARM_COMPONENT, icalproperty_new_action(ICAL_ACTION_DISPLAY),
                               icalproperty_new_description(words.c_str()), icalproperty_new_trigger(trigger), nullptr);
}

}  // namespace

std::string calendarOf(const Plan& plan, const DayPlan& day, std::optional<size_t> person, long now) {
    const std::unique_ptr<icalcomponent, Free> calendar(
        icalcomponent_vanew(ICAL_VCALENDAR_COMPONENT, icalproperty_new_version("2.0"),
                            icalproperty_new_prodid("-//Uovo//day//EN"), nullptr));
    const icaltimetype written = timeAt(localTime(now));
    for (size_t k = 0; k < day.before.size() && (!person || *person == 0); ++k) {
        const Before& b = day.before[k];
        icaltimetype stamp = written;
        stamp.zone = icaltimezone_get_utc_timezone();
        icalcomponent_add_component(
            calendar.get(),
            icalcomponent_vanew(ICAL_VEVENT_COMPONENT,
                                icalproperty_new_uid(fmt::format("{}-before-{}@uovo", day.clock(0), b.piece).c_str()),
                                icalproperty_new_dtstamp(stamp), icalproperty_new_dtstart(timeAt(day.clock(b.latest))),
                                icalproperty_new_dtend(timeAt(day.clock(b.latest + b.minutes))),
                                icalproperty_new_summary(b.title.c_str()),
                                icalproperty_new_description(b.words.c_str()), alarm(b.title), nullptr));
    }
    for (size_t p = 0; p < day.network.people.size(); ++p) {
        if (person && *person != p) continue;
        int number = 0;
        for (const auto& f : flowsOf(day, p, kLeast, kWords)) {
            std::string title = upperFirst(f.rest ? "rest" : f.verb + (f.who.empty() ? "" : " " + f.who)), notes;
            if (!person && day.network.people.size() > 1) title += " (" + day.network.people[p].name + ")";
            for (const int t : f.tasks)
                notes += day.said(day.layout.start[static_cast<size_t>(t)], plan.units) + " " +
                         day.network.tasks[static_cast<size_t>(t)].title + "\n";
            icaltimetype stamp = written;
            stamp.zone = icaltimezone_get_utc_timezone();
            icalcomponent_add_component(
                calendar.get(),
                icalcomponent_vanew(
                    ICAL_VEVENT_COMPONENT,
                    icalproperty_new_uid(
                        fmt::format("{}-{}-{}-{}@uovo", day.clock(0), p, ++number, plan.pieces.size()).c_str()),
                    icalproperty_new_dtstamp(stamp), icalproperty_new_dtstart(timeAt(day.clock(f.from))),
                    icalproperty_new_dtend(timeAt(day.clock(f.to))), icalproperty_new_summary(title.c_str()),
                    icalproperty_new_description(notes.c_str()), f.rest ? nullptr : alarm(title), nullptr));
        }
    }
    char* text = icalcomponent_as_ical_string_r(calendar.get());
    std::string out = text ? text : "";
    icalmemory_free_buffer(text);
    return out;
}

}  // namespace uovo::io
