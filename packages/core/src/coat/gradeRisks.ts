/** What a grade risks in this air on the class's own film, whatever gun sprays it: the model's word beside the index of drying. */
import { airSpeedMPerSOf } from '../air/airMovement.ts';
import { dewPointC } from '../air/humidAir.ts';
import { PRIOR_LOG_SD } from '../calibration/productFit.ts';
import { effectiveTemperatureC, solventEvaporation } from '../evaporation/evaporationIndex.ts';
import { splitArrival, usualLoss } from '../film/arrival.ts';
import { FALLBACK_MINUTES } from '../film/flashToday.ts';
import { COARSE } from '../film/filmRun.ts';
import { runJob, type Job, type JobCoat } from '../film/job.ts';
import { peelIndex, steepnessOf } from '../film/levelling.ts';
import type { Stage } from '../gun/gun.ts';
import { materialClassOf, MATERIALS } from '../material/classes.ts';
import { FILM_DATA } from '../material/filmData.ts';
import { mixtureOf } from '../material/mixture.ts';
import { momentsOf, sigmaPoints } from '../outcome/sigmaPoints.ts';
import { slowFractionOf, type BlendPart } from '../reducer/blend.ts';
import { reducerOf, type ReducerAnswer, type ReducerInput } from '../reducer/reducer.ts';
import { blushLogit, dryDeviations, mottleIndex, mottleLogit, peelDeviations, runDeviations } from '../risk/links.ts';
import { popLogit } from '../risk/pop.ts';
import { popOfJob, retainedOf } from '../risk/popOfJob.ts';
import { riskSpread, type RiskName, type Risks } from './spreads.ts';

export type ReducerForeseen = Omit<ReducerAnswer, 'alternatives' | 'wanted'> & {
  risks?: Risks;
  alternatives: (ReducerAnswer['alternatives'][number] & { risks?: Risks })[];
  wanted?: NonNullable<ReducerAnswer['wanted']> & { risks?: Risks };
};

/** The reducer's answer with what each grade risks. */
export function reducerForeseen(input: ReducerInput): ReducerForeseen {
  const answer = reducerOf(input);
  if (input.carrier === 'waterborne' || (input.grades ?? []).length === 0) return answer;
  const grades = input.grades!.filter((grade) => (grade.carrier ?? 'solvent') === 'solvent');
  const isReduced = MATERIALS[materialClassOf(input.stage as Stage, 'solvent')].mix[2] > 0;
  const risksOf = (parts: BlendPart[]): { risks?: Risks } =>
    parts.length > 0 && isReduced ? { risks: gradeRisks(input, slowFractionOf(parts, grades)) } : {};
  const isKnown = input.wanted?.parts.every(({ name }) => grades.some((grade) => grade.name === name));
  return {
    ...answer,
    ...(answer.choice ? risksOf(answer.choice.parts) : {}),
    alternatives: answer.alternatives.map((other) => ({ ...other, ...risksOf(other.parts) })),
    ...(answer.wanted ? { wanted: { ...answer.wanted, ...(isKnown ? risksOf(input.wanted!.parts) : {}) } } : {}),
  };
}

type Links = Partial<Record<RiskName, number>>;

function gradeRisks(input: ReducerInput, slowFraction: number): Risks {
  const { evaporation, diffusion, viscosity } = PRIOR_LOG_SD;
  const job = jobFor(input, slowFraction);
  const retained = retainedOf(job, COARSE);
  const points = sigmaPoints({ evaporation, diffusion, viscosity });
  const tries = points.map(({ at }) => linksOf(input, job, slowFraction, { ...at, amplitude: 1 }, retained));
  const own: Links = { run: PRIOR_LOG_SD.sag / 0.45, pop: PRIOR_LOG_SD.pop };
  return Object.fromEntries(
    (Object.keys(tries[0]!) as RiskName[]).map((name) => {
      const { sd } = momentsOf(
        tries.map((links) => links[name]!),
        points.map(({ weight }) => weight),
      );
      return [name, riskSpread(name, tries[0]![name]!, Math.hypot(sd, own[name] ?? 0))];
    }),
  );
}

/** One coat at the class's own film, then a wait as the class has it. */
function jobFor(input: ReducerInput, slowFraction: number): Job {
  const materialClass = materialClassOf(input.stage as Stage, 'solvent');
  const mixture = mixtureOf(MATERIALS[materialClass], undefined, { slowFraction });
  const effectiveC = effectiveTemperatureC(input);
  const airSpeedMPerS = airSpeedMPerSOf(input);
  const loss = usualLoss(materialClass, mixture, { effectiveC, airSpeedMPerS });
  const [least, most] = MATERIALS[materialClass].spray.dropWindowUm;
  const { flash } = FALLBACK_MINUTES[materialClass];
  const { wetFilmM } = FILM_DATA[materialClass];
  const coat: JobCoat = {
    materialClass,
    mixture,
    wetFilmM,
    arrived: splitArrival(mixture, 1 - loss),
    dropM: Math.sqrt(least * most) * 1e-6,
    hardenerSpeed: 1,
    viscosityFactor: 1,
    flashMinutes: flash,
    isTopMaterial: true,
    gradeSlowFraction: slowFraction,
    sheet: { wetFilmM, waitMinutes: flash, atC: 21, atHumidityPercent: 50 },
  };
  return {
    coats: [coat, coat],
    room: { airTemperatureC: input.airTemperatureC, relativeHumidityPercent: input.relativeHumidityPercent },
    panelC: input.panelTemperatureC ?? input.airTemperatureC,
    airSpeedMPerS,
    substrate: input.substrate ?? 'metal',
    slopeDeg: input.surface === 'horizontal' ? 0 : 90,
    lookMinutes: 30,
  };
}

function linksOf(
  input: ReducerInput,
  job: Job,
  slowFraction: number,
  factors: { evaporation: number; diffusion: number; viscosity: number; amplitude: number },
  retained: number,
): Links {
  const run = runJob(job, factors, COARSE);
  const coat = job.coats[0]!;
  const material = MATERIALS[coat.materialClass];
  const { volatile } = coat.mixture;
  const kept = volatile.fast * coat.arrived.fast + volatile.slow * coat.arrived.slow;
  const wetness = (coat.wetFilmM * kept ** 1.5) / (material.spray.joinFilmM * Math.sqrt(coat.dropM / 35e-6));
  const isBase = coat.materialClass === 'solventBase';
  const isEffect = input.finish !== undefined && input.finish !== 'solid' && input.finish !== 'fluorescent';
  return {
    ...(coat.materialClass === 'singleStage' ? { peel: peelDeviations(peelIndex(steepnessOf(run.amplitudesM))) } : {}),
    run: runDeviations(run.sagM * 1000),
    pop: popLogit(popOfJob({ ...job }, retained)),
    drySpray: dryDeviations(wetness),
    ...(isBase && isEffect
      ? {
          mottle: mottleLogit(
            mottleIndex({
              filmShare: 1,
              skinSeconds: run.skinSeconds.at(-1) ?? 1200,
              landedPaS: 0.111,
              reducerShare: 1,
              isWaterborne: false,
            }),
          ),
        }
      : {}),
    blush: blushLogit({
      dewC: dewPointC(job.room),
      panelC: job.panelC,
      evaporation: solventEvaporation({
        slowFraction,
        effectiveC: effectiveTemperatureC(input),
        airSpeedMPerS: job.airSpeedMPerS,
      }),
    }),
  };
}
