/** What was seen, as it is cut; what is to be done about it. */
import type { FinishOn } from '@orthochrom/contract/plan/finishOn.ts';
import type { FinishTold } from '@orthochrom/contract/shop/finishStep.ts';
import type { Seen } from '@orthochrom/contract/shop/coat.ts';

const CUT: Partial<Record<Seen, { value: FinishTold['seen']; label: string }>> = {
  dust: { value: 'nib', label: 'nibs, dust' },
  run: { value: 'run', label: 'a run' },
  peel: { value: 'peel', label: 'peel' },
};
/** Of what was seen, what a cut can mend. */
export const seenToCut = (seen: readonly Seen[]) => seen.flatMap((one) => CUT[one] ?? []);

export const VERDICT_WORD: Record<FinishOn['verdict'], string> = {
  leave: 'Leave it.',
  polish: 'Cut and polish it.',
  recoat: 'A new clear.',
  respray: 'Spray it again.',
  strip: 'Off with it.',
};
