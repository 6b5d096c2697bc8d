/** The shop as it was set up: painters, rooms, guns, cups. */
import { CAR_ENDS } from '@orthochrom/core/route/routeInput.ts';
import {
  AirMovement,
  Airflow,
  Extraction,
  PartKind,
  Place,
  Skill,
  StageName,
  Trust,
} from '../shapes/trade.ts';
import { PRESSURE_UNITS } from '@orthochrom/core/gun/reading.ts';
import type { CareIntervals } from '@orthochrom/core/gun/care.ts';
import { z } from 'zod';
import {
  contradiction,
  listOf,
  moreThanZero,
  name,
  optional,
  quantity,
  text,
} from '../quantity/fields.ts';
import { RegionRules } from '../calculations/gate.ts';
import { LastCleaner, TackWay } from '../calculations/prep.ts';
import { Gun, Preferences } from '../shapes/gun.ts';
import { edited, Id, stored } from './common.ts';
import { Pin, ROLES } from './signIn.ts';
import type { Usage } from './usage.ts';
import type { AirLine, Compressor } from './compressedAir.ts';

/** Each switched on its own. */
export const Units = z.strictObject({
  temperature: z.enum(['C', 'F']),
  pressure: z.enum(PRESSURE_UNITS),
  length: z.enum(['mm', 'in']),
  film: z.enum(['um', 'mil']),
  volume: z.enum(['ml', 'flOzUs', 'flOzImp']),
  area: z.enum(['m2', 'ft2']),
  measure: z.enum(['volume', 'weight']),
});
export type Units = z.infer<typeof Units>;

/** How a painter makes ready, where that is not as usual. */
const PrepWay = z.strictObject({ tack: TackWay.optional(), lastCleaner: LastCleaner.optional() });
const painterShape = {
  name: name(),
  skill: Skill,
  units: Units,
  way: Preferences,
  prepWay: PrepWay.optional(),
  /** What he may change of the shop; as usual where nothing was said. */
  role: z.enum(ROLES).optional(),
};
export const Painter = z.strictObject({ ...stored, ...painterShape });
export const PainterCreate = z.strictObject({ id: Id, ...painterShape });
export const PainterEdit = z.strictObject({ ...edited, ...painterShape });
export type Painter = z.infer<typeof Painter>;

const roomShape = {
  name: name(),
  place: Place,
  heated: z.boolean(),
  airMovement: AirMovement,
  ...optional('airSpeedMPerS'),
  airflow: Airflow,
  extraction: Extraction,
  region: z.string().max(80),
  regionRules: RegionRules,
  ...optional('capLimitKPa'),
  /** The day on which silicone was last used in it, as far as anybody knows. */
  siliconeLastOn: z.iso.date().optional(),
  /** The floor is wetted against dust before spraying. */
  wetsFloor: z.boolean().optional(),
  /** What comes in is filtered. */
  filtered: z.boolean().optional(),
  /** Lamps on both sides: what is wrong on an upright panel is seen there. */
  sideLight: z.boolean().optional(),
  /** Which end of a car stands at the fan of the door. */
  carEndAtFan: z.enum(CAR_ENDS).optional(),
  /** Outlets, heaters, lamps that can light vapour: asked about at the gate. */
  ignitionSources: listOf(name()).optional(),
  note: text(),
};
export const Room = z.strictObject({ ...stored, ...roomShape });
export const RoomCreate = z.strictObject({ id: Id, ...roomShape });
export const RoomEdit = z.strictObject({ ...edited, ...roomShape });
export type Room = z.infer<typeof Room>;

const Interval = z.strictObject({ days: z.int().min(1).max(365), coats: z.int().min(1).max(1000) });
const gunShape = {
  name: name(),
  usedFor: listOf(StageName),
  gaugeTrust: Trust,
  note: text(),
  gun: Gun,
  intervals: z.strictObject({ pattern: Interval, service: Interval }).optional(),
};
/** Tests are taken, not edited: a set keeps its own, and a new set begins without. */
const withoutTests = ({ gun }: { gun: z.infer<typeof Gun> }, ctx: z.RefinementCtx): void => {
  gun.nozzleSets?.forEach((set, i) => {
    if (set.tests)
      ctx.addIssue({
        code: 'custom',
        path: ['gun', 'nozzleSets', i, 'tests'],
        message: 'tests are taken, not edited: they stay with their nozzle set',
        params: { code: 'unknown-field' },
      });
  });
};
export const GunCreate = z.strictObject({ id: Id, ...gunShape });
export const GunEdit = z.strictObject({ ...edited, ...gunShape }).superRefine(withoutTests);
export type GunCreate = z.infer<typeof GunCreate>;
/** A nozzle set as it lives on: fitted, and some day retired with its tests. */
export type StoredSet = {
  id: string;
  nozzleMm: number;
  needle?: string;
  cap?: string;
  fittedSince: string;
  retiredAt?: string;
};
/**
 * `gun` carries the sets in use with the newest test of each kind; `sets` has every set there ever
 * was.
 */
export type StoredGun = Omit<GunCreate, 'intervals'> & {
  version: number;
  intervals: CareIntervals;
  sets: StoredSet[];
};

const cupShape = {
  name: name(),
  capacityMl: moreThanZero('capacityMl'),
  marksMl: listOf(quantity('atMl')),
  scales: listOf(
    z.strictObject({
      ratio: z.array(moreThanZero('parts')).min(2).max(4),
      mlPerPart: moreThanZero('sizeMl'),
    }),
  ),
  strainerUm: quantity('strainerUm').optional(),
};
/** A printed scale that the cup can hold one line of, marks that go up and stay in it. */
function cupHolds(
  { capacityMl, marksMl, scales }: Omit<StoredCup, 'id' | 'version' | 'name'>,
  ctx: z.RefinementCtx,
): void {
  scales.forEach(({ ratio, mlPerPart }, i) => {
    const lineMl = mlPerPart * ratio.reduce((sum, part) => sum + part, 0);
    if (lineMl > capacityMl)
      ctx.addIssue(
        contradiction(
          ['scales', i, 'mlPerPart'],
          `its first line would stand at ${lineMl} ml, over the ${capacityMl} ml that the cup holds`,
        ),
      );
  });
  marksMl.forEach((atMl, i) => {
    const before = marksMl[i - 1] ?? 0;
    if (atMl <= before && i > 0)
      ctx.addIssue(
        contradiction(['marksMl', i], `the mark at ${atMl} ml is not over ${before} ml`),
      );
    if (atMl > capacityMl)
      ctx.addIssue(
        contradiction(['marksMl', i], `${atMl} ml is over the ${capacityMl} ml that it holds`),
      );
  });
}
/** What it may hold, the scale printed on it, and the mesh built into it. */
export const StoredCup = z.strictObject({ ...stored, ...cupShape });
export const CupCreate = z.strictObject({ id: Id, ...cupShape }).superRefine(cupHolds);
export const CupEdit = z.strictObject({ ...edited, ...cupShape }).superRefine(cupHolds);
export type StoredCup = z.infer<typeof StoredCup>;

const DayMinute = z.int().min(0).max(1440);
/** When the shop works, in minutes of its day. */
export const ShopHours = z
  .strictObject({
    opensMinute: DayMinute,
    closesMinute: DayMinute,
    breaks: listOf(z.tuple([DayMinute, DayMinute])),
  })
  .superRefine(({ opensMinute, closesMinute, breaks }, ctx) => {
    if (closesMinute <= opensMinute)
      ctx.addIssue(contradiction(['closesMinute'], 'it closes before it opens'));
    breaks.forEach(([from, to], i) => {
      if (to <= from || from < opensMinute || to > closesMinute)
        ctx.addIssue(
          contradiction(['breaks', i], 'a break lies within the hours, and ends after it begins'),
        );
    });
  });
export type ShopHours = z.infer<typeof ShopHours>;

const shopShape = {
  name: name(),
  timeZone: z.string().refine(isTimeZone, 'this is no time zone, such as Europe/London'),
  ticketPrefix: z
    .string()
    .regex(/^[A-Z0-9]{1,8}$/i, 'one to eight letters or digits before a ticket’s number'),
  /** As it is written beside a price. */
  currency: z.string().max(8).optional(),
  hours: ShopHours.optional(),
  /** An apprentice's own word against the advice wants a lead's touch. */
  apprenticeAsks: z.boolean().optional(),
};
export const Shop = z.strictObject({ ...stored, ...shopShape });
export const ShopEdit = z.strictObject({ ...edited, ...shopShape });
export type Shop = z.infer<typeof Shop>;
/**
 * A shop of one's own: with its first painter, its first room and cup, so that nothing is missing
 * that every screen needs. The code and the PIN are asked where other machines are answered.
 */
export const ShopCreate = z.strictObject({
  id: Id,
  ...shopShape,
  painter: z.strictObject({ id: Id, ...painterShape }),
  room: z.strictObject({ id: Id, ...roomShape }),
  cup: z.strictObject({ id: Id, ...cupShape }).superRefine(cupHolds),
  lead: z
    .strictObject({ code: z.string().min(1).max(64), pin: Pin, deviceName: name() })
    .optional(),
});
export type ShopCreate = z.infer<typeof ShopCreate>;

function isTimeZone(name: string): boolean {
  try {
    return new Intl.DateTimeFormat('en', { timeZone: name }).resolvedOptions().timeZone !== '';
  } catch {
    return false;
  }
}

/** What the shop pays for a product, by size of its tins in ml. */
const priceShape = { prices: z.record(z.string().regex(/^\d+(\.\d+)?$/), quantity('price')) };
/** Version 0: none were kept before. */
export const PricesEdit = z.strictObject({ id: Id, version: z.int().min(0), ...priceShape });
export type ProductPrices = z.infer<typeof PricesEdit> & { productId: string };
/** How the last coat left a gun's knobs. */
export type KnobsLeft = {
  fanTurnsOut: number;
  fluidTurnsOut: number;
  part: z.infer<typeof PartKind>;
  mist?: boolean;
};
export type ShopSetup = {
  shop: Shop;
  painters: Painter[];
  rooms: Room[];
  guns: StoredGun[];
  cups: StoredCup[];
  compressors: Compressor[];
  airLines: AirLine[];
  knobs: Record<string, KnobsLeft>;
  /** What stages took against their plan, the newest of each hand. */
  usages: Usage[];
  prices: ProductPrices[];
};
