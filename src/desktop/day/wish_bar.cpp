#include "desktop/day/wish_bar.h"

#include <QHBoxLayout>
#include <QLabel>
#include <QVBoxLayout>
#include <cmath>

#include "desktop/kit/flow_layout.h"
#include "desktop/kit/widgets.h"

namespace uovo::desktop {
namespace {

constexpr double kSure[]{0, 0.5, 0.7, 0.8, 0.9, 0.95};
constexpr int kAims = 6;

}  // namespace

QString aimWords(DayWish::Aim aim) {
    using Aim = DayWish::Aim;
    switch (aim) {
        case Aim::Late:
            return WishBar::tr("begin late");
        case Aim::Early:
            return WishBar::tr("done early");
        case Aim::FewTemperings:
            return WishBar::tr("temper little");
        case Aim::Calm:
            return WishBar::tr("calm, with rests");
        case Aim::ShortSpells:
            return WishBar::tr("short spells");
        case Aim::FreeEvening:
            return WishBar::tr("evening free");
    }
    return {};
}

void takeAim(Session& session, DayWish::Aim aim) {
    session.document().edit(WishBar::tr("Wish: %1").arg(aimWords(aim)), [&](Plan& p) { p.day.aim = aim; });
}

WishBar::WishBar(Session& session)
    : session_(session),
      sure_(choiceBox(
          tr("Sure to be ready"),
          {tr("%1 minutes kept free").arg(session.library().usual("reserve") / 60), tr("ready 5 days in 10"),
           tr("ready 7 days in 10"), tr("ready 8 days in 10"), tr("ready 9 days in 10"), tr("ready 19 days in 20")})) {
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(0, 4, 0, 0);
    box->setSpacing(6);
    auto* head = new QHBoxLayout;
    auto* title = new QLabel(tr("Wishes"));
    title->setStyleSheet(QStringLiteral("font-size: 16px; font-weight: 700;"));
    head->addWidget(title, 1);
    auto* compare = toolButton(tr("side by side"), tr("How the day would be under each wish"));
    compare->setObjectName(QStringLiteral("compareWishes"));
    connect(compare, &QPushButton::clicked, this, &WishBar::compareWanted);
    head->addWidget(compare);
    box->addLayout(head);
    auto* pills = new QWidget;
    auto* flow = new FlowLayout(6, 6);
    for (int a = 0; a < kAims; ++a) {
        const auto aim = static_cast<DayWish::Aim>(a);
        auto* b = toolButton(aimWords(aim));
        b->setCheckable(true);
        b->setObjectName(QStringLiteral("aim%1").arg(a));
        connect(b, &QPushButton::clicked, this, [this, aim] {
            takeAim(session_, aim);
            refresh();
        });
        flow->addWidget(b);
        aims_.push_back(b);
    }
    pills->setLayout(flow);
    box->addWidget(pills);
    sure_->setObjectName(QStringLiteral("sure"));
    connect(sure_, &QComboBox::activated, this, [this](int i) {
        session_.document().edit(tr("Choose how sure it is"), [&](Plan& p) { p.day.chance = kSure[i]; });
    });
    box->addWidget(sure_);
    refresh();
}

void WishBar::refresh() {
    const auto& day = session_.plan().day;
    for (size_t a = 0; a < aims_.size(); ++a) aims_[a]->setChecked(day.aim == static_cast<DayWish::Aim>(a));
    int nearest = 0;
    for (int i = 0; i < static_cast<int>(std::size(kSure)); ++i)
        if (std::abs(kSure[i] - day.chance) < std::abs(kSure[nearest] - day.chance)) nearest = i;
    const QSignalBlocker quiet(sure_);
    sure_->setCurrentIndex(nearest);
}

}  // namespace uovo::desktop
