/**
 * Every reason to stop or take care that air, panel and paint give, judged once for every card,
 * calculation and chart (MODEL 2).
 */
import { panelMarginCOf, type Climate } from '../air/climate.ts';
import { airSpeedMPerSOf, STILL_FOR_WATERBORNE_M_PER_S } from '../air/airMovement.ts';
import { dewPointC } from '../air/humidAir.ts';
import { CAUTION_FROM, limitsInForce, type Limits } from '../air/limits.ts';
import { caution, stop, type Verdict, term } from '../outcome/verdicts.ts';
import type { Carrier } from '../trade/vocabulary.ts';

/** What is to be sprayed in it: its sheet's limits replace the usual ones. */
export type Sprayed = { limits?: Limits | undefined; carrier?: Carrier | undefined };

/**
 * What the air says of spraying now: panel, dew point, heat, humidity, movement. One judge for
 * every card and the day.
 */
export const airVerdictsOf = (climate: Climate, sprayed: Sprayed = {}): Verdict[] => [
  ...panelVerdicts(climate, sprayed.limits),
  ...heatVerdicts(climate, sprayed.limits),
  ...humidityVerdicts(climate, sprayed),
];

function panelVerdicts(climate: Climate, sheetLimits?: Limits): Verdict[] {
  const limits = limitsInForce(sheetLimits);
  const panelC = climate.panelTemperatureC;
  const marginC = panelMarginCOf(climate);
  if (panelC === undefined || marginC === undefined)
    return [caution('panel-unread', undefined, ['panelTemperatureC'])];
  const verdicts: Verdict[] = [];
  if (panelC < limits.minPanelC)
    verdicts.push(
      stop('panel-too-cold', { panelC, minC: limits.minPanelC }, ['panelTemperatureC']),
    );
  const dewC = dewPointC(climate);
  const { minMarginC } = limits;
  if (marginC < minMarginC)
    verdicts.push(
      stop('panel-below-dew-margin', { marginC, dewC, minMarginC, wantedC: dewC + minMarginC }, [
        'panelTemperatureC',
      ]),
    );
  else if (marginC < CAUTION_FROM.marginC)
    verdicts.push(caution('panel-near-dew-point', { marginC }, ['panelTemperatureC']));
  return verdicts;
}

function heatVerdicts(climate: Climate, sheetLimits?: Limits): Verdict[] {
  const limits = limitsInForce(sheetLimits);
  const { airTemperatureC: airC, panelTemperatureC: panelC } = climate;
  const verdicts: Verdict[] = [];
  if (airC > limits.maxAirC)
    verdicts.push(
      stop('too-hot-to-spray', { what: term('air'), valueC: airC, maxC: limits.maxAirC }, [
        'airTemperatureC',
      ]),
    );
  if (panelC !== undefined && panelC > limits.maxPanelC)
    verdicts.push(
      stop('too-hot-to-spray', { what: term('panel'), valueC: panelC, maxC: limits.maxPanelC }, [
        'panelTemperatureC',
      ]),
    );
  if (airC > CAUTION_FROM.airC && airC <= limits.maxAirC)
    verdicts.push(caution('air-warm', { airC, panelC: panelC ?? airC }, ['airTemperatureC']));
  return verdicts;
}

function humidityVerdicts(climate: Climate, { limits: sheetLimits, carrier }: Sprayed): Verdict[] {
  const limits = limitsInForce(sheetLimits);
  const rhPercent = climate.relativeHumidityPercent;
  const verdicts: Verdict[] = [];
  if (rhPercent > limits.maxHumidityPercent)
    verdicts.push(
      stop('air-too-humid', { rhPercent, maxPercent: limits.maxHumidityPercent }, [
        'relativeHumidityPercent',
      ]),
    );
  else if (rhPercent > CAUTION_FROM.humidityPercent)
    verdicts.push(caution('air-humid', { rhPercent }, ['relativeHumidityPercent']));
  if (carrier === 'waterborne' && airSpeedMPerSOf(climate) < STILL_FOR_WATERBORNE_M_PER_S)
    verdicts.push(caution('air-still-waterborne'));
  return verdicts;
}

/** The paint in the cup is a third reading of its own: cold paint is warmed, never thinned. */
export function materialVerdictsOf(
  materialC: number | undefined,
  sprayed: Sprayed = {},
  field = 'materialTemperatureC',
): Verdict[] {
  if (materialC === undefined) return [];
  const { minMaterialC } = limitsInForce(sprayed.limits);
  const goodC = CAUTION_FROM.materialC;
  if (materialC < minMaterialC)
    return [stop('material-too-cold', { materialC, minC: minMaterialC }, [field])];
  return materialC < goodC ? [caution('material-cool', { materialC, goodC }, [field])] : [];
}

/** Around sunrise an unheated room's panels lag behind its air. */
const DAWN_MINUTES = 120;
/** Within two hours of sunrise, when panels are colder than the air. */
export const isDawn = (minute: number, sunriseMinute: number): boolean =>
  Math.abs(minute - sunriseMinute) <= DAWN_MINUTES;
/** A caution at dawn in a room that is not heated. */
export const dawnVerdicts = (
  minute: number,
  { sunriseMinute, heated }: { sunriseMinute?: number; heated?: boolean },
): Verdict[] =>
  sunriseMinute !== undefined && !heated && isDawn(minute, sunriseMinute)
    ? [caution('dawn-dew')]
    : [];
