/**
 * What to pour: millilitres, levels, grams, batches, pot life and solvent content of one mix.
 */
import { materialVerdictsOf } from '../inForce/airVerdictsOf.ts';
import type { Spread } from '../outcome/spread.ts';
import type { MaterialClass } from '../trade/materialClasses.ts';
import { isEffect, type Chemistry, type Finish } from '../trade/vocabulary.ts';
import { meshUm } from './strainer.ts';
import {
  because,
  caution,
  isStopped,
  type Advice,
  type Explained,
  type Verdict,
} from '../outcome/verdicts.ts';
import {
  batchesOf,
  batchOf,
  pourList,
  type Batch,
  type Component,
  type Cup,
  type Densities,
} from './cup.ts';
import { sheetVerdicts, withSheetRoles, type MixSheet } from './mixSheet.ts';
import { potLifeMinutes, type PotLife } from './potLife.ts';
import { sharesOf, type Recipe, type Share } from './recipe.ts';
import { USABLE_POT_LIFE_SHARE } from './potLife.ts';

export type Have = { name: string; ml: number };
export type MixInput = {
  recipe: Recipe;
  readyMl?: number;
  have?: Have | Have[];
  cup?: Cup;
  batchMl?: number;
  /** What goes into each cup, where cups end with a panel; together the ready amount. */
  batchesMl?: number[];
  densitiesGPerMl?: Densities;
  vocGPerL?: Record<string, number>;
  vocLimitGPerL?: number;
  potLife?: PotLife;
  temperatureC?: number;
  sprayMinutes?: number;
  sheet?: MixSheet;
  hardener?: Chemistry;
  /** How many times quicker the hardener cures than the sheet's for this temperature. */
  hardenerSpeedFactor?: number;
  class?: MaterialClass;
  finish?: Finish;
  /** Mesh its sheet prints. */
  strainerUm?: number;
  /** Thinned for melting edges: no coat. */
  blendOnly?: boolean;
};
export type MixAnswer = Explained & {
  components?: Component[];
  readyMl?: number;
  readyGrams?: number;
  limitedBy?: string;
  batches?: Batch[];
  potLifeMinutes?: Spread;
  vocGPerL?: number;
  notes?: Advice[];
};

const CLEARS: readonly MaterialClass[] = ['clearMediumSolids', 'clearHighSolids'];

/** None only when every part says its role and none is a hardener. */
export function hardenerChemistry(
  given: Chemistry | undefined,
  shares: readonly Share[],
): Chemistry {
  if (given) return given;
  return shares.every(({ role }) => role !== undefined && role !== 'hardener') ? 'none' : 'unknown';
}

/**
 * A pour list for a recipe: components with their levels, batches, pot life, VOC, and what stands
 * against it.
 */
export function mixOf(input: MixInput): MixAnswer {
  const shares = withSheetRoles(sharesOf(input.recipe), input.sheet);
  const { readyMl, limitedBy } = amountOf(input, shares);
  const life =
    input.potLife && input.temperatureC !== undefined
      ? potLifeMinutes(input.potLife, input.temperatureC, input.hardenerSpeedFactor)
      : undefined;
  const vocGPerL = vocOf(shares, input.vocGPerL);
  const verdicts = mixVerdicts(input, shares, life, vocGPerL);
  const facts = {
    ...(life ? { potLifeMinutes: life } : {}),
    ...(vocGPerL === undefined ? {} : { vocGPerL }),
    verdicts,
    reasons: reasonsOf(input, life),
  };
  if (isStopped(verdicts)) return facts;
  const components = pourList(shares, readyMl, input.densitiesGPerMl, input.cup).map((component) =>
    withLeftOver(component, input.have),
  );
  const mostMl = Math.min(input.batchMl ?? Infinity, input.cup?.capacityMl ?? Infinity, readyMl);
  const batches =
    input.batchesMl?.map((ml) => batchOf(shares, ml, input.densitiesGPerMl, input.cup)) ??
    batchesOf(shares, readyMl, mostMl, input.densitiesGPerMl, input.cup);
  const readyGrams = components.at(-1)?.cumulativeGrams;
  return {
    components,
    readyMl,
    ...(readyGrams === undefined ? {} : { readyGrams }),
    ...(limitedBy ? { limitedBy } : {}),
    batches,
    notes: [
      ...notesOf(shares, input),
      ...(batches.length > 1 ? [{ code: 'cups-together' } as const] : []),
    ],
    ...facts,
  };
}

const listOf = (have: MixInput['have']): Have[] =>
  have === undefined ? [] : Array.isArray(have) ? have : [have];

/** What can be made: the amount wanted, or as much as the tin that runs out first allows. */
function amountOf(
  { readyMl, have }: MixInput,
  shares: readonly Share[],
): { readyMl: number; limitedBy?: string } {
  if (readyMl !== undefined) return { readyMl };
  return listOf(have).reduce<{ readyMl: number; limitedBy?: string }>(
    (least, { name, ml }) => {
      const makesMl = ml / shares.find((share) => share.name === name)!.share;
      return makesMl < least.readyMl ? { readyMl: makesMl, limitedBy: name } : least;
    },
    { readyMl: Infinity },
  );
}

function withLeftOver(component: Component, have: MixInput['have']): Component {
  const tin = listOf(have).find(({ name }) => name === component.name);
  return tin ? { ...component, leftOverMl: Math.max(0, tin.ml - component.ml) } : component;
}

/** Solvent content of the mix by volume; unknown while one part's is. */
export function vocOf(
  shares: readonly Share[],
  vocGPerL?: Record<string, number>,
): number | undefined {
  if (!vocGPerL || shares.some(({ name }) => vocGPerL[name] === undefined)) return undefined;
  return shares.reduce((sum, { name, share }) => sum + share * vocGPerL[name]!, 0);
}

function mixVerdicts(
  input: MixInput,
  shares: readonly Share[],
  life?: Spread,
  vocGPerL?: number,
): Verdict[] {
  const verdicts = [
    ...(input.sheet ? sheetVerdicts(shares, input.sheet) : []),
    ...materialVerdictsOf(input.temperatureC, {}, 'temperatureC'),
  ];
  const chemistry = hardenerChemistry(input.hardener, shares);
  if (chemistry === 'isocyanate' || chemistry === 'unknown')
    verdicts.push(caution('two-pack-breathing'));
  if (
    life &&
    input.sprayMinutes !== undefined &&
    input.sprayMinutes > USABLE_POT_LIFE_SHARE * life.value
  )
    verdicts.push(
      caution('pot-life-short', {
        sprayMinutes: input.sprayMinutes,
        potLifeMinutes: life.value,
        temperatureC: input.temperatureC!,
      }),
    );
  const builtInUm = input.cup?.strainerUm;
  const wantedUm = meshUm(input);
  if (builtInUm !== undefined && wantedUm !== undefined && builtInUm < wantedUm)
    verdicts.push(caution('strainer-too-fine', { builtInUm, wantedUm }));
  if (input.blendOnly) verdicts.push(caution('blend-only'));
  if (vocGPerL !== undefined && input.vocLimitGPerL !== undefined && vocGPerL > input.vocLimitGPerL)
    verdicts.push(caution('voc-over-limit', { vocGPerL, limitGPerL: input.vocLimitGPerL }));
  return verdicts;
}

function reasonsOf(input: MixInput, life?: Spread): MixAnswer['reasons'] {
  return [
    input.sheet ? because('ratio-from-sheet', 'dataSheet') : because('ratio-as-given', 'rule'),
    ...(life
      ? [
          because('pot-life-by-temperature', 'model', {
            temperatureC: input.temperatureC!,
            sheetMinutes: input.potLife!.minutes,
            atC: input.potLife!.atC,
          }),
          ...((input.hardenerSpeedFactor ?? 1) > 1
            ? [
                because('pot-life-by-hardener', 'model', {
                  quickerFactor: input.hardenerSpeedFactor!,
                }),
              ]
            : []),
        ]
      : []),
  ];
}

/** By material: flake sinks, clear holds bubbles; what goes for every cup comes last. */
function notesOf(
  shares: readonly Share[],
  { finish, class: materialClass }: Pick<MixInput, 'finish' | 'class'>,
): Advice[] {
  const has = (role: string) => shares.some((share) => share.role === role);
  const isReduced = has('reducer') || has('adjuster');
  return [
    { code: isEffect(finish) ? 'turn-tin-lift-flat' : 'stir-paint-first' },
    ...(materialClass && CLEARS.includes(materialClass)
      ? [{ code: 'never-shake-clear' } as const]
      : []),
    ...(has('hardener') && isReduced ? [{ code: 'hardener-before-reducer' } as const] : []),
    ...(has('hardener') ? [{ code: 'stir-and-rest' } as const] : []),
    { code: 'strain-into-cup' },
    { code: 'away-from-the-scale' },
    { code: 'try-the-lid' },
  ];
}
