#include "desktop/shape/thing_page.h"

#include <QFileDialog>
#include <QFileInfo>
#include <QSlider>
#include <QTimer>
#include <numbers>

#include "core/document/models.h"
#include "core/form/decimate.h"
#include "core/form/swell.h"
#include "desktop/kit/latest.h"
#include "desktop/kit/page.h"
#include "desktop/shape/traced_view.h"
#include "desktop/theme/theme.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

constexpr double kWater = 998;                // kg/m³ at 20 °C
constexpr size_t kTriangles = 12'000;         // as fine as an outline is known
constexpr double kAslant = 0.17, kFar = 0.1;  // rad, and height to distance: from there it is said

class ThingPage : public Page {
    Q_DECLARE_TR_FUNCTIONS(ThingPage)

public:
    ThingPage(Session& session, const QString& picture, std::function<void()> taken)
        : Page(session, "thingPage"), taken_(std::move(taken)) {
        button(tr("A picture …"), QStringLiteral("thingPicture"), [this] {
            const QString path = QFileDialog::getOpenFileName(this, tr("A thing beside a coin"), {},
                                                              tr("Pictures (*.png *.jpg *.jpeg)"));
            if (!path.isEmpty()) open(path);
        });
        note(tr(
            "The thing and a coin on plain paper, not touching, from straight above and from far away. The coin says "
            "how large it is, and whether the camera stood aslant."));
        shown_ = new TracedView;
        shown_->setObjectName(QStringLiteral("thingShown"));
        shown_->setAccessibleName(tr("The outline of the thing"));
        box_->addWidget(shown_);
        said_ = wrapped({});
        said_->setObjectName(QStringLiteral("thingSaid"));
        box_->addWidget(said_);
        wishes_.coin = 0.024;
        wishes_.holes = false;
        length(tr("The coin, across"), "thingCoin", wishes_.coin, 8e-3, 0.06);
        length(tr("Its height as it lies"), "thingHeight", wish_.height, 2e-3, 0.5);
        length(tr("Camera above the table"), "thingFrom", from_, 0.1, 5);
        figure({tr("Water it displaces, if weighed"), "thingWater"}, session.typing(Dimension::Mass, "g", nullptr),
               Measure(0.0),
               [this](const Measure& m) {
                   wish_.volume = m.value > 0 ? std::optional(m.value / kWater) : std::nullopt;
                   again();
               })
            ->setRule([](const Measure& m) {
                return m.value >= 0 && m.value <= 20 ? QString() : tr("Nothing where it is not known, or some grams.");
            });
        choice({tr("It is"), QStringLiteral("thingLies")}, {tr("flat below"), tr("as round below as above")}, 0,
               [this](int i) {
                   wish_.flatBelow = i == 0;
                   again();
               });
        shade_ = new QSlider(Qt::Horizontal);
        shade_->setRange(1, 255);
        shade_->setValue(128);
        shade_->setObjectName(QStringLiteral("thingShade"));
        shade_->setAccessibleName(tr("Shade that parts the thing from its paper"));
        row(tr("Shade"), shade_);
        connect(shade_, &QSlider::valueChanged, this, [this](int v) {
            wishes_.threshold = v;
            again();
        });
        note(tr("A full jug that stands in a bowl runs over by as much water as the thing displaces: weigh it."));
        use_ = button(tr("Take it as the original of a mold"), QStringLiteral("thingUse"), [this] { use(); });
        use_->setEnabled(false);
        end();
        shown_->show({});
        if (!picture.isEmpty()) open(picture);
    }

private:
    struct Found {
        io::Traced traced;
        form::Swelled body;
    };

    void length(const QString& name, const char* place, double& into, double low, double high) {
        figure({name, place}, session_.typing(Dimension::Length, "mm", nullptr), Measure(into),
               [this, &into](const Measure& m) {
                   into = m.value;
                   again();
               })
            ->setRule(lengthBetween(low, high));
    }

    /// The outline of what a picture shows, and the body on it. @param from m, the camera above the table
    static tl::expected<Found, Problem> bodyIn(const io::GreyPicture& picture, const io::TraceWishes& wishes,
                                               const form::SwellWish& wish, double from) {
        auto traced = io::trace(picture, wishes);
        if (!traced) return tl::unexpected(traced.error());
        // what is higher up is nearer to the camera, and shows larger than the coin beside it
        const double shown = 1 - (wish.flatBelow ? 0 : 0.5 * wish.height / from);
        for (auto& loop : traced->loops)
            for (auto& p : loop) p = {p[0] * shown, p[1] * shown};
        traced->pixel *= shown;
        auto body = form::swelled(traced->loops.front(), wish);
        if (!body) return tl::unexpected(body.error());
        return Found{std::move(*traced), std::move(*body)};
    }

    void open(const QString& path) {
        const auto read = readPicture(path);
        if (!read) return tell(read.error(), true);
        shown_->setPicture(*read);
        picture_ = greyOf(*read);
        name_ = QFileInfo(path).completeBaseName().left(60);
        wishes_.threshold = -1;
        again();
    }

    /// In the background: the outline, and the body on it.
    void again() {
        if (picture_.pixels.empty()) return;
        use_->setEnabled(false);  // until what is shown is what is wished
        looking_.ask([this, picture = picture_, wishes = wishes_, wish = wish_, from = from_]() -> Latest::Shown {
            return [this, found = bodyIn(picture, wishes, wish, from)] { take(found); };
        });
    }

    void take(const tl::expected<Found, Problem>& found) {
        found_.reset();
        if (!found) {
            shown_->show({});
            return tell(qstring(found.error().sentence), true);
        }
        found_ = *found;
        const auto& t = found_->traced;
        const QSignalBlocker quiet(shade_);
        shade_->setValue(t.threshold);
        shown_->show(t.loops, t);
        const auto in = [&](double v, Dimension d) { return qstring(format(v, d, session_.units())); };
        const auto size = form::bounds(found_->body.mesh).size();
        const auto longest = std::max(size.x, size.y), shortest = std::min(size.x, size.y);
        QString words = tr("It is %1 × %2, within %3; it displaces %4. ")
                            .arg(in(longest, Dimension::Length), in(shortest, Dimension::Length),
                                 in(longest * t.coin->error, Dimension::Length),
                                 in(form::volume(found_->body.mesh), Dimension::Volume));
        if (!wish_.volume)
            words += tr("Such an outline and height may displace %1 to %2: the water tells how full it is. ")
                         .arg(in(found_->body.least, Dimension::Volume), in(found_->body.most, Dimension::Volume));
        const double turned = t.coin->tilt * 180 / std::numbers::pi;
        const bool aslant = t.coin->tilt > kAslant, near = wish_.height > kFar * from_;
        if (aslant)
            words += tr("The camera stood %1° aslant: sides that are hidden so are not known. ").arg(turned, 0, 'f', 0);
        if (near) words += tr("Take it from farther away: it is high for that distance. ");
        tell(words.trimmed(), false);
        use_->setEnabled(true);
    }

    void tell(const QString& words, bool wrong) {
        said_->setText(words);
        said_->setStyleSheet(wrong ? QStringLiteral("color: %1;").arg(theme().harm.name()) : QString());
    }

    void use() {
        if (!found_) return;
        form::Mesh mesh = found_->body.mesh;
        if (mesh.triangles.size() > kTriangles)
            if (auto fewer = form::decimated(mesh, kTriangles)) mesh = std::move(*fewer);
        Plan tried = session_.plan();
        const Piece& fresh = addModelPiece(tried, name_.toStdString(), std::move(mesh));
        const QString id = qstring(fresh.id);
        session_.document().edit(tr("Take a thing as an original"), [&](Plan& plan) { plan = tried; });
        session_.select(id);
        tell(tr("It stands on the shelf."), false);
        if (taken_) QTimer::singleShot(0, this, taken_);
    }

    std::function<void()> taken_;
    io::TraceWishes wishes_;
    form::SwellWish wish_;
    double from_ = 0.6;  ///< m, the camera above the table
    io::GreyPicture picture_;
    QString name_ = tr("Thing");
    std::optional<Found> found_;
    TracedView* shown_;
    QLabel* said_;
    QSlider* shade_;
    QPushButton* use_;
    Latest looking_{this};  // last: it ends before what it speaks to
};

}  // namespace

QWidget* thingPage(Session& session, const QString& picture, std::function<void()> taken) {
    return new ThingPage(session, picture, std::move(taken));
}

}  // namespace uovo::desktop
