/**
 * The questions of the safety gate, for the product and the place at hand; what does not bear on
 * them is not asked.
 */
import { Button, Checkbox } from '@mantine/core';
import { isTwoPackHazard, needsCover } from '@orthochrom/core/safety/hazard.ts';
import type { Place } from '@orthochrom/core/trade/vocabulary.ts';
import type { InputOf } from '@orthochrom/contract/registry.ts';
import type { GateAnswersGiven } from '@orthochrom/contract/plan/gateProduct.ts';
import { useState } from 'react';
import type { Breathing } from './answers.ts';
import { Choice, Question, YesNo } from './Choice.tsx';
import styles from './GateQuestions.module.css';

const SOURCES = [
  'Heater or pilot light',
  'Charger or battery',
  'Switch or socket in the vapour',
  'Ordinary motor or fan',
  'Grinding or welding near',
];

type GateQuestionsProps = {
  product: InputOf<'gate'>['product'];
  place: Place;
  /** What is known to stand in this room and can light vapour. */
  known?: readonly string[] | undefined;
  answers: GateAnswersGiven;
  setAnswers: (answers: GateAnswersGiven) => void;
};

export function GateQuestions({
  product,
  place,
  known = [],
  answers,
  setAnswers,
}: GateQuestionsProps) {
  const protect = (change: Partial<NonNullable<GateAnswersGiven['protection']>>) =>
    setAnswers({ ...answers, protection: { breathing: 'none', ...answers.protection, ...change } });
  return (
    <div className={styles['fit']}>
      <div className={styles['questions']}>
        <Question isWide label="What do you breathe through?">
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
        <Question isWide label="Extraction?">
          <Choice
            label="Extraction"
            value={answers.extraction}
            options={[
              ['on', 'Running'],
              ['off', 'Off'],
              ['ratedFan', 'Rated fan'],
              ['householdFan', 'House fan'],
            ]}
            onChange={(extraction) =>
              setAnswers({
                ...answers,
                extraction: extraction as NonNullable<GateAnswersGiven['extraction']>,
              })
            }
          />
        </Question>
        {answers.protection?.breathing === 'airFed' && (
          <Question
            isLong
            label="Breathing air looked at today: filter, monitor, hose, intake away from exhaust?"
          >
            <YesNo
              label="Breathing air"
              value={answers.breathingAirChecked}
              onChange={(breathingAirChecked) => setAnswers({ ...answers, breathingAirChecked })}
            />
          </Question>
        )}
        {needsCover({ product }) && (
          <>
            <Question label="Skin covered: gloves, suit, hood?">
              <YesNo
                label="Skin covered"
                value={answers.protection?.skin}
                onChange={(skin) => protect({ skin })}
              />
            </Question>
            <Question label="Eyes covered: full face or goggles?">
              <YesNo
                label="Eyes covered"
                value={answers.protection?.eyes}
                onChange={(eyes) => protect({ eyes })}
              />
            </Question>
          </>
        )}
        <Question isLong label="Anybody without protection in or by the room?">
          <YesNo
            label="Bystanders"
            value={answers.bystanders}
            onChange={(bystanders) => setAnswers({ ...answers, bystanders })}
          />
        </Question>
        <Question isWhole label="The floor round the car?">
          <Choice
            label="Floor"
            value={answers.floor}
            options={[
              ['clear', 'Clear'],
              ['cluttered', 'Hoses, parts'],
              ['wetted', 'Wetted'],
            ]}
            onChange={(floor) =>
              setAnswers({ ...answers, floor: floor as NonNullable<GateAnswersGiven['floor']> })
            }
          />
        </Question>
        {isTwoPackHazard({ product }) && place !== 'booth' && (
          <Question
            isWhole
            label="Is two-pack allowed in a place like this where you are? Ask the authority; this tool does not know."
          >
            <Choice
              label="Local rule"
              value={answers.regionRules?.twoPackAtHome}
              options={[
                ['unknown', 'Not known'],
                ['prohibited', 'Not allowed'],
                ['permitted', 'Allowed'],
              ]}
              onChange={(twoPackAtHome) =>
                setAnswers({
                  ...answers,
                  regionRules: {
                    ...answers.regionRules,
                    twoPackAtHome: twoPackAtHome as 'unknown',
                  },
                })
              }
            />
          </Question>
        )}
      </div>
      {product.carrier === 'solvent' && <Ignition {...{ known, answers, setAnswers }} />}
    </div>
  );
}

/** Sources are named one by one only where there is one. */
function Ignition({
  known,
  answers,
  setAnswers,
}: Pick<GateQuestionsProps, 'answers' | 'setAnswers'> & { known: readonly string[] }) {
  const { ignition, ...rest } = answers;
  const [isNaming, setNaming] = useState((ignition?.length ?? 0) > 0);
  return (
    <fieldset className={styles['ignition']}>
      <div className={styles['question']}>
        <legend>
          Anything here that could spark or burn?
          {known.length > 0 && ` Known in this room: ${known.join(', ')}.`}
        </legend>
        <div className="row">
          <Checkbox
            size="lg"
            label="I looked: none"
            checked={ignition?.length === 0}
            onChange={(event) => {
              setNaming(false);
              setAnswers(event.currentTarget.checked ? { ...answers, ignition: [] } : rest);
            }}
          />
          <Button
            variant={isNaming ? 'light' : 'default'}
            aria-expanded={isNaming}
            onClick={() => setNaming(!isNaming)}
          >
            Something could
          </Button>
        </div>
      </div>
      {isNaming && (
        <div className="row">
          {[...new Set([...known, ...SOURCES])].map((source) => (
            <Checkbox
              key={source}
              size="lg"
              label={source}
              checked={ignition?.includes(source) ?? false}
              onChange={(event) =>
                setAnswers({
                  ...answers,
                  ignition: toggled(ignition ?? [], source, event.currentTarget.checked),
                })
              }
            />
          ))}
        </div>
      )}
    </fieldset>
  );
}

const toggled = (list: string[], item: string, isOn: boolean): string[] =>
  isOn ? [...list, item] : list.filter((other) => other !== item);
