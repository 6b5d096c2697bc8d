/** Two starts of one checkout install and build one after the other. */
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { lockOf, oneAtATime } from '../oneAtATime.mjs';

let root: string;
beforeEach(() => {
  root = mkdtempSync(path.join(os.tmpdir(), 'one-at-a-time-'));
});
afterEach(() => rmSync(root, { recursive: true }));

const MODULE = path.join(import.meta.dirname, '../oneAtATime.mjs');
/** A start that writes when it begins its work and when it ends it. */
const start = (name: string): Promise<number | null> =>
  new Promise((resolve) => {
    const work = `
      import { appendFileSync } from 'node:fs';
      import { oneAtATime } from ${JSON.stringify(MODULE)};
      const [root, name] = process.argv.slice(1);
      const log = (word) => appendFileSync(root + '/log', word + ' ' + name + '\\n');
      oneAtATime(root, () => undefined, () => {
        log('begins');
        Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, 300);
        log('ends');
      });`;
    spawn(process.execPath, ['--input-type=module', '-e', work, root, name], {
      stdio: 'inherit',
    }).once('exit', resolve);
  });

describe('what only one may do at a time', () => {
  it('is done one after the other by those who start together', async () => {
    expect(await Promise.all(['a', 'b', 'c'].map(start))).toEqual([0, 0, 0]);
    const said = readFileSync(path.join(root, 'log'), 'utf8').trim().split('\n');
    expect(said).toHaveLength(6);
    for (let i = 0; i < 6; i += 2) expect(said[i + 1]).toBe(said[i]!.replace('begins', 'ends'));
    expect(existsSync(lockOf(root))).toBe(false);
  });
  it('is not held up by one that was killed at it', () => {
    const { pid } = spawnSync(process.execPath, ['-e', '']);
    writeFileSync(lockOf(root), String(pid));
    const said: string[] = [];
    expect(
      oneAtATime(
        root,
        (text: string) => said.push(text),
        () => 'done',
      ),
    ).toBe('done');
    expect(said).toEqual([]);
  });
  it('lets go where it fails', () => {
    const fails = () => {
      throw new Error('no network');
    };
    expect(() => oneAtATime(root, () => undefined, fails)).toThrow('no network');
    expect(existsSync(lockOf(root))).toBe(false);
  });
});
