/** A step of the order in a painter's words. */
import { panelName } from '@orthochrom/contract/words/panelWords.ts';
import type { RouteOn } from '@orthochrom/contract/plan/routeOn.ts';

export type Step = RouteOn['order'][number];

const SIDE = { left: 'left half', right: 'right half' } as const;
const STAND = {
  left: 'standing at the left',
  right: 'standing at the right',
  front: 'standing at the nose',
  rear: 'standing at the tail',
} as const;

/** "bonnet, left half" */
export const stepSaid = ({ panel, side }: Pick<Step, 'panel' | 'side'>): string =>
  side ? `${panelName(panel)}, ${SIDE[side]}` : panelName(panel);

/** Which way the passes step, from where, on what to stand. */
export function waySaid({ aids = [] }: Pick<RouteOn, 'aids'>, step: Step): string {
  const { side, from, to, stand, panel } = step;
  const way =
    side === undefined
      ? `${from} to ${to}`
      : from === side
        ? 'from its rim to the middle'
        : 'from the wet middle out';
  const aid = aids.find((one) => one.panel === panel);
  return [way, ...(stand ? [STAND[stand.at]] : []), ...(aid ? [`on a ${aid.what}`] : [])].join(
    ', ',
  );
}
