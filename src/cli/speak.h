// The language of what is printed: --language CODE.
#pragma once
#include <cstdio>
#include <string>
#include <vector>

#include "cli/commands.h"
#include "report/language.h"

namespace uovo::cli {

/// Speaks what is asked for, English where nothing is. Before anything is read or said, after the application is there.
/// @returns false where there is no such language, said on standard error
inline bool speakAs(const std::vector<std::string>& args) {
    const std::string* code = valueAfter(args, "--language");
    const QString language = code ? QString::fromStdString(*code) : report::languages().front();
    if (!report::languages().contains(language)) {
        std::fprintf(stderr, "uovo-cli: “%s” is not spoken; there are: %s\n", code->c_str(),
                     report::languages().join(QStringLiteral(", ")).toUtf8().constData());
        return false;
    }
    report::speak(language);
    return true;
}

}  // namespace uovo::cli
