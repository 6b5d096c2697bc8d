/** What only some may do is shown to them only: a button that is refused is worse than none. */
import { mayAs, type Role } from '@orthochrom/contract/shop/signIn.ts';
import type { ReactNode } from 'react';
import { usePainter } from './painter.ts';

export function ForRole({ atLeast, children }: { atLeast: Role; children: ReactNode }) {
  const { role } = usePainter();
  return mayAs(role, atLeast) ? children : null;
}
