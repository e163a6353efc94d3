#include "desktop/shape/film_bar.h"

#include <QHBoxLayout>
#include <QPainter>
#include <QVBoxLayout>
#include <cmath>

#include "desktop/kit/widgets.h"
#include "desktop/shell/sheet.h"
#include "desktop/theme/theme.h"
#include "report/fonts.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

constexpr int kTick = 70;  // ms a frame

/// What the coats of a piece depend on.
bool sameCoats(const Piece& a, const Piece& b) {
    return a.id == b.id && a.shape == b.shape && a.coats() == b.coats() && a.chocolate == b.chocolate &&
           a.temper == b.temper && a.thinner == b.thinner && a.thinnerShare == b.thinnerShare;
}

/// Turns a shape about its middle so that `up` points up.
form::Pose held(const form::Vec3& up, const form::Vec3& middle) {
    form::Vec3 z = up, x = std::abs(z.x) < 0.9 ? form::Vec3{1, 0, 0} : form::Vec3{0, 1, 0};
    x = form::unit(x - z * form::dot(x, z));
    const form::Vec3 y = form::cross(z, x);
    form::Pose pose{{x.x, y.x, z.x}, {x.y, y.y, z.y}, {x.z, y.z, z.z}, {}};
    const form::Vec3 moved = pose(middle);
    pose.at = middle - moved;
    return pose;
}

QString way(const form::Vec3& up) {
    if (up.z > 0.95) return FilmBar::tr("upright");
    if (up.z < -0.95) return FilmBar::tr("upside down");
    if (std::abs(up.z) < 0.25) return FilmBar::tr("on its side");
    return up.z > 0 ? FilmBar::tr("leaning") : FilmBar::tr("tipped over");
}

}  // namespace

GramsBar::GramsBar(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("gramsBar"));
    setFixedSize(sizeHint());
}

void GramsBar::set(double piece, double back, double fell, UnitSystem units, const QColor& chocolate) {
    piece_ = piece;
    back_ = back;
    fell_ = fell;
    units_ = units;
    chocolate_ = chocolate;
    const auto g = [&](double kg) { return qstring(format(kg, Dimension::Mass, units_)); };
    setAccessibleName(tr("%1 in the piece, %2 dripped back, %3 fell where it rested").arg(g(piece), g(back), g(fell)));
    setToolTip(accessibleName());
    update();
}

void GramsBar::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const double all = piece_ + back_ + fell_;
    const QRectF bar(0.5, 3.5, width() - 1, 10);
    p.setPen(QPen(theme().balloon, 1));
    p.setBrush(theme().card);
    p.drawRoundedRect(bar, 5, 5);
    if (all <= 0) return;
    const double a = bar.width() * piece_ / all, b = bar.width() * back_ / all;
    QPainterPath inside;
    inside.addRoundedRect(bar, 5, 5);
    p.save();
    p.setClipPath(inside);
    p.fillRect(QRectF(bar.left(), bar.top(), a, bar.height()), chocolate_);
    p.fillRect(QRectF(bar.left() + a, bar.top(), b, bar.height()), QBrush(theme().balloon, Qt::Dense4Pattern));
    p.fillRect(QRectF(bar.left() + a + b, bar.top(), bar.width() - a - b, bar.height()),
               QBrush(theme().balloon, Qt::BDiagPattern));
    p.restore();
    p.setBrush(Qt::NoBrush);
    p.drawRoundedRect(bar, 5, 5);
    const auto g = [&](double kg) { return qstring(format(kg, Dimension::Mass, units_)); };
    p.setFont(report::font(12.5, QFont::Medium));
    p.setPen(theme().quiet);
    QString words = tr("%1 in it · %2 back").arg(g(piece_), g(back_));
    if (fell_ > 0.0004) words += tr(" · %1 on the paper").arg(g(fell_));
    p.drawText(QRectF(0, 16, width(), 18), Qt::AlignLeft | Qt::AlignVCenter, words);
}

FilmBar::FilmBar(Session& session, QWidget* parent)
    : QWidget(parent),
      session_(session),
      play_(new QPushButton),
      done_(new QPushButton(tr("done"))),
      slider_(new QSlider(Qt::Horizontal)),
      progress_(new QProgressBar),
      words_(new ShortLabel),
      grams_(new GramsBar) {
    setObjectName(QStringLiteral("filmBar"));
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(8);
    play_->setObjectName(QStringLiteral("playCoats"));
    play_->setProperty("tool", true);
    play_->setToolTip(tr("How its coats sag, are turned and lock, moment by moment"));
    done_->setObjectName(QStringLiteral("playDone"));
    done_->setProperty("tool", true);
    done_->setProperty("flat", true);
    done_->setToolTip(tr("Back to the finished piece"));
    slider_->setObjectName(QStringLiteral("playTime"));
    slider_->setAccessibleName(tr("Moment of the coats"));
    slider_->setFixedHeight(20);
    progress_->setRange(0, 100);
    progress_->setTextVisible(false);
    progress_->setAccessibleName(tr("How much of the coats is computed"));
    progress_->hide();
    words_->setProperty("small", true);
    words_->hide();
    auto* middle = new QVBoxLayout;
    middle->setSpacing(0);
    middle->addWidget(slider_);
    middle->addWidget(progress_);
    middle->addWidget(words_);
    row->addWidget(play_);
    row->addWidget(done_);
    row->addLayout(middle, 1);
    row->addWidget(grams_);
    connect(play_, &QPushButton::clicked, this, &FilmBar::play);
    connect(done_, &QPushButton::clicked, this, &FilmBar::close);
    connect(slider_, &QSlider::valueChanged, this, &FilmBar::showFrame);
    connect(slider_, &QSlider::sliderPressed, this, [this] {
        tick_.stop();
        play_->setText(tr("play on"));
    });
    tick_.setInterval(kTick);
    connect(&tick_, &QTimer::timeout, this, [this] {
        if (slider_->value() >= slider_->maximum()) {
            tick_.stop();
            play_->setText(tr("play again"));
            return;
        }
        slider_->setValue(slider_->value() + 1);
    });
    close();
}

FilmBar::~FilmBar() { worker_.request_stop(); }

void FilmBar::refresh(size_t item) {
    const Piece* piece = session_.piece();
    const bool coated = piece && piece->wallFromCoats();
    setVisible(coated);
    if (!coated) return close();
    if ((history_ || progress_->isVisible()) && (!sameCoats(piece_, *piece) || item_ != item)) close();
    item_ = item;
    if (!history_) tellGrams();
}

/// Grams of the finished piece.
void FilmBar::tellGrams() {
    const Piece* piece = session_.piece();
    const auto a = piece ? session_.pieceAnswers(piece->id) : nullptr;
    double in = 0, gone = 0, fell = 0;
    if (a && a->made && a->made->wall)
        for (const auto& c : a->made->wall->coats) in += c.added, gone += c.dripped, fell += c.fell;
    if (piece)
        grams_->set(in, std::max(0.0, gone - fell), fell, session_.units(), chocolateColour(shownChocolate(*piece)));
}

void FilmBar::setActive(bool active) {
    if (active == active_) return;
    active_ = active;
    words_->setVisible(active);
    emit activeChanged();
}

void FilmBar::close() {
    worker_.request_stop();
    ++generation_;
    tick_.stop();
    const bool shown = history_ != nullptr;
    history_.reset();
    progress_->hide();
    slider_->hide();
    done_->hide();
    play_->setText(tr("watch the coats"));
    play_->setEnabled(true);
    words_->clear();
    setActive(false);
    if (shown) emit filmChanged(std::nullopt);
    tellGrams();
}

void FilmBar::play() {
    if (progress_->isVisible()) return close();  // it says "stop" then
    if (!history_) return compute();
    if (tick_.isActive()) {
        tick_.stop();
        play_->setText(tr("play on"));
        return;
    }
    if (slider_->value() >= slider_->maximum()) slider_->setValue(0);
    play_->setText(tr("pause"));
    tick_.start();
}

void FilmBar::compute() {
    const Piece* piece = session_.piece();
    if (!piece) return;
    piece_ = *piece;
    progress_->setValue(0);
    progress_->show();
    slider_->hide();
    play_->setText(tr("stop"));
    setActive(true);
    words_->setText(tr("the coats are computed on the piece's own triangles"));
    const int generation = ++generation_;
    worker_ = std::jthread([this, generation, piece = *piece, plan = session_.plan(), item = item_,
                            library = session_.library()](std::stop_token stop) {
        auto found = filmHistory(piece, plan, library, item, stop, [this, generation](double share) {
            QMetaObject::invokeMethod(this, [this, generation, share] {
                if (generation == generation_) progress_->setValue(static_cast<int>(100 * share));
            });
        });
        if (stop.stop_requested()) return;
        QMetaObject::invokeMethod(this, [this, generation, found = std::move(found)] {
            if (generation != generation_) return;
            if (!found) {
                close();
                words_->setText(qstring(found.error().sentence));
                return;
            }
            history_ = std::make_shared<const FilmHistory>(std::move(*found));
            progress_->hide();
            slider_->show();
            done_->show();
            const QSignalBlocker quiet(slider_);
            slider_->setRange(0, static_cast<int>(history_->frames.size()) - 1);
            slider_->setValue(0);
            showFrame();
            if (history_) play();
        });
    });
}

void FilmBar::showFrame() {
    const auto history = history_;  // who is told of the frame may close the film
    if (!history) return;
    const auto at = static_cast<size_t>(slider_->value());
    const auto& f = history->frames[at];
    const form::Box box = form::bounds(history->shape.surface);
    const form::Vec3 middle = (box.low + box.high) * 0.5;
    SolidBody body = bodyOf(history->at(at), held(f.up, middle), chocolateColour(piece_.chocolate));
    double reach = 0;
    for (const auto& p : history->shape.surface.points) reach = std::max(reach, form::length(p - middle));
    body.name = qstring(piece_.name);
    if (f.time < history->starts[f.coat] + 1e-9) body.hatch.clear();
    std::vector<SolidBody> bodies;
    bodies.push_back(std::move(body));
    SolidScene scene = sceneOf(std::move(bodies));
    const form::Vec3 r{reach, reach, reach};
    scene.box = {middle - r, middle + r};  // nothing breathes while it is turned
    scene.fit = scene.fitApart = QSizeF(1.9 * reach, 1.9 * reach);
    emit filmChanged(scene);
    if (history_ != history) return;
    const auto time = [&](double s) { return qstring(format(s, Dimension::Duration, session_.units())); };
    words_->setText(tr("coat %1 · %2 · %3 · %4 % flows")
                        .arg(f.coat + 1)
                        .arg(time(f.time - history->starts[f.coat]), way(f.up))
                        .arg(std::lround(100 * f.flows)));
    grams_->set(f.mass, std::max(0.0, f.dripped - f.fell), f.fell, session_.units(),
                chocolateColour(shownChocolate(piece_)));
}

}  // namespace uovo::desktop
