/** The lab's pictures, A in amber and B in blue, each with what it says in the trade's words. */
import type { AnswerOf } from '@orthochrom/contract/registry.ts';
import type { ReactNode } from 'react';
import {
  BOX,
  layOutDrops,
  layOutProfile,
  layOutRun,
  layOutTime,
  wavePath,
  type Box,
} from './labLayout.ts';
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

const Ticks = ({
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

export function TimePicture({ sides }: { sides: Side[] }) {
  const layout = layOutTime(
    sides.map(({ answer, setup }) => ({
      left: answer.solventLeft,
      readyMinutes: answer.flashReadyMinutes.map(({ value }) => value),
      startsMinutes: startsOf(setup),
      bakeMinutes: setup.bake ? startsOf(setup).at(-1)! + setup.bake.afterMinutes : undefined,
    })),
  );
  const { answer, setup } = sides[0]!;
  const first = answer.flashReadyMinutes[0]!;
  const last = answer.solventLeft.at(-1)?.byCoat ?? [];
  return (
    <Picture
      title="Solvent left in each coat, %"
      says={`The first coat is ready after about ${first.value.toFixed(0)} min (${first.low.toFixed(0)} to ${first.high.toFixed(0)}); you wait ${setup.coats[0]!.flashMinutes.toFixed(0)}. At the end ${last
        .map((share) => `${(share * 100).toFixed(0)} %`)
        .join(' and ')} of each is still in.`}
    >
      <svg
        viewBox={`0 0 ${BOX.widthPx} ${BOX.heightPx}`}
        role="img"
        aria-label="Solvent left by coat over minutes"
      >
        {layout.histories.map(({ coats, ready, bakePx }, side) => (
          <g key={sides[side]!.name} className={styles[sides[side]!.name]}>
            {bakePx !== undefined && side === 0 && (
              <rect
                x={bakePx}
                y={layout.topPx}
                width={BOX.widthPx - BOX.rightPx - bakePx}
                height={layout.basePx - layout.topPx}
                className={styles['heat']}
              />
            )}
            {coats.map(({ path }, coat) => (
              <path key={coat} d={path} className={styles['curve']} />
            ))}
            {side === 0 &&
              ready.map(({ atPx, isBeyond }, coat) =>
                isBeyond ? null : (
                  <g key={coat} className={styles['ready']}>
                    <line x1={atPx} x2={atPx} y1={layout.basePx} y2={layout.topPx + 14} />
                    <text x={atPx} y={layout.topPx + 8} textAnchor="middle">
                      ready {coat + 1}
                    </text>
                  </g>
                ),
              )}
          </g>
        ))}
        <line
          x1={BOX.leftPx}
          x2={BOX.widthPx - BOX.rightPx}
          y1={layout.basePx}
          y2={layout.basePx}
          className={styles['base']}
        />
        <Ticks ticks={layout.shares} box={BOX} along="y" />
        <Ticks
          ticks={layout.minutes.map((tick, i) => ({
            ...tick,
            label: i === 0 ? '0 min' : tick.label,
          }))}
          box={BOX}
          along="x"
        />
      </svg>
    </Picture>
  );
}

/** When each coat lands, minutes from the first. */
export const startsOf = ({ coats }: LabSetup): number[] =>
  coats.map((_, i) => coats.slice(0, i).reduce((sum, { flashMinutes }) => sum + flashMinutes, 0));

const WAVE_BOX: Box = { ...BOX, heightPx: 190 };
export function WavePicture({ sides }: { sides: Side[] }) {
  const { value, low, high } = sides[0]!.answer.peelIndex;
  return (
    <Picture
      title="How it lies when it has set"
      says={`${value.toFixed(1)} of 10, where 10 is a mirror (${low.toFixed(1)} to ${high.toFixed(1)}). ${
        value < 5.5
          ? 'A customer would call it peel.'
          : value < 7.5
            ? 'A texture, as much new paint has.'
            : 'Flat.'
      }`}
    >
      <svg
        viewBox={`0 0 ${WAVE_BOX.widthPx} ${WAVE_BOX.heightPx}`}
        role="img"
        aria-label={`Flatness ${value.toFixed(1)} of 10`}
      >
        {sides.map(({ name, answer }, i) => (
          <path
            key={name}
            d={wavePath(answer.peelIndex.value, WAVE_BOX, i * 1.3)}
            className={`${styles['curve']} ${styles[name]}`}
          />
        ))}
      </svg>
    </Picture>
  );
}

const RUN_BOX: Box = {
  widthPx: 200,
  heightPx: 210,
  leftPx: 40,
  rightPx: 12,
  topPx: 18,
  bottomPx: 16,
};
export function RunPicture({ sides }: { sides: Side[] }) {
  const layout = layOutRun(
    sides.map(({ answer }) => answer.sagMm),
    RUN_BOX,
  );
  const { value } = sides[0]!.answer.sagMm;
  const isFlat = sides[0]!.setup.panel.slopeDeg === 0;
  return (
    <Picture
      title="How far it slides, mm"
      says={
        isFlat
          ? 'Lying flat: nothing runs.'
          : `${value.toFixed(1)} mm before it sets; from about 12 mm an eye sees a run.`
      }
    >
      <svg
        viewBox={`0 0 ${RUN_BOX.widthPx} ${RUN_BOX.heightPx}`}
        role="img"
        aria-label={`Slides ${value.toFixed(1)} millimetres`}
        className={styles['narrow']}
      >
        <line
          x1={RUN_BOX.leftPx}
          x2={RUN_BOX.widthPx - 6}
          y1={layout.startsPx}
          y2={layout.startsPx}
          className={styles['limit']}
        />
        {layout.runs.map(({ endPx, lowPx, highPx }, i) => {
          const x = 80 + i * 50;
          return (
            <g key={sides[i]!.name} className={styles[sides[i]!.name]}>
              <line x1={x} x2={x} y1={lowPx} y2={highPx} className={styles['range']} />
              <path
                d={`M${x - 9} ${RUN_BOX.topPx} H${x + 9} V${Math.max(RUN_BOX.topPx + 1, endPx - 9)} a9 9 0 0 1 -18 0 Z`}
                className={styles['drop']}
              />
            </g>
          );
        })}
        <Ticks ticks={layout.ticks} box={RUN_BOX} along="y" />
      </svg>
    </Picture>
  );
}
