/**
 * What to expect of the coats still to come at the settings as they stand; it moves with the air
 * and with every knob.
 */
import { Button } from '@mantine/core';
import type { CoatPlan } from '@orthochrom/contract/plan/planCoat.ts';
import { changeText, RISK_NAME } from '@orthochrom/contract/words/coatWords.ts';
import { useNavigate } from 'react-router';
import { usePainter } from '../../frame/painter.ts';
import type { LabVisit } from '../../lab/labSetup.ts';
import { RiskBars } from '../../lab/RiskBars.tsx';
import type { Expected } from './useExpected.ts';
import { formatFor } from '@orthochrom/contract/words/format.ts';
import { verdictSaid } from '@orthochrom/contract/words/verdictWords.ts';

type ExpectCardProps = {
  expected: Expected;
  plan: CoatPlan;
  coatId: string;
  ticketId: string;
  title: string;
  isControl: boolean;
};

export function ExpectCard({
  expected,
  plan,
  coatId,
  ticketId,
  title,
  isControl,
}: ExpectCardProps) {
  const { painter } = usePainter();
  const { film, joined, inWords } = formatFor(painter.units);
  const navigate = useNavigate();
  const { input, answer, error, isStale } = expected;
  const toLab = () =>
    void navigate('/lab', {
      state: { setup: input, coatId, ticketId, title } satisfies LabVisit,
    });
  const helps = answer?.changes?.[0];
  const late = answer?.verdicts.find(({ code }) => code === 'film-closes-before-lap');
  const ready = answer?.flashReadyMinutes[0];
  return (
    <section className="card stack" aria-label="What to expect" aria-busy={isStale}>
      <div className="row" style={{ justifyContent: 'space-between' }}>
        <h2 className="tape">What to expect</h2>
        <Button variant="default" onClick={toLab}>
          Try it in the spray lab
        </Button>
      </div>
      {isControl && (
        <p className="quiet">
          The last coat lies lighter and drier by intent; the model knows full coats, and says more
          mottle and dry spray of it than a painter would see.
        </p>
      )}
      {error && <p role="alert">{error}</p>}
      {!answer && !error && <p className="quiet">Laying it in the model …</p>}
      {answer && (
        <>
          <div className="row" style={{ gap: '1.6rem', alignItems: 'flex-start' }}>
            <Figure
              label="Wet film"
              value={film(answer.film.wetUm.value)}
              range={[film(answer.film.wetUm.low).text, film(answer.film.wetUm.high).text]}
            />
            {answer.runsFromUm && (
              <Figure
                label="It runs from"
                value={film(answer.runsFromUm.value)}
                range={[film(answer.runsFromUm.low).text, film(answer.runsFromUm.high).text]}
              />
            )}
            {ready && (
              <Figure
                label="Ready, says the model"
                value={{ text: ready.value.toFixed(0), unit: 'min' }}
                range={[ready.low.toFixed(0), ready.high.toFixed(0)]}
              />
            )}
            <ClockFigure plan={plan} />
          </div>
          <RiskBars sides={[{ name: 'A', risks: answer.risks }]} />
          {late && <p>{verdictSaid(late.code, late.params, inWords)}</p>}
          {helps && (
            <p>
              <strong>Would help most:</strong>{' '}
              {changeText(helps as Parameters<typeof changeText>[0], inWords)} (
              {RISK_NAME[helps.helps].toLowerCase()} {(helps.before * 100).toFixed(0)} % to{' '}
              {(helps.after * 100).toFixed(0)} %).
            </p>
          )}
          <p className="quiet">
            The model’s word, four times in five within the ranges; the sheet and your test panel go
            before it. Aimed at {joined(film((plan.setup.own ?? plan.setup).wetFilmUm))} wet.
          </p>
        </>
      )}
    </section>
  );
}

/** The clock that rules, beside the model's own word for the same thing. */
function ClockFigure({ plan }: { plan: CoatPlan }) {
  const { earliestMinutes, sheetMinutes, floorMinutes, reasons } = plan.recoat;
  const isSheet = reasons[0]?.source === 'dataSheet';
  return (
    <div data-clock>
      <div className="label">The flash clock: this rules</div>
      <div className="figure mid">
        {earliestMinutes.value.toFixed(0)} <small>min</small>
      </div>
      <div className="quiet">
        {isSheet ? 'sheet' : 'usual'} {sheetMinutes.toFixed(0)}, never under{' '}
        {floorMinutes.toFixed(0)}
      </div>
    </div>
  );
}

function Figure({
  label,
  value: { text, unit },
  range,
}: {
  label: string;
  value: { text: string; unit: string };
  range: [string, string];
}) {
  return (
    <div>
      <div className="label">{label}</div>
      <div className="figure mid">
        {text} <small>{unit}</small>
      </div>
      <div className="quiet">
        {range[0]} to {range[1]}
      </div>
    </div>
  );
}
