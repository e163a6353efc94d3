// uovo-cli: every answer without a window.
#include <csignal>
#include <cstdio>
#include <cstring>
#include <string>
#include <vector>

#include "cli/assembly_case.h"
#include "cli/card.h"
#include "cli/commands.h"
#include "cli/mold_case.h"
#include "cli/nest_case.h"
#include "cli/schedule_case.h"
#include "cli/shell_case.h"
#include "cli/why_case.h"

namespace {
constexpr const char* kHelp =
    "uovo-cli: the answers of Uovo without a window\n\n"
    "  uovo-cli answers FILE [--no-day]   every answer as JSON (docs/format.md)\n"
    "  uovo-cli check FILE                what is wrong with a plan, a line each; exit 1 when something is\n"
    "  uovo-cli card FILE -o CARD.pdf     the bench card; --language nl\n"
    "  uovo-cli templates FILE -o T.pdf   what is cut from sheets, at true scale; --svg SHEET, --mirrored, --spare\n"
    "  uovo-cli verify [DIR]              runs verification/ and prints case, source, reference, ours, error\n"
    "  uovo-cli coat CASE.json            the wall of one shape, coat by coat, as JSON (docs/format.md, coat cases)\n"
    "  uovo-cli shell CASE.json           shifts and stresses of a shell under load, as JSON (docs/format.md, shell "
    "cases)\n"
    "  uovo-cli assembly CASE.json        an order in which parts can be put together, as JSON (docs/format.md)\n"
    "  uovo-cli mold CASE.json            how an original leaves a silicone mold, as JSON (docs/format.md, mold "
    "cases)\n"
    "  uovo-cli nest CASE.json            outlines laid out on sheets, as JSON (docs/format.md)\n"
    "  uovo-cli schedule CASE.json        tasks laid out over people, places and pots, as JSON (docs/format.md)\n"
    "  uovo-cli day FILE                  the day as a list; --person N, --calendar OUT.ics\n"
    "  uovo-cli rehearse FILE --seed N    the day played through with plausible mishaps, as JSON; --script "
    "ANSWERS.json\n"
    "  uovo-cli learn RECORDS.json        what was measured teaches, as JSON (docs/format.md); --plan FILE: its grams "
    "before and after\n"
    "  uovo-cli why CASE.json             why something went wrong, as JSON (docs/format.md, why cases)\n"
    "  uovo-cli log LOG.sqlite            a log as JSON (docs/format.md); --csv; --take FILE: takes evenings in\n"
    "  uovo-cli demo                      the demo plan, as a file to begin with\n"
    "  uovo-cli words                     the texts of data/ and tables, as entries of a catalogue of languages\n"
    "  uovo-cli --version\n\n"
    "FILE may be - for standard input.\n";
}

int main(int argc, char** argv) {
    ::signal(SIGXFSZ, SIG_IGN);  // a limit on file sizes is a failed write with its reason, not an end
    std::vector<std::string> args(argv + 1, argv + argc);
    if (args.empty() || args[0] == "--help" || args[0] == "-h" || args[0] == "help") {
        std::fputs(kHelp, args.empty() ? stderr : stdout);
        return args.empty() ? 2 : 0;
    }
    const std::string command = args[0];
    args.erase(args.begin());
    if (command == "--version") return std::puts("uovo 0.1.0"), 0;
    if (command == "words") return uovo::cli::words(args);
    if (command == "answers") return uovo::cli::answers(args);
    if (command == "check") return uovo::cli::check(args);
    if (command == "verify") return uovo::cli::verify(args);
    if (command == "coat") return uovo::cli::coatCase(args);
    if (command == "shell") return uovo::cli::shell(args);
    if (command == "assembly") return uovo::cli::assembly(args);
    if (command == "mold") return uovo::cli::moldOf(args);
    if (command == "nest") return uovo::cli::nest(args);
    if (command == "schedule") return uovo::cli::schedule(args);
    if (command == "day") return uovo::cli::day(args);
    if (command == "rehearse") return uovo::cli::rehearse(args);
    if (command == "learn") return uovo::cli::learn(args);
    if (command == "log") return uovo::cli::logBook(args);
    if (command == "why") return uovo::cli::why(args);
    if (command == "demo") return uovo::cli::demo(args);
    if (command == "templates") return uovo::cli::templates(args, argc, argv);
    if (command == "card") return uovo::cli::card(args, argc, argv);
    std::fprintf(stderr, "uovo-cli: “%s” is not a command; see uovo-cli --help\n", command.c_str());
    return 2;
}
