#include <nlohmann/json.hpp>

#include "core/material/material.h"
#include "core/quantity/catalogue.h"

namespace uovo::material {
namespace {

using nlohmann::json;

Constant readConstant(const json& j) {
    Constant c;
    c.value = j.at("value").get<double>();
    c.low = j.value("low", c.value);
    c.high = j.value("high", c.value);
    c.unit = j.at("unit").get<std::string>();
    c.source = j.at("source").get<std::string>();
    return c;
}

Constants readConstants(const json& j) {
    Constants out;
    for (const auto& [name, value] : j.items()) out[name] = readConstant(value);
    return out;
}

Dimension dimensionOf(const std::string& name) {
    if (name == "temperature") return Dimension::Temperature;
    if (name == "mass") return Dimension::Mass;
    if (name == "duration") return Dimension::Duration;
    if (name == "length") return Dimension::Length;
    return Dimension::Volume;
}

Cause readCause(const json& j) {
    const Check usual;
    return {j.at("id"),
            j.at("words"),
            j.at("usual"),
            j.at("makes"),
            j.value("evidence", ""),
            j.value("change", ""),
            j.at("advice"),
            {j.at("check"), j.value("ifSo", usual.ifSo), j.value("ifNot", usual.ifNot), j.value("cost", usual.cost)}};
}

Fault readFault(const json& j) {
    Fault out{j.at("id"), j.at("name"), j.at("about"), j.at("of"), {}};
    for (const auto& c : j.at("causes")) out.causes.push_back(readCause(c));
    return out;
}

}  // namespace

const Chocolate* Library::find(const std::string& id) const {
    for (const auto& c : chocolates)
        if (c.id == id) return &c;
    return nullptr;
}

const Pot* Library::pot(const std::string& id) const {
    for (const auto& p : pots)
        if (p.id == id) return &p;
    return nullptr;
}

const Fault* Library::fault(const std::string& id) const {
    for (const auto& f : faults)
        if (f.id == id) return &f;
    return nullptr;
}

tl::expected<Library, Problem> readLibrary(const std::map<std::string, std::string>& files) {
    Library lib;
    std::string file;
    try {
        std::map<std::string, json> read;  // keeps what the loops below look into
        auto load = [&](const char* name) -> const json& {
            file = name;
            return read[name] = json::parse(files.at(name));
        };
        for (const auto& j : load("chocolates.json").at("chocolates")) {
            Chocolate c;
            c.id = j.at("id");
            c.name = j.at("name");
            c.look = j.at("look");
            c.kind = j.at("kind");
            c.constants = readConstants(j.at("constants"));
            c.allergens = j.at("allergens").get<std::vector<std::string>>();
            c.traces = j.at("traces").get<std::vector<std::string>>();
            c.packet = j.at("packet");
            c.bar = j.at("bar");
            lib.chocolates.push_back(std::move(c));
        }
        lib.physics = readConstants(load("physics.json").at("constants"));
        lib.formers = readConstants(load("formers.json").at("constants"));
        lib.decor = readConstants(load("decor.json").at("constants"));
        lib.learning = readConstants(load("learning.json").at("constants"));
        lib.strength = readConstants(load("strength.json").at("constants"));
        const json& kitchen = load("kitchen.json");
        lib.kitchen = readConstants(kitchen.at("constants"));
        for (const auto& j : kitchen.at("pots"))
            lib.pots.push_back({j.at("id"), j.at("name"), j.at("baseDiameter"), j.at("topDiameter"), j.at("height")});
        for (const auto& j : load("looks.json").at("looks"))
            lib.looks.push_back({j.at("phrase"), dimensionOf(j.at("dimension")), j.at("value"), j.at("spread"),
                                 j.value("perBar", false), j.value("perPacket", false)});
        for (const auto& [name, j] : load("tasks.json").at("tasks").items())
            lib.tasks[name] = {readConstant(j), j.value("perPiece", true)};
        for (const auto& j : load("cautions.json").at("cautions"))
            lib.cautions.push_back({j.at("id"), j.at("text"), j.at("when").get<std::vector<std::string>>()});
        for (const auto& j : load("fillings.json").at("fillings"))
            lib.fillings.push_back({j.at("id"), j.at("name"), j.at("words").get<std::vector<std::string>>(),
                                    readConstant(j.at("density")), j.at("make"), j.at("usableFrom"), j.at("usableTo"),
                                    j.value("perishable", true), j.value("egg", false), j.value("alcohol", false),
                                    j.value("share", 0.75), j.value("served", false)});
        for (const auto& j : load("faults.json").at("faults")) lib.faults.push_back(readFault(j));
    } catch (const std::exception& e) {
        return tl::unexpected(Problem{tr("The data file ") + file + tr(" cannot be read: ") + e.what()});
    }
    return lib;
}

}  // namespace uovo::material
