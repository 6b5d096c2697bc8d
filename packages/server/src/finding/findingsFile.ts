/** Findings handed over with their photos inside, and taken in again. */
import {
  FINDINGS_FILE,
  type Finding,
  type FindingsFile,
} from '@orthochrom/contract/shop/finding.ts';
import type { EntityManager } from 'typeorm';
import type { Ledger } from '../event/ledger.ts';
import { insertOnce } from '../event/insertOnce.ts';
import { OutOfTurn } from '../http/faults.ts';
import { shopIdOf } from '../shop/shopId.ts';
import { GunTable } from '../shop/shopTables.ts';
import { PanelTable, TicketTable } from '../ticket/ticketTables.ts';
import { CoatTable } from '../ticket/coatTables.ts';
import { columnsOf } from './findingLedger.ts';
import { FindingTable, type FindingRow } from './findingTables.ts';
import { insertPhoto, photoBytes } from './photos.ts';

export async function findingsFile(
  manager: EntityManager,
  found: readonly Finding[],
): Promise<FindingsFile> {
  const findings = [];
  for (const finding of found) {
    const {
      result: _r,
      changes: _c,
      knowledgeVersion: _k,
      calculationVersion: _v,
      painterId: _p,
      photos,
      confirmed,
      ...kept
    } = finding;
    const pictures = [];
    for (const { id } of photos) {
      const { mime, picture } = await photoBytes(manager, id);
      pictures.push({ id, mime: mime as 'image/jpeg', base64: picture.toString('base64') });
    }
    const { painterId: _by, ...told } = confirmed ?? { painterId: '' };
    findings.push({
      ...kept,
      ...(confirmed ? { confirmed: told as never } : {}),
      photos: pictures,
    });
  }
  return { file: FINDINGS_FILE, fileVersion: 1, findings };
}

/**
 * What this shop has already is left as it is; a ticket, coat, panel or gun that this shop does not
 * have is let go, the words stay.
 * @throws OutOfTurn when this shop's own is another version: it is not overwritten
 */
export const importFindings = (
  ledger: Ledger,
  { findings }: FindingsFile,
  painterId: string,
): Promise<number> =>
  ledger.write(async (manager, trace) => {
    const shopId = await shopIdOf(manager);
    let taken = 0;
    for (const { id, version, seenAt, confirmed, photos, ...seen } of findings) {
      const own = await manager.findOneBy(FindingTable, { id });
      if (own && own.version !== version)
        throw new OutOfTurn(
          `The finding of ${own.vehicle || 'a car'} is here in version ${own.version}, the file has ${version}. Nothing was taken in.`,
        );
      const here = await linksHere(manager, seen);
      const told = {
        confirmedFault: confirmed?.fault ?? null,
        confirmedCause: confirmed?.cause ?? null,
        confirmedLayer: confirmed?.layer ?? null,
        confirmedNote: confirmed?.note ?? null,
        confirmedBy: confirmed ? painterId : null,
        confirmedAt: confirmed ? new Date(confirmed.at) : null,
      };
      const row = {
        id,
        shopId,
        painterId,
        seenAt: new Date(seenAt),
        ...columnsOf({ ...seen, ...here }),
        ...told,
        version,
      } as FindingRow;
      if (!own && (await insertOnce(manager, FindingTable, row))) {
        taken += 1;
        await trace({
          shopId,
          painterId,
          aggregateType: 'finding',
          aggregateId: id,
          kind: 'taken-in',
          patch: { version },
        });
      }
      for (const photo of photos)
        await insertPhoto(
          manager,
          photo.id,
          id,
          Buffer.from(photo.base64, 'base64'),
          new Date(seenAt),
        );
    }
    return taken;
  });

type Links = Pick<Finding, 'ticketId' | 'coatId' | 'panelId' | 'gunId'>;

async function linksHere(
  manager: EntityManager,
  { ticketId, coatId, panelId, gunId }: Links,
): Promise<Links> {
  const there = async (
    table: typeof TicketTable | typeof CoatTable | typeof PanelTable | typeof GunTable,
    id: string | undefined,
  ) =>
    id !== undefined && (await manager.existsBy(table as typeof TicketTable, { id }))
      ? id
      : undefined;
  return {
    ticketId: await there(TicketTable, ticketId),
    coatId: await there(CoatTable, coatId),
    panelId: await there(PanelTable, panelId),
    gunId: await there(GunTable, gunId),
  };
}
