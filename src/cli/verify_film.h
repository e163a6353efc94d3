// Film flow against closed forms: plates, hemispheres, puddles.
#pragma once
#include "core/coat/film.h"

namespace uovo::cli::film {

/// A fluid without heat: Casson with constant figures (Newton when tau0 = 0).
material::Coating fluid(double rho, double eta, double tau0);

double fluxError(bool casson, double G, double h, double tau0, double eta);  ///< relative, against quadrature
double jeffreysError(int cells);                                             ///< relative L1 on a draining plate
double cassonPlateMiddle();             ///< m, thickness at the middle of the plate
double hemispherePole(bool curvature);  ///< m
double hemisphereProfileError();        ///< relative L1 against the similarity solution
double puddleError();                   ///< relative L1 against the yield parabola
double massError(int seed);             ///< relative, over a random schedule
double leastFilm(int seeds);            ///< smallest mobile volume ever, m
double ballThickness(double share);     ///< of the radius

}  // namespace uovo::cli::film
