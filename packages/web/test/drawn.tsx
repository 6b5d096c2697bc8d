/** A part of the screen drawn to text, for a painter in these units. */
import { MantineProvider } from '@mantine/core';
import type { Painter, Units } from '@orthochrom/contract/shop/setup.ts';
import type { ReactNode } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { PainterContext } from '../src/frame/painter.ts';

export const METRIC = { temperature: 'C', pressure: 'kPa', length: 'mm', volume: 'ml' };

export function drawn(node: ReactNode, units: object = METRIC): string {
  const painter = { id: 'p', name: 'Nell', units: units as Units } as Painter;
  return renderToStaticMarkup(
    <MantineProvider>
      <PainterContext value={{ painter, painters: [painter], pick: () => undefined, role: 'lead' }}>
        {node}
      </PainterContext>
    </MantineProvider>,
  );
}
