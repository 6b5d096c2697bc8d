/**
 * What was found on the panels of a ticket, held against the stages planned over it: from rows to
 * `layerCheck`, for form, judge and film stack alike.
 */
import { GRITS, type Grit } from '@orthochrom/core/layers/grit.ts';
import { TESTS, withTests } from '@orthochrom/core/prep/tested.ts';
import { MATERIALS } from '@orthochrom/core/trade/materialClasses.ts';
import { ask } from '../calculations/ask.ts';
import { layerCheckCalculation } from '../calculations/layerCheck.ts';
import type { AnswerOf, InputOf } from '../registry.ts';
import type { Sheet } from '../sheet/sheet.ts';
import { rangeOf } from '../quantity/ranges.ts';
import type { PrepAnswer } from '../shop/prep.ts';
import type { Panel, SheetVersion, StagePlan, Ticket } from '../shop/ticket.ts';
import { panelName } from '../words/panelWords.ts';
import { LAYER_WORDS } from '../words/faultWords.ts';
import type { WordedVerdict } from '../words/worded.ts';
import { isBlendOnly, recipeOf } from './planContext.ts';

/** With what was answered to the tests on the list, where there is one. */
export type Planned = Pick<Ticket, 'panels' | 'stages'> & {
  prepAnswers?: readonly Pick<PrepAnswer, 'key' | 'answer'>[];
};
type Input = InputOf<'layerCheck'>;

/** A stage as it is said; of two of a kind the second says so. */
export function stageSaid(stages: readonly StagePlan[], stage: StagePlan): string {
  const alike = stages.filter(({ kind }) => kind === stage.kind);
  const word = LAYER_WORDS[stage.kind];
  return alike.length > 1 ? `${word} ${alike.indexOf(stage) + 1}` : word;
}

/** A panel as it is said; of two that are said alike the second says so. */
export function panelSaid(panels: readonly Panel[], panel: Panel): string {
  const alike = panels.filter(
    ({ name, face }) => panelName(name) === panelName(panel.name) && face === panel.face,
  );
  const at = alike.indexOf(panel);
  const said = at > 0 ? `${panelName(panel.name)} ${at + 1}` : panelName(panel.name);
  return panel.face ? `${said}, ${panel.face}` : said;
}

/** A sheet that prints one grit, or two, over what it is laid on. */
function gritOf({ overWhat = [] }: Sheet): [Grit, Grit] | undefined {
  const printed = overWhat.map(({ grit }) => /^(P\d+)(?:[-–](P\d+))?$/.exec(grit.trim()));
  const one = printed.length === 1 ? printed[0] : undefined;
  const [from, to = from] = one ? [one[1] as Grit, one[2] as Grit | undefined] : [];
  return from && to && GRITS.includes(from) && GRITS.includes(to) ? [from, to] : undefined;
}

/** What a sheet names as allowed below it. */
function allowedBy({ overWhat = [] }: Sheet): Pick<Input['stages'][number], 'allowedOver'> {
  const named = overWhat.flatMap(({ history }) => (history ? [history] : []));
  return named.length > 0 ? { allowedOver: named } : {};
}

function plannedStage(
  { panels: all, stages }: Planned,
  { stage, sheet, of }: { stage: StagePlan; sheet: Sheet; of: readonly Panel[] },
) {
  const { wetFilmUm, volumeSolidsPercent, parts } = recipeOf({ sheet, stage });
  const sheetGrit = gritOf(sheet);
  const wetUm = (wetFilmUm[0] + wetFilmUm[1]) / 2;
  const isBlend = isBlendOnly(sheet, stage);
  const dryUm = isBlend ? 0 : (stage.coats * wetUm * volumeSolidsPercent) / 100;
  const { from, to } = rangeOf('dryUm');
  return {
    name: stageSaid(stages, stage),
    stage: stage.kind,
    carrier: sheet.carrier,
    activated: parts.some(({ role }) => role === 'hardener'),
    hardener: sheet.hardenerChemistry,
    build: sheet.materialClass !== undefined && MATERIALS[sheet.materialClass].isBuild,
    // What only melts an edge has been on the card of its colour.
    ...(stage.finish && !isBlend ? { finish: stage.finish } : {}),
    panels: of
      .filter(({ id }) => stage.panelIds.includes(id))
      .map((panel) => panelSaid(all, panel)),
    ...(dryUm >= from && dryUm <= to ? { dryUm } : {}),
    ...(sheetGrit ? { sheetGrit } : {}),
    ...allowedBy(sheet),
    ...(stage.colourHex && !isBlend ? { colour: stage.colourHex } : {}),
    ...(stage.variant && !isBlend ? { variant: true } : {}),
    ...(sheet.wipe ? { wipe: sheet.wipe } : {}),
  } satisfies Input['stages'][number];
}

/** The stages of a ticket whose sheet is there, lowest first, over some of its panels. */
export const plannedStages = (
  planned: Planned,
  sheets: readonly Pick<SheetVersion, 'id' | 'sheet'>[],
  of: readonly Panel[],
) =>
  planned.stages.flatMap((stage) => {
    const sheet = sheets.find(({ id }) => id === stage.sheetVersionId)?.sheet;
    return sheet ? [plannedStage(planned, { stage, sheet, of })] : [];
  });

/** A panel as it was taken in. */
export const takenIn = (panels: readonly Panel[], panel: Panel): Input['panels'][number] => ({
  name: panelSaid(panels, panel),
  areaM2: panel.areaM2,
  scope: panel.scope,
  substrate: panel.substrate,
  ...(panel.found ? { found: panel.found } : {}),
  ...(panel.foreign ? { foreign: true } : {}),
  ...(panel.manyLayers ? { manyLayers: true } : {}),
});

/**
 * What was answered to the tests on the list goes into the layer that they were made on. Undefined
 * where nobody told what stands on a panel, or a sheet is missing.
 */
export function layersInput(
  planned: Planned,
  sheets: readonly Pick<SheetVersion, 'id' | 'sheet'>[],
): Input | undefined {
  const tried = withTests(
    {
      panels: planned.panels.map((panel) => takenIn(planned.panels, panel)),
      done: planned.prepAnswers ?? [],
    },
    TESTS,
  );
  const told = tried.filter(({ found }) => found);
  const of = planned.panels.filter((_, i) => tried[i]!.found);
  const stages = plannedStages(planned, sheets, of);
  return told.length === 0 || stages.length === 0 ? undefined : { panels: told, stages };
}

/** Every panel whose layers were told, against every stage of the ticket. */
export function layersFound(
  planned: Planned,
  sheets: readonly Pick<SheetVersion, 'id' | 'sheet'>[],
): AnswerOf<'layerCheck'> | undefined {
  const input = layersInput(planned, sheets);
  return input && ask(layerCheckCalculation, input);
}

/**
 * What is to be told before the first coat of a stage goes over what was found: what names this
 * stage, and for the first stage of a panel what is said of the panel.
 */
export function layersStanding(
  {
    ticket: { panels, stages },
    prepAnswers,
    sheets,
  }: { ticket: Planned; sheets: readonly Pick<SheetVersion, 'id' | 'sheet'>[] } & Pick<
    Planned,
    'prepAnswers'
  >,
  { stageId, ordinal }: { stageId: string; ordinal: number },
): WordedVerdict[] {
  const ticket = { panels, stages, ...(prepAnswers ? { prepAnswers } : {}) };
  const stage = ticket.stages.find(({ id }) => id === stageId);
  const answer = ordinal === 1 && stage ? layersFound(ticket, sheets) : undefined;
  if (!answer || !stage) return [];
  const name = stageSaid(ticket.stages, stage);
  const firstOver = (panel: string) => answer.pairs.find((pair) => pair.panel === panel)?.above;
  return answer.verdicts.filter(({ params = {} }) =>
    params['above'] === undefined
      ? firstOver(String(params['panel'])) === name
      : params['above'] === name,
  );
}
