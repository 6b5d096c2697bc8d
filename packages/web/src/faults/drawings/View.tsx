/** Where on a panel it is, as a plan: what it looks like is shown under the lamp. */
import type { ReactNode } from 'react';
import { DARK, dots, LIGHT, PAINT, Panel } from './marks.tsx';
import { scattered, WIDTH } from './scatter.ts';

export const VIEWS: Record<string, ReactNode> = {
  wipe: (
    <Panel>
      {Array.from({ length: 26 }, (_, i) => (
        <circle
          key={i}
          cx={18 + i * 4.9}
          cy={66 - 34 * Math.sin((i / 25) * Math.PI) + (i % 3) * 7}
          r={2 + (i % 3)}
          fill={LIGHT}
        />
      ))}
    </Panel>
  ),
  path: (
    <Panel>
      {[24, 50, 76].flatMap((y) =>
        Array.from({ length: 11 }, (_, i) => (
          <circle
            key={`${y} ${i}`}
            cx={12 + i * 13.5}
            cy={y + ((i * 7) % 5) - 2}
            r={1.6 + (i % 3) * 0.8}
            fill={LIGHT}
          />
        )),
      )}
    </Panel>
  ),
  random: (
    <Panel>
      {dots(31, 22, [2, 4], 18, (x, y, r) => (
        <circle cx={x} cy={y} r={r} fill={LIGHT} />
      ))}
    </Panel>
  ),
  thickZones: (
    <Panel>
      <rect y="70" width={WIDTH} height="30" fill={DARK} opacity="0.5" />
      {scattered(12, 60, [1.4, 2.8], 5)
        .filter(({ y }) => y > 66)
        .map(({ x, y, size }) => (
          <circle key={`${x} ${y}`} cx={x} cy={y} r={size} fill={LIGHT} />
        ))}
    </Panel>
  ),
  upright: (
    <Panel fill="#f3efe4">
      <path d="M58 8H104V92H58Z" fill={PAINT} />
      <path d="M81 18V78M72 66L81 80L90 66" stroke={LIGHT} strokeWidth="4" fill="none" />
    </Panel>
  ),
  lying: (
    <Panel fill="#f3efe4">
      <path d="M22 66L52 34H142L112 66Z" fill={PAINT} />
      <path d="M22 66H112V74H22Z" fill={DARK} />
    </Panel>
  ),
};
