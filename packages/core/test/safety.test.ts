import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { gateOf, PURGE_MINUTES, RUN_ON_MINUTES } from '../src/safety/gate.ts';
import type { GateInput } from '../src/safety/gateInput.ts';

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

  it.each(['protection', 'extraction', 'ignition', 'bystanders'] as const)(
    'stays shut while %s is not answered',
    (field) => {
      const { [field]: _, ...rest } = inOrder;
      const answer = gateOf(rest);
      expect(answer.passed).toBe(false);
      expect(answer.asks.length).toBeGreaterThan(0);
    },
  );

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
          { ...input, protection: { ...input.protection!, skin: false } },
          { ...input, breathingAirChecked: false },
          { ...input, roomExtraction: 'off' },
        ];
        return worse.every((w) => gateOf(w).passed <= gateOf(input).passed);
      }),
    );
  });

  it('stops isocyanate in a closed garage and where it is prohibited, whatever else is right', () => {
    expect(
      gateOf({
        ...inOrder,
        place: 'closedGarage',
        regionRules: { twoPackAtHome: 'permitted' },
      }).verdicts.map(({ code }) => code),
    ).toContain('place-unfit');
    expect(
      gateOf({ ...inOrder, place: 'openGarage', regionRules: { twoPackAtHome: 'prohibited' } })
        .passed,
    ).toBe(false);
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
    expect(
      gateOf({ ...inOrder, place: 'closedGarage' }).alternatives.map(({ code }) => code),
    ).toEqual(expect.arrayContaining(['hire-a-booth', 'product-without-isocyanate']));
  });

  it.each(['solvent', 'waterborne'] as const)(
    'asks for skin and eyes where a %s product harms them',
    (carrier) => {
      const bare = gateOf({
        ...inOrder,
        product: { hardener: 'none', carrier },
        protection: { breathing: 'cartridge' },
      });
      expect(bare.asks.map(({ field }) => field)).toEqual(
        carrier === 'solvent' ? ['protection.skin', 'protection.eyes'] : [],
      );
    },
  );

  it('refuses a dust mask for what it does: by isocyanate where there is some, else by vapour', () => {
    const behind = (product: GateInput['product']) =>
      gateOf({
        ...inOrder,
        product,
        protection: { breathing: 'dust', skin: true, eyes: true },
      }).verdicts.map(({ code }) => code);
    expect(behind({ hardener: 'isocyanate', carrier: 'solvent' })).toContain(
      'breathing-not-enough',
    );
    expect(behind({ hardener: 'none', carrier: 'solvent' })).toContain('vapour-not-filtered');
    expect(behind({ hardener: 'none', carrier: 'solvent' })).not.toContain('breathing-not-enough');
  });

  it('tells every reason at once', () => {
    const codes = gateOf({
      ...inOrder,
      place: 'closedGarage',
      regionRules: { twoPackAtHome: 'prohibited' },
      protection: { breathing: 'cartridge', skin: false, eyes: false },
      extraction: 'householdFan',
      roomExtraction: 'off',
      ignition: ['heater'],
      bystanders: true,
    }).verdicts.filter(({ level }) => level === 'stop');
    expect(codes.map(({ code }) => code).sort()).toEqual(
      [
        'place-unfit',
        'place-unfit',
        'breathing-not-enough',
        'skin-or-eyes-bare',
        'extraction-not-there',
        'fan-not-rated',
        'ignition-near',
        'bystanders-near',
      ].sort(),
    );
    expect(codes.find(({ code }) => code === 'skin-or-eyes-bare')!.params).toEqual({
      what: 'skin and eyes',
    });
  });

  it('holds the breathing air, and is silent once it was looked at', () => {
    const codes = (breathingAirChecked?: boolean) =>
      gateOf({
        ...inOrder,
        ...(breathingAirChecked === undefined ? {} : { breathingAirChecked }),
      }).verdicts.map(({ code }) => code);
    expect(codes(false)).toContain('breathing-air-doubtful');
    expect(codes()).toContain('breathing-air-unchecked');
    expect(codes(true)).toEqual(['gate-passed']);
  });

  it('after spraying counts the minutes: extraction on until the fog is out, then it may rest', () => {
    const after = (minutesSinceSpray: number, extraction: 'on' | 'off') =>
      gateOf({
        ...inOrder,
        breathingAirChecked: true,
        step: 'after',
        minutesSinceSpray,
        extraction,
      });
    fc.assert(
      fc.property(fc.double({ min: 0, max: RUN_ON_MINUTES - 0.01, noNaN: true }), (minutes) => {
        const [running, off] = [after(minutes, 'on'), after(minutes, 'off')];
        const runOn = running.verdicts.find(({ code }) => code === 'extraction-run-on');
        return (
          running.passed &&
          runOn?.params?.['remainingMinutes'] === RUN_ON_MINUTES - minutes &&
          !off.passed
        );
      }),
    );
    expect(after(RUN_ON_MINUTES, 'off').passed).toBe(true);
  });

  it('lets nothing be heated before the vapour is out', () => {
    const heat = (
      minutesSinceSpray?: number,
      vapourCleared?: boolean,
      extraction: 'on' | 'off' = 'on',
    ) =>
      gateOf({
        ...inOrder,
        step: 'bake',
        extraction,
        ...(minutesSinceSpray === undefined ? {} : { minutesSinceSpray }),
        ...(vapourCleared === undefined ? {} : { vapourCleared }),
      });
    expect(heat().asks.map(({ field }) => field)).toEqual(['minutesSinceSpray', 'vapourCleared']);
    expect(heat(PURGE_MINUTES - 1, true).passed).toBe(false);
    expect(heat(60, false).passed).toBe(false);
    expect(heat(60, true, 'off').passed).toBe(false);
    expect(heat(60, true).passed).toBe(true);
  });

  it('says at each step what belongs there', () => {
    expect(gateOf({ ...inOrder, step: 'clean' }).verdicts.map(({ code }) => code)).toContain(
      'cleaning-solvents',
    );
    expect(
      gateOf({ ...inOrder, step: 'after', minutesSinceSpray: 2 }).verdicts.map(({ code }) => code),
    ).toContain('extraction-run-on');
  });
});
