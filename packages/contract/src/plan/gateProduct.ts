/** What the safety gate is told of a product: its hardener, its carrier, and the solvent in the recipe that is poured. */
import { ask, type InputOf } from '../registry.ts';
import type { Room } from '../shop/setup.ts';
import type { GateAbout } from '../shop/gateRecord.ts';
import type { Sheet } from '../sheet/sheet.ts';

const vocOf = (sheet: Sheet, recipeName: string): number | undefined => {
  const recipe = sheet.recipes?.find(({ name }) => name === recipeName);
  return recipe && (recipe.vocLessWaterGPerL ?? recipe.vocGPerL);
};

export const gateProduct = (sheet: Sheet, recipeName: string): InputOf<'gate'>['product'] => {
  const vocGPerL = vocOf(sheet, recipeName);
  return { hardener: sheet.hardenerChemistry, carrier: sheet.carrier, ...(vocGPerL === undefined ? {} : { vocGPerL }) };
};

/** The solvent and its limit, where both are known. */
export function solventOf(sheet: Sheet, recipeName: string, room: Room): Pick<GateAbout, 'vocGPerL' | 'vocLimitGPerL'> {
  const vocGPerL = vocOf(sheet, recipeName);
  const { vocLimitGPerL } = room.regionRules;
  return {
    ...(vocGPerL === undefined ? {} : { vocGPerL }),
    ...(vocLimitGPerL === undefined ? {} : { vocLimitGPerL }),
  };
}

/** The gate before a test that puts the real mix through the gun, in a room of the shop. */
export const testGate = (
  room: Room,
  sheet: Sheet,
  recipeName: string,
  answers: Omit<InputOf<'gate'>, 'product' | 'place' | 'step'>,
) =>
  ask('gate', {
    ...answers,
    product: gateProduct(sheet, recipeName),
    place: room.place,
    region: room.region,
    roomExtraction: room.extraction,
    regionRules: { ...room.regionRules, ...answers.regionRules },
    step: 'spray',
  });
