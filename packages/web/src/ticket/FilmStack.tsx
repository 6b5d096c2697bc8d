/**
 * The spine of a ticket: the layers to scale, planned in outline, laid in colour; touching one
 * opens its coat.
 */
import { Select } from '@mantine/core';
import { layersFound, panelSaid } from '@orthochrom/contract/plan/layersFound.ts';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { useState } from 'react';
import { usePainter } from '../frame/painter.ts';
import { formatFor } from '@orthochrom/contract/words/format.ts';
import { HISTORY_NAME } from './found/foundWords.ts';
import { Seam } from './found/Seam.tsx';
import styles from './FilmStack.module.css';
import { panelName } from '@orthochrom/contract/words/panelWords.ts';
import {
  carriersMeet,
  layOutFound,
  layOutStack,
  stackLayers,
  type LayerMark,
  type StackBox,
} from './stackLayout.ts';

/**
 * A triangle in the layer: filled while the fault is open, hollow once it was left with a word why.
 */
const faultSaid = (fault: LayerMark | undefined): string =>
  fault ? `, ${fault.names} ${fault.isOpen ? 'not settled' : 'left in it'}` : '';

/** So much more height for each layer that was found. */
const ROOM_PX = 40;
const BOX: StackBox = {
  widthPx: 330,
  heightPx: 470,
  leftPx: 40,
  barPx: 100,
  topPx: 10,
  bottomPx: 46,
  apartPx: 48,
};

export function FilmStack({
  whole,
  selectedId,
  onSelect,
}: {
  whole: TicketWhole;
  selectedId: string | undefined;
  onSelect: (coatId: string) => void;
}) {
  const { painter } = usePainter();
  const format = formatFor(painter.units);
  const { panels, stages } = whole.ticket;
  const painted = panels.filter(({ id }) => stages.some(({ panelIds }) => panelIds.includes(id)));
  const [picked, setPicked] = useState(painted[0]?.id ?? '');
  const panel = painted.find(({ id }) => id === picked) ?? painted[0];
  const layers = stackLayers(whole, panel?.id ?? '');
  const found = panel?.found ?? [];
  const { heightsPx, box } = layOutFound(found, layers, {
    ...BOX,
    heightPx: Math.max(BOX.heightPx, layers.length * BOX.apartPx + 80) + found.length * ROOM_PX,
  });
  const foundPx = heightsPx.reduce((sum, px) => sum + px, 0);
  const layout = layOutStack(layers, box);
  const seams =
    layersFound({ ...whole.ticket, prepAnswers: whole.prepAnswers }, whole.sheets)?.pairs ?? [];
  const film = (um: number) => format.joined(format.film(um));
  if (!panel) return null;
  return (
    <div className="stack">
      <div>
        <p className="quiet">
          {film(layout.laidUm)} laid of {film(layout.totalUm)} dry
        </p>
      </div>
      {painted.length > 1 && (
        <Select
          aria-label="Panel shown"
          size="sm"
          value={panel.id}
          onChange={(id) => id && setPicked(id)}
          data={painted.map(({ id, name, scope }) => ({
            value: id,
            label: `${panelName(name)}${scope === 'full' ? '' : `, ${scope}`}`,
          }))}
        />
      )}
      {seams
        .filter((seam) => seam.panel === panelSaid(panels, panel))
        .map(({ above, outcome }) => (
          <div key={above}>
            <Seam outcome={outcome} over={above} />
          </div>
        ))}
      {carriersMeet(layers).map(({ coatId, name, carrier }) => (
        <p key={coatId} className={styles['meet']}>
          {name}: {carrier} over {carrier === 'solvent' ? 'waterborne' : 'solvent'}, once it is matt
          all through
        </p>
      ))}
      <svg
        viewBox={`0 0 ${box.widthPx} ${box.heightPx}`}
        className={styles['stack']}
        aria-label="Film stack"
      >
        {layout.ticks.map(({ um, yPx }) => (
          <g key={um} className={styles['tick']}>
            <line x1={BOX.leftPx - 6} x2={BOX.leftPx} y1={yPx} y2={yPx} />
            <text x={BOX.leftPx - 9} y={yPx + 4} textAnchor="end">
              {format.film(um).text}
            </text>
          </g>
        ))}
        <pattern id="found" width="7" height="7" patternUnits="userSpaceOnUse">
          <path d="M0 7L7 0" className={styles['hatch']} />
        </pattern>
        {found.map(({ history, dryUm }, i) => {
          const belowPx = heightsPx.slice(0, i + 1).reduce((sum, px) => sum + px, 0);
          const yPx = layout.floorPx + foundPx - belowPx;
          return (
            <g key={i}>
              <rect
                x={BOX.leftPx}
                y={yPx}
                width={BOX.barPx}
                height={heightsPx[i]}
                fill="url(#found)"
                className={styles['found']}
              />
              <text
                x={BOX.leftPx + BOX.barPx + 14}
                y={yPx + heightsPx[i]! / 2 + 5}
                className={styles['quiet']}
              >
                {HISTORY_NAME[history]}{' '}
                {dryUm !== undefined && <tspan className={styles['um']}>{film(dryUm)}</tspan>}
              </text>
            </g>
          );
        })}
        <rect
          x={BOX.leftPx}
          y={layout.floorPx + foundPx}
          width={BOX.barPx}
          height={22}
          className={styles['substrate']}
        />
        <text
          x={BOX.leftPx + BOX.barPx + 14}
          y={layout.floorPx + foundPx + 16}
          className={styles['quiet']}
        >
          {panel.substrate}
        </text>
        {carriersMeet(layout.bars).map((bar) => (
          <line
            key={`carrier ${bar.coatId}`}
            x1={BOX.leftPx - 8}
            x2={BOX.leftPx + BOX.barPx + 8}
            y1={bar.yPx + bar.heightPx}
            y2={bar.yPx + bar.heightPx}
            className={styles['carriers']}
            data-carriers
          />
        ))}
        {layout.bars.map((bar) => {
          const isSelected = bar.coatId === selectedId;
          return (
            <g
              key={bar.coatId}
              role="button"
              tabIndex={0}
              aria-label={`${bar.name}, ${film(bar.dryUm)}, ${bar.isLaid ? 'laid' : 'planned'}${faultSaid(bar.fault)}`}
              aria-pressed={isSelected}
              className={`${styles['layer']} ${isSelected ? styles['selected'] : ''}`}
              onClick={() => onSelect(bar.coatId)}
              onKeyDown={(event) => {
                if (event.key === 'Enter' || event.key === ' ') onSelect(bar.coatId);
              }}
            >
              <rect
                x={0}
                y={bar.labelPx - BOX.apartPx / 2}
                width={BOX.widthPx}
                height={BOX.apartPx}
                className={styles['touch']}
              />
              <rect
                x={BOX.leftPx}
                y={bar.yPx}
                width={BOX.barPx}
                height={Math.max(bar.heightPx, 1.5)}
                className={bar.isLaid ? styles['laid'] : styles['planned']}
                style={bar.isLaid ? { fill: bar.colour } : {}}
              />
              <path
                d={`M${BOX.leftPx + BOX.barPx} ${bar.middlePx} L${BOX.leftPx + BOX.barPx + 12} ${bar.labelPx}`}
                className={styles['lead']}
              />
              {bar.fault && (
                <path
                  d={`M${BOX.leftPx + BOX.barPx / 2} ${bar.middlePx - 8} l9 15 h-18 z`}
                  className={bar.fault.isOpen ? styles['open'] : styles['left']}
                >
                  <title>{faultSaid(bar.fault).slice(2)}</title>
                </path>
              )}
              <text x={BOX.leftPx + BOX.barPx + 16} y={bar.labelPx + 5}>
                {bar.name} <tspan className={styles['um']}>{film(bar.dryUm)}</tspan>
              </text>
            </g>
          );
        })}
      </svg>
    </div>
  );
}
