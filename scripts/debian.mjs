/** What every script here needs of the system: to run a program, and to install what is missing. */
import { spawnSync } from 'node:child_process';

/** Something the person at the keyboard can put right; shown as it is, without a stack. */
export class Plain extends Error {}

export const isRoot = process.getuid?.() === 0;
/** PostgreSQL's own user on Debian. */
export const DATABASE_USER = 'postgres';

export function run(command, args, options = {}) {
  const result = spawnSync(command, args, { encoding: 'utf8', cwd: '/', ...options });
  return { ok: result.status === 0, out: `${result.stdout ?? ''}${result.stderr ?? ''}`.trim() };
}

/** PostgreSQL refuses to run as root, so as root everything of it runs as its own user. */
export const asDatabaseUser = (command, args) =>
  isRoot ? run('runuser', ['-u', DATABASE_USER, '--', command, ...args]) : run(command, args);

/** Installs Debian packages, as root or through sudo. */
export function aptInstall(packages, say) {
  if (!run('which', ['apt-get']).ok)
    throw new Plain(
      `${packages.join(' and ')} is missing and there is no apt-get here to install it. Install it by your system's own means and start again.`,
    );
  const sudo = isRoot ? [] : ['sudo', '-n'];
  if (!isRoot && !run('sudo', ['-n', 'true']).ok)
    throw new Plain(
      `${packages.join(' and ')} is missing. Install it once: sudo apt-get install ${packages.join(' ')}`,
    );
  say(`Installing ${packages.join(', ')} from Debian's packages …`);
  const apt = (...args) => {
    const [command, ...rest] = [...sudo, 'apt-get', '-q', '-y', ...args];
    return run(command, rest, {
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
      maxBuffer: 64e6,
    });
  };
  apt('update');
  const done = apt('install', '--no-install-recommends', ...packages);
  if (!done.ok)
    throw new Plain(
      `Installing ${packages.join(' ')} failed:\n${done.out.split('\n').slice(-4).join('\n')}`,
    );
}
