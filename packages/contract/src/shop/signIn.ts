/** Who is at the screen: painters with a PIN, tablets a lead trusts, and what asks for a lead. */
import { SKIPPED } from '@orthochrom/core/prep/prepInput.ts';
import { z } from 'zod';
import { name } from '../quantity/fields.ts';
import { Id } from './common.ts';

/** From the one who may least. Stops, gates and stand-ins are the same for each. */
export const ROLES = ['apprentice', 'painter', 'lead'] as const;
export type Role = (typeof ROLES)[number];
/** Nothing was said of it. */
export const USUAL_ROLE: Role = 'painter';
export const mayAs = (role: Role, atLeast: Role): boolean =>
  ROLES.indexOf(role) >= ROLES.indexOf(atLeast);

export const SHORTEST_PIN = 6;
export const LONGEST_PIN = 12;
const LADDER = '012345678901234567890';
const BACKWARDS = [...LADDER].reverse().join('');
/** Six to twelve digits, neither all the same nor counted up or down. */
export const Pin = z
  .string()
  .regex(new RegExp(`^\\d{${SHORTEST_PIN},${LONGEST_PIN}}$`), 'a PIN has six to twelve digits')
  .refine(
    (pin) => new Set(pin).size > 1 && !LADDER.includes(pin) && !BACKWARDS.includes(pin),
    'a PIN is neither one digit over and over nor counted up or down: others try those first',
  );
/** As it is typed to come in: whether it is right is not told by its shape. */
const TypedPin = z.string().min(1).max(64);

export const SignIn = z.strictObject({ painterId: Id, pin: TypedPin });
/** A lead's name as the shop writes it: a tablet that nobody trusts is shown none. */
export const TrustDevice = z.strictObject({ name: name(), pin: TypedPin, deviceName: name() });
/** With the code that the shop's own machine shows: the first lead, or one whose PIN is lost. */
export const BeginSignIn = z.strictObject({
  code: TypedPin,
  name: name(),
  pin: Pin,
  deviceName: name(),
});
/** `current` is asked of everybody but a lead who gives one to somebody else. */
export const SetPin = z.strictObject({ pin: Pin, current: TypedPin.optional() });
export const LeadTouch = z.strictObject({ leadId: Id, pin: TypedPin });
export const SignOutEverywhere = z.strictObject({ of: Id });

export type SignedIn = { id: string; name: string; role: Role };
export type Device = { id: string; name: string; trustedAt: string; lastSeenAt: string };
export type WhoIsHere = {
  /** Whether a PIN is wanted at all: not while only this machine is answered. */
  isAsked: boolean;
  /** No lead has a PIN yet: the code of the shop's machine is wanted. */
  wantsCode: boolean;
  /** There is no shop here yet. */
  isEmpty: boolean;
  device?: { id: string; name: string };
  /** Only on a device that is trusted. */
  painters: (SignedIn & { hasPin: boolean })[];
  me?: SignedIn;
};

/** Under which the id of a lead's touch comes with what it was asked for. */
export const TOUCH_HEADER = 'lead-touch';

/**
 * Whether what is told goes against the advice with a painter's own word: where the shop wants it,
 * a lead is asked when an apprentice does so. A coat ended because a stop came up never is.
 */
export function goesAgainstAdvice(told: unknown): boolean {
  if (typeof told !== 'object' || told === null) return false;
  const { overrides, skippedBecause, whyOldMix, closedBecause, kind, answer } = told as Record<
    string,
    unknown
  >;
  return (
    (typeof overrides === 'object' && overrides !== null && Object.keys(overrides).length > 0) ||
    [skippedBecause, whyOldMix, closedBecause].some((word) => typeof word === 'string') ||
    kind === 'left' ||
    answer === SKIPPED
  );
}
