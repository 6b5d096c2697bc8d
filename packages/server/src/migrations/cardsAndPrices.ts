/**
 * Spray-out cards, what tins cost, and what else is told of a job and a room when it is taken in.
 */
import type { MigrationInterface, QueryRunner } from 'typeorm';
import { EDITED, foreignKey } from './statements.ts';

const STATEMENTS = [
  `CREATE TABLE spray_card (
    id uuid NOT NULL,
    ticket_id uuid NOT NULL,
    stage_id uuid NOT NULL,
    painter_id uuid NOT NULL,
    coats integer NOT NULL,
    ground_text text NOT NULL,
    wet_film_um double precision,
    seen text NOT NULL,
    word text NOT NULL,
    mime text,
    picture bytea,
    thumb bytea,
    at TIMESTAMP WITH TIME ZONE NOT NULL,
    CONSTRAINT spray_card_pkey PRIMARY KEY (id)
  )`,
  'CREATE INDEX spray_card_ticket ON spray_card (ticket_id)',
  foreignKey('spray_card', 'ticket_id', 'ticketId', 'ticket'),
  foreignKey('spray_card', 'stage_id', 'stageId', 'stage'),
  foreignKey('spray_card', 'painter_id', 'painterId', 'painter'),
  `CREATE TABLE product_prices (
    id uuid NOT NULL,
    shop_id uuid NOT NULL,
    product_id text NOT NULL,
    prices jsonb NOT NULL,
    ${EDITED},
    CONSTRAINT product_prices_pkey PRIMARY KEY (id),
    CONSTRAINT product_prices_shop_product UNIQUE (shop_id, product_id)
  )`,
  foreignKey('product_prices', 'shop_id', 'shopId', 'shop'),
  'ALTER TABLE shop ADD COLUMN currency text',
  'ALTER TABLE ticket ADD COLUMN timing text, ADD COLUMN strong_sun boolean',
  'ALTER TABLE panel ADD COLUMN finish_target text',
  'ALTER TABLE stage ADD COLUMN tint jsonb',
  `ALTER TABLE room
    ADD COLUMN filtered boolean,
    ADD COLUMN side_light boolean,
    ADD COLUMN ignition_sources jsonb`,
];

export class CardsAndPrices1795910000000 implements MigrationInterface {
  name = 'CardsAndPrices1795910000000';

  async up(runner: QueryRunner): Promise<void> {
    for (const statement of STATEMENTS) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(
      'ALTER TABLE room DROP COLUMN filtered, DROP COLUMN side_light, DROP COLUMN ignition_sources',
    );
    await runner.query('ALTER TABLE stage DROP COLUMN tint');
    await runner.query('ALTER TABLE panel DROP COLUMN finish_target');
    await runner.query('ALTER TABLE ticket DROP COLUMN timing, DROP COLUMN strong_sun');
    await runner.query('ALTER TABLE shop DROP COLUMN currency');
    await runner.query('DROP TABLE product_prices, spray_card');
  }
}
