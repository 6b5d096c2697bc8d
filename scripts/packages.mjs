/** npm packages: installed when missing or out of step with the lock file. */
import { spawnSync } from 'node:child_process';
import { existsSync, statSync } from 'node:fs';
import path from 'node:path';
import { Plain } from './debian.mjs';
import { oneAtATime } from './oneAtATime.mjs';

function areInstalled(root) {
  const [lock, mark] = [
    path.join(root, 'package-lock.json'),
    path.join(root, 'node_modules', '.package-lock.json'),
  ];
  return existsSync(mark) && statSync(mark).mtimeMs >= statSync(lock).mtimeMs - 1000;
}

export function ensurePackages(root, say) {
  if (areInstalled(root)) return;
  oneAtATime(root, say, () => {
    if (!areInstalled(root)) install(root, say);
  });
}

function install(root, say) {
  say('Installing npm packages …');
  const done = spawnSync('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
    cwd: root,
    stdio: ['ignore', 'inherit', 'inherit'],
  });
  if (done.status !== 0)
    throw new Plain(
      'npm could not install the packages. Is the package registry reachable? Start again when it is.',
    );
}
