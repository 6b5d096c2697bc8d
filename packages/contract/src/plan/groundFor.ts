/** The shades of a stage's product held against the colour that goes over it. */
import { cardColours } from '@orthochrom/core/ground/ground.ts';
import { isColour } from '@orthochrom/core/layers/foundLayer.ts';
import { ask, type AnswerOf, type InputOf } from '../registry.ts';
import type { Sheet } from '../sheet/sheet.ts';
import type { SheetVersion, StagePlan } from '../shop/ticket.ts';
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
export function groundInput(under: Under, over: Over): InputOf<'ground'> | undefined {
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
export function groundChoice(under: Under, over: Over): GroundChoice | undefined {
  const input = groundInput(under, over);
  if (!input) return undefined;
  const coats = input.topcoat.effect === 'candy' ? CANDY_COATS : HIDING_COATS;
  return {
    input,
    answer: ask('ground', input),
    cards: new Map(input.grounds.map((ground) => [ground.name, cardColours(input, ground, coats)])),
  };
}

/** Coats of the colour to plan over a ground: rounded up, with a tenth to spare. */
export const coatsOver = (coatsToHide: number, least: number): number =>
  Math.max(least, Math.ceil(coatsToHide + 0.1));
