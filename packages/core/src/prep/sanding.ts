/**
 * Who is sanded with what: panels that want the same grit over the same scratch together.
 *
 * Source  rule of thumb of the trade; a sheet's own grit before it
 */
import { isColour } from '../layers/foundLayer.ts';
import { gritLadder, type Grit } from '../layers/grit.ts';
import { gritUnder } from '../layers/keying.ts';
import type { Step } from './prepInput.ts';
import { isOverWaterSealer, type InSession, type Session } from './sessions.ts';

/** Build primer is blocked flat from here. */
const BLOCKED_FROM: Grit = 'P320';
const AROUND_PRIMER: Grit = 'P600';
const AROUND_COLOUR: Grit = 'P1000';

/** The sanding of one panel; its key is what it has in common with others. */
function sandingOf(one: InSession): Omit<Step, 'stage' | 'panels'> {
  const { panel, stages, laid } = one;
  const { scope = 'full' } = panel;
  const next = stages[0]!;
  const top = panel.found?.at(-1);
  const isPrimed = laid.length > 0;
  const band = gritUnder(next, isPrimed ? undefined : top?.history, scope);
  const under = laid.at(-1);
  const scratch = isPrimed ? undefined : top?.lastGrit;
  const startsAt = under?.stage === 'primer' ? BLOCKED_FROM : scratch;
  const ladder = startsAt ? gritLadder(startsAt, band) : [band.finish[0]];
  const isEdgeToEdge = scope === 'blend' || scope === 'clearOnly';
  const isPrimer = next.stage === 'primer';
  const isDry =
    isPrimer ||
    isOverWaterSealer(one) ||
    (!isPrimed && (top?.history === 'filler' || top?.history === 'bareMetal'));
  const around = aroundOf(one);
  const tool = isPrimer || under?.stage === 'primer' ? 'block' : 'interfacePad';
  return {
    key: `${isPrimed && !isEdgeToEdge ? 'primed' : scope}-${band.finish[0]}${scratch ? `-${scratch}` : ''}`,
    kind: 'sand',
    grit: band.finish,
    ...(ladder.length > 0
      ? { ladder: under?.stage === 'primer' ? [BLOCKED_FROM, ...ladder] : ladder }
      : {}),
    ...(around ? { around } : {}),
    wet: isDry ? 'dry' : 'either',
    tool: isEdgeToEdge ? 'finePadAndPaste' : tool,
    reach: isEdgeToEdge ? 'edgeToEdge' : 'pastTheCoat',
    ...(isPrimed ? { waitFor: 'sandDry' } : {}),
  };
}

/** Beyond the coat that ends on the panel: what it fades into. */
function aroundOf({ panel, stages, laid }: InSession): Grit | undefined {
  const next = stages[0]!;
  const isSpotOfColour = panel.scope === 'spot' && isColour(next);
  if (isSpotOfColour) return AROUND_COLOUR;
  const isWhollyBare = panel.found?.every(({ history }) => history.startsWith('bare')) ?? false;
  return next.stage === 'primer' && laid.length === 0 && !isWhollyBare ? AROUND_PRIMER : undefined;
}

/** The sanding steps of a session, panels that want the same together. */
export function sandSteps({ number, stages, panels }: Session): Step[] {
  const steps = new Map<string, Step>();
  for (const one of panels) {
    const sanding = sandingOf(one);
    const key = `${number}.sand.${sanding.key}`;
    const known = steps.get(key);
    if (known) steps.set(key, joined(known, sanding, one.panel.name));
    else steps.set(key, { ...sanding, key, stage: stages[0]!.name, panels: [one.panel.name] });
  }
  return [...steps.values()];
}

/** Of two that differ in a word the stricter counts for both. */
const joined = (
  known: Step,
  { wet, around }: Pick<Step, 'wet' | 'around'>,
  panel: string,
): Step => {
  const kept = known.around ?? around;
  return {
    ...known,
    panels: [...known.panels, panel],
    wet: wet === 'dry' ? 'dry' : known.wet!,
    ...(kept ? { around: kept } : {}),
  };
};
