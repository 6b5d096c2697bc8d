import type { AirLine, Compressor } from '@orthochrom/contract/shop/compressedAir.ts';
import { EntitySchema } from 'typeorm';
import {
  doubles,
  edited,
  ids,
  instants,
  key,
  optionalIds,
  refersTo,
  structures,
  texts,
  type EditedRow,
} from '../database/columns.ts';

/**
 * `describedAt` is when its figures or pieces were last changed: a test from before that says
 * nothing about it any more.
 */
export type CompressorRow = EditedRow &
  Omit<Compressor, 'id' | 'version' | 'pumpUp'> & { shopId: string; describedAt: Date };
export const CompressorTable = new EntitySchema<CompressorRow>({
  name: 'Compressor',
  tableName: 'compressor',
  columns: {
    ...key('compressor'),
    ...ids('shopId'),
    ...texts('name', 'note'),
    ...doubles('tankL', 'freeAirLPerMin', 'freeAirAtKPa', 'cutInKPa', 'cutOutKPa'),
    ...instants('describedAt'),
    ...edited,
  },
  foreignKeys: [refersTo('compressor', 'shopId', 'Shop')],
});

export type AirLineRow = EditedRow &
  Omit<AirLine, 'id' | 'version' | 'twoGauges' | 'roomId' | 'compressorId'> & {
    shopId: string;
    roomId: string | null;
    compressorId: string | null;
    describedAt: Date;
  };
export const AirLineTable = new EntitySchema<AirLineRow>({
  name: 'AirLine',
  tableName: 'air_line',
  columns: {
    ...key('air_line'),
    ...ids('shopId'),
    ...optionalIds('roomId', 'compressorId'),
    ...texts('name', 'gaugeAt', 'gaugeTrust', 'note'),
    ...structures('line'),
    ...instants('describedAt'),
    ...edited,
  },
  foreignKeys: [
    refersTo('air_line', 'shopId', 'Shop'),
    refersTo('air_line', 'roomId', 'Room'),
    refersTo('air_line', 'compressorId', 'Compressor'),
  ],
});
