// The commands of uovo-cli that need no Qt. Each returns the exit code: 0 well, 1 something is wrong, 2 called wrongly.
#pragma once
#include <initializer_list>
#include <optional>
#include <string>
#include <vector>

#include "core/document/plan.h"

namespace uovo::cli {

int answers(const std::vector<std::string>& args);
int check(const std::vector<std::string>& args);
int verify(const std::vector<std::string>& args);
int coatCase(const std::vector<std::string>& args);
/// The day as a list; --person N, --calendar OUT.ics
int day(const std::vector<std::string>& args);
/// A day played through: its events and its outcome as JSON; --seed N, --script ANSWERS.json, --no-mishaps
int rehearse(const std::vector<std::string>& args);
/// What records teach, as JSON; --plan FILE
int learn(const std::vector<std::string>& args);
/// A log as JSON; --csv, --take FILE
int logBook(const std::vector<std::string>& args);
/// The texts of data/ and of tables, as entries of a catalogue.
int words(const std::vector<std::string>& args);
int demo(const std::vector<std::string>& args);

/// What stands behind an option; null where it is not there.
const std::string* valueAfter(const std::vector<std::string>& args, const char* option);
/// Loads the plan named by the first argument (- is standard input) and says on standard error what is wrong.
std::optional<Plan> planFrom(const std::vector<std::string>& args);
/// Whether all that was printed arrived: a full disk must not look like success.
bool printed();
/// Refuses options that a command does not know, on standard error.
bool known(const std::vector<std::string>& args, std::initializer_list<const char*> options);
/// Local minutes now, from the system clock.
long nowMinutes();

}  // namespace uovo::cli
