/** Where two sides of a clash differ. */
import { expect, it } from 'vitest';
import { differences } from '../src/api/clash.ts';

it('a clash shows only where the two sides differ, by field', () => {
  const mine = {
    version: 3,
    name: 'Heron',
    gun: { class: 'hvlp', nozzlesMm: [1.3] },
    note: 'bent',
  };
  const theirs = {
    version: 4,
    name: 'Heron',
    gun: { class: 'hvlp', nozzlesMm: [1.3, 1.4] },
    note: 'new',
    shopId: 'x',
  };
  expect(differences(mine, theirs)).toEqual([
    { field: 'gun › nozzlesMm', mine: '[1.3]', theirs: '[1.3,1.4]' },
    { field: 'note', mine: 'bent', theirs: 'new' },
  ]);
});
