/** From what was asked to what is run: paint, gun, settings, sheet, layers below, heat; what is missing is worked out. */
import { airSpeedMPerSOf } from '../air/airMovement.ts';
import { effectiveTemperatureC } from '../evaporation/evaporationIndex.ts';
import { splitArrival, usualLoss } from '../film/arrival.ts';
import { FALLBACK_MINUTES } from '../film/flashToday.ts';
import type { JobCoat } from '../film/job.ts';
import { materialClassOf, type Layer } from '../film/wait.ts';
import { completed, type KnownSettings } from '../gun/completed.ts';
import { dropWindowUm } from '../gun/spray.ts';
import { MATERIALS } from '../material/classes.ts';
import { FILM_DATA } from '../material/filmData.ts';
import { MEDIUM_REDUCER, mixtureOf } from '../material/mixture.ts';
import { benchModel, type CoatBench } from './bench.ts';
import type { CoatInput } from './coat.ts';
import type { CoatPlan } from './foresee.ts';
import { paintOf, stageOfClass } from './material.ts';

/** The sheet's own temperature where none is at hand. */
const USUAL_SHEET_C = 21;
const USUAL_HUMIDITY = 50;

export function planOf(input: CoatInput): { plan: CoatPlan; defaulted: string[]; settings: KnownSettings } {
  const { climate, material, gun, bake } = input;
  const room = { airTemperatureC: climate.airTemperatureC, relativeHumidityPercent: climate.relativeHumidityPercent };
  const panelC = climate.panelTemperatureC ?? climate.airTemperatureC;
  const substrate = input.panel.substrate ?? 'metal';
  const paint = paintOf(material, climate.materialTemperatureC ?? climate.airTemperatureC);
  const place = stageOfClass(material.class);
  const { settings, defaulted } = completed(
    { ...place, settings: input.settings, finish: material.finish, sheet: material.sheet?.gun },
    gun,
  );
  const bench: CoatBench = { gun, paint, room, technique: input.technique };
  const models = new Map<number, ReturnType<typeof benchModel>>();
  const modelFor = (nozzleMm: number) => {
    const known = models.get(nozzleMm) ?? benchModel(bench, nozzleMm);
    models.set(nozzleMm, known);
    return known;
  };
  const last = input.coats.length - 1;
  const coats = input.coats.map((coat, i) => {
    const own = coat.settings ? { ...settings, ...given(coat.settings) } : settings;
    return {
      flashMinutes: i === last && bake ? bake.afterMinutes : coat.flashMinutes,
      settings: own,
      model: modelFor(own.nozzleMm),
    };
  });
  const airSpeedMPerS = airSpeedMPerSOf(climate);
  return {
    settings,
    defaulted,
    plan: {
      bench,
      coats,
      sheet: sheetOf(input),
      below: (input.below ?? []).map((layer) =>
        layerBelow(layer, { effectiveC: effectiveTemperatureC({ ...climate, substrate }), airSpeedMPerS }),
      ),
      panelC,
      airSpeedMPerS,
      substrate,
      slopeDeg: Math.abs(input.panel.slopeDeg),
      ...(bake ? { heat: { toC: bake.toC, rampCPerMin: bake.rampCPerMin, holdMinutes: bake.holdMinutes } } : {}),
      isEffect: material.finish !== undefined && material.finish !== 'solid' && material.finish !== 'fluorescent',
      dropWindowUm: dropWindowUm(material.class, gun.class),
    },
  };
}

const given = <T extends object>(value: T): Partial<T> =>
  Object.fromEntries(Object.entries(value).filter(([, v]) => v !== undefined)) as Partial<T>;

function sheetOf({ material, bake }: CoatInput): CoatPlan['sheet'] {
  const times = material.sheet?.times;
  const fallback = FALLBACK_MINUTES[material.class];
  const wetFilmUm = material.sheet?.gun?.wetFilmUm ?? times?.wetFilmUm;
  const flash = times?.flashMinutes ?? fallback.flash;
  return {
    wetFilmM: wetFilmUm === undefined ? FILM_DATA[material.class].wetFilmM : wetFilmUm * 1e-6,
    flashMinutes: Math.max(0.5, flash),
    lastMinutes: Math.max(0.5, (bake ? times?.beforeBakeMinutes : times?.toNextMinutes) ?? (times ? flash : fallback.last)),
    atC: times?.atC ?? USUAL_SHEET_C,
    atHumidityPercent: times?.atHumidityPercent ?? USUAL_HUMIDITY,
    coats: material.sheet?.gun?.coats,
  };
}

/** A layer that still loses solvent: laid as its class is, and waited for as its sheet says. */
function layerBelow(layer: Layer, air: { effectiveC: number; airSpeedMPerS: number }): JobCoat {
  const materialClass = materialClassOf(layer);
  const mixture = mixtureOf(MATERIALS[materialClass]);
  const minutes = layer.sheet?.toNextMinutes ?? layer.sheet?.flashMinutes ?? FALLBACK_MINUTES[materialClass].last;
  const wetFilmM = layer.sheet?.wetFilmUm === undefined ? FILM_DATA[materialClass].wetFilmM : layer.sheet.wetFilmUm * 1e-6;
  return {
    materialClass,
    mixture,
    wetFilmM,
    arrived: splitArrival(mixture, 1 - usualLoss(materialClass, mixture, air)),
    dropM: 30e-6,
    hardenerSpeed: 1,
    viscosityFactor: 1,
    flashMinutes: minutes,
    isTopMaterial: false,
    gradeSlowFraction: MEDIUM_REDUCER,
    sheet: {
      wetFilmM,
      waitMinutes: Math.max(0.5, minutes),
      atC: layer.sheet?.atC ?? USUAL_SHEET_C,
      atHumidityPercent: layer.sheet?.atHumidityPercent ?? USUAL_HUMIDITY,
    },
  };
}
