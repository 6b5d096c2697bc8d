/** Go, caution or stop in this air: the booth's air and the panel decide, the street does not (MODEL 2; WORK C057–C064). */
import { caution, go, stop, type Told, type Verdict } from '../outcome/told.ts';
import { airSpeedMPerSOf, STILL_FOR_WATERBORNE_M_PER_S, type AirMovement } from './airMovement.ts';
import { dewPointC, humidityRatioGPerKg, wetBulbC } from './humidAir.ts';
import { CAUTION_FROM, limitsInForce, type Limits } from './limits.ts';

export type Carrier = 'solvent' | 'waterborne';
export type Climate = {
  airTemperatureC: number;
  relativeHumidityPercent: number;
  panelTemperatureC?: number;
  materialTemperatureC?: number;
  airMovement?: AirMovement;
  airSpeedMPerS?: number;
};
export type ClimateInput = Climate & { limits?: Limits; next?: { carrier: Carrier; stage?: string }; wettingFloor?: boolean };
export type ClimateAnswer = Told & { dewPointC: number; wetBulbC: number; humidityRatioGPerKg: number; panelMarginC?: number };

/** Panel temperature over the dew point, °C apart; unknown without a panel reading. */
export const panelMarginCOf = (climate: Climate): number | undefined =>
  climate.panelTemperatureC === undefined ? undefined : climate.panelTemperatureC - dewPointC(climate);

/** Every reason to stop or take care that the air and the panel give, not the first only. */
export function airVerdicts(climate: Climate, sheetLimits?: Limits, carrier?: Carrier): Verdict[] {
  return [
    ...panelVerdicts(climate, sheetLimits),
    ...heatVerdicts(climate, sheetLimits),
    ...humidityVerdicts(climate, sheetLimits, carrier),
  ];
}

function panelVerdicts(climate: Climate, sheetLimits?: Limits): Verdict[] {
  const limits = limitsInForce(sheetLimits);
  const panelC = climate.panelTemperatureC;
  const marginC = panelMarginCOf(climate);
  if (panelC === undefined || marginC === undefined) return [caution('panel-unread', undefined, ['panelTemperatureC'])];
  const verdicts: Verdict[] = [];
  if (panelC < limits.minPanelC) verdicts.push(stop('panel-too-cold', { panelC, minC: limits.minPanelC }, ['panelTemperatureC']));
  if (marginC < limits.minMarginC)
    verdicts.push(
      stop('panel-below-dew-margin', { marginC, dewC: dewPointC(climate), minMarginC: limits.minMarginC }, ['panelTemperatureC']),
    );
  else if (marginC < CAUTION_FROM.marginC) verdicts.push(caution('panel-near-dew-point', { marginC }, ['panelTemperatureC']));
  return verdicts;
}

function heatVerdicts(climate: Climate, sheetLimits?: Limits): Verdict[] {
  const limits = limitsInForce(sheetLimits);
  const { airTemperatureC: airC, panelTemperatureC: panelC } = climate;
  const verdicts: Verdict[] = [];
  if (airC > limits.maxAirC)
    verdicts.push(stop('too-hot-to-spray', { what: 'Air', valueC: airC, maxC: limits.maxAirC }, ['airTemperatureC']));
  if (panelC !== undefined && panelC > limits.maxPanelC)
    verdicts.push(stop('too-hot-to-spray', { what: 'Panel', valueC: panelC, maxC: limits.maxPanelC }, ['panelTemperatureC']));
  if (airC > CAUTION_FROM.airC && airC <= limits.maxAirC)
    verdicts.push(caution('air-warm', { airC, panelC: panelC ?? airC }, ['airTemperatureC']));
  return verdicts;
}

function humidityVerdicts(climate: Climate, sheetLimits?: Limits, carrier?: Carrier): Verdict[] {
  const limits = limitsInForce(sheetLimits);
  const rhPercent = climate.relativeHumidityPercent;
  const verdicts: Verdict[] = [];
  if (rhPercent > limits.maxHumidityPercent)
    verdicts.push(stop('air-too-humid', { rhPercent, maxPercent: limits.maxHumidityPercent }, ['relativeHumidityPercent']));
  else if (rhPercent > CAUTION_FROM.humidityPercent)
    verdicts.push(caution('air-humid', { rhPercent }, ['relativeHumidityPercent']));
  if (carrier === 'waterborne' && airSpeedMPerSOf(climate) < STILL_FOR_WATERBORNE_M_PER_S)
    verdicts.push(caution('air-still-waterborne'));
  return verdicts;
}

/** The paint in the cup is a third reading of its own: cold paint is warmed, never thinned. */
export function materialVerdicts(materialC: number | undefined, sheetLimits?: Limits, field = 'materialTemperatureC'): Verdict[] {
  if (materialC === undefined) return [];
  const { minMaterialC } = limitsInForce(sheetLimits);
  if (materialC < minMaterialC) return [stop('material-too-cold', { materialC, minC: minMaterialC }, [field])];
  return materialC < CAUTION_FROM.materialC
    ? [caution('material-cool', { materialC, goodC: CAUTION_FROM.materialC }, [field])]
    : [];
}

/** Go, caution or stop for spraying, with the dew point and the panel's margin over it. */
export function climateOf(input: ClimateInput): ClimateAnswer {
  const marginC = panelMarginCOf(input);
  const verdicts = [
    ...airVerdicts(input, input.limits, input.next?.carrier),
    ...materialVerdicts(input.materialTemperatureC, input.limits),
  ];
  const floorHarms =
    input.next?.carrier === 'waterborne' ||
    input.relativeHumidityPercent > CAUTION_FROM.humidityPercent ||
    (marginC !== undefined && marginC < CAUTION_FROM.marginC);
  if (input.wettingFloor && floorHarms) verdicts.push(caution('floor-wetting'));
  if (verdicts.length === 0) verdicts.push(go('air-good', { marginC: marginC ?? 0 }));
  return {
    dewPointC: dewPointC(input),
    wetBulbC: wetBulbC(input),
    humidityRatioGPerKg: humidityRatioGPerKg(input),
    ...(marginC === undefined ? {} : { panelMarginC: marginC }),
    verdicts,
  };
}
