/**
 * Coats in the order in which they are sprayed, and whose turn it is: for the server, the browser
 * and every list alike.
 */
import type { Coat } from '../shop/coat.ts';

type OrderedCoat = { stageId: string; ordinal: number };
type Turn = OrderedCoat & Pick<Coat, 'state'>;
type Stages = readonly { id: string }[];

/** Stage by stage as the ticket lists them, coat by coat within each. */
export const coatOrder =
  (stages: Stages) =>
  (a: OrderedCoat, b: OrderedCoat): number =>
    stages.findIndex(({ id }) => id === a.stageId) -
      stages.findIndex(({ id }) => id === b.stageId) || a.ordinal - b.ordinal;

/** On and touch-dry: what comes after it may go on. */
export const isOn = ({ state }: Pick<Coat, 'state'>): boolean =>
  state === 'flashed' || state === 'looked';

/** A plan of one of its coats was taken, or more: what the stage began with stays. */
export const isStageBegun = (
  stageId: string,
  coats: readonly Pick<Coat, 'stageId' | 'state'>[],
): boolean => coats.some((coat) => coat.stageId === stageId && coat.state !== 'planned');

/** The coat to work on: the first that has not been looked at. */
export const nextCoat = <C extends Turn>(stages: Stages, coats: readonly C[]): C | undefined =>
  [...coats].sort(coatOrder(stages)).find(({ state }) => state !== 'looked');

/** The coat that must be touch-dry before this one has its turn. */
export function blockingCoat<C extends Turn>(
  stages: Stages,
  coats: readonly C[],
  coat: OrderedCoat,
): C | undefined {
  const inOrder = coatOrder(stages);
  return [...coats].sort(inOrder).find((before) => inOrder(before, coat) < 0 && !isOn(before));
}
