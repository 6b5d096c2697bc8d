/**
 * Folders of runs that are thrown away: in memory where there is room, which spares the disk and
 * the wait for it. The database's own user may pass through them.
 */
import { chmodSync, existsSync, mkdtempSync, readdirSync, rmSync, statfsSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';

const IN_MEMORY = '/dev/shm';
/** All databases of a run take about one. */
const LEAST_FREE_BYTES = 4e9;
const ROOTS = [IN_MEMORY, os.tmpdir()];
const OF_PROCESS = /^orthochrom-[a-z]+-(\d+)-/;

function root() {
  try {
    const { bavail, bsize } = statfsSync(IN_MEMORY);
    return bavail * bsize > LEAST_FREE_BYTES ? IN_MEMORY : os.tmpdir();
  } catch {
    return os.tmpdir();
  }
}

/** A run that was killed leaves its folder behind: it goes with the next one that asks. */
function clearLeftovers() {
  for (const place of ROOTS.filter((one) => existsSync(one)))
    for (const name of readdirSync(place)) {
      const process = OF_PROCESS.exec(name)?.[1];
      if (process === undefined || existsSync(`/proc/${process}`)) continue;
      try {
        rmSync(path.join(place, name), { recursive: true, force: true });
      } catch {
        // Another user's: left alone.
      }
    }
}

/** @param name what for, in small letters */
export function throwAwayFolder(name) {
  clearLeftovers();
  const folder = mkdtempSync(path.join(root(), `orthochrom-${name}-${process.pid}-`));
  chmodSync(folder, 0o711);
  return folder;
}
