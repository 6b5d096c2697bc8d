/** The shades of a stage's product held against the colour that goes over it. */
import { cardColours } from '@orthochrom/core/ground/ground.ts';
import { isColour } from '@orthochrom/core/layers/foundLayer.ts';
import { ask } from '../calculations/ask.ts';
import { groundCalculation } from '../calculations/ground.ts';
import type { AnswerOf, InputOf } from '../registry.ts';
import type { Sheet } from '../sheet/sheet.ts';
import type { Panel, SheetVersion, StagePlan, Ticket } from '../shop/ticket.ts';
import type { WordedVerdict } from '../words/worded.ts';
import { middle, recipeOf } from './planContext.ts';

type Sheets = readonly Pick<SheetVersion, 'id' | 'sheet'>[];
export type Over = { stage: StagePlan; sheet: Sheet };

/** The first colour over a stage that says what it looks like. */
export function colourOver(
  stages: readonly StagePlan[],
  stageId: string,
  sheets: Sheets,
): Over | undefined {
  const at = stages.findIndex(({ id }) => id === stageId);
  const stage = stages
    .slice(at + 1)
    .find((one) => isColour({ stage: one.kind }) && one.colourHex !== undefined);
  const sheet = sheets.find(({ id }) => id === stage?.sheetVersionId)?.sheet;
  return stage && sheet ? { stage, sheet } : undefined;
}

type Under = { stage: StagePlan; sheet: Sheet };

/** The shades on sale; a ground of one colour is held against it alone. */
function groundsOf({ stage, sheet }: Under): InputOf<'ground'>['grounds'] {
  if (sheet.shades) return sheet.shades.map(({ name, colour }) => ({ name, colour }));
  return stage.kind === 'ground' && stage.colourHex
    ? [{ name: stage.colourName || 'this ground', colour: stage.colourHex, texture: 'smooth' }]
    : [];
}

/** Undefined where nothing is known of the ground's colour. */
export function groundInput(
  under: Under,
  over: Over,
  { strongSun }: Pick<Ticket, 'strongSun'> = {},
): InputOf<'ground'> | undefined {
  const grounds = groundsOf(under);
  if (grounds.length === 0) return undefined;
  const { wetFilmUm, volumeSolidsPercent, coats } = recipeOf(over);
  return {
    topcoat: {
      colour: over.stage.colourHex!,
      effect: over.stage.finish ?? 'solid',
      ...(over.stage.colourName ? { name: over.stage.colourName } : {}),
      ...(over.sheet.hidingUm === undefined ? {} : { hidingUm: over.sheet.hidingUm }),
    },
    grounds,
    dryUmPerCoat: (middle(wetFilmUm) * volumeSolidsPercent) / 100,
    plannedCoats: over.stage.coats,
    maxCoats: coats[1],
    // Colour goes into a ground only where its sheet lets it.
    tintWithTopcoat: under.sheet.tint !== undefined,
    ...(strongSun ? { strongSun } : {}),
  };
}

export type GroundChoice = {
  answer: AnswerOf<'ground'>;
  input: InputOf<'ground'>;
  /** By shade: its own colour, then after one coat, two, three and more. */
  cards: Map<string, string[]>;
};
const HIDING_COATS = [0, 1, 2, 3];
/** A candy darkens with each: a wedge, to stop at the step that is wanted. */
const CANDY_COATS = [0, 1, 2, 3, 4, 5, 6, 7];

/** The shades ranked, each with its card. */
export function groundChoice(
  under: Under,
  over: Over,
  where: Pick<Ticket, 'strongSun'> = {},
): GroundChoice | undefined {
  const input = groundInput(under, over, where);
  if (!input) return undefined;
  const coats = input.topcoat.effect === 'candy' ? CANDY_COATS : HIDING_COATS;
  return {
    input,
    answer: ask(groundCalculation, input),
    cards: new Map(input.grounds.map((ground) => [ground.name, cardColours(input, ground, coats)])),
  };
}

/** Coats of the colour to plan over a ground: rounded up, with a tenth to spare. */
export const coatsOver = (coatsToHide: number, least: number): number =>
  Math.max(least, Math.ceil(coatsToHide + 0.1));

/** The car's own paint, where it stays beside what is put under a spot. */
const OLD_PAINT = 'the old paint';

/**
 * A spot has two grounds under one panel: what was put under it, and the paint around it, which
 * has the colour already. Told where they still differ after the coats that are planned.
 */
export function shadowsAt(
  under: Under,
  over: Over,
  panels: readonly Pick<Panel, 'id' | 'scope'>[],
): WordedVerdict[] {
  const isSpot = panels.some(
    ({ id, scope }) => scope === 'spot' && under.stage.panelIds.includes(id),
  );
  const { colourHex, colourName } = under.stage;
  const { colourHex: colour } = over.stage;
  if (!isSpot || !colourHex || !colour) return [];
  const { wetFilmUm, volumeSolidsPercent } = recipeOf(over);
  return ask(groundCalculation, {
    topcoat: { colour, effect: over.stage.finish ?? 'solid' },
    grounds: [
      { name: colourName || 'what is under the spot', colour: colourHex, onPanel: true },
      { name: OLD_PAINT, colour, onPanel: true },
    ],
    dryUmPerCoat: (middle(wetFilmUm) * volumeSolidsPercent) / 100,
    plannedCoats: over.stage.coats,
  }).verdicts.filter(({ code }) => code === 'shadow-shows');
}
