/**
 * A picture as it is taken in: its type is read from the bytes, not from what they call themselves,
 * and only the picture is kept.
 */
import { MOST_PHOTO_BYTES, PHOTO_TYPES } from '@orthochrom/contract/shop/finding.ts';
import sharp, { type Metadata } from 'sharp';
import { BadInput } from '../http/faults.ts';

const THUMB_PX = 360;
const MOST_PIXELS = 60_000_000;
const MEGA = 1_000_000;

export type Picture = {
  mime: string;
  widthPx: number;
  heightPx: number;
  picture: Buffer;
  thumb: Buffer;
};

/** Near enough to what the camera gave, for an eye that looks for orange peel. */
const QUALITY = 92;

/** @throws BadInput for what is no picture, of another kind, or too large */
export async function pictureOf(bytes: Buffer): Promise<Picture> {
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
