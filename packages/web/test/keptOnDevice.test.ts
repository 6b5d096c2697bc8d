/** What the service worker is told to keep of a built app. */
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { keptFiles } from '../keptOnDevice.ts';

let folder: string;
const put = (file: string, text = file) => {
  mkdirSync(path.dirname(path.join(folder, file)), { recursive: true });
  writeFileSync(path.join(folder, file), text);
};
const kept = () => new Map(keptFiles(folder).map(({ url, revision }) => [url, revision]));
beforeEach(() => {
  folder = mkdtempSync(path.join(os.tmpdir(), 'kept-'));
  for (const file of ['index.html', 'sw.js', 'assets/first-abc.js', 'assets/letters-abc.woff2'])
    put(file);
});
afterEach(() => rmSync(folder, { recursive: true }));

describe('what is kept on the device', () => {
  it('is what the app is made of, not its packed copies, types or the worker itself', () => {
    put('assets/first-abc.js.br');
    put('types/app.js');
    expect([...kept().keys()]).toEqual([
      '/assets/first-abc.js',
      '/assets/letters-abc.woff2',
      '/index.html',
    ]);
  });
  it('is fetched anew where its words changed under the same name, hashed files never', () => {
    const before = kept();
    put('index.html', 'another page');
    put('assets/first-abc.js', 'another script');
    const after = kept();
    expect(after.get('/index.html')).not.toBe(before.get('/index.html'));
    expect(before.get('/assets/first-abc.js')).toBeNull();
    expect(after.get('/assets/first-abc.js')).toBeNull();
  });
});
