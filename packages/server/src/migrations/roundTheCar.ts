/** What both ways take beside what the customer decided. */
import type { MigrationInterface, QueryRunner } from 'typeorm';

const STATEMENTS = ['ALTER TABLE customer_decision ADD COLUMN worth jsonb'];

export class RoundTheCar1795950000000 implements MigrationInterface {
  name = 'RoundTheCar1795950000000';

  async up(runner: QueryRunner): Promise<void> {
    for (const statement of STATEMENTS) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE customer_decision DROP COLUMN worth');
  }
}
