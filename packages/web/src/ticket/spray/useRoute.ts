/** The order of panels of a coat, worked out off the page, and how far it has come. */
import {
  panelsOfCoat,
  routeInput,
  routeKey,
  stillOpen,
  type RouteOn,
  type StillOpen,
} from '@orthochrom/contract/plan/routeOn.ts';
import type { Panel } from '@orthochrom/contract/shop/ticket.ts';
import type { Half } from '@orthochrom/core/route/routeInput.ts';
import { useMemo, useState } from 'react';
import { ADDRESS } from '../../api/resources.ts';
import { useWaiting } from '../../api/outbox.ts';
import { useHeavy } from '../../heavy/heavy.ts';
import type { CardProps } from '../cardProps.ts';
import type { Step } from './routeWords.ts';

export type RoutePanel = { panel: Panel; key: string };
export type RouteProgress = {
  panels: RoutePanel[];
  route: RouteOn | undefined;
  /** What is next, as the order has it; once all are on, nothing. */
  next: Step | undefined;
  isDone: (key: string) => boolean;
  isNoted: (key: string) => boolean;
  isStepDone: (step: Step) => boolean;
  open: StillOpen[];
};
type Said = { panelId: string; half?: Half };

export function useRoute({ whole, coat, context, plan }: CardProps): RouteProgress {
  // Asked once a coat: an order that turns round in mid-car is none.
  const [asked, setAsked] = useState<{ coatId: string; input: ReturnType<typeof routeInput> }>();
  const input =
    asked?.coatId === coat.id ? asked.input : routeInput(whole.ticket.bodyKind, context, plan);
  if (asked?.coatId !== coat.id) setAsked({ coatId: coat.id, input });
  const { answer: route } = useHeavy('route', input);
  const noted = useWaiting<Said>(ADDRESS.coat(coat.id, 'panels'));
  return useMemo(() => {
    const { panels: all } = context.ticket;
    const panels = panelsOfCoat(context).map((panel) => ({ panel, key: routeKey(all, panel) }));
    const idOf = (key: string) => panels.find((one) => one.key === key)?.panel.id;
    const { panelsSprayed, halvesSprayed } = coat;
    const isDone = (key: string) => panelsSprayed.some(({ panelId }) => panelId === idOf(key));
    const isNoted = (key: string) =>
      noted.some(({ said }) => said.panelId === idOf(key) && !said.half);
    const isStepDone = ({ panel, side }: Step): boolean =>
      isDone(panel) ||
      isNoted(panel) ||
      (side !== undefined &&
        (halvesSprayed.some(({ panelId, half }) => panelId === idOf(panel) && half === side) ||
          noted.some(({ said }) => said.panelId === idOf(panel) && said.half === side)));
    const panelsMs = new Map(
      panels.flatMap(({ panel, key }) => {
        const on = panelsSprayed.find(({ panelId }) => panelId === panel.id);
        return on ? [[key, Date.parse(on.sprayedAt)] as const] : [];
      }),
    );
    const halvesMs = new Map(
      halvesSprayed.flatMap(({ panelId, sprayedAt }) => {
        const half = panels.find(({ panel, key }) => panel.id === panelId && !panelsMs.has(key));
        return half ? [[half.key, Date.parse(sprayedAt)] as const] : [];
      }),
    );
    const next = route?.order.find((step) => !isStepDone(step));
    const open = route ? stillOpen(route, { panelsMs, halvesMs }) : [];
    return { panels, route, next, isDone, isNoted, isStepDone, open };
  }, [context, coat, noted, route]);
}
