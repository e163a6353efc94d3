#include "desktop/melt/melt_place.h"

#include <QButtonGroup>
#include <QHBoxLayout>
#include <QPainter>
#include <QScrollArea>
#include <algorithm>
#include <cmath>

#include "desktop/kit/flow_layout.h"
#include "desktop/melt/colour_page.h"
#include "desktop/shape/recipe_line.h"
#include "desktop/shell/sheet.h"
#include "desktop/theme/theme.h"
#include "report/fonts.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

constexpr temper::Method kMethods[]{temper::Method::Seed,   temper::Method::Butter,  temper::Method::Curve,
                                    temper::Method::Bursts, temper::Method::Machine, temper::Method::None};
constexpr temper::Vessel kVessels[]{temper::Vessel::Light, temper::Vessel::Glass, temper::Vessel::Stoneware};

/// One step: its number, what to do, the degrees in large figures, what is seen.
class StepView : public QFrame {
public:
    StepView(int number, const temper::Step& s, bool byLook, UnitSystem units) {
        setObjectName(QStringLiteral("temperStep"));
        auto* row = new QHBoxLayout(this);
        row->setContentsMargins(0, 6, 0, 6);
        row->setSpacing(12);
        auto* n = new QLabel(QString::number(number));
        n->setStyleSheet(QStringLiteral("font-size: 20px; font-weight: 700;"));
        n->setFixedWidth(22);
        row->addWidget(n, 0, Qt::AlignTop);
        auto* words = new QVBoxLayout;
        words->setSpacing(1);
        auto* title = wrapped(qstring(s.title));
        title->setStyleSheet(QStringLiteral("font-weight: 600;"));
        words->addWidget(title);
        if (!s.words.empty()) words->addWidget(wrapped(qstring(s.words), "quiet"));
        if (!s.look.empty()) words->addWidget(wrapped(QObject::tr("Right when: %1.").arg(qstring(s.look)), "small"));
        row->addLayout(words, 1);
        auto* figures = new QVBoxLayout;
        figures->setSpacing(0);
        if (!std::isnan(s.celsius) && !byLook) {
            auto* degrees = new QLabel(qstring(format(s.celsius, Dimension::Temperature, units)));
            degrees->setStyleSheet(QStringLiteral("font-size: 20px; font-weight: 700;"));
            degrees->setAlignment(Qt::AlignRight);
            figures->addWidget(degrees);
            auto* range = new QLabel(qstring(formatBand(s.celsius, s.low, s.high, Dimension::Temperature, units))
                                         .section(QLatin1Char('('), 1)
                                         .remove(QLatin1Char(')')));
            if (range->text().isEmpty())
                range->setText(QStringLiteral("%1 – %2").arg(qstring(format(s.low, Dimension::Temperature, units)),
                                                             qstring(format(s.high, Dimension::Temperature, units))));
            range->setProperty("small", true);
            range->setAlignment(Qt::AlignRight);
            figures->addWidget(range);
        }
        if (s.seconds > 0 && std::isfinite(s.seconds)) {
            auto* lasts = new QLabel(qstring(format(s.seconds, Dimension::Duration, units)));
            lasts->setProperty("small", true);
            lasts->setAlignment(Qt::AlignRight);
            figures->addWidget(lasts);
        }
        figures->addStretch(1);
        row->addLayout(figures);
    }
    void paintEvent(QPaintEvent*) override {
        QPainter(this).fillRect(QRect(0, height() - 1, width(), 1), theme().hairline);
    }
};

constexpr int kSide = 352;           // px: pots, and what to buy
constexpr int kThreeColumns = 1120;  // px of the place: in a narrower one the pots and the list share a side

class Column : public QScrollArea {
public:
    explicit Column(QWidget* inside) {
        setWidgetResizable(true);
        setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
        setFocusPolicy(Qt::NoFocus);
        setWidget(inside);
    }
};

QString summary(const batch::Pot& pot, const MeltPlan& m, UnitSystem u) {
    const auto g = [&](double kg) { return qstring(format(kg, Dimension::Mass, u)); };
    const auto time = [&](double s) { return qstring(format(s, Dimension::Duration, u)); };
    const auto& t = m.temper;
    const bool tempered = !t.steps.empty() && t.seed > 0;
    QString words;
    if (m.batches > 1 && pot.bath > 0.0005)
        words = MeltPlace::tr("What is left of a batch, %1, goes over into the next. ").arg(g(pot.bath));
    words += MeltPlace::tr("Ready after %1; usable for about %2 in this room").arg(time(t.seconds), time(t.window));
    if (t.rewarmFor > 0)
        words += MeltPlace::tr(", longer with a burst of %1 every %2").arg(time(t.rewarmFor), time(t.rewarmEvery));
    words += QLatin1Char('.');
    if (t.tooWarmSeed > 0)
        words += std::isfinite(t.tooWarmWait) && t.tooWarmWait < 7200
                     ? MeltPlace::tr(" Two degrees too warm: %1 more seed, or %2 of stirring.")
                           .arg(g(t.tooWarmSeed), time(t.tooWarmWait))
                     : MeltPlace::tr(
                           " Two degrees too warm: %1 more seed, or the bowl into cold water for moments; this room is "
                           "too warm to cool it.")
                           .arg(g(t.tooWarmSeed));
    if (tempered && t.third > 0)
        words += MeltPlace::tr(" A third of seed would land at %1.")
                     .arg(qstring(format(t.third, Dimension::Temperature, u)));
    if (pot.late > 0.0005)
        words += MeltPlace::tr(" Late in the day %1 are melted again for patches, lids and glue.").arg(g(pot.late));
    return words;
}

}  // namespace

MeltPlace::MeltPlace(Session& session, ProbeLink& probe, QWidget* parent) : QWidget(parent), session_(session) {
    setObjectName(QStringLiteral("melt"));
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(0, 0, 0, 0);
    row->addWidget(split_ = new Split(QStringLiteral("melt")));
    auto* left = new QWidget;
    list_ = new QVBoxLayout(left);
    list_->setContentsMargins(14, 12, 8, 12);
    list_->setSpacing(8);
    colours_ = new QVBoxLayout;
    colours_->setSpacing(2);
    list_->addLayout(colours_);
    list_->addStretch(1);
    auto* side = new QWidget;
    side->setObjectName(QStringLiteral("pots"));
    side->setMinimumWidth(kSide);
    side->setMaximumWidth(440);
    auto* sideBox = new QVBoxLayout(side);
    sideBox->setContentsMargins(0, 0, 0, 0);
    sideBox->setSpacing(0);
    sideBox->addWidget(which_ = whichSide());
    sideBox->addWidget(sides_ = new QStackedWidget);
    sides_->addWidget(new Column(left));
    split_->addPane(side, kSide);

    auto* middle = new QWidget;
    auto* box = new QVBoxLayout(middle);
    box->setContentsMargins(18, 12, 18, 12);
    box->setSpacing(8);
    title_ = wrapped({});
    title_->setStyleSheet(QStringLiteral("font-size: 21px; font-weight: 600;"));
    box->addWidget(title_);
    box->addWidget(sentence());
    label_ = packetLine();
    box->addWidget(label_);
    clock_ = wrapped({});
    clock_->setObjectName(QStringLiteral("sittings"));
    box->addWidget(clock_);
    curve_ = new TemperCurve;
    box->addWidget(curve_);
    live_ = new LivePanel(session, probe);
    box->addWidget(live_);
    connect(live_, &LivePanel::curveChanged, this, [this] { curve_->setLive(live_->curve()); });
    summary_ = wrapped({});
    summary_->setObjectName(QStringLiteral("temperSummary"));
    box->addWidget(summary_);
    steps_ = new QVBoxLayout;
    steps_->setSpacing(0);
    box->addLayout(steps_);
    box->addStretch(1);
    auto* column = new Column(middle);
    column->setMinimumWidth(330);
    split_->addPane(column, 0);

    shopping_ = new ShoppingPanel(session);
    buy_ = new Column(shopping_);
    buy_->setObjectName(QStringLiteral("buy"));
    buy_->setMinimumWidth(330);
    buy_->setMaximumWidth(440);
    split_->addPane(buy_, kSide);

    connect(&session_, &Session::answersChanged, this, [this] {
        if (isVisible()) refresh();
    });
}

QWidget* MeltPlace::whichSide() {
    auto* bar = new QWidget;
    auto* line = new QHBoxLayout(bar);
    line->setContentsMargins(14, 8, 8, 0);
    auto* group = new QButtonGroup(bar);
    for (const auto& words : {tr("pots"), tr("to buy")}) {
        auto* b = toolButton(words);
        b->setCheckable(true);
        b->setObjectName(group->buttons().isEmpty() ? QStringLiteral("sidePots") : QStringLiteral("sideBuy"));
        group->addButton(b, static_cast<int>(group->buttons().size()));
        line->addWidget(b);
    }
    line->addStretch(1);
    group->button(0)->setChecked(true);
    connect(group, &QButtonGroup::idClicked, this, [this](int side) { sides_->setCurrentIndex(side); });
    bar->hide();
    return bar;
}

void MeltPlace::resizeEvent(QResizeEvent* e) {
    QWidget::resizeEvent(e);
    const bool three = width() >= kThreeColumns;
    if (three == three_) return;
    three_ = three;
    if (three) {
        sides_->removeWidget(buy_);
        split_->addPane(buy_, kSide);
        buy_->show();
        split_->share();
    } else {
        sides_->addWidget(buy_);
    }
    findChild<QPushButton*>(QStringLiteral("sidePots"))->setChecked(true);
    sides_->setCurrentIndex(0);
    which_->setVisible(!three);
}

QWidget* MeltPlace::sentence() {
    auto* line = new QWidget;
    auto* flow = new FlowLayout(6, 6);
    line->setLayout(flow);
    const auto choice = [&](const QString& name, const char* object, const QStringList& words, auto set) {
        auto* c = choiceBox(name, words);
        c->setObjectName(QString::fromLatin1(object));
        connect(c, &QComboBox::activated, this, [this, name, set](int i) {
            change(tr("Change %1").arg(name.toLower()), [&](temper::Choice& m) { set(m, i); });
        });
        flow->addWidget(c);
        return c;
    };
    flow->addWidget(lineWord(tr("Tempered")));
    method_ = choice(tr("How it is tempered"), "temperMethod",
                     {tr("with seed"), tr("with cocoa-butter crystals"), tr("by the full curve"),
                      tr("by melting it in part"), tr("in a machine"), tr("not at all")},
                     [](temper::Choice& m, int i) { m.method = kMethods[i]; });
    flow->addWidget(lineWord(tr("in")));
    vessel_ = choice(tr("Bowl"), "temperVessel", {tr("a light bowl"), tr("a glass bowl"), tr("a stoneware bowl")},
                     [](temper::Choice& m, int i) { m.vessel = kVessels[i]; });
    fresh_ =
        choice(tr("Bowl for seeding"), "temperFresh", {tr("seeded in the same bowl"), tr("poured into a fresh bowl")},
               [](temper::Choice& m, int i) { m.freshBowl = i == 1; });
    flow->addWidget(lineWord(tr("melted")));
    heat_ =
        choice(tr("Heat"), "temperHeat", {tr("in a microwave of"), tr("over a water bath")},
               [](temper::Choice& m, int i) { m.heat = i == 1 ? temper::Heat::WaterBath : temper::Heat::Microwave; });
    watts_ = new FigureField(tr("Power of the microwave"), QStringLiteral("melt/watts"),
                             session_.typing(Dimension::Count, "", nullptr));
    watts_->setRule([](const Measure& m) {
        return m.value >= 100 && m.value <= 3000 ? QString() : tr("A microwave has between 100 and 3000 W.");
    });
    connect(watts_, &FigureField::measureTyped, this, [this](const Measure& m) {
        change(tr("Change the microwave"), [&](temper::Choice& c) { c.watts = m.value; });
    });
    flow->addWidget(watts_);
    look_ = choice(tr("Thermometer"), "temperLook", {tr("W, with a thermometer"), tr("W, by look")},
                   [](temper::Choice& m, int i) { m.byLook = i == 1; });
    return line;
}

QWidget* MeltPlace::packetLine() {
    auto* line = new QWidget;
    auto* printed = new FlowLayout(6, 6);
    line->setLayout(printed);
    const auto figure = [&](const QString& name, const char* key, Dimension dimension = Dimension::Temperature) {
        auto* f = new FigureField(name, QLatin1String(key), session_.typing(dimension, "", nullptr));
        connect(f, &FigureField::measureTyped, this, [this, f](const Measure& m) {
            const auto answers = session_.answers();
            const auto* c = answers && chosen_ < answers->pots.size()
                                ? session_.library().find(answers->pots[chosen_].key.chocolate)
                                : nullptr;
            if (!c) return;
            const std::string id = c->figuresAs(), which = f->property("key").toString().toStdString();
            f->refuse(session_.typed("own/" + id + "/" + which, [&] {
                session_.document().edit(tr("Change what the packet says"),
                                         [&](Plan& p) { p.own[id].say(which, m.value); });
            }));
            showLabel();
        });
        f->setProperty("key", QLatin1String(key));
        labels_.push_back(f);
        printed->addWidget(f);
    };
    printed->addWidget(lineWord(tr("The packet says: melt to")));
    figure(tr("Packet: melt to"), "meltTo");
    printed->addWidget(lineWord(tr("cool to")));
    figure(tr("Packet: cool to"), "coolTo");
    printed->addWidget(lineWord(tr("work from")));
    figure(tr("Packet: work from"), "workLow");
    printed->addWidget(lineWord(tr("to")));
    figure(tr("Packet: work up to"), "workHigh");
    printed->addWidget(lineWord(tr("holding")));
    figure(tr("Packet: how much it holds"), material::kPacket, Dimension::Mass);
    return line;
}

void MeltPlace::showEvent(QShowEvent* e) {
    QWidget::showEvent(e);
    refresh();
}

void MeltPlace::change(const QString& label, const std::function<void(temper::Choice&)>& edit) {
    const auto answers = session_.answers();
    if (!answers || chosen_ >= answers->pots.size()) return;
    const std::string id = answers->pots[chosen_].key.chocolate;
    session_.document().edit(label, [&](Plan& p) { edit(p.melting[id]); });
}

void MeltPlace::choose(size_t pot) {
    chosen_ = pot;
    refresh();
}

void MeltPlace::refresh() {
    const auto answers = session_.answers();
    if (!answers) return;
    if (chosen_ >= answers->pots.size()) chosen_ = 0;
    while (cards_.size() > answers->pots.size()) {
        retire(cards_.back());
        cards_.pop_back();
    }
    while (cards_.size() < answers->pots.size()) {
        auto* c = new PotCard;
        connect(c, &QAbstractButton::clicked, this, [this, index = cards_.size()] { choose(index); });
        list_->insertWidget(static_cast<int>(cards_.size()), c);
        cards_.push_back(c);
    }
    double most = 0;
    for (const auto& p : answers->pots) most = std::max(most, p.melt);
    for (size_t i = 0; i < cards_.size(); ++i) {
        cards_[i]->set(session_, i, most);
        cards_[i]->setChecked(i == chosen_);
    }
    showPot();
    showColours();
}

void MeltPlace::showColours() {
    emptyLayout(colours_);
    const auto answers = session_.answers();
    if (!session_.plan().colours.empty()) {
        auto* title = wrapped(tr("Colours"));
        title->setStyleSheet(QStringLiteral("font-weight: 600; margin-top: 8px;"));
        colours_->addWidget(title);
    }
    const auto button = [&](const QString& words, const QString& object, const QColor& swatch, auto pressed) {
        auto* b = new QPushButton(words);
        b->setProperty("flat", true);
        b->setObjectName(object);
        if (swatch.isValid()) {
            QPixmap square(16, 16);
            square.fill(swatch);
            b->setIcon(square);
        }
        connect(b, &QPushButton::clicked, this, pressed);
        colours_->addWidget(b, 0, Qt::AlignLeft);
    };
    for (const auto& c : session_.plan().colours) {
        const bool used = answers && std::any_of(answers->pots.begin(), answers->pots.end(),
                                                 [&](const auto& p) { return p.key.chocolate == c.id; });
        button(used ? qstring(c.name) : tr("%1, not used yet").arg(qstring(c.name)),
               QStringLiteral("colour/") + qstring(c.id), chocolateColour(c.id),
               [this, id = qstring(c.id)] { emit colourWanted(id); });
    }
    if (!answers || chosen_ >= answers->pots.size()) return;
    if (const auto* chocolate = session_.library().find(answers->pots[chosen_].key.chocolate))
        button(tr("+ a colour from %1 …").arg(qstring(session_.library().find(chocolate->boughtAs())->name).toLower()),
               QStringLiteral("addColour"), {},
               [this, base = chocolate->boughtAs()] { emit colourWanted(qstring(addColour(session_, base))); });
}

void MeltPlace::showLabel() {
    const auto answers = session_.answers();
    const auto* c = answers && chosen_ < answers->pots.size()
                        ? session_.library().find(answers->pots[chosen_].key.chocolate)
                        : nullptr;
    label_->setVisible(c != nullptr);
    if (!c) return;
    for (auto* f : labels_) {
        const std::string key = f->property("key").toString().toStdString();
        double v = key == material::kPacket ? c->packet : c->at(key).value;
        if (const auto own = session_.plan().own.find(c->figuresAs()); own != session_.plan().own.end())
            if (const auto it = own->second.values.find(key); it != own->second.values.end()) v = it->second;
        if (!f->edit()->hasFocus()) f->setMeasure(Measure(v), session_.units());
        f->setProblem(session_.problemAt("own/" + c->figuresAs() + "/" + key));
    }
}

void MeltPlace::showPot() {
    const auto answers = session_.answers();
    emptyLayout(steps_);
    const bool any = chosen_ < answers->melts.size();
    live_->setVisible(any && answers->melts[chosen_].problem.empty());
    for (QWidget* w : std::initializer_list<QWidget*>{curve_, summary_, clock_, label_, method_, vessel_, fresh_, heat_,
                                                      watts_, look_})
        w->setEnabled(any);
    if (!any) {
        title_->setText(tr("There is nothing to melt yet: plan a piece."));
        curve_->hide();
        shopping_->refresh({});
        return;
    }
    const auto& pot = answers->pots[chosen_];
    const auto& m = answers->melts[chosen_];
    const auto u = session_.units();
    const auto g = [&](double kg) { return qstring(format(kg, Dimension::Mass, u)); };
    title_->setText(m.batches > 1 ? tr("%1: %2 in %3 batches, %4 in the bowl each time")
                                        .arg(qstring(pot.name), g(pot.melt))
                                        .arg(m.batches)
                                        .arg(g(m.each))
                                  : tr("%1: %2").arg(qstring(pot.name), g(m.each)));
    showSentence(m.choice);
    shopping_->refresh(pot.key.chocolate);
    showLabel();
    showSittings(pot);
    curve_->setVisible(m.problem.empty());
    if (!m.problem.empty()) return summary_->setText(qstring(m.problem));
    const auto& t = m.temper;
    curve_->set(t, m.coating, u);
    live_->setPot(qstring(pot.key.id()), qstring(pot.name), t, m.coating, m.each, m.choice.watts);
    curve_->setLive(live_->curve());
    method_->setVisible(m.coating.tempered || !m.coating.compound);  // compound needs no school
    summary_->setText(summary(pot, m, u));
    showSteps(m);
}

void MeltPlace::showSentence(const temper::Choice& choice) {
    method_->setCurrentIndex(
        static_cast<int>(std::find(std::begin(kMethods), std::end(kMethods), choice.method) - std::begin(kMethods)));
    vessel_->setCurrentIndex(
        static_cast<int>(std::find(std::begin(kVessels), std::end(kVessels), choice.vessel) - std::begin(kVessels)));
    fresh_->setCurrentIndex(choice.freshBowl ? 1 : 0);
    fresh_->setVisible(choice.method == temper::Method::Seed);
    heat_->setCurrentIndex(choice.heat == temper::Heat::WaterBath ? 1 : 0);
    watts_->setVisible(choice.heat == temper::Heat::Microwave);
    look_->setItemText(0,
                       choice.heat == temper::Heat::Microwave ? tr("W, with a thermometer") : tr("with a thermometer"));
    look_->setItemText(1, choice.heat == temper::Heat::Microwave ? tr("W, by look") : tr("by look"));
    look_->setCurrentIndex(choice.byLook ? 1 : 0);
    watts_->setMeasure(Measure(choice.watts), session_.units());
}

void MeltPlace::showSittings(const batch::Pot& pot) {
    QStringList times, titles;  // a line of clock times; what each is for under the cursor
    if (const auto answers = session_.answers(); answers->day)
        for (const auto& s : sittings(*answers->day, pot)) {
            times << qstring(answers->day->said(s.minute, session_.units()));
            titles << times.back() + QLatin1Char(' ') + qstring(s.title);
        }
    clock_->setVisible(!times.isEmpty());
    clock_->setText(times.size() == 1 ? tr("On the day: tempered at %1.").arg(titles.front())
                                      : tr("On the day: ready to use at %1.").arg(times.join(QStringLiteral(" · "))));
    clock_->setToolTip(titles.join(QLatin1Char('\n')));
}

void MeltPlace::showSteps(const MeltPlan& m) {
    for (const auto& w : m.temper.warnings) steps_->addWidget(wrapped(qstring(w), "harm"));
    if (!m.dividing.empty()) {
        auto* l = wrapped(qstring(m.dividing));
        l->setObjectName(QStringLiteral("dividing"));
        steps_->addWidget(l);
    }
    if (!m.mixing.empty()) {
        auto* title = wrapped(tr("Colour it first"));
        title->setStyleSheet(QStringLiteral("font-weight: 600;"));
        steps_->addWidget(title);
        for (const auto& line : m.mixing) {
            auto* l = wrapped(qstring(line));
            l->setObjectName(QStringLiteral("mixing"));
            steps_->addWidget(l);
        }
    }
    int n = 0;
    for (const auto& s : m.temper.steps) steps_->addWidget(new StepView(++n, s, m.choice.byLook, session_.units()));
    auto* wrong = wrapped(tr("When it goes wrong"));
    wrong->setStyleSheet(QStringLiteral("font-weight: 600; margin-top: 8px;"));
    steps_->addWidget(wrong);
    for (const QString& line : {tr("Thick and grainy of a sudden: water or steam got in, it has seized. It cannot be "
                                   "tempered any more; keep it for sauce or cake, dry the tools, melt afresh."),
                                tr("Dull, streaky or soft after the smear test: the temper is lost. Melt it to the "
                                   "first step's temperature and begin again."),
                                tr("Thick but smooth: too many crystals. A short burst, stir, look.")})
        steps_->addWidget(wrapped(line, "small"));
}

}  // namespace uovo::desktop
