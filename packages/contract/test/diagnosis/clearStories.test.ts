/** Every fault, told as clearly as can be: it is found, and its advice does no harm. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { AnswerOf } from '../../src/registry.ts';
import { diagnose, files, readings, clearestStory } from './anyFault.ts';

const told = files.faults.faults.map(({ id }) => id).filter((id) => id !== 'NONE_OF_THESE');
const advice = (answer: AnswerOf<'diagnose'>) => answer.nextCoat.map(({ text }) => text).join(' ');

describe('every fault, told as clearly as can be', () => {
  it.each(told)('%s is found', (fault) => {
    const answer = diagnose(clearestStory(fault));
    expect(answer.faults[0]!.id).toBe(fault);
  });

  it('never gets polishing as its cure when it lies below the clear', () => {
    for (const fault of Object.keys(files.repairs.below)) {
      fc.assert(
        fc.property(readings(6), (log) => {
          const answer = diagnose(clearestStory(fault), log);
          fc.pre(answer.faults[0]!.id === fault && answer.repair !== undefined);
          const holesGone = fault === 'PIN_WB' && answer.repair!.verdict === 'polish';
          if (!holesGone)
            expect(['recoat', 'respray', 'strip', 'leave']).toContain(answer.repair!.verdict);
          expect(answer.verdicts.map(({ code }) => code)).toContain('polish-will-not-cure');
        }),
        { numRuns: 6 },
      );
    }
  });

  it('carries the budget warning wherever film is taken off and nobody knows how much there is', () => {
    for (const fault of told) {
      const answer = diagnose(clearestStory(fault));
      if (answer.repair?.ladder.some(({ grit }) => grit) && answer.repair.verdict !== 'strip')
        expect(
          answer.verdicts.map(({ code }) => code),
          fault,
        ).toContain('film-left-unknown');
    }
  });

  it('carries the lines about isocyanate and the mask once, with the first change that is sprayed, and its own at the step that sands or strips', () => {
    for (const fault of told) {
      const answer = diagnose(clearestStory(fault));
      const [first, ...rest] = answer.nextCoat;
      if (first) expect(first.caution, fault).toMatch(/isocyanate[^]*mask/i);
      expect(rest.filter(({ caution }) => caution !== undefined)).toEqual([]);
      const sanded = answer.repair?.ladder.filter(({ grit }) => grit) ?? [];
      if (sanded.length > 0) expect(sanded[0]!.caution, fault).toMatch(/lead or chromate/);
      expect(sanded.slice(1).filter(({ caution }) => caution?.includes('chromate'))).toEqual([]);
    }
  });

  it('coarse peel is never given more paint or a nearer gun, dry peel never less paint or a farther one', () => {
    fc.assert(
      fc.property(readings(8), (log) => {
        const coarse = diagnose(clearestStory('OP_UA'), log);
        fc.pre(coarse.faults[0]!.id === 'OP_UA');
        expect(advice(coarse)).not.toMatch(/fluid out|in nearer|slower hand/i);
        const dry = diagnose(clearestStory('OP_DRY'), log);
        fc.pre(dry.faults[0]!.id === 'OP_DRY');
        expect(advice(dry)).not.toMatch(/fluid in\b|in farther|\+3 psi/i);
      }),
      { numRuns: 60 },
    );
  });

  it('runs with bubbles are not polished', () => {
    for (const fault of ['RUN', 'SAG']) {
      const story = clearestStory(fault).filter(({ question }) => question !== 'q_run_bubbles');
      const answer = diagnose([...story, { question: 'q_run_bubbles', answer: 'yes' }], {
        dft_clear_measured: 90,
      });
      expect(answer.faults[0]!.id).toBe(fault);
      expect(answer.repair!.verdict).toBe('respray');
    }
  });
});
