/**
 * What both ways take beside what the customer decided; which end of a car stands at a fan; the
 * halves of a panel as they were sprayed.
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
];

export class RoundTheCar1795950000000 implements MigrationInterface {
  name = 'RoundTheCar1795950000000';

  async up(runner: QueryRunner): Promise<void> {
    for (const statement of STATEMENTS) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE coat_half');
    await runner.query('ALTER TABLE room DROP COLUMN car_end_at_fan');
    await runner.query('ALTER TABLE customer_decision DROP COLUMN worth');
  }
}
