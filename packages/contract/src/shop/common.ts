/**
 * What every stored thing has: an id made by the client, so that a retried request makes no second
 * row, and a version.
 */
import { z } from 'zod';
import type { WordedVerdict } from '../words/worded.ts';

export const Id = z.uuid();
export const Version = z.int().min(1);
/**
 * An edit says which version it was made from; another one in between is a clash, shown and not
 * overwritten.
 */
export const edited = { version: Version };
export const stored = { id: Id, version: Version };

export type ApiError = {
  error: {
    code: string;
    message: string;
    path: (string | number)[];
    more?: { code: string; message: string; path: (string | number)[] }[];
    mine?: unknown;
    theirs?: unknown;
    /** With `stopped`: everything that stands against it. */
    verdicts?: WordedVerdict[];
  };
};

/** Put away, never deleted: what was done with it stays. */
export const Archive = z.strictObject(edited);
