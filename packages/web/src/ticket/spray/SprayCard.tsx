/** Spraying: the judge once more at the trigger, then panel by panel until the coat is on. */
import { ADDRESS } from '../../api/resources.ts';
import { Button, TextInput } from '@mantine/core';
import { wantsTestPanel } from '@orthochrom/contract/plan/testPanel.ts';
import { coatPlanned } from '@orthochrom/contract/plan/planContext.ts';
import type { Mix, TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { formatFor, minutesText, turnsText } from '@orthochrom/contract/words/format.ts';
import { useState } from 'react';
import { postJson } from '../../api/client.ts';
import { useNowMs } from '../../api/serverClock.ts';
import { useWrite } from '../../api/useWrite.ts';
import { VerdictList } from '../../verdict/Verdicts.tsx';
import { FigureTile, FigureTiles } from '../step/FigureTile.tsx';
import { StepFrame } from '../step/StepFrame.tsx';
import type { CardProps } from '../cardProps.ts';
import { passSeconds } from '../gun/gunSettings.ts';
import {
  FADE_WORDS,
  capital,
  NO_SIDE_LIGHT_WORDS,
  SPRAY_WORDS,
  UNFILTERED_WORDS,
  WETNESS_NAME,
} from '../../words/tradeNames.ts';
import { coatSaid, kindSaid } from '../coatOwn.ts';
import { SettleBelow } from '../layers/SettleBelow.tsx';
import { IdleStep, type ToNext } from '../step/IdleStep.tsx';
import { PanelOrder } from './PanelOrder.tsx';
import { Spraying } from './Spraying.tsx';
import { TestPanelCard } from './TestPanelCard.tsx';
import { useRoute } from './useRoute.ts';
import { useStanding } from '../standing.ts';

type SprayCardProps = CardProps & {
  mix: Mix | undefined;
  gatePassed: boolean;
  askGate: () => void;
  toNext: ToNext;
  /** Kept without leaving this step. */
  keepHere: (whole: TicketWhole) => void;
};

export function SprayCard(props: SprayCardProps) {
  const { whole, coat, context, keepHere, toNext } = props;
  if (coat.state === 'spraying') return <Spraying {...props} />;
  if (coat.state === 'taken')
    return wantsTestPanel(context, whole, coat) ? (
      <TestPanelCard {...props} keep={keepHere} />
    ) : (
      <ReadyToSpray {...props} />
    );
  return <IdleStep {...toNext}>This coat is on.</IdleStep>;
}

function ReadyToSpray(props: SprayCardProps) {
  const { coat, stage, context, plan, painter, keep, mix, askGate } = props;
  const [whyOld, setWhyOld] = useState('');
  const [busy, write] = useWrite();
  const nowMs = useNowMs(15_000);
  const standing = useStanding('spray', props);
  const now = plan.setup.own ?? plan.setup;
  const format = formatFor(painter.units);
  const own = context.mist ? undefined : coatPlanned(context);
  const { route } = useRoute(props);
  const isOld = mix?.potLifeEndsAt !== undefined && Date.parse(mix.potLifeEndsAt) < nowMs;
  const start = () =>
    write(async () =>
      keep(
        await postJson<TicketWhole>(ADDRESS.coat(coat.id, 'spray-start'), {
          version: coat.version,
          painterId: painter.id,
          mixId: mix!.id,
          unchangedSinceGate: true,
          ...(isOld ? { whyOldMix: whyOld.trim() } : {}),
        }),
      ),
    );
  const seconds = passSeconds(now, plan.inputs.setup.panelLengthM);
  return (
    <StepFrame
      ways={{
        word: 'How to lay it',
        content: (
          <>
            <p>
              <strong>
                {capital(own ? coatSaid(own, format) : WETNESS_NAME[plan.setup.wetness])}.
              </strong>{' '}
              {SPRAY_WORDS[stage.kind]} {own?.panels.some(({ move }) => move) && `${FADE_WORDS} `}
              Trigger to air at the turns.
              {context.room.sideLight === false && ` ${NO_SIDE_LIGHT_WORDS}`}
              {context.room.filtered === false && ` ${UNFILTERED_WORDS}`}
            </p>
            {route && <PanelOrder route={route} />}
          </>
        ),
      }}
      said={
        <>
          <VerdictList verdicts={[...standing.verdicts, ...plan.climate.verdicts]} hideGo />
          {!mix && <p role="alert">There is no mix of this stage yet.</p>}
          {isOld && (
            <>
              <p role="alert">
                This mix is past its pot life since{' '}
                {minutesText((nowMs - Date.parse(mix.potLifeEndsAt!)) / 60_000)}: it thickens, lies
                rough and may not cure as it should. Better: clean the gun and mix again.
              </p>
              <TextInput
                label="Spray it all the same: a word why"
                value={whyOld}
                maxLength={200}
                onChange={(event) => setWhyOld(event.currentTarget.value)}
              />
            </>
          )}
          <p>Room, people and protection: are they as they were at the gate?</p>
        </>
      }
      action={
        <Button
          onClick={() => void start()}
          loading={busy}
          disabled={!mix || standing.isStopped || (isOld && whyOld.trim() === '')}
        >
          {standing.isStopped ? 'Stopped: see above' : 'All as at the gate: start spraying'}
        </Button>
      }
      other={
        <Button size="lg" variant="default" onClick={askGate}>
          Something changed
        </Button>
      }
    >
      <SettleBelow {...props} standing={standing} />
      <FigureTiles label="As it is sprayed">
        <FigureTile
          name="wetFilm"
          isLead
          label="Wet film"
          figure={format.film(now.wetFilmUm)}
          note={capital(own ? kindSaid(own) : WETNESS_NAME[plan.setup.wetness])}
        />
        <FigureTile name="inlet" label="At the gun" figure={format.pressure(now.inletKPa)} />
        <FigureTile
          name="needle"
          label="Needle out"
          figure={{ text: turnsText(now.fluidTurnsOut), unit: 'turns' }}
        />
        <FigureTile name="distance" label="Distance" figure={format.length(now.distanceMm)} />
        <FigureTile
          name="step"
          label="Step between passes"
          figure={format.length(now.stepMm)}
          note={`${now.overlapPercent.toFixed(0)} % overlap`}
        />
        <FigureTile
          name="pass"
          label="Hand, one pass"
          figure={{ text: seconds.toFixed(1), unit: 's' }}
        />
      </FigureTiles>
    </StepFrame>
  );
}
