/** The test panel before the car: what is set, what the film says, and where the needle stands. */
import { ActionIcon, Button, TextInput } from '@mantine/core';
import { TEST_PANEL_BECAUSE, testPanelBecause } from '@orthochrom/contract/plan/testPanel.ts';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { formatFor, turnsText } from '@orthochrom/contract/words/format.ts';
import { MinusIcon, PlusIcon } from 'lucide-react';
import { useState } from 'react';
import { postJson } from '../../api/client.ts';
import { ADDRESS } from '../../api/resources.ts';
import { useWrite } from '../../api/useWrite.ts';
import { VerdictList } from '../../verdict/Verdicts.tsx';
import type { CardProps } from '../cardProps.ts';
import { useStanding } from '../standing.ts';
import { FigureTile, FigureTiles } from '../step/FigureTile.tsx';
import { StepFrame } from '../step/StepFrame.tsx';
import { CreepUpSteps, FilmLooks } from './CreepUp.tsx';
import styles from './CreepUp.module.css';

const STEP_TURNS = 0.25;
const LEAST_TURNS = 0.25;

export function TestPanelCard(props: CardProps) {
  const { whole, coat, context, plan, painter, keep } = props;
  const now = plan.setup.own ?? plan.setup;
  const [turns, setTurns] = useState(now.fluidTurnsOut);
  const [why, setWhy] = useState<string>();
  const [busy, write] = useWrite();
  const standing = useStanding('test', props);
  const format = formatFor(painter.units);
  const because = testPanelBecause(context, whole);
  const tell = (said: { fluidTurnsOut: number } | { skippedBecause: string }) =>
    write(async () =>
      keep(
        await postJson<TicketWhole>(ADDRESS.coat(coat.id, 'test-panel'), {
          version: coat.version,
          painterId: painter.id,
          ...said,
        }),
      ),
    );
  const isLeaving = why !== undefined;
  return (
    <StepFrame
      ways={{ word: 'Step by step', content: <CreepUpSteps /> }}
      said={
        <>
          <VerdictList verdicts={standing.verdicts} hideGo />
          {isLeaving ? (
            <TextInput
              label="No test panel: a word why"
              description="Then the car is the test, and what shows is sanded off it."
              value={why}
              maxLength={200}
              onChange={(event) => setWhy(event.currentTarget.value)}
            />
          ) : (
            <p>
              <strong>A test panel first:</strong> same mix, same gun, clean sanded ground.{' '}
              {because && TEST_PANEL_BECAUSE[because]}
            </p>
          )}
        </>
      }
      action={
        isLeaving ? (
          <Button
            loading={busy}
            disabled={standing.isStopped || why.trim() === ''}
            onClick={() => void tell({ skippedBecause: why.trim() })}
          >
            Go on without one
          </Button>
        ) : (
          <Button
            loading={busy}
            disabled={standing.isStopped}
            onClick={() => void tell({ fluidTurnsOut: turns })}
          >
            {standing.isStopped
              ? 'Stopped: see above'
              : `Test panel good at ${turnsText(turns)} turns`}
          </Button>
        )
      }
      other={
        <Button size="lg" variant="default" onClick={() => setWhy(isLeaving ? undefined : '')}>
          {isLeaving ? 'Spray one' : 'None today'}
        </Button>
      }
    >
      <div className={styles['set']}>
        <FigureTiles label="On the test panel">
          <FigureTile
            name="needle"
            isLead
            label={
              <>
                <span>Needle, turns out; planned {turnsText(now.fluidTurnsOut)}</span>
                <span className="row">
                  <ActionIcon
                    size={48}
                    variant="default"
                    aria-label="A quarter turn in"
                    disabled={turns <= LEAST_TURNS}
                    onClick={() => setTurns(turns - STEP_TURNS)}
                  >
                    <MinusIcon size={26} />
                  </ActionIcon>
                  <ActionIcon
                    size={48}
                    variant="default"
                    aria-label="A quarter turn out"
                    onClick={() => setTurns(turns + STEP_TURNS)}
                  >
                    <PlusIcon size={26} />
                  </ActionIcon>
                </span>
              </>
            }
            figure={{ text: turnsText(turns), unit: '' }}
          />
          <FigureTile name="inlet" label="At the gun" figure={format.pressure(now.inletKPa)} />
          <FigureTile name="distance" label="Distance" figure={format.length(now.distanceMm)} />
          <FigureTile name="wetFilm" label="Wet film" figure={format.film(now.wetFilmUm)} />
        </FigureTiles>
      </div>
      <FilmLooks />
    </StepFrame>
  );
}
