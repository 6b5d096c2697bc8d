/**
 * The minutes in force for a layer, at what temperature they stand, and their floors: the sheet's,
 * else what is usual for its class. Today's air moves them elsewhere (film/wait.ts); here stands
 * what is moved (MODEL 12.1).
 */
import { because } from '../outcome/verdicts.ts';
import { MATERIALS } from '../trade/materialClasses.ts';
import type { MaterialFacts } from '../trade/materialFacts.ts';
import { NEXT_STEPS, type NextStep } from '../trade/vocabulary.ts';
import { classOf, type ClassAsked } from './classOf.ts';
import type { InForce } from './inForce.ts';

export type SheetTimes = {
  atC: number;
  atHumidityPercent?: number;
  wetFilmUm?: number;
  flashMinutes?: number;
  minFlashMinutes?: number;
  toNextMinutes?: number;
  maxRecoatMinutes?: number;
  beforeBakeMinutes?: number;
  bakeC?: number;
  bakeMinutes?: number;
  tapeMinutes?: number;
  sandMinutes?: number;
  wetSandMinutes?: number;
  wipeMinutes?: number;
  polishMinutes?: number;
  cureMinutes?: number;
  /** A primer goes on shrinking so long: sanded before, edges come back. */
  shrinkMinutes?: number;
};
/** A coat of paint as the waits see it. */
export type Layer = Omit<ClassAsked, 'wetFilmUm'> & {
  activated?: boolean | undefined;
  sheet?: SheetTimes | undefined;
};

/** Where no sheet prints another: the usual minutes were fitted there (MODEL 12.1). */
export const USUAL_SHEET_C = 21;
export const USUAL_SHEET_HUMIDITY_PERCENT = 50;
/** Where neither sheet nor class gives a time for later work, min at 20 °C. */
const USUAL_LATER = { tape: 60, sandDry: 180, sandWet: 720, wipe: 60, polish: 1440 } as const;
const ACTIVATED_TAPE_MINUTES = 960;
/** How steeply a booth warms a panel, and the heat where the sheet gives none. */
const USUAL_HEAT = { toC: 60, holdMinutes: 30, rampCPerMin: 4 } as const;

/**
 * `floorMinutes`: never sooner, however warm. `isCure`: waiting by cure, which warmth never
 * shortens.
 */
export type Minutes = { minutes: number; floorMinutes: number; isCure: boolean };
export type Times = {
  atC: number;
  atHumidityPercent: number;
  /** Film the minutes stand for, µm. */
  wetFilmUm: number;
  before: Record<NextStep, InForce<Minutes>>;
};

/** The class of paint in force for a layer. */
export const layerClassOf = (layer: Layer) =>
  classOf({ ...layer, wetFilmUm: layer.sheet?.wetFilmUm });

/** Minutes and floors in force before each next thing, and what they are printed for. */
export function timesOf(layer: Layer): Times {
  const { sheet } = layer;
  const facts = MATERIALS[layerClassOf(layer).value];
  return {
    atC: sheet?.atC ?? USUAL_SHEET_C,
    atHumidityPercent: sheet?.atHumidityPercent ?? USUAL_SHEET_HUMIDITY_PERCENT,
    wetFilmUm: sheet?.wetFilmUm ?? facts.film.wetFilmUm,
    before: Object.fromEntries(
      NEXT_STEPS.map((next) => [next, minutesBefore(next, layer, facts)]),
    ) as Times['before'],
  };
}

function minutesBefore(next: NextStep, layer: Layer, facts: MaterialFacts): InForce<Minutes> {
  const own = layer.sheet && sheetMinutes(next, layer.sheet);
  const minutes = own ?? usualMinutes(next, layer, facts);
  const isCure = next !== 'coat' && next !== 'clear';
  const floorMinutes = isCure ? minutes : minutes * floorShare(layer);
  return {
    value: { minutes, floorMinutes, isCure },
    ...(own === undefined
      ? { source: 'practice', reason: because('usual-minutes', 'rule', { sheetMinutes: minutes }) }
      : {
          source: 'sheet',
          reason: because('sheet-minutes', 'dataSheet', { sheetMinutes: minutes }),
        }),
  };
}

function sheetMinutes(next: NextStep, sheet: SheetTimes): number | undefined {
  return {
    coat: sheet.flashMinutes,
    clear: sheet.toNextMinutes ?? sheet.flashMinutes,
    tape: sheet.tapeMinutes,
    sandDry: sheet.sandMinutes,
    sandWet: sheet.wetSandMinutes ?? sheet.sandMinutes,
    wipe: sheet.wipeMinutes ?? sheet.toNextMinutes ?? sheet.flashMinutes,
    bake: sheet.beforeBakeMinutes,
    polish: sheet.polishMinutes,
  }[next];
}

function usualMinutes(next: NextStep, layer: Layer, facts: MaterialFacts): number {
  const { flash, last } = facts.usualMinutes;
  if (next === 'coat') return flash;
  if (next === 'clear') return last;
  // Heat never comes sooner than the next coat might.
  if (next === 'bake') return Math.max(last, layer.sheet?.flashMinutes ?? 0);
  return next === 'tape' && layer.activated ? ACTIVATED_TAPE_MINUTES : USUAL_LATER[next];
}

/** The sheet's least flash as a share of its flash; half of it where the sheet gives no least. */
function floorShare({ sheet }: Layer): number {
  if (sheet?.flashMinutes === undefined || sheet.minFlashMinutes === undefined) return 0.5;
  return sheet.flashMinutes > 0 ? Math.min(1, sheet.minFlashMinutes / sheet.flashMinutes) : 0;
}

/** Heat as the sheet has it, on the panel. */
export const heatOf = ({
  sheet,
}: Pick<Layer, 'sheet'>): { toC: number; holdMinutes: number; rampCPerMin: number } => ({
  toC: sheet?.bakeC ?? USUAL_HEAT.toC,
  holdMinutes: sheet?.bakeMinutes ?? USUAL_HEAT.holdMinutes,
  rampCPerMin: USUAL_HEAT.rampCPerMin,
});
