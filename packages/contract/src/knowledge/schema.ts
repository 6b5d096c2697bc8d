/**
 * What each file of knowledge must look like, made when that file is read. Words are the trainer's;
 * ids tie the files together (references.ts).
 */
import { FaultLayer, RepairVerdict } from '../shapes/trade.ts';
import { READING_UNITS, type ReadingUnit } from '../words/readingUnits.ts';
import { z } from 'zod';

const LayerOrAny = z.union([FaultLayer, z.literal('any')]);
const Id = z.string().regex(/^[A-Za-z0-9_]+$/);
const words = z.string().min(1);
const about = words;
const Probability = z.number().min(0).max(1);
const Weight = z.enum(['strong', 'medium', 'weak']);

export const FaultsFile = () =>
  z.strictObject({
    about,
    faults: z.array(
      z.strictObject({
        id: Id,
        family: words,
        name: words,
        words: z.array(words),
        looks: words,
        feels: words.optional(),
        where: words,
        seen: z.array(z.enum(['spray', 'flash', 'bake', 'days', 'months'])),
        showsIn: z.array(LayerOrAny).min(1),
        mechanism: words,
        lookAlikes: z.array(z.strictObject({ with: Id, check: words })),
        subtypes: z.record(Id, words).optional(),
      }),
    ),
  });
export const CausesFile = () =>
  z.strictObject({
    about,
    causes: z.array(
      z.strictObject({
        id: Id,
        name: words,
        setting: words,
        layers: z.array(LayerOrAny).min(1),
        steps: z.array(Id),
        now: words,
        nextCoat: words,
        nextJob: words,
      }),
    ),
  });
const asked = {
  id: Id,
  cost: z.number().positive(),
  knownBy: z.array(Id).default([]),
  ask: words,
  options: z.record(Id, words),
};
export const QuestionsFile = () =>
  z.strictObject({
    about,
    questions: z.array(
      z.strictObject({
        ...asked,
        group: Id.optional(),
        tool: words,
        film: z.enum(['wet', 'dry', 'any']),
        skips: z.array(Id).default([]),
      }),
    ),
    causeQuestions: z.array(z.strictObject({ ...asked, for: z.array(Id).min(1) })),
  });
const Letters = z.union([
  z.string().regex(/^[NRELA]+$/),
  z.record(Id, z.enum(['N', 'R', 'E', 'L', 'A'])),
]);
const Ratio = z.strictObject({ met: z.number().gt(1), notMet: z.number().gt(0).lt(1) });
export const NumbersFile = () =>
  z.strictObject({
    about,
    version: z.int().min(1),
    status: z.enum(['estimate', 'fitted']),
    letterWeights: z.record(z.enum(['N', 'R', 'E', 'L', 'A']), z.number().gt(0).max(1)),
    priors: z.record(z.enum(['common', 'occasional', 'rare']), Probability.gt(0).lt(1)),
    evidence: z.record(Weight, Ratio),
    evidenceCap: z.tuple([z.number().gt(0).lt(1), z.number().gt(1)]),
    leak: Probability.gt(0),
    misread: Probability.lt(1),
    noneOfThesePrior: Probability.gt(0),
    causes: z.record(
      Id,
      z.strictObject({
        prior: z.enum(['common', 'occasional', 'rare']),
        evidence: z.array(
          z.strictObject({
            reading: Id,
            is: z.enum(['<', '<=', '>', '>=', '==', 'in']),
            than: z.union([z.number(), z.boolean(), z.string(), z.array(z.string())]),
            weight: Weight,
            group: z.string().optional(),
          }),
        ),
        makes: z.record(Id, Probability.gt(0).lt(1)),
      }),
    ),
    questions: z.record(
      Id,
      z.strictObject({ base: z.string().regex(/^[NRELA]+$/), rows: z.record(Id, Letters) }),
    ),
    saidOfCauses: z.record(
      Id,
      z.record(
        Id,
        z.strictObject({
          favours: z.record(Id, Weight).default({}),
          against: z.array(Id).default([]),
        }),
      ),
    ),
    ruledOut: z.array(
      z.strictObject({
        fault: Id,
        reading: Id,
        in: z.array(z.string()),
        factor: Probability.gt(0),
      }),
    ),
    pairStrengths: z.record(Id, z.record(Id, Probability.gt(0).lt(1))),
  });
const reading = { name: words, means: words, tool: words.optional() };
export const ReadingsFile = () =>
  z.strictObject({
    about,
    readings: z.record(
      Id,
      z.discriminatedUnion('kind', [
        z.strictObject({
          ...reading,
          kind: z.literal('number'),
          unit: z.enum(Object.keys(READING_UNITS) as ReadingUnit[]),
          from: z.number(),
          to: z.number(),
        }),
        z.strictObject({ ...reading, kind: z.literal('bool') }),
        z.strictObject({ ...reading, kind: z.literal('enum'), values: z.array(Id).min(2) }),
      ]),
    ),
    fallback: z.record(z.string(), z.unknown()),
    traps: z.array(z.strictObject({ id: Id, text: words, readings: z.array(Id) })),
  });
const Sign = z.union([z.literal(-1), z.literal(0), z.literal(1)]);
export const StepsFile = () =>
  z.strictObject({
    about,
    steps: z.array(
      z.strictObject({
        id: Id,
        step: words,
        ...{ drops: words, film: words, open: words, mist: words, sag: words, pop: words },
        signs: z.strictObject({ drops: Sign, film: Sign, sag: Sign, pop: Sign }),
        limit: words.optional(),
        note: words.optional(),
        move: z.record(z.string(), z.number()).optional(),
      }),
    ),
    never: z.record(Id, z.array(Id)),
  });
const pairOf = z.tuple([Id, Id]);
const rule = z.strictObject({ id: Id, pair: pairOf, rule: words });
export const PairsFile = () =>
  z.strictObject({
    about,
    lookAlikes: z.array(
      z.strictObject({ pair: pairOf, ask: z.array(Id).min(1), decide: words, check: words }),
    ),
    causePairs: z.array(rule),
    faultPairs: z.array(rule),
    schools: z.array(
      z.strictObject({ id: Id, clash: words, verdict: words, when: words, faults: z.array(Id) }),
    ),
  });
export const StopsFile = () =>
  z.strictObject({
    about,
    stops: z.array(z.strictObject({ id: Id, when: words, say: words })),
  });
export const SafetyFile = () =>
  z.strictObject({
    about,
    wording: words,
    safety: z.array(z.strictObject({ id: Id, topic: words, showWhen: words, text: words })),
  });
const RungWhen = z.strictObject({
  layer: z.array(FaultLayer).optional(),
  rootLayer: z.array(FaultLayer).optional(),
  answer: z.array(pairOf).optional(),
  reading: z.tuple([Id, z.array(Id)]).optional(),
  cause: z.array(Id).optional(),
  withFault: z.array(Id).optional(),
  budgetUm: z.number().optional(),
  budgetBelowUm: z.number().optional(),
  budgetKnown: z.literal(true).optional(),
  measured: z.literal(true).optional(),
});
const Rung = z.strictObject({
  when: RungWhen.optional(),
  verdict: RepairVerdict,
  ladder: Id.optional(),
  do: words,
});
const rangeUm = z.tuple([z.number(), z.number()]);
export const RepairsFile = () =>
  z.strictObject({
    about,
    film: z.strictObject({
      leaveAtLeastUm: z.number(),
      singleStageLeaveAtLeastUm: z.number(),
      marginUm: z.number(),
      estimateFactor: Probability,
      note: words,
      removalUm: z.record(z.string(), rangeUm),
      heightUm: z.record(z.string(), rangeUm),
    }),
    thinSpots: z.array(words),
    edgeRule: words,
    ladderRules: z.array(words),
    ladders: z.record(
      Id,
      z.strictObject({
        use: words,
        steps: z
          .array(
            z.strictObject({
              step: words,
              grit: z
                .string()
                .regex(/^P\d+$/)
                .optional(),
              /** What it takes off, by its key under `removalUm`; nothing where it is local. */
              removes: Id.optional(),
              condition: words,
            }),
          )
          .min(1),
      }),
    ),
    below: z.record(Id, FaultLayer),
    rungs: z.record(Id, z.array(Rung).min(1)),
    /** What lies below decides: these go before any rung that would polish or coat over it. */
    neverOver: z.strictObject({
      except: z.array(Id),
      rungs: z.array(Rung),
      /**
       * Faults that what lies below takes part in, and what is asked about it before anything is
       * done over it.
       */
      asks: z.strictObject({ faults: z.array(Id), questions: z.array(Id) }),
    }),
  });
