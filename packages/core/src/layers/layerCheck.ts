/**
 * Whether new paint holds on what stands on each panel, lifts it, or nobody knows; what must be
 * tried, sanded or shut off first.
 *
 * Source  rules of thumb of the trade; the sheet's word and the painter's tests before them
 *
 */
import {
  because,
  caution,
  stop,
  term,
  type Ask,
  type Explained,
  type Verdict,
} from '../outcome/verdicts.ts';
import type { TermCode } from '../outcome/terms.ts';
import {
  isBarrier,
  ringsOf,
  stagesOf,
  type History,
  type PlannedStage,
  type TakenIn,
} from './foundLayer.ts';
import type { KeyFault } from './keying.ts';
import { severer } from './layerPairs.ts';
import { walkLayers, type LayerPair } from './layerWalk.ts';

export type LayerCheckInput = {
  panels: TakenIn[];
  /** Lowest first. */
  stages: PlannedStage[];
};
export const LIFT_RISKS = ['unlikely', 'watch', 'likely'] as const;
export type LiftRisk = (typeof LIFT_RISKS)[number];
export const DEMANDED = ['testPatch', 'sealer', 'solventRub', 'tapePull'] as const;
export const DEMAND_WHYS = ['openRing', 'notProven', 'notTested'] as const;
export type Demand = {
  panel: string;
  anyOf: (typeof DEMANDED)[number][];
  /** All of them, not one. */
  all?: boolean;
  why: (typeof DEMAND_WHYS)[number];
};
export type LayerCheckAnswer = Explained & {
  asks: Ask[];
  liftRisk: LiftRisk;
  /** Of the panels whose layers were all measured, with what is planned, µm by name. */
  totalDryUm: Record<string, number>;
  pairs: LayerPair[];
  demands: Demand[];
};

/** Over this paint cracks and chips. */
const CRACKS_OVER_UM = 300;

const LAYER_TERM: Record<History | 'unasked', TermCode> = {
  factory: 'factoryPaint',
  known2k: 'knownTwoPack',
  fresh2k: 'freshTwoPack',
  aerosol1k: 'singlePack',
  thermoplastic: 'thermoplasticLacquer',
  unknownOld: 'unknownPaint',
  oldRedOrDye: 'dyedPaint',
  filler: 'fillerLayer',
  bareMetal: 'bareMetalLayer',
  barePlastic: 'barePlasticLayer',
  unasked: 'unknownPaint',
};
const KEY_TERM: Record<KeyFault, TermCode> = {
  glossy: 'stillGlossy',
  scratchShows: 'scratchShows',
  tooFineToHold: 'tooFine',
};

/** Each panel against each stage it gets. */
export function layerCheckOf({ panels, stages }: LayerCheckInput): LayerCheckAnswer {
  const walked = panels.map((panel) => ({ panel, pairs: walkLayers(panel, stages) }));
  const totalDryUm = Object.fromEntries(
    panels.flatMap((panel) => {
      const total = totalUm(panel, stages);
      return total === undefined ? [] : [[panel.name, total]];
    }),
  );
  return {
    pairs: walked.flatMap(({ pairs }) => pairs),
    liftRisk: riskOf(walked.flatMap(({ pairs }) => pairs)),
    demands: walked.flatMap(({ panel, pairs }) => demandsOf(panel, pairs, stages)),
    totalDryUm,
    asks: panels.flatMap((panel, i) => asksOf(panel, i, stages)),
    verdicts: walked.flatMap(({ panel, pairs }) => [
      ...pairs.flatMap(pairVerdict).filter(firstOfCode),
      ...panelVerdicts(panel, stages, totalDryUm[panel.name]),
    ]),
    reasons: [
      because('layers-by-link', 'rule'),
      ...(stages.some(({ allowedOver, sheetGrit }) => allowedOver ?? sheetGrit)
        ? [because('layers-by-sheet', 'dataSheet')]
        : []),
      ...(panels.some(({ found }) => found?.some(({ tests }) => tests))
        ? [because('layers-by-tests', 'record')]
        : []),
    ],
  };
}

const firstOfCode = ({ code }: Verdict, i: number, all: readonly Verdict[]): boolean =>
  all.findIndex((other) => other.code === code) === i;

/** Likely from where a barrier is wanted, worth watching where nobody has tried. */
function riskOf(pairs: readonly LayerPair[]): LiftRisk {
  if (pairs.some(({ outcome }) => severer(outcome, 'isolate') >= 0)) return 'likely';
  return pairs.some(({ outcome }) => severer(outcome, 'testPatch') === 0) ? 'watch' : 'unlikely';
}

function totalUm(panel: TakenIn, stages: readonly PlannedStage[]): number | undefined {
  const found = panel.found?.map(({ dryUm }) => dryUm) ?? [];
  if (found.length === 0 || !found.every((um) => um !== undefined)) return undefined;
  const planned = stagesOf(panel, stages).map(({ dryUm = 0 }) => dryUm);
  return [...found, ...planned].reduce((sum, um) => sum + um, 0);
}

const hasSealing = (panel: TakenIn, stages: readonly PlannedStage[]): boolean =>
  stagesOf(panel, stages).some(isBarrier);

function demandsOf(
  panel: TakenIn,
  pairs: readonly LayerPair[],
  stages: readonly PlannedStage[],
): Demand[] {
  const { name } = panel;
  const isSealed = hasSealing(panel, stages);
  const isDoubted = pairs.some(({ outcome }) => severer(outcome, 'testPatch') === 0);
  const tests = panel.found?.at(-1)?.tests;
  const missing: Demand['anyOf'] = [
    ...(tests?.rub ? [] : (['solventRub'] as const)),
    ...(tests?.tape ? [] : (['tapePull'] as const)),
  ];
  const isUntested = pairs.some(({ outcome }) => outcome === 'unknown') && missing.length > 0;
  return [
    ...(pairs.length > 0 && ringsOf(panel).length > 0 && !isSealed
      ? [{ panel: name, anyOf: ['sealer'], why: 'openRing' } satisfies Demand]
      : []),
    ...(isUntested
      ? [{ panel: name, anyOf: missing, all: true, why: 'notTested' } satisfies Demand]
      : []),
    ...(isDoubted
      ? [
          {
            panel: name,
            anyOf: isSealed ? ['testPatch'] : ['testPatch', 'sealer'],
            why: 'notProven',
          } satisfies Demand,
        ]
      : []),
  ];
}

function asksOf(panel: TakenIn, i: number, stages: readonly PlannedStage[]): Ask[] {
  if (stagesOf(panel, stages).length === 0) return [];
  const top = panel.found?.at(-1);
  if (!top) return [{ field: `panels.${i}.found`, code: 'what-lies-under' }];
  const { tape, rub, patch } = top.tests ?? {};
  return top.history === 'unknownOld' && !patch && (!tape || !rub)
    ? [{ field: `panels.${i}.found.${panel.found!.length - 1}.tests`, code: 'rub-and-tape' }]
    : [];
}

function pairVerdict({ panel, below, above, outcome, why, grit }: LayerPair): Verdict[] {
  const about = { panel, above, below: term(LAYER_TERM[below]) };
  if (why === 'belowDoesNotHold') return [];
  if (outcome === 'lifts') return [stop('layer-lifts', about)];
  if (why === 'comesOff') return [stop('old-paint-comes-off', { panel })];
  if (outcome === 'noHold') return [stop('needs-primer', about)];
  if (outcome === 'isolate')
    return [why === 'bleeds' ? caution('bleeds-through', about) : caution('isolate-first', about)];
  if (outcome === 'unknown') return [caution('layer-unknown', { panel })];
  if (outcome === 'testPatch') return [caution('test-patch-first', about)];
  if (outcome === 'sandFirst' && grit)
    return [
      caution('sand-first', {
        panel,
        why: term(KEY_TERM[why as KeyFault]),
        from: grit[0],
        to: grit[1],
      }),
    ];
  return [];
}

function panelVerdicts(
  panel: TakenIn,
  stages: readonly PlannedStage[],
  dryUm: number | undefined,
): Verdict[] {
  const { name, found = [], foreign, manyLayers } = panel;
  if (stagesOf(panel, stages).length === 0) return [];
  const top = found.at(-1);
  const rings = ringsOf(panel).length;
  const isHigh = dryUm !== undefined && dryUm > CRACKS_OVER_UM;
  const comesOff = found.some(({ tests }) => tests?.tape === 'comesOff');
  const texture = top?.texture === 'peel' ? 'peelTexture' : 'runsTexture';
  const isUneven = top?.texture !== undefined && top.texture !== 'none' && !top.blockedFlat;
  return [
    ...(rings > 0 && !hasSealing(panel, stages)
      ? [caution('cut-through-open', { panel: name })]
      : []),
    ...(isUneven ? [caution('texture-below', { panel: name, texture: term(texture) })] : []),
    ...(foreign ? [caution('foreign-bodywork', { panel: name })] : []),
    ...(isHigh ? [caution('old-build-high', { panel: name, dryUm })] : []),
    ...(manyLayers || rings >= 2 || isHigh || comesOff
      ? [caution('strip-advised', { panel: name })]
      : []),
  ];
}
