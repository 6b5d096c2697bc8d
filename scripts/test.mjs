/**
 * npm test: all of it. Types, lint, units and laws, the API against a real throw-away database, the
 * start script, and the journeys in headless Chromium. One closing line counts everything.
 */
import { spawn } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { ensurePackages } from './packages.mjs';
import { aptInstall, Plain } from './postgres.mjs';

const root = path.dirname(path.dirname(fileURLToPath(import.meta.url)));
const CHROMIUM = '/usr/bin/chromium';
const reports = mkdtempSync(path.join(os.tmpdir(), 'orthochrom-reports-'));
const bin = (name) => path.join(root, 'node_modules/.bin', name);
const tally = { passed: 0, failed: 0 };

const run = (title, command, args, env = {}) =>
  new Promise((resolve) => {
    console.log(`\n— ${title}`);
    const child = spawn(command, args, {
      cwd: root,
      stdio: ['ignore', 'inherit', 'inherit'],
      env: { ...process.env, ...env },
    });
    child.once('exit', (code) => resolve(code === 0));
  });

/** A check without cases of its own counts as one. */
async function check(title, command, args) {
  const ok = await run(title, command, args);
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

async function main() {
  ensurePackages(root, console.log);
  await check('types', bin('tsc'), [
    '-b',
    'packages/core',
    'packages/contract',
    'packages/server',
    'packages/web',
    'e2e',
  ]);
  await check('lint', bin('eslint'), ['.', '--max-warnings', '0']);
  await check('imports', bin('depcruise'), ['--config', '.dependency-cruiser.cjs', 'packages']);
  await check('format', bin('prettier'), ['--check', '--log-level', 'warn', '.']);

  const unitReport = path.join(reports, 'vitest.json');
  const unitsOk = await run('units, laws, contract, API', bin('vitest'), [
    'run',
    '--reporter=default',
    '--reporter=json',
    `--outputFile.json=${unitReport}`,
  ]);
  count(unitsOk, unitReport, ({ numPassedTests, numFailedTests }) => ({
    passed: numPassedTests,
    failed: numFailedTests,
  }));

  if (!existsSync(CHROMIUM)) aptInstall(['chromium'], console.log);
  const journeyReport = path.join(reports, 'playwright.json');
  const journeysOk = await run(
    'journeys in the browser',
    bin('playwright'),
    ['test', '--config', 'e2e/playwright.config.ts'],
    {
      PLAYWRIGHT_JSON_OUTPUT_NAME: journeyReport,
    },
  );
  count(journeysOk, journeyReport, ({ stats }) => ({
    passed: stats.expected + stats.flaky,
    failed: stats.unexpected,
  }));
}

try {
  await main();
} catch (fault) {
  console.error(fault instanceof Plain ? fault.message : fault);
  tally.failed += 1;
}
rmSync(reports, { recursive: true, force: true });
console.log(`\n${tally.passed} passed, ${tally.failed} failed`);
process.exitCode = tally.failed > 0 || tally.passed === 0 ? 1 : 0;
