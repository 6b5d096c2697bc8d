/** Settings with what is missing worked out as for a fresh set-up. */
import type { Carrier } from '../air/climate.ts';
import type { Finish } from '../evaporation/evaporationIndex.ts';
import type { Gun, Place, Settings, Stage } from './gun.ts';
import { paintFor } from './atWork.ts';
import { gunModelOf } from './gunModel.ts';
import { inletAtCap } from './inletPressure.ts';
import { setupOf } from './setup.ts';
import type { GunSheet, Way } from './way.ts';

const NAMES = ['inletKPa', 'fluidTurnsOut', 'fanTurnsOut', 'distanceMm', 'overlapPercent', 'gunSpeedMPerS', 'nozzleMm'] as const;
export type KnownSettings = Settings & Required<Pick<Settings, (typeof NAMES)[number]>>;
export type ForCoat = {
  settings: Settings;
  stage: Stage;
  carrier: Carrier;
  finish?: Finish | undefined;
  build?: boolean | undefined;
  highSolids?: boolean | undefined;
  sheet?: GunSheet | undefined;
  way?: Way | undefined;
  place?: Place | undefined;
};

export function completed(
  { settings, stage, carrier, finish, build, highSolids, sheet, way, place = 'booth' }: ForCoat,
  gun: Gun,
): { settings: KnownSettings; defaulted: string[] } {
  const given = Object.fromEntries(Object.entries(settings).filter(([, value]) => value !== undefined)) as Settings;
  const defaulted = NAMES.filter((name) => settings[name] === undefined);
  if (defaulted.length === 0) return { settings: given as KnownSettings, defaulted };
  const usual = setupOf({
    gun,
    stage,
    carrier,
    ...(finish ? { finish } : {}),
    ...(build ? { build } : {}),
    ...(highSolids ? { highSolids } : {}),
    ...(sheet ? { sheet } : {}),
    ...(way ? { way } : {}),
    place,
    part: 'largePanel',
    hardener: 'none',
  });
  const full = { ...Object.fromEntries(NAMES.map((name) => [name, usual[name]])), ...given } as KnownSettings;
  // A pressure told at the cap is the inlet that makes it, with the fan as it is set.
  if (given.inletKPa !== undefined || given.capKPa === undefined) return { settings: full, defaulted };
  const model = gunModelOf(gun, full.nozzleMm, paintFor({ stage, carrier }));
  return {
    settings: { ...full, inletKPa: inletAtCap(model, given.capKPa, full.fanTurnsOut) },
    defaulted: defaulted.filter((name) => name !== 'inletKPa'),
  };
}
