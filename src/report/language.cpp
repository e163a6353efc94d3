#include "report/language.h"

#include <QCoreApplication>
#include <QDir>
#include <QLibraryInfo>
#include <QTranslator>

#include "core/quantity/catalogue.h"

// Outside of a namespace, as Qt wants it.
static void initLanguages() { Q_INIT_RESOURCE(languages); }

namespace uovo::report {
namespace {

constexpr const char* kEnglish = "en";

QString& current() {
    static QString language = QLatin1String(kEnglish);
    return language;
}

/// Core's, the card's and the window's texts: one file holds them all.
QTranslator& texts() {
    static QTranslator translator;
    return translator;
}

std::string lookUp(const char* english, int many) {
    return texts().translate("", english, nullptr, many).toStdString();
}

QString wanted() {
    for (const QString& name : QLocale::system().uiLanguages()) {
        const QString code = name.section(QLatin1Char('-'), 0, 0);
        if (languages().contains(code)) return code;
    }
    return QLatin1String(kEnglish);
}

}  // namespace

QStringList languages() {
    initLanguages();
    QStringList out{QLatin1String(kEnglish)};
    for (const QString& file : QDir(QStringLiteral(":/languages")).entryList())
        if (const QString code = file.section(QLatin1Char('.'), 0, 0); code != out.front()) out << code;
    return out;
}

QString nameOf(const QString& language) {
    const QLocale its(language);  // of English it would name a country's
    return its.language() == QLocale::English ? QLocale::languageToString(QLocale::English) : its.nativeLanguageName();
}

void speak(const QString& language) {
    const QString code = languages().contains(language) ? language : wanted();
    if (!texts().load(QStringLiteral(":/languages/%1.qm").arg(code))) return;
    QCoreApplication::installTranslator(&texts());
    if (code == QLatin1String(kEnglish)) return;  // of which there are only plurals
    current() = code;
    static QTranslator toolkit;  // what the toolkit itself says: file dialogs, menus of fields; where it is installed
    if (toolkit.load(QStringLiteral("qtbase_") + code, QLibraryInfo::path(QLibraryInfo::TranslationsPath)))
        QCoreApplication::installTranslator(&toolkit);
    setCatalogue(lookUp, code.toStdString());
}

QString spokenLanguage() { return current(); }

QLocale spokenLocale() { return QLocale(current()); }

}  // namespace uovo::report
