import { groundOf } from '@orthochrom/core/ground/ground.ts';
import { GROUND_TEXTURES, type GroundInput } from '@orthochrom/core/ground/groundInput.ts';
import { z } from 'zod';
import { eachOnce, listOf, moreThanZero, name, optional, wanted } from '../quantity/fields.ts';
import { RecipePart } from '../shapes/mixing.ts';
import { Finish } from '../shapes/trade.ts';
import { explained, Params, Spread } from '../shapes/verdicts.ts';
import { reasonText } from '../words/reasonWords.ts';
import { paramsInWords } from '../words/termWords.ts';
import { defineCalculation } from './define.ts';

const Lab = z.strictObject(wanted('l', 'a', 'b'));
const HEX = /^#[0-9a-f]{6}$/i;
/** "#rrggbb", or CIELAB under D65. */
const Colour = z.union([z.string().regex(HEX, 'no colour: #rrggbb is wanted, or l, a and b'), Lab]);

/** A note is one sentence, made of its code here. */
const worded = (input: GroundInput) => {
  const { ranked, ...answer } = groundOf(input);
  return {
    ...answer,
    ranked: ranked.map(({ note, ...rest }) => ({
      ...rest,
      note: reasonText(note.code, note.params),
      // A screen says it again, in the painter's units.
      noteReason: { code: note.code, params: paramsInWords(note.params ?? {}) },
    })),
  };
};

export const groundCalculation = defineCalculation('ground', {
  input: z
    .strictObject({
      topcoat: z.strictObject({
        colour: Colour,
        effect: Finish,
        name: name().optional(),
        hidingUm: moreThanZero('hidingUm').optional(),
      }),
      grounds: listOf(
        z.strictObject({
          name: name(),
          colour: Colour,
          texture: z.enum(GROUND_TEXTURES).optional(),
          hidingUm: moreThanZero('hidingUm').optional(),
          onPanel: z.boolean().optional(),
        }),
        1,
      ),
      dryUmPerCoat: moreThanZero('dryUmPerCoat'),
      ...optional('plannedCoats', 'maxCoats'),
      tintWithTopcoat: z.boolean().optional(),
      strongSun: z.boolean().optional(),
    })
    .superRefine(({ grounds }, ctx) => {
      const names = grounds.map((one) => one.name);
      eachOnce(names, ctx, (at) => ['grounds', at, 'name']);
    }),
  answer: () =>
    z.strictObject({
      ranked: z.array(
        z.strictObject({
          name: z.string(),
          coatsToHide: Spread.optional(),
          note: z.string(),
          noteReason: z.strictObject({ code: z.string(), params: Params }),
          suited: z.boolean(),
          filmUm: z.number().optional(),
          asLaid: z.strictObject({ l: z.number(), a: z.number(), b: z.number() }).optional(),
        }),
      ),
      advised: z.string().optional(),
      tintedGround: z
        .strictObject({ parts: z.array(RecipePart), coatsToHide: z.number(), colour: z.string() })
        .optional(),
      candy: z
        .array(
          z.strictObject({
            name: z.string(),
            missesBy: z.number(),
            perTenPercentFilm: z.number(),
            oneCoatMore: z.number(),
          }),
        )
        .optional(),
      ...explained,
    }),
  compute: worded,
});
