#include "desktop/bench/lesson_page.h"

#include <QHBoxLayout>
#include <QKeyEvent>
#include <QVBoxLayout>

#include "desktop/bench/large.h"
#include "desktop/kit/widgets.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

constexpr int kLessonTick = 100, kActHigh = 64, kChoiceHigh = 84;  // ms; px

}  // namespace

LessonPage::LessonPage(Session& session, QWidget* parent)
    : QWidget(parent), session_(session), pages_(new QStackedWidget) {
    setObjectName(QStringLiteral("lessons"));
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    pages_->addWidget(choices());
    pages_->addWidget(scene());
    all->addWidget(pages_);
    clock_.setInterval(kLessonTick);
    connect(&clock_, &QTimer::timeout, this, [this] {
        if (lesson_) pass(lesson_->speed() * kLessonTick / 1e3);
    });
}

QWidget* LessonPage::choices() {
    auto* page = new QWidget;
    auto* column = new QVBoxLayout(page);
    column->setContentsMargins(60, 40, 60, 30);
    column->setSpacing(12);
    auto* head = letters({}, 40, 700);
    head->setText(tr("Practise with nothing to lose"));
    column->addWidget(head);
    auto* note = letters({}, 19, 400);
    note->setText(tr("Five small lessons of a few minutes. What happens in them is computed as everything here."));
    column->addWidget(note);
    for (const auto& k : lesson::kinds()) {
        auto* b = target(qstring(k.title) + QStringLiteral("\n") + qstring(k.aim),
                         QStringLiteral("lesson-%1").arg(qstring(k.id)), kChoiceHigh);
        b->setAccessibleName(qstring(k.title) + QStringLiteral(", ") + qstring(k.aim));
        connect(b, &QPushButton::clicked, this, [this, id = k.id] { begin(id); });
        column->addWidget(b);
        kinds_.push_back(b);
    }
    column->addStretch(1);
    auto* back = target(tr("Back to the day"), QStringLiteral("lessonsClose"), kActHigh);
    connect(back, &QPushButton::clicked, this, &LessonPage::closed);
    column->addWidget(back);
    return page;
}

QWidget* LessonPage::scene() {
    auto* page = new QWidget;
    auto* column = new QVBoxLayout(page);
    column->setContentsMargins(40, 20, 40, 20);
    column->setSpacing(10);
    auto* head = new QHBoxLayout;
    title_ = letters({}, 32, 700);
    progress_ = letters({}, 18, 400);
    progress_->setProperty("quiet", true);
    progress_->setAlignment(Qt::AlignRight | Qt::AlignVCenter);
    head->addWidget(title_, 2);
    head->addWidget(progress_, 1);
    column->addLayout(head);
    auto* middle = new QHBoxLayout;
    middle->setSpacing(28);
    picture_ = new LessonPicture;
    middle->addWidget(picture_, 3);
    auto* words = new QVBoxLayout;
    for (int i = 0; i < 2; ++i) {
        figures_[i] = letters({}, 36, 600);
        figures_[i]->setObjectName(QStringLiteral("lessonFigure"));
        labels_[i] = letters({}, 17, 400);
        labels_[i]->setProperty("quiet", true);
        for (auto* l : {figures_[i], labels_[i]}) {
            l->setWordWrap(false);
            l->setSizePolicy(QSizePolicy::Preferred, QSizePolicy::Fixed);
        }
        words->addWidget(figures_[i]);
        words->addWidget(labels_[i]);
    }
    words->addSpacing(18);
    now_ = letters({}, 24, 600);
    now_->setObjectName(QStringLiteral("lessonNow"));
    words->addWidget(now_);
    words->addStretch(1);
    middle->addLayout(words, 2);
    column->addLayout(middle, 1);
    auto* rows = new QWidget;
    grid_ = new QGridLayout(rows);
    grid_->setContentsMargins(0, 0, 0, 0);
    grid_->setSpacing(10);
    column->addWidget(rows);
    auto* leave = target(tr("Leave it"), QStringLiteral("lessonLeave"), kActHigh);
    leave->setToolTip(tr("Escape"));
    leave->setProperty("bench", "small");
    leave->setSizePolicy(QSizePolicy::Fixed, QSizePolicy::Fixed);
    connect(leave, &QPushButton::clicked, this, [this] { open(); });
    column->addWidget(leave, 0, Qt::AlignRight);
    return page;
}

void LessonPage::open(const std::string& which) {
    clock_.stop();
    lesson_.reset();
    if (!which.empty()) return begin(which);
    pages_->setCurrentIndex(0);
    size_t at = 0;
    for (size_t i = 0; i < kinds_.size(); ++i)
        if (lesson::kinds()[i].id == id_) at = i;
    kinds_[at]->setFocus();
}

void LessonPage::begin(const std::string& id) {
    lesson_ = lesson::begin(id, session_.plainLibrary(), session_.units());
    if (!lesson_) return;
    id_ = id;
    for (const auto& k : lesson::kinds())
        if (k.id == id) title_->setText(qstring(k.title));
    offered_.clear();
    pages_->setCurrentIndex(1);
    clock_.start();
    refresh();
}

void LessonPage::pass(double seconds) {
    if (!lesson_ || lesson_->isTold() || lesson_->isOver()) return;
    lesson_->pass(seconds);
    refresh();
}

void LessonPage::refresh() {
    picture_->setLook(lesson_->look());
    const auto figures = lesson_->figures();
    for (size_t i = 0; i < 2; ++i) {
        figures_[i]->setText(i < figures.size() ? qstring(figures[i].figure) : QString());
        labels_[i]->setText(i < figures.size() ? qstring(figures[i].label) : QString());
    }
    if (const QString now = qstring(lesson_->now()); now_->text() != now) now_->setText(now);
    const int done = static_cast<int>(lesson_->rounds().size()), all = static_cast<int>(lesson_->tries());
    progress_->setText(lesson_->isOver() ? tr("over")
                                         : tr("%1 of %2, %3 times as fast as it is")
                                               .arg(std::min(all, lesson_->isTold() ? done : done + 1))
                                               .arg(all)
                                               .arg(lesson_->speed()));
    auto acts = lesson_->acts();
    if (lesson_->isOver())
        acts = {{"again", tr("Once more").toStdString()}, {"away", tr("Something else").toStdString()}};
    std::string offered;
    for (const auto& a : acts) offered += a.id + '\n';
    if (offered == offered_) return;  // targets stay where they are while time passes
    offered_ = offered;
    size_t had = 0;
    for (size_t i = 0; i < acts_.size(); ++i)
        if (acts_[i]->hasFocus()) had = i;
    emptyLayout(grid_);
    acts_.clear();
    for (size_t i = 0; i < acts.size(); ++i) {
        auto* b = target(QStringLiteral("%1  %2").arg(i + 1).arg(qstring(acts[i].words)),
                         QStringLiteral("act-%1").arg(qstring(acts[i].id)), kActHigh);
        b->setAccessibleName(qstring(acts[i].words));
        connect(b, &QPushButton::clicked, this, [this, id = acts[i].id] {
            if (!lesson_) return;
            if (id == "again") return begin(std::string(id_));
            if (id == "away") return open();
            lesson_->act(id);
            refresh();
        });
        grid_->addWidget(b, 0, static_cast<int>(i));
        b->show();  // at once: it takes the focus
        acts_.push_back(b);
    }
    acts_[std::min(had, acts_.size() - 1)]->setFocus();
}

void LessonPage::keyPressEvent(QKeyEvent* e) {
    const int digit = e->key() - Qt::Key_1;
    if (e->key() == Qt::Key_Escape) lesson_ ? open() : emit closed();
    else if (lesson_ && digit >= 0 && digit < static_cast<int>(acts_.size()))
        acts_[static_cast<size_t>(digit)]->click();
    else QWidget::keyPressEvent(e);
}

void LessonPage::hideEvent(QHideEvent* e) {
    QWidget::hideEvent(e);
    clock_.stop();
}

void LessonPage::showEvent(QShowEvent* e) {
    QWidget::showEvent(e);
    if (lesson_ && !lesson_->isOver()) clock_.start();
}

}  // namespace uovo::desktop
