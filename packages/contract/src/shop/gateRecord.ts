/** The safety gate as it is answered and kept: what was answered, and what it was asked about. */
import type { Carrier, Chemistry, Extraction, Place } from '@orthochrom/core/trade/vocabulary.ts';
import { z } from 'zod';
import { gateAnswersShape, GateStep } from '../calculations/gate.ts';
import { optional } from '../quantity/fields.ts';
import type { Verdict } from '../shapes/verdicts.ts';
import { Id } from './common.ts';

export const GateAnswers = z.strictObject({
  id: Id,
  stageId: Id,
  step: GateStep,
  painterId: Id,
  ...gateAnswersShape,
  ...optional('minutesSinceSpray'),
});

/** The room and the product as they were: a gate holds only while they stay so. */
export type GateAbout = {
  place: Place;
  extraction: Extraction;
  twoPackAtHome: string;
  hardener: Chemistry;
  carrier: Carrier;
  sheetVersionId: string;
  recipeName: string;
  vocGPerL?: number;
  vocLimitGPerL?: number;
};

export type GateRecord = {
  id: string;
  stageId: string;
  step: z.infer<typeof GateStep>;
  painterId: string;
  roomId: string;
  about: GateAbout;
  answers: Record<string, unknown>;
  verdicts: z.infer<typeof Verdict>[];
  passed: boolean;
  answeredAt: string;
  gateVersion: number;
};
