/**
 * Round the car with one coat of a ticket: which panel comes next, from where, and how long its
 * neighbours stay open for it.
 */
import type { Body } from '@orthochrom/core/body/bodyMap.ts';
import { GUNS } from '@orthochrom/core/trade/gunClasses.ts';
import type { AnswerOf, InputOf } from '../registry.ts';
import type { Panel } from '../shop/ticket.ts';
import { panelSaid } from './layersFound.ts';
import type { CoatPlan } from './planCoat.ts';
import { coatPlanned, type PlanContext } from './planContext.ts';

export type RouteOn = AnswerOf<'route'>;

/** Sections that a gun of basic ability, and a place without a booth's air, manage at a time. */
const MOST_M2 = { basicGun: 3, noBooth: 4 } as const;
/** Open where neither reducer nor class tells: as the closest grade has it. */
const USUAL_OPEN_MINUTES = 5;

/** A panel by its key on the body map; where two share it, by how each is said. */
export const routeKey = (panels: readonly Panel[], panel: Panel): string =>
  panels.filter(({ name }) => name === panel.name).length > 1
    ? panelSaid(panels, panel)
    : panel.name;

/** What each panel gets of this coat, of one; a panel that gets nothing is not gone to. */
const shareOf = (context: PlanContext, panel: Panel): number => {
  const own = coatPlanned(context);
  if (!own) return 1;
  const name = panelSaid(context.ticket.panels, panel);
  return own.panels.find((one) => one.name === name)?.areaFactor ?? 0;
};

/** The panels that this coat goes on. */
export const panelsOfCoat = (context: PlanContext): Panel[] =>
  context.ticket.panels.filter(
    (panel) => context.stage.panelIds.includes(panel.id) && shareOf(context, panel) > 0,
  );

/** Undefined where this coat goes on nothing. */
export function routeInput(
  body: Body,
  context: PlanContext,
  plan: CoatPlan,
): InputOf<'route'> | undefined {
  const { ticket, room, sheet, gun } = context;
  const panels = panelsOfCoat(context);
  if (panels.length === 0) return undefined;
  const setup = plan.setup.own ?? plan.setup;
  const facts = GUNS[gun.gun.class];
  const most = [
    ...(gun.gun.ability === 'basic' ? [MOST_M2.basicGun] : []),
    ...(room.place === 'booth' ? [] : [MOST_M2.noBooth]),
  ];
  const keys = panels.map((panel) => routeKey(ticket.panels, panel));
  return {
    body,
    panels: keys,
    airflow: room.airflow,
    openTimeMinutes: plan.inUse?.openTimeMinutes?.value ?? USUAL_OPEN_MINUTES,
    gunSpeedMPerS: setup.gunSpeedMPerS,
    stepMm: setup.stepMm,
    carrier: sheet.carrier,
    areasM2: Object.fromEntries(
      panels.map((panel, i) => [keys[i]!, panel.areaM2 * shareOf(context, panel)]),
    ),
    cupMl: Math.min(facts.cupMl, context.cup?.capacityMl ?? facts.cupMl),
    wetFilmUm: setup.wetFilmUm,
    transferEfficiencyPercent: facts.transferFraction * 100,
    ...(room.airflow === 'fanAtDoor' && room.carEndAtFan ? { doorAt: room.carEndAtFan } : {}),
    ...(most.length > 0 ? { mostM2: Math.min(...most) } : {}),
  };
}

export type StillOpen = {
  /** The panel that must be begun, by its key. */
  panel: string;
  /** The one whose edge waits for it. */
  of: string;
  closesAtMs: number;
};

/** When what is on was touched as done, by key: whole panels, and first halves by themselves. */
export type DoneAt = {
  panelsMs: ReadonlyMap<string, number>;
  halvesMs: ReadonlyMap<string, number>;
};

/** The edges of what is on that still wait for a neighbour; the first to close in front. */
export function stillOpen(
  { order, wetEdges }: Pick<RouteOn, 'order' | 'wetEdges'>,
  { panelsMs, halvesMs }: DoneAt,
): StillOpen[] {
  const stepsOf = (key: string) => order.filter(({ panel }) => panel === key);
  return wetEdges
    .flatMap(({ between: [a, b], ageSeconds, limitSeconds, at }): StillOpen[] => {
      const doneMs = at === 'middle' ? halvesMs : panelsMs;
      const [of, panel] = doneMs.has(a) ? [a, b] : [b, a];
      const isWaiting = doneMs.has(of) && (at === 'middle' || !doneMs.has(panel));
      if (!isWaiting) return [];
      const on = at === 'middle' ? stepsOf(of)[0]! : stepsOf(of).at(-1)!;
      const next = at === 'middle' ? stepsOf(of)[1]! : stepsOf(panel)[0]!;
      // As it was planned the neighbour is begun so long after this one ended.
      const plannedSeconds = next.startSeconds - on.endSeconds;
      const spareSeconds =
        plannedSeconds >= 0
          ? limitSeconds - ageSeconds + plannedSeconds
          : limitSeconds - (next.endSeconds - next.startSeconds);
      return [{ panel, of, closesAtMs: doneMs.get(of)! + spareSeconds * 1000 }];
    })
    .sort((one, other) => one.closesAtMs - other.closesAtMs);
}
