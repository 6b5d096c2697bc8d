import { z } from 'zod';
import { contradiction, optional, wanted } from '../quantity/fields.ts';

export const Carrier = z.enum(['solvent', 'waterborne']);
export const StageName = z.enum(['primer', 'sealer', 'ground', 'base', 'effect', 'clear', 'singleStage']);
export const Finish = z.enum(['solid', 'metallic', 'silver', 'pearl', 'flake', 'candy', 'fluorescent']);
export const Place = z.enum(['booth', 'closedGarage', 'openGarage', 'outdoors']);
export const AirMovement = z.enum(['still', 'fan', 'crossdraft', 'downdraft']);
export const JobSize = z.enum(['spot', 'panel', 'side', 'overall']);
export const PartKind = z.enum(['largePanel', 'smallPart', 'jamb', 'spot']);
export const Surface = z.enum(['vertical', 'horizontal', 'both']);
export const Substrate = z.enum(['metal', 'plastic', 'composite']);
export const Chemistry = z.enum(['isocyanate', 'other', 'none', 'unknown']);

export const climateShape = {
  ...wanted('airTemperatureC', 'relativeHumidityPercent'),
  ...optional('panelTemperatureC', 'materialTemperatureC'),
  airMovement: AirMovement.optional(),
  ...optional('airSpeedMPerS'),
};
/** The air and the panel where the paint is: a heated booth's own air, never the weather's. */
export const Climate = z.strictObject(climateShape);

export const Limits = z
  .strictObject(optional('minPanelC', 'maxPanelC', 'minMaterialC', 'maxHumidityPercent', 'minMarginC', 'maxAirC'))
  .superRefine(({ minPanelC, maxPanelC }, ctx) => {
    if (minPanelC !== undefined && maxPanelC !== undefined && minPanelC > maxPanelC)
      ctx.addIssue(contradiction(['maxPanelC'], `maxPanelC ${maxPanelC} lies under minPanelC ${minPanelC}`));
  });

export const ForecastPoint = z.strictObject({ ...wanted('minute'), ...climateShape, ...optional('outdoorTemperatureC') });
export const Forecast = z
  .array(ForecastPoint)
  .min(1)
  .max(400)
  .superRefine((points, ctx) => {
    points.forEach(({ minute }, i) => {
      if (i > 0 && minute <= points[i - 1]!.minute)
        ctx.addIssue(contradiction([i, 'minute'], `minute ${minute} does not come after the one before it`));
    });
  });
