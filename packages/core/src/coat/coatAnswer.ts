/** What the forward simulation answers. */
import type { Settings } from '../gun/gun.ts';
import type { Spread } from '../outcome/spread.ts';
import type { Explained } from '../outcome/verdicts.ts';
import type { CoatChange } from './changes.ts';
import type { Risks } from './riskIntervals.ts';

export type CoatAnswer = Explained & {
  film: { wetUm: Spread; dryUm: Spread; profileUm: number[]; ripplePercent: Spread };
  dropletUm: Spread;
  fanWidthMm: Spread;
  transferEfficiencyPercent: Spread;
  oversprayGPerMin: Spread;
  fluidMlPerMin: number;
  airFlowLPerMin: number;
  capKPa: number;
  stepMm: number;
  dropWindowUm: [number, number];
  /** Shape of one pass, for who draws it: see fan.ts. */
  pass: {
    beta: number;
    split: number;
    landedMlPerMin: number;
    fanHeightMm: number;
    wanderMm: number;
  };
  wetness: Spread;
  peelIndex: Spread;
  /** The longest run of all that is wet at once. */
  sagMm: Spread;
  /** Film per coat at which this would run, here, at this slope; absent where nothing runs. */
  runsFromUm?: Spread;
  /** How long the film takes overspray in, and until the gun is back beside it. */
  openTimeSeconds: Spread;
  lapSeconds: number;
  drySprayIndex: Spread;
  mottleIndex: Spread;
  risks: Risks;
  flashReadyMinutes: Spread[];
  solventLeft: { minutes: number; byCoat: number[] }[];
  trace: {
    minutes: number;
    surfacePaS: number;
    sagMm: number;
    panelC: number;
    peelIndex: number;
  }[];
  popLayer?: { coat: number };
  changes?: CoatChange[];
  settings: Settings;
};
