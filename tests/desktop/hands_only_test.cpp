// Everything by the keyboard alone: from an empty plan to a printed card; no key is taken from typing.
#include <QDialog>
#include <QFileInfo>
#include <QLineEdit>
#include <QListWidget>
#include <QSplitter>
#include <QTimer>

#include "desktop/shell/deadline_page.h"
#include "scenes.h"

namespace hands_only_test {

namespace {

void key(Qt::Key k, Qt::KeyboardModifiers with = {}) {
    QWidget* to = QApplication::focusWidget() ? QApplication::focusWidget() : QApplication::activeWindow();
    REQUIRE(to);
    QTest::keyClick(to, k, with);
}

void typeWords(const QString& words) {
    REQUIRE(QApplication::focusWidget());
    QTest::keyClicks(QApplication::focusWidget(), words);
}

/// Goes on with the tabulator until the cursor is in what is called so.
bool tabTo(const QString& name, int most = 60) {
    for (int i = 0; i < most; ++i) {
        QWidget* now = QApplication::focusWidget();
        if (now && now->accessibleName().startsWith(name)) return true;
        key(Qt::Key_Tab);
    }
    return false;
}

}  // namespace

TEST_CASE("by the keyboard alone: an empty plan, a bowl from the gallery, its figures, a filling, the day, the card") {
    Program p;
    p.session.document().setPlan(Plan{}, {});
    p.window.shape()->setFocus();
    QTest::keyClick(&p.window, Qt::Key_N, Qt::ControlModifier);
    REQUIRE(p.window.door()->isVisible());
    REQUIRE(tabTo("An empty shelf"));
    key(Qt::Key_Space);
    CHECK(p.session.plan().pieces.empty());

    key(Qt::Key_G, Qt::ControlModifier);
    REQUIRE(p.window.shape()->gallery()->isVisible());
    typeWords("bowl");
    key(Qt::Key_Return);
    REQUIRE(p.session.plan().pieces.size() == 1);
    p.answered();

    REQUIRE(tabTo("How many"));
    typeWords("12");
    key(Qt::Key_Tab);
    CHECK(p.piece().count == 12);
    REQUIRE(tabTo("Name of the piece"));
    key(Qt::Key_A, Qt::ControlModifier);
    typeWords("Ice bowl");
    key(Qt::Key_Return);
    CHECK(p.piece().name == "Ice bowl");
    p.answered();

    // the plan's name and hour, in their sheet: the tabulator stays in it
    key(Qt::Key_R, Qt::ControlModifier);
    REQUIRE(p.window.sheet()->isVisible());
    REQUIRE(tabTo("The plan is called", 12));
    typeWords("Saturday");
    key(Qt::Key_Return);
    REQUIRE(tabTo("at", 12));
    key(Qt::Key_A, Qt::ControlModifier);
    typeWords("6:30 pm");
    key(Qt::Key_Return);
    CHECK(p.session.plan().name == "Saturday");
    CHECK(p.session.plan().deadline.ends_with("T18:30"));
    for (int i = 0; i < 20; ++i) {
        key(Qt::Key_Tab);
        CHECK(p.window.sheet()->isAncestorOf(QApplication::focusWidget()));
    }
    key(Qt::Key_Escape);
    CHECK_FALSE(p.window.sheet()->isVisible());

    // a command by its name
    key(Qt::Key_F1, Qt::ControlModifier);
    typeWords("coat add");
    key(Qt::Key_Return);
    CHECK(p.piece().coats().size() == 3);
    key(Qt::Key_Z, Qt::ControlModifier);
    CHECK(p.piece().coats().size() == 2);
    p.answered();

    key(Qt::Key_F5);
    CHECK(p.window.day()->isVisible());
    CHECK(p.session.answers()->day->problem.empty());

    // the card: the name is typed into the dialog that asks for it
    const QString file = p.folder.filePath("card.pdf");
    QTimer::singleShot(300, [&] {
        auto* dialog = qobject_cast<QDialog*>(QApplication::activeModalWidget());
        REQUIRE(dialog);
        auto* name = dialog->findChild<QLineEdit*>("fileNameEdit");
        REQUIRE(name);
        name->selectAll();
        QTest::keyClicks(name, file);
        QTest::keyClick(name, Qt::Key_Return);
    });
    key(Qt::Key_B, Qt::ControlModifier);
    CHECK(p.window.saying().contains("bench card"));
    CHECK(QFileInfo(file).size() > 5000);
}

TEST_CASE("no key of a command is one that a field needs for writing") {
    Program p;
    QLineEdit edit(QStringLiteral("some words"));
    edit.show();
    edit.setFocus();
    QStringList taken;
    for (const QAction* a : p.window.commands())
        for (const QKeySequence& keys : a->shortcuts()) {
            if (keys == QKeySequence(QKeySequence::Undo) || keys == QKeySequence(QKeySequence::Redo))
                continue;  // shared
            REQUIRE(keys.count() == 1);
            const auto k = keys[0];
            QKeyEvent asks(QEvent::ShortcutOverride, k.key(), k.keyboardModifiers());
            asks.ignore();
            QApplication::sendEvent(&edit, &asks);
            if (asks.isAccepted()) taken << keys.toString() + " " + a->text();
        }
    CHECK(taken.join('\n').toStdString() == "");
}

TEST_CASE("every command has a key of its own, is found by its name, and what can be done here comes first") {
    Program p;
    QSet<QString> keys;
    for (const QAction* a : p.window.commands()) {
        INFO(a->text().toStdString());
        CHECK_FALSE(a->shortcut().isEmpty());
        CHECK_FALSE(keys.contains(a->shortcut().toString()));
        keys << a->shortcut().toString();
    }
    QTest::keyClick(&p.window, Qt::Key_F1, Qt::ControlModifier);
    auto* list = p.window.sheet()->findChild<QListWidget*>("commands");
    REQUIRE(list);
    CHECK(list->count() == p.window.commands().size());
    CHECK(list->item(0)->text() == "Cut it open, or turn it");  // the window is at Shape
    auto* words = p.window.sheet()->findChild<QLineEdit*>();
    for (const QAction* a : p.window.commands()) {
        words->setText(a->text());
        bool found = false;
        for (int i = 0; i < list->count(); ++i) found = found || list->item(i)->text() == a->text();
        INFO(a->text().toStdString());
        CHECK(found);
    }
    words->setText("no such thing");
    CHECK(list->count() == 0);
    words->setText("redo");
    REQUIRE(list->count() == 1);
    CHECK_FALSE(list->item(0)->flags() & Qt::ItemIsEnabled);  // nothing was undone: told, and not done
    QTest::keyClick(words, Qt::Key_Return);
    CHECK(p.window.sheet()->isVisible());
}

TEST_CASE("a piece is copied, moved, looked at and taken off by key and by button, and all comes back") {
    Program p;
    const Plan before = p.session.plan();
    p.session.select("lens-cup");
    p.window.shape()->stage()->setFocus();
    key(Qt::Key_D, Qt::ControlModifier | Qt::ShiftModifier);
    REQUIRE(p.session.plan().pieces.size() == before.pieces.size() + 1);
    CHECK(p.session.plan().pieces[2].name == "Lens cup 2");
    CHECK(p.piece().name == "Lens cup 2");
    key(Qt::Key_Up, Qt::AltModifier | Qt::ShiftModifier);
    CHECK(p.session.plan().pieces[1].name == "Lens cup 2");
    QTest::mouseClick(p.window.findChild<QPushButton*>("pieceDown"), Qt::LeftButton);
    CHECK(p.session.plan().pieces[2].name == "Lens cup 2");
    key(Qt::Key_PageUp, Qt::ControlModifier);
    CHECK(p.session.selected() == "lens-cup");
    key(Qt::Key_PageDown, Qt::ControlModifier);
    CHECK(p.piece().name == "Lens cup 2");
    QTest::mouseClick(p.window.findChild<QPushButton*>("removePiece"), Qt::LeftButton);
    CHECK(p.session.plan().pieces.size() == before.pieces.size());
    CHECK(p.session.piece());  // a neighbour is looked at
    while (p.session.document().canUndo()) QTest::keyClick(&p.window, Qt::Key_Z, Qt::ControlModifier);
    CHECK(p.session.plan() == before);
}

TEST_CASE("borders between panes move and are remembered") {
    int was = 0;
    {
        Program p;
        auto* split = p.window.findChild<QSplitter*>("split/shape");
        REQUIRE(split);
        was = split->sizes().front();
        QWidget* handle = split->handle(1);
        const QPoint at = handle->rect().center();
        QTest::mousePress(handle, Qt::LeftButton, {}, at);
        QTest::mouseMove(handle, at + QPoint(40, 0));
        QMouseEvent move(QEvent::MouseMove, QPointF(at + QPoint(40, 0)),
                         handle->mapToGlobal(QPointF(at + QPoint(40, 0))), Qt::LeftButton, Qt::LeftButton, {});
        QApplication::sendEvent(handle, &move);
        QTest::mouseRelease(handle, Qt::LeftButton, {}, at + QPoint(40, 0));
        CHECK(split->sizes().front() > was + 20);
        was = split->sizes().front();
    }
    Program p;
    CHECK(std::abs(p.window.findChild<QSplitter*>("split/shape")->sizes().front() - was) <= 2);
    QSettings().remove("split");
}

TEST_CASE("a day is read as people write it") {
    const QDate today(2026, 8, 4);  // a Tuesday
    const QLocale uk(QLocale::English, QLocale::UnitedKingdom), us(QLocale::English, QLocale::UnitedStates);
    const auto day = [&](const char* words, const QLocale& l) { return readDay(words, l, today); };
    CHECK(day("29 August", uk) == QDate(2026, 8, 29));
    CHECK(day("29.8.2026", uk) == QDate(2026, 8, 29));
    CHECK(day("29.8.", uk) == QDate(2026, 8, 29));
    CHECK(day("3/9/26", uk) == QDate(2026, 9, 3));
    CHECK(day("3/9/26", us) == QDate(2026, 3, 9));
    CHECK(day("August 29, 2026", us) == QDate(2026, 8, 29));
    CHECK(day("2027-01-02", us) == QDate(2027, 1, 2));
    CHECK(day("saturday", uk) == QDate(2026, 8, 8));
    CHECK(day("1 February", uk) == QDate(2027, 2, 1));  // the next one
    CHECK_FALSE(day("31 June", uk));
    CHECK_FALSE(day("soon", uk));
}

TEST_CASE("the calendar's arrows only turn the leaf; a day is chosen by a press, a passed hour is told") {
    Program p;
    QTest::keyClick(&p.window, Qt::Key_R, Qt::ControlModifier);
    auto* sheet = p.window.sheet();
    const std::string before = p.session.plan().deadline;
    for (auto* b : sheet->findChildren<QPushButton*>())
        if (b->accessibleName() == "Month after") QTest::mouseClick(b, Qt::LeftButton);
    CHECK(p.session.plan().deadline == before);
    auto* clock = sheet->findChild<Field*>("deadline/clock");
    auto* day = sheet->findChild<Field*>("deadline/day");
    REQUIRE(clock);
    REQUIRE(day);
    p.type(day, "3 January 2020");
    CHECK(day->complaint()->text().contains("passed"));
    CHECK(p.session.plan().deadline == before);
    p.type(day, "9 August");
    CHECK(p.session.plan().deadline.starts_with("2026-08-09"));
    CHECK(day->edit()->text() == "Sunday 9 August 2026");
    p.type(clock, "7 pm");
    CHECK(p.session.plan().deadline == "2026-08-09T19:00");
    CHECK(clock->edit()->text() == "19:00");
}

TEST_CASE("a coat is copied, moved and left out, by its sheet's buttons and by keys on its card") {
    Program p;
    p.session.select("crater-bowl");
    const Piece before = p.piece();
    const auto coats = [&] { return p.piece().coats().size(); };
    emit p.window.shape()->coatWanted(0);
    const auto press = [&](const char* button) {
        auto* b = p.window.sheet()->findChild<QPushButton*>(button);
        REQUIRE(b);
        QTest::mouseClick(b, Qt::LeftButton);
    };
    press("coatCopy");
    CHECK(coats() == 3);
    CHECK(p.piece().coats()[1].drain == before.coats()[0].drain);
    p.session.editPiece("Mark it", [](Piece& q) { q.coats()[0].drain = Measure(11); });
    press("coatLater");
    CHECK(p.piece().coats()[1].drain.value == 11);
    press("coatEarlier");
    CHECK(p.piece().coats()[0].drain.value == 11);
    press("coatRemove");
    CHECK(coats() == 2);
    CHECK_FALSE(p.window.sheet()->isVisible());
    auto* card = p.window.shape()->coats()->cards().front();
    card->setFocus();
    QTest::keyClick(card, Qt::Key_Insert);
    CHECK(coats() == 3);
    QTest::keyClick(p.window.shape()->coats()->cards().front(), Qt::Key_Delete);
    CHECK(coats() == 2);
    while (p.session.document().canUndo()) p.session.document().undo();
    CHECK(p.piece() == before);
}

TEST_CASE("what does not go into a bowl is told where it is written") {
    Program p;
    auto* each = p.window.shape()->recipe()->field("filling/each");
    REQUIRE(each);
    p.type(each, "9 l");
    p.answered();
    CHECK(each->complaint()->text().contains("do not fit"));
    CHECK(each->complaint()->isVisible());
    p.type(each, "150 ml");
    p.answered();
    CHECK(each->complaint()->text().isEmpty());
}

}  // namespace hands_only_test
