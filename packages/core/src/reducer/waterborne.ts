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
  const verdicts = [...air];
  if (dose?.beyondGrid)
    verdicts.push(
      caution('adjuster-beyond-grid', {
        airC: input.airTemperatureC,
        rhPercent: input.relativeHumidityPercent,
        percent: dose.percentOfPaint,
      }),
    );
  for (const part of input.wanted?.parts ?? [])
    verdicts.push(
      stop('wrong-system', { name: part.name, right: dose?.name ?? term('theAdjuster') }, [
        'wanted',
        'parts',
      ]),
    );
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
      ...(dose
        ? [
            because('adjuster-from-grid', 'dataSheet', {
              percent: dose.percentOfPaint,
              airC: input.airTemperatureC,
              rhPercent: input.relativeHumidityPercent,
            }),
          ]
        : []),
      because('waterborne-moving-air', 'rule', { speedMPerS: where.airSpeedMPerS }),
    ],
  };
}
