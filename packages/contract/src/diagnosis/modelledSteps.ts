/**
 * How big a change is on this gun and this paint: the forward model run as it was and with one step
 * changed. Evidence, never the verdict.
 */
import { fullFanTurnsOf, fullFluidTurnsOf } from '@orthochrom/core/gun/gun.ts';
import { classOf } from '@orthochrom/core/inForce/classOf.ts';
import type { RiskName } from '@orthochrom/core/coat/riskIntervals.ts';
import { lapSecondsOf, panelOf, slopeDegOf } from '../plan/panels.ts';
import { theKnowledge } from '../knowledge/knowledge.ts';
import { simulated } from '../quantity/ranges.ts';
import { ask } from '../calculations/ask.ts';
import { coatCalculation } from '../calculations/coat.ts';
import type { AnswerOf, InputOf } from '../registry.ts';
import type { TicketWhole } from '../shop/ticket.ts';
import { settingNames, type Coat } from '../shop/coat.ts';
import { waitsOf } from './ticketReadings.ts';

type CoatInput = InputOf<'coat'>;
/** The coat as it was sprayed, laid in the model once for all that is asked of it. */
export type CoatForecast = AnswerOf<'coat'>;

/**
 * The coat as it was taken, for the model; undefined where the ticket lacks what the model needs.
 */
export function coatAsTaken(whole: TicketWhole, coat: Coat): CoatInput | undefined {
  const { ticket, sheets } = whole;
  const stage = ticket.stages.find(({ id }) => id === coat.stageId)!;
  const sheet = sheets.find(({ id }) => id === stage.sheetVersionId)?.sheet;
  const recipe = sheet?.recipes?.find(({ name }) => name === stage.recipeName);
  const planned = coat.planned;
  const setupInput = planned?.inputs['setup'] as InputOf<'setup'> | undefined;
  const setup = planned?.answers['setup'] as AnswerOf<'setup'> | undefined;
  const climate = planned?.inputs['climate'] as
    | (CoatInput['climate'] & { limits?: unknown; next?: unknown })
    | undefined;
  const recoat = planned?.answers['recoat'] as AnswerOf<'recoat'> | undefined;
  const mix = planned?.inputs['mix'] as InputOf<'mix'> | undefined;
  if (!sheet || !recipe || !setupInput || !setup || !climate || !recoat) return undefined;
  const {
    limits: _l,
    next: _n,
    wettingFloor: _w,
    ...air
  } = climate as typeof climate & { wettingFloor?: boolean };
  const waits = waitsOf(whole, coat.stageId);
  const panel = panelOf({ ticket, stage });
  const lapSeconds = lapSecondsOf({ ticket, stage }, setup);
  const { gun } = setupInput;
  const { wetFilmUm: _f, ...settings } = Object.fromEntries(
    settingNames.map((name) => [name, coat.done[name]?.value ?? setup[name]]),
  ) as Record<(typeof settingNames)[number], number>;
  return {
    climate: air,
    material: {
      class: classOf({ stage: stage.kind, carrier: sheet.carrier, class: sheet.materialClass })
        .value,
      ...(setupInput.material ?? (mix ? { recipe: mix.recipe } : {})),
      ...(setupInput.viscosityMm2PerS === undefined
        ? {}
        : { viscosityMm2PerS: setupInput.viscosityMm2PerS }),
      ...(stage.finish ? { finish: stage.finish } : {}),
      sheet: {
        times: recipe.times,
        ...(setupInput.sheet ? { gun: setupInput.sheet } : {}),
        ...(sheet.limits ? { limits: sheet.limits } : {}),
      },
    },
    gun,
    settings: {
      ...settings,
      fluidTurnsOut: Math.min(settings.fluidTurnsOut, fullFluidTurnsOf(gun)),
      fanTurnsOut: Math.min(settings.fanTurnsOut, fullFanTurnsOf(gun)),
    },
    panel: {
      slopeDeg: slopeDegOf({ ticket, stage }),
      ...(panel ? { substrate: panel.substrate } : {}),
      ...(lapSeconds === undefined ? {} : { lapSeconds }),
    },
    ...(setupInput.way?.skill ? { technique: { skill: setupInput.way.skill } } : {}),
    // The waits that were really kept; after the last coat, the one that was planned.
    coats: Array.from({ length: Math.max(1, coat.ordinal) }, (_, i) => ({
      flashMinutes: simulated(
        (i < coat.ordinal - 1 ? waits[i]?.minutes : undefined) ?? recoat.earliestMinutes.value,
      ),
    })),
    spread: false,
  };
}

/**
 * One step of steps.json put to the model, or undefined where it moves no setting of the model or
 * leaves the gun's travel.
 */
function withStep(
  input: CoatInput,
  asSprayed: CoatForecast,
  stepId: string,
): CoatInput | undefined {
  const move = theKnowledge().files.steps.steps.find(({ id }) => id === stepId)?.move;
  if (!move) return undefined;
  const { settings, gun } = input;
  const [key, amount] = Object.entries(move)[0]!;
  const speed = settings.gunSpeedMPerS ?? asSprayed.settings['gunSpeedMPerS'];
  const moved: CoatInput['settings'] =
    key === 'gunSpeedFactor' && speed !== undefined
      ? { ...settings, gunSpeedMPerS: speed * amount }
      : key === 'wetFilmFactor' && speed !== undefined
        ? { ...settings, gunSpeedMPerS: speed / amount }
        : {
            ...settings,
            gunSpeedMPerS: speed,
            [key]: (settings[key as keyof typeof settings] ?? 0) + amount,
          };
  const isWithin =
    (moved.fluidTurnsOut ?? 0) <= fullFluidTurnsOf(gun) &&
    (moved.fluidTurnsOut ?? 1) >= 0.25 &&
    (moved.fanTurnsOut ?? 0) <= fullFanTurnsOf(gun) &&
    (moved.fanTurnsOut ?? 0) >= 0 &&
    (moved.overlapPercent ?? 0) <= 90 &&
    (gun.maxInletKPa === undefined || (moved.inletKPa ?? 0) <= gun.maxInletKPa) &&
    (key !== 'nozzleMm' || gun.nozzlesMm.includes(Number(moved.nozzleMm?.toFixed(2))));
  return isWithin ? { ...input, settings: moved } : undefined;
}

/** `to`: where the step puts its setting on this coat; absent where it moves the hand. */
export type ModelledStep = {
  step: string;
  to?: { setting: (typeof settingNames)[number]; value: number };
  dropletUm: [number, number];
  wetUm: [number, number];
  sagMm: [number, number];
};

/** Before and after of each step that the model can follow. */
export function modelledSteps(
  input: CoatInput,
  before: CoatForecast,
  steps: readonly string[],
): ModelledStep[] {
  const pair = (of: (answer: CoatForecast) => number, after: CoatForecast): [number, number] => [
    of(before),
    of(after),
  ];
  return steps.flatMap((step) => {
    const changed = withStep(input, before, step);
    if (!changed) return [];
    const after = ask(coatCalculation, changed);
    return [
      {
        step,
        ...movedTo(input, changed),
        dropletUm: pair(({ dropletUm }) => dropletUm.value, after),
        wetUm: pair(({ film }) => film.wetUm.value, after),
        sagMm: pair(({ sagMm }) => sagMm.value, after),
      },
    ];
  });
}

/** The figure with the words: not by how much, but to what. */
function movedTo({ settings: was }: CoatInput, { settings }: CoatInput): Pick<ModelledStep, 'to'> {
  const setting = settingNames.find(
    (name) =>
      name !== 'wetFilmUm' && typeof settings[name] === 'number' && settings[name] !== was[name],
  );
  return setting
    ? { to: { setting, value: settings[setting as keyof typeof settings] as number } }
    : {};
}

const RISK_OF: Record<string, RiskName> = {
  POP: 'pop',
  RUN: 'run',
  SAG: 'run',
  OP_UA: 'peel',
  OP_DRY: 'peel',
  DRYSPRAY: 'drySpray',
  STRIPE: 'stripe',
  MOTTLE: 'mottle',
  PIN_WB: 'pinhole',
  BLUSH: 'blush',
};

/**
 * What the model would have expected of this fault on the coat as it was sprayed; undefined where
 * it says nothing of it. It stands beside the judgement and moves no belief: it is worked out from
 * the same readings, which have counted already.
 */
export function modelledRisk(
  { risks }: CoatForecast,
  fault: string,
): { name: RiskName; probability: number } | undefined {
  const name = RISK_OF[fault];
  const risk = name && risks[name];
  return name && risk ? { name, probability: risk.value } : undefined;
}
