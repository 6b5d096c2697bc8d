/**
 * The test panel before the car is kept with its coat, what was laid of a product is found, and the
 * shop has hours.
 */
import type { MigrationInterface, QueryRunner } from 'typeorm';

const STATEMENTS = [
  'ALTER TABLE coat ADD COLUMN test_panel jsonb',
  'ALTER TABLE shop ADD COLUMN hours jsonb',
  'ALTER TABLE panel ADD COLUMN build text, ADD COLUMN face text',
  'ALTER TABLE stage ADD COLUMN face text',
  'CREATE INDEX stage_sheet_version ON stage (sheet_version_id)',
];

export class TestPanelAndHours1796000000000 implements MigrationInterface {
  name = 'TestPanelAndHours1796000000000';

  async up(runner: QueryRunner): Promise<void> {
    for (const statement of STATEMENTS) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP INDEX stage_sheet_version');
    await runner.query('ALTER TABLE panel DROP COLUMN build, DROP COLUMN face');
    await runner.query('ALTER TABLE stage DROP COLUMN face');
    await runner.query('ALTER TABLE shop DROP COLUMN hours');
    await runner.query('ALTER TABLE coat DROP COLUMN test_panel');
  }
}
