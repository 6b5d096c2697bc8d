/** A ratio scale as it is printed: a column a part, the same number in the next one. */
import { scaleColumns, type RatioScale } from '@orthochrom/core/mix/cup.ts';
import styles from './CupSettings.module.css';

/** Two numbers nearer than this cannot be read. */
const APART_PX = 10;
const BOX = { widthPx: 150, heightPx: 190, topPx: 18, footPx: 6, columnPx: 44 };

export function PrintedScale({ scale, capacityMl }: { scale: RatioScale; capacityMl: number }) {
  const parts = scale.ratio.map((share, i) => ({ name: String(i + 1), parts: share }));
  const columns = scaleColumns([scale], parts, capacityMl) ?? [];
  const yPx = (ml: number): number =>
    BOX.heightPx - BOX.footPx - (ml / capacityMl) * (BOX.heightPx - BOX.topPx - BOX.footPx);
  return (
    <svg
      viewBox={`0 0 ${BOX.widthPx} ${BOX.heightPx}`}
      className={styles['scale']}
      role="img"
      aria-label={`The scale ${scale.ratio.join(':')} as printed: ${columns.map(({ marks }, i) => `column ${i + 1} with ${marks.length} lines, the first at ${marks[0]?.atMl ?? 0} ml`).join('; ')}`}
    >
      <text x={BOX.widthPx / 2} y={12} className={styles['title']}>
        {scale.ratio.join(':')}
      </text>
      {columns.map(({ component, marks }, i) => {
        const xPx = 6 + i * BOX.columnPx;
        return (
          <g key={component}>
            <path
              d={`M${xPx} ${BOX.topPx} V${BOX.heightPx - BOX.footPx}`}
              className={styles['line']}
            />
            {marks.map(({ label, atMl }) => (
              <g key={label}>
                <path d={`M${xPx} ${yPx(atMl)} h14`} className={styles['line']} />
                {Number(label) % everyNth(marks, yPx) === 0 && (
                  <text x={xPx + 17} y={yPx(atMl) + 4} className={styles['number']}>
                    {label}
                  </text>
                )}
              </g>
            ))}
          </g>
        );
      })}
    </svg>
  );
}

/** Which numbers are written where the lines stand close. */
function everyNth(marks: readonly { atMl: number }[], yPx: (ml: number) => number): number {
  const [first] = marks;
  const apartPx = first ? yPx(0) - yPx(first.atMl) : APART_PX;
  const least = Math.max(1, Math.ceil(APART_PX / apartPx));
  return [1, 2, 5, 10, 20].find((step) => step >= least) ?? least;
}
