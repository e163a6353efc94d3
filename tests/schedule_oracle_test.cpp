// The shortest day against another program that knows nothing of this one: the same constraints, written in MiniZinc
// and solved by its own solver, have the same optimum; a minute less is refused.
#include <catch2/catch.hpp>
#include <fstream>
#include <sstream>

#include "core/schedule/exact.h"
#include "core/schedule/solver.h"
#include "support_command.h"
#include "support_files.h"
#include "support_schedule.h"

namespace uovo::schedule::schedule_oracle_test {
namespace {

/// A network of one-handed tasks as a model: who does what, when; minutes before the end of the day.
std::string modelOf(const Network& net) {
    std::ostringstream m;
    const size_t n = net.tasks.size(), people = net.people.size();
    const int far = net.horizon;
    m << "array[1.." << n << "] of var -" << far << "..0: s;\narray[1.." << n << "] of var 1.." << people
      << ": p;\nvar -" << far << "..0: z;\n";
    const auto apart = [&](size_t i, int from, int to) {
        m << "(s[" << i + 1 << "]+" << net.tasks[i].minutes << "<=" << from << " \\/ s[" << i + 1 << "]>=" << to << ")";
    };
    for (size_t i = 0; i < n; ++i) {
        const auto& t = net.tasks[i];
        m << "constraint z<=s[" << i + 1 << "] /\\ s[" << i + 1 << "]+" << t.minutes << "<=" << t.latest << ";\n";
        for (size_t k = i + 1; k < n; ++k)  // one pair of hands
            m << "constraint p[" << i + 1 << "]!=p[" << k + 1 << "] \\/ s[" << i + 1 << "]+" << t.minutes << "<=s["
              << k + 1 << "] \\/ s[" << k + 1 << "]+" << net.tasks[k].minutes << "<=s[" << i + 1 << "];\n";
        for (size_t p = 0; p < people; ++p) {
            const auto& who = net.people[p];
            if ((t.skills & ~who.skills) != 0) m << "constraint p[" << i + 1 << "]!=" << p + 1 << ";\n";
            if (who.there.empty()) continue;
            m << "constraint p[" << i + 1 << "]!=" << p + 1;
            for (const auto& span : who.there)
                m << " \\/ (s[" << i + 1 << "]>=" << span.from << " /\\ s[" << i + 1 << "]+" << t.minutes
                  << "<=" << span.to << ")";
            m << ";\n";
        }
        for (const auto& c : net.closed) m << "constraint ", apart(i, c.from, c.to), m << ";\n";
    }
    for (const auto& l : net.lags) {
        m << "constraint s[" << l.to + 1 << "]-s[" << l.from + 1 << "]>=" << l.min;
        if (l.max >= 0) m << " /\\ s[" << l.to + 1 << "]-s[" << l.from + 1 << "]<=" << l.max;
        m << ";\n";
    }
    for (size_t r = 0; r < net.resources.size(); ++r) {
        // what is in use where a hold, or a time in which something is taken, begins
        std::vector<std::pair<std::string, std::string>> spans;
        std::vector<int> amounts;
        for (const auto& h : net.holds)
            if (h.resource == static_cast<int>(r)) {
                spans.emplace_back("s[" + std::to_string(h.from + 1) + "]",
                                   "(s[" + std::to_string(h.to + 1) + "]+" +
                                       std::to_string(net.tasks[static_cast<size_t>(h.to)].minutes) + ")");
                amounts.push_back(h.amount);
            }
        for (const auto& t : net.resources[r].taken) {
            spans.emplace_back("(" + std::to_string(t.when.from) + ")", "(" + std::to_string(t.when.to) + ")");
            amounts.push_back(t.amount);
        }
        for (const auto& [from, to] : spans) {
            m << "constraint ";
            for (size_t k = 0; k < spans.size(); ++k)
                m << (k ? "+" : "") << "bool2int(" << spans[k].first << "<=" << from << " /\\ " << from << "<"
                  << spans[k].second << ")*" << amounts[k];
            m << "<=" << net.resources[r].capacity << ";\n";
        }
    }
    m << "solve :: int_search(s, largest, indomain_max) maximize z;\noutput [\"length \" ++ show(-z)];\n";
    return m.str();
}

struct Oracle {
    bool proved = false, impossible = false;
    int length = 0;
};

Oracle ask(const Network& net, const test::Folder& folder) {
    const std::string model = folder.write("day.mzn", modelOf(net));
    const std::string out = test::printedBy("minizinc --solver gecode --time-limit 20000 " + model);
    INFO(out);
    Oracle o;
    o.proved = out.find("==========") != std::string::npos;
    o.impossible = out.find("=====UNSATISFIABLE=====") != std::string::npos;
    const size_t at = out.rfind("length ");
    if (at != std::string::npos) o.length = std::stoi(out.substr(at + 7));
    CHECK((o.proved || o.impossible || out.find("UNKNOWN") != std::string::npos || at != std::string::npos));
    return o;
}

}  // namespace

TEST_CASE("twenty days have the optimum that MiniZinc finds, and a minute less is broken by both", "[long]") {
    const test::Folder folder("oracle");
    int alike = 0, refused = 0;
    for (unsigned seed = 100; alike < 20 && seed < 160; ++seed) {
        test::RandomDay kind{3, 5, false, false, true, false};
        Network net = test::randomNetwork(seed, kind);
        net.restEvery = 0;
        net.wish = {1, 0, 0, 0, 0, 0};
        for (auto& t : net.tasks) t.hands = 1;
        if (net.tasks.size() > 30) continue;
        Effort effort;
        effort.decodes = 4000;
        const auto found = layOut(net, effort);
        REQUIRE(found);
        const Oracle oracle = ask(net, folder);
        INFO("seed " << seed << ", " << net.tasks.size() << " tasks, oracle " << oracle.length << ", found "
                     << -found->layout.begins);
        if (oracle.impossible) {
            CHECK_FALSE(found->layout.broken.empty());
            continue;
        }
        if (!oracle.proved || !found->layout.broken.empty()) continue;
        const Proof proof = shortest(net, &found->layout, 100'000);
        CHECK(proof.length >= oracle.length);
        if (!proof.proved()) continue;
        CHECK(proof.length == oracle.length);
        ++alike;
        net.horizon = oracle.length - 1;
        for (auto& p : net.people)  // hours are cut to the day
            for (auto& s : p.there) s.from = std::max(s.from, -net.horizon);
        const auto less = layOut(net, effort);
        if (less) CHECK_FALSE(less->layout.broken.empty());
        ++refused;
    }
    CHECK(alike == 20);
    CHECK(refused == 20);
}

}  // namespace uovo::schedule::schedule_oracle_test
