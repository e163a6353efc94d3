#include "desktop/shell/problems_button.h"

#include <QMenu>

#include "report/text.h"

namespace uovo::desktop {
namespace {

/// "Crater bowl: the dip line …"
QString told(const Problem& problem, const Plan& plan) {
    for (const auto& p : plan.pieces)
        if (problem.where.starts_with("pieces/" + p.id + "/"))
            return qstring(p.name) + QStringLiteral(": ") + qstring(problem.sentence);
    return qstring(problem.sentence);
}

}  // namespace

ProblemsButton::ProblemsButton(Session& session) : session_(session) {
    setObjectName(QStringLiteral("problems"));
    setProperty("alarm", true);
    connect(this, &QPushButton::clicked, this, &ProblemsButton::lead);
    hide();
}

void ProblemsButton::refresh(const QList<Field*>& refused) {
    refused_.clear();
    for (Field* f : refused) refused_ << f;
    problems_ = session_.allProblems();
    setVisible(count() > 0);
    if (count() == 0) return;
    setText(count() == 1 ? tr("1 problem") : tr("%1 problems").arg(count()));
    QStringList all;
    for (const auto& f : refused_) all << f->complaint()->text();
    for (const auto& p : problems_) all << told(p, session_.plan());
    setToolTip(all.join(QLatin1Char('\n')));
    setAccessibleName(text());
    setAccessibleDescription(all.join(QLatin1Char(' ')));
}

void ProblemsButton::lead() {
    QMenu menu(this);
    QList<std::pair<QString, std::function<void()>>> ways;
    for (const auto& f : refused_)
        if (f)
            ways << std::pair{f->edit()->accessibleName() + QStringLiteral(": ") + f->complaint()->text(),
                              std::function<void()>([this, f] {
                                  if (f) emit fieldWanted(f);  // its page may have gone while the menu was open
                              })};
    for (const auto& p : problems_)
        ways << std::pair{told(p, session_.plan()),
                          std::function<void()>([this, at = qstring(p.where)] { emit placeWanted(at); })};
    if (ways.size() == 1) return ways.front().second();
    for (const auto& [words, go] : ways) menu.addAction(fontMetrics().elidedText(words, Qt::ElideRight, 520), this, go);
    menu.exec(mapToGlobal(QPoint(0, height())));
}

}  // namespace uovo::desktop
