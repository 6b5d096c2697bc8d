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
  const verdicts: Verdict[] = [];
  const { wetUm } = answer.film;
  if (wetUm.value <= 0)
    verdicts.push(
      caution('beyond-formula', {
        what: term('needleShut'),
        range: term('paintFlowing'),
      }),
    );
  const film = filmOf({
    class: input.material.class,
    sheet: { ...input.material.sheet?.times, ...input.material.sheet?.gun },
  });
  if (film.source === 'sheet' && wetUm.value > film.value.mostUm)
    verdicts.push(caution('film-over-sheet', { wetUm: wetUm.value, sheetUm: film.value.aimUm }));
  verdicts.push(...bakeVerdicts(input, plan, answer));
  const { lapSeconds } = answer;
  const openSeconds = answer.openTimeSeconds.value;
  if (wetUm.value > 0 && lapSeconds > LAP_OF_OPEN * openSeconds)
    verdicts.push(caution('film-closes-before-lap', { openSeconds, lapSeconds }));
  for (const [name, risk] of Object.entries(answer.risks))
    if (risk.value > HIGH_RISK) {
      const helps = answer.changes?.find((change) => change.helps === name) ?? answer.changes?.[0];
      verdicts.push(
        caution('risk-high', {
          risk: name,
          word: 'likely',
          ...(helps
            ? { knob: helps.knob, from: helps.from, to: helps.to }
            : { knob: 'none', from: 0, to: 0 }),
        }),
      );
    }
  verdicts.push(...differs(input, plan, answer));
  if (!input.material.sheet) verdicts.push(caution('no-sheet'));
  const { viscosityPaS } = plan.rig.paint;
  if (viscosityPaS < DROPS_HOLD.leastPaS || viscosityPaS > DROPS_HOLD.mostPaS)
    verdicts.push(
      caution('beyond-formula', {
        what: term('dropSize'),
        range: term('dropSizeHolds'),
        leastMPaS: DROPS_HOLD.leastPaS * 1000,
        mostMPaS: DROPS_HOLD.mostPaS * 1000,
      }),
    );
  return verdicts;
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
  const { settings, film, dropletUm } = answer;
  const tests = testsOf(input.gun, settings.nozzleMm ?? 0);
  const [lowUm, highUm] = answer.dropWindowUm;
  const reasons: Reason[] = [
    because('film-by-levers', 'model', {
      wetUm: film.wetUm.value,
      fluidMlPerMin: answer.fluidMlPerMin,
      landsPercent: answer.transferEfficiencyPercent.value,
      stepMm: answer.stepMm,
      gunSpeedMPerS: settings.gunSpeedMPerS ?? 0,
    }),
  ];
  const um = dropletUm.value;
  if (um > highUm) reasons.push(because('drops-coarse', 'model', { dropletUm: um, lowUm, highUm }));
  else if (um > 0 && um < lowUm)
    reasons.push(because('drops-fine', 'model', { dropletUm: um, lowUm, highUm }));
  else if (um > 0) reasons.push(because('drops-right', 'model', { dropletUm: um, lowUm, highUm }));
  reasons.push(...popReason(best));
  if (defaulted.length > 0)
    reasons.push(because('settings-defaulted', 'rule', { settings: defaulted.join(', ') }));
  if (input.climate.airMovement === undefined && input.climate.airSpeedMPerS === undefined)
    reasons.push(because('air-as-sheets', 'rule'));
  reasons.push(
    because('eye-holds-film', 'model', { percent: eitherWayPercent(uncertainty.logSd.film) }),
  );
  if (uncertainty.openFilmLogSd > SURE_ENOUGH) reasons.push(because('gun-untested-film', 'model'));
  else
    reasons.push(
      because('film-narrowed', 'record', { percent: eitherWayPercent(uncertainty.openFilmLogSd) }),
    );
  if (answer.runsFromUm)
    reasons.push(because('runs-from', 'model', { runsFromUm: answer.runsFromUm.value }));
  const { coarseShare } = best.sprayed.at(-1)!.spray;
  if (answer.risks.peel && coarseShare > COARSE_SHOWS)
    reasons.push(because('coarse-tail', 'model', { percent: coarseShare * 100 }));
  const { lapSeconds } = answer;
  const openSeconds = answer.openTimeSeconds.value;
  if (lapSeconds > LAP_OF_OPEN * openSeconds)
    reasons.push(because('open-against-lap', 'model', { openSeconds, lapSeconds }));
  if (input.material.tests?.length)
    reasons.push(because('product-narrowed', 'record', { count: input.material.tests.length }));
  if (tests.some(({ kind }) => kind === 'lines'))
    reasons.push(because('hand-from-lines', 'record'));
  if (GUNS[plan.rig.gun.class].isGuess) reasons.push(because('class-is-guess', 'model'));
  return reasons;
}

const POP_SAYS = 0.2;
/** What drives popping most, if anything does. */
function popReason({ popTerms }: SimulatedCoat): Reason[] {
  const [name, weight] = (Object.entries(popTerms) as [PopTerm, number][]).reduce((most, entry) =>
    entry[1] > most[1] ? entry : most,
  );
  return weight > POP_SAYS ? [because('pop-driven-by', 'model', { term: name, weight })] : [];
}
