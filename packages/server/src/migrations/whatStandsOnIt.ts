/** What was found on a panel before it is painted. */
import type { MigrationInterface, QueryRunner } from 'typeorm';

export class WhatStandsOnIt1795560000000 implements MigrationInterface {
  name = 'WhatStandsOnIt1795560000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE panel ADD COLUMN found jsonb');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE panel DROP COLUMN found');
  }
}
