/** One set-up of the lab: the input of `coat`, and where each control writes into it. Pure. */
import { MATERIALS } from '@orthochrom/core/trade/materialClasses.ts';
import type { InputOf } from '@orthochrom/contract/registry.ts';
import type { ChangeKnob } from '@orthochrom/core/coat/move.ts';
import { fullFanTurnsOf, fullFluidTurnsOf, type Gun } from '@orthochrom/core/gun/gun.ts';
import { designTemperatureC, speedOf } from '@orthochrom/core/reducer/grade.ts';

export type LabSetup = InputOf<'coat'>;
/** Where a set-up came from, and may be sent back to. */
export type LabVisit = { setup: LabSetup; coatId: string; ticketId: string; title: string };
const GRADE_HALF_BAND_C = 3;

export const startSetup = (gun: Gun): LabSetup => ({
  climate: {
    airTemperatureC: 21,
    relativeHumidityPercent: 50,
    panelTemperatureC: 21,
    materialTemperatureC: 21,
    airSpeedMPerS: 0.3,
  },
  material: { class: 'clearMediumSolids', hardenerSpeed: 'medium' },
  gun,
  settings: {
    nozzleMm: gun.nozzlesMm.includes(1.3) ? 1.3 : gun.nozzlesMm[0]!,
    inletKPa: 138,
    fluidTurnsOut: Math.min(3, fullFluidTurnsOf(gun)),
    fanTurnsOut: fullFanTurnsOf(gun) * 0.9,
    distanceMm: 155,
    overlapPercent: 75,
    gunSpeedMPerS: 0.45,
  },
  panel: { slopeDeg: 90, lengthM: 1.2, heightM: 0.7, substrate: 'metal' },
  coats: [{ flashMinutes: 13 }, { flashMinutes: 13 }],
  bake: { afterMinutes: 12, toC: 60, rampCPerMin: 4, holdMinutes: 30 },
});

/** Only the plan's own defaults are filled in: what the sender gave stays. */
export function withDefaults(setup: LabSetup): LabSetup {
  const usual = startSetup(setup.gun);
  const climate =
    setup.climate.airMovement === undefined && setup.climate.airSpeedMPerS === undefined
      ? { airSpeedMPerS: 0.3 }
      : {};
  return {
    ...setup,
    climate: {
      panelTemperatureC: setup.climate.airTemperatureC,
      materialTemperatureC: setup.climate.airTemperatureC,
      ...climate,
      ...setup.climate,
    },
    settings: { ...usual.settings, ...setup.settings },
    panel: { ...usual.panel, ...setup.panel },
  };
}

export const gradeC = ({ material }: LabSetup): number =>
  material.grade ? designTemperatureC(material.grade) : 21.5;
export const hasReducer = ({ material }: LabSetup): boolean =>
  MATERIALS[material.class].mix[2] > 0 && MATERIALS[material.class].waterFraction === undefined;
export const hasHardener = ({ material }: LabSetup): boolean =>
  MATERIALS[material.class].mix[1] > 0;

export const withGrade = (setup: LabSetup, designC: number): LabSetup => ({
  ...setup,
  material: {
    ...setup.material,
    grade: {
      name: `grade for ${designC.toFixed(0)} °C`,
      minC: designC - GRADE_HALF_BAND_C,
      maxC: designC + GRADE_HALF_BAND_C,
    },
  },
});
export const withSettings = (
  setup: LabSetup,
  settings: Partial<LabSetup['settings']>,
): LabSetup => ({
  ...setup,
  settings: { ...setup.settings, ...settings },
});
export const withClimate = (setup: LabSetup, climate: Partial<LabSetup['climate']>): LabSetup => ({
  ...setup,
  climate: { ...setup.climate, ...climate },
});
export const withFlash = (setup: LabSetup, flashMinutes: number): LabSetup => ({
  ...setup,
  coats: setup.coats.map((coat) => ({ ...coat, flashMinutes })),
});

/** Another gun brings its own nozzles and travel. */
export function withGun(setup: LabSetup, gun: Gun): LabSetup {
  const { settings } = setup;
  const nearest = gun.nozzlesMm.reduce((best, mm) =>
    Math.abs(mm - settings.nozzleMm!) < Math.abs(best - settings.nozzleMm!) ? mm : best,
  );
  return {
    ...setup,
    gun,
    settings: {
      ...settings,
      nozzleMm: nearest,
      fluidTurnsOut: Math.min(settings.fluidTurnsOut!, fullFluidTurnsOf(gun)),
      fanTurnsOut: Math.min(settings.fanTurnsOut!, fullFanTurnsOf(gun)),
    },
  };
}

/**
 * A ranked change, made, with what goes with it: then the lab foresees what the change promised.
 */
export function changed(
  setup: LabSetup,
  {
    knob,
    to,
    along = {},
  }: {
    knob: string;
    to: number;
    along?: { stepMm?: number | undefined; gunSpeedMPerS?: number | undefined } | undefined;
  },
): LabSetup {
  switch (knob as ChangeKnob) {
    case 'flashMinutes':
      return withFlash(setup, to);
    case 'afterMinutes':
      return setup.bake ? { ...setup, bake: { ...setup.bake, afterMinutes: to } } : setup;
    case 'rampCPerMin':
      return setup.bake ? { ...setup, bake: { ...setup.bake, rampCPerMin: to } } : setup;
    case 'gradeC':
      return withGrade(setup, to);
    case 'hardenerC':
      return {
        ...setup,
        material: { ...setup.material, hardenerSpeed: speedOf({ name: '', minC: to, maxC: to }) },
      };
    case 'airSpeedMPerS':
      return withClimate(setup, { airSpeedMPerS: to });
    default: {
      const given = { [knob]: to, ...along };
      const { overlapPercent: _, ...settings } = setup.settings;
      return {
        ...setup,
        settings: { ...('stepMm' in given ? settings : setup.settings), ...given },
      };
    }
  }
}

/** The four levers a painter has in the hand, in the order in which they are taught. */
export const LEVERS = ['inletKPa', 'fluidTurnsOut', 'distanceMm', 'gunSpeedMPerS'] as const;
export const LEVER_WORD: Record<(typeof LEVERS)[number], string> = {
  inletKPa: 'pressure',
  fluidTurnsOut: 'fluid',
  distanceMm: 'distance',
  gunSpeedMPerS: 'speed',
};
