// What a run of the window tests in another language found out.
#pragma once
#include <QSet>
#include <QString>

/// Texts that the window asked for and the language does not know, each with the class that asked.
inline QSet<QString>& notTold() {
    static QSet<QString> texts;
    return texts;
}
