/**
 * A coat's own readings, filled from its ticket: what was planned against what was done, in the air
 * of its own minutes.
 */
import { psi, type TicketEvidence } from './ticketEvidence.ts';
import type { Trust } from '@orthochrom/core/trade/vocabulary.ts';
import { readingsOf, type CoatRecord } from '@orthochrom/core/diagnosis/plannedAndDone.ts';
import type { ReadingValue } from '@orthochrom/core/diagnosis/knowledge.ts';
import type { AnswerOf } from '../registry.ts';
import type { LoggedReading } from '../shop/finding.ts';
import type { Mix, TicketWhole } from '../shop/ticket.ts';
import { settingNames, type Coat } from '../shop/coat.ts';
import type { SheetRecipe } from '../sheet/sheet.ts';
import { gradeSteps } from './gradeSteps.ts';
import { layerReadings } from './layerReadings.ts';
import { airReadings, swingText, againstSheet } from './airReadings.ts';

export type Logged = Record<string, LoggedReading>;

const MINUTE_MS = 60_000;

/** What the ticket cannot tell stays out: it neither clears nor accuses. */
export function ticketReadings(evidence: TicketEvidence): Logged {
  const { whole, coat } = evidence;
  const stage = whole.ticket.stages.find(({ id }) => id === coat.stageId)!;
  const sheet = whole.sheets.find(({ id }) => id === stage.sheetVersionId)?.sheet;
  const mix = whole.mixes.find(({ id }) => id === coat.mixId);
  const recipe =
    sheet?.recipes?.find(({ name }) => name === stage.recipeName) ?? sheet?.recipes?.[0];
  const { planned, done } = recordsOf(evidence, mix, recipe);
  const derived = readingsOf(planned, done).readings;
  const trust = pressureTrust(evidence);
  const log: Logged = {};
  const put = (
    id: string,
    value: ReadingValue | undefined,
    from: string,
    relied: Trust = 'good',
  ) => {
    if (value !== undefined) log[id] = { value, trust: relied, from };
  };
  for (const [id, value] of Object.entries(derived))
    put(
      id,
      value,
      FROM[id] ?? 'planned against done',
      id === 'p_dev' || id === 'gauge_at_wall' ? trust : 'good',
    );
  for (const [id, { value, from }] of Object.entries(airReadings(evidence, sheet)))
    put(id, value, from);
  const { lowestInletKPa: low, highestInletKPa: high } = coat;
  if (low !== undefined && high !== undefined)
    put('p_swing', psi(high - low), swingText(coat), trust);
  for (const [id, value] of Object.entries(gradeSteps(coat, evidence.air)))
    put(id, value, 'grade taken, against the one for the air it was sprayed in');
  for (const [id, value] of Object.entries(againstSheet(coat, stage, recipe)))
    put(id, value, 'held against the sheet');
  for (const [id, value] of Object.entries(layerReadings(whole, stage, sheet)))
    put(id, value, 'the layers of this ticket');
  return log;
}

const FROM: Record<string, string> = {
  p_dev: 'flowing at the gun, against the plan',
  gauge_at_wall: 'how this painter reads the pressure',
  red_ratio: 'what was poured, against the recipe',
  hard_ratio: 'what was poured, against the recipe',
  pot_frac: 'age of the mix when the coat ended',
  wft_ratio: 'film comb, against the plan',
  flash_ratio: 'shortest wait between the coats, against the wait planned',
  visc_ratio: 'flow cup of this mix, against the sheet',
};

function recordsOf(
  evidence: TicketEvidence,
  mix: Mix | undefined,
  recipe: SheetRecipe | undefined,
): { planned: CoatRecord; done: CoatRecord } {
  const { whole, coat } = evidence;
  const setup = coat.planned?.answers['setup'] as AnswerOf<'setup'> | undefined;
  const settings = (of: (name: (typeof settingNames)[number]) => number | undefined) => {
    const known = settingNames.flatMap((name) => {
      const value = of(name);
      return value === undefined || name === 'wetFilmUm' ? [] : [[name, value] as const];
    });
    return Object.fromEntries(known) as NonNullable<CoatRecord['settings']>;
  };
  const chosen = (name: (typeof settingNames)[number]): number | undefined => {
    const own = coat.overrides[name]?.chosen;
    return coat.done[name]?.value ?? (typeof own === 'number' ? own : undefined);
  };
  const { wetFilmUm: comb } = coat.done;
  const waits = waitsOf(whole, coat.stageId);
  const cup = recipe?.viscosity;
  const { inletKPa: _, ...knobs } = settings(chosen);
  const pressure = pressureOf(
    evidence,
    knobs.capKPa === undefined ? chosen('inletKPa') : undefined,
  );
  return {
    planned: {
      ...(setup ? { settings: settings((name) => setup[name]), wetFilmUm: setup.wetFilmUm } : {}),
      ...(mix ? { recipe: mix.recipe } : {}),
      ...(cup
        ? {
            viscosity: {
              cup: cup.cup,
              seconds: (cup.seconds[0] + cup.seconds[1]) / 2,
              atC: cup.atC,
            },
          }
        : {}),
      flashMinutes: waits.map(({ plannedMinutes }) => plannedMinutes),
    },
    done: {
      settings: knobs,
      ...(pressure ? { pressure } : {}),
      ...(mix ? { ...pouredRecipe(mix) } : {}),
      ...(mix?.flowCup
        ? {
            viscosity: {
              cup: mix.flowCup.cup,
              seconds: mix.flowCup.seconds,
              atC: mix.flowCup.measuredAtC,
            },
          }
        : {}),
      ...(comb && comb.source !== 'confirmed' ? { wetFilmUm: comb.value } : {}),
      flashMinutes: waits.map(({ minutes }) => minutes),
      ...potAge(coat, mix),
    },
  };
}

/** The gauge's own record first, then what the painter wrote down, then nothing. */
function pressureOf(
  { coat, painter }: TicketEvidence,
  writtenKPa: number | undefined,
): CoatRecord['pressure'] {
  const { lowestInletKPa: low, highestInletKPa: high } = coat;
  const at = painter.way.gauge === 'atWall' ? ('wall' as const) : ('inlet' as const);
  if (low !== undefined && high !== undefined)
    return { value: (low + high) / 2, unit: 'kPa', at: 'inlet', flowing: 'yes' };
  if (writtenKPa === undefined || painter.way.gauge === 'byEar') return undefined;
  return { value: writtenKPa, unit: 'kPa', at, flowing: 'yes' };
}

function pressureTrust({ coat, gun, painter }: TicketEvidence): Trust {
  if (coat.lowestInletKPa === undefined && painter.way.gauge === 'byEar') return 'none';
  return gun?.gaugeTrust ?? 'good';
}

/**
 * Parts as they were poured, under the roles of the recipe; only where all was poured by volume.
 */
function pouredRecipe({ poured, recipe }: Mix): Pick<CoatRecord, 'recipe'> {
  const parts = poured.flatMap((part) => {
    const role = [...recipe.parts, ...(recipe.additions ?? [])].find(
      ({ name }) => name === part.name,
    )?.role;
    return 'ml' in part && part.ml > 0
      ? [{ name: part.name, parts: part.ml, ...(role ? { role } : {}) }]
      : [];
  });
  return parts.length === poured.length && parts.length > 0 ? { recipe: { parts } } : {};
}

function potAge(
  { endedAt }: Coat,
  mix: Mix | undefined,
): Pick<CoatRecord, 'mixAgeMinutes' | 'potLife'> {
  if (!endedAt || !mix?.potLifeEndsAt) return {};
  const from = Date.parse(mix.mixedAt);
  return {
    mixAgeMinutes: Math.max(0, (Date.parse(endedAt) - from) / MINUTE_MS),
    potLife: {
      minutes: (Date.parse(mix.potLifeEndsAt) - from) / MINUTE_MS,
      atC: mix.materialC ?? 20,
    },
  };
}

/** Minutes from one coat's end to the next one's start, and what was planned for them. */
export function waitsOf(
  { coats }: TicketWhole,
  stageId: string,
): { minutes: number; plannedMinutes: number }[] {
  const sprayed = coats
    .filter((coat) => coat.stageId === stageId && coat.endedAt)
    .sort((a, b) => a.ordinal - b.ordinal);
  return sprayed.slice(1).flatMap((coat, i) => {
    const before = sprayed[i]!;
    const planned = (before.planned?.answers['recoat'] as AnswerOf<'recoat'> | undefined)
      ?.earliestMinutes.value;
    if (!coat.startedAt || !planned) return [];
    return [
      {
        minutes: (Date.parse(coat.startedAt) - Date.parse(before.endedAt!)) / MINUTE_MS,
        plannedMinutes: planned,
      },
    ];
  });
}
