/** A picture as it comes in a request and goes out again. */
import { MOST_PHOTO_BYTES, PHOTO_TYPES } from '@orthochrom/contract/shop/finding.ts';
import express, { type Request, type Response } from 'express';
import { BadInput } from '../http/faults.ts';

export const photoBody = express.raw({
  type: [...PHOTO_TYPES],
  limit: MOST_PHOTO_BYTES,
  inflate: false,
});

/** @throws BadInput where it is no picture's body */
export function photoIn({ body }: Pick<Request, 'body'>): Buffer {
  if (!Buffer.isBuffer(body))
    throw BadInput.at(['photo'], 'wrong-type', 'A photo is sent as JPEG, PNG or WebP.');
  return body;
}

/** Under its address it never changes. */
export const sendPicture = (res: Response, mime: string, picture: Buffer | null): void => {
  res.type(mime).set('cache-control', 'private, max-age=31536000, immutable').send(picture);
};
