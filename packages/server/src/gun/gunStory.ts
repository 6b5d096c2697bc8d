/**
 * What a gun has behind it: its tests, its care, what was set for each product, how its air held;
 * and what it is due for.
 */
import type {
  FlowingCoat,
  GunCareNow,
  GunStory,
  SetupCard,
  StoredCare,
} from '@orthochrom/contract/shop/care.ts';
import type { RecordRow } from '@orthochrom/contract/shop/record.ts';
import { dueOf } from '@orthochrom/core/gun/care.ts';
import { In, type EntityManager } from 'typeorm';
import { NotFound } from '../http/faults.ts';
import { GunTable, NozzleSetTable, type GunRow } from '../shop/shopTables.ts';
import { allRecords } from '../ticket/records.ts';
import { CareTable, type CareRow } from './careTable.ts';
import { TestTable } from './testTable.ts';
import { testOf } from './testReader.ts';

const DAY_MS = 86_400_000;

type Use = { gun_id: string; ended_at: Date; ticket_id: string; pot_life_ends_at: Date | null };

/** What every gun is due for now. */
export async function careNow(manager: EntityManager): Promise<GunCareNow[]> {
  const guns = await manager.find(GunTable);
  const uses: Use[] = await manager.query(
    `select c.gun_id, c.ended_at, c.ticket_id, m.pot_life_ends_at from coat c left join mix m on m.id = c.mix_id
     where c.ended_at is not null and c.gun_id is not null and c.archived_at is null order by c.ended_at`,
  );
  const rounds = await manager.find(CareTable, { order: { doneAt: 'ASC' } });
  const patterns: { gun_id: string; taken_at: Date }[] = await manager.query(
    `select s.gun_id, t.taken_at from calibration t join nozzle_set s on s.id = t.nozzle_set_id
     where t.kind = 'pattern' and s.retired_at is null order by t.taken_at`,
  );
  const now = Date.now();
  return guns.map((gun) => {
    const own = uses.filter(({ gun_id }) => gun_id === gun.id);
    const since = (at: Date | undefined) =>
      at && {
        days: Math.floor((now - at.getTime()) / DAY_MS),
        coats: own.filter(({ ended_at }) => ended_at > at).length,
      };
    const lastOf = (...kinds: CareRow['kind'][]) =>
      rounds.findLast((round) => round.gunId === gun.id && kinds.includes(round.kind))?.doneAt;
    const cleanedAt = lastOf('cleaned', 'serviced');
    const last = own.at(-1);
    const isDirty = last && (!cleanedAt || last.ended_at > cleanedAt);
    return {
      gunId: gun.id,
      due: [
        dueOf(
          'pattern',
          since(patterns.findLast(({ gun_id }) => gun_id === gun.id)?.taken_at),
          gun.intervals.pattern,
          own.length,
        ),
        dueOf('service', since(lastOf('serviced')), gun.intervals.service, own.length),
      ],
      ...(isDirty ? { dirty: dirtOf(last) } : {}),
      ...(cleanedAt ? { lastCleanedAt: cleanedAt.toISOString() } : {}),
    };
  });
}

const dirtOf = ({ ended_at, pot_life_ends_at, ticket_id }: Use) => ({
  since: ended_at.toISOString(),
  ...(pot_life_ends_at ? { cleanBy: pot_life_ends_at.toISOString() } : {}),
  ticketId: ticket_id,
});

/** @throws NotFound */
export async function gunStory(manager: EntityManager, gunId: string): Promise<GunStory> {
  const gun = await manager.findOneBy(GunTable, { id: gunId });
  if (!gun) throw new NotFound(`There is no gun ${gunId}.`);
  const sets = await manager.find(NozzleSetTable, { where: { gunId } });
  const tests = await manager.find(TestTable, {
    where: { nozzleSetId: In(sets.map(({ id }) => id)) },
    order: { takenAt: 'ASC' },
  });
  const rounds = await manager.find(CareTable, { where: { gunId }, order: { doneAt: 'DESC' } });
  const coats = await newestCoats(manager, gunId);
  return {
    care: (await careNow(manager)).find((care) => care.gunId === (gun as GunRow).id)!,
    tests: tests.map(testOf),
    rounds: rounds.map(roundOf),
    cards: setupCards(coats),
    flowing: coats.flatMap(flowingOf).reverse(),
  };
}

/** What a gun does tells itself in so many coats; older ones are in the records. */
const MOST_COATS = 500;
async function newestCoats(manager: EntityManager, gunId: string): Promise<RecordRow[]> {
  const coats: RecordRow[] = [];
  for await (const rows of allRecords(manager, { gunId })) {
    coats.push(...rows);
    if (coats.length >= MOST_COATS) break;
  }
  return coats;
}

const roundOf = ({ shopId: _s, ticketId, coatId, doneAt, ...round }: CareRow): StoredCare => ({
  ...round,
  ...(ticketId ? { ticketId } : {}),
  ...(coatId ? { coatId } : {}),
  at: doneAt.toISOString(),
});

/**
 * For each product and nozzle the newest coat that went well; where none did, the newest there is.
 * Coats come newest first.
 */
function setupCards(coats: readonly RecordRow[]): SetupCard[] {
  const cards = new Map<string, SetupCard>();
  for (const { coat, product, stage, painter, airC } of coats) {
    if (!coat.rating || !coat.endedAt || coat.nozzleMm === undefined) continue;
    const key = `${product} ${stage} ${coat.nozzleMm}`;
    const known = cards.get(key);
    const settings = Object.fromEntries(
      Object.entries(coat.done).flatMap(([name, done]) =>
        done && name !== 'wetFilmUm' ? [[name, done.value]] : [],
      ),
    );
    const card = {
      product,
      stage,
      nozzleMm: coat.nozzleMm,
      settings,
      rating: coat.rating,
      at: coat.endedAt,
      painter,
      coats: 1,
      coatId: coat.id,
      ...(airC === undefined ? {} : { airC }),
    };
    if (!known) cards.set(key, card);
    else
      cards.set(key, {
        ...(known.rating !== 'good' && coat.rating === 'good' ? card : known),
        coats: known.coats + 1,
      });
  }
  return [...cards.values()];
}

function flowingOf({ coat }: RecordRow): FlowingCoat[] {
  const { lowestInletKPa, highestInletKPa, endedAt } = coat;
  if (lowestInletKPa === undefined || highestInletKPa === undefined || !endedAt) return [];
  return [
    {
      coatId: coat.id,
      at: endedAt,
      plannedKPa: coat.done['inletKPa']?.value ?? highestInletKPa,
      lowestKPa: lowestInletKPa,
      highestKPa: highestInletKPa,
      panels: coat.panelsSprayed.flatMap((panel) =>
        panel.lowestInletKPa === undefined || panel.highestInletKPa === undefined
          ? []
          : [{ lowestKPa: panel.lowestInletKPa, highestKPa: panel.highestInletKPa }],
      ),
    },
  ];
}
