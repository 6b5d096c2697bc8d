/**
 * The command line's door to the registry.
 *   ask NAME [FILE.json]   ask --list   ask NAME --schema   ask --batch
 * Exit 0: answered (a stop among its verdicts or not); 2: bad input; 3: no such calculation; 1: our
 * own fault.
 */
import { existsSync, readFileSync } from 'node:fs';
import { createInterface } from 'node:readline';
import type { Outcome } from '@orthochrom/contract/calculations/outcome.ts';
import {
  answerOrRefuse,
  calculationNames,
  isCalculationName,
  schemasOf,
} from '@orthochrom/contract/registry.ts';

const MOST_BYTES = 1_000_000;
const NOT_JSON = { code: 'not-json', message: 'This is not JSON, or over 1 MB.', path: [] };

function outcomeOf(name: string, text: string): Outcome {
  if (!isCalculationName(name)) return answerOrRefuse(name, undefined);
  const input = parsed(text);
  return input === undefined ? { error: NOT_JSON } : answerOrRefuse(name, input.value);
}

function parsed(text: string): { value: unknown } | undefined {
  if (Buffer.byteLength(text) > MOST_BYTES) return undefined;
  try {
    return { value: JSON.parse(text) as unknown };
  } catch {
    return undefined;
  }
}

function internal(fault: unknown): Outcome {
  process.stderr.write(
    `${fault instanceof Error ? (fault.stack ?? fault.message) : String(fault)}\n`,
  );
  return {
    error: {
      code: 'internal',
      message: 'The program failed on this; nothing was worked out.',
      path: [],
    },
  };
}

function guarded(work: () => Outcome): Outcome {
  try {
    return work();
  } catch (fault) {
    return internal(fault);
  }
}

function exitCodeOf(outcome: Outcome): number {
  if ('answer' in outcome) return 0;
  return { internal: 1, 'unknown-calculation': 3 }[outcome.error.code] ?? 2;
}

function single(name: string, file?: string): void {
  const outcome = guarded(() =>
    file && !existsSync(file)
      ? { error: { code: 'not-json', message: `There is no file ${file}.`, path: [] } }
      : outcomeOf(name, isCalculationName(name) ? readFileSync(file ?? 0, 'utf8') : ''),
  );
  process.stdout.write(
    `${JSON.stringify('answer' in outcome ? outcome.answer : outcome, null, 2)}\n`,
  );
  if ('error' in outcome) process.stderr.write(`${outcome.error.message}\n`);
  process.exitCode = exitCodeOf(outcome);
}

async function batch(): Promise<void> {
  let line = 0;
  for await (const text of createInterface({ input: process.stdin, crlfDelay: Infinity })) {
    line += 1;
    if (text.trim() === '') continue;
    process.stdout.write(`${JSON.stringify(batchReply(text, line))}\n`);
  }
}

function batchReply(text: string, line: number): unknown {
  const request = parsed(text);
  if (!request || typeof request.value !== 'object' || request.value === null)
    return { id: null, line, error: NOT_JSON };
  const {
    id = null,
    name,
    input,
  } = request.value as { id?: unknown; name?: unknown; input?: unknown };
  return { id, ...guarded(() => answerOrRefuse(String(name), input)) };
}

const [first, second] = process.argv.slice(2);
if (first === '--list') process.stdout.write(`${calculationNames.join('\n')}\n`);
else if (first === '--batch') await batch();
else if (first && second === '--schema' && isCalculationName(first))
  process.stdout.write(`${JSON.stringify(schemasOf(first), null, 2)}\n`);
else if (first && !first.startsWith('--'))
  single(first, second === '--schema' ? undefined : second);
else {
  process.stderr.write('ask NAME [FILE.json] | ask --list | ask NAME --schema | ask --batch\n');
  process.exitCode = 2;
}
