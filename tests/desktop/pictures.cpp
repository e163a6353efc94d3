// Takes the pictures of docs/screenshots from the demo plan: scripts/pictures.sh. Hidden from the ordinary run.
#include <QDir>

#include "desktop/theme/theme.h"
#include "program.h"
#include "report/fonts.h"

namespace {

void take(Program& p, const QString& name) {
    QTest::qWait(600);  // the fine picture is painted when the hand rests
    const QString folder = qEnvironmentVariable("UOVO_PICTURES", QStringLiteral(UOVO_SOURCE "/docs/screenshots"));
    REQUIRE(QDir().mkpath(folder));
    REQUIRE(p.window.grab().save(folder + "/" + name + ".png"));
}

}  // namespace

TEST_CASE("pictures of each main view", "[.][pictures]") {
    Program p;
    take(p, "shape-bowl");
    QTest::mouseClick(p.window.shape()->answers()->view("wall"), Qt::LeftButton);
    take(p, "working");
    QTest::keyClick(p.window.sheet(), Qt::Key_Escape);
    p.session.select("lens-cup");
    take(p, "shape-cup");
    QTest::keyClick(&p.window, Qt::Key_F3);
    auto* line = p.window.day()->timeline();
    line->setMinute((line->minute() + 0) / 2);
    take(p, "day");
    QTest::keyClick(&p.window, Qt::Key_F2);
    p.session.select("crater-bowl");
    setDarkTheme(true);
    emit p.session.answersChanged();
    take(p, "shape-dark");
    setDarkTheme(false);
}
