/**
 * The day in pixels: air, panel and dew point against the grades' bands, and where it is too cold
 * or too damp to spray. Pure.
 */
import { dewPointC } from '@orthochrom/core/air/humidAir.ts';
import { airAt, type ForecastPoint } from '@orthochrom/core/air/forecast.ts';
import { limitsInForce } from '@orthochrom/core/air/limits.ts';
import { curveMonotoneX, line, scaleLinear } from 'd3';
import { dayWindows, STEP_MINUTES, USUAL_BANDS, type DayRoom, type GradeBand } from './dayHours.ts';

export type ChartBox = {
  widthPx: number;
  heightPx: number;
  leftPx: number;
  rightPx: number;
  topPx: number;
  bottomPx: number;
};
export function layOutDay(
  forecast: readonly ForecastPoint[],
  box: ChartBox,
  grades: readonly GradeBand[] = USUAL_BANDS,
  room: DayRoom = {},
) {
  const [first, last] = [forecast[0]!.minute, forecast.at(-1)!.minute];
  const minutes = Array.from(
    { length: Math.floor((last - first) / STEP_MINUTES) + 1 },
    (_, i) => first + i * STEP_MINUTES,
  );
  const points = minutes.map((minute) => ({ minute, ...airAt(forecast, minute) }));
  const dew = points.map((point) => dewPointC(point));
  const panel = points.map((point) => point.panelTemperatureC ?? point.airTemperatureC);
  const air = points.map((point) => point.airTemperatureC);
  const x = scaleLinear([first, last], [box.leftPx, box.widthPx - box.rightPx]);
  const [low, high] = [Math.min(...dew, ...panel), Math.max(...air, ...panel)];
  const y = scaleLinear(
    [Math.floor(low - 1), Math.ceil(high + 2)],
    [box.heightPx - box.bottomPx, box.topPx],
  );
  const draw = (values: number[]) =>
    line<number>()
      .x((_, i) => x(minutes[i]!))
      .y((c) => y(c))
      .curve(curveMonotoneX)(values) ?? '';
  const [bottomC, topC] = y.domain() as [number, number];
  const bands = grades
    .map((band) => ({
      ...band,
      fromC: Math.max(band.fromC, bottomC),
      toC: Math.min(band.toC, topC),
    }))
    .filter((band) => band.toC > band.fromC)
    .map((band) => ({
      name: band.name,
      speed: band.speed,
      yPx: y(band.toC),
      heightPx: y(band.fromC) - y(band.toC),
    }));
  const { minMarginC } = limitsInForce();
  return {
    x,
    y,
    bands,
    airPath: draw(air),
    panelPath: draw(panel),
    dewPath: draw(dew),
    dewLimitPath: draw(dew.map((c) => c + minMarginC)),
    minMarginC,
    ends: { air: air.at(-1)!, panel: panel.at(-1)!, dew: dew.at(-1)! },
    hours: minutes.filter((minute) => minute % 60 === 0),
    ticksC: y.ticks(6),
    windows: dayWindows(forecast, grades, 0, room),
  };
}
