/**
 * The forward simulation: what these settings lay on this panel in this air, and what becomes of
 * it. Sheet before model: where they part, both are told and the sheet's figure stands (MODEL, read
 * first).
 */
import { filmFigures, popLayerOf, sprayFigures } from './coatFigures.ts';
import type { Verdict } from '../outcome/verdicts.ts';
import { airVerdictsOf, materialVerdictsOf } from '../inForce/airVerdictsOf.ts';
import { FINE } from '../film/filmRun.ts';
import { changesFor, type CoatChange } from './changes.ts';
import type { CoatPlan } from './coatPlan.ts';
import { simulateCoat } from './simulateCoat.ts';
import type { ChangeBounds } from './move.ts';
import { planOf } from './plan.ts';
import { deviationsOf, HIGH_RISK, multiplied, type Sds } from './riskIntervals.ts';
import { uncertaintyOf } from './uncertainty.ts';
import { coatReasons, coatVerdicts } from './coatVerdicts.ts';
import { designTemperatureC } from '../reducer/grade.ts';
import { ownDistanceMm } from '../gun/technique.ts';
import { bandOfWork, mostInletKPa } from '../gun/inletPressure.ts';
import { paintOf } from '../mix/paint.ts';
import { MATERIALS } from '../trade/materialClasses.ts';
import type { CoatInput } from './coatInput.ts';
import type { CoatAnswer } from './coatAnswer.ts';
import { risksOf } from './riskIntervals.ts';

/**
 * What these settings lay on this panel, and what becomes of it. Never refuses: where nothing
 * lands, the figures are nought and a verdict says so.
 */
export function coatOf(input: CoatInput): CoatAnswer {
  const { plan, defaulted, settings } = planOf(input);
  const uncertainty = uncertaintyOf(
    input.gun,
    plan.coats[0]!.model,
    settings,
    plan.rig.paint,
    input.material.tests ?? [],
    input.technique?.skill,
  );
  const coat = simulateCoat(plan, uncertainty.centre, { mesh: FINE, keepTrace: true });
  const lands = coat.sprayed.at(-1)!.filmM > 0;
  const sds = input.spread === false || !lands ? undefined : deviationsOf(plan, uncertainty, coat);
  const risks = lands ? risksOf(coat, plan, sds) : {};
  const isHigh = Object.values(risks).some(({ value }) => value > HIGH_RISK);
  const changes =
    lands && (input.rankChanges || (isHigh && input.spread !== false))
      ? changesOf(input, plan, uncertainty.centre, sds)
      : undefined;
  const { stepMm, fanWidthMm } = coat.sprayed.at(-1)!;
  const answer: CoatAnswer = {
    ...sprayFigures(coat, plan, settings, sds),
    ...filmFigures(coat, plan, sds),
    risks,
    ...popLayerOf(coat, plan, risks),
    ...(changes ? { changes } : {}),
    settings: { ...settings, stepMm, fanWidthMm },
    verdicts: [],
    reasons: [],
  };
  return {
    ...answer,
    verdicts: [...airVerdicts(input), ...coatVerdicts(input, plan, answer)],
    reasons: coatReasons(input, plan, coat, answer, { defaulted, uncertainty }),
  };
}

/** Of the air and the paint it is sprayed with; whether a panel was read is asked elsewhere. */
function airVerdicts({ climate, material }: CoatInput): Verdict[] {
  const sprayed = {
    limits: material.sheet?.limits,
    carrier: MATERIALS[material.class].carrier,
    class: material.class,
  };
  return [
    ...airVerdictsOf(climate, sprayed).filter(({ code }) => code !== 'panel-unread'),
    ...materialVerdictsOf(climate.materialTemperatureC, sprayed),
  ];
}

function changesOf(
  input: CoatInput,
  plan: CoatPlan,
  centre: ReturnType<typeof multiplied>,
  sds: Sds | undefined,
): CoatChange[] {
  const { material, climate, gun } = input;
  const { stage, carrier, isBuild } = MATERIALS[material.class];
  const { settings, model } = plan.coats[0]!;
  const at = { gun, model, fanTurnsOut: settings.fanTurnsOut, capLimitKPa: input.capLimitKPa };
  const sheet = material.sheet?.gun;
  const bandKPa = bandOfWork({ ...at, stage, carrier, isBuild, sheet }).value;
  const cupC = climate.materialTemperatureC ?? climate.airTemperatureC;
  const bounds: ChangeBounds = {
    bandKPa,
    mostKPa: Math.min(bandKPa[1], mostInletKPa(at)),
    usualDistanceMm: ownDistanceMm({ gun, sheet }),
    designC: material.grade ? designTemperatureC(material.grade) : undefined,
    hardenerSpeed: material.hardenerSpeed,
    withGrade: (designC) =>
      paintOf({ ...material, grade: { name: 'another', minC: designC, maxC: designC } }, cupC),
    withHardener: (hardenerSpeed) => paintOf({ ...material, hardenerSpeed }, cupC),
  };
  return changesFor(plan, centre, bounds, sds);
}
