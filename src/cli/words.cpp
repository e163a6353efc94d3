// uovo-cli words: the texts of tables and data/, as entries of a catalogue (gettext's PO).
#include <cstdio>
#include <set>

#include "cli/commands.h"
#include "core/document/each_name.h"
#include "core/form/family.h"
#include "core/quantity/words.h"
#include "io/data.h"
#include "io/examples.h"

namespace uovo::cli {
namespace {

std::string quoted(const std::string& text) {
    std::string out = "\"";
    for (const char c : text)
        if (c == '"' || c == '\\') out += {'\\', c};
        else if (c == '\n') out += "\\n";
        else out += c;
    return out + "\"";
}

}  // namespace

int words(const std::vector<std::string>&) {
    std::puts("msgid \"\"\nmsgstr \"\"\n\"Content-Type: text/plain; charset=UTF-8\\n\"\n");
    std::set<std::string> seen{""};
    const auto print = [&](const char* where, const std::string& text) {
        if (seen.insert(text).second) std::printf("#. %s\nmsgid %s\nmsgstr \"\"\n\n", where, quoted(text).c_str());
    };
    for (auto f : form::families()) {
        form::eachText(f, [&](std::string& text) { print("a family of shapes", text); });
        for (const auto& c : f.choices)
            for (const auto& option : c.options) print("a choice of a family of shapes", option);
    }
    auto library = io::library();
    for (const auto& [id, task] : library.tasks) print("a task", spaced(id));
    material::eachText(library, [&](std::string& text) { print("data/", text); });
    for (auto plan : {io::demoPlan(0), io::examplePlan("garden-table", 0, 0), io::examplePlan("lamps", 0, 0),
                      io::examplePlan("supper", 0, 0), io::examplePlan("seed-heads", 0, 0)})
        eachName(plan, [&](std::string& text) { print("a plan that ships", text); });
    for (const auto& evening : io::demoLog(0)) {
        print("an invented evening", evening.plan.name);
        for (const auto& [chocolate, bag] : evening.bags) print("an invented evening", bag);
        for (const auto& entry : evening.entries) print("an invented evening", entry.words);
    }
    return 0;
}

}  // namespace uovo::cli
