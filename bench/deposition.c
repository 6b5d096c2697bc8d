/* The film map in plain C, cell for cell as packages/core/src/gun/filmMap.ts. */
#include <math.h>
#include <stdio.h>
#include <stdlib.h>
#include <string.h>
#include <time.h>

#define COLUMNS 400
#define ROWS 200
#define TABLE 512
static double film[COLUMNS * ROWS], table[TABLE + 2];

static void lay(int passes, double step, double width, double per_m) {
  double cell = 0.7 / ROWS, reach = width / 2, scale = TABLE / width;
  memset(film, 0, sizeof film);
  for (int pass = 0; pass < passes; pass++)
    for (int i = 0; i < COLUMNS; i++) {
      int column = pass % 2 ? COLUMNS - 1 - i : i;
      double centre = pass * step + 0.004 * sin(0.016 * column + pass);
      int first = (int)ceil((centre - reach) / cell - 0.5), last = (int)floor((centre + reach) / cell - 0.5);
      if (first < 0) first = 0;
      if (last > ROWS - 1) last = ROWS - 1;
      for (int row = first; row <= last; row++) {
        double place = ((row + 0.5) * cell - centre + reach) * scale;
        int at = (int)place;
        double rest = place - at;
        film[row * COLUMNS + column] += per_m * (table[at] * (1 - rest) + table[at + 1] * rest);
      }
    }
}
int main(int argc, char **argv) {
  int times = argc > 1 ? atoi(argv[1]) : 100;
  struct timespec a, b;
  double sum = 0;
  for (int i = 0; i <= TABLE; i++) {
    double s = -1 + 2.0 * i / TABLE;
    table[i] = 15.0 / 16 * (1 - s * s) * (1 - s * s);
  }
  clock_gettime(CLOCK_MONOTONIC, &a);
  for (int t = 0; t < times; t++) {
    lay(14, 0.054, 0.216, 2.6e-5 + 1e-9 * t);
    sum += film[ROWS / 2 * COLUMNS];
  }
  clock_gettime(CLOCK_MONOTONIC, &b);
  printf("%.3f %.17g\n", ((b.tv_sec - a.tv_sec) * 1e9 + (b.tv_nsec - a.tv_nsec)) / times, sum);
}
