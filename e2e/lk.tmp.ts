import { chromium } from '@playwright/test';
const base = 'http://127.0.0.1:4355';
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium-headless-shell',
  chromiumSandbox: false,
  args: ['--disable-gpu'],
});
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
await page.goto(`${base}/tickets`);
await page.getByText('bench of steps').first().click();
await page.waitForTimeout(1500);
await page
  .getByRole('listitem')
  .getByRole('button', { name: /Clean$/ })
  .click();
await page.waitForTimeout(800);
await page.screenshot({ path: '/tmp/w/clean.png' });
console.log(
  await page.evaluate(
    `(() => { const w = document.querySelector('[data-work]'); return [w.scrollHeight, w.clientHeight]; })()`,
  ),
);

await page.getByRole('button', { name: 'Done', exact: true }).click();
await page.getByRole('button', { name: 'Done', exact: true }).click();
await page.getByRole('button', { name: 'Booth', exact: true }).click();
await page.waitForTimeout(800);
await page.screenshot({ path: '/tmp/w/clean2.png' });
await page.setViewportSize({ width: 768, height: 1024 });
await page.waitForTimeout(600);
await page.screenshot({ path: '/tmp/w/clean3.png' });
await browser.close();
