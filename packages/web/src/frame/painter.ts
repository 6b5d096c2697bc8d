/**
 * Who is painting: who is signed in; where no PIN is asked, who was picked, and the browser
 * remembers.
 */
import { useLocalStorage } from '@mantine/hooks';
import type { Painter } from '@orthochrom/contract/shop/setup.ts';
import type { Role } from '@orthochrom/contract/shop/signIn.ts';
import { createContext, use } from 'react';

export type PainterState = {
  painter: Painter;
  painters: Painter[];
  pick: (id: string) => void;
  /** What he may change of the shop; everything where no PIN is asked. */
  role: Role;
};
export const PainterContext = createContext<PainterState | undefined>(undefined);

export const usePickedPainterId = () =>
  useLocalStorage<string>({
    key: 'orthochrom-painter',
    defaultValue: '',
    getInitialValueInEffect: false,
  });

/** @throws Error outside the shell, which alone knows the painters */
export function usePainter(): PainterState {
  const state = use(PainterContext);
  if (!state) throw new Error('usePainter outside the shell');
  return state;
}
