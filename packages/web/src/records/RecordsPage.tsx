/** Every coat sprayed, found by what it was and how it went. */
import { NotYet } from '../frame/NotYet.tsx';
import { useSetup } from '../api/reads.ts';
import { ADDRESS } from '../api/resources.ts';
import type { Stage } from '@orthochrom/core/trade/vocabulary.ts';
import { Button, Select, TextInput } from '@mantine/core';
import { useDebouncedValue } from '@mantine/hooks';
import { theKnowledge } from '@orthochrom/contract/knowledge/knowledge.ts';
import { causeName, faultName } from '@orthochrom/contract/words/faultWords.ts';
import { Link, useNavigate, useSearchParams } from 'react-router';
import type { RecordRow } from '@orthochrom/contract/shop/record.ts';
import { LongTable } from '../frame/LongTable.tsx';
import { PageHead } from '../frame/PageHead.tsx';
import { usePainter } from '../frame/painter.ts';
import { SEEN_NAME } from '@orthochrom/contract/words/seenWords.ts';
import { STAGE_NAME } from '../words/tradeNames.ts';
import { formatFor, turnsText, type Format } from '@orthochrom/contract/words/format.ts';
import { RATING_MARK } from './recordWords.ts';
import styles from './RecordsPage.module.css';
import { useRecordPages, type RecordPages } from './useRecordPages.ts';
import { whenText } from '../words/timeText.ts';

const EVERY = { value: '', label: 'any' };
/** "100 of 3 214 coats": never a part of them as if it were all. */
const countSaid = ({ rows, count }: RecordPages): string =>
  count === undefined
    ? `the newest ${rows.length}; counting …`
    : rows.length < count
      ? `${rows.length} of ${count.toLocaleString('en')} coats`
      : `${count} ${count === 1 ? 'coat' : 'coats'}`;

const HEAD = [
  'When',
  'Job',
  'Coat',
  'Gun',
  'Air',
  'Panel',
  'At the gun',
  'Needle',
  'Wet film',
  'Result',
];

export function RecordsPage() {
  const [query, setQuery] = useSearchParams();
  const { data: setup } = useSetup();
  const { painter } = usePainter();
  const format = formatFor(painter.units);
  const navigate = useNavigate();
  const [asked] = useDebouncedValue(query.toString(), 250);
  const question = Object.fromEntries(new URLSearchParams(asked));
  const { read, found, busy, more } = useRecordPages(question);
  const data = found?.rows;
  const set = (key: string, value: string | null) => {
    const next = new URLSearchParams(query);
    if (value) next.set(key, value);
    else next.delete(key);
    setQuery(next, { replace: true });
  };
  const pick = (key: string, label: string, options: { value: string; label: string }[]) => (
    <Select
      searchable={options.length > 12}
      label={label}
      value={query.get(key) ?? ''}
      data={[EVERY, ...options]}
      onChange={(value) => set(key, value)}
    />
  );
  const { faults: faultList } = theKnowledge().files.faults;
  const { causes: causeList } = theKnowledge().files.causes;
  return (
    <>
      <PageHead title="Records" line={found ? countSaid(found) : ''}>
        <Button component="a" href={ADDRESS.recordsCsv(question)} variant="default">
          As CSV
        </Button>
      </PageHead>
      <div className="page stack" style={{ maxWidth: 1400 }}>
        <div className={`card grid2 ${styles['filters']}`}>
          <TextInput
            label="Words"
            placeholder="vehicle, colour, product, note"
            value={query.get('text') ?? ''}
            maxLength={80}
            onChange={(event) => set('text', event.currentTarget.value)}
          />
          {pick(
            'stage',
            'Stage',
            (Object.keys(STAGE_NAME) as Stage[]).map((stage) => ({
              value: stage,
              label: STAGE_NAME[stage],
            })),
          )}
          {pick(
            'gunId',
            'Gun',
            setup?.guns.map(({ id, name }) => ({ value: id, label: name })) ?? [],
          )}
          {pick(
            'fault',
            'Fault found',
            faultList.map(({ id, name }) => ({ value: id, label: name })),
          )}
          {pick(
            'cause',
            'Cause',
            causeList.map(({ id, name }) => ({ value: id, label: name })),
          )}
          {pick('rating', 'Rating', [
            { value: 'good', label: 'good' },
            { value: 'fair', label: 'fair' },
            { value: 'poor', label: 'poor' },
          ])}
        </div>
        {!data && <NotYet reads={[read]} what="the records" />}
        <div hidden={!data} className={`card scrollx ${styles['list']}`}>
          <LongTable
            rows={data ?? []}
            head={HEAD}
            keyOf={({ coat }) => coat.id}
            onOpen={({ coat }) => void navigate(`/records/${coat.id}`)}
            cells={(row) => <RecordCells row={row} format={format} />}
          />
          {data?.length === 0 && <p style={{ padding: '1rem' }}>No coat fits.</p>}
          {found?.next && (
            <Button size="lg" m="sm" variant="default" loading={busy} onClick={more}>
              Older coats
            </Button>
          )}
        </div>
      </div>
    </>
  );
}

const show = (value: number | undefined, write: (v: number) => string) =>
  value === undefined ? '' : write(value);

function RecordCells({ row, format }: { row: RecordRow; format: Format }) {
  const done = (name: string) => row.coat.done[name]?.value;
  return (
    <>
      <td>
        <Link to={`/records/${row.coat.id}`}>{whenText(row.coat.endedAt)}</Link>
      </td>
      <td>
        <strong>{row.vehicle}</strong>
        <div className="quiet">
          {row.ticketNumber}
          {row.colourName ? `, ${row.colourName}` : ''}
        </div>
      </td>
      <td>
        {STAGE_NAME[row.stage]} {row.coat.ordinal}/{row.coats}
      </td>
      <td>{row.gun}</td>
      <td>
        {show(row.airC, (c) => format.joined(format.temperature(c)))}{' '}
        {show(row.rhPercent, (p) => `${p.toFixed(0)} %`)}
      </td>
      <td>{show(row.panelC, (c) => format.joined(format.temperature(c)))}</td>
      <td>{show(done('inletKPa'), (kPa) => format.joined(format.pressure(kPa)))}</td>
      <td>{show(done('fluidTurnsOut'), turnsText)}</td>
      <td>{show(done('wetFilmUm'), (um) => format.joined(format.film(um)))}</td>
      <td>
        {row.coat.rating ? RATING_MARK[row.coat.rating] : 'not logged yet'}
        <div className="quiet">
          {row.coat.seen
            .filter((seen) => seen !== 'nothing')
            .map((seen) => SEEN_NAME[seen])
            .join(', ')}
        </div>
        {row.found.map(({ findingId, fault, cause, confirmed }) => (
          <div key={findingId} className="quiet">
            {faultName(fault)}, {confirmed ? '' : 'perhaps '}
            {causeName(cause).toLowerCase()}
          </div>
        ))}
      </td>
    </>
  );
}
