/** What is started again when it falls, and how often before it is given up. */
import { Plain } from './debian.mjs';

const MOST_FALLS = 5;
const WITHIN_MS = 600_000;
const LOOK_EVERY_MS = 3000;

/** Counts falls; past the bound it says so instead of beginning for ever anew. */
export function fallsOf(what, now = Date.now) {
  let falls = [];
  return () => {
    falls = [...falls.filter((at) => now() - at < WITHIN_MS), now()];
    if (falls.length > MOST_FALLS)
      throw new Plain(
        `${what} fell ${falls.length} times in ${WITHIN_MS / 60_000} min. It is not started again: its words stand above. Nothing acknowledged is lost.`,
      );
  };
}

/** Starts the database again when it fell. @returns the way to stop looking */
export function keepDatabaseUp(cluster, say, giveUp) {
  const fell = fallsOf('The database');
  const timer = setInterval(() => {
    if (cluster.isUp()) return;
    try {
      fell();
      say('The database fell; it is started again …');
      if (cluster.start()) say('The database is up again: nothing acknowledged is lost.');
    } catch (fault) {
      clearInterval(timer);
      giveUp(fault);
    }
  }, LOOK_EVERY_MS);
  return () => clearInterval(timer);
}

/**
 * Runs the server until it is stopped, and starts it again when it fell.
 * @param serve starts it: resolves with its process once it listens
 */
export async function keepServerUp(serve, { isStopping, say, onOpen }) {
  const fell = fallsOf('The server');
  for (;;) {
    const server = await serve();
    onOpen(server);
    const code = await new Promise((resolve) =>
      server.exitCode === null && server.signalCode === null
        ? server.once('exit', (own, signal) => resolve(own ?? signal))
        : resolve(server.exitCode ?? server.signalCode),
    );
    if (isStopping()) return;
    fell();
    say(`The server ended (${code}); it is started again …`);
  }
}
