/**
 * The invented shop as data: sheets, guns, rooms and days, parsed at the edge like any other input.
 */
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { GunCreate, RoomEdit } from '@orthochrom/contract/shop/setup.ts';
import { wanted } from '@orthochrom/contract/quantity/fields.ts';
import { Line } from '@orthochrom/contract/shapes/gun.ts';
import { Forecast } from '@orthochrom/contract/shapes/climate.ts';
import { Sheet } from '@orthochrom/contract/sheet/sheet.ts';
import { z } from 'zod';

const DemoLine = z.strictObject({
  name: z.string(),
  room: z.string(),
  gaugeAt: z.enum(['gun', 'wall']),
  compressor: z.string(),
  line: Line,
});
export type DemoLine = z.infer<typeof DemoLine>;
const Guns = z.object({
  guns: z.array(GunCreate.omit({ id: true })),
  airLines: z.array(DemoLine),
  compressors: z.array(
    z.strictObject({
      name: z.string(),
      ...wanted('tankL', 'freeAirLPerMin', 'freeAirAtKPa', 'cutInKPa', 'cutOutKPa'),
    }),
  ),
});
const Rooms = z.object({
  rooms: z.array(RoomEdit.omit({ version: true, regionRules: true })),
  days: z.array(
    z.strictObject({
      name: z.string(),
      room: z.string(),
      sunriseMinute: z.number(),
      forecast: Forecast,
    }),
  ),
});
export type DemoFiles = {
  sheets: Sheet[];
  guns: z.infer<typeof Guns>['guns'];
  airLines: DemoLine[];
  compressors: z.infer<typeof Guns>['compressors'];
  rooms: z.infer<typeof Rooms>['rooms'];
  days: z.infer<typeof Rooms>['days'];
};

const readJson = (file: string): unknown => JSON.parse(readFileSync(file, 'utf8'));

export function readDemoFiles(folder: string): DemoFiles {
  const sheetFolder = path.join(folder, 'sheets');
  return {
    sheets: readdirSync(sheetFolder).map((file) =>
      Sheet.parse(readJson(path.join(sheetFolder, file))),
    ),
    ...Guns.parse(readJson(path.join(folder, 'guns.json'))),
    ...Rooms.parse(readJson(path.join(folder, 'rooms.json'))),
  };
}
