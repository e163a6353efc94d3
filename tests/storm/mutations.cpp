#include <nlohmann/json.hpp>

#include "storm/storm.h"

namespace uovo::storm {
namespace {

using json = nlohmann::ordered_json;

json strangeValue(Random& r) {
    switch (below(r, 16)) {
        case 0:
            return nullptr;
        case 1:
            return true;
        case 2:
            return "";
        case 3:
            return std::string(static_cast<size_t>(below(r, 20000)), 'a');
        case 4:
            return "\xF0\x9F\x8D\xAB\u202E../../etc";
        case 5:
            return -1;
        case 6:
            return 0;
        case 7:
            return 1e308;
        case 8:
            return -1e-308;
        case 9:
            return 9007199254740993LL;
        case 10:
            return json::array();
        case 11:
            return json::object();
        case 12:
            return json::array({1, json::array({2, json::object()})});
        case 13:
            return json{{"si", 3}, {"spread", -1}};
        case 14:
            return json{{"si", "three"}};
        default:
            return share(r) * 2 - 1;
    }
}

/// A random place in a document: its parent and key.
json* descend(json& j, Random& r, int stop) {
    json* at = &j;
    while (at->is_structured() && !at->empty() && stop-- > 0) {
        if (at->is_array() && at->size() > 400) return at;  // the corners of models are one place
        auto it = at->begin();
        std::advance(it, below(r, static_cast<int>(at->size())));
        at = &*it;
    }
    return at;
}

void bytes(std::string& text, Random& r) {
    const auto place = [&] { return text.empty() ? 0 : static_cast<size_t>(r() % text.size()); };
    switch (below(r, 6)) {
        case 0:
            text.resize(place());
            break;
        case 1:
            for (int i = 1 + below(r, 20); i > 0 && !text.empty(); --i) text[place()] = static_cast<char>(r());
            break;
        case 2:
            text.insert(place(), std::string(static_cast<size_t>(1 + below(r, 3000)), "[{\"\\0,"[below(r, 6)]));
            break;
        case 3:
            text.erase(place(), static_cast<size_t>(below(r, 200)));
            break;
        case 4:
            text.insert(place(), text.substr(place(), static_cast<size_t>(below(r, 5000))));
            break;
        case 5:
            text.insert(0, any<std::string>(r, {"\xEF\xBB\xBF", "{", std::string(1, '\0'), " "}));
            break;
    }
}

}  // namespace

std::string mutated(const std::string& text, Random& r) {
    json j = json::parse(text);
    for (int n = 1 + below(r, 4); n > 0; --n) {
        json* at = descend(j, r, 1 + below(r, 8));
        switch (below(r, 6)) {
            case 0:
                *at = strangeValue(r);
                break;
            case 1:
                if (at->is_structured() && !at->empty()) {
                    auto it = at->begin();
                    std::advance(it, below(r, static_cast<int>(at->size())));
                    at->erase(it);
                }
                break;
            case 2:
                if (at->is_object())
                    (*at)[any<std::string>(r, {"x-mine", "si", "kind", "text", "id", "coats"})] = strangeValue(r);
                break;
            case 3:
                if (at->is_array() && !at->empty() && at->size() < 100) {
                    const json again = (*at)[static_cast<size_t>(below(r, static_cast<int>(at->size())))];
                    for (int k = 1 + below(r, 30); k > 0; --k) at->push_back(again);
                }
                break;
            case 4: {
                const json other = *descend(j, r, 6);  // something of another place
                if (other.dump(-1, ' ', false, json::error_handler_t::replace).size() < 20000) *at = other;
                break;
            }
            case 5:
                if (at->is_number()) *at = at->get<double>() * any<double>(r, {-1, 0, 10, 1e3, 1e-6, 1e12});
                break;
        }
    }
    std::string out = j.dump(chance(r, 0.5) ? 2 : -1, ' ', false, json::error_handler_t::replace);
    if (chance(r, 0.3)) bytes(out, r);
    return out;
}

}  // namespace uovo::storm
