/** Data sheets: what each product's maker says, in an open form that exports and imports again. */
import { Button, FileButton } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import { Link } from 'react-router';
import { mutate } from 'swr';
import { postJson } from '../api/client.ts';
import { useSheets, useWrite } from '../api/hooks.ts';
import { PageHead } from '../frame/PageHead.tsx';

const KINDS = [
  'primer',
  'sealer',
  'base',
  'effect',
  'singleStage',
  'clear',
  'reducer',
  'hardener',
  'adjuster',
  'additive',
  'cleaner',
];

export function SheetsPage() {
  const { data } = useSheets();
  const [busy, write] = useWrite();
  const bring = (file: File | null) =>
    file &&
    write(async () => {
      const read: unknown = JSON.parse(await file.text());
      // Reducers and hardeners first: a paint's sheet names them.
      const sheets = (Array.isArray(read) ? read : [read]).sort(
        (a: object, b: object) => Number('recipes' in a) - Number('recipes' in b),
      ) as unknown[];
      for (const sheet of sheets) await postJson('/api/sheets', sheet);
      await mutate('/api/sheets');
      notifications.show({
        title: 'Sheets brought in',
        message: `${sheets.length} read; those already kept as they are were left as they are.`,
      });
    });
  return (
    <>
      <PageHead title="Sheets" line="The sheet goes before the model, and you before both">
        <div className="row">
          <FileButton accept="application/json" onChange={(file) => void bring(file)}>
            {(props) => (
              <Button {...props} variant="default" loading={busy}>
                Import
              </Button>
            )}
          </FileButton>
          <Button component="a" href="/api/sheets/export" variant="default">
            Export all
          </Button>
        </div>
      </PageHead>
      <div className="page stack">
        {KINDS.map((kind) => ({
          kind,
          list: data?.filter(({ sheet }) => sheet.kind === kind) ?? [],
        }))
          .filter(({ list }) => list.length > 0)
          .map(({ kind, list }) => (
            <section key={kind} className="card scrollx">
              <h2 className="tape">{kind === 'singleStage' ? 'single stage' : kind}</h2>
              <table className="plain">
                <tbody>
                  {list.map(({ id, sheet }) => (
                    <tr key={id}>
                      <td>
                        <Link to={`/sheets/${sheet.id}`}>
                          <strong>{sheet.name}</strong>
                        </Link>
                      </td>
                      <td>{sheet.carrier}</td>
                      <td>
                        {sheet.recipes?.map(({ name }) => name).join(', ') ??
                          (sheet.grade
                            ? `${sheet.grade.minC ?? 'under'} to ${sheet.grade.maxC ?? 'over'} °C`
                            : '')}
                      </td>
                      <td className="quiet">
                        issue {sheet.number}, {sheet.issuedOn}
                      </td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </section>
          ))}
      </div>
    </>
  );
}
