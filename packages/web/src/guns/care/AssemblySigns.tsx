/** What a gun shows that was put together wrongly: no knob mends it, the round does. */
import { Anchor, Button } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { ROUND_NAME } from './careWords.ts';

const SIGNS = {
  sideways: {
    name: 'Fan lies the wrong way',
    text: 'The horns of the cap stand wrong: level for an upright fan, at a right angle for a flat one.',
  },
  needleHard: {
    name: 'Needle closes hard',
    text: 'A wrong spring, or the packing nut is too tight: the needle must snap shut by itself.',
  },
  drips: {
    name: 'Drips with the trigger shut',
    text: 'Nozzle not snug, or needle and nozzle of two sets. Not forced: the seat is soft.',
  },
} as const;
type Sign = keyof typeof SIGNS;

export function AssemblySigns({ gunId }: { gunId: string }) {
  const [seen, setSeen] = useState<Sign>();
  return (
    <div className="stack" role="group" aria-label="On the gun">
      {(Object.keys(SIGNS) as Sign[]).map((sign) => (
        <div key={sign}>
          <Button
            variant={seen === sign ? 'filled' : 'default'}
            aria-pressed={seen === sign}
            onClick={() => setSeen(seen === sign ? undefined : sign)}
          >
            {SIGNS[sign].name}
          </Button>
          {seen === sign && (
            <p aria-live="polite">
              No knob mends it. {SIGNS[sign].text} Air hose off first.{' '}
              <Anchor component={Link} to={`/guns/${gunId}/care/reassembled`}>
                {ROUND_NAME.reassembled.title}
              </Anchor>
            </p>
          )}
        </div>
      ))}
    </div>
  );
}
