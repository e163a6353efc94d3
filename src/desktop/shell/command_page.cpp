#include "desktop/shell/command_page.h"

#include <QApplication>
#include <QKeyEvent>
#include <QPainter>
#include <QStyledItemDelegate>
#include <QVBoxLayout>
#include <algorithm>

#include "desktop/kit/finger.h"
#include "desktop/kit/widgets.h"
#include "desktop/theme/theme.h"
#include "report/fonts.h"

namespace uovo::desktop {
namespace {

constexpr int kKeyRole = Qt::UserRole + 1, kLine = 34;

/// Words on the left, the key on the right.
class CommandLine : public QStyledItemDelegate {
public:
    using QStyledItemDelegate::QStyledItemDelegate;
    QSize sizeHint(const QStyleOptionViewItem&, const QModelIndex&) const override { return {200, kLine}; }
    void paint(QPainter* p, const QStyleOptionViewItem& o, const QModelIndex& at) const override {
        const bool can = at.flags() & Qt::ItemIsEnabled, chosen = o.state & QStyle::State_Selected;
        p->save();
        p->setRenderHint(QPainter::Antialiasing);
        if (chosen) {
            p->setPen(QPen(theme().ring, 2));
            p->setBrush(theme().hairline);
            p->drawRoundedRect(QRectF(o.rect).adjusted(2, 2, -2, -2), 7, 7);
        }
        const QRect inside = o.rect.adjusted(12, 0, -12, 0);
        const QString key = at.data(kKeyRole).toString();
        p->setFont(report::font(13.5));
        p->setPen(theme().quiet);
        const int wide = QFontMetrics(p->font()).horizontalAdvance(key);
        p->drawText(inside, Qt::AlignRight | Qt::AlignVCenter, key);
        p->setFont(report::font(15));
        p->setPen(can ? theme().ink : theme().quiet);
        const QRect words = inside.adjusted(0, 0, -wide - 14, 0);
        p->drawText(words, Qt::AlignLeft | Qt::AlignVCenter,
                    QFontMetrics(p->font()).elidedText(at.data().toString(), Qt::ElideRight, words.width()));
        p->restore();
    }
};

}  // namespace

CommandPage::CommandPage(QList<QAction*> commands)
    : commands_(std::move(commands)), words_(new QLineEdit), list_(new QListWidget) {
    setObjectName(QStringLiteral("commandPage"));
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(0, 6, 10, 6);
    box->setSpacing(8);
    words_->setPlaceholderText(tr("what you want to do"));
    words_->setAccessibleName(tr("Find a command by its name"));
    words_->installEventFilter(this);
    list_->setObjectName(QStringLiteral("commands"));
    list_->setAccessibleName(tr("Commands"));
    list_->setFrameShape(QFrame::NoFrame);
    list_->setItemDelegate(new CommandLine(list_));
    list_->setVerticalScrollMode(QAbstractItemView::ScrollPerPixel);
    list_->setMinimumHeight(6 * kLine);
    scrollByFinger(list_);
    box->addWidget(words_);
    box->addWidget(list_, 1);
    box->addWidget(
        wrapped(tr("In a field: any unit (5 1/2 in, 114 °F, 1 h 15) or words: falls in a ribbon, two spoons, "
                   "count to thirty, finger wide. Turning a piece: arrows turn, Shift with arrows moves, plus "
                   "and minus come nearer, 1 to 4 are standard views, 0 fits it in. On the cut piece: left and "
                   "right choose a handle, up and down move it by a millimetre, with Shift by five. On a step's "
                   "card: Alt with left or right moves it, Delete removes it. On the day: left and right move "
                   "through time, with Shift by a quarter of an hour."),
                "small"));
    setFocusProxy(words_);
    connect(words_, &QLineEdit::textChanged, this, &CommandPage::show);
    connect(list_, &QListWidget::itemClicked, this, &CommandPage::choose);
    connect(list_, &QListWidget::itemActivated, this, &CommandPage::choose);
    const auto rank = [](const QAction* a) {
        return a->isEnabled() ? (a->property(kCommandHere).toBool() ? 0 : 1) : 2;
    };
    std::ranges::stable_sort(commands_, {}, rank);
    show();
}

void CommandPage::show() {
    list_->clear();
    const QStringList parts = words_->text().simplified().split(QLatin1Char(' '), Qt::SkipEmptyParts);
    for (int i = 0; i < commands_.size(); ++i) {
        const QAction* a = commands_[i];
        const QString name = a->text();
        if (!std::ranges::all_of(parts, [&](const QString& w) { return name.contains(w, Qt::CaseInsensitive); }))
            continue;
        auto* item = new QListWidgetItem(name, list_);
        item->setData(Qt::UserRole, i);
        item->setData(kKeyRole, a->shortcut().toString(QKeySequence::NativeText));
        item->setData(Qt::AccessibleTextRole, name + QStringLiteral(", ") + a->shortcut().toString());
        if (!a->isEnabled()) item->setFlags(item->flags() & ~Qt::ItemIsEnabled);
    }
    if (list_->count() > 0) list_->setCurrentRow(0);
}

void CommandPage::choose(QListWidgetItem* item) {
    if (!item || !(item->flags() & Qt::ItemIsEnabled)) return;
    emit chosen(commands_[item->data(Qt::UserRole).toInt()]);
}

bool CommandPage::eventFilter(QObject* watched, QEvent* event) {
    if (event->type() == QEvent::KeyPress) {
        const int key = static_cast<QKeyEvent*>(event)->key();
        if (key == Qt::Key_Down || key == Qt::Key_Up || key == Qt::Key_PageDown || key == Qt::Key_PageUp) {
            QApplication::sendEvent(list_, event);
            return true;
        }
        if (key == Qt::Key_Return || key == Qt::Key_Enter) {
            choose(list_->currentItem());
            return true;
        }
    }
    return QWidget::eventFilter(watched, event);
}

}  // namespace uovo::desktop
