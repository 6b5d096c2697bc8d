/** Whom a page would shut out: the published rules, run in the page itself. */
import { expect, type Page } from '@playwright/test';
import axe, { type AxeResults, type RunOptions } from 'axe-core';

const WCAG = ['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'];

/**
 * Serious findings only. The rules are brought into a page once; what only tells where a finding
 * is, and style sheets of other hosts, are not worked out: they took most of the time.
 * @param rules only these, where the rest was held already
 */
export async function expectAccessible(page: Page, rules?: string[]): Promise<void> {
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe.source);
  const options: RunOptions = {
    runOnly: rules ? { type: 'rule', values: rules } : { type: 'tag', values: WCAG },
    resultTypes: ['violations'],
    selectors: false,
    elementRef: false,
    preload: false,
  };
  const found = await page.evaluate(async (asked) => {
    const { axe } = window as unknown as {
      axe: { run: (within: Document, options: RunOptions) => Promise<AxeResults> };
    };
    const { violations } = await axe.run(document, asked);
    return violations
      .filter(({ impact }) => impact === 'serious' || impact === 'critical')
      .map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 140)).join(' | ')}`);
  }, options);
  expect(found).toEqual([]);
}
