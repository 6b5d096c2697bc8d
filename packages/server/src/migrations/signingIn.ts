/** Painters have roles and PINs, devices are trusted, and every trace knows who was signed in. */
import type { MigrationInterface, QueryRunner } from 'typeorm';
import { foreignKey } from './statements.ts';

const STATEMENTS = [
  'ALTER TABLE painter ADD COLUMN role text',
  'ALTER TABLE shop ADD COLUMN apprentice_asks boolean',
  'ALTER TABLE event ADD COLUMN signed_in_id uuid, ADD COLUMN touched_by_id uuid',
  `CREATE TABLE credential (
    painter_id uuid NOT NULL CONSTRAINT credential_pkey PRIMARY KEY,
    pin_hash text NOT NULL,
    wrong_tries integer NOT NULL,
    locked_until TIMESTAMP WITH TIME ZONE,
    changed_at TIMESTAMP WITH TIME ZONE NOT NULL
  )`,
  foreignKey('credential', 'painter_id', 'painterId', 'painter'),
  `CREATE TABLE device (
    id uuid NOT NULL CONSTRAINT device_pkey PRIMARY KEY,
    name text NOT NULL,
    token_hash text NOT NULL,
    trusted_by uuid NOT NULL,
    trusted_at TIMESTAMP WITH TIME ZONE NOT NULL,
    last_seen_at TIMESTAMP WITH TIME ZONE NOT NULL,
    distrusted_at TIMESTAMP WITH TIME ZONE
  )`,
  foreignKey('device', 'trusted_by', 'trustedBy', 'painter'),
  'CREATE UNIQUE INDEX device_token ON device (token_hash)',
  'CREATE INDEX device_trusted_by ON device (trusted_by)',
  `CREATE TABLE session (
    id uuid NOT NULL CONSTRAINT session_pkey PRIMARY KEY,
    device_id uuid NOT NULL,
    painter_id uuid NOT NULL,
    token_hash text NOT NULL,
    started_at TIMESTAMP WITH TIME ZONE NOT NULL,
    last_seen_at TIMESTAMP WITH TIME ZONE NOT NULL,
    ended_at TIMESTAMP WITH TIME ZONE
  )`,
  foreignKey('session', 'device_id', 'deviceId', 'device'),
  foreignKey('session', 'painter_id', 'painterId', 'painter'),
  'CREATE UNIQUE INDEX session_token ON session (token_hash)',
  'CREATE INDEX session_device_id ON session (device_id)',
  'CREATE INDEX session_painter_id ON session (painter_id)',
  `CREATE TABLE lead_touch (
    id uuid NOT NULL CONSTRAINT lead_touch_pkey PRIMARY KEY,
    session_id uuid NOT NULL,
    lead_id uuid NOT NULL,
    at TIMESTAMP WITH TIME ZONE NOT NULL,
    used_at TIMESTAMP WITH TIME ZONE
  )`,
  foreignKey('lead_touch', 'session_id', 'sessionId', 'session'),
  foreignKey('lead_touch', 'lead_id', 'leadId', 'painter'),
  'CREATE INDEX lead_touch_session_id ON lead_touch (session_id)',
  'CREATE INDEX lead_touch_lead_id ON lead_touch (lead_id)',
  `CREATE TABLE sign_in_try (
    id uuid NOT NULL CONSTRAINT sign_in_try_pkey PRIMARY KEY,
    at TIMESTAMP WITH TIME ZONE NOT NULL,
    address text NOT NULL,
    what text NOT NULL,
    painter_id uuid,
    device_id uuid,
    came boolean NOT NULL
  )`,
  'CREATE INDEX sign_in_try_address ON sign_in_try (address, at)',
  `CREATE TABLE sign_in_code (
    id uuid NOT NULL CONSTRAINT sign_in_code_pkey PRIMARY KEY,
    code_hash text NOT NULL,
    until TIMESTAMP WITH TIME ZONE NOT NULL,
    used_at TIMESTAMP WITH TIME ZONE
  )`,
  `CREATE TABLE stand_in (
    kind text NOT NULL CONSTRAINT stand_in_pkey PRIMARY KEY,
    state jsonb NOT NULL
  )`,
];

export class SigningIn1796100000000 implements MigrationInterface {
  name = 'SigningIn1796100000000';

  async up(runner: QueryRunner): Promise<void> {
    for (const statement of STATEMENTS) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const table of ['stand_in', 'sign_in_code', 'sign_in_try', 'lead_touch', 'session', 'device', 'credential'])
      await runner.query(`DROP TABLE ${table}`);
    await runner.query('ALTER TABLE event DROP COLUMN signed_in_id, DROP COLUMN touched_by_id');
    await runner.query('ALTER TABLE shop DROP COLUMN apprentice_asks');
    await runner.query('ALTER TABLE painter DROP COLUMN role');
  }
}
