/** Where a clash is shown; the dialog comes with the first one. */
import { useClash } from '../api/clash.ts';
import { late } from './late.tsx';

const ClashDialog = late(async () => (await import('./ClashDialog.tsx')).ClashDialog);

export function Clashes() {
  const clash = useClash();
  return clash ? <ClashDialog clash={clash} /> : null;
}
