/** What a gate was asked about, what was done to a layer after it was sprayed, and the gate behind which a test was shot. */
import type { MigrationInterface, QueryRunner } from 'typeorm';
import { foreignKey } from './statements.ts';

const STATEMENTS = [
  // Answers from before do not say what they were about: they are of an older gate and open nothing.
  `ALTER TABLE gate_answer ADD COLUMN about jsonb NOT NULL DEFAULT '{}'`,
  `ALTER TABLE gate_answer ALTER COLUMN about DROP DEFAULT`,
  `ALTER TABLE calibration ADD COLUMN gate jsonb`,
  `CREATE TABLE layer_work (
    id uuid NOT NULL,
    ticket_id uuid NOT NULL,
    coat_id uuid NOT NULL,
    painter_id uuid NOT NULL,
    kind text NOT NULL,
    why text NOT NULL,
    settles jsonb NOT NULL,
    answers jsonb NOT NULL,
    at TIMESTAMP WITH TIME ZONE NOT NULL,
    CONSTRAINT layer_work_pkey PRIMARY KEY (id)
  )`,
  `CREATE INDEX layer_work_ticket ON layer_work (ticket_id)`,
  // Every ticket that is read asks what was found on its coats.
  `CREATE INDEX finding_ticket ON finding (ticket_id)`,
  foreignKey('layer_work', 'ticket_id', 'ticketId', 'ticket'),
  foreignKey('layer_work', 'coat_id', 'coatId', 'coat'),
  foreignKey('layer_work', 'painter_id', 'painterId', 'painter'),
];

export class StopsThatHold1795500000000 implements MigrationInterface {
  name = 'StopsThatHold1795500000000';

  async up(runner: QueryRunner): Promise<void> {
    for (const statement of STATEMENTS) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP INDEX finding_ticket');
    await runner.query('DROP TABLE layer_work');
    await runner.query('ALTER TABLE calibration DROP COLUMN gate');
    await runner.query('ALTER TABLE gate_answer DROP COLUMN about');
  }
}
