#include "desktop/day/step_list.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QStyledItemDelegate>
#include <QVBoxLayout>
#include <algorithm>

#include "core/words/words.h"
#include "desktop/kit/finger.h"
#include "desktop/theme/theme.h"
#include "report/fonts.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

constexpr int kRowHigh = 45, kTickWide = 32, kCareRight = 12;  // without what to be careful with
constexpr double kSmall = 12.5;

/// A step: whether it is done, its words, its clock.
class StepDelegate : public QStyledItemDelegate {
public:
    StepDelegate(StepList* list, QObject* parent) : QStyledItemDelegate(parent), steps_(list) {}
    QSize sizeHint(const QStyleOptionViewItem&, const QModelIndex& index) const override {
        const QString& care = steps_->rowOf(index.row()).care;
        if (care.isEmpty()) return {200, kRowHigh};
        const QRect room(0, 0, steps_->list()->viewport()->width() - kTickWide - kCareRight, 1000);
        const int high = QFontMetrics(report::font(kSmall)).boundingRect(room, Qt::TextWordWrap, care).height();
        return {200, kRowHigh + high + 2};
    }
    void paint(QPainter* p, const QStyleOptionViewItem& option, const QModelIndex& index) const override {
        const auto& row = steps_->rowOf(index.row());
        const Theme& c = theme();
        p->save();
        p->setRenderHint(QPainter::Antialiasing);
        const QRectF box = QRectF(option.rect).adjusted(0.5, 1, -3, -1);
        if (option.state & QStyle::State_Selected) {
            QColor fill = c.yolk;
            fill.setAlphaF(0.16F);
            p->setPen(QPen(c.ring, option.state & QStyle::State_HasFocus ? 2 : 1.2));
            p->setBrush(fill);
            p->drawRoundedRect(box, 7, 7);
        }
        const QPointF tick(box.left() + 16, box.top() + 16);
        p->setPen(QPen(c.edge, 1.6));
        p->setBrush(row.done ? QBrush(c.choc) : QBrush(Qt::NoBrush));
        p->drawEllipse(tick, 6.5, 6.5);
        p->setFont(report::font(13.5));
        const double clockWide = report::tabularWidth(p->font(), row.clock);
        p->setPen(c.quiet);
        report::drawTabular(*p, QPointF(box.right() - clockWide - 6, box.top() + 19), row.clock);
        if (row.pinned) {
            p->setPen(QPen(c.ring, 1.6));
            p->setBrush(c.yolk);
            const QPointF at(box.right() - 12, box.top() + 30);
            p->drawLine(at, at + QPointF(0, 8));
            p->drawEllipse(at, 3.2, 3.2);
        }
        p->setFont(report::font(14, row.done ? QFont::Normal : QFont::DemiBold));
        p->setPen(row.done ? c.quiet : c.ink);
        const double room = box.width() - kTickWide - clockWide - 16;
        p->drawText(QPointF(box.left() + kTickWide, box.top() + 19),
                    QFontMetricsF(p->font()).elidedText(row.title, Qt::ElideRight, room));
        p->setFont(report::font(kSmall));
        p->setPen(c.quiet);
        p->drawText(QPointF(box.left() + kTickWide, box.top() + 36),
                    QFontMetricsF(p->font()).elidedText(row.more, Qt::ElideRight, box.width() - kTickWide - 22));
        p->setPen(c.harm);
        p->drawText(QRectF(option.rect).adjusted(kTickWide, kRowHigh - 3, -kCareRight, 0), Qt::TextWordWrap, row.care);
        p->restore();
    }

private:
    StepList* steps_;
};

}  // namespace

QString pinStep(Session& session, const DayPlan& day, int task, int minute) {
    const auto& t = day.network.tasks[static_cast<size_t>(task)];
    if (!isOwn(day, task)) return StepList::tr("“%1” follows from what it is for: pin that.").arg(qstring(t.title));
    if (minute < day.minuteOf(session.now())) return StepList::tr("That time has passed.");
    const DayWish::Pin pin{t.id, fromMidnight(session.plan(), day, minute)};
    session.document().edit(StepList::tr("Pin a step"), [&](Plan& p) {
        std::erase_if(p.day.pins, [&](const DayWish::Pin& x) { return x.step == pin.step; });
        p.day.pins.push_back(pin);
    });
    return {};
}

StepList::StepList(Session& session) : session_(session), search_(new QLineEdit), list_(new QListWidget) {
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(0, 0, 0, 0);
    box->setSpacing(6);
    search_->setPlaceholderText(tr("Find a step"));
    search_->setAccessibleName(tr("Find a step"));
    search_->setObjectName(QStringLiteral("findStep"));
    search_->setClearButtonEnabled(true);
    box->addWidget(search_);
    list_->setObjectName(QStringLiteral("steps"));
    list_->setAccessibleName(tr("Steps of the day; space ticks one off, P pins it"));
    list_->setStyleSheet(QStringLiteral("QListWidget { background: transparent; border: 0; outline: 0; }"));
    list_->setItemDelegate(new StepDelegate(this, list_));
    list_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    list_->setResizeMode(QListView::Adjust);
    list_->setVerticalScrollMode(QAbstractItemView::ScrollPerPixel);
    list_->setMouseTracking(true);
    scrollByFinger(list_);
    list_->installEventFilter(this);
    list_->viewport()->installEventFilter(this);
    box->addWidget(list_, 1);
    list_->setContextMenuPolicy(Qt::CustomContextMenu);
    connect(list_, &QWidget::customContextMenuRequested, this, [this](const QPoint& at) {
        const auto* item = list_->itemAt(at);
        if (!item) return;
        auto* menu = menuOf(list_->row(item));
        menu->setAttribute(Qt::WA_DeleteOnClose);
        menu->popup(list_->viewport()->mapToGlobal(at));
    });
    connect(search_, &QLineEdit::textChanged, this, [this] { filter(); });
    const auto go = [this](QListWidgetItem* item) { emit minuteWanted(rowOf(list_->row(item)).minute); };
    connect(list_, &QListWidget::itemActivated, this, go);
    connect(list_, &QListWidget::itemClicked, this, go);
}

void StepList::setDay(std::shared_ptr<const DayPlan> day) {
    day_ = std::move(day);
    const QSignalBlocker quiet(list_);
    const int kept = list_->currentRow();
    list_->clear();
    rows_.clear();
    if (!day_ || !day_->problem.empty()) return;
    const auto order = stepsInOrder(*day_);
    const auto bursts = burstsAfter(*day_, order);
    const auto& wish = session_.plan().day;
    const bool alone = day_->network.people.size() == 1;
    for (size_t i = 0; i < order.size(); ++i) {
        const auto& t = day_->network.tasks[order[i]];
        Row row;
        row.step = qstring(t.id);
        row.minute = day_->layout.start[order[i]];
        row.task = static_cast<int>(order[i]);
        row.clock = qstring(day_->said(row.minute, session_.units()));
        row.title = qstring(t.title);
        QStringList more{tr("%1 min").arg(t.minutes)};
        if (!alone && t.step != "rest") more << qstring(whoInWords(*day_, order[i]));
        for (const auto& b : bursts[i])
            more << (b.fed ? tr("feed the %1 at %2") : tr("warm the %1 at %2"))
                        .arg(qstring(b.pot).section(QStringLiteral(" ("), 0, 0),
                             qstring(clocksInWords(*day_, b.minutes, session_.units())));
        row.more = more.join(QStringLiteral(" · "));
        QStringList care;
        for (const auto& words : cautionsOf(t, session_.library())) care << qstring(words);
        row.care = care.join(QLatin1Char(' '));
        row.done = std::find(wish.done.begin(), wish.done.end(), t.id) != wish.done.end();
        row.pinned =
            std::any_of(wish.pins.begin(), wish.pins.end(), [&](const DayWish::Pin& p) { return p.step == t.id; });
        auto* item = new QListWidgetItem(row.clock + QStringLiteral("   ") + row.title, list_);
        item->setToolTip(row.title + QLatin1Char('\n') + row.more);
        item->setData(Qt::AccessibleTextRole,
                      QStringLiteral("%1 %2, %3%4%5. %6")
                          .arg(row.clock, row.title, row.more, row.done ? tr(", done") : QString(),
                               row.pinned ? tr(", pinned") : QString(), row.care));
        rows_.push_back(std::move(row));
    }
    if (kept >= 0 && kept < list_->count()) list_->setCurrentRow(kept);
    filter();
}

void StepList::filter() {
    const QString words = search_->text().simplified();
    for (int i = 0; i < list_->count(); ++i)
        list_->item(i)->setHidden(!words.isEmpty() && !rowOf(i).title.contains(words, Qt::CaseInsensitive) &&
                                  !rowOf(i).more.contains(words, Qt::CaseInsensitive));
}

void StepList::showMinute(int minute) {
    int row = -1;
    for (int i = 0; i < list_->count(); ++i)
        if (rowOf(i).minute <= minute) row = i;
    if (row < 0) return;
    const int now = list_->currentRow();  // of several that begin together the chosen one stays
    if (now >= 0 && now < list_->count() && rowOf(now).minute == rowOf(row).minute) return;
    list_->setCurrentRow(row);
    list_->scrollToItem(list_->item(row), QAbstractItemView::PositionAtCenter);
}

void StepList::tick(int row) {
    const std::string id = rowOf(row).step.toStdString();
    const bool done = rowOf(row).done;
    session_.document().edit(done ? tr("Take a tick off") : tr("Tick a step off"), [&](Plan& p) {
        if (done) std::erase(p.day.done, id);
        else p.day.done.push_back(id);
    });
    setDay(day_);  // before the answers, which do not change
}

void StepList::pin(int row) {
    const Row now = rowOf(row);
    if (now.pinned) {
        session_.document().edit(tr("Let a step go"), [&](Plan& p) {
            std::erase_if(p.day.pins, [&](const DayWish::Pin& x) { return x.step == now.step.toStdString(); });
        });
        return;
    }
    if (const QString why = pinStep(session_, *day_, now.task, now.minute); !why.isEmpty()) emit refused(why);
}

void StepList::setAhead(const std::string& piece, int days) {
    session_.document().edit(tr("Choose the day it is made"), [&](Plan& p) {
        if (days > 0) p.day.ahead[piece] = days;
        else p.day.ahead.erase(piece);
    });
}

void StepList::splitRounds(const std::string& piece) {
    const auto answers = session_.pieceAnswers(piece);
    if (!answers || !day_) return;
    int rounds = 1;
    for (const auto& t : day_->network.tasks)
        if (t.piece == piece) rounds = std::max(rounds, t.round);
    const int most = (answers->make + rounds) / (rounds + 1);  // as many in each of one round more
    session_.document().edit(tr("Split into smaller rounds"),
                             [&](Plan& p) { p.day.rounds[piece] = std::max(1, most); });
}

void StepList::joinRounds(const std::string& piece) {
    session_.document().edit(tr("Join the rounds"), [&](Plan& p) { p.day.rounds.erase(piece); });
}

QMenu* StepList::menuOf(int row) {
    const Row now = rowOf(row);
    auto* menu = new QMenu(this);
    const auto act = [this, step = now.step](void (StepList::*what)(int)) {  // its row may move while the menu is open
        for (int i = 0; i < list_->count(); ++i)
            if (rowOf(i).step == step) return (this->*what)(i);
    };
    menu->addAction(now.done ? tr("Take the tick off") : tr("Tick it off"), this, [act] { act(&StepList::tick); });
    menu->addAction(now.pinned ? tr("Let it go") : tr("Pin it here"), this, [act] { act(&StepList::pin); });
    const std::string id = day_->network.tasks[static_cast<size_t>(now.task)].piece;
    const Piece* piece = session_.plan().piece(id);
    if (!piece) return menu;
    const auto& wish = session_.plan().day;
    menu->addSection(qstring(piece->name));
    if (wish.ahead.contains(id)) menu->addAction(tr("Shells on the day itself"), this, [this, id] { setAhead(id, 0); });
    else menu->addAction(tr("Shells the day before"), this, [this, id] { setAhead(id, 1); });
    menu->addAction(tr("In smaller rounds"), this, [this, id] { splitRounds(id); });
    if (wish.rounds.contains(id)) menu->addAction(tr("As many at once as fit"), this, [this, id] { joinRounds(id); });
    return menu;
}

bool StepList::eventFilter(QObject* watched, QEvent* event) {
    if (watched == list_ && event->type() == QEvent::KeyPress) {
        const auto* key = static_cast<QKeyEvent*>(event);
        if (list_->currentRow() >= 0 && key->key() == Qt::Key_Space) return tick(list_->currentRow()), true;
        if (list_->currentRow() >= 0 && key->key() == Qt::Key_P && key->modifiers() == Qt::NoModifier)
            return pin(list_->currentRow()), true;
    }
    if (watched == list_->viewport() && event->type() == QEvent::MouseButtonPress) {
        const auto* press = static_cast<QMouseEvent*>(event);
        const auto* item = list_->itemAt(press->pos());
        if (item && press->button() == Qt::LeftButton && press->pos().x() < kTickWide) {
            tick(list_->row(item));
            return true;
        }
    }
    return QWidget::eventFilter(watched, event);
}

}  // namespace uovo::desktop
