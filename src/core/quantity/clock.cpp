#include "core/quantity/clock.h"

#include <fmt/format.h>

#include <algorithm>
#include <cctype>
#include <charconv>
#include <chrono>
#include <cstdio>
#include <ctime>

#include "core/quantity/catalogue.h"

namespace uovo {

std::optional<long> localMinutes(const std::string& deadline) {
    int y = 0, mo = 0, d = 0, h = 0, mi = 0, used = 0;
    if (std::sscanf(deadline.c_str(), "%4d-%2d-%2dT%2d:%2d%n", &y, &mo, &d, &h, &mi, &used) != 5) return std::nullopt;
    const std::string rest = deadline.substr(static_cast<size_t>(used));
    if (!rest.empty() && rest != ":00") return std::nullopt;
    const std::chrono::year_month_day day{std::chrono::year(y), std::chrono::month(static_cast<unsigned>(mo)),
                                          std::chrono::day(static_cast<unsigned>(d))};
    if (!day.ok() || h < 0 || h > 23 || mi < 0 || mi > 59 || y < 1970) return std::nullopt;
    return std::chrono::sys_days(day).time_since_epoch().count() * 1440L + h * 60 + mi;
}

std::optional<int> clockMinutes(const std::string& words) {
    std::string said;
    for (const char c : words)
        if (!std::isspace(static_cast<unsigned char>(c)) && c != '.')
            said += static_cast<char>(std::tolower(static_cast<unsigned char>(c)));
        else if (c == '.' && !said.empty() && std::isdigit(static_cast<unsigned char>(said.back()))) said += ':';
    if (said == "noon") return 12 * 60;
    const bool morning = said.ends_with("am"), evening = said.ends_with("pm");
    if (morning || evening) said.resize(said.size() - 2);
    else if (said.ends_with('h')) said.pop_back();
    std::replace(said.begin(), said.end(), 'h', ':');
    const auto number = [](std::string_view text) -> std::optional<int> {
        int v = 0;
        const auto [end, error] = std::from_chars(text.data(), text.data() + text.size(), v);
        if (text.empty() || text.size() > 2 || error != std::errc() || end != text.data() + text.size() || v < 0)
            return std::nullopt;
        return v;
    };
    const size_t colon = said.find(':');
    const auto hour = number(std::string_view(said).substr(0, colon));
    const auto minute = colon == std::string::npos     ? std::optional(0)
                        : said.size() - colon - 1 == 2 ? number(std::string_view(said).substr(colon + 1))
                                                       : std::nullopt;
    if (!hour || !minute || *hour > 23 || *minute > 59) return std::nullopt;
    if (!morning && !evening) return *hour * 60 + *minute;
    if (*hour < 1 || *hour > 12) return std::nullopt;
    return (*hour % 12 + (evening ? 12 : 0)) * 60 + *minute;
}

std::string clockInWords(int minutes, UnitSystem units) {
    const int hour = minutes / 60, minute = minutes % 60;
    if (units == UnitSystem::Metric) return fmt::format("{:02}:{:02}", hour, minute);
    return fmt::format("{}:{:02} {}", (hour + 11) % 12 + 1, minute, hour < 12 ? "am" : "pm");
}

std::string localTime(long minutes) {
    const std::chrono::sys_days day{std::chrono::floor<std::chrono::days>(std::chrono::minutes(minutes))};
    const std::chrono::year_month_day ymd{day};
    const long rest = minutes - day.time_since_epoch().count() * 1440L;
    return fmt::format("{:04}-{:02}-{:02}T{:02}:{:02}", static_cast<int>(ymd.year()),
                       static_cast<unsigned>(ymd.month()), static_cast<unsigned>(ymd.day()), rest / 60, rest % 60);
}

namespace {

/// The instant at which clocks here show a local time.
std::time_t instant(long local) {
    const std::time_t naive = local * 60;
    std::tm t{};
    ::gmtime_r(&naive, &t);
    t.tm_isdst = -1;
    return std::mktime(&t);
}

}  // namespace

std::string localTimeAfter(long local, long minutes) {
    const std::time_t then = instant(local) + minutes * 60;
    std::tm t{};
    if (!::localtime_r(&then, &t)) return localTime(local + minutes);
    return localTime((then + t.tm_gmtoff) / 60);
}

long minutesBetween(long from, long to) { return (instant(to) - instant(from)) / 60; }

std::string dateInWords(const std::string& date) {
    static const char* const kMonths[] = {tr("January"),   tr("February"), tr("March"),    tr("April"),
                                          tr("May"),       tr("June"),     tr("July"),     tr("August"),
                                          tr("September"), tr("October"),  tr("November"), tr("December")};
    if (!localMinutes(date + "T00:00")) return date;
    const int month = std::atoi(date.c_str() + 5), day = std::atoi(date.c_str() + 8);
    return fmt::format("{} {} {}", day, kMonths[month - 1], date.substr(0, 4));
}

}  // namespace uovo
