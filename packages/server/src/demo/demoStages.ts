/** What the demo's jobs are made of: a ticket in short, and the stages that come again. */
import type { Panel, StagePlan, Ticket } from '@orthochrom/contract/shop/ticket.ts';

export type PanelSketch = [
  name: string,
  areaM2: number,
  orientation: Panel['orientation'],
  scope?: Panel['scope'],
  substrate?: Panel['substrate'],
];
type StageSketch = Pick<StagePlan, 'kind' | 'recipeName' | 'coats'> & {
  sheet: string;
  gun: string;
  finish?: StagePlan['finish'];
  colourName?: string;
  colourHex?: string;
  part?: StagePlan['part'];
  only?: string[];
};
export type TicketSketch = Pick<Ticket, 'vehicle' | 'bodyKind' | 'jobSize' | 'note'> & {
  room: string;
  painter: string;
  panels: PanelSketch[];
  /** What stands on a panel, where somebody was asked. */
  found?: Record<string, NonNullable<Panel['found']>>;
  /** Somebody else's bodywork. */
  foreign?: string[];
  timing?: Ticket['timing'];
  stages: StageSketch[];
  daysAgo?: number;
  /** Laid on a Friday, with the waits of the clear cut short. */
  rushed?: boolean;
  air?: [airC: number, rhPercent: number, panelC: number];
};

export const sealer = (
  gun = 'Wren',
  colourName = 'Grey 3',
  colourHex = '#8d8f8e',
): StageSketch => ({
  kind: 'sealer',
  sheet: 'tarnside-grey-sealer',
  recipeName: '3:1:1',
  coats: 1,
  gun,
  colourName,
  colourHex,
});
export const silver = (gun = 'Heron'): StageSketch => ({
  kind: 'base',
  sheet: 'tarnside-sb-metallic',
  recipeName: '1:1',
  coats: 3,
  gun,
  finish: 'silver',
  colourName: 'Slack-tide silver, coarse',
  colourHex: '#b9c0c4',
});
/** Thinned to melt the edge of the silver on these panels. */
export const silverBlend = (...only: string[]): StageSketch => ({
  ...silver(),
  recipeName: '1:2 blend',
  coats: 1,
  only,
});
export const solid = (colourName: string, colourHex: string, gun = 'Heron'): StageSketch => ({
  kind: 'base',
  sheet: 'tarnside-sb-solid',
  recipeName: '2:1',
  coats: 2,
  gun,
  finish: 'solid',
  colourName,
  colourHex,
});
export const clear = (gun = 'Heron', sheet: 'ms' | 'hs' = 'ms'): StageSketch => ({
  kind: 'clear',
  sheet: `tarnside-clear-${sheet}`,
  recipeName: sheet === 'ms' ? '4:1' : '2:1',
  coats: 2,
  gun,
  colourHex: '#e9d9b0',
});

export const SIDE: PanelSketch[] = [
  ['leftFrontFender', 0.7, 'upright'],
  ['leftFrontDoor', 0.9, 'upright'],
  ['leftRearDoor', 0.85, 'upright', 'blend'],
];
