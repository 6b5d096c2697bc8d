/**
 * One coat whole: the air it had, what was planned, what was overridden and why, what was done, how
 * it came out.
 */
import { NotYet } from '../frame/NotYet.tsx';
import { useRecord, useTicket } from '../api/reads.ts';
import { ADDRESS } from '../api/resources.ts';
import type { AnswerOf } from '@orthochrom/contract/registry.ts';
import { Button } from '@mantine/core';
import { causeName, faultName } from '@orthochrom/contract/words/faultWords.ts';
import { blendText } from '@orthochrom/contract/plan/planDifferences.ts';
import { settingNames } from '@orthochrom/contract/shop/coat.ts';
import { Link, useParams } from 'react-router';
import { PageHead } from '../frame/PageHead.tsx';
import { benchOf } from '../faults/benchOf.ts';
import { FlowingRecord } from './FlowingRecord.tsx';
import { usePainter } from '../frame/painter.ts';
import { SEEN_NAME } from '@orthochrom/contract/words/seenWords.ts';
import { STAGE_NAME, WORK_NAME } from '../words/tradeNames.ts';
import { panelName } from '@orthochrom/contract/words/panelWords.ts';
import {
  takenMix,
  takenRecoat,
  takenReducer,
  takenSetup,
} from '@orthochrom/contract/plan/takenPlan.ts';
import { formatFor, minutesText } from '@orthochrom/contract/words/format.ts';
import { ReasonList, VerdictList } from '../verdict/Verdicts.tsx';
import { RATING_MARK, testPanelSaid } from './recordWords.ts';
import { DoneAfter } from './DoneAfter.tsx';
import { Hands } from './Hands.tsx';
import { MadeReady } from './MadeReady.tsx';
import { PlannedBy } from './PlannedBy.tsx';
import { gateText, Fact, SettingRow } from './RecordFacts.tsx';
import { whenText } from '../words/timeText.ts';

export function CoatRecordPage() {
  const { id = '' } = useParams();
  const record = useRecord(id);
  const row = record.data;
  const { data: whole } = useTicket(row?.coat.ticketId);
  const { painter } = usePainter();
  if (!row) return <NotYet reads={[record]} what="the record" />;
  const format = formatFor(painter.units);
  const { coat } = row;
  const mix = whole?.mixes.find(({ id: mixId }) => mixId === coat.mixId);
  const works = whole?.works.filter(({ coatId }) => coatId === coat.id) ?? [];
  const reducer = takenReducer(coat);
  const gate = whole?.gates
    .filter(
      ({ stageId, answeredAt }) =>
        stageId === coat.stageId && (!coat.startedAt || answeredAt <= coat.startedAt),
    )
    .at(-1);
  const verdicts = [takenReducer(coat), takenMix(coat), takenSetup(coat)].flatMap(
    (answer) => (answer as AnswerOf<'mix'> | undefined)?.verdicts ?? [],
  );
  return (
    <>
      <PageHead
        title={`${STAGE_NAME[row.stage]} ${coat.ordinal} of ${row.coats}, ${row.vehicle}`}
        line={`${whenText(coat.endedAt)} · ${row.painter} · ${row.room} · ${row.product}${row.colourName ? `, ${row.colourName}` : ''}`}
      >
        <Link to={`/tickets/${coat.ticketId}`} className="touch">
          Ticket {row.ticketNumber}
        </Link>
      </PageHead>
      <div className="page stack">
        <div className="grid2">
          <Fact
            label="Result"
            value={coat.rating ? RATING_MARK[coat.rating] : 'not logged'}
            note={[coat.seen.map((s) => SEEN_NAME[s]).join(', '), coat.note]
              .filter(Boolean)
              .join('. ')}
          />
          {row.airC !== undefined && (
            <Fact
              label="Air"
              value={format.joined(format.temperature(row.airC))}
              note={`${row.rhPercent?.toFixed(0)} % humidity`}
            />
          )}
          {row.panelC !== undefined && (
            <Fact
              label="Panel"
              value={format.joined(format.temperature(row.panelC))}
              note={
                row.materialC === undefined
                  ? ''
                  : `paint ${format.joined(format.temperature(row.materialC))}`
              }
            />
          )}
          {reducer?.choice && (
            <Fact
              label="Reducer and hardener"
              value={blendText(reducer.choice.parts) || 'no reducer'}
              note={[
                reducer.choice.hardener,
                coat.overrides.reducer
                  ? `overridden: ${coat.overrides.reducer.chosen}, ${coat.overrides.reducer.why}`
                  : '',
              ]
                .filter(Boolean)
                .join(' · ')}
            />
          )}
        </div>
        {whole && <MadeReady whole={whole} units={painter.units} />}
        <section className="card stack" aria-label="What was found">
          <h2 className="tape" style={{ alignSelf: 'start' }}>
            What was found
          </h2>
          {row.found.map(({ findingId, fault, cause, confirmed }) => (
            <p key={findingId}>
              <Link to={`/faults/${findingId}`}>{faultName(fault)}</Link>,{' '}
              {confirmed ? 'from' : 'perhaps from'} {causeName(cause).toLowerCase()}{' '}
              <span className="quiet">{confirmed ? 'confirmed' : 'not confirmed yet'}</span>
            </p>
          ))}
          {coat.testPanel && (
            <p>
              <strong>Test panel:</strong> {testPanelSaid(coat.testPanel)}
            </p>
          )}
          {coat.overrides.stop && (
            <p>
              <strong>Broken off:</strong> {coat.overrides.stop.why}{' '}
              <span className="quiet">stops then: {coat.overrides.stop.recommended}</span>
            </p>
          )}
          {works.map(({ id, kind, why, at }) => (
            <p key={id}>
              {WORK_NAME[kind]}
              {why ? `: ${why}` : ''} <span className="quiet">{whenText(at)}</span>
            </p>
          ))}
          {whole && <DoneAfter whole={whole} coatId={coat.id} units={painter.units} />}
          <div className="row">
            <Button component={Link} to={benchOf(coat, coat.seen)} variant="default">
              What is wrong? Find the cause
            </Button>
            {row.found.length > 0 && (
              <a href={ADDRESS.ticket(coat.ticketId, 'findings-file')}>
                All findings of this ticket as a file
              </a>
            )}
          </div>
        </section>
        <div className="card scrollx">
          <h2 className="tape">Gun {row.gun}: planned and done</h2>
          <table className="plain">
            <thead>
              <tr>
                <th>Setting</th>
                <th>Recommended</th>
                <th>Taken instead</th>
                <th>Done</th>
              </tr>
            </thead>
            <tbody>
              {settingNames.map((name) => (
                <SettingRow key={name} name={name} row={row} format={format} />
              ))}
            </tbody>
          </table>
        </div>
        <FlowingRecord
          coat={coat}
          format={format}
          nameOf={(panelId) =>
            whole?.ticket.panels.find((panel) => panel.id === panelId)?.name ?? 'panel'
          }
        />
        {mix && (
          <div className="card stack">
            <h2 className="tape" style={{ alignSelf: 'start' }}>
              Mix {mix.batchNo}
            </h2>
            <p>
              {mix.poured
                .map(
                  (part) =>
                    `${part.name} ${'ml' in part ? format.joined(format.volume(part.ml)) : `${part.grams} g`}`,
                )
                .join(' · ')}
              ; mixed {whenText(mix.mixedAt)}
              {mix.potLifeEndsAt ? `, pot life to ${whenText(mix.potLifeEndsAt)}` : ''}
            </p>
          </div>
        )}
        <PlannedBy planned={coat.planned} issues={row.plannedBy} />
        <Hands hands={row.hands} />
        <div className="card stack">
          <h2 className="tape" style={{ alignSelf: 'start' }}>
            Times
          </h2>
          <p>
            Begun {whenText(coat.startedAt)}, on {whenText(coat.endedAt)}
            {takenRecoat(coat)
              ? `; planned wait ${minutesText(takenRecoat(coat)!.earliestMinutes.value)}`
              : ''}
            .{' '}
            {coat.panelsSprayed
              .map(
                ({ panelId, sprayedAt }) =>
                  `${panelName(whole?.ticket.panels.find((panel) => panel.id === panelId)?.name ?? 'panel')} ${whenText(sprayedAt)}`,
              )
              .join(', ')}
          </p>
        </div>
        {gate && (
          <div className="card stack">
            <h2 className="tape" style={{ alignSelf: 'start' }}>
              Safety gate
            </h2>
            <p>
              {gate.passed ? 'Passed' : 'Stopped'} {whenText(gate.answeredAt)}:{' '}
              {gateText(gate.answers)}
            </p>
          </div>
        )}
        {verdicts.length > 0 && <VerdictList verdicts={verdicts} hideGo />}
        {reducer && (
          <div className="card">
            <ReasonList reasons={[...reducer.reasons, ...(takenSetup(coat)?.reasons ?? [])]} />
          </div>
        )}
      </div>
    </>
  );
}
