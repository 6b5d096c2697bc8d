/** Every write under the id that it was asked for with, so that what comes again is told from what is new. */
import type { MigrationInterface, QueryRunner } from 'typeorm';

const STATEMENTS = [
  `CREATE TABLE request (
    id uuid NOT NULL,
    what text NOT NULL,
    digest text NOT NULL,
    given jsonb,
    result jsonb,
    at TIMESTAMP WITH TIME ZONE NOT NULL,
    CONSTRAINT request_pkey PRIMARY KEY (id)
  )`,
  `CREATE INDEX request_at ON request (at)`,
];

export class NothingLost1795530000000 implements MigrationInterface {
  name = 'NothingLost1795530000000';

  async up(runner: QueryRunner): Promise<void> {
    for (const statement of STATEMENTS) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE request');
  }
}
