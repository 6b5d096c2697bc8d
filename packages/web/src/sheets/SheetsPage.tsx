/** Data sheets: what each product's maker says, in an open form that exports and imports again. */
import { NotYet } from '../frame/NotYet.tsx';
import { ADDRESS } from '../api/resources.ts';
import { Button, FileButton } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { ReadyLitre } from './ReadyLitre.tsx';
import { ImportPreview } from './ImportPreview.tsx';
import { useSetup, useSheets } from '../api/reads.ts';
import { ForRole } from '../frame/ForRole.tsx';
import { PageHead } from '../frame/PageHead.tsx';
import { usePainter } from '../frame/painter.ts';
import { madeFor } from './madeFor.ts';
import { KIND_NAME } from './sheetWords.ts';
import type { Sheet } from '@orthochrom/contract/sheet/sheet.ts';
import styles from './SheetsPage.module.css';
import { formatFor } from '@orthochrom/contract/words/format.ts';

const KINDS = Object.keys(KIND_NAME) as Sheet['kind'][];

export function SheetsPage() {
  const read = useSheets();
  const { data } = read;
  const { data: setup } = useSetup();
  const { painter } = usePainter();
  const format = formatFor(painter.units);
  const [file, setFile] = useState<File | null>(null);
  return (
    <>
      <PageHead title="Sheets" line="The sheet goes before the model, and you before both">
        <div className="row">
          <ForRole atLeast="painter">
            <Button component={Link} to="/sheets/new">
              New sheet
            </Button>
            <FileButton accept="application/json,text/csv,.csv" onChange={setFile}>
              {(props) => (
                <Button {...props} variant="default">
                  Import
                </Button>
              )}
            </FileButton>
          </ForRole>
          <Button component="a" href={ADDRESS.sheetsExport} variant="default">
            Export all
          </Button>
          <Button component="a" href={ADDRESS.sheetsCsv} variant="default">
            As a table
          </Button>
        </div>
      </PageHead>
      <div className="page stack">
        {!data && <NotYet reads={[read]} what="the sheets" />}
        {data && file && (
          <ImportPreview
            key={file.name + String(file.lastModified)}
            file={file}
            kept={data}
            onEnd={() => setFile(null)}
          />
        )}
        {data && setup && <ReadyLitre sheets={data} setup={setup} />}
        {KINDS.map((kind) => ({
          kind,
          list: data?.filter(({ sheet }) => sheet.kind === kind) ?? [],
        }))
          .filter(({ list }) => list.length > 0)
          .map(({ kind, list }) => (
            <section key={kind} className={`card scrollx ${styles['list']}`}>
              <h2 className="tape">{KIND_NAME[kind]}</h2>
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
                          (sheet.grade ? madeFor(sheet.grade, format) : '')}
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
