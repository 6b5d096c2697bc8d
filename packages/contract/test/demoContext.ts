/** The invented shop's sheets and guns, and a plan to be made from them. */
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import type { PlanContext } from '../src/plan/planContext.ts';
import { Sheet } from '../src/sheet/sheet.ts';

const ID = '0190b5a0-0000-7000-8000-000000000001';
const demo = path.join(import.meta.dirname, '../../server/demo');
export const sheets = readdirSync(path.join(demo, 'sheets')).map((file) =>
  Sheet.parse(JSON.parse(readFileSync(path.join(demo, 'sheets', file), 'utf8'))),
);
export const products = new Map(sheets.map((sheet) => [sheet.id, sheet]));
export const guns = (
  JSON.parse(readFileSync(path.join(demo, 'guns.json'), 'utf8')) as { guns: PlanContext['gun'][] }
).guns.map((gun) => ({ ...gun, id: ID, version: 1 }));

/** A coat on a bonnet in a booth at this temperature, panel and air alike. */
export function contextFor(
  sheetId: string,
  airC: number,
  changes: Partial<PlanContext> & { rh?: number } = {},
): PlanContext {
  const sheet = products.get(sheetId)!;
  const reading = (value: number) => ({ value, at: '2026-03-02T09:00:00Z', by: 'probe' as const });
  const { rh = 50, ...rest } = changes;
  return {
    ticket: {
      jobSize: 'panel',
      panels: [
        {
          id: ID,
          name: 'hood',
          areaM2: 1.3,
          orientation: 'flat',
          substrate: 'metal',
          scope: 'full',
        },
      ],
    },
    stage: {
      id: ID,
      kind: sheet.stages![0]!,
      sheetVersionId: ID,
      recipeName: sheet.recipes![0]!.name,
      ...(sheet.finishes ? { finish: sheet.finishes[0]! } : {}),
      colourName: '',
      coats: 2,
      part: 'largePanel',
      panelIds: [ID],
    },
    sheet,
    products,
    painter: {
      id: ID,
      version: 1,
      name: 'Nell',
      skill: 'able',
      units: {
        temperature: 'C',
        pressure: 'psi',
        length: 'mm',
        film: 'um',
        volume: 'ml',
        area: 'm2',
        measure: 'volume',
      },
      way: {},
    },
    room: {
      id: ID,
      version: 1,
      name: 'Booth',
      place: 'booth',
      heated: true,
      airMovement: 'downdraft',
      airflow: 'downdraft',
      extraction: 'on',
      region: 'home',
      regionRules: {},
      capLimitKPa: 69,
      note: '',
    },
    air: {
      roomId: ID,
      air: reading(airC),
      humidity: reading(rh),
      panel: reading(airC),
      material: reading(Math.max(21, airC - 1)),
    },
    gun: guns[0]!,
    coatsLeft: 2,
    ordinal: 1,
    isLastStage: false,
    cup: {
      id: ID,
      version: 1,
      name: 'Cup',
      capacityMl: 600,
      marksMl: [100, 200],
      scales: [{ ratio: [4, 1, 1], mlPerPart: 10 }],
    },
    ...rest,
  };
}
export const paints = sheets.filter((sheet) => sheet.recipes);
