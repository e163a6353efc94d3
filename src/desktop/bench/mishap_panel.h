// Something happened: what it was, at most one question, ways to go on with their minutes and grams.
#pragma once
#include <QLabel>
#include <QVBoxLayout>
#include <QWidget>

#include "desktop/bench/run_keeper.h"

namespace uovo::desktop {

class MishapPanel : public QWidget {
    Q_OBJECT

public:
    MishapPanel(Session& session, RunKeeper& keeper, QWidget* parent = nullptr);
    /// Asks what happened. @param step that was being done
    void open(const run::Step* step);
    /// Offers ways for what has happened already, in a rehearsal.
    void offer(const run::Event& happened);

signals:
    void closed();

protected:
    void keyPressEvent(QKeyEvent*) override;

private:
    void clear(const QString& heading, const QString& note = {});
    QPushButton* addTarget(const QString& words, const QString& note, std::function<void()> does);
    void askPiece(run::Event e);
    void askPot(run::Event e);
    void askMinutes(run::Event e);
    void happened(run::Event e);

    Session& session_;
    RunKeeper& keeper_;
    QVBoxLayout* box_;
    class QGridLayout* grid_ = nullptr;
    int targets_ = 0;
    std::string step_, piece_, pot_;
};

}  // namespace uovo::desktop
