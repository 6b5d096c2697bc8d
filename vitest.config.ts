import { defineConfig } from 'vitest/config';

const project = (name: string, include: string, extra: object = {}) => ({ test: { name, include: [include], ...extra } });

export default defineConfig({
  test: {
    projects: [
      project('core', 'packages/core/test/**/*.test.ts'),
      project('contract', 'packages/contract/test/**/*.test.ts'),
      project('web', 'packages/web/test/**/*.test.ts'),
      project('scripts', 'scripts/test/**/*.test.ts', { testTimeout: 60_000 }),
      project('server', 'packages/server/test/**/*.test.ts', {
        globalSetup: './packages/server/test/throwAwayCluster.ts',
        testTimeout: 30_000,
      }),
    ],
  },
});
