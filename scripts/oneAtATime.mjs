/**
 * Installing and building: two starts of one checkout, a shop and a test of it, would pull the
 * files from under each other.
 */
import { readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';

const LOOK_MS = 200;

export const lockOf = (root) => path.join(root, '.preparing');

/** Whether the process that holds it is there; a lock whose holder was killed holds nothing. */
function isHeld(lock) {
  try {
    const pid = Number(readFileSync(lock, 'utf8'));
    // Made this moment, and not written yet.
    if (pid === 0) return true;
    process.kill(pid, 0);
    return true;
  } catch (fault) {
    return fault.code === 'EPERM';
  }
}

function take(lock) {
  try {
    writeFileSync(lock, String(process.pid), { flag: 'wx' });
    return true;
  } catch (fault) {
    if (fault.code !== 'EEXIST') throw fault;
    if (!isHeld(lock)) rmSync(lock, { force: true });
    return false;
  }
}

/** Waits until nobody else of this checkout is at it, then does it. */
export function oneAtATime(root, say, work) {
  const lock = lockOf(root);
  let isSaid = false;
  while (!take(lock)) {
    if (!isSaid && isHeld(lock)) {
      say('Another start is installing or building; waiting for it …');
      isSaid = true;
    }
    Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, LOOK_MS);
  }
  try {
    return work();
  } finally {
    rmSync(lock, { force: true });
  }
}
