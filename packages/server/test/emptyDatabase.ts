/**
 * A database of its own with nothing in it yet, on the throw-away cluster: where a migration is
 * walked by hand.
 */
import type { DataSource } from 'typeorm';
import { v7 as newId } from 'uuid';
import { urlOf } from './urlOf.ts';
import { newDataSource } from '../src/database/dataSource.ts';

export async function emptyDatabase(): Promise<DataSource> {
  const name = `m_${newId().replaceAll('-', '')}`;
  const admin = newDataSource(urlOf('postgres'));
  await admin.initialize();
  await admin.query(`create database ${name}`);
  await admin.destroy();
  const database = newDataSource(urlOf(name));
  await database.initialize();
  return database;
}
