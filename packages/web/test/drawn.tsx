/** A part of the screen drawn to text, for a painter in these units, over what was read. */
import { MantineProvider } from '@mantine/core';
import type { Painter, Units } from '@orthochrom/contract/shop/setup.ts';
import type { Role } from '@orthochrom/contract/shop/signIn.ts';
import type { ReactNode } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { MemoryRouter } from 'react-router';
import { SWRConfig } from 'swr';
import { PainterContext } from '../src/frame/painter.ts';

export const METRIC = {
  temperature: 'C',
  pressure: 'kPa',
  length: 'mm',
  film: 'um',
  volume: 'ml',
  area: 'm2',
  measure: 'volume',
};

type Drawn = {
  units?: object;
  role?: Role;
  /** Answers by their address: nothing else is known. */
  reads?: Record<string, unknown>;
};

export function drawn(node: ReactNode, { units = METRIC, role = 'lead', reads = {} }: Drawn = {}) {
  const painter = { id: 'p', name: 'Nell', units: units as Units } as Painter;
  return renderToStaticMarkup(
    <MantineProvider>
      <SWRConfig value={{ provider: () => new Map(), fallback: reads }}>
        <MemoryRouter>
          <PainterContext value={{ painter, painters: [painter], pick: () => undefined, role }}>
            {node}
          </PainterContext>
        </MemoryRouter>
      </SWRConfig>
    </MantineProvider>,
  );
}
