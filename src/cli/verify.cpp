// uovo-cli verify: runs the cases of a folder against their published answers.
#include <algorithm>
#include <cmath>
#include <cstdio>
#include <filesystem>
#include <fstream>
#include <string>
#include <vector>

#include <fmt/format.h>

#include <nlohmann/json.hpp>

#include "cli/case_words.h"
#include "cli/commands.h"
#include "cli/verify_asks.h"

namespace uovo::cli {
namespace {

struct Totals {
    int passed = 0, failed = 0;
};

/// Facts of practice: a range, and a miss that stays a miss; a group of them fails when fewer come out than it asks
/// for.
void runFacts(const nlohmann::json& doc, std::vector<std::string>& closing, Totals& totals) {
    for (const auto& group : doc.at("groups")) {
        const std::string name = group.at("name");
        const double slack = group.value("slack", 1.0);
        int out = 0, all = 0;
        for (const auto& f : group.at("facts")) {
            const double low = f.at("low"), high = f.at("high");
            const auto ours = answerAsk(group.at("ask"), f.at("given"));
            const bool good = ours && *ours >= low / slack - 1e-9 && *ours <= high * slack + 1e-9;
            ++all;
            out += good;
            std::printf("  %s %2d %-58s practice %s ours %s\n", good ? "ok    " : "misses", f.at("number").get<int>(),
                        f.at("name").get<std::string>().c_str(), f.at("practice").get<std::string>().c_str(),
                        ours ? fmt::format("{:.4g} {}", *ours, group.at("unit").get<std::string>()).c_str()
                             : ours.error().sentence.c_str());
        }
        const bool enough = out >= group.at("least").get<int>();
        closing.push_back(fmt::format("{} {} of {}{}", name, out, all,
                                      enough ? "" : fmt::format(", fewer than {}", group.at("least").get<int>())));
        enough ? ++totals.passed : ++totals.failed;
    }
}

void runFile(const std::filesystem::path& file, Totals& totals, std::vector<std::string>& closing) {
    std::ifstream in(file);
    const auto fail = [&](const std::string& why) {
        std::printf("FAILED %s: %s\n", file.filename().c_str(), why.c_str());
        ++totals.failed;
    };
    nlohmann::json doc;
    try {
        doc = nlohmann::json::parse(in);
        std::printf("\n%s\n  source: %s\n", doc.at("title").get<std::string>().c_str(),
                    doc.at("source").get<std::string>().c_str());
        if (doc.contains("groups")) runFacts(doc, closing, totals);
        for (const auto& c : doc.value("cases", nlohmann::json::array())) {
            const std::string name = c.at("name"), ask = c.at("ask");
            const double reference = c.at("expect"), tolerance = c.at("tolerance");
            const bool relative = c.value("relative", false);
            const auto ours = answerAsk(ask, c.value("given", nlohmann::json::object()));
            if (!ours) {
                fail(name + ": " + ours.error().sentence);
                continue;
            }
            const double error =
                relative ? std::abs(*ours - reference) / std::abs(reference) : std::abs(*ours - reference);
            const bool good = error <= tolerance;
            std::printf("  %s %-58s reference %-12.7g ours %-12.7g %s %.2e (allowed %.0e)\n",
                        good ? "ok    " : "FAILED", name.c_str(), reference, *ours, relative ? "relative" : "absolute",
                        error, tolerance);
            if (c.contains("source")) std::printf("           source: %s\n", c.at("source").get<std::string>().c_str());
            good ? ++totals.passed : ++totals.failed;
        }
    } catch (const nlohmann::json::exception& e) {
        fail(inWords(e));
    } catch (const std::exception& e) {
        fail(e.what());
    }
}

}  // namespace

int verify(const std::vector<std::string>& args) {
    const std::filesystem::path folder = args.empty() ? "verification" : args[0];
    std::error_code error;
    std::vector<std::filesystem::path> files;
    for (const auto& entry : std::filesystem::directory_iterator(folder, error))
        if (entry.path().extension() == ".json") files.push_back(entry.path());
    if (error || files.empty()) {
        std::fprintf(stderr, "uovo-cli: there are no cases in %s\n", folder.c_str());
        return 2;
    }
    std::sort(files.begin(), files.end());
    Totals totals;
    std::vector<std::string> closing;
    for (const auto& f : files) runFile(f, totals, closing);
    std::printf("\n%d cases agree, %d do not\n", totals.passed, totals.failed);
    for (const auto& line : closing) std::printf("%s\n", line.c_str());
    return totals.failed == 0 ? 0 : 1;
}

}  // namespace uovo::cli
