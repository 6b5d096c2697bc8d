/**
 * A session is a run of stages laid one on the other without sanding: a new one after each primer,
 * unless the next goes on wet, and before whatever wants what lies under it sanded.
 */
import { attackOf, stagesOf, type PlannedStage, type TakenIn } from '../layers/foundLayer.ts';

/** A panel in a session: the stages it gets in it, and what was laid on it before. */
export type InSession = { panel: TakenIn; stages: PlannedStage[]; laid: PlannedStage[] };
export type Session = { number: number; stages: PlannedStage[]; panels: InSession[] };

/** The stages in their runs; one that no panel gets is in none. */
export function sessionsOf(panels: readonly TakenIn[], stages: readonly PlannedStage[]): Session[] {
  const sprayed = stages.filter((stage) =>
    panels.some((panel) => stagesOf(panel, stages).includes(stage)),
  );
  const runs: PlannedStage[][] = [];
  let before: PlannedStage | undefined;
  for (const stage of sprayed) {
    const opens =
      before === undefined ||
      stage.sandBelow === true ||
      (before.stage === 'primer' && before.wetOnWet !== true);
    if (opens) runs.push([stage]);
    else runs.at(-1)!.push(stage);
    before = stage;
  }
  return runs.map((run, number) => ({
    number,
    stages: run,
    panels: panelsIn(panels, runs, number),
  }));
}

function panelsIn(panels: readonly TakenIn[], runs: PlannedStage[][], number: number) {
  return panels.flatMap((panel): InSession[] => {
    const stages = stagesOf(panel, runs[number]!);
    const laid = stagesOf(panel, runs.slice(0, number).flat());
    return stages.length > 0 ? [{ panel, stages, laid }] : [];
  });
}

/** What a session goes over is a waterborne sealer: no water, no wet paper, mild solvent only. */
export const isOverWaterSealer = ({ laid }: InSession): boolean => {
  const under = laid.at(-1);
  return under?.stage === 'sealer' && attackOf(under) === 'waterborneBarrier';
};
