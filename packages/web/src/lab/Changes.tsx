/** Which one change helps most: ranked, each with what it does, and made at a touch. */
import { Button } from '@mantine/core';
import { changeText, RISK_NAME } from '@orthochrom/contract/words/coatWords.ts';
import type { AnswerOf } from '@orthochrom/contract/registry.ts';
import { usePainter } from '../frame/painter.ts';
import { formatFor } from '@orthochrom/contract/words/format.ts';
import { changed, type LabSetup } from './labSetup.ts';

type ChangesProps = {
  answer: AnswerOf<'coat'> | undefined;
  setup: LabSetup;
  isStale: boolean;
  onApply: (setup: LabSetup) => void;
};

export function Changes({ answer, setup, isStale, onApply }: ChangesProps) {
  const { painter } = usePainter();
  const { inWords } = formatFor(painter.units);
  const changes = answer?.changes;
  const percent = (p: number) => `${(p * 100).toFixed(0)} %`;
  return (
    <div className="card stack">
      <h2 className="tape" style={{ alignSelf: 'start' }}>
        What one change helps most
      </h2>
      {!changes && <p className="quiet">{isStale ? 'Trying each lever …' : ''}</p>}
      {changes?.length === 0 && (
        <p>No single change would help: it is as good as it gets from here.</p>
      )}
      {changes && changes.length > 0 && (
        <ol style={{ listStyle: 'none', margin: 0, padding: 0, display: 'grid', gap: '0.5rem' }}>
          {changes.slice(0, 4).map((change) => (
            <li
              key={`${change.knob}${change.to}`}
              className="row"
              style={{ justifyContent: 'space-between', flexWrap: 'nowrap' }}
            >
              <span>
                <strong>{changeText(change as Parameters<typeof changeText>[0], inWords)}</strong>
                <br />
                <span className="quiet">
                  {RISK_NAME[change.helps].toLowerCase()} from {percent(change.before)} to{' '}
                  {percent(change.after)}
                </span>
              </span>
              <Button
                variant="default"
                style={{ flexShrink: 0 }}
                disabled={isStale}
                onClick={() => onApply(changed(setup, change))}
              >
                Do it
              </Button>
            </li>
          ))}
        </ol>
      )}
    </div>
  );
}
