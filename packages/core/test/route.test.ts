/** Laws of going round a car: what holds for every body, air and hand. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bodyMap, bodyPanel } from '../src/body/bodyMap.ts';
import { airOf, isUpstream } from '../src/route/airOrder.ts';
import { bestOrder } from '../src/route/bestOrder.ts';
import { jobOf, laid, type Job } from '../src/route/orders.ts';
import { placesOf } from '../src/route/places.ts';
import { routeOf } from '../src/route/route.ts';
import type { RouteAnswer, RouteInput } from '../src/route/routeInput.ts';
import { anyJob } from './anyRoute.ts';

const codesOf = ({ verdicts }: RouteAnswer): string[] => verdicts.map(({ code }) => code);
const holds = (most: number, law: (input: RouteInput, answer: RouteAnswer) => void, runs = 60) => {
  fc.assert(
    fc.property(anyJob(most), (input) => law(input, routeOf(input))),
    { numRuns: runs },
  );
};
const mirrored = (id: string): string =>
  id.startsWith('left') ? `right${id.slice(4)}` : id.replace(/^right/, 'left');

describe('every order', () => {
  it('has each panel once, a split one in two halves, one after the other from zero', () => {
    holds(10, ({ panels }, { order }) => {
      expect(new Set(order.map(({ panel }) => panel))).toEqual(new Set(panels));
      for (const panel of panels) {
        const sides = order.filter((step) => step.panel === panel).map(({ side }) => side);
        expect(sides.length).toBe(sides[0] ? 2 : 1);
        expect(new Set(sides).size).toBe(sides.length);
      }
      expect(order[0]!.startSeconds).toBe(0);
      order.forEach(({ startSeconds, endSeconds }, k) => {
        expect(endSeconds).toBeGreaterThan(startSeconds);
        if (k > 0) expect(startSeconds).toBeGreaterThanOrEqual(order[k - 1]!.endSeconds - 1e-6);
      });
    });
  });

  it('sprays the first half of a panel towards its middle', () => {
    holds(8, (_, { order }) => {
      for (const [k, { panel, side, from }] of order.entries())
        if (side && !order.slice(0, k).some((step) => step.panel === panel))
          expect(from).toBe(side);
    });
  });

  it('never sprays downstream before upstream on one side of the car', () => {
    holds(10, (input, { order }) => {
      const { isCross, isTurned } = airOf(input);
      if (!isCross) return;
      const placed = order.filter(({ panel }) => bodyPanel(input.body, panel)!.areaM2 > 0.2);
      placed.forEach((later, k) => {
        for (const earlier of placed.slice(0, k)) {
          const [a, b] = [earlier, later].map(({ panel }) => bodyPanel(input.body, panel)!);
          const lanes = [earlier.side ?? a!.side, later.side ?? b!.side];
          if (lanes[0] !== lanes[1] && !lanes.includes('middle')) continue;
          const [first, second] = isTurned ? [a!, b!] : [b!, a!];
          expect(isUpstream(first.along, second.along)).toBe(false);
        }
      });
    });
  });

  it('says exactly the edges that are lost, and sections exactly when no order holds them', () => {
    holds(9, (input, answer) => {
      const limit = 60 * input.openTimeMinutes;
      const lost = answer.wetEdges.filter(({ ageSeconds }) => ageSeconds > limit);
      const said = codesOf(answer).filter((code) =>
        ['wet-edge-lost', 'panel-outlasts-open-time'].includes(code),
      );
      expect(said).toHaveLength(lost.length);
      expect(answer.worstWetEdgeSeconds).toBe(
        Math.max(0, ...answer.wetEdges.map(({ ageSeconds }) => ageSeconds)),
      );
      if (answer.sections) {
        expect(answer.sections.flat().sort()).toEqual(expect.arrayContaining([...input.panels]));
        expect(answer.leastWorstSeconds!.value).toBeGreaterThan(limit);
        for (const { between, ageSeconds, at } of answer.wetEdges)
          if (
            answer.sections.some((section) => between.every((one) => section.includes(one))) &&
            !at
          )
            expect(ageSeconds).toBeLessThanOrEqual(limit + 1e-6);
      } else if (answer.leastWorstSeconds && lost.length > 0)
        expect(answer.leastWorstSeconds.value).toBeGreaterThan(limit);
    });
  });
});

describe('what does not matter', () => {
  it('the order of the list', () => {
    holds(8, (input, answer) => {
      const turned = { ...input, panels: [...input.panels].reverse() };
      expect(routeOf(turned)).toEqual(answer);
    });
  });

  it('still air or a downdraft', () => {
    holds(8, (input) => {
      const of = (airflow: RouteInput['airflow']) => routeOf({ ...input, airflow });
      expect(of('still').order).toEqual(of('downdraft').order);
      for (const { code } of of('still').reasons) expect(code).not.toBe('air-first');
    });
  });

  it('left or right, for how young the oldest edge can be', () => {
    holds(7, (input, answer) => {
      const other = routeOf({ ...input, panels: input.panels.map(mirrored) });
      const [a, b] = [answer, other].map((one) => one.leastWorstSeconds);
      if (!a || !b) return;
      expect(Math.abs(a.value - b.value)).toBeLessThan(Math.max(1, 0.015 * a.value) + 1e-6);
    });
  });
});

describe('what helps', () => {
  it('a quicker hand and a panel fewer never make the oldest edge older', () => {
    holds(7, (input, { leastWorstSeconds }) => {
      if (!leastWorstSeconds) return;
      const quicker = routeOf({ ...input, gunSpeedMPerS: input.gunSpeedMPerS * 1.3 });
      const slack = Math.max(1, 0.01 * leastWorstSeconds.value);
      expect(quicker.leastWorstSeconds!.low).toBeLessThanOrEqual(leastWorstSeconds.value + slack);
      const fewer = routeOf({ ...input, panels: input.panels.slice(1) });
      expect(fewer.leastWorstSeconds?.low ?? 0).toBeLessThanOrEqual(
        leastWorstSeconds.value + slack,
      );
    });
  });

  it('no filling runs dry between refills, save in a panel larger than a cup', () => {
    holds(8, (input) => {
      const cup = { cupMl: 300, wetFilmUm: 50, transferEfficiencyPercent: 65 };
      const { refills = [], order, verdicts } = routeOf({ ...input, ...cup });
      if (verdicts.some(({ code }) => code === 'runs-out-in-panel')) return;
      for (const { ml } of refills) expect(ml).toBeLessThanOrEqual(0.9 * cup.cupMl + 1e-6);
      for (const { atSeconds } of refills)
        for (const { startSeconds, endSeconds } of order)
          expect(atSeconds > startSeconds + 1e-6 && atSeconds < endSeconds - 1e-6).toBe(false);
    });
  });

  it('waterborne rims come after the last face, with solvent none stands apart', () => {
    holds(7, (input, { order, rims = [] }) => {
      const last = Math.max(...order.map(({ endSeconds }) => endSeconds));
      expect(rims.length > 0).toBe(input.carrier === 'waterborne');
      for (const { startSeconds } of rims) expect(startSeconds).toBeGreaterThanOrEqual(last);
    });
  });

  it('the second coat meets no panel that is not flashed', () => {
    holds(6, (input) => {
      const { order, rims = [], coats } = routeOf({ ...input, coats: 2, flashMinutes: 7 });
      const again = coats![1]!.startSeconds;
      const all = [...order, ...rims];
      for (const panel of input.panels) {
        const own = all.filter((step) => step.panel === panel);
        const end = Math.max(...own.map(({ endSeconds }) => endSeconds));
        const first = Math.min(...own.map(({ startSeconds }) => startSeconds));
        expect(again + first - end).toBeGreaterThanOrEqual(7 * 60 - 1e-6);
      }
    });
  });
});

/** Every order there is, tried. */
function leastByForce(job: Job): number {
  let least = Infinity;
  const grow = (order: number[], left: number[]): void => {
    if (left.length === 0) {
      least = Math.min(least, laid(job, order)?.worstSeconds ?? Infinity);
      return;
    }
    for (const place of left)
      for (const index of job.places[place]!.variants)
        grow(
          [...order, index],
          left.filter((other) => other !== place),
        );
  };
  grow(
    [],
    job.places.map((_, i) => i),
  );
  return least;
}

it('no order is better than the least found, tried against all of them', () => {
  fc.assert(
    fc.property(anyJob(5), (input) => {
      const air = airOf(input);
      const job = jobOf(input.body, placesOf(input, air.isTurned), air);
      fc.pre(job.places.length <= 6);
      const best = bestOrder(job, { openSeconds: 1e6, isCross: air.isCross });
      const least = leastByForce(job);
      expect(best.isProved).toBe(true);
      expect(best.leastSeconds).toBeGreaterThanOrEqual(least - 1e-6);
      expect(best.leastSeconds).toBeLessThanOrEqual(least + Math.max(1, 0.0101 * least));
      expect(best.lowSeconds).toBeLessThanOrEqual(least + 1e-6);
    }),
    { numRuns: 25 },
  );
});

it('a whole saloon has the figures that were printed for it', () => {
  const panels = bodyMap('saloon').panels.map(({ id }) => id);
  const hand = { openTimeMinutes: 9, gunSpeedMPerS: 0.5, stepMm: 60 };
  const leastOf = (airflow: RouteInput['airflow']): number =>
    routeOf({ body: 'saloon', panels, airflow, ...hand }).leastWorstSeconds!.value;
  for (const [airflow, seconds] of [
    ['frontToRear', 234],
    ['rearToFront', 243.4],
    ['downdraft', 205.2],
  ] as const)
    expect(Math.abs(leastOf(airflow) / seconds - 1)).toBeLessThan(0.01);
});
