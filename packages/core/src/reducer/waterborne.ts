/**
 * Waterborne: the sheet's adjuster by its grid, and moving air; never a solvent reducer.
 */
import { waterEvaporation } from '../evaporation/evaporationIndex.ts';
import { because, caution, isStopped, stop, type Verdict, term } from '../outcome/verdicts.ts';
import { adjusterDose } from './adjuster.ts';
import type { ReducerAnswer, ReducerInput } from './asked.ts';
import type { Surroundings } from './blend.ts';
import { openTimeMinutes } from './openTime.ts';

/** A waterborne's adjuster by the sheet's grid; without a grid it says that nothing is known. */
export function waterborneAnswer(
  input: ReducerInput,
  where: Surroundings,
  air: Verdict[],
): ReducerAnswer {
  const dose = input.adjusterGrid?.length ? adjusterDose(input.adjusterGrid, input) : undefined;
  const index = waterEvaporation(input, where.airSpeedMPerS);
  const atGrid = dose && {
    percent: dose.percentOfPaint,
    airC: input.airTemperatureC,
    rhPercent: input.relativeHumidityPercent,
  };
  const right = dose?.name ?? term('theAdjuster');
  const verdicts = [
    ...air,
    ...(dose?.beyondGrid ? [caution('adjuster-beyond-grid', atGrid)] : []),
    ...(input.wanted?.parts ?? []).map(({ name }) =>
      stop('wrong-system', { name, right }, ['wanted', 'parts']),
    ),
  ];
  const adjuster = dose && {
    adjusterPercentOfPaint: dose.percentOfPaint,
    of: 'paint' as const,
    ...(dose.name ? { adjuster: dose.name } : {}),
  };
  return {
    ...(isStopped(verdicts)
      ? {}
      : {
          choice: { parts: [], ...(adjuster ?? {}) },
          evaporationIndex: index,
          openTimeMinutes: openTimeMinutes(index, true),
        }),
    alternatives: [],
    verdicts,
    reasons: [
      ...(atGrid ? [because('adjuster-from-grid', 'dataSheet', atGrid)] : []),
      because('waterborne-moving-air', 'rule', { speedMPerS: where.airSpeedMPerS }),
    ],
  };
}
