/** Cups that end with a panel, and what each is for. */
import type { AnswerOf } from '@orthochrom/contract/registry.ts';

/** Each coat with its panels. */
export type CupCovers = readonly { coat: number; panel: string }[];

/** "coat 1: door, quarter; coat 2: door" */
export function coveredSaid(covers: CupCovers): string {
  const coats = [...new Set(covers.map(({ coat }) => coat))];
  return coats
    .map((coat) => {
      const panels = covers.filter((one) => one.coat === coat).map(({ panel }) => panel);
      return `coat ${coat}: ${[...new Set(panels)].join(', ')}`;
    })
    .join('; ');
}

/** What each cup of a mix covers, where the mix is parted as the job is. */
export function lapsOf(
  { batches: cups = [] }: Pick<AnswerOf<'mix'>, 'batches'>,
  quantity: Pick<AnswerOf<'quantity'>, 'batches'> | undefined,
): { covers?: CupCovers[] } {
  const laps = quantity?.batches ?? [];
  return cups.length > 1 && cups.length === laps.length
    ? { covers: laps.map(({ covers = [] }) => covers) }
    : {};
}
