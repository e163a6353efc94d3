// How the bench is heard, and which thermometer and scale it hears: in targets for sticky hands.
#pragma once
#include <QLabel>
#include <QPushButton>
#include <QVBoxLayout>
#include <QWidget>
#include <functional>

#include "desktop/bench/announcer.h"
#include "desktop/device/probe_link.h"

namespace uovo::desktop {

class AidsPanel : public QWidget {
    Q_OBJECT

public:
    AidsPanel(Announcer& announcer, ProbeLink& link, QWidget* parent = nullptr);
    /// @param clock writes a minute of the day
    void open(std::function<QString(int)> clock);
    QLabel* lacking() const { return lacking_; }

signals:
    void closed();

private:
    QPushButton* addTarget(QBoxLayout* row, const QString& words, const char* name, std::function<void()> does);
    void change(const std::function<void(run::Aloud&)>& edit);
    void tell();
    void showDevices();

    Announcer& announcer_;
    ProbeLink& link_;
    std::function<QString(int)> clock_;
    QLabel *volume_, *lacking_, *state_;
    QPushButton *reads_, *hours_, *from_, *to_, *close_;
    QVBoxLayout* devices_;
};

}  // namespace uovo::desktop
