import { EntitySchema } from 'typeorm';
import { doubles, ids, instants, key, refersTo, texts } from '../database/columns.ts';

/** A reading by hand: where, what, in which unit it was typed, by whom, when. Append-only. */
export type ReadingRow = {
  id: string;
  shopId: string;
  roomId: string;
  quantity: 'airC' | 'rhPercent' | 'panelC' | 'materialC';
  valueCanonical: number;
  enteredValue: number;
  enteredUnit: string;
  instrument: string;
  takenBy: string;
  takenAt: Date;
};
export const ReadingTable = new EntitySchema<ReadingRow>({
  name: 'Reading',
  tableName: 'reading',
  columns: {
    ...key('reading'),
    ...ids('shopId', 'roomId', 'takenBy'),
    ...texts('quantity', 'enteredUnit', 'instrument'),
    ...doubles('valueCanonical', 'enteredValue'),
    ...instants('takenAt'),
  },
  indices: [{ name: 'reading_room_taken_at', columns: ['roomId', 'takenAt'] }],
  foreignKeys: [
    refersTo('reading', 'shopId', 'Shop'),
    refersTo('reading', 'roomId', 'Room'),
    refersTo('reading', 'takenBy', 'Painter'),
  ],
});
