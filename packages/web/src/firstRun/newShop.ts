/** What is asked of a new shop, and what it becomes on the wire. */
import type { Painter, Room, ShopCreate } from '@orthochrom/contract/shop/setup.ts';
import { Pin } from '@orthochrom/contract/shop/signIn.ts';
import { v7 as newId } from 'uuid';

export type NewShop = {
  shop: string;
  timeZone: string;
  prefix: string;
  currency: string;
  painter: string;
  measures: 'metric' | 'us';
  room: string;
  place: Room['place'];
  extraction: Room['extraction'];
  region: string;
  cup: string;
  capacityMl: string;
  code: string;
  deviceName: string;
  pin: string;
};

const METRIC: Painter['units'] = {
  temperature: 'C',
  pressure: 'bar',
  length: 'mm',
  film: 'um',
  volume: 'ml',
  area: 'm2',
  measure: 'volume',
};
const US: Painter['units'] = {
  temperature: 'F',
  pressure: 'psi',
  length: 'in',
  film: 'mil',
  volume: 'flOzUs',
  area: 'ft2',
  measure: 'volume',
};
export const MEASURES = [
  { value: 'metric', label: '°C, bar, mm, ml', units: METRIC },
  { value: 'us', label: '°F, psi, inch, US fl oz', units: US },
] as const;

const OWN_ZONE = new Intl.DateTimeFormat().resolvedOptions().timeZone;
/** This device's own first: some are none of the listed names. */
export const ZONES = [...new Set([OWN_ZONE, ...Intl.supportedValuesOf('timeZone')])];
export const PLACES: { value: Room['place']; label: string }[] = [
  { value: 'booth', label: 'a spray booth' },
  { value: 'closedGarage', label: 'a closed garage or bay' },
  { value: 'openGarage', label: 'a garage with the door open' },
  { value: 'outdoors', label: 'outdoors' },
];
export const EXTRACTIONS: { value: Room['extraction']; label: string }[] = [
  { value: 'on', label: 'the booth’s own, filtered' },
  { value: 'ratedFan', label: 'a fan rated for solvent vapour' },
  { value: 'householdFan', label: 'a fan that is not rated' },
  { value: 'off', label: 'not at all' },
];

/** This device's own zone is a good guess, and is shown to be changed. */
export const newShop = (): NewShop => ({
  shop: '',
  timeZone: OWN_ZONE,
  prefix: 'T',
  currency: '',
  painter: '',
  measures: 'metric',
  room: '',
  place: 'booth',
  extraction: 'on',
  region: '',
  cup: 'Cup 600',
  capacityMl: '600',
  code: '',
  deviceName: '',
  pin: '',
});

const LARGEST_CUP_ML = 50_000;
/** What still lacks before it can be opened, in a sentence; nothing when it can. */
export function whatLacks(told: NewShop, isAsked: boolean): string | undefined {
  const capacityMl = Number(told.capacityMl);
  if (told.shop.trim() === '') return 'The shop wants a name.';
  if (!/^[A-Z0-9]{1,8}$/i.test(told.prefix))
    return 'Before a ticket’s number: one to eight letters or digits.';
  if (told.painter.trim() === '') return 'Your name is wanted.';
  if (told.room.trim() === '') return 'The room wants a name.';
  if (told.cup.trim() === '') return 'The cup wants a name.';
  if (!(capacityMl >= 5 && capacityMl <= LARGEST_CUP_ML)) return 'A cup holds 5 to 50 000 ml.';
  if (!isAsked) return undefined;
  if (told.code.trim() === '' || told.deviceName.trim() === '')
    return 'The code of the machine and a name for this device are wanted.';
  return Pin.safeParse(told.pin).success
    ? undefined
    : 'A PIN of six to twelve digits, neither all the same nor counted up or down.';
}

export function shopBody(told: NewShop, isAsked: boolean): ShopCreate {
  const { units } = MEASURES.find(({ value }) => value === told.measures)!;
  const isBooth = told.place === 'booth';
  return {
    id: newId(),
    name: told.shop.trim(),
    timeZone: told.timeZone,
    ticketPrefix: told.prefix,
    ...(told.currency.trim() ? { currency: told.currency.trim() } : {}),
    painter: {
      id: newId(),
      name: told.painter.trim(),
      skill: 'able',
      units,
      way: {},
      role: 'lead',
    },
    room: {
      id: newId(),
      name: told.room.trim(),
      place: told.place,
      heated: isBooth,
      airMovement: isBooth ? 'downdraft' : told.extraction === 'off' ? 'still' : 'fan',
      airflow: isBooth ? 'downdraft' : told.extraction === 'off' ? 'still' : 'fanAtDoor',
      extraction: told.extraction,
      region: told.region.trim(),
      regionRules: {},
      note: '',
    },
    cup: {
      id: newId(),
      name: told.cup.trim(),
      capacityMl: Number(told.capacityMl),
      marksMl: [],
      scales: [],
    },
    ...(isAsked
      ? { lead: { code: told.code.trim(), pin: told.pin, deviceName: told.deviceName.trim() } }
      : {}),
  };
}
