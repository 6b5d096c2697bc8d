/**
 * One line: what the wall must show for a gun and a coat, where the pressure goes, and whether the
 * compressor keeps up.
 */
import { NotYet } from '../frame/NotYet.tsx';
import type { Stage } from '@orthochrom/core/trade/vocabulary.ts';
import { Button, Select } from '@mantine/core';
import { limitOfPlace } from '@orthochrom/contract/plan/planInputs.ts';
import { lineOf, type AirLine } from '@orthochrom/contract/shop/compressedAir.ts';
import type { ShopSetup, StoredGun } from '@orthochrom/contract/shop/setup.ts';
import { ask } from '@orthochrom/contract/calculations/ask.ts';
import { airlineCalculation } from '@orthochrom/contract/calculations/airline.ts';
import { setupCalculation } from '@orthochrom/contract/calculations/setup.ts';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { useSetup } from '../api/reads.ts';
import { ForRole } from '../frame/ForRole.tsx';
import { PageHead } from '../frame/PageHead.tsx';
import { usePainter } from '../frame/painter.ts';
import { STAGE_NAME } from '../words/tradeNames.ts';
import { formatFor } from '@orthochrom/contract/words/format.ts';
import { ReasonList, VerdictList } from '../verdict/Verdicts.tsx';
import { ChainPicture } from './ChainPicture.tsx';
import { CompressorOverJob } from './CompressorOverJob.tsx';
import { Gains } from './Gains.tsx';
import { couplerWord, hoseWord } from './lineWords.ts';
import { PumpUpCard } from './PumpUpCard.tsx';
import { TwoGaugesCard } from './TwoGaugesCard.tsx';

export function AirLinePage() {
  const { id } = useParams();
  const setupRead = useSetup();
  const setup = setupRead.data;
  const line = setup?.airLines.find((candidate) => candidate.id === id);
  if (!setup) return <NotYet reads={[setupRead]} what="the line" />;
  if (!line) return <p className="page">There is no such line.</p>;
  return <OpenLine key={line.id} line={line} setup={setup} />;
}

function OpenLine({ line, setup }: { line: AirLine; setup: ShopSetup }) {
  const { painter } = usePainter();
  const format = formatFor(painter.units);
  const [gunId, setGunId] = useState(setup.guns[0]?.id);
  const gun = setup.guns.find(({ id }) => id === gunId) ?? setup.guns[0];
  const [stage, setStage] = useState<Stage>(gun?.usedFor[0] ?? 'clear');
  const room = setup.rooms.find(({ id }) => id === line.roomId);
  const compressor = setup.compressors.find(({ id }) => id === line.compressorId);
  return (
    <>
      <PageHead
        title={line.name}
        line={[
          room?.name,
          hoseWord(line, format),
          couplerWord(line),
          `${line.line.regulator ?? 'large'} regulator`,
        ]
          .filter(Boolean)
          .join(' · ')}
      >
        <ForRole atLeast="painter">
          <Button component={Link} to={`/air/${line.id}/edit`} variant="default">
            Describe it anew
          </Button>
        </ForRole>
      </PageHead>
      <div className="page stack">
        <div className="row">
          <Select
            label="For the gun"
            w={220}
            value={gun?.id ?? null}
            data={setup.guns.map(({ id, name }) => ({ value: id, label: name }))}
            onChange={(next) => {
              const picked = setup.guns.find(({ id }) => id === next);
              if (!picked) return;
              setGunId(picked.id);
              if (!picked.usedFor.includes(stage)) setStage(picked.usedFor[0] ?? stage);
            }}
          />
          <Select
            label="and the coat"
            w={180}
            value={stage}
            data={Object.entries(STAGE_NAME).map(([value, label]) => ({ value, label }))}
            onChange={(next) => next && setStage(next as Stage)}
          />
        </div>
        {gun ? (
          <ForGun key={`${gun.id}${stage}`} {...{ line, gun, stage, setup }} />
        ) : (
          <p className="card">
            Without a gun nothing flows. <Link to="/guns/new">Describe one first.</Link>
          </p>
        )}
        <div className="grid2" style={{ alignItems: 'start' }}>
          {gun && <TwoGaugesCard line={line} guns={setup.guns} />}
          {compressor && <PumpUpCard compressor={compressor} />}
        </div>
        {line.note && <p className="card">{line.note}</p>}
      </div>
    </>
  );
}

function ForGun({
  line,
  gun,
  stage,
  setup,
}: {
  line: AirLine;
  gun: StoredGun;
  stage: Stage;
  setup: ShopSetup;
}) {
  const { painter } = usePainter();
  const format = formatFor(painter.units);
  const room = setup.rooms.find(({ id }) => id === line.roomId);
  const compressor = setup.compressors.find(({ id }) => id === line.compressorId);
  const airline = lineOf(line);
  const setupAnswer = ask(setupCalculation, {
    gun: gun.gun,
    stage,
    carrier: 'solvent',
    place: room?.place ?? 'booth',
    part: 'largePanel',
    hardener: 'none',
    way: painter.way,
    airline,
    ...limitOfPlace(gun, room),
    plans: false,
  });
  const input = {
    ...airline,
    wantedInletKPa: setupAnswer.inletKPa,
    airFlowLPerMin: setupAnswer.airFlowLPerMin,
  };
  const answer = ask(airlineCalculation, input);
  const wall = format.pressure(answer.regulatorFlowingKPa);
  const range = setupAnswer.ranges.regulatorFlowingKPa;
  const unsure = range ? range.high - range.low : 0;
  return (
    <>
      <section className="card stack" aria-label="From the wall to the cap">
        <div className="row" style={{ gap: '2.5rem', alignItems: 'flex-end' }}>
          <div>
            <div className="label">Wall, trigger pulled</div>
            <div className="figure huge">
              {wall.text} <small>{wall.unit}</small>
            </div>
            <div className="quiet">
              {unsure > 3.5
                ? `${format.pressure(range!.low).text} to ${format.joined(format.pressure(range!.high))}`
                : 'by your own two gauges'}
            </div>
          </div>
          <div>
            <div className="label">at rest</div>
            <div className="figure">
              {format.pressure(answer.regulatorStaticKPa).text} <small>{wall.unit}</small>
            </div>
          </div>
          <div>
            <div className="label">for, at the gun</div>
            <div className="figure">
              {format.pressure(setupAnswer.inletKPa).text} <small>{wall.unit}</small>
            </div>
          </div>
          <div>
            <div className="label">lost on the way</div>
            <div className="figure">
              {answer.lossPercent.toFixed(0)} <small>%</small>
            </div>
          </div>
          <div>
            <div className="label">air drawn</div>
            <div className="figure">
              {format.airFlow(setupAnswer.airFlowLPerMin).text}{' '}
              <small>{format.airFlow(setupAnswer.airFlowLPerMin).unit}</small>
            </div>
          </div>
        </div>
        <ChainPicture
          airline={answer}
          inletKPa={setupAnswer.inletKPa}
          capKPa={setupAnswer.capKPa}
          gaugeAt={line.gaugeAt}
          hoseWord={
            line.line.hose
              ? `${format.joined(format.bore(line.line.hose.innerDiameterMm))} hose`
              : 'hose'
          }
        />
        <VerdictList verdicts={answer.verdicts} />
        <details>
          <summary style={{ cursor: 'pointer', minHeight: 32 }}>Why these figures</summary>
          <ReasonList
            reasons={[
              ...answer.reasons,
              ...setupAnswer.reasons.filter(({ code }) => /^inlet|^cap/.test(code)),
            ]}
          />
        </details>
      </section>
      <section className="card" aria-label="One better piece">
        <Gains input={input} hose={line.line.hose} />
      </section>
      {compressor ? (
        <CompressorOverJob
          compressor={compressor}
          airFlowLPerMin={setupAnswer.airFlowLPerMin}
          wallRestKPa={answer.regulatorStaticKPa}
        />
      ) : (
        <p className="card">
          No compressor is named for this line: whether it holds over a job cannot be told. Describe
          it anew and pick one.
        </p>
      )}
    </>
  );
}
