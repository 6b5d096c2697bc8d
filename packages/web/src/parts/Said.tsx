/** What is shown and said of a step: its figures, its verdicts, its reasons. */
import { VERDICT_LEVEL, type VerdictCode } from '@orthochrom/core/outcome/codes.ts';
import { PAIR_OUTCOMES } from '@orthochrom/core/layers/layerPairs.ts';
import { reasonText } from '@orthochrom/contract/words/reasonWords.ts';
import { verdictMessage } from '@orthochrom/contract/words/verdictWords.ts';
import type { WordedReason, WordedVerdict } from '@orthochrom/contract/words/worded.ts';
import { FigureTile, FigureTiles } from '../ticket/step/FigureTile.tsx';
import { Seam } from '../ticket/found/Seam.tsx';
import { LevelBadge, ReasonList, VerdictList } from '../verdict/Verdicts.tsx';

export function Tiles() {
  return (
    <div style={{ display: 'flex', height: 420 }}>
      <FigureTiles label="Figures">
        <FigureTile
          name="lead"
          isLead
          label="Pressure at the gun"
          figure={{ text: '193', unit: 'kPa' }}
          note="Trigger pulled"
        />
        <FigureTile name="fluid" label="Fluid" figure={{ text: '2½', unit: 'turns out' }} />
        <FigureTile
          name="fan"
          label="Fan"
          figure={{ text: '2', unit: 'turns out' }}
          note="215 mm wide"
        />
        <FigureTile name="distance" label="Distance" figure={{ text: '150', unit: 'mm' }} />
        <FigureTile
          name="long"
          label="A long label that has to find room"
          figure={{ text: '1 234', unit: 'ml' }}
          note="and a note that goes on and on, to see which of the two gives way first"
        />
      </FigureTiles>
    </div>
  );
}

const said = (code: VerdictCode): WordedVerdict => ({
  code,
  level: VERDICT_LEVEL[code],
  message: verdictMessage(code),
});
const VERDICTS = [said('extraction-off'), said('nothing-for-waste'), said('gate-passed')];
const REASONS: WordedReason[] = [
  {
    source: 'rule',
    code: 'clear-not-reduced',
    text: reasonText('clear-not-reduced'),
  },
];

export function Levels() {
  return (
    <div className="stack">
      <div className="row">
        <LevelBadge level="go" />
        <LevelBadge level="caution" />
        <LevelBadge level="stop" />
        <LevelBadge level="stop" word="Wait" />
      </div>
      <div className="row">
        {PAIR_OUTCOMES.map((outcome) => (
          <Seam key={outcome} outcome={outcome} />
        ))}
      </div>
      <VerdictList verdicts={VERDICTS} />
      <ReasonList reasons={REASONS} />
    </div>
  );
}
