/** What stands at the door: for the first lead, for a device nobody knows, for who paints here. */
import type { WhoIsHere } from '@orthochrom/contract/shop/signIn.ts';
import { ROLES } from '@orthochrom/contract/shop/signIn.ts';
import { describe, expect, it } from 'vitest';
import { useAtTheDoor } from '../src/frame/useAtTheDoor.tsx';
import { ADDRESS } from '../src/api/resources.ts';
import { ROLE_WORD, SignInPage } from '../src/signIn/SignInPage.tsx';
import { drawn } from './drawn.tsx';

const PEOPLE: WhoIsHere['painters'] = [
  { id: 'i', name: 'Ines', role: 'lead', hasPin: true },
  { id: 't', name: 'Tove', role: 'apprentice', hasPin: false },
];
const BENCH = { id: 'b', name: 'Mixing bench' };
const who = (over: Partial<WhoIsHere> = {}): WhoIsHere => ({
  isAsked: true,
  wantsCode: false,
  isEmpty: false,
  painters: [],
  ...over,
});
const door = (over: Partial<WhoIsHere>) => drawn(<SignInPage who={who(over)} />);
const titleOf = (html: string) => /<h1>(.*?)<\/h1>/.exec(html)![1];

describe('the door', () => {
  it('asks the first lead for the code, whatever else is so', () => {
    expect(titleOf(door({ wantsCode: true }))).toBe('The first lead');
    expect(titleOf(door({ wantsCode: true, device: BENCH }))).toBe('The first lead');
  });
  it('tells a device that nobody knows no name, and lets it in by a lead alone', () => {
    const html = door({ painters: PEOPLE });
    expect(titleOf(html)).toBe('This device is not known here');
    for (const { name } of PEOPLE) expect(html).not.toContain(name);
    expect(html).toMatch(/<button[^>]*disabled[^>]*type="submit"/);
  });
  it('names who paints here and what each is; one without a PIN is told who gives it', () => {
    const html = door({ device: BENCH, painters: PEOPLE });
    expect(titleOf(html)).toBe('Who is painting?');
    expect(html).toMatch(/Ines<small>lead<\/small>/);
    expect(html).toMatch(/Tove<small>no PIN yet[^<]*<\/small>/);
    expect(html).toContain('This is Mixing bench.');
  });
  it('asks for no PIN before a name is touched', () => {
    expect(door({ device: BENCH, painters: PEOPLE })).not.toContain('PIN of ');
  });
  it('has a word for every role', () => {
    for (const role of ROLES) expect(ROLE_WORD[role]).toBeTruthy();
  });
});

describe('before the pages', () => {
  const SETUP = { painters: [{ id: 'i', name: 'Ines' }], shop: { timeZone: 'Europe/London' } };
  /** What the frame would show: who is in, who was, or what stands before it. */
  function Frame() {
    const { state, within, door: before } = useAtTheDoor();
    return (
      <p>
        {state ? `in: ${state.painter.name}, ${state.role}` : 'nobody'}
        {within ? ' with pages' : ' without pages'}
        {before ? ' behind a door' : ''}
      </p>
    );
  }
  const frame = (answer: WhoIsHere | undefined) =>
    drawn(<Frame />, {
      reads: { [ADDRESS.setup]: SETUP, ...(answer ? { [ADDRESS.signIn]: answer } : {}) },
    });

  it('whoever signed in is in, as what the shop says he is', () => {
    const me = PEOPLE[0]!;
    expect(frame(who({ device: BENCH, me }))).toContain('in: Ines, lead with pages');
  });
  it('where no PIN is asked everybody leads', () => {
    expect(frame(who({ isAsked: false }))).toContain('in: Ines, lead');
  });
  it('nobody sees a page before it is known who is there', () => {
    expect(frame(undefined)).toContain('nobody without pages');
  });
  it('a stranger stands behind the door, without what lies behind it', () => {
    expect(frame(who())).toContain('nobody without pages behind a door');
  });
});
