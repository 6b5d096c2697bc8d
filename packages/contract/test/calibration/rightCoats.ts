/**
 * Coats that an able painter would call right, drawn at random: any class, any gun, 12 to 36 °C;
 * grade and hardener by the temperature, the sheet's usual waits as the clock moves them, settings
 * scattered about the set-up as painters scatter them.
 */
import { DESIGN_OF_SPEED_C } from '@orthochrom/core/reducer/grade.ts';
import { nozzleBandOf } from '@orthochrom/core/inForce/nozzleBandOf.ts';
import type { GunClass } from '@orthochrom/core/trade/gunClasses.ts';
import { MATERIALS, type MaterialClass } from '@orthochrom/core/trade/materialClasses.ts';
import { SPEEDS, type Finish, type Speed } from '@orthochrom/core/trade/vocabulary.ts';
import { drawnFrom } from '@orthochrom/core/numerics/drawn.ts';
import { ask } from '../../src/calculations/ask.ts';
import { coatCalculation } from '../../src/calculations/coat.ts';
import { recoatCalculation } from '../../src/calculations/recoat.ts';
import { reducerCalculation } from '../../src/calculations/reducer.ts';
import { setupCalculation } from '../../src/calculations/setup.ts';
import type { AnswerOf, InputOf } from '../../src/registry.ts';

export const GRADES = [
  { name: 'fast', minC: 13, maxC: 19 },
  { name: 'medium', minC: 18, maxC: 26 },
  { name: 'slow', minC: 25, maxC: 32 },
  { name: 'hottest', minC: 31, maxC: 40 },
];
export const FULL_SIZE: GunClass[] = ['hvlp', 'reducedPressure', 'lvlp', 'conventional', 'siphon'];
export type Drawn = () => number;
export const between = (drawn: Drawn, low: number, high: number): number =>
  low + (high - low) * drawn();
export const oneOf = <T>(drawn: Drawn, list: readonly T[]): T =>
  list[Math.floor(drawn() * list.length)]!;

/** The hardener for this warmth, by the middle of what each is made for. */
export const speedFor = (temperatureC: number): Speed =>
  SPEEDS.reduce((best, speed) =>
    Math.abs(DESIGN_OF_SPEED_C[speed] - temperatureC) <
    Math.abs(DESIGN_OF_SPEED_C[best] - temperatureC)
      ? speed
      : best,
  );

export type Wanted = { class?: MaterialClass; gun?: GunClass; airC?: number; bakes?: boolean };
export type RightCoat = {
  input: InputOf<'coat'>;
  setup: AnswerOf<'setup'>;
  class: MaterialClass;
  gun: GunClass;
  airC: number;
};

export function rightCoat(drawn: Drawn, wanted: Wanted = {}): RightCoat {
  const materialClass = wanted.class ?? oneOf(drawn, Object.keys(MATERIALS) as MaterialClass[]);
  const facts = MATERIALS[materialClass];
  const gunClass = wanted.gun ?? oneOf(drawn, FULL_SIZE);
  const isWaterborne = facts.carrier === 'waterborne';
  const airC = wanted.airC ?? between(drawn, isWaterborne ? 18 : 14, isWaterborne ? 30 : 35);
  const isEffect = facts.stage === 'base' && drawn() < 0.5;
  const finish: Finish = isEffect ? (isWaterborne ? 'silver' : 'metallic') : 'solid';
  const air = {
    airTemperatureC: airC,
    panelTemperatureC: airC,
    relativeHumidityPercent: between(drawn, 35, 60),
    airMovement: isWaterborne ? ('fan' as const) : ('downdraft' as const),
  };
  const climate = { ...air, materialTemperatureC: Math.max(18, Math.min(25, airC)) };
  const { isBuild, stage, carrier } = facts;
  const tips = nozzleBandOf({ gunClass, stage, carrier, isBuild }).value;
  const gun = {
    class: gunClass,
    nozzlesMm: [Number(((tips[0] + tips[1]) / 2).toFixed(1))],
    fullFluidTurns: 4,
    fullFanTurns: 4,
  };
  const reduced = facts.mix[2] > 0 && !isWaterborne;
  const choice = reduced
    ? ask(reducerCalculation, {
        ...air,
        jobSize: 'panel',
        carrier: 'solvent',
        stage: facts.stage,
        class: materialClass,
        finish,
        grades: GRADES,
        risks: false,
      }).choice
    : undefined;
  const grade = choice && GRADES.find(({ name }) => name === choice.parts[0]!.name);
  const material: InputOf<'coat'>['material'] = {
    class: materialClass,
    finish,
    ...(grade ? { grade } : {}),
    ...(facts.mix[1] > 0 ? { hardenerSpeed: speedFor(airC) } : {}),
  };
  const setup = ask(setupCalculation, {
    gun,
    stage: facts.stage,
    carrier: facts.carrier,
    class: materialClass,
    finish,
    climate,
    place: 'booth',
    part: 'largePanel',
    hardener: 'none',
    plans: false,
  });
  const settings = {
    nozzleMm: setup.nozzleMm,
    inletKPa: setup.inletKPa * between(drawn, 0.95, 1.05),
    fluidTurnsOut: setup.fluidTurnsOut,
    fanTurnsOut: setup.fanTurnsOut,
    distanceMm: setup.distanceMm + between(drawn, -12, 12),
    overlapPercent: setup.overlapPercent,
  };
  const layer = {
    stage: facts.stage,
    carrier: facts.carrier,
    class: materialClass,
    activated: facts.mix[1] > 0,
  };
  const wait = (next: 'coat' | 'bake') =>
    ask(recoatCalculation, { layer, climate, minutesSince: 0, next }).earliestMinutes.value;
  const bakes = wanted.bakes ?? (facts.shows === 'gloss' && drawn() < 0.5);
  const coats = Math.max(1, Math.min(3, Math.round(setup.coats)));
  const input: InputOf<'coat'> = {
    climate,
    material,
    gun,
    settings,
    panel: { slopeDeg: 90, lengthM: 1.2, heightM: 0.7, substrate: 'metal' },
    coats: Array.from({ length: coats }, () => ({
      flashMinutes: wait('coat') * between(drawn, 1, 1.15),
    })),
    ...(bakes
      ? { bake: { afterMinutes: wait('bake'), toC: 60, rampCPerMin: 4, holdMinutes: 30 } }
      : {}),
    rankChanges: false,
  };
  // The hand that lays the film with these knobs, and as far off as an able hand is.
  const hand = ask(coatCalculation, { ...input, spread: false }).settings['gunSpeedMPerS']!;
  return {
    input: {
      ...input,
      settings: { ...settings, gunSpeedMPerS: hand * between(drawn, 0.95, 1.05) },
    },
    setup,
    class: materialClass,
    gun: gunClass,
    airC,
  };
}

export const rightCoats = (count: number, seed: number, wanted: Wanted = {}): RightCoat[] => {
  const drawn = drawnFrom(seed);
  return Array.from({ length: count }, () => rightCoat(drawn, wanted));
};
