// Nothing on screen lies on anything else, is cut off or too small to read: every place and piece, at three sizes of
// the window.
#include <QAbstractButton>
#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QScrollArea>

#include "program.h"

namespace {

bool isShown(const QWidget* w) { return w->isVisible() && w->width() > 0 && w->height() > 0; }

/// What a person reads or presses: leaves of the tree of widgets.
bool isLeaf(const QWidget* w) {
    return qobject_cast<const QAbstractButton*>(w) || qobject_cast<const QLabel*>(w) ||
           qobject_cast<const QLineEdit*>(w) || qobject_cast<const QComboBox*>(w);
}

/// Rectangle on the window, what scroll areas cut off taken away.
QRect seen(const QWidget* w, const QWidget* window) {
    QRect r(w->mapTo(window, QPoint(0, 0)), w->size());
    for (const QWidget* p = w->parentWidget(); p && p != window; p = p->parentWidget())
        r &= QRect(p->mapTo(window, QPoint(0, 0)), p->size());
    return r;
}

QString words(const QWidget* w) {
    if (auto* l = qobject_cast<const QLabel*>(w)) return l->text();
    if (auto* b = qobject_cast<const QAbstractButton*>(w)) return b->text() + b->accessibleName();
    return w->accessibleName() + w->objectName();
}

/// Pairs of leaves that overlap by more than the edges of their frames.
QStringList overlaps(QWidget* root, QWidget* window) {
    std::vector<QWidget*> leaves;
    for (auto* w : root->findChildren<QWidget*>())
        if (isShown(w) && isLeaf(w) && !isLeaf(w->parentWidget()) && !qobject_cast<QComboBox*>(w->parentWidget()))
            leaves.push_back(w);
    QStringList out;
    for (size_t i = 0; i < leaves.size(); ++i)
        for (size_t k = 0; k < i; ++k) {
            if (leaves[i]->isAncestorOf(leaves[k]) || leaves[k]->isAncestorOf(leaves[i])) continue;
            const QRect both = seen(leaves[i], window) & seen(leaves[k], window);
            if (both.width() > 3 && both.height() > 3)
                out << words(leaves[i]) + QStringLiteral(" | ") + words(leaves[k]);
        }
    return out;
}

/// Leaves that reach beyond what scrolls sideways under them: nobody gets to see the rest.
QStringList cutOff(QWidget* root) {
    QStringList out;
    for (auto* area : root->findChildren<QScrollArea*>()) {
        if (!isShown(area) || area->horizontalScrollBarPolicy() != Qt::ScrollBarAlwaysOff) continue;
        const QWidget* port = area->viewport();
        for (auto* w : area->findChildren<QWidget*>()) {
            if (!isShown(w) || !isLeaf(w) || isLeaf(w->parentWidget())) continue;
            const QWidget* nearest = w->parentWidget();  // what scrolls it is the nearest area
            while (nearest && !qobject_cast<const QScrollArea*>(nearest)) nearest = nearest->parentWidget();
            if (nearest != area) continue;
            const int right = w->mapTo(port, QPoint(w->width(), 0)).x();
            if (right > port->width() + 3) out << words(w) + QStringLiteral(" by %1 px").arg(right - port->width());
        }
    }
    return out;
}

/// What still lies on something else once the layout has come to rest.
std::string left(QWidget* root, QWidget* window) {
    (void)QTest::qWaitFor([&] { return overlaps(root, window).isEmpty(); }, 800);
    return overlaps(root, window).join('\n').toStdString();
}

void checkPlaces(Program& p, const QString& size) {
    auto* shape = p.window.shape();
    QTest::keyClick(&p.window, Qt::Key_F2);
    for (const auto& piece : p.session.plan().pieces) {
        p.session.select(QString::fromStdString(piece.id));
        QTest::qWait(40);
        INFO(size.toStdString() << ", " << piece.id);
        CHECK(left(shape, &p.window) == "");
        CHECK(cutOff(shape).join('\n').toStdString() == "");
        QTest::keyClick(&p.window, Qt::Key_F6);
        QTest::qWait(60);
        INFO("will it hold");
        CHECK(left(shape, &p.window) == "");
        QTest::keyClick(&p.window, Qt::Key_F6);
    }
    for (const auto key : {Qt::Key_F5, Qt::Key_F3}) {
        QTest::keyClick(&p.window, key);
        QTest::qWait(60);
        INFO(size.toStdString() << ", place of F" << key - Qt::Key_F1 + 1);
        QWidget* place = key == Qt::Key_F5 ? static_cast<QWidget*>(p.window.melt()) : p.window.day();
        CHECK(left(place, &p.window) == "");
        CHECK(cutOff(place).join('\n').toStdString() == "");
    }
    QTest::keyClick(&p.window, Qt::Key_F2);
}

}  // namespace

TEST_CASE("nothing lies on anything else: every piece and place, in a usual window, a large and a small one") {
    Program p;
    checkPlaces(p, "1280x800");
    p.window.resize(1600, 1000);
    QTest::qWait(50);
    checkPlaces(p, "1600x1000");
    p.window.resize(1180, 740);
    QTest::qWait(50);
    checkPlaces(p, "1180x740");
}

TEST_CASE("a small window holds too: answers behind a button, the list beside the pots, a stage one can see") {
    Program p;
    for (const QSize size : {QSize(1100, 720), QSize(1024, 700)}) {
        p.window.resize(size);
        QTest::qWait(80);
        INFO(size.width() << " x " << size.height());
        CHECK(p.window.size() == size);  // nothing in it asks for more
        checkPlaces(p, "small");
        QTest::keyClick(&p.window, Qt::Key_F2);
        CHECK(p.window.shape()->stage()->height() >= 150);
        CHECK(p.window.shape()->stage()->width() >= 400);
        auto* answers = p.window.shape()->answers();
        CHECK_FALSE(answers->isVisible());
        QTest::mouseClick(p.window.shape()->findChild<QPushButton*>("openAnswers"), Qt::LeftButton);
        CHECK(answers->isVisible());
        QTest::keyClick(&p.window, Qt::Key_Escape);
        CHECK_FALSE(answers->isVisible());
        QTest::keyClick(&p.window, Qt::Key_F7);
        CHECK(answers->isVisible());
        QTest::keyClick(&p.window, Qt::Key_F7);
        QTest::keyClick(&p.window, Qt::Key_F5);
        QTest::qWait(40);
        auto* melt = p.window.melt();
        CHECK_FALSE(melt->shopping()->isVisible());
        QTest::mouseClick(melt->findChild<QPushButton*>("sideBuy"), Qt::LeftButton);
        CHECK(melt->shopping()->isVisible());
        QTest::qWait(40);
        CHECK(left(melt, &p.window) == "");
        CHECK(cutOff(melt).join('\n').toStdString() == "");
        QTest::mouseClick(melt->findChild<QPushButton*>("sidePots"), Qt::LeftButton);
    }
    p.window.resize(1280, 800);
    QTest::qWait(80);
    CHECK(p.window.melt()->shopping()->isVisible());
    QTest::keyClick(&p.window, Qt::Key_F2);
    CHECK(p.window.shape()->answers()->isVisible());
}

TEST_CASE("words are large enough for floury glasses: no label is below 13 pixels") {
    Program p;
    for (const auto key : {Qt::Key_F2, Qt::Key_F5, Qt::Key_F3}) {
        QTest::keyClick(&p.window, key);
        QTest::qWait(60);
        for (auto* w : p.window.findChildren<QWidget*>()) {
            if (!isShown(w) || !isLeaf(w)) continue;
            INFO(words(w).toStdString());
            CHECK(QFontInfo(w->font()).pixelSize() >= 13);
        }
    }
}

TEST_CASE("what can be pressed is large enough for a finger with chocolate on it") {
    Program p;
    QTest::qWait(60);
    for (auto* w : p.window.findChildren<QAbstractButton*>()) {
        if (!isShown(w) || qobject_cast<QComboBox*>(w->parentWidget())) continue;
        INFO(words(w).toStdString());
        CHECK(w->height() >= 22);
        CHECK(w->width() >= 22);
    }
}

TEST_CASE("the tabulator reaches every field of a recipe, in the order it is read") {
    Program p;
    auto* recipe = p.window.shape()->recipe();
    auto fields = recipe->findChildren<QLineEdit*>();
    fields.removeIf([](QLineEdit* e) { return !isShown(e) || e->focusPolicy() == Qt::NoFocus; });
    REQUIRE(fields.size() >= 5);
    fields.front()->setFocus();
    QSet<QWidget*> reached;
    int turnsBack = 0;
    QWidget* before = QApplication::focusWidget();
    for (int i = 0; i < 60 && reached.size() < 80; ++i) {
        QWidget* now = QApplication::focusWidget();
        if (!now || !recipe->isAncestorOf(now)) break;
        reached << now;
        const QPoint a = before->mapTo(&p.window, QPoint()), b = now->mapTo(&p.window, QPoint());
        turnsBack += b.y() < a.y() - 8 || (std::abs(b.y() - a.y()) <= 8 && b.x() < a.x());
        before = now;
        QTest::keyClick(now, Qt::Key_Tab);
    }
    for (auto* e : fields) {
        INFO(words(e).toStdString());
        CHECK(reached.contains(e));
    }
    CHECK(turnsBack == 0);
}
