#include "desktop/shape/plain_card.h"

#include <QHBoxLayout>
#include <QLineEdit>
#include <QVBoxLayout>
#include <cmath>

#include "desktop/shape/recipe_line.h"
#include "desktop/shell/sheet.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

constexpr int kWide = 196, kNarrow = 128;
constexpr coat::Place kPlaces[]{coat::Place::Table, coat::Place::Fridge, coat::Place::Freezer};

int widthOf(const Step& step) {
    const bool narrow = std::holds_alternative<ReleaseStep>(step) || std::holds_alternative<TrimStep>(step) ||
                        std::holds_alternative<JoinStep>(step) || std::holds_alternative<StoreStep>(step) ||
                        std::holds_alternative<LidStep>(step);
    return narrow ? kNarrow : kWide;
}

const Step& stepOf(const Session& session, size_t at) { return session.piece()->making[at]; }

}  // namespace

QString stepWords(const Step& step, const Piece& piece) {
    using form::Body;
    const Body body = piece.family().body;
    switch (step.index()) {
        case 0:
            return PlainCard::tr("Coat");
        case 1:
            return body == Body::Sheet      ? PlainCard::tr("Spread or pipe")
                   : body == Body::Modeled  ? PlainCard::tr("Shape by hand")
                   : piece.roundSomething() ? PlainCard::tr("Stir and spoon")
                                            : PlainCard::tr("Cast");
        case 2:
            return std::get<InsertStep>(step).what != InsertStep::What::Core ? PlainCard::tr("Stand something in")
                   : piece.couldBeCoated()                                   ? PlainCard::tr("What is dipped")
                                                                             : PlainCard::tr("What is bound");
        case 3:
            return PlainCard::tr("Topping");
        case 4:
            return PlainCard::tr("Let it set");
        case 5:
            return piece.overBalloon()                           ? PlainCard::tr("Let the air out")
                   : piece.family().former == form::Former::Cup  ? PlainCard::tr("Tear the cup off")
                   : piece.family().former == form::Former::Wrap ? PlainCard::tr("Peel the wrap")
                   : piece.family().flat                         ? PlainCard::tr("Lift off")
                                                                 : PlainCard::tr("Unmold");
        case 6:
            return PlainCard::tr("Trim");
        case 7:
            return body == Body::Compound ? PlainCard::tr("Put together") : PlainCard::tr("Close the halves");
        case 8:
            return PlainCard::tr("Fill");
        case 9:
            return PlainCard::tr("Lid");
        case 10:
            return PlainCard::tr("Decorate");
        case 11:
            return PlainCard::tr("Put away");
        case 12:
            return PlainCard::tr("Serve");
    }
    return {};
}

PlainCard::PlainCard(Session& session, size_t at, QWidget* parent)
    : StepCard(session, at, stepWords(stepOf(session, at), *session.piece()), widthOf(stepOf(session, at)), parent) {
    setObjectName(QStringLiteral("step%1").arg(at));
    std::visit([this](const auto& s) { build(s); }, stepOf(session, at));
    box_->addStretch(1);
    result_ = resultLine();
    result_->setWordWrap(true);
    result_->setStyleSheet(QStringLiteral("font-weight: 600;"));
}

void PlainCard::head(const QString& words, QWidget* right) {
    auto* line = new QHBoxLayout;
    auto* title = new QLabel(words);
    title->setStyleSheet(QStringLiteral("font-size: 15px; font-weight: 700;"));
    title->setWordWrap(width() <= kNarrow);
    title->setMinimumHeight(26);
    line->addWidget(title, 1);
    if (right) line->addWidget(right, 0, Qt::AlignTop);
    box_->addLayout(line);
}

void PlainCard::note(const QString& words) {
    auto* l = wrapped(words, "small");
    box_->addWidget(l);
}

QComboBox* PlainCard::choice(const QString& name, const QStringList& words, std::function<int()> now,
                             std::function<void(int)> chosen) {
    auto* box = choiceBox(name, words);
    box->setMinimumContentsLength(6);
    box->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    connect(box, &QComboBox::activated, this, [chosen = std::move(chosen)](int i) { chosen(i); });
    choices_.push_back({box, std::move(now)});
    return box;
}

QComboBox* PlainCard::placeChoice(const QString& name, std::function<coat::Place()> now,
                                  std::function<void(coat::Place)> chosen) {
    auto* box = choice(
        name, everyPlace(),
        [now = std::move(now)] {
            return static_cast<int>(std::find(std::begin(kPlaces), std::end(kPlaces), now()) - kPlaces);
        },
        [chosen = std::move(chosen)](int i) { chosen(kPlaces[i]); });
    box->setMinimumContentsLength(9);
    return box;
}

template <class S>
QComboBox* PlainCard::chocolate(const QString& name) {
    QStringList words{PlainCard::tr("its chocolate")};
    std::vector<std::string> ids{""};
    for (const auto& c : session_.library().chocolates) {
        words << qstring(c.name).toLower();
        ids.push_back(c.id);
    }
    return choice(
        name, words,
        [this, ids] {
            const S* s = as<S>();
            return s ? std::max(0, static_cast<int>(std::find(ids.begin(), ids.end(), s->chocolate) - ids.begin())) : 0;
        },
        [this, ids, name](int i) {
            change<S>(PlainCard::tr("Change %1").arg(name.toLower()),
                      [&](S& s) { s.chocolate = ids[static_cast<size_t>(i)]; });
        });
}

template <class S>
WordsField* PlainCard::words(const QString& name, const QString& empty, const char* key, std::string S::*member) {
    auto* f = new WordsField(name, QStringLiteral("making/%1/%2").arg(at_).arg(QLatin1String(key)),
                             [this, name, member](const QString& said) {
                                 const std::string now = said.toStdString();
                                 if (const S* s = as<S>(); s && s->*member != now)
                                     change<S>(PlainCard::tr("Change %1").arg(name.toLower()),
                                               [&](S& x) { x.*member = now; });
                                 return QString();
                             });
    f->edit()->setPlaceholderText(empty);
    f->edit()->setMaxLength(80);
    f->complaint()->setMinimumWidth(150);
    texts_.push_back({f, [this, member] {
                          const S* s = as<S>();
                          return s ? qstring(s->*member) : QString();
                      }});
    return f;
}

template <class S>
void PlainCard::partChoice(const QString& name) {
    QStringList words{PlainCard::tr("all of it")};
    std::vector<std::string> keys{""};
    const auto add = [&](const std::string& key, const std::string& called) {
        words << qstring(called).toLower();
        keys.push_back(key);
    };
    const Piece& piece = *session_.piece();
    for (const auto& item : piece.shape.items) add(item.key, item.name);
    const auto answers = session_.pieceAnswers(piece.id);
    if (keys.size() == 1 && answers && answers->made && answers->made->assembly.items.size() > 1)
        for (const auto& item : answers->made->assembly.items) add(item.key, item.name);
    if (const S* s = as<S>(); s && std::ranges::find(keys, s->item) == keys.end()) add(s->item, s->item);
    if (keys.size() == 1) return;
    box_->addWidget(choice(
        name, words,
        [this, keys] {
            const S* s = as<S>();
            return s ? std::max(0, static_cast<int>(std::ranges::find(keys, s->item) - keys.begin())) : 0;
        },
        [this, keys, name](int i) {
            change<S>(PlainCard::tr("Change %1").arg(name.toLower()),
                      [&](S& s) { s.item = keys[static_cast<size_t>(i)]; });
        }));
}

QPushButton* PlainCard::more(const QString& tip) {
    auto* b = toolButton(QStringLiteral("…"), tip);
    b->setObjectName(QStringLiteral("stepDetails"));
    b->setProperty("narrow", true);
    b->setFixedWidth(26);
    connect(b, &QPushButton::clicked, this, [this] { emit pageWanted(at_); });
    return b;
}

void PlainCard::build(const CastStep&) {
    const Piece& piece = *session_.piece();
    const std::string item = as<CastStep>()->item;
    const bool several = std::ranges::count_if(piece.casts(), [&](const auto& c) { return c.item == item; }) > 1;
    const std::string own = "making/" + std::to_string(at_) + "/";
    const bool first = std::get_if<CastStep>(&piece.making[at_]) == &piece.casts().front();
    const QString at = qstring(first ? "cast/" : own);
    const QString of = partName(session_, item);
    head(of.isEmpty() ? stepWords(*step(), piece) : stepWords(*step(), piece) + QStringLiteral(" · ") + of,
         figure<CastStep>(tr("Pouring temperature"), at + "temperature", Dimension::Temperature, "",
                          &CastStep::temperature));
    box_->addWidget(chocolate<CastStep>(tr("Chocolate of the cast")));
    if (several)
        row(tr("parts of it"), nullptr,
            figure<CastStep>(tr("Share of the form"), at + "share", Dimension::Count, "", &CastStep::share));
    row(tr("on the table"), nullptr,
        figure<CastStep>(tr("On the table first"), at + "table", Dimension::Duration, "min", &CastStep::table));
    auto* place = placeChoice(
        tr("Where it sets"),
        [this] {
            const auto* s = as<CastStep>();
            return s ? s->place : coat::Place::Fridge;
        },
        [this](coat::Place p) { change<CastStep>(tr("Change where it sets"), [p](CastStep& s) { s.place = p; }); });
    row({}, place, nullptr);
}

void PlainCard::build(const InsertStep& insert) {
    using What = InsertStep::What;
    head(stepWords(*step(), *session_.piece()));
    if (insert.what != What::Core) insertKind();
    if (insert.what != What::Core) partChoice<InsertStep>(tr("The part it stands in"));
    if (insert.what != What::Piece) {
        row({}, words<InsertStep>(tr("Its name"), tr("what it is"), "name", &InsertStep::name),
            figure<InsertStep>(tr("Grams of one"), QStringLiteral("making/%1/mass").arg(at_), Dimension::Mass, "",
                               &InsertStep::mass));
        row({}, words<InsertStep>(tr("Its allergens"), tr("allergens: none"), "allergens", &InsertStep::allergens),
            nullptr);
    }
}

void PlainCard::insertKind() {
    using What = InsertStep::What;
    QStringList kinds{tr("a stick"), tr("a biscuit"), tr("a thing")};
    std::vector<std::string> others{"", "", ""};
    for (const auto& p : session_.plan().pieces)
        if (p.id != session_.piece()->id) {
            kinds << qstring(p.name).toLower();
            others.push_back(p.id);
        }
    auto* what = choice(
        tr("What stands in it"), kinds,
        [this, others] {
            const auto* s = as<InsertStep>();
            if (!s) return 0;
            return s->what == What::Piece
                       ? std::max(0, static_cast<int>(std::find(others.begin() + 3, others.end(), s->piece) -
                                                      others.begin()))
                       : static_cast<int>(s->what);
        },
        [this, others](int i) {
            change<InsertStep>(tr("Change what stands in it"), [&](InsertStep& s) {
                s.what = i < 3 ? static_cast<What>(i) : What::Piece;
                s.piece = others[static_cast<size_t>(i)];
                if (i == 0) s.name = tr("Stick").toStdString(), s.mass = Measure(0.001);
                if (i == 1) s.name = tr("Biscuit").toStdString(), s.mass = Measure(0.008);
                if (i == 2) s.name = tr("Something").toStdString();
            });
        });
    box_->addWidget(what);
}

void PlainCard::build(const TopStep&) {
    head(stepWords(*step(), *session_.piece()), more(tr("Its grains, allergens and price")));
    QStringList names;
    std::vector<std::string> ids;
    for (const auto& t : session_.plan().toppings) {
        names << qstring(t.name);
        ids.push_back(t.id);
    }
    auto* which = choice(
        tr("Which topping"), names,
        [this, ids] {
            const auto* s = as<TopStep>();
            return s ? static_cast<int>(std::find(ids.begin(), ids.end(), s->topping) - ids.begin()) : -1;
        },
        [this, ids](int i) {
            change<TopStep>(tr("Change the topping"), [&](TopStep& s) { s.topping = ids[static_cast<size_t>(i)]; });
        });
    box_->addWidget(which);
    row(tr("on each"), nullptr,
        figure<TopStep>(tr("Topping on each"), QStringLiteral("making/%1/each").arg(at_), Dimension::Mass, "",
                        &TopStep::each));
    auto* when = choice(
        tr("When it goes on"), {tr("strewn on at once"), tr("strewn on when tacky"), tr("glued on, one by one")},
        [this] {
            const auto* s = as<TopStep>();
            return s ? static_cast<int>(s->when) : 0;
        },
        [this](int i) {
            change<TopStep>(tr("Change when a topping goes on"),
                            [i](TopStep& s) { s.when = static_cast<TopStep::When>(i); });
        });
    box_->addWidget(when);
    partChoice<TopStep>(tr("The part it goes on"));
}

void PlainCard::build(const SetStep&) {
    head(stepWords(*step(), *session_.piece()));
    auto* place = placeChoice(
        tr("Where it rests"),
        [this] {
            const auto* s = as<SetStep>();
            return s ? s->place : coat::Place::Fridge;
        },
        [this](coat::Place p) { change<SetStep>(tr("Change where it rests"), [p](SetStep& s) { s.place = p; }); });
    row({}, place,
        figure<SetStep>(tr("How long it rests"), QStringLiteral("making/%1/stay").arg(at_), Dimension::Duration, "min",
                        &SetStep::stay));
}

void PlainCard::build(const ReleaseStep&) {
    const Piece& p = *session_.piece();
    head(stepWords(*step(), p));
    note(p.overBalloon()                          ? p.handling.release == Handling::Release::Burst
                                                        ? tr("burst at once")
                                                        : tr("leak the neck slowly, peel the skin off")
                                  : p.family().former == form::Former::Cup ? tr("snip, then tear round")
                                                  : tr("when it looks frosted underneath"));
}

void PlainCard::build(const TrimStep&) {
    head(stepWords(*step(), *session_.piece()));
    note(tr("the rim, on a warm plate or with a knife"));
}

void PlainCard::build(const JoinStep&) {
    head(stepWords(*step(), *session_.piece()));
    note(session_.piece()->family().body == form::Body::Compound
             ? qtr(form::choice(session_.piece()->shape, "glue").c_str())
             : tr("rims warmed on a plate"));
}

void PlainCard::build(const FillStep&) {
    head(stepWords(*step(), *session_.piece()), more(tr("How full, its recipe, when it is good")));
    QStringList names;
    std::vector<std::string> ids;
    for (const auto& f : session_.plan().fillings) {
        names << qstring(f.name);
        ids.push_back(f.id);
    }
    names << tr("another filling …");
    auto* which = choice(
        tr("Which filling"), names,
        [this, ids] {
            const auto* s = as<FillStep>();
            return s ? static_cast<int>(std::find(ids.begin(), ids.end(), s->filling) - ids.begin()) : -1;
        },
        [this, ids](int i) {
            if (i < static_cast<int>(ids.size()))
                return change<FillStep>(tr("Change the filling"),
                                        [&](FillStep& s) { s.filling = ids[static_cast<size_t>(i)]; });
            session_.document().edit(tr("Another filling"), [&](Plan& plan) {
                const std::string id = plan.freshFilling();
                for (auto& p : plan.pieces)
                    if (session_.piece() && p.id == session_.piece()->id && at_ < p.making.size())
                        if (auto* s = std::get_if<FillStep>(&p.making[at_])) s->filling = id;
            });
        });
    box_->addWidget(which);
    const Piece& piece = *session_.piece();
    const bool first = std::get_if<FillStep>(&piece.making[at_]) == piece.fill();
    row(tr("in each"), nullptr,
        figure<FillStep>(tr("Filling in each"),
                         first ? QStringLiteral("filling/each") : QStringLiteral("making/%1/each").arg(at_),
                         Dimension::Volume, "", &FillStep::each));
    row(tr("chilled after"), nullptr,
        figure<FillStep>(tr("Chilled after it"),
                         first ? QStringLiteral("filling/chill") : QStringLiteral("making/%1/chill").arg(at_),
                         Dimension::Duration, "min", &FillStep::chill));
}

void PlainCard::build(const LidStep&) {
    head(stepWords(*step(), *session_.piece()));
    row(tr("thick"), nullptr,
        figure<LidStep>(tr("Lid of chocolate, thick"), QStringLiteral("filling/cap"), Dimension::Length, "mm",
                        &LidStep::depth));
}

void PlainCard::build(const DecorateStep& decorate) {
    const bool bare = decorate.way == DecorateStep::Way::Ribbon || decorate.way == DecorateStep::Way::Grain;
    const QString title =
        inTheMold(*session_.piece(), at_) ? tr("In the mold first") : stepWords(*step(), *session_.piece());
    head(title, bare ? nullptr : more(tr("Grams, size and places of it")));
    auto* way = choice(
        tr("How it is decorated"),
        {tr("drizzled"), tr("painted"), tr("sprayed"), tr("dusted"), tr("stencilled"), tr("a ribbon"),
         tr("scraped to show layers"), tr("splattered"), tr("marbled"), tr("pearl or gold paint"), tr("sugar paste"),
         tr("edge in sugar"), tr("outline, filled"), tr("wood grain"), tr("petals"), tr("two tones, tilted"),
         tr("a bow"), tr("strips off a frozen slab")},
        [this] {
            const auto* s = as<DecorateStep>();
            return s ? static_cast<int>(s->way) : 0;
        },
        [this](int i) {
            change<DecorateStep>(tr("Change the decoration"), [this, i](DecorateStep& s) {
                DecorateStep fresh = usualDecoration(static_cast<DecorateStep::Way>(i), session_.library());
                fresh.chocolate = s.chocolate;
                fresh.item = s.item;
                fresh.extra = s.extra;
                s = std::move(fresh);
            });
        });
    box_->addWidget(way);
    if (decorate.usesChocolate()) box_->addWidget(chocolate<DecorateStep>(tr("Chocolate of the decoration")));
    else if (decorate.way != DecorateStep::Way::Scrape && decorate.way != DecorateStep::Way::Grain)
        box_->addWidget(words<DecorateStep>(tr("What it is"), tr("what it is"), "name", &DecorateStep::name));
    if (decorate.way == DecorateStep::Way::Scrape)
        row(tr("deep"), nullptr,
            figure<DecorateStep>(tr("Scraped, deep"), QStringLiteral("making/%1/thick").arg(at_), Dimension::Length,
                                 "mm", &DecorateStep::thick));
    row(tr("dry after"), nullptr,
        figure<DecorateStep>(tr("Dry after"), QStringLiteral("making/%1/dry").arg(at_), Dimension::Duration, "min",
                             &DecorateStep::dry));
    partChoice<DecorateStep>(tr("The part that is decorated"));
}

void PlainCard::build(const StoreStep&) {
    head(stepWords(*step(), *session_.piece()));
    box_->addWidget(choice(
        tr("Where it is kept"), {tr("boxed"), tr("in the fridge")},
        [this] {
            const auto* s = as<StoreStep>();
            return s ? static_cast<int>(s->where) : 0;
        },
        [this](int i) {
            change<StoreStep>(tr("Change where it is kept"),
                              [i](StoreStep& s) { s.where = static_cast<StoreStep::Where>(i); });
        }));
}

void PlainCard::build(const ServeStep& serve) {
    using How = ServeStep::How;
    head(stepWords(*step(), *session_.piece()));
    box_->addWidget(choice(
        tr("How it is served"),
        {tr("a sauce over it"), tr("melted in a drink"), tr("broken with a mallet"), tr("with a flame on it")},
        [this] {
            const auto* s = as<ServeStep>();
            return s ? static_cast<int>(s->how) : 0;
        },
        [this](int i) {
            change<ServeStep>(tr("Change how it is served"), [i](ServeStep& s) { s.how = static_cast<How>(i); });
        }));
    if (serve.how == How::Sauce || serve.how == How::Drink) {
        box_->addWidget(words<ServeStep>(tr("What it is"), serve.how == How::Sauce ? tr("sauce") : tr("milk"), "name",
                                         &ServeStep::name));
        row(tr("for each"), nullptr,
            figure<ServeStep>(tr("Amount for each"), QStringLiteral("making/%1/amount").arg(at_), Dimension::Volume, "",
                              &ServeStep::amount));
    } else {
        note(serve.how == How::Mallet ? tr("the tap it takes is said in “will it hold”")
                                      : tr("never leave it alone; keep hair and paper away"));
    }
}

FigureField* PlainCard::field(const QString& place) const {
    for (const auto& f : figures_)
        if (f.field->place() == place) return f.field;
    return nullptr;
}

QString PlainCard::result(const PieceAnswers& a) const {
    const auto u = session_.units();
    const auto time = [&](double s) { return qstring(format(s, Dimension::Duration, u)); };
    const auto grams = [&](double kg) { return qstring(format(kg, Dimension::Mass, u)); };
    if (const auto* c = as<CastStep>()) {
        const size_t n = [&] {
            size_t k = 0;
            for (const auto& x : session_.piece()->casts()) {
                if (&x == c) return k;
                ++k;
            }
            return k;
        }();
        if (n >= a.made->casts.size()) return {};  // an edit is under way
        const CastWork work = castWork(*a.made, *session_.piece(), n);
        const double kg = work.mass;
        const auto& t = a.made->casts[n];
        if (session_.piece()->family().body == form::Body::Modeled) return grams(kg);
        return !work.last                           ? tr("%1 · next after %2").arg(grams(kg), time(t.lock))
               : session_.piece()->roundSomething() ? tr("%1 · sets in %2").arg(grams(kg), time(t.set))
                                                    : tr("%1 · lets go %2").arg(grams(kg), time(t.release));
    }
    if (const auto* in = as<InsertStep>())
        return in->what == InsertStep::What::Stick && std::isfinite(a.made->stickStands)
                   ? tr("stands after %1").arg(time(a.made->stickStands))
                   : QString();
    for (const auto& t : a.toppings)
        if (t.step == at_ && as<TopStep>()) {
            if (t.glue > 0) return tr("about %1 of them").arg(std::max(1L, std::lround(t.grains)));
            if (t.inside) return tr("on what is in it");
            if (std::isnan(t.from)) return tr("slides down: glue it");
            return t.from > 0 ? tr("holds after %1").arg(time(t.from)) : tr("holds at once");
        }
    for (const auto& f : a.fills)
        if (f.step == at_ && as<FillStep>()) return tr("%1 in each").arg(qstring(format(f.each, Dimension::Volume, u)));
    if (as<LidStep>()) return a.capMass > 0 ? grams(a.capMass) : tr("no room");
    if (as<JoinStep>()) return tr("bears after %1").arg(time(session_.library().usual("glueBears")));
    if (as<ReleaseStep>()) {
        const double t = a.made->wall ? a.made->wall->setting.back().release : a.made->setting.release;
        return std::isfinite(t) ? tr("after %1").arg(time(t)) : QString();
    }
    if (as<TrimStep>() && a.made->melted > 0) return tr("and melt the hole");
    return {};
}

void PlainCard::refresh() {
    StepCard::refresh();
    if (!step()) return;
    int wide = widthOf(*step());  // a long name of a chocolate makes the card wider
    for (const auto& c : choices_) {
        c.box->setCurrentIndex(c.now());
        if (c.box->parentWidget() == this && box_->indexOf(c.box) >= 0)
            wide = std::max(wide, c.box->fontMetrics().horizontalAdvance(c.box->currentText()) + 70);
    }
    setFixedWidth(wide);
    for (const auto& t : texts_) t.field->setWords(t.now());
    if (const auto* cast = as<CastStep>();
        cast && cast->temperature.value == 0)  // as it is worked; shown as the figure that stands for it
        if (const auto c = coatingOf(*session_.piece(), cast->chocolate, session_.plan(), session_.library()))
            for (const auto& f : figures_)
                if (f.field->place().endsWith(QLatin1String("/temperature")))
                    f.field->setMeasure(Measure(c->working()), session_.units());
    const auto answers = session_.pieceAnswers(session_.piece()->id);
    result_->setText(answers && answers->made ? result(*answers) : QString());
}

}  // namespace uovo::desktop
