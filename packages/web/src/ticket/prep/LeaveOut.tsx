/** A step left out, or advice declined: what follows, and a word why that stays. */
import { Button, Modal, TextInput } from '@mantine/core';
import type { PrepStep } from '@orthochrom/contract/plan/prepList.ts';
import { PREP_FOLLOWS } from '@orthochrom/contract/words/prepLeads.ts';
import { useState } from 'react';
import { stepTitle } from './prepWords.ts';

const WHY_LEFT = ['Done before it came', 'New part', 'Not on this job', 'No time'];
const WHY_DECLINED = ['Too dear', 'It is to be sold', 'Later', 'At the customer’s risk'];

type LeaveOutProps = {
  step: PrepStep;
  isDeclined: boolean;
  onClose: () => void;
  onSay: (why: string) => void;
};

export function LeaveOut({ step, isDeclined, onClose, onSay }: LeaveOutProps) {
  const [own, setOwn] = useState('');
  const title = isDeclined ? 'The customer declines' : `Leave out: ${stepTitle(step)}`;
  return (
    <Modal opened onClose={onClose} title={title} size="lg">
      <div className="stack">
        <p>
          {isDeclined
            ? 'What the customer says stands beside the advice for ever.'
            : (PREP_FOLLOWS[`left-${step.fault}`] ?? '')}
        </p>
        <div className="row">
          {(isDeclined ? WHY_DECLINED : WHY_LEFT).map((why) => (
            <Button key={why} variant="default" size="lg" onClick={() => onSay(why)}>
              {why}
            </Button>
          ))}
        </div>
        <TextInput
          label={isDeclined ? 'In the customer’s own words' : 'Another word why'}
          value={own}
          maxLength={200}
          onChange={(event) => setOwn(event.currentTarget.value)}
        />
        <Button disabled={own.trim() === ''} onClick={() => onSay(own.trim())}>
          {isDeclined ? 'Keep these words' : 'Leave it out'}
        </Button>
      </div>
    </Modal>
  );
}
