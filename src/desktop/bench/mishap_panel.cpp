#include "desktop/bench/mishap_panel.h"

#include <QGridLayout>
#include <QKeyEvent>
#include <QPushButton>

#include "core/quantity/plural.h"
#include "desktop/bench/large.h"
#include "desktop/kit/widgets.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

constexpr int kAnswerHigh = 64, kColumns = 2;

}  // namespace

MishapPanel::MishapPanel(Session& session, RunKeeper& keeper, QWidget* parent)
    : QWidget(parent), session_(session), keeper_(keeper), box_(new QVBoxLayout(this)) {
    setObjectName(QStringLiteral("mishaps"));
    box_->setContentsMargins(0, 0, 0, 0);
}

void MishapPanel::clear(const QString& heading, const QString& note) {
    emptyLayout(box_);
    targets_ = 0;
    box_->addWidget(letters(heading, 32, 700));
    if (!note.isEmpty()) box_->addWidget(letters(note, 19, 400));
    auto* rows = new QWidget;
    grid_ = new QGridLayout(rows);
    grid_->setContentsMargins(0, 8, 0, 0);
    grid_->setSpacing(10);
    box_->addWidget(rows);
    box_->addStretch(1);
}

QPushButton* MishapPanel::addTarget(const QString& words, const QString& note, std::function<void()> does) {
    auto* b = target(note.isEmpty() ? words : words + QStringLiteral("\n") + note, {}, kAnswerHigh);
    b->setAccessibleName(note.isEmpty() ? words : words + QStringLiteral(", ") + note);
    connect(b, &QPushButton::clicked, this, std::move(does));
    grid_->addWidget(b, targets_ / kColumns, targets_ % kColumns);
    if (++targets_ == 1) b->setFocus();
    return b;
}

void MishapPanel::keyPressEvent(QKeyEvent* e) {
    if (e->key() == Qt::Key_Escape) emit closed();
    else QWidget::keyPressEvent(e);
}

void MishapPanel::open(const run::Step* step) {
    step_ = step ? step->id : std::string();
    piece_ = step ? step->madeOf() : std::string();
    pot_ = step ? step->pot : std::string();
    clear(tr("What happened?"));
    for (const run::Mishap m : run::mishaps()) {
        if (m == run::Mishap::NotSet && step_.empty()) continue;
        if (run::asks(m) == run::Asks::Pot && (!keeper_.run() || keeper_.run()->pots().empty())) continue;
        addTarget(qstring(run::told(m)), {}, [this, m] {
            run::Event e;
            e.kind = run::Kind::Happened;
            e.mishap = m;
            e.step = step_;
            switch (run::asks(m)) {
                case run::Asks::Piece:
                    return askPiece(e);
                case run::Asks::Pot:
                    return askPot(e);
                case run::Asks::Minutes:
                    return askMinutes(e);
                case run::Asks::Nothing:
                    return happened(e);
            }
        });
    }
    addTarget(tr("Nothing, go on"), {}, [this] { emit closed(); });
}

void MishapPanel::askPiece(run::Event e) {
    e.count = 1;
    const auto& pieces = keeper_.run()->pieces();
    if (!piece_.empty() && (e.mishap != run::Mishap::OneMore || pieces.size() == 1)) {
        e.piece = piece_;
        return happened(e);
    }
    if (pieces.size() == 1) {
        e.piece = pieces.front().count.piece;
        return happened(e);
    }
    clear(qstring(run::told(e.mishap)), tr("Which?"));
    for (const auto& p : pieces)
        addTarget(qstring(p.count.name), {}, [this, e, id = p.count.piece]() mutable {
            e.piece = id;
            happened(e);
        });
}

void MishapPanel::askPot(run::Event e) {
    const auto& pots = keeper_.run()->pots();
    if (!pot_.empty() && pots.contains(pot_)) {
        e.pot = pot_;
        return happened(e);
    }
    if (pots.size() == 1) {
        e.pot = pots.begin()->first;
        return happened(e);
    }
    clear(qstring(run::told(e.mishap)), tr("Which pot?"));
    const auto answers = session_.answers();
    for (const auto& [id, pot] : pots) {
        const auto at = answers ? run::potNumber(*answers, id) : std::nullopt;
        const QString name = at ? qstring(answers->pots[*at].name) : qstring(id);
        addTarget(name, qstring(format(pot.kilograms, Dimension::Mass, session_.units())), [this, e, id]() mutable {
            e.pot = id;
            happened(e);
        });
    }
}

void MishapPanel::askMinutes(run::Event e) {
    clear(tr("How long?"));
    for (const int minutes : {5, 10, 20, 40})
        addTarget(tr("%1 min").arg(minutes), {}, [this, e, minutes]() mutable {
            e.minutes = minutes;
            happened(e);
        });
}

void MishapPanel::happened(run::Event e) {
    if (!keeper_.take(e)) return emit closed();
    offer(e);
}

void MishapPanel::offer(const run::Event& e) {
    const auto answers = session_.answers();
    if (!keeper_.run() || !answers || !keeper_.day()) return emit closed();
    run::Event now = e;
    now.at = keeper_.run()->now();
    const auto ways =
        run::ways(*keeper_.run(), now, session_.answeredPlan(), session_.answeredLibrary(), *answers, *keeper_.day());
    QString heading = qstring(run::told(e.mishap)), note = tr("How do you go on?");
    if (e.mishap == run::Mishap::Broke && e.count > 1) heading = tr("%1 broke").arg(e.count);
    if (const auto* p = keeper_.run()->piece(e.piece))
        heading = qstring(p->count.name) + QStringLiteral(": ") + heading.toLower();
    if (e.mishap == run::Mishap::Interrupted && e.minutes > 0) note = tr("%1 min are gone.").arg(e.minutes);
    clear(heading, note);
    for (const auto& way : ways) {
        QStringList figures;
        if (way.minutes > 0) figures << tr("%1 min").arg(way.minutes);
        if (way.kilograms > 1e-4) figures << qstring(format(way.kilograms, Dimension::Mass, session_.units()));
        addTarget(qstring(way.words), figures.join(QStringLiteral(", ")), [this, way] {
            for (const auto& next : way.events) keeper_.take(next);
            keeper_.answered();
            if (way.id != "wait") keeper_.layAnew();
            emit closed();
        });
    }
}

}  // namespace uovo::desktop
