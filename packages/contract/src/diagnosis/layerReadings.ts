/** What the layers of a ticket say about one of them: walked from the bottom. */
import { COLOUR_CLASS } from '@orthochrom/core/diagnosis/plannedAndDone.ts';
import type { AnswerOf } from '../registry.ts';
import type { StagePlan, TicketWhole } from '../shop/ticket.ts';
import type { Coat } from '../shop/coat.ts';
import { leftOf, seenKey, unsettledOf } from '../plan/layersUnder.ts';
import type { Sheet } from '../sheet/sheet.ts';

type Value = number | boolean | string;

const MINUTE_MS = 60_000;
/**
 * What goes on wet on wet and is not sanded: texture seen in it is still there. Primer is blocked,
 * and excused.
 */
const NOT_SANDED: readonly StagePlan['kind'][] = ['sealer', 'ground', 'base', 'effect'];
const AS_READING: Partial<Record<StagePlan['kind'], string>> = {
  sealer: 'sealer',
  ground: 'sealer',
  base: 'base',
  effect: 'base',
};

export function layerReadings(
  whole: TicketWhole,
  stage: StagePlan,
  sheet: Sheet | undefined,
): Record<string, Value | undefined> {
  const { stages } = whole.ticket;
  const place = stages.findIndex(({ id }) => id === stage.id);
  const below = stages.slice(0, place);
  const colour = [...below, stage].findLast(
    ({ kind }) => kind === 'base' || kind === 'effect' || kind === 'singleStage',
  );
  const sheetOf = ({ sheetVersionId }: StagePlan) =>
    whole.sheets.find(({ id }) => id === sheetVersionId)?.sheet;
  return {
    colour_class: colour?.finish ? COLOUR_CLASS[colour.finish] : undefined,
    base_type: !colour
      ? undefined
      : colour.kind === 'singleStage'
        ? 'single_stage'
        : sheetOf(colour)?.carrier,
    texture_layer: textureLayer(whole, below),
    ...ageBelow(whole, below.at(-1), stage),
    base_wft_ratio: filmOf(whole, colour?.kind === 'singleStage' ? undefined : colour),
    dft_clear_est: clearUm(whole, stage, sheet),
    ...(stages.slice(place + 1).some(({ id }) => coatsOf(whole, id).length > 0)
      ? { covered: true }
      : {}),
  };
}

const coatsOf = ({ coats }: TicketWhole, stageId: string): Coat[] =>
  coats
    .filter((coat) => coat.stageId === stageId && coat.endedAt)
    .sort((a, b) => a.ordinal - b.ordinal);

/**
 * The lowest layer in which peel was seen, that nobody sands, and that was not flattened or coated
 * again since; none, if all of them were looked at and had none.
 */
function textureLayer(whole: TicketWhole, below: readonly StagePlan[]): string | undefined {
  const layers = below.filter(({ kind }) => NOT_SANDED.includes(kind));
  const isRough = (coat: Coat) =>
    [...unsettledOf(whole, coat), ...leftOf(whole, coat)].some(
      ({ key }) => key === seenKey('peel'),
    );
  const rough = layers.find(({ id }) => coatsOf(whole, id).some(isRough));
  if (rough) return AS_READING[rough.kind];
  const looked =
    layers.length > 0 && layers.every(({ id }) => coatsOf(whole, id).at(-1)?.state === 'looked');
  return looked ? 'none' : undefined;
}

/** Minutes from the layer below to this one, against the wait that was planned for it. */
function ageBelow(
  whole: TicketWhole,
  before: StagePlan | undefined,
  stage: StagePlan,
): Record<string, Value | undefined> {
  const last = before && coatsOf(whole, before.id).at(-1);
  const first = coatsOf(whole, stage.id)[0];
  const planned = (last?.planned?.answers['recoat'] as AnswerOf<'recoat'> | undefined)
    ?.earliestMinutes.value;
  if (!before || !last?.endedAt || !first?.startedAt || !planned) return {};
  const ratio = (Date.parse(first.startedAt) - Date.parse(last.endedAt)) / MINUTE_MS / planned;
  const isColour = before.kind === 'base' || before.kind === 'effect';
  return isColour ? { base_dry_ok: ratio >= 0.9 } : { prev_layer_age_ratio: ratio };
}

/** The thickest coat of colour by the comb, against its plan. */
function filmOf(whole: TicketWhole, colour: StagePlan | undefined): number | undefined {
  if (!colour) return undefined;
  const ratios = coatsOf(whole, colour.id).flatMap(({ done, planned }) => {
    const wet = done['wetFilmUm'];
    const wanted = (planned?.answers['setup'] as AnswerOf<'setup'> | undefined)?.wetFilmUm;
    return wet && wet.source !== 'confirmed' && wanted ? [wet.value / wanted] : [];
  });
  return ratios.length > 0 ? Math.max(...ratios) : undefined;
}

/** Wet coats times volume solids: an estimate of the dry clear. */
function clearUm(
  whole: TicketWhole,
  stage: StagePlan,
  sheet: Sheet | undefined,
): number | undefined {
  const solids = sheet?.recipes?.find(({ name }) => name === stage.recipeName)?.volumeSolidsPercent;
  if ((stage.kind !== 'clear' && stage.kind !== 'singleStage') || solids === undefined)
    return undefined;
  const wet = coatsOf(whole, stage.id).map(
    ({ done, planned }) =>
      done['wetFilmUm']?.value ??
      (planned?.answers['setup'] as AnswerOf<'setup'> | undefined)?.wetFilmUm ??
      0,
  );
  const sum = wet.reduce((total, um) => total + um, 0);
  return sum > 0 ? (sum * solids) / 100 : undefined;
}
