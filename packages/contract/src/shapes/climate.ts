import { AirMovement } from './trade.ts';
import { z } from 'zod';
import { contradiction, optional, wanted } from '../quantity/fields.ts';

export const climateShape = {
  ...wanted('airTemperatureC', 'relativeHumidityPercent'),
  ...optional('panelTemperatureC', 'materialTemperatureC'),
  airMovement: AirMovement.optional(),
  ...optional('airSpeedMPerS'),
};
/** The air and the panel where the paint is: a heated booth's own air, never the weather's. */
export const Climate = z.strictObject(climateShape);

export const Limits = z
  .strictObject(
    optional(
      'minPanelC',
      'maxPanelC',
      'minMaterialC',
      'maxHumidityPercent',
      'minMarginC',
      'maxAirC',
    ),
  )
  .superRefine(({ minPanelC, maxPanelC }, ctx) => {
    if (minPanelC !== undefined && maxPanelC !== undefined && minPanelC > maxPanelC)
      ctx.addIssue(
        contradiction(['maxPanelC'], `maxPanelC ${maxPanelC} lies under minPanelC ${minPanelC}`),
      );
  });

/** Every limit, as it was judged by. */
export const LimitsInForce = z.strictObject(
  wanted('minPanelC', 'maxPanelC', 'minMaterialC', 'maxHumidityPercent', 'minMarginC', 'maxAirC'),
);

export const ForecastPoint = z.strictObject({
  ...wanted('minute'),
  ...climateShape,
  ...optional('outdoorTemperatureC'),
});
export const Forecast = z
  .array(ForecastPoint)
  .min(1)
  .max(400)
  .superRefine((points, ctx) => {
    points.forEach(({ minute }, i) => {
      if (i > 0 && minute <= points[i - 1]!.minute)
        ctx.addIssue(
          contradiction([i, 'minute'], `minute ${minute} does not come after the one before it`),
        );
    });
  });
