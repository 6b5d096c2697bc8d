/** What is on the card that was sprayed: kept with what was seen, and with its picture. */
import { Button, FileButton, NumberInput, TextInput } from '@mantine/core';
import { stageSaid } from '@orthochrom/contract/plan/layersFound.ts';
import type { PrepStep } from '@orthochrom/contract/plan/prepList.ts';
import { PHOTO_TYPES } from '@orthochrom/contract/shop/finding.ts';
import type { StagePlan, Ticket } from '@orthochrom/contract/shop/ticket.ts';
import { FigureInput } from '../../units/FigureInput.tsx';
import styles from './PrepCard.module.css';
import { STAGE_NAME } from '../../words/tradeNames.ts';

export type CardDraft = {
  coats: number;
  groundText: string;
  wetFilmUm?: number | undefined;
  word: string;
  photo?: File | undefined;
};

/** The stage that a card step is about. */
export const stageOfStep = ({ stages }: Ticket, step: PrepStep): StagePlan | undefined =>
  stages.find((stage) => stageSaid(stages, stage) === step.stage);

/** As it is planned: so many coats, over what goes on below. */
export function usualCard({ stages }: Ticket, stage: StagePlan | undefined): CardDraft {
  const below = stages[stages.findIndex(({ id }) => id === stage?.id) - 1];
  return {
    coats: stage?.coats ?? 1,
    groundText: below ? below.colourName || STAGE_NAME[below.kind].toLowerCase() : '',
    word: '',
  };
}

export function CardForm({
  draft,
  onChange,
}: {
  draft: CardDraft;
  onChange: (draft: CardDraft) => void;
}) {
  return (
    <div className="stack">
      <div className={styles['onCard']}>
        <NumberInput
          label="Coats on it"
          value={draft.coats}
          min={1}
          max={12}
          allowDecimal={false}
          onChange={(coats) => typeof coats === 'number' && onChange({ ...draft, coats })}
        />
        <TextInput
          label="Over"
          value={draft.groundText}
          maxLength={80}
          onChange={(event) => onChange({ ...draft, groundText: event.currentTarget.value })}
        />
        <FigureInput
          label="Wet film of a coat, off the comb"
          kind="film"
          field="wetFilmUm"
          onChange={(entered) => onChange({ ...draft, wetFilmUm: entered?.canonical })}
        />
        <TextInput
          label="Seen in sun, shade, lamp"
          value={draft.word}
          maxLength={200}
          onChange={(event) => onChange({ ...draft, word: event.currentTarget.value })}
        />
      </div>
      <div className="row">
        <FileButton
          accept={PHOTO_TYPES.join(',')}
          onChange={(photo) => onChange({ ...draft, photo: photo ?? undefined })}
          inputProps={{ 'aria-label': 'Photo of the card' }}
        >
          {(props) => (
            <Button {...props} variant="default">
              {draft.photo ? 'Another photo' : 'Photo of it beside the car'}
            </Button>
          )}
        </FileButton>
        {draft.photo && <span>{draft.photo.name}</span>}
      </div>
    </div>
  );
}
