/** What a file would change, before it changes anything: then all of it, or nothing. */
import { Button } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import { readSheetsCsv, type CsvRefusal } from '@orthochrom/contract/sheet/sheetCsv.ts';
import { incomingSheets, type Incoming } from '@orthochrom/contract/sheet/sheetImport.ts';
import type { SheetVersion } from '@orthochrom/contract/shop/ticket.ts';
import { useEffect, useMemo, useState } from 'react';
import { postJson } from '../api/client.ts';
import { ADDRESS, hold } from '../api/resources.ts';
import { useWrite } from '../api/useWrite.ts';
import { Differences } from './Differences.tsx';

type Read = { sheets: unknown[]; refusals: CsvRefusal[]; fault?: string };
const STATE_WORD: Record<Incoming['state'], string> = {
  new: 'new',
  changed: 'a new issue',
  same: 'as it is kept',
  refused: 'refused',
};

type ImportPreviewProps = { file: File; kept: SheetVersion[]; onEnd: () => void };

export function ImportPreview({ file, kept, onEnd }: ImportPreviewProps) {
  const [read, setRead] = useState<Read>();
  const [busy, write] = useWrite();
  useEffect(() => void file.text().then((text) => setRead(readFile(file.name, text))), [file]);
  const incoming = useMemo(
    () => incomingSheets(read?.sheets ?? [], new Map(kept.map(({ sheet }) => [sheet.id, sheet]))),
    [read, kept],
  );
  if (!read) return <p className="card">Reading {file.name} …</p>;
  const bringing = incoming.filter(({ state }) => state === 'new' || state === 'changed');
  const isRefused =
    read.fault !== undefined ||
    read.refusals.length > 0 ||
    incoming.some(({ state }) => state === 'refused');
  const bring = () =>
    write(async () => {
      const sheets = bringing.map(({ sheet }) => sheet);
      await hold(ADDRESS.sheets, await postJson<SheetVersion[]>(ADDRESS.sheetsImport, { sheets }));
      notifications.show({ title: 'Sheets brought in', message: `${bringing.length} kept.` });
      onEnd();
    });
  return (
    <section className="card stack" aria-label="What the file would change">
      <h2 className="tape" style={{ alignSelf: 'start' }}>
        {file.name}
      </h2>
      {read.fault && <p role="alert">{read.fault}</p>}
      {read.refusals.map(({ line, field, message }) => (
        <p key={line} role="alert">
          Line {line}, {field}: {message}.
        </p>
      ))}
      {incoming.map(({ id, name, state, differences, refusals, sheet }) => (
        <details key={id} open={state === 'refused'}>
          <summary>
            <strong>{name || id}</strong>: {STATE_WORD[state]}
            {state === 'changed' ? `, ${differences.length} figures differ` : ''}
          </summary>
          {refusals.map(({ field, message }) => (
            <p key={field + message} role="alert">
              {field}: {message}
            </p>
          ))}
          {state === 'changed' && (
            <Differences
              title={name}
              sheet={sheet!}
              products={kept.map((version) => version.sheet)}
              {...{ differences }}
            />
          )}
        </details>
      ))}
      <div className="row">
        <Button
          loading={busy}
          disabled={isRefused || bringing.length === 0}
          onClick={() => void bring()}
        >
          {isRefused
            ? 'Nothing is brought in while one is refused'
            : bringing.length === 0
              ? 'All of it is kept already'
              : `Bring in ${bringing.length}`}
        </Button>
        <Button variant="default" onClick={onEnd}>
          Leave it
        </Button>
      </div>
    </section>
  );
}

function readFile(name: string, text: string): Read {
  if (/\.csv$/i.test(name)) return readSheetsCsv(text);
  try {
    const given: unknown = JSON.parse(text);
    return { sheets: Array.isArray(given) ? (given as unknown[]) : [given], refusals: [] };
  } catch {
    return { sheets: [], refusals: [], fault: 'This file is neither JSON nor a table.' };
  }
}
