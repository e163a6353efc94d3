// Where each piece stands at a minute of the day, and when each pot is used.
#include <algorithm>
#include <map>

#include "core/day/day.h"
#include "core/quantity/catalogue.h"

namespace uovo {

std::vector<Sitting> sittings(const DayPlan& day, const batch::Pot& pot) {
    std::vector<Sitting> out;
    if (!day.problem.empty()) return out;
    const std::string id = pot.key.id();
    const auto& net = day.network;
    for (const auto& hold : net.holds)
        if (const auto& r = net.resources[static_cast<size_t>(hold.resource)];
            r.kind == schedule::Resource::Kind::Pot && r.id == id) {
            const auto task = static_cast<size_t>(hold.from);
            out.push_back({day.layout.start[task], net.tasks[task].title});
        }
    std::stable_sort(out.begin(), out.end(), [](const auto& a, const auto& b) { return a.minute < b.minute; });
    return out;
}

std::vector<PieceState> statesAt(const Plan& plan, const DayPlan& day, int minute) {
    std::vector<PieceState> out;
    for (const auto& piece : plan.pieces) {
        std::map<int, std::pair<PieceState, int>> rounds;  // round → state and the start of what it is after
        for (const auto& t : day.network.tasks)
            if (t.piece == piece.id && t.round > 0) {
                PieceState& s = rounds[t.round].first;
                s.piece = piece.id;
                s.round = t.round;
                s.which = t.which;
                s.words = tr("not begun");
                rounds[t.round].second = -1000000;
            }
        for (size_t i = 0; i < day.layout.start.size(); ++i) {
            const auto& t = day.network.tasks[i];
            const int begin = day.layout.start[i];
            if (t.piece != piece.id || t.step == "make-filling") continue;
            if (begin > minute) {
                for (auto& [round, entry] : rounds)
                    if (int& next = entry.first.next; (t.round == 0 || t.round == round) &&
                                                      (next < 0 || begin < day.layout.start[static_cast<size_t>(next)]))
                        next = static_cast<int>(i);
                continue;
            }
            const bool done = begin + t.minutes <= minute;
            for (auto& [round, entry] : rounds) {
                if (t.round != 0 && t.round != round) continue;
                auto& [s, latest] = entry;
                if (t.lane == "coat" && t.coat > 0 && done) s.coats = std::max(s.coats, t.coat);
                if (t.lane == "release" && done) s.released = true;
                if (t.step == "fill" && done) s.filled = true;
                if (begin < latest) continue;
                latest = begin;
                s.cold = t.lane == "cold" && done;
                s.words = !done                 ? t.title
                          : t.lane == "cold"    ? tr("in the cold")
                          : t.lane == "release" ? tr("off its former")
                          : t.step == "fill"    ? "filled"
                          : t.step == "wrap"    ? "boxed"
                          : t.lane == "prepare" ? tr("former ready")
                          : t.lane == "finish"  ? "trimmed"
                                                : tr("on the bench");
            }
        }
        for (auto& [round, entry] : rounds) out.push_back(entry.first);
    }
    return out;
}

}  // namespace uovo
