/** What belongs together is found by an index: one for every reference but the shop's. */
import type { MigrationInterface, QueryRunner } from 'typeorm';

/** By table, its references. */
const REFERENCES: readonly (readonly [string, string])[] = [
  ['nozzle_set', 'gun_id'],
  ['air_line', 'room_id compressor_id'],
  ['calibration', 'painter_id nozzle_set_id air_line_id compressor_id'],
  ['ticket', 'room_id painter_id'],
  ['panel', 'ticket_id'],
  ['stage', 'ticket_id gun_id'],
  ['stage_panel', 'panel_id'],
  ['mix', 'stage_id painter_id corrected_from_id'],
  ['coat', 'ticket_id mix_id gun_id painter_id room_id'],
  ['coat_half', 'panel_id'],
  ['coat_panel', 'panel_id'],
  ['finish_step', 'coat_id painter_id'],
  ['heat_read', 'coat_id panel_id painter_id'],
  ['gate_answer', 'ticket_id stage_id room_id painter_id'],
  ['timer', 'ticket_id coat_id mix_id confirmed_by'],
  ['care_round', 'painter_id ticket_id coat_id'],
  ['reading', 'taken_by'],
  ['layer_work', 'coat_id painter_id'],
  ['prep_answer', 'painter_id'],
  ['late_find', 'panel_id painter_id'],
  ['customer_decision', 'panel_id painter_id'],
  ['spray_card', 'stage_id painter_id'],
  ['usage', 'ticket_id stage_id'],
  ['finding', 'painter_id panel_id gun_id'],
  ['plan_change', 'finding_id gun_id applied_to_coat_id'],
];
const INDEXES = REFERENCES.flatMap(([table, columns]) =>
  columns.split(' ').map((column) => ({ name: `${table}_${column}`, table, column })),
);

export class ReferenceIndexes1796000100000 implements MigrationInterface {
  name = 'ReferenceIndexes1796000100000';

  async up(runner: QueryRunner): Promise<void> {
    for (const { name, table, column } of INDEXES)
      await runner.query(`CREATE INDEX ${name} ON ${table} (${column})`);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const { name } of INDEXES) await runner.query(`DROP INDEX ${name}`);
  }
}
