/**
 * Every part in every state looks as it did: a change that was not meant is seen, one that was is
 * kept with `npm run parts -- --update-snapshots`.
 */
import { rmSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import react from '@vitejs/plugin-react';
import { expect, test } from '@playwright/test';
import { build, preview, type PreviewServer } from 'vite';
import { throwAwayFolder } from '../scripts/throwAway.mjs';

const WEB = fileURLToPath(new URL('../packages/web', import.meta.url));
let folder: string;
let server: PreviewServer;

test.describe.configure({ mode: 'default' });

// No part of the shop's own build: nobody meets this page there.
test.beforeAll(async () => {
  folder = throwAwayFolder('parts');
  const page = { root: WEB, configFile: false, logLevel: 'error' } as const;
  await build({
    ...page,
    plugins: [react()],
    worker: { format: 'es' },
    build: {
      outDir: folder,
      emptyOutDir: true,
      copyPublicDir: false,
      minify: false,
      target: 'es2022',
      rolldownOptions: { input: `${WEB}/parts.html` },
    },
  });
  server = await preview({ ...page, build: { outDir: folder }, preview: { port: 0 } });
});
test.afterAll(async () => {
  await server.close();
  rmSync(folder, { recursive: true, force: true });
});

for (const light of ['office', 'booth'])
  test(`every part looks as it did, ${light}`, async ({ page }) => {
    // All of it on one screen: a picture is drawn once it is seen.
    await page.setViewportSize({ width: 1280, height: 4600 });
    await page.goto(
      `${server.resolvedUrls!.local[0]}parts.html${light === 'booth' ? '?booth' : ''}`,
    );
    await page.locator('[data-focus-here]').waitFor();
    await page.evaluate(
      `document.querySelector('[data-focus-here]').focus({ preventScroll: true })`,
    );
    await page.evaluate('document.fonts.ready.then(() => undefined)');
    // The last picture is drawn when every canvas has paint on it.
    await page.waitForFunction(
      `[...document.querySelectorAll('canvas')].every((c) =>
        c.getContext('2d').getImageData(c.width >> 1, c.height >> 1, 1, 1).data[3] > 0)`,
    );
    await expect(page).toHaveScreenshot(`parts-${light}.png`, {
      fullPage: true,
      animations: 'disabled',
      maxDiffPixels: 600,
    });
  });
