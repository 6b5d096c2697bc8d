/** A sheet gets a newer issue: what is planned says so and may go over, what was planned stays. */
import type { Sheet } from '@orthochrom/contract/sheet/sheet.ts';
import type { SheetVersion, TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { expect, test } from '@playwright/test';
import { expectAccessible } from './accessible.ts';
import { call } from './call.ts';
import { passGate } from './coatAhead.ts';
import { goTo, openTicketForm, ownTicket, press, steerProbe, TEN_O_CLOCK } from './shop.ts';

test.beforeEach(() => steerProbe({ minute: TEN_O_CLOCK, shiftC: 0 }));

/** A clear of which no other journey knows. */
async function ownClear(id: string, name: string): Promise<Sheet> {
  const sheets = await call<SheetVersion[]>('GET', '/sheets');
  const { sheet } = sheets.find((version) => version.sheet.id === 'tarnside-clear-hs')!;
  return (await call<SheetVersion>('POST', '/sheets', { ...sheet, id, name, number: 1 })).sheet;
}
/** The maker prints it again, with another pot life. */
const printAgain = (sheet: Sheet, minutes: number): Promise<SheetVersion> =>
  call('POST', '/sheets', {
    ...sheet,
    number: sheet.number + 1,
    recipes: sheet.recipes!.map((recipe) => ({
      ...recipe,
      potLife: { ...recipe.potLife!, minutes },
    })),
  });

test('a newer issue is told at the mix; the stage goes over, and the record says by which it was planned', async ({
  page,
}) => {
  const clear = await ownClear('own-clear', 'Tarnside Own Clear');
  const id = await ownTicket('Linnet hatchback, printed again', 'clear', {
    sheetId: clear.id,
    recipeName: clear.recipes![0]!.name,
    coats: 2,
  });
  await printAgain(clear, 55);
  await passGate(id);
  await page.goto(`/tickets/${id}`);
  await press(page, 'Air is right: on to the mix');
  const told = page.getByText(/goes by issue 1, issue 2 differs in one figure/);
  await expect(told).toBeVisible();

  await openTicketForm(page);
  const issue = page.getByRole('note').filter({ hasText: 'Goes by issue 1' });
  await issue.getByText('One figure differs').click();
  const differs = page.getByRole('region', { name: 'Issue 2 against issue 1' });
  await expect(differs.getByRole('row', { name: /Pot life.* 90 min 55 min/ })).toBeVisible();
  await expectAccessible(page);
  await press(page, 'Go by issue 2');
  await expect(issue).toHaveCount(0);
  await press(page, 'Save this ticket');

  // Another paint, for all the gate knows: it is asked anew.
  await expect(page.getByRole('radiogroup', { name: 'Breathing', exact: true })).toBeVisible();
  await passGate(id);
  await page.reload();
  await press(page, 'Air is right: on to the mix');
  await press(page, /Take this plan and pour/);
  await expect(page.getByRole('button', { name: 'As listed' })).toBeVisible();
  await expect(told).toHaveCount(0);

  await openTicketForm(page);
  const begun = await call<TicketWhole>('GET', `/tickets/${id}`);
  await goTo(page, `/records/${begun.coats[0]!.id}`);
  await page
    .getByRole('region', { name: 'Planned by' })
    .getByRole('link', { name: clear.name })
    .click();
  await expect(page.getByText('Issue 2,').first()).toBeVisible();
  await page.getByRole('link', { name: /^Issue 1,/ }).click();
  await expect(page.getByRole('note')).toContainText('An earlier issue');
  await expect(page.getByRole('link', { name: 'Write the next issue' })).toHaveCount(0);
  await expectAccessible(page);
});

test('a job half written keeps its stages when their sheet gets a newer issue', async ({
  page,
}) => {
  const clear = await ownClear('half-written', 'Tarnside Half Written');
  await page.goto('/tickets/new');
  await page.getByRole('textbox', { name: 'Vehicle or part' }).fill('A boot lid');
  await press(page, 'Half Written');
  await printAgain(clear, 60);
  await page.reload();
  await expect(page.getByText('Goes by issue 1 of its sheet')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Half Written' })).toHaveCount(1);
  await press(page, 'Go by issue 2');
  await expect(page.getByText('Goes by issue 1 of its sheet')).toHaveCount(0);
  await press(page, 'Start over');
});
