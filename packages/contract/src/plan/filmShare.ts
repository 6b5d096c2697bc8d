/** What a panel takes of a stage whose coats are not all alike. */
import { shareOf } from '@orthochrom/core/amount/share.ts';
import type { Panel, StagePlan } from '../shop/ticket.ts';
import type { CoatPlanned } from './planContext.ts';

/**
 * How much of what full coats would take these coats take on a panel: lighter coats less, the first
 * ones of a fade less.
 */
export function filmShare(
  coats: readonly CoatPlanned[],
  { panel, name, kind }: { panel: Panel; name: string; kind: StagePlan['kind'] },
): number {
  const usual = shareOf(panel, kind) * coats.length;
  if (usual === 0) return 1;
  const own = coats.reduce((sum, { filmFactor, panels }) => {
    const areaFactor = panels.find((one) => one.name === name)?.areaFactor ?? 0;
    return sum + filmFactor * areaFactor;
  }, 0);
  return own / usual;
}
