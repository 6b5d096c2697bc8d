/**
 * Whatever is possible as input is answered with figures, never with a hole in them, however unlike
 * a shop it is.
 */
import fc from 'fast-check';
import { expect, it } from 'vitest';
import { rangeOf } from '../src/quantity/ranges.ts';
import { answerOrRefuse } from '../src/registry.ts';

/** Anywhere in a field's own range, its ends included. */
const any = (field: string) => {
  const { from, to } = rangeOf(field);
  return fc.oneof(fc.constantFrom(from, to), fc.double({ min: from, max: to, noNaN: true }));
};
const maybe = <T>(value: fc.Arbitrary<T>) => fc.option(value, { nil: undefined });
const classes = [
  'hvlp',
  'lvlp',
  'reducedPressure',
  'conventional',
  'siphon',
  'mini',
  'airbrush',
] as const;
const stages = ['primer', 'sealer', 'ground', 'base', 'effect', 'clear', 'singleStage'] as const;

const test = fc.oneof(
  fc.record({
    kind: fc.constant('catch'),
    ml: fc.double({ min: 1, max: 500, noNaN: true }),
    seconds: fc.double({ min: 5, max: 120, noNaN: true }),
    inletKPa: any('inletKPa'),
    fluidTurnsOut: fc.constantFrom(0, 2),
    fanTurnsOut: fc.constantFrom(0, 2),
  }),
  fc.record({
    kind: fc.constant('fan'),
    fanWidthMm: any('fanWidthMm'),
    distanceMm: any('distanceMm'),
    inletKPa: any('inletKPa'),
    fanTurnsOut: fc.constantFrom(0, 2),
  }),
);
const gun = fc.record(
  {
    class: fc.constantFrom(...classes),
    nozzlesMm: fc.array(any('nozzlesMm'), { minLength: 1, maxLength: 3 }),
    fullFluidTurns: fc.double({ min: 2, max: 12, noNaN: true }),
    fullFanTurns: fc.double({ min: 2, max: 12, noNaN: true }),
    ratedInletKPa: any('ratedInletKPa'),
    ratedAirFlowLPerMin: any('ratedAirFlowLPerMin'),
    calibration: fc.array(test, { maxLength: 2 }),
  },
  { requiredKeys: ['class', 'nozzlesMm'] },
);
const line = fc.record(
  {
    hose: fc.record({ innerDiameterMm: any('innerDiameterMm'), lengthM: any('lengthM') }),
    couplers: fc.array(
      fc.record({
        kind: fc.constantFrom('standard', 'highFlow'),
        count: fc.integer({ min: 0, max: 50 }),
      }),
      {
        maxLength: 2,
      },
    ),
    regulator: fc.constantFrom('small', 'large'),
    measuredLossPercent: any('measuredLossPercent'),
    supplyKPa: any('supplyKPa'),
  },
  { requiredKeys: [] },
);
const bare = (input: object) => JSON.parse(JSON.stringify(input)) as object;

const INPUTS: Record<string, fc.Arbitrary<object>> = {
  viscosity: fc.record({
    kinematicMm2PerS: any('kinematicMm2PerS'),
    measuredAtC: any('measuredAtC'),
    wantedAtC: any('wantedAtC'),
    class: maybe(fc.constantFrom('clearHighSolids', 'waterborneBase')),
    cup: fc.constant('din4'),
    wantedSeconds: maybe(fc.double({ min: 1, max: 300, noNaN: true })),
  }),
  airline: fc
    .record({
      line,
      wantedInletKPa: any('wantedInletKPa'),
      airFlowLPerMin: any('airFlowLPerMin'),
      ratedInletKPa: maybe(any('ratedInletKPa')),
    })
    .map(({ line: pieces, ...rest }) => ({ ...pieces, ...rest })),
  pressure: fc.record({
    value: any('valueKPa'),
    unit: fc.constant('kPa'),
    at: fc.constantFrom('wall', 'inlet', 'cap'),
    flowing: fc.constant('yes'),
    gun,
    airline: maybe(line),
    stage: maybe(fc.constantFrom(...stages)),
    wantedInletKPa: maybe(any('wantedInletKPa')),
    capLimitKPa: maybe(any('capLimitKPa')),
  }),
  compressor: fc.record({
    tankL: any('tankL'),
    freeAirLPerMin: any('freeAirLPerMin'),
    cutInKPa: fc.double({ min: 0, max: 700, noNaN: true }),
    cutOutKPa: fc.double({ min: 701, max: 1600, noNaN: true }),
    gunAirFlowLPerMin: any('gunAirFlowLPerMin'),
    neededKPa: any('neededKPa'),
    triggerOnSeconds: fc.constantFrom(0, 5, 500),
    triggerOffSeconds: fc.constantFrom(0, 5),
    runMinutes: fc.double({ min: 0.1, max: 20, noNaN: true }),
  }),
  setup: fc.record({
    gun,
    stage: fc.constantFrom(...stages),
    carrier: fc.constantFrom('solvent', 'waterborne'),
    place: fc.constantFrom('booth', 'outdoors'),
    part: fc.constantFrom('largePanel', 'jamb', 'spot'),
    mist: maybe(fc.boolean()),
    viscosityMm2PerS: maybe(any('viscosityMm2PerS')),
    airTemperatureC: maybe(any('airTemperatureC')),
    airline: maybe(line),
    capLimitKPa: maybe(any('capLimitKPa')),
    panelLengthM: maybe(any('panelLengthM')),
  }),
  tune: fc.record({
    gun,
    stage: fc.constantFrom(...stages),
    carrier: fc.constantFrom('solvent', 'waterborne'),
    seen: fc.array(
      fc.constantFrom('coarseSpots', 'dry', 'split', 'runs', 'stripes', 'narrow', 'blowBack'),
      {
        minLength: 1,
        maxLength: 3,
      },
    ),
    settings: fc.record({
      inletKPa: maybe(any('inletKPa')),
      distanceMm: maybe(any('distanceMm')),
      gunSpeedMPerS: maybe(any('gunSpeedMPerS')),
      overlapPercent: maybe(any('overlapPercent')),
    }),
  }),
  coat: fc.record({
    climate: fc.record({
      airTemperatureC: any('airTemperatureC'),
      relativeHumidityPercent: any('relativeHumidityPercent'),
      panelTemperatureC: maybe(any('panelTemperatureC')),
      materialTemperatureC: maybe(any('materialTemperatureC')),
      airSpeedMPerS: maybe(any('airSpeedMPerS')),
    }),
    material: fc.record({
      class: fc.constantFrom(
        'solventBase',
        'waterborneBase',
        'clearHighSolids',
        'singleStage',
        'waterborneSealer',
        'buildPrimer',
      ),
      viscosityMm2PerS: maybe(any('viscosityMm2PerS')),
      densityGPerMl: maybe(any('densityGPerMl')),
      volumeSolidsPercent: maybe(any('volumeSolidsPercent')),
      finish: maybe(fc.constantFrom('solid', 'silver')),
    }),
    gun,
    settings: fc.record({
      inletKPa: maybe(any('inletKPa')),
      fluidTurnsOut: maybe(fc.constantFrom(0, 0.25, 2)),
      distanceMm: maybe(any('distanceMm')),
      gunSpeedMPerS: maybe(any('gunSpeedMPerS')),
      overlapPercent: maybe(any('overlapPercent')),
    }),
    panel: fc.record({ slopeDeg: any('slopeDeg') }),
    coats: fc.array(fc.record({ flashMinutes: fc.constantFrom(0, 0.1, 12, 400) }), {
      minLength: 1,
      maxLength: 3,
    }),
    bake: maybe(
      fc.record({
        afterMinutes: fc.constantFrom(0, 10),
        toC: any('toC'),
        rampCPerMin: any('rampCPerMin'),
        holdMinutes: fc.constantFrom(0, 30),
      }),
    ),
    technique: maybe(
      fc.record({
        tiltDeg: any('tiltDeg'),
        speedWobblePercent: fc.constantFrom(0, 100),
        arc: maybe(fc.record({ reachM: any('reachM'), swingDeg: any('swingDeg') })),
      }),
    ),
  }),
  schedule: fc.record({
    stages: fc.array(
      fc.record({
        name: fc.constantFrom('A', 'B'),
        stage: fc.constantFrom(...stages),
        carrier: fc.constantFrom('solvent', 'waterborne'),
        coats: any('coats'),
        mixes: maybe(any('mixes')),
        sheet: fc.record({ atC: any('atC'), flashMinutes: maybe(fc.constantFrom(0, 10, 500)) }),
      }),
      { minLength: 1, maxLength: 2 },
    ),
    climate: fc.record({
      airTemperatureC: any('airTemperatureC'),
      relativeHumidityPercent: any('relativeHumidityPercent'),
    }),
    panels: fc.constant([{ name: 'hood' }]),
    spraySeconds: fc.constantFrom(1, 300),
  }),
};
/** A run of the film is heavy: fewer tries say as much. */
const RUNS: Record<string, number> = { coat: 25, setup: 40 };

it.each(Object.keys(INPUTS))('%s answers anything possible with figures and words', (name) => {
  fc.assert(
    fc.property(INPUTS[name]!, (input) => {
      const outcome = answerOrRefuse(name, bare(input));
      if ('error' in outcome) return;
      // JSON writes what is not finite as null, and null is never sent.
      expect(JSON.stringify(outcome.answer)).not.toContain('null');
      expect(JSON.stringify(outcome.answer)).not.toContain('NaN');
    }),
    { numRuns: RUNS[name] ?? 120 },
  );
});
