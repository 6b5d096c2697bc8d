/** One throw-away cluster a run; a migrated template in it is copied for each test file. */
import { mkdtempSync, readdirSync, rmSync, statSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import type { TestProject } from 'vitest/node';
import { startCluster } from '../../../scripts/postgres.mjs';
import { newDataSource } from '../src/database/dataSource.ts';
import { loadDemoIfEmpty } from '../src/demo/loadDemo.ts';

declare module 'vitest' {
  interface ProvidedContext {
    clusterUrl: string;
  }
}

const PREFIX = 'orthochrom-test-';
const OLD_MS = 3_600_000;
const quiet = () => undefined;

export default async function setup(project: TestProject): Promise<() => void> {
  clearLeftovers();
  const folder = mkdtempSync(path.join(os.tmpdir(), PREFIX));
  const cluster = await startCluster({ folder, say: quiet, durable: false });
  cluster.ensureDatabase('template_empty');
  const empty = newDataSource(cluster.url('template_empty'));
  await empty.initialize();
  await empty.runMigrations();
  await empty.destroy();
  cluster.ensureDatabase('template_demo');
  const demo = newDataSource(cluster.url('template_demo'));
  await demo.initialize();
  await demo.runMigrations();
  await loadDemoIfEmpty(demo, path.join(import.meta.dirname, '../demo'));
  await demo.destroy();
  project.provide('clusterUrl', cluster.url(''));
  return () => {
    cluster.stop('immediate');
    rmSync(folder, { recursive: true, force: true });
  };
}

/** A run that was killed leaves its folder behind; an old one is nobody's any more. */
function clearLeftovers(): void {
  for (const name of readdirSync(os.tmpdir()).filter((entry) => entry.startsWith(PREFIX))) {
    const folder = path.join(os.tmpdir(), name);
    try {
      if (Date.now() - statSync(folder).mtimeMs > OLD_MS)
        rmSync(folder, { recursive: true, force: true });
    } catch {
      // Another user's: left alone.
    }
  }
}
