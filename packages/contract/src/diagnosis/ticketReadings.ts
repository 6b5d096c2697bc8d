/**
 * A coat's own readings, filled from its ticket: what was planned against what was done, in the air
 * of its own minutes.
 */
import type { Trust } from '@orthochrom/core/trade/vocabulary.ts';
import { readingsOf, type CoatRecord } from '@orthochrom/core/diagnosis/plannedAndDone.ts';
import type { ReadingValue } from '@orthochrom/core/diagnosis/knowledge.ts';
import { convert } from '@orthochrom/core/units/convert.ts';
import type { AnswerOf } from '../registry.ts';
import type { CoatAirPoint } from '../shop/air.ts';
import type { LoggedReading } from '../shop/finding.ts';
import type { Painter, Room, StoredGun } from '../shop/setup.ts';
import {
  settingNames,
  type Coat,
  type Mix,
  type StagePlan,
  type TicketWhole,
} from '../shop/ticket.ts';
import type { Sheet, SheetRecipe } from '../sheet/sheet.ts';
import { gradeSteps } from './gradeSteps.ts';
import { layerReadings } from './layerReadings.ts';

export type TicketEvidence = {
  whole: TicketWhole;
  coat: Coat;
  painter: Pick<Painter, 'way'>;
  room: Pick<Room, 'airMovement' | 'airSpeedMPerS'>;
  gun?: Pick<StoredGun, 'gaugeTrust'> | undefined;
  /** At every tap of the coat; may be empty for one of long ago. */
  air: readonly CoatAirPoint[];
};
export type Logged = Record<string, LoggedReading>;

const MINUTE_MS = 60_000;
const psi = (kPa: number): number => convert(kPa, 'kPa', 'psi');

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

/** Every minute that anything was tapped, not one number for the day: the worst of them speaks. */
function airReadings(
  { air, room, coat }: TicketEvidence,
  sheet: Sheet | undefined,
): Record<string, { value: number | boolean; from: string }> {
  const planned = (coat.planned?.inputs['climate'] ?? {}) as {
    panelTemperatureC?: number;
    airTemperatureC?: number;
    relativeHumidityPercent?: number;
  };
  const points: CoatAirPoint[] =
    air.length > 0
      ? [...air]
      : planned.airTemperatureC === undefined
        ? []
        : [
            {
              at: '',
              airC: planned.airTemperatureC,
              rhPercent: planned.relativeHumidityPercent ?? 50,
              ...(planned.panelTemperatureC === undefined
                ? {}
                : { panelC: planned.panelTemperatureC }),
            },
          ];
  const from =
    air.length > 0
      ? `the air at ${air.length} taps of this coat`
      : 'the air when the plan was taken';
  const limits = { minC: sheet?.limits?.minPanelC, maxC: sheet?.limits?.maxPanelC };
  const each = points.map((point) => {
    const { readings } = readingsOf(
      {},
      {
        climate: {
          airTemperatureC: point.airC,
          relativeHumidityPercent: point.rhPercent,
          ...(point.panelC === undefined ? {} : { panelTemperatureC: point.panelC }),
          airMovement: room.airMovement,
          ...(room.airSpeedMPerS === undefined ? {} : { airSpeedMPerS: room.airSpeedMPerS }),
        },
      },
    );
    const own =
      point.panelC === undefined || limits.minC === undefined || limits.maxC === undefined
        ? (readings['t_panel_dev'] as number | undefined)
        : Math.max(0, point.panelC - limits.maxC) + Math.min(0, point.panelC - limits.minC);
    return { ...readings, ...(own === undefined ? {} : { t_panel_dev: own }) } as Record<
      string,
      number | boolean
    >;
  });
  const material = air.flatMap(({ materialC }) => (materialC === undefined ? [] : [materialC]));
  const values = (id: string) =>
    each.flatMap((reading) => (typeof reading[id] === 'number' ? [reading[id]] : []));
  const out: Record<string, { value: number | boolean; from: string }> = {};
  const put = (id: string, list: number[], pick: (list: number[]) => number, source = from) => {
    if (list.length > 0) out[id] = { value: pick(list), from: source };
  };
  const farthest = (list: number[]) =>
    list.reduce((far, value) => (Math.abs(value) > Math.abs(far) ? value : far), 0);
  put('t_panel_dev', values('t_panel_dev'), farthest);
  put('rh', values('rh'), (list) => Math.max(...list));
  put('dew_margin', values('dew_margin'), (list) => Math.min(...list));
  put('t_mat', material, (list) => Math.min(...list));
  put('airflow', values('airflow'), (list) => Math.min(...list), 'how the air moves in this room');
  if (each[0]?.['draught'] !== undefined)
    out['draught'] = { value: each[0]['draught'], from: 'how the air moves in this room' };
  return out;
}

/** From panel to panel: pressure that sinks is air that runs short, not a knob. */
function swingText({ panelsSprayed }: Coat): string {
  const lows = [...panelsSprayed]
    .sort((a, b) => a.sprayedAt.localeCompare(b.sprayedAt))
    .flatMap(({ lowestInletKPa }) => (lowestInletKPa === undefined ? [] : [lowestInletKPa]));
  const [first, last] = [lows[0], lows.at(-1)];
  return first !== undefined && last !== undefined && lows.length > 1 && last < first
    ? `lowest at the gun, from panel to panel: ${lows.map((kPa) => psi(kPa).toFixed(0)).join(', ')} psi`
    : 'lowest and highest at the gun over the coat';
}

const outside = (value: number, [low, high]: readonly [number, number]): number =>
  Math.max(0, value - high) + Math.min(0, value - low);

function againstSheet(
  coat: Coat,
  stage: StagePlan,
  recipe: SheetRecipe | undefined,
): Record<string, number | undefined> {
  if (!recipe) return {};
  const nozzleMm = coat.done['nozzleMm']?.value ?? coat.nozzleMm;
  return {
    nozzle_dev: nozzleMm === undefined ? undefined : outside(nozzleMm, recipe.nozzleMm),
    coats_dev: outside(stage.coats, recipe.coats),
  };
}
