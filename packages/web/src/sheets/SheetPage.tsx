/** One data sheet whole. An issue that is kept never changes: a change makes the next one. */
import { NotYet } from '../frame/NotYet.tsx';
import { Button } from '@mantine/core';
import { uncoveredRange } from '@orthochrom/contract/sheet/sheetChecks.ts';
import { Link, useParams, useSearchParams } from 'react-router';
import { useSetup, useSheetIssues, useSheets } from '../api/reads.ts';
import { ForRole } from '../frame/ForRole.tsx';
import { PageHead } from '../frame/PageHead.tsx';
import { usePainter } from '../frame/painter.ts';
import { madeFor } from './madeFor.ts';
import { RecipeOnSheet } from './RecipeOnSheet.tsx';
import { SheetIssues } from './SheetIssues.tsx';
import { issueText, KIND_NAME, uncoveredText } from './sheetWords.ts';
import { TinPrices } from './TinPrices.tsx';
import { BASIS_NAME, CHEMISTRY_NAME } from '../words/tradeNames.ts';
import { formatFor } from '@orthochrom/contract/words/format.ts';

export function SheetPage() {
  const { id = '' } = useParams();
  const sheetsRead = useSheets();
  const sheets = sheetsRead.data;
  const { data: setup } = useSetup();
  const { painter } = usePainter();
  const format = formatFor(painter.units);
  const newest = sheets?.find((version) => version.sheet.id === id)?.sheet;
  const issuesRead = useSheetIssues(newest && id);
  const [query] = useSearchParams();
  if (!sheets) return <NotYet reads={[sheetsRead]} what="the sheet" />;
  if (!newest) return <p className="page">There is no such sheet.</p>;
  const asked = query.get('issue');
  const isEarlier = asked !== null && asked !== String(newest.number);
  if (isEarlier && !issuesRead.data)
    return <NotYet reads={[issuesRead]} what="the earlier issue" />;
  const sheet = isEarlier
    ? issuesRead.data!.find((version) => String(version.sheet.number) === asked)?.sheet
    : newest;
  if (!sheet)
    return (
      <p className="page">
        {newest.name} has no issue {asked}. <Link to={`/sheets/${id}`}>Its newest</Link>
      </p>
    );
  const products = new Map(sheets.map((version) => [version.sheet.id, version.sheet]));
  const names = (ids: string[] | undefined) =>
    (ids ?? [])
      .map((other) => products.get(other)?.grade?.name ?? products.get(other)?.name ?? other)
      .join(', ');
  const uncovered = uncoveredRange(sheet, products);
  const temperature = (c: number | undefined) =>
    c === undefined ? undefined : format.joined(format.temperature(c));
  const facts: [string, string | undefined][] = [
    [
      'Kind',
      `${KIND_NAME[sheet.kind]}, ${sheet.carrier}, ${CHEMISTRY_NAME[sheet.hardenerChemistry]}`,
    ],
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
      <PageHead title={sheet.name} line={issueText(sheet)}>
        {!isEarlier && (
          <ForRole atLeast="painter">
            <Button component={Link} to={`/sheets/${sheet.id}/edit`} variant="default">
              Write the next issue
            </Button>
          </ForRole>
        )}
      </PageHead>
      <div className="page stack">
        {isEarlier && (
          <p className="card" role="note">
            An earlier issue, kept for the coats that were planned by it. What is planned anew goes
            by <Link to={`/sheets/${id}`}>issue {newest.number}</Link>.
          </p>
        )}
        {uncovered && <p className="card">{uncoveredText(uncovered, format)}</p>}
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
          {setup && !isEarlier && <TinPrices key={sheet.id} sheet={sheet} setup={setup} />}
        </ForRole>
        {sheet.recipes?.map((recipe) => (
          <RecipeOnSheet key={recipe.name} sheet={sheet} recipe={recipe} format={format} />
        ))}
        {issuesRead.data && issuesRead.data.length > 1 && (
          <SheetIssues
            issues={issuesRead.data.map((version) => version.sheet)}
            shown={sheet.number}
            products={[...products.values()]}
          />
        )}
      </div>
    </>
  );
}
