/**
 * Asked beside every pressure that is typed: a reading at rest says nothing about the pressure
 * while spraying.
 */
import { SegmentedControl } from '@mantine/core';
import { verdictSaid } from '@orthochrom/contract/words/verdictWords.ts';

export function TriggerPulled({
  value,
  onChange,
}: {
  value: string | undefined;
  onChange: (flowing: string) => void;
}) {
  return (
    <div>
      <div className="label">Read with the trigger pulled?</div>
      <SegmentedControl
        aria-label="Trigger pulled"
        value={value ?? ''}
        onChange={onChange}
        data={[
          { value: 'yes', label: 'Pulled' },
          { value: 'no', label: 'At rest' },
          { value: 'unknown', label: 'Not sure' },
        ]}
      />
      {value !== undefined && value !== 'yes' && (
        <p role="alert">{verdictSaid('reading-at-rest')}</p>
      )}
    </div>
  );
}
