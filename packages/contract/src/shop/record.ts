/** One coat as Records tells it, and what coats are found by. */
import { StageName } from '../shapes/trade.ts';
import { z } from 'zod';
import type { Sheet } from '../sheet/sheet.ts';
import { Id } from './common.ts';
import { Rating, type Coat } from './coat.ts';

export const RecordQuery = z.strictObject({
  text: z.string().max(80).optional(),
  stage: StageName.optional(),
  gunId: Id.optional(),
  painterId: Id.optional(),
  rating: Rating.optional(),
  minAirC: z.coerce.number().min(-30).max(60).optional(),
  fault: z.string().max(40).optional(),
  cause: z.string().max(40).optional(),
  maxAirC: z.coerce.number().min(-30).max(60).optional(),
  /** The coat that the page before ended with. */
  after: Id.optional(),
});
export type RecordQuery = z.infer<typeof RecordQuery>;

/** What was found on a coat; `confirmed` when somebody said that it was so. */
export type FoundOnCoat = { findingId: string; fault: string; cause: string; confirmed: boolean };

/** Who was signed in as something was done to a coat, and which lead put a hand to it. */
export type Hand = { kind: string; at: string; signedIn: string; lead?: string };

/** An issue of a sheet as a plan was worked out by it; `id` is the product's. */
export type PlannedBy = Pick<Sheet, 'id' | 'name' | 'number' | 'issuedOn' | 'source'>;

export type RecordRow = {
  coat: Coat;
  ticketNumber: string;
  vehicle: string;
  stage: z.infer<typeof StageName>;
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
  /** Which issue of its product's sheet its stage goes by. */
  sheetIssue?: number;
  found: FoundOnCoat[];
  /** With one coat whole: the sheets that its plan was worked out by. */
  plannedBy?: PlannedBy[];
  /** With one coat whole, where a PIN was asked. */
  hands?: Hand[];
};

/** How many fit, asked beside the first page: to count takes longer than to show the newest. */
export type RecordCount = { count: number };
/** Some of what fits, newest first. */
export type RecordPage = {
  rows: RecordRow[];
  /** Ask on after this coat; absent at the end. */
  next?: string | undefined;
};
