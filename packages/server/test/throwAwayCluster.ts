/** One throw-away cluster a run; templates.ts makes the databases in it. */
import { rmSync } from 'node:fs';
import path from 'node:path';
import type { TestProject } from 'vitest/node';
import { build } from '../../../scripts/build.mjs';
import { startCluster } from '../../../scripts/postgres.mjs';
import { throwAwayFolder } from '../../../scripts/throwAway.mjs';

declare module 'vitest' {
  interface ProvidedContext {
    clusterUrl: string;
  }
}

const ROOT = path.join(import.meta.dirname, '../../..');
const quiet = () => undefined;

export default async function setup(project: TestProject): Promise<() => void> {
  build(ROOT, quiet, ['server']);
  const folder = throwAwayFolder('test');
  const cluster = await startCluster({ folder, say: quiet, durable: false });
  project.provide('clusterUrl', cluster.url(''));
  return () => {
    cluster.stop('immediate');
    rmSync(folder, { recursive: true, force: true });
  };
}
