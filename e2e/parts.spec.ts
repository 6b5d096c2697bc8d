/**
 * Every part in every state looks as it did: a change that was not meant is seen, one that was is
 * kept with `npm run parts -- --update-snapshots`.
 */
import { fileURLToPath } from 'node:url';
import { expect, test } from '@playwright/test';
import { createServer, type ViteDevServer } from 'vite';

const WEB = fileURLToPath(new URL('../packages/web', import.meta.url));
let server: ViteDevServer;

test.describe.configure({ mode: 'default' });

test.beforeAll(async () => {
  server = await createServer({
    root: WEB,
    configFile: `${WEB}/vite.config.ts`,
    logLevel: 'error',
    server: { port: 0, hmr: false },
  });
  await server.listen();
});
test.afterAll(() => server.close());

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
