#include "desktop/shape/gallery.h"

#include <QHBoxLayout>
#include <QKeyEvent>
#include <QMenu>
#include <QPainter>

#include "desktop/kit/flow_layout.h"
#include "desktop/kit/widgets.h"
#include "desktop/theme/glyph_button.h"
#include "desktop/theme/theme.h"
#include "report/text.h"

namespace uovo::desktop {

QString aboutWays(const std::vector<form::Hit>& hits) {
    for (const auto& hit : hits)
        if (!hit.thing.empty())
            return Gallery::tr(
                       "No shape here is a %1 by itself. Four ways make one: cut it by its outline, fill a "
                       "bought mold, take a mold of a real one, or bring a model.")
                .arg(qstring(hit.thing));
    return {};
}

Gallery::Gallery(OwnShelf& shelf, QWidget* parent)
    : QWidget(parent),
      shelf_(shelf),
      own_(new QWidget),
      ownRow_(new FlowLayout(6, 6)),
      words_(new QLineEdit),
      scroll_(scrolledDown()),
      note_(wrapped({}, "quiet")),
      tiles_(new FamilyTiles) {
    setObjectName(QStringLiteral("gallery"));
    setAccessibleName(tr("Gallery of pieces"));
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(26, 18, 18, 10);
    box->setSpacing(10);
    auto* head = new QHBoxLayout;
    auto* title = new QLabel(tr("What shall it be?"));
    title->setStyleSheet(QStringLiteral("font-size: 27px; font-weight: 700;"));
    words_->setPlaceholderText(tr("basket, dome, something to break …"));
    words_->setAccessibleName(tr("What you want to make"));
    words_->setFixedWidth(330);
    words_->installEventFilter(this);
    auto* close = GlyphButton::bare(Glyph::Close, tr("Close the gallery"));
    connect(close, &QPushButton::clicked, this, [this] {
        hide();
        emit closed();
    });
    head->addWidget(title);
    head->addSpacing(18);
    head->addWidget(words_);
    head->addStretch(1);
    head->addWidget(close);
    box->addLayout(head);
    note_->hide();
    box->addWidget(note_);
    auto* ownBox = new QVBoxLayout(own_);
    ownBox->setContentsMargins(0, 0, 0, 4);
    ownBox->addWidget(wrapped(tr("Kept by you; a right click forgets one"), "quiet"));
    ownBox->addLayout(ownRow_);
    ownRow_->setContentsMargins(0, 0, 0, 0);
    box->addWidget(own_);
    connect(&shelf_, &OwnShelf::keptChanged, this, [this] {
        if (isVisible()) filter();
    });
    scroll_->setWidget(tiles_);
    box->addWidget(scroll_, 1);
    connect(tiles_, &FamilyTiles::chosen, this, [this](const form::Hit& hit) {
        hide();
        emit chosen(hit);
    });
    connect(words_, &QLineEdit::textChanged, this, &Gallery::filter);
    hide();
}

void Gallery::open() {
    words_->clear();
    filter();
    setGeometry(parentWidget()->rect());
    show();
    raise();
    words_->setFocus();
}

void Gallery::filter() {
    const auto hits = form::search(words_->text().toStdString());
    tiles_->look(hits);
    const QString ways = aboutWays(hits);
    note_->setText(ways);
    note_->setVisible(!ways.isEmpty());
    scroll_->ensureVisible(0, 0);
    kept();
}

/// Pieces of one's own whose names the words say; all of them for no words.
void Gallery::kept() {
    emptyLayout(ownRow_);
    const QString words = words_->text().trimmed();
    bool any = false;
    for (const auto& piece : shelf_.kept().pieces) {
        if (!words.isEmpty() && !qstring(piece.name).contains(words, Qt::CaseInsensitive)) continue;
        any = true;
        auto* b = toolButton(qstring(piece.name), tr("%1, kept by you").arg(qstring(piece.name)));
        b->setObjectName(QStringLiteral("kept/") + qstring(piece.id));
        connect(b, &QPushButton::clicked, this, [this, id = piece.id] {
            hide();
            emit keptChosen(id);
        });
        b->setContextMenuPolicy(Qt::CustomContextMenu);
        connect(b, &QWidget::customContextMenuRequested, this, [this, b, id = piece.id](const QPoint& at) {
            QMenu menu;
            menu.addAction(tr("Forget it"), this, [this, id] {
                if (const QString why = shelf_.forget(id); !why.isEmpty()) emit said(why, true);
            });
            menu.exec(b->mapToGlobal(at));
        });
        ownRow_->addWidget(b);
        b->show();
    }
    own_->setVisible(any);
}

bool Gallery::eventFilter(QObject* object, QEvent* e) {
    if (object == words_ && e->type() == QEvent::KeyPress) {
        const int key = static_cast<QKeyEvent*>(e)->key();
        auto* first = tiles_->first();
        if ((key == Qt::Key_Return || key == Qt::Key_Enter) && first) {
            first->click();
            return true;
        }
        if (key == Qt::Key_Down && first) {
            first->setFocus();
            return true;
        }
    }
    return QWidget::eventFilter(object, e);
}

void Gallery::paintEvent(QPaintEvent*) { QPainter(this).fillRect(rect(), theme().paper); }

}  // namespace uovo::desktop
