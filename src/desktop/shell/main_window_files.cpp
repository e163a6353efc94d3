// Files of the window: opened, saved, recovered, printed; other people's work noticed.
#include "desktop/shell/main_window.h"

#include <QCryptographicHash>
#include <QDir>
#include <QFileDialog>
#include <QFileInfo>
#include <QGridLayout>
#include <QLockFile>
#include <QMenu>
#include <QMessageBox>
#include <QPrintDialog>
#include <QPrinter>
#include <QPushButton>
#include <QVBoxLayout>

#include "desktop/shell/difference_page.h"
#include "io/data.h"
#include "report/bench_card.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

constexpr int kMostRecent = 8;

}  // namespace

bool MainWindow::offerRecovered() {
    const auto recovered = session_.document().findRecovered();
    if (!recovered) return false;
    notices_->offer(
        QStringLiteral("recovered"),
        tr("Uovo ended before “%1” was saved. The plan was kept as it was.").arg(qstring(recovered->plan.name)),
        {{tr("Take it back"), QStringLiteral("takeBack"),
          [this, r = *recovered] {
              if (mayLeave()) session_.document().takeRecovered(r);
              else offerRecovered();
          }},
         {tr("Throw it away"), QStringLiteral("throwAway"),
          [this, r = *recovered] { session_.document().discardRecovered(r); }}});
    return true;
}

std::vector<NoticeBar::Answer> MainWindow::aboutFile() {
    return {{tr("Take the file's"), QStringLiteral("takeTheirs"),
             [this] {
                 sheet_->hide();
                 if (auto ok = session_.document().takeFromDisk(); !ok)
                     say(tr("The file cannot be taken: %1").arg(qstring(ok.error().sentence)), true);
             }},
            {tr("Write mine over it"), QStringLiteral("writeMine"),
             [this] {
                 sheet_->hide();
                 session_.document().keepMine();
                 saveTo(session_.document().path());
             }},
            {tr("Save mine elsewhere …"), QStringLiteral("saveElsewhere"), [this] { saveDialog(); }, true}};
}

void MainWindow::askAboutFile(const QString& sentence) {
    std::vector<NoticeBar::Answer> answers = aboutFile();
    answers.insert(answers.begin(), {tr("Show both"), QStringLiteral("showBoth"), [this] { showDifferences(); }, true});
    notices_->offer(QStringLiteral("others"), sentence, answers);
}

void MainWindow::showDifferences() {
    const auto theirs = session_.document().onDisk();
    if (!theirs) return say(tr("The file cannot be read: %1").arg(qstring(theirs.error().sentence)), true);
    QWidget* page =
        differencePage(differences(session_.plan(), *theirs), QFileInfo(session_.document().path()).fileName());
    auto* grid = new QGridLayout;  // the page lies over the bar that asks
    int n = 0;
    for (const auto& answer : aboutFile()) {
        auto* b = new QPushButton(answer.words);
        b->setObjectName(QStringLiteral("page/") + answer.objectName);
        connect(b, &QPushButton::clicked, this, answer.act);
        grid->addWidget(b, n / 2, n % 2);
        ++n;
    }
    static_cast<QVBoxLayout*>(page->layout())->insertLayout(1, grid);
    sheet_->open(tr("Two versions"), page);
}

bool MainWindow::mayLeave() {
    if (!session_.document().isModified()) return true;
    QMessageBox box(this);
    box.setWindowTitle(tr("Unsaved changes"));
    box.setText(tr("“%1” has changes that are not saved.").arg(qstring(session_.plan().name)));
    auto* save = box.addButton(tr("Save"), QMessageBox::AcceptRole);
    auto* leave = box.addButton(tr("Go on without saving"), QMessageBox::DestructiveRole);
    box.addButton(tr("Stay"), QMessageBox::RejectRole);
    box.exec();
    if (box.clickedButton() == save)
        return session_.document().path().isEmpty() ? saveDialog() : saveTo(session_.document().path());
    return box.clickedButton() == leave;
}

void MainWindow::arrive() {
    sheet_->hide();
    door_->open(settings_.value(QStringLiteral("recent")).toStringList());
}

QString MainWindow::lastFolder() const {
    return settings_.value(QStringLiteral("folder"), QDir::homePath()).toString();
}

void MainWindow::openDialog() {
    if (!mayLeave()) return;
    const QString path = QFileDialog::getOpenFileName(this, tr("Open a plan"), lastFolder(),
                                                      tr("Plans of Uovo (*.uovo);;All files (*)"));
    if (path.isEmpty()) return;
    openFile(path);
    door_->hide();
}

QString MainWindow::lockOf(const QString& path) const {
    const QString folder = session_.dataFolder() + QStringLiteral("/open/");
    QDir().mkpath(folder);
    const QString key = QString::fromLatin1(
        QCryptographicHash::hash(QFileInfo(path).canonicalFilePath().toUtf8(), QCryptographicHash::Sha1).toHex());
    return folder + key;
}

bool MainWindow::reopen(const QString& path) {
    QLockFile lock(lockOf(path));
    lock.setStaleLockTime(0);
    const bool died = settings_.value(QStringLiteral("openNow")).toString() == path && lock.tryLock(0);
    if (!died) return openFile(path);
    lock.unlock();
    notices_->offer(
        QStringLiteral("reopen"),
        tr("Uovo ended while %1 was open, so it was not opened again by itself.").arg(QFileInfo(path).fileName()),
        {{tr("Open it"), QStringLiteral("openAgain"),
          [this, path] {
              if (mayLeave()) openFile(path);
          }},
         {tr("Leave it"), {}, [] {}}});
    return false;
}

bool MainWindow::openFile(const QString& path) {
    settings_.setValue(QStringLiteral("openNow"), path);
    settings_.sync();  // before it is reckoned: what ends the program must be known at its next start
    justOpened_ = true;
    if (auto ok = session_.document().open(path); !ok) {
        justOpened_ = false;
        say(tr("%1 was not opened. %2").arg(QFileInfo(path).fileName(), qstring(ok.error().sentence)), true);
        return false;
    }
    invented_ = false;
    notices_->hush();
    lock_ = std::make_unique<QLockFile>(lockOf(path));
    lock_->setStaleLockTime(0);
    if (!lock_->tryLock(0))
        say(tr("%1 is open in another window too: whichever saves second will be asked.")
                .arg(QFileInfo(path).fileName()),
            false);
    remember(path);
    return true;
}

bool MainWindow::saveDialog() {
    QString path = QFileDialog::getSaveFileName(this, tr("Save the plan"),
                                                lastFolder() + "/" + qstring(session_.plan().name) + ".uovo",
                                                tr("Plans of Uovo (*.uovo)"));
    if (path.isEmpty()) return false;
    if (QFileInfo(path).suffix().isEmpty()) path += QStringLiteral(".uovo");
    return saveTo(path);
}

bool MainWindow::saveTo(const QString& path, io::Fault fault) {
    if (QFileInfo(path) == QFileInfo(session_.document().path()) && session_.document().changedOnDisk()) {
        askAboutFile(tr("%1 was not saved: another program or window wrote it since you opened it.")
                         .arg(QFileInfo(path).fileName()));
        return false;
    }
    if (auto ok = session_.document().save(path, fault); !ok) {
        say(qstring(ok.error().sentence), true);
        return false;
    }
    invented_ = false;
    notices_->hush();
    remember(path);
    return true;
}

bool MainWindow::writeCard(const QString& path) {
    const auto a = session_.answers();
    if (!a || session_.isStale()) {
        say(tr("The answers are still being computed; try again in a moment."), false);
        return false;
    }
    const auto pages = report::writeBenchCard(path, session_.answeredPlan(), session_.answeredLibrary(), *a);
    if (!pages) {
        say(qstring(pages.error().sentence), true);
        return false;
    }
    say(tr("The bench card is in %1 (%2 pages).").arg(path).arg(*pages), false);
    return true;
}

void MainWindow::printCard() {
    const auto a = session_.answers();
    if (!a || session_.isStale()) return say(tr("The answers are still being computed; try again in a moment."), false);
    QPrinter printer(QPrinter::HighResolution);
    QPrintDialog dialog(&printer, this);
    if (dialog.exec() != QDialog::Accepted) return;
    if (report::paintBenchCard(printer, session_.answeredPlan(), session_.answeredLibrary(), *a) == 0)
        say(tr("The printer did not take the card."), true);
}

void MainWindow::remember(const QString& path) {
    QStringList list = settings_.value(QStringLiteral("recent")).toStringList();
    const QString full = QFileInfo(path).absoluteFilePath();
    list.removeAll(full);
    list.prepend(full);
    while (list.size() > kMostRecent) list.removeLast();
    settings_.setValue(QStringLiteral("recent"), list);
    settings_.setValue(QStringLiteral("folder"), QFileInfo(path).absolutePath());
}

void MainWindow::fillRecent() {
    recent_->clear();
    const QStringList list = settings_.value(QStringLiteral("recent")).toStringList();
    for (const QString& path : list)
        recent_->addAction(QFileInfo(path).fileName() + QStringLiteral("   ") + QFileInfo(path).absolutePath(), this,
                           [this, path] {
                               if (mayLeave()) openFile(path);
                           });
    if (list.isEmpty()) recent_->addAction(tr("None yet"))->setEnabled(false);
}

}  // namespace uovo::desktop
