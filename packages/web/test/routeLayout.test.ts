/** The drawn car: stands outside it, arrows inside their panel, ways round and not through. */
import { BODIES, bodyMap } from '@orthochrom/core/body/bodyMap.ts';
import { unfolded, type Point } from '@orthochrom/core/body/unfolded.ts';
import { ask } from '@orthochrom/contract/calculations/ask.ts';
import { routeCalculation } from '@orthochrom/contract/calculations/route.ts';
import { describe, expect, it } from 'vitest';
import { boxAround, halfOf, neighbourTowards } from '../src/ticket/body/bodyPath.ts';
import { arrowOf, standOf, wayBetween } from '../src/ticket/spray/routeLayout.ts';

const span = (points: readonly Point[], axis: 0 | 1): [number, number] => {
  const along = points.map((point) => point[axis]);
  return [Math.min(...along), Math.max(...along)];
};
const CARS = BODIES.filter((body) => body !== 'parts');

describe.each(CARS)('round a %s', (body) => {
  const drawn = unfolded(body);
  const { order } = ask(routeCalculation, {
    body,
    panels: bodyMap(body).panels.map(({ id }) => id),
    airflow: 'downdraft',
    openTimeMinutes: 14,
    gunSpeedMPerS: 0.5,
    stepMm: 90,
  });

  it('steps over each face inside its outline', () => {
    for (const step of order) {
      const { corners } = drawn.panels.find(({ id }) => id === step.panel)!;
      for (const [x, y] of arrowOf(body, step)!) {
        const [[left, right], [top, bottom]] = [span(corners, 0), span(corners, 1)];
        expect(x >= left - 1 && x <= right + 1 && y >= top - 1 && y <= bottom + 1).toBe(true);
      }
    }
  });

  it('stands outside the car, and goes round it', () => {
    const { box } = drawn;
    const isOutside = ([x, y]: Point): boolean =>
      x <= box.x + 10 ||
      x >= box.x + box.width - 10 ||
      y <= box.y + 10 ||
      y >= box.y + box.height - 10;
    const stands = order.map((step) => standOf(body, step)!);
    stands.forEach((stand, k) => {
      expect(isOutside(stand)).toBe(true);
      if (k === 0) return;
      const way = wayBetween(body, stands[k - 1]!, stand);
      expect([way[0], way.at(-1)]).toEqual([stands[k - 1], stand]);
      way.slice(1).forEach((point, i) => {
        const [fromX, fromY] = way[i]!;
        // Each leg runs along one side.
        expect(Math.min(Math.abs(point[0] - fromX), Math.abs(point[1] - fromY))).toBeLessThan(0.5);
      });
    });
  });

  it('is gone through by arrow keys to every panel', () => {
    const seen = new Set([drawn.panels[0]!.id]);
    const left = [drawn.panels[0]!];
    for (let from = left.pop(); from; from = left.pop())
      for (const key of ['ArrowLeft', 'ArrowRight', 'ArrowUp', 'ArrowDown']) {
        const next = neighbourTowards(key, from, drawn.panels, (point) => point);
        if (next && !seen.has(next.id)) {
          seen.add(next.id);
          left.push(next);
        }
      }
    expect(seen.size).toBe(drawn.panels.length);
  });
});

it('parts a panel at the middle line of the car, nothing lost', () => {
  const hood = unfolded('saloon').panels.find(({ id }) => id === 'hood')!;
  const [left, right] = [halfOf(hood.corners, 'left'), halfOf(hood.corners, 'right')];
  expect(span(left, 1)[1]).toBe(0);
  expect(span(right, 1)[0]).toBe(0);
  expect(span(left, 1)[0]).toBe(span(hood.corners, 1)[0]);
  expect(span(right, 1)[1]).toBe(span(hood.corners, 1)[1]);
});

it('is drawn near, with every stand on the picture', () => {
  const { panels } = unfolded('saloon');
  const beside: Point[] = [[100, -400]];
  const box = boxAround(panels, ['leftFrontDoor'], beside);
  expect(box.y).toBeLessThan(-400);
  expect(box.width).toBeLessThan(unfolded('saloon').box.width);
});
