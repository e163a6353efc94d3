// CalculiX as an independent witness: the same triangles as its six-node shells, the same corner forces.
#pragma once
#include <array>
#include <cstdio>
#include <cstdlib>
#include <filesystem>
#include <fstream>
#include <map>
#include <sstream>
#include <string>

#include "core/shell/load.h"

namespace uovo::test {

inline bool haveCalculix() { return std::system("command -v ccx >/dev/null 2>&1") == 0; }

/// Shifts of the corners as CalculiX finds them; empty when it did not run. Supports may fix shifts only.
inline std::vector<form::Vec3> calculix(const shell::Model& m, const std::vector<shell::Support>& supports,
                                        const shell::Freedoms& load, const std::string& name) {
    namespace fs = std::filesystem;
    const fs::path folder = fs::temp_directory_path() / ("uovo-ccx-" + name + "-" + std::to_string(::getpid()));
    fs::create_directories(folder);
    std::ofstream f(folder / "job.inp");
    f.precision(12);
    f << "*NODE, NSET=ALL\n";
    for (size_t i = 0; i < m.points.size(); ++i)
        f << i + 1 << ", " << m.points[i].x << ", " << m.points[i].y << ", " << m.points[i].z << "\n";
    std::map<std::pair<int, int>, size_t> middle;
    std::ostringstream elements, mids, thick;
    thick.precision(12);
    for (size_t i = 0; i < m.points.size(); ++i) thick << i + 1 << ", " << m.thickness[i] << "\n";
    size_t next = m.points.size();
    mids.precision(12);
    for (size_t k = 0; k < m.triangles.size(); ++k) {
        const auto& t = m.triangles[k];
        std::array<size_t, 3> mid{};
        for (size_t i = 0; i < 3; ++i) {
            const auto edge = std::minmax(t[i], t[(i + 1) % 3]);
            auto [it, fresh] = middle.try_emplace(edge, next + 1);
            if (fresh) {
                ++next;
                const auto a = static_cast<size_t>(edge.first), b = static_cast<size_t>(edge.second);
                const auto p = (m.points[a] + m.points[b]) * 0.5;
                mids << next << ", " << p.x << ", " << p.y << ", " << p.z << "\n";
                thick << next << ", " << 0.5 * (m.thickness[a] + m.thickness[b]) << "\n";
            }
            mid[i] = it->second;
        }
        elements << k + 1 << ", " << t[0] + 1 << ", " << t[1] + 1 << ", " << t[2] + 1 << ", " << mid[0] << ", "
                 << mid[1] << ", " << mid[2] << "\n";
    }
    f << mids.str() << "*ELEMENT, TYPE=S6, ELSET=WALL\n" << elements.str();
    f << "*MATERIAL, NAME=CHOC\n*ELASTIC\n" << m.material.young << ", " << m.material.poisson << "\n";
    f << "*NODAL THICKNESS\n" << thick.str() << "*SHELL SECTION, ELSET=WALL, MATERIAL=CHOC, NODAL THICKNESS\n0.001\n";
    f << "*STEP\n*STATIC\n*BOUNDARY\n";
    for (const auto& s : supports)
        for (int c = 0; c < 3; ++c)
            if ((s.fixed >> c) & 1u) f << s.point + 1 << ", " << c + 1 << ", " << c + 1 << "\n";
    f << "*CLOAD\n";
    for (size_t i = 0; i < m.points.size(); ++i)
        for (size_t c = 0; c < 3; ++c)
            if (load[6 * i + c] != 0) f << i + 1 << ", " << c + 1 << ", " << load[6 * i + c] << "\n";
    f << "*NODE PRINT, NSET=ALL\nU\n*END STEP\n";
    f.close();
    const std::string run = "cd " + folder.string() + " && ccx job > log.txt 2>&1";
    std::vector<form::Vec3> out;
    if (std::system(run.c_str()) == 0) {
        std::ifstream dat(folder / "job.dat");
        std::string line;
        out.assign(m.points.size(), {});
        size_t read = 0;
        while (std::getline(dat, line)) {
            std::istringstream words(line);
            size_t node = 0;
            form::Vec3 u;
            if (words >> node >> u.x >> u.y >> u.z && node >= 1 && node <= out.size()) {
                out[node - 1] = u;
                ++read;
            }
        }
        if (read < out.size()) out.clear();
    }
    fs::remove_all(folder);
    return out;
}

}  // namespace uovo::test
