/** A few parts of the screen drawn to text: what stands there, in which order, in whose units. */
import { wordVerdict } from '@orthochrom/contract/words/worded.ts';
import { caution, go, stop } from '@orthochrom/core/outcome/verdicts.ts';
import { describe, expect, it } from 'vitest';
import { NotYet } from '../src/frame/NotYet.tsx';
import { STEPS } from '../src/ticket/coatSteps.ts';
import { StepTabs } from '../src/ticket/StepTabs.tsx';
import { VerdictList } from '../src/verdict/Verdicts.tsx';
import { drawn } from './drawn.tsx';

const IMPERIAL = { temperature: 'F', pressure: 'psi', length: 'in', volume: 'flOz' };

const places = (html: string, ...texts: string[]) => texts.map((text) => html.indexOf(text));
const inOrder = (numbers: number[]) =>
  numbers.every((n) => n >= 0) && [...numbers].sort((a, b) => a - b).join() === numbers.join();

describe('what is not read yet', () => {
  const mutate = () => Promise.resolve();
  it('says that it is being read, never that there is nothing', () => {
    const html = drawn(<NotYet reads={[{ mutate }]} what="the tickets" />);
    expect(html).toContain('Reading the tickets');
    expect(html).toContain('role="status"');
  });
  it('says why it could not be read, and how to go on', () => {
    const error = new Error('No connection to the shop’s server.');
    const html = drawn(<NotYet reads={[{ error, mutate }]} what="the tickets" />);
    expect(html).toContain('role="alert"');
    expect(html).toContain('No connection');
    expect(html).toContain('Try again');
  });
});

describe('verdicts', () => {
  const verdicts = [
    go('air-good', { marginC: 8 }),
    caution('panel-near-dew-point', { marginC: 4 }),
    stop('panel-too-cold', { panelC: 12, minC: 15.6 }),
  ].map(wordVerdict);

  it('stand worst first, each with a word beside its colour', () => {
    const html = drawn(<VerdictList verdicts={verdicts} />);
    expect(inOrder(places(html, 'panel-too-cold', 'panel-near-dew-point', 'air-good'))).toBe(true);
    for (const word of ['Stop', 'Care', 'Go']) expect(html).toContain(word);
  });
  it('say what would follow and what to do instead', () => {
    const html = drawn(<VerdictList verdicts={verdicts} hideGo />);
    expect(html).not.toContain('air-good');
    expect(html.match(/data-follows=/g)).toHaveLength(2);
    expect(html.match(/data-instead=/g)).toHaveLength(2);
  });
  it('are not lost behind one that is said elsewhere or left out', () => {
    const standing = wordVerdict(caution('two-pack-breathing'));
    const html = drawn(<VerdictList verdicts={[standing, ...verdicts]} hideGo />);
    expect(html).not.toContain('two-pack-breathing');
    expect(html).toContain('panel-near-dew-point');
    expect(html).toContain('panel-too-cold');
  });
  it('are said once, and in the painter’s own units', () => {
    const html = drawn(<VerdictList verdicts={[...verdicts, ...verdicts]} hideGo />, {
      units: IMPERIAL,
    });
    expect(html.match(/data-code="panel-too-cold"/g)).toHaveLength(1);
    expect(html).toContain('°F');
    expect(html).not.toContain('°C');
  });
  it('of nothing are nothing', () => {
    expect(drawn(<VerdictList verdicts={[]} />)).not.toContain('<ul');
  });
});

describe('the steps of a coat', () => {
  const html = drawn(
    <StepTabs
      current="gun"
      shown="mix"
      onPick={() => undefined}
      done={{ prep: true, gate: true }}
    />,
  );
  it('stand in their ruled order', () => {
    const names = STEPS.map((step) => `>${step[0]!.toUpperCase()}${step.slice(1)}<`);
    // A step that is done has its mark before the name.
    const at = names.map((name) => html.indexOf(name.slice(1)));
    expect(inOrder(at)).toBe(true);
  });
  it('mark those that are done, and the one that is shown', () => {
    expect(html.match(/aria-label="done"/g)).toHaveLength(4);
    expect(html.match(/aria-current="step"/g)).toHaveLength(1);
  });
  it('never mark a gate that has not passed', () => {
    const shut = drawn(
      <StepTabs
        current="gate"
        shown="gate"
        onPick={() => undefined}
        done={{ prep: false, gate: false }}
      />,
    );
    expect(shut).not.toContain('aria-label="done"');
  });
});
