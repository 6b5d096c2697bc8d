/** The set-up as it stands, as the cards beside it want it. Pure. */
import type { AnswerOf } from '@orthochrom/contract/registry.ts';
import type { Painter, StoredGun, Units } from '@orthochrom/contract/shop/setup.ts';
import { convert } from '@orthochrom/core/units/convert.ts';

/** The same pressure in the other units, so that none is mistaken for another. */
export const inOtherUnits = (inletKPa: number, own: Units['pressure']): string =>
  (['psi', 'bar', 'kPa'] as const)
    .filter((unit) => unit !== own)
    .map((unit) => `${convert(inletKPa, 'kPa', unit).toFixed(unit === 'bar' ? 2 : 0)} ${unit}`)
    .join(' · ');

/** Ours, or the painter's own, judged and worked out by the same rules. */
export type Now = AnswerOf<'setup'> | NonNullable<AnswerOf<'setup'>['own']>;
export const settingsOf = ({
  nozzleMm,
  inletKPa,
  fluidTurnsOut,
  fanTurnsOut,
  distanceMm,
  overlapPercent,
  fanWidthMm,
  stepMm,
  gunSpeedMPerS,
}: Now) => ({
  nozzleMm,
  inletKPa,
  fluidTurnsOut,
  fanTurnsOut,
  distanceMm,
  overlapPercent,
  fanWidthMm,
  stepMm,
  gunSpeedMPerS,
});

export const baselineOf = ({
  nozzleMm,
  fluidTurnsOut,
  fanTurnsOut,
  distanceMm,
  inletKPa,
}: Now) => ({
  nozzleMm,
  inletKPa,
  fluidTurnsOut,
  fanTurnsOut,
  distanceMm,
});

/** Whether this painter sets the pressure by the gauge at the wall. */
export const goesByWall = (painter: Painter, { gaugeTrust }: StoredGun): boolean =>
  painter.way.gauge === 'atWall' || (painter.way.gauge !== 'byEar' && gaugeTrust === 'none');

/** What the hand is timed by: one pass over this panel, s; over a metre where none is known. */
export const passSeconds = (
  { secondsPerPass, gunSpeedMPerS }: Pick<Now, 'secondsPerPass' | 'gunSpeedMPerS'>,
  panelLengthM = 1,
): number => secondsPerPass ?? panelLengthM / gunSpeedMPerS;
