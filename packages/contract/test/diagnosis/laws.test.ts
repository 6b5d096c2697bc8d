/** What must hold of every diagnosis, whatever was logged and seen. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { beliefsOf } from '@orthochrom/core/diagnosis/evidence.ts';
import { theKnowledge } from '../../src/knowledge/knowledge.ts';
import { ask, type AnswerOf, type InputOf } from '../../src/registry.ts';

const { files, knowledge } = theKnowledge();
const asked = [...files.questions.questions, ...files.questions.causeQuestions];
const RUNS = { numRuns: 40 };

type Observation = { question: string; answer: string };
const anyAnswer = (question: (typeof asked)[number]): fc.Arbitrary<Observation> =>
  fc
    .constantFrom(...Object.keys(question.options))
    .map((answer) => ({ question: question.id, answer }));
const observations = (least = 0, most = 8) =>
  fc
    .shuffledSubarray(asked, { minLength: least, maxLength: most })
    .chain((some) => fc.tuple(...some.map(anyAnswer)));

const numeric = Object.entries(files.readings.readings);
const anyReading = ([id, reading]: (typeof numeric)[number]): fc.Arbitrary<
  [string, number | boolean | string]
> =>
  (reading.kind === 'bool'
    ? fc.boolean()
    : reading.kind === 'enum'
      ? fc.constantFrom(...reading.values)
      : fc.double({
          min: Math.max(reading.from, -3),
          max: reading.from > 3 ? reading.to : Math.min(reading.to, 3),
          noNaN: true,
        })
  ).map((value) => [id, value]);
const readings = (most = 8) =>
  fc
    .shuffledSubarray(numeric, { maxLength: most })
    .chain((some) => fc.tuple(...some.map(anyReading)))
    .map((entries) => Object.fromEntries(entries));

const diagnose = (
  seen: Observation[],
  log: Record<string, number | boolean | string> = {},
  more: Partial<InputOf<'diagnose'>> = {},
) => ask('diagnose', { observations: seen, conditions: { readings: log }, ...more });
const probabilities = (answer: AnswerOf<'diagnose'>) =>
  answer.faults.map(({ id, probability }) => [id, probability.toFixed(9)]);
const ranking = (answer: AnswerOf<'diagnose'>) => ({
  faults: probabilities(answer),
  causes: answer.causes.map(({ id }) => id),
});

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

const meets = ({ is, than }: { is: string; than: unknown }, value: number): boolean =>
  is === '<'
    ? value < (than as number)
    : is === '<='
      ? value <= (than as number)
      : is === '>'
        ? value > (than as number)
        : value >= (than as number);

/** The surest story for a fault: every question answered as that fault makes most likely. */
const clearestStory = (fault: string): Observation[] =>
  files.questions.questions.flatMap(({ id, options, skips }) => {
    const row = knowledge.questions.find((question) => question.id === id)!;
    const weights = row.rows[fault];
    if (!weights) return [];
    const best = weights.indexOf(Math.max(...weights));
    const answer = Object.keys(options)[best]!;
    return skips.includes(answer) ? [] : [{ question: id, answer }];
  });
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
