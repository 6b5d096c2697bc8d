/** Compressors, lines, the shop's own tests and the care of its guns; tests leave the nozzle set and become rows with a date. */
import type { MigrationInterface, QueryRunner } from 'typeorm';
import { EDITED, foreignKey } from './statements.ts';

const USUAL_INTERVALS = `'{"pattern":{"days":7,"coats":12},"service":{"days":30,"coats":60}}'`;

const STATEMENTS = [
  `CREATE TABLE compressor (
    id uuid NOT NULL,
    shop_id uuid NOT NULL,
    name text NOT NULL,
    note text NOT NULL,
    tank_l double precision NOT NULL,
    free_air_l_per_min double precision NOT NULL,
    free_air_at_kpa double precision NOT NULL,
    cut_in_kpa double precision NOT NULL,
    cut_out_kpa double precision NOT NULL,
    described_at TIMESTAMP WITH TIME ZONE NOT NULL,
    ${EDITED},
    CONSTRAINT compressor_pkey PRIMARY KEY (id)
  )`,
  `CREATE TABLE air_line (
    id uuid NOT NULL,
    shop_id uuid NOT NULL,
    room_id uuid,
    compressor_id uuid,
    name text NOT NULL,
    gauge_at text NOT NULL,
    gauge_trust text NOT NULL,
    note text NOT NULL,
    line jsonb NOT NULL,
    described_at TIMESTAMP WITH TIME ZONE NOT NULL,
    ${EDITED},
    CONSTRAINT air_line_pkey PRIMARY KEY (id)
  )`,
  `CREATE TABLE calibration (
    id uuid NOT NULL,
    shop_id uuid NOT NULL,
    painter_id uuid,
    nozzle_set_id uuid,
    air_line_id uuid,
    compressor_id uuid,
    kind text NOT NULL,
    note text NOT NULL,
    input jsonb NOT NULL,
    taken_at TIMESTAMP WITH TIME ZONE NOT NULL,
    CONSTRAINT calibration_pkey PRIMARY KEY (id)
  )`,
  `CREATE TABLE care_round (
    id uuid NOT NULL,
    shop_id uuid NOT NULL,
    gun_id uuid NOT NULL,
    painter_id uuid NOT NULL,
    ticket_id uuid,
    coat_id uuid,
    kind text NOT NULL,
    note text NOT NULL,
    items jsonb NOT NULL,
    done_at TIMESTAMP WITH TIME ZONE NOT NULL,
    CONSTRAINT care_round_pkey PRIMARY KEY (id)
  )`,
  `CREATE INDEX calibration_taken_at ON calibration (taken_at)`,
  `CREATE INDEX care_round_gun_done_at ON care_round (gun_id, done_at)`,
  foreignKey('compressor', 'shop_id', 'shopId', 'shop'),
  foreignKey('air_line', 'shop_id', 'shopId', 'shop'),
  foreignKey('air_line', 'room_id', 'roomId', 'room'),
  foreignKey('air_line', 'compressor_id', 'compressorId', 'compressor'),
  foreignKey('calibration', 'shop_id', 'shopId', 'shop'),
  foreignKey('calibration', 'painter_id', 'painterId', 'painter'),
  foreignKey('calibration', 'nozzle_set_id', 'nozzleSetId', 'nozzle_set'),
  foreignKey('calibration', 'air_line_id', 'airLineId', 'air_line'),
  foreignKey('calibration', 'compressor_id', 'compressorId', 'compressor'),
  foreignKey('care_round', 'shop_id', 'shopId', 'shop'),
  foreignKey('care_round', 'gun_id', 'gunId', 'gun'),
  foreignKey('care_round', 'painter_id', 'painterId', 'painter'),
  foreignKey('care_round', 'ticket_id', 'ticketId', 'ticket'),
  foreignKey('care_round', 'coat_id', 'coatId', 'coat'),
  `ALTER TABLE nozzle_set ADD fitted_since TIMESTAMP WITH TIME ZONE`,
  `UPDATE nozzle_set SET fitted_since = gun.created_at FROM gun WHERE gun.id = nozzle_set.gun_id`,
  `ALTER TABLE nozzle_set ALTER COLUMN fitted_since SET NOT NULL`,
  `INSERT INTO calibration (id, shop_id, nozzle_set_id, kind, note, input, taken_at)
    SELECT gen_random_uuid(), gun.shop_id, nozzle_set.id, test.value->>'kind', '', test.value, gun.updated_at + test.ordinality * interval '1 millisecond'
    FROM nozzle_set JOIN gun ON gun.id = nozzle_set.gun_id, jsonb_array_elements(nozzle_set.tests) WITH ORDINALITY AS test`,
  `ALTER TABLE nozzle_set DROP COLUMN tests`,
  `ALTER TABLE gun ADD intervals jsonb NOT NULL DEFAULT ${USUAL_INTERVALS}`,
  `ALTER TABLE gun ALTER COLUMN intervals DROP DEFAULT`,
  `ALTER TABLE coat ADD lowest_inlet_kpa double precision`,
  `ALTER TABLE coat ADD highest_inlet_kpa double precision`,
  `ALTER TABLE coat_panel ADD lowest_inlet_kpa double precision`,
  `ALTER TABLE coat_panel ADD highest_inlet_kpa double precision`,
  `ALTER TABLE mix ADD flow_cup jsonb`,
];

export class GunsAndAir1795450000000 implements MigrationInterface {
  name = 'GunsAndAir1795450000000';

  async up(runner: QueryRunner): Promise<void> {
    for (const statement of STATEMENTS) await runner.query(statement);
  }

  /** Back to tests inside the nozzle set; what the first shape has no place for is not carried back. */
  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE nozzle_set ADD tests jsonb NOT NULL DEFAULT '[]'`);
    await runner.query(
      `UPDATE nozzle_set SET tests = kept.tests FROM (
        SELECT nozzle_set_id, jsonb_agg(input ORDER BY taken_at) AS tests FROM calibration
        WHERE kind IN ('catch', 'fan', 'cap', 'comb', 'lines') GROUP BY nozzle_set_id) kept WHERE kept.nozzle_set_id = nozzle_set.id`,
    );
    await runner.query(`ALTER TABLE nozzle_set ALTER COLUMN tests DROP DEFAULT, DROP COLUMN fitted_since`);
    for (const table of ['care_round', 'calibration', 'air_line', 'compressor'])
      await runner.query(`DROP TABLE ${table} CASCADE`);
    await runner.query(`ALTER TABLE gun DROP COLUMN intervals`);
    for (const table of ['coat', 'coat_panel'])
      await runner.query(`ALTER TABLE ${table} DROP COLUMN lowest_inlet_kpa, DROP COLUMN highest_inlet_kpa`);
    await runner.query(`ALTER TABLE mix DROP COLUMN flow_cup`);
  }
}
