import 'reflect-metadata';
import { DataSource } from 'typeorm';
import { migrations } from '../migrations/list.ts';
import { tables } from './tables.ts';

export const newDataSource = (url: string): DataSource =>
  new DataSource({
    type: 'postgres',
    url,
    entities: tables,
    migrations,
    migrationsTransactionMode: 'all',
    installExtensions: false,
    extra: { max: 10, options: '-c timezone=UTC' },
  });
