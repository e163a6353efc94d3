#include "desktop/log/log_place.h"

#include <QHBoxLayout>
#include <QScrollBar>

#include "core/begin/first_plan.h"
#include "desktop/kit/figure_field.h"
#include "desktop/kit/page.h"
#include "desktop/kit/widgets.h"
#include "desktop/log/entry_page.h"
#include "io/plan_file.h"
#include "report/fonts.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

constexpr int kShelfWide = 312, kShelfNarrow = 244, kRoomy = 1000;  // px; of the place, from which it has room

QScrollArea* paged(QWidget* page) {
    auto* area = scrolledDown();
    area->setWidget(page);
    return area;
}

/// Asks for how many; the evening's plan then, its pieces in proportion.
class AgainPage : public Page {
public:
    AgainPage(Session& session, const log::Evening& evening, std::function<void(const Plan&)> made)
        : Page(session, "againPage") {
        int now = 0;
        for (const auto& p : evening.plan.pieces) now = std::max(now, p.count);
        if (evening.plan.guests > 0) now = evening.plan.guests;
        wanted_ = std::max(1, now);
        note(QObject::tr("%1 was for %2. It becomes a new plan, with what the evening counted on.")
                 .arg(qstring(evening.plan.name))
                 .arg(now),
             "quiet");
        count({QObject::tr("For how many"), QStringLiteral("againMany")}, 1, 500, wanted_,
              [this](int n) { wanted_ = n; });
        button(QObject::tr("Make a plan of it"), QStringLiteral("againMake"),
               [this, plan = evening.plan, now = std::max(1, now), made = std::move(made)]() mutable {
                   for (auto& p : plan.pieces) p.count = countFor(p.count, now, wanted_);
                   if (plan.guests > 0) plan.guests = wanted_;
                   const long day = session_.now() / 1440 + 1;  // tomorrow, at the hour it was ready
                   if (const auto at = localMinutes(plan.deadline)) plan.deadline = localTime(day * 1440 + *at % 1440);
                   made(plan);
               });
        end();
    }

private:
    int wanted_ = 1;
};

}  // namespace

LogPlace::LogPlace(Session& session, ProbeLink& probe, QWidget* parent)
    : QWidget(parent), session_(session), probe_(probe), keeper_(session) {
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(0);
    auto* left = left_ = new QWidget;
    left->setFixedWidth(kShelfWide);
    auto* column = new QVBoxLayout(left);
    column->setContentsMargins(14, 18, 6, 14);
    column->setSpacing(8);
    auto* title = wrapped(tr("Your evenings"));
    title->setFont(report::font(22, QFont::Bold));
    column->addWidget(title);
    sum_ = wrapped({}, "quiet");
    sum_->setObjectName(QStringLiteral("logSum"));
    column->addWidget(sum_);
    auto* days = new QWidget;
    shelf_ = new QVBoxLayout(days);
    shelf_->setContentsMargins(0, 0, 6, 0);
    shelf_->setSpacing(2);
    older_ = new QPushButton(tr("Older evenings"));
    older_->setObjectName(QStringLiteral("logOlder"));
    connect(older_, &QPushButton::clicked, this, [this] {
        shown_ += 30;
        refresh();
    });
    shelf_->addWidget(older_);
    shelf_->addStretch(1);
    column->addWidget(paged(days), 1);
    invented_ = wrapped(tr("These evenings are invented, to look at. Nothing you do to them is kept."), "small");
    invented_->setObjectName(QStringLiteral("logInvented"));
    column->addWidget(invented_);
    const auto button = [&](const QString& words, const char* object, const QString& tip, auto pressed) {
        auto* b = new QPushButton(words);
        b->setObjectName(QLatin1String(object));
        b->setToolTip(tip);
        connect(b, &QPushButton::clicked, this, pressed);
        column->addWidget(b);
        return b;
    };
    mine_ = button(tr("Back to my own log"), "logMine", {}, [this] { keeper_.showInvented(false); });
    teaches_ = button(tr("What it teaches"), "logTeaches", tr("Your bags, your fridge, your hands"),
                      [this] { showLessons(); });
    whyNow_ = button(tr("Why did something fail?"), "logWhyNow", tr("A piece of the plan that is open"),
                     [this] { askWhy({}, session_.selected(), {}); });
    row->addWidget(left);
    auto* rule = new QFrame;
    rule->setFixedWidth(1);
    rule->setObjectName(QStringLiteral("rule"));
    row->addWidget(rule);
    pages_ = new QStackedWidget;
    pages_->addWidget(emptyPage());
    evening_ = new EveningPage(session_, keeper_);
    lessons_ = new LessonsPage(session_, keeper_);
    why_ = new WhyPage(session_, keeper_);
    for (QWidget* page : std::initializer_list<QWidget*>{evening_, lessons_, why_}) pages_->addWidget(paged(page));
    row->addWidget(pages_, 1);
    connect(&keeper_, &LogKeeper::changed, this, &LogPlace::refresh);
    connect(&keeper_, &LogKeeper::computed, this, [this](const std::string& id) {
        for (auto* t : tiles_)
            if (t->id() == id) t->setEvening(keeper_.evening(id), keeper_.planned(id));
    });
    connect(evening_, &EveningPage::writeWanted, this, [this](qint64 corrects) { write(corrects); });
    connect(evening_, &EveningPage::whyWanted, this,
            [this](const QString& piece, const QString& fault) { askWhy(evening_->evening(), piece, fault); });
    connect(evening_, &EveningPage::againWanted, this, &LogPlace::makeAgain);
    connect(lessons_, &LessonsPage::entryWanted, this, [this](const QString& evening, qint64 entry) {
        choose(evening.toStdString());
        if (entry != 0) write(entry);
    });
    connect(lessons_, &LessonsPage::practiceWanted, this, &LogPlace::practiceWanted);
    connect(why_, &WhyPage::said, this, &LogPlace::said);
    connect(&keeper_, &LogKeeper::refused, this, [this](const QString& why) { emit said(why, true); });
    refresh();
}

QWidget* LogPlace::emptyPage() {
    auto* page = new QWidget;
    auto* box = new QVBoxLayout(page);
    box->setContentsMargins(48, 60, 60, 40);
    box->setSpacing(14);
    auto* head = wrapped(tr("Write it down, and next time you need not guess"));
    head->setFont(report::font(30, QFont::Bold));
    box->addWidget(head);
    emptyWords_ = wrapped({});
    emptyWords_->setObjectName(QStringLiteral("logEmpty"));
    box->addWidget(emptyWords_);
    for (const QString& line :
         {tr("A day made at the bench comes here by itself when it ends: what was weighed, what came out whole."),
          tr("One bowl weighed after its first coat tells how your chocolate stands; a second shape tells more than a "
             "second bowl."),
          tr("When something failed, choose it on the piece: its causes are ranked, with the one thing to look at.")}) {
        auto* l = wrapped(line);
        l->setIndent(12);
        box->addWidget(l);
    }
    auto* row = new QHBoxLayout;
    row->setSpacing(10);
    look_ = new QPushButton(tr("Look at two invented evenings"));
    look_->setObjectName(QStringLiteral("logInvent"));
    connect(look_, &QPushButton::clicked, this, [this] {
        keeper_.showInvented(true);
        if (!keeper_.shelf().empty()) choose(keeper_.shelf().front().id);
    });
    row->addWidget(look_);
    auto* begin = new QPushButton(tr("Write down an evening of this plan"));
    begin->setObjectName(QStringLiteral("logBegin"));
    connect(begin, &QPushButton::clicked, this, [this] {
        log::Evening e;
        e.id = localTime(session_.now());
        e.date = e.id.substr(0, 10);
        e.plan = session_.plan();
        if (const QString why = keeper_.keep(e); !why.isEmpty()) emit said(why, true);
        else choose(e.id);
    });
    row->addWidget(begin);
    row->addStretch(1);
    box->addLayout(row);
    box->addStretch(1);
    return page;
}

void LogPlace::showEvent(QShowEvent*) {
    if (!opened_) {
        opened_ = true;
        keeper_.open();
    }
    keeper_.setWatched(true);
}

void LogPlace::resizeEvent(QResizeEvent*) { left_->setFixedWidth(width() < kRoomy ? kShelfNarrow : kShelfWide); }

void LogPlace::turnTo(Page page) {
    pages_->setCurrentIndex(page);
    if (auto* area = qobject_cast<QScrollArea*>(pages_->currentWidget())) area->verticalScrollBar()->setValue(0);
    if (page != Retold) {
        for (auto* t : tiles_) {
            t->setAutoExclusive(false);
            t->setChecked(false);
            t->setAutoExclusive(true);
        }
    }
}

void LogPlace::refresh() {
    const auto& shelf = keeper_.shelf();
    int measured = 0;
    for (const auto& m : shelf) measured += m.measured;
    sum_->setText(!keeper_.problem().isEmpty() ? keeper_.problem()
                  : shelf.empty()
                      ? tr("None yet.")
                      : counted(std::ssize(shelf), tr("%1 evening"), tr("%1 evenings")) + QStringLiteral(", ") +
                            counted(measured, tr("%1 measurement"), tr("%1 measurements")));
    sum_->setProperty("harm", !keeper_.problem().isEmpty());
    invented_->setVisible(keeper_.isInvented());
    mine_->setVisible(keeper_.isInvented());
    teaches_->setEnabled(!shelf.empty());
    emptyWords_->setText(keeper_.problem().isEmpty()
                             ? tr("This is where your evenings stand: what was planned, and how it came out.")
                             : keeper_.problem());
    const size_t many = std::min(shown_, shelf.size());
    older_->setVisible(many < shelf.size());
    while (tiles_.size() > many) {
        retire(tiles_.back());
        tiles_.pop_back();
    }
    while (tiles_.size() < many) {
        auto* tile = new DayTile;
        connect(tile, &QAbstractButton::clicked, this, [this, tile] { choose(tile->id()); });
        shelf_->insertWidget(static_cast<int>(tiles_.size()), tile);
        tile->show();
        tiles_.push_back(tile);
    }
    for (size_t k = 0; k < many; ++k)
        if (auto e = keeper_.evening(shelf[k].id)) tiles_[k]->setEvening(std::move(e), keeper_.planned(shelf[k].id));
    if (shelf.empty() && pages_->currentIndex() != Why) turnTo(Empty);
    else if (!shelf.empty() && pages_->currentIndex() == Empty) choose(shelf.front().id);
}

void LogPlace::choose(const std::string& id) {
    if (!keeper_.evening(id)) return;
    evening_->show(id);
    turnTo(Retold);
    for (auto* t : tiles_)
        if (t->id() == id) t->setChecked(true);
}

void LogPlace::showLessons() { turnTo(Lessons); }

void LogPlace::askWhy(const std::string& evening, const QString& piece, const QString& fault) {
    turnTo(Why);
    why_->show(evening, piece, fault);
}

void LogPlace::write(std::int64_t corrects) {
    emit sheetWanted(corrects ? tr("What it should say") : tr("Written down"),
                     entryPage(session_, keeper_, probe_, evening_->evening(), corrects, [this] { emit sheetDone(); }));
}

void LogPlace::makeAgain() {
    const auto e = keeper_.evening(evening_->evening());
    if (!e) return;
    emit sheetWanted(tr("Make this again"),
                     new AgainPage(session_, *e, [this](const Plan& plan) { emit planWanted(plan); }));
}

QString LogPlace::writeTo(const QString& path) {
    keeper_.open();
    const auto all = keeper_.all();
    const std::string text = path.endsWith(QStringLiteral(".csv")) ? log::writeLogCsv(all) : log::writeLog(all);
    const auto done = io::writeWhole(path.toStdString(), text);
    return done ? tr("%1 in %2.").arg(counted(std::ssize(all), tr("%1 evening is"), tr("%1 evenings are")), path)
                : qstring(done.error().sentence);
}

QString LogPlace::takeFrom(const QString& path) {
    keeper_.open();
    const auto text = io::readWhole(path.toStdString());
    if (!text) return qstring(text.error().sentence);
    const auto evenings = log::readAnyLog(*text);
    if (!evenings) return tr("%1 (%2)").arg(qstring(evenings.error().sentence), qstring(evenings.error().where));
    return keeper_.take(*evenings);
}

}  // namespace uovo::desktop
