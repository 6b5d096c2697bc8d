/** The scripted days that the probe's stand-in plays, tied to the shop's rooms by name. */
import type { DayAhead } from '@orthochrom/contract/shop/air.ts';
import type { EntityManager } from 'typeorm';
import rooms from '../../demo/rooms.json' with { type: 'json' };
import { Forecast } from '@orthochrom/contract/shapes/climate.ts';
import { RoomTable } from '../shop/shopTables.ts';

export async function demoDays(manager: EntityManager): Promise<DayAhead[]> {
  const rows = await manager.find(RoomTable);
  return rooms.days.map(({ name, room, sunriseMinute, forecast }) => ({
    name,
    sunriseMinute,
    roomId: rows.find((row) => row.name === room)?.id ?? '',
    forecast: Forecast.parse(forecast),
  }));
}
