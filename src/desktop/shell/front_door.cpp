#include "desktop/shell/front_door.h"

#include <QDateTime>
#include <QFileInfo>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QMenu>
#include <QPainter>
#include <QScrollArea>
#include <QWidgetAction>

#include "core/quantity/plural.h"
#include "core/quantity/words.h"
#include "desktop/kit/calendar_leaf.h"
#include "desktop/kit/flow_layout.h"
#include "desktop/kit/widgets.h"
#include "desktop/shape/gallery.h"
#include "desktop/shell/deadline_page.h"
#include "desktop/theme/glyph_button.h"
#include "desktop/theme/theme.h"
#include "io/data.h"
#include "io/examples.h"
#include "report/fonts.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

constexpr int kBeside = 286;  // px
constexpr int kMost = 500;    // pieces of a kind, as a plan takes
constexpr size_t kHits = 12;  // more are in the gallery

/// Wishes to begin with, as people say them.
QStringList readyWishes() {
    return {FrontDoor::tr("12 bowls that hold ice cream"),  FrontDoor::tr("8 cups to drink coffee from"),
            FrontDoor::tr("a basket for almonds"),          FrontDoor::tr("a house with a gable roof"),
            FrontDoor::tr("a ball to smash, sweets in it"), FrontDoor::tr("20 lidded tubs for mousse"),
            FrontDoor::tr("6 spoons to stir into milk"),    FrontDoor::tr("24 dipped strawberries")};
}

QPushButton* lineButton(const QString& words, const QString& under, const QString& object) {
    auto* b = new QPushButton(under.isEmpty() ? words : words + QStringLiteral("\n") + under);
    b->setProperty("flat", true);
    b->setObjectName(object);
    b->setAccessibleName(under.isEmpty() ? words : words + QStringLiteral(": ") + under);
    b->setCursor(Qt::PointingHandCursor);
    b->setStyleSheet(QStringLiteral("text-align: left;"));
    b->setSizePolicy(QSizePolicy::Ignored, QSizePolicy::Fixed);
    return b;
}

}  // namespace

FrontDoor::FrontDoor(Session& session, QWidget* window)
    : QWidget(window),
      session_(session),
      sentence_(new QLineEdit),
      said_(wrapped({}, "quiet")),
      over_(heading({}, 6)),
      plan_(new QPushButton(tr("Plan it"))),
      tiles_(new FamilyTiles) {
    setObjectName(QStringLiteral("frontDoor"));
    setAccessibleName(tr("What shall it be?"));
    setAutoFillBackground(true);
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(0);
    auto* left = new QWidget;
    auto* box = new QVBoxLayout(left);
    box->setContentsMargins(34, 26, 20, 10);
    box->setSpacing(10);
    auto* title = new QLabel(tr("What shall it be?"));
    title->setFont(report::font(30, QFont::Bold));
    box->addWidget(title);
    auto* line = new QHBoxLayout;
    line->setSpacing(10);
    sentence_->setObjectName(QStringLiteral("wish"));
    sentence_->setAccessibleName(tr("Your wish, in a sentence"));
    sentence_->setPlaceholderText(tr("twelve bowls that hold ice cream, Saturday at six"));
    sentence_->setMaxLength(200);
    sentence_->installEventFilter(this);
    plan_->setObjectName(QStringLiteral("planIt"));
    plan_->setProperty("main", true);
    plan_->setCursor(Qt::PointingHandCursor);
    line->addWidget(sentence_, 1);
    line->addWidget(plan_);
    box->addLayout(line);
    box->addWidget(fields());
    said_->setObjectName(QStringLiteral("wishSaid"));
    box->addWidget(said_);
    box->addWidget(over_);
    auto* scroll = scrolledDown();
    scroll->setWidget(tiles_);
    box->addWidget(scroll, 1);
    row->addWidget(left, 1);
    row->addWidget(beside());
    connect(sentence_, &QLineEdit::textChanged, this, &FrontDoor::read);
    connect(plan_, &QPushButton::clicked, this, [this] {
        if (!wish_.shapes.empty()) choose(wish_.shapes.front());
    });
    connect(tiles_, &FamilyTiles::chosen, this, [this](const form::Hit& hit) {
        if (!sentence_->text().trimmed().isEmpty()) return choose(hit);
        for (const auto& [words, shape] : ready_) {
            if (!(shape == hit)) continue;
            sentence_->setText(words);
            plan_->setFocus();
            return;
        }
    });
    window->installEventFilter(this);
    hide();
}

QWidget* FrontDoor::fields() {
    auto* all = new QWidget;
    auto* row = new FlowLayout(16, 6);  // in a narrow window it takes two lines
    all->setLayout(row);
    row->setContentsMargins(0, 0, 0, 0);
    const auto under = [&](const QString& words, QWidget* field, QWidget* more, int wide) {
        auto* group = new QWidget;
        auto* column = new QVBoxLayout(group);
        column->setContentsMargins(0, 0, 0, 0);
        column->setSpacing(2);
        auto* name = new QLabel(words);
        name->setProperty("small", true);
        column->addWidget(name);
        auto* inner = new QHBoxLayout;
        inner->setSpacing(2);
        inner->addWidget(field, 1, Qt::AlignTop);
        if (more) inner->addWidget(more, 0, Qt::AlignTop);
        column->addLayout(inner);
        field->setFixedWidth(wide);
        row->addWidget(group);
    };
    count_ = new WordsField(tr("How many"), QStringLiteral("wish/count"), [this](const QString& text) {
        bool ok = false;
        const int n = text.toInt(&ok);
        if (!ok || n < 1 || n > kMost) return tr("A whole number, 1 to %1.").arg(kMost);
        hand_.count = n;
        read();
        return QString();
    });
    under(tr("How many"), count_, nullptr, 90);
    QStringList names{tr("nothing goes in")};
    for (const auto& k : session_.library().fillings) names << qstring(k.name);
    filling_ = choiceBox(tr("What goes in"), names);
    filling_->setObjectName(QStringLiteral("wish/filling"));
    connect(filling_, &QComboBox::activated, this, [this](int i) {
        hand_.filling = i > 0 ? session_.library().fillings[static_cast<size_t>(i - 1)].id : std::string();
        read();
    });
    under(tr("What goes in"), filling_, nullptr, 190);
    day_ = new WordsField(tr("Ready on"), QStringLiteral("wish/day"), [this](const QString& text) {
        const QDate today = QDate(1970, 1, 1).addDays(session_.now() / 1440);
        const auto day = readDay(text, dayLocale(), today);
        if (!day) return tr("Not a day. Write it like %1.").arg(dayLocale().toString(today, QLocale::ShortFormat));
        if (*day < today) return tr("That day has passed.");
        hand_.day = QDate(1970, 1, 1).daysTo(*day);
        read();
        return QString();
    });
    auto* pick = new QPushButton(tr("Calendar"));
    pick->setObjectName(QStringLiteral("wish/calendar"));
    pick->setProperty("flat", true);
    pick->setAccessibleName(tr("Choose the day on a calendar"));
    connect(pick, &QPushButton::clicked, this, [this, pick] {
        auto* menu = new QMenu(this);
        menu->setAttribute(Qt::WA_DeleteOnClose);
        const QDate today = QDate(1970, 1, 1).addDays(session_.now() / 1440);
        auto* leaf = new CalendarLeaf(dayLocale(), QStringLiteral("wish/days"), tr("Day it must be ready"), today);
        leaf->setDay(QDate(1970, 1, 1).addDays(day()));
        leaf->setContentsMargins(8, 8, 8, 8);
        connect(leaf, &CalendarLeaf::chosen, this, [this, menu](const QDate& chosen) {
            hand_.day = QDate(1970, 1, 1).daysTo(chosen);
            menu->close();
            read();
        });
        auto* action = new QWidgetAction(menu);
        action->setDefaultWidget(leaf);
        menu->addAction(action);
        menu->popup(pick->mapToGlobal(QPoint(0, pick->height())));
    });
    under(tr("Ready on"), day_, pick, 236);
    clock_ = new WordsField(tr("at"), QStringLiteral("wish/clock"), [this](const QString& text) {
        const auto minutes = clockMinutes(text.toStdString());
        if (!minutes) return tr("Like 18:30 or 6:30 pm.");
        hand_.clock = *minutes;
        read();
        return QString();
    });
    under(tr("at"), clock_, nullptr, 100);
    return all;
}

QWidget* FrontDoor::beside() {
    auto* side = new QFrame;
    side->setObjectName(QStringLiteral("beside"));
    side->setFixedWidth(kBeside);
    auto* box = new QVBoxLayout(side);
    box->setContentsMargins(18, 20, 18, 18);
    box->setSpacing(4);
    auto* head = new QHBoxLayout;
    auto* open = lineButton(tr("Open a plan …"), {}, QStringLiteral("doorOpen"));
    connect(open, &QPushButton::clicked, this, &FrontDoor::openWanted);
    head->addWidget(open, 1);
    auto* close = GlyphButton::bare(Glyph::Close, tr("Back to the plan that is open"));
    close->setObjectName(QStringLiteral("doorClose"));
    connect(close, &QPushButton::clicked, this, &QWidget::hide);
    head->addWidget(close);
    box->addLayout(head);
    lately_ = new QVBoxLayout;
    lately_->setSpacing(0);
    box->addLayout(lately_);
    box->addWidget(heading(tr("To look at"), 14));
    auto* demo = lineButton(tr("The demo: Perseid night"), tr("an invented evening"), QStringLiteral("doorDemo"));
    connect(demo, &QPushButton::clicked, this, [this] { emit inventedWanted(io::demoPlanFor(session_.now())); });
    box->addWidget(demo);
    for (const auto& e : io::examples()) {
        auto* b = lineButton(qstring(e.name), qstring(e.about), QStringLiteral("example/") + qstring(e.file));
        b->setToolTip(qstring(upperFirst(e.about)));
        connect(b, &QPushButton::clicked, this,
                [this, file = e.file] { emit inventedWanted(io::examplePlan(file, session_.now())); });
        box->addWidget(b);
    }
    box->addWidget(wrapped(tr("Each is invented, whole, and yours to change: nothing of yours is touched."), "small"));
    box->addStretch(1);
    auto* empty = lineButton(tr("An empty shelf"), tr("begin without a wish"), QStringLiteral("emptyPlan"));
    connect(empty, &QPushButton::clicked, this, [this] {
        Plan plan = firstPlan({}, {form::family("balloon")}, session_.now(), like_(), session_.library());
        plan.pieces.clear();
        plan.name = Plan().name;
        emit planWanted(plan);
    });
    box->addWidget(empty);
    return side;
}

void FrontDoor::lately(const QStringList& files) {
    constexpr int kShown = 5;
    emptyLayout(lately_);
    if (files.isEmpty()) return;
    lately_->addWidget(heading(tr("Opened lately"), 8));
    for (const QString& path : files.mid(0, kShown)) {
        const QFileInfo file(path);
        if (!file.exists()) continue;
        auto* b =
            lineButton(file.completeBaseName(), dayLocale().toString(file.lastModified().date(), QLocale::ShortFormat),
                       QStringLiteral("lately"));
        b->setToolTip(path);
        connect(b, &QPushButton::clicked, this, [this, path] { emit fileWanted(path); });
        lately_->addWidget(b);
    }
}

void FrontDoor::open(const QStringList& files) {
    lately(files);
    if (ready_.empty())
        for (const QString& words : readyWishes())
            if (auto wish = wanted(words.toStdString(), session_.now(), session_.library()); !wish.shapes.empty())
                ready_.emplace_back(words, std::move(wish.shapes.front()));
    hand_ = {};
    sentence_->clear();
    read();
    setGeometry(parentWidget()->rect());
    QWidget::show();
    raise();
    sentence_->setFocus();
}

long FrontDoor::day() const { return readyAt(wish_, session_.now()) / 1440; }

void FrontDoor::read() {
    wish_ = wanted(sentence_->text().toStdString(), session_.now(), session_.library());
    // what hands set stays until the sentence says something else
    if (wish_.count > 0 && wish_.count != told_.count) hand_.count.reset();
    if (wish_.day && wish_.day != told_.day) hand_.day.reset();
    if (wish_.clock && wish_.clock != told_.clock) hand_.clock.reset();
    if (!wish_.filling.empty() && wish_.filling != told_.filling) hand_.filling.reset();
    told_ = wish_;
    if (hand_.count) wish_.count = *hand_.count;
    if (hand_.day) wish_.day = *hand_.day;
    if (hand_.clock) wish_.clock = *hand_.clock;
    if (hand_.filling) wish_.filling = *hand_.filling;
    show();
}

void FrontDoor::show() {
    const bool any = !sentence_->text().trimmed().isEmpty();
    std::vector<form::Hit> hits;
    if (any) {
        hits = wish_.shapes;
        if (hits.size() > kHits) hits.resize(kHits);
        tiles_->look(hits, {}, true);
    } else {
        std::vector<std::pair<QString, QString>> words;
        for (const auto& [said, shape] : ready_) {
            hits.push_back(shape);
            words.emplace_back(qstring(upperFirst(said.toStdString())), qstring(shape.family->brief));
        }
        tiles_->look(hits, words);
    }
    over_->setText(any ? tr("Made as the first of these, or as another") : tr("Or begin with one of these"));
    const bool many = wish_.count > kMost;
    plan_->setEnabled(any && !wish_.shapes.empty() && !many);
    const int usual = wish_.shapes.empty() || !any ? 0 : pieceOf(wish_.shapes.front(), Plan()).count;
    const int count = wish_.count > 0 ? wish_.count : usual;
    count_->setWords(count > 0 ? QString::number(count) : QString());
    int filling = 0;
    const auto& kinds = session_.library().fillings;
    for (size_t k = 0; k < kinds.size(); ++k)
        if (kinds[k].id == wish_.filling) filling = static_cast<int>(k) + 1;
    filling_->setCurrentIndex(filling);
    const QDate date = QDate(1970, 1, 1).addDays(day());
    day_->setWords(sayDay(date, dayLocale()));
    const QString clock = qstring(clockInWords(wish_.clock.value_or(kUsualClock), session_.units()));
    clock_->setWords(clock);
    QString words = any ? aboutWays(hits) : tr("In your own words: how many, of what, what goes in, for when.");
    QString things = hits.empty() ? QString() : qstring(lowerFirst(hits.front().family->name));
    for (const auto& other : wish_.others)
        things += tr(", %1 × %2").arg(other.count).arg(qstring(lowerFirst(other.shape.family->name)));
    if (any && words.isEmpty() && !hits.empty())
        words = tr("%1 × %2%3, ready %4 at %5.")
                    .arg(count)
                    .arg(things,
                         filling > 0
                             ? tr(", %1 in each").arg(qstring(lowerFirst(kinds[static_cast<size_t>(filling) - 1].name)))
                             : QString(),
                         sayDay(date, dayLocale()), clock);
    if (many) words = tr("A plan makes at most %1 of one kind: split it over several days.").arg(kMost);
    said_->setText(words);
}

void FrontDoor::choose(const form::Hit& hit) {
    emit planWanted(firstPlan(wish_, hit, session_.now(), like_(), session_.library()));
}

void FrontDoor::keyPressEvent(QKeyEvent* e) {
    if (e->key() == Qt::Key_Escape) hide();
    else QWidget::keyPressEvent(e);
}

/// The tabulator stays here while it is open.
bool FrontDoor::focusNextPrevChild(bool next) {
    for (QWidget* w = focusWidget(); w;) {
        w = next ? w->nextInFocusChain() : w->previousInFocusChain();
        if (w == focusWidget()) break;
        if (isAncestorOf(w) && w->isVisible() && w->isEnabled() && (w->focusPolicy() & Qt::TabFocus) != 0) {
            w->setFocus(next ? Qt::TabFocusReason : Qt::BacktabFocusReason);
            return true;
        }
    }
    return QWidget::focusNextPrevChild(next);
}

bool FrontDoor::eventFilter(QObject* object, QEvent* e) {
    if (object == parentWidget() && e->type() == QEvent::Resize) setGeometry(parentWidget()->rect());
    if (object == sentence_ && e->type() == QEvent::KeyPress) {
        const int key = static_cast<QKeyEvent*>(e)->key();
        if ((key == Qt::Key_Return || key == Qt::Key_Enter) && plan_->isEnabled()) {
            plan_->click();
            return true;
        }
        if (key == Qt::Key_Down && tiles_->first()) {
            tiles_->first()->setFocus();
            return true;
        }
    }
    return QWidget::eventFilter(object, e);
}

void FrontDoor::paintEvent(QPaintEvent*) { QPainter(this).fillRect(rect(), theme().paper); }

}  // namespace uovo::desktop
