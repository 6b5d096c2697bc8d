/**
 * The tank over a job: its pressure in time, where the motor cuts in and out, and what the wall
 * needs. Pure.
 */
import { line, scaleLinear } from 'd3';

export type TankBox = {
  widthPx: number;
  heightPx: number;
  leftPx: number;
  rightPx: number;
  topPx: number;
  bottomPx: number;
};
type Trace = { seconds: number; tankKPa: number }[];

export function layOutTank(
  trace: Trace,
  of: { cutInKPa: number; cutOutKPa: number; neededKPa: number; runSeconds: number },
  box: TankBox,
) {
  const x = scaleLinear([0, of.runSeconds], [box.leftPx, box.widthPx - box.rightPx]);
  const y = scaleLinear([0, of.cutOutKPa * 1.08], [box.heightPx - box.bottomPx, box.topPx]);
  const draw = line<Trace[number]>()
    .x(({ seconds }) => x(seconds))
    .y(({ tankKPa }) => y(tankKPa));
  const last = trace.at(-1)!;
  const unitSeconds = of.runSeconds > 180 ? 60 : 1;
  return {
    path: draw(trace) ?? '',
    end: { xPx: x(last.seconds), yPx: y(last.tankKPa) },
    levels: [
      { key: 'cutOut', word: 'motor off', levelKPa: of.cutOutKPa, yPx: y(of.cutOutKPa) },
      { key: 'cutIn', word: 'motor on', levelKPa: of.cutInKPa, yPx: y(of.cutInKPa) },
      { key: 'needed', word: 'the wall needs', levelKPa: of.neededKPa, yPx: y(of.neededKPa) },
    ],
    ticks: scaleLinear([0, of.runSeconds / unitSeconds], [0, 1])
      .ticks(6)
      .map((units) => ({ seconds: units * unitSeconds, xPx: x(units * unitSeconds) })),
    basePx: y(0),
  };
}
