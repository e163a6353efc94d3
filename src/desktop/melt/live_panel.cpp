#include "desktop/melt/live_panel.h"

#include <QHBoxLayout>
#include <QVBoxLayout>
#include <cmath>

#include "desktop/kit/flow_layout.h"
#include "desktop/shape/recipe_line.h"
#include "desktop/shell/sheet.h"
#include "desktop/theme/theme.h"
#include "report/fonts.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {
constexpr size_t kMostPoints = 20000;  // of the live curve: hours of it
constexpr double kThin = 1;            // s between two points that are drawn
constexpr double kLeap = 600;          // s: a device's clock that goes further at once was set anew, not waited for
}  // namespace

LivePanel::LivePanel(Session& session, ProbeLink& link, QWidget* parent)
    : QWidget(parent), session_(session), link_(link) {
    setObjectName(QStringLiteral("live"));
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(0, 4, 0, 4);
    box->setSpacing(4);
    auto* bar = new QWidget;
    auto* row = new FlowLayout(10, 6);
    row->setContentsMargins(0, 0, 0, 0);
    bar->setLayout(row);
    QSizePolicy policy(QSizePolicy::Expanding, QSizePolicy::Minimum);
    policy.setHeightForWidth(true);
    bar->setSizePolicy(policy);
    begin_ = new QPushButton(tr("temper it now"));
    begin_->setObjectName(QStringLiteral("temperNow"));
    connect(begin_, &QPushButton::clicked, this, [this] { isRunning() ? end() : begin(); });
    devices_ = choiceBox(tr("Thermometer"), {tr("no thermometer found")});
    devices_->setObjectName(QStringLiteral("probeDevice"));
    connect(devices_, &QComboBox::activated, this, [this](int i) {
        const QString path = devices_->itemData(i).toString();
        path.isEmpty() ? link_.close() : link_.open(path);
        if (path.isEmpty()) state_->clear();
    });
    auto* look = new QPushButton(tr("look again"));
    look->setProperty("flat", true);
    look->setProperty("tool", true);
    look->setToolTip(tr("Look for thermometers on serial ports and local sockets"));
    connect(look, &QPushButton::clicked, this, &LivePanel::lookForDevices);
    typed_ = new FigureField(tr("What your thermometer reads"), QStringLiteral("melt/reading"),
                             session.typing(Dimension::Temperature, "", nullptr));
    typed_->edit()->setPlaceholderText(tr("or type it"));
    typed_->edit()->setMinimumWidth(92);
    typed_->setRule([](const Measure& m) {
        return m.value > -60 && m.value < 250 ? QString() : tr("No thermometer in chocolate reads that.");
    });
    connect(typed_, &FigureField::measureTyped, this, [this](const Measure& m) {
        if (!isRunning()) begin();
        const double now = static_cast<double>(clock_.elapsed()) / 1e3;
        coach_->forget();
        read(now, m.value);
        typed_->edit()->selectAll();
    });
    row->addWidget(begin_);
    row->addWidget(devices_);
    row->addWidget(look);
    row->addWidget(typed_);
    box->addWidget(bar);
    auto* told = new QHBoxLayout;
    told->setSpacing(18);
    digits_ = new QLabel;
    digits_->setObjectName(QStringLiteral("probeDigits"));
    digits_->setAccessibleName(tr("Temperature now"));
    digits_->setStyleSheet(QStringLiteral("font-size: 44px; font-weight: 700;"));
    prompt_ = new QLabel;
    prompt_->setObjectName(QStringLiteral("probePrompt"));
    prompt_->setWordWrap(true);
    prompt_->setStyleSheet(QStringLiteral("font-size: 21px; font-weight: 600;"));
    scale_ = new QLabel;
    scale_->setProperty("quiet", true);
    told->addWidget(digits_);
    told->addWidget(prompt_, 1);
    told->addWidget(scale_);
    box->addLayout(told);
    state_ = wrapped({}, "small");
    state_->setObjectName(QStringLiteral("probeState"));
    box->addWidget(state_);
    connect(&link_, &ProbeLink::stateChanged, this, [this](const QString& words, bool) { state_->setText(words); });
    connect(&link_, &ProbeLink::reading, this, [this](const probe::Reading& r) {
        using Kind = probe::Reading::Kind;
        if (r.kind == Kind::Hello && !r.words.empty()) state_->setText(tr("listening to %1").arg(qstring(r.words)));
        if (r.kind == Kind::Remark) state_->setText(qstring(r.words));
        if (r.kind == Kind::Mass)
            scale_->setText(tr("%1 on the scale").arg(qstring(format(r.value, Dimension::Mass, session_.units()))));
        if (r.kind != Kind::Temperature) return;
        digits_->setText(qstring(format(r.value, Dimension::Temperature, session_.units())));
        if (!isRunning()) return;
        if (r.seconds >= 0) {  // the device's clock, from where it was when this began
            const double step = r.seconds - device_;
            if (!offset_) offset_ = r.seconds;
            else if (step < 0 || step > kLeap) *offset_ += step - kThin;  // it goes on from where it was
            device_ = r.seconds;
            read(r.seconds - *offset_, r.value);
        } else {
            read(static_cast<double>(clock_.elapsed()) / 1e3, r.value);
        }
    });
    end();
}

void LivePanel::showEvent(QShowEvent* e) {
    QWidget::showEvent(e);
    lookForDevices();
}

void LivePanel::lookForDevices() {
    QStringList found = ProbeLink::found();
    const QString now = link_.path();
    if (!now.isEmpty() && !found.contains(now)) found << now;
    devices_->clear();
    devices_->addItem(found.isEmpty() ? tr("no thermometer found") : tr("choose a thermometer"), QString());
    for (const auto& path : found) devices_->addItem(path.section('/', -1), path);
    devices_->setCurrentIndex(std::max(0, devices_->findData(now)));
}

void LivePanel::listen(const QString& path) {
    link_.open(path);
    lookForDevices();
}

void LivePanel::tellWhose() {
    begin_->setText(!isRunning()    ? tr("temper it now")
                    : runs_ == key_ ? tr("stop")
                                    : tr("stop tempering %1").arg(runsName_.toLower()));
}

void LivePanel::setPot(const QString& key, const QString& name, const temper::TemperPlan& plan,
                       const material::Coating& coating, double mass, double watts) {
    key_ = key;
    name_ = name;
    tellWhose();
    plan_ = plan;
    coating_ = coating;
    mass_ = mass;
    watts_ = watts;
}

void LivePanel::begin() {
    if (plan_.steps.empty()) return;
    coach_.emplace(plan_, coating_, session_.library().physics, mass_, watts_, session_.plan().kitchen.room.value,
                   session_.units());
    clock_.start();
    offset_.reset();
    curve_.clear();
    runs_ = key_;
    runsName_ = name_;
    tellWhose();
    prompt_->setText(qstring(plan_.steps.front().title));
    prompt_->show();
    digits_->show();
    emit curveChanged();
}

void LivePanel::end() {
    coach_.reset();
    curve_.clear();
    runs_.clear();
    tellWhose();
    prompt_->hide();
    digits_->setVisible(link_.isOpen());
    emit curveChanged();
}

void LivePanel::read(double seconds, double celsius) {
    if (!coach_) return;
    const auto said = coach_->read(seconds, celsius);
    digits_->setText(
        qstring(format(std::round(10 * coach_->celsius()) / 10, Dimension::Temperature, session_.units())));
    if (curve_.empty() || seconds - curve_.back().x() >= kThin) {
        if (curve_.size() < kMostPoints) curve_.emplace_back(seconds, coach_->celsius());
        emit curveChanged();
    }
    if (!said) return;
    prompt_->setText(qstring(said->words));
    const QColor ink = said->tone == probe::Prompt::Tone::Harm    ? theme().harm
                       : said->tone == probe::Prompt::Tone::Ready ? theme().good
                                                                  : theme().ink;
    prompt_->setStyleSheet(QStringLiteral("font-size: 21px; font-weight: 600; color: %1;").arg(ink.name()));
    prompt_->setAccessibleName(prompt_->text());
}

}  // namespace uovo::desktop
