#include "desktop/build/joints_column.h"

#include <QPushButton>
#include <QScrollArea>
#include <algorithm>

#include "core/document/edits.h"
#include "core/form/joint.h"
#include "core/quantity/words.h"
#include "desktop/kit/widgets.h"
#include "desktop/theme/theme.h"
#include "report/text.h"

namespace uovo::desktop {

JointsColumn::JointsColumn(Session& session, QWidget* parent) : QWidget(parent), session_(session) {
    setObjectName(QStringLiteral("jointsColumn"));
    setAccessibleName(tr("Joints"));
    list_ = answerColumn(this, page_);
}

void JointsColumn::heading(const QString& words) {
    auto* l = wrapped(words, "small");
    l->setContentsMargins(kColumnLeft, 10, 0, 2);
    list_->insertWidget(list_->count() - 1, l);
}

void JointsColumn::refresh(const std::vector<OrderLine>& lines, size_t step) {
    const QWidget* focus = focusWidget();
    const QString focused = focus && focus->hasFocus() ? focus->objectName() : QString();
    emptyLayout(list_, 1);
    const Piece* piece = session_.piece();
    const auto mine = piece ? session_.pieceAnswers(piece->id) : nullptr;
    if (!piece || !mine || !mine->made) {
        heading(piece ? tr("Computing …") : tr("Nothing on the shelf yet."));
        return;
    }
    for (const char* id : {"together", "cover", "strength", "joints"})
        for (const auto& a : mine->answers) {
            if (a.id != id) continue;
            auto* v = new AnswerView(a, session_.units());
            connect(v, &QAbstractButton::clicked, this, [this, v] { emit workingWanted(v->answer()); });
            list_->insertWidget(list_->count() - 1, v);
        }
    if (mine->together) {
        const auto troubles = orderTroubles(*mine->together, *mine->made, session_.units());
        for (size_t k = 1; k < troubles.size(); ++k) {  // the first is the answer's own sentence
            auto* l = wrapped(qstring(troubles[k]), "harm");
            l->setContentsMargins(kColumnLeft, 2, 0, 2);
            list_->insertWidget(list_->count() - 1, l);
        }
    }
    joints(*piece, *mine, lines, step);
    auto* broke = new QPushButton(tr("Something broke …"));
    broke->setObjectName(QStringLiteral("mend"));
    broke->setProperty("flat", true);
    connect(broke, &QPushButton::clicked, this, &JointsColumn::mendWanted);
    list_->insertWidget(list_->count() - 1, broke);
    if (focused.isEmpty()) return;
    for (auto* w : page_->findChildren<QWidget*>(focused))
        if (!w->isHidden()) w->setFocus();
}

void JointsColumn::joints(const Piece& piece, const PieceAnswers& answers, const std::vector<OrderLine>& lines,
                          size_t step) {
    const auto& assembly = answers.made->assembly;
    if (assembly.joints.empty()) return;
    heading(tr("Joints"));
    const bool own = piece.shape.family == form::kAssembly;
    for (size_t j = 0; j < assembly.joints.size(); ++j) {
        const auto& joint = assembly.joints[j];
        size_t made = 0;  // the step in which both are there for the first time
        for (size_t k = 0; k < lines.size() && !made; ++k) {
            const auto has = [&](size_t item) {
                for (size_t i = 0; i <= k; ++i)
                    if (std::ranges::find(lines[i].items, item) != lines[i].items.end()) return true;
                return false;
            };
            const bool comes = std::ranges::find(lines[k].items, joint.a) != lines[k].items.end() ||
                               std::ranges::find(lines[k].items, joint.b) != lines[k].items.end();
            if (comes && has(joint.a) && has(joint.b)) made = k + 1;
        }
        auto* line = new QWidget;
        auto* row = new QVBoxLayout(line);
        row->setContentsMargins(kColumnLeft, 3, 4, 3);
        row->setSpacing(1);
        auto* b = new QPushButton(QStringLiteral("%1 · %2").arg(qstring(assembly.items[joint.a].name).toLower(),
                                                                qstring(assembly.items[joint.b].name).toLower()));
        b->setObjectName(QStringLiteral("joint/%1").arg(j));
        b->setProperty("flat", true);
        b->setSizePolicy(QSizePolicy::Ignored, QSizePolicy::Fixed);  // long names do not widen the column
        b->setStyleSheet(
            made == step && made > 0
                ? QStringLiteral("text-align: left; font-weight: 700; padding: 0; background: transparent; border: 0;")
                : QStringLiteral("text-align: left; padding: 0; background: transparent; border: 0;"));
        b->setToolTip(qstring(joint.words));
        QStringList said{qstring(format(joint.length, Dimension::Length, session_.units())), qtr(joint.glue.c_str())};
        const auto times = form::jointTimes(session_.library(), joint.glue);
        const double leg = session_.library().strong("jointFillet");
        const auto time = [&](double s) { return qstring(format(s, Dimension::Duration, session_.units())); };
        said << qstring(format(joint.length * leg * leg / 2 * answers.coating.densityMelt, Dimension::Mass,
                               session_.units()))
             << tr("hold %1").arg(time(times.hold)) << tr("bears after %1").arg(time(times.bears));
        if (made > 0) said << tr("step %1").arg(made);
        auto* about = wrapped(said.join(QStringLiteral(", ")), "small");
        b->setAccessibleDescription(about->text());
        connect(b, &QPushButton::clicked, this, [this, made] {
            if (made > 0) emit stepWanted(made);
        });
        row->addWidget(b);
        row->addWidget(about);
        if (own && j < piece.shape.joints.size()) {
            QStringList ways{tr("as the whole")};
            for (const auto& g : form::glues()) ways << qtr(g.c_str());
            auto* glue = choiceBox(tr("How %1 is glued").arg(b->text()), ways);
            glue->setObjectName(QStringLiteral("jointGlue/%1").arg(j));
            const auto known = form::glues();
            const auto at = std::ranges::find(known, piece.shape.joints[j].glue);
            glue->setCurrentIndex(at == known.end() ? 0 : static_cast<int>(at - known.begin()) + 1);
            connect(glue, &QComboBox::activated, this, [this, j](int i) {
                session_.editPiece(tr("Change how a joint is glued"), [j, i](Piece& p) {
                    if (j < p.shape.joints.size())
                        p.shape.joints[j].glue = i == 0 ? std::string() : form::glues()[static_cast<size_t>(i) - 1];
                });
            });
            auto* drop = toolButton(tr("Not glued"), tr("Drop the joint of %1").arg(b->text()));
            drop->setObjectName(QStringLiteral("jointDrop/%1").arg(j));
            connect(drop, &QPushButton::clicked, this, [this, j] {
                session_.editPiece(tr("Drop a joint"), [j](Piece& p) {
                    if (j < p.shape.joints.size())
                        p.shape.joints.erase(p.shape.joints.begin() + static_cast<std::ptrdiff_t>(j));
                });
            });
            glue->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
            glue->setMinimumContentsLength(6);
            auto* how = new QHBoxLayout;
            how->setSpacing(6);
            how->addWidget(glue, 1);
            how->addWidget(drop);
            row->addLayout(how);
        }
        list_->insertWidget(list_->count() - 1, line);
    }
    if (!answers.together) return;
    const auto more = unglued(*answers.together, assembly);
    if (more.empty()) return;
    if (own) {
        auto* b = new QPushButton(more.size() == 1 ? tr("Glue one more place that touches")
                                                   : tr("Glue %1 more places that touch").arg(more.size()));
        b->setObjectName(QStringLiteral("glueTouching"));
        connect(b, &QPushButton::clicked, this, [this, more] {
            session_.editPiece(tr("Glue what touches"), [&](Piece& p) {
                p.shape.joints.insert(p.shape.joints.end(), more.begin(), more.end());
            });
        });
        list_->insertWidget(list_->count() - 1, b);
    } else {
        heading(more.size() == 1 ? tr("One more place touches and is not glued.")
                                 : tr("%1 more places touch and are not glued.").arg(more.size()));
    }
}

}  // namespace uovo::desktop
