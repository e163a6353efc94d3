#include "desktop/kit/field.h"

#include <QApplication>
#include <QKeyEvent>
#include <QStyle>
#include <QVBoxLayout>

namespace uovo::desktop {

int Field::refusedEvent() {
    static const int type = QEvent::registerEventType();
    return type;
}

Field::Field(const QString& name, const QString& place, QWidget* parent)
    : QWidget(parent), place_(place), edit_(new QLineEdit), complaint_(new QLabel) {
    setObjectName(place);
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(0, 0, 0, 0);
    box->setSpacing(2);
    box->addWidget(edit_);
    box->addWidget(complaint_);
    edit_->setAccessibleName(name);
    edit_->setToolTip(name);
    edit_->setMaxLength(200);
    edit_->installEventFilter(this);
    complaint_->setProperty("harm", true);
    complaint_->setWordWrap(true);
    complaint_->setMinimumWidth(190);
    complaint_->hide();
    connect(edit_, &QLineEdit::editingFinished, this, &Field::commit);
    connect(edit_, &QLineEdit::textEdited, this, [this] {
        if (typingProblem_.isEmpty()) return;
        typingProblem_.clear();
        complain(planProblem_);
    });
    setFocusProxy(edit_);
}

bool Field::show(const QString& text) {
    if (edit_->hasFocus() && edit_->isModified() && typingProblem_.isEmpty()) return false;  // it is being written
    if (!typingProblem_.isEmpty() && text == shown_) return false;  // what cannot be stays until it is mended
    shown_ = text;
    typingProblem_.clear();
    if (edit_->text() != text) {
        edit_->setText(text);
        if (!edit_->hasFocus())
            edit_->setCursorPosition(0);  // what is longer than the field is read from its beginning
    }
    complain(planProblem_);
    return true;
}

void Field::commit() {
    if (edit_->text() == shown_) {
        typingProblem_.clear();
        complain(planProblem_);
        return;
    }
    const QString written = edit_->text();
    edit_->setModified(false);
    typingProblem_ = take(written);
    if (typingProblem_.isEmpty()) shown_ = edit_->text();
    else edit_->setModified(true);  // undo is about these words, not about the plan
    complain(typingProblem_.isEmpty() ? planProblem_ : typingProblem_);
}

bool Field::eventFilter(QObject* watched, QEvent* event) {
    // Escape takes back what was written, and only then closes what the field stands in; undo begins with what could
    // not be.
    const bool pressed = event->type() == QEvent::KeyPress || event->type() == QEvent::ShortcutOverride;
    const auto* key = pressed ? static_cast<QKeyEvent*>(event) : nullptr;
    if (key && ((key->key() == Qt::Key_Escape && edit_->text() != shown_) ||
                (key->matches(QKeySequence::Undo) && !typingProblem_.isEmpty()))) {
        event->accept();
        if (event->type() == QEvent::ShortcutOverride) return true;
        edit_->setText(shown_);
        edit_->setModified(false);
        typingProblem_.clear();
        complain(planProblem_);
        return true;
    }
    return QWidget::eventFilter(watched, event);
}

void Field::setProblem(const QString& sentence) {
    planProblem_ = sentence;
    complain(typingProblem_.isEmpty() ? planProblem_ : typingProblem_);
}

void Field::complain(const QString& sentence) {
    const bool wrong = !sentence.isEmpty();
    if (edit_->property("wrong").toBool() != wrong) {
        edit_->setProperty("wrong", wrong);
        edit_->style()->unpolish(edit_);
        edit_->style()->polish(edit_);
    }
    complaint_->setText(sentence);
    complaint_->setVisible(wrong);
    edit_->setAccessibleDescription(sentence);
    if (told_ != isRefused()) QApplication::postEvent(window(), new QEvent(static_cast<QEvent::Type>(refusedEvent())));
    told_ = isRefused();
    updateGeometry();
}

WordsField::WordsField(const QString& name, const QString& place, std::function<QString(const QString&)> said,
                       QWidget* parent)
    : Field(name, place, parent), said_(std::move(said)) {}

}  // namespace uovo::desktop
