#include "desktop/bench/aids_panel.h"

#include <QHBoxLayout>
#include <algorithm>
#include <cmath>

#include "desktop/bench/large.h"
#include "desktop/kit/widgets.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

constexpr int kAidHigh = 58, kAidHour = 60, kMinutesADay = 24 * 60;  // px; min
constexpr double kLouderBy = 0.1;
constexpr size_t kMostShown = 3;

}  // namespace

AidsPanel::AidsPanel(Announcer& announcer, ProbeLink& link, QWidget* parent)
    : QWidget(parent), announcer_(announcer), link_(link) {
    setObjectName(QStringLiteral("aids"));
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(8);
    auto* head = letters(tr("What is heard, and what is listened to"), 32, 700);
    column->addWidget(head);
    const auto line = [&] {
        auto* row = new QHBoxLayout;
        row->setSpacing(10);
        column->addLayout(row);
        return row;
    };
    auto* sound = line();
    addTarget(sound, tr("Quieter"), "aidsQuieter", [this] {
        change([](run::Aloud& a) { a.volume = std::max(0.0, std::round(10 * (a.volume - kLouderBy)) / 10); });
    });
    volume_ = new QLabel;
    volume_->setObjectName(QStringLiteral("aidsVolume"));
    volume_->setAlignment(Qt::AlignCenter);
    volume_->setStyleSheet(QStringLiteral("font-size: 24px; font-weight: 600;"));
    sound->addWidget(volume_, 1);
    addTarget(sound, tr("Louder"), "aidsLouder", [this] {
        change([](run::Aloud& a) { a.volume = std::min(1.0, std::round(10 * (a.volume + kLouderBy)) / 10); });
    });
    addTarget(sound, tr("Let me hear it"), "aidsTry", [this] {
        announcer_.loud().play(Loud::Sound::Due, announcer_.aloud().volume);
        if (announcer_.aloud().reads) announcer_.readAgain(tr("This is how a step is read."));
    });
    auto* voice = line();
    reads_ = addTarget(voice, {}, "aidsReads", [this] { change([](run::Aloud& a) { a.reads = !a.reads; }); });
    auto* quiet = line();
    hours_ = addTarget(quiet, {}, "aidsHours", [this] { change([](run::Aloud& a) { a.hours = !a.hours; }); });
    from_ = addTarget(quiet, {}, "aidsFrom",
                      [this] { change([](run::Aloud& a) { a.from = (a.from + kAidHour) % kMinutesADay; }); });
    to_ = addTarget(quiet, {}, "aidsTo",
                    [this] { change([](run::Aloud& a) { a.to = (a.to + kAidHour) % kMinutesADay; }); });
    lacking_ = letters({}, 18, 400, QStringLiteral("aidsLacking"));
    column->addWidget(lacking_);
    auto* probes = letters(tr("Thermometer and scale"), 22, 600);
    column->addWidget(probes);
    devices_ = new QVBoxLayout;
    column->addLayout(devices_);
    state_ = letters({}, 18, 400, QStringLiteral("aidsState"));
    column->addWidget(state_);
    column->addStretch(1);
    auto* last = line();
    close_ = addTarget(last, tr("Back to the step"), "aidsClose", [this] { emit closed(); });
    close_->setProperty("bench", "main");
    connect(&announcer_, &Announcer::changed, this, &AidsPanel::tell);
    connect(&link_, &ProbeLink::stateChanged, this, [this](const QString& words, bool) { state_->setText(words); });
}

QPushButton* AidsPanel::addTarget(QBoxLayout* row, const QString& words, const char* name, std::function<void()> does) {
    auto* b = target(words, QString::fromLatin1(name), kAidHigh);
    connect(b, &QPushButton::clicked, this, std::move(does));
    row->addWidget(b, 1);
    return b;
}

void AidsPanel::open(std::function<QString(int)> clock) {
    clock_ = std::move(clock);
    announcer_.loud().look();
    tell();
    showDevices();
    close_->setFocus();
}

void AidsPanel::change(const std::function<void(run::Aloud&)>& edit) {
    run::Aloud a = announcer_.aloud();
    edit(a);
    announcer_.setAloud(a);
}

void AidsPanel::tell() {
    const auto& a = announcer_.aloud();
    volume_->setText(a.volume > 0 ? tr("%1 of 10").arg(std::lround(10 * a.volume)) : tr("silent"));
    volume_->setAccessibleName(tr("How loud: %1").arg(volume_->text()));
    reads_->setText(a.reads ? tr("Each step is read aloud") : tr("Nothing is read aloud"));
    hours_->setText(a.hours ? tr("Quiet hours") : tr("No quiet hours"));
    const auto at = [&](int minute) { return clock_ ? clock_(minute) : QString(); };
    from_->setText(tr("from %1").arg(at(a.from)));
    to_->setText(tr("to %1").arg(at(a.to)));
    from_->setVisible(a.hours);
    to_->setVisible(a.hours);
    lacking_->setText(announcer_.lacking());
    lacking_->setVisible(!announcer_.lacking().isEmpty());
}

void AidsPanel::showDevices() {
    emptyLayout(devices_);
    QStringList found = ProbeLink::found();
    if (!link_.path().isEmpty() && !found.contains(link_.path())) found.prepend(link_.path());
    for (size_t i = 0; i < kMostShown && i < static_cast<size_t>(found.size()); ++i) {
        const QString& path = found[static_cast<qsizetype>(i)];
        const bool heard = link_.isOpen() && link_.path() == path;
        addTarget(devices_,
                  heard ? tr("Stop listening to %1").arg(path.section('/', -1))
                        : tr("Listen to %1").arg(path.section('/', -1)),
                  "aidsDevice", [this, path, heard] {
                      heard ? link_.close() : link_.open(path);
                      if (heard) state_->clear();
                      showDevices();
                      close_->setFocus();
                  });
    }
    if (!link_.isOpen())
        state_->setText(found.isEmpty()
                            ? tr("None is found. Figures can be typed: T for a temperature, W for a weight.")
                            : QString());
}

}  // namespace uovo::desktop
