/**
 * The forward model's two kernels beside the same in plain C, what a live answer costs, and how
 * cost grows.
 */
import { MATERIALS } from '@orthochrom/core/trade/materialClasses.ts';
import { execFileSync } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { answerOrRefuse } from '@orthochrom/contract/registry.ts';
import { dryingStep, workspaceFor } from '@orthochrom/core/film/drying.ts';
import { airOver } from '@orthochrom/core/film/surface.ts';
import { emptyStack, addCoat } from '@orthochrom/core/film/stack.ts';
import { fanProfile } from '@orthochrom/core/gun/fan.ts';
import { filmMapOf } from '@orthochrom/core/gun/filmMap.ts';
import { mixtureOf } from '@orthochrom/core/material/mixture.ts';
import { MEDIUM_SLOW_FRACTION } from '@orthochrom/core/evaporation/solvents.ts';

const folder = fileURLToPath(new URL('../bench/', import.meta.url));

/** Best of several rounds, ms: the least disturbed one. */
export function bestMs(work: () => unknown, rounds = 15): number {
  // Long enough for the engine to have compiled it.
  for (let i = 0; i < 20; i++) work();
  return Math.min(
    ...Array.from({ length: rounds }, () => {
      const start = performance.now();
      work();
      return performance.now() - start;
    }),
  );
}

/** Nanoseconds a piece, from the same written in C; undefined without a compiler. */
function inC(name: string, pieces: number): number | undefined {
  try {
    const out = path.join(mkdtempSync(path.join(tmpdir(), 'bench-')), name);
    execFileSync('cc', ['-O3', '-o', out, path.join(folder, `${name}.c`), '-lm'], {
      stdio: 'ignore',
    });
    const runs = Array.from({ length: 5 }, () =>
      Number(
        execFileSync(out, [String(pieces)])
          .toString()
          .split(' ')[0],
      ),
    );
    return Math.min(...runs);
  } catch {
    return undefined;
  }
}

const STEPS = 300;
function dryingRun(): void {
  const mixture = mixtureOf(MATERIALS.clearMediumSolids);
  const stack = emptyStack(
    Array.from({ length: 3 }, () => ({ mixture }) as never),
    8,
  );
  for (let i = 0; i < 3; i++)
    addCoat(
      stack,
      {
        materialClass: 'clearMediumSolids',
        mixture,
        wetFilmM: 55e-6,
        arrived: { water: 1, fast: 0.55, middle: 0.86, slow: 0.96 },
        gradeSlowFraction: MEDIUM_SLOW_FRACTION,
        dropM: 29e-6,
        landsAtSeconds: 0,
        hardenerSpeed: 1,
        viscosityFactor: 1,
      },
      8,
    );
  const air = airOver(
    {
      roomAir: { airTemperatureC: 21, relativeHumidityPercent: 50 },
      airSpeedMPerS: 0.3,
      substrate: 'metal',
    },
    1,
  );
  const panel = { temperatureC: 21 };
  const work = workspaceFor(24);
  for (let s = 0; s < STEPS; s++)
    dryingStep(stack, panel, air, work, { seconds: 0.1 * (s + 1), diffusion: 1 });
}
const map = () =>
  filmMapOf({
    panelM: { length: 1.2, height: 0.7 },
    cells: { columns: 400, rows: 200 },
    profile: fanProfile({ beta: 2, split: 0 }),
    fanWidthM: 0.216,
    fanHeightM: 0.05,
    stepM: 0.054,
    landedM3PerS: 1.4e-6,
    gunSpeedMPerS: 0.5,
    wanderM: 0.004,
    unsteady: 0.04,
    isTriggerHeld: false,
    seed: 7,
  });

const line = (what: string, value: string) => console.log(`${what.padEnd(34)} ${value}`);

export function benchFilm(coatInput: Record<string, unknown>, setupInput: unknown): void {
  const stepNs = (bestMs(dryingRun, 60) * 1e6) / STEPS;
  const stepCNs = inC('drying', 60_000);
  line(
    'drying step, 24 cells',
    `${(stepNs / 1000).toFixed(2)} µs${stepCNs ? `, ${(stepNs / stepCNs).toFixed(2)} times C` : ', no C compiler here'}`,
  );
  const mapMs = bestMs(map, 40);
  const mapCNs = inC('deposition', 100);
  line(
    'film map, 400 × 200, 14 passes',
    `${mapMs.toFixed(1)} ms${mapCNs ? `, ${((mapMs * 1e6) / mapCNs).toFixed(2)} times C` : ''}`,
  );
  const coats = (count: number) => Array.from({ length: count }, () => ({ flashMinutes: 14 }));
  const coat = (count: number, more: object) => () =>
    answerOrRefuse('coat', { ...coatInput, coats: coats(count), ...more });
  line('coat, three coats, best guess', `${bestMs(coat(3, { spread: false }), 30).toFixed(1)} ms`);
  line('coat, three coats, with spread', `${bestMs(coat(3, {})).toFixed(0)} ms`);
  line(
    'setup with its plans',
    `${bestMs(() => answerOrRefuse('setup', setupInput)).toFixed(0)} ms`,
  );
  const [one, two, four] = [1, 2, 4].map((count) => bestMs(coat(count, { spread: false }), 20));
  line('cost of 1 : 2 : 4 coats', `1 : ${(two! / one!).toFixed(1)} : ${(four! / one!).toFixed(1)}`);
}
