// Why something failed: chosen on the piece itself, its causes ranked, one question at a time, changes that were run.
#pragma once
#include <QComboBox>
#include <QLabel>
#include <QVBoxLayout>
#include <QWidget>
#include <map>
#include <memory>
#include <thread>

#include "core/why/diagnosis.h"
#include "desktop/kit/figure_field.h"
#include "desktop/log/log_keeper.h"
#include "desktop/log/why_picture.h"

namespace uovo::desktop {

class WhyPage : public QWidget {
    Q_OBJECT

public:
    WhyPage(Session& session, LogKeeper& keeper, QWidget* parent = nullptr);
    ~WhyPage() override;
    /// @param evening id; empty: the plan that is open
    void show(const std::string& evening, const QString& piece, const QString& fault);
    bool isBusy() const { return busy_; }
    /// Null while nothing was asked or it is computed.
    const why::Inquiry* inquiry() const { return inquiry_.get(); }
    const std::map<std::string, why::Tried>& tried() const { return tried_; }
    WhyPicture* picture() const { return picture_; }

signals:
    void said(const QString& words, bool wrong);

private:
    const Plan* plan() const;
    std::shared_ptr<const PieceAnswers> answersOf(const std::string& piece) const;
    void choosePiece(int k);
    void showPiece();
    void askGiven();
    void ask();
    void showBlame();
    QWidget* suspect(const why::Suspect& s);
    void put(const std::string& cause);
    void stop();

    Session& session_;
    LogKeeper& keeper_;
    std::string evening_, piece_, fault_;
    Plan plan_;
    why::Figures given_;
    std::shared_ptr<why::Inquiry> inquiry_;
    std::map<std::string, why::Tried> tried_;
    QString problem_;
    bool busy_ = false;
    Cache cache_;
    QLabel *title_, *about_, *state_;
    QComboBox* which_;
    WhyPicture* picture_;
    QWidget* givens_;
    QVBoxLayout *question_, *suspects_;
    quint64 number_ = 0;
    std::jthread thread_;
};

}  // namespace uovo::desktop
