#include "core/stages/cut_apart.h"

#include <fmt/format.h>

#include <algorithm>

#include "core/quantity/catalogue.h"
#include "core/quantity/free_name.h"
#include "core/quantity/words.h"

namespace uovo {

void cutApart(Plan& plan, const std::string& id, const mold::Branches& apart) {
    if (apart.branches.size() < 2) return;
    for (auto& piece : plan.pieces) {
        if (piece.id != id) continue;
        std::vector<double> volumes;
        volumes.reserve(apart.branches.size());
        for (const auto& b : apart.branches) volumes.push_back(form::volume(b.mesh));
        const size_t body = static_cast<size_t>(std::ranges::max_element(volumes) - volumes.begin());
        const std::string base = piece.shape.mesh.empty() ? piece.name : piece.shape.mesh;
        form::Part whole = form::usual(form::kAssembly);
        whole.items.clear();
        whole.joints.clear();
        form::Vec3 middle = form::centroid(apart.branches[body].mesh);
        std::vector<std::string> keys;
        for (size_t k = 0, number = 0; k < apart.branches.size(); ++k) {
            form::PartItem item;
            item.name = k == body ? tr("Body") : say("Branch {}", ++number);
            item.key = k == body ? "body" : fmt::format("branch-{}", number);
            item.part = form::usual("mesh");
            item.part.choices = {};
            if (const auto it = piece.shape.choices.find("mold"); it != piece.shape.choices.end())
                item.part.choices["mold"] = it->second;
            const std::string name = freeName(fmt::format("{}, {}", base, lowerFirst(item.name)), " ",
                                              [&](const auto& n) { return plan.meshes.contains(n); });
            plan.meshes[name] = std::make_shared<const form::Mesh>(apart.branches[k].mesh);
            item.part.mesh = name;
            const form::Vec3 away = form::centroid(apart.branches[k].mesh) - middle;
            item.apart = {0.6 * away.x, 0.6 * away.y, 0.6 * away.z};
            keys.push_back(item.key);
            whole.items.push_back(std::move(item));
        }
        for (const auto& c : apart.cuts) {
            form::PartJoint joint;
            joint.a = keys[c.above];
            joint.b = keys[c.below];
            joint.length = Measure(c.line);
            const auto named = [&](size_t k) { return lowerFirst(whole.items[k].name); };
            joint.words = fmt::format("{} on {}", named(c.above), named(c.below));
            whole.joints.push_back(std::move(joint));
        }
        // the body stands first: what is glued to it comes after
        std::stable_partition(whole.items.begin(), whole.items.end(), [](const auto& i) { return i.key == "body"; });
        piece.shape = std::move(whole);
        piece.complete();
    }
}

}  // namespace uovo
