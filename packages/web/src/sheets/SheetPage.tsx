/** One data sheet whole. An issue that is kept never changes: a change makes the next one. */
import { NotYet } from '../frame/NotYet.tsx';
import { Button } from '@mantine/core';
import { uncoveredRange } from '@orthochrom/contract/sheet/sheetChecks.ts';
import type { Sheet, SheetRecipe } from '@orthochrom/contract/sheet/sheet.ts';
import { Link, useParams } from 'react-router';
import { useSetup, useSheets } from '../api/reads.ts';
import { ForRole } from '../frame/ForRole.tsx';
import { PageHead } from '../frame/PageHead.tsx';
import { usePainter } from '../frame/painter.ts';
import { timesOf } from '@orthochrom/core/inForce/timesOf.ts';
import { madeFor } from './madeFor.ts';
import { TinPrices } from './TinPrices.tsx';
import { BASIS_NAME, CHEMISTRY_NAME } from '../words/tradeNames.ts';
import { formatFor, minutesText, type Format } from '@orthochrom/contract/words/format.ts';

export function SheetPage() {
  const { id = '' } = useParams();
  const sheetsRead = useSheets();
  const sheets = sheetsRead.data;
  const { data: setup } = useSetup();
  const { painter } = usePainter();
  const format = formatFor(painter.units);
  const sheet = sheets?.find((version) => version.sheet.id === id)?.sheet;
  if (!sheets) return <NotYet reads={[sheetsRead]} what="the sheet" />;
  if (!sheet) return <p className="page">There is no such sheet.</p>;
  const products = new Map(sheets.map((version) => [version.sheet.id, version.sheet]));
  const names = (ids: string[] | undefined) =>
    (ids ?? [])
      .map((other) => products.get(other)?.grade?.name ?? products.get(other)?.name ?? other)
      .join(', ');
  const uncovered = uncoveredRange(sheet, products);
  const temperature = (c: number | undefined) =>
    c === undefined ? undefined : format.joined(format.temperature(c));
  const facts: [string, string | undefined][] = [
    ['Kind', `${sheet.kind}, ${sheet.carrier}, ${CHEMISTRY_NAME[sheet.hardenerChemistry]}`],
    ['Reducers it takes', names(sheet.grades) || undefined],
    ['Hardeners it takes', names(sheet.hardeners) || undefined],
    ['Made for', sheet.grade ? madeFor(sheet.grade, format) : undefined],
    [
      'Reducer beyond the recipe',
      sheet.reduction
        ? sheet.reduction.maxPercent === 0
          ? 'none'
          : `up to ${sheet.reduction.maxPercent} % of ${BASIS_NAME[sheet.reduction.of]}`
        : undefined,
    ],
    [
      'Panel',
      sheet.limits
        ? `${temperature(sheet.limits.minPanelC) ?? ''} to ${temperature(sheet.limits.maxPanelC) ?? ''}`
        : undefined,
    ],
    [
      'Humidity at most',
      sheet.limits?.maxHumidityPercent ? `${sheet.limits.maxHumidityPercent} %` : undefined,
    ],
    ['Over', sheet.overWhat?.map(({ layer, grit }) => `${layer} (${grit})`).join('; ')],
    ['Strainer', sheet.strainerUm ? `${sheet.strainerUm} µm` : undefined],
    ['Notes', sheet.notes?.join(' ')],
  ];
  return (
    <>
      <PageHead
        title={sheet.name}
        line={`Issue ${sheet.number}, ${sheet.issuedOn}, ${sheet.source === 'sheet' ? 'the maker’s sheet' : sheet.source}`}
      >
        <ForRole atLeast="painter">
          <Button component={Link} to={`/sheets/${sheet.id}/edit`} variant="default">
            Write the next issue
          </Button>
        </ForRole>
      </PageHead>
      <div className="page stack">
        {uncovered && <p className="card">{uncovered}</p>}
        <div className="card">
          <dl
            style={{
              display: 'grid',
              gridTemplateColumns: 'minmax(120px, 220px) 1fr',
              gap: '0.5rem 1rem',
              margin: 0,
            }}
          >
            {facts
              .filter(([, value]) => value)
              .map(([label, value]) => (
                <div key={label} style={{ display: 'contents' }}>
                  <dt className="quiet">{label}</dt>
                  <dd style={{ margin: 0 }}>{value}</dd>
                </div>
              ))}
          </dl>
        </div>
        <ForRole atLeast="painter">
          {setup && <TinPrices key={sheet.id} sheet={sheet} setup={setup} />}
        </ForRole>
        {sheet.recipes?.map((recipe) => (
          <Recipe key={recipe.name} sheet={sheet} recipe={recipe} format={format} />
        ))}
      </div>
    </>
  );
}

function Recipe({ sheet, recipe, format }: { sheet: Sheet; recipe: SheetRecipe; format: Format }) {
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
        {recipe.additions?.map(({ percent, of, role }) => `, ${role} ${percent} % of ${of}`)}
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
