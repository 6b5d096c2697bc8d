/** The bodies as data: laws that every map holds, and the drawing that comes of it. */
import { describe, expect, it } from 'vitest';
import { BODIES, bodyMap, neighboursOf } from '../src/body/bodyMap.ts';
import { unfolded, type Point } from '../src/body/unfolded.ts';

const mirrored = (id: string): string =>
  id.startsWith('left') ? `right${id.slice(4)}` : id.replace(/^right/, 'left');
const area = (corners: Point[]): number =>
  Math.abs(
    corners.reduce((sum, [x, y], i) => {
      const [nextX, nextY] = corners[(i + 1) % corners.length]!;
      return sum + x * nextY - nextX * y;
    }, 0),
  ) / 2;

describe.each(BODIES)('the map of a %s', (body) => {
  const map = bodyMap(body);
  const ids = map.panels.map(({ id }) => id);
  it('names each panel once, and knows the panels of its edges', () => {
    expect(map.body).toBe(body);
    expect(new Set(ids).size).toBe(ids.length);
    for (const { between, lengthM } of map.edges) {
      expect(ids).toEqual(expect.arrayContaining(between));
      expect(lengthM).toBeGreaterThan(0);
    }
    for (const { outline } of map.panels) expect(map.outlines[outline]).toBeDefined();
  });
  it('keeps every panel on the car, and bands that go up', () => {
    for (const { along, heightsM, areaM2 } of map.panels) {
      expect(along[0]).toBeGreaterThanOrEqual(0);
      expect(along[1]).toBeLessThanOrEqual(1);
      for (const [from, to] of [along, heightsM]) expect(to).toBeGreaterThan(from);
      expect(areaM2).toBeGreaterThan(0);
    }
  });
  it('has its right side like its left', () => {
    for (const panel of map.panels) {
      const twin = map.panels.find(({ id }) => id === mirrored(panel.id))!;
      const { id: _i, side: _s, ...like } = panel;
      expect(twin).toMatchObject(like);
      expect(neighboursOf(body, twin.id).sort()).toEqual(
        neighboursOf(body, panel.id).map(mirrored).sort(),
      );
    }
  });
  it('is drawn about as large as it is painted, and right as it is left', () => {
    const { panels, box } = unfolded(body);
    expect(panels).toHaveLength(ids.length);
    for (const { id, corners, middle } of panels) {
      const painted = map.panels.find((panel) => panel.id === id)!.areaM2;
      const drawn = area(corners) / 10_000;
      if (painted >= 0.3 && body !== 'parts') {
        expect(painted / drawn, id).toBeGreaterThan(0.8);
        expect(painted / drawn, id).toBeLessThan(1.45);
      }
      const twin = panels.find((panel) => panel.id === mirrored(id))!;
      expect(twin.middle[0]).toBeCloseTo(middle[0], 9);
      if (twin.id !== id) expect(twin.middle[1]).toBeCloseTo(-middle[1], 9);
      for (const [x, y] of corners) {
        expect(x).toBeGreaterThan(box.x);
        expect(x).toBeLessThan(box.x + box.width);
        expect(y).toBeGreaterThan(box.y);
        expect(y).toBeLessThan(box.y + box.height);
      }
    }
  });
});

it('fits a saloon into 590 by 468 units', () => {
  const { width, height } = unfolded('saloon').box;
  expect([width, height].map(Math.round)).toEqual([590, 468]);
});
