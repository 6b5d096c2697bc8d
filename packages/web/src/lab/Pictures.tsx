/** The lab's pictures, A in amber and B in blue, each with what it says in the trade's words. */
import type { AnswerOf } from '@orthochrom/contract/registry.ts';
import type { ReactNode } from 'react';
import { BOX, layOutDrops, layOutProfile, type Box } from './labLayout.ts';
import type { LabSetup } from './labSetup.ts';
import styles from './Pictures.module.css';

export type Side = { name: 'A' | 'B'; setup: LabSetup; answer: AnswerOf<'coat'> };
type Words = { length: (mm: number) => string };

export function Picture({
  title,
  says,
  children,
}: {
  title: string;
  says: ReactNode;
  children: ReactNode;
}) {
  return (
    <figure className={`card ${styles['picture']}`}>
      <figcaption>
        <strong>{title}</strong>
      </figcaption>
      {children}
      <p className={styles['says']}>{says}</p>
    </figure>
  );
}

export const Ticks = ({
  ticks,
  box,
  along,
}: {
  ticks: { label: string; atPx: number }[];
  box: Box;
  along: 'x' | 'y';
}) => (
  <>
    {ticks.map(({ label, atPx }) =>
      along === 'x' ? (
        <text
          key={label}
          x={atPx}
          y={box.heightPx - 8}
          textAnchor="middle"
          className={styles['tick']}
        >
          {label}
        </text>
      ) : (
        <text
          key={label}
          x={box.leftPx - 6}
          y={atPx + 4}
          textAnchor="end"
          className={styles['tick']}
        >
          {label}
        </text>
      ),
    )}
  </>
);

export function ProfilePicture({ sides, words }: { sides: Side[]; words: Words }) {
  const layout = layOutProfile(
    sides.map(({ answer }) => ({ um: answer.film.profileUm, fanMm: answer.fanWidthMm.value })),
    words.length,
  );
  const [a] = sides;
  const ripple = a!.answer.film.ripplePercent.value;
  return (
    <Picture
      title="Across the fan, all passes on top of one another"
      says={`The film swings ${ripple.toFixed(1)} % either way on a step of ${words.length(a!.answer.stepMm)}: ${
        ripple < 5
          ? 'even'
          : ripple < 9
            ? 'an eye finds it in a light metallic'
            : 'expect bands; closer passes or a wider fan'
      }.`}
    >
      <svg
        viewBox={`0 0 ${BOX.widthPx} ${BOX.heightPx}`}
        role="img"
        aria-label="Film across one fan, in micrometres"
      >
        {layout.curves.map(({ path, fill }, i) => (
          <g key={sides[i]!.name} className={styles[sides[i]!.name]}>
            {i === 0 && <path d={fill} className={styles['fill']} />}
            <path d={path} className={styles['curve']} />
          </g>
        ))}
        <line
          x1={BOX.leftPx}
          x2={BOX.widthPx - BOX.rightPx}
          y1={layout.basePx}
          y2={layout.basePx}
          className={styles['base']}
        />
        <Ticks ticks={layout.films} box={BOX} along="y" />
        <Ticks ticks={layout.widths} box={BOX} along="x" />
      </svg>
    </Picture>
  );
}

const DROPS_BOX: Box = { ...BOX, heightPx: 150 };
export function DropsPicture({ sides }: { sides: Side[] }) {
  const { answer } = sides[0]!;
  const layout = layOutDrops(
    sides.map((side) => side.answer.dropletUm),
    answer.dropWindowUm,
    DROPS_BOX,
  );
  const [least, most] = answer.dropWindowUm;
  const um = answer.dropletUm.value;
  return (
    <Picture
      title="Drops against what suits this paint"
      says={
        um > most
          ? `${um.toFixed(0)} µm is coarse for it: more pressure or less fluid.`
          : um < least
            ? `${um.toFixed(0)} µm is finer than it wants: less air would lose less to fog.`
            : `${um.toFixed(0)} µm, inside its ${least} to ${most} µm.`
      }
    >
      <svg
        viewBox={`0 0 ${DROPS_BOX.widthPx} ${DROPS_BOX.heightPx}`}
        role="img"
        aria-label={`Drops of ${um.toFixed(0)} micrometres; ${least} to ${most} suit`}
      >
        <rect
          x={layout.window.fromPx}
          y={30}
          width={layout.window.toPx - layout.window.fromPx}
          height={80}
          className={styles['window']}
        />
        {layout.drops.map(({ atPx, fromPx, toPx, radiusPx }, i) => (
          <g key={sides[i]!.name} className={styles[sides[i]!.name]}>
            <line
              x1={fromPx}
              x2={toPx}
              y1={70 + i * 26 - (sides.length - 1) * 13}
              y2={70 + i * 26 - (sides.length - 1) * 13}
              className={styles['range']}
            />
            <circle
              cx={atPx}
              cy={70 + i * 26 - (sides.length - 1) * 13}
              r={radiusPx}
              className={styles['drop']}
            />
          </g>
        ))}
        <Ticks ticks={layout.ticks} box={DROPS_BOX} along="x" />
      </svg>
    </Picture>
  );
}
