/** The film over time: what is left in it and how it thickens, coat by coat. */
import { BOX, layOutTime } from './labLayout.ts';
import type { LabSetup } from './labSetup.ts';
import styles from './Pictures.module.css';
import { type Side, Picture, Ticks } from './Pictures.tsx';

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
