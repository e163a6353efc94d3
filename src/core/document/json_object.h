// One JSON object of a plan's file while it is read; inside the readers only.
#pragma once
#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <nlohmann/json.hpp>

#include "core/document/limits.h"
#include "core/document/plan_words.h"
#include "core/quantity/catalogue.h"

namespace uovo {

using json = nlohmann::ordered_json;

/// Stops the reading of a plan; never leaves the readers.
struct Refusal {
    std::string sentence, pointer;
};

/// One JSON object being read: remembers which keys were known so that the rest can be kept.
class Object {
public:
    Object(const json& j, std::string pointer) : j_(j), pointer_(std::move(pointer)) {
        if (!j.is_object())
            refuse(pointer_.empty()
                       ? tr("A plan is an object in braces.")
                       : say("“{}” must be an object in braces.", pointer_.substr(pointer_.rfind('/') + 1)),
                   pointer_);
    }
    [[noreturn]] static void refuse(std::string sentence, const std::string& pointer) {
        throw Refusal{std::move(sentence), pointer};
    }

    const json* find(const char* key) {
        known_.push_back(key);
        const auto it = j_.find(key);
        return it == j_.end() ? nullptr : &*it;
    }
    std::string at(const char* key) const { return pointer_ + "/" + key; }
    void text(const char* key, std::string& out) {
        if (const json* v = find(key)) {
            if (!v->is_string()) refuse(say("“{}” must be a text.", key), at(key));
            out = v->get<std::string>();
            if (out.size() > limits::kText) refuse(say("“{}” is too long.", key), at(key));
        }
    }
    void number(const char* key, double& out) {
        if (const json* v = find(key)) {
            if (!v->is_number()) refuse(say("“{}” must be a number.", key), at(key));
            out = v->get<double>();
        }
    }
    void whole(const char* key, int& out) {
        if (const json* v = find(key)) {
            if (!v->is_number()) refuse(say("“{}” must be a whole number.", key), at(key));
            const double d = v->get<double>();
            if (d != std::floor(d) || std::abs(d) > 1e9) refuse(say("“{}” must be a whole number.", key), at(key));
            out = static_cast<int>(d);
        }
    }
    void yesNo(const char* key, bool& out) {
        if (const json* v = find(key)) {
            if (!v->is_boolean()) refuse(say("“{}” must be true or false.", key), at(key));
            out = v->get<bool>();
        }
    }
    void measure(const char* key, Measure& out) {
        if (const json* v = find(key)) readMeasure(*v, at(key), out);
    }
    static void readMeasure(const json& v, const std::string& pointer, Measure& out) {
        if (v.is_number()) {
            out = Measure(v.get<double>());
            return;
        }
        const std::string name = pointer.substr(pointer.rfind('/') + 1);
        Object m(v, pointer);
        out = {};
        if (!v.contains("si")) refuse(say("“{}” has no “si”.", name), pointer);
        m.number("si", out.value);
        m.number("spread", out.spread);
        m.text("text", out.typed);
        out.extra = m.extra();
        if (!(out.spread >= 0)) refuse(say("The spread of “{}” is below zero.", name), pointer);
    }
    /// A list of objects, of at most so many; `read` gets each of them.
    template <class F>
    void rows(const char* key, size_t most, const F& read) {
        const json* list = find(key);
        if (!list) return;
        if (!list->is_array() || list->size() > most)
            refuse(say("“{}” must be a list, of at most {}.", key, most), at(key));
        for (size_t i = 0; i < list->size(); ++i) {
            Object row((*list)[i], fmt::format("{}/{}", at(key), i));
            read(row);
        }
    }
    template <class E, size_t N>
    void word(const char* key, E& out, const Word<E> (&words)[N]) {
        const json* v = find(key);
        if (!v) return;
        for (const auto& w : words)
            if (v->is_string() && v->get<std::string>() == w.word) {
                out = w.value;
                return;
            }
        std::string list;
        for (const auto& w : words) list += (list.empty() ? "" : ", ") + std::string(w.word);
        refuse(say("“{}” must be one of: {}.", key, list), at(key));
    }
    std::string extra() const {
        json rest = json::object();
        for (const auto& [key, value] : j_.items())
            if (std::find(known_.begin(), known_.end(), key) == known_.end()) rest[key] = value;
        return rest.empty() ? std::string() : rest.dump();
    }
    const std::string& pointer() const { return pointer_; }

private:
    const json& j_;
    std::string pointer_;
    std::vector<std::string> known_;
};

/// A shape of any family: its figures as measures, its choices as words; an assembly's items and joints.
form::Part readPart(Object& o, const std::string& kind);
/// The family a former names. @returns its id
std::string readKind(Object& former);
std::shared_ptr<const form::Mesh> readMesh(const json& j, const std::string& pointer, std::string& extra);

PlannedCoat readCoat(Object& o);
CastStep readCast(Object& o);
Step readStep(const json& j, const std::string& pointer);

}  // namespace uovo
