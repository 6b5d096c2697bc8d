/** Where a clash is shown; the dialog comes with the first one. */
import { lazy, Suspense } from 'react';
import { useClash } from '../api/clash.ts';

const ClashDialog = lazy(async () => ({
  default: (await import('./ClashDialog.tsx')).ClashDialog,
}));

export function Clashes() {
  const clash = useClash();
  return clash ? (
    <Suspense fallback={null}>
      <ClashDialog clash={clash} />
    </Suspense>
  ) : null;
}
