/** What was read on a panel while heat is on: the metal, not the air. Append-only. */
import { z } from 'zod';
import { wanted } from '../quantity/fields.ts';
import { Id } from './common.ts';

export const HeatReadCreate = z.strictObject({
  id: Id,
  painterId: Id,
  panelId: Id,
  ...wanted('seenC'),
});
export type HeatReadCreate = z.infer<typeof HeatReadCreate>;
export type HeatRead = HeatReadCreate & { coatId: string; at: string };
