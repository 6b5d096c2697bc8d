/** The marks that the drawings of a panel are made of. */
import type { ReactNode } from 'react';
import { HEIGHT, scattered, WIDTH } from './scatter.ts';

export const PAINT = '#6f3026';
export const LIGHT = '#e3b8a6';
export const DARK = '#3d1712';

export function Panel({ fill = PAINT, children }: { fill?: string; children?: ReactNode }) {
  return (
    <>
      <rect width={WIDTH} height={HEIGHT} fill={fill} />
      <path d={`M0 18L${WIDTH} 4V12L0 28Z`} fill="#fff" opacity="0.14" />
      {children}
    </>
  );
}

export const dots = (
  seed: number,
  count: number,
  sizes: readonly [number, number],
  apart: number,
  draw: (x: number, y: number, r: number) => ReactNode,
) =>
  scattered(seed, count, sizes, apart).map(({ x, y, size }) => (
    <g key={`${x} ${y}`}>{draw(x, y, size)}</g>
  ));
