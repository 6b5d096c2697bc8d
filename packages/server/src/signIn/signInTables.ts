/** Of this machine and its devices: none of it goes into a shop's file. Secrets lie as hashes. */
import { EntitySchema } from 'typeorm';
import {
  booleans,
  ids,
  instants,
  integers,
  key,
  optionalIds,
  optionalInstants,
  refersTo,
  texts,
} from '../database/columns.ts';

export type CredentialRow = {
  painterId: string;
  pinHash: string;
  /** Wrong ones since the last right one. */
  wrongTries: number;
  lockedUntil: Date | null;
  changedAt: Date;
};
export const CredentialTable = new EntitySchema<CredentialRow>({
  name: 'Credential',
  tableName: 'credential',
  columns: {
    painterId: {
      type: 'uuid',
      name: 'painter_id',
      primary: true,
      primaryKeyConstraintName: 'credential_pkey',
    },
    ...texts('pinHash'),
    ...integers('wrongTries'),
    ...optionalInstants('lockedUntil'),
    ...instants('changedAt'),
  },
  foreignKeys: [refersTo('credential', 'painterId', 'Painter')],
});

export type DeviceRow = {
  id: string;
  name: string;
  tokenHash: string;
  trustedBy: string;
  trustedAt: Date;
  lastSeenAt: Date;
  distrustedAt: Date | null;
};
export const DeviceTable = new EntitySchema<DeviceRow>({
  name: 'Device',
  tableName: 'device',
  columns: {
    ...key('device'),
    ...texts('name', 'tokenHash'),
    ...ids('trustedBy'),
    ...instants('trustedAt', 'lastSeenAt'),
    ...optionalInstants('distrustedAt'),
  },
  indices: [{ name: 'device_token', columns: ['tokenHash'], unique: true }],
  foreignKeys: [refersTo('device', 'trustedBy', 'Painter')],
});

export type SessionRow = {
  id: string;
  deviceId: string;
  painterId: string;
  tokenHash: string;
  startedAt: Date;
  lastSeenAt: Date;
  endedAt: Date | null;
};
export const SessionTable = new EntitySchema<SessionRow>({
  name: 'Session',
  tableName: 'session',
  columns: {
    ...key('session'),
    ...ids('deviceId', 'painterId'),
    ...texts('tokenHash'),
    ...instants('startedAt', 'lastSeenAt'),
    ...optionalInstants('endedAt'),
  },
  indices: [{ name: 'session_token', columns: ['tokenHash'], unique: true }],
  foreignKeys: [
    refersTo('session', 'deviceId', 'Device'),
    refersTo('session', 'painterId', 'Painter'),
  ],
});

/** A lead's hand put to one write of somebody else's session. */
export type TouchRow = {
  id: string;
  sessionId: string;
  leadId: string;
  at: Date;
  usedAt: Date | null;
};
export const TouchTable = new EntitySchema<TouchRow>({
  name: 'Touch',
  tableName: 'lead_touch',
  columns: {
    ...key('lead_touch'),
    ...ids('sessionId', 'leadId'),
    ...instants('at'),
    ...optionalInstants('usedAt'),
  },
  foreignKeys: [
    refersTo('lead_touch', 'sessionId', 'Session'),
    refersTo('lead_touch', 'leadId', 'Painter'),
  ],
});

/** Every try to come in: counted against whoever guesses. */
export type TryRow = {
  id: string;
  at: Date;
  address: string;
  painterId: string | null;
  deviceId: string | null;
  came: boolean;
  what: string;
};
export const TryTable = new EntitySchema<TryRow>({
  name: 'Try',
  tableName: 'sign_in_try',
  columns: {
    ...key('sign_in_try'),
    ...instants('at'),
    ...texts('address', 'what'),
    ...optionalIds('painterId', 'deviceId'),
    ...booleans('came'),
  },
  indices: [{ name: 'sign_in_try_address', columns: ['address', 'at'] }],
});

/** What the shop's own machine shows, once: who reads it there may make a lead. */
export type CodeRow = { id: string; codeHash: string; until: Date; usedAt: Date | null };
export const CodeTable = new EntitySchema<CodeRow>({
  name: 'Code',
  tableName: 'sign_in_code',
  columns: {
    ...key('sign_in_code'),
    ...texts('codeHash'),
    ...instants('until'),
    ...optionalInstants('usedAt'),
  },
});
