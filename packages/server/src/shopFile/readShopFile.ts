/** A shop's file, opened: what it says of itself, its rows line by line, its pictures. */
import { buffer } from 'node:stream/consumers';
import {
  FILE_PATHS,
  ShopFileManifest,
  SHOP_FILE_FORMAT,
  SHOP_FILE_VERSION,
} from '@orthochrom/contract/shop/shopFile.ts';
import { openPromise, type Entry, type ZipFile } from 'yauzl';
import { BadInput } from '../http/faults.ts';

/** No row and no picture is larger: what claims to be is not read. */
const MOST_ENTRY_BYTES = 20_000_000;
const MOST_LINE_CHARACTERS = 8_000_000;

export type Line = { text: string; number: number };

export class OpenShopFile {
  readonly manifest: ShopFileManifest;
  private readonly zip: ZipFile;
  private readonly entries: ReadonlyMap<string, Entry>;

  private constructor(
    zip: ZipFile,
    entries: ReadonlyMap<string, Entry>,
    manifest: ShopFileManifest,
  ) {
    this.zip = zip;
    this.entries = entries;
    this.manifest = manifest;
  }

  /** @throws BadInput where it is no file of a shop, or one of a later Orthochrom */
  static async open(path: string): Promise<OpenShopFile> {
    const zip = await openPromise(path, { autoClose: false, lazyEntries: true }).catch(() => {
      throw notAShop('It is not a ZIP file, or it is cut off.');
    });
    try {
      const entries = await entriesOf(zip);
      return new OpenShopFile(zip, entries, await manifestIn(zip, entries));
    } catch (fault) {
      zip.close();
      throw fault;
    }
  }

  close(): void {
    this.zip.close();
  }

  /** @throws BadInput where the file does not hold what it says it holds, or is broken inside */
  async *lines(table: string): AsyncGenerator<Line> {
    const stream = await this.zip.openReadStreamPromise(this.entry(FILE_PATHS.rows(table)));
    let [number, rest] = [0, ''];
    try {
      for await (const part of stream.setEncoding('utf8') as AsyncIterable<string>) {
        const texts = (rest + part).split('\n');
        rest = texts.pop()!;
        for (const text of texts) yield { text, number: ++number };
        if (rest.length > MOST_LINE_CHARACTERS)
          throw notAShop(`Line ${number + 1} of ${table} is longer than any row.`);
      }
    } catch (fault) {
      throw fault instanceof BadInput ? fault : notAShop(`${table} is broken inside.`);
    }
    if (rest !== '') yield { text: rest, number: number + 1 };
  }

  async picture(path: string): Promise<Buffer> {
    const entry = this.entry(path);
    if (entry.uncompressedSize > MOST_ENTRY_BYTES)
      throw notAShop(`The picture ${path} is over ${MOST_ENTRY_BYTES / 1_000_000} MB.`);
    return buffer(await this.zip.openReadStreamPromise(entry));
  }

  private entry(path: string): Entry {
    const entry = this.entries.get(path);
    if (!entry) throw notAShop(`It does not hold ${path}.`);
    return entry;
  }
}

export const notAShop = (why: string): BadInput =>
  BadInput.at(
    ['file'],
    'not-a-shop',
    `This is no whole file of a shop. ${why} Nothing was changed.`,
  );

function entriesOf(zip: ZipFile): Promise<Map<string, Entry>> {
  return new Promise((resolve, reject) => {
    const entries = new Map<string, Entry>();
    zip.on('entry', (entry: Entry) => {
      entries.set(entry.fileName, entry);
      zip.readEntry();
    });
    zip.on('end', () => resolve(entries));
    zip.on('error', () => reject(notAShop('Its list of contents is broken.')));
    zip.readEntry();
  });
}

async function manifestIn(
  zip: ZipFile,
  entries: ReadonlyMap<string, Entry>,
): Promise<ShopFileManifest> {
  const entry = entries.get(FILE_PATHS.manifest);
  if (!entry || entry.uncompressedSize > MOST_ENTRY_BYTES)
    throw notAShop(`It does not hold ${FILE_PATHS.manifest}.`);
  const said = jsonIn((await buffer(await zip.openReadStreamPromise(entry))).toString());
  const { format, version } = (said ?? {}) as { format?: unknown; version?: unknown };
  if (format !== SHOP_FILE_FORMAT) throw notAShop('It says of itself that it is something else.');
  if (typeof version === 'number' && version > SHOP_FILE_VERSION)
    throw notAShop('It comes from a later Orthochrom than this one: bring this one up to date.');
  const parsed = ShopFileManifest.safeParse(said);
  if (!parsed.success) throw notAShop(`What ${FILE_PATHS.manifest} says cannot be read.`);
  return parsed.data;
}

export function jsonIn(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}
