// Steps of a making read from JSON.
#include "core/document/json_object.h"
#include "core/quantity/catalogue.h"

namespace uovo {

PlannedCoat readCoat(Object& o) {
    PlannedCoat c;
    o.text("chocolate", c.chocolate);
    o.text("item", c.item);
    o.word("way", c.way, kWays);
    o.measure("temperature", c.temperature);
    o.measure("drain", c.drain);
    o.measure("brushMass", c.brushMass);
    o.word("where", c.where, kWheres);
    if (const json* spots = o.find("spots")) {
        if (!spots->is_array() || spots->size() > limits::kSpots)
            Object::refuse(say("“spots” must be a list of places, at most {}.", limits::kSpots), o.at("spots"));
        for (const auto& s : *spots) {
            if (!s.is_array() || s.size() != 4 ||
                !std::all_of(s.begin(), s.end(), [](const json& v) { return v.is_number(); }))
                Object::refuse(tr("A spot has a place, three numbers, and its strokes."), o.at("spots"));
            c.spots.push_back({{s[0].get<double>(), s[1].get<double>(), s[2].get<double>()}, s[3].get<double>()});
            if (!(c.spots.back().weight > 0 && c.spots.back().weight < 1e6))
                Object::refuse(tr("A spot is stroked more than never."), o.at("spots"));
        }
    }
    o.measure("fill", c.fill);
    o.word("motion", c.motion, kMotions);
    o.measure("moveFor", c.moveFor);
    o.measure("moveEvery", c.moveEvery);
    o.word("moveIn", c.moveIn, kPlaces);
    o.measure("tap", c.tap);
    o.yesNo("scrape", c.scrape);
    o.word("rest", c.rest, kRests);
    o.measure("delay", c.delay);
    o.word("place", c.place, kPlaces);
    o.measure("stay", c.stay);
    c.extra = o.extra();
    return c;
}

CastStep readCast(Object& o) {
    CastStep c;
    o.text("chocolate", c.chocolate);
    o.text("item", c.item);
    o.measure("share", c.share);
    o.measure("temperature", c.temperature);
    o.measure("table", c.table);
    o.word("place", c.place, kPlaces);
    c.extra = o.extra();
    return c;
}

namespace {

InsertStep readInsert(Object& o) {
    InsertStep s;
    o.word("what", s.what, kInserts);
    o.text("name", s.name);
    o.text("piece", s.piece);
    o.whole("each", s.each);
    o.measure("mass", s.mass);
    o.text("allergens", s.allergens);
    o.text("item", s.item);
    s.extra = o.extra();
    return s;
}

TopStep readTop(Object& o) {
    TopStep s;
    o.text("topping", s.topping);
    o.measure("each", s.each);
    o.word("when", s.when, kWhens);
    o.text("item", s.item);
    s.extra = o.extra();
    return s;
}

JoinStep readJoin(Object& o) {
    JoinStep s;
    if (const json* order = o.find("order")) {
        if (!order->is_array() || order->size() > limits::kItems)
            Object::refuse(say("“order” must be a list of parts, at most {}.", limits::kItems), o.at("order"));
        for (const auto& key : *order) {
            if (!key.is_string()) Object::refuse(tr("“order” names parts by their keys."), o.at("order"));
            s.order.push_back(key.get<std::string>());
        }
    }
    s.extra = o.extra();
    return s;
}

FillStep readFill(Object& o) {
    FillStep s;
    o.text("filling", s.filling);
    o.measure("each", s.each);
    o.measure("share", s.share);
    o.measure("chill", s.chill);
    o.yesNo("served", s.served);
    s.extra = o.extra();
    return s;
}

DecorateStep readDecorate(Object& o) {
    DecorateStep s;
    o.word("way", s.way, kDecorations);
    o.text("chocolate", s.chocolate);
    o.text("name", s.name);
    o.measure("mass", s.mass);
    o.measure("dry", s.dry);
    o.measure("every", s.every);
    o.measure("line", s.line);
    o.measure("width", s.width);
    o.measure("thick", s.thick);
    o.number("cover", s.cover);
    o.whole("times", s.times);
    o.text("item", s.item);
    s.extra = o.extra();
    return s;
}

}  // namespace

Step readStep(const json& j, const std::string& pointer) {
    Object o(j, pointer);
    std::string what;
    o.text("do", what);
    const auto found = std::find(std::begin(kSteps), std::end(kSteps), what) - std::begin(kSteps);
    const auto plain = [&](auto step) -> Step {
        step.extra = o.extra();
        return step;
    };
    switch (found) {
        case 0:
            return readCoat(o);
        case 1:
            return readCast(o);
        case 2:
            return readInsert(o);
        case 3:
            return readTop(o);
        case 4: {
            SetStep s;
            o.word("place", s.place, kPlaces);
            o.measure("stay", s.stay);
            return plain(s);
        }
        case 5:
            return plain(ReleaseStep{});
        case 6:
            return plain(TrimStep{});
        case 7:
            return readJoin(o);
        case 8:
            return readFill(o);
        case 9: {
            LidStep s;
            o.measure("depth", s.depth);
            return plain(s);
        }
        case 10:
            return readDecorate(o);
        case 11: {
            StoreStep s;
            o.word("where", s.where, kStores);
            return plain(s);
        }
        case 12: {
            ServeStep s;
            o.word("how", s.how, kServings);
            o.text("name", s.name);
            o.measure("amount", s.amount);
            return plain(s);
        }
    }
    std::string list;
    for (const char* s : kSteps) list += (list.empty() ? "" : ", ") + std::string(s);
    Object::refuse(say("A step's “do” must be one of: {}.", list), o.at("do"));
}

}  // namespace uovo
