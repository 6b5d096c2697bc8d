/**
 * From what was seen to what is done: steps with the film that is left after each, offered only
 * where there is film for them; what was done stays.
 */
import { Button, SegmentedControl } from '@mantine/core';
import { finishOn } from '@orthochrom/contract/plan/finishOn.ts';
import type { FinishTold } from '@orthochrom/contract/shop/finishStep.ts';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { formatFor } from '@orthochrom/contract/words/format.ts';
import { inUnitsOf } from '@orthochrom/contract/words/measured.ts';
import { PEEL_GRADES } from '@orthochrom/core/finish/finish.ts';
import { useState } from 'react';
import { v7 as newId } from 'uuid';
import { noteDown } from '../../api/outbox.ts';
import { ADDRESS } from '../../api/resources.ts';
import { useWrite } from '../../api/useWrite.ts';
import { FigureInput } from '../../units/FigureInput.tsx';
import { VerdictList } from '../../verdict/Verdicts.tsx';
import type { CardProps } from '../cardProps.ts';
import { EdgesToKeepOff } from './EdgesToKeepOff.tsx';
import { seenToCut, VERDICT_WORD } from './finishWords.ts';

type FinishCardProps = Pick<CardProps, 'whole' | 'coat' | 'context' | 'painter' | 'keep'> & {
  nowMs: number;
};

export function FinishCard(props: FinishCardProps) {
  const kinds = seenToCut(props.coat.seen);
  const [kind, setKind] = useState(kinds[0]?.value);
  const { stage } = props.context;
  const picked = kinds.find(({ value }) => value === kind) ?? kinds[0];
  if (!picked || (stage.kind !== 'clear' && stage.kind !== 'singleStage')) return null;
  return (
    <section className="card stack" aria-label="Cut and polish">
      <h3>Cut and polish</h3>
      {kinds.length > 1 && (
        <SegmentedControl
          aria-label="What was seen"
          data={kinds}
          value={picked.value}
          onChange={(value) => setKind(value as typeof picked.value)}
        />
      )}
      <Ladder key={picked.value} {...props} seen={picked.value} />
    </section>
  );
}

function Ladder(props: FinishCardProps & { seen: FinishTold['seen'] }) {
  const { whole, coat, context, painter, keep, nowMs, seen } = props;
  const before = whole.finishSteps.filter((step) => step.coatId === coat.id && step.seen === seen);
  const last = before.at(-1);
  const [told, setTold] = useState<FinishTold>({
    seen,
    nail: last?.nail ?? 'notTried',
    ...(seen === 'peel' ? { grade: last?.grade ?? 'fine' } : {}),
    ...(last?.measuredUm === undefined ? {} : { measuredUm: last.measuredUm }),
  });
  const [leftUm, setLeftUm] = useState<number>();
  const [busy, write] = useWrite();
  const { bore, film, joined } = formatFor(painter.units);
  const answer = finishOn(context, whole, coat, told, nowMs);
  if (!answer) return <p>No polish date is known here: its sheet and its air come first.</p>;
  const [next] = answer.steps;
  const keepOff = joined(bore(answer.keepOffMm));
  const range = ([low, high]: readonly [number, number]): string =>
    `${film(low).text} to ${joined(film(high))}`;
  const done = () =>
    next &&
    write(async () => {
      const path = ADDRESS.coat(coat.id, 'finish-steps');
      keep(
        await noteDown<TicketWhole>(`${next.step} done`, 'POST', path, {
          id: newId(),
          painterId: painter.id,
          ...told,
          step: next.step,
          ...(leftUm === undefined ? {} : { leftUm }),
        }),
      );
      setLeftUm(undefined);
    });
  return (
    <>
      <div className="grid2">
        {seen === 'peel' && (
          <SegmentedControl
            aria-label="How coarse"
            data={PEEL_GRADES.map((value) => ({ value, label: value }))}
            value={told.grade ?? 'fine'}
            onChange={(grade) => setTold({ ...told, grade: grade as (typeof PEEL_GRADES)[number] })}
          />
        )}
        <SegmentedControl
          aria-label="A nail pressed in at the edge"
          data={[
            { value: 'notTried', label: 'nail not tried' },
            { value: 'none', label: 'no print' },
            { value: 'prints', label: 'it prints' },
          ]}
          value={told.nail}
          onChange={(nail) => setTold({ ...told, nail: nail as FinishTold['nail'] })}
        />
        <FigureInput
          label="Clear by the gauge, if you have one"
          kind="film"
          field="measuredUm"
          {...(told.measuredUm === undefined ? {} : { value: told.measuredUm })}
          onChange={(entered) => {
            const { measuredUm: _, ...rest } = told;
            setTold(entered ? { ...rest, measuredUm: entered.canonical } : rest);
          }}
        />
      </div>
      <VerdictList verdicts={answer.verdicts} hideGo />
      <p>
        <strong>{VERDICT_WORD[answer.verdict]}</strong>
        {answer.budgetUm && ` ${joined(film(answer.budgetUm.value))} may be taken off.`}
      </p>
      {(before.length > 0 || answer.steps.length > 0) && (
        <ol>
          {before.map(({ id, step, leftUm: read }) => (
            <li key={id}>
              {step}: <strong>done</strong>
              {read !== undefined && `, ${joined(film(read))} left`}
            </li>
          ))}
          {answer.steps.map(({ step, grit, leftUm: left, condition }, i) => (
            <li key={step} {...(i === 0 ? { 'aria-current': 'step' as const } : {})}>
              {i === 0 ? <strong>{step}</strong> : step}
              {grit && `, ${grit}`}: leaves {range(left)}.{' '}
              <span className="quiet">{inUnitsOf(condition, painter.units)}.</span>
            </li>
          ))}
        </ol>
      )}
      {next && (
        <div className="row" style={{ alignItems: 'end' }}>
          <FigureInput
            key={next.step}
            label="Left by the gauge after it"
            kind="film"
            field="leftUm"
            onChange={(entered) => setLeftUm(entered?.canonical)}
          />
          <Button size="lg" loading={busy} onClick={() => void done()}>
            Done: {next.step.split(/[,:]/)[0]}
          </Button>
        </div>
      )}
      {(answer.steps.length > 0 || before.length > 0) && (
        <EdgesToKeepOff ticket={whole.ticket} stage={context.stage} keepOff={keepOff} />
      )}
      <p className="quiet">
        {`Keep ${keepOff} off edges, red on the car, and creases; that strip by hand, the last grit only.`}
      </p>
    </>
  );
}
