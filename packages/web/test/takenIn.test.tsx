/** The car as it is touched, and a step as large as the card. */
import { ask } from '@orthochrom/contract/calculations/ask.ts';
import { quantityCalculation } from '@orthochrom/contract/calculations/quantity.ts';
import { prepOf } from '@orthochrom/core/prep/prep.ts';
import { PREP_KINDS } from '@orthochrom/core/prep/stepKinds.ts';
import { BODIES } from '@orthochrom/core/body/bodyMap.ts';
import { unfolded } from '@orthochrom/core/body/unfolded.ts';
import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import { drawn, METRIC } from './drawn.tsx';
import { roundedPath, touchBox, turned } from '../src/ticket/body/bodyPath.ts';
import { PrintedScale } from '../src/settings/PrintedScale.tsx';
import { Card } from '../src/ticket/ground/Card.tsx';
import { HowMuch } from '../src/ticket/mix/HowMuch.tsx';
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

describe('how much', () => {
  const asked = {
    panels: [
      { name: 'door', areaM2: 1 },
      { name: 'wing', areaM2: 1, scope: 'blend' as const },
    ],
    coats: 2,
    wetFilmUm: 40,
    transferEfficiencyPercent: 65,
    wastePercent: 10,
    lineAndCupLossMl: 30,
  };
  const said = (more: object): string =>
    drawn(
      <HowMuch
        quantity={ask(quantityCalculation, { ...asked, ...more })}
        painter={{ units: METRIC } as never}
      />,
    );
  it('is a band, and a blend shows its half', () => {
    const { readyMl } = ask(quantityCalculation, asked);
    const html = said({});
    expect(html).toContain('wing, 50 %');
    expect(readyMl.low).toBeLessThan(readyMl.high);
    expect(html).toContain('Nothing is known of your hand yet');
  });
  it('tells the hand and its jobs once there are some', () => {
    expect(said({ history: [{ plannedMl: 600, usedMl: 700 }] })).toMatch(
      /Your hand 1\.\d\d, 1 job\./,
    );
  });
  it('says what each cup covers where one does not do', () => {
    const html = said({ laps: true, cup: { capacityMl: 150 } });
    expect(html).toMatch(/coat 1: door/);
    expect(said({})).not.toMatch(/coat 1: door/);
  });
});

describe('a printed scale', () => {
  it('has a column a part, the same line in each, and no numbers on one another', () => {
    const scale = (mlPerPart: number) =>
      drawn(<PrintedScale scale={{ ratio: [4, 1, 1], mlPerPart }} capacityMl={600} />);
    expect(scale(20)).toContain('column 3 with 5 lines, the first at 120 ml');
    const numbers = (html: string) => html.match(/class="[^"]*number[^"]*"/g)?.length ?? 0;
    expect(numbers(scale(20))).toBe(15);
    // Fifty lines a column: not each is numbered.
    expect(numbers(scale(2))).toBeLessThan(60);
  });
});

it('a card is its ground and the coats over it, the wanted step of a wedge framed', () => {
  const html = drawn(<Card colours={['#c4c6c8', '#b0505a', '#a01018']} framed={2} />);
  expect(html.match(/background:/g)).toHaveLength(3);
  expect(html).toContain('2 coats: #a01018');
  expect(html.match(/framed/g)).toHaveLength(1);
});
