#include "core/words/mold_words.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <numbers>

#include "core/quantity/catalogue.h"
#include "core/quantity/words.h"

namespace uovo {
namespace {

using mold::Leaves;

constexpr double kWorthTelling = 0.02;  // of its surface beside the plane that two parts meet in

/// How a mold is held while it is filled, the original's top being up. @param up unit, of the original
std::string heldSo(const form::Vec3& up) {
    constexpr double kStands = 20, kLies = 70;  // degrees from standing
    const double turned = std::acos(std::clamp(up.z, -1.0, 1.0)) * 180 / std::numbers::pi;
    if (turned < kStands) return tr("as the original stands");
    if (turned > 180 - kStands) return tr("with the original's top down");
    if (turned > kLies && turned < 180 - kLies) return tr("lying on its side");
    return say("tilted by {:.0f}° from {}", turned < 90 ? turned : 180 - turned,
               turned < 90 ? tr("how the original stands") : tr("its head"));
}

}  // namespace

std::vector<std::string> moldWords(const mold::OwnMold& m, UnitSystem units) {
    std::vector<std::string> out;
    const auto share = [](double s) { return fmt::format("{:.0f} %", 100 * s); };
    const double caught = m.map.area > 0 ? m.map.caught / m.map.area : 0;
    const auto places = [](size_t many) { return sayMany("{} place", "{} places", int(many)); };
    const char* parts = m.map.parts == 1 ? tr("one part") : tr("two parts");
    switch (m.leaves) {
        case Leaves::Freely:
            out.push_back(say("It comes out of a mold of {} by itself.", parts));
            break;
        case Leaves::Stretched:
            if (m.map.parts == 2) {
                out.push_back(say(
                    "It comes out of a mold of two parts: {} of it is caught, and soft silicone bends over so little.",
                    share(caught)));
                break;
            }
            out.push_back(say(
                "{} of it is caught; a mold of one part stretches by {} to let it go, and such "
                "silicone bears about {} ({} to {}).",
                share(caught), share(m.map.stretch), share(m.stretches), share(m.stretchLow), share(m.stretchHigh)));
            break;
        case Leaves::Slit:
            out.push_back(
                say("A mold of one part would stretch by {}, more than such silicone bears ({}): cut "
                    "it down one side, and hold it shut with a rubber band while it is filled.",
                    share(m.map.stretch), share(m.stretches)));
            break;
        case Leaves::InPieces:
            out.push_back(
                say("{} of it is caught by every mold of {}, in {}: cast what branches off by "
                    "itself, and join it.",
                    share(caught), parts, places(m.map.trapped.size())));
            break;
    }
    if (m.map.parts == 2) {
        const double astray = m.map.area > 0 ? m.map.astray / m.map.area : 0;
        const double level = m.stands.at.z + m.map.parting;
        out.push_back(say("The parts meet {} above its lowest point{}.", format(level, Dimension::Length, units),
                          astray > kWorthTelling
                              ? say(", not all in one plane: {} of its surface lies on the other side "
                                    "of it",
                                    share(astray))
                              : ""));
    }
    if (!m.underIt.empty())
        out.push_back(say("Silicone keeps air under it in {}: brush a thin layer on first, pour beside it.",
                          places(m.underIt.size())));
    out.push_back(say("Fill it {}; tap it from below, then from the sides{}.", heldSo(m.fillUp),
                      m.inIt.empty() ? "" : tr(" under each top that keeps air")));
    if (!m.inIt.empty())
        out.push_back(say(
            "Chocolate keeps air in {}, the deepest {}: a vent there, or pipe them full first "
            "and tap.",
            sayMany("{} top", "{} tops", int(m.inIt.size())), format(m.inIt.front().depth, Dimension::Length, units)));
    return out;
}

}  // namespace uovo
