/** Laws of the fault bench over whatever is seen and logged. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { beliefsOf } from '@orthochrom/core/diagnosis/evidence.ts';
import type { AnswerOf } from '../../src/registry.ts';
import {
  asked,
  diagnose,
  files,
  knowledge,
  observations,
  ranking,
  readings,
  RUNS,
  anyReading,
  numeric,
  clearestStory,
} from './anyFault.ts';

const meets = ({ is, than }: { is: string; than: unknown }, value: number): boolean =>
  is === '<'
    ? value < (than as number)
    : is === '<='
      ? value <= (than as number)
      : is === '>'
        ? value > (than as number)
        : value >= (than as number);

describe('whatever is logged and seen', () => {
  it('beliefs lie between 0 and 1, faults sum to at most 1, and every number is finite', () => {
    fc.assert(
      fc.property(observations(), readings(), (seen, log) => {
        const answer = diagnose(seen, log);
        const sum = answer.faults.reduce((total, { probability }) => total + probability, 0);
        expect(sum).toBeLessThanOrEqual(1 + 1e-9);
        for (const { probability } of [...answer.faults, ...answer.causes]) {
          expect(probability).toBeGreaterThanOrEqual(0);
          expect(probability).toBeLessThanOrEqual(1);
        }
        for (const { gainBits } of answer.nextQuestions)
          expect(Number.isFinite(gainBits)).toBe(true);
      }),
      RUNS,
    );
  });

  it('the order of the answers does not matter', () => {
    fc.assert(
      fc.property(observations(2), readings(), fc.infiniteStream(fc.nat()), (seen, log, keys) => {
        const shuffled = seen
          .map((one) => [keys.next().value, one] as const)
          .sort((a, b) => a[0] - b[0]);
        expect(
          ranking(
            diagnose(
              shuffled.map(([, one]) => one),
              log,
            ),
          ),
        ).toEqual(ranking(diagnose(seen, log)));
      }),
      RUNS,
    );
  });

  it('a question skipped, or an answer that says nothing, changes nothing but what is asked next', () => {
    fc.assert(
      fc.property(
        observations(0, 5),
        readings(),
        fc.constantFrom(...asked),
        (seen, log, question) => {
          fc.pre(!seen.some((one) => one.question === question.id));
          const before = ranking(diagnose(seen, log));
          const skipped = diagnose([...seen, { question: question.id, answer: 'cant_tell' }], log);
          expect(ranking(skipped)).toEqual(before);
          expect(skipped.nextQuestions.map(({ id }) => id)).not.toContain(question.id);
        },
      ),
      RUNS,
    );
  });

  it('a reading nobody trusts is as good as none', () => {
    fc.assert(
      fc.property(
        observations(1),
        readings(4),
        fc.constantFrom(...numeric).chain(anyReading),
        (seen, log, [id, value]) => {
          fc.pre(!(id in log) && id !== 'texture_layer');
          const answer = diagnose(
            seen,
            { ...log, [id]: value },
            { conditions: { readings: { ...log, [id]: value }, trust: { [id]: 'doubtful' } } },
          );
          expect(ranking(answer)).toEqual(ranking(diagnose(seen, log)));
          expect(answer.verdicts.map(({ code }) => code)).toContain('gauge-not-trusted');
        },
      ),
      RUNS,
    );
  });

  describe('a reading found in order', () => {
    const rows = knowledge.causes.flatMap((cause) =>
      cause.evidence
        .filter((row) => typeof row.than === 'number' && row.is !== '==')
        .map((row) => ({ cause, row })),
    );
    type Row = (typeof rows)[number];
    const inOrder = ({ row }: Row): number =>
      row.reading.endsWith('_ratio')
        ? 1
        : (row.than as number) + (row.is.startsWith('<') ? 0.01 : -0.01);
    const isInOrder = (of: Row) =>
      of.cause.evidence.every(
        (other) => other.reading !== of.row.reading || !meets(other, inOrder(of)),
      );
    const clears = ({ row }: Row) => -Math.log(knowledge.evidence[row.weight].notMet);

    it('never raises the belief in the cause it speaks for', () => {
      fc.assert(
        fc.property(fc.constantFrom(...rows.filter(isInOrder)), readings(8), (of, log) => {
          const { [of.row.reading]: _, ...without } = log;
          const belief = (some: typeof log) =>
            beliefsOf(knowledge, some).find(({ cause }) => cause === of.cause)!.logOdds;
          expect(belief({ ...without, [of.row.reading]: inOrder(of) })).toBeLessThanOrEqual(
            belief(without) + 1e-9,
          );
        }),
        { numRuns: 500 },
      );
    });

    it('never raises its share of the blame, unless it clears a rival more than it clears this cause', () => {
      const loudest = rows.filter(
        (of) =>
          isInOrder(of) &&
          !rows.some(
            (other) => other.row.reading === of.row.reading && clears(other) > clears(of) + 1e-9,
          ),
      );
      fc.assert(
        // Told as clearly as can be for the fault this cause makes most, so that the cause stands
        // in the answer at all.
        fc.property(fc.constantFrom(...loudest), readings(5), (of, log) => {
          // Beside an alternative that accuses it already, a reading in order changes nothing of
          // the cause itself.
          fc.pre(of.cause.evidence.every(({ reading }) => !(reading in log)));
          const [most] = Object.entries(of.cause.makes).sort((a, b) => b[1] - a[1])[0]!;
          const seen = clearestStory(most).filter(
            ({ question }) =>
              !asked.find(({ id }) => id === question)!.knownBy.includes(of.row.reading),
          );
          const blame = (answer: AnswerOf<'diagnose'>) =>
            answer.causes.find(({ id }) => id === of.cause.id)?.probability ?? 0;
          const after = blame(diagnose(seen, { ...log, [of.row.reading]: inOrder(of) }));
          expect(after).toBeLessThanOrEqual(blame(diagnose(seen, log)) + 0.01);
        }),
        { numRuns: 150 },
      );
    });
  });

  it('nothing is asked that would touch a wet film, and no comb is asked of a dry one', () => {
    const filmOf = new Map(files.questions.questions.map(({ id, film }) => [id, film]));
    fc.assert(
      fc.property(
        observations(0, 5),
        readings(),
        fc.constantFrom('wet' as const, 'dry' as const),
        (seen, log, film) => {
          for (const { id } of diagnose(seen, log, { film }).nextQuestions)
            expect([undefined, 'any', film]).toContain(filmOf.get(id));
        },
      ),
      RUNS,
    );
  });
});

describe('film that may come off', () => {
  const story = clearestStory('OP_UA');
  it('is what the film budget says: a measured 62 µm leaves 17, an estimated 60 leaves 6', () => {
    expect(diagnose(story, { dft_clear_measured: 62 }).repair!.removalBudgetUm!.value).toBeCloseTo(
      17,
    );
    expect(diagnose(story, { dft_clear_est: 60 }).repair!.removalBudgetUm!.value).toBeCloseTo(6);
  });
  it('more clear never gives a sharper repair', () => {
    const rank = ['leave', 'polish', 'recoat', 'respray', 'strip'];
    const at = (um: number) =>
      rank.indexOf(diagnose(story, { dft_clear_measured: um }).repair!.verdict);
    expect(at(80)).toBeLessThan(at(47));
    expect(at(62)).toBe(at(80));
  });
});

it('with nothing said there is no diagnosis, only questions', () => {
  const answer = diagnose([]);
  expect(answer.decided).toBe(false);
  expect(answer.nextQuestion?.id).toBe('q_family');
  expect([answer.repair, answer.nextCoat, answer.nextJob]).toEqual([undefined, [], []]);
});
