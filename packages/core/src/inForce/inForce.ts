/**
 * Whose word rules a coat. Each quantity is decided once, in this room, and everyone else reads it:
 * a safety stop, then the law, then the data sheet, the gun maker's leaflet, the practice of the
 * trade, the model (decision 13).
 */
import type { Reason } from '../outcome/verdicts.ts';

export type Word = 'safety' | 'law' | 'sheet' | 'leaflet' | 'practice' | 'model';

/** A quantity with whose word it is and why. */
export type InForce<T> = { value: T; source: Word; reason: Reason };
