// Nothing on screen lies on anything else, is cut off or too small to read: every place, piece and sheet, at many
// sizes and scales of the window.
#include <QAbstractButton>
#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QProcess>
#include <QScrollArea>
#include <QStyle>
#include <QStyleOptionComboBox>

#include "scenes.h"

namespace layout_test {

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
    std::vector<std::pair<QWidget*, QRect>> leaves;
    for (auto* w : root->findChildren<QWidget*>())
        if (isShown(w) && isLeaf(w) && !isLeaf(w->parentWidget()) && !qobject_cast<QComboBox*>(w->parentWidget()))
            leaves.emplace_back(w, seen(w, window));
    QStringList out;
    for (size_t i = 0; i < leaves.size(); ++i)
        for (size_t k = 0; k < i; ++k) {
            const QRect both = leaves[i].second & leaves[k].second;
            if (both.width() <= 3 || both.height() <= 3) continue;
            if (leaves[i].first->isAncestorOf(leaves[k].first) || leaves[k].first->isAncestorOf(leaves[i].first))
                continue;
            out << words(leaves[i].first) + QStringLiteral(" | ") + words(leaves[k].first);
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

/// Leaves whose words do not fit into them: "400 m(l)", "or typ…".
QStringList shortened(QWidget* root) {
    QStringList out;
    for (auto* w : root->findChildren<QWidget*>()) {
        if (!isShown(w) || !isLeaf(w) || isLeaf(w->parentWidget()) || w->visibleRegion().isEmpty()) continue;
        const auto wide = [&](const QString& text) { return w->fontMetrics().horizontalAdvance(text); };
        int room = w->width(), needs = 0;
        if (auto* l = qobject_cast<QLabel*>(w)) {
            if (l->wordWrap() || dynamic_cast<ShortLabel*>(l) || l->text().isEmpty()) continue;
            needs = l->sizeHint().width();
        } else if (auto* e = qobject_cast<QLineEdit*>(w)) {
            if (e->hasFocus()) continue;
            needs = wide(e->text().isEmpty() ? e->placeholderText() : e->text());
            room -= 2 * (7 + 2) + 2;              // the style's padding and border, and what a line edit keeps free
            if (e->text().size() > 24) continue;  // a name may be longer than its field
        } else if (auto* c = qobject_cast<QComboBox*>(w)) {
            QStyleOptionComboBox o;
            o.initFrom(c);
            o.editable = false;
            needs = wide(c->currentText());
            room = c->style()->subControlRect(QStyle::CC_ComboBox, &o, QStyle::SC_ComboBoxEditField, c).width();
        } else if (auto* b = qobject_cast<QPushButton*>(w)) {
            for (const QString& line : b->text().split('\n')) needs = std::max(needs, wide(line));
            if (needs > 0 && !b->icon().isNull()) needs += b->iconSize().width();
        }
        if (needs > room + 2) out << words(w) + QStringLiteral(" by %1 px").arg(needs - room);
    }
    return out;
}

/// What is wrong with how it looks, once the layout has come to rest.
std::string faults(QWidget* root, QWidget* window) {
    const auto all = [&] { return overlaps(root, window) + cutOff(root) + shortened(root); };
    (void)QTest::qWaitFor([&] { return all().isEmpty(); }, 800);
    return all().join('\n').toStdString();
}

void sweep(const QList<QSize>& sizes) {
    Program p;
    for (const QSize size : sizes) {
        p.window.resize(size);
        QTest::qWait(60);
        CHECK(p.window.size() == size);  // nothing in it asks for more
        for (const auto& scene : scenes()) {
            INFO(size.width() << " x " << size.height() << ", " << scene.name.toStdString());
            scene.open(p);
            QTest::qWait(20);
            QWidget* what = scene.what(p);
            REQUIRE(what->isVisible());
            CHECK(faults(what, &p.window) == "");
            if (scene.sheet && p.window.shape()->isVisible() &&
                size.width() >= 1230) {  // beside what it changes: the answers stay in sight
                CHECK(faults(p.window.shape(), &p.window) == "");
                auto* answers = p.window.shape()->answers();
                CHECK(answers->isVisible());
                CHECK_FALSE(QRect(answers->mapTo(&p.window, QPoint()), answers->size())
                                .intersects(QRect(what->mapTo(&p.window, QPoint()), what->size())));
            }
            leave(p);
        }
        QTest::keyClick(&p.window, Qt::Key_F2);
        p.session.select("crater-bowl");
        QTest::qWait(20);
        CHECK(p.window.shape()->stage()->height() >= 150);
    }
}

/// Runs the hidden test of one scale in a process of its own: a scale is chosen when a program starts.
void sweepAt(const char* scale, const char* sizes) {
    QProcess child;
    QProcessEnvironment env = QProcessEnvironment::systemEnvironment();
    env.insert("QT_SCALE_FACTOR", scale);
    env.insert("UOVO_SWEEP", sizes);
    child.setProcessEnvironment(env);
    child.setProcessChannelMode(QProcess::MergedChannels);
    child.start(QCoreApplication::applicationFilePath(), {"[sweep-at-a-scale]", "-r", "compact"});
    REQUIRE(child.waitForFinished(2 * kPatience));
    INFO(child.readAll().toStdString());
    CHECK(child.exitCode() == 0);
}

}  // namespace

TEST_CASE("nothing lies on anything else or is cut: every place, piece and sheet, in windows of four sizes") {
    sweep({{960, 640}, {1100, 720}, {1280, 800}, {2560, 1440}});
}

TEST_CASE("the same at twice the scale, where it is small and is scrolled too") { sweepAt("2", "960x540"); }

// Every tenth of the check's time would go here: scripts/sizes.sh.
TEST_CASE("in every size and scale", "[.][every-size]") {
    sweep({{1024, 700}, {1600, 1000}, {1920, 1080}});
    sweepAt("1.5", "1280x800,853x533");
    sweepAt("2", "1280x800");
    sweepAt("3", "960x640");
}

TEST_CASE("the sweep of one scale", "[.][sweep-at-a-scale]") {
    QList<QSize> sizes;
    for (const QString& s : qEnvironmentVariable("UOVO_SWEEP").split(','))
        sizes << QSize(s.section('x', 0, 0).toInt(), s.section('x', 1, 1).toInt());
    sweep(sizes);
}

TEST_CASE("a small window holds too: answers behind a button, the list beside the pots, a stage one can see") {
    Program p;
    for (const QSize size : {QSize(1100, 720), QSize(1024, 700)}) {
        p.window.resize(size);
        QTest::qWait(80);
        INFO(size.width() << " x " << size.height());
        CHECK(p.window.size() == size);  // nothing in it asks for more
        QTest::keyClick(&p.window, Qt::Key_F2);
        CHECK(p.window.shape()->stage()->height() >= 150);
        CHECK(p.window.shape()->stage()->width() >= 400);
        auto* answers = p.window.shape()->answers();
        CHECK_FALSE(answers->isVisible());
        QTest::mouseClick(p.window.shape()->findChild<QPushButton*>("openAnswers"), Qt::LeftButton);
        CHECK(answers->isVisible());
        QTest::keyClick(&p.window, Qt::Key_Escape);
        CHECK_FALSE(answers->isVisible());
        QTest::keyClick(&p.window, Qt::Key_F10);
        CHECK(answers->isVisible());
        QTest::keyClick(&p.window, Qt::Key_F10);
        QTest::keyClick(&p.window, Qt::Key_F4);
        QTest::qWait(40);
        auto* melt = p.window.melt();
        CHECK_FALSE(melt->shopping()->isVisible());
        QTest::mouseClick(melt->findChild<QPushButton*>("sideBuy"), Qt::LeftButton);
        CHECK(melt->shopping()->isVisible());
        QTest::qWait(40);
        CHECK(faults(melt, &p.window) == "");
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
    for (const auto key : {Qt::Key_F2, Qt::Key_F4, Qt::Key_F5}) {
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

}  // namespace layout_test
