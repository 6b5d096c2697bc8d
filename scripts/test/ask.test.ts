/** The command line's door: exit codes, schemas, and a batch that one bad line never ends. */
import { spawnSync } from 'node:child_process';
import { calculationNames } from '@orthochrom/contract/registry.ts';
import { describe, expect, it } from 'vitest';

const root = new URL('../..', import.meta.url).pathname;
const ask = (args: string[], input = '') =>
  spawnSync(process.execPath, ['--import', 'tsx', 'scripts/ask.ts', ...args], {
    cwd: root,
    input,
    encoding: 'utf8',
  });
const json = (text: string): Record<string, unknown> => JSON.parse(text) as Record<string, unknown>;

describe('ask', () => {
  it('answers on standard output and exits 0, a stop or not', () => {
    const { status, stdout } = ask(
      ['climate'],
      '{"airTemperatureC":8,"relativeHumidityPercent":90,"panelTemperatureC":4}',
    );
    expect(status).toBe(0);
    expect(
      (json(stdout)['verdicts'] as { level: string }[]).some(({ level }) => level === 'stop'),
    ).toBe(true);
  });

  it('exits 2 on bad input, the same words on both outputs', () => {
    const { status, stdout, stderr } = ask(
      ['climate'],
      '{"airTemperatureC":8,"relativeHumidityPercent":104}',
    );
    expect(status).toBe(2);
    const { message } = json(stdout)['error'] as { message: string };
    expect(stderr.trim()).toBe(message);
    expect(ask(['climate'], 'not json').status).toBe(2);
  });

  it('exits 3 where there is no such calculation', () => {
    const { status, stdout } = ask(['divination'], '{}');
    expect(status).toBe(3);
    expect(json(stdout)['error']).toMatchObject({ code: 'unknown-calculation' });
  });

  it('lists only what works, and prints schemas', () => {
    expect(ask(['--list']).stdout.trim().split('\n')).toEqual(calculationNames);
    expect(Object.keys(json(ask(['mix', '--schema']).stdout))).toEqual(['input', 'answer']);
  });

  it('replies to every line of a batch', () => {
    const lines = [
      '{"id":1,"name":"convert","input":{"value":40,"from":"psi","to":"bar"}}',
      'oops',
      '{"id":"c","name":"divination","input":{}}',
      '{"id":4,"name":"turns","input":{"value":5,"countedFrom":"closed","fullTurns":4}}',
    ];
    const { status, stdout } = ask(['--batch'], `${lines.join('\n')}\n`);
    const replies = stdout.trim().split('\n').map(json);
    expect(status).toBe(0);
    expect(replies.map(({ id }) => id)).toEqual([1, null, 'c', 4]);
    expect((replies[0]!['answer'] as { value: number }).value).toBeCloseTo(2.758, 3);
    expect(replies[1]).toMatchObject({ line: 2, error: { code: 'not-json' } });
    expect(replies[3]).toMatchObject({ error: { code: 'contradiction', path: ['fullTurns'] } });
  });
});
