/** Folders of runs: the database's user gets through, and what a killed run left goes. */
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, rmSync, statSync } from 'node:fs';
import path from 'node:path';
import { afterEach, describe, expect, it } from 'vitest';
import { throwAwayFolder } from '../throwAway.mjs';

const made: string[] = [];
const make = (): string => {
  const folder = throwAwayFolder('trial');
  made.push(folder);
  return folder;
};
afterEach(() => {
  for (const folder of made.splice(0)) rmSync(folder, { recursive: true, force: true });
});

describe('a folder that is thrown away', () => {
  it('lets others pass through it, and not look into it', () => {
    expect((statSync(make()).mode & 0o777).toString(8)).toBe('711');
  });

  it('is cleared by the next where its run has ended, and by no other', () => {
    const own = make();
    const { pid } = spawnSync(process.execPath, ['-e', '']);
    const place = path.dirname(own);
    const left = path.join(place, `orthochrom-trial-${pid}-left`);
    // Somebody's own, by another name.
    const foreign = path.join(place, `orthochrom-notes-of-${pid}`);
    mkdirSync(path.join(left, 'database'), { recursive: true });
    mkdirSync(foreign);
    made.push(left, foreign);
    make();
    expect([left, own, foreign].map((folder) => existsSync(folder))).toEqual([false, true, true]);
  });
});
