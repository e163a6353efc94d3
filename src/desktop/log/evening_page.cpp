#include "desktop/log/evening_page.h"

#include <QHBoxLayout>
#include <QPixmap>
#include <set>

#include "core/log/told.h"
#include "desktop/kit/flow_layout.h"
#include "desktop/kit/widgets.h"
#include "desktop/log/day_tile.h"
#include "report/fonts.h"
#include "report/text.h"

namespace uovo::desktop {

EveningPage::EveningPage(Session& session, LogKeeper& keeper, QWidget* parent)
    : QWidget(parent), session_(session), keeper_(keeper) {
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(30, 22, 26, 24);
    box->setSpacing(10);
    title_ = wrapped({});
    title_->setFont(report::font(28, QFont::Bold));
    title_->setObjectName(QStringLiteral("eveningTitle"));
    about_ = wrapped({}, "quiet");
    about_->setObjectName(QStringLiteral("eveningAbout"));
    ready_ = wrapped({}, "quiet");
    box->addWidget(title_);
    box->addWidget(about_);
    box->addWidget(ready_);
    auto* targets = new QWidget;
    auto* flow = new FlowLayout(8, 8);
    targets->setLayout(flow);
    const auto target = [&](const QString& words, const char* object) {
        auto* b = new QPushButton(words);
        b->setObjectName(QLatin1String(object));
        flow->addWidget(b);
        return b;
    };
    write_ = target(tr("Write something down …"), "logWrite");
    why_ = target(tr("Why did something fail?"), "logWhy");
    again_ = target(tr("Make this again …"), "logAgain");
    connect(write_, &QPushButton::clicked, this, [this] { emit writeWanted(0); });
    connect(why_, &QPushButton::clicked, this, [this] { emit whyWanted({}, {}); });
    connect(again_, &QPushButton::clicked, this, &EveningPage::againWanted);
    box->addWidget(targets);
    besideHead_ = heading(tr("Planned, and how it came out"), 10);
    box->addWidget(besideHead_);
    beside_ = new BandRows(tr("Planned, and how it came out"));
    box->addWidget(beside_);
    besideNote_ = wrapped({}, "small");
    box->addWidget(besideNote_);
    box->addWidget(heading(tr("What was written down"), 10));
    lines_ = new QVBoxLayout;
    lines_->setSpacing(2);
    box->addLayout(lines_);
    box->addStretch(1);
    connect(&keeper_, &LogKeeper::changed, this, &EveningPage::refresh);
    connect(&keeper_, &LogKeeper::computed, this, [this](const std::string& evening) {
        if (evening == id_) refresh();
    });
}

void EveningPage::show(const std::string& evening) {
    id_ = evening;
    refresh();
}

QWidget* EveningPage::line(const log::Evening& evening, const log::Entry& entry, const std::string& bytes, bool holds) {
    auto* whole = new QWidget;
    auto* row = new QHBoxLayout(whole);
    row->setContentsMargins(0, 2, 0, 2);
    row->setSpacing(8);
    const QString words = bound(log::told(entry, evening, session_.library()));
    auto* label = wrapped(words, holds ? "" : "quiet");
    if (!holds) {
        QFont struck = label->font();
        struck.setStrikeOut(true);
        label->setFont(struck);
        label->setAccessibleName(tr("Taken back: %1").arg(words));
    }
    row->addWidget(label, 10);
    row->addStretch(1);
    if (!bytes.empty() && holds) {
        QPixmap picture;
        if (picture.loadFromData(reinterpret_cast<const uchar*>(bytes.data()), static_cast<uint>(bytes.size()))) {
            auto* shown = new QLabel;
            shown->setPixmap(picture.scaled(160, 120, Qt::KeepAspectRatio, Qt::SmoothTransformation));
            shown->setAccessibleName(words);
            row->addWidget(shown);
        }
    }
    if (holds && entry.is == log::Entry::Is::Failed) {
        auto* why = toolButton(tr("Why?"), tr("Why: %1").arg(words));
        why->setObjectName(QStringLiteral("entryWhy/%1").arg(entry.id));
        connect(why, &QPushButton::clicked, this,
                [this, piece = qstring(entry.piece), fault = qstring(entry.fault)] { emit whyWanted(piece, fault); });
        row->addWidget(why);
    }
    if (holds) {
        auto* better = toolButton(tr("Correct"), tr("Correct: %1").arg(words));
        better->setObjectName(QStringLiteral("entryCorrect/%1").arg(entry.id));
        connect(better, &QPushButton::clicked, this, [this, id = entry.id] { emit writeWanted(id); });
        auto* back = toolButton(tr("Take back"), tr("Take back: %1").arg(words));
        back->setObjectName(QStringLiteral("entryBack/%1").arg(entry.id));
        connect(back, &QPushButton::clicked, this, [this, id = entry.id] {
            log::Entry e;
            e.is = log::Entry::Is::TakenBack;
            e.replaces = id;
            keeper_.add(id_, e);
        });
        row->addWidget(better);
        row->addWidget(back);
    }
    return whole;
}

void EveningPage::refresh() {
    const auto e = id_.empty() ? nullptr : keeper_.evening(id_);
    if (!e) return;
    title_->setText(dayWords(e->date));
    QStringList about{qstring(e->plan.name)};
    if (const QString whole = wholeWords(*e); !whole.isEmpty()) about << whole;
    if (const int stars = e->stars(); stars > 0) about << tr("%1 of 5 stars").arg(stars);
    for (const auto& [chocolate, bag] : e->bags) {
        const auto* c = session_.library().find(chocolate);
        about << tr("%1 from “%2”").arg(qstring(c ? c->name : chocolate), qstring(bag));
    }
    about_->setText(about.join(QStringLiteral(" · ")));
    const QString ready = bound(log::readyWords(*e));
    ready_->setText(ready);
    ready_->setVisible(!ready.isEmpty());
    std::vector<BandRows::Row> rows;
    const auto planned = keeper_.planned(id_);
    if (planned)
        for (const auto& b : log::beside(*e, *planned)) {
            const Piece* p = e->plan.piece(b.piece);
            const auto shown = [&](double v) { return qstring(format(v, b.dimension, session_.units())); };
            BandRows::Row row;
            row.name = tr("%1, %2").arg(qstring(p ? p->name : b.piece), qstring(b.words));
            row.before = learn::Band{b.low, b.planned, b.high};
            row.real = b.real;
            row.words =
                tr("planned %2, %3 to %4; it was %1").arg(shown(b.real), shown(b.planned), shown(b.low), shown(b.high));
            rows.push_back(std::move(row));
        }
    besideHead_->setVisible(!rows.empty() || !planned);
    besideNote_->setText(!planned ? tr("Its plan is computed …")
                         : rows.empty()
                             ? QString()
                             : tr("Outlined: the plan's band with its likely figure. Dot: what was measured."));
    besideNote_->setVisible(!besideNote_->text().isEmpty());
    beside_->setVisible(!rows.empty());
    beside_->setRows(std::move(rows));
    emptyLayout(lines_);
    const auto pictures = keeper_.pictures(id_);
    const std::string none;
    std::set<std::int64_t> held;
    for (const auto* x : e->held()) held.insert(x->id);
    for (const auto& x : e->entries)
        if (x.is != log::Entry::Is::TakenBack)
            lines_->addWidget(line(*e, x, pictures.contains(x.id) ? pictures.at(x.id) : none, held.contains(x.id)));
    if (e->entries.empty()) lines_->addWidget(wrapped(tr("Nothing yet."), "quiet"));
}

}  // namespace uovo::desktop
