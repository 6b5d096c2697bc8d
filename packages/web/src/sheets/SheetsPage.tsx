/** Data sheets: what each product's maker says, in an open form that exports and imports again. */
import { NotYet } from '../frame/NotYet.tsx';
import { ADDRESS, refresh } from '../api/resources.ts';
import { Button, FileButton } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import { Link } from 'react-router';
import { postJson } from '../api/client.ts';
import { useSheets } from '../api/reads.ts';
import { useWrite } from '../api/useWrite.ts';
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
  const read = useSheets();
  const { data } = read;
  const [busy, write] = useWrite();
  const bring = (file: File | null) =>
    file &&
    write(async () => {
      const read: unknown = JSON.parse(await file.text());
      // Reducers and hardeners first: a paint's sheet names them.
      const sheets = (Array.isArray(read) ? read : [read]).sort(
        (a: object, b: object) => Number('recipes' in a) - Number('recipes' in b),
      ) as unknown[];
      for (const sheet of sheets) await postJson(ADDRESS.sheets, sheet);
      await refresh('sheets');
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
          <Button component="a" href={ADDRESS.sheetsExport} variant="default">
            Export all
          </Button>
        </div>
      </PageHead>
      <div className="page stack">
        {!data && <NotYet reads={[read]} what="the sheets" />}
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
