/** That what cannot be read is found, also where most of a page was measured before. */
import { expect, test } from '@playwright/test';
import { expectLegible } from './accessible.ts';
import { LOOK, markLooks } from './looks.ts';

const page = (inside: string) =>
  `<html lang="en"><title>Legible</title><body style="background: rgb(255, 255, 255)">${inside}`;
const INK = '<p style="color: rgb(10, 20, 30)">ready to spray</p>';
const GREY = '<p style="color: rgb(200, 200, 200)">ready to spray</p>';

test('grey on white is found beside what was measured, and found again', async ({ page: tab }) => {
  await tab.setContent(page(INK));
  await expectLegible(tab);
  for (const content of [INK + GREY, GREY, `<section>${INK}<div>${GREY}</div></section>`]) {
    await tab.setContent(page(content));
    await expect(expectLegible(tab)).rejects.toThrow('color-contrast');
  }
});

test('a known ink is measured anew on another ground, faded, and under what floats', async ({
  page: tab,
}) => {
  const grounds = {
    'as it was': ['', INK],
    'a panel in grey': ['background: rgb(60, 60, 60)', INK],
    faded: ['opacity: 0.3', INK],
    'under a sheet': [
      'position: relative',
      `${INK}<i style="position: absolute; inset: 0; background: rgb(20, 20, 20)"></i>`,
    ],
  };
  await tab.setContent(page(INK));
  await markLooks(tab, []);
  const known = await tab.locator('p').getAttribute(LOOK);
  const marked: Record<string, number> = {};
  for (const [name, [style, inside]] of Object.entries(grounds)) {
    await tab.setContent(page(`<div style="${style}">${inside}</div>`));
    marked[name] = await markLooks(tab, [known!]);
  }
  expect(marked).toEqual({ 'as it was': 0, 'a panel in grey': 1, faded: 1, 'under a sheet': 1 });
});
