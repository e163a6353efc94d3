#include "desktop/log/log_keeper.h"

#include <set>

#include "core/log/run_evening.h"
#include "core/material/colour.h"
#include "io/data.h"
#include "report/text.h"

namespace uovo::desktop {

LogKeeper::LogKeeper(Session& session, QObject* parent) : QObject(parent), session_(session) {
    connect(&session_, &Session::answersChanged, this, &LogKeeper::follow);
}

void LogKeeper::follow() {
    if (watched_ && !shelf_.empty() && session_.isComplete() && !(thoughtOf_ == session_.plan())) think();
}

void LogKeeper::setWatched(bool watched) {
    watched_ = watched;
    follow();
}

LogKeeper::~LogKeeper() { stop(); }

void LogKeeper::stop() {
    ++number_;
    thread_.request_stop();
    if (thread_.joinable()) thread_.join();
    learning_ = false;
}

void LogKeeper::open() {
    if (own_ || invented_) return;
    const QString named = qEnvironmentVariable("UOVO_LOG");
    auto book = io::Logbook::open(
        (named.isEmpty() ? session_.dataFolder() + QStringLiteral("/log.sqlite") : named).toStdString());
    problem_ = book ? QString() : qstring(book.error().sentence);
    if (book) own_ = std::make_unique<io::Logbook>(std::move(*book));
    read();
}

io::Logbook* LogKeeper::book() const { return (invented_ ? invention_ : own_).get(); }

void LogKeeper::showInvented(bool shown) {
    if (shown == invented_) return;
    stop();
    invented_ = shown;
    problem_.clear();
    if (shown) {
        folder_ = std::make_unique<QTemporaryDir>();
        auto book = io::Logbook::open(folder_->filePath(QStringLiteral("log.sqlite")).toStdString());
        if (book && book->import(io::demoLog(session_.now())))
            invention_ = std::make_unique<io::Logbook>(std::move(*book));
        else problem_ = tr("The invented evenings cannot be laid out: is the disk full?");
    } else {
        invention_.reset();
        folder_.reset();
        if (!own_) return open();
    }
    read();
}

void LogKeeper::read() {
    stop();
    shelf_.clear();
    evenings_.clear();
    planned_.clear();
    trust_.clear();
    taught_.reset();
    if (auto* b = book()) {
        if (auto shelf = b->shelf()) shelf_ = std::move(*shelf);
        else problem_ = qstring(shelf.error().sentence);
        if (auto trust = b->trust()) trust_ = std::move(*trust);
    }
    emit changed();
    think();
}

std::shared_ptr<const log::Evening> LogKeeper::evening(const std::string& id) const {
    if (const auto it = evenings_.find(id); it != evenings_.end()) return it->second;
    auto* b = book();
    if (!b) return nullptr;
    auto found = b->evening(id, false);
    if (!found || !*found) return nullptr;
    return evenings_[id] = std::make_shared<const log::Evening>(std::move(**found));
}

std::map<std::int64_t, std::string> LogKeeper::pictures(const std::string& id) const {
    std::map<std::int64_t, std::string> out;
    const auto bare = evening(id);
    const bool any = bare && std::any_of(bare->entries.begin(), bare->entries.end(),
                                         [](const auto& e) { return e.is == log::Entry::Is::Photo; });
    auto* b = book();
    if (!any || !b) return out;
    if (auto found = b->evening(id); found && *found)
        for (auto& e : (*found)->entries)
            if (!e.photo.empty()) out[e.id] = std::move(e.photo);
    return out;
}

std::shared_ptr<const Answers> LogKeeper::planned(const std::string& id) const {
    const auto it = planned_.find(id);
    return it == planned_.end() ? nullptr : it->second;
}

void LogKeeper::think() {
    stop();
    if (shelf_.empty()) return emit learned();
    std::vector<log::Evening> evenings;  // the oldest first
    for (size_t k = std::min(kEvenings, shelf_.size()); k-- > 0;)
        if (const auto e = evening(shelf_[k].id)) evenings.push_back(*e);
    const bool any = std::ranges::any_of(shelf_, [](const auto& m) { return m.measured > 0; }) ||
                     std::ranges::any_of(evenings, [](const log::Evening& e) {
                         return !e.plan.snaps.empty() || !e.plan.pantry.empty() || !e.counts().empty();
                     });
    const size_t older = shelf_.size() - std::min(kEvenings, shelf_.size());
    learning_ = true;
    thoughtOf_ = session_.plan();
    std::set<std::string> known;
    for (const auto& [id, answers] : planned_) known.insert(id);
    thread_ = std::jthread([this, number = number_, evenings = std::move(evenings), any, older, known,
                            plan = session_.plan(), plain = session_.plainLibrary()](std::stop_token stop) {
        Cache cache;
        AnswerOptions options;
        options.day = options.ways = options.strength = options.together = false;
        for (auto e = evenings.rbegin(); e != evenings.rend() && !stop.stop_requested(); ++e) {
            if (known.contains(e->id)) continue;
            auto answers = answer(e->plan, plain, cache, options, stop);
            if (!answers) break;
            QMetaObject::invokeMethod(
                this,
                [this, number, id = e->id, known = std::make_shared<const Answers>(std::move(*answers))] {
                    if (number != number_) return;
                    planned_[id] = known;
                    emit computed(id);
                },
                Qt::QueuedConnection);
        }
        std::optional<log::Taught> taught;
        if (any) taught = log::teach(evenings, plan, material::withColours(plain, plan.colours), stop);
        if (taught) taught->older = older;
        if (stop.stop_requested()) return;
        QMetaObject::invokeMethod(
            this,
            [this, number, taught] {
                if (number != number_) return;
                taught_ = taught;
                learning_ = false;
                emit learned();
            },
            Qt::QueuedConnection);
    });
    emit learned();
}

QString LogKeeper::add(const std::string& id, log::Entry entry) {
    auto* b = book();
    if (!b) return problem_;
    entry.at = localTime(session_.now());
    if (const auto done = b->add(id, entry); !done) return qstring(done.error().sentence);
    evenings_.erase(id);
    if (auto shelf = b->shelf()) shelf_ = std::move(*shelf);
    emit changed();
    think();
    return {};
}

QString LogKeeper::keep(const log::Evening& evening) {
    if (invented_ && !this->evening(evening.id)) showInvented(false);  // what is really kept is one's own
    open();
    auto* b = book();
    if (!b) return problem_;
    const auto before = this->evening(evening.id);
    if (const auto done = b->keep(evening); !done) return qstring(done.error().sentence);
    const auto more = before ? log::sinceThen(*before, evening) : std::vector<log::Entry>{};
    if (!more.empty())
        if (const auto done = b->add(evening.id, more); !done) return qstring(done.error().sentence);
    read();
    return {};
}

QString LogKeeper::take(const std::vector<log::Evening>& evenings) {
    auto* b = book();
    if (!b) return problem_;
    const auto taken = b->import(evenings);
    if (!taken) return qstring(taken.error().sentence);
    read();
    return tr("%1 of %2 evenings were taken in; the others are there.").arg(*taken).arg(evenings.size());
}

std::vector<log::Evening> LogKeeper::all() const {
    auto* b = book();
    if (!b) return {};
    auto found = b->all();
    return found ? std::move(*found) : std::vector<log::Evening>{};
}

double LogKeeper::trustIn(const std::string& lesson) const { return log::trustIn(trust_, lesson); }

void LogKeeper::trust(const std::string& lesson, double share) {
    auto* b = book();
    if (!b || isWritten(b->trust(lesson, share))) trust_[lesson] = share;
    emit learned();
}

void LogKeeper::forget(const std::string& chocolate) {
    auto* b = book();
    if (!b) return;
    const auto& lib = session_.library();
    for (const auto& mark : shelf_) {
        const auto e = evening(mark.id);
        if (!e) continue;
        std::vector<log::Entry> back;
        for (const auto* entry : e->held()) {
            if (entry->is != log::Entry::Is::Measured) continue;
            const Piece* p = e->plan.piece(entry->record.piece);
            if (learn::figuresOf(p ? p->chocolate : entry->record.chocolate, lib) != chocolate) continue;
            log::Entry& taken = back.emplace_back();
            taken.is = log::Entry::Is::TakenBack;
            taken.replaces = entry->id;
            taken.at = localTime(session_.now());
        }
        if (!back.empty() && !isWritten(b->add(mark.id, back))) break;
    }
    read();
}

void LogKeeper::count() {
    if (!taught_) return;
    const auto library = session_.library();
    session_.document().edit(tr("Count on the log"),
                             [&](Plan& plan) { log::countOn(*taught_, trust_, plan, library); });
}

std::vector<io::Resolve> LogKeeper::resolves() const {
    auto* b = book();
    if (!b) return {};
    auto found = b->resolves();
    return found ? std::move(*found) : std::vector<io::Resolve>{};
}

void LogKeeper::resolve(const std::string& fault, const std::string& cause) {
    if (auto* b = book()) isWritten(b->resolve({0, fault, cause, localTime(session_.now()).substr(0, 10)}));
    emit learned();
}

void LogKeeper::unresolve(std::int64_t id) {
    if (auto* b = book()) isWritten(b->unresolve(id));
    emit learned();
}

}  // namespace uovo::desktop
