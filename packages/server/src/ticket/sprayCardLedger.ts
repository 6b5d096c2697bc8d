/** A spray-out card kept with what was seen on it; its picture is added once. */
import { stageSaid } from '@orthochrom/contract/plan/layersFound.ts';
import type { PrepStep } from '@orthochrom/contract/plan/prepList.ts';
import type { PrepAnswerCreate } from '@orthochrom/contract/shop/prep.ts';
import type { SprayCard } from '@orthochrom/contract/shop/sprayCard.ts';
import type { Ticket } from '@orthochrom/contract/shop/ticket.ts';
import type { EntityManager } from 'typeorm';
import type { Ledger } from '../event/ledger.ts';
import { insertNew } from '../event/insertOnce.ts';
import { BadInput, NotFound, OutOfTurn } from '../http/faults.ts';
import { pictureOf } from '../photo/picture.ts';
import { shopIdOf } from '../shop/shopId.ts';
import { SprayCardTable, type SprayCardRow } from './prepTables.ts';

/** @throws BadInput where the step that was answered is no card */
export async function keepSprayCard(
  manager: EntityManager,
  { id: ticketId, stages }: Ticket,
  step: PrepStep,
  { painterId, answer, reason, card }: PrepAnswerCreate,
): Promise<void> {
  if (!card) return;
  const stage = stages.find((one) => stageSaid(stages, one) === step.stage);
  if (step.kind !== 'card' || !stage)
    throw BadInput.at(['card'], 'contradiction', `${step.key} is no spray-out card.`);
  await insertNew(manager, SprayCardTable, {
    wetFilmUm: null,
    ...card,
    ticketId,
    stageId: stage.id,
    painterId,
    seen: answer as SprayCard['seen'],
    word: reason.trim(),
    mime: null,
    picture: null,
    thumb: null,
    at: new Date(),
  });
}

/**
 * @returns the ticket's id. @throws OutOfTurn where it has a picture already: a card is seen once
 */
export const addCardPhoto = (
  ledger: Ledger,
  { id, painterId, bytes }: { id: string; painterId: string; bytes: Buffer },
): Promise<string> =>
  ledger.write(async (manager, trace) => {
    const card = await manager.findOneBy(SprayCardTable, { id });
    if (!card) throw new NotFound(`There is no card ${id}.`);
    if (card.mime) throw new OutOfTurn('This card has its picture: spray and keep another.');
    const { mime, picture, thumb } = await pictureOf(bytes);
    await manager.update(SprayCardTable, { id }, { mime, picture, thumb });
    await trace({
      shopId: await shopIdOf(manager),
      painterId,
      aggregateType: 'ticket',
      aggregateId: card.ticketId,
      kind: 'card-pictured',
      patch: { cardId: id, sizeBytes: bytes.length },
    });
    return card.ticketId;
  });

/** @throws NotFound */
export async function cardPhoto(
  manager: EntityManager,
  id: string,
): Promise<Pick<SprayCardRow, 'picture' | 'thumb'> & { mime: string }> {
  const row = await manager.findOne(SprayCardTable, {
    where: { id },
    select: { id: true, mime: true, picture: true, thumb: true },
  });
  if (!row?.mime) throw new NotFound(`Card ${id} has no picture.`);
  return { mime: row.mime, picture: row.picture, thumb: row.thumb };
}
