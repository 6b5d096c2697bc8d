/** The mixing cup in pixels: printed marks, and the level after each pour. Pure. */
import type { Component } from '@orthochrom/core/mix/cup.ts';
import { scaleLinear } from 'd3';

export type CupBox = {
  widthPx: number;
  heightPx: number;
  topPx: number;
  bottomPx: number;
  leftPx: number;
  cupPx: number;
};

export function layOutCup(
  cup: { capacityMl: number; marksMl: readonly number[] },
  components: readonly Pick<Component, 'name' | 'role' | 'cumulativeMl' | 'ml'>[],
  box: CupBox,
) {
  const y = scaleLinear([0, cup.capacityMl * 1.06], [box.heightPx - box.bottomPx, box.topPx]);
  const everyNth = Math.max(1, Math.ceil(cup.marksMl.length / 9));
  return {
    floorPx: y(0),
    rimPx: y(cup.capacityMl * 1.06),
    layers: components.map(({ name, role, cumulativeMl, ml }) => ({
      name,
      role: role ?? 'paint',
      yPx: y(cumulativeMl),
      heightPx: y(cumulativeMl - ml) - y(cumulativeMl),
      fillToMl: cumulativeMl,
    })),
    marks: cup.marksMl.map((atMl, i) => ({
      atMl,
      yPx: y(atMl),
      isLabelled: (i + 1) % everyNth === 0,
    })),
  };
}
