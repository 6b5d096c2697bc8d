/** What a set-up is asked with. */
import type { Climate } from '../air/climate.ts';
import type { Line } from '../compressedAir/airline.ts';
import type { SheetTimes } from '../inForce/timesOf.ts';
import type { MixedFrom } from '../mix/paint.ts';
import type { MaterialClass } from '../trade/materialClasses.ts';
import type { Carrier, Chemistry, Finish, PartKind, Place, Stage } from '../trade/vocabulary.ts';
import type { CoatPreset } from '../coats/coatPlanInput.ts';
import type { Gun, Settings } from './gun.ts';
import type { GunSheet, Preferences } from './preferences.ts';

export type SetupInput = {
  gun: Gun;
  stage: Stage;
  carrier: Carrier;
  finish?: Finish;
  /**
   * The sheet's own word on what kind of paint it is; absent: by stage, `build` and `highSolids`.
   */
  class?: MaterialClass;
  build?: boolean;
  highSolids?: boolean;
  /** The mix as it is poured; absent: its class's. */
  material?: Omit<MixedFrom, 'viscosityMm2PerS'>;
  viscosityMm2PerS?: number;
  airTemperatureC?: number;
  /** Of the paint in the cup; absent: the air's. */
  materialTemperatureC?: number;
  /** Absent: the air's temperature, 50 % and the air that sheets are written for. */
  climate?: Climate;
  place: Place;
  part: PartKind;
  /** A mist coat: wide fan, little paint, thin. */
  mist?: boolean;
  /** What its own coat is planned with; a mist coat of the painter's goes before it. */
  preset?: CoatPreset;
  sheet?: GunSheet;
  times?: SheetTimes;
  way?: Preferences;
  airline?: Line;
  capLimitKPa?: number;
  hardener?: Chemistry;
  limitFog?: boolean;
  panelLengthM?: number;
  /** Across the passes; with the length and the slope it tells how long a round takes. */
  panelHeightM?: number;
  /** Until the gun is back beside what it laid last, where the round of the job tells. */
  lapSeconds?: number;
  /** Upright where it is not told. */
  slopeDeg?: number;
  /** The grade in the cup against the one that suits: how the flash is moved. */
  reducer?: { stepsSlower: number };
  /** Coats the job is to have, held against the sheet's. */
  coatsWanted?: number;
  knobsNow?: { fanTurnsOut: number; fluidTurnsOut: number; part?: PartKind; mist?: boolean };
  /** The painter's own settings, judged as ours are. */
  own?: Settings & { wetFilmUm?: number };
};
