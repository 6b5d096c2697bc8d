/* The drying solve in plain C, step for step as packages/core/src/film/drying.ts: what the compiler makes of the same arithmetic. */
#include <math.h>
#include <stdio.h>
#include <stdlib.h>
#include <time.h>

#define CELLS 24
#define GAS 8.314462618

static const double ln_dry = -33.845630770230535, ln_span = 12.206072645530174, bend = 0.24; /* ln 2e-15, ln(4e-10/2e-15) */
static double solids_m[CELLS], held[2][CELLS], before[2][CELLS], solids[CELLS], cure[CELLS];
static double mobility[CELLS], face[CELLS], upper[CELLS], right_side[CELLS];
static double surface[2], temperature_c = 21;
static const double molar_volume[2] = {118e-6, 135e-6}, density[2] = {870, 930}, latent[2] = {0.4e6, 0.37e6}, mobile[2] = {1, 0.55};
static const double p20[2] = {3100, 200}, heat[2] = {40000, 46000}, carries[2] = {0.0029749, 0.0025642};

static double diffusivity(double volatile_share, double cold, double cured) {
  double g = (1 + bend) * volatile_share / (volatile_share + bend);
  return exp(ln_dry + ln_span * g - (15e3 + 75e3 * (1 - g)) * cold - 3 * cured);
}
static void update_solids(void) {
  for (int i = 0; i < CELLS; i++) solids[i] = 1 / (1 + held[0][i] + held[1][i]);
}
static double solve_one(int c, double seconds, double half_all, double at_surface) {
  int last = CELLS - 1;
  double per_second = 1 / seconds, kelvin = temperature_c + 273.15;
  double pressure = exp(log(p20[c]) - heat[c] / GAS * (1 / kelvin - 1 / 293.15));
  double drive = carries[c] * molar_volume[c] / (GAS * kelvin) * pressure * at_surface * exp(at_surface + 0.45 * at_surface * at_surface);
  double half = mobile[c] * half_all, leaves = half / (half + drive);
  double below = 0, share_below = 0, right_below = 0;
  for (int i = 0; i < last; i++) {
    double stays = solids_m[i] * per_second, above = mobile[c] * face[i];
    double inverse = 1 / (stays + below + above - below * share_below);
    share_below = above * inverse;
    right_below = (stays * before[c][i] + below * right_below) * inverse;
    upper[i] = share_below;
    right_side[i] = right_below;
    below = above;
  }
  double stays = solids_m[last] * per_second;
  double above = (stays * before[c][last] + below * right_below) / (stays + below + leaves * drive - below * share_below);
  double uppermost = above;
  held[c][last] = above;
  for (int i = last - 1; i >= 0; i--) held[c][i] = above = right_side[i] + upper[i] * above;
  surface[c] = 0.5 * (surface[c] + half * uppermost / (half + drive));
  return leaves * drive * uppermost;
}
static void step(double seconds) {
  double flux[2], before_c = temperature_c;
  for (int c = 0; c < 2; c++)
    for (int i = 0; i < CELLS; i++) before[c][i] = held[c][i];
  for (int round = 0; round < 2; round++) {
    double cold = (1 / (temperature_c + 273.15) - 1 / 293.15) / GAS;
    if (round > 0) update_solids();
    for (int i = 0; i < CELLS; i++) mobility[i] = diffusivity(1 - solids[i], cold, cure[i]) * solids[i] * solids[i];
    for (int i = 0; i < CELLS - 1; i++) face[i] = 2 * sqrt(mobility[i] * mobility[i + 1]) / (solids_m[i] + solids_m[i + 1]);
    double at_surface = 1 / (1 + surface[0] + surface[1]);
    double at_top = diffusivity(1 - at_surface, cold, cure[CELLS - 1]) * at_surface * at_surface;
    double half = 2 * sqrt(at_top * mobility[CELLS - 1]) / solids_m[CELLS - 1];
    double cools = 0;
    for (int c = 0; c < 2; c++) {
      flux[c] = solve_one(c, seconds, half, at_surface);
      cools += flux[c] * density[c] * latent[c];
    }
    double inertia = 2900 / seconds;
    temperature_c = (inertia * before_c + 11.8 * 21 - cools) / (inertia + 11.8);
  }
  update_solids();
}
int main(int argc, char **argv) {
  int steps = argc > 1 ? atoi(argv[1]) : 100000;
  struct timespec a, b;
  double left = 0;
  clock_gettime(CLOCK_MONOTONIC, &a);
  for (int done = 0; done < steps;) {
    temperature_c = 21;
    for (int i = 0; i < CELLS; i++) {
      solids_m[i] = 3.4e-6 * pow(0.72, i % 8);
      held[0][i] = 0.48;
      held[1][i] = 0.53;
      cure[i] = 0;
    }
    surface[0] = 0.48;
    surface[1] = 0.53;
    update_solids();
    for (int s = 0; s < 300 && done < steps; s++, done++) step(0.1 * (s + 1));
    left += held[0][0];
  }
  clock_gettime(CLOCK_MONOTONIC, &b);
  printf("%.3f %.17g\n", ((b.tv_sec - a.tv_sec) * 1e9 + (b.tv_nsec - a.tv_nsec)) / steps, left);
}
