/** What is set otherwise for this coat than for the one before it, with the same gun. */
import type { SettingName, Coat } from '../shop/coat.ts';
import { ownSettings, type SetNow } from './settingsNow.ts';

/** Less than this is not turned, moved or seen. */
const LEAST: Partial<Record<SettingName, number>> = {
  inletKPa: 3,
  fluidTurnsOut: 0.2,
  fanTurnsOut: 0.2,
  distanceMm: 4,
  wetFilmUm: 1.5,
};
export type Since = { name: SettingName; byMuch: number };

/** Undefined where there is no coat before it of this stage and gun. */
export function sinceLast(
  coats: readonly Pick<Coat, 'stageId' | 'ordinal' | 'gunId' | 'planned' | 'overrides'>[],
  coat: Pick<Coat, 'stageId' | 'ordinal'>,
  gunId: string,
  now: SetNow,
): Since[] | undefined {
  const before = coats.find(
    (one) =>
      one.stageId === coat.stageId && one.ordinal === coat.ordinal - 1 && one.gunId === gunId,
  );
  const was = before && ownSettings(before);
  return was
    ? (Object.entries(LEAST) as [SettingName, number][])
        .map(([name, least]) => ({ name, least, byMuch: now[name] - was[name] }))
        .filter(({ byMuch, least }) => Math.abs(byMuch) >= least)
        .map(({ name, byMuch }) => ({ name, byMuch }))
    : undefined;
}
