/** The files of knowledge: whoever edits them is told which file, where in it and what is wrong. */
import { describe, expect, it } from 'vitest';
import { RAW_FILES, type Files, type RawFiles } from '../../src/knowledge/files.ts';
import { knowledgeOf, theKnowledge } from '../../src/knowledge/knowledge.ts';

const changed = (change: (files: Files) => void): RawFiles => {
  const copy = structuredClone(RAW_FILES) as unknown as Files;
  change(copy);
  return copy;
};
const complaint = (change: (files: Files) => void): string => {
  try {
    knowledgeOf(changed(change));
  } catch (fault) {
    return String(fault);
  }
  return '';
};

describe('a mistake in the knowledge', () => {
  it.each<[string, (files: Files) => void, RegExp]>([
    [
      'a probability over 1',
      ({ numbers }) => (numbers.causes['pot_life']!.makes['OP_UA'] = 1.4),
      /numbers\.json, causes › pot_life › makes › OP_UA/,
    ],
    [
      'a fault that is not there',
      ({ numbers }) => (numbers.causes['pot_life']!.makes['GREMLINS'] = 0.4),
      /pot_life: GREMLINS is not known/,
    ],
    [
      'a reading that is not there',
      ({ numbers }) => (numbers.causes['pot_life']!.evidence[0]!.reading = 'mood'),
      /pot_life: mood is not known/,
    ],
    [
      'a row with a letter too few',
      ({ numbers }) => (numbers.questions['q_nail']!.rows['SOFT'] = 'A'),
      /q_nail › SOFT: 1 letters for 2 answers/,
    ],
    [
      'a letter that means nothing',
      ({ numbers }) => (numbers.questions['q_nail']!.base = 'XY'),
      /numbers\.json, questions › q_nail › base/,
    ],
    [
      'a cause without numbers',
      ({ numbers }) => void delete numbers.causes['silicone'],
      /no figures for a cause: silicone/,
    ],
    [
      'an id that stands twice',
      ({ faults }) => faults.faults.push(faults.faults[0]!),
      /OP_UA stands twice/,
    ],
    [
      'a ladder that is not there',
      ({ repairs }) => (repairs.rungs['RUN']![0]!.ladder = 'MAGIC'),
      /RUN: MAGIC is not known/,
    ],
    [
      'an answer that is not there',
      ({ repairs }) => (repairs.rungs['RUN']![0]!.when!.answer = [['q_nail', 'maybe']]),
      /q_nail has no answer maybe/,
    ],
    [
      'a last rung with conditions',
      ({ repairs }) => (repairs.rungs['CRACK']![0]!.when = { measured: true }),
      /CRACK: the last rung must hold/,
    ],
    [
      'a word forgotten',
      ({ causes }) => (causes.causes[0]!.nextCoat = ''),
      /causes\.json, causes › 0 › nextCoat/,
    ],
  ])('%s is told', (_, change, told) => {
    expect(complaint(change)).toMatch(told);
  });
});

describe('the knowledge', () => {
  const { files, knowledge } = theKnowledge();
  it('has what the trade needs: faults, causes, questions, look-alikes, repairs for every fault', () => {
    expect(knowledge.faults).toHaveLength(37);
    expect(knowledge.causes).toHaveLength(79);
    expect(knowledge.questions).toHaveLength(57);
    expect(files.pairs.lookAlikes).toHaveLength(14);
    const repaired = Object.keys(files.repairs.rungs);
    expect(
      knowledge.faults
        .map(({ id }) => id)
        .filter((id) => id !== 'NONE_OF_THESE' && !repaired.includes(id)),
    ).toEqual([]);
  });
  it('says of its numbers that they are estimates, and which version they are', () => {
    expect(files.numbers).toMatchObject({ version: 2, status: 'estimate' });
  });
  it('has a cause for every fault that it names', () => {
    const made = new Set(knowledge.causes.flatMap(({ makes }) => Object.keys(makes)));
    expect(
      knowledge.faults.map(({ id }) => id).filter((id) => id !== 'NONE_OF_THESE' && !made.has(id)),
    ).toEqual([]);
  });
});
