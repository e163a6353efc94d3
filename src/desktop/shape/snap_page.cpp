#include "desktop/shape/snap_page.h"

#include <QCoreApplication>
#include <QGridLayout>
#include <QLabel>
#include <QPushButton>
#include <QVBoxLayout>
#include <cmath>

#include "core/quantity/decimal.h"
#include "core/stages/strength.h"
#include "desktop/kit/figure_field.h"
#include "desktop/shell/sheet.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

class SnapPage : public QWidget {
    Q_DECLARE_TR_FUNCTIONS(SnapPage)

public:
    explicit SnapPage(Session& session) : session_(session) {
        setObjectName(QStringLiteral("snapPage"));
        auto* box = new QVBoxLayout(this);
        box->setContentsMargins(0, 6, 10, 6);
        box->setSpacing(8);
        const Piece* piece = session.piece();
        const auto* chocolate = piece ? session.library().find(piece->chocolate) : nullptr;
        if (!chocolate) {
            box->addWidget(wrapped(tr("Choose a piece first: its chocolate is measured.")));
            return;
        }
        chocolate_ = chocolate->boughtAs();
        auto* title = wrapped(qstring(session.library().find(chocolate_)->name));
        title->setStyleSheet(QStringLiteral("font-weight: 600;"));
        box->addWidget(title);
        for (const QString& line : {tr("1. Cast five bars, better eight, about 10 cm long, 2 cm wide and 8 mm thick; "
                                       "temper, set and rest them as you do your pieces, at the room's temperature."),
                                    tr("2. Lay a bar over two spoons or chopsticks, 8 cm apart. Hang a paper cup from "
                                       "its middle by a thread, a towel under it."),
                                    tr("3. Pour water in slowly until the bar snaps. Weigh cup and water, and type it "
                                       "here. Who likes reads how far the middle has sagged just before.")})
            box->addWidget(wrapped(line, "small"));
        grid_ = new QGridLayout;
        grid_->setHorizontalSpacing(6);
        grid_->setVerticalSpacing(4);
        box->addLayout(grid_);
        wrong_ = wrapped({}, "harm");
        wrong_->setObjectName(QStringLiteral("snapProblem"));
        box->addWidget(wrong_);
        auto* more = new QPushButton(tr("one more bar"));
        more->setObjectName(QStringLiteral("snapMore"));
        QObject::connect(more, &QPushButton::clicked, this, [this] {
            session_.document().edit(tr("Add a bar to the snap test"), [this](Plan& p) {
                shell::SnapBar bar;
                for (const auto& b : p.snaps)
                    if (b.chocolate == chocolate_) bar = b;  // the next is usually like the last
                bar.chocolate = chocolate_;
                p.snaps.push_back(bar);
            });
            build();
        });
        box->addWidget(more, 0, Qt::AlignLeft);
        result_ = wrapped({});
        result_->setObjectName(QStringLiteral("snapResult"));
        box->addWidget(result_);
        box->addStretch(1);
        build();
    }

private:
    void build() {
        emptyLayout(grid_);
        const QStringList heads{tr("span"), tr("bar wide"), tr("bar thick"), tr("broke at"), tr("bent by")};
        for (int i = 0; i < heads.size(); ++i) grid_->addWidget(wrapped(heads[i], "small"), 0, i);
        const auto& snaps = session_.plan().snaps;
        int row = 0;
        for (size_t i = 0; i < snaps.size(); ++i) {
            if (snaps[i].chocolate != chocolate_) continue;
            ++row;
            const auto field = [&](int column, const char* place, Dimension dimension, const char* unit,
                                   Measure shell::SnapBar::*member) {
                auto* f = new FigureField(tr("%1, bar %2").arg(heads[column]).arg(row),
                                          QStringLiteral("snaps/%1/%2").arg(i).arg(QLatin1String(place)),
                                          session_.typing(dimension, unit, nullptr));
                f->setMeasure(session_.plan().snaps[i].*member, session_.units());
                QObject::connect(f, &FigureField::measureTyped, this, [this, f, i, member](const Measure& m) {
                    f->refuse(session_.typed(f->place().toStdString(), [&] {
                        session_.document().edit(tr("Change a bar of the snap test"), [&](Plan& p) {
                            if (i < p.snaps.size()) p.snaps[i].*member = m;
                        });
                    }));
                    tell();
                });
                grid_->addWidget(f, row, column);
            };
            field(0, "span", Dimension::Length, "mm", &shell::SnapBar::span);
            field(1, "width", Dimension::Length, "mm", &shell::SnapBar::width);
            field(2, "thickness", Dimension::Length, "mm", &shell::SnapBar::thickness);
            field(3, "hung", Dimension::Mass, "g", &shell::SnapBar::hung);
            field(4, "sag", Dimension::Length, "mm", &shell::SnapBar::sag);
            auto* gone = new QPushButton(tr("×"));
            gone->setProperty("flat", true);
            gone->setObjectName(QStringLiteral("snapGone/%1").arg(i));
            gone->setAccessibleName(tr("Take bar %1 out").arg(row));
            gone->setProperty("narrow", true);
            gone->setFixedWidth(26);
            QObject::connect(gone, &QPushButton::clicked, this, [this, i] {
                session_.document().edit(tr("Take a bar out of the snap test"), [i](Plan& p) {
                    if (i < p.snaps.size()) p.snaps.erase(p.snaps.begin() + static_cast<std::ptrdiff_t>(i));
                });
                build();
            });
            grid_->addWidget(gone, row, 5);
        }
        tell();
    }

    void tell() {
        const auto& plan = session_.plan();
        QString wrong;
        std::vector<shell::SnapBar> bars;
        for (const auto& b : plan.snaps) {
            if (b.chocolate != chocolate_) continue;
            if (auto ok = shell::check(b); !ok) wrong = qstring(ok.error().sentence);
            else bars.push_back(b);
        }
        wrong_->setText(wrong);
        const auto mega = [](double pa) { return qstring(significant(pa / 1e6, 3)); };
        const auto book = session_.library().find(chocolate_)->at("strength");
        if (bars.empty())
            return result_->setText(tr("Without bars the book's figure counts: %1 MPa, likely %2 to %3.")
                                        .arg(mega(book.value), mega(book.low), mega(book.high)));
        const auto s = strengthOf(plan, session_.library(), chocolate_);
        const auto own = shell::snapped(bars, s.strength.modulus, s.strength.barVolume());
        QString words = tr("%n bar(s): they break at %1 MPa, the mean of all such bars lies between %2 and %3 with "
                           "nine chances in ten. ",
                           nullptr, int(own.bars))
                            .arg(mega(own.mean), mega(own.low), mega(own.high));
        words += tr("The book says %1 (%2 to %3); yours counts now. ")
                     .arg(mega(book.value), mega(book.low), mega(book.high));
        if (std::isfinite(own.young)) words += tr("Stiffness %1 MPa from the sag. ").arg(std::lround(own.young / 1e6));
        if (own.bars > 1) words += tr("They scatter by %1 %.").arg(std::lround(100 * own.scatter));
        if (own.bars < 5) words += tr(" Five bars tell it within a tenth.");
        result_->setText(words);
    }

    Session& session_;
    std::string chocolate_;
    QGridLayout* grid_ = nullptr;
    QLabel *wrong_ = nullptr, *result_ = nullptr;
};

}  // namespace

QWidget* snapPage(Session& session) { return new SnapPage(session); }

}  // namespace uovo::desktop
