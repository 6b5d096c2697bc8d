/** Whom a page would shut out: the published rules, run in the page itself. */
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { expect, type Page } from '@playwright/test';
import type axe from 'axe-core';
import { LOOK, markLooks } from './looks.ts';

/** Half as long as what the package gives by its name, and half as long to read. */
const AXE = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');
const WCAG = ['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'];
const CONTRAST = 'color-contrast';

/** The looks that were measured in this run, and found legible. */
const legible = new Set<string>();

type Found = { violations: string[]; legible: string[] };

/**
 * Serious findings only. The rules are brought into a page once; what only tells where a finding
 * is, and style sheets of other hosts, are not worked out: they took most of the time.
 */
async function run(page: Page, options: axe.RunOptions): Promise<Found> {
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(AXE);
  return page.evaluate(
    async ([asked, mark, contrast]) => {
      const { axe } = window as unknown as { axe: typeof import('axe-core') };
      axe.configure({ rules: [{ id: contrast, selector: `[${mark}]` }] });
      const { violations, passes } = await axe.run(document, asked);
      const passed = passes.find(({ id }) => id === contrast)?.nodes ?? [];
      const legible = passed
        .map(({ element }) => element!.getAttribute(mark)!)
        .filter((look) => look !== '');
      document.querySelectorAll(`[${mark}]`).forEach((element) => element.removeAttribute(mark));
      return {
        violations: violations
          .filter(({ impact }) => impact === 'serious' || impact === 'critical')
          .map(
            ({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 140)).join(' | ')}`,
          ),
        legible,
      };
    },
    [{ selectors: false, preload: false, ...options }, LOOK, CONTRAST] as const,
  );
}

/** What is written is told from its ground: each look once, wherever it stands. */
export async function expectLegible(page: Page): Promise<void> {
  if ((await markLooks(page, [...legible])) === 0) return;
  const found = await run(page, {
    runOnly: { type: 'rule', values: [CONTRAST] },
    resultTypes: ['violations', 'passes'],
    elementRef: true,
  });
  expect(found.violations).toEqual([]);
  for (const look of found.legible) legible.add(look);
}

export async function expectAccessible(page: Page): Promise<void> {
  const found = await run(page, {
    runOnly: { type: 'tag', values: WCAG },
    rules: { [CONTRAST]: { enabled: false } },
    resultTypes: ['violations'],
    elementRef: false,
  });
  expect(found.violations).toEqual([]);
  await expectLegible(page);
}
