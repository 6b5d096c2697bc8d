/**
 * Round the car: which panel comes next, from where and in which direction, so that every edge is
 * met wet and nothing lies in its own overspray.
 *
 * Source  ours; the search in bestOrder.ts, edges in wetEdges.ts, refills in refills.ts
 */
import type { BodyPanel } from '../body/bodyMap.ts';
import { because, type Reason } from '../outcome/verdicts.ts';
import { airOf, type Air } from './airOrder.ts';
import { bestOrder, type Best } from './bestOrder.ts';
import { coatsAfter } from './coatAfterCoat.ts';
import { onClock } from './clock.ts';
import { jobOf, type Job } from './orders.ts';
import { isRimFirst, placesOf } from './places.ts';
import type { RouteAnswer, RouteInput } from './routeInput.ts';
import { routeVerdicts } from './routeVerdicts.ts';
import { inSections } from './sections.ts';

/** The order of the panels of one coat. [route-1, route-2, route-3] */
export function routeOf(input: RouteInput): RouteAnswer {
  const air = airOf(input);
  const job = jobOf(input.body, placesOf(input, air.isTurned), air, input.hoseAt);
  const openSeconds = 60 * input.openTimeMinutes;
  const limits = { openSeconds, isCross: air.isCross, mostM2: input.mostM2 };
  const totalM2 = job.places.reduce((sum, { areaM2 }) => sum + areaM2, 0);
  const best = job.places.length > 0 ? bestOrder(job, limits) : undefined;
  const isTooMuch = totalM2 > (input.mostM2 ?? Infinity);
  const parted = best && (!best.isHeld || isTooMuch) ? inSections(job, limits) : undefined;
  const found = parted ?? best?.found;
  const clock = onClock(input, job, air, found);
  const { order, rims, walkM, wetEdges, refills } = clock;
  const sections = parted && parted.sections.length > 1 ? named(job, parted.sections) : undefined;
  const aids = aidsOf(job);
  const worst = Math.max(0, ...wetEdges.map(({ ageSeconds }) => ageSeconds));
  return {
    order,
    wetEdges,
    worstWetEdgeSeconds: worst,
    ...(best && wetEdges.length > 0 ? { leastWorstSeconds: leastOf(best) } : {}),
    walkM,
    ...(sections ? { sections } : {}),
    ...(aids.length > 0 ? { aids } : {}),
    ...(rims.length > 0 ? { rims } : {}),
    ...(refills ? { refills } : {}),
    ...coatsAfter(input, clock),
    verdicts: routeVerdicts(input, job, air, clock),
    reasons: reasonsOf(input, air, best, { isTooMuch, count: order.length }),
  };
}

const leastOf = ({ leastSeconds, lowSeconds }: Best) => ({
  value: leastSeconds,
  low: lowSeconds,
  high: leastSeconds,
});

const named = ({ places }: Job, sections: readonly number[]): string[][] =>
  sections.map((mask) => [
    ...new Set(
      places
        .filter((_, i) => mask & (1 << i))
        .flatMap(({ panel, riders }) => [...riders.map(({ map }) => map.id), panel]),
    ),
  ]);

function aidsOf({ places }: Job): NonNullable<RouteAnswer['aids']> {
  const needing = (map: BodyPanel) => (map.reach ? [{ what: map.reach, panel: map.id }] : []);
  const all = places.flatMap(({ map }) => needing(map));
  return all.filter(({ panel }, i) => all.findIndex((one) => one.panel === panel) === i);
}

function reasonsOf(
  input: RouteInput,
  { isCross }: Air,
  best: Best | undefined,
  { isTooMuch, count }: { isTooMuch: boolean; count: number },
): Reason[] {
  const reasons: Reason[] = [];
  if (count > 1) reasons.push(because(isCross ? 'air-first' : 'shortest-wet-edge', 'rule'));
  if (best && best.leastSeconds > 0)
    reasons.push(
      because(best.isProved ? 'no-order-better' : 'best-found', 'model', {
        leastSeconds: best.leastSeconds,
        lowSeconds: best.lowSeconds,
      }),
    );
  if (isTooMuch) reasons.push(because('sections-for-the-gun', 'rule', { mostM2: input.mostM2! }));
  reasons.push(because(isRimFirst(input) ? 'rims-first' : 'rims-last', 'rule'));
  return reasons;
}
