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

type Spell = { lowestKPa: number; highestKPa: number };
type Playing = {
  supply: Supply;
  tank?: Tank;
  seconds: number;
  nowKPa: number;
  coat: Spell;
  panel: Spell;
};
const untouched = (): Spell => ({ lowestKPa: Infinity, highestKPa: -Infinity });

export class StandInGauge {
  private readonly playing = new Map<string, Playing>();
  private readonly heldInlet = new Map<string, number>();
  private otherDrawLPerMin = 0;
  private secondsPerSecond = 1;

  steer({ otherDrawLPerMin, secondsPerSecond }: GaugeSteer): void {
    this.otherDrawLPerMin = otherDrawLPerMin ?? this.otherDrawLPerMin;
    this.secondsPerSecond = secondsPerSecond ?? this.secondsPerSecond;
  }

  /** Plays on to this many real seconds after the start of the coat. */
  read(coatId: string, supply: Supply, realSeconds: number): Flowing {
    const play = this.playing.get(coatId) ?? this.begin(coatId, supply);
    const until = Math.min(realSeconds * this.secondsPerSecond, LONGEST_SECONDS);
    while (play.seconds + STEP_SECONDS <= until) this.step(coatId, play);
    if (play.coat.lowestKPa === Infinity) note(play, supply.setInletKPa);
    return {
      nowKPa: play.nowKPa,
      ...play.coat,
      ...(play.tank ? { tankKPa: play.tank.tankKPa } : {}),
    };
  }

  /** Lowest and highest since the panel before, and a fresh start for the next. */
  takePanel(coatId: string): Spell | undefined {
    const play = this.playing.get(coatId);
    if (!play || play.panel.lowestKPa === Infinity) return undefined;
    const { panel } = play;
    play.panel = untouched();
    return panel;
  }

  /** Lowest and highest over the coat; then it is forgotten. */
  takeCoat(coatId: string): Spell | undefined {
    const play = this.playing.get(coatId);
    this.playing.delete(coatId);
    return play && play.coat.lowestKPa !== Infinity ? play.coat : undefined;
  }

  private begin(coatId: string, supply: Supply): Playing {
    const tank = supply.compressor && new Tank(supply.compressor);
    const play: Playing = {
      supply,
      ...(tank ? { tank } : {}),
      seconds: 0,
      nowKPa: supply.setInletKPa,
      coat: untouched(),
      panel: untouched(),
    };
    this.playing.set(coatId, play);
    return play;
  }

  private step(coatId: string, play: Playing): void {
    const { supply, tank } = play;
    const isPulled = play.seconds % (ON_SECONDS + OFF_SECONDS) < ON_SECONDS;
    tank?.pass(
      (isPulled ? supply.airFlowAt(supply.setInletKPa) : 0) + this.otherDrawLPerMin,
      STEP_SECONDS,
    );
    play.seconds += STEP_SECONDS;
    if (!isPulled) return;
    const inletKPa = tank ? this.inletAt(coatId, supply, tank.tankKPa) : supply.setInletKPa;
    note(play, Math.max(0, inletKPa + TREMBLE_KPA * Math.sin(play.seconds * 2.1)));
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

function note(play: Playing, nowKPa: number): void {
  play.nowKPa = nowKPa;
  for (const spell of [play.coat, play.panel]) {
    spell.lowestKPa = Math.min(spell.lowestKPa, nowKPa);
    spell.highestKPa = Math.max(spell.highestKPa, nowKPa);
  }
}
