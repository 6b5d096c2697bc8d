import { GunClass, Skill, StageName } from './trade.ts';
import { REGULATORS } from '@orthochrom/core/compressedAir/airline.ts';
import { COUPLER_KINDS } from '@orthochrom/core/compressedAir/coupler.ts';
import { HABITS } from '@orthochrom/core/gun/preferences.ts';
import { ABILITIES } from '@orthochrom/core/trade/vocabulary.ts';
import { PATTERNS, BURST_SYMPTOMS } from '@orthochrom/core/gun/patternSymptoms.ts';
import { z } from 'zod';
import {
  band,
  contradiction,
  listOf,
  moreThanZero,
  needsField,
  optional,
  quantity,
  wanted,
} from '../quantity/fields.ts';

export const Settings = z
  .strictObject(
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
  )
  .superRefine(({ inletKPa, capKPa, fanWidthMm, stepMm }, ctx) => {
    if (inletKPa !== undefined && capKPa !== undefined && capKPa >= inletKPa)
      ctx.addIssue(capOverInlet(['capKPa'], capKPa, inletKPa));
    if (fanWidthMm !== undefined && stepMm !== undefined && stepMm > fanWidthMm)
      ctx.addIssue(
        contradiction(['stepMm'], `stepMm ${stepMm} is wider than the fan, ${fanWidthMm} mm`),
      );
  });
/** The air has to get from the inlet to the cap: the cap is always lower. */
const capOverInlet = (path: (string | number)[], capKPa: number, inletKPa: number) =>
  contradiction(
    path,
    `${capKPa} kPa at the cap cannot be with ${inletKPa} kPa at the inlet; the cap is always lower`,
  );

export const GunTest = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('catch'),
    ml: moreThanZero('ml'),
    seconds: moreThanZero('seconds'),
    ...wanted('inletKPa', 'fluidTurnsOut', 'fanTurnsOut'),
    ...optional('viscosityMm2PerS', 'densityGPerMl'),
  }),
  z.strictObject({
    kind: z.literal('fan'),
    ...wanted('fanWidthMm', 'distanceMm', 'inletKPa', 'fanTurnsOut'),
  }),
  z
    .strictObject({ kind: z.literal('cap'), ...wanted('capKPa', 'inletKPa', 'fanTurnsOut') })
    .superRefine(({ capKPa, inletKPa }, ctx) => {
      if (capKPa >= inletKPa) ctx.addIssue(capOverInlet(['inletKPa'], capKPa, inletKPa));
    }),
  z.strictObject({ kind: z.literal('comb'), ...wanted('wetUm'), settings: Settings }),
  z.strictObject({
    kind: z.literal('lines'),
    ...wanted('stepMm'),
    measuredMm: listOf(quantity('measuredMm'), 1),
  }),
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
    ...optional(
      'fullFluidTurns',
      'fullFanTurns',
      'ratedInletKPa',
      'ratedAirFlowLPerMin',
      'capKPaAtRated',
      'maxInletKPa',
    ),
    ability: z.enum(ABILITIES).optional(),
    leafletInletKPa: band('leafletInletKPa').optional(),
    calibration: listOf(GunTest).optional(),
  })
  .superRefine((gun, ctx) => {
    if (gun.nozzleSets && gun.nozzleSets.length !== gun.nozzlesMm.length)
      ctx.addIssue(
        contradiction(
          ['nozzleSets'],
          `nozzleSets has ${gun.nozzleSets.length} entries for ${gun.nozzlesMm.length} nozzles`,
        ),
      );
    if (
      gun.ratedInletKPa !== undefined &&
      gun.maxInletKPa !== undefined &&
      gun.ratedInletKPa > gun.maxInletKPa
    )
      ctx.addIssue(
        contradiction(
          ['maxInletKPa'],
          `maxInletKPa ${gun.maxInletKPa} lies under ratedInletKPa ${gun.ratedInletKPa}`,
        ),
      );
    if (
      gun.ratedInletKPa !== undefined &&
      gun.capKPaAtRated !== undefined &&
      gun.capKPaAtRated >= gun.ratedInletKPa
    )
      ctx.addIssue(capOverInlet(['capKPaAtRated'], gun.capKPaAtRated, gun.ratedInletKPa));
    const tests = [
      ...(gun.nozzleSets ?? []).flatMap((set) => set.tests ?? []),
      ...(gun.calibration ?? []),
    ];
    for (const test of tests) {
      const turns: Turns = 'settings' in test ? test.settings : 'fanTurnsOut' in test ? test : {};
      beyondTravel(gun, turns, (_, full) => [full]).forEach((issue) => ctx.addIssue(issue));
    }
  });

type Turns = { fluidTurnsOut?: number | undefined; fanTurnsOut?: number | undefined };
type Travel = { fullFluidTurns?: number | undefined; fullFanTurns?: number | undefined };

/**
 * A knob cannot stand further out than it goes. `pathOf` points at what was written later: the
 * position or the travel.
 */
export function beyondTravel(
  travel: Travel,
  turns: Turns,
  pathOf: (
    knob: 'fluidTurnsOut' | 'fanTurnsOut',
    full: 'fullFluidTurns' | 'fullFanTurns',
  ) => (string | number)[],
) {
  return (
    [
      ['fluidTurnsOut', 'fullFluidTurns', 'needle'],
      ['fanTurnsOut', 'fullFanTurns', 'fan knob'],
    ] as const
  ).flatMap(([knob, full, word]) => {
    const [out, most] = [turns[knob], travel[full]];
    return out !== undefined && most !== undefined && out > most
      ? [contradiction(pathOf(knob, full), `${out} turns out are beyond the ${word}'s ${most}`)]
      : [];
  });
}
export const GunSheet = z.strictObject({
  nozzleMm: band('nozzleMm').optional(),
  inletKPa: band('inletKPa').optional(),
  capKPa: band('capKPa').optional(),
  coatsBand: band('coats').optional(),
  wetFilmBandUm: band('wetFilmUm').optional(),
  ...optional('coats', 'wetFilmUm', 'overlapPercent', 'distanceMm'),
});
export const PatternSymptom = z.enum([...PATTERNS, ...BURST_SYMPTOMS]);
export const Preferences = z.strictObject({
  needle: z.enum(HABITS.needle).optional(),
  gauge: z.enum(HABITS.gauge).optional(),
  fan: z.enum(HABITS.fan).optional(),
  ...optional('fanBackTurns', 'overlapPercent'),
  overlapPercentByStage: z.partialRecord(StageName, quantity('overlapPercent')).optional(),
  distance: z.enum(HABITS.distance).optional(),
  ...optional('distanceMm'),
  baseCover: z.enum(HABITS.baseCover).optional(),
  primer: z.enum(HABITS.primer).optional(),
  clearReduction: z.enum(HABITS.clearReduction).optional(),
  grade: z.enum(HABITS.grade).optional(),
  skill: Skill.optional(),
});
export const Hose = z.strictObject(wanted('innerDiameterMm', 'lengthM'));
export const lineShape = {
  hose: Hose.optional(),
  couplers: listOf(z.strictObject({ kind: z.enum(COUPLER_KINDS), ...wanted('count') })).optional(),
  regulator: z.enum(REGULATORS).optional(),
  ...optional('measuredLossPercent', 'measuredAtInletKPa', 'measuredAtAirFlowLPerMin', 'supplyKPa'),
};
type Measured = Partial<
  Record<
    'measuredLossPercent' | 'measuredAtInletKPa' | 'measuredAtAirFlowLPerMin',
    number | undefined
  >
>;

/** Where a loss was measured is nothing without the loss. */
export function lossGiven(
  { measuredLossPercent, measuredAtInletKPa, measuredAtAirFlowLPerMin }: Measured,
  ctx: z.RefinementCtx,
): void {
  if (
    measuredLossPercent === undefined &&
    (measuredAtInletKPa !== undefined || measuredAtAirFlowLPerMin !== undefined)
  )
    ctx.addIssue(
      needsField(
        ['measuredLossPercent'],
        'measuredLossPercent is needed: where a loss was measured says nothing without the loss',
      ),
    );
}
export const Line = z.strictObject(lineShape).superRefine(lossGiven);
