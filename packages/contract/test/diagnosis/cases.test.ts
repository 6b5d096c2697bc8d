/**
 * The worked cases: a plain story, what was logged, what was seen, and what must come out first.
 */
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { describe, expect, it } from 'vitest';
import { ask } from '../../src/calculations/ask.ts';
import { diagnoseCalculation } from '../../src/calculations/diagnose.ts';

type Case = {
  id: string;
  story: string;
  log: Record<string, number | boolean | string>;
  answers: Record<string, string>;
  expect: {
    fault?: string[];
    cause?: string[];
    within?: number;
    co_fault?: string;
    stop?: boolean;
    any_order?: boolean;
  };
};
const { cases } = JSON.parse(
  readFileSync(path.join(import.meta.dirname, 'cases.json'), 'utf8'),
) as { cases: Case[] };

const diagnosed = ({ log, answers }: Pick<Case, 'log' | 'answers'>) =>
  ask(diagnoseCalculation, {
    observations: Object.entries(answers).map(([question, answer]) => ({ question, answer })),
    conditions: { readings: log },
  });

describe('the worked cases', () => {
  it('are all there', () => {
    expect(cases.map(({ id }) => id)).toEqual(
      Array.from({ length: 48 }, (_, i) => `W${String(i + 1).padStart(2, '0')}`),
    );
  });

  it.each(cases.filter((c) => c.expect.stop).map((c) => [c.id, c] as const))(
    '%s ends in the honest answer',
    (_, c) => {
      const answer = diagnosed(c);
      expect(answer.decided).toBe(false);
      expect(answer.repair).toBeUndefined();
      expect(answer.nextCoat).toEqual([]);
      expect(answer.verdicts.map(({ code }) => code)).toContain('not-decided');
      const wanted = c.expect.fault ?? [];
      expect(
        answer.faults
          .slice(0, wanted.length)
          .map(({ id }) => id)
          .sort(),
      ).toEqual([...wanted].sort());
    },
  );

  it.each(cases.filter((c) => !c.expect.stop).map((c) => [c.id, c] as const))(
    '%s is found',
    (_, c) => {
      const answer = diagnosed(c);
      expect(answer.decided, 'decided').toBe(true);
      expect(answer.faults[0]).toMatchObject({ id: c.expect.fault![0] });
      expect(answer.faults[0]!.probability).toBeGreaterThanOrEqual(0.45);
      const leading = answer.causes.slice(0, c.expect.within ?? 3).map(({ id }) => id);
      expect(
        leading.filter((id) => c.expect.cause!.includes(id)),
        leading.join(', '),
      ).not.toEqual([]);
      if (c.expect.co_fault) expect(answer.secondFault?.id).toBe(c.expect.co_fault);
      expect(answer.repair, 'repair').toBeDefined();
    },
  );
});

describe('what a story must also say', () => {
  const of = (id: string) => diagnosed(cases.find((c) => c.id === id)!);
  const codes = (id: string) => of(id).verdicts.map(({ code }) => code);

  it('the root under a fault of the clear is named: primer, not clear', () => {
    expect(of('W09').causes[0]).toMatchObject({ id: 'under_uncured', layer: 'primer' });
    expect(codes('W09')).toContain('polish-will-not-cure');
  });
  it('pressure a little low is not the cause where the wave was there before', () => {
    expect(of('W41').causes[0]!.id).toBe('texture_below');
    expect(
      of('W41')
        .nextCoat.map(({ text }) => text)
        .join(' '),
    ).not.toMatch(/psi/);
  });
  it('what was in order is cleared, and says by which reading', () => {
    expect(of('W44').cleared.map(({ id }) => id)).toEqual(
      expect.arrayContaining(['over_reduced', 'flash_short', 'dist_near']),
    );
    for (const { why } of of('W44').cleared) expect(why).not.toBe('');
  });
  it('peel and runs together are two faults, and the changes come one at a time', () => {
    expect(codes('W36')).toContain('two-at-once');
    expect(of('W36').nextCoat[0]!.text).toMatch(/One change at a time/);
    expect(of('W36').nextCoat.length).toBeGreaterThan(2);
  });
  it('a film that prints is hardened before it is cut', () => {
    expect(of('W48').repair!.ladder[0]!.step).toMatch(/harden/i);
  });
});
