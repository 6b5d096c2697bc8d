/** Settings with what is missing worked out as for a fresh set-up. */
import type { Carrier, Finish, Place, Stage } from '../trade/vocabulary.ts';
import { KNOWN_SETTINGS, type Gun, type KnownSettings, type Settings } from './gun.ts';
import type { MaterialClass } from '../trade/materialClasses.ts';
import { paintInCup } from './paintInCup.ts';
import { gunModelOf } from './gunModel.ts';
import { inletAtCap } from './inletPressure.ts';
import { setupOf } from './setup.ts';
import type { GunSheet, Preferences } from './preferences.ts';

export type ForCoat = {
  settings: Settings;
  stage: Stage;
  carrier: Carrier;
  finish?: Finish | undefined;
  class?: MaterialClass | undefined;
  sheet?: GunSheet | undefined;
  way?: Preferences | undefined;
  place?: Place | undefined;
};

/** Settings with what was not told filled in by practice, and which those were. */
export function completed(
  { settings, stage, carrier, finish, class: materialClass, sheet, way, place = 'booth' }: ForCoat,
  gun: Gun,
): { settings: KnownSettings; defaulted: string[] } {
  const given = Object.fromEntries(
    Object.entries(settings).filter(([, value]) => value !== undefined),
  ) as Settings;
  const defaulted = KNOWN_SETTINGS.filter((name) => settings[name] === undefined);
  if (defaulted.length === 0) return { settings: given as KnownSettings, defaulted };
  const usual = setupOf({
    gun,
    stage,
    carrier,
    ...(finish ? { finish } : {}),
    ...(materialClass ? { class: materialClass } : {}),
    ...(sheet ? { sheet } : {}),
    ...(way ? { way } : {}),
    place,
    part: 'largePanel',
    hardener: 'none',
  });
  const full = {
    ...Object.fromEntries(KNOWN_SETTINGS.map((name) => [name, usual[name]])),
    ...given,
  } as KnownSettings;
  // A pressure told at the cap is the inlet that makes it, with the fan as it is set.
  if (given.inletKPa !== undefined || given.capKPa === undefined)
    return { settings: full, defaulted };
  const model = gunModelOf(
    gun,
    full.nozzleMm,
    paintInCup({ stage, carrier, class: materialClass }),
  );
  return {
    settings: { ...full, inletKPa: inletAtCap(model, given.capKPa, full.fanTurnsOut) },
    defaulted: defaulted.filter((name) => name !== 'inletKPa'),
  };
}
