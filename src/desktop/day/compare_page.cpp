// The day under each wish, a row each as it is laid out.
#include <QGridLayout>
#include <QLabel>
#include <QProgressBar>
#include <QPushButton>

#include "core/quantity/decimal.h"
#include "desktop/day/day_place.h"
#include "desktop/kit/widgets.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

class ComparePage : public QWidget {
    Q_DECLARE_TR_FUNCTIONS(ComparePage)

public:
    ComparePage(Session& session, Looker& looker) : session_(session), grid_(new QGridLayout) {
        setObjectName(QStringLiteral("comparePage"));
        auto* box = new QVBoxLayout(this);
        box->setContentsMargins(0, 6, 10, 6);
        box->addWidget(wrapped(tr("The same pieces, laid out under each wish. Press one to take it."), "quiet"));
        auto* progress = new QProgressBar;
        progress->setRange(0, 100);
        progress->setTextVisible(false);
        progress->setFixedHeight(6);
        box->addWidget(progress);
        grid_->setHorizontalSpacing(14);
        grid_->setVerticalSpacing(8);
        const QStringList heads{tr("wish"),  tr("begin"), tr("last work"), tr("temper"),
                                tr("hands"), tr("rests"), tr("in time")};
        for (int i = 0; i < heads.size(); ++i) {
            auto* head = new QLabel(heads[i]);
            head->setProperty("small", true);
            head->setWordWrap(true);
            grid_->addWidget(head, 0, i);
        }
        box->addLayout(grid_);
        box->addStretch(1);
        connect(&looker, &Looker::progressed, progress, [progress](double share) {
            progress->setValue(static_cast<int>(100 * share));
            progress->setVisible(share < 1);
        });
        connect(&looker, &Looker::compared, this, [this](const DayFigures& f) { show(f); });
        if (const auto a = session.answers(); a && a->day && session.isComplete()) looker.compare(session.plan(), a);
    }

private:
    void show(const DayFigures& f) {
        const int row = grid_->rowCount();
        auto* take = toolButton(aimWords(f.aim));
        take->setCheckable(true);
        take->setChecked(session_.plan().day.aim == f.aim);
        QObject::connect(take, &QPushButton::clicked, this, [this, aim = f.aim] { takeAim(session_, aim); });
        grid_->addWidget(take, row, 0);
        const QString hands = tr("%1 h").arg(qstring(decimal(f.hands / 60.0, 1)));
        const QStringList words = f.known ? QStringList{f.begins,
                                                        f.ends,
                                                        QString::number(f.temperings),
                                                        hands,
                                                        QString::number(f.rests),
                                                        f.broken > 0 ? tr("%1 broken").arg(f.broken)
                                                                     : tr("%1 in 10").arg(10 * f.onTime, 0, 'f', 0)}
                                          : QStringList{tr("no day")};
        for (int i = 0; i < words.size(); ++i) grid_->addWidget(wrapped(words[i]), row, i + 1);
    }

    Session& session_;
    QGridLayout* grid_;
};

}  // namespace

QWidget* comparePage(Session& session, Looker& looker) { return new ComparePage(session, looker); }

}  // namespace uovo::desktop
