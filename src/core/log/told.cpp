#include "core/log/told.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

#include "core/quantity/catalogue.h"
#include "core/quantity/clock.h"
#include "core/quantity/words.h"
#include "core/run/run_json.h"

namespace uovo::log {
namespace {

std::string pieceName(const Evening& evening, const std::string& id) {
    const Piece* p = evening.plan.piece(id);
    return p ? p->name : id;
}

std::string recordTold(const learn::Record& r, const Evening& evening) {
    const UnitSystem units = evening.plan.units;
    const auto shown = [&](double v, Dimension d) { return format(v, d, units); };
    const std::string piece = pieceName(evening, r.piece);
    switch (r.is) {
        case learn::Record::Is::Weighed: {
            const std::string what = r.of > 1 ? fmt::format("{} of {}", r.of, piece) : piece;
            const std::string when = r.coats > 0 ? say(", after coat {}", r.coats) : "";
            return fmt::format("{}{}: {}", what, when, shown(r.value, Dimension::Mass));
        }
        case learn::Record::Is::Rim:
            return say("{}, its rim: {}", piece, shown(r.value, Dimension::Length));
        case learn::Record::Is::Touched: {
            std::string out = piece + (r.foot ? tr(", touched at its foot: ") : tr(", touched at its rim: "));
            if (r.notAt > 0) out += say("not firm at {}", shown(r.notAt, Dimension::Duration));
            if (std::isfinite(r.at))
                out += say("{}firm at {}", r.notAt > 0 ? ", " : "", shown(r.at, Dimension::Duration));
            return out;
        }
        case learn::Record::Is::Spoon:
            return say("A spoonful lay {} wide", shown(r.value, Dimension::Length));
        case learn::Record::Is::Took:
            return say("{} took {}; the book says {}", r.task.empty() ? tr("A task") : "“" + tr(spaced(r.task)) + "”",
                       shown(60 * r.value, Dimension::Duration), shown(60 * r.book, Dimension::Duration));
    }
    return {};
}

}  // namespace

std::string told(const Entry& e, const Evening& evening, const material::Library& library) {
    const std::string of = e.piece.empty() ? std::string() : pieceName(evening, e.piece) + ": ";
    switch (e.is) {
        case Entry::Is::Measured:
            return recordTold(e.record, evening) + ".";
        case Entry::Is::Made:
            return say("{}{} of {} came out whole.", of, e.count, e.of);
        case Entry::Is::Failed: {
            const auto* fault = library.fault(e.fault);
            std::string out = of + (fault ? fault->name : e.fault);
            if (e.count > 1) out += say(" ({} of them)", e.count);
            if (fault)
                for (const auto& c : fault->causes)
                    if (c.id == e.cause) out += fmt::format(". {}", c.words);
            return out + ".";
        }
        case Entry::Is::Left: {
            const auto* c = library.find(e.chocolate);
            return say("{} left of {}.", format(e.value, Dimension::Mass, evening.plan.units),
                       c ? c->name : e.chocolate);
        }
        case Entry::Is::Stars:
            return say("{}{} of 5 stars.", of, e.count);
        case Entry::Is::Said:
            return of + e.words;
        case Entry::Is::Photo:
            return of + (e.words.empty() ? std::string(tr("A picture.")) : e.words);
        case Entry::Is::TakenBack:
            return tr("Taken back.");
    }
    return {};
}

std::vector<Beside> beside(const Evening& evening, const PlanFigures& planned) {
    std::vector<Beside> out;
    for (const auto* e : evening.held()) {
        if (e->is != Entry::Is::Measured) continue;
        const auto& r = e->record;
        const PieceAnswers* known = r.piece.empty() ? nullptr : planned.piece(r.piece);
        if (!known || !known->made || !known->made->wall) continue;
        const auto& wall = *known->made->wall;
        Beside b;
        b.piece = r.piece;
        double less = 1 - CoatedWall::kLess, more = 1 + CoatedWall::kMore;
        if (known->made->mass > 0 && known->made->massHigh > known->made->massLow) {
            less = known->made->massLow / known->made->mass;
            more = known->made->massHigh / known->made->mass;
        }
        if (r.is == learn::Record::Is::Weighed) {
            const size_t coats =
                r.coats > 0 ? std::min(wall.coats.size(), static_cast<size_t>(r.coats)) : wall.coats.size();
            for (size_t k = 0; k < coats; ++k) b.planned += wall.coats[k].added;
            b.real = r.value / r.of;
            b.words = say("after coat {}", coats);
        } else if (r.is == learn::Record::Is::Rim) {
            b.planned = wall.rim;
            b.real = r.value;
            b.words = tr("at the rim");
            b.dimension = Dimension::Length;
        } else if (r.is == learn::Record::Is::Touched && std::isfinite(r.at) && !wall.setting.empty()) {
            b.planned = r.foot ? wall.setting.back().firm : wall.CoatTimes::rim.firm;
            b.real = r.notAt > 0 ? std::sqrt(r.notAt * r.at) : r.at;
            b.words = tr("firm");
            b.dimension = Dimension::Duration;
            less = 1 / setting::kBand;
            more = setting::kBand;
        } else {
            continue;
        }
        if (!(b.planned > 0)) continue;
        b.low = less * b.planned;
        b.high = more * b.planned;
        out.push_back(std::move(b));
    }
    return out;
}

std::string readyWords(const Evening& evening) {
    if (evening.run.empty()) return {};
    const auto log = run::readLog(evening.run);
    if (!log || !log->run.hasBegun()) return {};
    const auto begun = localMinutes(log->run.begun()), wanted = localMinutes(log->run.deadline());
    if (!begun || !wanted) return {};
    double last = 0;
    for (const auto* e : log->run.held())
        if (e->kind == run::Kind::Done) last = std::max(last, e->at);
    if (last <= 0) return {};
    const auto clock = [&](long minutes) {
        return clockInWords(static_cast<int>((minutes % 1440 + 1440) % 1440), evening.plan.units);
    };
    const long real = *begun + std::lround(last / 60);
    return say("Begun at {}, the last step done at {}; ready by {} was planned.", clock(*begun), clock(real),
               clock(*wanted));
}

}  // namespace uovo::log
