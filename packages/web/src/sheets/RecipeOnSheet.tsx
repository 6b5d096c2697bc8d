/** One recipe of a sheet: how it is mixed, laid, waited for and heated. */
import type { Sheet, SheetRecipe } from '@orthochrom/contract/sheet/sheet.ts';
import { minutesText, type Format } from '@orthochrom/contract/words/format.ts';
import { timesOf } from '@orthochrom/core/inForce/timesOf.ts';
import { BASIS_NAME } from '../words/tradeNames.ts';

type RecipeOnSheetProps = { sheet: Sheet; recipe: SheetRecipe; format: Format };

export function RecipeOnSheet({ sheet, recipe, format }: RecipeOnSheetProps) {
  const { times } = recipe;
  const { before } = timesOf({
    stage: sheet.stages?.[0] ?? 'base',
    carrier: sheet.carrier,
    class: sheet.materialClass,
    activated: recipe.parts.some(({ role }) => role === 'hardener'),
    sheet: times,
  });
  const [flash, heat] = [before.coat, before.bake];
  const cells: [string, string | undefined][] = [
    ['Coats', recipe.coats.join(' to ')],
    [
      'Wet film',
      `${recipe.wetFilmUm.map((um) => format.film(um).text).join(' to ')} ${format.film(1).unit}`,
    ],
    ['Nozzle', `${recipe.nozzleMm.join(' to ')} mm`],
    [
      'Pot life',
      recipe.potLife
        ? `${minutesText(recipe.potLife.minutes)} at ${format.joined(format.temperature(recipe.potLife.atC))}`
        : undefined,
    ],
    [
      'Flash',
      `${minutesText(flash.value.minutes)}, at least ${minutesText(flash.value.floorMinutes)}${flash.source === 'sheet' ? '' : ': usual, not the sheet’s'}`,
    ],
    [
      'To the next product',
      times.toNextMinutes === undefined ? undefined : minutesText(times.toNextMinutes),
    ],
    [
      'Before heat',
      `${minutesText(heat.value.minutes)}${heat.source === 'sheet' ? '' : ': usual, not the sheet’s'}`,
    ],
    [
      'Sand first after',
      times.maxRecoatMinutes === undefined ? undefined : minutesText(times.maxRecoatMinutes),
    ],
    [
      'Bake',
      times.bakeC === undefined
        ? undefined
        : `${times.bakeMinutes} min at ${format.joined(format.temperature(times.bakeC))} on the panel`,
    ],
  ];
  return (
    <section className="card stack">
      <h2 className="tape" style={{ alignSelf: 'start' }}>
        {recipe.name}
      </h2>
      <p>
        {recipe.use}: {recipe.parts.map(({ parts, role }) => `${parts} ${role}`).join(' to ')} by
        volume
        {recipe.additions?.map(
          ({ percent, of, role }) => `, ${role} ${percent} % of ${BASIS_NAME[of]}`,
        )}
      </p>
      <div className="grid2">
        {cells
          .filter(([, value]) => value)
          .map(([label, value]) => (
            <div key={label}>
              <div className="label">{label}</div>
              <strong>{value}</strong>
            </div>
          ))}
      </div>
    </section>
  );
}
