/** A step where nothing is to be done: what it says, and where it leads. */
import { planCoat } from '@orthochrom/contract/plan/planCoat.ts';
import type { Coat } from '@orthochrom/contract/shop/coat.ts';
import type { Mix } from '@orthochrom/contract/shop/ticket.ts';
import { describe, expect, it } from 'vitest';
import { contextFor } from '../../contract/test/demoContext.ts';
import { ADDRESS } from '../src/api/resources.ts';
import { CleanCard } from '../src/ticket/clean/CleanCard.tsx';
import { AWAITED_WORDS, IdleStep } from '../src/ticket/step/IdleStep.tsx';
import { drawn } from './drawn.tsx';
import { coat, iso, NOW, stage, whole } from './ticketFixture.ts';

const nothing = () => undefined;
const toNext = { next: 'gate', onNext: nothing } as const;

it('a step before its turn says what it waits for and leads to what is next', () => {
  const html = drawn(<IdleStep {...toNext}>{AWAITED_WORDS.flash}</IdleStep>);
  expect(html).toContain('once it has flashed');
  expect(html).toContain('What is next: Gate');
});

describe('the card of a clean gun', () => {
  const context = contextFor('tarnside-single', 22);
  const card = (state: Coat['state'], changes: Partial<Coat>, mixes: Mix[] = []) => {
    const one = coat('1', 'a', 1, state, changes);
    const props = {
      context,
      plan: planCoat(context),
      painter: context.painter,
      stage: stage('a', 1),
    };
    return drawn(
      <CleanCard
        {...props}
        whole={{ ...whole([one]), mixes, usages: [] }}
        coat={one}
        keep={nothing}
        follow={nothing}
        gate={undefined}
        toNext={toNext}
      />,
      { reads: { [ADDRESS.care]: [{ gunId: context.gun.id, due: [] }] } },
    );
  };
  it('claims no cleaning after a coat that was never sprayed, and leads on', () => {
    const html = card('planned', {});
    expect(html).toContain('Nothing of this coat has gone through it.');
    expect(html).toContain('What is next:');
  });
  it('leads on from a cup that stands, too', () => {
    const poured = { id: 'm', version: 1, stageId: 'a', coatId: '1', poured: [] } as unknown as Mix;
    const html = card('taken', {}, [poured]);
    expect(html).toContain('Nothing of this coat has gone through it.');
    expect(html).toContain('What is next:');
  });
  it('says it was kept once the coat is on', () => {
    const html = card('sprayed', { startedAt: iso(NOW), endedAt: iso(NOW) });
    expect(html).toContain('It was kept after this coat.');
    expect(html).not.toContain('What is next:');
  });
});
