/** A gauge and a knob in pixels. Pure. */
import { arc, scaleLinear } from 'd3';

const SWEEP = Math.PI * 0.75;

/** A dial from 0 to `full`, its needle at `value`, the band that is right as an arc. */
export function layOutGauge(
  {
    value,
    band,
    full,
    stepEvery,
  }: { value: number; band: readonly [number, number]; full: number; stepEvery: number },
  radiusPx: number,
) {
  const angle = scaleLinear([0, full], [-SWEEP, SWEEP]).clamp(true);
  const point = (v: number, r: number) => ({
    xPx: Math.sin(angle(v)) * r,
    yPx: -Math.cos(angle(v)) * r,
  });
  const drawArc = arc<null>();
  return {
    needle: point(value, radiusPx * 0.74),
    bandPath:
      drawArc
        .innerRadius(radiusPx * 0.86)
        .outerRadius(radiusPx)
        .startAngle(angle(band[0]))
        .endAngle(angle(band[1]))(null) ?? '',
    rimPath:
      drawArc
        .innerRadius(radiusPx * 0.985)
        .outerRadius(radiusPx)
        .startAngle(-SWEEP)
        .endAngle(SWEEP)(null) ?? '',
    ticks: Array.from(
      { length: Math.floor(full / stepEvery + 1e-9) + 1 },
      (_, i) => i * stepEvery,
    ).map((v) => ({
      v,
      from: point(v, radiusPx * 0.86),
      to: point(v, radiusPx * 0.97),
      label: point(v, radiusPx * 0.64),
    })),
  };
}

/** A knob as rings, one a turn: the outermost is the first, each filled as far as it is opened. */
export function layOutKnob(turnsOut: number, fullTurns: number, radiusPx: number) {
  const rings = Math.max(1, Math.ceil(fullTurns - 1e-9));
  const width = radiusPx / (rings + 0.8);
  const draw = arc<null>();
  return Array.from({ length: rings }, (_, i) => {
    const outer = radiusPx - i * width;
    const ring = (share: number) =>
      draw
        .innerRadius(outer - width * 0.62)
        .outerRadius(outer)
        .startAngle(0)
        .endAngle(share * 2 * Math.PI)(null) ?? '';
    return {
      travelPath: ring(Math.min(1, fullTurns - i)),
      openPath: ring(Math.max(0, Math.min(1, turnsOut - i))),
    };
  });
}
