/** A panel seen from the front, by torch: what is meant by each word. */
import type { ReactNode } from 'react';
import { DARK, dots, LIGHT, LINES, PAINT, Panel, SILVER } from './marks.tsx';
import { HEIGHT, scattered, WIDTH } from './scatter.ts';

export const VIEWS: Record<string, ReactNode> = {
  wrinkles: (
    <Panel>
      {LINES(
        Array.from(
          { length: 9 },
          (_, i) => `M0 ${8 + i * 11}q12 -9 22 0t24 1t20 -4t26 5t22 -3t24 4t22 -2`,
        ),
        2.2,
      )}
    </Panel>
  ),
  flakes: (
    <Panel>
      <path
        d="M34 20l40 -6 18 24 -12 30 -40 6 -20 -28z"
        fill="#a39d8f"
        stroke={LIGHT}
        strokeWidth="2.4"
      />
      {LINES(['M92 38l26 -12 14 8', 'M80 68l22 16 30 -4', 'M40 74l-12 18'], 2)}
    </Panel>
  ),
  specks: (
    <Panel>
      {dots(15, 12, [2.4, 4.2], 24, (x, y, r) => (
        <>
          <ellipse cx={x} cy={y} rx={r * 2.2} ry={r * 1.7} fill={LIGHT} opacity="0.6" />
          <path
            d={`M${x - r} ${y}l${r} ${-r * 1.2} ${r} ${r * 0.8} ${-r * 0.6} ${r}z`}
            fill="#14100e"
          />
        </>
      ))}
      {LINES(['M100 70q12 -10 22 2'], 1.8, '#14100e')}
    </Panel>
  ),
  shade: (
    <Panel fill="#d8a32c">
      <path d="M40 24Q78 8 112 28T122 76Q82 96 50 80T40 24Z" fill="#5d5648" opacity="0.4" />
    </Panel>
  ),
  print: (
    <Panel>
      {LINES(
        Array.from(
          { length: 7 },
          (_, i) =>
            `M${58 + i * 3} ${74 - i}C${48 + i * 3} ${40 - i * 2} ${58 + i * 3} ${20 + i * 2} 80 ${18 + i * 3}S${108 - i * 3} ${44 - i} ${102 - i * 3} ${76 - i}`,
        ),
        1.6,
      )}
    </Panel>
  ),
  drops: (
    <Panel>
      {dots(18, 9, [8, 15], 30, (x, y, r) => (
        <>
          <circle cx={x} cy={y} r={r} fill="none" stroke={LIGHT} strokeWidth="2.4" />
          <circle cx={x} cy={y} r={r * 0.55} fill={LIGHT} opacity="0.25" />
        </>
      ))}
    </Panel>
  ),
  gun: (
    <Panel fill="#f3efe4">
      <ellipse cx="54" cy="50" rx="20" ry="40" fill="#3b4a55" opacity="0.85" />
      <path d="M104 12a34 38 0 0 1 0 76a52 40 0 0 0 0 -76z" fill="#3b4a55" opacity="0.85" />
    </Panel>
  ),
  whole: (
    <Panel fill={SILVER}>
      <rect x={WIDTH / 2} width={WIDTH / 2} height={HEIGHT} fill="#5d666b" opacity="0.5" />
    </Panel>
  ),
  repair: (
    <Panel fill={SILVER}>
      <ellipse
        cx="84"
        cy="52"
        rx="46"
        ry="32"
        fill="#5d666b"
        opacity="0.4"
        stroke="#fff"
        strokeWidth="1.6"
      />
    </Panel>
  ),
  edges: (
    <Panel fill={SILVER}>
      <path
        d={`M0 0H${WIDTH}V${HEIGHT}H0ZM14 14V${HEIGHT - 14}H${WIDTH - 14}V14Z`}
        fill="#5d666b"
        opacity="0.55"
        fillRule="evenodd"
      />
      {dots(4, 6, [3, 6], 26, (x, y, r) => (
        <circle cx={x} cy={y} r={r} fill="#5d666b" opacity="0.6" />
      ))}
    </Panel>
  ),
  scratches: (
    <Panel>
      {LINES(
        Array.from({ length: 22 }, (_, i) => `M${-20 + i * 9} ${HEIGHT}L${4 + i * 9} 0`),
        1.1,
      )}
    </Panel>
  ),
  contour: (
    <Panel>
      <path
        d="M24 54C28 24 66 14 96 22S142 60 118 78S20 88 24 54Z"
        fill="none"
        stroke={LIGHT}
        strokeWidth="3"
      />
    </Panel>
  ),
  cracks: (
    <Panel>
      {LINES(
        [
          'M20 0L34 26 22 52 40 70 34 100',
          'M34 26L70 34 92 20 118 30 160 22',
          'M40 70L76 62 96 78 132 66 160 74',
          'M76 62L70 34',
          'M118 30L132 66',
          'M96 78L92 100',
        ],
        2,
      )}
    </Panel>
  ),
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
