#include "core/log/evening.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <set>
#include "core/quantity/catalogue.h"

namespace uovo::log {

std::vector<const Entry*> Evening::held() const {
    std::set<std::int64_t> gone;
    for (const auto& e : entries)
        if (e.replaces != 0) gone.insert(e.replaces);
    std::vector<const Entry*> out;
    for (const auto& e : entries)
        if (e.is != Entry::Is::TakenBack && !gone.contains(e.id)) out.push_back(&e);
    return out;
}

learn::Evening Evening::taught() const {
    learn::Evening out{id, date, plan, bags, {}};
    for (const auto* e : held())
        if (e->is == Entry::Is::Measured) out.records.push_back(e->record);
    return out;
}

std::vector<std::int64_t> Evening::taughtFrom() const {
    std::vector<std::int64_t> out;
    for (const auto* e : held())
        if (e->is == Entry::Is::Measured) out.push_back(e->id);
    return out;
}

std::map<std::string, Evening::Count> Evening::counts() const {
    std::map<std::string, Count> out;
    for (const auto* e : held())
        if (e->is == Entry::Is::Made) out[e->piece] = {e->count, e->of};
    return out;
}

int Evening::stars(const std::string& piece) const {
    int out = 0;
    for (const auto* e : held())
        if (e->is == Entry::Is::Stars && e->piece == piece) out = e->count;
    return out;
}

std::string wrongWith(const Entry& e, const Evening& evening) {
    using Is = Entry::Is;
    const auto isThere = [&](std::int64_t id) {
        return std::ranges::any_of(evening.entries, [&](const Entry& o) { return o.id == id; });
    };
    if (!e.piece.empty() && !evening.plan.piece(e.piece))
        return say("The plan of that evening has no piece “{}”.", e.piece);
    if (e.replaces != 0 && !isThere(e.replaces)) return tr("What it corrects is not there.");
    if (e.at.size() > 40 || e.words.size() > 20'000) return tr("That is too long to keep.");
    switch (e.is) {
        case Is::Made:
            if (e.piece.empty()) return tr("Say which piece came out whole.");
            if (e.of < 1 || e.of > 10'000 || e.count < 0 || e.count > e.of)
                return say("{} of {} cannot have come out whole.", e.count, e.of);
            break;
        case Is::Failed:
            if (e.fault.empty()) return tr("Say what went wrong.");
            if (e.count < 0 || e.count > 10'000) return tr("So many cannot have failed.");
            break;
        case Is::Left:
            if (e.chocolate.empty() || !(e.value >= 0 && e.value <= 1000))
                return tr("Say how much was left, and of what.");
            break;
        case Is::Stars:
            if (e.count < 1 || e.count > 5) return tr("Stars are one to five.");
            break;
        case Is::Said:
            if (e.words.empty()) return tr("There is nothing to keep.");
            break;
        case Is::Photo:
            if (e.photo.empty()) return tr("There is no picture.");
            if (e.photo.size() > kMostPhoto) return tr("The picture is larger than 8 MB.");
            break;
        case Is::TakenBack:
            if (e.replaces == 0) return tr("Say what is taken back.");
            break;
        case Is::Measured:
            if (!e.record.piece.empty() && !evening.plan.piece(e.record.piece))
                return say("The plan of that evening has no piece “{}”.", e.record.piece);
            break;
    }
    return {};
}

}  // namespace uovo::log
