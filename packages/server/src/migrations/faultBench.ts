/** What was found wrong, what was changed for it, its photos, and the air of a coat over its own minutes. */
import type { MigrationInterface, QueryRunner } from 'typeorm';
import { EDITED, foreignKey } from './statements.ts';

const STATEMENTS = [
  `CREATE TABLE finding (
    id uuid NOT NULL,
    shop_id uuid NOT NULL,
    painter_id uuid NOT NULL,
    ticket_id uuid,
    coat_id uuid,
    panel_id uuid,
    gun_id uuid,
    confirmed_by uuid,
    vehicle text NOT NULL,
    where_seen text NOT NULL,
    note text NOT NULL,
    layer_suspected text,
    film text,
    confirmed_fault text,
    confirmed_cause text,
    confirmed_layer text,
    confirmed_note text,
    readings jsonb NOT NULL,
    answers jsonb NOT NULL,
    result jsonb NOT NULL,
    knowledge_version integer NOT NULL,
    calculation_version integer NOT NULL,
    seen_at TIMESTAMP WITH TIME ZONE NOT NULL,
    confirmed_at TIMESTAMP WITH TIME ZONE,
    ${EDITED},
    CONSTRAINT finding_pkey PRIMARY KEY (id)
  )`,
  `CREATE TABLE plan_change (
    id uuid NOT NULL,
    finding_id uuid NOT NULL,
    ordinal integer NOT NULL,
    cause text NOT NULL,
    setting text NOT NULL,
    change text NOT NULL,
    why text NOT NULL,
    state text NOT NULL,
    stage text,
    gun_id uuid,
    applied_to_coat_id uuid,
    move jsonb,
    ${EDITED},
    CONSTRAINT plan_change_pkey PRIMARY KEY (id)
  )`,
  `CREATE TABLE photo (
    id uuid NOT NULL,
    finding_id uuid NOT NULL,
    file_sha256 text NOT NULL,
    mime text NOT NULL,
    size_bytes integer NOT NULL,
    width_px integer NOT NULL,
    height_px integer NOT NULL,
    picture bytea NOT NULL,
    thumb bytea NOT NULL,
    taken_at TIMESTAMP WITH TIME ZONE NOT NULL,
    CONSTRAINT photo_pkey PRIMARY KEY (id),
    CONSTRAINT photo_finding_file UNIQUE (finding_id, file_sha256)
  )`,
  `CREATE TABLE coat_air (
    id uuid NOT NULL,
    coat_id uuid NOT NULL,
    at TIMESTAMP WITH TIME ZONE NOT NULL,
    air_c double precision NOT NULL,
    rh_percent double precision NOT NULL,
    panel_c double precision,
    material_c double precision,
    CONSTRAINT coat_air_pkey PRIMARY KEY (id)
  )`,
  `CREATE INDEX finding_coat ON finding (coat_id)`,
  `CREATE INDEX finding_confirmed ON finding (confirmed_fault, confirmed_cause)`,
  `CREATE INDEX coat_air_coat_at ON coat_air (coat_id, at)`,
  foreignKey('finding', 'shop_id', 'shopId', 'shop'),
  foreignKey('finding', 'painter_id', 'painterId', 'painter'),
  foreignKey('finding', 'ticket_id', 'ticketId', 'ticket'),
  foreignKey('finding', 'coat_id', 'coatId', 'coat'),
  foreignKey('finding', 'panel_id', 'panelId', 'panel'),
  foreignKey('finding', 'gun_id', 'gunId', 'gun'),
  foreignKey('plan_change', 'finding_id', 'findingId', 'finding'),
  foreignKey('plan_change', 'gun_id', 'gunId', 'gun'),
  foreignKey('plan_change', 'applied_to_coat_id', 'appliedToCoatId', 'coat'),
  foreignKey('photo', 'finding_id', 'findingId', 'finding'),
  foreignKey('coat_air', 'coat_id', 'coatId', 'coat'),
];

export class FaultBench1795470000000 implements MigrationInterface {
  name = 'FaultBench1795470000000';

  async up(runner: QueryRunner): Promise<void> {
    for (const statement of STATEMENTS) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const table of ['coat_air', 'photo', 'plan_change', 'finding']) await runner.query(`DROP TABLE ${table}`);
  }
}
