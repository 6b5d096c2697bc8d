/**
 * Pictures of a finding: their type is read from the bytes, not from what they call themselves;
 * nothing pretends to read what they show.
 */
import { createHash } from 'node:crypto';
import { MOST_PHOTO_BYTES, MOST_PHOTOS, PHOTO_TYPES } from '@orthochrom/contract/shop/finding.ts';
import sharp, { type Metadata } from 'sharp';
import type { EntityManager } from 'typeorm';
import type { Ledger } from '../event/ledger.ts';
import { BadInput, NotFound } from '../http/faults.ts';
import { notedAt } from '../http/requestIdentity.ts';
import { shopIdOf } from '../shop/shopId.ts';
import { FindingTable, PhotoTable, type PhotoRow } from './findingTables.ts';

const THUMB_PX = 360;
const MOST_PIXELS = 60_000_000;
const MEGA = 1_000_000;

type Picture = {
  mime: string;
  widthPx: number;
  heightPx: number;
  picture: Buffer;
  thumb: Buffer;
};

/** Near enough to what the camera gave, for an eye that looks for orange peel. */
const QUALITY = 92;

/** @throws BadInput for what is no picture, of another kind, or too large */
async function pictureOf(bytes: Buffer): Promise<Picture> {
  if (bytes.length === 0 || bytes.length > MOST_PHOTO_BYTES)
    throw BadInput.at(
      ['photo'],
      'out-of-range',
      `A photo has 1 byte to ${MOST_PHOTO_BYTES / MEGA} MB; this has ${(bytes.length / MEGA).toFixed(1)} MB.`,
    );
  const image = sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'error' });
  const said: Partial<Metadata> = await image.metadata().catch(() => ({}));
  const { format, width = 0, height = 0 } = said;
  const mime = PHOTO_TYPES.find((type) => type === `image/${format}`);
  if (!mime)
    throw BadInput.at(['photo'], 'not-one-of', 'This is no photo: JPEG, PNG or WebP are taken.');
  const broken = () => {
    throw BadInput.at(['photo'], 'contradiction', 'This photo is broken or too large to be read.');
  };
  const thumb = await image
    .clone()
    .rotate()
    .resize(THUMB_PX, THUMB_PX, { fit: 'inside', withoutEnlargement: true })
    .webp()
    .toBuffer()
    .catch(broken);
  if (!tellsMore(said)) return { mime, widthPx: width, heightPx: height, picture: bytes, thumb };
  const { data, info } = await image
    .clone()
    .rotate()
    .toFormat(format as 'jpeg', { quality: QUALITY })
    .toBuffer({ resolveWithObject: true })
    .catch(broken);
  return { mime, widthPx: info.width, heightPx: info.height, picture: data, thumb };
}

/** Where it was taken, by whom and with what is nobody's business: only the picture is kept. */
const tellsMore = ({ exif, xmp, iptc, comments }: Partial<Metadata>): boolean =>
  exif !== undefined || xmp !== undefined || iptc !== undefined || (comments?.length ?? 0) > 0;

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
