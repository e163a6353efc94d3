#include "report/text.h"

#include <QRegularExpression>
#include "core/words/words.h"

namespace uovo {

QString bound(const std::string& words) {
    static const QRegularExpression gap(
        QStringLiteral("(?<=\\d|½|¼|¾) (?=mm|cm|m\\b|kg|g\\b|ml|l\\b|s\\b|min|h\\b|°|%|in\\b|oz|lb|cups?|tbsp)"));
    return qstring(words).replace(gap, QString(QChar(0x00A0)));
}

QString placeWords(coat::Place p) { return qstring(inPlace(p)); }

}  // namespace uovo
