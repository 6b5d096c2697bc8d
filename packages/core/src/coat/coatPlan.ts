/**
 * All that a coat is foreseen from: paint, gun, settings, sheet, layers below, panel, air and heat.
 */
import type { Job, JobCoat } from '../film/job.ts';
import type { KnownSettings } from '../gun/gun.ts';
import type { GunModel } from '../gun/gunModel.ts';
import type { CoatRig } from './sprayedCoat.ts';

export type CoatPlan = {
  rig: CoatRig;
  coats: readonly { flashMinutes: number; settings: KnownSettings; model: GunModel }[];
  /** Sheet's film and minutes of each coat. */
  sheet: {
    wetFilmM: number;
    flashMinutes: number;
    lastMinutes: number;
    atC: number;
    atHumidityPercent: number;
    coats?: number | undefined;
  };
  below: readonly JobCoat[];
  panelC: number;
  airSpeedMPerS: number;
  substrate: Job['substrate'];
  slopeDeg: number;
  /**
   * What is gone over before the gun is back beside what it laid; `lapSeconds` where the round of
   * the whole job tells.
   */
  panel: {
    lengthM?: number | undefined;
    heightM?: number | undefined;
    lapSeconds?: number | undefined;
  };
  heat?: Job['heat'];
  isEffect: boolean;
  /** Drops that suit this paint from this kind of gun. */
  dropWindowUm: [number, number];
};
