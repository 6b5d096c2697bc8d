import type { AirNow, DayAhead } from '@orthochrom/contract/shop/air.ts';
import { v7 as newId } from 'uuid';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { ShopFixture, type Fault } from './shopFixture.ts';

let shop: ShopFixture;
let roomId: string;
let painterId: string;
beforeAll(async () => {
  shop = await ShopFixture.open();
  const setup = await shop.setup();
  roomId = setup.rooms.find(({ name }) => name === 'Harbour booth')!.id;
  painterId = setup.painters[0]!.id;
});
afterAll(() => shop.close());

type Air = { rooms: AirNow[]; days: DayAhead[] };
const here = ({ rooms }: Air) => rooms.find((room) => room.roomId === roomId)!;
const reading = (changes: object) => ({
  id: newId(),
  roomId,
  quantity: 'panelC',
  valueCanonical: 17.5,
  enteredValue: 63.5,
  enteredUnit: 'F',
  painterId,
  ...changes,
});

it('plays the cold damp morning and warms by noon', async () => {
  const [early, noon] = [
    (await shop.post<Air>('/probe', { minute: 440 })).body,
    (await shop.post<Air>('/probe', { minute: 720 })).body,
  ];
  expect(here(early).panel!.value).toBeLessThan(15.6);
  expect(here(noon).panel!.value).toBeGreaterThan(22);
});

it('gets drier as it is made warmer, with the same water in it', async () => {
  const before = here((await shop.get<Air>('/air')).body);
  const after = here((await shop.post<Air>('/probe', { shiftC: 6 })).body);
  expect(after.air.value - before.air.value).toBeCloseTo(6, 5);
  expect(after.humidity.value).toBeLessThan(before.humidity.value);
  await shop.post('/probe', { shiftC: 0 });
});

it('lets a fresh reading by hand go before the probe, with its time and unit kept', async () => {
  const { body } = await shop.post<Air>('/readings', reading({}));
  expect(here(body).panel).toMatchObject({ value: 17.5, by: 'hand' });
  const [row] = await shop.rows('select entered_value, entered_unit from reading');
  expect(row).toEqual({ entered_value: 63.5, entered_unit: 'F' });
});

it('goes back to the probe when the hand reading has grown old', async () => {
  await shop.database.query(`update reading set taken_at = taken_at - interval '31 minutes'`);
  expect(here((await shop.get<Air>('/air')).body).panel!.by).toBe('probe');
});

it('refuses a panel hotter than a panel can be', async () => {
  const { status, body } = await shop.post<Fault>('/readings', reading({ valueCanonical: 240 }));
  expect(status).toBe(422);
  expect(body.error).toMatchObject({ code: 'out-of-range', path: ['valueCanonical'] });
});
