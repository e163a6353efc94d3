// Log: the evenings on their shelf, each retold; what they teach; why something failed.
#pragma once
#include <QLabel>
#include <QPushButton>
#include <QScrollArea>
#include <QStackedWidget>
#include <QVBoxLayout>
#include <QWidget>

#include "desktop/device/probe_link.h"
#include "desktop/log/day_tile.h"
#include "desktop/log/evening_page.h"
#include "desktop/log/lessons_page.h"
#include "desktop/log/why_page.h"

namespace uovo::desktop {

class LogPlace : public QWidget {
    Q_OBJECT

public:
    LogPlace(Session& session, ProbeLink& probe, QWidget* parent = nullptr);
    LogKeeper* keeper() { return &keeper_; }
    EveningPage* evening() const { return evening_; }
    LessonsPage* lessons() const { return lessons_; }
    WhyPage* why() const { return why_; }
    const std::vector<DayTile*>& tiles() const { return tiles_; }
    void choose(const std::string& evening);
    void showLessons();
    /// Of the plan that is open, or of an evening.
    void askWhy(const std::string& evening, const QString& piece, const QString& fault);
    /// Writes the log out, JSON or comma-separated values by its name. @returns what is said about it
    QString writeTo(const QString& path);
    QString takeFrom(const QString& path);

signals:
    void said(const QString& words, bool wrong);
    void sheetWanted(const QString& title, QWidget* page);
    void sheetDone();
    void practiceWanted(const QString& lesson);
    /// A plan to make an evening's pieces again.
    void planWanted(const uovo::Plan& plan);

protected:
    void showEvent(QShowEvent*) override;
    void resizeEvent(QResizeEvent*) override;
    void hideEvent(QHideEvent*) override { keeper_.setWatched(false); }

private:
    enum Page { Empty, Retold, Lessons, Why };
    QWidget* emptyPage();
    void refresh();
    void write(std::int64_t corrects);
    void makeAgain();
    void turnTo(Page page);

    Session& session_;
    ProbeLink& probe_;
    LogKeeper keeper_;
    QWidget* left_;
    QLabel *sum_, *emptyWords_, *invented_;
    QVBoxLayout* shelf_;
    std::vector<DayTile*> tiles_;
    QPushButton *teaches_, *whyNow_, *mine_, *look_, *older_;
    QStackedWidget* pages_;
    EveningPage* evening_;
    LessonsPage* lessons_;
    WhyPage* why_;
    size_t shown_ = 30;  // evenings on the shelf, the latest
    bool opened_ = false;
};

}  // namespace uovo::desktop
