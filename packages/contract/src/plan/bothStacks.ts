/**
 * What a job takes as it is planned, and as it is advised: where old paint should come off, a
 * primer goes on bare metal first. Both amounts, and both prices where the shop told what its tins
 * cost.
 */
import type { Sheet } from '../sheet/sheet.ts';
import type { BothStacks, StackWorth } from '../shop/prep.ts';
import type { Panel, SheetVersion, StagePlan } from '../shop/ticket.ts';
import { contextOf, isMissing, type Sources } from './contextOf.ts';
import { panelSaid } from './layersFound.ts';
import { planCoat } from './planCoat.ts';
import { shortName } from './planContext.ts';
import { adviceToDecide, DECIDED_ON, type PrepList } from './prepList.ts';

/** What every stage of a job takes together, from its first coat. */
export function stackWorth(sources: Sources, painterId: string): StackWorth | undefined {
  const plans = sources.whole.ticket.stages.map(({ id: stageId }) => {
    const coat = { stageId, ordinal: 1, state: 'planned', overrides: {} } as const;
    const context = contextOf(sources, coat, painterId, {});
    return isMissing(context) ? undefined : planCoat(context).quantity;
  });
  if (plans.length === 0 || plans.some((quantity) => !quantity)) return undefined;
  const readyMl = plans.reduce((sum, quantity) => sum + quantity!.readyMl.value, 0);
  const costs = plans.map((quantity) => quantity!.cost);
  return costs.every((cost) => cost !== undefined)
    ? { readyMl, cost: costs.reduce<number>((sum, cost) => sum + cost, 0) }
    : { readyMl };
}

const onBareMetal = ({ kind, overWhat = [], hardenerChemistry }: Sheet): boolean =>
  kind === 'primer' &&
  (overWhat.some(({ history }) => history === 'bareMetal') || hardenerChemistry === 'other');

/** The primer that goes on once the old paint is off. */
function primerStage(
  latest: readonly SheetVersion[],
  panels: readonly Panel[],
): { stage: StagePlan; version: SheetVersion } | undefined {
  const version = latest.find(({ sheet }) => onBareMetal(sheet));
  const recipe = version?.sheet.recipes?.[0];
  if (!version || !recipe) return undefined;
  const stage: StagePlan = {
    id: version.id,
    kind: 'primer',
    sheetVersionId: version.id,
    recipeName: recipe.name,
    colourName: '',
    coats: recipe.coats[0],
    part: 'largePanel',
    panelIds: panels.map(({ id }) => id),
  };
  return { stage, version };
}

/** Undefined where no advice to strip stands, or the shop has no primer for bare metal. */
export function bothStacks(
  sources: Sources,
  painterId: string,
  list: PrepList,
): BothStacks | undefined {
  const { ticket, sheets } = sources.whole;
  const said = adviceToDecide(list)
    .filter(({ code }) => DECIDED_ON[code as keyof typeof DECIDED_ON] === 'strip')
    .map(({ params }) => params?.['panel']);
  const stripped = ticket.panels.filter((panel) => said.includes(panelSaid(ticket.panels, panel)));
  const primer = stripped.length > 0 ? primerStage(sources.latest, stripped) : undefined;
  if (!primer) return undefined;
  const planned = stackWorth(sources, painterId);
  const advised = stackWorth(
    {
      ...sources,
      whole: {
        ...sources.whole,
        ticket: { ...ticket, stages: [primer.stage, ...ticket.stages] },
        sheets: [...sheets, primer.version],
      },
    },
    painterId,
  );
  return planned && advised
    ? { planned, advised, primer: shortName(primer.version.sheet) }
    : undefined;
}
