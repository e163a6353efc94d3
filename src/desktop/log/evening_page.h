// One evening retold: what was planned beside what came out, and all that was written down.
#pragma once
#include <QLabel>
#include <QPushButton>
#include <QVBoxLayout>
#include <QWidget>

#include "desktop/log/band_rows.h"
#include "desktop/log/log_keeper.h"

namespace uovo::desktop {

class EveningPage : public QWidget {
    Q_OBJECT

public:
    EveningPage(Session& session, LogKeeper& keeper, QWidget* parent = nullptr);
    void show(const std::string& evening);
    const std::string& evening() const { return id_; }
    BandRows* beside() const { return beside_; }

signals:
    void writeWanted(qint64 corrects);
    /// @param piece id of the evening's plan; empty: any
    void whyWanted(const QString& piece, const QString& fault);
    void againWanted();

private:
    void refresh();
    QWidget* line(const log::Evening& evening, const log::Entry& entry, const std::string& picture, bool holds);

    Session& session_;
    LogKeeper& keeper_;
    std::string id_;
    QLabel *title_, *about_, *ready_, *besideHead_, *besideNote_;
    BandRows* beside_;
    QVBoxLayout* lines_;
    QPushButton *write_, *why_, *again_;
};

}  // namespace uovo::desktop
