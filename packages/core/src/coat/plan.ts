/**
 * From what was asked to what is run: paint, gun, settings, sheet, layers below, heat; what is
 * missing is worked out.
 */
import type { KnownSettings } from '../gun/gun.ts';
import { layerClassOf, timesOf, type Layer } from '../inForce/timesOf.ts';
import { filmOf } from '../inForce/filmOf.ts';
import { isEffect } from '../trade/vocabulary.ts';
import { testedModelOf } from '../gun/testedModel.ts';
import { layerOfMaterial, type CoatInput } from './coatInput.ts';
import { paintOf } from '../mix/paint.ts';
import { MATERIALS } from '../trade/materialClasses.ts';
import { airSpeedMPerSOf } from '../air/airMovement.ts';
import { effectiveTemperatureC } from '../evaporation/evaporationIndex.ts';
import { splitArrival, usualLoss } from '../film/arrival.ts';
import type { JobCoat } from '../film/job.ts';
import { completed } from '../gun/completed.ts';
import { dropWindowUm } from '../gun/spray.ts';
import { mixtureOf } from '../material/mixture.ts';
import { MEDIUM_SLOW_FRACTION } from '../evaporation/solvents.ts';
import type { GunModel } from '../gun/gunModel.ts';
import { remembered } from '../numerics/remembered.ts';
import { clamp } from '../numerics/rounding.ts';
import { sprayedBy, type CoatRig } from './sprayedCoat.ts';
import type { CoatPlan } from './coatPlan.ts';

/**
 * All that a coat is simulated from; settings that were not told are practice's, and named in
 * `defaulted`.
 */
export function planOf(input: CoatInput): {
  plan: CoatPlan;
  defaulted: string[];
  settings: KnownSettings;
} {
  const { climate, material, gun, bake } = input;
  const substrate = input.panel.substrate ?? 'metal';
  const paint = paintOf(material, climate.materialTemperatureC ?? climate.airTemperatureC);
  const { airTemperatureC, relativeHumidityPercent } = climate;
  const roomAir = { airTemperatureC, relativeHumidityPercent };
  const rig: CoatRig = { gun, paint, roomAir, technique: input.technique };
  const sheet = sheetOf(input, paint.isTwoPack);
  const airSpeedMPerS = airSpeedMPerSOf(climate);
  const effectiveC = effectiveTemperatureC({ ...climate, substrate });
  const { coats, defaulted } = coatsOf(input, rig, sheet.wetFilmM);
  return {
    settings: coats[0]!.settings,
    defaulted,
    plan: {
      rig,
      coats,
      sheet,
      below: (input.below ?? []).map((layer) => layerBelow(layer, { effectiveC, airSpeedMPerS })),
      panelC: climate.panelTemperatureC ?? airTemperatureC,
      airSpeedMPerS,
      substrate,
      slopeDeg: Math.abs(input.panel.slopeDeg),
      panel: input.panel,
      ...(bake
        ? { heat: { toC: bake.toC, rampCPerMin: bake.rampCPerMin, holdMinutes: bake.holdMinutes } }
        : {}),
      isEffect: isEffect(material.finish),
      dropWindowUm: dropWindowUm(material.class, gun.class),
    },
  };
}

/** Every coat with its settings complete: what was not told is practice's, and the hand's. */
function coatsOf(
  input: CoatInput,
  rig: CoatRig,
  wetFilmM: number,
): { coats: CoatPlan['coats']; defaulted: string[] } {
  const { material, gun, bake } = input;
  const { stage, carrier } = MATERIALS[material.class];
  const of = { stage, carrier, class: material.class, settings: input.settings };
  const { settings, defaulted } = completed(
    { ...of, finish: material.finish, sheet: material.sheet?.gun },
    gun,
  );
  const modelFor = remembered((nozzleMm: number) => testedModelOf(rig, nozzleMm));
  /** The hand that lays the film with these very knobs, in this air. */
  const withHand = remembered((own: KnownSettings) => ({
    ...own,
    gunSpeedMPerS: handFor(rig, modelFor(own.nozzleMm), own, wetFilmM),
  }));
  const last = input.coats.length - 1;
  const coats = input.coats.map((coat, i) => {
    const own = coat.settings ? { ...settings, ...withoutAbsent(coat.settings) } : settings;
    const isHandTold =
      coat.settings?.gunSpeedMPerS !== undefined || !defaulted.includes('gunSpeedMPerS');
    return {
      flashMinutes: i === last && bake ? bake.afterMinutes : coat.flashMinutes,
      settings: isHandTold ? own : withHand(own),
      model: modelFor(own.nozzleMm),
    };
  });
  return { coats, defaulted };
}

/** No arm goes slower or quicker for a film it has never laid. */
const HAND_FOUND_M_PER_S: [number, number] = [0.15, 0.9];
/** Film falls as the hand speeds up: turned round. */
function handFor(rig: CoatRig, model: GunModel, settings: KnownSettings, wetFilmM: number): number {
  const { filmM } = sprayedBy(rig, model, { ...settings, gunSpeedMPerS: 1 });
  return clamp(filmM / wetFilmM, ...HAND_FOUND_M_PER_S);
}

const withoutAbsent = <T extends object>(value: T | undefined): Partial<T> =>
  Object.fromEntries(Object.entries(value ?? {}).filter(([, v]) => v !== undefined)) as Partial<T>;

/** Film and minutes in force for the coat, as the risks measure it against them. */
function sheetOf({ material, bake }: CoatInput, isTwoPack: boolean): CoatPlan['sheet'] {
  const layer = layerOfMaterial(material, isTwoPack);
  const { atC, atHumidityPercent, before } = timesOf(layer);
  const film = filmOf({
    class: material.class,
    sheet: { ...layer.sheet, ...withoutAbsent(material.sheet?.gun) },
  });
  return {
    wetFilmM: film.value.aimUm * 1e-6,
    flashMinutes: Math.max(LEAST_MINUTES, before.coat.value.minutes),
    lastMinutes: Math.max(LEAST_MINUTES, before[bake ? 'bake' : 'clear'].value.minutes),
    atC,
    atHumidityPercent,
    coats: material.sheet?.gun?.coats,
  };
}
const LEAST_MINUTES = 0.5;

/** A layer that still loses solvent: laid as its class is, and waited for as its sheet says. */
function layerBelow(layer: Layer, air: { effectiveC: number; airSpeedMPerS: number }): JobCoat {
  const materialClass = layerClassOf(layer).value;
  const mixture = mixtureOf(MATERIALS[materialClass]);
  const { atC, atHumidityPercent, wetFilmUm, before } = timesOf(layer);
  const { minutes } = before.clear.value;
  const wetFilmM = wetFilmUm * 1e-6;
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
    gradeSlowFraction: MEDIUM_SLOW_FRACTION,
    sheet: { wetFilmM, waitMinutes: Math.max(LEAST_MINUTES, minutes), atC, atHumidityPercent },
  };
}
