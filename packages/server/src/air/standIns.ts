/** The stand-ins of the instruments, steered alike in every process of the server. */
import type { EntityManager } from 'typeorm';
import type { GaugeSteering, StandInGauge } from '../compressedAir/gauge.ts';
import { demoDays } from '../demo/demoDays.ts';
import { tellOf, type Changes } from '../event/changes.ts';
import type { ProbeSteering, StandInProbe } from './probe.ts';
import { StandInTable, type StandInRow } from './standInTable.ts';

/** Of a day that was begun longer ago the probe begins a new one. */
const A_DAY_MS = 12 * 3_600_000;
const STEERED = 'standIn';
const ROOMS_CHANGE_WITH = ['room', 'shop', 'wholeShop'];

export async function keepSteering(
  manager: EntityManager,
  kind: StandInRow['kind'],
  state: StandInRow['state'],
): Promise<void> {
  await manager.upsert(StandInTable, { kind, state }, ['kind']);
  await tellOf(manager, { type: STEERED, id: kind });
}

/** Whichever process is first begins the day; the others, and the next ones, follow it. */
export async function shareStandIns(
  manager: EntityManager,
  changes: Changes,
  { probe, gauge }: { probe: StandInProbe; gauge: StandInGauge },
): Promise<void> {
  const follow = async (): Promise<void> => {
    for (const { kind, state } of await manager.find(StandInTable))
      if (kind === 'gauge') gauge.steer(state as GaugeSteering);
      else probe.follow(state as ProbeSteering);
  };
  const playAnew = async (): Promise<void> => probe.playIn(await demoDays(manager));
  await manager.query(
    `insert into stand_in (kind, state) values ('probe', $1) on conflict (kind) do update
     set state = excluded.state where (stand_in.state->>'atMs')::double precision < $2`,
    [JSON.stringify(probe.steering), Date.now() - A_DAY_MS],
  );
  await follow();
  changes.on(({ type }) => {
    const work =
      type === STEERED ? follow() : ROOMS_CHANGE_WITH.includes(type) ? playAnew() : undefined;
    // A database that is away is said by every read.
    void work?.catch(() => undefined);
  });
}
