/** One coat as Records tells it, and what coats are found by. */
import { z } from 'zod';
import { StageName } from '../shapes/climate.ts';
import { Id } from './common.ts';
import { Rating, type Coat } from './ticket.ts';

export const RecordQuery = z.strictObject({
  text: z.string().max(80).optional(),
  stage: StageName.optional(),
  gunId: Id.optional(),
  painterId: Id.optional(),
  rating: Rating.optional(),
  minAirC: z.coerce.number().min(-30).max(60).optional(),
  maxAirC: z.coerce.number().min(-30).max(60).optional(),
});
export type RecordQuery = z.infer<typeof RecordQuery>;

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
};
