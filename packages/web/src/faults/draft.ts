/** What is being found out at the bench, before and while it is kept. */
import type { Finding } from '@orthochrom/contract/shop/finding.ts';
import { theKnowledge } from '@orthochrom/contract/knowledge/knowledge.ts';

export type Draft = Pick<
  Finding,
  | 'ticketId'
  | 'coatId'
  | 'panelId'
  | 'gunId'
  | 'vehicle'
  | 'where'
  | 'note'
  | 'layerSuspected'
  | 'film'
  | 'readings'
  | 'answers'
>;
export type Observation = Draft['answers'][number];

export const EMPTY: Draft = { vehicle: '', where: '', note: '', readings: {}, answers: [] };

export const draftOf = ({
  ticketId,
  coatId,
  panelId,
  gunId,
  vehicle,
  where,
  note,
  layerSuspected,
  film,
  readings,
  answers,
}: Finding): Draft => ({
  ...(ticketId ? { ticketId } : {}),
  ...(coatId ? { coatId } : {}),
  ...(panelId ? { panelId } : {}),
  ...(gunId ? { gunId } : {}),
  ...(layerSuspected ? { layerSuspected } : {}),
  ...(film ? { film } : {}),
  vehicle,
  where,
  note,
  readings,
  answers,
});

/** An answer given again stands where it stood; a new one comes last. */
export function answered(answers: readonly Observation[], next: Observation): Observation[] {
  const known = answers.some(({ question }) => question === next.question);
  return known
    ? answers.map((one) => (one.question === next.question ? next : one))
    : [...answers, next];
}

/** Questions that look at the gun alone: all that is asked when there is no panel to look at. */
const GUN_SIDE = [
  'q_burst',
  'q_flow',
  'q_panel_test',
  'c_cap_turn',
  'c_gauge',
  'c_mist_bounce',
  'c_other_users',
];
export const isGunSide = (question: string): boolean => GUN_SIDE.includes(question);

/** Faults that go by these words, the best fit first. Words may stand anywhere in what is typed. */
export function faultsByWords(
  typed: string,
): { id: string; name: string; looks: string; family: string | undefined }[] {
  const words = typed.trim().toLowerCase();
  if (words.length < 2) return [];
  const { faults, numbers } = theKnowledge().files;
  const fit = (names: readonly string[], name: string): number =>
    Math.max(
      ...names.map((known) =>
        known === words
          ? 4
          : words.includes(known)
            ? 3
            : known.startsWith(words)
              ? 2
              : known.includes(words)
                ? 1
                : 0,
      ),
      name.toLowerCase().includes(words) ? 1 : 0,
    );
  return faults.faults
    .map((fault) => ({ fault, score: fit(fault.words, fault.name) }))
    .filter(({ score }) => score > 0)
    .sort((a, b) => b.score - a.score)
    .map(({ fault: { id, name, looks } }) => ({
      id,
      name,
      looks,
      family: familyAnswer(numbers.questions['q_family']!.rows[id]),
    }));
}

/** What somebody with this fault would most likely point at first. */
function familyAnswer(row: string | Record<string, string> | undefined): string | undefined {
  if (!row || typeof row === 'string') return undefined;
  const order = ['A', 'L', 'E', 'R', 'N'];
  return Object.entries(row).sort((a, b) => order.indexOf(a[1]) - order.indexOf(b[1]))[0]?.[0];
}
