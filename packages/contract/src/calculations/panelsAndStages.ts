/** What goes for panels taken in and stages planned, wherever both are told. */
import type { z } from 'zod';
import { contradiction, listOf } from '../quantity/fields.ts';
import { PlannedStage, TakenIn } from '../shapes/layers.ts';

export const panelsAndStages = {
  panels: listOf(TakenIn, 1),
  stages: listOf(PlannedStage, 1),
};

/** Each name once, and no stage on a panel that is not there. */
export function namesFit(
  {
    panels,
    stages,
  }: { panels: { name: string }[]; stages: { name: string; panels?: string[] | undefined }[] },
  ctx: z.RefinementCtx,
): void {
  const named = panels.map(({ name }) => name);
  named.forEach((name, i) => {
    if (named.indexOf(name) < i)
      ctx.addIssue(contradiction(['panels', i, 'name'], `${name} is taken in twice`));
  });
  const stageNames = stages.map(({ name }) => name);
  stages.forEach(({ name, panels: own = [] }, i) => {
    if (stageNames.indexOf(name) < i)
      ctx.addIssue(contradiction(['stages', i, 'name'], `${name} is planned twice`));
    own.forEach((panel, j) => {
      if (!named.includes(panel))
        ctx.addIssue(
          contradiction(['stages', i, 'panels', j], `${panel} is not among the panels taken in`),
        );
    });
  });
}
