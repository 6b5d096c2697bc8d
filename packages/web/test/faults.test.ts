import { theKnowledge } from '@orthochrom/contract/knowledge/knowledge.ts';
import { describe, expect, it } from 'vitest';
import { benchOf } from '../src/faults/benchOf.ts';
import { answered, faultsByWords } from '../src/faults/draft.ts';
import { DRAWN_AS, PATTERN_OF } from '../src/faults/drawings/drawnAs.ts';
import { SHOWN_AS } from '../src/faults/drawings/closeUps.ts';
import { SECTIONS } from '../src/faults/drawings/Section.tsx';
import { VIEWS } from '../src/faults/drawings/View.tsx';
import { scattered, WIDTH, HEIGHT } from '../src/faults/drawings/scatter.ts';
import { movedTo } from '../src/faults/moves.ts';
import { barOf, BAR_WIDTH, drawnPush, PUSH_WIDTH, timesText } from '../src/faults/rankingLayout.ts';

describe('the words of the trade', () => {
  it.each([
    ['orange peel', 'OP_UA'],
    ['tiger stripes', 'STRIPE'],
    ['cissing', 'FISHEYE'],
    ['there is a curtain on the door', 'SAG'],
    ['sink-back', 'DIEBACK'],
    ['pinholes', 'PIN_WB'],
    ['it went dull', 'DIEBACK'],
    ['delamination', 'PEEL'],
    ['bed-liner look', 'OP_UA'],
    ['microfoam', 'FOAM'],
    ['blotchy', 'MOTTLE'],
    ['heavy ends', 'GUNPAT'],
  ])('“%s” finds %s', (typed, fault) => {
    expect(
      faultsByWords(typed)
        .slice(0, 3)
        .map(({ id }) => id),
    ).toContain(fault);
  });
  it('lead to what one would point at first', () => {
    expect(faultsByWords('fisheye')[0]).toMatchObject({ id: 'FISHEYE', family: 'round_craters' });
    expect(faultsByWords('x')).toEqual([]);
  });
});

describe('drawings', () => {
  it('stand for answers that there are', () => {
    const { questions, causeQuestions } = theKnowledge().files.questions;
    const all = [...Object.entries(DRAWN_AS), ...Object.entries(PATTERN_OF)];
    for (const [question, drawn] of all) {
      const options = Object.keys(
        [...questions, ...causeQuestions].find(({ id }) => id === question)!.options,
      );
      expect(options).toEqual(expect.arrayContaining(Object.keys(drawn)));
    }
  });
  it('all have a picture, and no answer two', () => {
    for (const [question, drawn] of Object.entries(DRAWN_AS))
      for (const [option, name] of Object.entries(drawn)) {
        expect([SHOWN_AS, SECTIONS, VIEWS].filter((pictures) => name in pictures)).toHaveLength(1);
        expect(PATTERN_OF[question]?.[option]).toBeUndefined();
      }
  });
  it('keep their marks on the panel and apart', () => {
    const marks = scattered(3, 30, [2, 4], 12);
    for (const { x, y } of marks) expect(x > 0 && x < WIDTH && y > 0 && y < HEIGHT).toBe(true);
    marks.forEach((a, i) =>
      marks
        .slice(i + 1)
        .forEach((b) => expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeGreaterThanOrEqual(12)),
    );
  });
});

describe('the ranking', () => {
  it('draws a whole bar for what is certain, and half of it for half', () => {
    expect([barOf(0), barOf(0.5), barOf(1)]).toEqual([0, BAR_WIDTH / 2, BAR_WIDTH]);
  });
  it('draws what speaks for to the right of the middle and what speaks against to the left, within its width', () => {
    const [pro, contra, huge] = [drawnPush(1), drawnPush(-1), drawnPush(40)];
    expect(pro.x).toBe(PUSH_WIDTH / 2);
    expect(contra.x + contra.width).toBeCloseTo(PUSH_WIDTH / 2);
    expect(huge.x + huge.width).toBeLessThanOrEqual(PUSH_WIDTH);
    expect([pro.speaksFor, contra.speaksFor]).toEqual([true, false]);
  });
  it('says how many times', () => {
    expect([timesText(Math.log(8)), timesText(-Math.log(5)), timesText(0.01)]).toEqual([
      '8.0 × for',
      '5.0 × against',
      'says little',
    ]);
  });
});

it('an answer given again stands where it stood', () => {
  const first = [
    { question: 'a', answer: '1' },
    { question: 'b', answer: '2' },
  ];
  expect(answered(first, { question: 'a', answer: '3' })).toEqual([
    { question: 'a', answer: '3' },
    { question: 'b', answer: '2' },
  ]);
  expect(answered(first, { question: 'c', answer: '3' })).toHaveLength(3);
});

it('a change moves a setting by its step, and not where that would lead nowhere', () => {
  expect(movedTo({ setting: 'inletKPa', by: 20.7 }, 172)).toBeCloseTo(192.7);
  expect(movedTo({ setting: 'wetFilmUm', times: 0.8 }, 60)).toBe(48);
  expect(movedTo({ setting: 'fluidTurnsOut', by: -0.5 }, 0.5)).toBeUndefined();
});

it('one thing seen begins the bench; several leave the first question open', () => {
  const coat = { id: 'c', ticketId: 't' };
  expect(benchOf(coat, ['pops'])).toMatch(/ticket=t&coat=c&family=tiny_holes_or_blisters$/);
  expect(benchOf(coat, ['pops', 'run'])).toMatch(/coat=c$/);
});
