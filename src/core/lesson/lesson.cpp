#include "core/lesson/lesson.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

#include "core/lesson/scenes.h"
#include "core/quantity/catalogue.h"

namespace uovo::lesson {
namespace {

constexpr double kStep = 0.5;       // s
constexpr double kRibbon = 2.5;     // times the yield stress at which it stands instead of falling in a ribbon
constexpr double kThickest = 0.55;  // crystal fraction up to which viscosity is known

}  // namespace

const std::vector<Kind>& kinds() {
    static const std::vector<Kind> all{
        {"tempering", tr("Temper a bowl"), tr("Seed it, let it fall, test a smear: when is it ready?")},
        {"keeping", tr("Keep it in hand"), tr("Six bowls from one pot that cools while you dip.")},
        {"pouring", tr("Pour out in time"), tr("How long does it stand in the mold until its wall is right?")},
        {"releasing", tr("Let it let go"), tr("Frosted or dark: when does it come out whole?")},
        {"gluing", tr("Glue and hold"), tr("A part set on, and held until it stays.")}};
    return all;
}

std::unique_ptr<Lesson> begin(const std::string& id, const material::Library& library, UnitSystem units) {
    if (id == "tempering") return tempering(library, units);
    if (id == "keeping") return keeping(library, units);
    if (id == "pouring") return pouring(library, units);
    if (id == "releasing") return releasing(library, units);
    if (id == "gluing") return gluing(library, units);
    return nullptr;
}

material::Coating plainCoating(const material::Library& library, const std::string& id, material::Temper temper) {
    return *material::coating(*library.find(id), temper, material::Thinner::None, 0, {}, library.physics);
}

double ribbonOf(const material::Coating& c, double celsius, double crystals) {
    const double usual = material::yieldStress(c, c.working(), c.crystalsAtStart);
    const double now = material::yieldStress(c, celsius, std::min(crystals, kThickest));
    return std::clamp(0.5 + 0.5 * std::log(now / usual) / std::log(kRibbon), 0.0, 1.0);
}

double drained(const material::Coating& c, double celsius, double crystals, double height, double seconds) {
    const double weight = c.densityMelt * kGravity, X = std::min(crystals, kThickest);
    return material::yieldStress(c, celsius, X) / weight +
           std::sqrt(material::viscosity(c, celsius, X) * height / (weight * std::max(1.0, seconds)));
}

void Lesson::pass(double seconds) {
    for (double left = seconds; left > 1e-9 && !told_ && !over_; left -= kStep) {
        const double dt = std::min(left, kStep);
        time_ += dt;
        step(dt);
    }
}

std::vector<Act> Lesson::acts() const {
    if (over_) return {};
    if (!told_) return offered();
    if (rounds_.size() < tries()) return {{"next", tr("The next one")}};
    return {{"end", tr("What did it teach?")}};
}

bool Lesson::act(const std::string& id) {
    if (std::ranges::none_of(acts(), [&](const Act& a) { return a.id == id; })) return false;
    if (told_) {
        told_ = false;
        if (id == "end") {
            over_ = true;
        } else {
            time_ = 0;
            begin(rounds_.size());
        }
    } else {
        done(id);
    }
    return true;
}

std::string Lesson::now() const { return told_ ? rounds_.back().words : over_ ? outcome() : scene(); }

void Lesson::tell(Round round, bool goesOn) {
    rounds_.push_back(std::move(round));
    told_ = !goesOn || rounds_.size() >= tries();
}

std::string Lesson::degrees(double celsius) const {
    return format(std::round(10 * celsius) / 10, Dimension::Temperature, units_);
}

std::string Lesson::outcome() const {
    const auto well = std::ranges::count_if(rounds_, &Round::good);
    double minutes = 0, kilograms = 0;
    for (const auto& r : rounds_) minutes += r.minutes, kilograms += r.kilograms;
    std::string out = say("{} of {} went well, in {} of the kitchen.", well, rounds_.size(),
                          format(60 * std::round(std::max(1.0, minutes)), Dimension::Duration, units_));
    if (kilograms > 1e-3) out += say(" It cost {} of chocolate; most of it can be melted again.", mass(kilograms));
    return out + " " + remember();
}

}  // namespace uovo::lesson
