/**
 * What was found wrong on a panel: what was seen and logged, what it was judged to be, what it
 * turned out to be, and what changes for it.
 */
import { Trust } from '../shapes/trade.ts';
import { z } from 'zod';
import { listOf, name, text } from '../quantity/fields.ts';
import { theKnowledge } from '../knowledge/knowledge.ts';
import type { AnswerOf } from '../registry.ts';
import { Observations, Readings } from '../shapes/diagnosis.ts';
import { FaultLayer } from '../shapes/trade.ts';
import { edited, Id } from './common.ts';
import { settingNames } from './coat.ts';

/** A reading with how far it may be relied on, and where it came from. */
export const LoggedReading = z.strictObject({
  value: z.union([z.number(), z.boolean(), z.string().max(80)]),
  trust: Trust,
  from: z.string().max(200),
});
export type LoggedReading = z.infer<typeof LoggedReading>;
const Logged = z.record(z.string().max(60), LoggedReading).superRefine((logged, ctx) => {
  const values = Object.fromEntries(Object.entries(logged).map(([id, { value }]) => [id, value]));
  const parsed = Readings.safeParse(values);
  if (!parsed.success) for (const issue of parsed.error.issues) ctx.addIssue({ ...issue } as never);
});

const seenShape = {
  ticketId: Id.optional(),
  coatId: Id.optional(),
  panelId: Id.optional(),
  gunId: Id.optional(),
  /** A car that walked in has no ticket. */
  vehicle: z.string().max(200),
  where: z.string().max(200),
  note: text(),
  layerSuspected: FaultLayer.optional(),
  film: z.enum(['wet', 'dry']).optional(),
  readings: Logged,
  answers: Observations,
};
export const FindingCreate = z.strictObject({ id: Id, painterId: Id, ...seenShape });
export const FindingEdit = z.strictObject({ ...edited, painterId: Id, ...seenShape });
export type FindingCreate = z.infer<typeof FindingCreate>;
export type FindingEdit = z.infer<typeof FindingEdit>;

const known = (list: () => readonly { id: string }[], what: string) =>
  z.string().superRefine((id, ctx) => {
    if (!list().some((item) => item.id === id))
      ctx.addIssue({
        code: 'custom',
        message: `"${id}" is no ${what}`,
        params: { code: 'not-one-of' },
      });
  });
const KnownFault = known(() => theKnowledge().files.faults.faults, 'fault that is known here');
const KnownCause = known(() => theKnowledge().files.causes.causes, 'cause that is known here');

/** What it turned out to be: from these the numbers are fitted again one day. */
export const FindingConfirm = z.strictObject({
  ...edited,
  painterId: Id,
  fault: KnownFault,
  cause: KnownCause,
  layer: FaultLayer.optional(),
  note: text(),
});
export type FindingConfirm = z.infer<typeof FindingConfirm>;

export const PlanChangeState = z.enum(['offered', 'taken', 'refused']);
export const PlanChangeAnswer = z.strictObject({
  ...edited,
  painterId: Id,
  state: z.enum(['taken', 'refused']),
  coatId: Id.optional(),
});

/**
 * One change for a later plan, offered and never imposed. `move`: by how much one setting goes,
 * canonical; absent where it is no knob.
 */
export type PlanChange = {
  id: string;
  version: number;
  findingId: string;
  cause: string;
  stage?: string;
  gunId?: string;
  setting: string;
  change: string;
  why: string;
  move?: { setting: (typeof settingNames)[number]; by?: number; times?: number };
  state: z.infer<typeof PlanChangeState>;
  appliedToCoatId?: string;
};

export type PhotoInfo = {
  id: string;
  mime: string;
  bytes: number;
  widthPx: number;
  heightPx: number;
  takenAt: string;
};
export type Confirmed = {
  fault: string;
  cause: string;
  layer?: z.infer<typeof FaultLayer>;
  note: string;
  at: string;
  painterId: string;
};
export type Finding = Omit<FindingCreate, 'painterId'> & {
  version: number;
  painterId: string;
  seenAt: string;
  knowledgeVersion: number;
  calculationVersion: number;
  result: AnswerOf<'diagnose'>;
  confirmed?: Confirmed;
  changes: PlanChange[];
  photos: PhotoInfo[];
};

export const MOST_PHOTO_BYTES = 12_000_000;
export const PHOTO_TYPES = ['image/jpeg', 'image/png', 'image/webp'] as const;
export const MOST_PHOTOS = 12;

/** The file that findings are handed over in; photos travel inside it. */
export const FINDINGS_FILE = 'orthochrom-findings';
export const FindingsFile = z.strictObject({
  file: z.literal(FINDINGS_FILE),
  fileVersion: z.literal(1),
  findings: listOf(
    z.strictObject({
      id: Id,
      version: z.int().min(1),
      ...seenShape,
      seenAt: z.iso.datetime(),
      confirmed: z
        .strictObject({
          fault: KnownFault,
          cause: KnownCause,
          layer: FaultLayer.optional(),
          note: text(),
          at: z.iso.datetime(),
        })
        .optional(),
      photos: listOf(
        z.strictObject({
          id: Id,
          mime: z.enum(PHOTO_TYPES),
          name: name().optional(),
          base64: z.base64(),
        }),
      ),
    }),
  ),
});
export type FindingsFile = z.infer<typeof FindingsFile>;

/** The input of the judgement, as a finding holds it. */
export function diagnoseInputOf({
  answers,
  layerSuspected,
  film,
  readings,
}: Pick<Finding, 'answers' | 'layerSuspected' | 'film' | 'readings'>) {
  return {
    observations: answers,
    ...(layerSuspected ? { layerSuspected } : {}),
    ...(film ? { film } : {}),
    conditions: {
      readings: Object.fromEntries(Object.entries(readings).map(([id, { value }]) => [id, value])),
      trust: Object.fromEntries(Object.entries(readings).map(([id, { trust }]) => [id, trust])),
    },
  };
}

type Move = NonNullable<PlanChange['move']>;
const isSetting = (key: string): key is Move['setting'] =>
  (settingNames as readonly string[]).includes(key);

/**
 * The first step of a cause that moves a setting of a plan, as that move; undefined for what is no
 * knob.
 */
export function moveOf(steps: readonly string[]): Move | undefined {
  for (const id of steps) {
    const step = theKnowledge().files.steps.steps.find((known_) => known_.id === id);
    for (const [key, amount] of Object.entries(step?.move ?? {})) {
      if (isSetting(key)) return { setting: key, by: amount };
      if (key === 'wetFilmFactor') return { setting: 'wetFilmUm', times: amount };
    }
  }
  return undefined;
}
