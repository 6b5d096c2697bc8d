/**
 * Log what was done where it differed, and what is to be seen. What was planned is already there.
 */
import { ADDRESS } from '../../api/resources.ts';
import { nextCoat } from '@orthochrom/contract/plan/coatOrder.ts';
import { Button, Chip, SegmentedControl, Textarea } from '@mantine/core';
import type { StagePlan, TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import {
  Rating,
  Seen,
  settingNames,
  type Coat,
  type SettingName,
} from '@orthochrom/contract/shop/coat.ts';
import { useState } from 'react';
import { Link } from 'react-router';
import { useDraft } from '../../api/draft.ts';
import { noteDown } from '../../api/outbox.ts';
import { useWrite } from '../../api/useWrite.ts';
import { FigureInput } from '../../units/FigureInput.tsx';
import { formatFor } from '@orthochrom/contract/words/format.ts';
import { benchOf } from '../../faults/benchOf.ts';
import { FoundHere } from '../../faults/FoundHere.tsx';
import { SEEN_NAME } from '@orthochrom/contract/words/seenWords.ts';
import { FINISH_TARGETS, type FinishTarget } from '@orthochrom/core/trade/vocabulary.ts';
import { isColour } from '@orthochrom/core/layers/foundLayer.ts';
import { exposureOf, type Exposed } from '@orthochrom/core/prep/exposure.ts';
import { EXPOSED, LOOKED_AT, SETTING_NAME } from '../../words/tradeNames.ts';
import { takenSetup } from '@orthochrom/contract/plan/takenPlan.ts';
import { StepFrame } from '../step/StepFrame.tsx';
import type { CardProps } from '../cardProps.ts';
import { HiddenYet } from './HiddenYet.tsx';
import { SettleFaults } from '../layers/SettleFaults.tsx';
import { TriggerPulled } from '../gun/TriggerPulled.tsx';
import type { Kind } from '../../units/typed.ts';

const KIND: Record<SettingName, Kind> = {
  nozzleMm: 'nozzle',
  inletKPa: 'pressure',
  fluidTurnsOut: 'turns',
  fanTurnsOut: 'turns',
  distanceMm: 'length',
  overlapPercent: 'percent',
  wetFilmUm: 'film',
};

type LookDraft = {
  version: number;
  seen: Seen[];
  rating: Rating | undefined;
  note: string;
  /** Where something was done otherwise than shown. */
  done: Partial<Record<SettingName, number>>;
};
const lookOf = ({ version, seen, rating, note }: Coat): LookDraft => ({
  version,
  seen,
  rating,
  note,
  done: {},
});
function withSetting(
  done: LookDraft['done'],
  name: SettingName,
  value: number | undefined,
): LookDraft['done'] {
  const { [name]: _, ...rest } = done;
  return value === undefined ? rest : { ...rest, [name]: value };
}

const AS_PLANNED: Pick<LookDraft, 'seen' | 'rating'> = { seen: ['nothing'], rating: 'good' };

export function LookCard({
  coat,
  stage,
  context,
  painter,
  keep,
  whole,
  follow,
}: CardProps & { follow: (next: Coat | undefined) => void }) {
  const setup = takenSetup(coat);
  const format = formatFor(painter.units);
  // What another tab keeps meanwhile is not overwritten unseen: it clashes when this is saved.
  const { draft, setDraft, settle, round } = useDraft(lookOf(coat));
  const { done, seen, rating, note } = draft;
  const change = (changes: Partial<LookDraft>) => setDraft({ ...draft, ...changes });
  const setSeen = (next: Seen[]) => change({ seen: next });
  const [flowing, setFlowing] = useState<string>();
  const [busy, write] = useWrite();
  const toggle = (item: Seen) => {
    if (item === 'nothing') return setSeen(seen.includes('nothing') ? [] : ['nothing']);
    const rest = seen.filter((other) => other !== 'nothing' && other !== item);
    return setSeen(seen.includes(item) ? rest : [...rest, item]);
  };
  const save = ({ seen, rating }: Pick<LookDraft, 'seen' | 'rating'> = draft) =>
    write(async (over?: number) => {
      const address = ADDRESS.coat(coat.id, 'look');
      const next = await noteDown<TicketWhole>('Look at the coat', 'POST', address, {
        version: over ?? round,
        painterId: painter.id,
        done,
        seen,
        rating,
        note,
      });
      keep(next);
      settle(lookOf(next.coats.find(({ id }) => id === coat.id)!));
    });
  const shown = (name: SettingName): string => {
    const value = coat.done[name]?.value ?? coat.overrides[name]?.chosen ?? setup?.[name];
    if (typeof value !== 'number') return '';
    const kind = KIND[name];
    return kind === 'pressure' || kind === 'length' || kind === 'film'
      ? format[kind](value).text
      : String(value);
  };
  const isAtRest = done.inletKPa !== undefined && flowing !== 'yes';
  const upcoming = nextCoat(whole.ticket.stages, whole.coats);
  return (
    <StepFrame
      ways={{
        word: 'Done otherwise, note',
        content: (
          <>
            <p className="quiet">Leave it empty where it was as shown.</p>
            <div className="grid2">
              {settingNames.map((name) => (
                <FigureInput
                  key={name}
                  label={SETTING_NAME[name]}
                  kind={KIND[name]}
                  field={name}
                  placeholder={shown(name)}
                  onChange={(entered) =>
                    change({ done: withSetting(done, name, entered?.canonical) })
                  }
                />
              ))}
            </div>
            {done.inletKPa !== undefined && <TriggerPulled value={flowing} onChange={setFlowing} />}
            <Textarea
              label="Note"
              value={note}
              maxLength={2000}
              onChange={(event) => change({ note: event.currentTarget.value })}
            />
          </>
        ),
      }}
      action={
        seen.length === 0 && !rating ? (
          <Button loading={busy} disabled={isAtRest} onClick={() => void save(AS_PLANNED)}>
            Nothing wrong, good: log this coat
          </Button>
        ) : (
          <Button
            loading={busy}
            disabled={seen.length === 0 || !rating || isAtRest}
            onClick={() => void save()}
          >
            {coat.state === 'looked' ? 'Keep the change' : 'Log this coat'}
          </Button>
        )
      }
      other={
        coat.state === 'looked' &&
        upcoming && (
          <Button size="lg" variant="default" onClick={() => follow(upcoming)}>
            Next coat
          </Button>
        )
      }
    >
      <div className="card stack">
        <strong>What do you see? Every edge, along the light.</strong>
        <p className="quiet">
          {LOOKED_AT[targetOf(whole, coat)]}
          {isColour({ stage: context.stage.kind })
            ? ` ${EXPOSED[exposureOf(exposedOf(context.stage))]}`
            : ''}
          {context.room.sideLight === false
            ? ` ${context.room.name} has no lamps at its sides: carry one along, flat to the panel.`
            : ''}
        </p>
        <div className="row">
          {Seen.options.map((item) => (
            <Chip
              key={item}
              size="xl"
              variant="outline"
              checked={seen.includes(item)}
              onChange={() => toggle(item)}
            >
              {SEEN_NAME[item]}
            </Chip>
          ))}
        </div>
        <HiddenYet {...{ whole, coat, stage, context, keep }} />
        <FoundHere coatId={coat.id} />
        {coat.state === 'looked' && <SettleFaults {...{ whole, painter, keep }} of={coat} />}
        {seen.some((item) => item !== 'nothing') && (
          <div>
            <Button component={Link} to={benchOf(coat, seen)} size="lg" variant="default">
              What is wrong? Find the cause
            </Button>
          </div>
        )}
        <div className="row">
          <span>All in all</span>
          <SegmentedControl
            aria-label="Rating"
            size="lg"
            value={rating ?? ''}
            onChange={(next) => change({ rating: next as Rating })}
            data={[
              { value: 'good', label: 'Good' },
              { value: 'fair', label: 'Fair' },
              { value: 'poor', label: 'Poor' },
            ]}
          />
        </div>
        {coat.state === 'looked' && <Link to={`/records/${coat.id}`}>See it in Records</Link>}
      </div>
    </StepFrame>
  );
}

const exposedOf = ({ kind, finish, colourHex, variant }: StagePlan): Exposed => ({
  stage: kind,
  finish,
  colour: colourHex,
  variant: variant !== undefined && variant !== '',
});

/** The best that is wanted of a panel of this coat. */
function targetOf({ ticket }: TicketWhole, { stageId }: Coat): FinishTarget {
  const stage = ticket.stages.find(({ id }) => id === stageId);
  const wanted = ticket.panels
    .filter(({ id }) => stage?.panelIds.includes(id))
    .map(({ finishTarget = 'factory' }) => finishTarget);
  return FINISH_TARGETS.find((target) => wanted.includes(target)) ?? 'factory';
}
