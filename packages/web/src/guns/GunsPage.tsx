/**
 * Guns and air: every gun with what it is due for, the lines that feed them, the compressors
 * behind.
 */
import { NotYet } from '../frame/NotYet.tsx';
import { GUN_NAME } from '@orthochrom/contract/words/tradeWords.ts';
import { Button } from '@mantine/core';
import {
  deliveryOf,
  lineOf,
  type AirLine,
  type Compressor,
} from '@orthochrom/contract/shop/compressedAir.ts';
import type { GunCareNow } from '@orthochrom/contract/shop/care.ts';
import type { ShopSetup, StoredGun } from '@orthochrom/contract/shop/setup.ts';
import { Link } from 'react-router';
import { useCare, useSetup } from '../api/reads.ts';
import { useNowMs } from '../api/serverClock.ts';
import { couplerWord, hoseWord } from '../compressedAir/lineWords.ts';
import { ForRole } from '../frame/ForRole.tsx';
import { PageHead } from '../frame/PageHead.tsx';
import { usePainter } from '../frame/painter.ts';
import { STAGE_NAME } from '../words/tradeNames.ts';
import { formatFor } from '@orthochrom/contract/words/format.ts';
import { DueBadges } from './DueBadges.tsx';
import styles from './GunsPage.module.css';
import { TRUST_NAME } from './names.ts';

export function GunsPage() {
  const read = useSetup();
  const setup = read.data;
  const { data: care } = useCare();
  const nowMs = useNowMs(30_000);
  return (
    <>
      <PageHead
        title="Guns and air"
        line="Pressure, turns and tests belong to a gun and its nozzle set; a loss belongs to a line and a flow"
      >
        <div className="row">
          <ForRole atLeast="painter">
            <Button component={Link} to="/guns/new">
              New gun
            </Button>
            <Button component={Link} to="/air/new" variant="default">
              New air line
            </Button>
            <Button component={Link} to="/compressors/new" variant="default">
              New compressor
            </Button>
          </ForRole>
        </div>
      </PageHead>
      {!setup && <NotYet reads={[read]} what="the guns" />}
      {setup && (
        <div className="page stack">
          <div className={styles['cards']}>
            {setup.guns.map((gun) => (
              <GunTile
                key={gun.id}
                gun={gun}
                care={care?.find(({ gunId }) => gunId === gun.id)}
                nowMs={nowMs}
              />
            ))}
          </div>
          {setup.guns.length === 0 && (
            <p className="card">
              No gun yet. Describe the first: its kind, its nozzle sets, its knobs.
            </p>
          )}
          <h2 className="tape" style={{ alignSelf: 'start' }}>
            Air
          </h2>
          <div className={styles['cards']}>
            {setup.airLines.map((line) => (
              <LineTile key={line.id} line={line} setup={setup} />
            ))}
            {setup.compressors.map((compressor) => (
              <CompressorTile key={compressor.id} compressor={compressor} />
            ))}
          </div>
          {setup.airLines.length === 0 && (
            <p className="card">
              No air line yet. Describe the way from the wall to the gun once, and every card tells
              what your gauge must show.
            </p>
          )}
        </div>
      )}
    </>
  );
}

function GunTile({
  gun,
  care,
  nowMs,
}: {
  gun: StoredGun;
  care: GunCareNow | undefined;
  nowMs: number;
}) {
  return (
    <Link to={`/guns/${gun.id}`} className={`card stack ${styles['tile']}`}>
      <div className="row" style={{ justifyContent: 'space-between' }}>
        <span className="figure mid">{gun.name}</span>
        <span className="quiet">{GUN_NAME[gun.gun.class]}</span>
      </div>
      {care && <DueBadges care={care} nowMs={nowMs} />}
      <div>
        {gun.gun.nozzleSets
          ?.map(
            (set) =>
              `${set.nozzleMm} mm${set.cap ? `, cap ${set.cap}` : ''} (${testCount(set.tests?.length ?? 0)})`,
          )
          .join(' · ')}
      </div>
      <div className="quiet">
        for {gun.usedFor.map((stage) => STAGE_NAME[stage].toLowerCase()).join(', ')} ·{' '}
        {TRUST_NAME[gun.gaugeTrust]}
      </div>
      {gun.note && <p>{gun.note}</p>}
    </Link>
  );
}

const testCount = (count: number): string =>
  count === 0 ? 'untested' : `${count} kind${count === 1 ? '' : 's'} of test`;

function LineTile({ line, setup }: { line: AirLine; setup: ShopSetup }) {
  const { painter } = usePainter();
  const format = formatFor(painter.units);
  const lossPercent = lineOf(line).measuredLossPercent;
  const room = setup.rooms.find(({ id }) => id === line.roomId);
  return (
    <Link to={`/air/${line.id}`} className={`card stack ${styles['tile']}`}>
      <div className="row" style={{ justifyContent: 'space-between' }}>
        <span className="figure mid">{line.name}</span>
        <span className="quiet">{room?.name ?? 'no room'}</span>
      </div>
      <div>{[hoseWord(line, format), couplerWord(line)].filter(Boolean).join(' · ')}</div>
      <div className="quiet">
        gauge at the {line.gaugeAt} ·{' '}
        {lossPercent === undefined
          ? 'loss worked out, not measured'
          : `${lossPercent.toFixed(0)} % lost, measured`}
      </div>
    </Link>
  );
}

function CompressorTile({ compressor }: { compressor: Compressor }) {
  const { painter } = usePainter();
  const { joined, tank, airFlow, pressure } = formatFor(painter.units);
  const { freeAirLPerMin, freeAirAtKPa } = deliveryOf(compressor);
  return (
    <Link to={`/compressors/${compressor.id}`} className={`card stack ${styles['tile']}`}>
      <div className="row" style={{ justifyContent: 'space-between' }}>
        <span className="figure mid">{compressor.name}</span>
        <span className="quiet">compressor</span>
      </div>
      <div>
        {joined(tank(compressor.tankL))} tank · {joined(airFlow(freeAirLPerMin))} at{' '}
        {joined(pressure(freeAirAtKPa))}
      </div>
      <div className="quiet">
        {pressure(compressor.cutInKPa).text} to {joined(pressure(compressor.cutOutKPa))} ·{' '}
        {compressor.pumpUp ? 'timed in the shop' : 'by its plate'}
      </div>
    </Link>
  );
}
