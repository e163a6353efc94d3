#include "desktop/shape/answers_column.h"

#include <QPainter>
#include <QPushButton>
#include <QTextLayout>

#include "core/words/words.h"
#include "desktop/shape/holds_bar.h"
#include "desktop/shell/sheet.h"
#include "desktop/theme/theme.h"
#include "report/fonts.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

/// A way out: what it is, on as many lines as the column's width asks for, and what it gains.
class WayButton : public QPushButton {
public:
    WayButton(QString title, QString gains) : title_(std::move(title)), gains_(std::move(gains)) {
        setText(gains_.isEmpty() ? title_ : title_ + QLatin1Char('\n') + gains_);
        setAccessibleName(text());
    }
    QSize sizeHint() const override { return {kNarrow, QPushButton::sizeHint().height()}; }
    QSize minimumSizeHint() const override { return sizeHint(); }

protected:
    void resizeEvent(QResizeEvent* e) override {
        QPushButton::resizeEvent(e);
        QString lines, line;
        for (const QString& word : title_.split(QLatin1Char(' '))) {
            const QString longer = line.isEmpty() ? word : line + QLatin1Char(' ') + word;
            if (!line.isEmpty() && fontMetrics().horizontalAdvance(longer) > width() - kEdges) {
                lines += line + QLatin1Char('\n');
                line = word;
            } else {
                line = longer;
            }
        }
        setText(lines + line + (gains_.isEmpty() ? QString() : QLatin1Char('\n') + gains_));
    }

private:
    static constexpr int kNarrow = 120, kEdges = 34;  // px
    QString title_, gains_;
};

}  // namespace

AnswersColumn::AnswersColumn(Session& session, QWidget* parent) : QWidget(parent), session_(session) {
    setObjectName(QStringLiteral("answers"));
    setAccessibleName(tr("Answers"));
    list_ = answerColumn(this, page_);
}

AnswerView* AnswersColumn::view(const QString& id) const {
    for (auto* v : views_)
        if (qstring(v->answer().id) == id) return v;
    return nullptr;
}

/// What makes a weak piece hold, where one click does it.
void AnswersColumn::strengthWays(const Answer& a) {
    const Piece* piece = session_.piece();
    const auto mine = piece ? session_.pieceAnswers(piece->id) : nullptr;
    if (!mine || !mine->strength || (a.tone != Tone::Weak && a.tone != Tone::Impossible)) return;
    for (const auto& way : mine->strength->helpfulWays()) {
        auto* b = new WayButton(qstring(way.title), QStringLiteral("→ ") + marginInWords(way.margin));
        b->setObjectName(QStringLiteral("holdWay"));
        const bool does = taken(*piece, session_.library(), way.does).has_value();
        b->setEnabled(does);
        b->setAccessibleDescription(does ? tr("Applies this change; it can be undone.")
                                         : tr("Advice: it is done by hand, not in the plan."));
        connect(b, &QPushButton::clicked, this, [this, does = way.does, title = qstring(way.title)] {
            session_.editPiece(title, [&](Piece& p) {
                if (auto changed = taken(p, session_.library(), does)) p = std::move(*changed);
            });
        });
        list_->insertWidget(list_->count() - 1, b);
    }
}

void AnswersColumn::look() {
    if (!views_.empty()) views_.front()->setFocus(Qt::ShortcutFocusReason);
}

void AnswersColumn::add(const Answer& a, bool former) {
    auto* v = new AnswerView(a, session_.units(), former);
    connect(v, &QAbstractButton::clicked, this, [this, v] { emit workingWanted(v->answer()); });
    list_->insertWidget(list_->count() - 1, v);
    views_.push_back(v);
    if (former) return;
    // While new ways are looked for the old ones stay, greyed, so that nothing jumps.
    const bool looking = a.ways.empty() && a.tone == Tone::Weak && a.id == "wall" && !session_.isComplete();
    if (a.id == "wall" && !looking) ways_ = a.ways;
    for (const auto& way : looking ? ways_ : a.ways) {
        QStringList gains;
        if (!way.titleSays) gains << tr("→ %1").arg(qstring(format(way.thinnest, Dimension::Length, session_.units())));
        if (std::abs(way.mass) >= 0.0005)
            gains << (way.mass > 0 ? QStringLiteral("+") : QString()) +
                         qstring(format(way.mass, Dimension::Mass, session_.units()));
        if (std::abs(way.seconds) >= 30)
            gains << (way.seconds > 0 ? QStringLiteral("+") : QString()) +
                         qstring(format(way.seconds, Dimension::Duration, session_.units()));
        auto* b = new WayButton(qstring(way.title),
                                gains.join(QStringLiteral(" · ")) + (way.enough ? QString() : tr("  not enough")));
        b->setObjectName(QStringLiteral("way"));
        b->setEnabled(!looking);
        b->setAccessibleDescription(tr("Applies this change; it can be undone."));
        connect(b, &QPushButton::clicked, this, [this, way] { emit wayTaken(way); });
        list_->insertWidget(list_->count() - 1, b);
    }
    if (a.id == "strength") strengthWays(a);
    if (a.id == "strength") {
        auto* show = new QPushButton(tr("Show what happens to it …"));
        show->setObjectName(QStringLiteral("showStrength"));
        show->setProperty("flat", true);
        connect(show, &QPushButton::clicked, this, &AnswersColumn::strengthWanted);
        list_->insertWidget(list_->count() - 1, show);
    }
    if (a.id == "wall" && session_.piece() && session_.piece()->couldBeCoated() && !session_.piece()->alongMeridian()) {
        const bool coated = session_.piece()->wallFromCoats();
        auto* change = new QPushButton(coated ? tr("Assume a wall instead") : tr("Compute it from its coats"));
        change->setObjectName(QStringLiteral("wallFromCoats"));
        change->setProperty("flat", true);
        connect(change, &QPushButton::clicked, this, [this, coated] {
            session_.editPiece(coated ? tr("Assume a wall") : tr("Coat it"), [&](Piece& p) {
                p.coatWith(coated ? std::vector<PlannedCoat>{} : usualCoats(p, session_.plan(), session_.library()));
            });
        });
        list_->insertWidget(list_->count() - 1, change);
    }
    if (a.id == "wall" && session_.piece() && session_.piece()->wallFromCoats()) {
        auto* advice = new QPushButton(tr("Ways to another wall …"));
        advice->setObjectName(QStringLiteral("adviceWanted"));
        advice->setProperty("flat", true);
        connect(advice, &QPushButton::clicked, this, &AnswersColumn::adviceWanted);
        list_->insertWidget(list_->count() - 1, advice);
    }
}

void AnswersColumn::refresh() {
    QWidget* focus = focusWidget();
    const QString focused = focus ? focus->objectName() : QString();
    if (focus && focus->hasFocus()) page_->setFocus();  // else Qt looks for the next widget and scrolls to it
    emptyLayout(list_, 1);
    views_.clear();
    const auto heading = [&](const QString& words) {
        auto* l = wrapped(words, "small");
        l->setContentsMargins(kColumnLeft, 10, 0, 2);
        list_->insertWidget(list_->count() - 1, l);
    };
    const Piece* piece = session_.piece();
    const auto answers = session_.answers();
    if (!piece || !answers) {
        heading(piece ? tr("Computing …")
                      : tr("Add a piece with the button under the shelf. A bowl over a balloon is a good first one."));
        return;
    }
    const auto mine = session_.pieceAnswers(piece->id);
    if (!session_.document().canUndo() && !session_.document().canRedo()) good_.clear();  // another plan
    std::erase_if(good_, [&](const auto& known) { return !session_.plan().piece(known.first); });
    if (mine && !mine->problems.empty()) {
        for (const auto& p : mine->problems) {
            Answer a;
            a.id = "problem/" + p.where;
            a.headline = tr("Not like this").toStdString();
            a.sentence = p.sentence;
            a.tone = Tone::Impossible;
            a.working = {
                "Why this cannot be computed", "checked before anything is computed", {}, p.sentence, "", "Limits"};
            add(a);
        }
        if (const auto before = good_.find(piece->id); before != good_.end()) {
            heading(tr("As it was before"));
            for (const auto& a : before->second->answers) add(a, true);
        }
    } else if (mine && mine->made) {
        good_[piece->id] = mine;
    }
    if (mine) {
        std::vector<Answer> order = mine->answers;  // what needs a decision first
        std::stable_sort(order.begin(), order.end(), [](const Answer& a, const Answer& b) {
            return (a.tone == Tone::Impossible) > (b.tone == Tone::Impossible);
        });
        for (const auto& a : order) add(a);
    }
    heading(tr("The whole evening"));
    if (answers->day) add(dayAnswer(session_.answeredPlan(), *answers->day, session_.now()));
    for (const auto& a : answers->evening) add(a);
    for (const auto& c : answers->cautions) {
        auto* l = wrapped(qstring(c), "small");
        l->setContentsMargins(kColumnLeft, 3, 0, 3);
        list_->insertWidget(list_->count() - 1, l);
    }
    if (focused.isEmpty()) return;
    for (auto* w : page_->findChildren<QWidget*>(focused))
        if (!w->isHidden()) w->setFocus();  // the one before it is hidden and on its way out
}

}  // namespace uovo::desktop
