// uovo [FILE.uovo | --demo | --thumbnail OUT.png FILE.uovo]
#include <QApplication>
#include <QCommandLineParser>
#include <QDateTime>
#include <QFileInfo>
#include <QStandardPaths>
#include <QTimer>
#include <clocale>
#include <csignal>

#include "core/document/edits.h"
#include "core/quantity/decimal.h"
#include "desktop/kit/painted_parts.h"
#include "desktop/shell/main_window.h"
#include "desktop/shell/memory.h"
#include "desktop/shell/plan_picture.h"
#include "desktop/theme/desktop_scheme.h"
#include "desktop/theme/theme.h"
#include "io/data.h"
#include "io/plan_file.h"
#include "report/fonts.h"
#include "report/language.h"

namespace {

long nowMinutes() {
    const QDateTime now = QDateTime::currentDateTime();
    return static_cast<long>((now.toSecsSinceEpoch() + now.offsetFromUtc()) / 60);
}

constexpr int kThumbnail = 256, kLeastThumbnail = 16, kMostThumbnail = 2048;  // px

/// Writes a plan's picture. @returns the exit status
int thumbnail(const QString& file, const QString& out, int side) {
    const auto plan = uovo::io::loadPlan(file.toStdString());
    if (!plan) {
        fprintf(stderr, "uovo: %s\n", plan.error().sentence.c_str());
        return 1;
    }
    const QImage picture = uovo::desktop::planPicture(*plan, qBound(kLeastThumbnail, side, kMostThumbnail));
    return !picture.isNull() && picture.save(out, "PNG") ? 0 : 1;
}

constexpr int kUnseen = 1000;  // ms after which a window that is not painted yet no longer keeps answers waiting

}  // namespace

int main(int argc, char** argv) {
    ::signal(SIGXFSZ, SIG_IGN);  // a limit on file sizes is a failed write with its reason, not an end
    uovo::desktop::steadyMemory();
    // a picture needs no screen
    if (std::any_of(argv, argv + argc, [](const char* a) { return qstrcmp(a, "--thumbnail") == 0; }))
        qputenv("QT_QPA_PLATFORM", "offscreen");
    QApplication app(argc, argv);
    std::setlocale(LC_NUMERIC, "C");  // files have a point, whatever the country
    uovo::setDecimalPoint(QLocale::system().decimalPoint() == QLatin1String(",") ? ',' : '.');
    QApplication::setDesktopFileName(QStringLiteral("uovo"));
    QApplication::setApplicationName(QStringLiteral("uovo"));
    QApplication::setOrganizationName(QStringLiteral("uovo"));
    QApplication::setApplicationVersion(QStringLiteral("0.1.0"));
    QSettings::setDefaultFormat(QSettings::IniFormat);
    uovo::report::speak(QSettings().value(QLatin1String(uovo::report::kLanguageKey)).toString());
    QCommandLineParser parser;
    parser.setApplicationDescription(QObject::tr("Plans hollow and assembled chocolate before any is melted."));
    parser.addHelpOption();
    parser.addVersionOption();
    const QCommandLineOption demo(QStringLiteral("demo"), QObject::tr("open the demo evening"));
    const QCommandLineOption timed(QStringLiteral("report-start"),
                                   QObject::tr("print the seconds until the window is painted and quit"));
    const QCommandLineOption small(QStringLiteral("thumbnail"),
                                   QObject::tr("write a small picture of the plan and quit"),
                                   QStringLiteral("OUT.png"));
    const QCommandLineOption size(QStringLiteral("size"), QObject::tr("pixels of that picture"), QStringLiteral("N"),
                                  QString::number(kThumbnail));
    parser.addOptions({demo, timed, small, size});
    parser.addPositionalArgument(QStringLiteral("file"), QObject::tr("a plan to open"), QStringLiteral("[FILE.uovo]"));
    parser.process(app);

    if (parser.isSet(small)) {
        if (parser.positionalArguments().isEmpty()) {
            fprintf(stderr, "uovo: a picture of which plan?\n");
            return 2;
        }
        return thumbnail(parser.positionalArguments().front(), parser.value(small), parser.value(size).toInt());
    }
    uovo::desktop::tellPaintedParts();
    uovo::report::loadFonts();
    app.setFont(uovo::report::font(15));
    app.setStyle(QStringLiteral("fusion"));
    using uovo::desktop::DesktopScheme;
    uovo::desktop::setDarkTheme(DesktopScheme::wanted(DesktopScheme::beganDark()), false);
    uovo::desktop::Session session(uovo::io::library(),
                                   QStandardPaths::writableLocation(QStandardPaths::AppDataLocation), nowMinutes);
    session.answerer().setHeld(true);
    const auto answer = [&session] { session.answerer().setHeld(false); };
    QTimer::singleShot(kUnseen, &session, answer);
    uovo::desktop::MainWindow window(session);
    QObject::connect(&window, &uovo::desktop::MainWindow::painted, &session, answer);
    uovo::desktop::setDarkTheme(uovo::desktop::theme().dark);

    const QStringList files = parser.positionalArguments();
    const QStringList recent = QSettings().value(QStringLiteral("recent")).toStringList();
    bool open = false;
    if (!files.isEmpty()) open = window.openFile(files.front());
    else if (!parser.isSet(demo) && !recent.isEmpty() && QFileInfo::exists(recent.front()))
        open = window.reopen(recent.front());
    if (!open) {
        uovo::Plan plan = uovo::io::demoPlanFor(nowMinutes());
        if (QLocale::system().measurementSystem() == QLocale::ImperialUSSystem)
            uovo::switchUnits(plan, uovo::UnitSystem::US);
        session.document().setPlan(plan, {});
    }
    const bool told = window.offerRecovered() || !window.saying().isEmpty();  // it would lie under the door
    if (!open && !told && !parser.isSet(demo)) window.arrive();
    window.show();
    window.setGreets(true);
    if (parser.isSet(timed))
        QObject::connect(&window, &uovo::desktop::MainWindow::painted, &app, [&] {
            QFile stat(QStringLiteral("/proc/self/stat"));
            QFile up(QStringLiteral("/proc/uptime"));
            if (stat.open(QIODevice::ReadOnly) && up.open(QIODevice::ReadOnly)) {
                const QByteArray rest = stat.readAll();
                const double began = rest.mid(rest.lastIndexOf(')') + 2).split(' ').value(19).toDouble() / 100;
                printf("%.2f\n", up.readAll().split(' ').value(0).toDouble() - began);
            }
            app.quit();
        });
    return app.exec();
}
