/**
 * What both ways take beside what the customer decided; which end of a car stands at a fan; the
 * halves of a panel as they were sprayed; cutting and polishing, a step at a time; what was read on a
 * panel under heat.
 */
import type { MigrationInterface, QueryRunner } from 'typeorm';
import { foreignKey } from './statements.ts';

const STATEMENTS = [
  'ALTER TABLE customer_decision ADD COLUMN worth jsonb',
  'ALTER TABLE room ADD COLUMN car_end_at_fan text',
  `CREATE TABLE coat_half (
    coat_id uuid NOT NULL,
    panel_id uuid NOT NULL,
    half text NOT NULL,
    sprayed_at TIMESTAMP WITH TIME ZONE NOT NULL,
    CONSTRAINT coat_half_pkey PRIMARY KEY (coat_id, panel_id, half)
  )`,
  foreignKey('coat_half', 'coat_id', 'coatId', 'coat'),
  foreignKey('coat_half', 'panel_id', 'panelId', 'panel'),
  `CREATE TABLE finish_step (
    id uuid NOT NULL,
    ticket_id uuid NOT NULL,
    coat_id uuid NOT NULL,
    painter_id uuid NOT NULL,
    seen text NOT NULL,
    nail text NOT NULL,
    step text NOT NULL,
    grade text,
    like_neighbour boolean,
    bubbles boolean,
    measured_um double precision,
    left_um double precision,
    at TIMESTAMP WITH TIME ZONE NOT NULL,
    CONSTRAINT finish_step_pkey PRIMARY KEY (id)
  )`,
  `CREATE TABLE heat_read (
    id uuid NOT NULL,
    ticket_id uuid NOT NULL,
    coat_id uuid NOT NULL,
    panel_id uuid NOT NULL,
    painter_id uuid NOT NULL,
    seen_c double precision NOT NULL,
    at TIMESTAMP WITH TIME ZONE NOT NULL,
    CONSTRAINT heat_read_pkey PRIMARY KEY (id)
  )`,
  'CREATE INDEX heat_read_ticket ON heat_read (ticket_id)',
  foreignKey('heat_read', 'ticket_id', 'ticketId', 'ticket'),
  foreignKey('heat_read', 'coat_id', 'coatId', 'coat'),
  foreignKey('heat_read', 'panel_id', 'panelId', 'panel'),
  foreignKey('heat_read', 'painter_id', 'painterId', 'painter'),
  'CREATE INDEX finish_step_ticket ON finish_step (ticket_id)',
  foreignKey('finish_step', 'ticket_id', 'ticketId', 'ticket'),
  foreignKey('finish_step', 'coat_id', 'coatId', 'coat'),
  foreignKey('finish_step', 'painter_id', 'painterId', 'painter'),
];

export class RoundTheCar1795950000000 implements MigrationInterface {
  name = 'RoundTheCar1795950000000';

  async up(runner: QueryRunner): Promise<void> {
    for (const statement of STATEMENTS) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE heat_read, finish_step, coat_half');
    await runner.query('ALTER TABLE room DROP COLUMN car_end_at_fan');
    await runner.query('ALTER TABLE customer_decision DROP COLUMN worth');
  }
}
