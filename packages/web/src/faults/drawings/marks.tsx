/** The marks that the drawings of a panel are made of. */
import type { ReactNode } from 'react';
import { HEIGHT, scattered, WIDTH } from './scatter.ts';

export const PAINT = '#6f3026';
export const LIGHT = '#e3b8a6';
export const DARK = '#3d1712';
export const SILVER = '#a9b1b5';

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
export const ring = (x: number, y: number, r: number) => (
  <>
    <circle cx={x} cy={y} r={r} fill={DARK} />
    <path
      d={`M${x - r} ${y}A${r} ${r} 0 0 1 ${x} ${y - r}`}
      stroke={LIGHT}
      strokeWidth="1.4"
      fill="none"
    />
  </>
);
export const blob = (x: number, y: number, r: number) => (
  <>
    <ellipse cx={x} cy={y} rx={r} ry={r * 0.8} fill={DARK} opacity="0.55" />
    <ellipse
      cx={x - r * 0.18}
      cy={y - r * 0.2}
      rx={r * 0.72}
      ry={r * 0.5}
      fill={LIGHT}
      opacity="0.75"
    />
  </>
);
export const DRIP = (x: number, y: number, long: number) => (
  <path
    d={`M${x - 4} ${y}C${x - 3} ${y + long * 0.6} ${x - 8} ${y + long * 0.7} ${x - 8} ${y + long}a8 8 0 0 0 16 0C${x + 8} ${y + long * 0.7} ${x + 3} ${y + long * 0.6} ${x + 4} ${y}Z`}
    fill={LIGHT}
    stroke={DARK}
    strokeWidth="1.6"
  />
);
export const LINES = (lines: readonly string[], width = 1.8, stroke = LIGHT) =>
  lines.map((d) => <path key={d} d={d} stroke={stroke} strokeWidth={width} fill="none" />);
export const BAND = (y: number, high: number, opacity: number) => (
  <rect key={y} y={y} width={WIDTH} height={high} fill="#5d666b" opacity={opacity} />
);
