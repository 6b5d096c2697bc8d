/**
 * The range and unit of every physical input: the row that names the field rules, else the row of
 * its ending.
 */
export type Range = { from: number; to: number; unit: string };

/** Two days: the longest that is simulated or foreseen in one piece. */
export const LONGEST_FORECAST_MINUTES = 2880;

const range = (from: number, to: number, unit: string): Range => ({ from, to, unit });
const rows = (names: string, row: Range): [string, Range][] =>
  names.split(' ').map((name) => [name, row]);

const BY_NAME = new Map<string, Range>([
  ...rows('airTemperatureC outdoorTemperatureC warmC', range(-30, 60, '°C')),
  ...rows('panelTemperatureC minPanelC maxPanelC', range(-30, 90, '°C')),
  ...rows(
    'materialTemperatureC temperatureC minMaterialC measuredAtC wantedAtC atC minC maxC',
    range(-10, 60, '°C'),
  ),
  ...rows('toC bakeC maxBakeC', range(30, 200, '°C')),
  ...rows('minMarginC', range(0, 20, '°C apart')),
  ...rows('marginC', range(-40, 60, '°C apart')),
  ...rows('siliconeMonths', range(0, 600, 'months')),
  ...rows('maxAirC', range(0, 60, '°C')),
  ...rows('rampCPerMin', range(0.1, 60, '°C/min')),
  ...rows('relativeHumidityPercent maxHumidityPercent atHumidityPercent', range(1, 100, '%')),
  ...rows('overlapPercent', range(0, 95, '%')),
  ...rows(
    'percent percentOfPaint sheetPercent maxPercent wastePercent tolerancePercent reductionPercent',
    range(0, 1000, '%'),
  ),
  ...rows('measuredLossPercent', range(0, 90, '%')),
  ...rows(
    'inletKPa lowestInletKPa highestInletKPa wantedInletKPa measuredAtInletKPa ratedInletKPa maxInletKPa leafletInletKPa',
    range(5, 1000, 'kPa'),
  ),
  ...rows('capKPa capKPaAtRated capLimitKPa', range(1, 600, 'kPa')),
  ...rows('freeAirLPerMin', range(1, 10_000, 'L/min')),
  ...rows('fluidMlPerMin', range(0, 3000, 'ml/min')),
  ...rows('innerDiameterMm', range(3, 32, 'mm')),
  ...rows('nozzleMm nozzlesMm', range(0.2, 3.5, 'mm')),
  ...rows('fanWidthMm', range(10, 600, 'mm')),
  ...rows('stepMm measuredMm', range(1, 600, 'mm')),
  ...rows('overlapMm', range(0, 600, 'mm')),
  ...rows('distanceMm', range(20, 1500, 'mm')),
  ...rows('nearEdgeMm', range(0, 5000, 'mm')),
  ...rows('measuredUm estimatedUm leftUm', range(0, 2000, 'µm')),
  ...rows('polishMinute', range(0, 200_000, 'min')),
  ...rows('heightMm', range(10, 5000, 'mm')),
  ...rows('lengthM heightM panelLengthM panelHeightM reachM', range(0.05, 200, 'm')),
  ...rows('areaM2 spotM2', range(0.001, 200, 'm²')),
  ...rows('gunSpeedMPerS', range(0.02, 3, 'm/s')),
  ...rows('airSpeedMPerS', range(0, 10, 'm/s')),
  ...rows('wetFilmUm dryFilmUm wetUm dryUm dryUmPerCoat', range(0.5, 2000, 'µm')),
  ...rows('densityGPerMl', range(0.5, 3, 'g/ml')),
  ...rows('kinematicMm2PerS viscosityMm2PerS', range(0.5, 10_000, 'mm²/s')),
  ...rows('tankL', range(1, 10_000, 'L')),
  ...rows('ml', range(0, 1_000_000, 'ml')),
  ...rows('grams', range(0, 2_000_000, 'g')),
  ...rows('coats mixes count plannedCoats maxCoats', range(0, 50, '')),
  ...rows('parts', range(0, 1000, 'parts')),
  ...rows('seconds lapSeconds', range(0, 86_400, 's')),
  ...rows('refillSeconds', range(1, 3600, 's')),
  ...rows('mostM2', range(0.1, 200, 'm²')),
  ...rows('minutes minutesSince minutesSinceSpray', range(0, 200_000, 'min')),
  // What is worked through minute by minute ends: a film that lay for two days tells no more.
  ...rows('minute simulatedMinutes', range(0, LONGEST_FORECAST_MINUTES, 'min')),
  ...rows('afterMinutes holdMinutes runMinutes', range(0, LONGEST_FORECAST_MINUTES, 'min')),
  // The smallest cup that is sold holds more, and a tank lies beside the scale.
  ...rows('capacityMl', range(5, 50_000, 'ml')),
  // A knob that does not turn is none.
  ...rows('fullFluidTurns fullFanTurns', range(0.25, 12, 'turns')),
  ...rows('price', range(0, 1_000_000, '')),
  ...rows('fraction', range(0, 1, '')),
  ...rows('l', range(0, 100, '')),
  ...rows('a b', range(-128, 127, '')),
  ...rows('limitC vehicleLimitC', range(30, 200, '°C')),
  ...rows('seenC', range(-30, 200, '°C')),
  ...rows('distanceDeltaMm', range(-200, 400, 'mm')),
  ...rows('painterFactor', range(0.2, 5, '')),
]);

const BY_ENDING: [string, Range][] = [
  ['Percent', range(0, 100, '%')],
  ['Factor', range(0, 5, '')],
  ['KPa', range(0, 1600, 'kPa')],
  ['LPerMin', range(1, 3000, 'L/min')],
  ['Turns', range(0, 12, 'turns')],
  ['TurnsOut', range(0, 12, 'turns')],
  ['GPerL', range(0, 1200, 'g/L')],
  ['Um', range(0.1, 2000, 'µm')],
  ['Ml', range(0, 1_000_000, 'ml')],
  ['Deg', range(-90, 90, '°')],
  ['Seconds', range(0, 86_400, 's')],
  ['Minutes', range(0, 200_000, 'min')],
  ['Minute', range(0, 200_000, 'min')],
];

/**
 * @throws RangeError for a physical field that nobody gave a range: a mistake in the contract, not
 * in the input
 */
export function rangeOf(field: string): Range {
  const found = BY_NAME.get(field) ?? BY_ENDING.find(([ending]) => field.endsWith(ending))?.[1];
  if (!found) throw new RangeError(`no range is known for ${field}`);
  return found;
}

/** The range of a field where there is one. */
export function rangeIfAny(field: string): Range | undefined {
  return BY_NAME.get(field) ?? BY_ENDING.find(([ending]) => field.endsWith(ending))?.[1];
}

/** A wait as it is simulated: what lay longer is as it was then. */
export const simulated = (minutes: number): number => Math.min(minutes, LONGEST_FORECAST_MINUTES);
