#include "desktop/bench/teacher.h"

#include <map>
#include <set>

#include "core/learn/run_records.h"
#include "core/learn/said.h"
#include "core/material/colour.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

/// "Crater bowl: one will weigh 92 to 121 g; before it was 78 to 207 g."
QString nextOne(const Piece& piece, const learn::Band& before, const learn::Band& now, UnitSystem units) {
    const auto grams = [&](double kilograms) {
        return qstring(format(kilograms, Dimension::Mass, units)).replace(QLatin1Char(' '), QChar::Nbsp);
    };
    return QObject::tr("%1: the next one weighs %2 to %3; before it was %4 to %5.")
        .arg(qstring(piece.name), grams(now.low), grams(now.high), grams(before.low), grams(before.high));
}

}  // namespace

Teacher::~Teacher() { forget(); }

void Teacher::forget() {
    thread_.request_stop();
    if (thread_.joinable()) thread_.join();
    ++number_;
    askedOf_ = {};
    lines_.clear();
    learned_.clear();
    busy_ = false;
}

void Teacher::ask(const run::Run& run) {
    const std::pair of(run.begun(), run.events().size());
    if (of == askedOf_) return;
    forget();
    askedOf_ = of;
    auto evening = learn::eveningOf(run, session_.plan());
    if (evening.records.empty()) return;
    busy_ = true;
    thread_ = std::jthread(
        [this, number = number_, log = std::vector{std::move(evening)},
         library = material::withColours(session_.library(), session_.plan().colours)](std::stop_token stop) {
            QStringList lines;
            Learned learned;
            std::map<std::string, std::string> sources;
            const auto centre = learn::centreOf(log[0].plan, library);
            const auto known = learn::learn(log, library, stop, centre), book = learn::learn({}, library, stop, centre);
            if (known && book) {
                const Plan& plan = log[0].plan;
                const auto taught = learn::lessons(*known, log, library, stop);
                for (const auto& l : taught)
                    lines << QStringLiteral("%1 (%2)").arg(qstring(l.sentence), qstring(l.source));
                for (const auto& q : learn::questions(*known, log, plan.units)) lines << qstring(q.sentence);
                std::set<std::string> told;
                for (const auto& r : log[0].records) {
                    const Piece& piece = *plan.piece(r.piece);
                    const auto* chocolate = library.find(piece.chocolate);
                    if (!chocolate || !told.insert(piece.id).second) continue;
                    // an evening without a named bag has one of its own
                    const auto now = learn::forecast(*known, piece, plan, library, log[0].id, stop);
                    const auto before = learn::forecast(*book, piece, plan, library, {}, stop);
                    if (now && before) lines << nextOne(piece, before->mass, now->mass, plan.units);
                    learned[piece.chocolate] = learn::likely(*known, chocolate->figuresAs(), library, log[0].id);
                    for (const auto& l : taught)
                        if (l.id == "wall:" + chocolate->figuresAs()) sources[piece.chocolate] = l.source;
                }
            }
            if (stop.stop_requested()) return;
            QMetaObject::invokeMethod(
                this,
                [this, number, lines, learned, sources] {
                    if (number != number_) return;
                    lines_ = lines;
                    learned_ = learned;
                    sources_ = sources;
                    busy_ = false;
                    emit changed();
                },
                Qt::QueuedConnection);
        });
}

void Teacher::count() {
    if (learned_.empty()) return;
    const auto library = material::withColours(session_.library(), session_.plan().colours);
    session_.document().edit(tr("Count on what was weighed"), [&](Plan& plan) {
        for (const auto& [id, shift] : learned_) learn::countOn(shift, id, plan, library, sources_[id]);
    });
    learned_.clear();
    emit changed();
}

}  // namespace uovo::desktop
