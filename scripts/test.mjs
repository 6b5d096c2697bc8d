/**
 * npm test: all of it. Types, lint, units and laws, the API against a real throw-away database, the
 * start script, and the journeys in headless Chromium. One closing line counts everything, and a
 * table says what each part took.
 */
import { spawn } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { CHROMIUM } from './chromium.mjs';
import { ensurePackages } from './packages.mjs';
import { aptInstall, Plain } from './debian.mjs';
import { LANES, READINGS } from './readings.mjs';

const root = path.dirname(path.dirname(fileURLToPath(import.meta.url)));
const reports = mkdtempSync(path.join(os.tmpdir(), 'orthochrom-reports-'));
const bin = (name) => path.join(root, 'node_modules/.bin', name);
const tally = { passed: 0, failed: 0 };
const took = [];

/** Runs to its end; what it says is shown at once, or kept together where others run beside it. */
const run = (title, [command, ...args], { env = {}, isKept = false } = {}) =>
  new Promise((resolve) => {
    const began = Date.now();
    const kept = [];
    if (!isKept) console.log(`\n— ${title}`);
    const child = spawn(command, args, {
      cwd: root,
      stdio: ['ignore', isKept ? 'pipe' : 'inherit', isKept ? 'pipe' : 'inherit'],
      env: { ...process.env, ...env },
    });
    child.stdout?.on('data', (text) => kept.push(text));
    child.stderr?.on('data', (text) => kept.push(text));
    child.once('exit', (code) => {
      took.push({ part: title, seconds: Math.round((Date.now() - began) / 1000) });
      if (isKept) console.log(`\n— ${title}\n${Buffer.concat(kept)}`);
      resolve(code === 0);
    });
  });

/** A check without cases of its own counts as one. */
async function check(title, command) {
  const ok = await run(title, command, { isKept: true });
  tally[ok ? 'passed' : 'failed'] += 1;
}

/**
 * Counts from a report; a runner that failed without a failed case (a crash, a load error) counts
 * as one failure.
 */
function count(ok, file, read) {
  const { passed, failed } = existsSync(file)
    ? read(JSON.parse(readFileSync(file, 'utf8')))
    : { passed: 0, failed: 0 };
  tally.passed += passed;
  tally.failed += failed + (!ok && failed === 0 ? 1 : 0);
}

/** What reads the code without running it, in lanes: each of them uses one core. */
async function readTheCode() {
  await Promise.all(
    LANES.map(async (names) => {
      for (const name of names) await check(name, READINGS[name]);
    }),
  );
}

async function runTests() {
  const report = path.join(reports, 'vitest.json');
  const tests = [
    ...[bin('vitest'), 'run', '--reporter=default', '--reporter=json'],
    `--outputFile.json=${report}`,
  ];
  const ok = await run('units, laws, contract, API', tests, { env: { AS_BUILT: '1' } });
  count(ok, report, ({ numPassedTests, numFailedTests }) => ({
    passed: numPassedTests,
    failed: numFailedTests,
  }));
}

async function runJourneys() {
  if (!existsSync(CHROMIUM.path)) aptInstall([CHROMIUM.package], console.log);
  const report = path.join(reports, 'playwright.json');
  const journeys = [bin('playwright'), 'test', '--config', 'e2e/playwright.config.ts'];
  const ok = await run('journeys in the browser', journeys, {
    env: { PLAYWRIGHT_JSON_OUTPUT_NAME: report },
  });
  count(ok, report, ({ stats }) => ({
    passed: stats.expected + stats.flaky,
    failed: stats.unexpected,
  }));
}

try {
  ensurePackages(root, console.log);
  await readTheCode();
  await runTests();
  await runJourneys();
} catch (fault) {
  console.error(fault instanceof Plain ? fault.message : fault);
  tally.failed += 1;
}
rmSync(reports, { recursive: true, force: true });
console.log(
  `\n${took.map(({ part, seconds }) => `${String(seconds).padStart(5)} s  ${part}`).join('\n')}`,
);
console.log(`\n${tally.passed} passed, ${tally.failed} failed`);
process.exitCode = tally.failed > 0 || tally.passed === 0 ? 1 : 0;
