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

/** Undefined where the product has no shades. */
export function groundInput({ shades, tint }: Sheet, over: Over): InputOf<'ground'> | undefined {
  if (!shades || shades.length === 0) return undefined;
  const { wetFilmUm, volumeSolidsPercent, coats } = recipeOf(over);
  return {
    topcoat: {
      colour: over.stage.colourHex!,
      effect: over.stage.finish ?? 'solid',
      ...(over.stage.colourName ? { name: over.stage.colourName } : {}),
      ...(over.sheet.hidingUm === undefined ? {} : { hidingUm: over.sheet.hidingUm }),
    },
    grounds: shades.map(({ name, colour }) => ({ name, colour })),
    dryUmPerCoat: (middle(wetFilmUm) * volumeSolidsPercent) / 100,
    plannedCoats: over.stage.coats,
    maxCoats: coats[1],
    // Colour goes into a ground only where its sheet lets it.
    tintWithTopcoat: tint !== undefined,
  };
}

export type GroundChoice = {
  answer: AnswerOf<'ground'>;
  input: InputOf<'ground'>;
  /** By shade: its own colour, then after one coat, two and three. */
  cards: Map<string, string[]>;
};
const CARD_COATS = [0, 1, 2, 3];

/** The shades ranked, each with its card. */
export function groundChoice(sheet: Sheet, over: Over): GroundChoice | undefined {
  const input = groundInput(sheet, over);
  if (!input) return undefined;
  return {
    input,
    answer: ask('ground', input),
    cards: new Map(
      input.grounds.map((ground) => [ground.name, cardColours(input, ground, CARD_COATS)]),
    ),
  };
}

/** Coats of the colour to plan over a ground: rounded up, with a tenth to spare. */
export const coatsOver = (coatsToHide: number, least: number): number =>
  Math.max(least, Math.ceil(coatsToHide + 0.1));
