/**
 * Which scratch holds the next coat and is hidden by it.
 *
 * Source  rule of thumb of the trade; a sheet's own grit before it
 */
import { barsFastGrades } from '../trade/vocabulary.ts';
import { attackOf, isColour, type History, type PlannedStage, type Scope } from './foundLayer.ts';
import { GRAIN_UM, type Grit, type GritBand } from './grit.ts';

const band = (from: Grit, to: Grit, hides: Grit): GritBand => ({ finish: [from, to], hides });
const BANDS = {
  onMetal: band('P80', 'P180', 'P80'),
  primer: band('P240', 'P320', 'P220'),
  build: band('P220', 'P320', 'P220'),
  sealer: band('P400', 'P500', 'P320'),
  sealerByWater: band('P320', 'P400', 'P320'),
  colour: band('P500', 'P600', 'P400'),
  effect: band('P600', 'P800', 'P500'),
  clear: band('P800', 'P1200', 'P800'),
};

function ruleFor(next: PlannedStage, below: History | undefined, scope: Scope): GritBand {
  if (next.stage === 'clear' || (scope === 'blend' && isColour(next))) return BANDS.clear;
  if (next.stage === 'primer') {
    if (next.build) return BANDS.build;
    return below === 'bareMetal' ? BANDS.onMetal : BANDS.primer;
  }
  if (next.stage === 'sealer')
    return attackOf(next) === 'waterborneBarrier' ? BANDS.sealerByWater : BANDS.sealer;
  return barsFastGrades(next.finish) ? BANDS.effect : BANDS.colour;
}

/** What to finish with under a stage; the sheet's word before the rule. */
export function gritUnder(
  next: PlannedStage,
  below: History | undefined,
  scope: Scope = 'full',
): GritBand {
  const rule = ruleFor(next, below, scope);
  return next.sheetGrit ? { ...rule, finish: next.sheetGrit } : rule;
}

/** Finer than this share of the finest grain of the band, and nothing keys into it. */
const STILL_KEYS = 0.6;
export type KeyFault = 'glossy' | 'scratchShows' | 'tooFineToHold';

/** What is wrong with the scratch that is there for what comes next; nothing where it will do. */
export function keyFault(
  scratch: Grit | undefined,
  { finish, hides }: GritBand,
): KeyFault | undefined {
  if (scratch === undefined) return 'glossy';
  if (GRAIN_UM[scratch] > GRAIN_UM[hides]) return 'scratchShows';
  return GRAIN_UM[scratch] < STILL_KEYS * GRAIN_UM[finish[1]] ? 'tooFineToHold' : undefined;
}
