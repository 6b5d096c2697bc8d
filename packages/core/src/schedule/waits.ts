/**
 * Waits of a schedule on a clock of minutes: when one that began now is served, in air that moves,
 * and when the next stage may be worked over a coat.
 */
import type { Climate } from '../air/climate.ts';
import { factorsOf, recoatTime } from '../film/recoatTimes.ts';
import type { Layer, Minutes } from '../inForce/timesOf.ts';
import type { ScheduleStage } from './job.ts';

/** A day of waiting in minute steps is enough for any flash. */
const LONGEST_MINUTES = 3000;

/** A stage's coat as the waits see it. */
export const layerOf = ({
  stage,
  carrier,
  class: materialClass,
  activated,
  sheet,
}: ScheduleStage): Layer => ({
  stage,
  carrier,
  class: materialClass,
  sheet,
  activated,
});

/**
 * When a wait that began now is served: each minute counts by what the air of that minute makes of
 * the minutes in force.
 */
export function servedAt(
  layer: Layer,
  { minutes, floorMinutes }: Minutes,
  from: number,
  air: (minute: number) => Climate,
): number {
  const factors = factorsOf(layer);
  let served = 0;
  for (let passed = 0; passed < LONGEST_MINUTES;) {
    const { total } = factors({ climate: air(from + passed) });
    const left = (minutes - served) * total;
    if (left <= 1) return from + Math.max(floorMinutes, passed + left);
    served += 1 / total;
    passed += 1;
  }
  return from + LONGEST_MINUTES;
}

/** A stage is prepared where somebody gave it time for that. */
export const isPrepared = ({ prepMinutes }: ScheduleStage): boolean => (prepMinutes ?? 0) > 0;

/**
 * When the next stage's work over this coat may begin: sanding under its preparation, wiping where
 * it has none; the sheet's word only.
 */
export function workedOverFrom(
  below: ScheduleStage,
  next: ScheduleStage,
  coatedMinute: number,
  climate: Climate,
): number {
  const sheetMinutes = isPrepared(next) ? below.sheet.sandMinutes : below.sheet.wipeMinutes;
  if (sheetMinutes === undefined) return coatedMinute;
  return (
    coatedMinute +
    recoatTime(isPrepared(next) ? 'sandDry' : 'wipe', layerOf(below), { climate }).earliestMinutes
      .value
  );
}
