/** Rooms, jobs and hands over the clock; the painter stands in what wants a hand. */
import { Link } from 'react-router';
import ribbon from '../ticket/TimeRibbon.module.css';
import { boardOf, ROW_PX, type DayAnswer } from './boardLayout.ts';
import styles from './DayPage.module.css';

type BoardPictureProps = {
  answer: DayAnswer;
  roomOf: (job: string) => string;
  hrefOf: (job: string) => string;
  startMinute: number;
  /** It begins with this minute, not with another day. */
  isNow: boolean;
  closesMinute: number;
  breaks: readonly (readonly [number, number])[];
  widthPx: number;
  clock: (minute: number) => string;
  /** What may be done from when, on the row of its job. */
  marks: readonly { job: string; said: string; minute: number }[];
};

const LEFT_PX = 14;
const RIGHT_PX = 24;
/** Half of a clock's text: nearer to the edge it would be cut. */
const TICK_ROOM_PX = 20;
const BLOCK_PX = 32;
const CHAR_PX = 7.4;
const KIND_WORD = {
  prep: 'ready',
  mix: 'mix',
  spray: '',
  flash: 'flash',
  bake: 'heat',
  look: 'look',
  finish: 'cut, polish',
} as const;

type Block = DayAnswer['blocks'][number];
/** The class of a stage in the ribbon's colours, by the word it is called. */
const stageClass = (stage: string): string | undefined =>
  ribbon[
    stage
      .replace(/ \d+$/, '')
      .replace(/ coat$/, '')
      .replace(' stage', 'Stage')
  ];
const textOf = ({ kind, stage, coat, painter }: Block): string =>
  kind === 'spray'
    ? `${stage}${coat === undefined ? '' : ` ${coat}`} · ${painter}`
    : KIND_WORD[kind];

export function BoardPicture(props: BoardPictureProps) {
  const {
    answer,
    roomOf,
    hrefOf,
    startMinute,
    isNow,
    closesMinute,
    breaks,
    widthPx,
    clock,
    marks,
  } = props;
  const box = { leftPx: LEFT_PX, widthPx, rightPx: RIGHT_PX };
  const { rows, x, heightPx, hours } = boardOf(answer, roomOf, startMinute, box);
  const [, toMinute] = x.domain() as [number, number];
  return (
    <div className={styles['grid']}>
      <div className={styles['labels']}>
        {rows.map((row) =>
          row.kind === 'room' ? (
            <h2 key={row.room} className={styles['room']}>
              {row.room}
            </h2>
          ) : (
            <Link key={row.job} to={hrefOf(row.job)} className={styles['job']}>
              {row.job}
            </Link>
          ),
        )}
      </div>
      <div className={styles['scroll']} tabIndex={0} role="group" aria-label="Board of the day">
        <svg width={widthPx} height={heightPx} role="img" aria-label={saidOf(answer, clock)}>
          {breaks
            .filter(([from, to]) => to > startMinute && from < toMinute)
            .map(([from, to]) => (
              <rect
                key={from}
                x={x(Math.max(from, startMinute))}
                width={x(Math.min(to, toMinute)) - x(Math.max(from, startMinute))}
                y={22}
                height={heightPx - 22}
                className={styles['break']}
              />
            ))}
          {hours.map((minute) => (
            <g key={minute}>
              <line
                x1={x(minute)}
                x2={x(minute)}
                y1={22}
                y2={heightPx}
                className={styles['hour']}
              />
              <text
                x={x(minute) < TICK_ROOM_PX ? 2 : x(minute)}
                y={15}
                textAnchor={x(minute) < TICK_ROOM_PX ? 'start' : 'middle'}
                className={styles['tick']}
              >
                {clock(minute)}
              </text>
            </g>
          ))}
          {closesMinute < toMinute && (
            <line
              x1={x(closesMinute)}
              x2={x(closesMinute)}
              y1={22}
              y2={heightPx}
              className={styles['closes']}
            />
          )}
          {rows.flatMap((row) =>
            row.kind === 'room'
              ? []
              : [
                  <g key={row.job} transform={`translate(0 ${row.yPx})`}>
                    <line
                      x1={0}
                      x2={widthPx}
                      y1={ROW_PX - 1}
                      y2={ROW_PX - 1}
                      className={styles['hour']}
                    />
                    {answer.blocks
                      .filter(({ job }) => job === row.job)
                      .map((block) => (
                        <Bar key={`${block.kind} ${block.startMinute}`} block={block} x={x} />
                      ))}
                    {marks
                      .filter(({ job, minute }) => job === row.job && minute <= toMinute)
                      .map(({ said, minute }) => (
                        <g key={said} transform={`translate(${x(minute)} 0)`}>
                          <path d="M0 44 V4 H12 L8 9 L12 14 H0" className={styles['mark']} />
                          <title>{said}</title>
                        </g>
                      ))}
                    {answer.windows
                      .filter(({ job, closesMinute: at }) => job === row.job && at <= toMinute)
                      .map(({ stage, closesMinute: at }) => (
                        <path
                          key={stage}
                          d="M-6 0 H6 L0 10 Z"
                          transform={`translate(${x(at)} 2)`}
                          className={styles['window']}
                        />
                      ))}
                  </g>,
                ],
          )}
          {isNow && (
            <line x1={LEFT_PX} x2={LEFT_PX} y1={22} y2={heightPx} className={styles['now']} />
          )}
        </svg>
      </div>
    </div>
  );
}

function Bar({ block, x }: { block: Block; x: (minute: number) => number }) {
  const { kind, stage, startMinute, endMinute } = block;
  const [from, to] = [x(startMinute), x(endMinute)];
  const text = textOf(block);
  const width = Math.max(2, to - from);
  const group = kind === 'spray' ? ribbon['spray'] : styles[kind];
  return (
    <g className={group}>
      <rect
        x={from}
        y={6}
        width={width}
        height={BLOCK_PX}
        className={kind === 'spray' ? stageClass(stage) : undefined}
      />
      {width > text.length * CHAR_PX && (
        <text x={from + width / 2} y={27} textAnchor="middle">
          {text}
        </text>
      )}
    </g>
  );
}

/** What the picture shows, for whoever cannot see it. */
function saidOf({ jobs }: DayAnswer, clock: (minute: number) => string): string {
  return jobs
    .map(({ job, startMinute, endMinute }) =>
      startMinute === undefined
        ? `${job}: not begun today`
        : `${job}: from ${clock(startMinute)}${endMinute === undefined ? ', not done today' : ` to ${clock(endMinute)}`}`,
    )
    .join('. ');
}
