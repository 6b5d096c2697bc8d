/** Issues of a sheet as a painter meets them: what differs, and what goes by which. */
import type { Sheet } from '@orthochrom/contract/sheet/sheet.ts';
import { sheetRows } from '@orthochrom/contract/sheet/sheetDifferences.ts';
import type { ShopSetup, Units } from '@orthochrom/contract/shop/setup.ts';
import type { SheetVersion } from '@orthochrom/contract/shop/ticket.ts';
import { CALCULATION_VERSION } from '@orthochrom/contract/version.ts';
import { formatFor } from '@orthochrom/contract/words/format.ts';
import { describe, expect, it } from 'vitest';
import { sheets } from '../../contract/test/demoContext.ts';
import { differenceText } from '../src/sheets/differenceText.ts';
import { uncoveredText } from '../src/sheets/sheetWords.ts';
import { PlannedBy } from '../src/records/PlannedBy.tsx';
import { StagePicker } from '../src/ticket/form/StagePicker.tsx';
import {
  byIssue,
  emptyDraft,
  newestIssues,
  newStage,
  pinnedBeside,
  stagesBegun,
} from '../src/ticket/form/ticketDraft.ts';
import { drawn, METRIC } from './drawn.tsx';
import { coat, whole } from './ticketFixture.ts';

const inUnits = (units: object) => formatFor({ ...METRIC, ...units } as Units);
const on = (sheet: object, units = {}) => ({ sheet, products: sheets, format: inUnits(units) });
const paint = sheets.find(({ kind, recipes }) => kind === 'clear' && recipes)!;

describe('where two issues differ', () => {
  it.each(sheets.map((sheet) => [sheet.id, sheet] as const))(
    'every figure of %s is said by the label that the form asks it by',
    (_, sheet) => {
      for (const { field, value } of sheetRows(sheet)) {
        const { what, now } = differenceText({ field, was: undefined, now: value }, on(sheet));
        expect(what).not.toContain(field);
        expect(what, field).not.toMatch(/\.\d|undefined/);
        expect(now, field).not.toMatch(/undefined|\[object|NaN/);
      }
    },
  );
  it('a figure is told in the painter’s units, with its recipe and its end', () => {
    const difference = { field: 'recipes.0.wetFilmUm.1', was: 50, now: 76.2 };
    const { what, was, now } = differenceText(difference, on(paint, { film: 'mil' }));
    expect(what).toBe(`Wet film a coat, to (${paint.recipes![0]!.name})`);
    expect([was, now]).toEqual(['2.0 mil', '3.0 mil']);
  });
  it('what was not printed is a dash', () => {
    const added = { field: 'blowerOk', was: undefined, now: true };
    expect(differenceText(added, on(paint))).toMatchObject({ was: '–', now: 'yes' });
  });
});

const version = (id: string, sheet: Sheet): SheetVersion => ({ id, sheet });
const older = version('v1', paint);
const newer = version('v2', {
  ...paint,
  number: paint.number + 1,
  recipes: paint.recipes!.map((recipe) => ({ ...recipe, wetFilmUm: [60, 70] as [number, number] })),
});
const setup = { guns: [], setup: {} } as unknown as ShopSetup;
const draft = emptyDraft('room');
const stage = newStage(older, draft, setup);
const picker = (pinned: SheetVersion[], begun: string[] = [], changes: object = {}) =>
  drawn(
    <StagePicker
      draft={{ ...draft, stages: [{ ...stage, ...changes }] }}
      setup={setup}
      sheets={pinned}
      begun={new Set(begun)}
      onChange={() => undefined}
      error={undefined}
    />,
  );

describe('the stages of a ticket', () => {
  it('are offered from the newest issue of a sheet alone', () => {
    expect(newestIssues([older, newer])).toEqual([newer]);
    const short = paint.name.replace(`${paint.line} `, '');
    expect(picker([older, newer]).split(`>${short}<`)).toHaveLength(2);
  });
  it('say that a newer one is kept, and may go over until they are begun', () => {
    expect(picker([older])).not.toContain('Goes by issue');
    expect(picker([older, newer])).toContain(`Go by issue ${newer.sheet.number}`);
    expect(picker([older, newer])).not.toContain('It has no recipe');
    expect(picker([older, newer], [], { recipeName: 'gone' })).toContain(
      `It has no recipe gone: the stage would take ${newer.sheet.recipes![0]!.name}.`,
    );
    const begun = picker([older, newer], [stage.id]);
    expect(begun).toContain('it stays with its issue');
    expect(begun).not.toContain('Go by issue');
  });
  it('whose sheet is not in the shop can still be taken off', () => {
    expect(picker([])).toContain('Take stage 1 off');
    expect(pinnedBeside([stage, stage], [newer])).toEqual(['v1']);
    expect(pinnedBeside([stage], [older])).toEqual([]);
  });
  it('keep their recipe where the other issue has it, and take its first where not', () => {
    expect(byIssue(stage, newer)).toEqual({
      sheetVersionId: 'v2',
      recipeName: stage.recipeName,
    });
    expect(byIssue({ ...stage, recipeName: 'gone' }, newer).recipeName).toBe(
      newer.sheet.recipes![0]!.name,
    );
  });
  it('stay with their sheet once a coat of them, or of the hidden face below, is begun', () => {
    expect(stagesBegun(whole([coat('c', 'a', 1, 'planned')]))).toEqual(new Set());
    expect(stagesBegun(whole([coat('c', 'a', 1, 'taken')]))).toEqual(new Set(['a']));
    const both = whole([coat('c', 'a', 1, 'looked')]);
    both.ticket.stages[0]!.face = 'inside';
    expect(stagesBegun(both)).toEqual(new Set(['a', 'b']));
  });
});

describe('a record', () => {
  const planned = (calculationVersion: number) =>
    drawn(
      <PlannedBy
        planned={{
          at: '2026-03-02T10:00:00Z',
          calculationVersion,
          sheetVersionIds: [],
          inputs: {},
          answers: {},
        }}
        issues={[paint]}
      />,
    );
  it('leads to the issue that its coat was planned by', () => {
    expect(planned(CALCULATION_VERSION)).toContain(
      `href="/sheets/${paint.id}?issue=${paint.number}"`,
    );
  });
  it('says that today it might come out otherwise only where the calculations are others', () => {
    expect(planned(CALCULATION_VERSION)).not.toContain('may come out otherwise');
    expect(planned(CALCULATION_VERSION - 1)).toContain('may come out otherwise');
  });
});

it('temperatures that no grade covers are told in the painter’s units', () => {
  const range = { lowC: 15, highC: 25 };
  expect(uncoveredText(range, inUnits({}))).toBe('No grade covers 15.0 to 25.0 °C.');
  expect(uncoveredText(range, inUnits({ temperature: 'F' }))).toBe('No grade covers 59 to 77 °F.');
});
