#include "cli/card.h"

#include <QGuiApplication>
#include <algorithm>
#include <cstdio>

#include "cli/commands.h"
#include "cli/speak.h"
#include "io/data.h"
#include "report/bench_card.h"
#include "report/fonts.h"

namespace uovo::cli {

int card(const std::vector<std::string>& args, int argc, char** argv) {
    const auto o = std::find(args.begin(), args.end(), "-o");
    if (args.empty() || o == args.end() || o + 1 == args.end()) {
        std::fputs("uovo-cli: uovo-cli card FILE -o CARD.pdf\n", stderr);
        return 2;
    }
    qputenv("QT_QPA_PLATFORM", "offscreen");
    QGuiApplication app(argc, argv);
    if (!speakAs(args)) return 2;
    const auto plan = planFrom(args);
    if (!plan) return 1;
    report::loadFonts();
    Cache cache;
    const auto all = answer(*plan, io::library(), cache);
    if (!all) return 1;
    for (const auto& p : all->problems) std::fprintf(stderr, "%s: %s\n", p.where.c_str(), p.sentence.c_str());
    const auto pages = report::writeBenchCard(QString::fromStdString(*(o + 1)), *plan, io::library(), *all);
    if (!pages) {
        std::fprintf(stderr, "uovo-cli: %s\n", pages.error().sentence.c_str());
        return 1;
    }
    std::printf("%s: %d pages\n", (o + 1)->c_str(), *pages);
    return all->problems.empty() ? 0 : 1;
}

}  // namespace uovo::cli
