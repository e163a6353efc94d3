#include "core/log/run_evening.h"

#include <algorithm>
#include <array>

#include "core/learn/run_records.h"
#include "core/quantity/clock.h"

namespace uovo::log {

std::string faultOf(run::Mishap mishap) {
    switch (mishap) {
        case run::Mishap::Broke:
            return "broke-on-release";
        case run::Mishap::BareSpots:
            return "bare-spots";
        case run::Mishap::PotSet:
            return "set-in-bowl";
        case run::Mishap::Seized:
            return "thick";
        case run::Mishap::RanOut:
            return "ran-out";
        default:
            return {};
    }
}

std::string lessonOf(const std::string& fault) {
    static constexpr std::array<std::pair<const char*, const char*>, 11> kPractised{{{"streaks", "tempering"},
                                                                                     {"dull", "tempering"},
                                                                                     {"thick", "keeping"},
                                                                                     {"set-in-bowl", "keeping"},
                                                                                     {"thin-rim", "pouring"},
                                                                                     {"thin-crown", "pouring"},
                                                                                     {"bare-spots", "pouring"},
                                                                                     {"broke-on-release", "releasing"},
                                                                                     {"crack", "releasing"},
                                                                                     {"joint", "gluing"},
                                                                                     {"leaning", "gluing"}}};
    const auto* it =
        std::find_if(kPractised.begin(), kPractised.end(), [&](const auto& p) { return fault == p.first; });
    return it == kPractised.end() ? std::string() : it->second;
}

Evening eveningOf(const run::Run& run, const Plan& plan, std::string text) {
    const learn::Evening weighed = learn::eveningOf(run, plan);
    Evening out{weighed.id, weighed.date, plan, weighed.bags, std::move(text), {}};
    const auto put = [&](Entry entry, double second) {
        entry.id = static_cast<std::int64_t>(out.entries.size()) + 1;
        if (const auto begun = localMinutes(run.begun())) entry.at = localTime(*begun + static_cast<long>(second / 60));
        out.entries.push_back(std::move(entry));
    };
    for (const auto& r : weighed.records) {
        Entry e;
        e.is = Entry::Is::Measured;
        e.record = r;
        put(std::move(e), run.now());
    }
    for (const auto& s : run.steps()) {  // only where hands came from another step: a wait is no work
        const auto& state = run.state(s.id);
        const double took = (state.to - state.from) / run::kMinute;
        constexpr int kLeast = 2;                     // min planned: a shorter one is told in whole minutes
        constexpr double kMost = 5, kShortest = 0.2;  // of what was planned: beyond it was told late, or at once
        if (state.is != run::StepState::Is::Done || s.minutes < kLeast || s.who == 0 ||
            state.from <= s.at * run::kMinute + 1 || run.due(s) > state.from + 1 || took > kMost * s.minutes ||
            took < kShortest * s.minutes)
            continue;
        Entry e;
        e.is = Entry::Is::Measured;
        e.record.is = learn::Record::Is::Took;
        e.record.task = s.kind.substr(0, s.kind.find('-'));
        e.record.value = took;
        e.record.book = s.minutes / plan.kitchen.pace;
        put(std::move(e), state.to);
    }
    for (const auto* h : run.held()) {
        if (h->kind != run::Kind::Happened) continue;
        Entry e;
        e.is = Entry::Is::Failed;
        e.fault = faultOf(h->mishap);
        const std::string piece = h->piece.substr(0, h->piece.find('~'));
        if (plan.piece(piece)) e.piece = piece;
        e.count = std::max(1, h->count);
        if (!e.fault.empty()) put(std::move(e), h->at);
    }
    for (const auto& p : run.pieces()) {
        if (!plan.piece(p.count.piece)) continue;
        Entry e;
        e.is = Entry::Is::Made;
        e.piece = p.count.piece;
        e.of = p.count.made + p.again;
        e.count = std::clamp(p.whole(), 0, e.of);
        if (e.of > 0) put(std::move(e), run.now());
    }
    return out;
}

std::vector<Entry> sinceThen(const Evening& kept, const Evening& now) {
    std::vector<Entry> out;
    auto held = kept.held();
    for (const Entry* entry : now.held()) {
        Entry e = *entry;
        const auto like = [&](const Entry* old) {
            Entry same = *old;
            same.id = e.id, same.at = e.at, same.replaces = e.replaces;
            return same == e;
        };
        const auto count = [&](const Entry* old) {
            return e.is == Entry::Is::Made && old->is == e.is && old->piece == e.piece;
        };
        // each stands for one: two bowls that weigh the same are two
        if (const auto it = std::ranges::find_if(held, like); it != held.end()) {
            held.erase(it);
            continue;
        }
        e.id = 0;
        if (const auto it = std::ranges::find_if(held, count); it != held.end()) {
            e.replaces = (*it)->id;
            held.erase(it);
        }
        out.push_back(std::move(e));
    }
    return out;
}

}  // namespace uovo::log
