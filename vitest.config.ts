import os from 'node:os';
import { defineConfig } from 'vitest/config';

/** Long enough that no test fails for a slow or busy machine: speed is the bench's business. */
const PATIENT_MS = 600_000;
const project = (name: string, include: string, extra: object = {}) => ({
  test: { name, include: [include], testTimeout: PATIENT_MS, hookTimeout: PATIENT_MS, ...extra },
});

/** Functions of their input: their modules are loaded once for all files of a worker. */
const PURE = { isolate: false };

export default defineConfig({
  test: {
    maxWorkers: Math.max(2, os.availableParallelism() - 1),
    projects: [
      project('core', 'packages/core/test/**/*.test.ts', PURE),
      project('contract', 'packages/contract/test/**/*.test.ts', PURE),
      project('web', 'packages/web/test/**/*.test.{ts,tsx}', PURE),
      project('scripts', 'scripts/test/**/*.test.ts'),
      project('server', 'packages/server/test/**/*.test.ts', {
        globalSetup: './packages/server/test/throwAwayCluster.ts',
        // Each file has a shop of its own; the modules are the same for all.
        isolate: false,
      }),
    ],
  },
});
