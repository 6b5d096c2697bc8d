/** The file of a whole shop, taken out, laid down, taken in and broken. */
import { buffer } from 'node:stream/consumers';
import type { ShopFileManifest, ShopFilePreview } from '@orthochrom/contract/shop/shopFile.ts';
import { v7 as newId } from 'uuid';
import { fromBufferPromise, type Entry } from 'yauzl';
import yazl from 'yazl';
import { expect } from 'vitest';
import { ShopFixture, type Fault } from './shopFixture.ts';

/** Shops opened for one test file, all closed after it. */
export class Shops {
  private readonly opened: ShopFixture[] = [];
  readonly from = async (template?: string): Promise<ShopFixture> => {
    const shop = await ShopFixture.open(template);
    this.opened.push(shop);
    return shop;
  };
  async close(): Promise<void> {
    for (const shop of this.opened) await shop.close();
  }
}

export const out = (shop: ShopFixture): Promise<Buffer> => shop.bytes('/shop-file');
export const lay = (shop: ShopFixture, file: Buffer, id = newId()) =>
  shop.send<ShopFilePreview & Fault>(`/shop-file?id=${id}`, file, 'application/zip');
export async function takeIn(shop: ShopFixture, file: Buffer, changedInBoth = 'ours') {
  const { status, body } = await lay(shop, file);
  expect([status, body.error]).toEqual([201, undefined]);
  const taken = await shop.post(`/shop-file/${body.id}/take`, { changedInBoth });
  expect(taken).toMatchObject({ status: 201 });
  return body;
}

/** The file with its entries changed; undefined leaves one out. */
export async function rewritten(
  file: Buffer,
  change: (path: string, text: string) => string | undefined,
): Promise<Buffer> {
  const zip = await fromBufferPromise(file, { lazyEntries: true });
  const made = new yazl.ZipFile();
  await new Promise<void>((resolve, reject) => {
    zip.on('entry', (entry: Entry) => {
      void (async () => {
        const bytes = await buffer(await zip.openReadStreamPromise(entry));
        const isText = !entry.fileName.startsWith('pictures/');
        const text = isText ? change(entry.fileName, bytes.toString()) : undefined;
        if (!isText) made.addBuffer(bytes, entry.fileName);
        else if (text !== undefined) made.addBuffer(Buffer.from(text), entry.fileName);
        zip.readEntry();
      })().catch(reject);
    });
    zip.on('end', resolve);
    zip.readEntry();
  });
  made.end();
  return buffer(made.outputStream);
}
export const withManifest = (change: (manifest: ShopFileManifest) => object) => (file: Buffer) =>
  rewritten(file, (path, text) =>
    path === 'shop.json' ? JSON.stringify(change(JSON.parse(text) as ShopFileManifest)) : text,
  );
