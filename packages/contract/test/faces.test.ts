/** Parts off the car: the inside first, then, once tape bears on it, turned for the outside. */
import { describe, expect, it } from 'vitest';
import { insideUnder, isOfFace, secondSession } from '../src/plan/faces.ts';
import { panelSaid } from '../src/plan/layersFound.ts';
import type { Coat } from '../src/shop/coat.ts';
import type { Panel, StagePlan } from '../src/shop/ticket.ts';

const panel = (id: string, face?: Panel['face'], name = 'hatch') =>
  ({ id, name, ...(face ? { face } : {}) }) as Panel;
const stage = (id: string, panelIds: string[], face?: 'inside') =>
  ({ id, coats: 1, panelIds, ...(face ? { face } : {}) }) as StagePlan;
const coat = (stageId: string, state: Coat['state']) =>
  ({ id: `c ${stageId}`, stageId, ordinal: 1, state }) as Coat;

const panels = [panel('in', 'inside'), panel('out', 'outside'), panel('door', undefined, 'door')];
const stages = [
  stage('base in', ['in'], 'inside'),
  stage('clear in', ['in'], 'inside'),
  stage('base', ['out', 'door']),
];
const on = (coats: Coat[]) => ({ ticket: { panels, stages }, coats });

describe('faces', () => {
  it('are said with their part, and each is of one session', () => {
    expect(panels.map((one) => panelSaid(panels, one))).toEqual([
      'hatch, inside',
      'hatch, outside',
      'door',
    ]);
    for (const one of panels) expect(isOfFace(stages[0]!, one)).toBe(one.face === 'inside');
    for (const one of panels) expect(isOfFace(stages[2]!, one)).toBe(one.face !== 'inside');
  });
  it('the last coat inside is what must bear tape, once it is on', () => {
    const base = coat('base', 'planned');
    const under = (...coats: Coat[]) => insideUnder(on([...coats, base]), base)?.id;
    expect(under(coat('base in', 'looked'), coat('clear in', 'flashed'))).toBe('c clear in');
    expect(under(coat('base in', 'looked'), coat('clear in', 'planned'))).toBe('c base in');
    expect(insideUnder(on([base]), base)).toBeUndefined();
    const inside = coat('clear in', 'planned');
    expect(insideUnder(on([coat('base in', 'looked'), inside]), inside)).toBeUndefined();
  });
  it('a job without a turned part knows no second session', () => {
    const base = coat('base', 'planned');
    const plain = { panels: [panel('door', undefined, 'door')], stages: [stage('base', ['door'])] };
    expect(insideUnder({ ticket: plain, coats: [base] }, base)).toBeUndefined();
    expect(secondSession({ ticket: plain, coats: [base] }, base)).toEqual([]);
    const [said] = secondSession(on([base]), base);
    expect(said).toMatchObject({ code: 'second-session' });
    expect(said!.message).toContain('hatch, outside');
  });
});
