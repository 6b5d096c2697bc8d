/**
 * Databases on the throw-away cluster of this run. A template is made by the first that asks for a
 * copy of it; nobody is ever connected to one.
 */
import path from 'node:path';
import type { QueryRunner } from 'typeorm';
import { v7 as newId } from 'uuid';
import { inject } from 'vitest';
import { newDataSource } from '../src/database/dataSource.ts';
import { loadDemoIfEmpty } from '../src/demo/loadDemo.ts';

/** The invented shop; and one that is migrated and empty. */
export const DEMO = 'template_demo';
export const EMPTY = 'template_empty';
type Template = typeof DEMO | typeof EMPTY;

const urlOf = (name: string): string => inject('clusterUrl').replace('/?', `/${name}?`);

/** Of a database of one's own with nothing in it. */
export const bareDatabase = (): Promise<string> => create();

/**
 * Of a copy of one's own.
 * @param from one of the two, or the name of a database that nobody is connected to
 */
export const copyOf = (from: string): Promise<string> => create(from);

const isTemplate = (name: string): name is Template => name === DEMO || name === EMPTY;

async function create(template?: string): Promise<string> {
  const name = `t_${newId().replaceAll('-', '')}`;
  await withAdmin(async (admin) => {
    if (template && isTemplate(template)) await ensure(admin, template);
    // Its files are copied, not written a second time through the log.
    const from = template ? `template ${template} strategy file_copy` : '';
    await admin.query(`create database ${name} ${from}`);
  });
  return urlOf(name);
}

/** The workers of a run ask at the same time: one makes it, the other waits for it. */
async function ensure(admin: QueryRunner, template: Template): Promise<void> {
  await admin.query('select pg_advisory_lock(hashtext($1))', [template]);
  const there = (await admin.query('select 1 from pg_database where datname = $1', [
    template,
  ])) as unknown[];
  if (there.length === 0) {
    const draft = `${template}_draft`;
    await admin.query(`drop database if exists ${draft}`);
    await admin.query(`create database ${draft}`);
    await fill(urlOf(draft), template);
    await admin.query(`alter database ${draft} rename to ${template}`);
  }
  await admin.query('select pg_advisory_unlock(hashtext($1))', [template]);
}

async function fill(url: string, template: Template): Promise<void> {
  const database = await newDataSource(url).initialize();
  await database.runMigrations();
  if (template === DEMO) await loadDemoIfEmpty(database, path.join(import.meta.dirname, '../demo'));
  await database.destroy();
}

/** From beside all databases, by one connection: a lock is held by the one that took it. */
export async function withAdmin(work: (admin: QueryRunner) => Promise<unknown>): Promise<void> {
  const postgres = await newDataSource(urlOf('postgres')).initialize();
  const admin = postgres.createQueryRunner();
  try {
    await work(admin);
  } finally {
    await admin.release();
    await postgres.destroy();
  }
}
