/** A shop told on the first page becomes what the server takes; what lacks is said in words. */
import { ShopCreate } from '@orthochrom/contract/shop/setup.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  EXTRACTIONS,
  MEASURES,
  newShop,
  PLACES,
  shopBody,
  whatLacks,
  type NewShop,
} from '../src/firstRun/newShop.ts';

const told = (changes: Partial<NewShop> = {}): NewShop => ({
  ...newShop(),
  shop: 'Lee Shore Paint',
  painter: 'Ines',
  room: 'Bay one',
  ...changes,
});
const LEAD = { code: 'ABCDE-FGHJK', deviceName: 'Bench', pin: '704913' };

describe('a shop of one’s own', () => {
  it('that lacks nothing is one the server takes, wherever it is and however it measures', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...PLACES),
        fc.constantFrom(...EXTRACTIONS),
        fc.constantFrom(...MEASURES),
        fc.boolean(),
        (place, extraction, measures, isAsked) => {
          const shop = told({
            place: place.value,
            extraction: extraction.value,
            measures: measures.value,
            ...LEAD,
          });
          expect(whatLacks(shop, isAsked)).toBeUndefined();
          const body = shopBody(shop, isAsked);
          expect(ShopCreate.safeParse(body).error?.issues).toBeUndefined();
          expect(body.lead !== undefined).toBe(isAsked);
          // Nothing that is not drawn off is called a draught.
          if (extraction.value === 'off' && place.value !== 'booth')
            expect(body.room.airMovement).toBe('still');
        },
      ),
    );
  });

  it.each([
    [{ shop: ' ' }, /shop wants a name/],
    [{ prefix: 'A B' }, /ticket’s number/],
    [{ painter: '' }, /Your name/],
    [{ room: '' }, /room wants a name/],
    [{ cup: '' }, /cup wants a name/],
    [{ capacityMl: '4' }, /5 to 50 000 ml/],
    [{ capacityMl: 'much' }, /5 to 50 000 ml/],
    [{ code: '' }, /code of the machine/],
    [{ pin: '123456' }, /six to twelve digits/],
  ])('says what lacks: %o', (changes, words) => {
    expect(whatLacks(told({ ...LEAD, ...changes }), true)).toMatch(words);
  });

  it('is asked for no PIN while only this machine is answered', () => {
    expect(whatLacks(told(), false)).toBeUndefined();
    expect(whatLacks(told(), true)).toBeDefined();
  });
});
