/** Ten years of coats out of a shop of months: its jobs that are done, copied under other ids. */
import type { DataSource } from 'typeorm';
import { fileTables, listed, quoted } from '../packages/server/src/shopFile/fileTables.ts';

const JOBS = [
  'ticket',
  'panel',
  'stage',
  'stage_panel',
  'mix',
  'coat',
  'coat_half',
  'coat_panel',
  'finish_step',
  'heat_read',
  'gate_answer',
  'timer',
  'coat_air',
  'layer_work',
  'prep_answer',
  'usage',
  'finding',
];
const DONE = `select id from ticket where state <> 'open' and number !~ '-.*-'`;
/** Always the same id for the same copy: what refers to it is found without a list. */
const copied = (column: string): string =>
  `overlay(overlay(md5(${column}::text || k) placing '4' from 13) placing '8' from 17)::uuid`;
const BETWEEN = `k * interval '37 minutes'`;

/** That a row belongs to a job which is copied, by what it refers to. */
function belongs(table: string): string {
  if (table === 'ticket') return `id in (${DONE})`;
  const { references } = fileTables.find(({ name }) => name === table)!;
  const up = references.find(({ target }) => JOBS.includes(target) && target !== table)!;
  return `${up.column} in (select id from ${up.target} where ${belongs(up.target)})`;
}

/** @returns how many coats there are then */
export async function makeManyCoats(database: DataSource, coats: number): Promise<number> {
  const count = async (of: string) =>
    Number(((await database.query(`select count(*) as n ${of}`)) as [{ n: string }])[0].n);
  const done = await count(`from coat where ${belongs('coat')}`);
  const copies = Math.max(0, Math.ceil((coats - (await count('from coat'))) / done));
  if (copies === 0) return count('from coat');
  const moments: { table_name: string; column_name: string }[] = await database.query(
    `select table_name, column_name from information_schema.columns
     where table_schema = 'public' and data_type = 'timestamp with time zone'`,
  );
  for (const name of JOBS) {
    const { columns, key, references } = fileTables.find((table) => table.name === name)!;
    const own = new Set([
      ...key.filter((column) => column === 'id'),
      ...references.filter(({ target }) => JOBS.includes(target)).map(({ column }) => column),
    ]);
    const valueOf = (column: string): string => {
      if (own.has(column)) return copied(`o.${column}`);
      if (name === 'ticket' && column === 'number') return `o.number || '-' || k`;
      const isMoment = moments.some(
        ({ table_name, column_name }) => table_name === name && column_name === column,
      );
      return isMoment ? `o.${quoted(column)} - ${BETWEEN}` : `o.${quoted(column)}`;
    };
    await database.query(
      `insert into ${name} (${listed(columns)}) select ${columns.map(valueOf).join(', ')}
       from ${name} o, generate_series(1, ${copies}) k where ${belongs(name).replace(/^/, 'o.')}`,
    );
  }
  await database.query('vacuum analyze');
  return count('from coat');
}
