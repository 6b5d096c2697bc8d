import { z } from 'zod';
import { band, contradiction, listOf, moreThanZero, optional, quantity, wanted } from '../quantity/fields.ts';
import { StageName } from './climate.ts';

export const GunClass = z.enum(['hvlp', 'lvlp', 'reducedPressure', 'conventional', 'siphon', 'mini', 'airbrush']);
export const Settings = z.strictObject(
  optional(
    'nozzleMm',
    'inletKPa',
    'capKPa',
    'fluidTurnsOut',
    'fanTurnsOut',
    'fanWidthMm',
    'distanceMm',
    'overlapPercent',
    'stepMm',
    'gunSpeedMPerS',
    'fluidMlPerMin',
  ),
);
export const GunTest = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('catch'),
    ml: moreThanZero('ml'),
    seconds: moreThanZero('seconds'),
    ...wanted('inletKPa', 'fluidTurnsOut', 'fanTurnsOut'),
    ...optional('viscosityMm2PerS', 'densityGPerMl'),
  }),
  z.strictObject({ kind: z.literal('fan'), ...wanted('fanWidthMm', 'distanceMm', 'inletKPa', 'fanTurnsOut') }),
  z.strictObject({ kind: z.literal('cap'), ...wanted('capKPa', 'inletKPa', 'fanTurnsOut') }),
  z.strictObject({ kind: z.literal('comb'), ...wanted('wetUm'), settings: Settings }),
  z.strictObject({ kind: z.literal('lines'), ...wanted('stepMm'), measuredMm: listOf(quantity('measuredMm'), 1) }),
]);
export const NozzleSet = z.strictObject({
  ...wanted('nozzleMm'),
  needle: z.string().max(80).optional(),
  cap: z.string().max(80).optional(),
  tests: listOf(GunTest).optional(),
});
export const Gun = z
  .strictObject({
    class: GunClass,
    nozzlesMm: listOf(quantity('nozzlesMm'), 1),
    nozzleSets: listOf(NozzleSet).optional(),
    ...optional('fullFluidTurns', 'fullFanTurns', 'ratedInletKPa', 'ratedAirFlowLPerMin', 'capKPaAtRated', 'maxInletKPa'),
    ability: z.enum(['basic', 'good', 'fine']).optional(),
    leafletInletKPa: band('leafletInletKPa').optional(),
    calibration: listOf(GunTest).optional(),
  })
  .superRefine((gun, ctx) => {
    if (gun.nozzleSets && gun.nozzleSets.length !== gun.nozzlesMm.length)
      ctx.addIssue(
        contradiction(['nozzleSets'], `nozzleSets has ${gun.nozzleSets.length} entries for ${gun.nozzlesMm.length} nozzles`),
      );
    if (gun.ratedInletKPa !== undefined && gun.maxInletKPa !== undefined && gun.ratedInletKPa > gun.maxInletKPa)
      ctx.addIssue(
        contradiction(['maxInletKPa'], `maxInletKPa ${gun.maxInletKPa} lies under ratedInletKPa ${gun.ratedInletKPa}`),
      );
  });
export const GunSheet = z.strictObject({
  nozzleMm: band('nozzleMm').optional(),
  inletKPa: band('inletKPa').optional(),
  capKPa: band('capKPa').optional(),
  ...optional('coats', 'wetFilmUm', 'overlapPercent', 'distanceMm'),
});
export const Way = z.strictObject({
  needle: z.enum(['open', 'metered']).optional(),
  gauge: z.enum(['atGun', 'atWall', 'byEar']).optional(),
  fan: z.enum(['open', 'backedOff']).optional(),
  ...optional('fanBackTurns', 'overlapPercent'),
  overlapPercentByStage: z.partialRecord(StageName, quantity('overlapPercent')).optional(),
  distance: z.enum(['near', 'middle', 'far']).optional(),
  ...optional('distanceMm'),
  baseCover: z.enum(['coats', 'oneAndHalf']).optional(),
  primer: z.enum(['one', 'stack']).optional(),
  clearReduction: z.enum(['never', 'sheet']).optional(),
  grade: z.enum(['temperature', 'gloss', 'speed']).optional(),
  skill: z.enum(['learner', 'able', 'expert']).optional(),
});
export const Hose = z.strictObject(wanted('innerDiameterMm', 'lengthM'));
export const Line = z.strictObject({
  hose: Hose.optional(),
  couplers: listOf(z.strictObject({ kind: z.enum(['standard', 'highFlow']), ...wanted('count') })).optional(),
  regulator: z.enum(['small', 'large']).optional(),
  ...optional('measuredLossPercent', 'measuredAtInletKPa', 'measuredAtAirFlowLPerMin', 'supplyKPa'),
});
