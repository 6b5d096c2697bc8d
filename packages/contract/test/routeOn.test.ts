/** Round the car on a ticket: what is gone to, how much of it, and what still waits. */
import type { Panel } from '../src/shop/ticket.ts';
import { describe, expect, it } from 'vitest';
import { ask } from '../src/calculations/ask.ts';
import { routeCalculation } from '../src/calculations/route.ts';
import { coatsPlanned } from '../src/plan/coatByCoat.ts';
import { planCoat } from '../src/plan/planCoat.ts';
import type { PlanContext } from '../src/plan/planContext.ts';
import { routeInput, stillOpen, type DoneAt } from '../src/plan/routeOn.ts';
import { contextFor } from './demoContext.ts';

const id = (n: number): string => `0190b5a0-0000-7000-8000-00000000010${n}`;
const panel = (n: number, name: string, more: Partial<Panel> = {}): Panel => ({
  id: id(n),
  name,
  areaM2: 0.9,
  orientation: 'upright',
  substrate: 'metal',
  scope: 'full',
  ...more,
});
const PANELS = [
  panel(1, 'leftFrontFender'),
  panel(2, 'leftFrontDoor'),
  panel(3, 'leftRearDoor', { scope: 'blend' }),
];

/** A coat of this sheet on those panels, with its own plan of coats. */
function contextOn(sheetId: string, panels: Panel[], more: Partial<PlanContext> = {}): PlanContext {
  const context = contextFor(sheetId, 21);
  const stage = { ...context.stage, panelIds: panels.map((one) => one.id) };
  const ticket = { jobSize: 'side' as const, panels, stages: [stage] };
  const coatPlan = coatsPlanned(
    { ticket, sheets: [{ id: stage.sheetVersionId, sheet: context.sheet }] },
    stage,
    context.painter,
  );
  return { ...context, ticket, stage, ...(coatPlan ? { coatPlan } : {}), ...more };
}
const asked = (context: PlanContext) => routeInput('saloon', context, planCoat(context))!;

describe('what is gone to', () => {
  it('is each panel with what this coat lays of it: a fade is less of a panel, coat by coat', () => {
    const areas = [1, 2].map(
      (ordinal) => asked(contextOn('tarnside-sb-solid', PANELS, { ordinal })).areasM2!,
    );
    for (const of of areas) expect(of['leftFrontDoor']).toBe(0.9);
    expect(areas[0]!['leftRearDoor']).toBeLessThan(areas[1]!['leftRearDoor']!);
    expect(areas[1]!['leftRearDoor']).toBeLessThan(0.9);
  });

  it('is nothing that this coat leaves alone', () => {
    const { panels } = asked(
      contextOn('tarnside-sb-solid', [...PANELS, panel(4, 'hood', { scope: 'clearOnly' })]),
    );
    expect(panels).not.toContain('hood');
  });

  it('names two of one name apart', () => {
    const { panels } = asked(
      contextOn('tarnside-sb-solid', [panel(1, 'leftFrontDoor'), panel(2, 'leftFrontDoor')]),
    );
    expect(new Set(panels).size).toBe(2);
  });

  it('is no more at a time than place and gun manage', () => {
    const context = contextOn('tarnside-sb-solid', PANELS);
    expect(asked(context).mostM2).toBeUndefined();
    const room = { ...context.room, place: 'closedGarage' as const };
    const garage = asked({ ...context, room }).mostM2!;
    const gun = { ...context.gun, gun: { ...context.gun.gun, ability: 'basic' as const } };
    expect(asked({ ...context, room, gun }).mostM2).toBeLessThan(garage);
  });
});

describe('what still waits', () => {
  const input = {
    body: 'saloon' as const,
    airflow: 'frontToRear' as const,
    openTimeMinutes: 9,
    gunSpeedMPerS: 0.5,
    stepMm: 60,
  };
  const side = ask(routeCalculation, {
    ...input,
    panels: ['leftFrontFender', 'leftFrontDoor', 'leftRearDoor'],
  });
  const hood = ask(routeCalculation, { ...input, panels: ['hood'] });
  const at = (panels: [string, number][], halves: [string, number][] = []): DoneAt => ({
    panelsMs: new Map(panels),
    halvesMs: new Map(halves),
  });

  it('is nothing before the first panel and after the last', () => {
    expect(stillOpen(side, at([]))).toEqual([]);
    const all = side.order.map(({ panel: key }, i): [string, number] => [key, i]);
    expect(stillOpen(side, at(all))).toEqual([]);
  });

  it('closes so that a neighbour begun by then is met within the open time', () => {
    const [edge] = stillOpen(side, at([['leftFrontFender', 0]]));
    expect(edge).toMatchObject({ of: 'leftFrontFender', panel: 'leftFrontDoor' });
    const met = side.wetEdges.find(({ between }) => between.includes('leftFrontFender'))!;
    const [fender, door] = ['leftFrontFender', 'leftFrontDoor'].map((key) =>
      side.order.find(({ panel: one }) => one === key)!,
    );
    // Begun as planned it is as old as planned; begun at the last moment, as old as may be.
    const laterSeconds = edge!.closesAtMs / 1000 - (door!.startSeconds - fender!.endSeconds);
    expect(met.ageSeconds + laterSeconds).toBeCloseTo(met.limitSeconds, 6);
  });

  it('names the edge that closes first in front', () => {
    const [first, second] = stillOpen(
      side,
      at([
        ['leftFrontFender', 0],
        ['leftRearDoor', 60_000],
      ]),
    );
    expect(first!.closesAtMs).toBeLessThan(second!.closesAtMs);
  });

  it('knows the middle of a panel of which one half is on', () => {
    expect(stillOpen(hood, at([], [['hood', 0]]))).toMatchObject([{ of: 'hood', panel: 'hood' }]);
    expect(stillOpen(hood, at([['hood', 0]]))).toEqual([]);
  });
});
