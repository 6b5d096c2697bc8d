/**
 * The paint that a coat is sprayed with, as much as is known of it: for the gun, the hand and the
 * forecast alike.
 */
import type { HumidAir } from '../air/humidAir.ts';
import { classOf, type ClassAsked } from '../inForce/classOf.ts';
import { paintOf, type MixedFrom, type Paint } from '../mix/paint.ts';

export type PaintOfCoat = Omit<ClassAsked, 'wetFilmUm'> & {
  sheet?: { wetFilmUm?: number | undefined } | undefined;
  material?: Omit<MixedFrom, 'viscosityMm2PerS'> | undefined;
  viscosityMm2PerS?: number | undefined;
  airTemperatureC?: number | undefined;
  materialTemperatureC?: number | undefined;
  climate?:
    | { airTemperatureC: number; relativeHumidityPercent: number; materialTemperatureC?: number }
    | undefined;
};

/** Where nobody told, of air and paint. */
export const USUAL_ROOM_AIR: HumidAir = { airTemperatureC: 20, relativeHumidityPercent: 50 };

/** The class of paint in force for this coat. */
export const coatClassOf = (coat: PaintOfCoat) =>
  classOf({ ...coat, wetFilmUm: coat.sheet?.wetFilmUm });

/** The air it is sprayed in; 20 °C and 50 % where nobody told. */
export const roomOf = ({ climate, airTemperatureC }: PaintOfCoat): HumidAir => ({
  airTemperatureC: climate?.airTemperatureC ?? airTemperatureC ?? USUAL_ROOM_AIR.airTemperatureC,
  relativeHumidityPercent:
    climate?.relativeHumidityPercent ?? USUAL_ROOM_AIR.relativeHumidityPercent,
});

/** The paint as it stands in the cup: class, mix, warmth, cup reading. */
export const paintInCup = (coat: PaintOfCoat): Paint =>
  paintOf(
    { class: coatClassOf(coat).value, ...coat.material, viscosityMm2PerS: coat.viscosityMm2PerS },
    coat.climate?.materialTemperatureC ?? coat.materialTemperatureC ?? roomOf(coat).airTemperatureC,
  );
