import os from 'node:os';
import { defineConfig } from 'vitest/config';
import { asBuilt } from './scripts/asBuilt.ts';

/** Long enough that no test fails for a slow or busy machine: speed is the bench's business. */
const PATIENT_MS = 600_000;
const patient = { testTimeout: PATIENT_MS, hookTimeout: PATIENT_MS };
const plugins = process.env['AS_BUILT'] ? [await asBuilt()] : [];

export default defineConfig({
  test: {
    maxWorkers: Math.max(2, os.availableParallelism() - 1),
    // Modules are loaded once for all files of a worker: what is tested is functions of their input,
    // and a file that needs a shop has one of its own.
    projects: [
      {
        plugins,
        test: {
          name: 'laws',
          include: [
            'packages/{core,contract,web}/test/**/*.test.{ts,tsx}',
            'scripts/test/**/*.test.ts',
          ],
          isolate: false,
          ...patient,
        },
      },
      {
        plugins,
        test: {
          name: 'server',
          include: ['packages/server/test/**/*.test.ts'],
          globalSetup: './packages/server/test/throwAwayCluster.ts',
          isolate: false,
          ...patient,
        },
      },
    ],
  },
});
