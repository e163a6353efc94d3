#include "desktop/shape/advisor_page.h"

#include <QHBoxLayout>
#include <QLabel>
#include <QMetaObject>
#include <cmath>

#include "desktop/shape/recipe_line.h"
#include "desktop/shell/sheet.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

constexpr Wish kWishes[]{Wish::Thinnest, Wish::Rim, Wish::Mean, Wish::Grams};

/// A share of pieces as a person counts: "1 in 12", "hardly any", "nearly all".
QString inWords(double share) {
    if (share < 0.005) return AdvisorPage::tr("hardly any piece misses it");
    if (share > 0.9) return AdvisorPage::tr("nearly every piece misses it");
    if (share > 0.4) return AdvisorPage::tr("every second piece misses it");
    return AdvisorPage::tr("about 1 in %1 misses it").arg(std::lround(1 / share));
}

}  // namespace

AdvisorPage::AdvisorPage(Session& session, QWidget* parent) : QWidget(parent), session_(session) {
    setObjectName(QStringLiteral("advisor"));
    const Piece* piece = session.piece();
    piece_ = piece ? qstring(piece->id) : QString();
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(0, 6, 10, 6);
    box->setSpacing(8);
    box->addWidget(wrapped(tr("Coats, temperature, wait and way up are tried out, and the best ways are computed. What "
                              "you choose replaces the coats of this piece; it can be undone."),
                           "quiet"));
    auto* line = new QHBoxLayout;
    wish_ = choiceBox(tr("What you want"), {tr("Nowhere thinner than"), tr("At the rim at least"),
                                            tr("A wall on the whole of"), tr("Chocolate in each")});
    wish_->setObjectName(QStringLiteral("advisorWish"));
    line->addWidget(wish_, 1, Qt::AlignTop);
    field_ = new QVBoxLayout;
    line->addLayout(field_);
    box->addLayout(line);
    auto* row = new QHBoxLayout;
    look_ = new QPushButton(tr("Look for ways"));
    look_->setObjectName(QStringLiteral("advisorLook"));
    stop_ = new QPushButton(tr("Stop"));
    stop_->setObjectName(QStringLiteral("advisorStop"));
    progress_ = new QProgressBar;
    progress_->setRange(0, 100);
    progress_->setTextVisible(false);
    progress_->setAccessibleName(tr("How much has been tried"));
    row->addWidget(look_);
    row->addWidget(progress_, 1);
    row->addWidget(stop_);
    box->addLayout(row);
    list_ = new QVBoxLayout;
    list_->setSpacing(8);
    box->addLayout(list_);
    box->addStretch(1);
    progress_->hide();
    stop_->hide();
    connect(wish_, &QComboBox::activated, this, [this] {
        wishChanged();
        look();
    });
    connect(look_, &QPushButton::clicked, this, &AdvisorPage::look);
    connect(stop_, &QPushButton::clicked, this, [this] {
        worker_.request_stop();
        ++generation_;
        progress_->hide();
        stop_->hide();
    });
    wishChanged();
    look();
}

AdvisorPage::~AdvisorPage() { worker_.request_stop(); }

void AdvisorPage::wishChanged() {
    if (figure_) retire(figure_);
    const Wish wish = kWishes[wish_->currentIndex()];
    const bool grams = wish == Wish::Grams;
    figure_ =
        new FigureField(grams ? tr("Wanted chocolate in each") : tr("Wanted wall"), QStringLiteral("advisor/value"),
                        session_.typing(grams ? Dimension::Mass : Dimension::Length, grams ? "g" : "mm", nullptr));
    const Piece* piece = session_.piece();
    const auto answers = piece ? session_.pieceAnswers(piece->id) : nullptr;
    value_ = piece ? piece->wantedWall : Measure(0.003);
    double kg = 0.05;
    if (answers && answers->made && answers->made->wall) {
        kg = 0;
        for (const auto& c : answers->made->wall->coats) kg += c.added;
    }
    if (grams) value_ = Measure(std::round(kg * 1e3) * 1e-3);
    figure_->setMeasure(value_, session_.units());
    figure_->setRule([grams](const Measure& m) {
        if (grams) return m.value > 0 && m.value <= 20 ? QString() : tr("Ask for more than nothing, up to 20 kg.");
        return m.value >= 0.0003 && m.value <= 0.05 ? QString() : tr("A wall is between 0.3 and 50 mm thick.");
    });
    connect(figure_, &FigureField::measureTyped, this, [this](const Measure& m) {
        value_ = m;
        look();
    });
    field_->addWidget(figure_);
}

void AdvisorPage::look() {
    const Piece* piece = session_.piece();
    if (!piece) return;
    emptyLayout(list_);
    progress_->setValue(0);
    progress_->show();
    stop_->show();
    const int generation = ++generation_;
    worker_ =
        std::jthread([this, generation, piece = *piece, plan = session_.plan(), wish = kWishes[wish_->currentIndex()],
                      value = value_.value, library = session_.library()](std::stop_token stop) {
            const auto found = advise(piece, wish, value, plan, library, stop, [this, generation](double share) {
                QMetaObject::invokeMethod(this, [this, generation, share] {
                    if (generation == generation_) progress_->setValue(static_cast<int>(100 * share));
                });
            });
            if (stop.stop_requested()) return;
            QMetaObject::invokeMethod(this, [this, generation, found] {
                if (generation == generation_) show(found);
            });
        });
}

void AdvisorPage::show(const tl::expected<Advised, Problem>& found) {
    progress_->hide();
    stop_->hide();
    emptyLayout(list_);
    if (!found) {
        figure_->setProblem(qstring(found.error().sentence));
        return;
    }
    figure_->setProblem({});
    if (!found->impossible.empty()) {
        auto* l = wrapped(qstring(found->impossible), "harm");
        l->setObjectName(QStringLiteral("advisorImpossible"));
        list_->addWidget(l);
    }
    const auto length = [&](double m) { return qstring(format(m, Dimension::Length, session_.units())); };
    for (const auto& way : found->ways) {
        auto* card = new QFrame;
        card->setObjectName(QStringLiteral("adviceCard"));
        auto* box = new QVBoxLayout(card);
        box->setContentsMargins(0, 8, 0, 8);
        box->setSpacing(3);
        auto* head = new QHBoxLayout;
        auto* title = new QLabel(qstring(way.title));
        title->setProperty("role", QStringLiteral("strong"));
        QFont f = title->font();
        f.setBold(true);
        title->setFont(f);
        head->addWidget(title, 1);
        auto* take = new QPushButton(tr("Take this"));
        take->setObjectName(QStringLiteral("adviceTake"));
        take->setAccessibleName(tr("Take this way: %1").arg(qstring(way.recipe)));
        head->addWidget(take);
        box->addLayout(head);
        box->addWidget(wrapped(qstring(way.recipe) + QLatin1Char('.')));
        box->addWidget(
            wrapped(tr("%1 at the thinnest, %2 on the whole, %3 in each, %4 from the first coat; %5.")
                        .arg(length(way.thinnest), length(way.mean),
                             qstring(format(way.mass, Dimension::Mass, session_.units())),
                             qstring(format(way.seconds, Dimension::Duration, session_.units())), inWords(way.miss)),
                    "quiet"));
        if (!way.why.empty()) box->addWidget(wrapped(qstring(way.why), "small"));
        connect(take, &QPushButton::clicked, this, [this, way] {
            if (!session_.piece() || qstring(session_.piece()->id) != piece_) return;
            session_.editPiece(tr("Coat it another way: %1").arg(qstring(way.title)),
                               [&](Piece& p) { p.coats() = std::as_const(way.changed).coats(); });
        });
        list_->addWidget(card);
    }
    list_->addWidget(wrapped(tr("%n makings were computed on a coarse profile or mesh, the ones shown on the full one. "
                                "How many miss it comes from the ranges of your chocolate, ladle and clock.",
                                nullptr, found->tried),
                             "small"));
}

}  // namespace uovo::desktop
