/** Letters on their grounds: 4.5:1 by day, 7:1 in the booth. Source: WCAG 2.2, 1.4.3 and 1.4.6 */
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { describe, expect, it } from 'vitest';

const css = readFileSync(path.join(import.meta.dirname, '../src/theme.css'), 'utf8');
const coloursOf = (scheme: 'light' | 'dark') => {
  const block = css.slice(css.indexOf(`[data-mantine-color-scheme='${scheme}']`));
  const pairs = block.slice(0, block.indexOf('}')).matchAll(/--([\w-]+): (#[0-9a-f]{6})/g);
  return new Map([...pairs].map(([, name, hex]) => [name!, hex!]));
};
const luminanceOf = (hex: string): number => {
  const [red, green, blue] = [1, 3, 5]
    .map((at) => parseInt(hex.slice(at, at + 2), 16) / 255)
    .map((c) => (c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4));
  return 0.2126 * red! + 0.7152 * green! + 0.0722 * blue!;
};
const contrastOf = (a: string, b: string): number => {
  const [high, low] = [luminanceOf(a), luminanceOf(b)].sort((x, y) => y - x);
  return (high! + 0.05) / (low! + 0.05);
};

describe.each([
  ['light', 4.5],
  ['dark', 7],
] as const)('%s', (scheme, least) => {
  const colours = coloursOf(scheme);
  const letters = ['ink', 'ink-2', 'go', 'caution', 'stop', 'amber-ink'];
  it.each(letters)('%s is read on card, side and page', (name) => {
    for (const ground of ['card', 'side', 'page'])
      expect(contrastOf(colours.get(name)!, colours.get(ground)!), ground).toBeGreaterThanOrEqual(
        least,
      );
  });
});
