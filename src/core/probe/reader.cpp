#include "core/probe/reader.h"

#include <charconv>
#include <cmath>

namespace uovo::probe {
namespace {

constexpr size_t kLongest = 120;                                  // bytes of a line
constexpr double kColdest = -60, kHottest = 250, kHeaviest = 50;  // °C, kg: beyond it a sensor is broken

std::string_view trimmed(std::string_view s) {
    while (!s.empty() && (s.front() == ' ' || s.front() == '\t')) s.remove_prefix(1);
    while (!s.empty() && (s.back() == ' ' || s.back() == '\t' || s.back() == '\r')) s.remove_suffix(1);
    return s;
}

bool clean(std::string_view s) {
    for (const char c : s)
        if (static_cast<unsigned char>(c) < 0x20 || static_cast<unsigned char>(c) == 0x7f) return false;
    return true;
}

}  // namespace

bool readLine(std::string_view line, Reading& out) {
    line = trimmed(line);
    if (line.empty() || line.size() > kLongest || !clean(line)) return false;
    if (line.starts_with("uovo-probe 1")) {
        out = {Reading::Kind::Hello, 0, std::string(trimmed(line.substr(12)))};
        return line.size() == 12 || line[12] == ' ';
    }
    if (line[0] == '!') {
        out = {Reading::Kind::Remark, 0, std::string(trimmed(line.substr(1)))};
        return true;
    }
    double clock = -1;
    if (const size_t at = line.rfind('@'); at != std::string_view::npos) {  // the device's own clock
        const std::string_view digits = line.substr(at + 1);
        const auto [stop, wrong] = std::from_chars(digits.data(), digits.data() + digits.size(), clock);
        if (wrong != std::errc() || stop != digits.data() + digits.size() || !std::isfinite(clock) || clock < 0)
            return false;
        line = trimmed(line.substr(0, at));
    }
    if (line.size() < 3 || line[1] != ' ' || (line[0] != 'T' && line[0] != 'M')) return false;
    std::string_view rest = trimmed(line.substr(2));
    double v = 0;
    const auto [end, error] = std::from_chars(rest.data(), rest.data() + rest.size(), v);
    if (error != std::errc() || !std::isfinite(v)) return false;
    const std::string_view unit = trimmed(rest.substr(static_cast<size_t>(end - rest.data())));
    if (line[0] == 'T') {
        if (unit == "F") v = (v - 32) / 1.8;
        else if (unit != "C" && !unit.empty()) return false;
        if (v < kColdest || v > kHottest) return false;
        out = {Reading::Kind::Temperature, v, "", clock};
        return true;
    }
    if (unit == "oz") v *= 0.028349523125;
    else if (unit == "g" || unit.empty()) v *= 1e-3;
    else return false;
    if (v < -kHeaviest || v > kHeaviest) return false;
    out = {Reading::Kind::Mass, v, "", clock};
    return true;
}

std::vector<Reading> Reader::feed(std::string_view bytes) {
    std::vector<Reading> out;
    for (const char c : bytes) {
        if (c == '\n') {
            Reading r;
            if (skipping_ || !readLine(line_, r)) garbage_ += skipping_ || !trimmed(line_).empty();
            else out.push_back(std::move(r));
            line_.clear();
            skipping_ = false;
        } else if (skipping_) {
            continue;
        } else if (line_.size() >= kLongest) {
            line_.clear();
            skipping_ = true;
        } else {
            line_ += c;
        }
    }
    return out;
}

}  // namespace uovo::probe
