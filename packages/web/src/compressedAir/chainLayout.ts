/**
 * The way of the air as a staircase of pressure: one station for each place where it can be read.
 * Pure.
 */
import { line, scaleLinear, scalePoint } from 'd3';

export type Station = { key: string; word: string; restKPa?: number; flowingKPa: number };
export type ChainBox = {
  widthPx: number;
  heightPx: number;
  leftPx: number;
  rightPx: number;
  topPx: number;
  bottomPx: number;
};

/**
 * Stations from the wall to the cap; between two of them lies what takes the pressure away. Ticks
 * are round in the painter's unit.
 */
export function layOutChain(stations: readonly Station[], box: ChainBox, kPaPerUnit = 1) {
  const x = scalePoint(
    stations.map(({ key }) => key),
    [box.leftPx, box.widthPx - box.rightPx],
  );
  const mostKPa = Math.max(
    ...stations.flatMap(({ restKPa = 0, flowingKPa }) => [restKPa, flowingKPa]),
  );
  const y = scaleLinear([0, mostKPa * 1.12], [box.heightPx - box.bottomPx, box.topPx]);
  const points = stations.map((station) => ({
    ...station,
    xPx: x(station.key)!,
    yPx: y(station.flowingKPa),
  }));
  const draw = line<{ xPx: number; yPx: number }>()
    .x(({ xPx }) => xPx)
    .y(({ yPx }) => yPx);
  const basePx = y(0);
  const area = `${draw(points) ?? ''}L${points.at(-1)!.xPx},${basePx}L${points[0]!.xPx},${basePx}Z`;
  return {
    points: points.map((point) => ({
      ...point,
      ...(point.restKPa === undefined ? {} : { restYPx: y(point.restKPa) }),
    })),
    flowingPath: draw(points) ?? '',
    area,
    basePx,
    ticksKPa: scaleLinear([0, (mostKPa * 1.12) / kPaPerUnit], [0, 1])
      .ticks(4)
      .map((own) => own * kPaPerUnit),
    y,
    losses: points.slice(1).map((point, i) => ({
      key: point.key,
      lossKPa: points[i]!.flowingKPa - point.flowingKPa,
      xPx: (points[i]!.xPx + point.xPx) / 2,
      yPx: (points[i]!.yPx + point.yPx) / 2,
    })),
  };
}
