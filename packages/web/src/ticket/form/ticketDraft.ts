/**
 * A ticket as it is being written: kept in the browser until the server has it, so that a reload
 * loses nothing.
 */
import type { Sheet } from '@orthochrom/contract/sheet/sheet.ts';
import {
  TicketCreate,
  type Panel,
  type SheetVersion,
  type StagePlan,
} from '@orthochrom/contract/shop/ticket.ts';
import type { ShopSetup } from '@orthochrom/contract/shop/setup.ts';
import { v7 as newId } from 'uuid';

export type TicketDraft = Omit<TicketCreate, 'roomId' | 'painterId'> & { roomId: string };

/** Usual areas of one side of a panel, m²: a place to start from. */
export const PANEL_AREAS_M2: [name: string, areaM2: number, orientation: Panel['orientation']][] = [
  ['hood', 1.3, 'flat'],
  ['roof', 1.6, 'flat'],
  ['trunk', 0.9, 'flat'],
  ['tailgate', 1.2, 'upright'],
  ['frontBumper', 0.9, 'upright'],
  ['rearBumper', 0.9, 'upright'],
  ['leftFrontFender', 0.7, 'upright'],
  ['leftFrontDoor', 0.9, 'upright'],
  ['leftRearDoor', 0.85, 'upright'],
  ['leftQuarter', 1.1, 'upright'],
  ['leftSill', 0.35, 'upright'],
  ['leftMirror', 0.08, 'upright'],
  ['rightFrontFender', 0.7, 'upright'],
  ['rightFrontDoor', 0.9, 'upright'],
  ['rightRearDoor', 0.85, 'upright'],
  ['rightQuarter', 1.1, 'upright'],
  ['rightSill', 0.35, 'upright'],
  ['rightMirror', 0.08, 'upright'],
  ['tank', 0.35, 'slope'],
];

export const emptyDraft = (roomId: string): TicketDraft => ({
  id: newId(),
  vehicle: '',
  bodyKind: 'saloon',
  roomId,
  jobSize: 'panel',
  note: '',
  panels: [],
  stages: [],
});

export function newPanel(name: string): Panel {
  const usual = PANEL_AREAS_M2.find(([known]) => known === name);
  return {
    id: newId(),
    name,
    areaM2: usual?.[1] ?? 0.5,
    orientation: usual?.[2] ?? 'upright',
    substrate: name.endsWith('Bumper') || name.endsWith('Mirror') ? 'plastic' : 'metal',
    scope: 'full',
  };
}

/**
 * A stage from its sheet: the first stage it is made for, its usual recipe, the middle of its
 * coats.
 */
export function newStage(
  { id: sheetVersionId, sheet }: SheetVersion,
  draft: TicketDraft,
  setup: ShopSetup,
): StagePlan {
  const kind = sheet.stages?.[0] ?? 'base';
  const finish = sheet.finishes?.[0];
  const gun = setup.guns.find(({ usedFor }) => usedFor.includes(kind));
  return {
    id: newId(),
    kind,
    sheetVersionId,
    recipeName: sheet.recipes![0]!.name,
    ...(finish ? { finish } : {}),
    colourName: '',
    ...(sheet.shades?.[0]
      ? { colourName: sheet.shades[0].name, colourHex: sheet.shades[0].colour }
      : {}),
    coats: Math.max(1, sheet.recipes![0]!.coats[0]),
    ...(gun ? { gunId: gun.id } : {}),
    part: 'largePanel',
    panelIds: draft.panels.map(({ id }) => id),
  };
}

/**
 * Panels on a ticket are covered by every stage, save that a clear-only panel gets the clear and a
 * panel left alone nothing.
 */
export const withPanelsInStages = (draft: TicketDraft): TicketDraft => ({
  ...draft,
  stages: draft.stages.map((stage) => ({
    ...stage,
    panelIds: draft.panels
      .filter(({ scope }) => scope !== 'leave' && (scope !== 'clearOnly' || stage.kind === 'clear'))
      .map(({ id }) => id),
  })),
});

export type DraftFault = { path: string; message: string };

/** What is still missing, in a painter's words, each with its place. */
export function draftFaults(draft: TicketDraft, painterId: string): DraftFault[] {
  const faults: DraftFault[] = [];
  if (draft.vehicle.trim() === '')
    faults.push({ path: 'vehicle', message: 'Which vehicle or part?' });
  if (draft.panels.length === 0) faults.push({ path: 'panels', message: 'At least one panel.' });
  if (draft.stages.length === 0)
    faults.push({ path: 'stages', message: 'At least one stage, from a data sheet.' });
  if (faults.length > 0) return faults;
  const parsed = TicketCreate.safeParse({ ...withPanelsInStages(draft), painterId });
  return parsed.success
    ? []
    : parsed.error.issues.map(({ path, message }) => ({
        path: path.join('.'),
        message: path.at(-1) === 'panelIds' ? 'This stage covers no panel.' : message,
      }));
}

export const paintSheets = (sheets: SheetVersion[]): SheetVersion[] =>
  sheets.filter(
    ({ sheet }: { sheet: Sheet }) =>
      (sheet.recipes?.length ?? 0) > 0 && (sheet.stages?.length ?? 0) > 0,
  );
