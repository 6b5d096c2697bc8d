/**
 * The stand-in for a pressure gauge at the gun: plays a tank, a regulator and a trigger over the
 * seconds of a coat, so that the pressure can sag. It can be steered: another user on the same
 * tank, and how quickly its time runs. A real gauge takes its place here.
 */
import type { GaugeSteer } from '@orthochrom/contract/shop/air.ts';
import { inletFromRest, restHeldByTank } from '@orthochrom/core/compressedAir/flowingAtGun.ts';
import type { Line } from '@orthochrom/core/compressedAir/airline.ts';
import { Tank } from '@orthochrom/core/compressedAir/compressor.ts';

export type Supply = {
  line: Line;
  /** The regulator with the trigger shut. */
  restKPa: number;
  setInletKPa: number;
  airFlowAt: (inletKPa: number) => number;
  compressor?: ConstructorParameters<typeof Tank>[0];
};
export type Flowing = { nowKPa: number; lowestKPa: number; highestKPa: number; tankKPa?: number };

const ON_SECONDS = 8;
const OFF_SECONDS = 2;
const STEP_SECONDS = 0.5;
/** A needle never stands quite still. */
const TREMBLE_KPA = 0.8;
const LONGEST_SECONDS = 3 * 3600;

export type Spell = { lowestKPa: number; highestKPa: number };
type Playing = {
  supply: Supply;
  tank?: Tank;
  seconds: number;
  /** What the needle showed while the trigger was pulled. */
  shown: { atSeconds: number; kPa: number }[];
};
/** Nothing where it showed nothing. */
const spellOf = (shown: Playing['shown']): Spell | undefined =>
  shown.length === 0
    ? undefined
    : {
        lowestKPa: Math.min(...shown.map(({ kPa }) => kPa)),
        highestKPa: Math.max(...shown.map(({ kPa }) => kPa)),
      };
export type GaugeSteering = { otherDrawLPerMin: number; secondsPerSecond: number };

export class StandInGauge {
  private readonly playing = new Map<string, Playing>();
  private readonly heldInlet = new Map<string, number>();
  private steering: GaugeSteering = { otherDrawLPerMin: 0, secondsPerSecond: 1 };

  /** @returns how it is steered now, for another process's stand-in */
  steer(by: GaugeSteer): GaugeSteering {
    return (this.steering = { ...this.steering, ...by });
  }

  /** Plays on to this many real seconds after the start of the coat. */
  read(coatId: string, supply: Supply, realSeconds: number): Flowing {
    const play = this.playing.get(coatId) ?? this.begin(coatId, supply);
    const until = Math.min(this.playedSeconds(realSeconds), LONGEST_SECONDS);
    while (play.seconds + STEP_SECONDS <= until) this.step(coatId, play);
    if (play.shown.length === 0) play.shown.push({ atSeconds: 0, kPa: supply.setInletKPa });
    return {
      nowKPa: play.shown.at(-1)!.kPa,
      ...spellOf(play.shown)!,
      ...(play.tank ? { tankKPa: play.tank.tankKPa } : {}),
    };
  }

  /** Lowest and highest since this many real seconds after the coat began, as read so far. */
  spellSince(coatId: string, realSeconds: number): Spell | undefined {
    const from = this.playedSeconds(realSeconds);
    const { shown = [] } = this.playing.get(coatId) ?? {};
    return spellOf(shown.filter(({ atSeconds }) => atSeconds >= from));
  }

  /** The coat is on: its seconds are of no use any more. */
  forget(coatId: string): void {
    this.playing.delete(coatId);
  }

  private playedSeconds(realSeconds: number): number {
    return realSeconds * this.steering.secondsPerSecond;
  }

  private begin(coatId: string, supply: Supply): Playing {
    const tank = supply.compressor && new Tank(supply.compressor);
    const play: Playing = {
      supply,
      ...(tank ? { tank } : {}),
      seconds: 0,
      shown: [],
    };
    this.playing.set(coatId, play);
    return play;
  }

  private step(coatId: string, play: Playing): void {
    const { supply, tank } = play;
    const isPulled = play.seconds % (ON_SECONDS + OFF_SECONDS) < ON_SECONDS;
    tank?.pass(
      (isPulled ? supply.airFlowAt(supply.setInletKPa) : 0) + this.steering.otherDrawLPerMin,
      STEP_SECONDS,
    );
    play.seconds += STEP_SECONDS;
    if (!isPulled) return;
    const inletKPa = tank ? this.inletAt(coatId, supply, tank.tankKPa) : supply.setInletKPa;
    const kPa = Math.max(0, inletKPa + TREMBLE_KPA * Math.sin(play.seconds * 2.1));
    play.shown.push({ atSeconds: play.seconds, kPa });
  }

  /**
   * The line turned round costs time: once for every kPa that the tank holds the regulator down to.
   */
  private inletAt(coatId: string, supply: Supply, tankKPa: number): number {
    const heldKPa = Math.round(restHeldByTank(supply.restKPa, tankKPa));
    if (heldKPa >= Math.round(supply.restKPa)) return supply.setInletKPa;
    const key = `${coatId} ${heldKPa}`;
    const known = this.heldInlet.get(key) ?? inletFromRest(supply.line, heldKPa, supply.airFlowAt);
    this.heldInlet.set(key, known);
    return known;
  }
}
