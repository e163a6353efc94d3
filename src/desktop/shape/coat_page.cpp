#include "desktop/shape/coat_page.h"

#include "core/document/edits.h"
#include "desktop/kit/page.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

constexpr coat::Motion kMotions[]{coat::Motion::Still, coat::Motion::Spin, coat::Motion::Over, coat::Motion::Side};

struct CoatWords {
    Q_DECLARE_TR_FUNCTIONS(CoatWords)
};

class CoatPage : public Page {
    Q_DECLARE_TR_FUNCTIONS(CoatPage)

public:
    CoatPage(Session& session, size_t index) : Page(session, "coatPage"), index_(index) {
        const Piece* piece = session.piece();
        if (!piece || index >= piece->coats().size()) {
            note(tr("This coat is not there any more."), "");
            return;
        }
        id_ = piece->id;
        coat_ = piece->coats()[index];
        chocolate();
        if (coat_.way != coat::Way::Brush && coat_.way != coat::Way::Press) motion();
        else if (coat_.where == coat::Where::Spots) strokes();
        heading(tr("The coat itself"));
        button(tr("copy it behind itself"), QStringLiteral("coatCopy"),
               [this] { onStep(tr("Copy a coat"), [](Piece& p, size_t at) { copyStep(p, at); }); });
        button(tr("do it a step earlier"), QStringLiteral("coatEarlier"), [this] { move(-1); });
        button(tr("do it a step later"), QStringLiteral("coatLater"), [this] { move(1); });
        button(tr("leave it out"), QStringLiteral("coatRemove"), [this] {
            onStep(tr("Remove a coat"), [](Piece& p, size_t at) { removeStep(p, at); });
            for (QWidget* w = parentWidget(); w; w = w->parentWidget())
                if (w->objectName() == QStringLiteral("sheet")) w->hide();  // what it was about is gone
        });
        end();
    }

private:
    void change(const QString& label, const std::function<void(PlannedCoat&)>& edit) {
        const Piece* now = session_.piece();
        if (!now || now->id != id_ || index_ >= now->coats().size()) return;
        session_.editPiece(label, [&](Piece& p) { edit(p.coats()[index_]); });
    }
    FigureField* coatFigure(const QString& name, const char* place, Dimension dimension, const char* unit,
                            Measure PlannedCoat::*member) {
        return figure({name, QLatin1String(place), "pieces/" + id_ + "/coats/" + std::to_string(index_) + "/" + place},
                      session_.typing(dimension, unit, session_.piece()), coat_.*member,
                      [this, name, member](const Measure& m) {
                          change(tr("Change %1").arg(name.toLower()), [&](PlannedCoat& c) { c.*member = m; });
                      });
    }

    /// Does something with the step that this coat is.
    void onStep(const QString& label, const std::function<void(Piece&, size_t)>& does) {
        const Piece* now = session_.piece();
        if (!now || now->id != id_) return;
        size_t coat = 0;
        for (size_t k = 0; k < now->making.size(); ++k)
            if (std::holds_alternative<PlannedCoat>(now->making[k]) && coat++ == index_) {
                session_.editPiece(label, [&](Piece& p) { does(p, k); });
                return;
            }
    }
    void move(int by) {
        onStep(tr("Move a coat"), [&](Piece& p, size_t at) {
            const size_t to = by < 0 ? at - std::min<size_t>(at, 1) : std::min(at + 1, p.making.size() - 1);
            moveStep(p, at, to);
            index_ = 0;  // it may have changed places with another coat
            for (size_t k = 0; k < to; ++k) index_ += std::holds_alternative<PlannedCoat>(p.making[k]);
        });
    }

    void chocolate() {
        QStringList names{tr("as the piece")};
        std::vector<std::string> ids{""};
        for (const auto& c : session_.library().chocolates) {
            names << qstring(c.name);
            ids.push_back(c.id);
        }
        const auto now = std::find(ids.begin(), ids.end(), coat_.chocolate) - ids.begin();
        choice({tr("Chocolate"), QStringLiteral("coatChocolate")}, names, static_cast<int>(now % names.size()),
               [this, ids](int i) {
                   change(tr("Change the chocolate of a coat"), [&](PlannedCoat& c) {
                       c.chocolate = ids[static_cast<size_t>(i)];
                       Piece own = *session_.piece();  // another chocolate is worked at another temperature
                       if (const auto coating = coatingOf(own, c.chocolate, session_.plan(), session_.library()))
                           c.temperature = Measure(coating->workedAt());
                   });
               })
            ->setAccessibleName(tr("Chocolate of this coat"));
        note(
            tr("A coat of another chocolate takes its working temperature. Layers lie apart: where the upper one is "
               "scraped or shaved, the lower one shows."));
    }

    void motion() {
        const bool turned = coat_.way == coat::Way::Turn;  // a mold that is turned about is never left still
        const int first = turned ? 1 : 0;
        if (turned) coatFigure(tr("Share of the mold filled"), "fill", Dimension::Percent, "%", &PlannedCoat::fill);
        QStringList motions;
        for (int i = first; i < static_cast<int>(std::size(kMotions)); ++i) motions << motionWords(kMotions[i]);
        const auto now = std::find(std::begin(kMotions), std::end(kMotions), coat_.motion) - std::begin(kMotions);
        auto* how = choice({tr("While it flows"), QStringLiteral("coatMotion")}, motions,
                           std::max(0, static_cast<int>(now) - first), {});
        auto* lasts = coatFigure(tr("For"), "moveFor", Dimension::Duration, "min", &PlannedCoat::moveFor);
        auto* every = coatFigure(tr("Turned every"), "moveEvery", Dimension::Duration, "s", &PlannedCoat::moveEvery);
        auto* where = choice({tr("Moved about"), QStringLiteral("coatMoveIn")}, everyPlace(),
                             static_cast<int>(coat_.moveIn), [this](int i) {
                                 change(tr("Change where it is moved about"),
                                        [&](PlannedCoat& c) { c.moveIn = static_cast<coat::Place>(i); });
                             });
        where->setAccessibleName(tr("Where it is moved about"));
        const auto shown = [this, lasts, every, where](coat::Motion m) {
            showRow(lasts, m != coat::Motion::Still);
            showRow(where, m != coat::Motion::Still);
            showRow(every, m == coat::Motion::Over);
        };
        shown(turned && coat_.motion == coat::Motion::Still ? coat::Motion::Spin : coat_.motion);
        connect(how, &QComboBox::activated, this, [this, first, shown](int i) {
            const coat::Motion m = kMotions[i + first];
            shown(m);
            change(tr("Change how it is moved"), [&](PlannedCoat& c) { c.motion = m; });
        });
        coatFigure(tr("Tapped on the table for"), "tap", Dimension::Duration, "s", &PlannedCoat::tap);
        tick(tr("Scrape the rim before it rests"), QStringLiteral("coatScrape"), coat_.scrape, [this](bool on) {
            change(on ? tr("Scrape the rim") : tr("Do not scrape the rim"), [&](PlannedCoat& c) { c.scrape = on; });
        });
        note(
            tr("What is turned, tapped or scraped is followed over its whole surface; how far that may be off is an "
               "estimate."));
    }

    void strokes() {
        note(tr("%n stroke(s) painted on the stage. The grams are shared among them.", nullptr,
                static_cast<int>(coat_.spots.size())),
             "");
        button(tr("Wipe all strokes off"), QStringLiteral("coatWipe"),
               [this] { change(tr("Wipe the strokes off"), [](PlannedCoat& c) { c.spots.clear(); }); });
    }

    size_t index_;
    std::string id_;
    PlannedCoat coat_;
};

}  // namespace

QString motionWords(coat::Motion motion) {
    switch (motion) {
        case coat::Motion::Still:
            return CoatWords::tr("left as it rests");
        case coat::Motion::Spin:
            return CoatWords::tr("spun by hand, every way");
        case coat::Motion::Over:
            return CoatWords::tr("rolled round, set on another side, again and again");
        case coat::Motion::Side:
            return CoatWords::tr("laid on its side");
    }
    return {};
}

QString coatExtras(const PlannedCoat& c, const Session& session) {
    QStringList words;
    const auto time = [&](const Measure& m) { return qstring(format(m.value, Dimension::Duration, session.units())); };
    if (!c.chocolate.empty() && c.chocolate != session.piece()->chocolate) {
        const auto* other = session.library().find(c.chocolate);
        words << qstring(other ? other->name : c.chocolate).toLower();
    }
    if (c.motion == coat::Motion::Spin) words << CoatWords::tr("spun %1").arg(time(c.moveFor));
    if (c.motion == coat::Motion::Over)
        words << CoatWords::tr("rolled round and turned every %1 for %2").arg(time(c.moveEvery), time(c.moveFor));
    if (c.motion == coat::Motion::Side) words << CoatWords::tr("on its side %1").arg(time(c.moveFor));
    if (c.tap.value > 0) words << CoatWords::tr("tapped %1").arg(time(c.tap));
    if (c.scrape) words << CoatWords::tr("rim scraped");
    return words.join(QStringLiteral(" · "));
}

QWidget* coatPage(Session& session, size_t index) { return new CoatPage(session, index); }

}  // namespace uovo::desktop
