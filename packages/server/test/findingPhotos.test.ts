/** Photos of a finding: kept as they are but for where and when, handed over and taken in. */
import type { Finding, FindingsFile } from '@orthochrom/contract/shop/finding.ts';
import sharp from 'sharp';
import { v7 as newId } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { ShopFixture, type Fault } from './shopFixture.ts';
import { RushedFriday } from './rushedFriday.ts';

let friday: RushedFriday;
let shop: ShopFixture;
let painterId: string;
beforeAll(async () => {
  friday = await RushedFriday.open();
  ({ shop, painterId } = friday);
});
afterAll(() => shop.close());

describe('photos', () => {
  const picture = () =>
    sharp({ create: { width: 640, height: 480, channels: 3, background: '#a33' } })
      .jpeg()
      .toBuffer();
  const send = (findingId: string, bytes: Buffer, mime = 'image/jpeg', id = newId()) =>
    shop.send<Finding & Fault>(
      `/findings/${findingId}/photos?id=${id}&painterId=${painterId}`,
      bytes,
      mime,
    );

  it('is kept without where, when and by whom it was taken', async () => {
    const finding = await friday.found();
    const told = await sharp({
      create: { width: 60, height: 40, channels: 3, background: '#a33' },
    })
      .withExif({ IFD0: { Copyright: 'whoever' }, IFD3: { GPSLatitude: '51/1 30/1 0/1' } })
      .jpeg()
      .toBuffer();
    expect((await sharp(told).metadata()).exif).toBeDefined();
    const { body } = await shop.send<Finding>(
      `/findings/${finding.id}/photos?id=${newId()}&painterId=${painterId}`,
      told,
      'image/jpeg',
    );
    const kept = await sharp(await shop.bytes(`/photos/${body.photos[0]!.id}`)).metadata();
    expect([kept.exif, kept.width, kept.height]).toEqual([undefined, 60, 40]);
  });
  it('are kept byte for byte with a small one beside, and the same one only once', async () => {
    const finding = await friday.found();
    const bytes = await picture();
    const { status, body } = await send(finding.id, bytes);
    expect(status).toBe(201);
    expect(body.photos).toMatchObject([
      { mime: 'image/jpeg', bytes: bytes.length, widthPx: 640, heightPx: 480 },
    ]);
    expect((await send(finding.id, bytes)).body.photos).toHaveLength(1);
    const photoId = body.photos[0]!.id;
    expect(await shop.bytes(`/photos/${photoId}`)).toEqual(bytes);
    expect(await sharp(await shop.bytes(`/photos/${photoId}/thumb`)).metadata()).toMatchObject({
      format: 'webp',
      width: 360,
    });
  });
  it.each([
    ['text that calls itself a picture', Buffer.from('not a picture'), 'image/jpeg'],
    [
      'a picture cut off',
      Buffer.from('ffd8ffe000104a46494600010100000100010000', 'hex'),
      'image/jpeg',
    ],
    ['another kind', Buffer.from('GIF89a'), 'image/gif'],
  ])('are refused: %s', async (_, bytes, mime) => {
    const finding = await friday.found();
    const { status, body } = await send(finding.id, bytes, mime);
    expect([status, body.error.path]).toEqual([422, ['photo']]);
    expect((await shop.get<Finding>(`/findings/${finding.id}`)).body.photos).toEqual([]);
  });
  it('travel with the file of a finding, and both come back whole in another shop', async () => {
    const finding = await friday.found();
    const bytes = await picture();
    await send(finding.id, bytes);
    const { body: confirmed } = await friday.confirm(
      (await shop.get<Finding>(`/findings/${finding.id}`)).body,
    );
    const { body: file } = await shop.get<FindingsFile>(`/findings/${finding.id}/file`);
    const other = await ShopFixture.open();
    try {
      const by = (await other.setup()).painters[0]!.id;
      const taken = await other.post<{ taken: number }>(`/findings-file?painterId=${by}`, file);
      expect(taken).toMatchObject({ status: 201, body: { taken: 1 } });
      const there = (await other.get<Finding>(`/findings/${finding.id}`)).body;
      expect(there).toMatchObject({
        vehicle: confirmed.vehicle,
        answers: confirmed.answers,
        readings: confirmed.readings,
        version: confirmed.version,
      });
      expect(there.result.faults).toEqual(confirmed.result.faults);
      expect(there.confirmed).toMatchObject({ fault: 'POP', cause: 'flash_short' });
      expect(await other.bytes(`/photos/${there.photos[0]!.id}`)).toEqual(bytes);
      expect(
        (await other.post<{ taken: number }>(`/findings-file?painterId=${by}`, file)).body.taken,
      ).toBe(0);
      const older = {
        ...file,
        findings: file.findings.map((one) => ({ ...one, version: one.version + 5 })),
      };
      expect((await other.post(`/findings-file?painterId=${by}`, older)).status).toBe(409);
    } finally {
      await other.close();
    }
  });
});
