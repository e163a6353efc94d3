#include "desktop/log/lessons_page.h"

#include <QHBoxLayout>
#include <algorithm>
#include <cmath>
#include <map>

#include "desktop/kit/widgets.h"
#include "desktop/log/day_tile.h"
#include "report/fonts.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

constexpr double kTrusts[]{1, 0.5, 0};

constexpr int kAbove = 12;

/// A line of words, to be followed by what can be done about them.
QHBoxLayout* lineOf(QVBoxLayout* in, const QString& words) {
    auto* whole = new QWidget;
    auto* row = new QHBoxLayout(whole);
    row->setContentsMargins(0, 2, 0, 2);
    row->addWidget(wrapped(words), 10);
    row->addStretch(1);
    in->addWidget(whole);
    return row;
}

QString multiple(double v) { return QObject::tr("%1 %").arg(std::lround(100 * v)); }

}  // namespace

LessonsPage::LessonsPage(Session& session, LogKeeper& keeper, QWidget* parent)
    : QWidget(parent), session_(session), keeper_(keeper) {
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(30, 22, 26, 24);
    box->setSpacing(8);
    auto* title = wrapped(tr("What your log teaches"));
    title->setFont(report::font(28, QFont::Bold));
    box->addWidget(title);
    state_ = wrapped({}, "quiet");
    state_->setObjectName(QStringLiteral("lessonsState"));
    box->addWidget(state_);
    lessons_ = new QVBoxLayout;
    lessons_->setSpacing(6);
    box->addLayout(lessons_);
    nextHead_ = heading(tr("The next of this plan"), kAbove);
    box->addWidget(nextHead_);
    next_ = new BandRows(tr("The next of this plan, before and now"));
    box->addWidget(next_);
    nextNote_ = wrapped({}, "small");
    box->addWidget(nextNote_);
    count_ = new QPushButton(tr("Count on it in this plan"));
    count_->setObjectName(QStringLiteral("logCount"));
    count_->setToolTip(tr("The plan's own figures become those of your log; one undo takes it back"));
    box->addWidget(count_, 0, Qt::AlignLeft);
    connect(count_, &QPushButton::clicked, this, [this] { keeper_.count(); });
    questions_ = new QVBoxLayout;
    box->addLayout(questions_);
    resolves_ = new QVBoxLayout;
    box->addLayout(resolves_);
    best_ = new QVBoxLayout;
    box->addLayout(best_);
    bagsHead_ = heading(tr("Your bags, against the book"), kAbove);
    box->addWidget(bagsHead_);
    bags_ = new BandRows(tr("How each bag stands against the book"));
    box->addWidget(bags_);
    tempersHead_ = heading(tr("Your tempering, evening by evening"), kAbove);
    box->addWidget(tempersHead_);
    tempers_ = new BandRows(tr("Crystals each tempering left, against the usual"));
    box->addWidget(tempers_);
    tempersNote_ =
        wrapped(tr("Dashed: as the book says. Full: nine chances in ten, the yolk line the likeliest."), "small");
    box->addWidget(tempersNote_);
    box->addStretch(1);
    connect(&keeper_, &LogKeeper::learned, this, [this] {
        if (isVisible()) refresh();
    });
}

QWidget* LessonsPage::lesson(const learn::Lesson& l) {
    auto* whole = new QWidget;
    auto* row = new QHBoxLayout(whole);
    row->setContentsMargins(0, 4, 0, 4);
    row->setSpacing(10);
    auto* words = new QVBoxLayout;
    words->setSpacing(0);
    words->addWidget(wrapped(bound(l.sentence)));
    words->addWidget(wrapped(bound(l.source), "small"));
    row->addLayout(words, 10);
    row->addStretch(1);
    const double trusted = keeper_.trustIn(l.id);
    auto* trust = choiceBox(tr("How far it counts: %1").arg(qstring(l.sentence)),
                            {tr("counts wholly"), tr("counts half"), tr("does not count")});
    trust->setObjectName(QStringLiteral("trust/") + qstring(l.id));
    trust->setCurrentIndex(trusted > 0.75 ? 0 : trusted > 0.25 ? 1 : 2);
    connect(trust, &QComboBox::activated, this,
            [this, id = l.id](int k) { keeper_.trust(id, kTrusts[std::clamp(k, 0, 2)]); });
    row->addWidget(trust, 0, Qt::AlignTop);
    if (l.id.starts_with("wall:")) {
        auto* forget = toolButton(tr("Forget"), tr("Take all of its measurements back: %1").arg(qstring(l.sentence)));
        forget->setObjectName(QStringLiteral("forget/") + qstring(l.id));
        connect(forget, &QPushButton::clicked, this, [this, id = l.id.substr(5)] { keeper_.forget(id); });
        row->addWidget(forget, 0, Qt::AlignTop);
    }
    return whole;
}

/// The evenings and pieces with most stars.
void LessonsPage::showBest() {
    struct Best {
        int stars;
        std::string evening;
        QString words;
    };
    constexpr int kGood = 4;
    constexpr size_t kMost = 5;
    std::vector<Best> all;
    constexpr size_t kYears = 200;  // evenings that are looked through
    size_t looked = 0;
    for (const auto& mark : keeper_.shelf()) {
        const auto e = ++looked <= kYears ? keeper_.evening(mark.id) : nullptr;
        if (!e) continue;
        const auto put = [&](const std::string& piece, const std::string& name) {
            if (const int stars = e->stars(piece); stars >= kGood)
                all.push_back(
                    {stars, e->id, tr("%1, %2: %3 of 5 stars").arg(qstring(name), dayWords(e->date)).arg(stars)});
        };
        put({}, e->plan.name);
        for (const auto& p : e->plan.pieces) put(p.id, p.name);
    }
    std::ranges::stable_sort(all, [](const Best& a, const Best& b) { return a.stars > b.stars; });
    if (all.size() > kMost) all.resize(kMost);
    emptyLayout(best_);
    if (!all.empty()) best_->addWidget(heading(tr("Your best"), kAbove));
    for (const auto& b : all) {
        auto* row = lineOf(best_, b.words);
        auto* look = toolButton(tr("Look"), tr("Look at it: %1").arg(b.words));
        connect(look, &QPushButton::clicked, this, [this, id = qstring(b.evening)] { emit entryWanted(id, 0); });
        row->addWidget(look);
    }
}

void LessonsPage::refresh() {
    const log::Taught* t = keeper_.taught();
    showBest();
    emptyLayout(lessons_);
    emptyLayout(questions_);
    emptyLayout(resolves_);
    for (QWidget* w : std::initializer_list<QWidget*>{nextHead_, next_, nextNote_, count_, bagsHead_, bags_,
                                                      tempersHead_, tempers_, tempersNote_})
        w->setVisible(false);
    const auto resolves = keeper_.resolves();
    if (!resolves.empty()) resolves_->addWidget(heading(tr("What you mean to do from now on"), kAbove));
    for (const auto& r : resolves) {
        const auto* fault = session_.library().fault(r.fault);
        QString advice = qstring(r.cause);
        if (fault)
            for (const auto& c : fault->causes)
                if (c.id == r.cause) advice = qstring(c.advice);
        auto* row = lineOf(resolves_, bound(advice.toStdString()));
        if (const auto lesson = log::lessonOf(r.fault); !lesson.empty()) {
            auto* practise = toolButton(tr("Practise"), tr("Practise: %1").arg(advice));
            practise->setObjectName(QStringLiteral("practise/") + qstring(lesson));
            connect(practise, &QPushButton::clicked, this,
                    [this, lesson = qstring(lesson)] { emit practiceWanted(lesson); });
            row->addWidget(practise);
        }
        auto* done = toolButton(tr("It is a habit now"), tr("It is a habit now: %1").arg(advice));
        done->setObjectName(QStringLiteral("resolved/%1").arg(r.id));
        connect(done, &QPushButton::clicked, this, [this, id = r.id] { keeper_.unresolve(id); });
        row->addWidget(done);
    }
    if (!t) {
        state_->setText(
            keeper_.isLearning()
                ? tr("What was measured is weighed against the book …")
                : tr("Nothing was measured yet. Weigh one bowl after its first coat: it tells more about your "
                     "chocolate than anything else."));
        return;
    }
    QString state = tr("From %1 on %2.")
                        .arg(counted(static_cast<int>(t->measured), tr("%1 measurement"), tr("%1 measurements")),
                             counted(static_cast<int>(t->evenings), tr("%1 evening"), tr("%1 evenings")));
    if (t->older > 0)
        state += QLatin1Char(' ') + counted(static_cast<int>(t->older), tr("%1 older evening is kept and not counted."),
                                            tr("%1 older evenings are kept and not counted."));
    if (keeper_.isLearning()) state += tr(" It is looked at anew …");
    state_->setText(state);
    for (const auto& l : t->lessons) lessons_->addWidget(lesson(l));
    const Plan& plan = session_.plan();
    const auto grams = [&](double v) { return qstring(format(v, Dimension::Mass, session_.units())); };
    std::vector<BandRows::Row> rows;
    for (const auto& n : t->pieces) {
        const Piece* p = plan.piece(n.piece);
        if (!p) continue;
        BandRows::Row row;
        row.name = qstring(p->name);
        row.before = n.before;
        row.now = n.now;
        row.words = tr("the next weighs %1 to %2; by the book %3 to %4")
                        .arg(grams(n.now.low), grams(n.now.high), grams(n.before.low), grams(n.before.high));
        rows.push_back(std::move(row));
    }
    const bool any = !rows.empty();
    nextHead_->setVisible(any);
    next_->setVisible(any);
    next_->setRows(std::move(rows));
    nextNote_->setText(bound(t->next));
    nextNote_->setVisible(!t->next.empty());
    count_->setVisible(!t->lessons.empty());
    if (!t->questions.empty()) questions_->addWidget(heading(tr("Figures that want another look"), kAbove));
    for (const auto& q : t->questions) {
        auto* row = lineOf(questions_, bound(q.sentence));
        auto* look = toolButton(tr("Look"), tr("Look at it: %1").arg(qstring(q.sentence)));
        look->setObjectName(QStringLiteral("look/%1").arg(q.entry));
        connect(look, &QPushButton::clicked, this,
                [this, evening = qstring(q.evening), entry = q.entry] { emit entryWanted(evening, entry); });
        row->addWidget(look);
    }
    const auto nameOf = [&](const std::string& id) {
        const auto* c = session_.library().find(id);
        return qstring(c ? c->name : id);
    };
    rows.clear();
    for (const auto& b : t->bags) {
        BandRows::Row row;
        row.name = tr("%1, “%2”").arg(nameOf(b.chocolate), qstring(b.bag));
        row.now = b.yield;
        row.mark = 1;
        row.words = tr("its yield stress is %1 of the book's, %2 to %3")
                        .arg(multiple(b.yield.likely), multiple(b.yield.low), multiple(b.yield.high));
        rows.push_back(std::move(row));
    }
    bagsHead_->setVisible(!rows.empty());
    bags_->setVisible(!rows.empty());
    bags_->setRows(std::move(rows), true);
    rows.clear();
    for (const auto& e : t->tempers) {
        BandRows::Row row;
        row.name = tr("%1, %2").arg(dayWords(e.date), nameOf(e.chocolate).toLower());
        row.now = e.crystals;
        row.mark = 1;
        row.words = tr("%1 of the usual crystals").arg(multiple(e.crystals.likely));
        rows.push_back(std::move(row));
    }
    tempersHead_->setVisible(rows.size() > 1);
    tempers_->setVisible(rows.size() > 1);
    tempersNote_->setVisible(rows.size() > 1 || !t->bags.empty());
    tempers_->setRows(std::move(rows), true);
}

}  // namespace uovo::desktop
