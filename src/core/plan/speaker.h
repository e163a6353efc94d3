// What the sentences about coated pieces and about parts share: figures in the plan's units, and how a filling fits.
#pragma once
#include <fmt/format.h>

#include "core/plan/answers.h"

namespace uovo {

/// Says figures in the units of a plan.
class Speaker {
protected:
    Speaker(const Piece& piece, const Plan& plan) : piece_(piece), plan_(plan) {}

    std::string length(double m) const { return format(m, Dimension::Length, plan_.units); }
    std::string mass(double kg) const { return format(kg, Dimension::Mass, plan_.units); }
    std::string volume(double v) const { return format(v, Dimension::Volume, plan_.units); }
    std::string temperature(double c) const { return format(c, Dimension::Temperature, plan_.units); }
    std::string time(double s) const { return format(s, Dimension::Duration, plan_.units); }
    /// With a small first letter, to go on in a sentence.
    static std::string lower(std::string s) {
        if (!s.empty()) s[0] = static_cast<char>(std::tolower(static_cast<unsigned char>(s[0])));
        return s;
    }
    /// Capacity as an answer: how the filling fits, or `otherwise` where there is none.
    Answer held(double capacity, const char* after, std::string otherwise) const {
        Answer a;
        a.id = "holds";
        a.figure = {capacity, capacity, capacity, Dimension::Volume};
        a.headline = volume(capacity);
        a.after = after;
        a.sentence = std::move(otherwise);
        a.working.title = "What it holds";
        a.working.result = a.headline;
        if (!piece_.filling) return a;
        const double each = piece_.filling->each.value;
        if (each > capacity) {
            a.tone = Tone::Impossible;
            a.sentence = fmt::format("{} of {} do not fit.", volume(each), piece_.filling->name);
            return a;
        }
        a.tone = each > 0.9 * capacity ? Tone::Weak : Tone::Plain;
        a.sentence = fmt::format("{} of {} fill it to {}", volume(each), piece_.filling->name, format(each / capacity, Dimension::Percent, plan_.units));
        a.sentence += piece_.count > 1 ? fmt::format("; {} for all {}.", volume(each * piece_.count), piece_.count) : ".";
        return a;
    }

    const Piece& piece_;
    const Plan& plan_;
};

}  // namespace uovo
