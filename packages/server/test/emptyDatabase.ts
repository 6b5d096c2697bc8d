/**
 * A database of its own with nothing in it yet, on the throw-away cluster: where a migration is
 * walked by hand.
 */
import type { DataSource } from 'typeorm';
import { bareDatabase } from './templates.ts';
import { newDataSource } from '../src/database/dataSource.ts';

export const emptyDatabase = async (): Promise<DataSource> =>
  newDataSource(await bareDatabase()).initialize();
