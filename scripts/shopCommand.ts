/** What `npm run shop` does once there is a database: see scripts/shop.mjs. */
import { createWriteStream } from 'node:fs';
import { rename, rm } from 'node:fs/promises';
import { finished } from 'node:stream/promises';
import { dateIn } from '@orthochrom/contract/plan/shopHours.ts';
import { ShopFileTake, type ShopFilePreview } from '@orthochrom/contract/shop/shopFile.ts';
import type { DataSource } from 'typeorm';
import { v7 as newId } from 'uuid';
import { openDatabase } from '../packages/server/src/database/openDatabase.ts';
import { Ledger } from '../packages/server/src/event/ledger.ts';
import { BadInput, NotFound } from '../packages/server/src/http/faults.ts';
import { keepCopy } from '../packages/server/src/nightly/copies.ts';
import { layFileAside, takeFileIn } from '../packages/server/src/shopFile/shopFileLedger.ts';
import { dropAside } from '../packages/server/src/shopFile/asideSchema.ts';
import { writeShopFile } from '../packages/server/src/shopFile/writeShopFile.ts';
import { makeCode } from '../packages/server/src/signIn/signInLedger.ts';

const USAGE = `npm run shop -- out FILE                      the whole shop into a file
npm run shop -- in FILE                       what a file would change
npm run shop -- in FILE --take ours|theirs    take it in; whose word stands where both were changed
npm run shop -- code                          a code by which a lead comes in anew
npm run shop -- copy                          a copy as every night`;

async function out(database: DataSource, file: string): Promise<void> {
  const draft = `${file}.draft`;
  try {
    const stream = createWriteStream(draft, { mode: 0o600 });
    await Promise.all([writeShopFile(database, stream), finished(stream)]);
    await rename(draft, file);
  } catch (fault) {
    await rm(draft, { force: true });
    throw fault;
  }
  console.log(`The shop is in ${file}. PINs and trusted tablets are not: they are given anew.`);
}

function tell({ shopName, opensEmpty, isThisShop, tables, renamed }: ShopFilePreview): void {
  const whose = opensEmpty
    ? 'opens here as it is'
    : isThisShop
      ? 'is this shop'
      : 'is another shop: its things come beside ours';
  console.log(`${shopName} ${whose}.`);
  for (const { table, added, newerThere, newerHere, changedInBoth } of tables)
    if (added + newerThere + newerHere + changedInBoth > 0)
      console.log(
        `  ${table}: ${added} new, ${newerThere} changed there, ${newerHere} changed here (kept), ${changedInBoth} in both`,
      );
  for (const { what, from, to } of renamed) console.log(`  ${what} ${from} comes as ${to}`);
}

async function takeIn(database: DataSource, file: string, whose?: string): Promise<void> {
  const choice = whose === undefined ? undefined : ShopFileTake.parse({ changedInBoth: whose });
  const id = newId();
  tell(await layFileAside(database, id, file));
  if (choice) await takeFileIn(new Ledger(database), id, choice);
  else await dropAside(database.manager, id);
  console.log(choice ? 'It is in.' : 'Nothing was changed. With --take ours or theirs it goes in.');
}

const [command, file, take, whose] = process.argv.slice(2);
const database = await openDatabase(process.env['DATABASE_URL']!);
try {
  await database.runMigrations();
  if (command === 'out' && file) await out(database, file);
  else if (command === 'in' && file)
    await takeIn(database, file, take === '--take' ? whose : undefined);
  else if (command === 'code')
    console.log(`It holds for a day: ${await makeCode(database.manager)}`);
  else if (command === 'copy')
    console.log(await keepCopy(database, process.env['COPIES_FOLDER']!, dateIn('UTC', Date.now())));
  else {
    console.log(USAGE);
    process.exitCode = 2;
  }
} catch (fault) {
  if (!(fault instanceof BadInput || fault instanceof NotFound)) throw fault;
  console.error(fault.message);
  process.exitCode = 1;
} finally {
  await database.destroy();
}
