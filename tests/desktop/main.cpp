// Window tests: one application for all of them, a folder of their own for settings and recovery.
#define CATCH_CONFIG_RUNNER
#include <QApplication>
#include <QSettings>
#include <QStandardPaths>
#include <QTemporaryDir>
#include <QTranslator>
#include <catch2/catch.hpp>

#include "core/quantity/catalogue.h"
#include "desktop/kit/painted_parts.h"
#include "desktop/shell/memory.h"
#include "desktop/theme/theme.h"
#include "report/fonts.h"
#include "report/language.h"
#include "spoken.h"

namespace {

/// A text of no language: its letters are others, its figures and marks stay. What is left in plain letters was never
/// looked up.
std::string marked(const char* english) {
    std::string out;
    int within = 0;  // the braces of a figure, a tag, or what follows a percent sign
    const std::string text = english;
    if (text.find("dddd") != std::string::npos) return text;
    for (size_t i = 0; i < text.size(); ++i) {
        const char c = text[i];
        if (c == '{' || (c == '<' && i + 1 < text.size() && (std::isalpha(text[i + 1]) || text[i + 1] == '/')))
            ++within;
        if (within == 0 && c == '%' && i + 1 < text.size() && text[i + 1] == 'n') {
            out += "%n", ++i;
            continue;
        }
        const bool letter = (c >= 'a' && c <= 'z') || (c >= 'A' && c <= 'Z');
        if (within == 0 && letter) {
            const int wide = (c >= 'a' ? 0xFF41 + (c - 'a') : 0xFF21 + (c - 'A'));
            out += char(0xE0 | wide >> 12), out += char(0x80 | (wide >> 6 & 0x3F)), out += char(0x80 | (wide & 0x3F));
        } else {
            out += c;
        }
        if (within > 0 && (c == '}' || c == '>')) --within;
    }
    return out;
}

class Marking : public QTranslator {
public:
    QString translate(const char*, const char* source, const char*, int) const override {
        return QString::fromStdString(marked(source));
    }
    bool isEmpty() const override { return false; }
};

/// Notes what the window asks of a language that does not know it: a text that is found in another class than asks.
class Noting : public QTranslator {
public:
    QString translate(const char* context, const char* source, const char* comment, int n) const override {
        const QString told = QTranslator::translate(context, source, comment, n);
        const bool ours = qstrncmp(context, "uovo", 4) == 0 || qstrncmp(context, "Q", 1) != 0;
        if (told.isEmpty() && ours && *context && *source)
            notTold() << QString::fromUtf8(context) + ": " + QString::fromUtf8(source);
        return told;
    }
};

/// @param language a code, or "marked"; empty: English
void speak(const QByteArray& language) {
    if (language == "marked") {
        static Marking marking;
        QCoreApplication::installTranslator(&marking);
        uovo::setCatalogue([](const char* english, int) { return marked(english); }, "marked");
    } else {
        uovo::report::speak(language.isEmpty() ? QStringLiteral("en") : QString::fromLatin1(language));
        static Noting noting;
        if (!language.isEmpty() && noting.load(QStringLiteral(":/languages/%1.qm").arg(QString::fromLatin1(language))))
            QCoreApplication::installTranslator(&noting);
    }
}

}  // namespace

int main(int argc, char** argv) {
    uovo::desktop::steadyMemory();
    QTemporaryDir home;
    qputenv("HOME", home.path().toUtf8());
    qputenv("XDG_CONFIG_HOME", home.path().toUtf8());
    qputenv("XDG_DATA_HOME", home.path().toUtf8());
    QApplication app(argc, argv);
    QApplication::setApplicationName(QStringLiteral("uovo-tests"));
    QApplication::setOrganizationName(QStringLiteral("uovo-tests"));
    QSettings::setDefaultFormat(QSettings::IniFormat);
    uovo::desktop::tellPaintedParts();
    uovo::report::loadFonts();
    app.setFont(uovo::report::font(15));
    app.setStyle(QStringLiteral("fusion"));
    uovo::desktop::setDarkTheme(false);
    speak(qgetenv("UOVO_SPEAK"));
    return Catch::Session().run(argc, argv);
}
