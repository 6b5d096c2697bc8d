/** Which program this is stands in several files: they agree. */
import { readdirSync, readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { expect, it } from 'vitest';
import { VERSION } from '../src/version.ts';

const root = fileURLToPath(new URL('../../../', import.meta.url));
const read = (file: string) => readFileSync(`${root}${file}`, 'utf8');

it('is said alike by the change log, every package and the screen', () => {
  const [, newest] = /^## (\d+\.\d+\.\d+)/m.exec(read('CHANGELOG.md'))!;
  expect(newest).toBe(VERSION);
  const packages = readdirSync(`${root}packages`).map((one) => `packages/${one}/package.json`);
  for (const file of ['package.json', 'package-lock.json', ...packages])
    expect((JSON.parse(read(file)) as { version: string }).version, file).toBe(VERSION);
});
