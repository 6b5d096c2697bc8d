/**
 * How far each coat goes on a panel that is not painted whole: a blend reaches further coat by
 * coat,
 * a spot grows by rings.
 *
 *   blend: coat k of n takes k ÷ (n + 1) of the panel, from its joint                  [reach-1]
 *   spot:  colour r (1 + 4 k ÷ (n + 1)), sealer 2 r, primer 1.5 r, r = spot ÷ panel
 *
 * Source  rule of thumb; half a panel on the mean, as amounts count
 */
import { getsStage } from '../layers/foundLayer.ts';
import type { Stage } from '../trade/vocabulary.ts';
import type { CoatPanel, CoatPlanInput, PanelInCoat } from './coatPlanInput.ts';

const MOVE = { distanceDeltaMm: 30, inletFactor: 0.85, trigger: 'eased' } as const;
const USUAL_SPOT = 0.15;
const SPOT_GROWS: Partial<Record<Stage, number>> = { primer: 1.5, sealer: 2 };
const SPOT_RINGS = 4;
/** Of a panel whose length nobody told: half as long again as high. */
const LONG_BY_HIGH = 1.5;

const isFaded = ({ scope }: CoatPanel): boolean => scope === 'blend' || scope === 'spot';

/**
 * Colour that cannot fade inside a panel: every coat of candy deepens it, single stage has no
 * clear.
 */
export const cannotFade = ({ stage, finish }: Pick<CoatPlanInput, 'stage' | 'finish'>): boolean =>
  stage === 'singleStage' || finish === 'candy';

/** The panels that a stage goes on, in the order they were told. */
export const panelsOf = ({ panels, stage }: CoatPlanInput): CoatPanel[] =>
  panels.filter(({ scope }) => getsStage(scope, stage));

const lengthOf = ({ lengthM, areaM2 }: CoatPanel): number =>
  lengthM ?? Math.sqrt(LONG_BY_HIGH * areaM2);

/** How much further each coat of n steps out on a blend panel, m. */
export const stepOutM = (panel: CoatPanel, coats: number): number =>
  lengthOf(panel) / (panel.joints ?? 1) / (coats + 1);

/** What coat k of n takes of a panel. [reach-1] */
export function panelInCoat(
  input: CoatPlanInput,
  panel: CoatPanel,
  { k, of }: { k: number; of: number },
): PanelInCoat {
  const { name, scope, areaM2, spotM2 } = panel;
  const whole = { name, scope, areaFactor: 1 };
  const isUnder = input.stage === 'primer' || input.stage === 'sealer';
  if (!isFaded(panel) || input.stage === 'clear' || cannotFade(input)) return whole;
  if (scope === 'blend') {
    const areaFactor = k / (of + 1);
    return {
      ...whole,
      areaFactor,
      reachM: (areaFactor * lengthOf(panel)) / (panel.joints ?? 1),
      move: MOVE,
    };
  }
  const spot = spotM2 === undefined ? USUAL_SPOT : spotM2 / areaM2;
  const grown = isUnder
    ? spot * SPOT_GROWS[input.stage]!
    : spot * (1 + (SPOT_RINGS * k) / (of + 1));
  const areaFactor = Math.min(1, grown);
  return {
    ...whole,
    areaFactor,
    reachM: Math.sqrt((areaFactor * areaM2) / Math.PI),
    ...(isUnder ? {} : { move: MOVE }),
  };
}
