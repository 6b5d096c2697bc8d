/**
 * What a grade risks in this air: each laid by the usual gun as that gun would be set for it, in
 * the forecast that every coat has.
 */
import { COARSE } from '../film/filmRun.ts';
import { setupOf } from '../gun/setup.ts';
import type { SetupInput } from '../gun/setupInput.ts';
import { classOf } from '../inForce/classOf.ts';
import { nozzleBandOf } from '../inForce/nozzleBandOf.ts';
import { gradeOfBlend, type BlendPart } from '../reducer/blend.ts';
import type { Grade } from '../reducer/grade.ts';
import type { ReducerAnswer, ReducerInput } from '../reducer/asked.ts';
import { reducerOf } from '../reducer/reducer.ts';
import { USUAL_GUN_CLASS } from '../trade/gunClasses.ts';
import { MATERIALS } from '../trade/materialClasses.ts';
import type { CoatPlan } from './coatPlan.ts';
import { simulateCoat } from './simulateCoat.ts';
import { planOf } from './plan.ts';
import { coatOfSetup } from './setupCoat.ts';
import { deviationsOf, risksOf, type Risks, type Sds } from './riskIntervals.ts';
import { uncertaintyOf } from './uncertainty.ts';

export type ReducerWithRisks = Omit<ReducerAnswer, 'alternatives' | 'wanted'> & {
  risks?: Risks;
  alternatives: (ReducerAnswer['alternatives'][number] & { risks?: Risks })[];
  wanted?: NonNullable<ReducerAnswer['wanted']> & { risks?: Risks };
};

const SLOPE_DEG = { vertical: 90, both: 90, horizontal: 0 } as const;

/** The reducer's answer with what each grade risks. */
export function reducerWithRisks(input: ReducerInput): ReducerWithRisks {
  const answer = reducerOf(input);
  if (input.carrier === 'waterborne' || (input.grades ?? []).length === 0) return answer;
  const grades = input.grades!.filter((grade) => (grade.carrier ?? 'solvent') === 'solvent');
  const { value: materialClass } = solventClassOf(input);
  const isReduced = MATERIALS[materialClass].mix[2] > 0;
  const foreseen = risksOfGrades(input);
  const risks = (parts: BlendPart[]): { risks?: Risks } =>
    parts.length === 0 || !isReduced ? {} : { risks: foreseen(gradeOfBlend(parts, grades)) };
  const isKnown = input.wanted?.parts.every(({ name }) =>
    grades.some((grade) => grade.name === name),
  );
  return {
    ...answer,
    ...(answer.choice ? risks(answer.choice.parts) : {}),
    alternatives: answer.alternatives.map((other) => ({ ...other, ...risks(other.parts) })),
    ...(answer.wanted
      ? { wanted: { ...answer.wanted, ...(isKnown ? risks(input.wanted!.parts) : {}) } }
      : {}),
  };
}

const solventClassOf = ({ stage, class: given }: ReducerInput) =>
  classOf({ stage, carrier: 'solvent', class: given });

/**
 * What a coat with a grade risks. How unsure that is hardly depends on the grade: the first one's
 * serves all.
 */
function risksOfGrades(input: ReducerInput): (grade: Grade) => Risks {
  let sds: Sds | undefined;
  return (grade) => {
    const plan = planWith(input, grade);
    const { model, settings } = plan.coats[0]!;
    const uncertainty = uncertaintyOf(plan.rig.gun, model, settings, plan.rig.paint, []);
    const simulated = simulateCoat(plan, uncertainty.centre, {
      mesh: COARSE,
      firstReadyOnly: true,
    });
    sds ??= deviationsOf(plan, uncertainty, simulated);
    return risksOf(simulated, plan, sds);
  };
}

const climateOf = (input: ReducerInput): SetupInput['climate'] => ({
  airTemperatureC: input.airTemperatureC,
  relativeHumidityPercent: input.relativeHumidityPercent,
  airMovement: input.airMovement,
  ...(input.panelTemperatureC === undefined ? {} : { panelTemperatureC: input.panelTemperatureC }),
  ...(input.airSpeedMPerS === undefined ? {} : { airSpeedMPerS: input.airSpeedMPerS }),
});

/** The usual gun, set for this coat of this grade in this air. */
function planWith(input: ReducerInput, grade: Grade): CoatPlan {
  const { stage, finish } = input;
  const { value: materialClass } = solventClassOf(input);
  const [least, most] = nozzleBandOf({
    gunClass: USUAL_GUN_CLASS,
    stage,
    carrier: 'solvent',
    isBuild: MATERIALS[materialClass].isBuild,
  }).value;
  const setup: SetupInput = {
    gun: { class: USUAL_GUN_CLASS, nozzlesMm: [(least + most) / 2] },
    stage,
    carrier: 'solvent',
    class: materialClass,
    ...(finish ? { finish } : {}),
    material: { grade },
    climate: climateOf(input),
    place: 'booth',
    part: 'largePanel',
    hardener: 'none',
    slopeDeg: SLOPE_DEG[input.surface ?? 'vertical'],
  };
  const coat = coatOfSetup(setup, setupOf(setup));
  return planOf({
    ...coat,
    panel: { ...coat.panel, ...(input.substrate ? { substrate: input.substrate } : {}) },
  }).plan;
}
