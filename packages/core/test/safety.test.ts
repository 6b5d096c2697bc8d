import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { gateOf, type GateInput } from '../src/safety/gate.ts';

const inOrder: GateInput = {
  product: { hardener: 'isocyanate', carrier: 'solvent' },
  place: 'booth',
  protection: { breathing: 'airFed', skin: true, eyes: true },
  extraction: 'on',
  ignition: [],
  bystanders: false,
  step: 'spray',
};
const hardener = fc.constantFrom('isocyanate', 'unknown', 'other', 'none' as const);
const place = fc.constantFrom('booth', 'closedGarage', 'openGarage', 'outdoors' as const);
const breathing = fc.constantFrom('airFed', 'cartridge', 'dust', 'none' as const);
const step = fc.constantFrom('mix', 'spray', 'clean' as const);

describe('the gate', () => {
  it('passes a booth where everything is as it should be', () => {
    expect(gateOf(inOrder)).toMatchObject({ passed: true, asks: [] });
  });

  it.each(['protection', 'extraction', 'ignition', 'bystanders'] as const)('stays shut while %s is not answered', (field) => {
    const { [field]: _, ...rest } = inOrder;
    const answer = gateOf(rest);
    expect(answer.passed).toBe(false);
    expect(answer.asks.length).toBeGreaterThan(0);
  });

  it('never clears a cartridge, a dust mask or nothing for isocyanate or the unknown', () => {
    fc.assert(
      fc.property(
        place,
        step,
        fc.constantFrom('isocyanate', 'unknown' as const),
        fc.constantFrom('cartridge', 'dust', 'none' as const),
        (p, s, h, b) =>
          !gateOf({
            ...inOrder,
            place: p,
            step: s,
            product: { ...inOrder.product, hardener: h },
            protection: { ...inOrder.protection!, breathing: b },
          }).passed,
      ),
    );
  });

  it('never tells anyone that no respirator is needed', () => {
    fc.assert(
      fc.property(
        hardener,
        place,
        step,
        fc.constantFrom('dust', 'none' as const),
        (h, p, s, b) =>
          !gateOf({
            ...inOrder,
            place: p,
            step: s,
            product: { hardener: h, carrier: 'waterborne' },
            protection: { breathing: b, skin: true, eyes: true },
          }).passed,
      ),
    );
  });

  it('lets no answer make a worse room pass', () => {
    fc.assert(
      fc.property(hardener, place, breathing, step, (h, p, b, s) => {
        const input: GateInput = {
          ...inOrder,
          place: p,
          step: s,
          product: { ...inOrder.product, hardener: h },
          protection: { ...inOrder.protection!, breathing: b },
          regionRules: { twoPackAtHome: 'permitted' },
        };
        const worse: GateInput[] = [
          { ...input, bystanders: true },
          { ...input, ignition: ['heater'] },
          { ...input, extraction: 'householdFan' },
          { ...input, protection: { ...input.protection!, skin: h === 'none' } },
        ];
        return worse.every((w) => gateOf(w).passed <= gateOf(input).passed);
      }),
    );
  });

  it('stops isocyanate in a closed garage and where it is prohibited, whatever else is right', () => {
    expect(
      gateOf({ ...inOrder, place: 'closedGarage', regionRules: { twoPackAtHome: 'permitted' } }).verdicts.map(({ code }) => code),
    ).toContain('place-unfit');
    expect(gateOf({ ...inOrder, place: 'openGarage', regionRules: { twoPackAtHome: 'prohibited' } }).passed).toBe(false);
  });

  it('elsewhere asks for the local rule, and keeps the caution once it is known', () => {
    expect(gateOf({ ...inOrder, place: 'openGarage', extraction: 'ratedFan' }).passed).toBe(false);
    const known = gateOf({
      ...inOrder,
      place: 'openGarage',
      extraction: 'ratedFan',
      regionRules: { twoPackAtHome: 'permitted' },
    });
    expect(known.passed).toBe(true);
    expect(known.verdicts.map(({ code }) => code)).toContain('check-local-rules');
  });

  it('offers ways on that are lawful', () => {
    expect(gateOf({ ...inOrder, place: 'closedGarage' }).alternatives.map(({ code }) => code)).toEqual(
      expect.arrayContaining(['hire-a-booth', 'product-without-isocyanate']),
    );
  });

  it('says at each step what belongs there', () => {
    expect(gateOf({ ...inOrder, step: 'clean' }).verdicts.map(({ code }) => code)).toContain('cleaning-solvents');
    expect(gateOf({ ...inOrder, step: 'after', minutesSinceSpray: 2 }).verdicts.map(({ code }) => code)).toContain(
      'extraction-run-on',
    );
  });
});
