import { createWriteStream } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import os from 'node:os';
import path from 'node:path';
import { pipeline } from 'node:stream/promises';
import { ShopFileId, ShopFileTake } from '@orthochrom/contract/shop/shopFile.ts';
import { Router, type Request } from 'express';
import type { DataSource } from 'typeorm';
import { z } from 'zod';
import type { Ledger } from '../event/ledger.ts';
import { BadInput } from '../http/faults.ts';
import { bodyOf, idOf, parsed } from '../http/request.ts';
import { dropAside } from './asideSchema.ts';
import { layFileAside, takeFileIn } from './shopFileLedger.ts';
import { writeShopFile } from './writeShopFile.ts';

const MOST_FILE_BYTES = 4_000_000_000;
const Laid = z.strictObject({ id: ShopFileId });

export function shopFileRoutes(ledger: Ledger, database: DataSource): Router {
  const routes = Router();
  routes.get('/shop-file', async (_req, res) => {
    const day = new Date().toISOString().slice(0, 10);
    res.attachment(`orthochrom-shop-${day}.zip`).type('application/zip');
    try {
      await writeShopFile(database, res);
    } catch (fault) {
      // What has begun cannot say so any more: it is cut off, and a file cut off is refused.
      if (res.headersSent) res.destroy();
      throw fault;
    }
  });
  routes.post('/shop-file', async (req, res) => {
    const { id } = parsed(Laid, req.query);
    const folder = await mkdtemp(path.join(os.tmpdir(), 'orthochrom-in-'));
    try {
      const file = path.join(folder, 'shop.zip');
      await receive(req, file);
      res.status(201).json(await layFileAside(database, id, file));
    } finally {
      await rm(folder, { recursive: true, force: true });
    }
  });
  routes.post('/shop-file/:id/take', async (req, res) => {
    await takeFileIn(ledger, idOf(req), bodyOf(ShopFileTake, req));
    res.status(201).json({ taken: true });
  });
  routes.delete('/shop-file/:id', async (req, res) => {
    await dropAside(database.manager, idOf(req));
    res.status(204).end();
  });
  return routes;
}

/** Onto the disk as it comes: a shop of ten years does not fit into memory. */
async function receive(req: Request, file: string): Promise<void> {
  if (!req.is('application/zip'))
    throw BadInput.at(['file'], 'wrong-type', 'A shop’s file is sent as application/zip.');
  let sizeBytes = 0;
  await pipeline(
    req,
    async function* (parts: AsyncIterable<Buffer>) {
      for await (const part of parts) {
        sizeBytes += part.length;
        if (sizeBytes > MOST_FILE_BYTES)
          throw BadInput.at(
            ['file'],
            'out-of-range',
            `A shop’s file has at most ${MOST_FILE_BYTES / 1e9} GB.`,
          );
        yield part;
      }
    },
    createWriteStream(file),
  );
}
