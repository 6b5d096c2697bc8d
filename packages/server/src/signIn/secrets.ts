/** What is kept of a PIN, a code and a cookie: never themselves. */
import { createHash, randomBytes, randomInt } from 'node:crypto';
import { hash, verify } from '@node-rs/argon2';

/** Argon2id, OWASP Password Storage Cheat Sheet (2023): 19 MiB, two passes, one lane. */
const ARGON2ID = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };

export const hashOf = (secret: string): Promise<string> => hash(secret, ARGON2ID);
let nobodys: Promise<string> | undefined;

/** As long for a name that is nobody's as for a wrong PIN: neither is told apart by waiting. */
export async function isRight(secret: string, kept: string | undefined): Promise<boolean> {
  nobodys ??= hashOf(randomBytes(16).toString('hex'));
  const right = await verify(kept ?? (await nobodys), secret);
  return kept !== undefined && right;
}

/** 256 random bits, which need no slow hash. */
export const newToken = (): string => randomBytes(32).toString('base64url');
export const tokenHash = (token: string): string =>
  createHash('sha256').update(token).digest('hex');

const CODE_LETTERS = 'ABCDEFGHJKLMNPQRSTUVWXYZ23456789';
const CODE_LENGTH = 10;
/** To be read off a screen: no letter that looks like another. */
export const newCode = (): string =>
  Array.from({ length: CODE_LENGTH }, () => CODE_LETTERS[randomInt(CODE_LETTERS.length)]).join('');
