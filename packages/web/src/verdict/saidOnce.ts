/** The same said of several panels is said once, of all of them. */
import type { WordedVerdict } from '@orthochrom/contract/words/worded.ts';

const panelOf = ({ params, message }: WordedVerdict): string | undefined => {
  const panel = params?.['panel'];
  // A sentence whose subject is one panel does not bear three.
  return typeof panel === 'string' && !message.startsWith(panel) ? panel : undefined;
};

/** Each once; what differs only in its panel names them all, in the order they came. */
export function saidOnce(verdicts: readonly WordedVerdict[]): WordedVerdict[] {
  const groups = new Map<string, WordedVerdict[]>();
  for (const verdict of verdicts) {
    const panel = panelOf(verdict);
    const params = panel === undefined ? verdict.params : { ...verdict.params, panel: '' };
    const key = `${verdict.code} ${JSON.stringify(params)}`;
    groups.set(key, [...(groups.get(key) ?? []), verdict]);
  }
  return [...groups.values()].map(([first, ...more]) => {
    const panels = new Set([first!, ...more].map(panelOf));
    if (panels.size === 1) return first!;
    return { ...first!, params: { ...first!.params, panel: [...panels].join(', ') } };
  });
}
