// What is learned says of a piece that is not made yet, and what to measure next.
#pragma once
#include "core/learn/calibrate.h"

namespace uovo::learn {

struct Band {
    double low = 0, likely = 0, high = 0;  ///< 5, 50 and 95 %
};

struct Forecast {
    std::string piece;
    Band mass;  ///< kg of the coats of one
    Band rim;   ///< m
    Band firm;  ///< s after the last coat until it is firm where it sets last
};

/// One whole piece of a plan, of a bag that is open or a new one, on an evening to come.
/// Thirty-two draws of all that is not known, whitened; the model is run for each. An unknown has the same draws in
/// every forecast: what differs between two is what was learned.
/// @param bag empty: a new one @returns nothing where its wall does not come from coats, or when stopped
std::optional<Forecast> forecast(const Learned& known, const Piece& piece, const Plan& plan,
                                 const material::Library& library, const std::string& bag = {},
                                 std::stop_token stop = {});

/// The likeliest figures of a chocolate, its kitchen and its cook for an evening to come.
Shift likely(const Learned& known, const std::string& chocolate, const material::Library& library,
             const std::string& bag = {});

/// A measurement that is worth making.
struct Worth {
    std::string piece;  ///< id; empty: a spoonful
    std::string chocolate;
    double narrows = 0;  ///< share by which it narrows what is not known of the plan's grams, 0–1
};

/// All measurements that could be made of a plan, the best first: each piece weighed after its first coat, a spoonful
/// of each chocolate. Linear in what is not known.
std::vector<Worth> worthMeasuring(const Learned& known, const Plan& plan, const material::Library& library,
                                  std::stop_token stop = {});

}  // namespace uovo::learn
