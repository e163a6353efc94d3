#include "desktop/shell/session.h"

#include <QTimer>
#include <algorithm>
#include <tuple>

#include "core/quantity/decimal.h"
#include "core/stages/melting.h"
#include "core/words/compared.h"
#include "desktop/theme/theme.h"

namespace uovo::desktop {

Session::Session(const material::Library& library, QString dataFolder, std::function<long()> now, Cache known,
                 QObject* parent)
    : QObject(parent),
      folder_(std::move(dataFolder)),
      library_(library),
      coloured_(std::make_shared<const material::Library>(library)),
      now_(std::move(now)),
      document_(folder_ + QStringLiteral("/recovery")),
      answerer_(library, std::move(known)) {
    connect(&document_, &Document::planChanged, this, &Session::ask);
    connect(&document_, &Document::replaced, this, [this] { laid_ = dayBefore_ = nullptr; });
    document_.setFinish([this](Plan& plan) {
        if (const auto day = dayToStayNear()) plan.day.laid = laidOf(*day);
        if (answers_ && !stale_) plan.computed = computedOf(plan, *answers_);
    });
    connect(&document_, &Document::refused, this, [this] {  // what would have been made is not there to be looked at
        if (!piece() && !plan().pieces.empty()) select(QString::fromStdString(plan().pieces.front().id));
    });
    connect(&answerer_, &Answerer::answered, this, [this](std::shared_ptr<const Answers> a, bool complete) {
        answers_ = std::move(a);
        answeredPlan_ = plan();
        answeredLibrary_ = coloured_;
        stale_ = false;
        complete_ = complete;
        if (complete && answers_->day && answers_->day != laid_) {
            const bool same = laid_ && laid_->found.layout.start == answers_->day->found.layout.start &&
                              laid_->end == answers_->day->end;
            if (!same) dayBefore_ = dayToStayNear();
            laid_ = answers_->day;
            laidFor_ = plan();
        }
        emit answersChanged();
    });
}

void Session::mixColours() {
    if (colours_ != plan().colours) {
        colours_ = plan().colours;
        // who made the edit may still be reading the one of before
        QTimer::singleShot(0, this, [before = coloured_] { (void)before; });
        coloured_ = std::make_shared<const material::Library>(material::withColours(library_, colours_));
    }
    std::map<std::string, std::string> looks;
    for (const auto& c : coloured_->chocolates) looks[c.id] = c.look;
    setChocolateLooks(std::move(looks));
}

void Session::ask() {
    mixColours();
    problems_ = problems(plan(), library_,
                         false);  // microseconds: fields complain at once; what shapes say comes with the answers
    if (!piece() && !plan().pieces.empty()) selected_ = QString::fromStdString(plan().pieces.front().id);
    stale_ = true;
    complete_ = false;
    answerer_.ask(plan(), dayToStayNear());
    emit planChanged();
}

/// After an edit of what is made or of one step, the day stays near to what it was; another kitchen, deadline or wish
/// is laid out anew, and so is another plan.
std::shared_ptr<const DayPlan> Session::dayToStayNear() const {
    if (!laid_ || !laid_->problem.empty()) return nullptr;
    const auto frame = [](const Plan& p) {
        return std::tie(p.kitchen, p.deadline, p.day.aim, p.day.chance, p.day.ahead, p.day.rounds);
    };
    const bool some = std::any_of(plan().pieces.begin(), plan().pieces.end(),
                                  [&](const Piece& p) { return laidFor_.piece(p.id) != nullptr; });
    return some && frame(plan()) == frame(laidFor_) ? laid_ : nullptr;
}

void Session::takeDay(const schedule::Found& found) {
    if (!answers_ || !answers_->day || stale_) return;
    remember(answerer_.cache(), answers_->day->asked, found);
    ask();
}

void Session::select(const QString& id) {
    if (id == selected_) return;
    selected_ = id;
    emit selectionChanged();
}

const Piece* Session::piece() const {
    for (const auto& p : plan().pieces)
        if (QString::fromStdString(p.id) == selected_) return &p;
    return nullptr;
}

std::shared_ptr<const PieceAnswers> Session::pieceAnswers(const std::string& id) const {
    if (answers_)
        for (const auto& p : answers_->pieces)
            if (p->id == id) return p;
    return nullptr;
}

void Session::editPiece(const QString& label, const std::function<void(Piece&)>& change, const QString& merge) {
    const std::string id = selected_.toStdString();
    document_.edit(
        label,
        [&](Plan& plan) {
            for (auto& p : plan.pieces)
                if (p.id == id) change(p);
        },
        merge);
}

QString Session::typed(const std::string& place, const std::function<void()>& edit) {
    QString wrong;
    document_.setRule([&](const Plan& next) {
        for (const auto& p : problems(next, library_, false))
            if (p.where == place) wrong = QString::fromStdString(p.sentence);
        return wrong.isEmpty();
    });
    edit();
    document_.setRule({});
    return wrong;
}

QString Session::typedOfPiece(const QString& place, const QString& label, const std::function<void(Piece&)>& change) {
    return typed("pieces/" + selected_.toStdString() + "/" + place.toStdString(), [&] { editPiece(label, change); });
}

QString Session::problemAt(const std::string& place) const {
    for (const auto& p : problems_)
        if (p.where == place) return QString::fromStdString(p.sentence);
    if (answers_ && !stale_)
        for (const auto& p : answers_->problems)
            if (p.where == place) return QString::fromStdString(p.sentence);
    return {};
}

std::vector<Problem> Session::allProblems() const {
    std::vector<Problem> all = problems_;
    const auto add = [&](const std::vector<Problem>& more) {
        for (const auto& p : more)
            if (std::ranges::none_of(all, [&](const Problem& q) { return q.where == p.where; })) all.push_back(p);
    };
    if (!answers_ || stale_) return all;
    add(answers_->problems);
    for (const auto& p : answers_->pieces) add(p->problems);
    return all;
}

TypingContext Session::typing(Dimension dimension, const char* unit, const Piece* piece) const {
    TypingContext c = typingOf(dimension, unit, piece ? piece->chocolate : "");
    if (piece)
        if (const auto coating = coatingOf(*piece, plan(), *coloured_)) c.workingTemperature = coating->working();
    return c;
}

TypingContext Session::typingOf(Dimension dimension, const char* unit, const std::string& id) const {
    TypingContext c;
    c.dimension = dimension;
    c.bareUnit = unit && *unit ? unit : usualUnit(dimension, units());
    c.metricCup = plan().metricCup;
    c.comma = decimalPoint() == ',';
    c.looks = &library_.looks;
    if (const auto* chocolate = coloured_->find(id)) {
        c.barMass = chocolate->bar;
        c.packetMass = packetOf(plan(), *coloured_, id);
    }
    return c;
}

}  // namespace uovo::desktop
