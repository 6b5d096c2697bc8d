/** Which coats ask for a test panel, and for which gun and tip one holds. */
import { STAGES } from '@orthochrom/core/trade/vocabulary.ts';
import { describe, expect, it } from 'vitest';
import {
  testPanelBecause,
  testPanelStanding,
  wantsTestPanel,
} from '@orthochrom/contract/plan/testPanel.ts';
import type { Coat } from '@orthochrom/contract/shop/coat.ts';
import type { PlanContext } from '@orthochrom/contract/plan/planContext.ts';

const judged = (kind: string, finish?: string) =>
  ({ stage: { kind, ...(finish ? { finish } : {}) }, sheet: { id: 'paint' } }) as unknown as Pick<
    PlanContext,
    'stage' | 'sheet'
  >;
const coat = (id: string, more: Partial<Coat> = {}): Coat =>
  ({ id, stageId: 's', gunId: 'g', nozzleMm: 1.3, ...more }) as Coat;
const known = { newProducts: [] };

describe('asked for', () => {
  it.each(STAGES)(
    '%s: single stage and clear always, the rest where the product is new',
    (kind) => {
      const always = kind === 'clear' || kind === 'singleStage';
      expect(testPanelBecause(judged(kind), known)).toBe(always ? kind : undefined);
      expect(testPanelBecause(judged(kind), { newProducts: ['paint'] })).toBe(
        always ? kind : 'newProduct',
      );
    },
  );
  it('silver, metallic and pearl', () => {
    for (const finish of ['silver', 'metallic', 'pearl'])
      expect(testPanelBecause(judged('base', finish), known)).toBe('effect');
    expect(testPanelBecause(judged('base', 'solid'), known)).toBeUndefined();
  });
});

describe('holds for this gun and this tip', () => {
  const panel = { at: '', painterId: 'p', gunId: 'g', nozzleMm: 1.3 };
  const wants = (coats: Coat[]) =>
    wantsTestPanel(judged('clear'), { ...known, coats }, coats.at(-1)!);
  it('asked once, then not again', () => {
    expect(wants([coat('a')])).toBe(true);
    expect(wants([coat('a', { testPanel: panel })])).toBe(false);
    expect(wants([coat('a', { testPanel: panel }), coat('b')])).toBe(false);
    expect(wants([coat('a', { endedAt: 'then' }), coat('b')])).toBe(false);
  });
  it('another gun, another tip or another stage is another start', () => {
    for (const other of [{ gunId: 'h' }, { nozzleMm: 1.4 }, { stageId: 't' }])
      expect(wants([coat('a', { testPanel: panel, endedAt: 'then' }), coat('b', other)])).toBe(
        true,
      );
  });
  it('left out is said, never silently', () => {
    const whole = {
      ...known,
      coats: [coat('a', { testPanel: { ...panel, skippedBecause: 'dark' } })],
    };
    const [said] = testPanelStanding(judged('clear'), whole, whole.coats[0]!);
    expect(said).toMatchObject({ code: 'test-panel-left-out', level: 'caution' });
    expect(said!.message).toContain('dark');
  });
});
