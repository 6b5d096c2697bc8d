/** One coat as Records tells it. */
import type { Coat } from '@orthochrom/contract/shop/ticket.ts';
import type { Stage } from '@orthochrom/core/gun/gun.ts';

export type RecordRow = {
  coat: Coat;
  ticketNumber: string;
  vehicle: string;
  stage: Stage;
  colourName: string;
  product: string;
  coats: number;
  gun: string;
  painter: string;
  room: string;
  airC?: number;
  rhPercent?: number;
  panelC?: number;
  materialC?: number;
};

export const whenText = (iso: string | undefined): string =>
  iso ? new Date(iso).toLocaleString('en-GB', { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' }) : '';
export const RATING_MARK = { good: '● good', fair: '▲ fair', poor: '■ poor' } as const;
