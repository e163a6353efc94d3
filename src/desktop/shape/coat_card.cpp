#include "desktop/shape/coat_card.h"

#include <QVBoxLayout>
#include <cmath>

#include "desktop/kit/widgets.h"
#include "desktop/shape/coat_page.h"
#include "desktop/shape/recipe_line.h"
#include "desktop/theme/theme.h"

namespace uovo::desktop {
namespace {

constexpr coat::Rest kBalloonRests[]{coat::Rest::Upright, coat::Rest::Inverted, coat::Rest::Hung};
constexpr coat::Place kPlaces[]{coat::Place::Table, coat::Place::Fridge, coat::Place::Freezer};
constexpr coat::Where kWheres[]{coat::Where::All, coat::Where::Rim, coat::Where::Foot, coat::Where::Spots};

template <class E, size_t N>
int indexOf(E value, const E (&list)[N]) {
    return static_cast<int>(std::find(list, list + N, value) - list);
}

}  // namespace

CoatCard::CoatCard(Session& session, size_t index, size_t at, const PlannedCoat& coat, bool overBalloon,
                   QWidget* parent)
    : StepCard(session, at, tr("Coat %1").arg(index + 1), 222, parent), index_(index) {
    setObjectName(QStringLiteral("coat%1").arg(index + 1));
    const auto coatFigure = [&](const QString& name, const char* member, Dimension dimension, const char* unit,
                                Measure PlannedCoat::*m) {
        return figure<PlannedCoat>(name, QStringLiteral("coats/%1/%2").arg(index).arg(QLatin1String(member)), dimension,
                                   unit, m);
    };
    const bool brush = coat.way == coat::Way::Brush, turned = coat.way == coat::Way::Turn,
               press = coat.way == coat::Way::Press;
    const Piece* piece = session.piece();
    const bool closed = piece && (piece->closes() || turned),
               single = piece && piece->family().body != form::Body::Compound;

    way_ = choiceBox(tr("How coat %1 goes on").arg(index + 1),
                     closed ? QStringList{tr("fill, turn")}
                            : QStringList{overBalloon ? tr("dip") : tr("fill, pour"), tr("brush"), tr("press rim")});
    connect(way_, &QComboBox::activated, this, [this, overBalloon, closed](int i) {
        change<PlannedCoat>(tr("Change how a coat goes on"), [&](PlannedCoat& c) {
            c.way = closed        ? coat::Way::Turn
                    : i == 1      ? coat::Way::Brush
                    : i == 2      ? coat::Way::Press
                    : overBalloon ? coat::Way::Dip
                                  : coat::Way::Pour;
        });
    });
    auto* more = new QPushButton(QStringLiteral("…"));
    more->setObjectName(QStringLiteral("coatDetails"));
    more->setProperty("flat", true);
    more->setProperty("tool", true);
    more->setProperty("narrow", true);
    more->setFixedWidth(26);
    more->setCursor(Qt::PointingHandCursor);
    more->setAccessibleName(tr("Coat %1 in detail").arg(index + 1));
    more->setToolTip(tr("Chocolate of its own, turning, tapping, scraping"));
    connect(more, &QPushButton::clicked, this, [this] { emit detailsWanted(index_); });
    auto* head = new QHBoxLayout;
    auto* number = new QLabel(QString::number(index + 1));
    number->setStyleSheet(QStringLiteral("font-size: 18px; font-weight: 700;"));
    head->addWidget(number);
    head->addWidget(way_);
    head->addStretch(1);
    head->addWidget(coatFigure(tr("Temperature of coat %1").arg(index + 1), "temperature", Dimension::Temperature, "",
                               &PlannedCoat::temperature));
    head->addWidget(more, 0, Qt::AlignTop);
    box_->addLayout(head);
    if (const QString of = partName(session, coat.item); !of.isEmpty()) {
        auto* whose = new QLabel(of);
        whose->setStyleSheet(QStringLiteral("font-weight: 600;"));
        box_->addWidget(whose);
    }
    if (brush) {
        where_ =
            choiceBox(tr("Where coat %1 is brushed").arg(index + 1),
                      single ? QStringList{tr("all over"), tr("round the rim"), tr("on the foot"), tr("where I paint")}
                             : QStringList{tr("all over"), tr("round the rim"), tr("on the foot")});
        connect(where_, &QComboBox::activated, this, [this](int i) {
            change<PlannedCoat>(tr("Change where a coat goes"), [&](PlannedCoat& c) { c.where = kWheres[i]; });
            if (kWheres[i] == coat::Where::Spots) emit paintingWanted(index_);
        });
        row({}, where_,
            coatFigure(tr("Grams brushed on in coat %1").arg(index + 1), "brushMass", Dimension::Mass, "",
                       &PlannedCoat::brushMass));
    } else if (press) {
        row(tr("%1 of rim, in a plate")
                .arg(QString::fromStdString(format(coat::kPressed, Dimension::Length, session.units()))),
            nullptr, nullptr);
    } else if (turned) {
        row(tr("filled to"), nullptr,
            coatFigure(tr("Share of the mold filled in coat %1").arg(index + 1), "fill", Dimension::Percent, "%",
                       &PlannedCoat::fill));
    } else {
        row(overBalloon ? tr("drain over the bath") : tr("pour out for"), nullptr,
            coatFigure(tr("Drain time of coat %1").arg(index + 1), "drain", Dimension::Duration, "s",
                       &PlannedCoat::drain));
    }
    rest_ = choiceBox(tr("Which way up coat %1 sets").arg(index + 1),
                      overBalloon
                          ? QStringList{tr("stand it on paper"), tr("upside down on a ring"), tr("hang it by the knot")}
                          : QStringList{tr("stand it upright"), tr("turn it upside down")});
    connect(rest_, &QComboBox::activated, this, [this](int i) {
        change<PlannedCoat>(tr("Change which way up it sets"), [&](PlannedCoat& c) { c.rest = kBalloonRests[i]; });
    });
    row({}, rest_, nullptr);
    row(tr("then waits"), nullptr,
        coatFigure(tr("Minutes before coat %1 goes to the cold").arg(index + 1), "delay", Dimension::Duration, "min",
                   &PlannedCoat::delay));
    place_ = choiceBox(tr("Where coat %1 sets").arg(index + 1),
                       {tr("on the table"), tr("in the fridge"), tr("in the freezer")});
    connect(place_, &QComboBox::activated, this, [this](int i) {
        change<PlannedCoat>(tr("Change where it sets"), [&](PlannedCoat& c) { c.place = kPlaces[i]; });
    });
    row({}, place_,
        coatFigure(tr("Minutes coat %1 stays there").arg(index + 1), "stay", Dimension::Duration, "min",
                   &PlannedCoat::stay));
    result_ = resultLine();
    extras_ = new QLabel;
    extras_->setProperty("small", true);
    extras_->setObjectName(QStringLiteral("coatExtras"));
    extras_->setMinimumWidth(1);
    box_->addWidget(extras_);
    box_->addStretch(1);
}

FigureField* CoatCard::field(const QString& name) const {
    for (const auto& f : figures_)
        if (f.field->place().endsWith(QLatin1Char('/') + name)) return f.field;
    return nullptr;
}

void CoatCard::refresh() {
    StepCard::refresh();
    const PlannedCoat* c = as<PlannedCoat>();
    const Piece* p = session_.piece();
    if (!c) return;
    way_->setCurrentIndex(c->way == coat::Way::Brush ? 1 : c->way == coat::Way::Press ? 2 : 0);
    const QString extras = coatExtras(*c, session_);
    extras_->setVisible(!extras.isEmpty());
    extras_->setText(QFontMetrics(extras_->font()).elidedText(extras, Qt::ElideRight, width() - 26));
    extras_->setToolTip(extras);
    rest_->setCurrentIndex(indexOf(c->rest, kBalloonRests));
    place_->setCurrentIndex(indexOf(c->place, kPlaces));
    if (where_) where_->setCurrentIndex(indexOf(c->where, kWheres));
    const auto answers = session_.pieceAnswers(p->id);
    const auto text = [&](double v, Dimension d) { return QString::fromStdString(format(v, d, session_.units())); };
    if (answers && answers->made && answers->made->wall && index_ < answers->made->wall->coats.size()) {
        const auto& r = answers->made->wall->coats[index_];
        const auto& t = answers->made->wall->setting[index_];
        result_->setText(tr("+%1 · %2 · firm %3")
                             .arg(text(r.mean, Dimension::Length), text(r.added, Dimension::Mass),
                                  text(t.firm, Dimension::Duration)));
        result_->setToolTip(tr("Stops flowing after %1; %2 drip back.")
                                .arg(text(t.lock, Dimension::Duration), text(r.dripped, Dimension::Mass)));
    } else {
        result_->setText(tr("computing …"));
    }
}

}  // namespace uovo::desktop
