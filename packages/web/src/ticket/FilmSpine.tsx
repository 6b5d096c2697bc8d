/** The film stack as a slim spine, to scale; touched, it opens whole. */
import { Drawer } from '@mantine/core';
import { formatFor } from '@orthochrom/contract/words/format.ts';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { useState } from 'react';
import { Link } from 'react-router';
import { usePainter } from '../frame/painter.ts';
import type { Phase } from '@orthochrom/contract/plan/phases.ts';
import { Phases } from './Phases.tsx';
import { FilmStack } from './FilmStack.tsx';
import styles from './FilmSpine.module.css';
import { stackLayers } from './stackLayout.ts';

type FilmSpineProps = {
  whole: TicketWhole;
  selectedId: string;
  phases: readonly Phase[];
  onSelect: (coatId: string) => void;
};

export function FilmSpine({ whole, selectedId, phases, onSelect }: FilmSpineProps) {
  const [isOpen, setOpen] = useState(false);
  const { film, joined } = formatFor(usePainter().painter.units);
  const { ticket, coats } = whole;
  const selected = coats.find(({ id }) => id === selectedId);
  const stage = ticket.stages.find(({ id }) => id === selected?.stageId) ?? ticket.stages[0];
  const panel = ticket.panels.find(({ id }) => stage?.panelIds.includes(id)) ?? ticket.panels[0];
  if (!panel) return null;
  const layers = stackLayers(whole, panel.id);
  const um = (of: typeof layers) => of.reduce((sum, { dryUm }) => sum + dryUm, 0);
  const laidUm = um(layers.filter(({ isLaid }) => isLaid));
  return (
    <>
      <button
        type="button"
        className={styles['spine']}
        aria-label={`Film stack: ${film(laidUm).text} of ${joined(film(um(layers)))} laid. Open it`}
        onClick={() => setOpen(true)}
      >
        <span className={styles['sum']}>
          {film(laidUm).text} of {joined(film(um(layers)))}
        </span>
        <span className={styles['layers']}>
          {layers.map(({ coatId, name, dryUm, isLaid, colour, fault }) => (
            <span
              key={coatId}
              className={`${styles['layer']} ${isLaid ? styles['laid'] : ''} ${coatId === selectedId ? styles['here'] : ''}`}
              style={{ flexGrow: dryUm, ...(isLaid ? { background: colour } : {}) }}
            >
              <span className={styles['name']}>
                {fault?.isOpen && '▲ '}
                {name}
              </span>
            </span>
          ))}
        </span>
        <span className={styles['substrate']}>{panel.substrate}</span>
      </button>
      <Drawer opened={isOpen} onClose={() => setOpen(false)} title="Film stack" size={400}>
        <Phases phases={phases} />
        <FilmStack
          whole={whole}
          selectedId={selectedId}
          onSelect={(coatId) => (setOpen(false), onSelect(coatId))}
        />
        <p style={{ marginTop: '0.8rem' }}>
          <Link to={`/tickets/${ticket.id}/edit`}>Change panels, stages, room</Link>
        </p>
      </Drawer>
    </>
  );
}
