/** The pages of the shop itself: an empty one, its people, its file, and what a hand takes. */
import type { Painter, ShopSetup } from '@orthochrom/contract/shop/setup.ts';
import { ROLES } from '@orthochrom/contract/shop/signIn.ts';
import type { Usage } from '@orthochrom/contract/shop/usage.ts';
import { describe, expect, it } from 'vitest';
import { drawn } from './drawn.tsx';
import { ADDRESS } from '../src/api/resources.ts';
import { FirstRun } from '../src/firstRun/FirstRun.tsx';
import { NextSteps } from '../src/firstRun/NextSteps.tsx';
import { ForRole } from '../src/frame/ForRole.tsx';
import { HandLearned } from '../src/settings/HandLearned.tsx';
import { PeopleSettings } from '../src/settings/PeopleSettings.tsx';
import { WholeShop } from '../src/settings/WholeShop.tsx';

const count = (html: string, word: string | RegExp) => html.split(word).length - 1;

describe('an empty shop', () => {
  it('is opened by nothing until it lacks nothing, and says what lacks', () => {
    const html = drawn(<FirstRun isAsked={false} />);
    expect(html).toMatch(/<button[^>]*disabled[^>]*type="submit"/);
    expect(html).toMatch(/role="status">[^<]+</);
  });
  it('takes the file of a shop in its place, but not from whoever has no PIN yet', () => {
    expect(drawn(<FirstRun isAsked={false} />)).toContain('Or bring a shop of before');
    expect(drawn(<FirstRun isAsked />)).not.toContain('Or bring a shop of before');
  });
  it('asks for code and PIN only where a network is open', () => {
    for (const isAsked of [true, false])
      expect(drawn(<FirstRun isAsked={isAsked} />).includes('Code of the machine')).toBe(isAsked);
  });

  const setup = (guns: object[]) => ({ guns }) as unknown as ShopSetup;
  const sheets = (recipes: object[]) => [{ sheet: { recipes } }] as never;
  it('leads on by the first thing that lacks, one at a time', () => {
    const first = (html: string) => /data-variant="filled"[^>]*>.*?<\/a>/.exec(html)![0];
    const bare = drawn(<NextSteps setup={setup([])} sheets={[]} />);
    expect(first(bare)).toContain('Describe a gun');
    expect(count(bare, 'data-variant="filled"')).toBe(1);
    const armed = drawn(<NextSteps setup={setup([{}])} sheets={sheets([])} />);
    expect(first(armed)).toContain('Type a sheet');
    expect(count(armed, '✓')).toBe(2);
    const ready = drawn(<NextSteps setup={setup([{}])} sheets={sheets([{}])} />);
    expect(first(ready)).toContain('Take in a job');
  });
});

describe('people and tablets', () => {
  const painters = ['Ines', 'Tove'].map((name) => ({ id: name, name }) as unknown as Painter);
  const page = (isAsked: boolean, devices: object[] = []) =>
    drawn(<PeopleSettings />, {
      reads: {
        [ADDRESS.setup]: { painters },
        [ADDRESS.devices]: devices,
        [ADDRESS.signIn]: {
          isAsked,
          painters: [{ id: 'Ines', hasPin: true }],
          device: { id: 'bench', name: 'Mixing bench' },
        },
      },
    });
  it('say of each whether a PIN is there', () => {
    const html = page(true);
    expect(count(html, 'Give a new PIN…')).toBe(1);
    expect(count(html, 'Give a PIN…')).toBe(1);
  });
  it('say that none is asked where only this machine is answered', () => {
    expect(page(false)).toContain('so no PIN is asked');
    expect(page(true)).not.toContain('so no PIN is asked');
  });
  it('list the tablets that are trusted, each to be trusted no more', () => {
    const lastSeenAt = '2026-03-02T10:00:00Z';
    const html = page(true, [
      { id: 'bench', name: 'Mixing bench', lastSeenAt },
      { id: 'bay', name: 'Bay one', lastSeenAt },
    ]);
    expect(count(html, '<li')).toBe(2);
    expect(html).toContain('Bay one');
    expect(page(true)).not.toContain('Trusted tablets');
  });
});

it.each(ROLES)('what %s may not do is not shown', (role) => {
  const shown = ROLES.filter((atLeast) =>
    drawn(<ForRole atLeast={atLeast}>here</ForRole>, { role }).includes('here'),
  );
  expect(shown).toContain(role);
  expect(shown).toContain('apprentice');
  expect(shown.includes('lead')).toBe(role === 'lead');
});

it('the whole shop goes out by a link and comes in by a file, and PINs stay', () => {
  const html = drawn(<WholeShop />);
  expect(html).toMatch(new RegExp(`<a[^>]*href="${ADDRESS.wholeShop}"[^>]*download`));
  expect(html).toContain('PINs and trusted tablets are not in it');
  expect(html).toContain('nothing is changed before you say so');
});

describe('what a hand takes', () => {
  const painter = { id: 'Ines', name: 'Ines', units: { volume: 'ml' } } as unknown as Painter;
  const job = (i: number, usedMl: number, more: object = {}) =>
    ({
      id: `${i}`,
      stageId: `${i}`,
      painterId: 'Ines',
      group: 'clear',
      at: `2026-03-0${i}T10:00:00Z`,
      plannedMl: 500,
      usedMl,
      counts: true,
      ...more,
    }) as unknown as Usage;
  const page = (usages: Usage[]) =>
    drawn(<HandLearned painter={painter} />, { reads: { [ADDRESS.setup]: { usages } } });
  it('is not learned before a job was told', () => {
    expect(page([])).toContain('not learned yet');
    expect(page([job(1, 600, { painterId: 'Tove' })])).toContain('not learned yet');
  });
  it('says which jobs it is from, and lets each be set aside or counted again', () => {
    const html = page([job(1, 600), job(2, 590), job(3, 610, { counts: false })]);
    expect(html).toContain('Clear 1.');
    expect(count(html, '<li')).toBe(3);
    expect(count(html, 'Set it aside')).toBe(2);
    expect(count(html, 'It counts')).toBe(1);
    expect(html).toContain('set aside');
  });
});
