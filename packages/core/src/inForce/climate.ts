/**
 * Go, caution or stop in this air: the booth's air and the panel decide, the street does not (MODEL
 * 2).
 */
import { panelMarginCOf, type Climate } from '../air/climate.ts';
import { dewPointC, humidityRatioGPerKg, wetBulbC } from '../air/humidAir.ts';
import { CAUTION_FROM, limitsInForce, type Limits } from '../air/limits.ts';
import { caution, go, type WithVerdicts } from '../outcome/verdicts.ts';
import type { MaterialClass } from '../trade/materialClasses.ts';
import type { Carrier, Stage } from '../trade/vocabulary.ts';
import { airVerdictsOf, materialVerdictsOf } from './airVerdictsOf.ts';
import { classOf } from './classOf.ts';

export type ClimateInput = Climate & {
  limits?: Limits;
  next?: { carrier: Carrier; stage?: Stage; class?: MaterialClass };
  wettingFloor?: boolean;
};
export type ClimateAnswer = WithVerdicts & {
  dewPointC: number;
  wetBulbC: number;
  humidityRatioGPerKg: number;
  panelMarginC?: number;
  /** What was judged by. */
  limits: Required<Limits>;
};

/** Go, caution or stop for spraying, with the dew point and the panel's margin over it. */
export function climateOf(input: ClimateInput): ClimateAnswer {
  const { next, limits } = input;
  const marginC = panelMarginCOf(input);
  const materialClass = next?.stage && classOf({ ...next, stage: next.stage }).value;
  const sprayed = { limits, carrier: next?.carrier, class: materialClass };
  const verdicts = [
    ...airVerdictsOf(input, sprayed),
    ...materialVerdictsOf(input.materialTemperatureC, sprayed),
  ];
  const floorHarms = wettingFloorHarms({
    carrier: next?.carrier,
    relativeHumidityPercent: input.relativeHumidityPercent,
    marginC,
  });
  if (input.wettingFloor && floorHarms) verdicts.push(caution('floor-wetting'));
  if (verdicts.length === 0) verdicts.push(go('air-good', { marginC: marginC ?? 0 }));
  return {
    dewPointC: dewPointC(input),
    wetBulbC: wetBulbC(input),
    humidityRatioGPerKg: humidityRatioGPerKg(input),
    ...(marginC === undefined ? {} : { panelMarginC: marginC }),
    limits: limitsInForce(limits),
    verdicts,
  };
}

/** Water on the floor goes into the air: against waterborne, damp air, or a panel near its dew. */
export const wettingFloorHarms = ({
  carrier,
  relativeHumidityPercent,
  marginC,
}: {
  carrier?: Carrier | undefined;
  relativeHumidityPercent?: number | undefined;
  marginC?: number | undefined;
}): boolean =>
  carrier === 'waterborne' ||
  (relativeHumidityPercent !== undefined &&
    relativeHumidityPercent > CAUTION_FROM.humidityPercent) ||
  (marginC !== undefined && marginC < CAUTION_FROM.marginC);
