/**
 * Which one change helps most: each lever moved by itself, the whole chain run again, and the moves
 * ranked.
 */
import { COARSE } from '../film/filmRun.ts';
import type { CoatPlan } from './coatPlan.ts';
import { simulateCoat, type Unknowns } from './simulateCoat.ts';
import { movesOf } from './moves.ts';
import type { Along, ChangeKnob, ChangeBounds } from './move.ts';
import {
  linkedRisks,
  riskSpread,
  RISKS,
  troubleOf,
  type RiskName,
  type Sds,
} from './riskIntervals.ts';

/**
 * `helps` is the risk that falls most by it; probabilities as the answer tells them, averaged over
 * what is unknown where that was asked for.
 */
export type CoatChange = {
  knob: ChangeKnob;
  from: number;
  to: number;
  helps: RiskName;
  before: number;
  after: number;
  gain: number;
  along?: Along;
};

const LEAST_GAIN = 0.01;
const MOST = 6;

/**
 * The changes that would take most trouble out of this coat, best first; six at most, and none that
 * gains under a hundredth.
 */
export function changesFor(
  plan: CoatPlan,
  unknowns: Unknowns,
  bounds: ChangeBounds,
  sds?: Sds,
): CoatChange[] {
  const before = troublesOf(plan, unknowns, sds);
  return movesOf(plan, bounds)
    .map(({ knob, from, to, plan: moved, along }): CoatChange => {
      const after = troublesOf(moved, unknowns, sds);
      const fallOf = (name: RiskName) => (before[name]?.trouble ?? 0) - (after[name]?.trouble ?? 0);
      const helps = RISKS.reduce(
        (best, name) => (fallOf(name) > fallOf(best) ? name : best),
        'run' as RiskName,
      );
      const gain = RISKS.reduce((sum, name) => sum + fallOf(name), 0);
      const p = { before: before[helps]?.p ?? 0, after: after[helps]?.p ?? 0 };
      return { knob, from, to, helps, ...p, gain, ...(along ? { along } : {}) };
    })
    .filter(({ gain, before: was, after }) => gain > LEAST_GAIN && after < was)
    .sort((a, b) => b.gain - a.gain)
    .slice(0, MOST);
}

type Troubles = Partial<Record<RiskName, { p: number; trouble: number }>>;

function troublesOf(plan: CoatPlan, unknowns: Unknowns, sds: Sds | undefined): Troubles {
  const links = linkedRisks(
    simulateCoat(plan, unknowns, { mesh: COARSE, firstReadyOnly: true }),
    plan,
  );
  return Object.fromEntries(
    Object.entries(links).map(([key, link]) => {
      const [name, sd] = [key as RiskName, sds?.risks[key as RiskName] ?? 0];
      return [name, { p: riskSpread(name, link, sd).value, trouble: troubleOf(name, link, sd) }];
    }),
  );
}
