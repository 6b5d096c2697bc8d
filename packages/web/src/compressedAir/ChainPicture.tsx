/**
 * The chain from the wall to the cap: what each piece takes, what is read where, and which of the
 * readings is yours.
 */
import type { AnswerOf } from '@orthochrom/contract/registry.ts';
import { convert } from '@orthochrom/core/units/convert.ts';
import { usePainter } from '../frame/painter.ts';
import { formatFor } from '@orthochrom/contract/words/format.ts';
import { layOutChain, type ChainBox, type Station } from './chainLayout.ts';
import styles from './ChainPicture.module.css';

const BOX: ChainBox = {
  widthPx: 900,
  heightPx: 330,
  leftPx: 92,
  rightPx: 70,
  topPx: 34,
  bottomPx: 92,
};

export type Chain = {
  airline: AnswerOf<'airline'>;
  inletKPa: number;
  capKPa: number;
  gaugeAt: 'gun' | 'wall';
  hoseWord: string;
};

function stationsOf({ airline, inletKPa, capKPa }: Chain): Station[] {
  let flowingKPa = airline.regulatorFlowingKPa;
  const between = airline.segments.map(({ name, lossKPa }, i) => {
    flowingKPa -= lossKPa;
    return { key: `${name} ${i}`, word: name, flowingKPa };
  });
  // The last piece ends at the gun.
  const pieces = between.slice(0, -1);
  return [
    {
      key: 'wall',
      word: 'wall',
      restKPa: airline.regulatorStaticKPa,
      flowingKPa: airline.regulatorFlowingKPa,
    },
    ...pieces,
    { key: 'gun', word: 'gun inlet', flowingKPa: inletKPa },
    { key: 'cap', word: 'air cap', flowingKPa: capKPa },
  ];
}

export function ChainPicture(chain: Chain) {
  const { painter } = usePainter();
  const { pressure, joined } = formatFor(painter.units);
  const stations = stationsOf(chain);
  const layout = layOutChain(stations, BOX, convert(1, painter.units.pressure, 'kPa'));
  const pieceWords = [
    ...chain.airline.segments.map(({ name }) =>
      name === 'hose' ? chain.hoseWord : name.split(' ')[0]!,
    ),
    'gun',
  ];
  const isYours = (key: string) => key === (chain.gaugeAt === 'gun' ? 'gun' : 'wall');
  return (
    <div className={styles['scroll']} tabIndex={0}>
      <svg
        viewBox={`0 0 ${BOX.widthPx} ${BOX.heightPx}`}
        className={styles['chain']}
        role="img"
        aria-label={`Pressure from the wall, ${joined(pressure(chain.airline.regulatorFlowingKPa))} flowing, to the gun, ${joined(pressure(chain.inletKPa))}, and the cap, ${joined(pressure(chain.capKPa))}`}
      >
        {layout.ticksKPa.map((kPa) => (
          <g key={kPa}>
            <line
              x1={BOX.leftPx}
              x2={BOX.widthPx - BOX.rightPx}
              y1={layout.y(kPa)}
              y2={layout.y(kPa)}
              className={styles['grid']}
            />
            <text
              x={BOX.leftPx - 40}
              y={layout.y(kPa) + 5}
              textAnchor="end"
              className={styles['tick']}
            >
              {pressure(kPa).text}
            </text>
          </g>
        ))}
        <path d={layout.area} className={styles['area']} />
        <path d={layout.flowingPath} className={styles['flowing']} />
        {layout.losses.map(({ key, lossKPa, xPx, yPx }, i) => (
          <g key={key}>
            <text
              x={xPx}
              y={Math.min(yPx + 34, layout.basePx - 26)}
              textAnchor="middle"
              className={styles['loss']}
            >
              −{pressure(lossKPa).text}
            </text>
            <text x={xPx} y={layout.basePx - 8} textAnchor="middle" className={styles['piece']}>
              {pieceWords[i]}
            </text>
          </g>
        ))}
        {layout.points.map((point) => {
          const isRead = point.key === 'wall' || point.key === 'gun' || point.key === 'cap';
          return (
            <g key={point.key}>
              {point.restYPx !== undefined && (
                <g className={styles['rest']}>
                  <line
                    x1={point.xPx - 26}
                    x2={point.xPx + 26}
                    y1={point.restYPx}
                    y2={point.restYPx}
                  />
                  <text x={point.xPx + 32} y={point.restYPx + 5}>
                    {joined(pressure(point.restKPa!))} at rest
                  </text>
                </g>
              )}
              <circle
                cx={point.xPx}
                cy={point.yPx}
                r={isRead ? 7 : 4}
                className={isYours(point.key) ? styles['yours'] : styles['spot']}
              />
              {isRead && (
                <>
                  <line
                    x1={point.xPx}
                    x2={point.xPx}
                    y1={point.yPx + 8}
                    y2={layout.basePx + 8}
                    className={styles['drop']}
                  />
                  <text
                    x={point.xPx}
                    y={layout.basePx + 40}
                    textAnchor="middle"
                    className={styles['figure']}
                  >
                    {pressure(point.flowingKPa).text}
                  </text>
                  <text
                    x={point.xPx}
                    y={layout.basePx + 60}
                    textAnchor="middle"
                    className={styles['word']}
                  >
                    {point.word}
                  </text>
                  {isYours(point.key) && (
                    <text
                      x={point.xPx}
                      y={layout.basePx + 80}
                      textAnchor="middle"
                      className={styles['mine']}
                    >
                      your gauge
                    </text>
                  )}
                </>
              )}
            </g>
          );
        })}
      </svg>
    </div>
  );
}
