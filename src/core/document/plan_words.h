// The words of a plan's file: one table for its reader and its writer.
#pragma once
#include "core/document/plan.h"

namespace uovo {

template <class E>
struct Word {
    E value;
    const char* word;
};
template <class E, size_t N>
const char* wordOf(E value, const Word<E> (&words)[N]) {
    for (const auto& w : words)
        if (w.value == value) return w.word;
    return "";
}

constexpr Word<coat::Way> kWays[]{{coat::Way::Dip, "dip"},
                                  {coat::Way::Pour, "pour"},
                                  {coat::Way::Brush, "brush"},
                                  {coat::Way::Turn, "turn"},
                                  {coat::Way::Press, "press"}};
constexpr Word<coat::Rest> kRests[]{
    {coat::Rest::Upright, "upright"}, {coat::Rest::Inverted, "inverted"}, {coat::Rest::Hung, "hung"}};
constexpr Word<coat::Place> kPlaces[]{
    {coat::Place::Table, "table"}, {coat::Place::Fridge, "fridge"}, {coat::Place::Freezer, "freezer"}};
constexpr Word<coat::Where> kWheres[]{
    {coat::Where::All, "all"}, {coat::Where::Rim, "rim"}, {coat::Where::Foot, "foot"}, {coat::Where::Spots, "spots"}};
constexpr Word<coat::Motion> kMotions[]{{coat::Motion::Still, "still"},
                                        {coat::Motion::Spin, "spin"},
                                        {coat::Motion::Over, "over"},
                                        {coat::Motion::Side, "side"}};
constexpr Word<Handling::Release> kReleases[]{{Handling::Release::Slowly, "slowly"},
                                              {Handling::Release::Burst, "burst"}};
constexpr Word<Handling::Lift> kLifts[]{{Handling::Lift::Usual, "usual"},
                                        {Handling::Lift::Hand, "hand"},
                                        {Handling::Lift::Fingers, "two fingers"},
                                        {Handling::Lift::Below, "below"}};
constexpr Word<Handling::Carry> kCarries[]{
    {Handling::Carry::Foot, "foot"}, {Handling::Carry::Rim, "rim"}, {Handling::Carry::Handle, "handle"}};
constexpr Word<Sits> kSits[]{{Sits::Flat, "flat"}, {Sits::Ring, "ring"}, {Sits::Lumps, "three lumps"}};
constexpr Word<material::Temper> kTempers[]{{material::Temper::Tempered, "tempered"},
                                            {material::Temper::Untempered, "untempered"}};
constexpr Word<material::Thinner> kThinners[]{{material::Thinner::None, "none"},
                                              {material::Thinner::CocoaButter, "cocoa butter"},
                                              {material::Thinner::VegetableOil, "vegetable oil"}};
constexpr Word<temper::Method> kMethods[]{
    {temper::Method::Seed, "seed"},       {temper::Method::Butter, "cocoa butter crystals"},
    {temper::Method::Curve, "curve"},     {temper::Method::Bursts, "partial melt"},
    {temper::Method::Machine, "machine"}, {temper::Method::None, "none"}};
constexpr Word<temper::Vessel> kVessels[]{
    {temper::Vessel::Light, "light"}, {temper::Vessel::Glass, "glass"}, {temper::Vessel::Stoneware, "stoneware"}};
constexpr Word<temper::Heat> kHeats[]{{temper::Heat::Microwave, "microwave"}, {temper::Heat::WaterBath, "water bath"}};
constexpr Word<Ingredient::By> kBys[]{
    {Ingredient::By::Mass, "mass"}, {Ingredient::By::Volume, "volume"}, {Ingredient::By::Count, "count"}};
constexpr Word<InsertStep::What> kInserts[]{{InsertStep::What::Stick, "stick"},
                                            {InsertStep::What::Biscuit, "biscuit"},
                                            {InsertStep::What::Thing, "thing"},
                                            {InsertStep::What::Piece, "piece"},
                                            {InsertStep::What::Core, "core"}};
constexpr Word<TopStep::When> kWhens[]{
    {TopStep::When::Wet, "wet"}, {TopStep::When::Tacky, "tacky"}, {TopStep::When::Glued, "glued"}};
constexpr Word<DecorateStep::Way> kDecorations[]{
    {DecorateStep::Way::Drizzle, "drizzle"}, {DecorateStep::Way::Paint, "paint"},
    {DecorateStep::Way::Spray, "spray"},     {DecorateStep::Way::Dust, "dust"},
    {DecorateStep::Way::Stencil, "stencil"}, {DecorateStep::Way::Ribbon, "ribbon"},
    {DecorateStep::Way::Scrape, "scrape"},   {DecorateStep::Way::Splatter, "splatter"},
    {DecorateStep::Way::Marble, "marble"},   {DecorateStep::Way::Gild, "gild"},
    {DecorateStep::Way::Paste, "paste"},     {DecorateStep::Way::Edge, "edge"},
    {DecorateStep::Way::Flood, "flood"},     {DecorateStep::Way::Grain, "grain"},
    {DecorateStep::Way::Petals, "petals"},   {DecorateStep::Way::Tilt, "tilt"},
    {DecorateStep::Way::Bow, "bow"},         {DecorateStep::Way::Strips, "strips"}};
constexpr Word<StoreStep::Where> kStores[]{{StoreStep::Where::Box, "box"}, {StoreStep::Where::Fridge, "fridge"}};
constexpr Word<ServeStep::How> kServings[]{{ServeStep::How::Sauce, "sauce"},
                                           {ServeStep::How::Drink, "drink"},
                                           {ServeStep::How::Mallet, "mallet"},
                                           {ServeStep::How::Flame, "flame"}};
constexpr Word<DayWish::Aim> kAims[]{{DayWish::Aim::Late, "late"},
                                     {DayWish::Aim::Early, "early"},
                                     {DayWish::Aim::FewTemperings, "few temperings"},
                                     {DayWish::Aim::Calm, "calm"},
                                     {DayWish::Aim::ShortSpells, "short spells"},
                                     {DayWish::Aim::FreeEvening, "free evening"}};
constexpr Word<UnitSystem> kUnits[]{{UnitSystem::Metric, "metric"}, {UnitSystem::US, "US"}};

/// What a step is called in a file, in the order of `Step`.
constexpr const char* kSteps[]{"coat", "cast", "insert", "top",      "set",   "release", "trim",
                               "join", "fill", "lid",    "decorate", "store", "serve"};
static_assert(std::size(kSteps) == std::variant_size_v<Step>);

}  // namespace uovo
