#include <QGuiApplication>
#include <algorithm>
#include <cstdio>

#include "cli/card.h"
#include "cli/commands.h"
#include "cli/speak.h"
#include "core/answers/answers.h"
#include "io/data.h"
#include "io/plan_file.h"
#include "io/sheet_svg.h"
#include "report/fonts.h"
#include "report/template_pages.h"

namespace uovo::cli {

int templates(const std::vector<std::string>& args, int argc, char** argv) {
    const auto after = [&](const char* option) {
        const auto* value = valueAfter(args, option);
        return value ? *value : std::string();
    };
    const std::string pdf = after("-o"), svg = after("--svg");
    if (args.empty() || (pdf.empty() && svg.empty())) {
        std::fputs("uovo-cli: uovo-cli templates FILE [-o TEMPLATES.pdf] [--svg SHEET] [--mirrored] [--spare]\n",
                   stderr);
        return 2;
    }
    qputenv("QT_QPA_PLATFORM", "offscreen");
    QGuiApplication app(argc, argv);
    if (!speakAs(args)) return 2;
    const auto plan = planFrom(args);
    if (!plan) return 1;
    report::loadFonts();
    Cache cache;
    AnswerOptions options;
    options.day = false;
    options.ways = false;
    const auto all = answer(*plan, io::library(), cache, options);
    if (!all) return 1;
    const auto has = [&](const char* word) { return std::find(args.begin(), args.end(), word) != args.end(); };
    const auto sheets = sheetPlan(*plan, io::library(), *all, {has("--spare") ? 1 : 0});
    for (const auto& words : sheetTroubles(sheets, plan->units)) std::fprintf(stderr, "uovo-cli: %s\n", words.c_str());
    if (!pdf.empty()) {
        const auto pages = report::writeTemplates(QString::fromStdString(pdf), sheets, io::library(),
                                                  {plan->units, has("--mirrored"), true});
        if (!pages) {
            std::fprintf(stderr, "uovo-cli: %s\n", pages.error().sentence.c_str());
            return 1;
        }
        std::printf("%s: %d pages\n", pdf.c_str(), *pages);
    }
    int number = 0;
    if (!svg.empty())
        for (size_t g = 0; g < sheets.groups.size(); ++g)
            for (size_t k = 0; k < sheets.groups[g].layout.sheets.size(); ++k) {
                const std::string path = svg + "-" + std::to_string(++number) + ".svg";
                if (const auto ok = io::writeWhole(path, io::sheetSvg(sheets, g, k, has("--mirrored"))); !ok) {
                    std::fprintf(stderr, "uovo-cli: %s\n", ok.error().sentence.c_str());
                    return 1;
                }
                std::printf("%s\n", path.c_str());
            }
    return 0;
}

}  // namespace uovo::cli
