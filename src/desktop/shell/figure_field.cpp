#include "desktop/shell/figure_field.h"

#include <QFontMetrics>
#include <QRegularExpression>
#include <QStyle>
#include <QVBoxLayout>

namespace uovo::desktop {

namespace {

/// Whether a text was typed in the units of the other system.
bool foreign(const QString& typed, Dimension dimension, UnitSystem units) {
    if (dimension == Dimension::Duration || dimension == Dimension::Percent || dimension == Dimension::Count)
        return false;
    static const QRegularExpression us(
        QStringLiteral("(in|inch|inches|ft|oz|lbs?|pounds?|cups?|tsp|tbsp|°\\s*F|F)\\s*$|[\"″']"));
    static const QRegularExpression metric(QStringLiteral("(mm|cm|m|kg|g|grams?|ml|mL|cl|dl|l|L|°\\s*C|C)\\s*$"));
    return typed.contains(units == UnitSystem::US ? metric : us);
}

}  // namespace

QString shownMeasure(const Measure& m, Dimension dimension, UnitSystem units) {
    const QString typed = QString::fromStdString(m.typed);
    if (!typed.isEmpty() && !foreign(typed, dimension, units)) return typed;
    return QString::fromStdString(format(m.value, dimension, units));
}

FigureField::FigureField(const QString& name, const QString& place, TypingContext context, QWidget* parent)
    : QWidget(parent), place_(place), context_(std::move(context)), edit_(new QLineEdit), complaint_(new QLabel) {
    setObjectName(place);
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(0, 0, 0, 0);
    box->setSpacing(2);
    box->addWidget(edit_, 0, Qt::AlignLeft);
    box->addWidget(complaint_);
    edit_->setAccessibleName(name);
    edit_->setToolTip(name);
    edit_->setMaxLength(200);
    complaint_->setProperty("harm", true);
    complaint_->setWordWrap(true);
    complaint_->setMinimumWidth(190);
    complaint_->hide();
    connect(edit_, &QLineEdit::editingFinished, this, &FigureField::commit);
    connect(edit_, &QLineEdit::textEdited, this, [this] {
        if (!typingProblem_.isEmpty()) {
            typingProblem_.clear();
            complain(planProblem_);
        }
    });
    setFocusProxy(edit_);
}

void FigureField::setMeasure(const Measure& measure, UnitSystem units) {
    units_ = units;
    context_.bareUnit = usualUnit(context_.dimension, units);
    const QString text = shownMeasure(measure, context_.dimension, units);
    if (edit_->hasFocus() && (edit_->isModified() || !typingProblem_.isEmpty()))
        return;  // never overwrite what is being typed
    shown_ = text;
    typingProblem_.clear();
    if (edit_->text() != text) edit_->setText(text);
    const int width = std::clamp(edit_->fontMetrics().horizontalAdvance(text) + 26, 52, 210);
    edit_->setFixedWidth(width);
    complain(planProblem_);
}

void FigureField::commit() {
    if (edit_->text() == shown_) {
        typingProblem_.clear();
        complain(planProblem_);
        return;
    }
    const auto parsed = parseMeasure(edit_->text().toStdString(), context_);
    if (!parsed) {
        typingProblem_ = QString::fromStdString(parsed.error().sentence);
        complain(typingProblem_);
        if (edit_->hasFocus())
            edit_->setCursorPosition(std::min(parsed.error().position, static_cast<int>(edit_->text().size())));
        return;
    }
    typingProblem_.clear();
    shown_ = edit_->text();
    edit_->setModified(false);
    emit measureTyped(*parsed);
}

void FigureField::setProblem(const QString& sentence) {
    planProblem_ = sentence;
    complain(typingProblem_.isEmpty() ? planProblem_ : typingProblem_);
}

void FigureField::complain(const QString& sentence) {
    const bool wrong = !sentence.isEmpty();
    if (edit_->property("wrong").toBool() != wrong) {
        edit_->setProperty("wrong", wrong);
        edit_->style()->unpolish(edit_);
        edit_->style()->polish(edit_);
    }
    complaint_->setText(sentence);
    complaint_->setVisible(wrong);
    edit_->setAccessibleDescription(sentence);
    updateGeometry();
}

}  // namespace uovo::desktop
