/** What stands against an order of panels. */
import { bodyPanel } from '../body/bodyMap.ts';
import { caution, type Verdict } from '../outcome/verdicts.ts';
import type { Air } from './airOrder.ts';
import type { Clock } from './clock.ts';
import type { Job } from './orders.ts';
import type { RouteInput } from './routeInput.ts';

/** Every edge over its limit is said, and whatever was taken for granted. */
export function routeVerdicts(
  { body, openTimeMinutes }: RouteInput,
  { places }: Job,
  { isEndAssumed }: Air,
  { order, wetEdges, runsOut, unplaced }: Clock,
): Verdict[] {
  const limitSeconds = 60 * openTimeMinutes;
  const lost = wetEdges.filter(({ ageSeconds }) => ageSeconds > limitSeconds);
  const sides = [...new Set(order.map(({ panel }) => panel))].flatMap((panel) => {
    const attacks = bodyPanel(body, panel)?.attacks ?? 1;
    return attacks > 1 ? [caution('many-sided', { panel, attacks })] : [];
  });
  const long = places.filter(({ passSeconds }) => passSeconds > limitSeconds);
  return [
    ...(isEndAssumed ? [caution('fan-end-assumed')] : []),
    ...lost.map(({ between: [a, b], ageSeconds, at }) =>
      at === 'middle'
        ? caution('panel-outlasts-open-time', { panel: a, ageSeconds, limitSeconds })
        : caution('wet-edge-lost', { a, b, ageSeconds, limitSeconds }),
    ),
    ...long.map(({ panel, passSeconds }) =>
      caution('pass-outlasts-open-time', { panel, passSeconds, limitSeconds }),
    ),
    ...runsOut.map((panel) => caution('runs-out-in-panel', { panel })),
    ...sides,
    ...(unplaced.length > 0 && body !== 'parts'
      ? [caution('panel-without-place', { panels: unplaced.join(', ') })]
      : []),
  ];
}
