/**
 * A data sheet typed page by page in the order it is printed: a draft in this browser until it is
 * issued; an issue never changes, a change makes the next one.
 */
import { Button, Select, Table } from '@mantine/core';
import { useLocalStorage } from '@mantine/hooks';
import { textOf, withAt, type Json } from '@orthochrom/contract/sheet/byPath.ts';
import type { Sheet } from '@orthochrom/contract/sheet/sheet.ts';
import { formatFor } from '@orthochrom/contract/words/format.ts';
import { uncoveredRange } from '@orthochrom/contract/sheet/sheetChecks.ts';
import { sheetDifferences } from '@orthochrom/contract/sheet/sheetDifferences.ts';
import { useMemo, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { postJson } from '../../api/client.ts';
import { useSheets } from '../../api/reads.ts';
import { ADDRESS, refresh } from '../../api/resources.ts';
import { useWrite } from '../../api/useWrite.ts';
import { NotYet } from '../../frame/NotYet.tsx';
import { usePainter } from '../../frame/painter.ts';
import { PageHead } from '../../frame/PageHead.tsx';
import { Differences } from '../Differences.tsx';
import { uncoveredText } from '../sheetWords.ts';
import { emptySheet, idFrom, isPaint, misfits, sheetOf, type SheetDraft } from './sheetDraft.ts';
import { SheetField } from './SheetField.tsx';
import type { SheetPage } from './sheetFields.ts';
import { SHEET_PAGES } from './sheetPages.ts';
import styles from './SheetForm.module.css';

export function SheetFormPage() {
  const { id } = useParams();
  const read = useSheets();
  const known = read.data?.find(({ sheet }) => sheet.id === id)?.sheet;
  if (!read.data) return <NotYet reads={[read]} what="the sheet" />;
  if (id && !known) return <p className="page">There is no such sheet.</p>;
  return <SheetForm key={id ?? 'new'} was={known} products={read.data.map(({ sheet }) => sheet)} />;
}

const today = (): string => new Date().toISOString().slice(0, 10);
const beginning = (was: Sheet | undefined): SheetDraft =>
  was
    ? { ...(was as unknown as SheetDraft), number: was.number + 1, issuedOn: today() }
    : emptySheet(today());

function SheetForm({ was, products }: { was: Sheet | undefined; products: Sheet[] }) {
  const [kept, keep, clear] = useLocalStorage<SheetDraft | null>({
    key: `orthochrom-sheet-${was ? `${was.id}-${was.number}` : 'new'}`,
    defaultValue: null,
    getInitialValueInEffect: false,
  });
  const [shown, show] = useState(0);
  const [nth, setNth] = useState(0);
  const [busy, write] = useWrite();
  const navigate = useNavigate();
  const { painter } = usePainter();
  const format = formatFor(painter.units);
  const draft = kept ?? beginning(was);
  const byId = useMemo(() => new Map(products.map((sheet) => [sheet.id, sheet])), [products]);
  const whole = useMemo<SheetDraft>(
    () => ({
      ...draft,
      id: was?.id ?? idFrom(textOf(draft['name']), new Set(byId.keys())),
    }),
    [draft, was, byId],
  );
  const faults = useMemo(() => misfits(whole, byId), [whole, byId]);
  const pages = SHEET_PAGES.filter(({ paintOnly }) => !paintOnly || isPaint(draft));
  const page = pages[Math.min(shown, pages.length - 1)]!;
  const recipes = Array.isArray(draft['recipes']) ? draft['recipes'] : [];
  const differences = was ? sheetDifferences(was, sheetOf(whole) as object) : [];
  const uncovered = faults.size === 0 ? uncoveredRange(sheetOf(whole) as Sheet, byId) : undefined;
  const issue = () =>
    write(async () => {
      await postJson(ADDRESS.sheets, sheetOf(whole));
      clear();
      await refresh('sheets');
      await navigate(`/sheets/${textOf(whole['id'])}`);
    });
  return (
    <>
      <PageHead
        title={was ? `${was.name}, issue ${was.number + 1}` : 'New data sheet'}
        line="A draft in this browser until it is issued; what is not printed stays empty"
      >
        <div className="row">
          <Button loading={busy} disabled={faults.size > 0} onClick={() => void issue()}>
            {faults.size > 0 ? `${faults.size} still open` : 'Issue it'}
          </Button>
          {kept && (
            <Button variant="default" onClick={clear}>
              Start over
            </Button>
          )}
        </div>
      </PageHead>
      <div className={`page ${styles['form']}`}>
        <ol className={styles['pages']} aria-label="Pages of the sheet">
          {pages.map((one, i) => (
            <li key={one.title}>
              <button
                type="button"
                className={styles['page']}
                aria-current={one === page ? 'step' : undefined}
                onClick={() => show(i)}
              >
                <span>
                  {i + 1} {one.title}
                </span>
                <span>{openOn(one, faults, nth) || ''}</span>
              </button>
            </li>
          ))}
        </ol>
        <section className="card stack" aria-label={page.title}>
          <h2 className="tape" style={{ alignSelf: 'start' }}>
            {page.title}
          </h2>
          {page.fields.some(({ path }) => path.includes('$')) && (
            <div className="row">
              <Select
                label="Recipe"
                allowDeselect={false}
                value={String(nth)}
                data={recipes.map((recipe, i) => ({ value: String(i), label: nameOf(recipe, i) }))}
                onChange={(picked) => setNth(Number(picked))}
              />
              <Button
                variant="default"
                onClick={() => {
                  keep(withAt(draft, `recipes.${recipes.length}`, again(recipes[nth])));
                  setNth(recipes.length);
                }}
              >
                Another recipe like it
              </Button>
            </div>
          )}
          <div className={styles['fields']} key={`${page.title}${nth}`}>
            {page.fields.map((field) => (
              <SheetField
                key={field.path}
                field={field}
                path={field.path.replace('$', String(nth))}
                {...{ draft, products, faults }}
                onChange={keep}
              />
            ))}
          </div>
          <div className="row">
            <Button
              variant="default"
              disabled={shown === 0}
              onClick={() => show(Math.max(0, shown - 1))}
            >
              Page before
            </Button>
            <Button
              disabled={shown >= pages.length - 1}
              onClick={() => show(Math.min(pages.length - 1, shown + 1))}
            >
              Next page
            </Button>
          </div>
          {uncovered && <p>{uncoveredText(uncovered, format)}</p>}
          {kept && faults.size > 0 && (
            <Table>
              <Table.Tbody>
                {[...faults].map(([path, message]) => (
                  <Table.Tr key={path}>
                    <Table.Td>{pages.find((one) => isOn(one, path, nth))?.title ?? path}</Table.Td>
                    <Table.Td>{message}</Table.Td>
                  </Table.Tr>
                ))}
              </Table.Tbody>
            </Table>
          )}
        </section>
      </div>
      {differences.length > 0 && (
        <div className="page">
          <Differences
            title="What this issue changes"
            sheet={whole}
            {...{ differences, products }}
          />
        </div>
      )}
    </>
  );
}

const nameOf = (recipe: Json, i: number): string =>
  typeof recipe === 'object' && recipe !== null && 'name' in recipe && recipe.name
    ? textOf(recipe['name'])
    : `recipe ${i + 1}`;
const again = (recipe: Json): Json =>
  typeof recipe === 'object' && recipe !== null ? { ...recipe, name: '' } : { name: '' };

const isOn = (page: SheetPage, where: string, nth: number): boolean =>
  page.fields.some(({ path }) => {
    const own = path.replace('$', String(nth));
    return where === own || where.startsWith(`${own}.`);
  });
/** How much of a page is still open. */
const openOn = (page: SheetPage, faults: ReadonlyMap<string, string>, nth: number): number =>
  [...faults.keys()].filter((where) => isOn(page, where, nth)).length;
