import 'reflect-metadata';
import { DataSource } from 'typeorm';
import { migrations } from '../migrations/list.ts';
import { tables } from './tables.ts';

/**
 * @param url postgres://role@host/name, or with ?host=FOLDER&port=N for a socket in a folder, as
 *   libpq has it
 */
export const newDataSource = (url: string): DataSource =>
  new DataSource({
    type: 'postgres',
    ...placeOf(url),
    entities: tables,
    migrations,
    migrationsTransactionMode: 'all',
    installExtensions: false,
    extra: {
      max: 10,
      // Short questions, answered before the database could compile them.
      options: '-c timezone=UTC -c jit=off',
      // A database that is away is said to be so, not waited for.
      connectionTimeoutMillis: 10_000,
    },
  });

function placeOf(url: string) {
  const { searchParams, username, password, pathname } = new URL(url);
  const folder = searchParams.get('host');
  if (!folder) return { url };
  return {
    host: folder,
    port: Number(searchParams.get('port') ?? 5432),
    username: decodeURIComponent(username),
    password: decodeURIComponent(password),
    database: decodeURIComponent(pathname.slice(1)),
  };
}
