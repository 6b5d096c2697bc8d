/**
 * A ticket as it is being written: kept in the browser until the server has it, so that a reload
 * loses nothing.
 */
import { bodyPanel } from '@orthochrom/core/body/bodyMap.ts';
import { getsStage, isMelted } from '@orthochrom/core/layers/foundLayer.ts';
import { isStageBegun } from '@orthochrom/contract/plan/coatOrder.ts';
import { isOfFace } from '@orthochrom/contract/plan/faces.ts';
import { isBlendOnly } from '@orthochrom/contract/plan/planContext.ts';
import type { Sheet } from '@orthochrom/contract/sheet/sheet.ts';
import {
  TicketCreate,
  type Panel,
  type SheetVersion,
  type StagePlan,
  type TicketWhole,
} from '@orthochrom/contract/shop/ticket.ts';
import type { ShopSetup } from '@orthochrom/contract/shop/setup.ts';
import { v7 as newId } from 'uuid';

export type TicketDraft = Omit<TicketCreate, 'roomId' | 'painterId'> & { roomId: string };

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

/** A part that no body has: as large as a small panel. */
const OTHER_PART_M2 = 0.5;

/** As the map of its body has it. */
export function newPanel(name: string, body: TicketDraft['bodyKind']): Panel {
  const usual = bodyPanel(body, name);
  return {
    id: newId(),
    name,
    areaM2: usual?.areaM2 ?? OTHER_PART_M2,
    orientation: usual?.orientation ?? 'upright',
    substrate: usual?.substrate ?? 'metal',
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
 * A stage covers the panels whose scope has it: a blend no undercoat, clear only no colour, and
 * what
 * only melts edges the panels that have one.
 */
export const withPanelsInStages = (
  draft: TicketDraft,
  sheets: readonly SheetVersion[],
): TicketDraft => ({
  ...draft,
  stages: withSessions(draft).map((stage) => {
    const sheet = sheets.find(({ id }) => id === stage.sheetVersionId)?.sheet;
    const isBlend = sheet !== undefined && isBlendOnly(sheet, stage);
    return {
      ...stage,
      panelIds: draft.panels
        .filter(
          (panel) =>
            isOfFace(stage, panel) &&
            getsStage(panel.scope, stage.kind) &&
            (!isBlend || isMelted(panel.scope)),
        )
        .map(({ id }) => id),
    };
  }),
});

/** What the painter lists; the first session over hidden faces is made from it. */
export const listedStages = ({ stages }: Pick<TicketDraft, 'stages'>): StagePlan[] =>
  stages.filter(({ face }) => face === undefined);

/** Hidden faces get the same stages before all others; those that were there keep their coats. */
function withSessions({ panels, stages }: TicketDraft): StagePlan[] {
  const listed = listedStages({ stages });
  if (!panels.some(({ face }) => face === 'inside')) return listed;
  const insides = stages.filter(({ face }) => face === 'inside');
  const first = listed.map((stage, i) => {
    const nth = listed.slice(0, i).filter(({ kind }) => kind === stage.kind).length;
    const known = insides.filter(({ kind }) => kind === stage.kind)[nth];
    return {
      ...stage,
      id: known?.id ?? newId(),
      coats: known?.coats ?? stage.coats,
      face: 'inside' as const,
    };
  });
  return [...first, ...listed];
}

/** A part off the car with both its faces, or with one again. */
export function withFaces(panels: readonly Panel[], panel: Panel, isBoth: boolean): Panel[] {
  const { face: _, ...one } = panel;
  const others = panels.filter(
    ({ id, name, face }) => id === panel.id || name !== panel.name || !face,
  );
  return others.flatMap((other): Panel[] => {
    if (other.id !== panel.id) return [other];
    return isBoth
      ? [
          { ...one, id: newId(), face: 'inside' },
          { ...one, face: 'outside' },
        ]
      : [one];
  });
}

export type DraftFault = { path: string; message: string };

/** What is still missing, in a painter's words, each with its place. */
export function draftFaults(
  draft: TicketDraft,
  painterId: string,
  sheets: readonly SheetVersion[],
): DraftFault[] {
  const faults: DraftFault[] = [];
  if (draft.vehicle.trim() === '')
    faults.push({ path: 'vehicle', message: 'Which vehicle or part?' });
  if (draft.panels.length === 0) faults.push({ path: 'panels', message: 'At least one panel.' });
  if (draft.stages.length === 0)
    faults.push({ path: 'stages', message: 'At least one stage, from a data sheet.' });
  if (faults.length > 0) return faults;
  const parsed = TicketCreate.safeParse({ ...withPanelsInStages(draft, sheets), painterId });
  return parsed.success
    ? []
    : parsed.error.issues.map(({ path, message }) => ({
        path: path.join('.'),
        message: path.at(-1) === 'panelIds' ? 'This stage covers no panel.' : message,
      }));
}

/** Ids of issues that these stages are pinned to and that are not among those. */
export const pinnedBeside = (
  stages: readonly StagePlan[],
  latest: readonly SheetVersion[],
): string[] => [
  ...new Set(
    stages
      .map(({ sheetVersionId }) => sheetVersionId)
      .filter((pinned) => !latest.some(({ id }) => id === pinned)),
  ),
];

/** The newest issue of each product. */
export const newestIssues = (sheets: readonly SheetVersion[]): SheetVersion[] =>
  sheets.filter(({ sheet }) =>
    sheets.every((other) => other.sheet.id !== sheet.id || other.sheet.number <= sheet.number),
  );

/** By another issue of its sheet: the recipe of that name, where it still has it. */
export const byIssue = (
  stage: StagePlan,
  { id: sheetVersionId, sheet }: SheetVersion,
): Pick<StagePlan, 'sheetVersionId' | 'recipeName'> => ({
  sheetVersionId,
  recipeName: (sheet.recipes!.find(({ name }) => name === stage.recipeName) ?? sheet.recipes![0]!)
    .name,
});

/** Stages whose coats are on, or begun: they stay with the issue of the sheet that they have. */
export const stagesBegun = ({
  ticket: { stages },
  coats,
}: Pick<TicketWhole, 'ticket' | 'coats'>): Set<string> => {
  const begun = stages.filter(({ id }) => isStageBegun(id, coats));
  // A hidden face's session is written by the listed stage of its kind.
  const isBegun = ({ id, kind, sheetVersionId }: StagePlan): boolean =>
    begun.some(
      (one) =>
        one.id === id ||
        (one.face === 'inside' && one.kind === kind && one.sheetVersionId === sheetVersionId),
    );
  return new Set(stages.filter(isBegun).map(({ id }) => id));
};

export const paintSheets = (sheets: SheetVersion[]): SheetVersion[] =>
  sheets.filter(
    ({ sheet }: { sheet: Sheet }) =>
      (sheet.recipes?.length ?? 0) > 0 && (sheet.stages?.length ?? 0) > 0,
  );
