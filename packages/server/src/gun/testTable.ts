import type { ShopTest } from '@orthochrom/contract/shop/test.ts';
import { EntitySchema } from 'typeorm';
import { ids, instants, key, optionalIds, refersTo, structures, texts } from '../database/columns.ts';

/** What was measured in the shop; append-only. Nobody need have signed what came with a gun. */
export type TestRow = {
  id: string;
  shopId: string;
  painterId: string | null;
  nozzleSetId: string | null;
  airLineId: string | null;
  compressorId: string | null;
  kind: string;
  input: ShopTest;
  note: string;
  takenAt: Date;
};
export const TestTable = new EntitySchema<TestRow>({
  name: 'Calibration',
  tableName: 'calibration',
  columns: {
    ...key('calibration'),
    ...ids('shopId'),
    ...optionalIds('painterId', 'nozzleSetId', 'airLineId', 'compressorId'),
    ...texts('kind', 'note'),
    ...structures('input'),
    ...instants('takenAt'),
  },
  indices: [{ name: 'calibration_taken_at', columns: ['takenAt'] }],
  foreignKeys: [
    refersTo('calibration', 'shopId', 'Shop'),
    refersTo('calibration', 'painterId', 'Painter'),
    refersTo('calibration', 'nozzleSetId', 'NozzleSet'),
    refersTo('calibration', 'airLineId', 'AirLine'),
    refersTo('calibration', 'compressorId', 'Compressor'),
  ],
});
