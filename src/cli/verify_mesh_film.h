// The film on a mesh against closed forms.
#pragma once

namespace uovo::cli::film {

/// Pole of the upper hemisphere (R 60 mm, 3 mm, 3 Pa·s, 1270 kg/m³) after 60 s on a mesh, m.
double meshHemispherePole(double triangles, bool curvature);
/// Middle of a vertical Casson plate (0.1 m, 5 mm, tau0 8, eta 3) after 1e4 s on a mesh, m.
double meshCassonPlateMiddle();
/// Flux round a rotating horizontal cylinder at the mean thickness 0.60, in Moffatt's units: mean, or half its range.
double rotatingCylinderFlux(bool range);
/// Whether a cylinder loaded above the limit W = 4.44272 throws its excess off: largest flux in Moffatt's units.
double overloadedCylinderFlux();
/// Thickness of a closed ball a share full, swirled evenly, over its radius, on a mesh.
double meshBallThickness(double share);
/// Largest relative mass error of random schedules of turns, taps, pools and coats on a mesh.
double meshMassError(int schedules);
/// Least mobile film of the same, m.
double meshLeastFilm(int schedules);
/// Largest relative change of any cell's wall when piece and gravity are turned together.
double meshTurnedTogether();

}  // namespace uovo::cli::film
