#include "desktop/shape/step_cards.h"

#include <QMenu>

#include "core/document/edits.h"
#include "core/words/words.h"
#include "desktop/shape/coat_page.h"
#include "desktop/shape/plain_card.h"
#include "desktop/shell/sheet.h"
#include "desktop/theme/glyph_button.h"
#include "report/text.h"

namespace uovo::desktop {

StepCards::StepCards(Session& session, QWidget* parent) : QWidget(parent), session_(session) {
    setObjectName(QStringLiteral("making"));
    setAccessibleName(tr("How it is made"));
    row_ = sidewaysRow(this, kCardGap, 4, 0);
    const auto button = [&](const QString& words, const char* name, const QString& tip) {
        auto* b = new GlyphButton(Glyph::Plus, words);
        b->setObjectName(QLatin1String(name));
        b->setAccessibleName(tip);
        b->setToolTip(tip);
        b->setStyleSheet(
            QStringLiteral(
                "QPushButton { border: 1px dashed %1; border-radius: 12px; background: transparent; min-height: 60px; "
                "min-width: 64px; text-align: center; } QPushButton:focus { border: 2px solid %2; }")
                .arg(theme().balloon.name(), theme().yolk.name()));
        return b;
    };
    coat_ = button(tr("coat"), "addCoat", tr("Add a coat like the last one (Ctrl+K)"));
    coat_->setAccessibleName(tr("Add a coat"));
    connect(coat_, &QPushButton::clicked, this, &StepCards::addCoat);
    more_ = button(tr("step"), "addStep", tr("Add a step: a filling, a topping, something in it, a decoration"));
    connect(more_, &QPushButton::clicked, this, &StepCards::showMenu);
    auto* plus = new QVBoxLayout;
    plus->setSpacing(8);
    plus->addStretch(1);
    plus->addWidget(coat_);
    plus->addWidget(more_);
    plus->addStretch(1);
    row_->addLayout(plus);
    row_->addStretch(1);
    setFixedHeight(214);
}

void StepCards::addCoat() {
    session_.editPiece(tr("Add a coat"), [this](Piece& p) {
        PlannedCoat coat =
            p.coats().empty() ? usualCoats(p, session_.plan(), session_.library()).front() : p.coats().back();
        coat.extra.clear();
        if (p.coats().empty()) return p.coatWith({coat});
        p.coats().push_back(coat);
    });
}

void StepCards::showMenu() {
    const Piece* piece = session_.piece();
    if (!piece) return;
    auto* menu = new QMenu(this);
    menu->setAttribute(Qt::WA_DeleteOnClose);
    const auto offer = [&](const Step& step) {
        QAction* action = menu->addAction(stepWords(step, *piece));
        action->setObjectName(QStringLiteral("addStep%1").arg(step.index()));
        connect(action, &QAction::triggered, this, [this, step] { add(step); });
    };
    if (piece->family().body != form::Body::Wall || !piece->wallFromCoats()) offer(CastStep{});
    const bool around = piece->roundSomething();
    if (around && std::ranges::none_of(StepsOf<const InsertStep>(piece->making),
                                       [](const auto& in) { return in.what == InsertStep::What::Core; }))
        offer(usualCore(*piece));
    for (const Step& step : std::initializer_list<Step>{InsertStep{}, TopStep{}}) offer(step);
    if (!around) offer(FillStep{});
    if (piece->fill() && !piece->lid()) offer(LidStep{});
    for (const Step& step :
         std::initializer_list<Step>{usualDecoration(DecorateStep::Way::Drizzle, session_.library()), SetStep{}})
        offer(step);
    const auto missing = [&](const auto& step) {
        if (!firstOf<std::decay_t<decltype(step)>>(piece->making)) offer(step);
    };
    menu->addSeparator();
    if (!around) missing(ReleaseStep{});
    if (!around) missing(TrimStep{});
    missing(JoinStep{});
    missing(StoreStep{});
    offer(ServeStep{});
    menu->popup(more_->mapToGlobal(QPoint(0, -menu->sizeHint().height())));
}

void StepCards::add(const Step& step) {
    const std::string id = session_.piece() ? session_.piece()->id : "";
    session_.document().edit(tr("Add a step"), [&](Plan& plan) {
        for (auto& p : plan.pieces) {
            if (p.id != id) continue;
            Step now = step;
            if (auto* fill = std::get_if<FillStep>(&now)) {  // one that is there already is made once for both
                const auto unused = std::find_if(plan.fillings.begin(), plan.fillings.end(), [&](const Filling& f) {
                    return std::ranges::none_of(StepsOf<const FillStep>(std::as_const(p).making),
                                                [&](const FillStep& s) { return s.filling == f.id; });
                });
                fill->filling = unused == plan.fillings.end() ? plan.freshFilling() : unused->id;
            }
            if (auto* top = std::get_if<TopStep>(&now)) {
                if (plan.toppings.empty())
                    plan.toppings.push_back({.id = "crumbs",
                                             .name = tr("Biscuit crumbs").toStdString(),
                                             .grain = Measure(0.002),
                                             .density = 500,
                                             .allergens = tr("wheat").toStdString(),
                                             .extra = {}});
                top->topping = plan.toppings.front().id;
            }
            p.making.insert(p.making.begin() + static_cast<std::ptrdiff_t>(p.usualPlace(now)), std::move(now));
        }
    });
}

void StepCards::move(size_t at, size_t to) {
    if (at == to) return;
    session_.editPiece(tr("Move a step"), [&](Piece& p) { moveStep(p, at, to); });
}

void StepCards::drop(size_t at, int pixels) {
    // the edge that leads the card has passed the middle of those behind which it goes
    if (at >= steps_.size()) return;
    const QRect card = steps_[at]->geometry();
    const int edge = (pixels > 0 ? card.right() : card.left()) + pixels;
    size_t to = 0;
    for (size_t i = 0; i < steps_.size(); ++i) to += i != at && steps_[i]->geometry().center().x() < edge;
    move(at, to);
}

void StepCards::build() {
    const Piece* piece = session_.piece();
    for (auto* c : steps_) retire(c);
    steps_.clear();
    coats_.clear();
    for (size_t i = 0; piece && i < piece->making.size(); ++i) {
        StepCard* card = nullptr;
        if (const auto* coat = std::get_if<PlannedCoat>(&piece->making[i])) {
            auto* c = new CoatCard(session_, coats_.size(), i, *coat, piece->family().outside);
            connect(c, &CoatCard::detailsWanted, this, &StepCards::detailsWanted);
            connect(c, &CoatCard::paintingWanted, this, &StepCards::paintingWanted);
            coats_.push_back(c);
            card = c;
        } else {
            auto* c = new PlainCard(session_, i);
            connect(c, &PlainCard::pageWanted, this, &StepCards::pageWanted);
            card = c;
        }
        connect(card, &StepCard::moved, this, [this](size_t at, int by) {
            move(at,
                 static_cast<size_t>(std::clamp(static_cast<int>(at) + by, 0, static_cast<int>(steps_.size()) - 1)));
        });
        connect(card, &StepCard::dropped, this, &StepCards::drop);
        connect(card, &StepCard::removed, this,
                [this](size_t at) { session_.editPiece(tr("Remove a step"), [&](Piece& p) { removeStep(p, at); }); });
        connect(card, &StepCard::copied, this,
                [this](size_t at) { session_.editPiece(tr("Copy a step"), [&](Piece& p) { copyStep(p, at); }); });
        row_->insertWidget(static_cast<int>(i), card);
        steps_.push_back(card);
    }
}

void StepCards::refresh() {
    const Piece* piece = session_.piece();
    // what the cards are built of: which steps, in which order, and the choices that change their fields
    QString kind;
    if (piece) {
        kind = qstring(piece->id) + (theme().dark ? "d" : "l") + qstring(piece->shape.family) +
               (session_.units() == UnitSystem::US ? "u" : "m");
        for (const auto& step : piece->making) {
            kind += QLatin1Char('|') + QString::number(step.index());
            if (const auto* c = std::get_if<PlannedCoat>(&step))
                kind += QString::number(static_cast<int>(c->way)) + qstring(c->item);
            if (const auto* c = std::get_if<CastStep>(&step)) kind += qstring(c->item);
            if (const auto* s = std::get_if<InsertStep>(&step)) kind += s->what == InsertStep::What::Piece ? "p" : "t";
            if (const auto* s = std::get_if<DecorateStep>(&step))
                kind += QString::number(static_cast<int>(s->way)) +
                        (inTheMold(*piece, static_cast<size_t>(&step - piece->making.data())) ? "m" : "");
            if (const auto* s = std::get_if<ServeStep>(&step))
                kind += s->how < ServeStep::How::Mallet ? "a" : s->how == ServeStep::How::Mallet ? "m" : "f";
        }
        for (const auto& f : session_.plan().fillings) kind += qstring(f.id + f.name);
        for (const auto& t : session_.plan().toppings) kind += qstring(t.id + t.name);
        for (const auto& p : session_.plan().pieces) kind += qstring(p.name);
        for (const auto& c : session_.library().chocolates) kind += qstring(c.name);
    }
    if (kind != built_) {
        built_ = kind;
        build();
    }
    coat_->setVisible(piece && piece->couldBeCoated() && !coats_.empty());
    coat_->setEnabled(piece && coats_.size() < 8);
    for (auto* c : steps_) c->refresh();
    const bool extras =
        piece && std::ranges::any_of(piece->coats(), [&](const auto& c) { return !coatExtras(c, session_).isEmpty(); });
    const bool parted = piece && std::ranges::any_of(piece->coats(), [](const auto& c) { return !c.item.empty(); });
    const int high = !coats_.empty() ? parted ? 234 : 212 : piece && piece->casts().size() > 1 ? 204 : 174;
    bool care = false;  // a caution stands under what a step makes
    for (size_t k = 0; piece && k < piece->making.size(); ++k)
        care = care || !cautionsAt(*piece, k, session_.plan(), session_.library()).empty();
    setFixedHeight(high + (extras ? 18 : 0) + (care ? 24 : 0) + 12);  // a bar to scroll with lies under more than fit
}

}  // namespace uovo::desktop
