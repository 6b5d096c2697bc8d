/** The car as it is touched, and a step as large as the card. */
import { prepOf } from '@orthochrom/core/prep/prep.ts';
import { PREP_KINDS } from '@orthochrom/core/prep/stepKinds.ts';
import { BODIES } from '@orthochrom/core/body/bodyMap.ts';
import { unfolded } from '@orthochrom/core/body/unfolded.ts';
import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import { roundedPath, touchBox, turned } from '../src/ticket/body/bodyPath.ts';
import { PrepStepLarge } from '../src/ticket/prep/PrepStepLarge.tsx';
import { answerWord, stepHow, stepTitle } from '../src/ticket/prep/prepWords.ts';

describe('a panel that is touched', () => {
  it('is no smaller than a finger, and never smaller than itself', () => {
    for (const body of BODIES)
      for (const { corners } of unfolded(body).panels) {
        const { x, y, width, height } = touchBox(corners, 40);
        expect(Math.min(width, height)).toBeGreaterThanOrEqual(40 - 1e-9);
        for (const [cornerX, cornerY] of corners) {
          expect(cornerX).toBeGreaterThanOrEqual(x);
          expect(cornerX).toBeLessThanOrEqual(x + width);
          expect(cornerY).toBeGreaterThanOrEqual(y);
          expect(cornerY).toBeLessThanOrEqual(y + height);
        }
      }
  });
  it('is drawn shut, through all of its corners, and turned back is as it was', () => {
    const { corners } = unfolded('saloon').panels[0]!;
    const drawn = roundedPath(corners, 4);
    expect(drawn.startsWith('M ') && drawn.endsWith(' Z')).toBe(true);
    expect(drawn.match(/Q/g)).toHaveLength(corners.length);
    expect(corners.map(turned).map(turned)).toEqual(corners);
  });
});

const list = prepOf({
  panels: [{ name: 'door', found: [{ history: 'filler', lastGrit: 'P80' }], foreign: true }],
  stages: [
    { name: 'primer', stage: 'primer', build: true, carrier: 'solvent', hardener: 'isocyanate' },
    { name: 'base', stage: 'base', carrier: 'solvent', finish: 'silver' },
    { name: 'clear', stage: 'clear', carrier: 'solvent', hardener: 'isocyanate' },
  ],
  room: { place: 'booth', extraction: 'on' },
});

describe('a step of the list', () => {
  it('says what to do first, then how, and what follows without it', () => {
    const sand = list.steps.find(({ kind }) => kind === 'sand')!;
    const html = renderToStaticMarkup(
      <PrepStepLarge step={sand} at={4} of={list.steps.length} isHeld then={[]}>
        {null}
      </PrepStepLarge>,
    );
    expect(html).toContain('Sand P220 to P320');
    expect(html).toContain('This step is never left out.');
    expect(html.indexOf('Sand P220')).toBeLessThan(html.indexOf('P600'));
  });
  it('has a title, a how and a word for every answer, whatever its kind', () => {
    const seen = new Set(list.steps.map(({ kind }) => kind));
    expect(PREP_KINDS.filter((kind) => seen.has(kind)).length).toBeGreaterThan(18);
    for (const step of list.steps) {
      expect(stepTitle(step)).not.toBe('');
      expect(stepHow(step).length).toBeGreaterThan(0);
      for (const answer of step.gate?.options ?? ['done'])
        expect(answerWord(step.kind, answer)).toMatch(/^[A-Z]/);
    }
  });
});
