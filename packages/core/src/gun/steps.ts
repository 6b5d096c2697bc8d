/**
 * How far one change goes at once, and what it does to film and drops on this gun, the step in mm
 * kept (MODEL 17.3, 17.4).
 */
import type { MaterialClass } from '../trade/materialClasses.ts';
import type { HumidAir } from '../air/humidAir.ts';
import { bisect } from '../numerics/bisect.ts';
import type { Paint } from '../mix/paint.ts';
import type { GunModel } from './gunModel.ts';
import { passesOf, sprayOf } from './spray.ts';

export type Knob =
  | 'inletKPa'
  | 'fluidTurnsOut'
  | 'fanTurnsOut'
  | 'distanceMm'
  | 'gunSpeedMPerS'
  | 'stepMm'
  | 'overlapPercent'
  | 'nozzleMm';

export const STEP = {
  fanTurns: 0.25,
  nearerMm: 40,
  quickerShare: 1.2,
  muchQuickerShare: 1.4,
  slowerShare: 1 / 1.25,
  stepShare: 0.85,
} as const;
/** Never further at once than this. */
export const MOST = { inletShare: 0.2, fluidTurns: 0.75 } as const;

export type RigSettings = {
  nozzleMm: number;
  inletKPa: number;
  fluidTurnsOut: number;
  fanTurnsOut: number;
  distanceMm: number;
  gunSpeedMPerS: number;
  stepMm: number;
};
/** Paint and gun in the air of a room, to try a setting without touching a knob. */
export type TuneRig = {
  model: GunModel;
  paint: Paint;
  materialClass: MaterialClass;
  roomAir: HumidAir;
};
export type Sight = { dropsUm: number; load: number; wetness: number; filmUm: number };

/** What would be seen on the panel at these settings. */
export function tryOn(
  { model, paint, materialClass, roomAir }: TuneRig,
  settings: RigSettings,
): Sight {
  const spray = sprayOf({
    ...settings,
    model: { ...model, nozzleMm: settings.nozzleMm },
    materialClass,
    paint,
    roomAir,
  });
  const { filmUm, wetness } = passesOf(spray, materialClass, settings);
  return { dropsUm: spray.sauterUm, load: spray.load, wetness, filmUm };
}

export type Goal = { of: 'dropsUm' | 'wetness'; times: number } | { of: 'load'; plus: number };

/** The knob's place at which the goal is met, within its bounds; the bound where it is not. */
export function solveFor(
  rig: TuneRig,
  settings: RigSettings,
  knob: 'inletKPa' | 'fluidTurnsOut',
  goal: Goal,
  bounds: [number, number],
): number {
  const now = tryOn(rig, settings);
  const wanted = 'times' in goal ? now[goal.of] * goal.times : now.load + goal.plus;
  const [from, to] = bounds;
  if (to - from < 1e-6) return settings[knob];
  const miss = (value: number) => tryOn(rig, { ...settings, [knob]: value })[goal.of] - wanted;
  const [low, high] = [miss(from), miss(to)];
  if (low * high > 0) return Math.abs(low) < Math.abs(high) ? from : to;
  return bisect(miss, from, to, 30);
}

export type Effect = { filmPercent: number; dropsPercent: number };

/** What the change does; undefined where nothing lands to be compared. */
export function effectOf(
  rig: TuneRig,
  before: RigSettings,
  after: RigSettings,
): Effect | undefined {
  const [was, is] = [tryOn(rig, before), tryOn(rig, after)];
  if (was.filmUm <= 0 || was.dropsUm <= 0 || is.dropsUm <= 0) return undefined;
  return {
    filmPercent: (is.filmUm / was.filmUm - 1) * 100,
    dropsPercent: (is.dropsUm / was.dropsUm - 1) * 100,
  };
}
