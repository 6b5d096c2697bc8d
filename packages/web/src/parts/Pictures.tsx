/** Every picture under the lamp. */
import { PATTERNS } from '@orthochrom/core/gun/patternSymptoms.ts';
import { CloseUp } from '../faults/drawings/CloseUp.tsx';
import { SHOWN_AS } from '../faults/drawings/closeUps.ts';
import { PATTERN_NAME } from '../guns/tests/PatternPicker.tsx';
import { PatternPicture } from '../guns/tests/PatternPicture.tsx';

export function Bursts() {
  return (
    <div className="row" style={{ alignItems: 'flex-start' }}>
      {PATTERNS.map((pattern) => (
        <figure key={pattern} style={{ margin: 0, width: 104 }}>
          <PatternPicture pattern={pattern} />
          <figcaption className="label">{PATTERN_NAME[pattern]}</figcaption>
        </figure>
      ))}
    </div>
  );
}

export function CloseUps() {
  return (
    <div className="row" style={{ alignItems: 'flex-start' }}>
      {Object.entries(SHOWN_AS).map(([name, shown]) => (
        <figure key={name} style={{ margin: 0, width: 208 }}>
          <CloseUp shown={shown} />
          <figcaption className="label">{shown.described}</figcaption>
        </figure>
      ))}
    </div>
  );
}
