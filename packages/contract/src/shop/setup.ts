/** The shop as it was set up: painters, rooms, guns, cups. */
import { z } from 'zod';
import { listOf, moreThanZero, name, optional, quantity, text } from '../quantity/fields.ts';
import { AirMovement, PartKind, Place, StageName } from '../shapes/climate.ts';
import { Extraction, RegionRules } from '../calculations/gate.ts';
import { Gun, Way } from '../shapes/gun.ts';
import { edited, Id, stored } from './common.ts';

/** Each switched on its own. */
export const Units = z.strictObject({
  temperature: z.enum(['C', 'F']),
  pressure: z.enum(['kPa', 'bar', 'psi']),
  length: z.enum(['mm', 'in']),
  film: z.enum(['um', 'mil']),
  volume: z.enum(['ml', 'flOzUs', 'flOzImp']),
  area: z.enum(['m2', 'ft2']),
  measure: z.enum(['volume', 'weight']),
});
export type Units = z.infer<typeof Units>;

const painterShape = { name: name(), skill: z.enum(['learner', 'able', 'expert']), units: Units, way: Way };
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
  airflow: z.enum(['rearToFront', 'frontToRear', 'downdraft', 'fanAtDoor', 'still']),
  extraction: Extraction,
  region: z.string().max(80),
  regionRules: RegionRules,
  ...optional('capLimitKPa'),
  note: text(),
};
export const Room = z.strictObject({ ...stored, ...roomShape });
export const RoomEdit = z.strictObject({ ...edited, ...roomShape });
export type Room = z.infer<typeof Room>;

const gunShape = {
  name: name(),
  usedFor: listOf(StageName),
  gaugeTrust: z.enum(['good', 'doubtful', 'none']),
  note: text(),
  gun: Gun,
};
export const StoredGun = z.strictObject({ ...stored, ...gunShape });
export const GunCreate = z.strictObject({ id: Id, ...gunShape });
export const GunEdit = z.strictObject({ ...edited, ...gunShape });
export type StoredGun = z.infer<typeof StoredGun>;

/** What it may hold, the scale printed on it, and the mesh built into it. */
export const StoredCup = z.strictObject({
  ...stored,
  name: name(),
  capacityMl: moreThanZero('capacityMl'),
  marksMl: listOf(quantity('atMl')),
  scales: listOf(z.strictObject({ ratio: z.array(moreThanZero('parts')).min(2).max(4), mlPerPart: moreThanZero('sizeMl') })),
  strainerUm: quantity('strainerUm').optional(),
});
export type StoredCup = z.infer<typeof StoredCup>;

export const Shop = z.strictObject({
  ...stored,
  name: name(),
  timeZone: z.string(),
  ticketPrefix: z.string().max(8),
});
export type Shop = z.infer<typeof Shop>;
/** How the last coat left a gun's knobs. */
export type KnobsLeft = { fanTurnsOut: number; fluidTurnsOut: number; part: z.infer<typeof PartKind> };
export type ShopSetup = {
  shop: Shop;
  painters: Painter[];
  rooms: Room[];
  guns: StoredGun[];
  cups: StoredCup[];
  knobs: Record<string, KnobsLeft>;
};
