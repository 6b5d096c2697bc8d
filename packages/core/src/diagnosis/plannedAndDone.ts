/**
 * Readings by themselves: what was planned against what was done, in the units of the readings
 * (psi, inch and bar live only here).
 */
import type { Bake } from '../coat/coatInput.ts';
import { SPEEDS, type Finish, type Role, type Trust } from '../trade/vocabulary.ts';
import { airSpeedMPerSOf } from '../air/airMovement.ts';
import { panelMarginCOf, type Climate } from '../air/climate.ts';
import type { Settings } from '../gun/gun.ts';
import type { PressureInput } from '../gun/reading.ts';
import { kinematicOfSeconds, type CupName } from '../material/flowCup.ts';
import { potLifeMinutes, type PotLife } from '../mix/potLife.ts';
import { sharesOf, type Recipe } from '../mix/recipe.ts';
import { caution, type Verdict } from '../outcome/verdicts.ts';
import { convert } from '../units/convert.ts';
import type { ReadingValue } from './knowledge.ts';
import { INCH_MM } from '../units/physical.ts';

export type PressureReading = Pick<PressureInput, 'value' | 'unit' | 'at' | 'flowing'> & {
  trust?: Trust;
};
export type CoatRecord = {
  climate?: Climate;
  settings?: Settings;
  pressure?: PressureReading;
  recipe?: Recipe;
  grade?: string;
  hardenerGrade?: string;
  viscosity?: { cup: CupName; seconds: number; atC: number };
  wetFilmUm?: number;
  coats?: number;
  flashMinutes?: number[];
  bake?: Bake;
  mixAgeMinutes?: number;
  potLife?: PotLife;
  finish?: Finish;
};
export type Derived = { readings: Record<string, ReadingValue>; verdicts: Verdict[] };

/** Where no sheet speaks: the panel window of MODEL 2. */
const PANEL_WINDOW_C = { from: 15.6, to: 30 };
/**
 * Two cups timed further apart than this cannot be compared without knowing how the paint thins.
 */
const SAME_WARMTH_C = 3;
/** The colour class of the readings for a finish of ours. */
export const COLOUR_CLASS: Record<Finish, string> = {
  solid: 'solid',
  metallic: 'metallic',
  silver: 'metallic',
  pearl: 'pearl',
  flake: 'flake',
  candy: 'candy',
  fluorescent: 'fluorescent',
};

/** What is not known on either side gives no reading: it neither clears nor accuses. */
export function readingsOf(planned: CoatRecord = {}, done: CoatRecord = {}): Derived {
  const pressure = pressureReadings(planned, done);
  const readings: Record<string, ReadingValue | undefined> = {
    ...airReadings(done.climate),
    ...gunReadings(planned.settings ?? {}, done.settings ?? {}),
    ...pressure.readings,
    ...mixReadings(planned, done),
    ...timeReadings(planned, done),
    wft_ratio: ratio(done.wetFilmUm, planned.wetFilmUm),
    coats_dev: difference(done.coats, planned.coats),
    colour_class: done.finish ? COLOUR_CLASS[done.finish] : undefined,
  };
  const known = Object.entries(readings).filter(
    (entry): entry is [string, ReadingValue] => entry[1] !== undefined,
  );
  return { readings: Object.fromEntries(known), verdicts: pressure.verdicts };
}

const ratio = (done: number | undefined, planned: number | undefined): number | undefined =>
  done === undefined || !planned ? undefined : done / planned;
const difference = (
  done: number | undefined,
  planned: number | undefined,
  unit = 1,
): number | undefined =>
  done === undefined || planned === undefined ? undefined : (done - planned) / unit;

function airReadings(climate: Climate | undefined): Record<string, ReadingValue | undefined> {
  if (!climate) return {};
  const { panelTemperatureC: panelC, airMovement, airSpeedMPerS } = climate;
  const outside =
    panelC === undefined
      ? undefined
      : Math.max(0, panelC - PANEL_WINDOW_C.to) + Math.min(0, panelC - PANEL_WINDOW_C.from);
  const isAirTold = airMovement !== undefined || airSpeedMPerS !== undefined;
  return {
    rh: climate.relativeHumidityPercent,
    dew_margin: panelMarginCOf(climate),
    t_panel_dev: outside,
    t_mat: climate.materialTemperatureC,
    airflow: isAirTold ? airSpeedMPerSOf(climate) : undefined,
    draught: airMovement === undefined ? undefined : airMovement === 'fan',
  };
}

function gunReadings(planned: Settings, done: Settings): Record<string, ReadingValue | undefined> {
  return {
    nozzle_dev: difference(done.nozzleMm, planned.nozzleMm),
    fluid_dev: difference(done.fluidTurnsOut, planned.fluidTurnsOut),
    fan_dev: difference(done.fanTurnsOut, planned.fanTurnsOut),
    dist_dev: difference(done.distanceMm, planned.distanceMm, INCH_MM),
    speed_ratio: ratio(done.gunSpeedMPerS, planned.gunSpeedMPerS),
    overlap: done.overlapPercent,
    overlap_dev: difference(done.overlapPercent, planned.overlapPercent),
  };
}

/**
 * A reading at rest, at an unknown place or by a gauge nobody trusts says nothing about the
 * pressure while spraying.
 */
function pressureReadings(planned: CoatRecord, done: CoatRecord): Derived {
  const { inletKPa, capKPa } = planned.settings ?? {};
  const { pressure } = done;
  if (!pressure) {
    const p_dev = difference(done.settings?.inletKPa, inletKPa, inletKPa);
    return { readings: p_dev === undefined ? {} : { p_dev }, verdicts: [] };
  }
  const { at, flowing, trust = 'good' } = pressure;
  const verdicts = [
    ...(flowing === 'yes' ? [] : [caution('reading-at-rest')]),
    ...(at === 'unknown' ? [caution('reading-place-unknown')] : []),
    ...(trust === 'good' ? [] : [caution('gauge-not-trusted')]),
  ];
  if (trust !== 'good') return { readings: {}, verdicts };
  if (at === 'wall') return { readings: { gauge_at_wall: true }, verdicts };
  if (at === 'unknown' || flowing !== 'yes') return { readings: {}, verdicts };
  const kPa = convert(pressure.value, pressure.unit, 'kPa');
  const wanted = at === 'cap' ? capKPa : inletKPa;
  const p_dev = difference(kPa, wanted, wanted);
  return {
    readings: { gauge_at_wall: false, ...(p_dev === undefined ? {} : { p_dev }) },
    verdicts,
  };
}

function mixReadings(
  planned: CoatRecord,
  done: CoatRecord,
): Record<string, ReadingValue | undefined> {
  const share = (recipe: Recipe | undefined, role: Role) =>
    recipe ? perPaint(recipe, role) : undefined;
  const [thick, wanted] = [done.viscosity, planned.viscosity];
  const comparable = thick && wanted && Math.abs(thick.atC - wanted.atC) <= SAME_WARMTH_C;
  const atC = done.climate?.materialTemperatureC ?? done.climate?.airTemperatureC;
  const potLife = done.potLife ?? planned.potLife;
  return {
    red_ratio: ratio(share(done.recipe, 'reducer'), share(planned.recipe, 'reducer')),
    hard_ratio: ratio(share(done.recipe, 'hardener'), share(planned.recipe, 'hardener')),
    red_step: speedStep(done.grade, planned.grade),
    hard_step: speedStep(done.hardenerGrade, planned.hardenerGrade),
    visc_ratio: comparable ? cupSecondsRatio(thick, wanted) : undefined,
    pot_frac:
      done.mixAgeMinutes === undefined || !potLife
        ? undefined
        : done.mixAgeMinutes / potLifeMinutes(potLife, atC ?? potLife.atC).value,
  };
}

/** Parts of one role to one part of paint. */
function perPaint(recipe: Recipe, role: Role): number | undefined {
  const shares = sharesOf(recipe);
  const sum = (wanted: Role) =>
    shares.filter((share) => share.role === wanted).reduce((total, { share }) => total + share, 0);
  const paint = sum('paint') || (shares[0]?.role === undefined ? shares[0]!.share : 0);
  const part = sum(role);
  return paint > 0 && (part > 0 || shares.some((share) => share.role === role))
    ? part / paint
    : undefined;
}

/** The same cup by its seconds; two cups by the viscosity they stand for. */
const cupSecondsRatio = (
  done: NonNullable<CoatRecord['viscosity']>,
  planned: NonNullable<CoatRecord['viscosity']>,
): number =>
  done.cup === planned.cup
    ? done.seconds / planned.seconds
    : kinematicOfSeconds(done.cup, done.seconds) / kinematicOfSeconds(planned.cup, planned.seconds);

/**
 * Grades apart, slower above 0: by the words for speed in their names; the same name is no step.
 */
function speedStep(done: string | undefined, planned: string | undefined): number | undefined {
  if (done === undefined || planned === undefined) return undefined;
  if (done === planned) return 0;
  const [a, b] = [speedOf(done), speedOf(planned)];
  return a === undefined || b === undefined ? undefined : a - b;
}

function speedOf(name: string): number | undefined {
  const words = name.toLowerCase();
  const found = /very\s?slow/.test(words)
    ? 'verySlow'
    : /slow/.test(words)
      ? 'slow'
      : /medium|standard|normal/.test(words)
        ? 'medium'
        : /fast|quick/.test(words)
          ? 'fast'
          : undefined;
  return found === undefined ? undefined : SPEEDS.indexOf(found);
}

function timeReadings(
  planned: CoatRecord,
  done: CoatRecord,
): Record<string, ReadingValue | undefined> {
  const [flashes, wanted] = [done.flashMinutes ?? [], planned.flashMinutes ?? []];
  const ratios = flashes.flatMap((minutes, i) => {
    const to = wanted[i] ?? wanted.at(-1);
    return to ? [minutes / to] : [];
  });
  return {
    flash_ratio: ratios.length > 0 ? Math.min(...ratios) : undefined,
    purge_ratio: ratio(done.bake?.afterMinutes, planned.bake?.afterMinutes),
    bake_temp_dev: difference(done.bake?.toC, planned.bake?.toC),
    bake_time_ratio: ratio(done.bake?.holdMinutes, planned.bake?.holdMinutes),
    ramp: done.bake?.rampCPerMin,
  };
}
