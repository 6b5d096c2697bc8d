/** How a car is made ready: the list's answers, what was found late, what the customer decided. */
import type { MigrationInterface, QueryRunner } from 'typeorm';
import { foreignKey } from './statements.ts';

const STATEMENTS = [
  `CREATE TABLE prep_answer (
    id uuid NOT NULL,
    ticket_id uuid NOT NULL,
    painter_id uuid NOT NULL,
    key text NOT NULL,
    answer text NOT NULL,
    reason text NOT NULL,
    after_finds integer NOT NULL,
    at TIMESTAMP WITH TIME ZONE NOT NULL,
    CONSTRAINT prep_answer_pkey PRIMARY KEY (id)
  )`,
  `CREATE TABLE late_find (
    id uuid NOT NULL,
    ticket_id uuid NOT NULL,
    panel_id uuid NOT NULL,
    painter_id uuid NOT NULL,
    what text NOT NULL,
    at TIMESTAMP WITH TIME ZONE NOT NULL,
    CONSTRAINT late_find_pkey PRIMARY KEY (id)
  )`,
  `CREATE TABLE customer_decision (
    id uuid NOT NULL,
    ticket_id uuid NOT NULL,
    panel_id uuid,
    painter_id uuid NOT NULL,
    topic text NOT NULL,
    advice_text text NOT NULL,
    decision text NOT NULL,
    word text NOT NULL,
    at TIMESTAMP WITH TIME ZONE NOT NULL,
    CONSTRAINT customer_decision_pkey PRIMARY KEY (id)
  )`,
  'CREATE INDEX prep_answer_ticket ON prep_answer (ticket_id)',
  'CREATE INDEX late_find_ticket ON late_find (ticket_id)',
  'CREATE INDEX customer_decision_ticket ON customer_decision (ticket_id)',
  foreignKey('prep_answer', 'ticket_id', 'ticketId', 'ticket'),
  foreignKey('prep_answer', 'painter_id', 'painterId', 'painter'),
  foreignKey('late_find', 'ticket_id', 'ticketId', 'ticket'),
  foreignKey('late_find', 'panel_id', 'panelId', 'panel'),
  foreignKey('late_find', 'painter_id', 'painterId', 'painter'),
  foreignKey('customer_decision', 'ticket_id', 'ticketId', 'ticket'),
  foreignKey('customer_decision', 'panel_id', 'panelId', 'panel'),
  foreignKey('customer_decision', 'painter_id', 'painterId', 'painter'),
  `ALTER TABLE panel
    ADD COLUMN "foreign" boolean,
    ADD COLUMN many_layers boolean,
    ADD COLUMN spot_m2 double precision,
    ADD COLUMN height_m double precision,
    ADD COLUMN length_m double precision`,
  'ALTER TABLE stage ADD COLUMN variant text',
  'ALTER TABLE room ADD COLUMN silicone_last_on date, ADD COLUMN wets_floor boolean',
  `CREATE TABLE usage (
    id uuid NOT NULL,
    ticket_id uuid NOT NULL,
    stage_id uuid NOT NULL,
    painter_id uuid NOT NULL,
    "group" text NOT NULL,
    left_ml double precision NOT NULL,
    planned_ml double precision NOT NULL,
    used_ml double precision NOT NULL,
    counts boolean,
    at TIMESTAMP WITH TIME ZONE NOT NULL,
    CONSTRAINT usage_pkey PRIMARY KEY (id)
  )`,
  'CREATE INDEX usage_painter ON usage (painter_id)',
  foreignKey('usage', 'ticket_id', 'ticketId', 'ticket'),
  foreignKey('usage', 'stage_id', 'stageId', 'stage'),
  foreignKey('usage', 'painter_id', 'painterId', 'painter'),
  'ALTER TABLE painter ADD COLUMN prep_way jsonb',
];

export class TakenIn1795620000000 implements MigrationInterface {
  name = 'TakenIn1795620000000';

  async up(runner: QueryRunner): Promise<void> {
    for (const statement of STATEMENTS) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE painter DROP COLUMN prep_way');
    await runner.query('ALTER TABLE room DROP COLUMN silicone_last_on, DROP COLUMN wets_floor');
    await runner.query('ALTER TABLE stage DROP COLUMN variant');
    await runner.query(
      `ALTER TABLE panel DROP COLUMN "foreign", DROP COLUMN many_layers,
        DROP COLUMN spot_m2, DROP COLUMN height_m, DROP COLUMN length_m`,
    );
    await runner.query('DROP TABLE usage, customer_decision, late_find, prep_answer');
  }
}
