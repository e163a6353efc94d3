#include "desktop/log/why_page.h"

#include <QHBoxLayout>
#include <QPainter>
#include <QPushButton>
#include <cmath>

#include "desktop/kit/flow_layout.h"
#include "desktop/kit/widgets.h"
#include "desktop/log/day_tile.h"
#include "desktop/log/entry_page.h"
#include "desktop/theme/theme.h"
#include "report/fonts.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

constexpr size_t kShown = 4;      // suspects that are told at length
constexpr double kSlight = 0.06;  // less likely ones are told in one line

/// How likely a cause is, as a bar of chocolate: so many of ten pieces.
class Likely : public QWidget {
public:
    explicit Likely(double p) : p_(p) {
        setFixedSize(112, 22);
        setAccessibleName(QObject::tr("%1 of 100").arg(std::lround(100 * p)));
    }

protected:
    void paintEvent(QPaintEvent*) override {
        QPainter painter(this);
        painter.setRenderHint(QPainter::Antialiasing);
        const auto& t = theme();
        for (int k = 0; k < 10; ++k) {
            const QRectF piece(1 + 11 * k, 3, 9.5, 16);
            painter.setPen(QPen(t.edge, 1));
            painter.setBrush(t.ground);
            painter.drawRoundedRect(piece, 2, 2);
            const double full = std::clamp(10 * p_ - k, 0.0, 1.0);
            if (full <= 0) continue;
            painter.setPen(QPen(t.chocEdge, 1));
            painter.setBrush(t.choc);
            painter.drawRoundedRect(QRectF(piece.left(), piece.top(), piece.width() * full, piece.height()), 2, 2);
        }
    }

private:
    double p_;
};

}  // namespace

WhyPage::WhyPage(Session& session, LogKeeper& keeper, QWidget* parent)
    : QWidget(parent), session_(session), keeper_(keeper) {
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(30, 22, 26, 24);
    box->setSpacing(8);
    auto* head = new QHBoxLayout;
    title_ = wrapped(tr("Why did it fail?"));
    title_->setFont(report::font(28, QFont::Bold));
    head->addWidget(title_, 1);
    which_ = choiceBox(tr("The piece that failed"), {});
    which_->setObjectName(QStringLiteral("whyPiece"));
    connect(which_, &QComboBox::activated, this, &WhyPage::choosePiece);
    head->addWidget(which_);
    box->addLayout(head);
    about_ = wrapped({}, "quiet");
    box->addWidget(about_);
    picture_ = new WhyPicture;
    connect(picture_, &WhyPicture::chosen, this, [this](const QString& fault) {
        fault_ = fault.toStdString();
        given_.clear();
        showPiece();
        askGiven();
        ask();
    });
    box->addWidget(picture_);
    givens_ = new QWidget;
    givens_->setLayout(new FlowLayout(14, 6));
    box->addWidget(givens_);
    state_ = wrapped({}, "quiet");
    state_->setObjectName(QStringLiteral("whyState"));
    box->addWidget(state_);
    question_ = new QVBoxLayout;
    box->addLayout(question_);
    suspects_ = new QVBoxLayout;
    suspects_->setSpacing(4);
    box->addLayout(suspects_);
    box->addStretch(1);
    connect(&keeper_, &LogKeeper::computed, this, [this](const std::string& evening) {
        if (evening == evening_) showPiece();
    });
}

WhyPage::~WhyPage() { stop(); }

void WhyPage::stop() {
    ++number_;
    thread_.request_stop();
    if (thread_.joinable()) thread_.join();
    busy_ = false;
}

std::shared_ptr<const PieceAnswers> WhyPage::answersOf(const std::string& piece) const {
    const auto all = evening_.empty() ? session_.answers() : keeper_.planned(evening_);
    if (!all) return nullptr;
    for (const auto& p : all->pieces)
        if (p->id == piece) return p;
    return nullptr;
}

void WhyPage::show(const std::string& evening, const QString& piece, const QString& fault) {
    evening_ = evening;
    const auto e = evening.empty() ? nullptr : keeper_.evening(evening);
    plan_ = e ? e->plan : session_.plan();
    about_->setText(e ? tr("%1, %2. Choose what you saw, and where.").arg(dayWords(e->date), qstring(plan_.name))
                      : tr("Of the plan that is open. Choose what you saw, and where."));
    which_->clear();
    int at = 0;
    for (size_t k = 0; k < plan_.pieces.size(); ++k) {
        which_->addItem(qstring(plan_.pieces[k].name));
        if (qstring(plan_.pieces[k].id) == piece) at = static_cast<int>(k);
    }
    which_->setCurrentIndex(at);
    fault_ = fault.toStdString();
    choosePiece(at);
}

void WhyPage::choosePiece(int k) {
    stop();
    inquiry_.reset();
    tried_.clear();
    problem_.clear();
    given_.clear();
    piece_ = k >= 0 && k < std::ssize(plan_.pieces) ? plan_.pieces[static_cast<size_t>(k)].id : std::string();
    const auto* fault = session_.library().fault(fault_);
    const Piece* p = plan_.piece(piece_);
    if (!fault || !p || !why::canHave(*fault, *p)) fault_.clear();
    showPiece();
    askGiven();
    if (!fault_.empty()) ask();
    else showBlame();
}

void WhyPage::showPiece() {
    const Piece* p = plan_.piece(piece_);
    if (!p) return;
    std::vector<const material::Fault*> faults;
    for (const auto& f : session_.library().faults)
        if (why::canHave(f, *p)) faults.push_back(&f);
    picture_->setPiece(*p, answersOf(piece_), faults, fault_);
}

void WhyPage::askGiven() {
    emptyLayout(givens_->layout());
    const auto* fault = session_.library().fault(fault_);
    if (!fault) return;
    for (const auto& g : why::allGiven()) {
        const bool wanted = std::any_of(fault->causes.begin(), fault->causes.end(), [&](const auto& c) {
            const auto reads = why::reads(c.evidence);
            return std::find(reads.begin(), reads.end(), g.id) != reads.end();
        });
        if (!wanted) continue;
        auto* one = new QWidget;
        auto* row = new QHBoxLayout(one);
        row->setContentsMargins(0, 0, 0, 0);
        row->setSpacing(6);
        row->addWidget(lineWord(QString::fromUtf8(g.words)), 0, Qt::AlignTop);
        const char* unit = g.dimension == Dimension::Duration ? "min" : g.dimension == Dimension::Length ? "mm" : "";
        auto* f = new FigureField(QString::fromUtf8(g.words), QStringLiteral("given/") + QLatin1String(g.id),
                                  session_.typing(g.dimension, unit, plan_.piece(piece_)));
        f->edit()->setPlaceholderText(tr("as planned"));
        f->setRule(canBe(g.dimension));
        connect(f, &FigureField::measureTyped, this, [this, id = std::string(g.id)](const Measure& m) {
            given_[id] = m.value;
            ask();
        });
        row->addWidget(f, 0, Qt::AlignTop);
        givens_->layout()->addWidget(one);
    }
    for (auto* w : givens_->findChildren<QWidget*>()) w->show();
}

void WhyPage::ask() {
    stop();
    if (fault_.empty() || piece_.empty()) return;
    why::Case asked{plan_, piece_, fault_, given_, {}, {}};
    if (inquiry_ && inquiry_->given().fault == fault_ && inquiry_->given().piece == piece_)
        asked.answered = inquiry_->given().answered;  // what was seen stays seen
    if (const log::Taught* t = keeper_.taught()) {
        constexpr double kNine = 3.29;  // sds from 5 to 95 %
        const auto* c = session_.library().find(plan_.piece(piece_)->chocolate);
        std::optional<std::string> open;  // the bag that was open that evening, where it is known
        if (const auto e = evening_.empty() ? nullptr : keeper_.evening(evening_); e && c)
            if (const auto bag = e->bags.find(c->figuresAs()); bag != e->bags.end()) open = bag->second;
        for (const auto& b : t->bags)
            if (c && b.chocolate == c->figuresAs() && (!open || b.bag == *open)) {
                asked.log.yield = std::log(b.yield.likely);
                asked.log.yieldSd = std::log(b.yield.high / b.yield.low) / kNine;
            }
        if (t->pace.timed > 0) asked.log.hands = t->pace.cook, asked.log.handsSd = t->pace.cookSd;
    }
    busy_ = true;
    inquiry_.reset();
    tried_.clear();
    problem_.clear();
    showBlame();
    thread_ = std::jthread([this, number = number_, asked = std::move(asked), plain = &session_.plainLibrary(),
                            cache = &cache_](std::stop_token stop) {
        auto found = why::Inquiry::of(asked, *plain, *cache, stop);
        if (stop.stop_requested()) return;
        std::shared_ptr<why::Inquiry> inquiry;
        QString problem;
        if (found) inquiry = std::make_shared<why::Inquiry>(std::move(*found));
        else problem = qstring(found.error().sentence);
        QMetaObject::invokeMethod(
            this,
            [this, number, inquiry, problem] {
                if (number != number_) return;
                inquiry_ = inquiry;
                problem_ = problem;
                if (!inquiry) busy_ = false;
                showBlame();
            },
            Qt::QueuedConnection);
        if (!inquiry) return;
        const why::Inquiry own = *inquiry;  // the window's is answered meanwhile
        std::map<std::string, why::Tried> tried;
        for (const auto& s : own.diagnose().suspects)
            if (!stop.stop_requested())
                if (auto t = own.tried(*s.cause, *cache, stop)) tried.emplace(s.cause->id, std::move(*t));
        if (stop.stop_requested()) return;
        QMetaObject::invokeMethod(
            this,
            [this, number, tried] {
                if (number != number_) return;
                tried_ = tried;
                busy_ = false;
                showBlame();
            },
            Qt::QueuedConnection);
    });
}

void WhyPage::put(const std::string& cause) {
    if (!inquiry_) return;
    const auto* fault = session_.library().fault(fault_);
    for (const auto& c : fault->causes) {
        if (c.id != cause) continue;
        auto changed = why::change(c.change, session_.plan(), inquiry_->scene());
        if (!changed) {
            emit said(tr("The plan that is open has no such piece, or does so already."), false);
            return;
        }
        session_.document().edit(tr("%1: %2").arg(qstring(plan_.piece(piece_)->name), qstring(changed->title)),
                                 [&](Plan& plan) { plan = std::move(changed->plan); });
        emit said(tr("It is in the plan: %1. Undo takes it back.").arg(qstring(changed->title)), false);
    }
}

QWidget* WhyPage::suspect(const why::Suspect& s) {
    auto* whole = new QWidget;
    auto* row = new QHBoxLayout(whole);
    row->setContentsMargins(0, 6, 0, 6);
    row->setSpacing(14);
    auto* side = new QVBoxLayout;
    side->setSpacing(0);
    side->addWidget(new Likely(s.p));
    side->addWidget(wrapped(tr("%1 of 100").arg(std::lround(100 * s.p)), "small"));
    side->addStretch(1);
    row->addLayout(side);
    auto* words = new QVBoxLayout;
    words->setSpacing(2);
    auto* name = wrapped(qstring(s.cause->words) + QLatin1Char('.'));
    name->setStyleSheet(QStringLiteral("font-weight: 600;"));
    name->setObjectName(QStringLiteral("cause/") + qstring(s.cause->id));
    words->addWidget(name);
    if (!s.reason.empty()) words->addWidget(wrapped(bound(s.reason), "quiet"));
    const auto tried = tried_.find(s.cause->id);
    const bool planned = tried != tried_.end() && !tried->second.plan;
    if (tried != tried_.end()) {
        const auto& t = tried->second;
        const auto hundred = [](double p) { return QString::number(std::lround(100 * p)); };
        QString does = planned ? tr("%1, as planned: the fault falls from %2 to %3 of 100.")
                               : tr("%1: the fault falls from %2 to %3 of 100.");
        does = does.arg(qstring(t.title), hundred(t.before), hundred(t.after));
        if (std::abs(t.grams) > 5e-4) {
            const QString grams = qstring(format(std::abs(t.grams), Dimension::Mass, session_.units()));
            does += QLatin1Char(' ') + (t.grams > 0 ? tr("Each takes %1 more.") : tr("Each takes %1 less.")).arg(grams);
        }
        if (std::abs(t.seconds) > 30) {
            const QString time =
                qstring(format(60 * std::round(std::abs(t.seconds) / 60), Dimension::Duration, session_.units()));
            does += QLatin1Char(' ') + (t.seconds > 0 ? tr("It takes %1 longer.") : tr("It takes %1 less.")).arg(time);
        }
        words->addWidget(wrapped(bound(does.toStdString())));
    } else {
        words->addWidget(wrapped(bound(s.cause->advice)));
    }
    auto* targets = new QHBoxLayout;
    targets->setSpacing(8);
    const QString cause = qstring(s.cause->words);
    if (tried != tried_.end() && !planned && session_.plan().piece(piece_)) {
        auto* b =
            toolButton(tr("Put it into the plan"), tr("Put it into the plan: %1").arg(qstring(tried->second.title)));
        b->setObjectName(QStringLiteral("whyPut/") + qstring(s.cause->id));
        connect(b, &QPushButton::clicked, this, [this, id = s.cause->id] { put(id); });
        targets->addWidget(b);
    }
    auto* mean = toolButton(tr("Mean to do so"), tr("Mean to do so from now on: %1").arg(qstring(s.cause->advice)));
    mean->setObjectName(QStringLiteral("whyMean/") + qstring(s.cause->id));
    connect(mean, &QPushButton::clicked, this, [this, id = s.cause->id, advice = qstring(s.cause->advice)] {
        keeper_.resolve(fault_, id);
        emit said(tr("Kept under what your log teaches: %1").arg(advice), false);
    });
    targets->addWidget(mean);
    if (!evening_.empty()) {
        auto* was = toolButton(tr("It was this"), tr("Write down that it was this: %1").arg(cause));
        was->setObjectName(QStringLiteral("whyWas/") + qstring(s.cause->id));
        connect(was, &QPushButton::clicked, this, [this, id = s.cause->id] {
            log::Entry e;
            e.is = log::Entry::Is::Failed;
            e.piece = piece_;
            e.fault = fault_;
            e.cause = id;
            e.count = 1;
            if (const auto evening = keeper_.evening(evening_))
                for (const auto* held : evening->held())
                    if (held->is == log::Entry::Is::Failed && held->piece == piece_ && held->fault == fault_)
                        e.replaces = held->id, e.count = std::max(1, held->count);
            const QString why = keeper_.add(evening_, e);
            emit said(why.isEmpty() ? tr("It is written down.") : why, !why.isEmpty());
        });
        targets->addWidget(was);
    }
    targets->addStretch(1);
    words->addLayout(targets);
    row->addLayout(words, 1);
    return whole;
}

void WhyPage::showBlame() {
    emptyLayout(question_);
    emptyLayout(suspects_);
    state_->setText(!problem_.isEmpty() ? problem_
                    : fault_.empty()    ? QString()
                    : !inquiry_         ? tr("The piece is computed as it was made …")
                    : busy_             ? tr("Each change is tried …")
                                        : QString());
    state_->setVisible(!state_->text().isEmpty());
    if (!inquiry_) return;
    const auto d = inquiry_->diagnose();
    if (!d.ask.empty() || !inquiry_->given().answered.empty()) {
        auto* whole = new QFrame;
        whole->setObjectName(QStringLiteral("asked"));
        auto* box = new QVBoxLayout(whole);
        box->setContentsMargins(16, 10, 16, 12);
        for (const auto& s : d.suspects) {
            const auto answered = inquiry_->given().answered.find(s.cause->id);
            if (answered == inquiry_->given().answered.end()) continue;
            auto* row = new QHBoxLayout;
            row->addWidget(wrapped(qstring(s.cause->check.question) + QLatin1Char(' ') +
                                       (answered->second ? tr("Yes.") : tr("No.")),
                                   "quiet"),
                           1);
            auto* undo = toolButton(tr("Ask again"), tr("Ask again: %1").arg(qstring(s.cause->check.question)));
            undo->setObjectName(QStringLiteral("whyUnanswer/") + qstring(s.cause->id));
            connect(undo, &QPushButton::clicked, this, [this, id = s.cause->id] {
                inquiry_->unanswer(id);
                showBlame();
            });
            row->addWidget(undo);
            box->addLayout(row);
        }
        for (const auto& s : d.suspects) {
            if (s.cause->id != d.ask) continue;
            auto* asks = wrapped(qstring(s.cause->check.question));
            asks->setFont(report::font(20, QFont::DemiBold));
            asks->setObjectName(QStringLiteral("whyQuestion"));
            box->addWidget(asks);
            auto* row = new QHBoxLayout;
            row->setSpacing(8);
            for (const bool yes : {true, false}) {
                auto* b = new QPushButton(yes ? tr("Yes") : tr("No"));
                b->setObjectName(yes ? QStringLiteral("whyYes") : QStringLiteral("whyNo"));
                b->setAccessibleName(tr("%1: %2").arg(yes ? tr("Yes") : tr("No"), qstring(s.cause->check.question)));
                b->setMinimumWidth(90);
                connect(b, &QPushButton::clicked, this, [this, id = s.cause->id, yes] {
                    inquiry_->answer(id, yes);
                    showBlame();
                });
                row->addWidget(b);
            }
            row->addWidget(wrapped(tr("Of all that could be looked at, this tells most."), "small"), 1);
            box->addLayout(row);
        }
        question_->addWidget(whole);
    }
    QStringList rest;
    for (size_t k = 0; k < d.suspects.size(); ++k) {
        const auto& s = d.suspects[k];
        if (k < kShown && (k < 2 || s.p >= kSlight)) suspects_->addWidget(suspect(s));
        else rest << tr("%1 (%2 of 100)").arg(qstring(s.cause->words)).arg(std::lround(100 * s.p));
    }
    rest << tr("something else (%1 of 100)").arg(std::lround(100 * d.other));
    suspects_->addWidget(wrapped(tr("Less likely: %1.").arg(rest.join(QStringLiteral("; "))), "small"));
}

}  // namespace uovo::desktop
