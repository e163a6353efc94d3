// What is wrong with a case file, in words of ours and not of the library that read it.
#pragma once
#include <functional>
#include <optional>
#include <string>
#include <vector>

#include <nlohmann/json.hpp>

#include "core/document/plan.h"

namespace uovo::cli {

/// "“on” is missing." or "A text stands where a number is expected."
std::string inWords(const nlohmann::json::exception& e);

/// The plan of a case: its piece with the keys of a plan of either version, and "kitchen" and "own" where it has them.
tl::expected<Plan, Problem> casePlan(const nlohmann::json& given);

/// Says on standard error what is wrong and where. @returns the exit code, 1
int refused(const Problem& problem);

/// All of a file, or of standard input (-); says on standard error why it cannot be read.
std::optional<std::string> textOf(const std::string& name);

/// Ends the answering of a case with what is wrong with it: to be called within guarded().
[[noreturn]] void refuse(std::string sentence, std::string where);

/// Answers a case: what it throws, problems and errors of the library, becomes what is wrong with the case.
template <class Run>
auto guarded(Run run) -> tl::expected<decltype(run()), Problem> {
    try {
        return run();
    } catch (const Problem& p) {
        return tl::unexpected(p);
    } catch (const nlohmann::json::exception& e) {
        return tl::unexpected(Problem{inWords(e), "case"});
    }
}

/// Reads the case that the first argument names (- is standard input), answers it and prints the answers.
/// @returns the exit code: 0 well, 1 something is wrong with the case, 2 called wrongly
int runCase(const std::vector<std::string>& args,
            const std::function<tl::expected<nlohmann::json, Problem>(const nlohmann::json&)>& answer);

}  // namespace uovo::cli
