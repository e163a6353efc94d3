// uovo-cli log: a log in open formats, out and in.
#include <cstdio>

#include "cli/case_words.h"
#include "cli/commands.h"
#include "io/logbook.h"
#include "io/plan_file.h"

namespace uovo::cli {

int logBook(const std::vector<std::string>& args) {
    if (!known(args, {"--csv", "--take"})) return 2;
    if (args.empty() || args[0].starts_with("--")) return std::fputs("uovo-cli: name a log\n", stderr), 2;
    auto book = io::Logbook::open(args[0]);
    if (!book) return refused(book.error());
    if (const auto* from = valueAfter(args, "--take")) {
        const auto text = io::readWhole(*from);
        if (!text) return refused(text.error());
        const auto evenings = log::readAnyLog(*text);
        if (!evenings) return refused(evenings.error());
        const auto taken = book->import(*evenings);
        if (!taken) return refused(taken.error());
        std::printf("%d of %zu evenings were taken in; the others are there.\n", *taken, evenings->size());
        return printed() ? 0 : 1;
    }
    const auto all = book->all();
    if (!all) return refused(all.error());
    const bool csv = std::find(args.begin(), args.end(), "--csv") != args.end();
    const std::string text = csv ? log::writeLogCsv(*all) : log::writeLog(*all);
    std::fputs(text.c_str(), stdout);
    return printed() ? 0 : 1;
}

}  // namespace uovo::cli
