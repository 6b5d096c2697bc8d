/**
 * What the safety gate is told of a product: its hardener, its carrier, and the solvent in the
 * recipe that is poured.
 */
import { ask } from '../calculations/ask.ts';
import { gateCalculation } from '../calculations/gate.ts';
import type { InputOf } from '../registry.ts';
import type { Room } from '../shop/setup.ts';
import type { GateAbout } from '../shop/gateRecord.ts';
import type { Sheet } from '../sheet/sheet.ts';

const vocOf = (sheet: Sheet, recipeName: string): number | undefined => {
  const recipe = sheet.recipes?.find(({ name }) => name === recipeName);
  return recipe && (recipe.vocLessWaterGPerL ?? recipe.vocGPerL);
};

export const gateProduct = (sheet: Sheet, recipeName: string): InputOf<'gate'>['product'] => {
  const vocGPerL = vocOf(sheet, recipeName);
  return {
    hardener: sheet.hardenerChemistry,
    carrier: sheet.carrier,
    ...(vocGPerL === undefined ? {} : { vocGPerL }),
  };
};

/** The solvent in the recipe and the limit entered for the room, each where it is known. */
export function solventOf(
  sheet: Sheet,
  recipeName: string,
  room: Room,
): Pick<GateAbout, 'vocGPerL' | 'vocLimitGPerL'> {
  const vocGPerL = vocOf(sheet, recipeName);
  const { vocLimitGPerL } = room.regionRules;
  return {
    ...(vocGPerL === undefined ? {} : { vocGPerL }),
    ...(vocLimitGPerL === undefined ? {} : { vocLimitGPerL }),
  };
}

export type GateAnswersGiven = Omit<
  InputOf<'gate'>,
  'product' | 'place' | 'region' | 'roomExtraction' | 'step' | 'minutesSinceSpray'
>;
export type GateAsked = {
  room: Room;
  sheet: Sheet;
  recipeName: string;
  step: InputOf<'gate'>['step'];
  minutesSinceSpray?: number | undefined;
};

/**
 * The gate with all that room and product tell by themselves: put together here for server, cards,
 * heat and gun tests alike.
 */
export const askGate = (
  { room, sheet, recipeName, step, minutesSinceSpray }: GateAsked,
  answers: GateAnswersGiven,
) =>
  ask(gateCalculation, {
    ...answers,
    product: gateProduct(sheet, recipeName),
    place: room.place,
    region: room.region,
    roomExtraction: room.extraction,
    // What the painter found out is held beside what stands for the room, rule by rule.
    regionRules: { ...room.regionRules, ...answers.regionRules },
    step,
    ...(minutesSinceSpray === undefined ? {} : { minutesSinceSpray }),
  });
