#include "desktop/shell/notice_bar.h"

#include <QHBoxLayout>
#include <QPushButton>
#include <QVBoxLayout>

#include "desktop/shell/sheet.h"
#include "desktop/theme/theme.h"

namespace uovo::desktop {

class NoticeBar::Row : public QFrame {
public:
    explicit Row(QWidget* parent) : QFrame(parent), text(new QLabel), buttons(new QHBoxLayout) {
        setObjectName(QStringLiteral("banner"));
        auto* row = new QHBoxLayout(this);
        row->setContentsMargins(20, 8, 12, 8);
        text->setWordWrap(true);
        row->addWidget(text, 1);
        row->addLayout(buttons);
    }
    QPushButton* add(const QString& words, const QString& name) {
        auto* b = new QPushButton(words);
        b->setObjectName(name);
        buttons->addWidget(b);
        return b;
    }
    QLabel* text;
    QHBoxLayout* buttons;
};

NoticeBar::NoticeBar(QWidget* parent) : QWidget(parent), message_(new Row(this)) {
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(0);
    column->addWidget(message_);
    connect(message_->add(tr("Close"), {}), &QPushButton::clicked, message_, &QWidget::hide);
    message_->hide();
}

void NoticeBar::restyle(Row* row, bool harm) {
    const Theme& c = theme();
    row->setStyleSheet(QStringLiteral("QFrame#banner { background: %1; border: 0; border-bottom: 1px solid %2; }")
                           .arg((harm ? c.harmFill : c.coldFill).name(), (harm ? c.harm : c.cold).name()));
}

void NoticeBar::say(const QString& sentence, bool harm) {
    restyle(message_, harm);
    message_->text->setText(sentence);
    message_->show();
}

void NoticeBar::hush() { message_->hide(); }

void NoticeBar::offer(const QString& key, const QString& sentence, const std::vector<Answer>& answers) {
    withdraw(key);
    Row* row = offers_[key] = new Row(this);
    newest_ = key;
    restyle(row, false);
    row->text->setText(sentence);
    for (const Answer& answer : answers)
        connect(row->add(answer.words, answer.objectName), &QPushButton::clicked, this, [this, key, answer] {
            if (!answer.stays) withdraw(key);
            answer.act();
        });
    static_cast<QVBoxLayout*>(layout())->insertWidget(0, row);
    row->show();
}

void NoticeBar::withdraw(const QString& key) {
    const auto it = offers_.find(key);
    if (it == offers_.end()) return;
    retire(it->second);  // it may be the one that was clicked
    offers_.erase(it);
}

QString NoticeBar::saying() const {
    if (message_->isVisible()) return message_->text->text();
    const auto it = offers_.find(newest_);
    return it == offers_.end() ? QString() : it->second->text->text();
}

}  // namespace uovo::desktop
