#include "desktop/kit/page.h"

#include <QHBoxLayout>
#include <cmath>

#include "report/text.h"

namespace uovo::desktop {

constexpr int kWords = 230;  // px: a name in one look

Page::Page(Session& session, const char* objectName) : session_(session), box_(new QVBoxLayout(this)) {
    setObjectName(QLatin1String(objectName));
    box_->setContentsMargins(0, 6, 10, 6);
    box_->setSpacing(8);
}

void Page::row(const QString& name, QWidget* field) {
    auto* whole = new QWidget;
    auto* line = new QHBoxLayout(whole);
    line->setContentsMargins(0, 0, 0, 0);
    auto* words = wrapped(name);
    words->setMinimumHeight(28);
    line->addWidget(words, 1, Qt::AlignTop);  // not beside what is said under the field
    line->addWidget(field);
    box_->addWidget(whole);
}

FigureField* Page::figure(const Spot& spot, const TypingContext& typing, const Measure& now,
                          std::function<void(const Measure&)> typed) {
    auto* f = new FigureField(spot.name, spot.place, typing);
    const std::string at = spot.path.empty() ? spot.place.toStdString() : spot.path;
    f->setMeasure(now, session_.units());
    f->setProblem(session_.problemAt(at));
    connect(f, &FigureField::measureTyped, this, [this, f, at, typed = ours(std::move(typed))](const Measure& m) {
        f->refuse(session_.typed(at, [&] { typed(m); }));
        f->setProblem(session_.problemAt(at));
    });
    row(spot.name, f);
    return f;
}

FigureField* Page::count(const Spot& spot, int low, int high, int now, std::function<void(int)> typed) {
    auto* f = figure(spot, session_.typing(Dimension::Count, "", nullptr), Measure(now),
                     [typed = std::move(typed)](const Measure& m) { typed(static_cast<int>(std::lround(m.value))); });
    f->setWhole(low, high);
    return f;
}

WordsField* Page::words(const Spot& spot, const QString& now, std::function<QString(const QString&)> said) {
    auto* f = new WordsField(spot.name, spot.place, ours(std::move(said)));
    f->setMinimumWidth(kWords);
    f->setWords(now);
    f->setProblem(session_.problemAt(spot.path.empty() ? spot.place.toStdString() : spot.path));
    row(spot.name, f);
    return f;
}

QComboBox* Page::choice(const Spot& spot, const QStringList& words, int now, std::function<void(int)> chosen) {
    auto* box = choiceBox(spot.name, words);
    box->setObjectName(spot.place);
    box->setCurrentIndex(now);
    if (chosen) connect(box, &QComboBox::activated, this, ours(std::move(chosen)));
    row(spot.name, box);
    return box;
}

QCheckBox* Page::tick(const QString& words, const QString& object, bool now, std::function<void(bool)> ticked) {
    auto* c = new QCheckBox(words);
    c->setObjectName(object);
    c->setChecked(now);
    connect(c, &QCheckBox::toggled, this, ours(std::move(ticked)));
    box_->addWidget(c);
    return c;
}

QPushButton* Page::button(const QString& words, const QString& object, std::function<void()> pressed) {
    auto* b = new QPushButton(words);
    b->setObjectName(object);
    connect(b, &QPushButton::clicked, this, ours(std::move(pressed)));
    box_->addWidget(b, 0, Qt::AlignLeft);
    return b;
}

void Page::note(const QString& words, const char* role) { box_->addWidget(wrapped(words, role)); }

void Page::heading(const QString& words) { box_->addWidget(desktop::heading(words, 6)); }

std::function<QString(const Measure&)> Page::lengthBetween(double low, double high) const {
    const auto words = [this](double v) { return qstring(format(v, Dimension::Length, session_.units())); };
    return [=](const Measure& m) {
        return m.value >= low && m.value <= high ? QString() : tr("Between %1 and %2.").arg(words(low), words(high));
    };
}

}  // namespace uovo::desktop
