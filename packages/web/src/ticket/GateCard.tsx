/** The safety gate: the first card of every stage, before any recipe or setting. A stop cannot be typed away. */
import { Button, Checkbox, SegmentedControl } from '@mantine/core';
import { gateProduct } from '@orthochrom/contract/plan/planInputs.ts';
import { ask, type InputOf } from '@orthochrom/contract/registry.ts';
import type { Room } from '@orthochrom/contract/shop/setup.ts';
import type { GateRecord, TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { useState } from 'react';
import { v7 as newId } from 'uuid';
import { postJson } from '../api/client.ts';
import { useWrite } from '../api/hooks.ts';
import { VerdictList } from '../verdict/Verdicts.tsx';
import styles from './GateCard.module.css';
import { CHEMISTRY_NAME } from './names.ts';
import type { CardProps } from './cardProps.ts';

type Answers = Pick<InputOf<'gate'>, 'protection' | 'extraction' | 'ignition' | 'bystanders' | 'regionRules'>;
type Breathing = NonNullable<Answers['protection']>['breathing'];

const SOURCES = [
  'Heater or pilot light',
  'Charger or battery',
  'Switch or socket in the vapour',
  'Ordinary motor or fan',
  'Grinding or welding near',
];
const PLACE_NAME = {
  booth: 'a booth',
  closedGarage: 'a closed garage',
  openGarage: 'an open garage',
  outdoors: 'the open air',
} as const;

/** Answers of earlier today are offered again for the next stage: looked at anew, not typed anew. */
const startFrom = (latest: GateRecord | undefined): Answers => (latest?.answers ?? {}) as Answers;

export function GateCard({
  whole,
  coat,
  stage,
  context,
  room,
  latest,
  painter,
  keep,
}: CardProps & { room: Room; latest: GateRecord | undefined }) {
  const [answers, setAnswers] = useState<Answers>(() => startFrom(latest));
  const [busy, write] = useWrite();
  // Asked again once the mix is at hand, because something changed, it is asked for spraying.
  const step = coat.state === 'planned' ? 'mix' : 'spray';
  const product = gateProduct(context.sheet, stage.recipeName);
  const hasHardener = product.hardener !== 'none';
  const isTwoPack = product.hardener === 'isocyanate' || product.hardener === 'unknown';
  const outcome = ask('gate', {
    product,
    place: room.place,
    region: room.region,
    roomExtraction: room.extraction,
    ...answers,
    regionRules: { ...room.regionRules, ...answers.regionRules },
    step,
  });
  const protect = (change: Partial<NonNullable<Answers['protection']>>) =>
    setAnswers({ ...answers, protection: { breathing: 'none', ...answers.protection, ...change } });
  const send = () =>
    write(async () =>
      keep(
        await postJson<TicketWhole>(`/api/tickets/${whole.ticket.id}/gate-answers`, {
          id: newId(),
          stageId: stage.id,
          step,
          painterId: painter.id,
          ...answers,
        }),
      ),
    );
  return (
    <div className={`card stack ${styles['gate']}`}>
      <p>
        <strong>
          {context.sheet.name}: {CHEMISTRY_NAME[product.hardener]}, {product.carrier}.
        </strong>{' '}
        In {PLACE_NAME[room.place]}. The product’s safety sheet, your local code and licensed practice come first; this asks, it
        does not clear anyone.
      </p>
      <div className={styles['questions']}>
        <Question label="What do you breathe through?">
          <Choice
            label="Breathing"
            value={answers.protection?.breathing}
            options={[
              ['airFed', 'Air-fed'],
              ['cartridge', 'Cartridge'],
              ['dust', 'Dust mask'],
              ['none', 'Nothing'],
            ]}
            onChange={(breathing) => protect({ breathing: breathing as Breathing })}
          />
        </Question>
        {hasHardener && (
          <>
            <Question label="Skin covered: gloves, suit, hood?">
              <YesNo label="Skin covered" value={answers.protection?.skin} onChange={(skin) => protect({ skin })} />
            </Question>
            <Question label="Eyes covered: full face or goggles?">
              <YesNo label="Eyes covered" value={answers.protection?.eyes} onChange={(eyes) => protect({ eyes })} />
            </Question>
          </>
        )}
        <Question label="Extraction?">
          <Choice
            label="Extraction"
            value={answers.extraction}
            options={[
              ['on', 'Running'],
              ['off', 'Off'],
              ['ratedFan', 'Rated fan'],
              ['householdFan', 'House fan'],
            ]}
            onChange={(extraction) => setAnswers({ ...answers, extraction: extraction as NonNullable<Answers['extraction']> })}
          />
        </Question>
        <Question label="Anybody without protection in or by the room?">
          <YesNo
            label="Bystanders"
            value={answers.bystanders}
            onChange={(bystanders) => setAnswers({ ...answers, bystanders })}
          />
        </Question>
        {isTwoPack && room.place !== 'booth' && (
          <Question label="Is two-pack allowed in a place like this where you are? Ask the authority; this tool does not know.">
            <Choice
              label="Local rule"
              value={answers.regionRules?.twoPackAtHome}
              options={[
                ['unknown', 'Not known'],
                ['prohibited', 'Not allowed'],
                ['permitted', 'Allowed'],
              ]}
              onChange={(twoPackAtHome) =>
                setAnswers({ ...answers, regionRules: { ...answers.regionRules, twoPackAtHome: twoPackAtHome as 'unknown' } })
              }
            />
          </Question>
        )}
      </div>
      {product.carrier === 'solvent' && (
        <fieldset className={styles['ignition']}>
          <legend>What could spark or burn here?</legend>
          <div className="row">
            {SOURCES.map((source) => (
              <Checkbox
                key={source}
                size="md"
                label={source}
                checked={answers.ignition?.includes(source) ?? false}
                onChange={(event) =>
                  setAnswers({ ...answers, ignition: toggled(answers.ignition ?? [], source, event.currentTarget.checked) })
                }
              />
            ))}
            <Checkbox
              size="md"
              label="I looked: none"
              checked={answers.ignition?.length === 0}
              onChange={(event) =>
                setAnswers(event.currentTarget.checked ? { ...answers, ignition: [] } : withoutIgnition(answers))
              }
            />
          </div>
        </fieldset>
      )}
      <VerdictList verdicts={outcome.verdicts} />
      {outcome.alternatives.length > 0 && (
        <ul>
          {outcome.alternatives.map(({ code, text }) => (
            <li key={code}>{text}</li>
          ))}
        </ul>
      )}
      <div className="row">
        <Button
          onClick={() => void send()}
          loading={busy}
          disabled={outcome.asks.length > 0}
          color={outcome.passed ? undefined : 'red'}
        >
          {outcome.passed
            ? 'Passed: on to the air'
            : outcome.asks.length > 0
              ? `${outcome.asks.length} still to answer`
              : 'Keep this answer: it is a stop'}
        </Button>
        <span className="quiet">Kept with the coat. Asked again for each stage, room and painter, every day.</span>
      </div>
    </div>
  );
}

const toggled = (list: string[], item: string, isOn: boolean): string[] =>
  isOn ? [...list, item] : list.filter((other) => other !== item);
function withoutIgnition({ ignition: _, ...rest }: Answers): Answers {
  return rest;
}

function Question({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <div className={styles['question']}>
      <span>{label}</span>
      {children}
    </div>
  );
}

function Choice({
  label,
  value,
  options,
  onChange,
}: {
  label: string;
  value: string | undefined;
  options: [string, string][];
  onChange: (value: string) => void;
}) {
  return (
    <SegmentedControl
      aria-label={label}
      value={value ?? ''}
      onChange={onChange}
      data={options.map(([key, word]) => ({ value: key, label: word }))}
      className={styles['choice']!}
    />
  );
}

function YesNo({ label, value, onChange }: { label: string; value: boolean | undefined; onChange: (value: boolean) => void }) {
  return (
    <Choice
      label={label}
      value={value === undefined ? undefined : String(value)}
      options={[
        ['true', 'Yes'],
        ['false', 'No'],
      ]}
      onChange={(answer) => onChange(answer === 'true')}
    />
  );
}
