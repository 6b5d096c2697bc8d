import { expect, it } from 'vitest';
import type { FoundLayer } from '@orthochrom/core/layers/foundLayer.ts';
import { changedTests, withLayer } from '../src/ticket/found/foundDraft.ts';

it('an answer taken back was never given', () => {
  expect(changedTests({ tape: 'holds' }, 'patch', 'held')).toEqual({
    tape: 'holds',
    patch: 'held',
  });
  expect(changedTests({ patch: 'held' }, 'patch', undefined)).toBeUndefined();
});

it('a layer changes alone, and what is on top was not sanded through', () => {
  const layers: FoundLayer[] = [{ history: 'bareMetal', cutThrough: true }, { history: 'factory' }];
  expect(withLayer(layers, 1, { lastGrit: 'P400' })).toEqual([
    layers[0],
    { history: 'factory', lastGrit: 'P400' },
  ]);
  expect(withLayer(layers, 1, { cutThrough: true })[1]).toEqual({ history: 'factory' });
  expect(withLayer(layers, 0, { dryUm: undefined })).toEqual(layers);
});
