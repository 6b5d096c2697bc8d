/** A shop as `npm start` opens it, on a database that is there already. */
import { spawn } from 'node:child_process';
import path from 'node:path';

const root = path.dirname(import.meta.dirname);

/** Resolves when the shop serves: with what it said until then, and the way to close it. */
export async function startShop(
  { port, folder, url }: { port: number; folder: string; url: string },
  ...words: string[]
): Promise<{ said: string; close: () => Promise<void> }> {
  const child = spawn(
    process.execPath,
    ['scripts/start.mjs', '--port', String(port), '--data', folder, ...words],
    { cwd: root, stdio: ['ignore', 'pipe', 'inherit'], env: { ...process.env, DATABASE_URL: url } },
  );
  const ended = new Promise<void>((resolve) => child.once('exit', () => resolve()));
  const said = await new Promise<string>((resolve, reject) => {
    let text = '';
    child.stdout.on('data', (chunk: Buffer) => {
      text += String(chunk);
      if (text.includes('Ctrl-C closes it')) resolve(text);
    });
    child.once('exit', (exit) => reject(new Error(`the shop did not open (${exit})`)));
  });
  return {
    said,
    close: async () => {
      child.kill('SIGINT');
      await ended;
    },
  };
}
