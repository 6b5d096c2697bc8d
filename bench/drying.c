/* The drying solve in plain C, step for step as packages/core/src/film/drying.ts: what the compiler makes of the same arithmetic. */
#include <math.h>
#include <stdio.h>
#include <stdlib.h>
#include <time.h>

#define CELLS 24
#define KINDS 3
#define GAS 8.314462618

static const double ln_dry = -34.094092129537205, ln_span = 12.206072645530174, bend = 0.24, pace = 0.78; /* ln(2e-15 pace), ln(4e-10/2e-15) */
static double solids_m[CELLS], per_span[CELLS], held[KINDS][CELLS], before[KINDS][CELLS], solids[CELLS], cure[CELLS];
static double root[CELLS], face[CELLS], upper[CELLS], right_side[CELLS];
static double surface[KINDS], flux[KINDS], temperature_c = 21;
static const double molar_volume[KINDS] = {118e-6, 128e-6, 135e-6}, density[KINDS] = {870, 890, 930};
static const double latent[KINDS] = {0.4e6, 0.385e6, 0.37e6}, mobile[KINDS] = {1, 0.8, 0.55};
static const double p20[KINDS] = {3100, 787, 200}, heat[KINDS] = {40000, 43000, 46000};
static const double carries[KINDS] = {0.0029749, 0.0027609, 0.0025642};

static void update_solids(void) {
  for (int i = 0; i < CELLS; i++) solids[i] = 1 / (1 + held[0][i] + held[1][i] + held[2][i]);
}
static double eliminate(int c, double per_second, double leaves, double drive) {
  int last = CELLS - 1;
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
  return uppermost;
}
static double step(double seconds) {
  double before_c = temperature_c;
  for (int c = 0; c < KINDS; c++)
    for (int i = 0; i < CELLS; i++) before[c][i] = held[c][i];
  for (int round = 0; round < 2; round++) {
    double kelvin = temperature_c + 273.15, cold = (1 / kelvin - 1 / 293.15) / GAS;
    if (round > 0) update_solids();
    double ln_base = 0.5 * (ln_dry - 90e3 * cold), per_g = 0.5 * (ln_span + 75e3 * cold) * (1 + bend);
    for (int i = 0; i < CELLS; i++) {
      double share = 1 - solids[i];
      root[i] = solids[i] * exp(ln_base + per_g * share / (share + bend) - 1.5 * cure[i] * cure[i]);
    }
    for (int i = 0; i < CELLS - 1; i++) face[i] = root[i] * root[i + 1] * per_span[i];
    double at_surface = 1 / (1 + surface[0] + surface[1] + surface[2]), share = 1 - at_surface, cured = cure[CELLS - 1];
    double top = exp(ln_base + per_g * share / (share + bend) - 1.5 * cured * cured) * at_surface;
    double half = 2 * top * root[CELLS - 1] / solids_m[CELLS - 1];
    double freely = at_surface * exp(at_surface + 0.45 * at_surface * at_surface), cools = 0;
    for (int c = 0; c < KINDS; c++) {
      double pressure = exp(log(p20[c]) - heat[c] / GAS * (1 / kelvin - 1 / 293.15));
      double drive = pace * carries[c] * molar_volume[c] / (GAS * kelvin) * pressure * freely, through = mobile[c] * half;
      double uppermost = eliminate(c, 1 / seconds, through / (through + drive), drive);
      surface[c] = 0.5 * (surface[c] + through * uppermost / (through + drive));
      flux[c] = through / (through + drive) * drive * uppermost;
      cools += flux[c] * density[c] * latent[c];
    }
    double inertia = 2900 / seconds;
    temperature_c = (inertia * before_c + 11.8 * 21 - cools) / (inertia + 11.8);
  }
  update_solids();
  double change = 0;
  for (int c = 0; c < KINDS; c++)
    for (int i = 0; i < CELLS; i++) {
      double moved = solids[i] * solids[i] * fabs(held[c][i] - before[c][i]);
      if (moved > change) change = moved;
    }
  return change;
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
      held[0][i] = 0.23;
      held[1][i] = 0.58;
      held[2][i] = 0.2;
      cure[i] = 0;
    }
    for (int i = 0; i < CELLS - 1; i++) per_span[i] = 2 / (solids_m[i] + solids_m[i + 1]);
    for (int c = 0; c < KINDS; c++) surface[c] = held[c][0];
    update_solids();
    for (int s = 0; s < 300 && done < steps; s++, done++) left += step(0.1 * (s + 1));
    left += held[0][0];
  }
  clock_gettime(CLOCK_MONOTONIC, &b);
  printf("%.3f %.17g\n", ((b.tv_sec - a.tv_sec) * 1e9 + (b.tv_nsec - a.tv_nsec)) / steps, left);
}
