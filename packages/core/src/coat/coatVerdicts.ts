/**
 * What is said of a foreseen coat: where it is likely to go wrong, what would help most, and where
 * sheet and model part.
 */
import type { CoatAnswer } from './coatAnswer.ts';
import type { CoatInput } from './coatInput.ts';
import { recoatTime, type RecoatTime } from '../film/recoatTimes.ts';
import { filmOf } from '../inForce/filmOf.ts';
import { Z_80 } from '../outcome/spread.ts';
import { GUNS } from '../trade/gunClasses.ts';
import { layerOfMaterial } from './coatInput.ts';
import { because, caution, stop, type Reason, type Verdict, term } from '../outcome/verdicts.ts';
import type { PopTerm } from '../risk/pop.ts';
import { testsOf } from '../gun/gun.ts';
import type { CoatPlan } from './coatPlan.ts';
import type { SimulatedCoat } from './simulateCoat.ts';
import { HIGH_RISK } from './riskIntervals.ts';
import type { Uncertainty } from './uncertainty.ts';

/** So much of the open time, and the next pass is late. */
const LAP_OF_OPEN = 0.8;
/** A share of coarse drops that an eye begins to see. */
const COARSE_SHOWS = 0.02;
/** Kim & Marshall's range, and the model's (MODEL 9). */
const DROPS_HOLD = { leastPaS: 0.005, mostPaS: 0.12 } as const;

/**
 * What stands against this coat, or is to be watched: film, heat, lap, high risks, and where sheet
 * and model part.
 */
export function coatVerdicts(input: CoatInput, plan: CoatPlan, answer: CoatAnswer): Verdict[] {
  return [
    ...filmVerdicts(input, answer),
    ...bakeVerdicts(input, plan, answer),
    ...lapVerdicts(answer),
    ...highRisks(answer),
    ...differs(input, plan, answer),
    ...(input.material.sheet ? [] : [caution('no-sheet')]),
    ...dropsVerdicts(plan),
  ];
}

/** Nothing lands, or more than the sheet has. */
function filmVerdicts({ material }: CoatInput, { film: { wetUm } }: CoatAnswer): Verdict[] {
  const needle = { what: term('needleShut'), range: term('paintFlowing') };
  const film = filmOf({
    class: material.class,
    sheet: { ...material.sheet?.times, ...material.sheet?.gun },
  });
  const isOver = film.source === 'sheet' && wetUm.value > film.value.mostUm;
  return [
    ...(wetUm.value <= 0 ? [caution('beyond-formula', needle)] : []),
    ...(isOver
      ? [caution('film-over-sheet', { wetUm: wetUm.value, sheetUm: film.value.aimUm })]
      : []),
  ];
}

const isLapLate = ({ lapSeconds, openTimeSeconds }: CoatAnswer): boolean =>
  lapSeconds > LAP_OF_OPEN * openTimeSeconds.value;
const lapOf = ({ lapSeconds, openTimeSeconds }: CoatAnswer) => ({
  openSeconds: openTimeSeconds.value,
  lapSeconds,
});
const lapVerdicts = (answer: CoatAnswer): Verdict[] =>
  answer.film.wetUm.value > 0 && isLapLate(answer)
    ? [caution('film-closes-before-lap', lapOf(answer))]
    : [];

/** Each risk that is likely, with what helps against it, or else what helps most. */
const highRisks = ({ risks, changes }: CoatAnswer): Verdict[] =>
  Object.entries(risks).flatMap(([name, risk]) => {
    if (risk.value <= HIGH_RISK) return [];
    const helps = changes?.find((change) => change.helps === name) ?? changes?.[0];
    const { knob, from, to } = helps ?? { knob: 'none', from: 0, to: 0 };
    return [caution('risk-high', { risk: name, word: 'likely', knob, from, to })];
  });

/** The law of the drops holds for paint neither thinner nor thicker than it was measured with. */
function dropsVerdicts({ rig: { paint } }: CoatPlan): Verdict[] {
  const { leastPaS, mostPaS } = DROPS_HOLD;
  if (paint.viscosityPaS >= leastPaS && paint.viscosityPaS <= mostPaS) return [];
  return [
    caution('beyond-formula', {
      what: term('dropSize'),
      range: term('dropSizeHolds'),
      leastMPaS: leastPaS * 1000,
      mostMPaS: mostPaS * 1000,
    }),
  ];
}

/** The clock of waits for this very coat: its film, its grade's air, its panel. */
const waitFor = (
  next: 'coat' | 'bake',
  input: CoatInput,
  plan: CoatPlan,
  answer: CoatAnswer,
): RecoatTime =>
  recoatTime(next, layerOfMaterial(input.material, plan.rig.paint.isTwoPack), {
    climate: input.climate,
    substrate: input.panel.substrate,
    wetFilmUm: answer.film.wetUm.value > 0 ? answer.film.wetUm.value : undefined,
  });

function bakeVerdicts(input: CoatInput, plan: CoatPlan, answer: CoatAnswer): Verdict[] {
  if (!input.bake) return [];
  const remainingMinutes =
    waitFor('bake', input, plan, answer).earliestMinutes.value - input.bake.afterMinutes;
  return remainingMinutes > 0.5 ? [stop('bake-too-early', { remainingMinutes })] : [];
}

/** The sheet's flash, moved by today, against what the film says of itself. */
function differs(input: CoatInput, plan: CoatPlan, answer: CoatAnswer): Verdict[] {
  const ready = answer.flashReadyMinutes[0];
  const wait = waitFor('coat', input, plan, answer);
  if (wait.source !== 'sheet' || !ready || ready.low === ready.high || answer.film.wetUm.value <= 0)
    return [];
  const sheetMinutes = wait.earliestMinutes.value;
  if (sheetMinutes >= ready.low && sheetMinutes <= ready.high) return [];
  return [
    caution('model-and-sheet-differ', {
      sheet: { minutes: Math.round(sheetMinutes) },
      model: { minutes: Math.round(ready.value) },
    }),
  ];
}

const SURE_ENOUGH = 0.15;
/** 80 % either way, per cent, of a deviation of the logarithm. */
const eitherWayPercent = (logSd: number): number => Math.round(logSd * Z_80 * 100);

/** Why the forecast is what it is, and how far each part of it is known. */
export function coatReasons(
  input: CoatInput,
  plan: CoatPlan,
  best: SimulatedCoat,
  answer: CoatAnswer,
  { defaulted, uncertainty }: { defaulted: string[]; uncertainty: Uncertainty },
): Reason[] {
  const { settings, film } = answer;
  const tests = testsOf(input.gun, settings.nozzleMm ?? 0);
  const productTests = input.material.tests?.length ?? 0;
  const isAirTold =
    input.climate.airMovement !== undefined || input.climate.airSpeedMPerS !== undefined;
  const levers = because('film-by-levers', 'model', {
    wetUm: film.wetUm.value,
    fluidMlPerMin: answer.fluidMlPerMin,
    landsPercent: answer.transferEfficiencyPercent.value,
    stepMm: answer.stepMm,
    gunSpeedMPerS: settings.gunSpeedMPerS ?? 0,
  });
  const where = (is: boolean, reason: () => Reason): Reason[] => (is ? [reason()] : []);
  return [
    levers,
    ...dropsReason(answer),
    ...popReason(best),
    ...where(defaulted.length > 0, () =>
      because('settings-defaulted', 'rule', { settings: defaulted.join(', ') }),
    ),
    ...where(!isAirTold, () => because('air-as-sheets', 'rule')),
    ...filmKnownBy(uncertainty),
    ...runsAndTail(best, answer),
    ...where(isLapLate(answer), () => because('open-against-lap', 'model', lapOf(answer))),
    ...where(productTests > 0, () =>
      because('product-narrowed', 'record', { count: productTests }),
    ),
    ...where(
      tests.some(({ kind }) => kind === 'lines'),
      () => because('hand-from-lines', 'record'),
    ),
    ...where(GUNS[plan.rig.gun.class].isGuess, () => because('class-is-guess', 'model')),
  ];
}

/** The drops against the window of this paint; none where nothing flies. */
function dropsReason({ dropletUm: { value: um }, dropWindowUm }: CoatAnswer): Reason[] {
  const [lowUm, highUm] = dropWindowUm;
  if (um <= 0) return [];
  const code = um > highUm ? 'drops-coarse' : um < lowUm ? 'drops-fine' : 'drops-right';
  return [because(code, 'model', { dropletUm: um, lowUm, highUm })];
}

/** How far the film is known: what the eye holds, and what tests of the gun have narrowed. */
const filmKnownBy = ({ logSd, openFilmLogSd }: Uncertainty): Reason[] => [
  because('eye-holds-film', 'model', { percent: eitherWayPercent(logSd.film) }),
  openFilmLogSd > SURE_ENOUGH
    ? because('gun-untested-film', 'model')
    : because('film-narrowed', 'record', { percent: eitherWayPercent(openFilmLogSd) }),
];

function runsAndTail(best: SimulatedCoat, { runsFromUm, risks }: CoatAnswer): Reason[] {
  const { coarseShare } = best.sprayed.at(-1)!.spray;
  return [
    ...(runsFromUm ? [because('runs-from', 'model', { runsFromUm: runsFromUm.value })] : []),
    ...(risks.peel && coarseShare > COARSE_SHOWS
      ? [because('coarse-tail', 'model', { percent: coarseShare * 100 })]
      : []),
  ];
}

const POP_SAYS = 0.2;
/** What drives popping most, if anything does. */
function popReason({ popTerms }: SimulatedCoat): Reason[] {
  const [name, weight] = (Object.entries(popTerms) as [PopTerm, number][]).reduce((most, entry) =>
    entry[1] > most[1] ? entry : most,
  );
  return weight > POP_SAYS ? [because('pop-driven-by', 'model', { term: name, weight })] : [];
}
