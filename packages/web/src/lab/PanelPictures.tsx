/** How the panel looks: waves that stand and runs that come. */
import { BOX, layOutRun, wavePath, type Box } from './labLayout.ts';
import styles from './Pictures.module.css';
import { type Side, Picture, Ticks } from './Pictures.tsx';

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
