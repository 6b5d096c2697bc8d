/**
 * The room probe's stand-in: plays the scripted day of each room, and can be steered. A real probe
 * takes its place here.
 */
import { airAt, warmedAir, type DayAir } from '@orthochrom/core/air/forecast.ts';
import type { DayAhead, ProbeSteer } from '@orthochrom/contract/shop/air.ts';

/** Where the first morning opens: cold panels, damp air, the heater just on. */
const OPENING_MINUTE = 445;
const REAL_TIME_MINUTES_PER_SECOND = 1 / 60;

export type ProbeReading = DayAir & {
  day: string;
  minute: number;
  shiftC: number;
  playing: boolean;
};

/** Which minute of the day it was when, and how quickly it goes on from there. */
export type ProbeSteering = {
  minute: number;
  atMs: number;
  minutesPerSecond: number;
  shiftC: number;
};

export class StandInProbe {
  private days: DayAhead[];
  private readonly nowMs: () => number;
  private anchor: ProbeSteering;

  constructor(days: DayAhead[], nowMs: () => number = Date.now) {
    this.days = days;
    this.nowMs = nowMs;
    this.anchor = {
      minute: OPENING_MINUTE,
      atMs: nowMs(),
      minutesPerSecond: REAL_TIME_MINUTES_PER_SECOND,
      shiftC: 0,
    };
  }

  private minuteNow(): number {
    return (
      this.anchor.minute + ((this.nowMs() - this.anchor.atMs) / 1000) * this.anchor.minutesPerSecond
    );
  }

  get steering(): ProbeSteering {
    return this.anchor;
  }
  /** The shop's rooms changed: each has its own day. */
  playIn(days: DayAhead[]): void {
    this.days = days;
  }
  /** As another process steered it. */
  follow(steering: ProbeSteering): void {
    this.anchor = steering;
  }

  steer({ minute, minutesPerSecond, shiftC }: ProbeSteer): void {
    this.anchor = {
      minute: minute ?? this.minuteNow(),
      atMs: this.nowMs(),
      minutesPerSecond: minutesPerSecond ?? this.anchor.minutesPerSecond,
      shiftC: shiftC ?? this.anchor.shiftC,
    };
  }

  /** What the probe shows in this room; a room without a script has the first one's air. */
  read(roomId: string): ProbeReading {
    const day = this.days.find((d) => d.roomId === roomId) ?? this.days[0];
    if (!day) throw new Error('the stand-in has no day to play');
    const minute = this.minuteNow();
    const air = warmedAir(airAt(day.forecast, minute), this.anchor.shiftC);
    return {
      ...air,
      day: day.name,
      minute,
      shiftC: this.anchor.shiftC,
      playing: this.anchor.minutesPerSecond > 0,
    };
  }

  /** The rest of the day as the script has it, with the steering applied. */
  daysAhead(): DayAhead[] {
    return this.days.map((day) => ({
      ...day,
      forecast: day.forecast.map((point) => warmedAir(point, this.anchor.shiftC)),
    }));
  }
}
