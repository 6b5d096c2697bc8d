/**
 * Cloths and discs for a list; new for each job.
 *
 *   2 cloths a wiping step and 2 panels,  1 tack cloth a session,  1 disc a grit and 0.5 m²
 *
 * Source  rule of thumb of the trade
 */
import type { TakenIn } from '../layers/foundLayer.ts';
import type { PrepStep, Supply } from './prepInput.ts';

const CLOTHS = 2;
const PANELS_A_PAIR = 2;
const M2_A_DISC = 0.5;
const DISCS_UNMEASURED = 2;

/** What the steps of a list use up. */
export function suppliesOf(steps: readonly PrepStep[], panels: readonly TakenIn[]): Supply[] {
  const areaOf = new Map(panels.map(({ name, areaM2 }) => [name, areaM2]));
  const cloths = steps
    .filter(({ wipe }) => wipe !== undefined)
    .reduce((sum, step) => sum + CLOTHS * Math.ceil(step.panels.length / PANELS_A_PAIR), 0);
  const sessions = new Set(
    steps.filter(({ kind }) => kind === 'tack').map(({ key }) => key.split('.')[0]),
  ).size;
  const discs = new Map<string, number>();
  for (const { ladder = [], panels: sanded } of steps) {
    const areas = sanded.map((name) => areaOf.get(name));
    const count = areas.every((area) => area !== undefined)
      ? Math.max(1, Math.ceil(areas.reduce((sum, area) => sum + area, 0) / M2_A_DISC))
      : DISCS_UNMEASURED * sanded.length;
    for (const grit of ladder) discs.set(grit, (discs.get(grit) ?? 0) + count);
  }
  return [
    ...(cloths > 0 ? [{ what: 'cloths', count: cloths, why: 'wipe' }] : []),
    ...(sessions > 0 ? [{ what: 'tackCloths', count: sessions, why: 'tack' }] : []),
    ...[...discs].map(([grit, count]) => ({ what: grit, count, why: 'sand' })),
  ];
}
