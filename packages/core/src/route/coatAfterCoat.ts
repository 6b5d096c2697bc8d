/**
 * The same order each coat: the next begins when no panel is met before it is flashed.
 *
 * Source  ours
 */
import type { Clock } from './clock.ts';
import type { RouteAnswer, RouteInput } from './routeInput.ts';

/** From when to when each coat goes, with the wait before it; nothing where one coat is asked. */
export function coatsAfter(
  { coats, flashMinutes = 0 }: Pick<RouteInput, 'coats' | 'flashMinutes'>,
  { order, rims }: Pick<Clock, 'order' | 'rims'>,
): Pick<RouteAnswer, 'coats'> {
  if (coats === undefined || coats < 2) return {};
  const all = [...order, ...rims];
  const lastsSeconds = Math.max(...all.map(({ endSeconds }) => endSeconds));
  const panels = [...new Set(all.map(({ panel }) => panel))];
  const waits = panels.map((panel) => {
    const own = all.filter((step) => step.panel === panel);
    const first = Math.min(...own.map(({ startSeconds }) => startSeconds));
    return Math.max(...own.map(({ endSeconds }) => endSeconds)) - first + 60 * flashMinutes;
  });
  const everySeconds = Math.max(lastsSeconds, ...waits);
  return {
    coats: Array.from({ length: coats }, (_, i) => ({
      coat: i + 1,
      startSeconds: i * everySeconds,
      endSeconds: i * everySeconds + lastsSeconds,
      waitSeconds: i === 0 ? 0 : everySeconds - lastsSeconds,
    })),
  };
}
