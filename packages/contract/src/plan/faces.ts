/**
 * Parts off the car, in two sessions: hidden faces first, then, once tape bears on them, turned and
 * hung for what is seen.
 */
import { caution } from '@orthochrom/core/outcome/verdicts.ts';
import type { Coat } from '../shop/coat.ts';
import { FACES, type Panel, type StagePlan, type Ticket } from '../shop/ticket.ts';
import { wordVerdict, type WordedVerdict } from '../words/worded.ts';
import { coatOrder, isOn } from './coatOrder.ts';
import { panelSaid } from './layersFound.ts';

const [INSIDE, OUTSIDE] = FACES;

/** Whether a stage goes over a panel, as far as faces go. */
export const isOfFace = (stage: Pick<StagePlan, 'face'>, panel: Pick<Panel, 'face'>): boolean =>
  (stage.face === INSIDE) === (panel.face === INSIDE);

type Faced = { ticket: Pick<Ticket, 'panels' | 'stages'>; coats: readonly Coat[] };

/** The coat that must bear tape before this one's parts are turned: undefined where none must. */
export function insideUnder(
  { ticket, coats }: Faced,
  { stageId }: Pick<Coat, 'stageId'>,
): Coat | undefined {
  const stage = ticket.stages.find(({ id }) => id === stageId);
  const isTurned = outsidesOf(ticket, stage).length > 0;
  if (!stage || stage.face === INSIDE || !isTurned) return undefined;
  const insides = ticket.stages.filter(({ face }) => face === INSIDE).map(({ id }) => id);
  return coats
    .filter((coat) => insides.includes(coat.stageId) && isOn(coat))
    .sort(coatOrder(ticket.stages))
    .at(-1);
}

const outsidesOf = (
  { panels }: Pick<Ticket, 'panels'>,
  stage: Pick<StagePlan, 'panelIds'> | undefined,
): Panel[] =>
  panels.filter(
    ({ id, name, face }) =>
      face === OUTSIDE &&
      stage?.panelIds.includes(id) &&
      panels.some((twin) => twin.name === name && twin.face === INSIDE),
  );

/** Said at the first coat of the second session: what held the part was not sprayed. */
export function secondSession({ ticket, coats }: Faced, coat: Coat): WordedVerdict[] {
  const first = [...coats]
    .sort(coatOrder(ticket.stages))
    .find(({ stageId }) => ticket.stages.some(({ id, face }) => id === stageId && face !== INSIDE));
  if (first?.id !== coat.id) return [];
  const stage = ticket.stages.find(({ id }) => id === coat.stageId);
  const turned = outsidesOf(ticket, stage).map((panel) => panelSaid(ticket.panels, panel));
  return turned.length > 0
    ? [wordVerdict(caution('second-session', { panels: turned.join('; ') }))]
    : [];
}
