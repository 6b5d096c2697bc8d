/** Single cases in which two rules once disagreed on one gun: each has one answer now. */
import { describe, expect, it } from 'vitest';
import { coatInput } from '../src/plan/coatInput.ts';
import { planCoat, stopsOf } from '../src/plan/planCoat.ts';
import { ask } from '../src/calculations/ask.ts';
import { coatCalculation } from '../src/calculations/coat.ts';
import { pressureCalculation } from '../src/calculations/pressure.ts';
import { setupCalculation } from '../src/calculations/setup.ts';
import type { InputOf } from '../src/registry.ts';
import { contextFor, guns } from './demoContext.ts';

const codesOf = ({ verdicts }: { verdicts: readonly { code: string }[] }) =>
  verdicts.map(({ code }) => code);
const gunNamed = (name: string) => guns.find((gun) => gun.name === name)!;
const HVLP: InputOf<'setup'>['gun'] = { class: 'hvlp', nozzlesMm: [1.3] };

describe('the gun', () => {
  const own = (inletKPa: number, gun = HVLP, more: object = {}) =>
    ask(pressureCalculation, {
      value: inletKPa,
      unit: 'kPa',
      at: 'inlet',
      flowing: 'yes',
      gun,
      stage: 'base',
      ...more,
    });

  it('has its leaflet’s band in place of the practice band, not within it', () => {
    const leaflet = { ...HVLP, leafletInletKPa: [140, 230] as [number, number] };
    expect(codesOf(own(200))).toContain('inlet-outside-band');
    expect(codesOf(own(200, leaflet))).not.toContain('inlet-outside-band');
  });

  it('has a stop at the cap only where a limit is set', () => {
    expect(own(250).verdicts.filter(({ level }) => level === 'stop')).toEqual([]);
    expect(codesOf(own(250))).toContain('cap-over-hvlp');
    expect(codesOf(own(250, HVLP, { capLimitKPa: 69 }))).toContain('cap-over-legal-limit');
  });

  it('for a jamb is not held under a figure that its own cap passes', () => {
    const asked = {
      gun: HVLP,
      stage: 'clear',
      carrier: 'solvent',
      place: 'booth',
      part: 'jamb',
      hardener: 'isocyanate',
    } as const;
    const free = ask(setupCalculation, asked);
    expect(free.reasons.map(({ code }) => code)).not.toContain('cap-bounds-inlet');
    for (const capLimitKPa of [50, 60, 69]) {
      const held = ask(setupCalculation, { ...asked, capLimitKPa });
      expect(held.capKPa).toBeLessThanOrEqual(capLimitKPa + 0.05);
      expect(codesOf(held).filter((code) => code.startsWith('cap-over'))).toEqual([]);
    }
  });

  it('closed at the fan is stopped where its cap passes the limit', () => {
    const context = contextFor('tarnside-clear-ms', 22, { gun: gunNamed('Heron') });
    const { nozzleMm, inletKPa, fluidTurnsOut, distanceMm, overlapPercent, wetFilmUm } =
      planCoat(context).setup;
    const closed = {
      nozzleMm,
      inletKPa,
      fluidTurnsOut,
      fanTurnsOut: 0,
      distanceMm,
      overlapPercent,
      wetFilmUm,
    };
    expect(stopsOf(planCoat({ ...context, own: closed })).map(({ code }) => code)).toContain(
      'cap-over-legal-limit',
    );
  });

  it('is never told that 19 psi lies outside 19 to 27', () => {
    const PSI = 6.894757;
    for (let psi = 10; psi < 40; psi += 0.05)
      for (const { code, message } of own(psi * PSI, HVLP, {
        sheet: { inletKPa: [19.2 * PSI, 27.3 * PSI] },
      }).verdicts) {
        if (code !== 'inlet-outside-band') continue;
        const [told, low, high] = [psi, 19.2, 27.3].map(Math.round);
        expect(told! < low! || told! > high!, message).toBe(true);
      }
  });

  it('tested with a comb is foreseen to lay what it is aimed at', () => {
    const context = contextFor('tarnside-build', 22, { gun: gunNamed('Bittern') });
    const plan = planCoat(context);
    const { film, risks } = ask(coatCalculation, coatInput(context, plan));
    expect(film.wetUm.value / plan.setup.wetFilmUm).toBeCloseTo(1, 2);
    expect(risks.pop!.value).toBeLessThan(0.4);
  });

  it('pours the same paint in the plan and in the forecast', () => {
    for (const id of ['tarnside-clear-ms', 'tarnside-build', 'tarnside-sb-metallic']) {
      const context = contextFor(id, 22, { gun: gunNamed('Heron') });
      const plan = planCoat(context);
      const foreseen = ask(coatCalculation, { ...coatInput(context, plan), spread: false });
      expect(foreseen.fluidMlPerMin / plan.setup.fluidMlPerMin).toBeCloseTo(1, 6);
      expect(foreseen.dropletUm.value / plan.setup.dropletUm!.value).toBeCloseTo(1, 6);
    }
  });
});
