/** Any panel as it is found, and any stages over it. */
import fc from 'fast-check';
import {
  HISTORIES,
  SCOPES,
  type FoundLayer,
  type LayerTests,
  type PlannedStage,
  type TakenIn,
} from '../src/layers/foundLayer.ts';
import { GRITS } from '../src/layers/grit.ts';
import { CARRIERS, CHEMISTRIES, FINISHES, STAGES, SUBSTRATES } from '../src/trade/vocabulary.ts';

const tests = fc.record(
  {
    tape: fc.constantFrom('holds', 'edge', 'comesOff'),
    rub: fc.constantFrom('nothing', 'tacky', 'wrinkles', 'tintsCloth'),
    patch: fc.constantFrom('held', 'lifted'),
  },
  { requiredKeys: [] },
) as fc.Arbitrary<LayerTests>;
const layer = fc.record(
  {
    history: fc.constantFrom(...HISTORIES),
    lastGrit: fc.constantFrom(...GRITS),
    cutThrough: fc.boolean(),
    tests,
  },
  { requiredKeys: ['history'] },
) as fc.Arbitrary<FoundLayer>;
export const anyStage = fc.record(
  {
    stage: fc.constantFrom(...STAGES),
    carrier: fc.constantFrom(...CARRIERS),
    hardener: fc.constantFrom(...CHEMISTRIES),
    build: fc.boolean(),
    finish: fc.constantFrom(...FINISHES),
    sandBelow: fc.boolean(),
    wetOnWet: fc.boolean(),
  },
  { requiredKeys: ['stage', 'carrier'] },
) as fc.Arbitrary<Omit<PlannedStage, 'name'>>;
export const anyStages = fc
  .array(anyStage, { minLength: 1, maxLength: 4 })
  .map((all) => all.map((one, i) => ({ ...one, name: `stage ${i}` })));
export const anyFound = fc.array(layer, { minLength: 1, maxLength: 4 });

/** Some panels, each with its scope, told or not. */
export const anyPanels = fc
  .array(
    fc.record(
      {
        scope: fc.constantFrom(...SCOPES),
        substrate: fc.constantFrom(...SUBSTRATES),
        found: anyFound,
        foreign: fc.boolean(),
      },
      { requiredKeys: ['scope'] },
    ),
    { minLength: 1, maxLength: 4 },
  )
  .map((all) => all.map((one, i) => ({ ...one, name: `panel ${i}` }))) as fc.Arbitrary<TakenIn[]>;
