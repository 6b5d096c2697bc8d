/**
 * Words are found by their threes (pg_trgm, which PostgreSQL ships and the owner of a database may
 * add to it); what Records sorts and filters by has an index of its own.
 */
import type { MigrationInterface, QueryRunner } from 'typeorm';

const WORDED = [
  ['ticket_vehicle_words', 'ticket', 'vehicle'],
  ['ticket_number_words', 'ticket', 'number'],
  ['stage_colour_words', 'stage', 'colour_name'],
  ['coat_note_words', 'coat', 'note'],
] as const;
const SORTED = [
  ['coat_gun_ended', 'coat', 'gun_id, ended_at'],
  ['coat_painter_ended', 'coat', 'painter_id, ended_at'],
  ['coat_rating_ended', 'coat', 'rating, ended_at'],
  ['coat_air_c', 'coat', 'air_c'],
  ['ticket_created', 'ticket', 'created_at, id'],
  ['ticket_state', 'ticket', 'state'],
  ['usage_at', 'usage', 'at, id'],
] as const;
/** Each is the beginning of one of those. */
const COVERED = [
  ['coat_ended_at', 'ended_at'],
  ['coat_gun_id', 'gun_id'],
  ['coat_painter_id', 'painter_id'],
] as const;

export class SearchIndexes1796110000000 implements MigrationInterface {
  name = 'SearchIndexes1796110000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query('CREATE EXTENSION IF NOT EXISTS pg_trgm SCHEMA public');
    for (const [name, table, column] of WORDED)
      await runner.query(
        `CREATE INDEX ${name} ON ${table} USING gin (${column} public.gin_trgm_ops)`,
      );
    for (const [name, table, columns] of SORTED)
      await runner.query(`CREATE INDEX ${name} ON ${table} (${columns})`);
    // With all that Records asks of a coat: it is walked without the coats themselves.
    await runner.query(
      `CREATE INDEX coat_ended_id ON coat (ended_at DESC, id DESC)
       INCLUDE (ticket_id, stage_id, gun_id, painter_id, archived_at)`,
    );
    for (const [name] of COVERED) await runner.query(`DROP INDEX ${name}`);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const [name, column] of COVERED)
      await runner.query(`CREATE INDEX ${name} ON coat (${column})`);
    await runner.query('DROP INDEX coat_ended_id');
    for (const [name] of [...WORDED, ...SORTED]) await runner.query(`DROP INDEX ${name}`);
  }
}
