/** A coat in the painter's words: how it is laid, how thick, and what is otherwise than before. */
import type { CoatPlanned } from '@orthochrom/contract/plan/planContext.ts';
import type { Since } from '@orthochrom/contract/plan/sinceLast.ts';
import { turnsText, type Format } from '@orthochrom/contract/words/format.ts';
import type { CoatKind } from '@orthochrom/core/coats/coatPlanInput.ts';

const KIND: Record<CoatKind, string> = {
  mist: 'mist',
  light: 'light',
  drop: 'drop coat',
  medium: 'medium, not glassy',
  mediumWet: 'medium wet',
  wet: 'full wet',
};
export const kindSaid = ({ kind, role }: Pick<CoatPlanned, 'kind' | 'role'>): string =>
  role === 'half' ? 'half a coat' : KIND[kind];

/** "drop coat, 17 µm, 40 mm further back" */
export function coatSaid(coat: CoatPlanned, format: Format): string {
  const { wetFilmUm, preset } = coat;
  const { distanceDeltaMm = 0, distanceMm } = preset;
  return [
    kindSaid(coat),
    format.joined(format.film(wetFilmUm)),
    ...(distanceDeltaMm > 0
      ? [`${format.joined(format.length(distanceDeltaMm))} further back`]
      : []),
    ...(distanceMm === undefined ? [] : [`from ${format.joined(format.length(distanceMm))}`]),
  ].join(', ');
}

/** How far this coat goes on a panel that is not painted whole; nothing where it is. */
export function reachSaid(coat: CoatPlanned, panel: string, format: Format): string | undefined {
  const own = coat.panels.find(({ name }) => name === panel);
  if (own?.reachM === undefined) return undefined;
  const reach = format.joined(format.length(own.reachM * 1000));
  return own.scope === 'spot' ? `out to ${reach} from its middle` : `to ${reach} from the joint`;
}

/** "40 mm further back, needle ½ turn in" */
export function sinceSaid(since: readonly Since[], format: Format): string {
  if (since.length === 0) return 'set as for the coat before';
  const size = (byMuch: number) => Math.abs(byMuch);
  const said: Record<string, (byMuch: number) => string> = {
    inletKPa: (by) => `${format.joined(format.pressure(size(by)))} ${by > 0 ? 'more' : 'less'} air`,
    fluidTurnsOut: (by) => `needle ${turnsText(size(by))} ${by > 0 ? 'out' : 'in'}`,
    fanTurnsOut: (by) => `fan ${turnsText(size(by))} ${by > 0 ? 'out' : 'in'}`,
    distanceMm: (by) =>
      `${format.joined(format.length(size(by)))} ${by > 0 ? 'further back' : 'nearer'}`,
    wetFilmUm: (by) => `${format.joined(format.film(size(by)))} ${by > 0 ? 'thicker' : 'thinner'}`,
  };
  return since.map(({ name, byMuch }) => said[name]!(byMuch)).join(', ');
}
