/**
 * The gate over its whole table: every hardener, place, mask, extraction and carrier, against the
 * rules said in one line each.
 */
import { describe, expect, it } from 'vitest';
import { gateOf } from '../src/safety/gate.ts';
import type { GateInput } from '../src/safety/gateInput.ts';

const HARDENERS = ['isocyanate', 'unknown', 'other', 'none'] as const;
const PLACES = ['booth', 'closedGarage', 'openGarage', 'outdoors'] as const;
const MASKS = ['airFed', 'cartridge', 'dust', 'none'] as const;
const EXTRACTIONS = ['on', 'off', 'ratedFan', 'householdFan'] as const;
const CARRIERS = ['solvent', 'waterborne'] as const;
const RULES = ['permitted', 'prohibited', 'unknown'] as const;

type Row = {
  hardener: (typeof HARDENERS)[number];
  place: (typeof PLACES)[number];
  mask: (typeof MASKS)[number];
  extraction: (typeof EXTRACTIONS)[number];
  carrier: (typeof CARRIERS)[number];
  rule: (typeof RULES)[number];
};
const rows: Row[] = HARDENERS.flatMap((hardener) =>
  PLACES.flatMap((place) =>
    MASKS.flatMap((mask) =>
      EXTRACTIONS.flatMap((extraction) =>
        CARRIERS.flatMap((carrier) =>
          RULES.map((rule) => ({ hardener, place, mask, extraction, carrier, rule })),
        ),
      ),
    ),
  ),
);

const answer = ({ hardener, place, mask, extraction, carrier, rule }: Row) =>
  gateOf({
    product: { hardener, carrier },
    place,
    regionRules: { twoPackAtHome: rule },
    protection: { breathing: mask, skin: true, eyes: true },
    extraction,
    ignition: [],
    bystanders: false,
    step: 'spray',
  } satisfies GateInput);

/** Rule by rule, apart from the code: true where it stands in the way. */
const RULE: Record<string, (row: Row) => boolean> = {
  'breathing-not-enough': ({ hardener, mask }) =>
    (hardener === 'isocyanate' || hardener === 'unknown') && mask !== 'airFed',
  'vapour-not-filtered': ({ hardener, mask }) =>
    (hardener === 'other' || hardener === 'none') && (mask === 'dust' || mask === 'none'),
  'place-unfit': ({ hardener, place, rule }) =>
    (hardener === 'isocyanate' || hardener === 'unknown') &&
    place !== 'booth' &&
    (place === 'closedGarage' || rule === 'prohibited'),
  'answers-missing': ({ hardener, place, rule }) =>
    (hardener === 'isocyanate' || hardener === 'unknown') &&
    place !== 'booth' &&
    rule === 'unknown',
  'extraction-off': ({ hardener, place, extraction }) =>
    extraction === 'off' &&
    !(place === 'outdoors' && (hardener === 'other' || hardener === 'none')),
  'fan-not-rated': ({ extraction, carrier }) =>
    extraction === 'householdFan' && carrier === 'solvent',
};

describe(`the gate over ${rows.length} rows`, () => {
  it.each(Object.entries(RULE))('says %s exactly where its rule holds', (code, stands) => {
    const wrong = rows.filter(
      (row) => answer(row).verdicts.some((verdict) => verdict.code === code) !== stands(row),
    );
    expect(wrong).toEqual([]);
  });

  it('passes exactly where no rule stands in the way', () => {
    const wrong = rows.filter(
      (row) => answer(row).passed === Object.values(RULE).some((stands) => stands(row)),
    );
    expect(wrong).toEqual([]);
  });

  it('keeps the caution about local rules wherever two-pack leaves a booth', () => {
    const outside = rows.filter(
      ({ hardener, place }) =>
        (hardener === 'isocyanate' || hardener === 'unknown') && place !== 'booth',
    );
    expect(
      outside.every((row) => answer(row).verdicts.some(({ code }) => code === 'check-local-rules')),
    ).toBe(true);
  });

  it('offers a way on wherever place, breathing or extraction stop it', () => {
    const stopped = rows.filter((row) =>
      ['place-unfit', 'breathing-not-enough', 'extraction-off', 'fan-not-rated'].some((code) =>
        RULE[code]!(row),
      ),
    );
    expect(stopped.every((row) => answer(row).alternatives.length > 0)).toBe(true);
  });
});
