#include "desktop/bench/figure_pad.h"

#include <QGridLayout>
#include <QKeyEvent>
#include <QVBoxLayout>

#include "desktop/bench/large.h"
#include "desktop/kit/widgets.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

constexpr int kKeyHigh = 64, kMostSigns = 6;  // px; signs that a figure has
const auto kBackSign = QStringLiteral("⌫");

QPushButton* padKey(const QString& words, const char* name) {
    auto* b = target(words, QString::fromLatin1(name), kKeyHigh);
    b->setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Expanding);
    b->setStyleSheet(QStringLiteral("font-size: 32px;"));
    b->setFocusPolicy(Qt::NoFocus);  // what is typed on a keyboard goes on while keys are pressed
    return b;
}

}  // namespace

FigurePad::FigurePad(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("figurePad"));
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    head_ = letters({}, 32, 700);
    note_ = letters({}, 19, 400);
    figure_ = new QLabel;
    figure_->setObjectName(QStringLiteral("padFigure"));
    figure_->setStyleSheet(QStringLiteral("font-size: 64px; font-weight: 700;"));
    figure_->setMinimumHeight(84);
    problem_ = wrapped({}, "harm");
    problem_->setObjectName(QStringLiteral("padProblem"));
    problem_->setStyleSheet(QStringLiteral("font-size: 19px;"));
    for (auto* l : {head_, note_}) column->addWidget(l);
    auto* row = new QHBoxLayout;
    row->setSpacing(24);
    auto* keys = new QGridLayout;
    keys->setSpacing(8);
    const QString signs = QStringLiteral("789456123");
    for (int i = 0; i < signs.size(); ++i) {
        auto* b = padKey(signs.mid(i, 1), "padKey");
        connect(b, &QPushButton::clicked, this, [this, sign = signs.mid(i, 1)] { press(sign); });
        keys->addWidget(b, i / 3, i % 3);
    }
    const std::pair<QString, QString> last[]{
        {QStringLiteral("."), tr("point")}, {QStringLiteral("0"), {}}, {kBackSign, tr("take the last digit back")}};
    for (int i = 0; i < 3; ++i) {
        auto* b = padKey(last[i].first, "padKey");
        if (!last[i].second.isEmpty()) b->setAccessibleName(last[i].second);
        connect(b, &QPushButton::clicked, this, [this, sign = last[i].first] { press(sign); });
        keys->addWidget(b, 3, i);
    }
    row->addLayout(keys, 3);
    auto* side = new QVBoxLayout;
    side->setSpacing(8);
    side->addWidget(figure_);
    side->addWidget(problem_);
    side->addStretch(1);
    liveTarget_ = padKey({}, "padLive");
    take_ = padKey(tr("Take it"), "padTake");
    take_->setProperty("bench", "main");
    auto* away = padKey(tr("Leave it"), "padAway");
    for (auto* b : {liveTarget_, take_, away}) {
        b->setFocusPolicy(Qt::StrongFocus);
        b->setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
        side->addWidget(b);
    }
    row->addLayout(side, 2);
    column->addLayout(row, 1);
    connect(take_, &QPushButton::clicked, this, &FigurePad::take);
    connect(away, &QPushButton::clicked, this, &FigurePad::closed);
    connect(liveTarget_, &QPushButton::clicked, this, [this] {
        if (live_) emit taken(*live_);
    });
}

void FigurePad::open(const QString& heading, const QString& note, Dimension dimension, UnitSystem units, double least,
                     double most) {
    head_->setText(heading);
    note_->setText(note);
    note_->setVisible(!note.isEmpty());
    dimension_ = dimension;
    units_ = units;
    least_ = least;
    most_ = most;
    typed_.clear();
    problem_->clear();
    setLive(std::nullopt);
    tell();
    take_->setFocus();  // digits that it does not want come here
}

void FigurePad::setLive(std::optional<double> value) {
    live_ = value;
    liveTarget_->setVisible(value.has_value());
    if (value)
        liveTarget_->setText((dimension_ == Dimension::Mass ? tr("%1 from the scale") : tr("%1 from the thermometer"))
                                 .arg(qstring(format(*value, dimension_, units_))));
}

void FigurePad::press(const QString& sign) {
    problem_->clear();
    if (sign == kBackSign) typed_.chop(1);
    else if (typed_.size() >= kMostSigns || (sign == QLatin1String(".") && typed_.contains(QLatin1Char('.')))) return;
    else typed_ += sign;
    tell();
}

void FigurePad::tell() {
    figure_->setText((typed_.isEmpty() ? QStringLiteral("–") : typed_) + QLatin1Char(' ') +
                     qstring(usualUnit(dimension_, units_)));
    figure_->setAccessibleName(figure_->text());
    take_->setAccessibleDescription(figure_->text());
}

void FigurePad::take() {
    const auto read = parseMeasure(typed_.toStdString(), {dimension_, usualUnit(dimension_, units_)});
    if (typed_.isEmpty() || !read) {
        problem_->setText(tr("Type the figure first."));
        return;
    }
    if (!(read->value >= least_ && read->value <= most_)) {
        problem_->setText(
            tr("It lies between %1 and %2.")
                .arg(qstring(format(least_, dimension_, units_)), qstring(format(most_, dimension_, units_))));
        return;
    }
    emit taken(read->value);
}

/// Digits and the like are its own, before they are shortcuts of the bench.
bool FigurePad::event(QEvent* e) {
    if (e->type() == QEvent::ShortcutOverride) {
        const auto* k = static_cast<QKeyEvent*>(e);
        const bool own = k->key() == Qt::Key_Escape || k->key() == Qt::Key_Return || k->key() == Qt::Key_Enter ||
                         k->key() == Qt::Key_Backspace || (!k->text().isEmpty() && k->text()[0].isDigit());
        if (own) {
            e->accept();
            return true;
        }
    }
    return QWidget::event(e);
}

void FigurePad::keyPressEvent(QKeyEvent* e) {
    const QString t = e->text();
    if (e->key() == Qt::Key_Escape) emit closed();
    else if (e->key() == Qt::Key_Return || e->key() == Qt::Key_Enter)
        typed_.isEmpty() && live_ ? emit taken(*live_) : take();
    else if (e->key() == Qt::Key_Backspace) typed_.isEmpty() ? emit closed() : press(kBackSign);
    else if (t.size() == 1 && t[0].isDigit()) press(t);
    else if (t == QLatin1String(".") || t == QLatin1String(",")) press(QStringLiteral("."));
    else QWidget::keyPressEvent(e);
}

}  // namespace uovo::desktop
