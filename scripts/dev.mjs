/**
 * npm run dev: the server from source, restarted on change, on a database of its own, and the web
 * with hot reload.
 */
import { spawn } from 'node:child_process';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { ensurePackages } from './packages.mjs';
import { startCluster } from './postgres.mjs';

const root = path.dirname(path.dirname(fileURLToPath(import.meta.url)));
ensurePackages(root, console.log);
const cluster = await startCluster({
  folder: path.join(root, '.data', 'dev-database'),
  say: console.log,
});
cluster.ensureDatabase('orthochrom');
const bin = (name) => path.join(root, 'node_modules/.bin', name);
const env = {
  ...process.env,
  DATABASE_URL: cluster.url('orthochrom'),
  PORT: '4300',
  DEMO_FOLDER: path.join(root, 'packages/server/demo'),
};
const children = [
  spawn(bin('tsx'), ['watch', 'packages/server/src/main.ts'], { cwd: root, env, stdio: 'inherit' }),
  spawn(bin('vite'), [], { cwd: path.join(root, 'packages/web'), env, stdio: 'inherit' }),
];
const stop = () => {
  for (const child of children) child.kill('SIGTERM');
  cluster.stop();
  process.exit(0);
};
process.on('SIGINT', stop);
process.on('SIGTERM', stop);
