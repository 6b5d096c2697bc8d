import { defineConfig } from 'vitest/config';

/** Long enough that no test fails for a slow or busy machine: speed is the bench's business. */
const PATIENT_MS = 60_000;
const project = (name: string, include: string, extra: object = {}) => ({
  test: { name, include: [include], testTimeout: PATIENT_MS, ...extra },
});

export default defineConfig({
  test: {
    projects: [
      project('core', 'packages/core/test/**/*.test.ts'),
      project('contract', 'packages/contract/test/**/*.test.ts'),
      project('web', 'packages/web/test/**/*.test.ts'),
      project('scripts', 'scripts/test/**/*.test.ts'),
      project('server', 'packages/server/test/**/*.test.ts', {
        globalSetup: './packages/server/test/throwAwayCluster.ts',
      }),
    ],
  },
});
