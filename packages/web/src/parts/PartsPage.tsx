import type { Painter } from '@orthochrom/contract/shop/setup.ts';
import type { ReactNode } from 'react';
import { PainterContext } from '../frame/painter.ts';
import { NotYet } from '../frame/NotYet.tsx';
import { PageHead } from '../frame/PageHead.tsx';
import { Buttons, Fields } from './Controls.tsx';
import { Bursts, CloseUps } from './Pictures.tsx';
import { Levels, Tiles } from './Said.tsx';

const PAINTER: Painter = {
  id: '01900000-0000-7000-8000-000000000001',
  version: 1,
  name: 'Sample',
  skill: 'able',
  units: {
    temperature: 'C',
    pressure: 'kPa',
    length: 'mm',
    film: 'um',
    volume: 'ml',
    area: 'm2',
    measure: 'volume',
  },
  way: {},
};

const SECTIONS: [string, ReactNode][] = [
  ['Type', <Type key="type" />],
  ['Colour', <Colour key="colour" />],
  ['Buttons', <Buttons key="buttons" />],
  ['Choices and fields', <Fields key="fields" />],
  ['A step’s figures', <Tiles key="tiles" />],
  ['What is said', <Levels key="levels" />],
  ['Late, failed, empty', <Waiting key="waiting" />],
  ['Bursts on paper', <Bursts key="bursts" />],
  ['Close-ups', <CloseUps key="closeUps" />],
];

export function PartsPage() {
  return (
    <PainterContext
      value={{ painter: PAINTER, painters: [PAINTER], pick: () => undefined, role: 'lead' }}
    >
      <PageHead title="Every part in every state" line="Held by pictures: e2e/parts.spec.ts" />
      <main className="page stack">
        {SECTIONS.map(([name, part]) => (
          <section key={name} className="stack" data-part={name}>
            <h2 className="tape" style={{ alignSelf: 'flex-start' }}>
              {name}
            </h2>
            {part}
          </section>
        ))}
      </main>
    </PainterContext>
  );
}

function Type() {
  return (
    <div className="card stack">
      <div className="figure huge">
        12.4 <small>°C</small>
      </div>
      <div className="figure">
        193 <small>kPa</small>
      </div>
      <div className="figure mid">
        1.3 <small>mm</small>
      </div>
      <h1>Heading of a page</h1>
      <h2>Heading of a part</h2>
      <p>What is read as a sentence: it says what to do, then why.</p>
      <p className="quiet">What may be passed over, and a label beside it.</p>
      <p className="label">Label of a figure</p>
    </div>
  );
}

const COLOURS = [
  ...['page', 'side', 'card', 'ink', 'ink-2', 'rule', 'amber', 'amber-ink', 'amber-soft', 'tape'],
  ...['go', 'go-soft', 'caution', 'caution-soft', 'stop', 'stop-soft', 'air', 'dew', 'rail'],
];
function Colour() {
  return (
    <div className="row">
      {COLOURS.map((name) => (
        <div key={name} className="label" style={{ width: 104 }}>
          <div
            style={{ height: 44, background: `var(--${name})`, border: '1px solid var(--rule)' }}
          />
          {name}
        </div>
      ))}
    </div>
  );
}

function Waiting() {
  const mutate = () => Promise.resolve();
  return (
    <div className="stack">
      <NotYet reads={[{ mutate }]} what="the tickets" />
      <NotYet
        reads={[{ error: new Error('The shop’s machine does not answer.'), mutate }]}
        what="the tickets"
      />
    </div>
  );
}
