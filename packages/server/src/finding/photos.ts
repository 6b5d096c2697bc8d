/** Pictures of a finding; nothing pretends to read what they show. */
import { createHash } from 'node:crypto';
import { MOST_PHOTOS } from '@orthochrom/contract/shop/finding.ts';
import type { EntityManager } from 'typeorm';
import type { Ledger } from '../event/ledger.ts';
import { BadInput, NotFound } from '../http/faults.ts';
import { notedAt } from '../http/requestIdentity.ts';
import { pictureOf } from '../photo/picture.ts';
import { shopIdOf } from '../shop/shopId.ts';
import { FindingTable, PhotoTable, type PhotoRow } from './findingTables.ts';

/** The same picture again, or the same request again, makes no second row. */
export async function insertPhoto(
  manager: EntityManager,
  id: string,
  findingId: string,
  bytes: Buffer,
  takenAt: Date,
): Promise<boolean> {
  const { mime, widthPx, heightPx, picture, thumb } = await pictureOf(bytes);
  const fileSha256 = createHash('sha256').update(picture).digest('hex');
  const row: PhotoRow = {
    id,
    findingId,
    fileSha256,
    mime,
    sizeBytes: picture.length,
    widthPx,
    heightPx,
    picture,
    thumb,
    takenAt,
  };
  const result = await manager
    .createQueryBuilder()
    .insert()
    .into(PhotoTable)
    .values(row)
    .orIgnore()
    .returning('id')
    .execute();
  return (result.raw as unknown[]).length > 0;
}

export const addPhoto = (
  ledger: Ledger,
  of: { id: string; findingId: string; painterId: string; bytes: Buffer },
): Promise<void> =>
  ledger.write(async (manager, trace) => {
    const { id, findingId, painterId, bytes } = of;
    if (!(await manager.existsBy(FindingTable, { id: findingId })))
      throw new NotFound(`There is no finding ${findingId}.`);
    if ((await manager.countBy(PhotoTable, { findingId })) >= MOST_PHOTOS)
      throw BadInput.at(['photo'], 'out-of-range', `A finding holds up to ${MOST_PHOTOS} photos.`);
    if (await insertPhoto(manager, id, findingId, bytes, notedAt()))
      await trace({
        shopId: await shopIdOf(manager),
        painterId,
        aggregateType: 'finding',
        aggregateId: findingId,
        kind: 'photo-added',
        patch: { photoId: id, sizeBytes: bytes.length },
      });
  });

/** @throws NotFound */
export async function photoBytes(manager: EntityManager, id: string): Promise<PhotoRow> {
  const row = await manager.findOne(PhotoTable, {
    where: { id },
    select: { id: true, findingId: true, mime: true, picture: true, thumb: true, takenAt: true },
  });
  if (!row) throw new NotFound(`There is no photo ${id}.`);
  return row;
}
